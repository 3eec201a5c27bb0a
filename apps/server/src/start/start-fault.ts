import { accessSync, constants, existsSync, lstatSync, readdirSync, readlinkSync } from 'node:fs';
import { createServer } from 'node:net';
import { basename, dirname, join } from 'node:path';
import { faultOf } from '../database/sqlite-file.ts';

/** The nearest folder above a path that is there. */
const nearest = (path: string): string => (existsSync(path) ? path : nearest(dirname(path)));

const writable = (path: string): boolean => {
  try {
    accessSync(path, constants.W_OK | constants.R_OK);
    return true;
  } catch {
    return false;
  }
};

/** Why the data cannot be used as they are, in one sentence with what to do, or null. Nothing is made or changed. */
export const dataFault = async (file: string): Promise<string | null> => {
  const folder = dirname(file);
  const there = nearest(folder);
  if (!writable(there)) return `The folder ${there} cannot be written. Let this user write it, or set GREY_KEEL_DATA.`;
  if (!existsSync(file) && lstatSync(file, { throwIfNoEntry: false })?.isSymbolicLink())
    return `${file} is a link to ${readlinkSync(file)}, which is not there. Mount the disk it is on, or take the link away to begin empty.`;
  if (!existsSync(file)) {
    const aside = existsSync(folder) ? readdirSync(folder).filter((name) => name.startsWith(`${basename(file)}.`)) : [];
    if (aside.length === 0) return null;
    const newest = join(folder, aside.sort().at(-1) ?? '');
    return `There is no ${file}, but a copy that was put aside: ${newest}. Put it back with "npm run restore -- ${newest}", or move it elsewhere to begin empty.`;
  }
  if (!writable(file)) return `${file} is read-only. Let this user write it.`;
  return faultOf(file);
};

/** Why an address cannot be listened on, in one sentence with what to do, or null. */
export const portFault = (host: string, port: number): Promise<string | null> =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', ({ code }: NodeJS.ErrnoException) => {
      if (code === 'EADDRINUSE')
        resolve(`Port ${port} is in use: Grey Keel may run already. Stop it, or set GREY_KEEL_PORT to another port.`);
      else if (code === 'EACCES')
        resolve(`Port ${port} is reserved by this machine. Set GREY_KEEL_PORT to one above 1024.`);
      else resolve(`${host} is no address of this machine. Set GREY_KEEL_HOST to 127.0.0.1.`);
    });
    probe.listen(port, host, () => probe.close(() => resolve(null)));
  });
