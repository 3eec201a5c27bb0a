import { demoFleet } from '../apps/server/src/demo/demo-fleet.ts';
import { applyEdits, findings } from '@grey-keel/core';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'grey-keel-findings-'));
const run = (content: string | null, ...args: string[]): { code: number; out: string; err: string } => {
  const path = join(folder, 'boat.json');
  if (content !== null) writeFileSync(path, content);
  const file = content === null ? [] : [path];
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    ['--import', 'tsx', 'tools/findings.ts', ...file, ...args],
    { cwd: root, encoding: 'utf8' },
  );
  return { code: status ?? -1, out: stdout, err: stderr };
};
const planOf = (id: string, upTo = Number.POSITIVE_INFINITY) => {
  const boat = demoFleet(new Date('2026-06-01T08:00:00Z')).find((one) => one.id === id)!;
  return boat.revisions.slice(0, upTo).reduce((plan, { edits }) => {
    const applied = applyEdits(plan, edits);
    return applied.ok ? applied.plan : plan;
  }, boat.start);
};
const bundle = (plan: object): string =>
  JSON.stringify({ format: 'grey-keel-bundle', version: 1, exportedAt: '2026-06-01T08:00:00Z', plan, catalogue: [] });

describe('npm run findings', () => {
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  it('prints the findings of a boat as JSON, in words, and ends with 1 where there is a stop', () => {
    const plan = planOf('sable-wren');
    const { code, out } = run(bundle(plan), '--json');
    expect(code).toBe(1);
    const list = JSON.parse(out) as Record<string, unknown>[];
    expect(list.map(({ id }) => id)).toEqual(findings(plan).map(({ id }) => id));
    for (const one of list) {
      expect(Object.keys(one)).toEqual(['id', 'stage', 'severity', 'title', 'reason', 'figure']);
      expect(typeof one['reason']).toBe('string');
    }
    expect(list.find(({ id }) => id === 'offset-wrong-sign:b-narrow')?.['reason']).toContain('0.87 m');
  });

  it('prints text, and ends with 0 for a boat without a stop', () => {
    const { code, out } = run(bundle(planOf('old-marl', 3)));
    expect(code).toBe(0);
    expect(out.trim()).toBe('Old Marl: nothing to say.');
  });

  it('reads a bundle of an older version', () => {
    const { loadings: _newer, sought, ...older } = planOf('old-marl');
    // A species stood over one ground then.
    const overOne = Object.entries(sought).map(([id, one]) => [id, { ...one, over: one.over[0] }]);
    const { code, out } = run(bundle({ ...older, sought: Object.fromEntries(overOne), version: 5 }), '--json');
    expect(code).toBe(0);
    expect((JSON.parse(out) as unknown[]).length).toBeGreaterThan(0);
  });

  it('ends with 2 for a file that is none of ours, and names the field', () => {
    const plan = planOf('sable-wren');
    const wrong = run(bundle({ ...plan, boat: { ...plan.boat, draughtM: 'deep' } }));
    expect([wrong.code, wrong.err]).toEqual([2, jasmine.stringContaining('plan.boat.draughtM')]);
    const other = run('{"some": "file"}', '--json');
    expect(other.code).toBe(2);
    expect((JSON.parse(other.out) as { error: { field: string } }).error.field).toBe('format');
    for (const content of ['{"format":', null]) {
      const broken = run(content);
      expect([broken.code, broken.err]).toEqual([2, jasmine.stringContaining('file: ')]);
    }
  });
});
