import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** What a line of the fleet comes from: the judgement and the shape of plans, and how the line is written. */
const madeBy = ['../../../../packages/core/src', '../../../../packages/model/src', '.'];

/**
 * A number of what makes a line: another one whenever a file of it is another. Nobody has to remember to raise it when a
 * rule, a kind of calibration or a setting is added, and lines of a newer program, met after going back, are made anew, too.
 * Whole, 1 to 2^31 - 1; by content and name, so that it is the same on every machine.
 */
export const versionOf = (folders: readonly string[]): number => {
  const hash = createHash('sha256');
  for (const folder of folders)
    for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })
      .filter((one) => one.endsWith('.ts') && !one.endsWith('.spec.ts'))
      .sort())
      hash.update(name.replaceAll('\\', '/')).update(readFileSync(join(folder, name)));
  return (hash.digest().readUInt32BE() >>> 1) | 1;
};

/** Kept lines of any other version are made anew. */
export const fleetEntryVersion = versionOf(madeBy.map((folder) => fileURLToPath(new URL(folder, import.meta.url))));
