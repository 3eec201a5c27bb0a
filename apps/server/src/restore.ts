import { join } from 'node:path';
import { restore } from './database/backup.ts';
import { dataFolder } from './data-folder.ts';

const [backup, ...more] = process.argv.slice(2);
if (backup === undefined || more.length > 0) {
  console.error('Which backup? Use: npm run restore -- FILE. GREY_KEEL_DATA names the folder it is restored to.');
  process.exit(2);
}
const file = join(dataFolder(), 'grey-keel.sqlite');
const restored = await restore(backup, file, new Date());
if (!restored.ok) {
  console.error(`Nothing was restored. ${restored.detail}`);
  process.exit(1);
}
console.log(`Restored to ${file}.${restored.aside === null ? '' : ` What was there is kept in ${restored.aside}.`}`);
