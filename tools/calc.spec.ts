import { spawnSync } from 'node:child_process';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const calc = (args: string[], input = ''): { code: number; lines: Record<string, unknown>[]; text: string } => {
  const { status, stdout } = spawnSync(process.execPath, ['--import', 'tsx', 'tools/calc.ts', ...args], {
    cwd: root,
    input,
    encoding: 'utf8',
  });
  const lines = stdout.split('\n').filter((line) => line.startsWith('{'));
  return {
    code: status ?? -1,
    text: stdout,
    lines: lines.flatMap((line) => (line.endsWith('}') ? [JSON.parse(line) as Record<string, unknown>] : [])),
  };
};

describe('npm run calc', () => {
  it('prints one answer with its working', () => {
    const { code, lines } = calc(['range-resolution', '{"soundSpeedMps":1500,"bandwidthHz":30000}']);
    expect(code).toBe(0);
    expect(lines[0]?.['resolutionM']).toBeCloseTo(0.025, 9);
    expect((lines[0]?.['working'] as unknown[]).length).toBe(1);
  });

  it('ends with 2 for bad input, with the field, what was wrong and the valid range', () => {
    const { code, lines } = calc(['footprint', '{"beamwidthDeg":400,"depthM":10}']);
    expect(code).toBe(2);
    expect(lines[0]?.['error']).toEqual({
      field: 'beamwidthDeg',
      message: '"beamwidthDeg" is too large.',
      range: '0.01 to 170',
    });
    expect(calc(['footprint', '{broken']).code).toBe(2);
    expect(calc(['nothing-such', '{}']).code).toBe(2);
    expect(calc([]).code).toBe(2);
  });

  it('answers a batch line by line in order; a bad line fails alone', () => {
    const { code, lines } = calc(
      ['batch'],
      '{"name":"ground-range","input":{"slantRangeM":5,"heightM":3}}\nnot json\n{"name":"footprint","input":{}}\n{"name":"ground-range","input":{"slantRangeM":13,"heightM":5}}\n',
    );
    expect(code).toBe(0);
    expect(lines.map((line) => line['groundRangeM'] ?? 'error')).toEqual([4, 'error', 'error', 12]);
    expect(lines[2]?.['error']).toEqual(
      jasmine.objectContaining({ field: 'beamwidthDeg', message: '"beamwidthDeg" is missing.' }),
    );
  });

  it('lists the names with their purposes and prints a schema', () => {
    const { text } = calc(['list']);
    for (const name of [
      'sound-speed',
      'absorption',
      'beamwidth',
      'beamwidth-level',
      'footprint',
      'target-ring',
      'ground-range',
      'ping-timing',
      'range-resolution',
      'depth-offset',
    ])
      expect(text).toMatch(new RegExp(`^${name}\\t\\S`, 'm'));
    const schema = JSON.parse(calc(['schema', 'footprint']).text) as { input: { properties: object } };
    expect(Object.keys(schema.input.properties)).toEqual(['beamwidthDeg', 'depthM', 'slopeDeg']);
    expect(calc(['schema', 'nothing-such']).code).toBe(2);
  });
});
