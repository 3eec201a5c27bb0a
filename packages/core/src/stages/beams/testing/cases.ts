import type { Edit } from '@grey-keel/model';
import type { RuleCases } from '../../../testing/rule-case.ts';
import { aBeam, aPlan, aTransducer, edited } from '../../../testing/sample-plan.ts';

const plan = aPlan();
const narrow = (changes: Parameters<typeof aTransducer>[0]): Edit => ({
  type: 'describeTransducer',
  id: 'b-narrow',
  changes: changes ?? {},
});
const sheet = (levelDb: number): Edit =>
  narrow({
    apertureM: 0.0513,
    beams: [{ frequencyHz: 210_000, bandwidthHz: null, beamwidthDeg: 13.4, levelDb, alongDeg: null }],
  });
const deep = (usualDeepestM: number): Edit => ({
  type: 'describeWater',
  id: 'pool',
  changes: { usualDeepestM, greatestM: usualDeepestM },
});

/** A plan for each rule that makes it speak, and one a step away that keeps it silent. */
export const beamsCases: RuleCases = {
  'bottom-on-plane': {
    speaks: edited(
      plan,
      { type: 'useWay', way: 'running', used: true },
      { type: 'describeBoat', changes: { topSpeedMps: 22 } },
      ...['a-wide', 'b-narrow'].map((id): Edit => ({
        type: 'describeTransducer',
        id,
        changes: { mounting: 'transom' },
      })),
    ),
    silent: edited(
      plan,
      { type: 'useWay', way: 'running', used: true },
      { type: 'describeBoat', changes: { topSpeedMps: 12 } },
      ...['a-wide', 'b-narrow'].map((id): Edit => ({
        type: 'describeTransducer',
        id,
        changes: { mounting: 'transom' },
      })),
    ),
  },
  'sheet-efficiency': {
    speaks: edited(plan, narrow({ beams: [aBeam({ sourceLevelDb: 220 })] })),
    silent: edited(plan, narrow({ beams: [aBeam({ sourceLevelDb: 215 })] })),
  },
  'no-transducer': { speaks: { ...plan, transducers: {} }, silent: plan, value: 0 },
  'face-above-water': {
    speaks: edited(plan, narrow({ aboveKeelM: 0.6 })),
    silent: edited(plan, narrow({ aboveKeelM: 0.45 })),
    value: 0.1,
  },
  'transmits-on-trailer': {
    speaks: edited(plan, { type: 'transmitIn', id: 'b-narrow', way: 'trailer', transmits: true }),
    silent: plan,
    value: 95_000,
  },
  'cone-level': { speaks: edited(plan, sheet(-3)), silent: edited(plan, sheet(-10)), value: 13.4 },
  'same-band': {
    speaks: edited(
      plan,
      narrow({
        beams: [{ frequencyHz: 200_000, bandwidthHz: 30_000, beamwidthDeg: 9, levelDb: -3, alongDeg: null }],
      }),
    ),
    silent: edited(
      plan,
      narrow({
        beams: [{ frequencyHz: 260_000, bandwidthHz: 30_000, beamwidthDeg: 9, levelDb: -3, alongDeg: null }],
      }),
    ),
  },
  'same-name': { speaks: edited(plan, narrow({ name: 'Wide 190' })), silent: plan, value: 2 },
  'absorption-heavy': { speaks: edited(plan, deep(1000)), silent: edited(plan, deep(700)) },
  'brackish-absorption': {
    speaks: edited(plan, { type: 'describeWater', id: 'pool', changes: { salinityPpt: 18, kind: 'brackish' } }),
    silent: plan,
  },
  'narrow-outside-wide': { speaks: edited(plan, { type: 'workAtDepth', depthM: 4 }), silent: plan },
};
