import type { CalibrationKind, NotedKind, Plan, Sentence } from '@grey-keel/model';
import { keyedIn } from '../calibration/keyed-in.ts';
import { samplePlan } from '../testing/edit-samples.ts';
import { edited } from '../testing/sample-plan.ts';
import { enteredAboard, enteredInWords } from './entered-aboard.ts';

const said = (sentence: Sentence | null): string =>
  (sentence ?? []).map((part) => (typeof part === 'string' ? part : `${part.value} ${part.quantity}`)).join('');
const at = '2026-05-01T10:00:00Z';
const measured = { fingerprint: 'b'.repeat(64), parts: {}, half95: null, standardError: null };
const put = (of: Exclude<CalibrationKind, NotedKind> | 'depth', values: number[], by: string | null = null): Plan =>
  edited(
    samplePlan(),
    keyedIn(samplePlan(), of, 'a-wide', values, { at, by, seenAgainAt: null, measured: { ...measured, of } })!,
  );
const withOffset = (offsetM: number, by?: string): Plan => put('depth', [offsetM], by);

describe('what is entered aboard', () => {
  it('says who entered a depth and when, and says its sign even where it is plus', () => {
    const [one] = enteredAboard(withOffset(0.4, 'J. Reed'));
    expect(said(one?.value ?? null)).toBe('+0.4 length');
    expect([one?.by, one?.at, one?.seenAgainAt, one?.held]).toEqual(['J. Reed', at, null, true]);
    expect(said(enteredAboard(withOffset(-0.4))[0]?.value ?? null)).toBe('-0.4 length');
  });

  it('says when it was looked at again after power off', () => {
    const seen = edited(withOffset(0.4), {
      type: 'seeAgain',
      kind: 'depth-offset',
      deviceId: 'helm',
      ofId: 'a-wide',
      at: '2026-05-02T09:30:00Z',
    });
    expect(enteredAboard(seen)[0]?.seenAgainAt).toBe('2026-05-02T09:30:00Z');
  });

  it('calls several figures by what each is, a side by its word, and a factor without a sign', () => {
    const words = (of: 'antenna' | 'sides' | 'speed', values: number[]): string =>
      said(enteredInWords(put(of, values), of, 'a-wide'));
    expect(words('antenna', [1.5, -0.5])).toBe('+1.5 length forward and -0.5 length starboard');
    expect(words('sides', [-1])).toBe('Swapped');
    expect(words('sides', [1])).toBe('The right way round');
    expect(words('speed', [1.04])).toBe('1.04 fraction');
    expect(enteredInWords(samplePlan(), 'noise', 'a-wide')).toBeNull();
  });
});
