import type { CalibrationKind, CalibrationSettings, Plan, Sentence } from '@grey-keel/model';
import { calibrationOf } from './sensor-calibration.ts';
import { turned } from './true-heading.ts';

type Figures = Readonly<Record<string, number>>;

/** What a correction that the display keeps makes of what comes in: the procedures want figures as they are displayed. */
const displayed: {
  readonly [K in CalibrationKind]?: (settings: CalibrationSettings<K>) => {
    readonly set: boolean;
    readonly of: (figures: Figures) => Figures;
  };
} = {
  heading: ({ setDeg }) => ({
    set: setDeg !== 0,
    of: ({ headingDeg = 0, ...rest }) => ({ ...rest, headingDeg: turned(headingDeg, setDeg) }),
  }),
  speed: ({ setFactor }) => ({
    set: setFactor !== 1,
    of: ({ logMps = 0, ...rest }) => ({ ...rest, logMps: logMps * setFactor }),
  }),
  temperature: ({ setByC }) => ({
    set: setByC !== 0,
    of: ({ displayedC = 0, ...rest }) => ({ ...rest, displayedC: displayedC + setByC }),
  }),
};

/** Whether anything is set that what comes in may be with or without; the question is put only then. */
export const correctionIsSet = (plan: Plan, kind: CalibrationKind, id: string): boolean =>
  displayed[kind]?.(calibrationOf(plan, kind, id) as never).set ?? false;

/**
 * Figures from the instruments as the display shows them: what is set in the display is not in what the sensor sends,
 * and is added here; what is set in the sensor itself is in it already. Where nobody said which, it is refused: the
 * correction would be counted twice, or not at all.
 */
export const asDisplayed = (
  plan: Plan,
  kind: CalibrationKind,
  id: string,
  figures: Figures,
): { readonly figures: Figures } | { readonly why: Sentence } => {
  const settings = calibrationOf(plan, kind, id);
  const correction = displayed[kind]?.(settings as never);
  if (!correction?.set) return { figures };
  const keptIn = 'correctionIn' in settings ? settings.correctionIn : undefined;
  if (keptIn === 'sensor') return { figures };
  if (keptIn === 'display') return { figures: correction.of(figures) };
  return {
    why: [
      'A correction is set. Say below whether it is set in the display or in the sensor itself: only in the second case is it in what comes in.',
    ],
  };
};
