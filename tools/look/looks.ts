import { createRequire } from 'node:module';
import { stageViews } from '../../apps/web/src/app/stages/views.ts';
import { longNamed } from './long-names.ts';
import { eventually, find, seriousFaults, type Browser } from '../../e2e/support/browser.ts';
import { drawn, follow } from '../../e2e/support/views.ts';
import { textFaults } from './text-faults.ts';

// Its file is a script of the older kind, whose names cannot be imported one by one.
const { make } = createRequire(import.meta.url)('covertable') as typeof import('covertable');

/** Where a look goes, and which tab is opened there. */
export interface Place {
  readonly name: string;
  readonly stage: string | null;
  /** What stands on that tab; null where there is none. */
  readonly words: string | null;
}

/** In pairs with everything else: the least there is room for on a desk, on a tablet and in a hand. */
const screens = ['1280x800', '1024x768', '390x844'] as const;
/** Those that are touched, not pointed at with a mouse. */
const inHand: readonly Look['size'][] = ['1024x768', '390x844'];
/** Every size that is gone through where time does not count. */
const allScreens = [...screens, '1440x900'] as const;

const boats = ['sable-wren', longNamed] as const;

/** Everything a view has to stand: where one looks, by which light, on which screen, in which units, at whose boat. */
export const conditions = {
  place: [
    { name: 'fleet', stage: null, words: null },
    ...Object.entries(stageViews).flatMap(([stage, { tabs }]): Place[] =>
      tabs.length === 0
        ? [{ name: stage, stage, words: null }]
        : tabs.map((words) => ({ name: `${stage}, ${words}`, stage, words })),
    ),
  ] as readonly Place[],
  theme: ['shop', 'sun', 'night'] as const,
  size: screens,
  units: ['metric', 'feet', 'fathoms'] as const,
  boat: boats,
};
type Conditions = typeof conditions;
export type Look = {
  readonly [K in keyof Conditions]: K extends 'size' ? (typeof allScreens)[number] : Conditions[K][number];
};

/** What is read when the program is loaded. */
export const lightOf = ({ theme, units }: Look): string => `${theme}, ${units}`;

/** So many looks that any two conditions meet in one of them; those of one theme and unit behind each other. */
export const pairedLooks = (): readonly Look[] => {
  const { place, theme, size, units, boat } = conditions;
  const looks: Look[] = make({
    place: [...place],
    theme: [...theme],
    size: [...size],
    units: [...units],
    boat: [...boat],
  });
  return looks.sort((a, b) => lightOf(a).localeCompare(lightOf(b)));
};

/** Every look there is, on the sizes asked for. */
export const everyLook = (sizes: readonly Look['size'][] = allScreens): readonly Look[] =>
  conditions.place.flatMap((place) =>
    conditions.theme.flatMap((theme) =>
      sizes.flatMap((size) =>
        conditions.units.flatMap((units) => conditions.boat.map((boat) => ({ place, theme, size, units, boat }))),
      ),
    ),
  );

export const lookInWords = ({ place, theme, size, units, boat }: Look): string =>
  [place.name, theme, size, units, boat].join(' · ');

/** Opens what a look is at, and waits until it stands still. */
export const lookAt = async (browser: Browser, address: string, look: Look): Promise<void> => {
  const { driver } = browser;
  const { place, theme, units, boat } = look;
  const [width = 0, height = 0] = look.size.split('x').map(Number);
  await browser.resize(width, height);
  await browser.touched(inHand.includes(look.size));
  // Units and theme are read when the program is loaded.
  const isOther = await driver.executeScript<boolean>(
    `const other = localStorage.getItem('grey-keel-view') !== arguments[0];
     localStorage.setItem('grey-keel-view', arguments[0]);
     return other`,
    JSON.stringify({ units, theme }),
  );
  if (isOther) await driver.get('about:blank');
  await follow(browser, address, place.stage === null ? '' : `boats/${boat}/${place.stage}`);
  await find(driver, '.sheet');
  if (place.words !== null) {
    // Tabs of the library, or a list of the stage's own that does what they do.
    const tab = await find(driver, `[data-tab="${place.words}"]`);
    await driver.executeScript('arguments[0].click()', tab);
    await find(driver, `[data-tab="${place.words}"]:is([aria-selected="true"], [aria-current="true"])`);
    await find(driver, '.sheet');
  }
  await eventually(
    () =>
      driver.executeScript<boolean>(
        `return document.fonts.status === 'loaded' && document.getAnimations().length === 0`,
      ),
    (still) => still,
    'the view standing still',
  );
  await drawn(driver);
};

/**
 * What is too small for a wet thumb: under 44 px high where a mouse points, and in the hand whatever can be pressed, taken
 * or followed, in either direction. A drawn one counts by what answers round it.
 */
const smallTargets = `(() => {
  const inHand = matchMedia('(pointer: coarse)').matches;
  const all = inHand
    ? 'a[href], button, input, textarea, summary, .p-select, .p-multiselect, [role=button], [role=slider], [role=tab], [role=separator], [tabindex="0"]'
    : 'button, p-accordion-header, .p-select, .p-multiselect, .p-tab, .p-togglebutton, nav a, input:not([type=checkbox]):not([type=radio])';
  return [...document.querySelectorAll(all)]
    .filter((one) => one.checkVisibility() && !one.matches('.p-select *, .p-multiselect *, .wide, .p-datatable-table-container'))
    .filter((one) => inHand || !one.closest('gk-number, .acts, gk-finding'))
    .map((one) => {
      const hit = one.matches('[type=checkbox], [type=radio]') ? (one.closest('label') ?? one) : one;
      const box = hit.getBoundingClientRect();
      const [wide, high] = ['width', 'height'].map((side) => Math.max(box[side], Number.parseFloat(getComputedStyle(hit, '::after')[side]) || 0));
      return { one, wide, high };
    })
    .filter(({ wide, high }) => high > 1 && (high < 43.5 || (inHand && wide < 43.5)))
    .map(({ one, wide, high }) => 'only ' + wide.toFixed(1) + ' by ' + high.toFixed(1) + ' px: ' + (one.id || one.getAttribute('aria-label') || one.textContent.trim() || one.className));
})()`;

/** What does not fit: the window or a frame that is not meant to scroll does, or something runs out of its sheet. */
const overTheEdge = `[
  ...[...document.querySelectorAll('html, body *')]
    .filter((one) => one.matches('html') || (/auto|scroll/.test(getComputedStyle(one).overflowX) && !one.closest('.wide, .p-datatable')))
    .filter((one) => one.scrollWidth > one.clientWidth + 1 && one.clientWidth > 0)
    .map((one) => one.tagName + '.' + one.className + ' scrolls sideways by ' + (one.scrollWidth - one.clientWidth) + ' px'),
  ...[...document.querySelectorAll('.sheet:not(.wide)')]
    .filter((one) => one.scrollWidth > one.clientWidth + 1)
    .map((one) => 'runs out of its sheet by ' + (one.scrollWidth - one.clientWidth) + ' px: ' + one.textContent.trim().slice(0, 40)),
]`;

/** What is wrong in the view that is open. */
export const faultsOfLook = async ({ driver }: Browser): Promise<string[]> => [
  ...(await textFaults(driver)),
  ...(await driver.executeScript<string[]>(`return [...${overTheEdge}, ...${smallTargets}]`)),
  ...(await seriousFaults(driver)),
];
