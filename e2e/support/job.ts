import { readFileSync } from 'node:fs';
import { readdir } from 'node:fs/promises';
import { join } from 'node:path';
import { Key, type WebDriver } from 'selenium-webdriver';
import { eventually, find, says, textOf, type Browser } from './browser.ts';
import type { Hands } from './hands.ts';

/** A boat that is not in the demo data, as its owner tells it: feet, fathoms, brackish water. */
export const jobBoat = 'Umber Tern';
const draughtFt = 1.5;
const feetAFathom = 6;

/** What the sounder misses in each of five pairs, in feet; the fourth is a slip of the tongue. */
const missedFt = [1.1, 1.14, 1.08, 3.2, 1.12] as const;
const leadFathoms = [2, 3, 4, 5, 6] as const;
/** The display is set to this water's own speed (Medwin 1975 at 10 °C and 18 ppt): what is missed is the face's depth. */
const speedMps = 1449.2 + 4.6 * 10 - 0.055 * 100 + 0.00029 * 1000 + (1.34 - 0.1) * (18 - 35);

export const slip = 4;

const inWater = async (driver: WebDriver, prefix: string): Promise<string> => {
  const field = await find(driver, `[id^="${prefix}"]`);
  return `#${(await field.getAttribute('id')) ?? ''}`;
};

export const saved = (driver: WebDriver): Promise<string> =>
  eventually(
    () => textOf(driver, 'gk-saved-state'),
    (text) => text.startsWith('saved'),
    'everything saved',
  );

const finding = (driver: WebDriver, id: string): Promise<boolean> =>
  driver.executeScript<boolean>('return document.querySelector(`[data-finding^="${arguments[0]}"]`) !== null', id);

export const findingIs = (driver: WebDriver, id: string, there: boolean): Promise<boolean> =>
  eventually(
    () => finding(driver, id),
    (now) => now === there,
    `finding ${id} ${there ? 'there' : 'gone'}`,
  );

/** Does something to a boat of the fleet by the menu of its line. */
export const actOn = async (driver: WebDriver, hands: Hands, boat: string, act: string): Promise<void> => {
  await hands.press(`button[aria-label="Actions for ${boat}"]`);
  const place = await eventually(
    () =>
      driver.executeScript<number>(
        `return [...document.querySelectorAll('.p-menu li')].findIndex((one) => one.textContent.trim() === arguments[0])`,
        act,
      ),
    (at) => at >= 0,
    `the menu to offer ${act}`,
  );
  await eventually(
    () => driver.executeScript<boolean>(`return document.activeElement?.closest('.p-menu') !== null`),
    (there) => there,
    'the menu to take the keys',
  );
  await driver
    .actions()
    .sendKeys(...Array.from({ length: place + 1 }, () => Key.ARROW_DOWN), Key.ENTER)
    .perform();
};

/** Stage 1: the boat and its water. */
export const describeBoat = async (driver: WebDriver, hands: Hands): Promise<void> => {
  await hands.press('#add-boat');
  await hands.fill('#new-boat', jobBoat);
  await hands.press('#make-boat');
  await find(driver, '#boat-length');
  const units = await textOf(driver, '.tools button.mono');
  if (!units.startsWith('fm')) throw new Error(`The units should be fathoms by now: ${units}`);
  await hands.fill('#boat-length', '24');
  await hands.fill('#boat-beam', '8,5');
  await hands.fill('#boat-draught', String(draughtFt));
  await hands.choose('#boat-hull-form', 'planing');
  await hands.fill('#boat-cruise-speed', '18');
  await hands.fill('#boat-top-speed', '27 mph');
  await hands.press('#add-station');
  await hands.fill(await inWater(driver, 'station-viewing-distance-'), '3');
  await hands.press('#add-water');
  await hands.fill(await inWater(driver, 'water-name-'), 'Brack Pool');
  await hands.choose(await inWater(driver, 'water-kind-'), 'brackish');
  await hands.fill(await inWater(driver, 'water-salinity-'), '18');
  await hands.fill(await inWater(driver, 'water-temperature-'), '50');
  await hands.fill(await inWater(driver, 'water-shallowest-'), '1');
  await hands.fill(await inWater(driver, 'water-usual-deepest-'), '12');
  await hands.fill(await inWater(driver, 'water-greatest-'), '20');
  await hands.press('#add-sought');
  await hands.fill(await inWater(driver, 'sought-name-'), 'Perch');
};

/** Ways of working by their boxes. */
export const chooseWays = async (driver: WebDriver, press: (css: string) => Promise<void>): Promise<void> => {
  for (const place of [2, 6, 8]) await press(`#ways gk-tick-field:nth-of-type(${place}) input`);
  await findingIs(driver, 'brief-missing', false);
};

/** Stage 2: two transducers by hand from their sheets, one quoted at -10 dB. */
export const chooseBeams = async (driver: WebDriver, hands: Hands): Promise<void> => {
  await hands.stage(2);
  await hands.press('[data-tab=section]');
  await find(driver, '#sheet-name');
  await hands.fill('#working-depth', '10');
  const sheet = async (name: string, kHz: string, cone: string, level: string): Promise<void> => {
    await hands.fill('#sheet-name', name);
    await hands.choose('#sheet-mounting', 'transom');
    await hands.fill('#sheet-frequency', kHz);
    await hands.fill('#sheet-beamwidth', cone);
    await hands.choose('#sheet-level', level);
    await hands.press('gk-sheet-form button[type="submit"]');
    await eventually(
      () => textOf(driver, 'table.figures'),
      (text) => text.includes(name),
      `${name} on the boat`,
    );
  };
  await sheet('Sheet wide', '190', '28', '-10 dB');
  await sheet('Sheet narrow', '95', '9', '-3 dB');
};

/** Stage 5: five lead-line pairs for the wide one. The slip is named, and left out by hand. */
export const calibrate = async (driver: WebDriver, hands: Hands): Promise<void> => {
  await hands.stage(5);
  const key = await (await find(driver, '[data-calibration^="depth-"]')).getAttribute('data-calibration');
  const sounder = key?.slice('depth-'.length);
  await hands.choose(`#reading-set-to-${sounder ?? ''}`, 'its own figure');
  await hands.fill('#assumed-speed', speedMps.toFixed(1));
  for (const [i, fathoms] of leadFathoms.entries()) {
    const id = await (await find(driver, 'tr[data-reading="new"] input')).getAttribute('id');
    await hands.fill(`#${id ?? ''}`, String(fathoms));
    await hands.fill(
      `#${(id ?? '').replace('reading-', 'shown-')}`,
      (fathoms - (missedFt[i] ?? 0) / feetAFathom).toFixed(3),
    );
  }
  await findingIs(driver, `offset-flagged:${sounder ?? ''}`, true);
  await hands.press(`gk-finding [data-finding^="offset-flagged"] .fix`);
  await findingIs(driver, 'offset-flagged', false);
  await hands.press('#result .p-button:not(.p-button-text)');
  await eventually(
    () => textOf(driver, '#result .p-button:not(.p-button-text)'),
    (text) => text === 'Entered',
    'the offset entered',
  );
};

/** Stages 7 and 8: a display, a page for each way of working, and six presses. */
export const makeScreens = async (driver: WebDriver, hands: Hands): Promise<void> => {
  await hands.stage(7);
  const picker = `#${(await (await find(driver, 'gk-display-picker [role=combobox]')).getAttribute('id')) ?? ''}`;
  const station = picker.replace('#display-', '');
  // Once the catalogue is there.
  await says(driver, picker, 'none');
  await hands.choose(picker, 'Display 13, five keys');
  for (const way of ['searching', 'trolling', 'anchored']) {
    await hands.press(`#cell-${station}-${way}`);
    await hands.press('gk-suggestion-list li:first-child .p-button');
    await find(driver, 'gk-screen-editor');
  }
  await findingIs(driver, 'page-missing', false);
  await hands.choose('#add-number', 'depth');
  await find(driver, '.number');
  await hands.stage(8);
  const presses = {
    '1-short': 'page: searching',
    '2-short': 'page: trolling',
    '3-short': 'page: anchored',
    '4-short': 'mark: seen',
    '1-long': 'stop transmitting',
    '4-long': 'mark: hazard',
  };
  for (const [slot, action] of Object.entries(presses)) await hands.choose(`#key-${station}-${slot}`, action);
  for (const rule of ['page-without-key', 'key-twice', 'key-slip', 'key-on-trailer'])
    await findingIs(driver, rule, false);
};

export interface CardFigures {
  readonly text: string;
  readonly offset: string;
}

/** What the card says, figure for figure. */
export const cardFigures = async (driver: WebDriver): Promise<CardFigures> => {
  await find(driver, 'article.card');
  const text = await driver.executeScript<string>(
    `return [...document.querySelectorAll('article.card, article.station-card')].map((one) => one.innerText).join(' ').replace(/\u00a0/g, ' ')`,
  );
  return { text, offset: await textOf(driver, 'tr[data-transducer="Sheet wide"] .offset') };
};

export const downloaded = (browser: Browser, ending: string): Promise<string> =>
  eventually(
    async () =>
      (await readdir(browser.downloads))
        .filter((name) => name.endsWith(ending))
        .map((name) => join(browser.downloads, name))[0] ?? '',
    (path) => path !== '' && readFileSync(path).length > 0,
    `a download ending in ${ending}`,
  );

/** The id of the boat that is open, once its address is that of a boat. */
export const openBoatId = async (driver: WebDriver): Promise<string> => {
  const address = await eventually(
    () => driver.getCurrentUrl(),
    (url) => /^\/boats\/[^/]+\//.test(new URL(url).pathname),
    'the address of a boat',
  );
  return new URL(address).pathname.split('/')[2] ?? '';
};
