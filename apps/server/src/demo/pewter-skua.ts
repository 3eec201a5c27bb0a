import { boatOf, day, knots, type DemoBoat } from './demo-boat.ts';
import { displayFrom } from './demo-parts.ts';

/** The brief is there, and no transducer yet. */
export const pewterSkua = (now: Date): DemoBoat => ({
  id: 'pewter-skua',
  madeAt: new Date(now.getTime() - 2 * day).toISOString(),
  revisions: [],
  start: {
    ...boatOf({
      name: 'Pewter Skua',
      lengthM: 5.3,
      beamM: 2,
      draughtM: 0.25,
      hullForm: 'flat-bottomed',
      hullMaterial: 'cored composite',
      propulsion: 'single outboard',
      cruiseSpeedMps: knots(18),
      topSpeedMps: knots(26),
      systemVoltageV: 12,
      notes: 'Tiller skiff, drifts over reef edges. One display.',
    }),
    stations: { tiller: { name: 'Tiller', viewingDistanceM: 0.8, posture: 'seated' } },
    waters: {
      'a-sound': {
        name: 'Tarrow Sound',
        kind: 'salt',
        salinityPpt: 34,
        temperatureC: 12,
        coldestC: 7,
        warmestC: 17,
        shallowestM: 3,
        usualDeepestM: 40,
        greatestM: 70,
        clarity: 'mixed',
      },
    },
    sought: {
      'a-pollack': { name: 'Pollack', lengthCm: 60, shallowestM: 8, deepestM: 40, over: ['rock'] },
      'b-wrasse': { name: 'Wrasse', lengthCm: 35, shallowestM: 3, deepestM: 20, over: ['rock'] },
    },
    ways: { running: true, drifting: true, trailer: true },
    working: { waterId: 'a-sound', depthM: 18 },
    displays: { tiller: displayFrom('display-8-three-keys') },
  },
});
