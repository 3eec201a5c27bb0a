import { fedQuantities, type Edit, type Plan } from '@grey-keel/model';
import { inOrder, soundSpeedDownTo, workingWater } from '../../plan/working-water.ts';
import { shallowLimits, voltageLimits, type AlarmLimits } from '../../sources/alarm-limits.ts';
import { feedChoices, poorRank } from '../../sources/feeds.ts';
import { travelClashes, whatTravels } from '../../sources/what-travels.ts';
import { isFactoryName, suggestSourceName } from '../../sources/source-names.ts';
import { given, reckoned } from '../../working-step.ts';
import { figure, type Found, type Rule } from '../rule.ts';
import { eachFitted } from './pages.ts';

const thingName = (plan: Plan, id: string): string => plan.transducers[id]?.name ?? plan.equipment[id]?.name ?? id;

const rename = (plan: Plan, id: string): { label: string; target: string; edits: Edit[] } => {
  const name = suggestSourceName(plan, id);
  return {
    label: `Call it "${name}"`,
    target: `source-name-${id}`,
    edits: [{ type: 'describeSource', id, changes: { name } }],
  };
};

export const sourceTwice: Rule = {
  id: 'source-twice',
  stage: 'sources',
  severity: 'check',
  find: (plan) => {
    const byName = new Map<string, string[]>();
    for (const [id, { name }] of inOrder(plan.sources))
      if (name !== '') byName.set(name.trim().toLowerCase(), [...(byName.get(name.trim().toLowerCase()) ?? []), id]);
    return [...byName.values()].flatMap((ids): Found[] => {
      const last = ids[ids.length - 1];
      if (ids.length < 2 || last === undefined) return [];
      return [
        {
          subject: last,
          title: 'Two sources share a name',
          reason: [
            figure(ids.length, 'count'),
            ` sources are called "${plan.sources[last]?.name ?? ''}": ${ids.map((id) => thingName(plan, id)).join(', ')}.`,
          ],
          figure: figure(ids.length, 'count'),
          wayOut: rename(plan, last),
        },
      ];
    });
  },
};

export const sourceFactoryName: Rule = {
  id: 'source-factory-name',
  stage: 'sources',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.sources)
      .filter(([, { name }]) => name !== '' && isFactoryName(name))
      .map(([id, { name }]) => ({
        subject: id,
        title: 'A source has the name it came with',
        reason: [
          `${thingName(plan, id)} is listed as "${name}", one of `,
          figure(Object.keys(plan.sources).length, 'count'),
          ' sources: that tells nothing.',
        ],
        figure: figure(Object.keys(plan.sources).length, 'count'),
        wayOut: rename(plan, id),
      })),
};

const plain = (text: string): string => text.trim().toLowerCase().replace(/\s+/g, ' ');

/** What is printed on the cable's tag is not what the display was told. */
export const typeWrong: Rule = {
  id: 'type-wrong',
  stage: 'sources',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.sources)
      .filter(([, { tag, selected }]) => tag !== '' && selected !== '' && plain(tag) !== plain(selected))
      .map(([id, { tag, selected }]) => ({
        subject: id,
        title: 'The wrong type is selected',
        reason: [
          `The tag of ${thingName(plan, id)} says "${tag}"; "${selected}" is selected on `,
          figure(Object.keys(plan.displays).length, 'count'),
          ' displays: power and tuning are meant for another element.',
        ],
        figure: figure(Object.keys(plan.displays).length, 'count'),
        wayOut: {
          label: `Select "${tag}"`,
          target: `source-selected-${id}`,
          edits: [{ type: 'describeSource', id, changes: { selected: tag } }],
        },
      })),
};

const kept = (plan: Plan, stationId: string, quantity: (typeof fedQuantities)[number]) => {
  const feed = plan.feeds[stationId]?.[quantity];
  const choices = feedChoices(plan, quantity);
  return { feed, choices, now: choices.find(({ id }) => id === feed?.sourceId), best: choices[0] };
};

const feedTarget = (stationId: string, quantity: string): string => `feed-${stationId}-${quantity.replace(/ /g, '-')}`;

const takeBest = (plan: Plan, stationId: string, quantity: (typeof fedQuantities)[number]) => {
  const [best, second] = feedChoices(plan, quantity).filter(({ rank }) => rank < poorRank);
  return {
    label: best ? `Take it from "${best.name}"` : 'Choose another',
    target: feedTarget(stationId, quantity),
    ...(best
      ? {
          edits: [
            {
              type: 'feed' as const,
              stationId,
              quantity,
              feed: { sourceId: best.id, fallbackId: second?.id ?? null },
            },
          ],
        }
      : {}),
  };
};

/** How far, over the bottom, from what measures best. */
const fromBestM = (plan: Plan, id: string, bestId: string) => {
  const place = (key: string) => plan.transducers[key] ?? plan.equipment[key];
  const [a, b] = [place(id), place(bestId)];
  if (!a || !b) return null;
  return reckoned(
    {
      says: 'From the better source',
      symbol: 'd',
      value: Math.hypot(a.forwardM - b.forwardM, a.starboardM - b.starboardM),
      unit: 'm',
      expression: 'sqrt(f ^ 2 + s ^ 2)',
      source: 'plane geometry',
    },
    given('f', a.forwardM - b.forwardM, 'm', 'forward'),
    given('s', a.starboardM - b.starboardM, 'm', 'to starboard'),
  );
};

/** A number that some sensor measures, but not of what the station shows it for. */
export const feedPoor: Rule = {
  id: 'feed-poor',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }) =>
    fedQuantities.flatMap((quantity): Found[] => {
      const { now, best } = kept(plan, stationId, quantity);
      if (!now || now.rank < poorRank || !best || best.rank >= poorRank) return [];
      const away = fromBestM(plan, now.id, best.id);
      return [
        {
          subject: `${stationId}-${quantity.replace(/ /g, '-')}`,
          title: `The ${quantity} comes from the wrong unit`,
          reason: [
            `${station.name} takes its ${quantity} from "${now.name}", which ${now.because}, `,
            figure(away?.value ?? 0, 'length'),
            ` from "${best.name}".`,
          ],
          figure: figure(away?.value ?? 0, 'length'),
          working: away ? [away] : [],
          wayOut: takeBest(plan, stationId, quantity),
        },
      ];
    }),
  ),
};

export const feedGone: Rule = {
  id: 'feed-gone',
  stage: 'sources',
  severity: 'stop',
  find: eachFitted(({ id: stationId, plan, station }) =>
    fedQuantities.flatMap((quantity): Found[] => {
      const { feed, now, choices } = kept(plan, stationId, quantity);
      if (!feed || now) return [];
      return [
        {
          subject: `${stationId}-${quantity.replace(/ /g, '-')}`,
          title: `The ${quantity} comes from nothing`,
          reason: [
            `${station.name} takes its ${quantity} from a source that is gone or does not measure it; `,
            figure(choices.length, 'count'),
            ' others could.',
          ],
          figure: figure(choices.length, 'count'),
          wayOut: takeBest(plan, stationId, quantity),
        },
      ];
    }),
  ),
};

const rad = Math.PI / 180;

/** A display's own water against the water of the brief: every depth is wrong by the ratio of the speeds of sound. */
export const waterType: Rule = {
  id: 'water-type',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const water = workingWater(plan);
    const set = plan.units[stationId]?.waterType ?? null;
    if (!water || set === null || set === water.kind) return [];
    const assumedPpt = { fresh: 0, brackish: 10, salt: 35 }[set];
    const depthM = plan.working.depthM;
    const there = soundSpeedDownTo(water, depthM).soundSpeedMps;
    const assumed = soundSpeedDownTo({ ...water, salinityPpt: assumedPpt }, depthM).soundSpeedMps;
    const errorM = depthM * (assumed / there - 1);
    return [
      {
        subject: stationId,
        title: 'Set to another water',
        reason: [
          `${station.name} is set to ${set} water; ${water.name} is ${water.kind}. At the working depth that is `,
          figure(errorM, 'depth'),
          ' of error.',
        ],
        figure: figure(errorM, 'depth'),
        working: [
          reckoned(
            {
              says: 'Error of the depth shown',
              symbol: 'e',
              value: errorM,
              unit: 'm',
              expression: 'd * (a / c - 1)',
              source: 'depth is half the echo’s time at the speed of sound that is assumed',
            },
            given('d', depthM, 'm', 'working depth'),
            given('a', assumed, 'm/s', `speed of sound it reckons with, ${assumedPpt} ppt`),
            given('c', there, 'm/s', 'speed of sound of the water'),
          ),
        ],
        wayOut: {
          label: `Set it to ${water.kind}`,
          target: `unit-water-${stationId}`,
          edits: [{ type: 'describeUnit', stationId, changes: { waterType: water.kind } }],
        },
      },
    ];
  }),
};

/** A usual magnetic variation, only to say how much two norths can differ; the place's own comes from the chart. */
const saidVariationDeg = 10;

export const twoNorths: Rule = {
  id: 'two-norths',
  stage: 'sources',
  severity: 'check',
  find: (plan) => {
    const set = inOrder(plan.units).flatMap(([id, { north }]) => (north && plan.displays[id] ? [{ id, north }] : []));
    const trues = set.filter(({ north }) => north === 'true');
    const [minority, majority] =
      trues.length * 2 >= set.length
        ? [set.filter(({ north }) => north === 'magnetic'), 'true' as const]
        : [trues, 'magnetic' as const];
    if (minority.length === 0) return [];
    const asideM = 100 * Math.sin(saidVariationDeg * rad);
    return minority.map(({ id }) => ({
      subject: id,
      title: 'Two norths aboard',
      reason: [
        `${plan.stations[id]?.name ?? id} counts from another north than the rest. Ten degrees of variation put a mark `,
        figure(asideM, 'length'),
        ' aside at a hundred metres.',
      ],
      figure: figure(asideM, 'length'),
      wayOut: {
        label: `Set it to ${majority}`,
        target: `unit-north-${id}`,
        edits: [{ type: 'describeUnit', stationId: id, changes: { north: majority } }],
      },
    }));
  },
};

export const sidesSwapped: Rule = {
  id: 'sides-swapped',
  stage: 'sources',
  severity: 'stop',
  find: eachFitted(({ id: stationId, plan, station }): Found[] =>
    plan.units[stationId]?.sidesRight !== 'swapped'
      ? []
      : [
          {
            subject: stationId,
            title: 'Port and starboard are swapped',
            reason: [
              `${station.name} draws what lies to port on the right: a target `,
              figure(plan.working.depthM, 'length'),
              ' off is looked for on the wrong side.',
            ],
            figure: figure(plan.working.depthM, 'length'),
            wayOut: { label: 'Turn the unit or set its flag, then look again', target: `unit-sides-${stationId}` },
          },
        ],
  ),
};

/** A setting that travels cannot be one thing here and another there: whichever is set last wins on both. */
export const travelsClash: Rule = {
  id: 'travels-clash',
  stage: 'sources',
  severity: 'check',
  find: (plan) =>
    travelClashes(plan).flatMap(({ setting, what, stationIds: [a, b], stage, target }): Found[] => {
      const quantity = fedQuantities.find((one) => what === `source of ${one}`);
      // A source that is no good there is said already, and clears this, too.
      const poor = [a, b].some((id) => {
        const now = quantity && kept(plan, id, quantity).now;
        return now && now.rank >= poorRank;
      });
      if (poor) return [];
      const shared = whatTravels(plan).find((one) => one.setting === setting)?.shared ?? [];
      const [one, other] = [a, b].map((id) => plan.stations[id]?.name ?? id);
      return [
        {
          subject: `${a}-${b}-${what.replace(/ /g, '-')}`,
          title: 'A shared setting is wanted two ways',
          reason: [
            `${one ?? ''} and ${other ?? ''} differ in the ${what}; "${setting}" travels between `,
            figure(shared.length, 'count'),
            ' displays, so what is set last holds on both.',
          ],
          figure: figure(shared.length, 'count'),
          wayOut: { label: 'Choose one for both', stage, target },
        },
      ];
    }),
};

/** To the next step of a tenth, so that what is written is not under what was worked out. */
const tenthUp = (value: number): number => Math.ceil(Math.round(value * 1e6) / 1e5) / 10;

interface AlarmKind {
  readonly key: 'shallowM' | 'lowVoltageV';
  readonly id: 'shallow' | 'voltage';
  readonly quantity: 'depth' | 'voltage';
  readonly limits: (plan: Plan, stationId: string) => AlarmLimits | null;
}
const shallow: AlarmKind = { key: 'shallowM', id: 'shallow', quantity: 'depth', limits: shallowLimits };
const lowVoltage: AlarmKind = { key: 'lowVoltageV', id: 'voltage', quantity: 'voltage', limits: voltageLimits };

interface AlarmFault extends Pick<Rule, 'id' | 'severity'> {
  readonly title: string;
  /** The limit an alarm set there breaks, or null. */
  readonly breaks: (setTo: number, limits: AlarmLimits) => number | null;
  /** What that limit is, before its figure. */
  readonly why: string;
}

const alarmRule = ({ key, id, quantity, limits: limitsAt }: AlarmKind, fault: AlarmFault): Rule => ({
  id: fault.id,
  severity: fault.severity,
  stage: 'sources',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const setTo = plan.units[stationId]?.alarms?.[key] ?? null;
    const limits = limitsAt(plan, stationId);
    const limit = setTo === null || limits === null ? null : fault.breaks(setTo, limits);
    if (setTo === null || limits === null || limit === null) return [];
    return [
      {
        subject: stationId,
        title: fault.title,
        reason: [
          `The alarm of ${station.name} calls at `,
          figure(setTo, quantity),
          `; ${fault.why} `,
          figure(limit, quantity),
          '.',
        ],
        figure: figure(setTo, quantity),
        working: limits.working,
        wayOut: {
          label: 'Set it to what is needed',
          target: `alarm-${id}-${stationId}`,
          edits: [{ type: 'describeUnit', stationId, changes: { alarms: { [key]: tenthUp(limits.least) } } }],
        },
      },
    ];
  }),
});

const late = (setTo: number, { least }: AlarmLimits): number | null => (setTo < least - 1e-9 ? least : null);
/** Only where there is room between the two: in water that shallow what has to call early calls all day. */
const always = (setTo: number, { least, most }: AlarmLimits): number | null =>
  most !== null && tenthUp(least) < most && setTo >= most ? most : null;

export const alarmRules: readonly Rule[] = [
  alarmRule(shallow, {
    id: 'alarm-shallow-late',
    severity: 'stop',
    title: 'The shallow alarm calls too late',
    breaks: late,
    why: 'with what is shown when the keel touches, the tolerance and water to act in it has to be',
  }),
  alarmRule(shallow, {
    id: 'alarm-shallow-always',
    severity: 'check',
    title: 'The shallow alarm calls all day',
    breaks: always,
    why: 'the shallowest she works in shows as',
  }),
  alarmRule(lowVoltage, {
    id: 'alarm-voltage-late',
    severity: 'check',
    title: 'The voltage alarm calls too late',
    breaks: late,
    why: 'a device on the same battery is about to go out at',
  }),
  alarmRule(lowVoltage, {
    id: 'alarm-voltage-always',
    severity: 'check',
    title: 'The voltage alarm calls all day',
    breaks: always,
    why: 'a full battery gives it no more than',
  }),
];

export const sourceRules: readonly Rule[] = [
  typeWrong,
  feedGone,
  sidesSwapped,
  sourceTwice,
  sourceFactoryName,
  feedPoor,
  waterType,
  twoNorths,
  travelsClash,
  ...alarmRules,
];
