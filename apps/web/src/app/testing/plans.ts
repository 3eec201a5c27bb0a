import { BehaviorSubject, Subject } from 'rxjs';
import type { ServerNews } from '../state/server-news.ts';
import {
  emptyPlan,
  type BoatNews,
  type Edit,
  type OpenedBoat,
  type Plan,
  type Revision,
  type Transducer,
} from '@grey-keel/model';

/** Test data builders of the web application. */
export const aTransducer = (changes: Partial<Transducer> = {}): Transducer => ({
  name: 'Wide 190',
  kind: 'sounder',
  beams: [{ frequencyHz: 190_000, bandwidthHz: null, beamwidthDeg: 24, levelDb: -3, alongDeg: null }],
  apertureM: null,
  constantBeamwidth: false,
  electricalPowerW: null,
  catalogue: null,
  mounting: 'through-hull',
  forwardM: 2,
  starboardM: -0.5,
  aboveKeelM: 0.1,
  workingBeam: 0,
  transmitsIn: { trolling: true },
  ...changes,
});

export const aPlan = (): Plan => ({
  ...emptyPlan('Test Hull'),
  boat: { ...emptyPlan('Test Hull').boat, lengthM: 7.4, beamM: 2.5, draughtM: 0.5 },
  waters: {
    pool: {
      name: 'Pool',
      kind: 'fresh',
      salinityPpt: 0,
      temperatureC: 9,
      coldestC: 4,
      warmestC: 16,
      shallowestM: 3,
      usualDeepestM: 40,
      greatestM: 60,
      clarity: 'clear',
    },
  },
  ways: { trolling: true, running: true },
  working: { waterId: 'pool', depthM: 32 },
  transducers: {
    'a-wide': aTransducer(),
    'b-narrow': aTransducer({
      name: 'Narrow 95',
      starboardM: 0.8,
      beams: [{ frequencyHz: 95_000, bandwidthHz: null, beamwidthDeg: 9, levelDb: -3, alongDeg: null }],
      transmitsIn: {},
    }),
  },
});

export const aDisplay: Plan['displays'][string] = {
  name: 'Display 12',
  screenDiagonalM: 0.307,
  pixelsWide: 1280,
  pixelsHigh: 800,
  keys: 4,
  pressesPerKey: 2,
  keysBindTo: 'page',
  panesPerPage: 3,
  catalogue: null,
  seatedDistanceM: null,
  readAtNight: false,
};

/** The same boat with one station and its display. */
export const withHelm = (): Plan => ({
  ...aPlan(),
  stations: { helm: { name: 'Helm', viewingDistanceM: 0.9, posture: 'standing' } },
  displays: { helm: aDisplay },
});

/** And with a propeller and an antenna on the hull. */
export const withFit = (): Plan => ({
  ...withHelm(),
  equipment: {
    prop: {
      name: 'Propeller',
      kind: 'propeller',
      forwardM: -0.6,
      starboardM: 0,
      aboveKeelM: 0,
      propellerDiameterM: 0.35,
    },
    antenna: {
      name: 'Antenna',
      kind: 'position antenna',
      forwardM: 3,
      starboardM: 0,
      aboveKeelM: 2.5,
      propellerDiameterM: null,
    },
  },
});

/** News of the server as a test tells them, with nobody else listening. */
export const heardNews = (): Pick<ServerNews, 'told' | 'linked' | 'tabCloses'> => ({
  told: new Subject<BoatNews>(),
  linked: new BehaviorSubject(true),
  tabCloses: new Subject<void>(),
});

/** The id of a revision by its number, where a test says nothing else. */
export const idOf = (number: number): string => `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;

export const opened = (plan: Plan = aPlan(), number = 4): OpenedBoat => ({
  id: 'test-hull',
  number,
  revisionId: number === 0 ? null : idOf(number),
  keptAt: '2026-05-01T09:00:00.000Z',
  plan,
});

/** A revision as the server tells it, touching what its edits to the boat touch. */
export const revision = (number: number, edits: Edit[], revisionId = idOf(number)): Revision => ({
  number,
  revisionId,
  keptAt: '2026-05-01T10:00:00.000Z',
  edits,
  paths: edits.flatMap((edit) =>
    edit.type === 'describeBoat' ? Object.keys(edit.changes).map((field) => ['boat', field]) : [],
  ),
});
