import {
  answerOf,
  applyEdits,
  candidatesFor,
  fillTargetSnr,
  findings,
  footprint,
  measuresOf,
  rangeGrid,
  rankTransducers,
  readCatalogueCsv,
  sceneAt,
  sectionAt,
  wantsOf,
} from '@grey-keel/core';
import type { CatalogueEntry, Plan } from '@grey-keel/model';
import { randomUUID } from 'node:crypto';
import { demoFleet } from '../apps/server/src/demo/demo-fleet.ts';
import { startApplication } from '../e2e/support/application.ts';
import { fleetTimes } from './bench-fleet.ts';
import {
  dragFrames,
  firstView,
  fishFrames,
  hullFrames,
  layoutTimes,
  paneFrames,
  scrollFrames,
  type DragFrames,
  type PaneFrames,
} from './bench-drag.ts';

interface Row {
  readonly name: string;
  readonly value: number;
  readonly unit: string;
  readonly baseline: string;
  readonly baselineValue: number;
  readonly ratio: number;
}

const rounds = 7;
const median = (values: readonly number[]): number =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** Measures the thing and its baseline turn by turn, so that both see the same machine. */
const row = async (
  name: string,
  unit: string,
  thing: () => Promise<number> | number,
  baseline: string,
  base: () => Promise<number> | number,
): Promise<Row> => {
  const [values, bases]: [number[], number[]] = [[], []];
  for (let i = 0; i < rounds; i++) {
    values.push(await thing());
    bases.push(await base());
  }
  const [value, baselineValue] = [median(values), median(bases)];
  return { name, value, unit, baseline, baselineValue, ratio: value / baselineValue };
};

const microseconds = (times: number, work: () => void): number => {
  const start = performance.now();
  for (let i = 0; i < times; i++) work();
  return ((performance.now() - start) * 1000) / times;
};

const milliseconds = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

const wren = demoFleet(new Date('2026-06-01T08:00:00Z')).find(({ id }) => id === 'sable-wren');
if (!wren) throw new Error('There is no Sable Wren in the demo.');
const plan: Plan = wren.revisions.reduce((before, { edits }) => {
  const applied = applyEdits(before, edits);
  if (!applied.ok) throw new Error('The demo edits no longer apply.');
  return applied.plan;
}, wren.start);

const titles = ['name', 'frequency_khz', 'cone_deg', 'level_db', 'mountings', 'power_w'];
const gear = [
  titles,
  ...Array.from({ length: 5000 }, (_, i) => [
    `Gear ${i}`,
    String(45 + (i % 200)),
    String(6 + (i % 30)),
    '-3',
    'transom',
    '600',
  ]),
];
const shop: CatalogueEntry[] = readCatalogueCsv(gear.slice(0, 201)).items.map(({ id, item }) => ({
  id,
  item,
  version: 1,
  shipped: false,
}));
const wants = wantsOf(plan);
if (!wants) throw new Error('The water of Sable Wren is not described.');
const grid = rangeGrid(1, 140, 400);
const into = new Float64Array(400);
const terms = candidatesFor(plan, shop, 'sounder').candidates.flatMap(
  (candidate) => measuresOf(candidate, wants).beams,
);
const curves = (): void => {
  for (const beam of terms) fillTargetSnr(beam.terms, beam.targetStrengthDb, grid, into);
};
const plainCurves = (): void => {
  for (const { terms: one, targetStrengthDb } of terms)
    for (let i = 0; i < 400; i++)
      into[i] =
        one.constantDb +
        targetStrengthDb -
        (grid.spreadingDb[i] ?? 0) -
        2 * one.absorptionDbPerM * (grid.rangesM[i] ?? 0);
};
const ranked = (): void => {
  rankTransducers(plan, shop, 'only one');
  curves();
};
const sounder = Object.values(plan.transducers).find(({ kind }) => kind === 'sounder');
if (!sounder) throw new Error('Sable Wren has no sounder.');
const eightBeams: Plan = {
  ...plan,
  scene: { ...plan.scene, slopeDeg: 12 },
  transducers: Object.fromEntries(
    Array.from({ length: 8 }, (_, i) => [`t${i}`, { ...sounder, starboardM: i / 4 - 1 }]),
  ),
  fish: Object.fromEntries(
    Array.from({ length: 10 }, (_, i) => [
      `f${i}`,
      { lengthCm: 45, forwardM: 0, starboardM: i - 5, depthM: 10 + 2 * i },
    ]),
  ),
};

let sink = 0;
const bare = (): void => {
  sink += 2 * 32 * Math.tan((24 * Math.PI) / 360);
};

const app = await startApplication();
const url = `${app.address}/api/boats/sable-wren`;
const newest = async (): Promise<number> => ((await (await fetch(url)).json()) as { number: number }).number;
let number = 0;
const save = async (): Promise<void> => {
  const body = JSON.stringify({
    revisionId: randomUUID(),
    base: number,
    edits: [{ type: 'workAtDepth', depthM: 20 + (number % 10) }],
  });
  const response = await fetch(`${url}/revisions`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body,
  });
  if (response.status !== 201) throw new Error(`A save was answered ${response.status}.`);
  number += 1;
};
const calc = JSON.stringify({ beamwidthDeg: 24, depthM: 32 });
const calculateOver = (): Promise<unknown> =>
  fetch(`${app.address}/api/calculations/footprint`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: calc,
  }).then((response) => response.text());
const health = (): Promise<unknown> => fetch(`${app.address}/api/health`).then((response) => response.text());
/** Sable Wren with as many sensors as make thirty devices. */
const crowdedBoat = async (): Promise<string> => {
  const bundle = (await (await fetch(`${app.address}/api/boats/sable-wren/bundle`)).json()) as { plan: Plan };
  const [sensor] = Object.values(bundle.plan.equipment).filter(({ kind }) => kind === 'heading sensor');
  for (let i = 0; i < 24 && sensor; i++) {
    bundle.plan.equipment[`z-${i}`] = { ...sensor, name: `Sensor ${i}` };
    bundle.plan.network.devices[`z-${i}`] = { sockets: [], onBackbone: true, dropM: 1, loads: 1 };
  }
  await fetch(`${app.address}/api/bundles/crowded`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(bundle),
  });
  return 'crowded';
};
const drags: DragFrames[] = [];
for (let i = 0; i < 5; i++) drags.push(await dragFrames(app.address, 200));
const dragged = (part: keyof DragFrames): number => median(drags.map((one) => one[part]));

/** A fleet of a thousand boats, made by copying. */
const thousand = await startApplication();
for (let i = 0; i < 1000; i++)
  await fetch(`${thousand.address}/api/boats/old-marl/copy`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ id: `marl-${i}`, name: `Marl ${i}` }),
  });
const shopTimes = await fleetTimes(
  thousand.address,
  Array.from({ length: 1000 }, (_, i) => `marl-${i}`),
);
const { fleetP95 } = shopTimes;
const scrolled = await scrollFrames(thousand.address);
await thousand.remove();
const first = await firstView(app.address);
const fishDrags: PaneFrames[] = [];
for (let i = 0; i < 5; i++) fishDrags.push(await fishFrames(app.address, 200));
const hullDrags: PaneFrames[] = [];
for (let i = 0; i < 5; i++) hullDrags.push(await hullFrames(app.address, 200));
const laidOut = median([...(await layoutTimes(app.address, await crowdedBoat()))]);
const paneDrags: PaneFrames[] = [];
for (let i = 0; i < 5; i++) paneDrags.push(await paneFrames(app.address, 100));

number = await newest();

const rows: Row[] = [
  await row(
    'footprint with its working',
    'µs',
    () => microseconds(3000, () => void answerOf(footprint, { beamwidthDeg: 24, depthM: 32 })),
    'the bare formula',
    () => microseconds(300_000, bare),
  ),
  await row(
    'section of four transducers',
    'µs',
    () => microseconds(300, () => void sectionAt(plan, 32)),
    'one footprint',
    () => microseconds(3000, () => void answerOf(footprint, { beamwidthDeg: 24, depthM: 32 })),
  ),
  await row(
    'findings of a boat',
    'µs',
    () => microseconds(100, () => void findings(plan)),
    'one section',
    () => microseconds(300, () => void sectionAt(plan, 32)),
  ),
  await row(
    'apply one edit and check the plan',
    'µs',
    () => microseconds(300, () => void applyEdits(plan, [{ type: 'workAtDepth', depthM: 12 }])),
    'copy the plan as JSON',
    () => microseconds(3000, () => void JSON.parse(JSON.stringify(plan))),
  ),
  await row(
    'save an edit over HTTP',
    'ms',
    () => milliseconds(save),
    'ask for health',
    () => milliseconds(health),
  ),
  await row(
    'rank 200 transducers, with curves of 400 depths',
    'ms',
    () => milliseconds(() => Promise.resolve(ranked())),
    'the budget',
    () => 50,
  ),
  await row(
    'reach curves of 200 transducers, 400 depths each',
    'ms',
    () => milliseconds(() => Promise.resolve(curves())),
    'a plain loop over the same formula',
    () => milliseconds(() => Promise.resolve(plainCurves())),
  ),
  await row(
    'section of eight beams over a slope, ten fish',
    'ms',
    () => milliseconds(() => Promise.resolve(sceneAt(eightBeams, 32))),
    'the budget',
    () => 4,
  ),
  await row(
    'read 5000 rows of gear',
    'ms',
    () => milliseconds(() => Promise.resolve(readCatalogueCsv(gear))),
    'the budget',
    () => 3000,
  ),
  await row(
    'open a boat over HTTP',
    'ms',
    () => milliseconds(() => fetch(url).then((response) => response.text())),
    'ask for health',
    () => milliseconds(health),
  ),
  await row(
    'a calculation over HTTP',
    'ms',
    () => milliseconds(calculateOver),
    'ask for health',
    () => milliseconds(health),
  ),
  {
    name: 'drag the depth: script, style, layout, paint an event, p95',
    value: dragged('workP95'),
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 10,
    ratio: dragged('workP95') / 10,
  },
  {
    name: 'fleet of 1000 over HTTP, p95',
    value: fleetP95,
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 50,
    ratio: fleetP95 / 50,
  },
  ...(
    [
      ['list 1000 boats', 'fleetP95', 'bareFleetP95'],
      ['open one of 1000 boats', 'openP95', 'bareOpenP95'],
      ['save an edit to one of 1000 boats', 'saveP95', 'bareSaveP95'],
    ] as const
  ).map(([name, value, bare]) => ({
    name: `${name}, p95`,
    value: shopTimes[value],
    unit: 'ms',
    baseline: 'bare SQLite and Express',
    baselineValue: shopTimes[bare],
    ratio: shopTimes[value] / shopTimes[bare],
  })),
  {
    name: 'two hundred boats opened at once',
    value: shopTimes.crowdMs,
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 5000,
    ratio: shopTimes.crowdMs / 5000,
  },
  {
    name: 'scroll the fleet of 1000: gap between frames, p95',
    value: scrolled.gapP95,
    unit: 'ms',
    baseline: 'the page at rest',
    baselineValue: scrolled.restGapP95,
    ratio: scrolled.gapP95 / scrolled.restGapP95,
  },
  {
    name: 'first view, cold: carried over the wire',
    value: first.kilobytes,
    unit: 'kB',
    baseline: 'budget',
    baselineValue: 500,
    ratio: first.kilobytes / 500,
  },
  {
    name: 'first view, cold: until the fleet is there',
    value: first.milliseconds,
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 1500,
    ratio: first.milliseconds / 1500,
  },
  {
    name: 'resize panes: script, style, layout, paint an event, p95',
    value: median(paneDrags.map(({ workP95 }) => workP95)),
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 10,
    ratio: median(paneDrags.map(({ workP95 }) => workP95)) / 10,
  },
  {
    name: 'drag a fish: script, style, layout, paint an event, p95',
    value: median(fishDrags.map(({ workP95 }) => workP95)),
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 10,
    ratio: median(fishDrags.map(({ workP95 }) => workP95)) / 10,
  },
  {
    name: 'drag a transducer on the hull, rules live: an event, p95',
    value: median(hullDrags.map(({ workP95 }) => workP95)),
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 10,
    ratio: median(hullDrags.map(({ workP95 }) => workP95)) / 10,
  },
  {
    name: 'lay out the wiring of thirty devices, warm, median',
    value: laidOut,
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 300,
    ratio: laidOut / 300,
  },
  {
    name: 'drag the depth: gap between frames, p95',
    value: dragged('gapP95'),
    unit: 'ms',
    baseline: 'the page at rest',
    baselineValue: dragged('restGapP95'),
    ratio: dragged('gapP95') / dragged('restGapP95'),
  },
];
await app.remove();

if (process.argv.includes('--json')) console.log(JSON.stringify(rows));
else
  for (const { name, value, unit, baseline, baselineValue, ratio } of rows)
    console.log(
      `${name.padEnd(60)} ${value.toFixed(2).padStart(10)} ${unit}   ${ratio.toFixed(2).padStart(8)} x ${baseline} (${baselineValue.toPrecision(3)} ${unit})`,
    );
if (!Number.isFinite(sink)) process.exitCode = 1;
