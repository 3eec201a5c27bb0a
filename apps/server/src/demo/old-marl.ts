import { cardFingerprint, cardOf } from '@grey-keel/core';
import type { Plan, Water } from '@grey-keel/model';
import { enterSensor, headingEdits, speedEdits, temperatureEdits } from './demo-calibrations.ts';
import { boatOf, day, knots, type DemoBoat } from './demo-boat.ts';
import { displayFrom, fromCatalogue, layoutOf, number } from './demo-parts.ts';
import { after, enter, readingEdits } from './demo-readings.ts';
import { marlFit } from './marl-fit.ts';

const gannetDeep: Water = {
  name: 'Gannet Deep',
  kind: 'salt',
  salinityPpt: 35,
  temperatureC: 8,
  coldestC: 5,
  warmestC: 13,
  shallowestM: 40,
  usualDeepestM: 300,
  greatestM: 420,
  clarity: 'mixed',
};

/** Commissioned three months ago without a finding; since then its transducer was replaced. */
export const oldMarl = (now: Date): DemoBoat => {
  const at = (daysAgo: number): string => new Date(now.getTime() - daysAgo * day).toISOString();
  const start: Plan = {
    ...boatOf({
      name: 'Old Marl',
      lengthM: 11.8,
      beamM: 3.6,
      draughtM: 1.1,
      hullForm: 'displacement',
      hullMaterial: 'wood',
      propulsion: 'inboard shaft',
      cruiseSpeedMps: knots(8),
      topSpeedMps: knots(9.5),
      systemVoltageV: 24,
      notes: 'Drifts over a deep bank edge; training trips.',
    }),
    stations: {
      'a-wheelhouse': {
        name: 'Wheelhouse',
        viewingDistanceM: 0.9,
        posture: 'both',
        place: { forwardM: 6.2, starboardM: 0.4, aboveKeelM: 2.6 },
        eyeAboveKeelM: 3.7,
        mount: 'fixed',
      },
      'b-flybridge': {
        name: 'Flybridge',
        viewingDistanceM: 0.85,
        posture: 'standing',
        place: { forwardM: 5.1, starboardM: 0, aboveKeelM: 4.6 },
      },
    },
    waters: { gannet: gannetDeep },
    sought: { ling: { name: 'Ling', lengthCm: 110, shallowestM: 80, deepestM: 300, over: ['rock'] } },
    ways: { running: true, drifting: true, anchored: true },
    working: { waterId: 'gannet', depthM: 180 },
    transducers: {
      deep: fromCatalogue(
        'through-hull-deep-dual-45-95',
        { mounting: 'through-hull', forwardM: 4.2, starboardM: 0.5, aboveKeelM: 0.5, workingBeam: 0 },
        { running: true, drifting: true, anchored: true },
      ),
    },
    displays: {
      'a-wheelhouse': displayFrom('display-10-six-keys', { seatedDistanceM: 1.1, readAtNight: true }),
      'b-flybridge': displayFrom('display-8-wide-socket'),
    },
    pages: {
      'a1-run': {
        stationId: 'a-wheelhouse',
        name: 'Run',
        place: 1,
        shownIn: { running: true },
        layout: layoutOf('rows', [8 / 3, 'chart'], [4 / 3, 'sounder']),
        numbers: { depth: number('depth', 72, 0.78, 0.04), speed: number('speed', 56, 0.03, 0.04) },
      },
      'a2-bank': {
        stationId: 'a-wheelhouse',
        name: 'Bank',
        place: 2,
        shownIn: { drifting: true, anchored: true },
        layout: layoutOf('columns', [1, 'chart'], [3, 'sounder']),
        numbers: { depth: number('depth', 80, 0.3, 0.04) },
      },
      'b1-run': {
        stationId: 'b-flybridge',
        name: 'All',
        place: 1,
        shownIn: { running: true, drifting: true, anchored: true },
        layout: layoutOf('columns', [2, 'chart'], [2, 'sounder']),
        numbers: { depth: number('depth', 64, 0.55, 0.05) },
      },
    },
    keys: {
      'a-wheelhouse': {
        '1-short': { does: 'page', pageId: 'a1-run', place: null },
        '2-short': { does: 'page', pageId: 'a2-bank', place: null },
        '3-short': { does: 'mark', mark: 'seen' },
        '6-long': { does: 'stop transmitting' },
      },
      'b-flybridge': { '1-short': { does: 'page', pageId: 'b1-run', place: null } },
    },
    ...marlFit(),
  };
  const readings = readingEdits({
    transducerId: 'deep',
    displayId: 'a-wheelhouse',
    water: gannetDeep,
    assumedMps: 1500,
    setM: 0,
    pairs: [
      [6.1, 0.6],
      [8.4, 0.58],
      [11.2, 0.61],
      [14.8, 0.62],
      [19.5, 0.59],
      [25.3, 0.6],
    ],
  });
  const tide = { eastMps: 0.35, northMps: -0.2 };
  const sensors = [
    ...headingEdits('c-compass', {
      headingsDeg: [20, 200, 110, 290, 65, 245],
      throughMps: knots(6),
      current: tide,
      factor: 1,
      offsetDeg: 4,
      strayDeg: [0, 1, 0, 0, -1, 0],
    }),
    ...speedEdits('d-log', {
      headingsDeg: [20, 200, 110, 290, 65, 245],
      throughMps: knots(6),
      current: tide,
      factor: 1.07,
      offsetDeg: 0,
      strayDeg: [],
    }),
    ...temperatureEdits('d-log', [
      [8.1, 7.6],
      [8.0, 7.6],
      [8.2, 7.7],
      [8.1, 7.7],
    ]),
  ];
  const measured = after(start, [...readings, ...sensors]);
  const entering = [
    enter(measured, 'deep', at(91)),
    enterSensor(measured, 'heading', 'c-compass', at(91)),
    enterSensor(measured, 'speed', 'd-log', at(91)),
    enterSensor(measured, 'temperature', 'd-log', at(91)),
  ];
  const commissioned = after(measured, entering);
  const replacement = fromCatalogue(
    'through-hull-dual-45-190',
    { mounting: 'through-hull', forwardM: 4.2, starboardM: 0.5, aboveKeelM: 0.46, workingBeam: 0 },
    {},
  );
  const { transmitsIn: _kept, ...changes } = replacement;
  return {
    id: 'old-marl',
    start,
    madeAt: at(95),
    revisions: [
      { edits: [...readings, ...sensors], at: at(91) },
      { edits: entering, at: at(91) },
      {
        edits: [
          {
            type: 'printCard',
            id: 'card-1',
            card: { at: at(91), fingerprint: cardFingerprint(cardOf(commissioned)) },
          },
        ],
        at: at(91),
      },
      { edits: [{ type: 'describeTransducer', id: 'deep', changes }], at: at(6) },
      // A loudspeaker went in beside it.
      { edits: [{ type: 'describeEquipment', id: 'c-compass', changes: { forwardM: 6.9 } }], at: at(6) },
    ],
  };
};
