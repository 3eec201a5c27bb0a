import { parseArgs } from 'node:util';
import { boatScenarios } from './intervals/boat.ts';
import type { Found, Scenario } from './intervals/found.ts';
import { readingScenarios } from './intervals/readings.ts';
import { runScenarios } from './intervals/runs.ts';

/**
 * How often the 95 % interval of each procedure holds what a simulated boat hides, with readings as people take and type
 * them: `npm run intervals -- --count 1000`, or of some alone, `--only depth`. Every error that an interval counts is drawn.
 * At least 93 of 100 are asked; over 98 only where a step or a cancelled current is shared, and then with a half interval of
 * at most one and a half times the narrowest honest one (pairs: twice; waves that cancel over the span: four times, since a
 * few readings cannot tell that they do). The narrowest is what 95 of 100 are off by at most,
 * for somebody who knew beforehand how such boats scatter. Where there is no interval, or the readings are told to be no
 * good for one, the reason stands in its place, and every boat has to be told. Refused are runs that could not be taken.
 */
const { values } = parseArgs({
  options: { count: { type: 'string', default: '1000' }, only: { type: 'string', default: '' } },
});
const boats = Number(values.count);

interface Judged {
  readonly good: boolean;
  readonly words: string;
}

const percent = (share: number): string => `${(100 * share).toFixed(1)} %`;

const judge = ({ shares, widest = 1.5, none, told }: Scenario, found: readonly Found[]): Judged => {
  if (none !== undefined) return { good: found.every(({ half }) => half === null), words: `no interval: ${none}` };
  if (told !== undefined) {
    const all = found.filter(({ flags = [] }) => flags.some((flag) => flag.includes(told))).length;
    return { good: all === found.length, words: `told to ${percent(all / found.length)}: "${told}"` };
  }
  const given = found.flatMap(({ off, half }) => (half === null ? [] : [{ off: Math.abs(off), half }]));
  const held = given.filter(({ off, half }) => off <= half).length / given.length;
  const slack = 3 * Math.sqrt((0.95 * 0.05) / given.length);
  const half = given.reduce((sum, one) => sum + one.half, 0) / given.length;
  const errors = given.map(({ off }) => off).sort((a, b) => a - b);
  const narrowest = errors[Math.ceil(0.95 * errors.length) - 1] ?? 0;
  const wide = held > 0.98;
  const good =
    held > 0.93 - slack &&
    (!wide || (shares !== undefined && half <= widest * narrowest)) &&
    given.length === found.length;
  const bests = found.flatMap(({ best }) => (best === undefined ? [] : [best]));
  const best = bests.length ? `, best ${(bests.reduce((sum, one) => sum + one, 0) / bests.length).toFixed(4)}` : '';
  return {
    good,
    words: `holds ${percent(held)}  half ${half.toFixed(4)}, narrowest ${narrowest.toFixed(4)}${best}${wide ? `, shares ${shares ?? 'nothing'}` : ''}`,
  };
};

let poor = 0;
const scenarios = [...runScenarios, ...readingScenarios, ...boatScenarios];
for (const [i, scenario] of scenarios.entries()) {
  if (!scenario.name.includes(values.only)) continue;
  const found = Array.from({ length: boats }, (_, k) => scenario.find(100_000 * (i + 1) + k)).filter(
    (one) => one !== null,
  );
  const refused = 1 - found.length / boats;
  const nothing = scenario.none !== undefined && found.length === 0;
  const { good, words } = nothing ? { good: true, words: `refused: ${scenario.none ?? ''}` } : judge(scenario, found);
  const fine = good && (nothing || refused <= 0.2);
  poor += fine ? 0 : 1;
  console.log(
    `${scenario.name.padEnd(62)}${words}${refused > 0 && !nothing ? `, refused ${percent(refused)}` : ''}${fine ? '' : '  OUT'}`,
  );
}
process.exit(poor > 0 ? 1 : 0);
