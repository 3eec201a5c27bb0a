import { error, Key, type WebDriver, type WebElement } from 'selenium-webdriver';
import { eventually, find, whileFresh, type Browser } from './browser.ts';

/** A way of working the interface: the same job is done with a pointer and with the keyboard alone. */
export interface Hands {
  /** Writes into a field and leaves it. */
  readonly fill: (css: string, text: string) => Promise<void>;
  /** Presses a button or follows a link. */
  readonly press: (css: string) => Promise<void>;
  /** Chooses an entry of a list by the text it begins with. */
  readonly choose: (css: string, label: string) => Promise<void>;
  /** Hands a file to a file field. */
  readonly give: (css: string, path: string) => Promise<void>;
  /** Goes to a stage by its number. */
  readonly stage: (number: number) => Promise<void>;
}

const wholeOf = (driver: WebDriver, css: string): Promise<void> =>
  driver.executeScript('document.querySelector(arguments[0]).select()', css);

/** The entries of the list that is open. */
const listed = '.p-select-overlay [role="option"]';
/** So long a list may take to open; a page that still scrolls closes it at once, and it is opened again. */
const openMs = 4000;

/** It opens over a few frames, and nothing in it can be read or pressed before. */
const opened = (driver: WebDriver): Promise<boolean> =>
  eventually(
    () =>
      driver.executeScript<boolean>(
        `const list = document.querySelector('.p-select-overlay');
         return list !== null && list.querySelector('[role="option"]') !== null &&
           document.getAnimations().length === 0 && getComputedStyle(list).opacity === '1';`,
      ),
    (still) => still,
    'the list to stand still',
    openMs,
  ).catch(() => false);
const mostTries = 6;
/** Opens a list in whatever way, again where it closed by itself. */
const open = async (driver: WebDriver, press: () => Promise<void>): Promise<void> => {
  for (let i = 0; i < mostTries; i++) {
    await press();
    if (await opened(driver)) return;
  }
  throw new Error('The list does not open, or closes as soon as it does.');
};
const gone = async (driver: WebDriver): Promise<void> => {
  await eventually(
    () => driver.findElements({ css: listed }),
    (left) => left.length === 0,
    'the list to close',
  );
};
/** A list that says something else than expected is looked at again: what it offers may have been written a moment ago. */
const choiceMs = 8000;
const untilChosen = async (driver: WebDriver, css: string, label: string, once: () => Promise<boolean>) => {
  const end = Date.now() + choiceMs;
  while (!(await whileFresh(once))) {
    if (Date.now() > end) {
      const entries = await driver.executeScript<string>(
        `return [...document.querySelectorAll(arguments[0])].map((one) => one.textContent.trim()).join('; ')`,
        listed,
      );
      throw new Error(`${css} has no entry "${label}" but ${entries}`);
    }
    // One that has closed by itself needs no Escape, which would close what lies under it.
    if ((await driver.findElements({ css: listed })).length > 0) await driver.actions().sendKeys(Key.ESCAPE).perform();
    await gone(driver);
  }
  await gone(driver);
};

/** Waits while what is around it slides or fades in: a press would land where it was. One that is drawn anew no longer moves. */
const still = (driver: WebDriver, element: WebElement): Promise<boolean> =>
  eventually(
    () =>
      driver
        .executeScript<boolean>(
          `const [element] = arguments;
         return !element.isConnected || document.getAnimations().every(({ playState, effect }) =>
           playState !== 'running' || effect.getTiming().iterations === Infinity || !effect.target?.contains(element));`,
          element,
        )
        .catch((fault: unknown) => {
          if (fault instanceof error.StaleElementReferenceError) return true;
          throw fault;
        }),
    (stands) => stands,
    'it to stand still',
  );

export const pointer = (driver: WebDriver): Hands => {
  const inView = async (css: string): Promise<WebElement> => {
    const element = await find(driver, css);
    await driver.executeScript('arguments[0].scrollIntoView({block: "center"})', element);
    await still(driver, element);
    return element;
  };
  return {
    fill: (css, text) =>
      whileFresh(async () => {
        const field = await inView(css);
        await field.click();
        await wholeOf(driver, css);
        await field.sendKeys(text, Key.TAB);
      }),
    press: (css) => whileFresh(async () => (await inView(css)).click()),
    choose: (css, label) =>
      untilChosen(driver, css, label, async () => {
        await open(driver, async () => (await inView(css)).click());
        for (const option of await driver.findElements({ css: listed }))
          if ((await option.getText()).startsWith(label)) {
            await option.click();
            return true;
          }
        return false;
      }),
    give: async (css, path) => (await find(driver, css)).sendKeys(path),
    stage: async (number) => {
      const link = await driver.findElement({ xpath: `//gk-ladder//a[starts-with(normalize-space(.), "${number}")]` });
      await link.click();
    },
  };
};

/** So often a finger taps on a field that does not take the keys: it may have moved as the finger came down. */
const mostTaps = 3;

/** Taps on a field until it takes the keys, and marks what stands in it. */
export const tapInto = async (driver: WebDriver, tapOn: (css: string) => Promise<void>, css: string): Promise<void> => {
  for (let i = 0; i < mostTaps; i++) {
    await tapOn(css);
    const has = await eventually(
      () => driver.executeScript<boolean>('return document.activeElement.matches(arguments[0])', css),
      (focused) => focused,
      `${css} to take the keys`,
      2000,
    ).catch(() => false);
    if (has) return wholeOf(driver, css);
  }
  throw new Error(`${css} does not take the keys when it is tapped on.`);
};

/** A finger: it taps, and types on whatever the tap has brought up. */
export const touch = ({ driver, tap }: Browser): Hands => {
  const tapOn = (css: string): Promise<void> =>
    whileFresh(async () => {
      const target = await find(driver, css);
      const [x, y] = await driver.executeScript<[number, number]>(
        `arguments[0].scrollIntoView({block: 'center'});
         const box = arguments[0].getBoundingClientRect();
         return [box.left + box.width / 2, box.top + box.height / 2];`,
        target,
      );
      await tap(x, y);
    });
  return {
    ...pointer(driver),
    press: tapOn,
    fill: async (css, text) => {
      await tapInto(driver, tapOn, css);
      await driver.actions().sendKeys(text, Key.ENTER).perform();
    },
    stage: async (number) => {
      const stages = await driver.findElements({ css: 'gk-ladder a' });
      for (const stage of stages)
        if ((await stage.getText()).startsWith(String(number))) {
          const href = (await stage.getAttribute('href')) ?? '';
          return tapOn(`gk-ladder a[href="${new URL(href).pathname}"]`);
        }
      throw new Error(`The ladder has no stage ${number}.`);
    },
  };
};

const mostTabs = 400;

export const keyboard = (driver: WebDriver): Hands => {
  const type = (...keys: string[]): Promise<void> =>
    driver
      .actions()
      .sendKeys(...keys)
      .perform();
  const onIt = (css: string): Promise<boolean> =>
    driver.executeScript<boolean>(
      'return document.activeElement !== null && document.activeElement.matches(arguments[0])',
      css,
    );
  /** Tab after Tab, as a person without a pointer does. */
  const reach = async (css: string): Promise<void> => {
    await find(driver, css);
    for (let i = 0; i < mostTabs; i++) {
      if (await onIt(css)) return;
      await type(Key.TAB);
    }
    throw new Error(`${css} cannot be reached by Tab`);
  };
  return {
    fill: async (css, text) => {
      await reach(css);
      await driver.actions().keyDown(Key.CONTROL).sendKeys('a').keyUp(Key.CONTROL).perform();
      await type(text, Key.TAB);
    },
    press: (css) =>
      whileFresh(async () => {
        // Tabs are gone along with the arrows, from the chosen one; each is chosen as it is reached.
        if ((await (await find(driver, css)).getAttribute('role')) === 'tab') {
          await reach('[role=tab][aria-selected=true]');
          for (let i = 0; i < mostTabs && !(await onIt(css)); i++) await type(Key.ARROW_LEFT);
          return;
        }
        await reach(css);
        await type(Key.ENTER);
      }),
    choose: async (css, label) => {
      await untilChosen(driver, css, label, async () => {
        await open(driver, async () => {
          await reach(css);
          await type(Key.ARROW_DOWN);
        });
        const [wanted, now] = await driver.executeScript<[number, number]>(
          `const options = [...document.querySelectorAll(arguments[0])];
           return [options.findIndex((option) => option.textContent.trim().startsWith(arguments[1])),
                   options.findIndex((option) => option.matches('.p-focus'))];`,
          listed,
          label,
        );
        if (wanted < 0) return false;
        for (let i = now; i !== wanted; i += Math.sign(wanted - now))
          await type(wanted > now ? Key.ARROW_DOWN : Key.ARROW_UP);
        await type(Key.ENTER);
        return true;
      });
      await type(Key.TAB);
    },
    // The browser's own file chooser is out of reach here; that the field can be reached is not.
    give: async (css, path) => {
      await reach(css);
      await (await find(driver, css)).sendKeys(path);
    },
    stage: async (number) => {
      await driver.executeScript('if (document.activeElement) document.activeElement.blur()');
      await type(String(number % 10));
    },
  };
};
