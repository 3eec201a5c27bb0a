import { mkdirSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { startApplication } from './application.ts';
import { openBrowser } from '../e2e/support/browser.ts';
import { addLongNamed } from './look/long-names.ts';
import { everyLook, faultsOfLook, lookAt, lookInWords, pairedLooks } from './look/looks.ts';

// npm run look -- [--pairs] [--pictures FOLDER] [WORD ...]: every view in every light, size and unit, on a demo boat and
// on one with long names; only those whose line has all the words. With --pairs only so many that any two conditions meet.
const { values, positionals } = parseArgs({
  options: { pairs: { type: 'boolean' }, pictures: { type: 'string' } },
  allowPositionals: true,
});
const looks = (values.pairs ? pairedLooks() : everyLook()).filter((look) =>
  positionals.every((word) => lookInWords(look).includes(word)),
);
if (looks.length === 0) {
  console.error(
    `No look has all of: ${positionals.join(', ')}. They are called like "${lookInWords(pairedLooks()[0] ?? (undefined as never))}".`,
  );
  process.exit(2);
}
const folder = values.pictures === undefined ? null : resolve(values.pictures);
if (folder !== null) mkdirSync(folder, { recursive: true });

const app = await startApplication();
const browser = await openBrowser();
let faulty = 0;
try {
  await addLongNamed(app.address);
  await browser.driver.get(app.address);
  for (const [i, look] of looks.entries()) {
    const words = lookInWords(look);
    await lookAt(browser, app.address, look);
    const faults = await faultsOfLook(browser);
    if (faults.length > 0) faulty += 1;
    console.log(`${i + 1}/${looks.length} ${words}${faults.map((fault) => `\n  FAULT ${fault}`).join('')}`);
    if (folder !== null)
      writeFileSync(
        join(folder, `${words.replace(/[^a-z0-9]+/gi, '-')}.png`),
        Buffer.from(await browser.driver.takeScreenshot(), 'base64'),
      );
  }
} finally {
  await browser.close();
  await app.remove();
}
console.log(`${looks.length} looks, ${faulty} with faults`);
process.exitCode = faulty === 0 ? 0 : 1;
