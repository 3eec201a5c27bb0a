import { pdfSheets } from '../apps/server/src/testing/pdf-text.ts';
import { eventually, find, seriousFaults, says } from './support/browser.ts';
import { pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { walkByTab } from '../tools/look/tab-walk.ts';
import { show as showAt, views } from './support/views.ts';

const minutes = 60_000;

describe('the views', () => {
  const here = inBrowser();
  const show = (path: string): Promise<void> => showAt(here.browser, here.app.address, path);
  const theme = (name: string): Promise<void> =>
    here.browser.driver.executeScript(
      `localStorage.setItem('grey-keel-view', JSON.stringify({ units: 'metric', theme: '${name}' }))`,
    );

  for (const name of ['shop', 'sun', 'night'])
    it(
      `have nothing serious for axe in the panel of find in the ${name} theme`,
      async () => {
        await show('');
        await theme(name);
        await show('boats/sable-wren/brief');
        await here.browser.driver.actions().sendKeys('/').perform();
        await find(here.browser.driver, '#find-words');
        // While it fades in, its colours are not its own yet.
        await eventually(
          () => here.browser.driver.executeScript<number>('return document.getAnimations().length'),
          (running) => running === 0,
          'the panel standing still',
        );
        expect(await seriousFaults(here.browser.driver)).toEqual([]);
        await theme('shop');
      },
      minutes,
    );

  it(
    'print the report and then a card for each station on a sheet of its own, and nothing of the frame',
    async () => {
      await theme('night');
      await show('boats/sable-wren/handover');
      const sheets = await pdfSheets(await here.browser.printed());
      expect(sheets.flatMap(({ cut }) => cut)).toEqual([]);
      const text = sheets.map((sheet) => sheet.text);
      const cards = ['Helm, port', 'Helm, starboard', 'Bow'].map((station) => `Sable Wren, ${station}`);
      expect(text.slice(-cards.length).map((words) => cards.filter((card) => words.includes(card)))).toEqual(
        cards.map((card) => [card]),
      );
      const report = text.slice(0, -cards.length);
      expect(report.length).toBeLessThanOrEqual(2);
      expect(report[0]).toContain('Not settled');
      expect(report.filter((words) => words.includes('Cautions')).length).toBe(1);
      expect(text.join(' ')).not.toContain('Dash cards as PDF');
      expect(text.join(' ')).not.toContain('On other stages');
      await theme('shop');
    },
    minutes,
  );

  for (const view of views)
    it(
      `are walked by Tab from end to end, with no loop, no lost focus and a ring on each field: ${view || 'fleet'}`,
      async () => {
        const { driver } = here.browser;
        await show(view);
        await new Promise((resolve) => setTimeout(resolve, 600));
        const { count, missed, again, lost, thin } = await walkByTab(driver);
        expect(count).toBeGreaterThan(5);
        expect(missed).withContext(`never reached; came back to ${again}`).toEqual([]);
        expect(lost).withContext('times nothing had the focus').toBeLessThanOrEqual(1);
        expect(thin).withContext('without a ring of 3 px').toEqual([]);
      },
      2 * minutes,
    );

  it(
    'open with a plain word where there is no such boat, and where the server is gone',
    async () => {
      const { driver } = here.browser;
      await driver.get(`${here.app.address}/boats/nobody/brief`);
      await says(driver, 'main', 'No such boat');
      await show('');
      await find(driver, '[data-boat="old-marl"] a');
      await here.app.stop('SIGTERM');
      await pointer(driver).press('[data-boat="old-marl"] a');
      await says(driver, 'main', 'does not answer');
      await here.app.start();
      // Whoever is slower than the program, which asks again by itself, finds no button any more.
      await driver.executeScript(
        `[...document.querySelectorAll('main button')].find((one) => one.textContent.trim() === 'Try again')?.click()`,
      );
      expect(await (await find(driver, '#boat-length')).getAttribute('value')).toBe('11.80');
    },
    minutes,
  );
});
