import { unitSets } from '@grey-keel/core';
import { edited } from '@grey-keel/core/testing';
import type { Bundle, Edit, OpenedBoat } from '@grey-keel/model';
import { pdfSheets, type PrintedSheet } from '../testing/pdf-text.ts';
import { demoServer } from '../testing/demo-server.ts';

/** Text in a PDF is broken wherever the typesetter likes: compare it without its spaces. */
const unspaced = (text: string): string => text.replace(/\s+/g, '');

describe('sheets over HTTP', () => {
  const { send, server } = demoServer();
  const bundleOf = async (id: string): Promise<Bundle> => (await send('GET', `/boats/${id}/bundle`)).body as Bundle;

  const sheetsOf = async (id: string, query: object, sheet: string): Promise<PrintedSheet[]> => {
    const asked = new URLSearchParams({ ...query });
    const response = await fetch(`${server().address}/api/boats/${id}/${sheet}.pdf?${asked.toString()}`);
    expect(response.status).toBe(200);
    expect(response.headers.get('content-type')).toContain('application/pdf');
    const sheets = await pdfSheets(new Uint8Array(await response.arrayBuffer()));
    expect(sheets.flatMap(({ cut }) => cut))
      .withContext(`${id}, ${sheet}: cut by the edge of the paper`)
      .toEqual([]);
    return sheets;
  };
  const printed = async (id: string, query: object = unitSets.metric, sheet = 'report'): Promise<string[]> =>
    (await sheetsOf(id, query, sheet)).map(({ text }) => unspaced(text));

  it('prints the report on one sheet with its figures in the units asked for, cautions and what is not settled', async () => {
    for (const paper of ['A4', 'LETTER']) {
      const [report = '', ...rest] = await printed('sable-wren', { ...unitSets.metric, paper });
      expect(rest.length).withContext(paper).toBe(0);
      for (const part of [
        'Sable Wren',
        '0.62 m',
        '24.0°',
        '+0.50 m',
        'stale',
        'From astern',
        'A wrong sign grounds the boat',
        '\u22120.39 m',
        'Helm, starboard',
        'Entered on the instruments',
      ])
        expect(report).toContain(unspaced(part));
    }
    const [feet] = await printed('sable-wren', unitSets.feet);
    expect(feet).toContain('+1.65ft');
    expect(feet).toContain('105.0ft');
    expect((await send('GET', '/boats/sable-wren/report.pdf?length=miles')).status).toBe(422);
    expect((await send('GET', '/boats/nowhere/report.pdf?length=m&depth=m&speed=kn&temperature=C')).status).toBe(404);
  });

  it('prints the shopping sheet on one sheet: what is chosen, what it gives, what it was compared with', async () => {
    for (const paper of ['A4', 'LETTER']) {
      const [first = '', ...rest] = await printed('sable-wren', { ...unitSets.metric, paper }, 'shopping');
      expect(rest.length).toBe(0);
      for (const part of [
        'Through-hull wide 190',
        'Side-scan 380/700',
        'The sounders chosen, together',
        'Given up with it',
      ])
        expect(first).toContain(unspaced(part));
    }
    const [bare = ''] = await printed('pewter-skua', unitSets.metric, 'shopping');
    expect(bare).toContain(unspaced('Pewter Skua: transducers'));
  });

  it('prints the wiring sheet: circuits, cables and what each screen listens to, and one of a bare boat', async () => {
    for (const paper of ['A4', 'LETTER']) {
      const pages = (await printed('sable-wren', { ...unitSets.metric, paper }, 'wiring')).join('');
      for (const part of ['Helm displays', '6 mm2', 'Sonar battery', 'round W', 'Hull port 190', '2 terminators'])
        expect(pages).toContain(unspaced(part));
    }
    expect((await printed('pewter-skua', unitSets.metric, 'wiring')).join('')).toContain(unspaced('Nothing yet.'));
  });

  it('prints what must be read aboard with a blank lead-line form, and shows any sheet in the browser first', async () => {
    const pages = (await printed('sable-wren', unitSets.metric, 'aboard')).join('');
    for (const part of ['Tag on its cable', 'Lead line under', 'Draught to the keel', 'A wrong sign grounds the boat'])
      expect(pages).toContain(unspaced(part));
    const asked = new URLSearchParams({ ...unitSets.metric, as: 'inline' });
    const shown = await fetch(`${server().address}/api/boats/sable-wren/aboard.pdf?${asked.toString()}`);
    expect(shown.headers.get('content-disposition')).toMatch(/^inline; filename="Sable-Wren-aboard\.pdf"$/);
  });

  it('prints the diagram of thirty devices on one sheet, its letters large enough to be read', async () => {
    const bundle = await bundleOf('sable-wren');
    const { plan } = bundle;
    const sensor = plan.equipment['d-antenna']!;
    const made = Array.from({ length: 24 }, (_, i) => `z-${i}`);
    await send('PUT', '/bundles/crowded', {
      ...bundle,
      plan: {
        ...plan,
        boat: { ...plan.boat, name: 'Crowded' },
        equipment: {
          ...plan.equipment,
          ...Object.fromEntries(made.map((id) => [id, { ...sensor, name: `Sensor ${id}` }])),
        },
        network: {
          ...plan.network,
          devices: {
            ...plan.network.devices,
            ...Object.fromEntries(made.map((id) => [id, { sockets: [], onBackbone: true, dropM: 1, loads: 1 }])),
          },
        },
      },
    });
    for (const paper of ['A4', 'LETTER']) {
      const sheets = await sheetsOf('crowded', { ...unitSets.metric, paper }, 'wiring');
      const diagram = sheets.filter(({ text }) => unspaced(text).startsWith('Wiring'));
      expect(diagram.length).withContext(paper).toBe(1);
      for (const id of made) expect(unspaced(diagram[0]?.text ?? '')).toContain(unspaced(`Sensor ${id}`));
      expect(diagram[0]?.smallestPt).toBeGreaterThan(5);
    }
    await send('DELETE', '/boats/crowded');
  });

  it('prints a dash card for each station with its pages and keys, each on one sheet', async () => {
    for (const paper of ['A4', 'LETTER']) {
      const cards = await printed('sable-wren', { ...unitSets.metric, paper }, 'card');
      expect(cards.length).toBe(3);
      for (const [i, station] of ['Helm, port', 'Helm, starboard', 'Bow'].entries())
        expect(cards[i]).toMatch(new RegExp(`^SableWren,${unspaced(station)}`));
      for (const card of cards)
        for (const part of ['+0.50 m', 'A wrong sign grounds the boat', 'Not settled', 'From astern'])
          expect(card).toContain(unspaced(part));
      for (const part of ['2 Search', 'on the spot, trolling', 'side-scan', 'stop transmitting'])
        expect(cards.join('')).toContain(unspaced(part));
      expect(cards.filter((one) => one.includes('noprogrammablekeys')).length).toBe(1);
      expect(cards.map((card) => card.includes('alarmsounds'))).toEqual([true, false, false]);
      expect(cards[0]).toContain(unspaced('Its alarm sounds at 1.5 m of water as it shows it and 12.9 V.'));
      expect(cards[0]).toContain(unspaced('Set to fresh water, 1443.5 m/s: right at 32.00 m.'));
    }
  });

  it('prints what is corrected by hand on card and report: a scale of ranges, and what to steer by the compass', async () => {
    const bundle = await bundleOf('sable-wren');
    const [compass = ''] =
      Object.entries(bundle.plan.equipment).find(([, { kind }]) => kind === 'heading sensor') ?? [];
    const notes = (of: 'range' | 'deviation', sensorId: string, ...values: number[]): Edit => ({
      type: 'noteCalibration',
      of,
      sensorId,
      entered: {
        values,
        halfInterval95: null,
        at: '2026-05-01T10:00:00Z',
        by: 'J. Reed',
        fingerprint: 'a'.repeat(64),
        inputs: {},
      },
    });
    const plan = edited(bundle.plan, notes('range', 'c-sides', 1.05), notes('deviation', compass, 0, 8));
    await send('PUT', '/bundles/by-hand', { ...bundle, plan });
    for (const [paper, sheet, sheets] of [
      ['A4', 'card', 3],
      ['LETTER', 'card', 3],
      ['A4', 'report', 1],
    ] as const) {
      const pages = await printed('by-hand', { ...unitSets.metric, paper }, sheet);
      expect(pages.length).withContext(`${paper} ${sheet}`).toBe(sheets);
      for (const part of [
        '21.00 m off over the ground',
        'steer by compass',
        '090\u00b0: 082\u00b0',
        '270\u00b0: 278\u00b0',
      ])
        for (const page of pages) expect(page).withContext(`${paper} ${sheet}`).toContain(unspaced(part));
    }
    await send('DELETE', '/boats/by-hand');
  });

  it('keeps script tags as the text they are, in the plan and in the PDF', async () => {
    const bundle = await bundleOf('sable-wren');
    const name = '<script>alert(1)</script> & "Wren"';
    const made = await send('PUT', '/bundles/tags', {
      ...bundle,
      plan: { ...bundle.plan, boat: { ...bundle.plan.boat, name } },
    });
    expect((made.body as OpenedBoat).plan.boat.name).toBe(name);
    expect((await printed('tags')).join('')).toContain(unspaced(name));
    await send('DELETE', '/boats/tags');
  });
});
