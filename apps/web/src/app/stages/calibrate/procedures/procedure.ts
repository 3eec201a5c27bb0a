import type { LiveQuantity } from '@grey-keel/model';

/** What a reading is taken from as it comes in. */
export type Live =
  /** One instrument, whose figures have to lie so near before they are averaged, for so long. */
  | {
      readonly by: 'one value';
      readonly quantity: LiveQuantity;
      readonly figure: string;
      readonly near: number;
      readonly averageS: number;
    }
  /** A straight run, of which one instrument is looked at and may follow slowly. */
  | { readonly by: 'run'; readonly follows: 'heading' | 'log' }
  /** A heading that is held: by the compass alone, or with where the boat is then. */
  | { readonly by: 'held compass' | 'held heading' };

const headings = ['headingTrueDeg', 'headingMagneticDeg'] as const;
/** What it has to hear. */
export const listensTo = (live: Live | null): readonly LiveQuantity[] => {
  switch (live?.by) {
    case 'one value':
      return [live.quantity];
    case 'run':
      return [...headings, 'cogDeg', 'sogMps', ...(live.follows === 'log' ? (['logMps'] as const) : [])];
    case 'held compass':
      return ['compassDeg', 'headingTrueDeg'];
    case 'held heading':
      return [...headings, 'latitudeDeg', 'longitudeDeg'];
    default:
      return [];
  }
};

/** How a kind of calibration is done here: what is said of it at its place, how it is drawn, and what its readings come from. */
export interface Procedure {
  readonly title: string;
  readonly where: string;
  readonly steps: readonly string[];
  readonly people: string;
  readonly caution: string;
  /** What one reading is called, and how it is told what it is taken for. */
  readonly reading: 'run' | 'reading' | 'heading' | 'sample' | 'pair' | 'look' | 'target' | 'pass';
  /** Over its result, on the button that enters it, and what that then says. */
  readonly result: string;
  readonly enter: string;
  readonly done: string;
  /** Under which heading it is listed. */
  readonly group: 'Depth' | 'Water and way' | 'Pictures and marks' | 'Noise and power';
  /** What its readings are drawn as; null where words say it better. */
  readonly picture: 'runs' | 'deviation' | 'bearings' | 'sides' | 'targets' | 'marks' | 'voltages' | null;
  /** What a reading can be taken from; null where it is typed. */
  readonly live: Live | null;
  /** Left out where what each reading leaves over is shown: false where there is nothing to compare. */
  readonly comparesReadings?: false;
  /** Decimals of its result, where they are not those of its quantity. */
  readonly decimals?: number;
}

/** More than one of a reading, in its own word. */
export const severalOf = (reading: Procedure['reading']): string => (reading === 'pass' ? 'passes' : `${reading}s`);
