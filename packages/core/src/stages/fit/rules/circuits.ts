import { figure, type Found, type Rule } from '../../../findings/rule.ts';
import { at } from '../../../plan/target.ts';
import { inOrder } from '../../../plan/working-water.ts';
import { eachCircuit } from './each-circuit.ts';

/** Usual limits for electronics; the makers' and the local code's come first. */
const usualDropPercent = 3;
const worstDropPercent = 10;
/** ISO 13297: a fuse within 200 mm of the post, along the wire. */
const fuseWithinM = 0.2;

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
