import fc from 'fast-check';
import { answerOf } from '../calculation/calculation.ts';
import { refusalOf } from '../testing/refusal.ts';
import { nmeaDecode } from './nmea-decode.ts';
import { checksumOf } from './nmea-sentence.ts';
import { nmeaTypes } from './nmea-types.ts';

const read = (sentence: string) => answerOf(nmeaDecode, { sentence });
const fieldsOf = (sentence: string) => read(sentence).fields;
const knot = 1852 / 3600;

describe('nmea-decode', () => {
  it('reads the sentences that are quoted everywhere as examples, and their checksums hold', () => {
    const fixed = read('$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47');
    expect([fixed.talker, fixed.type, fixed.checksumOk]).toEqual(['GP', 'GGA', true]);
    expect(fixed.fields['latitudeDeg']).toBeCloseTo(48 + 7.038 / 60, 9);
    expect(fixed.fields['longitudeDeg']).toBeCloseTo(11 + 31 / 60, 9);
    expect(fixed.fields).toEqual(
      jasmine.objectContaining({
        timeUtc: '12:35:19',
        fixQuality: 1,
        satellites: 8,
        hdop: 0.9,
        altitudeM: 545.4,
        geoidM: 46.9,
      }),
    );
    const least = read('$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A');
    expect(least.checksumOk).toBeTrue();
    expect(least.fields).toEqual(
      jasmine.objectContaining({ valid: true, cogDeg: 84.4, dateUtc: '1994-03-23', variationDeg: -3.1 }),
    );
    expect(least.fields['speedMps']).toBeCloseTo(22.4 * knot, 9);
    const over = read('$GPVTG,054.7,T,034.4,M,005.5,N,010.2,K*48');
    expect([over.checksumOk, over.fields['cogDeg'], over.fields['cogMagneticDeg']]).toEqual([true, 54.7, 34.4]);
    expect(over.fields['speedMps']).toBeCloseTo(5.5 * knot, 9);
  });

  it('reads depths in metres wherever they stand, and leaves out what is empty', () => {
    expect(fieldsOf('$SDDPT,4.1,-0.3,100.0')).toEqual({ depthM: 4.1, offsetM: -0.3, rangeM: 100 });
    expect(fieldsOf('$SDDPT,4.1,')).toEqual({ depthM: 4.1 });
    expect(fieldsOf('$SDDBT,32.8,f,10.0,M,5.5,F')).toEqual({ depthM: 10 });
    expect(fieldsOf('$SDDBS,10,f,,M,,F')['depthM']).toBeCloseTo(3.048, 9);
    expect(fieldsOf('$SDDBT,,f,,M,2,F')['depthM']).toBeCloseTo(3.6576, 9);
    expect(fieldsOf('$SDDBT,,f,,M,,F')).toEqual({});
  });

  it('reads temperature, headings, speeds, time and wind, each by its own unit and reference', () => {
    expect(fieldsOf('$YXMTW,17.5,C')).toEqual({ temperatureC: 17.5 });
    expect(fieldsOf('$YXMTW,50,F')['temperatureC']).toBeCloseTo(10, 9);
    const log = fieldsOf('$VWVHW,120.0,T,118.0,M,5.0,N,9.3,K');
    expect(log).toEqual({ headingTrueDeg: 120, headingMagneticDeg: 118, speedMps: 5 * knot });
    expect(fieldsOf('$VWVHW,,T,,M,,N,36,K')['speedMps']).toBeCloseTo(10, 9);
    expect(fieldsOf('$GPVTG,054.7,034.4,5.5,10.2')['speedMps']).toBeCloseTo(5.5 * knot, 9);
    const compass = fieldsOf('$HCHDG,98.3,0.5,E,12.6,W');
    expect(compass['headingReference']).toContain('before deviation');
    expect([compass['headingDeg'], compass['deviationDeg'], compass['variationDeg']]).toEqual([98.3, 0.5, -12.6]);
    expect(fieldsOf('$HCHDM,98.3,M')).toEqual({ headingDeg: 98.3, headingReference: 'magnetic' });
    expect(fieldsOf('$HEHDT,98.3,T')).toEqual({ headingDeg: 98.3, headingReference: 'true' });
    expect(fieldsOf('$GPZDA,160012.71,11,3,2004,-1,00')).toEqual({ timeUtc: '16:00:12.71', dateUtc: '2004-03-11' });
    const wind = fieldsOf('$WIMWV,214.8,R,3.6,K,A');
    expect(wind).toEqual({ windAngleDeg: 214.8, windReference: 'over the boat', windSpeedMps: 3.6 / 3.6, valid: true });
    const placed = fieldsOf('$GPGLL,4916.45,S,12311.12,W,225444,V');
    expect(placed['latitudeDeg']).toBeCloseTo(-(49 + 16.45 / 60), 9);
    expect(placed['longitudeDeg']).toBeCloseTo(-(123 + 11.12 / 60), 9);
    expect(placed).toEqual(jasmine.objectContaining({ timeUtc: '22:54:44', valid: false }));
    const all = fieldsOf('$IIXDR,C,19.5,C,WATER,U,12.6,V,START,P,1.01,B,AIR,G,3,,');
    expect([all['WATER temperatureC'], all['START voltageV'], all['AIR pressurePa']]).toEqual([19.5, 12.6, 101_000]);
    expect(all['transducer4 G']).toBe(3);
  });

  it('takes nothing for a value that is none: garbled numbers, minutes of 60, positions without their letter', () => {
    expect(fieldsOf('$SDDPT,4.x,1e3')).toEqual({});
    expect(fieldsOf('$GPGLL,4860.00,N,18100.00,E,1,A')).toEqual({ valid: true });
    expect(fieldsOf('$GPGLL,4807.038,,01131.000,,,')).toEqual({});
    expect(fieldsOf('$HEHDT,361,T')).toEqual({ headingReference: 'true' });
    expect(fieldsOf('$GPRMC,,,,,,,,,2303,,,')).toEqual({});
  });

  it('tells a wrong checksum and a missing one, and a kind it does not read', () => {
    expect(read('$SDDPT,4.1,0.3*00').checksumOk).toBeFalse();
    expect(read('$SDDPT,4.1,0.3').checksumOk).toBeNull();
    const other = read('!AIVDM,1,1,,B,177KQJ5000G?tO`K>RA1wUbN0TKH,0*5C');
    expect([other.talker, other.type, other.checksumOk, Object.keys(other.fields).length]).toEqual([
      'AI',
      'VDM',
      true,
      0,
    ]);
    expect(read('$SDDPT,4.1,0.3*00').flags.join()).toContain('garbled');
    expect(read(`$SDDPT,4.1,0.3*${checksumOf('SDDPT,4.1,0.3').toLowerCase()}`).flags).toEqual([]);
  });

  it('refuses what is no sentence', () => {
    for (const sentence of ['', 'SDDPT,4', '$SD', '$SDDPT,4.1*6', '$SDDPT,4.1*', 'hello', '$sddpt,4'])
      expect(refusalOf(nmeaDecode, { sentence })).withContext(sentence).toContain('sentence');
  });

  it('reads or refuses any text, with no number in it that is none', () => {
    const kinds = [...nmeaTypes.keys()];
    const value = fc.oneof(
      fc.string({ maxLength: 6 }),
      fc.double().map(String),
      fc.constantFrom('', 'N', 'A', 'T', 'M'),
    );
    fc.assert(
      fc.property(fc.constantFrom(...kinds), fc.array(value, { maxLength: 16 }), (kind, values) => {
        const sentence = `$II${kind},${values.join(',')}`;
        if (refusalOf(nmeaDecode, { sentence }) !== '') return;
        for (const field of Object.values(fieldsOf(sentence)))
          expect(typeof field !== 'number' || Number.isFinite(field)).toBeTrue();
      }),
      { numRuns: 2000 },
    );
  });
});
