export interface SentenceParts {
  readonly talker: string;
  readonly type: string;
  readonly values: readonly string[];
  /** What the checksum is of: everything between the sign in front and the star. */
  readonly body: string;
  /** As it was sent, in capitals; null where none was. */
  readonly checksum: string | null;
}

/** Exclusive or of all characters, as two hexadecimal digits. Source: NMEA 0183. */
export const checksumOf = (body: string): string => {
  let sum = 0;
  for (let i = 0; i < body.length; i++) sum ^= body.charCodeAt(i) & 0xff;
  return sum.toString(16).toUpperCase().padStart(2, '0');
};

const pattern = /^[$!]((P[A-Z]|[A-Z]{2})([A-Z0-9]{3})(?:,([^*]*))?)(?:\*([0-9A-Fa-f]{2}))?$/;

/** A sentence taken apart; null where it is none. A star without two digits after it is one that was cut short. */
export const sentenceParts = (sentence: string): SentenceParts | null => {
  const [, body, talker, type, list, checksum] = pattern.exec(sentence.trim()) ?? [];
  if (body === undefined || talker === undefined || type === undefined) return null;
  return {
    talker,
    type,
    values: list === undefined ? [] : list.split(','),
    body,
    checksum: checksum?.toUpperCase() ?? null,
  };
};
