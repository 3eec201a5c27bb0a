import { BehaviorSubject, Subject } from 'rxjs';
import type { ServerNews } from '../state/server-news.ts';
import { aBeam, aPlan as wholePlan, aTransducer } from '@grey-keel/core/testing';
import type { BoatNews, Edit, Equipment, OpenedBoat, Plan, Revision } from '@grey-keel/model';

const narrow = aBeam({ frequencyHz: 95_000, beamwidthDeg: 9 });

/** A boat with two transducers, its stations, screens and readings still to come. */
export const aPlan = (): Plan => ({
  ...wholePlan(),
  transducers: {
    'a-wide': aTransducer(),
    'b-narrow': aTransducer({ name: 'Narrow 95', starboardM: 0.8, beams: [narrow], transmitsIn: {} }),
  },
  stations: {},
  sought: {},
  ways: { trolling: true, running: true },
  displays: {},
  pages: {},
  keys: {},
  depthOffsets: {},
});

/** The same boat with one station and its display. */
export const withHelm = (): Plan => {
  const { stations, displays } = wholePlan();
  return { ...aPlan(), stations, displays };
};

const equipment = (name: string, kind: Equipment['kind'], forwardM: number, aboveKeelM: number): Equipment => ({
  name,
  kind,
  forwardM,
  starboardM: 0,
  aboveKeelM,
  propellerDiameterM: kind === 'propeller' ? 0.35 : null,
  ...(kind === 'propeller' ? { skegBelowBladesM: 0 } : {}),
});

/** And with a propeller and an antenna on the hull. */
export const withFit = (): Plan => ({
  ...withHelm(),
  equipment: {
    prop: equipment('Propeller', 'propeller', -0.6, 0),
    antenna: equipment('Antenna', 'position antenna', 3, 2.5),
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
