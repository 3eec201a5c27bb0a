import { degreesAndMinutes, encodeSentence } from './nmea-encode.ts';
import { measuredQuantities } from './measured-quantities.ts';
import { readSentence } from './read-sentence.ts';

const of = (line: string) => {
  const read = readSentence(line);
  return read && measuredQuantities(read);
};

describe('what sentences measure', () => {
  it('is told by quantity and unit, whichever sentence says it', () => {
    // Sentences as they stand in published descriptions of NMEA 0183, with their checksums.
    expect(of('$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A')).toEqual({
      cogDeg: 84.4,
      sogMps: jasmine.any(Number) as never,
      latitudeDeg: jasmine.any(Number) as never,
      longitudeDeg: jasmine.any(Number) as never,
      variationDeg: -3.1,
    });
    expect(of('$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6A')?.sogMps).toBeCloseTo(11.5236, 3);
    expect(of('$GPVTG,054.7,T,034.4,M,005.5,N,010.2,K*48')?.cogDeg).toBe(54.7);
    expect(of(encodeSentence('HC', 'HDG', ['358.5', '3.0', 'E', '7.0', 'W']))).toEqual({
      compassDeg: 358.5,
      headingMagneticDeg: 1.5,
      variationDeg: -7,
    });
    expect(of(encodeSentence('SD', 'DBT', ['', 'f', '12.4', 'M', '', 'F']))).toEqual({ depthM: 12.4 });
    expect(of(encodeSentence('II', 'XDR', ['P', '1.02', 'B', 'baro', 'U', '12.6', 'V', 'house']))).toEqual({
      voltageV: 12.6,
    });
    expect(of(encodeSentence('WI', 'MWV', ['30', 'R', '10', 'M', 'A']))).toEqual({ windAngleDeg: 30, windMps: 10 });
    expect(of(encodeSentence('HE', 'HDT', ['12.5', 'T']))).toEqual({ headingTrueDeg: 12.5 });
    expect(of(encodeSentence('HC', 'HDM', ['12.5', 'M']))).toEqual({ compassDeg: 12.5, headingMagneticDeg: 12.5 });
  });

  it('is nothing where a checksum is wrong, the receiver says void, or the type is another', () => {
    for (const line of [
      '$GPRMC,123519,A,4807.038,N,01131.000,E,022.4,084.4,230394,003.1,W*6B',
      encodeSentence('GP', 'RMC', [
        '123519',
        'V',
        '4807.038',
        'N',
        '01131.000',
        'E',
        '022.4',
        '084.4',
        '230394',
        '',
        '',
      ]),
      encodeSentence('GP', 'GGA', [
        '123519',
        '4807.038',
        'N',
        '01131.000',
        'E',
        '0',
        '00',
        '',
        '',
        'M',
        '',
        'M',
        '',
        '',
      ]),
      encodeSentence('GP', 'VTG', ['54.7', 'T', '', 'M', '5.5', 'N', '10.2', 'K', 'N']),
      encodeSentence('WI', 'MWV', ['30', 'T', '10', 'M', 'A']),
      encodeSentence('GP', 'GSV', ['1', '1']),
    ])
      expect(of(line)).withContext(line).toEqual({});
    expect(readSentence('no sentence')).toBeNull();
  });

  it('stays within what a position is when it is written and read again', () => {
    for (const deg of [-89.99999, -12.5, 0.00001, 47.999999, 59.9999999])
      for (const letters of ['NS', 'EW'] as const) {
        const [text, letter] = degreesAndMinutes(deg, letters);
        const width = letters === 'NS' ? 2 : 3;
        const back =
          (Number(text.slice(0, width)) + Number(text.slice(width)) / 60) * (letter === letters.charAt(1) ? -1 : 1);
        expect(Math.abs(back - deg))
          .withContext(`${deg}`)
          .toBeLessThan(1.1e-6);
        expect(Number(text.slice(width))).toBeLessThan(60);
      }
  });
});
