import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Key, Origin } from 'selenium-webdriver';
import { startApplication } from '../tools/application.ts';
import { eventually, find, textOf, says } from './support/browser.ts';
import { pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { findingIs, saved } from './support/job.ts';
import { show as showAt } from './support/views.ts';

const minutes = 60_000;

describe('the hand on the views', () => {
  const here = inBrowser();
  const show = (path: string): Promise<void> => showAt(here.browser, here.app.address, path);
  afterEach(() => here.browser.resize(1280, 800));

  it(
    'move a transducer on the hull under the pointer, say what that breaks, and take the whole drag back at once',
    async () => {
      const { driver } = here.browser;
      await show('boats/sable-wren/fit');
      const mark = '#mark-plan-transducer-b-narrow';
      const words = async (): Promise<string> =>
        (await (await find(driver, mark)).getAttribute('aria-valuetext')) ?? '';
      const before = await words();
      const actions = driver
        .actions()
        .move({ origin: await find(driver, mark) })
        .press();
      for (let i = 0; i < 8; i++) actions.move({ origin: Origin.POINTER, x: -1, y: 3, duration: 20 });
      await actions.perform();
      expect(await words()).not.toBe(before);
      await says(driver, '.broken', 'Too near a propeller');
      await driver.actions().release().perform();
      await findingIs(driver, 'near-propeller', true);
      await saved(driver);
      await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
      await eventually(words, (text) => text === before, 'the place before the drag');
      await findingIs(driver, 'near-propeller', false);
    },
    minutes,
  );

  it(
    'take five thousand rows of gear from a file beside the interface, name what is wrong, and keep nothing unasked',
    async () => {
      const { driver } = here.browser;
      const hands = pointer(driver);
      const titles = 'name,frequency_khz,cone_deg,level_db,mountings';
      const rows = Array.from({ length: 5000 }, (_, i) =>
        i % 1000 === 500 ? `Row ${i},fast,20,-3,transom` : `Row ${i},${100 + (i % 90)},${8 + (i % 20)},-3,transom`,
      );
      const file = join(here.browser.downloads, 'gear.csv');
      writeFileSync(file, [titles, ...rows].join('\n'));
      await show('boats/sable-wren/beams');
      await (await find(driver, '#csv-file')).sendKeys(file);
      await hands.press('#csv-read-all');
      const said = await textOf(driver, '#csv-read');
      expect(said).toContain('4995 of the shop');
      expect(said).toContain('5 cells are wrong');
      expect(await textOf(driver, '.faults li')).toContain('Line 502, frequency_khz: "fast" is no number.');
      const entries = async (): Promise<number> =>
        ((await (await fetch(`${here.app.address}/api/catalogue`)).json()) as unknown[]).length;
      expect(await entries()).toBe(32);
      await hands.press('#csv-import');
      await says(driver, 'gk-csv-import [role="status"]', '4995 taken');
      expect(await entries()).toBe(5027);
      // So many are ranked beside the interface.
      await hands.press('[data-tab=advice]');
      expect(await (await find(driver, '#place-0')).isDisplayed()).toBeTrue();
      await here.app.remove();
      here.app = await startApplication();
    },
    2 * minutes,
  );

  it(
    'move the bottom with the pointer, keep it where it is let go, and do not jump',
    async () => {
      const { driver } = here.browser;
      await show('boats/sable-wren/beams');
      const handle = await find(driver, '[role="slider"]');
      const place = (): Promise<number[]> =>
        driver.executeScript<number[]>(
          `return ['#chosen-title', '#absorption-title', '.beside'].map((css) => Math.round(document.querySelector(css).getBoundingClientRect().top))`,
        );
      const before = await place();
      await driver.actions().move({ origin: handle }).press().move({ origin: Origin.POINTER, y: -60 }).perform();
      const depth = (): Promise<string> => textOf(driver, 'gk-section-view .onflag');
      const while_ = Number.parseFloat(await eventually(depth, (text) => text !== '32.0 m', 'the bottom moving'));
      expect(while_).toBeLessThan(25);
      expect(await place()).toEqual(before);
      expect(await textOf(driver, 'gk-saved-state')).toContain('saved');
      await driver.actions().release().perform();
      await saved(driver);
      expect(Number.parseFloat(await depth())).toBeCloseTo(while_, 6);
      expect(await place()).toEqual(before);
      await driver.navigate().refresh();
      expect(Number.parseFloat(await depth())).toBeCloseTo(while_, 6);
      // The other specs meet the boat as they know it.
      await pointer(driver).fill('#working-depth', '32');
      await saved(driver);
    },
    minutes,
  );

  it(
    'find a part by its name from the keyboard',
    async () => {
      const { driver } = here.browser;
      await show('boats/sable-wren/brief');
      await driver.actions().sendKeys('/').perform();
      await find(driver, '#find-words');
      await eventually(
        () => driver.executeScript<string>('return document.activeElement.id'),
        (id) => id === 'find-words',
        'the field of the panel focused',
      );
      await driver.actions().sendKeys('narrow', Key.ENTER).perform();
      await eventually(
        () => driver.executeScript<string>('return document.activeElement.id'),
        (id) => id === 'transducer-name-b-narrow',
        'the transducer found',
      );
      expect(await driver.getCurrentUrl()).toContain('/beams');
    },
    minutes,
  );

  it(
    'divide a screen with the keyboard, and keep it though one leaves at once',
    async () => {
      const { driver } = here.browser;
      const shares = async (): Promise<number[]> => {
        const boat = (await (await fetch(`${here.app.address}/api/boats/sable-wren`)).json()) as {
          plan: { pages: Record<string, { layout: { bands: { share: number }[] } }> };
        };
        return boat.plan.pages['a1-run']?.layout.bands.map(({ share }) => share) ?? [];
      };
      const before = await shares();
      await show('boats/sable-wren/pages');
      const bar = await find(driver, 'gk-screen-editor .as-split-gutter');
      await driver.executeScript('arguments[0].focus()', bar);
      const scale = (): Promise<string> => textOf(driver, 'gk-layout-gives tr:last-child gk-number');
      const at = await scale();
      // A figure follows while the key is held, and it is saved when the key is let go.
      await driver.actions().keyDown(Key.SHIFT).keyDown(Key.ARROW_UP).perform();
      await eventually(scale, (text) => text !== at, 'the scale under the bar');
      expect((await shares())[0]).toBe(before[0]);
      await driver.actions().keyUp(Key.ARROW_UP).keyUp(Key.SHIFT).perform();
      await driver.get(here.app.address);
      await find(driver, '[data-boat]');
      await driver.get(`${here.app.address}/boats/sable-wren/pages`);
      await saved(driver);
      const after = await shares();
      expect(after[0]).toBeCloseTo((before[0] ?? 0) - 0.1, 2);
      expect(after.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 2);
    },
    minutes,
  );

  it(
    'move a mark on the hull by arrow after arrow, and give the focus back after removing and after closing find',
    async () => {
      const { driver } = here.browser;
      await show('boats/sable-wren/fit');
      const mark = '#mark-side-equipment-d-antenna';
      const focused = (): Promise<string> => driver.executeScript<string>('return document.activeElement?.id ?? ""');
      await driver.executeScript(`document.querySelector('${mark}').focus()`);
      const place = (): Promise<string> =>
        driver.executeScript<string>(`return document.querySelector('${mark}').getAttribute('aria-valuetext')`);
      const seen = new Set([await place()]);
      for (let i = 0; i < 4; i++) {
        await driver.actions().sendKeys(Key.ARROW_RIGHT).perform();
        const before = [...seen].at(-1) ?? '';
        await eventually(place, (now) => now !== before, 'the mark moved');
        seen.add(await place());
        expect(`#${await focused()}`).toBe(mark);
      }
      expect(seen.size).toBe(5);

      await show('boats/sable-wren/calibrate');
      const removes = 'button[aria-label^="Delete reading"]';
      await driver.executeScript(`document.querySelectorAll('${removes}')[1].focus()`);
      await driver.actions().sendKeys(Key.ENTER).perform();
      await eventually(
        () => driver.executeScript<string>('return document.activeElement?.closest("table")?.tagName ?? ""'),
        (tag) => tag === 'TABLE',
        'the focus near what was removed',
      );
      await driver.executeScript(`document.querySelector('#tolerance').focus()`);
      await driver.executeScript(
        `document.querySelector('#tolerance').blur(); document.querySelector('#enter-offset, #offset-reference p-togglebutton').focus()`,
      );
      const had = await driver.executeScript<string>('return document.activeElement.textContent.trim()');
      await driver.actions().sendKeys('/').perform();
      await find(driver, '#find-words');
      await driver.actions().sendKeys(Key.ESCAPE).perform();
      await eventually(
        () => driver.executeScript<string>('return document.activeElement.textContent.trim()'),
        (now) => now === had,
        'the focus given back',
      );
    },
    2 * minutes,
  );

  it(
    'show which way of working is silent, and clear a finding by its own fix',
    async () => {
      const { driver } = here.browser;
      const hands = pointer(driver);
      await show('boats/sable-wren/beams');
      await findingIs(driver, 'same-band', true);
      await hands.press('.ways p-togglebutton:nth-of-type(1)');
      expect(await (await find(driver, '.beam.silent')).isDisplayed()).toBeTrue();
      await hands.press('[data-finding^="same-band"] .fix');
      await hands.press('[data-transducer="d-ahead"] button[aria-expanded]');
      await hands.press('[id="transmits-d-ahead"] gk-tick-field:nth-of-type(2) input');
      await findingIs(driver, 'same-band', false);
    },
    minutes,
  );
});
