import { targetSpeciesSchema } from '@grey-keel/model';
import fc from 'fast-check';
import { requirementsOf } from '../beams/requirements.ts';
import { aPlan } from '../testing/sample-plan.ts';
import { bottomBackscatterDb, bottomsOf } from './backscatter.ts';

const grounds = fc.array(fc.constantFrom(...targetSpeciesSchema.shape.over.element.options), { maxLength: 8 });

describe('the bottoms of several grounds', () => {
  it('are the one that sends back least and the one that sends back most, sand where nothing is said of it', () => {
    expect(bottomsOf(['rock', 'open water', 'weed', 'sand'])).toEqual({ softest: 'mud', hardest: 'rock' });
    expect(bottomsOf(['gravel'])).toEqual({ softest: 'gravel', hardest: 'gravel' });
    expect(bottomsOf(['open water', 'wreck'])).toEqual({ softest: 'rock', hardest: 'rock' });
    for (const nothing of [[], ['open water' as const]])
      expect(bottomsOf(nothing)).toEqual({ softest: 'sand', hardest: 'sand' });
  });

  it('are as soft and as hard as those of any one of them, in whatever order', () => {
    fc.assert(
      fc.property(grounds, (all) => {
        const back = (type: ReturnType<typeof bottomsOf>['softest']): number => bottomBackscatterDb(type, 90);
        const { softest, hardest } = bottomsOf(all);
        expect(bottomsOf(all.toReversed())).toEqual({ softest, hardest });
        for (const one of all.filter((ground) => ground !== 'open water')) {
          expect(back(softest)).toBeLessThanOrEqual(back(bottomsOf([one]).softest));
          expect(back(hardest)).toBeGreaterThanOrEqual(back(bottomsOf([one]).hardest));
        }
      }),
    );
  });

  it('are asked of every species of a brief, not of its first alone', () => {
    const char = { ...Object.values(aPlan().sought)[0]!, over: ['rock' as const] };
    const plan = { ...aPlan(), sought: { a: char, b: { ...char, over: ['gravel' as const, 'mud' as const] } } };
    expect(requirementsOf(plan)).toEqual(jasmine.objectContaining({ softest: 'mud', hardest: 'rock' }));
  });
});
