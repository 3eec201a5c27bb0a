import { bundleSchema, planSchema, planVersion } from '@grey-keel/model';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import * as z from 'zod';

const folder = fileURLToPath(new URL('../docs/formats/', import.meta.url));
const published = {
  [`plan-${planVersion}.schema.json`]: { title: `Grey Keel boat plan, version ${planVersion}`, schema: planSchema },
  'bundle-1.schema.json': { title: 'Grey Keel bundle, version 1', schema: bundleSchema },
};

// Publishes the formats from the schemas; with --check only says whether what is published is what the code reads.
const checking = process.argv.includes('--check');
mkdirSync(folder, { recursive: true });
let stale = 0;
for (const [name, { title, schema }] of Object.entries(published)) {
  const text = JSON.stringify({ title, ...z.toJSONSchema(schema, { io: 'input' }) }, null, 2) + '\n';
  const path = folder + name;
  if (!checking) writeFileSync(path, text);
  else if (!existsSync(path) || readFileSync(path, 'utf8') !== text) {
    console.error(`docs/formats/${name} is not what the code reads: run "npm run formats".`);
    stale += 1;
  }
}
process.exitCode = stale > 0 ? 1 : 0;
