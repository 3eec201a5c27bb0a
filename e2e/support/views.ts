import { stageViews } from '../../apps/web/src/app/stages/views.ts';
import { eventually, find, type Browser } from './browser.ts';

/** Every view a boat has, and the fleet. */
export const views = ['', ...Object.keys(stageViews).map((stage) => `boats/sable-wren/${stage}`)];

/** What is drawn only in an idle moment is there. */
export const drawn = (driver: Browser['driver']): Promise<number> =>
  eventually(
    () => driver.executeScript<number>(`return document.querySelectorAll('.to-come').length`),
    (count) => count === 0,
    'what is drawn in a moment',
  );

/** Opens a view and waits for what it shows, its letters included. */
export async function show({ driver }: Browser, address: string, path: string): Promise<void> {
  await driver.get(`${address}/${path}`);
  await find(driver, '.sheet');
  await eventually(
    () => driver.executeScript<string>('return document.fonts.status'),
    (status) => status === 'loaded',
    'the fonts',
  );
  await drawn(driver);
}

/** Where the fleet's page or a boat's stands; the one goes before the other comes. */
const pages = { fleet: 'gk-fleet-page', boat: 'gk-boat-shell' } as const;

/**
 * Goes to a view as a link does where the program is loaded already, and loads it where it is not: a load takes longer than
 * all else. By way of the fleet, so that nothing of the last view is taken for the next.
 */
export const follow = async ({ driver }: Browser, address: string, path: string): Promise<void> => {
  const isLoaded = await driver.executeScript<boolean>(
    'return location.origin === arguments[0] && document.querySelector(arguments[1]) !== null',
    address,
    Object.values(pages).join(),
  );
  if (!isLoaded) return driver.get(`${address}/${path}`);
  const go = (to: string): Promise<void> =>
    driver.executeScript(
      `history.pushState(null, '', arguments[0]); dispatchEvent(new PopStateEvent('popstate', { state: null }))`,
      `/${to}`,
    );
  await go('');
  await find(driver, `body:not(:has(${pages.boat})) ${pages.fleet}`);
  if (path === '') return;
  await go(path);
  await find(driver, `body:not(:has(${pages.fleet})) ${pages.boat}`);
};
