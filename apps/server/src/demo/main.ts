import { putAside } from '../database/backup.ts';
import { databaseIn, demoFolder, keepPrivate } from '../data-folder.ts';
import { openDatabase } from '../database/open-database.ts';
import { BoatStore } from '../fleet/boat-store.ts';
import { dataFault } from '../start/start-fault.ts';
import { Recordings } from '../recordings/recordings.ts';
import { seedRecordings } from './demo-recordings.ts';
import { seedDemo } from './seed-demo.ts';

const folder = demoFolder();
keepPrivate(folder);
const file = databaseIn(folder);
if (process.env['GREY_KEEL_RESET'] === 'yes') {
  const before = await putAside(file, 'reset', new Date());
  if (before.inUse) {
    console.error('The demo is running: stop it first.');
    process.exit(2);
  }
  if (before.aside !== null) console.log(`The demo starts anew; what was there is saved in ${before.aside}.`);
}
const fault = await dataFault(file);
if (fault !== null && process.env['GREY_KEEL_RESET'] !== 'yes') {
  console.error(fault);
  process.exit(2);
}
const database = await openDatabase(file);
const boats = new BoatStore(database);
const made = await seedDemo(boats, new Date());
await seedRecordings(new Recordings(database, () => new Date()), new Date());
await boats.fleet();
boats.stop();
await database.close();
console.log(made === 0 ? 'The demo boats are there already.' : `${made} demo boats made.`);
