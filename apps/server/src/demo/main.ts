import { join } from 'node:path';
import { openDatabase } from '../database/open-database.ts';
import { BoatStore } from '../fleet/boat-store.ts';
import { seedDemo } from './seed-demo.ts';

const folder = process.env['GREY_KEEL_DATA'];
if (!folder) {
  console.error('GREY_KEEL_DATA names the folder that the demo boats are put into; it is not set.');
  process.exit(2);
}
const database = await openDatabase(join(folder, 'grey-keel.sqlite'));
const made = await seedDemo(new BoatStore(database), new Date());
await database.close();
console.log(made === 0 ? 'The demo boats are there already.' : `${made} demo boats made.`);
