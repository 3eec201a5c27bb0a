import { turned } from '../calibration/true-heading.ts';
import { type RunAverage, type RunSamples, type RunState, type Sample, steadyRun } from '../instruments/steady-run.ts';
import { shownOverGround, simulatedBoat, type SimulatedBoat } from '../simulated-boat/simulated-boat.ts';
import { instrumentLagsS } from '../simulated-boat/hidden-errors.ts';

const { compass, position, log } = instrumentLagsS;
const everyS = 0.5;
/** Longer than so no run is held. */
const mostS = 240;

const stepped = (value: number, step: number): number => Math.round(value / step) * step;

/** A simulated boat sailed on straight runs, its instruments looked at as they come, until each run is ready; its headings true. */
export const sailedRuns = (
  seed: number,
  headings: readonly number[],
  { averageS = 30, withLog = true, throttle = 0.45 }: { averageS?: number; withLog?: boolean; throttle?: number } = {},
): { readonly boat: SimulatedBoat; readonly runs: readonly RunAverage[]; readonly states: readonly RunState[] } => {
  const boat = simulatedBoat(seed, { withDeviation: false });
  const shown: Record<'headingDeg' | 'cogDeg' | 'sogMps' | 'logMps', Sample[]> = {
    headingDeg: [],
    cogDeg: [],
    sogMps: [],
    logMps: [],
  };
  const states: RunState[] = [];
  const runs = headings.flatMap((steerDeg): RunAverage[] => {
    const startedS = boat.now().timeS;
    for (;;) {
      const now = boat.step(everyS, { wheel: 0, throttle, steerDeg, engineOn: true });
      const over = shownOverGround(now);
      const add = (list: Sample[], value: number): void => {
        list.push({ atS: now.timeS, value });
        if (list.length > 800) list.shift();
      };
      add(shown.headingDeg, stepped(turned(now.shown.compassDeg, boat.variationDeg), 0.1));
      add(shown.cogDeg, stepped(over.cogDeg, 0.1));
      add(shown.sogMps, stepped(over.sogMps, 0.00514));
      add(shown.logMps, stepped(now.shown.logMps, 0.00514));
      const { headingDeg, cogDeg, sogMps } = shown;
      const samples: RunSamples = withLog ? shown : { headingDeg, cogDeg, sogMps };
      const run = steadyRun(samples, now.timeS, { lagS: { heading: compass, position, log }, averageS });
      if (states[states.length - 1]?.state !== run.state) states.push(run);
      if (run.state === 'ready' && now.timeS - startedS > 5) return [run.average];
      if (now.timeS - startedS > mostS) return [];
    }
  });
  return { boat, runs, states };
};
