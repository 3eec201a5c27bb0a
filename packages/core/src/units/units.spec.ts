import fc from 'fast-check';
import { quantitySchema, type Quantity } from '@grey-keel/model';
import { formatFigure, formatNumber, toDisplay, toSi, unitFor, unitSets } from './display-units.ts';
import { parseFigure } from './parse-figure.ts';

const { metric, feet, fathoms } = unitSets;
const read = (text: string, quantity: Quantity, units: Parameters<typeof parseFigure>[2] = metric): number | string => {
  const parsed = parseFigure(text, quantity, units);
  return parsed.ok ? parsed.value : parsed.message;
};

describe('units', () => {
  it('have their exact definitions', () => {
    expect(read('1 ft', 'length')).toBeCloseTo(0.3048, 12);
    expect(read('1 fm', 'depth')).toBeCloseTo(1.8288, 12);
    expect(read('1 kn', 'speed')).toBeCloseTo(1852 / 3600, 12);
    expect(read('60 mph', 'speed')).toBeCloseTo(26.8224, 12);
    expect(read('212 °F', 'temperature')).toBeCloseTo(100, 12);
    expect(read('-40 f', 'temperature')).toBeCloseTo(-40, 12);
    expect(read('20 in', 'length')).toBeCloseTo(0.508, 12);
    expect(read('190', 'frequency')).toBe(190_000);
  });

  it('are read two after each other, as boats are measured: 20\'6", 20 ft 6 in, 6 fm 2 ft', () => {
    const metres = 20.5 * 0.3048;
    for (const text of [`20'6"`, '20 ft 6 in', "20' 6", '20ft 6in', '20 feet 6 inches', '20\u20326\u2033'])
      expect(read(text, 'length')).withContext(text).toBeCloseTo(metres, 12);
    expect(read('6 fm 2 ft', 'depth', fathoms)).toBeCloseTo(38 * 0.3048, 12);
    expect(read('-1 ft 6 in', 'length')).toBeCloseTo(-0.4572, 12);
    for (const text of ['20 ft 14 in', '6 fm 2', '6 fm 9 ft', '3 ft 2 ft'])
      expect(read(text, 'length')).withContext(text).toContain('two units');
    // Fish are measured in inches where boats are in feet.
    expect(read('18', 'fishLength', feet)).toBeCloseTo(45.72, 9);
    expect(read('18 in', 'fishLength')).toBeCloseTo(45.72, 9);
    expect(formatFigure({ value: 45.72, quantity: 'fishLength' }, feet)).toBe('18.0\u00a0in');
  });

  it('are of the view: what is typed without one is in the shown one', () => {
    expect(read('10', 'depth', fathoms)).toBeCloseTo(18.288, 9);
    expect(read('10', 'length', fathoms)).toBeCloseTo(3.048, 9);
    expect(read('10 m', 'depth', feet)).toBe(10);
  });

  it('go there and back for every quantity', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...quantitySchema.options),
        fc.constantFrom(metric, feet, fathoms),
        fc.double({ min: -1e4, max: 1e4, noNaN: true }),
        (quantity, units, value) => {
          const shown = unitFor(quantity, units);
          expect(toSi(toDisplay(value, shown), shown)).toBeCloseTo(value, 6);
        },
      ),
    );
  });

  it('read a decimal comma, and ask where a comma could be either', () => {
    expect(read('12,5', 'depth')).toBe(12.5);
    expect(read('-0,39', 'length')).toBeCloseTo(-0.39, 9);
    expect(read('0,455', 'length')).toBeCloseTo(0.455, 9);
    expect(read('20 knots', 'speed')).toBeCloseTo(read('20 kts', 'speed') as number, 12);
    expect(read('20 kts', 'speed')).toBeCloseTo((20 * 1852) / 3600, 9);
    expect(read('2 metres', 'depth', feet)).toBe(2);
    expect(read('1 foot', 'length')).toBeCloseTo(0.3048, 12);
    expect(read('\u22120.39 m', 'length')).toBeCloseTo(-0.39, 9);
    expect(read('1,250', 'depth')).toBe('"1,250" can be read two ways. Write 1250 or 1.250.');
    expect(read('1,2.5', 'depth')).toContain('too many');
  });

  it('say what to write instead of what cannot be read', () => {
    for (const text of ['', 'deep', '12.5.1', '--3', '4 furlongs', '1e3'])
      expect(read(text, 'depth')).withContext(text).toContain('12.5 m');
  });

  it('print with unit, true minus, sign where asked, and never minus nothing', () => {
    expect(formatFigure({ value: 0.39, quantity: 'length' }, metric, { signed: true })).toBe('+0.39\u00a0m');
    expect(formatFigure({ value: -0.39, quantity: 'length' }, feet)).toBe('\u22121.28\u00a0ft');
    expect(formatFigure({ value: 24, quantity: 'angle' }, metric)).toBe('24.0°');
    expect(formatFigure({ value: 190_000, quantity: 'frequency' }, metric)).toBe('190\u00a0kHz');
    expect(formatFigure({ value: 3, quantity: 'count' }, metric)).toBe('3');
    expect(formatFigure({ value: 10, quantity: 'area' }, feet)).toBe('108\u00a0ft²');
    expect(formatNumber(-0.001, 2)).toBe('0.00');
    // A difference of temperatures has no freezing point to start from.
    expect(formatFigure({ value: 10, quantity: 'temperatureDifference' }, feet)).toBe('18.0\u00a0°F');
  });
});
