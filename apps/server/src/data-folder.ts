import { chmodSync, existsSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import envPaths from 'env-paths';

const named = (): string | undefined => process.env['GREY_KEEL_DATA'] || undefined;

/** Where the data lie: what GREY_KEEL_DATA says, or the platform's own place for a user's data. */
export const dataFolder = (): string => named() ?? envPaths('grey-keel', { suffix: '' }).data;

/** Where the demo's data lie: what GREY_KEEL_DATA says, or a folder of the project, so that no shop's boats are met. */
export const demoFolder = (): string => named() ?? fileURLToPath(new URL('../../../data/demo', import.meta.url));

export const databaseIn = (folder: string): string => join(folder, 'grey-keel.sqlite');

/** Makes the data folder readable by its user alone, with what is in it and what will be made in it. */
export const keepPrivate = (folder: string): void => {
  process.umask(0o077);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  // Where the disk knows no rights, as on a memory stick, there is nothing to be set.
  const set = (path: string, mode: number): void => {
    try {
      chmodSync(path, mode);
    } catch {
      return;
    }
  };
  set(folder, 0o700);
  for (const entry of existsSync(folder) ? readdirSync(folder, { withFileTypes: true }) : [])
    set(join(folder, entry.name), entry.isDirectory() ? 0o700 : 0o600);
};
