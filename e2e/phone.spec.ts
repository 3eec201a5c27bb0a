import { find, says } from './support/browser.ts';
import { inBrowser } from './support/in-browser.ts';
import { drawn } from './support/views.ts';

/** Letters smaller than this are not read at arm's length without zooming. */
const leastPx = 12;

/** What is written smaller on the page, with how many pixels high its letters are drawn. */
const smallLetters = `
  const own = (one) => [...one.childNodes].some((node) => node.nodeType === 3 && node.textContent.trim() !== '');
  return [...document.querySelectorAll('main *')].flatMap((one) => {
    if (!own(one) || one.getClientRects().length === 0) return [];
    const matrix = one instanceof SVGGraphicsElement ? one.getScreenCTM() : null;
    const px = parseFloat(getComputedStyle(one).fontSize) * (matrix ? Math.hypot(matrix.a, matrix.b) : 1);
    return px < arguments[0] - 0.05 ? [one.textContent.trim().slice(0, 30) + ': ' + px.toFixed(1)] : [];
  });
`;

describe('on a phone', () => {
  const here = inBrowser('once', ({ browser }) => browser.resize(390, 844));

  for (const [what, path, css] of [
    ['the card', 'handover', 'gk-card-section'],
    ['the ring', 'beams?tab=section', 'gk-section-view'],
    ['the keys', 'keys', '.sheet'],
  ] as const)
    it(`${what} is read without zooming, and the head of the page is two rows`, async () => {
      const { driver } = here.browser;
      await driver.get(`${here.app.address}/boats/sable-wren/${path}`);
      await find(driver, css);
      await drawn(driver);
      expect(await driver.executeScript<string[]>(smallLetters, leastPx)).toEqual([]);
      const headPx = await driver.executeScript<number>(
        `return document.querySelector('gk-head-strip header').getBoundingClientRect().height`,
      );
      expect(headPx).toBeLessThan(112);
      const beyond = await driver.executeScript<number>(
        'return document.documentElement.scrollWidth - document.documentElement.clientWidth',
      );
      expect(beyond).toBe(0);
    }, 60_000);

  for (const [wide, high] of [
    [390, 844],
    [1024, 768],
  ] as const)
    it(`nothing moves under the next tap when a way is ticked, on ${wide} by ${high}`, async () => {
      const { driver } = here.browser;
      await here.browser.resize(wide, high);
      const id = `still-${wide}`;
      await fetch(`${here.app.address}/api/boats/${id}`, {
        method: 'PUT',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ name: 'Still Hull' }),
      });
      await driver.get(`${here.app.address}/boats/${id}/brief`);
      const box = (place: number): string => `#ways gk-tick-field:nth-of-type(${place}) input`;
      await find(driver, box(1));
      await drawn(driver);
      const tops = (): Promise<number[]> =>
        driver.executeScript<number[]>(
          `return [...document.querySelectorAll('#ways gk-tick-field')].map((one) => Math.round(one.getBoundingClientRect().top + document.querySelector('main').scrollTop + scrollY))`,
        );
      const before = await tops();
      for (let place = 1; place <= before.length; place++) {
        await driver.executeScript('document.querySelector(arguments[0]).click()', box(place));
        await says(driver, 'gk-saved-state', 'saved');
        await drawn(driver);
        expect(await tops())
          .withContext(`${place} ticked`)
          .toEqual(before);
      }
      await here.browser.resize(390, 844);
    }, 60_000);
});
