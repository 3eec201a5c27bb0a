import { join } from 'node:path';
import { putAside } from '../database/backup.ts';
import { openDatabase } from '../database/open-database.ts';
import { BoatStore } from '../fleet/boat-store.ts';
import { seedDemo } from './seed-demo.ts';

const folder = process.env['GREY_KEEL_DATA'];
if (!folder) {
  console.error('GREY_KEEL_DATA names the folder that the demo boats are put into; it is not set.');
  process.exit(2);
}
const file = join(folder, 'grey-keel.sqlite');
if (process.env['GREY_KEEL_RESET'] === 'yes') {
  const before = await putAside(file, 'reset', new Date());
  if (before.inUse) {
    console.error('The demo is running: stop it first.');
    process.exit(2);
  }
  if (before.aside !== null) console.log(`The demo starts anew; what was there is kept in ${before.aside}.`);
}
const database = await openDatabase(file);
const made = await seedDemo(new BoatStore(database), new Date());
await database.close();
console.log(made === 0 ? 'The demo boats are there already.' : `${made} demo boats made.`);
