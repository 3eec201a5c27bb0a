import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Key } from 'selenium-webdriver';
import { pdfSheets } from '../apps/server/src/testing/pdf-text.ts';
import { eventually, find, says, seriousFaults } from './support/browser.ts';
import { pointer } from './support/hands.ts';
import { inBrowser } from './support/in-browser.ts';
import { saved } from './support/job.ts';
import { show as showAt } from './support/views.ts';

const minutes = 60_000;
const picture = new URL('../docs/screenshots/fit.png', import.meta.url).pathname;

describe('photographs of a boat', () => {
  const here = inBrowser();
  const brief = (): Promise<void> => showAt(here.browser, here.app.address, 'boats/sable-wren/brief');
  /** How wide the pictures are that are really there. */
  const widths = (): Promise<number[]> =>
    here.browser.driver.executeScript<number[]>(
      `return [...document.querySelectorAll('gk-photographs-section li img')].map((one) => {
         one.scrollIntoView();
         return one.complete ? one.naturalWidth : 0;
       })`,
    );
  const there = (count: number): Promise<number[]> =>
    eventually(widths, (all) => all.length === count && all.every((wide) => wide > 0), `${count} photographs`);

  it(
    'are taken in, described, deleted, had back, there after a reload and printed; what is none is named',
    async () => {
      const { driver, downloads } = here.browser;
      const hands = pointer(driver);
      await brief();
      const note = join(downloads, 'note.jpg');
      writeFileSync(note, 'no picture at all');
      await hands.give('#add-photographs', `${picture}\n${note}`);
      expect(await says(driver, 'gk-photographs-section [role=alert]', 'note.jpg')).toContain('cannot be read');
      expect(await there(1)).toEqual([1280]);
      await hands.fill('[id^="photograph-"]', 'Faces at the transom');
      await saved(driver);
      await hands.press('button[aria-label="Delete photograph 1"]');
      await there(0);
      await driver.actions().keyDown(Key.CONTROL).sendKeys('z').keyUp(Key.CONTROL).perform();
      await there(1);
      await saved(driver);
      await driver.navigate().refresh();
      await there(1);
      await hands.press('button[aria-label^="Look at photograph 1: Faces"]');
      await find(driver, '.p-dialog .large');
      await eventually(
        () => driver.executeScript<number>('return document.getAnimations().length'),
        (running) => running === 0,
        'the picture standing still',
      );
      expect(await seriousFaults(driver)).toEqual([]);
      const units = 'length=m&depth=m&speed=kn&temperature=C';
      const sheet = await fetch(`${here.app.address}/api/boats/sable-wren/photographs.pdf?${units}`);
      const [first] = await pdfSheets(new Uint8Array(await sheet.arrayBuffer()));
      expect(first?.text).toContain('Faces at the transom');
    },
    2 * minutes,
  );
});
