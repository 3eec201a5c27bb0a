import { restore } from './database/backup.ts';
import { databaseIn, dataFolder, demoFolder, keepPrivate } from './data-folder.ts';

const words = process.argv.slice(2);
const [backup, ...more] = words.filter((word) => word !== '--demo');
if (backup === undefined || more.length > 0) {
  console.error(
    'Which backup? Use: npm run restore -- FILE, or with --demo for the demo. GREY_KEEL_DATA names the folder it is restored to.',
  );
  process.exit(2);
}
const folder = words.includes('--demo') ? demoFolder() : dataFolder();
keepPrivate(folder);
const file = databaseIn(folder);
const restored = await restore(backup, file, new Date());
if (!restored.ok) {
  console.error(`Nothing was restored. ${restored.detail}`);
  process.exit(1);
}
console.log(
  `Restored to ${file}.${restored.aside === null ? '' : ` What was there is put aside as ${restored.aside}.`}`,
);
