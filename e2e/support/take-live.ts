import { By, type WebDriver } from 'selenium-webdriver';
import { eventually, find } from './browser.ts';
import type { Hands } from './hands.ts';

/** The lines of readings on record, and the one for the next. */
export const readingLines = (driver: WebDriver) => driver.findElements(By.css('tr[data-reading]'));

/** So long instruments may take until they are steady. */
const steadyMs = 90_000;

/** So long a reading that was taken may take to be listed. */
const listedMs = 15_000;
const mostTries = 4;

/**
 * Takes what the instruments say as a reading, once they let it be taken, and waits until it is listed. They may stray again
 * between the look and the press: then they are waited for once more, as a person would.
 */
export const takeLive = async (driver: WebDriver, hands: Hands): Promise<void> => {
  const count = (await readingLines(driver)).length;
  for (let tries = 1; ; tries++) {
    await eventually(
      () => find(driver, '#take-run').then((button) => button.isEnabled()),
      (on) => on,
      'a reading to be ready',
      steadyMs,
    );
    await hands.press('#take-run');
    const listed = eventually(
      () => readingLines(driver),
      (lines) => lines.length > count,
      'the reading to be listed',
      listedMs,
    ).then(() => true);
    if (await (tries < mostTries ? listed.catch(() => false) : listed)) return;
  }
};
