import type { WorkingStep } from '@grey-keel/model';
import * as z from 'zod';
import { defineCalculation, OutOfRange } from '../calculation/calculation.ts';
import { given } from '../calculation/working-step.ts';
import { checksumOf, sentenceParts } from './nmea-sentence.ts';
import { readSentence } from './read-sentence.ts';
import { nmeaTypes } from './nmea-types.ts';

/**
 * One NMEA 0183 sentence, read: who talks, what kind it is, whether its checksum holds, and its fields by names that say
 * their units. Speeds come in metres per second, depths in metres, angles in degrees; what a sentence leaves empty is
 * left out. A sentence of another kind keeps its talker and type, and has no fields. `checksumOk` is null where none was
 * sent. A wrong checksum is told, not refused: who uses the fields has to look at it.
 * Source: sentence formats of NMEA 0183.
 */
export const nmeaDecode = defineCalculation({
  name: 'nmea-decode',
  purpose: 'One NMEA 0183 sentence, read',
  version: 1,
  input: z.strictObject({ sentence: z.string().min(1).max(1024) }),
  output: z.strictObject({
    talker: z.string(),
    type: z.string(),
    checksumOk: z.boolean().nullable(),
    fields: z.record(z.string(), z.union([z.number(), z.string(), z.boolean()])),
  }),
  run: ({ sentence }) => {
    const parts = sentenceParts(sentence);
    const read = readSentence(sentence);
    if (!parts || !read)
      throw new OutOfRange(
        'sentence',
        'This is no sentence: it begins with $ or !, a talker of two letters and a type of three, and goes on with commas.',
        'such as $SDDPT,4.1,0.3*6B',
      );
    const { talker, type, body } = parts;
    const { checksumOk, fields } = read;
    const flags = [
      ...(checksumOk === false ? ['The checksum is wrong: the sentence was garbled on its way.'] : []),
      ...(checksumOk === null ? ['No checksum was sent: a garbled sentence cannot be told.'] : []),
      ...(nmeaTypes.has(type) ? [] : [`Sentences of the type ${type} are not read.`]),
    ];
    const sum = checksumOf(body);
    const working: WorkingStep[] = [
      {
        says: `Checksum of the sentence, ${sum} in hexadecimal`,
        symbol: 'x',
        value: Number.parseInt(sum, 16),
        unit: '',
        expression: null,
        method: 'exclusive or of all characters between the first and the star',
        inputs: [given('n', body.length, '', 'characters')],
        source: 'NMEA 0183',
      },
    ];
    return { talker, type, checksumOk, fields, flags, working };
  },
});
