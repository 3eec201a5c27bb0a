import type { CalibrationKind } from '@grey-keel/model';

/** What is said of a procedure at its place: how it is done, and by how many. */
export interface ProcedureWords {
  readonly title: string;
  readonly where: string;
  readonly steps: readonly string[];
  readonly people: string;
  readonly caution: string;
  /** What one reading is called, and how it is told what it is taken for. */
  readonly reading: 'run' | 'reading' | 'heading';
}

const underWay = 'Two people: one at the helm with an eye on the water, one reads and writes. Kill cord on.';
const lookOut =
  'Keep a look-out during the runs: straight lines at a steady speed make other boats guess. Open water, no traffic.';

export const procedureWords: Readonly<Record<CalibrationKind, ProcedureWords>> = {
  speed: {
    title: 'Speed through water',
    where: 'Open water, light wind, deeper than the wake; the log clean. Any steady current is found with the factor.',
    steps: [
      'Hold one heading and one throttle until the log has settled, then read all four at once.',
      'Run the other way, or on any heading that differs: two runs give a factor, four a factor that can be trusted.',
      'Averages over half a minute or more; the display itself averages for some seconds.',
    ],
    people: underWay,
    caution: lookOut,
    reading: 'run',
  },
  temperature: {
    title: 'Water temperature',
    where:
      'At rest in mixed water, away from inlets and the engine’s outlet. Afternoon sun warms the top hand of water.',
    steps: [
      'Hold a thermometer you trust beside the sensor, at its depth, until it has settled; then read both.',
      'Take three pairs or more, minutes apart; at other temperatures too, where you can.',
      'A sensor inside the hull measures the bilge: it can be wrong by any amount, and no offset helps.',
    ],
    people: 'One person is enough at rest.',
    caution: 'Engine off and propeller clear before anyone leans over the transom.',
    reading: 'reading',
  },
  heading: {
    title: 'Heading offset',
    where:
      'Open water, a straight line you can hold for a minute each way, at 4 knots or more: course means nothing at a crawl.',
    steps: [
      'Run one way at a steady speed, then back on the opposite heading at the same throttle: that is a pair.',
      'Make the next pair across the first. Two pairs carry an interval, three show a bad one.',
      'A current turns the course away from the heading both ways; in the difference of a pair it cancels.',
    ],
    people: underWay,
    caution: lookOut,
    reading: 'run',
  },
  deviation: {
    title: 'Deviation of the compass',
    where: 'A slow full turn in calm water, everything that is magnetic or carries current where it is when under way.',
    steps: [
      'Steady on eight headings all round or more, and read compass and magnetic heading on each.',
      'The magnetic heading is a bearing of something far off, the sun, or a heading that is right already.',
      'Make the swing after the offset, not before: what is the same on every heading is no deviation.',
    ],
    people: underWay,
    caution:
      'Keep a look-out while turning. A compass that is steered by is adjusted by a licensed adjuster where the rules ask for it.',
    reading: 'heading',
  },
};
