import type { Plan } from '@grey-keel/model';
import { randomUUID } from 'node:crypto';
import { startApplication } from './application.ts';
import { coreRows, sink } from './bench-core.ts';
import { fleetPageTimes } from './bench-fleet-pages.ts';
import { fleetTimes } from './bench-fleet.ts';
import {
  dragFrames,
  firstView,
  fishFrames,
  hullFrames,
  layoutTimes,
  paneFrames,
  scrollFrames,
  streamFrames,
  type DragFrames,
  type PaneFrames,
} from './bench-drag.ts';
import { logRows } from './bench-log.ts';
import { median, milliseconds, row, type Row } from './bench-row.ts';
import { readerRow, stalledRow } from './bench-readers.ts';
import { slowRows } from './bench-slow.ts';

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
const readers = await readerRow(
  thousand.address,
  Array.from({ length: 20 }, (_, i) => `marl-${i}`),
);
const listeners = await stalledRow(app);
const pageTimes = await fleetPageTimes();
const streamed = await streamFrames(app.address);
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

const slow = await slowRows(app.address);

number = await newest();

const rows: Row[] = [
  ...(await coreRows()),
  ...(await logRows()),
  await row(
    'save an edit over HTTP',
    'ms',
    () => milliseconds(save),
    'ask for health',
    () => milliseconds(health),
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
    name: 'instruments at 10 Hz: gap between frames, p95',
    value: streamed.gapP95,
    unit: 'ms',
    baseline: 'the same page at rest',
    baselineValue: streamed.restGapP95,
    ratio: streamed.gapP95 / streamed.restGapP95,
  },
  {
    name: 'a page of 10 000 boats over HTTP, p95',
    value: pageTimes.pageP95,
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 50,
    ratio: pageTimes.pageP95 / 50,
  },
  {
    name: 'a page of 10 000 boats over HTTP, p95',
    value: pageTimes.pageP95,
    unit: 'ms',
    baseline: 'the same by SQLite and Express',
    baselineValue: pageTimes.barePageP95,
    ratio: pageTimes.pageP95 / pageTimes.barePageP95,
  },
  ...(
    [
      ['list 200 of 1000 boats', 'fleetP95', 'bareFleetP95'],
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
    name: 'scroll and page 200 of 1000 boats: gap between frames, p95',
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
    baselineValue: 450,
    ratio: first.kilobytes / 450,
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
  ...slow,
  readers,
  listeners,
];
await app.remove();

if (process.argv.includes('--json')) console.log(JSON.stringify(rows));
else
  for (const { name, value, unit, baseline, baselineValue, ratio } of rows)
    console.log(
      `${name.padEnd(60)} ${value.toFixed(2).padStart(10)} ${unit}   ${ratio.toFixed(2).padStart(8)} x ${baseline} (${baselineValue.toPrecision(3)} ${unit})`,
    );
if (!Number.isFinite(sink.sum)) process.exitCode = 1;
