import { displayWaters, fedQuantities, type Edit, type Figure, type Plan } from '@grey-keel/model';
import { depthOffsetOf } from '../../calibration/depth-offset-subject.ts';
import { inOrder, soundSpeedDownTo, workingWater } from '../../plan/working-water.ts';
import { shallowLimits, voltageLimits, type AlarmLimits, type ShallowLimits } from '../../sources/alarm-limits.ts';
import { asShown, depthDisplayOf, upToStepM } from '../../sources/depth-display.ts';
import { displaySalinityPpt, displaySound, soundOfType } from '../../sources/display-sound.ts';
import { feedChoices, poorRank } from '../../sources/feeds.ts';
import { travelClashes, whatTravels } from '../../sources/what-travels.ts';
import { isFactoryName, suggestSourceName } from '../../sources/source-names.ts';
import { given, calculated } from '../../working-step.ts';
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
  return calculated(
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

/** Depths of the brief a display's error is told at: shallowest, working and usual deepest. */
const depthsOf = (plan: Plan): readonly number[] => {
  const water = workingWater(plan);
  const depths = [water?.shallowestM, plan.working.depthM, water?.usualDeepestM].flatMap((one) => one ?? []);
  return [...new Set(depths)].sort((a, b) => a - b);
};

/** Under this share of the depth, and under this in metres, a wrong speed of sound is lost in what a display shows. */
const noticeableShare = 0.005;
const noticeableM = 0.05;

/** By how much a display shows a depth too deep, with a speed of sound that is not the water's, m. */
const depthErrorStep = (depthM: number, usedMps: number, waterMps: number, what: string) =>
  calculated(
    {
      says: `Shown too deep at ${depthM.toFixed(1)} m, or too shallow where it is negative`,
      symbol: 'e',
      value: depthM * (usedMps / waterMps - 1),
      unit: 'm',
      expression: 'd * (a / c - 1)',
      source: 'depth is half the echo’s time at the speed of sound that is used',
    },
    given('d', depthM, 'm', 'depth'),
    given('a', usedMps, 'm/s', `speed of sound the display uses, ${what}`),
    given('c', waterMps, 'm/s', 'speed of sound of the water'),
  );

/** What a station's display makes of a depth by its own speed of sound; null where its setting or the water is unknown. */
export const displayDepthError = (plan: Plan, stationId: string, depthM: number) => {
  const water = workingWater(plan);
  const sound = water && displaySound(plan.units[stationId], water, depthM);
  if (!water || !sound) return null;
  const there = soundSpeedDownTo(water, depthM).soundSpeedMps;
  const what = sound.setTo === 'own figure' ? 'a figure of its own' : `${displaySalinityPpt[sound.setTo]} ppt`;
  return { ...sound, step: depthErrorStep(depthM, sound.soundSpeedMps, there, what) };
};

/**
 * A display's own speed of sound against the water's: every depth is wrong by their ratio. It speaks by the size of the
 * error at the working depth, and offers the setting with the least.
 */
export const waterType: Rule = {
  id: 'water-type',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const water = workingWater(plan);
    const depthM = plan.working.depthM;
    const now = displayDepthError(plan, stationId, depthM);
    if (!water || !now) return [];
    const errorM = now.step.value;
    if (Math.abs(errorM) < Math.max(noticeableM, noticeableShare * depthM)) return [];
    const there = soundSpeedDownTo(water, depthM).soundSpeedMps;
    const [best] = displayWaters
      .map((type) => ({ type, errorM: depthM * (soundOfType(type, water, depthM) / there - 1) }))
      .sort((a, b) => Math.abs(a.errorM) - Math.abs(b.errorM));
    if (!best || Math.abs(best.errorM) > Math.abs(errorM) - 1e-9) return [];
    const others = depthsOf(plan)
      .filter((depth) => depth !== depthM)
      .flatMap((depth) => [
        figure(displayDepthError(plan, stationId, depth)?.step.value ?? 0, 'depth'),
        ' at ',
        figure(depth, 'depth'),
        ', ',
      ]);
    return [
      {
        subject: stationId,
        title: errorM > 0 ? 'It shows too much water' : 'It shows too little water',
        reason: [
          `${station.name} is set to ${now.setTo === 'own figure' ? 'a speed of sound of its own, ' : `${now.setTo} water, `}`,
          figure(now.soundSpeedMps, 'soundSpeed'),
          `; ${water.name} has `,
          figure(there, 'soundSpeed'),
          '. That is ',
          ...others,
          figure(errorM, 'depth'),
          ' at the working depth.',
        ],
        figure: figure(errorM, 'depth'),
        working: [now.step],
        wayOut: {
          label: `Set it to ${best.type}`,
          target: `unit-water-${stationId}`,
          edits: [{ type: 'describeUnit', stationId, changes: { waterType: best.type, ownSoundSpeedMps: null } }],
        },
      },
    ];
  }),
};

/** When the source fails, the display goes on with a depth that is counted from somewhere else. */
export const fallbackReference: Rule = {
  id: 'fallback-reference',
  stage: 'sources',
  severity: 'check',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const feed = plan.feeds[stationId]?.depth;
    if (!feed?.fallbackId || !plan.transducers[feed.sourceId] || !plan.transducers[feed.fallbackId]) return [];
    const [now, then] = [feed.sourceId, feed.fallbackId].map((id) => depthOffsetOf(plan, id).reference);
    const draughtM = plan.boat.draughtM ?? 0;
    if (now === then) return [];
    const deeper = now === 'keel';
    return [
      {
        subject: stationId,
        severity: deeper ? ('stop' as const) : ('check' as const),
        title: 'The fallback counts from elsewhere',
        reason: [
          `${station.name} shows depth from the ${now ?? ''} by ${thingName(plan, feed.sourceId)}. When that fails, ${thingName(plan, feed.fallbackId)} shows it from the ${then ?? ''}: `,
          figure(draughtM, 'length'),
          deeper ? ' more, with no more water.' : ' less, with no less water.',
        ],
        figure: figure(draughtM, 'length'),
        wayOut: { label: 'Count both from the same', stage: 'calibrate', target: `offset-${feed.fallbackId}` },
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

interface AlarmKind<L extends AlarmLimits> {
  readonly key: 'shallowM' | 'lowVoltageV';
  readonly id: 'shallow' | 'voltage';
  readonly quantity: 'depth' | 'voltage';
  readonly limits: (plan: Plan, stationId: string) => L | null;
  /** The next value at or over a limit that the display can be set to. */
  readonly upTo: (plan: Plan, stationId: string, limit: number) => number;
  /** A value as that display writes it. */
  readonly shown: (plan: Plan, stationId: string, value: number) => string | Figure;
  /** What the least rests on, in words. */
  readonly rests: (limits: L) => string;
}
const shallow: AlarmKind<ShallowLimits> = {
  key: 'shallowM',
  id: 'shallow',
  quantity: 'depth',
  limits: shallowLimits,
  upTo: (plan, stationId, limit) => upToStepM(limit, depthDisplayOf(plan, stationId)),
  // In the display's own unit, whatever the reader's: that is where it has to be set.
  shown: (plan, stationId, value) => asShown(value, depthDisplayOf(plan, stationId)),
  rests: ({ aground: { lowest } }) =>
    `with what it shows when ${lowest.name} touches, the tolerance and water to act in it has to be`,
};
const lowVoltage: AlarmKind<AlarmLimits> = {
  key: 'lowVoltageV',
  id: 'voltage',
  quantity: 'voltage',
  limits: voltageLimits,
  upTo: (_plan, _stationId, limit) => tenthUp(limit),
  shown: (_plan, _stationId, value) => figure(value, 'voltage'),
  rests: () => 'a device on the same battery goes out, or the battery has given what it bears, at',
};

interface AlarmFault extends Pick<Rule, 'id' | 'severity'> {
  readonly title: string;
  /** The limit an alarm set there breaks, or null; `least` is already one the display can be set to. */
  readonly breaks: (setTo: number, limits: Pick<AlarmLimits, 'least' | 'most'>) => number | null;
  /** What that limit is, before its figure; left out where it is the least. */
  readonly why?: string;
}

const alarmRule = <L extends AlarmLimits>(kind: AlarmKind<L>, fault: AlarmFault): Rule => ({
  id: fault.id,
  severity: fault.severity,
  stage: 'sources',
  find: eachFitted(({ id: stationId, plan, station }): Found[] => {
    const setTo = plan.units[stationId]?.alarms?.[kind.key] ?? null;
    const limits = kind.limits(plan, stationId);
    if (setTo === null || limits === null) return [];
    const least = kind.upTo(plan, stationId, limits.least);
    const limit = fault.breaks(setTo, { least, most: limits.most });
    if (limit === null) return [];
    return [
      {
        subject: stationId,
        title: fault.title,
        reason: [
          `The alarm of ${station.name} calls at `,
          kind.shown(plan, stationId, setTo),
          `; ${fault.why ?? kind.rests(limits)} `,
          kind.shown(plan, stationId, limit),
          '.',
        ],
        figure: figure(setTo, kind.quantity),
        working: limits.working,
        wayOut: {
          label: 'Set it to what is needed',
          target: `alarm-${kind.id}-${stationId}`,
          edits: [{ type: 'describeUnit', stationId, changes: { alarms: { [kind.key]: least } } }],
        },
      },
    ];
  }),
});

/** Nearer than this two values are written alike. */
const alike = 0.001;
const late: AlarmFault['breaks'] = (setTo, { least }) => (setTo < least - alike ? least : null);
/** Only where there is room between the two: in water that shallow what has to call early calls all day. */
const always: AlarmFault['breaks'] = (setTo, { least, most }) =>
  most !== null && least < most && setTo >= most ? most : null;

export const alarmRules: readonly Rule[] = [
  alarmRule(shallow, {
    id: 'alarm-shallow-late',
    severity: 'stop',
    title: 'The shallow alarm calls too late',
    breaks: late,
  }),
  alarmRule(shallow, {
    id: 'alarm-shallow-always',
    severity: 'check',
    title: 'The shallow alarm calls all day',
    breaks: always,
    why: 'the shallowest water of the brief shows as',
  }),
  alarmRule(lowVoltage, {
    id: 'alarm-voltage-late',
    severity: 'check',
    title: 'The voltage alarm calls too late',
    breaks: late,
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
  fallbackReference,
  twoNorths,
  travelsClash,
  ...alarmRules,
];
