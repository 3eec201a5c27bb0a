import type { Sentence } from '@grey-keel/model';
import { soundInWords } from './sound-words.ts';

const text = (sentence: Sentence | null): string =>
  (sentence ?? []).map((part) => (typeof part === 'string' ? part : part.value.toFixed(2))).join('');

describe('what a display takes for sound, in words', () => {
  it('says which way it errs, by how much and where', () => {
    const salt = { setTo: 'salt', soundSpeedMps: 1500, errorM: 0.8 } as const;
    expect(text(soundInWords(salt, 20))).toBe('Set to salt water, 1500.00: it shows 0.80 too much water at 20.00.');
    expect(text(soundInWords({ ...salt, setTo: 'own figure', errorM: -0.8 }, 20))).toBe(
      'Set to a speed of its own, 1500.00: it shows 0.80 too little water at 20.00.',
    );
  });

  it('calls it right where the error is lost in the last digit, and is silent where nobody looked', () => {
    const at = (errorM: number): string => text(soundInWords({ setTo: 'fresh', soundSpeedMps: 1447, errorM }, 5));
    expect(at(0.049)).toBe('Set to fresh water, 1447.00: right at 5.00.');
    expect(at(-0.049)).toBe(at(0.049));
    expect(at(0.051)).toContain('too much');
    expect(soundInWords(null, 5)).toBeNull();
  });
});
