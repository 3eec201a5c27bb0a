import { inBrowser } from './support/in-browser.ts';
import { addLongNamed } from '../tools/look/long-names.ts';
import {
  conditions,
  everyLook,
  faultsOfLook,
  lookAt,
  lightOf,
  lookInWords,
  pairedLooks,
  type Look,
} from '../tools/look/looks.ts';

const minutes = 60_000;

describe('every view', () => {
  const here = inBrowser('once', async ({ app, browser }) => {
    await addLongNamed(app.address);
    await browser.driver.get(app.address);
  });
  const looks = pairedLooks();

  it('is looked at so that any two conditions meet', () => {
    const kinds = Object.keys(conditions) as (keyof Look)[];
    const pairs = (look: Look): string[] =>
      kinds.flatMap((a, i) => kinds.slice(i + 1).map((b) => JSON.stringify([a, look[a], b, look[b]])));
    expect(new Set(looks.flatMap(pairs))).toEqual(new Set(everyLook(conditions.size).flatMap(pairs)));
    expect(looks.length).toBeLessThan(everyLook().length / 10);
  });

  for (const light of new Set(looks.map(lightOf)))
    it(
      `has nothing serious for axe, no target under 44 px, nothing over the edge, and no text over another: ${light}`,
      async () => {
        for (const look of looks.filter((one) => lightOf(one) === light)) {
          await lookAt(here.browser, here.app.address, look);
          expect(await faultsOfLook(here.browser))
            .withContext(lookInWords(look))
            .toEqual([]);
        }
      },
      4 * minutes,
    );
});
