import { findings, formatFigure, formatSentence, readBundle, unitSets, type FieldError } from '@grey-keel/core';
import { readFileSync } from 'node:fs';

// Prints what is to be said of a boat: npm run -s findings -- FILE.json [--json]. Ends with 1 where there is a stop, with
// 2 where the file is no bundle of ours.
const args = process.argv.slice(2);
const asJson = args.includes('--json');
const path = args.find((arg) => !arg.startsWith('--'));

const refuse = (error: FieldError): never => {
  if (asJson) console.log(JSON.stringify({ error }));
  else console.error(`${error.field}: ${error.message}${error.range ? ` (${error.range})` : ''}`);
  process.exit(2);
};

const read = (file: string | undefined): unknown => {
  if (file === undefined)
    return refuse({ field: 'file', message: 'Name a bundle: npm run -s findings -- FILE.json [--json].', range: '' });
  try {
    return JSON.parse(readFileSync(file, 'utf8')) as unknown;
  } catch (error) {
    const what = error instanceof SyntaxError ? 'is not JSON, or cut short' : 'cannot be read';
    return refuse({ field: 'file', message: `${file} ${what}.`, range: 'a bundle as Grey Keel exports it' });
  }
};

const bundle = readBundle(read(path));
if (!bundle.ok) refuse(bundle.errors[0] ?? { field: 'file', message: bundle.detail, range: '' });
else {
  const found = findings(bundle.bundle.plan).map(({ id, stage, severity, title, reason, figure }) => ({
    id,
    stage,
    severity,
    title,
    reason: formatSentence(reason, unitSets.metric).replaceAll('\u00a0', ' '),
    figure,
  }));
  if (asJson) console.log(JSON.stringify(found, null, 2));
  else if (found.length === 0) console.log(`${bundle.bundle.plan.boat.name}: nothing to say.`);
  else
    for (const { stage, severity, title, reason, figure } of found)
      console.log(`${severity} ${stage}: ${title}. ${reason} [${formatFigure(figure, unitSets.metric)}]`);
  process.exitCode = found.some(({ severity }) => severity === 'stop') ? 1 : 0;
}
