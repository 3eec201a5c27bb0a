import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import type { Picture } from '../apps/web/src/app/stages/stage-views.ts';
import { stageViews } from '../apps/web/src/app/stages/views.ts';
import { startApplication } from './application.ts';
import { eventually, find, openBrowser } from '../e2e/support/browser.ts';
import { pointer } from '../e2e/support/hands.ts';
import { drawn } from '../e2e/support/views.ts';

// One picture of each main view at 1280x800, from the real application on the demo boats.
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
const fleetPicture: Picture = { name: 'fleet', theme: 'shop', press: [] };
const views: readonly (Picture & { readonly path: string })[] = [
  { ...fleetPicture, path: '' },
  ...Object.entries(stageViews).flatMap(([stage, { pictures }]) =>
    pictures.map((picture) => ({ ...picture, path: `boats/sable-wren/${stage}` })),
  ),
];

const only = process.argv[2];
mkdirSync(folder, { recursive: true });
const app = await startApplication();
const { driver, close } = await openBrowser();
try {
  await driver.get(app.address);
  for (const { name, path, theme, press, choose = [] } of views) {
    if (only !== undefined && !only.split(',').includes(name)) continue;
    await driver.executeScript(
      `localStorage.setItem('grey-keel-view', JSON.stringify({ units: 'metric', theme: arguments[0] }))`,
      theme,
    );
    await driver.get(`${app.address}/${path}`);
    await find(driver, '.sheet');
    await drawn(driver);
    for (const css of press) await pointer(driver).press(css);
    for (const [css, label] of choose) await pointer(driver).choose(css, label);
    await eventually(
      () => driver.executeScript<string>('return document.fonts.status'),
      (status) => status === 'loaded',
      'the fonts',
    );
    // The chart is drawn by a library that loads on its own.
    await new Promise((resolve) => setTimeout(resolve, 800));
    writeFileSync(`${folder}${name}.png`, Buffer.from(await driver.takeScreenshot(), 'base64'));
    console.log(`docs/screenshots/${name}.png`);
  }
} finally {
  await close();
  await app.remove();
}
