import {
  answerOf,
  applyEdits,
  candidatesFor,
  devicesWithSettings,
  enterLine,
  fillTargetSnr,
  findings,
  footprint,
  linesOf,
  measuresOf,
  rangeGrid,
  rankTransducers,
  readCatalogueCsv,
  sceneAt,
  sectionAt,
  requirementsOf,
} from '@grey-keel/core';
import type { CatalogueEntry, Edit, Plan } from '@grey-keel/model';
import { demoFleet } from '../apps/server/src/demo/demo-fleet.ts';
import { median, microseconds, milliseconds, row, type Row } from './bench-row.ts';

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
const requirements = requirementsOf(plan);
if (!requirements) throw new Error('The water of Sable Wren is not described.');
const grid = rangeGrid(1, 140, 400);
const into = new Float64Array(400);
const terms = candidatesFor(plan, shop, 'sounder').candidates.flatMap(
  (candidate) => measuresOf(candidate, requirements).beams,
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

/** Summed up, so that the formula is not taken out of the loop. */
export const sink = { sum: 0 };
const bare = (): void => {
  sink.sum += 2 * 32 * Math.tan((24 * Math.PI) / 360);
};

const anew = (one: Plan): Plan => structuredClone(one);
const [circuitId = '', circuit] = Object.entries(plan.power.circuits)[0] ?? [];
const [loadId = '', load] = Object.entries(circuit?.loads ?? {})[0] ?? [];
if (!load) throw new Error('Sable Wren has no load.');

/** An edit after each of which the findings are asked for, each time another value. */
const afterEdits: readonly (readonly [name: string, budgetMs: number, edit: (turn: number) => Edit])[] = [
  ['a rename', 3, (turn) => ({ type: 'describeBoat', changes: { name: `Hull ${turn}` } })],
  [
    'one load',
    6,
    (turn) => ({ type: 'putLoad', circuitId, id: loadId, load: { ...load, currentA: 1 + (turn % 50) / 50 } }),
  ],
  [
    'the temperature of the water',
    15,
    (turn) => ({
      type: 'describeWater',
      id: plan.working.waterId ?? '',
      changes: { temperatureC: 8 + (turn % 90) / 10 },
    }),
  ],
];

/** What the findings after an edit take, and what they take of a plan never seen before: medians after a warm-up. */
const findingsAfter = ([name, budgetMs, edit]: (typeof afterEdits)[number]): Row[] => {
  let now = plan;
  const [took, whole]: [number[], number[]] = [[], []];
  for (let turn = 0; turn < 120; turn++) {
    const applied = applyEdits(now, [edit(turn)]);
    if (!applied.ok) throw new Error('An edit of the bench was refused.');
    now = applied.plan;
    const copy = anew(now);
    const start = performance.now();
    findings(now);
    const between = performance.now();
    findings(copy);
    if (turn < 40) continue;
    took.push(between - start);
    whole.push(performance.now() - between);
  }
  const value = median(took);
  const beside = (baseline: string, baselineValue: number): Row => ({
    name: `findings after ${name}`,
    value,
    unit: 'ms',
    baseline,
    baselineValue,
    ratio: value / baselineValue,
  });
  return [beside('budget', budgetMs), beside('a full run', median(whole))];
};

/** What lines more cost that no finding is about, up to 130, on a boat on which all that is wanted is entered. */
const findingsOfLines = (): Row => {
  const done = { at: '2026-06-01T08:00:00Z', by: 'Installer' };
  const lines = devicesWithSettings(plan).flatMap(({ id }) => linesOf(plan, id));
  const entered = applyEdits(
    plan,
    lines.flatMap((line) => enterLine(plan, line, done)),
  );
  if (!entered.ok) throw new Error('A line of the bench was refused.');
  const [deviceId = '', kinds] = Object.entries(entered.plan.held)[0] ?? [];
  const asLeft = { value: 'A name', ...done, seenAgainAt: null };
  const more = Array.from({ length: 130 - lines.length }, (_, i) => [`name-${i}`, { asFound: null, asLeft }] as const);
  const name = { ...kinds?.name, ...Object.fromEntries(more) };
  const many: Plan = { ...entered.plan, held: { ...entered.plan.held, [deviceId]: { ...kinds, name } } };
  const took = (of: Plan): number => {
    const copy = anew(of);
    return microseconds(1, () => void findings(copy)) / 1000;
  };
  const dearer = Array.from({ length: 60 }, () => took(many) - took(entered.plan));
  const value = median(dearer);
  return {
    name: 'findings with 130 lines held, dearer by',
    value,
    unit: 'ms',
    baseline: 'budget',
    baselineValue: 1,
    ratio: value,
  };
};

/** What is computed without a server. */
export const coreRows = async (): Promise<Row[]> => [
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
    'findings of a boat never seen before',
    'µs',
    () => microseconds(20, () => void findings(anew(plan))) - microseconds(20, () => void anew(plan)),
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
  ...afterEdits.flatMap(findingsAfter),
  findingsOfLines(),
];
