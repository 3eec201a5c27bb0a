import { checksumOf, sentenceParts } from './nmea-sentence.ts';
import { nmeaTypes, type NmeaFields } from './nmea-types.ts';

export interface ReadSentence {
  readonly talker: string;
  readonly type: string;
  /** Null where none was sent. */
  readonly checksumOk: boolean | null;
  /** None for a sentence of a type that is not read. */
  readonly fields: NmeaFields;
}

/** One sentence read, without the working that `nmea-decode` gives: for streams and logs. Null for what is no sentence. */
export const readSentence = (line: string): ReadSentence | null => {
  const parts = sentenceParts(line);
  if (!parts) return null;
  const { talker, type, values, body, checksum } = parts;
  return {
    talker,
    type,
    checksumOk: checksum === null ? null : checksum === checksumOf(body),
    fields: nmeaTypes.get(type)?.(values) ?? {},
  };
};
