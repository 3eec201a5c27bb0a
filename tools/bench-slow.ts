import { stageSchema, type Stage } from '@grey-keel/model';
import { find, openBrowser } from '../e2e/support/browser.ts';
import { dragFrames, firstView, fishFrames, hullFrames, paneFrames } from './bench-drag.ts';
import { median, type Row } from './bench-row.ts';

/** How much slower a tablet's processor is taken to be than this one. */
const slowed = 4;
const rounds = 3;

/** What was measured when these rows were first written, before the component library drew every control, ms. */
const atFirst: Readonly<Record<string, number>> = {
  'drag the depth': 45,
  'drag a fish': 42,
  'drag a transducer on the hull': 38,
  brief: 1343,
  beams: 1560,
  fit: 830,
  sources: 1763,
  calibrate: 1298,
  pages: 1244,
  keys: 338,
  'first view': 2815,
};
/** A budget, or 1.3 times what it was where that is more. */
const budgetOf = (name: string, budget: number): number => Math.max(budget, 1.3 * (atFirst[name] ?? 0));

interface StageChange {
  readonly stage: Stage;
  readonly milliseconds: number;
  /** What was fetched for it that was not there before. */
  readonly kilobytes: number;
}

/** Presses the mark of every stage for the first time, and waits until the stage is drawn. */
const stageChanges = async (address: string): Promise<StageChange[]> => {
  const { driver, close } = await openBrowser(1280, 800, { slowed });
  try {
    await driver.get(`${address}/boats/sable-wren/handover`);
    const seen: StageChange[] = [];
    for (const stage of stageSchema.options.filter((one) => one !== 'handover')) {
      await find(driver, 'main .sheet');
      await new Promise((resolve) => setTimeout(resolve, 1500));
      const answer = await driver.executeAsyncScript<[number, number] | null>(
        `
        const [stage, done] = arguments;
        const link = document.querySelector('nav a[href$="/' + stage + '"]');
        if (!link) return void done(null);
        const carried = () => performance.getEntriesByType('resource').reduce((sum, one) => sum + one.transferSize, 0);
        const before = carried();
        const title = document.querySelector('#stage-title').textContent;
        const start = performance.now();
        const look = () => {
          const drawn = document.querySelector('main .sheet') && document.querySelector('#stage-title').textContent !== title;
          if (!drawn) return void requestAnimationFrame(look);
          // One frame more: by then what was drawn is on the glass.
          requestAnimationFrame(() => setTimeout(() => done([performance.now() - start, (carried() - before) / 1000])));
        };
        link.click();
        look();`,
        stage,
      );
      if (answer) seen.push({ stage, milliseconds: answer[0], kilobytes: answer[1] });
    }
    return seen;
  } finally {
    await close();
  }
};

const within = (name: string, unit: string, value: number, budget: number): Row => ({
  name,
  value,
  unit,
  baseline: 'budget',
  baselineValue: budget,
  ratio: value / budget,
});

/** What the interface costs on a processor that is four times slower, as in a tablet. */
export const slowRows = async (address: string): Promise<Row[]> => {
  const drags = { 'the depth': dragFrames, 'a fish': fishFrames, 'a transducer on the hull': hullFrames };
  const rows: Row[] = [];
  const frames = async (name: string, one: () => Promise<{ readonly workP95: number }>): Promise<void> => {
    const values: number[] = [];
    for (let i = 0; i < rounds; i++) values.push((await one()).workP95);
    rows.push(within(`slowed ${slowed} times: ${name}, an event, p95`, 'ms', median(values), budgetOf(name, 16)));
  };
  for (const [name, drag] of Object.entries(drags)) await frames(`drag ${name}`, () => drag(address, 200, slowed));
  await frames('resize panes', () => paneFrames(address, 100, slowed));
  const changes = [];
  for (let i = 0; i < rounds; i++) changes.push(await stageChanges(address));
  for (const { stage } of changes[0] ?? []) {
    const same = changes.flatMap((one) => one.filter((change) => change.stage === stage));
    const took = median(same.map(({ milliseconds }) => milliseconds));
    const carried = median(same.map(({ kilobytes }) => kilobytes));
    rows.push(
      within(`slowed ${slowed} times: ${stage} for the first time`, 'ms', took, budgetOf(stage, 400)),
      within(`fetched for ${stage}`, 'kB', carried, 250),
    );
  }
  const first = await firstView(address, slowed);
  rows.push(within(`slowed ${slowed} times: first view, cold`, 'ms', first.milliseconds, budgetOf('first view', 2500)));
  return rows;
};
