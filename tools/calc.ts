import { calculate, calculations } from '@grey-keel/core';
import { createInterface } from 'node:readline';
import * as z from 'zod';

type Reply = { output: unknown; exit: number };

const run = (name: string, input: unknown): Reply => {
  const calculation = calculations.get(name);
  if (!calculation)
    return {
      output: {
        error: {
          field: 'name',
          message: `There is no calculation "${name}".`,
          range: [...calculations.keys()].join(', '),
        },
      },
      exit: 2,
    };
  const result = calculate(calculation, input);
  return result.ok
    ? { output: result.answer, exit: 0 }
    : { output: { error: result.errors[0], errors: result.errors }, exit: 2 };
};

const parsed = (text: string): { ok: true; value: unknown } | { ok: false; reply: Reply } => {
  try {
    return { ok: true, value: JSON.parse(text) };
  } catch {
    return {
      ok: false,
      reply: {
        output: { error: { field: 'input', message: 'The input is not JSON.', range: 'one JSON object' } },
        exit: 2,
      },
    };
  }
};

const lineSchema = z.strictObject({ name: z.string(), input: z.unknown() });

const batchLine = (line: string): unknown => {
  const json = parsed(line);
  if (!json.ok) return json.reply.output;
  const request = lineSchema.safeParse(json.value);
  if (!request.success)
    return { error: { field: 'line', message: 'A line holds {"name": ..., "input": ...}.', range: '' } };
  return run(request.data.name, request.data.input).output;
};

const usage = `Usage: npm run -s calc -- NAME '{json}'   one calculation
       npm run -s calc -- list            names and purposes
       npm run -s calc -- schema NAME     JSON Schema of input and output
       npm run -s calc -- batch           lines {"name":...,"input":...} from standard input`;

const main = async ([command, argument]: string[]): Promise<number> => {
  if (command === 'list') {
    for (const { name, purpose } of calculations.values()) console.log(`${name}\t${purpose}`);
    return 0;
  }
  if (command === 'batch') {
    for await (const line of createInterface({ input: process.stdin }))
      if (line.trim() !== '') process.stdout.write(JSON.stringify(batchLine(line)) + '\n');
    return 0;
  }
  if (command === 'schema') {
    const calculation = calculations.get(argument ?? '');
    if (!calculation) {
      console.error(`There is no calculation "${argument ?? ''}". Try "list".`);
      return 2;
    }
    const { input, output } = calculation;
    console.log(
      JSON.stringify({ input: z.toJSONSchema(input, { io: 'input' }), output: z.toJSONSchema(output) }, null, 2),
    );
    return 0;
  }
  if (command === undefined) {
    console.error(usage);
    return 2;
  }
  const json = parsed(argument ?? '{}');
  const { output, exit } = json.ok ? run(command, json.value) : json.reply;
  console.log(JSON.stringify(output));
  return exit;
};

process.exitCode = await main(process.argv.slice(2));
