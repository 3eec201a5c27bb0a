export type NmeaFields = Record<string, number | string | boolean>;
type Reader = (values: readonly string[]) => NmeaFields;

const knotMps = 1852 / 3600;
const kmhMps = 1 / 3.6;
const footM = 0.3048;
const fathomM = 6 * footM;

/** A number as it stands, or nothing: "12abc", "1e5" and an empty field are none. */
const numberIn = (text: string | undefined): number | null =>
  text !== undefined && /^[+-]?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text) : null;

/** Leaves out what is not there. */
const known = (fields: Readonly<Record<string, number | string | boolean | null>>): NmeaFields => {
  const there: NmeaFields = {};
  // A day's log has a million of them: no list is made of each.
  for (const name in fields) {
    const value = fields[name];
    if (value !== null && value !== undefined) there[name] = value;
  }
  return there;
};

const times = (value: number | null, factor: number): number | null => (value === null ? null : value * factor);

/** East and north count up, west and south down; without the letter a value says nothing. */
const signed = (value: number | null, letter: string | undefined): number | null => {
  if (value === null) return null;
  if (letter === 'E' || letter === 'N') return value;
  return letter === 'W' || letter === 'S' ? -value : null;
};

/** Degrees and minutes, ddmm.mmm, as degrees. */
const degreesIn = (text: string | undefined, letter: string | undefined, most: number): number | null => {
  const value = numberIn(text);
  if (value === null || value < 0) return null;
  const whole = Math.floor(value / 100);
  const minutes = value - whole * 100;
  const degrees = whole + minutes / 60;
  return minutes < 60 && degrees <= most ? signed(degrees, letter) : null;
};

const angle = (text: string | undefined): number | null => {
  const value = numberIn(text);
  return value !== null && value >= 0 && value <= 360 ? value : null;
};

const timeIn = (text: string | undefined): string | null => {
  const [, hours, minutes, seconds] = /^(\d\d)(\d\d)(\d\d(?:\.\d+)?)$/.exec(text ?? '') ?? [];
  return hours !== undefined && minutes !== undefined && seconds !== undefined
    ? `${hours}:${minutes}:${seconds}`
    : null;
};

const wordIn = (text: string | undefined): string | null => (text === undefined || text === '' ? null : text);

/** Speed by the letter of its unit: N knots, K kilometres an hour, M metres a second. */
const speedIn = (text: string | undefined, letter: string | undefined): number | null => {
  const factor = letter === 'N' ? knotMps : letter === 'K' ? kmhMps : letter === 'M' ? 1 : null;
  return factor === null ? null : times(numberIn(text), factor);
};

/** The same depth stands in feet, metres and fathoms; metres first. */
const depthOf: Reader = ([feet, , metres, , fathoms]) =>
  known({ depthM: numberIn(metres) ?? times(numberIn(feet), footM) ?? times(numberIn(fathoms), fathomM) });

/** Date from day, month and a year of two digits: 80 and later are of the last century. */
const dateIn = (text: string | undefined): string | null => {
  const [, day, month, year] = /^(\d\d)(\d\d)(\d\d)$/.exec(text ?? '') ?? [];
  if (day === undefined || month === undefined || year === undefined) return null;
  return `${Number(year) >= 80 ? '19' : '20'}${year}-${month}-${day}`;
};

/** Date from day, month and a year of four digits, each a value of its own. */
const longDateIn = ([day = '', month = '', year = '']: readonly string[]): string | null =>
  /^\d{1,2}$/.test(day) && /^\d{1,2}$/.test(month) && /^\d{4}$/.test(year)
    ? `${year}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`
    : null;

const position = (
  values: readonly string[],
  from: number,
): { latitudeDeg: number | null; longitudeDeg: number | null } => ({
  latitudeDeg: degreesIn(values[from], values[from + 1], 90),
  longitudeDeg: degreesIn(values[from + 2], values[from + 3], 180),
});

/** Transducers of all kinds, four values each: kind, value, unit, name. */
const transducers: Reader = (values) => {
  const fields: NmeaFields = {};
  for (let i = 0; i + 3 < values.length; i += 4) {
    const value = numberIn(values[i + 1]);
    const name = wordIn(values[i + 3]) ?? `transducer${i / 4 + 1}`;
    if (value === null) continue;
    const [kind, unit] = [values[i], values[i + 2]];
    if (kind === 'C' && unit === 'C') fields[`${name} temperatureC`] = value;
    else if (kind === 'A' && unit === 'D') fields[`${name} angleDeg`] = value;
    else if (kind === 'U' && unit === 'V') fields[`${name} voltageV`] = value;
    else if (kind === 'I' && unit === 'A') fields[`${name} currentA`] = value;
    else if (kind === 'P' && unit === 'B') fields[`${name} pressurePa`] = value * 1e5;
    else if (kind === 'P' && unit === 'P') fields[`${name} pressurePa`] = value;
    else if (kind === 'D' && unit === 'M') fields[`${name} lengthM`] = value;
    else fields[`${name} ${[kind, unit].filter(Boolean).join(' ')}`.trim()] = value;
  }
  return fields;
};

/** How each kind of sentence that a boat's instruments send is read. */
export const nmeaTypes: ReadonlyMap<string, Reader> = new Map<string, Reader>([
  // Depth below the face; a positive offset reaches to the waterline, a negative one to the keel.
  [
    'DPT',
    ([depth, offset, range]) => known({ depthM: numberIn(depth), offsetM: numberIn(offset), rangeM: numberIn(range) }),
  ],
  ['DBT', depthOf],
  ['DBS', depthOf],
  [
    'MTW',
    ([value, unit]) => {
      const number = numberIn(value);
      return known({ temperatureC: unit === 'F' && number !== null ? ((number - 32) * 5) / 9 : number });
    },
  ],
  [
    'VHW',
    ([truly, , magnetic, , knots, , kmh]) =>
      known({
        headingTrueDeg: angle(truly),
        headingMagneticDeg: angle(magnetic),
        speedMps: times(numberIn(knots), knotMps) ?? times(numberIn(kmh), kmhMps),
      }),
  ],
  [
    'VTG',
    (values) => {
      // Before version 2 the letters of the units were left out.
      const [course, letter, magnetic] = values;
      const old = letter !== 'T';
      return known({
        cogDeg: angle(course),
        cogMagneticDeg: angle(old ? letter : magnetic),
        speedMps: old
          ? (times(numberIn(values[2]), knotMps) ?? times(numberIn(values[3]), kmhMps))
          : (times(numberIn(values[4]), knotMps) ?? times(numberIn(values[6]), kmhMps)),
        mode: wordIn(values[8]),
      });
    },
  ],
  [
    'RMC',
    (values) =>
      known({
        timeUtc: timeIn(values[0]),
        valid: values[1] === 'A' ? true : values[1] === 'V' ? false : null,
        ...position(values, 2),
        speedMps: times(numberIn(values[6]), knotMps),
        cogDeg: angle(values[7]),
        dateUtc: dateIn(values[8]),
        variationDeg: signed(numberIn(values[9]), values[10]),
        mode: wordIn(values[11]),
      }),
  ],
  [
    'GGA',
    (values) =>
      known({
        timeUtc: timeIn(values[0]),
        ...position(values, 1),
        fixQuality: numberIn(values[5]),
        satellites: numberIn(values[6]),
        hdop: numberIn(values[7]),
        altitudeM: values[9] === 'M' ? numberIn(values[8]) : null,
        geoidM: values[11] === 'M' ? numberIn(values[10]) : null,
      }),
  ],
  [
    'GLL',
    (values) =>
      known({
        ...position(values, 0),
        timeUtc: timeIn(values[4]),
        valid: values[5] === 'A' ? true : values[5] === 'V' ? false : null,
      }),
  ],
  [
    'HDG',
    ([heading, deviation, deviationLetter, variation, variationLetter]) =>
      known({
        headingDeg: angle(heading),
        headingReference: 'magnetic, before deviation',
        deviationDeg: signed(numberIn(deviation), deviationLetter),
        variationDeg: signed(numberIn(variation), variationLetter),
      }),
  ],
  ['HDM', ([heading]) => known({ headingDeg: angle(heading), headingReference: 'magnetic' })],
  ['HDT', ([heading]) => known({ headingDeg: angle(heading), headingReference: 'true' })],
  ['ZDA', ([time, ...date]) => known({ timeUtc: timeIn(time), dateUtc: longDateIn(date) })],
  ['XDR', transducers],
  [
    'MWV',
    ([direction, reference, speed, unit, status]) =>
      known({
        windAngleDeg: angle(direction),
        windReference: reference === 'R' ? 'over the boat' : reference === 'T' ? 'true' : null,
        windSpeedMps: speedIn(speed, unit),
        valid: status === 'A' ? true : status === 'V' ? false : null,
      }),
  ],
]);
