import { checksumOf } from './nmea-sentence.ts';

/** One sentence with its checksum, without the end of its line. Source: NMEA 0183. */
export const encodeSentence = (talker: string, type: string, values: readonly (string | number)[]): string => {
  const body = `${talker}${type},${values.join(',')}`;
  return `$${body}*${checksumOf(body)}`;
};

/** A latitude or longitude as degrees and minutes with its letter, to about a tenth of a metre. */
export const degreesAndMinutes = (deg: number, letters: 'NS' | 'EW'): [string, string] => {
  const tenThousandths = Math.round(Math.abs(deg) * 600_000);
  const whole = Math.floor(tenThousandths / 600_000);
  const minutes = (tenThousandths - whole * 600_000) / 10_000;
  return [
    `${String(whole).padStart(letters === 'NS' ? 2 : 3, '0')}${minutes.toFixed(4).padStart(7, '0')}`,
    letters.charAt(deg < 0 ? 1 : 0),
  ];
};
