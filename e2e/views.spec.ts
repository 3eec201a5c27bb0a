import { stageViews } from '../apps/web/src/app/stages/views.ts';
import { pdfSheets } from '../apps/server/src/testing/pdf-text.ts';
import { startApplication, type Application } from './support/application.ts';
import { eventually, find, openBrowser, seriousFaults, textOf, type Browser } from './support/browser.ts';
import { pointer } from './support/hands.ts';
import { walkByTab } from './support/tab-walk.ts';
import { show as showAt, views } from './support/views.ts';

const minutes = 60_000;

describe('the views', () => {
  let app: Application;
  let browser: Browser;
  const show = (path: string): Promise<void> => showAt(browser, app.address, path);
  const theme = (name: string): Promise<void> =>
    browser.driver.executeScript(
      `localStorage.setItem('grey-keel-view', JSON.stringify({ units: 'metric', theme: '${name}' }))`,
    );

  beforeAll(async () => {
    app = await startApplication();
    browser = await openBrowser();
  });
  afterAll(async () => {
    await browser.close();
    await app.remove();
  });
  afterEach(() => browser.resize(1280, 800));

  for (const name of ['shop', 'sun', 'night'])
    it(
      `have nothing serious for axe in the ${name} theme`,
      async () => {
        await show('');
        await theme(name);
        for (const view of views) {
          await show(view);
          expect(await seriousFaults(browser.driver))
            .withContext(`${name} ${view}`)
            .toEqual([]);
        }
        await browser.driver.actions().sendKeys('/').perform();
        await find(browser.driver, '#find-words');
        // While it fades in, its colours are not its own yet.
        await eventually(
          () => browser.driver.executeScript<number>('return document.getAnimations().length'),
          (running) => running === 0,
          'the panel standing still',
        );
        expect(await seriousFaults(browser.driver))
          .withContext(`${name}, find`)
          .toEqual([]);
        await theme('shop');
      },
      2 * minutes,
    );

  it(
    'do not scroll sideways at 1024x768 or on a phone',
    async () => {
      for (const [width, height] of [
        [1024, 768],
        [390, 844],
      ] as const) {
        await browser.resize(width, height);
        for (const view of views) {
          await show(view);
          const over = await browser.driver.executeScript<number>(
            'return document.documentElement.scrollWidth - innerWidth',
          );
          expect(over).withContext(`${view} at ${width}`).toBeLessThanOrEqual(0);
        }
      }
    },
    2 * minutes,
  );

  it(
    'behind tabs have nothing serious for axe, and none scrolls sideways on a tablet',
    async () => {
      const { driver } = browser;
      await browser.resize(1024, 768);
      for (const { stage, tabs: words } of stageViews.filter(({ tabs }) => tabs.length > 0)) {
        await show(`boats/sable-wren/${stage}`);
        const tabs = await driver.findElements({ css: 'gk-stage-tabs [role="tab"]' });
        expect(tabs.length).toBe(words.length);
        for (const tab of tabs) {
          const id = (await tab.getAttribute('id')) ?? '';
          await tab.click();
          await find(driver, `#${id}[aria-selected="true"]`);
          await find(driver, '.sheet');
          expect(await seriousFaults(driver))
            .withContext(id)
            .toEqual([]);
          const over = await driver.executeScript<number>('return document.documentElement.scrollWidth - innerWidth');
          expect(over).withContext(id).toBeLessThanOrEqual(0);
        }
      }
    },
    2 * minutes,
  );

  it(
    'have targets of 44 px for what is pressed, but for numbers in running text',
    async () => {
      for (const view of views) {
        await show(view);
        const small = await browser.driver.executeScript<string[]>(`
        return [...document.querySelectorAll('button, p-accordion-header, select, nav a, input:not([type=checkbox]):not([type=radio])')]
          .filter((one) => !one.closest('gk-number, .acts, gk-finding') && one.offsetParent !== null)
          .map((one) => [one.getBoundingClientRect(), one])
          .filter(([box]) => box.height < 43.5)
          .map(([box, one]) => (one.id || one.textContent.trim() || one.className) + ' ' + Math.round(box.height))`);
        expect(small).withContext(view).toEqual([]);
      }
    },
    minutes,
  );

  it(
    'print the report and a card for each station, each on its own sheet, and nothing of the frame',
    async () => {
      await theme('night');
      await show('boats/sable-wren/handover');
      const sheets = await pdfSheets(await browser.printed());
      expect(sheets.flatMap(({ cut }) => cut)).toEqual([]);
      const text = sheets.map((sheet) => sheet.text);
      expect(text.length).toBe(4);
      expect(text[0]).toContain('Not settled');
      for (const [i, station] of ['Helm, port', 'Helm, starboard', 'Bow'].entries())
        expect(text[i + 1]).toContain(`Sable Wren, ${station}`);
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
        const { driver } = browser;
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
      const { driver } = browser;
      await driver.get(`${app.address}/boats/nobody/brief`);
      await eventually(
        () => textOf(driver, 'main'),
        (text) => text.includes('No such boat'),
        'the word',
      );
      await show('');
      await app.stop('SIGTERM');
      await pointer(driver).press('[data-boat="old-marl"] a');
      await eventually(
        () => textOf(driver, 'main'),
        (text) => text.includes('does not answer'),
        'the word',
      );
      await app.start();
      await pointer(driver).press('main button.action');
      expect(await (await find(driver, '#boat-length')).getAttribute('value')).toBe('11.80');
    },
    minutes,
  );
});
