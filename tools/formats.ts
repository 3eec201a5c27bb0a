import { glossary } from '@grey-keel/core';
import { bundleSchema, planSchema, planVersion } from '@grey-keel/model';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import * as prettier from 'prettier';
import * as z from 'zod';

const folder = fileURLToPath(new URL('../docs/', import.meta.url));
const published = {
  [`plan-${planVersion}.schema.json`]: { title: `Grey Keel boat plan, version ${planVersion}`, schema: planSchema },
  'bundle-1.schema.json': { title: 'Grey Keel bundle, version 1', schema: bundleSchema },
};

/** The glossary as a document, a table a heading. */
const glossaryText = (): Promise<string> => {
  const tables = glossary.map(({ heading, terms }) => {
    const rows = terms.map(({ term, means }) => `| ${term} | ${means} |`);
    return ['## ' + heading, '', '| Term | Means |', '| --- | --- |', ...rows, ''].join('\n');
  });
  const text = `# Glossary

One line a term: what it is called in texts and public names, and what it means. The lint refuses words that these took the
place of (\`tools/retired-words.mjs\`). Keys of stored plans and names of calculations are older and stay (\`reach\`, \`sought\`,
\`units\`). This page is published from \`packages/core/src/words/glossary.ts\` by \`npm run formats\`.

${tables.join('\n')}
`;
  return prettier.format(text, { parser: 'markdown', printWidth: 120, proseWrap: 'preserve' });
};

// Publishes the formats from the schemas; with --check only says whether what is published is what the code reads.
const checking = process.argv.includes('--check');
mkdirSync(`${folder}formats`, { recursive: true });
let stale = 0;
const publish = (name: string, text: string): void => {
  const path = folder + name;
  if (!checking) writeFileSync(path, text);
  else if (!existsSync(path) || readFileSync(path, 'utf8') !== text) {
    console.error(`docs/${name} is not what the code says: run "npm run formats".`);
    stale += 1;
  }
};
for (const [name, { title, schema }] of Object.entries(published))
  publish(`formats/${name}`, JSON.stringify({ title, ...z.toJSONSchema(schema, { io: 'input' }) }, null, 2) + '\n');
publish('glossary.md', await glossaryText());
process.exitCode = stale > 0 ? 1 : 0;
