import { stageViews } from '../../apps/web/src/app/stages/views.ts';
import { eventually, find, type Browser } from './browser.ts';

/** Every view a boat has, and the fleet. */
export const views = ['', ...stageViews.map(({ stage }) => `boats/sable-wren/${stage}`)];

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
