import type { Circuit, Load, Plan } from '@grey-keel/model';
import { bearsShare } from '../../../power/battery-curve.ts';
import { chargingLimit } from '../../../power/charging.ts';
import { circuitStanding, type CircuitStanding } from '../../../power/circuit-standing.ts';
import { circuitsOn, dayOf } from '../../../power/day-voltage.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { between, figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';

/** Usual limits for electronics; the makers' and the local code's come first. */
const usualDropPercent = 3;
const worstDropPercent = 10;
/** ISO 13297: a fuse within 200 mm of the post, along the wire. */
const fuseWithinM = 0.2;

interface OnBattery {
  readonly id: string;
  readonly circuit: Circuit;
  readonly standing: CircuitStanding;
}

const eachCircuit =
  (find: (it: OnBattery, plan: Plan) => readonly Found[]): Rule['find'] =>
  (plan) =>
    inOrder(plan.power.circuits).flatMap(([id, circuit]) => {
      const standing = circuitStanding(plan, circuit);
      return standing ? find({ id, circuit, standing }, plan) : [];
    });

const loadsOf = ({ loads }: Circuit): (readonly [string, Load])[] => inOrder(loads);

export const circuitLoose: Rule<'fit'> = {
  id: 'circuit-loose',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.power.circuits)
      .filter(([, { batteryId }]) => batteryId === null || !plan.power.batteries[batteryId])
      .map(([id, circuit]) => ({
        subject: id,
        title: 'A circuit has no battery',
        reason: [`${circuit.name} feeds `, figure(Object.keys(circuit.loads).length, 'count'), ' loads from nowhere.'],
        figure: figure(Object.keys(circuit.loads).length, 'count'),
        fix: { label: 'Choose its battery', target: at('power', 'circuits', id, 'batteryId') },
      })),
};

const dropRule = (id: string, severity: Rule['severity'], over: number, under: number): Rule<'fit'> => ({
  id,
  stage: 'fit',
  severity,
  find: eachCircuit(({ id: circuitId, circuit, standing: { drop, currentA } }) =>
    drop.dropPercent <= over || drop.dropPercent > under
      ? []
      : [
          {
            subject: circuitId,
            title: 'Too much is lost in the wires',
            reason: [
              `${circuit.name} loses `,
              figure(drop.dropV, 'voltage'),
              ' at ',
              figure(currentA, 'current'),
              ': ',
              figure(drop.dropPercent / 100, 'fraction'),
              ' of the supply, where ',
              figure(usualDropPercent / 100, 'fraction'),
              ' is usual.',
            ],
            figure: figure(drop.dropPercent / 100, 'fraction'),
            working: drop.working,
            fix: { label: 'A thicker or a shorter wire', target: at('power', 'circuits', circuitId, 'gauge') },
          },
        ],
  ),
});
export const wireDrop = dropRule('wire-drop', 'check', usualDropPercent, worstDropPercent);
export const wireDropWorst = dropRule('wire-drop-worst', 'stop', worstDropPercent, Number.POSITIVE_INFINITY);

export const fuseMissing: Rule<'fit'> = {
  id: 'fuse-missing',
  stage: 'fit',
  severity: 'stop',
  find: eachCircuit(({ id, circuit, standing: { bears } }) =>
    circuit.fuseA !== null
      ? []
      : [
          {
            subject: id,
            title: 'No fuse',
            reason: [
              `${circuit.name} has no fuse: a short heats a wire that bears `,
              figure(bears.ampacityA, 'current'),
              ' until it burns.',
            ],
            figure: figure(bears.ampacityA, 'current'),
            working: bears.working,
            fix: { label: 'Add a fuse', target: at('power', 'circuits', id, 'fuseA') },
          },
        ],
  ),
};

export const fuseOverWire: Rule<'fit'> = {
  id: 'fuse-over-wire',
  stage: 'fit',
  severity: 'stop',
  find: eachCircuit(({ id, circuit, standing: { bears, bearsFuseFromC } }): Found[] => {
    const { name, fuseA, gauge, insulationC } = circuit;
    if (fuseA === null || fuseA <= bears.ampacityA) return [];
    // Some insulation bears it, and nobody said which this is: that is a question, not yet a fault.
    const asks = insulationC == null && bearsFuseFromC !== null;
    return [
      {
        subject: id,
        severity: asks ? ('check' as const) : ('stop' as const),
        title: asks ? 'The wire bears its fuse only with better insulation' : 'The wire burns before the fuse',
        reason: [
          `${name} is fused at `,
          figure(fuseA, 'current'),
          `; its wire, ${gauge}, bears `,
          figure(bears.ampacityA, 'current'),
          asks
            ? ` with insulation for 70 °C. With insulation for ${bearsFuseFromC} °C or more it holds: look what is printed on it.`
            : '.',
        ],
        figure: figure(fuseA, 'current'),
        working: bears.working,
        fix: asks
          ? { label: 'Say what its insulation is rated for', target: at('power', 'circuits', id, 'insulationC') }
          : { label: 'A smaller fuse or a thicker wire', target: at('power', 'circuits', id, 'fuseA') },
      },
    ];
  }),
};

export const fuseUnderLoad: Rule<'fit'> = {
  id: 'fuse-under-load',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit: { name, fuseA }, standing: { currentA } }) =>
    fuseA === null || fuseA >= currentA
      ? []
      : [
          {
            subject: id,
            title: 'The fuse is smaller than its load',
            reason: [
              `${name} draws `,
              figure(currentA, 'current'),
              ' and is fused at ',
              figure(fuseA, 'current'),
              ': it opens at work.',
            ],
            figure: figure(currentA, 'current'),
            fix: { label: 'A larger fuse, or fewer loads on it', target: at('power', 'circuits', id, 'fuseA') },
          },
        ],
  ),
};

/** Fuses are made to carry no more than that for long. */
const steadyShare = 0.8;

export const fuseNearLoad: Rule<'fit'> = {
  id: 'fuse-near-load',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit: { name, fuseA }, standing: { currentA } }) =>
    fuseA === null || fuseA < currentA || currentA <= steadyShare * fuseA + 1e-9
      ? []
      : [
          {
            subject: id,
            title: 'The fuse is near its load',
            reason: [
              `${name} draws `,
              figure(currentA, 'current'),
              ' for hours, ',
              figure(currentA / fuseA, 'fraction'),
              ' of its fuse of ',
              figure(fuseA, 'current'),
              '; ',
              figure(steadyShare, 'fraction'),
              ' is what a fuse carries steadily. It ages and opens at work.',
            ],
            figure: figure(currentA / fuseA, 'fraction'),
            fix: {
              label: 'A larger fuse that the wire bears, or fewer loads',
              target: at('power', 'circuits', id, 'fuseA'),
            },
          },
        ],
  ),
};

export const fuseFar: Rule<'fit'> = {
  id: 'fuse-far',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit: { name, fuseA, fuseFromPostM } }) =>
    fuseA === null || fuseFromPostM <= fuseWithinM
      ? []
      : [
          {
            subject: id,
            title: 'The fuse is far from the battery',
            reason: [
              `${name}: `,
              figure(fuseFromPostM, 'length'),
              ' of wire before the fuse are not protected; ',
              figure(fuseWithinM, 'length'),
              ' is the most.',
            ],
            figure: figure(fuseFromPostM, 'length'),
            fix: {
              label: 'At the post',
              target: at('power', 'circuits', id, 'fuseFromPostM'),
              edits: [{ type: 'describeCircuit', id, changes: { fuseFromPostM: 0.1 } }],
            },
          },
        ],
  ),
};

/** The same battery cranks the engine, and a device on it does not bear the dip. */
export const startsOut: Rule<'fit'> = {
  id: 'starts-out',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit, standing: { dips } }) =>
    dips.flatMap(({ loadId, dip }): Found[] => {
      const load = circuit.loads[loadId];
      if (!load || dip.marginV === null || dip.marginV >= 0) return [];
      return [
        {
          ...between(id, loadId),
          title: 'It goes out when the engine starts',
          reason: [
            `${load.name} sees `,
            figure(dip.dipV, 'voltage'),
            ' while the engine is cranked and needs ',
            figure(load.lowestV ?? 0, 'voltage'),
            ': a battery of its own, or start first. A fuse does not help.',
          ],
          figure: figure(dip.dipV, 'voltage'),
          working: dip.working,
          fix: { label: 'Another battery for this circuit', target: at('power', 'circuits', id, 'batteryId') },
        },
      ];
    }),
  ),
};

export const chargedOver: Rule<'fit'> = {
  id: 'charged-over',
  stage: 'fit',
  severity: 'stop',
  find: eachCircuit(({ id, circuit }, plan) => {
    const battery = plan.power.batteries[circuit.batteryId ?? ''];
    if (!battery) return [];
    return loadsOf(circuit)
      .filter(([, { highestV }]) => highestV !== null && battery.chargingV > highestV)
      .map(([loadId, load]) => ({
        ...between(id, loadId),
        title: 'Charging is over what it bears',
        reason: [
          `${battery.name} is charged at `,
          figure(battery.chargingV, 'voltage'),
          `; ${load.name} bears `,
          figure(load.highestV ?? 0, 'voltage'),
          '. A fuse protects from too much current, not from voltage.',
        ],
        figure: figure(battery.chargingV, 'voltage'),
        fix: { label: 'Another battery, or a regulator', target: at('power', 'circuits', id, 'batteryId') },
      }));
  }),
};

/** A charger set over what the pack's own cells bear: heat, gas, and with lithium fire. */
export const packChargedOver: Rule<'fit'> = {
  id: 'pack-charged-over',
  stage: 'fit',
  severity: 'stop',
  find: (plan) =>
    inOrder(plan.power.batteries).flatMap(([id, battery]): Found[] => {
      const { chargingV } = battery;
      const { mostV, lookFromV, by, cells, cellMostV } = chargingLimit(battery);
      if (chargingV <= lookFromV + 0.005) return [];
      const over = chargingV > mostV + 0.005;
      const known =
        by === 'sheet'
          ? ['; its sheet allows ', figure(mostV, 'voltage'), ' at the most.']
          : [
              '; ',
              figure(cells, 'count'),
              ` cells of its kind, ${by === 'cell count' ? 'as counted' : 'as its nominal voltage suggests'}, bear `,
              figure(cellMostV, 'voltage'),
              ' each, ',
              figure(mostV, 'voltage'),
              ' together.',
            ];
      return [
        {
          subject: id,
          severity: over && by !== 'nominal voltage' ? ('stop' as const) : ('check' as const),
          title: over ? 'Charging is over what the pack bears' : 'Charging is high for lead-acid',
          reason: [
            `${battery.name} is charged at `,
            figure(chargingV, 'voltage'),
            ...known,
            over
              ? ' Look it up in its sheet; set the charger by its maker’s rules.'
              : ' Equalising and cold reach this much, a usual day does not.',
          ],
          figure: figure(chargingV, 'voltage'),
          fix: {
            label: 'Lower the charging voltage, or give the sheet’s highest',
            target: at('power', 'batteries', id, 'chargingV'),
          },
        },
      ];
    }),
};

export const dayTooLong: Rule<'fit'> = {
  id: 'day-too-long',
  stage: 'fit',
  severity: 'check',
  find: (plan) =>
    inOrder(plan.power.batteries).flatMap(([id, battery]): Found[] => {
      const day = dayOf(plan, id);
      const last = day[day.length - 1];
      const bears = bearsShare[battery.chemistry];
      if (!last || circuitsOn(plan, id).length === 0 || 1 - last.leftAtEnd <= bears) return [];
      return [
        {
          subject: id,
          title:
            last.emptyAtHour === null
              ? 'The day takes too much from a battery'
              : 'A battery is empty before the day ends',
          reason:
            last.emptyAtHour !== null
              ? [
                  `${battery.name} gives out after `,
                  figure(last.emptyAtHour, 'hours'),
                  ' of a day of ',
                  figure(last.toHour, 'hours'),
                  ': nothing on it works from then on.',
                ]
              : [
                  `${battery.name} gives `,
                  figure(1 - last.leftAtEnd, 'fraction'),
                  ` of what it holds in the day of the brief; ${battery.chemistry} bears `,
                  figure(bears, 'fraction'),
                  '.',
                ],
          figure: figure(1 - last.leftAtEnd, 'fraction'),
          fix: { label: 'More capacity, or fewer hours', target: at('power', 'batteries', id, 'capacityAh') },
        },
      ];
    }),
};

export const evenOut: Rule<'fit'> = {
  id: 'evening-out',
  stage: 'fit',
  severity: 'check',
  find: eachCircuit(({ id, circuit, standing: { lowestV, emptyAtHour } }) =>
    loadsOf(circuit).flatMap(([loadId, load]): Found[] => {
      if (lowestV === null || (emptyAtHour === null && (load.lowestV === null || lowestV >= load.lowestV))) return [];
      return [
        {
          ...between(id, loadId),
          title: 'It goes out before the day ends',
          reason:
            emptyAtHour === null
              ? [
                  `${load.name} sees `,
                  figure(lowestV, 'voltage'),
                  ' at the lowest of the day and needs ',
                  figure(load.lowestV ?? 0, 'voltage'),
                  '.',
                ]
              : [`${load.name} goes out after `, figure(emptyAtHour, 'hours'), ': its battery is empty then.'],
          figure: figure(lowestV, 'voltage'),
          fix: { label: 'More capacity, or a thicker wire', target: at('power', 'circuits', id, 'gauge') },
        },
      ];
    }),
  ),
};

export const powerRules: readonly Rule<'fit'>[] = [
  circuitLoose,
  wireDropWorst,
  fuseMissing,
  fuseOverWire,
  chargedOver,
  packChargedOver,
  wireDrop,
  fuseUnderLoad,
  fuseNearLoad,
  fuseFar,
  startsOut,
  dayTooLong,
  evenOut,
];
