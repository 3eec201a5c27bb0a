/** Control characters, halves of letters and marks that turn the direction of text: refused today, stored once. */
const unwanted = /[\p{Cc}\p{Cs}\u2028\u2029\u202a-\u202e\u2066-\u2069]/gu;
/** Notes run over several lines; these stay. */
const unwantedInNotes = /[\p{Cs}\u202a-\u202e\u2066-\u2069]/gu;

/** What may need cleaning: an unwanted letter, or an escape that may spell one. Most plans have neither. */
const doubtful = /[\p{Cc}\p{Cs}\u2028\u2029\u202a-\u202e\u2066-\u2069]|\\[^"\\/]/u;

const cleaned = (text: string): unknown =>
  JSON.parse(text, (key, value: unknown) => {
    if (typeof value !== 'string') return value;
    if (key === 'notes') return value.replace(unwantedInNotes, '');
    // What a patch puts in may be notes.
    if (key === 'value') return value.replace(unwantedInNotes, '').replace(/[^\n\P{Cc}]/gu, ' ');
    const clean = value.replace(unwanted, ' ');
    return key === 'name' && clean !== value && clean.trim() === '' ? 'Unnamed' : clean;
  });

/**
 * Reads JSON that this program stored, perhaps in a version that took texts which are refused today: they are cleaned as
 * they are read, so that every stored plan and revision can be opened.
 */
export const readStored = (text: string): unknown => (doubtful.test(text) ? cleaned(text) : JSON.parse(text));
