import type { HelmState } from '@grey-keel/model';

type Script = NonNullable<HelmState['script']>;

/** How far each leg is turned from the heading the script began on. */
const legs: Readonly<Record<Script, readonly number[]>> = {
  'there and back': [0, 180],
  'two pairs': [0, 180, 90, 270],
  'swing of eight': [0, 45, 90, 135, 180, 225, 270, 315],
};

/** Turning, five lags of the slowest instrument, and half a minute to average over. */
export const legS = 100;

/** What a scripted run steers so long after it began on a heading; null once its last leg is done. */
const scriptSteersDeg = (script: Script, beganDeg: number, elapsedS: number): number | null => {
  const turn = legs[script][Math.floor(elapsedS / legS)];
  return turn === undefined ? null : (beganDeg + turn) % 360;
};

/** Where a script finds the throttle closed it opens it so far. */
const throttleOpened = 0.45;

/** A script that is under way: which, since when, and from which heading. */
export interface RunningScript {
  readonly script: Script;
  readonly atS: number;
  readonly onDeg: number;
}

/**
 * The helm of a scripted run at a moment, and what is to be remembered of it: leg by leg at a steady throttle, and the
 * helm let go once the last leg is done.
 */
export const followScript = (
  helm: HelmState,
  before: RunningScript | null,
  { timeS, headingDeg }: { readonly timeS: number; readonly headingDeg: number },
): { readonly helm: HelmState; readonly running: RunningScript | null } => {
  const { script } = helm;
  if (script == null) return { helm, running: null };
  const running =
    before?.script === script ? before : { script, atS: timeS, onDeg: helm.steerDeg ?? Math.round(headingDeg) };
  const steerDeg = scriptSteersDeg(script, running.onDeg, timeS - running.atS);
  if (steerDeg === null) return { helm: { ...helm, script: null, throttle: 0 }, running: null };
  return {
    helm: { ...helm, steerDeg, wheel: 0, throttle: helm.throttle || throttleOpened, engineOn: true },
    running,
  };
};
