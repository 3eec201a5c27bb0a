import { restore } from './database/backup.ts';
import { lockFolder } from './database/folder-lock.ts';
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
const refuse = (detail: string): never => {
  console.error(`Nothing was restored. ${detail}`);
  process.exit(1);
};
const unlock = await lockFolder(file).catch((error: unknown) => refuse((error as Error).message));
const restored = await restore(backup, file, new Date());
await unlock();
if (!restored.ok) refuse(restored.detail);
else
  console.log(
    `Restored to ${file}.${restored.aside === null ? '' : ` What was there is put aside as ${restored.aside}.`}`,
  );
