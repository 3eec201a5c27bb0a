const comma = 44;

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

const head = /^[$!](P[A-Z]|[A-Z]{2})([A-Z0-9]{3})$/;
const hexadecimal = /^[0-9A-Fa-f]{2}$/;

/** A sentence taken apart; null where it is none. A star without two digits after it is one that was cut short. */
export const sentenceParts = (sentence: string): SentenceParts | null => {
  const text = sentence.trim();
  const [, talker, type] = head.exec(text.slice(0, 6)) ?? [];
  if (talker === undefined || type === undefined) return null;
  const star = text.indexOf('*', 6);
  const end = star < 0 ? text.length : star;
  const checksum = star < 0 ? null : text.slice(star + 1);
  if (checksum !== null && !hexadecimal.test(checksum)) return null;
  if (end > 6 && text.charCodeAt(6) !== comma) return null;
  return {
    talker,
    type,
    values: end > 6 ? text.slice(7, end).split(',') : [],
    body: text.slice(1, end),
    checksum: checksum?.toUpperCase() ?? null,
  };
};
