import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Builder, By, error, logging, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome.js';

const firstThere = (paths: readonly string[]): string => paths.find((path) => existsSync(path)) ?? paths[0] ?? '';
const chromium = firstThere([process.env['CHROME_BIN'] ?? '', '/usr/bin/chromium']);
const chromedriver = firstThere([process.env['CHROMEDRIVER_BIN'] ?? '', '/usr/bin/chromedriver']);

/** In millimetres. */
const inch = 25.4;

export interface Browser {
  readonly driver: WebDriver;
  /** Where downloads arrive. */
  readonly downloads: string;
  /** A finger's tap, in pixels of the page. */
  readonly tap: (x: number, y: number) => Promise<void>;
  /** The page as it would be printed on A4. */
  readonly printed: () => Promise<Uint8Array>;
  readonly resize: (width: number, height: number) => Promise<void>;
  /** Whether the screen is one that is touched: what points is a finger then. */
  readonly touched: (by: boolean) => Promise<void>;
  /** Makes the clock by which the pages that are opened from now on tell how long ago things were run so many times as fast. */
  readonly hurry: (times: number) => Promise<void>;
  readonly close: () => Promise<void>;
}

const flags = [
  '--headless=new',
  '--no-sandbox',
  '--disable-dev-shm-usage',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--hide-scrollbars',
  '--force-device-scale-factor=1',
];

export interface BrowserOptions {
  /** Record what the main thread does, to be read from the performance log. */
  readonly trace?: boolean;
  /** How many times slower than it is the processor is made to seem. */
  readonly slowed?: number;
}

export const openBrowser = async (
  width = 1280,
  height = 800,
  { trace = false, slowed = 1 }: BrowserOptions = {},
): Promise<Browser> => {
  const profile = mkdtempSync(join(tmpdir(), 'grey-keel-browser-'));
  const downloads = join(profile, 'downloads');
  mkdirSync(downloads);
  const options = new Options();
  options.setBinaryPath(chromium);
  options.addArguments(...flags, `--user-data-dir=${join(profile, 'data')}`);
  options.setUserPreferences({ 'download.default_directory': downloads, 'download.prompt_for_download': false });
  if (trace) {
    const logs = new logging.Preferences();
    logs.setLevel(logging.Type.PERFORMANCE, logging.Level.ALL);
    options.setLoggingPrefs(logs);
    options.setPerfLoggingPrefs({ traceCategories: 'devtools.timeline' } as never);
  }
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder(chromedriver))
    .build()) as unknown as Driver;
  const resize = async (wide: number, high: number): Promise<void> => {
    await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
      width: wide,
      height: high,
      deviceScaleFactor: 1,
      mobile: false,
    });
  };
  await resize(width, height);
  if (slowed > 1) await driver.sendDevToolsCommand('Emulation.setCPUThrottlingRate', { rate: slowed });
  await driver.sendDevToolsCommand('Browser.setDownloadBehavior', { behavior: 'allow', downloadPath: downloads });
  opened = driver;
  let hurried: string | null = null;
  return {
    driver,
    downloads,
    tap: async (x, y) => {
      await driver.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [{ x, y }] });
      await driver.sendDevToolsCommand('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    },
    printed: async () => {
      const { data } = (await driver.sendAndGetDevToolsCommand('Page.printToPDF', {
        printBackground: true,
        paperWidth: 210 / inch,
        paperHeight: 297 / inch,
      })) as unknown as { data: string };
      return new Uint8Array(Buffer.from(data, 'base64'));
    },
    resize,
    touched: (enabled) =>
      driver.sendDevToolsCommand('Emulation.setTouchEmulationEnabled', { enabled, maxTouchPoints: 1 }),
    hurry: async (times) => {
      if (hurried !== null)
        await driver.sendDevToolsCommand('Page.removeScriptToEvaluateOnNewDocument', { identifier: hurried });
      hurried = null;
      if (times === 1) return;
      const added = (await driver.sendAndGetDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', {
        source: `{
          const real = performance.now.bind(performance);
          const from = real();
          performance.now = () => from + ${times} * (real() - from);
        }`,
      })) as unknown as { identifier: string };
      hurried = added.identifier;
    },
    close: async () => {
      await driver.quit();
      rmSync(profile, { recursive: true, force: true });
    },
  };
};

/** Long enough for a machine that does something else besides; whatever comes sooner is taken at once. */
const patienceMs = 20_000;

/** How often it is looked, ms; on a machine that is busy each look takes longer, and so long is waited for as many looks. */
const lookEveryMs = 60;
const usualLookMs = 120;
/** Whatever the machine does besides, this is long enough. */
const mostTimes = 6;

/** The browser that was opened last: there is one at a time. */
let opened: WebDriver | null = null;
/** What changes while a page still loads or draws. */
const progress = async (): Promise<string> =>
  (await opened
    ?.executeScript<string>(
      `return [document.URL, document.readyState, document.getElementsByTagName('*').length,
               performance.getEntriesByType('resource').length,
               ...[...document.querySelectorAll('[role=progressbar]')].map((one) => one.getAttribute('aria-valuenow'))].join()`,
    )
    .catch(() => '')) ?? '';

/**
 * Waits until a question about the page has the answer wanted: for so long since the page last got on, and for as many looks
 * as that is on a machine that does nothing else.
 */
export const eventually = async <T>(
  ask: () => Promise<T>,
  good: (answer: T) => boolean,
  what: string,
  withinMs = patienceMs,
): Promise<T> => {
  const begun = Date.now();
  let [from, seen] = [begun, ''];
  for (let looks = 1; ; looks++) {
    const answer = await ask().catch((error: unknown) => error as T);
    if (!(answer instanceof Error) && good(answer)) return answer;
    const pastMs = Date.now() - begun;
    if (pastMs > mostTimes * withinMs || (Date.now() - from > withinMs && looks > withinMs / usualLookMs)) {
      const now = await progress();
      if (now === seen || pastMs > mostTimes * withinMs)
        throw new Error(`Waited in vain for ${what}, ${Math.round(pastMs / 1000)} s; last: ${String(answer)}`);
      // It got on since it was last asked about: half as long again.
      [from, seen] = [Date.now() - withinMs / 2, now];
    }
    await new Promise((resolve) => setTimeout(resolve, lookEveryMs));
  }
};

export const find = (driver: WebDriver, css: string): Promise<WebElement> =>
  eventually(
    () => driver.findElement(By.css(css)),
    () => true,
    `an element ${css}`,
  );

/** Does it again when the page has drawn the element anew in the meantime or only begins to show it, as a person would look again. */
export const whileFresh = async <T>(work: () => Promise<T>): Promise<T> => {
  const end = Date.now() + patienceMs;
  for (let tries = 1; ; tries++)
    try {
      return await work();
    } catch (fault) {
      const late = fault instanceof error.ElementNotInteractableError && Date.now() < end;
      if (!late && !(fault instanceof error.StaleElementReferenceError && tries < 5)) throw fault;
      await new Promise((resolve) => setTimeout(resolve, late ? 60 : 0));
    }
};

export const textOf = (driver: WebDriver, css: string): Promise<string> =>
  whileFresh(async () => (await (await find(driver, css)).getText()).replace(/\u00a0/g, ' '));

/** Waits until a part of the page has these words. */
export const says = (driver: WebDriver, css: string, words: string): Promise<string> =>
  eventually(
    () => textOf(driver, css),
    (text) => text.includes(words),
    `"${words}" in ${css}`,
  );

const axeSource = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds that is serious or worse, as `rule: place` lines. */
export const seriousFaults = async (driver: WebDriver): Promise<string[]> => {
  // A page that was followed from the last one has it already.
  if (await driver.executeScript<boolean>('return window.axe === undefined')) await driver.executeScript(axeSource);
  return driver.executeAsyncScript<string[]>(`
    const done = arguments[arguments.length - 1];
    axe.run(document, { resultTypes: ['violations'] }).then((result) =>
      done(result.violations
        .filter(({ impact }) => impact === 'serious' || impact === 'critical')
        .flatMap(({ id, nodes }) => nodes.map(({ target, failureSummary }) => id + ': ' + target.join(' ') + ' ' + failureSummary)))
    );
  `);
};
