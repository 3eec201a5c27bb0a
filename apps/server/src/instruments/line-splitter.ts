/** A sentence has 82 characters; what goes on for longer without an end is none. */
const longestLine = 1024;

/**
 * Cuts what comes in, in whatever pieces, into lines: ends may be mixed, a line may be spread over pieces. Of a line that
 * never ends only the beginning is held, which is passed on as the garbage it is. A tag block in front is taken off,
 * unless it is asked for.
 */
export const lineSplitter = (
  line: (text: string) => void,
  { keepsTags = false } = {},
): ((piece: Buffer | string) => void) => {
  let rest = '';
  const end = (text: string): void => {
    const sentence = !keepsTags && text.startsWith('\\') ? text.slice(text.indexOf('\\', 1) + 1) : text;
    if (sentence !== '') line(sentence.slice(0, longestLine));
  };
  return (piece) => {
    const parts = (rest + piece.toString('latin1')).split(/\r\n|\n|\r/);
    rest = (parts.pop() ?? '').slice(0, longestLine);
    parts.forEach(end);
  };
};
