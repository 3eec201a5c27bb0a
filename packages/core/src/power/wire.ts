import { insulationRatingsC, type Conductor, type Gauge } from '@grey-keel/model';

/** Annealed copper at 20 °C, ohm square millimetres a kilometre, and its coefficient a kelvin. Source: IEC 60028:1925. */
const copperOhmMm2PerKm = 17.241;
export const copperPerKelvin = 0.003_93;

/**
 * What stranding and tinning add to solid copper of the same section. For American gauges from the coated stranded
 * column of the US National Electrical Code, chapter 9, table 8 (ohms a thousand feet at 75 °C, below); for metric sections, whose
 * standards give only an upper limit, a tenth.
 */
const coatedOhmPerKilofoot75: Readonly<Record<number, number>> = {
  18: 8.45,
  16: 5.29,
  14: 3.26,
  12: 2.05,
  10: 1.29,
  8: 0.809,
  6: 0.51,
  4: 0.321,
  2: 0.201,
  1: 0.16,
  0: 0.127,
  [-1]: 0.101,
  [-2]: 0.0797,
  [-3]: 0.0626,
};
const metricStranding = 1.1;

/** The number of an American gauge, with 1/0 as 0 and 4/0 as -3; null for a metric section. */
const gaugeNumber = (gauge: Gauge): number | null => {
  if (!gauge.startsWith('AWG ')) return null;
  const [number = '', zero] = gauge.slice(4).split('/');
  return zero === undefined ? Number(number) : 1 - Number(number);
};

/** Section of copper, mm². Source: ASTM B258 for American gauges. */
export const sectionMm2 = (gauge: Gauge): number => {
  const number = gaugeNumber(gauge);
  if (number === null) return Number.parseFloat(gauge);
  const diameterMm = 0.127 * 92 ** ((36 - number) / 39);
  return (Math.PI / 4) * diameterMm ** 2;
};

/** Resistance of one wire at 20 °C, ohms a kilometre. */
export const ohmPerKm20 = (gauge: Gauge, conductor: Conductor): number => {
  const solid = copperOhmMm2PerKm / sectionMm2(gauge);
  if (conductor === 'solid') return solid;
  const at75 = coatedOhmPerKilofoot75[gaugeNumber(gauge) ?? Number.NaN];
  if (at75 === undefined) return solid * metricStranding;
  return at75 / 0.3048 / (1 + copperPerKelvin * (75 - 20));
};

export const wireSource =
  'IEC 60028 copper, ASTM B258 gauges, NEC chapter 9 table 8 for stranded tinned; a tenth more for metric sections';

/** Rows of section, mm², and current, A, by the rated temperature of the insulation, for one wire in free air of 30 °C. */
const ampacityA: readonly (readonly [mm2: number, ...currentA: number[]])[] = [
  [0.75, 8, 10, 12, 16, 20],
  [1, 12, 14, 18, 20, 25],
  [1.5, 16, 18, 21, 25, 30],
  [2.5, 20, 25, 30, 35, 40],
  [4, 30, 35, 40, 45, 50],
  [6, 40, 45, 50, 60, 70],
  [10, 60, 65, 70, 90, 100],
  [16, 80, 90, 100, 130, 150],
  [25, 110, 120, 140, 170, 185],
  [35, 140, 160, 185, 210, 225],
  [50, 180, 210, 230, 270, 300],
  [70, 220, 265, 285, 330, 360],
  [95, 260, 310, 330, 390, 410],
  [120, 300, 360, 400, 450, 480],
];
/** Where it is 60 °C around the wire only part of it; none is left to insulation of 60 °C. */
const at60C: readonly number[] = [0, 0.75, 0.82, 0.86, 0.89];

/** The table's own surroundings, and those of its engine space, °C. */
const tableC = 30;
const engineSpaceC = 60;

export type InsulationC = (typeof insulationRatingsC)[number];

/**
 * The share of its current in the table that a wire may carry where it is so warm around it: all of it to 30 °C, along a
 * line to the table's share at 60 °C, from there with the root of what is left to the insulation's rating, nothing at the
 * rating. Insulation for 60 °C follows the root all the way.
 * Source: ISO 10133:2012, table A.1; heat given off is as the square of the current, and as the warmth over the air.
 */
export const warmthFactor = (rated: InsulationC, aroundC: number): number => {
  if (aroundC <= tableC) return 1;
  if (aroundC >= rated) return 0;
  if (rated <= engineSpaceC) return Math.sqrt((rated - aroundC) / (rated - tableC));
  const share = at60C[insulationRatingsC.indexOf(rated)] ?? 0;
  return aroundC <= engineSpaceC
    ? 1 - ((1 - share) * (aroundC - tableC)) / (engineSpaceC - tableC)
    : share * Math.sqrt((rated - aroundC) / (rated - engineSpaceC));
};

/**
 * The most a wire carries continuously, A, where it is so warm around it: of the next smaller section of the table for a
 * gauge between two. Source: ISO 10133:2012, table A.1, as superseded by ISO 13297.
 */
export const wireAmpacityA = (gauge: Gauge, rated: InsulationC, aroundC = tableC): number => {
  const section = sectionMm2(gauge);
  const column = insulationRatingsC.indexOf(rated);
  const row = [...ampacityA].reverse().find(([mm2]) => mm2 <= section * 1.001);
  return (row?.[column + 1] ?? 0) * warmthFactor(rated, aroundC);
};
