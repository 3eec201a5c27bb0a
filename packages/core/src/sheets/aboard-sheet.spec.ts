import { emptyPlan } from '@grey-keel/model';
import { depthGivers } from '../sources/depth-givers.ts';
import { samplePlan } from '../testing/edit-samples.ts';
import { unitSets } from '../units/index.ts';
import { aboardSheets } from './aboard-sheet.ts';

const rowOf = (tables: ReturnType<typeof aboardSheets>, title: string, first: string): readonly string[] =>
  tables.find((table) => table.title === title)?.rows.find(([name]) => name === first) ?? [];

describe('what must be read aboard', () => {
  it('leaves room for what nobody knows, shows what is known, and marks what is only assumed', () => {
    const plan = samplePlan();
    const { 'a-wide': gone, ...sources } = plan.sources;
    expect(gone).toBeDefined();
    const tables = aboardSheets({ ...plan, sources, held: {} }, unitSets.metric);
    expect(rowOf(tables, 'Hull', 'Length')[1]).toMatch(/\sm, assumed$/);
    expect(rowOf(tables, 'Hull', 'Draught to the keel')[1]).toMatch(/\sm$/);
    expect(rowOf(tables, 'Cables and names', plan.transducers['a-wide']?.name ?? '').slice(1, 4)).toEqual(['', '', '']);
    for (const { columns, rows } of tables) for (const row of rows) expect(row.length).toBe(columns.length);
  });

  it('has a blank form of eight readings for each transducer that gives a depth, in the unit that is read', () => {
    const plan = samplePlan();
    const forms = aboardSheets(plan, unitSets.feet).filter(({ title }) => title.startsWith('Lead line'));
    expect(forms.map(({ title }) => title)).toEqual(depthGivers(plan).map(({ name }) => `Lead line under ${name}`));
    expect(forms[0]?.columns).toContain('Lead line, ft');
    expect(forms[0]?.rows.map((row) => row.slice(1).join(''))).toEqual(Array.from({ length: 8 }, () => ''));
  });

  it('asks of a bare boat for its hull alone', () => {
    expect(aboardSheets(emptyPlan('Bare'), unitSets.metric).map(({ title }) => title)).toEqual(['Hull']);
  });
});
