import { mkdirSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { startApplication } from '../e2e/support/application.ts';
import { eventually, find, openBrowser } from '../e2e/support/browser.ts';
import { pointer } from '../e2e/support/hands.ts';

// One picture of each main view at 1280x800, from the real application on the demo boats.
const folder = fileURLToPath(new URL('../docs/screenshots/', import.meta.url));
interface View {
  readonly name: string;
  readonly path: string;
  readonly theme: 'shop' | 'sun' | 'night';
  readonly press: readonly string[];
  /** What is chosen in a list after that, by the beginning of its label. */
  readonly choose?: readonly (readonly [css: string, label: string])[];
}
const views: readonly View[] = [
  { name: 'fleet', path: '', theme: 'shop', press: [] },
  { name: 'brief', path: 'boats/sable-wren/brief', theme: 'shop', press: [] },
  { name: 'beams', path: 'boats/sable-wren/beams', theme: 'shop', press: ['.ways button:nth-of-type(4)'] },
  {
    name: 'fish',
    path: 'boats/sable-wren/beams',
    theme: 'shop',
    press: ['#tab-fish-and-slope', 'gk-scene-view .action.chief'],
  },
  {
    name: 'mark',
    path: 'boats/sable-wren/beams',
    theme: 'shop',
    press: ['#tab-where-is-it'],
    choose: [
      ['.beam:nth-of-type(1) select', 'strong'],
      ['.beam:nth-of-type(2) select', 'not at all'],
    ],
  },
  {
    name: 'drill',
    path: 'boats/sable-wren/beams',
    theme: 'sun',
    press: ['#tab-drill', '#drill-start', '#drill-score'],
  },
  { name: 'advice', path: 'boats/sable-wren/beams', theme: 'shop', press: ['#tab-advice', '#place-0'] },
  { name: 'reach', path: 'boats/sable-wren/beams', theme: 'shop', press: ['#tab-reach'] },
  { name: 'cone', path: 'boats/sable-wren/beams', theme: 'shop', press: ['#tab-cone-or-frequency'] },
  { name: 'fit', path: 'boats/sable-wren/fit', theme: 'shop', press: [] },
  { name: 'power', path: 'boats/sable-wren/fit', theme: 'shop', press: ['#tab-power'] },
  { name: 'network', path: 'boats/sable-wren/fit', theme: 'night', press: ['#tab-network'] },
  { name: 'sources', path: 'boats/sable-wren/sources', theme: 'shop', press: [] },
  { name: 'calibrate', path: 'boats/sable-wren/calibrate', theme: 'shop', press: [] },
  { name: 'working', path: 'boats/sable-wren/calibrate', theme: 'shop', press: ['#result gk-number button'] },
  { name: 'pages', path: 'boats/sable-wren/pages', theme: 'shop', press: ['#cell-a-helm-port-searching'] },
  { name: 'keys', path: 'boats/sable-wren/keys', theme: 'shop', press: [] },
  { name: 'find', path: 'boats/sable-wren/brief', theme: 'shop', press: ['button[aria-label^=Find]'] },
  { name: 'handover', path: 'boats/sable-wren/handover', theme: 'shop', press: [] },
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
