import type { Plan, Sentence } from '@grey-keel/model';
import { samplePlan } from '../testing/edit-samples.ts';
import { edited } from '../testing/sample-plan.ts';
import { enteredAboard, enteredInWords } from './entered-aboard.ts';

const said = (sentence: Sentence | null): string =>
  (sentence ?? []).map((part) => (typeof part === 'string' ? part : `${part.value} ${part.quantity}`)).join('');
const at = '2026-05-01T10:00:00Z';
const entered = { at, fingerprint: 'b'.repeat(64), inputs: {} };
const withOffset = (offsetM: number, more: object = {}): Plan =>
  edited(samplePlan(), {
    type: 'enterDepthOffset',
    transducerId: 'a-wide',
    entered: { ...entered, offsetM, standardErrorM: null, ...more },
  });

describe('what is entered aboard', () => {
  it('says who entered a depth and when, and says its sign even where it is plus', () => {
    const [one] = enteredAboard(withOffset(0.4, { by: 'J. Reed' }));
    expect(said(one?.value ?? null)).toBe('+0.4 length');
    expect([one?.by, one?.at, one?.seenAgainAt, one?.held]).toEqual(['J. Reed', at, null, true]);
    expect(said(enteredAboard(withOffset(-0.4))[0]?.value ?? null)).toBe('-0.4 length');
  });

  it('says when it was looked at again after power off', () => {
    const seen = edited(withOffset(0.4), {
      type: 'seeOffsetAgain',
      transducerId: 'a-wide',
      at: '2026-05-02T09:30:00Z',
    });
    expect(enteredAboard(seen)[0]?.seenAgainAt).toBe('2026-05-02T09:30:00Z');
  });

  it('calls several figures by what each is, a side by its word, and a factor without a sign', () => {
    const put = (of: 'antenna' | 'sides' | 'speed', values: number[]): string =>
      said(
        enteredInWords(
          edited(samplePlan(), {
            type: 'enterCalibration',
            of,
            sensorId: 'a-wide',
            entered: { ...entered, values, halfInterval95: null, by: '', seenAgainAt: null },
          }),
          of,
          'a-wide',
        ),
      );
    expect(put('antenna', [1.5, -0.5])).toBe('+1.5 length forward and -0.5 length starboard');
    expect(put('sides', [-1])).toBe('Swapped');
    expect(put('sides', [1])).toBe('The right way round');
    expect(put('speed', [1.04])).toBe('1.04 fraction');
    expect(enteredInWords(samplePlan(), 'noise', 'a-wide')).toBeNull();
  });
});
