import type { CalibrationKind } from '@grey-keel/model';

/** What is said of a procedure at its place: how it is done, and by how many. */
export interface ProcedureWords {
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
}

/** As most are: a figure goes into the display. */
const onTheDisplay = { result: 'Enter on the display', enter: 'I have entered it on the display', done: 'Entered' };
const onTheCard = { result: 'For the card', enter: 'Put it on the card', done: 'On the card' };
const inThePlan = { result: 'What was measured', enter: 'Take it for the round figures', done: 'Taken' };
const overside = 'Engine off and propeller clear before anyone leans over the side. Life jackets on.';

/** More than one of a reading, in its own word. */
export const severalOf = (reading: ProcedureWords['reading']): string =>
  reading === 'pass' ? 'passes' : `${reading}s`;

const underWay = 'Two people: one at the helm with an eye on the water, one reads and writes. Kill cord on.';
const lookOut =
  'Keep a look-out during the runs: straight lines at a steady speed make other boats guess. Open water, no traffic.';

export const procedureWords: Readonly<Record<CalibrationKind, ProcedureWords>> = {
  speed: {
    ...onTheDisplay,
    title: 'Speed through water',
    where: 'Open water, light wind, deeper than the wake; the log clean. Any steady current is found with the factor.',
    steps: [
      'Hold one heading and one throttle until the log has settled, then read all four at once.',
      'Sail 0, 180, 90, 270: there and back at once, then the pair across. In a pair a current cancels even where it turns; two runs give a factor, four say how sure it is.',
      'Averages over half a minute or more; the display itself averages for some seconds.',
    ],
    people: underWay,
    caution: lookOut,
    reading: 'run',
  },
  temperature: {
    ...onTheDisplay,
    title: 'Water temperature',
    where:
      'At rest in mixed water, away from inlets and the engine’s outlet. Afternoon sun warms the top hand of water.',
    steps: [
      'Hold a thermometer you trust beside the sensor, at its depth, until it has settled; then read both.',
      'Take three pairs or more, minutes apart, and in water of another temperature where you can: in one water all share the steps they are read in.',
      'A sensor inside the hull measures the bilge: it can be wrong by any amount, and no offset helps.',
    ],
    people: 'One person is enough at rest.',
    caution: 'Engine off and propeller clear before anyone leans over the transom.',
    reading: 'reading',
  },
  heading: {
    ...onTheDisplay,
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
    result: 'Deviation card',
    enter: 'Put the card by the compass',
    done: 'Card made',
    title: 'Deviation of the compass',
    where: 'A slow full turn in calm water, everything that is magnetic or carries current where it is when under way.',
    steps: [
      'Steady on eight headings all round or more, and read compass and magnetic heading on each.',
      'The magnetic heading is a bearing of something far off, the sun, or a heading that is right already; course over ground is none, a current sets it off.',
      'Make the swing after the offset, not before: another offset entered later makes it another card.',
    ],
    people: underWay,
    caution:
      'Keep a look-out while turning. A compass that is steered by is adjusted by a licensed adjuster where the rules ask for it.',
    reading: 'heading',
  },
  'sound speed': {
    ...onTheDisplay,
    title: 'Speed of sound',
    where: 'Where the boat works, in the season it works. Warm water on top of cold makes a mean of both.',
    steps: [
      'Lower a thermometer to several depths, down to where you read depths; wait until it has settled at each.',
      'Take the salt by a strip or a meter; 0 in fresh water. Near river mouths it changes with the tide.',
      'Enter the mean in the display, or the water type that comes nearest to it.',
    ],
    people: 'One person is enough at rest.',
    caution:
      'A figure that is set too high shows more water than there is. Depths are never better than the lead line’s: sonar alone is no aid to navigation.',
    reading: 'sample',
  },
  step: {
    ...onTheDisplay,
    title: 'Step between two units',
    where: 'At rest over a flat, hard bottom, at several depths. Both units under the same water, side by side.',
    steps: [
      'Read both at one moment, each with what is set in it.',
      'Take three pairs or more, shallow and deep: at one depth all share the steps they are read in, and a step that grows with depth is a speed of sound, no offset.',
      'It makes the two agree; the lead line says whether they are right.',
    ],
    people: 'One person at each station, or one who photographs both.',
    caution:
      'Two displays that agree can both be wrong. A wrong depth grounds the boat: measure one by lead line first.',
    reading: 'pair',
  },
  sides: {
    ...onTheDisplay,
    result: 'Which side is which',
    enter: 'I have looked, and it holds',
    done: 'Looked at',
    title: 'Port and starboard',
    where: 'Along a bank, a pier or a moored boat that is on one side for certain, slowly.',
    steps: [
      'Pass it on one side and say on which half of the picture it comes up; then pass it on the other side.',
      'A view ahead is looked at the same way: a pole to starboard of the bow has to come up to starboard.',
      'Runs there and back over open water cannot show a swap.',
    ],
    people: underWay,
    caution: 'Near banks and piers look where you go, not at the picture.',
    reading: 'look',
  },
  pointing: {
    ...onTheDisplay,
    title: 'Pointing',
    where: 'At rest or anchored, one target that stands out: a pile, a buoy’s sinker, a moored boat’s keel.',
    steps: [
      'On a known bearing: sight the target over the bow with a compass or a protractor, and read where the picture has it.',
      'By two units on one target: take what the one that is right shows for the target off the bow.',
      'By the thin slice: turn until the target just goes out on each side; a pair of the two, half the slice to each side.',
    ],
    people: 'Two people: one sights, one reads. At rest.',
    caution: 'Never transmit at swimmers or divers, nor out of the water. Local rules on live sonar come first.',
    reading: 'reading',
  },
  range: {
    ...onTheCard,
    title: 'Range',
    where:
      'A wall or pier for side-scan, a pile or a buoy’s sinker for a view ahead, at distances that are paced or taped.',
    steps: [
      'Say how high the face and how high what answers stand over the bottom: a wall answers at the height of the face.',
      'Three distances or more, over the range you use.',
      'By triangle, less the water column, or as shown: which is right hangs on where the target stands.',
    ],
    people: 'Two people: one holds the boat, one tapes and reads.',
    caution: 'Fend off by hand at the wall with the engine in neutral.',
    reading: 'target',
  },
  tilt: {
    ...onTheCard,
    title: 'Tilt of the pole',
    where: 'At rest in calm water, people where they stand when fishing, the pole down as it is used.',
    steps: [
      'Hold a plumb line or a level to the pole and read the angle, bow up positive.',
      'Three readings or more, a minute apart, so that rolling cancels.',
      'The maker says at which tilt the view changes by itself: what is left until then is your margin.',
    ],
    people: 'One person is enough at rest.',
    caution: overside,
    reading: 'reading',
  },
  antenna: {
    ...onTheDisplay,
    title: 'Antenna to transducer',
    where: 'One small buoy on a short line in calm water, away from traffic.',
    steps: [
      'Pass it slowly so that it goes straight over the face, and set a mark at that moment.',
      'Pass it again on other headings, the other way and across: each mark lies off by the same vector, turned with the boat.',
      'Four passes carry an interval worth having; a receiver wanders by a metre or more.',
    ],
    people: underWay,
    caution: 'Keep the buoy’s line clear of the propeller; engine out of gear as it passes under.',
    reading: 'pass',
  },
  battery: {
    ...inThePlan,
    title: 'Battery',
    where: 'Through a usual day, from full in the morning to the voltage you come home with.',
    steps: [
      'Read voltage, current and what was taken since it was full, now at rest, now with all screens on.',
      'Six readings or more over the day; a lead-acid pack wants rest for a true voltage, so read it early and late. Iron phosphate tells nothing before it is nearly empty: discharge it at a known current and count.',
      'Read it again on later trips, counted on: what it loses from trip to trip comes out by itself.',
    ],
    people: 'One person is enough.',
    caution:
      'No loose jewellery and no tools across the posts. Lithium packs by their maker’s rules; shore power by a licensed marine electrician.',
    reading: 'reading',
  },
  noise: {
    ...inThePlan,
    title: 'Own noise',
    where:
      'Deep, quiet water; this sonar’s pulse and power at their greatest, the other sonars off, gain as high as you ever have it.',
    steps: [
      'At rest, lower a round sinker of known diameter under the face until it is just lost: that depth tells the electrical noise.',
      'Run faster in steps over known depth until the bottom is just lost: that speed tells the boat’s own noise under way.',
      'Repeat each three times: what counts is where it is lost, not where it comes back. Say what the bottom is; its strength alone leaves the result unsure by some eight decibels.',
    ],
    people: underWay,
    caution: lookOut,
    reading: 'reading',
  },
};
