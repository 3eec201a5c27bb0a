import { calculate, calculations, unitSets } from '@grey-keel/core';
import type { Bundle, CatalogueEntry, ImportedBundle, OpenedBoat } from '@grey-keel/model';
import { writeFileSync } from 'node:fs';
import { request as rawRequest } from 'node:http';
import { join } from 'node:path';
import { restore } from '../database/backup.ts';
import { seedDemo } from '../demo/seed-demo.ts';
import type { RunningServer } from '../start-server.ts';
import { pdfSheets, type PrintedSheet } from '../testing/pdf-text.ts';
import { ask, scratchFolder, serverOn, type Reply } from '../testing/test-server.ts';

/** Text in a PDF is broken wherever the typesetter likes: compare it without its spaces. */
const unspaced = (text: string): string => text.replace(/\s+/g, '');

interface ProblemBody {
  readonly title: string;
  readonly detail: string;
  readonly errors: { field: string; message: string; range: string }[];
}

describe('the other doors', () => {
  let folder: ReturnType<typeof scratchFolder>;
  let server: RunningServer;
  const send = (method: string, path: string, body?: unknown, raw = false): Promise<Reply> =>
    ask(server.address, method, `/api${path}`, body, raw);
  const bundleOf = async (id: string): Promise<Bundle> => (await send('GET', `/boats/${id}/bundle`)).body as Bundle;
  const refused = async (bundle: unknown, raw = false): Promise<ProblemBody & { status: number }> => {
    const reply = await send('PUT', '/bundles/copy', bundle, raw);
    expect(reply.type).toContain('application/problem+json');
    expect((await send('GET', '/boats/copy')).status).toBe(404);
    return { status: reply.status, ...(reply.body as ProblemBody) };
  };

  beforeAll(async () => {
    folder = scratchFolder();
    server = await serverOn(folder.path);
    await seedDemo(server.boats, new Date('2026-06-01T08:00:00Z'));
  });
  afterAll(async () => {
    await server.stop();
    folder.remove();
  });

  it('says it is well, and what is not there', async () => {
    expect((await send('GET', '/health')).body).toEqual({
      status: 'ok',
      at: jasmine.any(String),
      address: server.address,
    });
    const lost = await send('GET', '/nowhere');
    expect([lost.status, lost.type.includes('problem+json')]).toEqual([404, true]);
  });

  it('answers every calculation as the core does, and 422 for bad input', async () => {
    const input = { beamwidthDeg: 24, depthM: 32 };
    const reply = await send('POST', '/calculations/footprint', input);
    const footprint = calculations.get('footprint');
    const own = footprint && calculate(footprint, input);
    expect(own?.ok && reply.body).toEqual(own?.ok && JSON.parse(JSON.stringify(own.answer)));
    const bad = await send('POST', '/calculations/footprint', { ...input, beamwidthDeg: 400 });
    expect(bad.status).toBe(422);
    expect((bad.body as ProblemBody).errors).toEqual([
      { field: 'beamwidthDeg', message: '"beamwidthDeg" is too large.', range: '0.01 to 170' },
    ]);
    expect((await send('POST', '/calculations/nothing', {})).status).toBe(404);
    expect(((await send('GET', '/calculations')).body as unknown[]).length).toBe(calculations.size);
    expect((await send('GET', '/calculations/footprint')).status).toBe(200);
  });

  it('brings a boat back from her bundle as she was, under another id', async () => {
    const bundle = await bundleOf('sable-wren');
    expect(bundle.catalogue.map(({ id }) => id).sort()).toEqual([
      'display-10-place-keys',
      'display-12-four-keys',
      'display-12-glass',
      'forward-facing-880',
      'side-scan-430-880',
      'through-hull-wide-190',
      'transom-narrow-95-210',
    ]);
    const made = await send('PUT', '/bundles/wren-again', bundle);
    expect(made.status).toBe(201);
    expect((made.body as OpenedBoat).plan).toEqual(bundle.plan);
    expect((await bundleOf('wren-again')).plan).toEqual(bundle.plan);
    await send('DELETE', '/boats/wren-again');
  });

  it('changes nothing in the catalogue for a bundle: what differs comes in beside and is said', async () => {
    const bundle = await bundleOf('sable-wren');
    const entries = bundle.catalogue.map((entry) =>
      entry.item.type === 'display' ? entry : { ...entry, item: { ...entry.item, socket: 'of another shop' } },
    );
    const before = (await send('GET', '/catalogue')).body as CatalogueEntry[];
    const made = (await send('PUT', '/bundles/beside', { ...bundle, catalogue: entries })).body as ImportedBundle;
    const after = (await send('GET', '/catalogue')).body as CatalogueEntry[];
    expect(after.filter(({ id }) => before.some((one) => one.id === id))).toEqual(before);
    const differing = entries.filter(({ item }) => item.type === 'transducer').length;
    expect([made.beside.length, after.length - before.length]).toEqual([differing, differing]);
    const from = made.plan.transducers['a-wide']?.catalogue;
    expect(after.find(({ id }) => id === from?.entryId)?.item).toEqual(
      jasmine.objectContaining({ socket: 'of another shop' }),
    );
    // Its own bundle carries it on, and comes back as it left.
    const again = await bundleOf('beside');
    const twice = (await send('PUT', '/bundles/beside-again', again)).body as ImportedBundle;
    expect([twice.beside, twice.plan]).toEqual([[], made.plan]);
    const doubled = { ...bundle, catalogue: [entries[0], entries[0]] };
    expect((await send('PUT', '/bundles/doubled', doubled)).status).toBe(422);
    for (const id of ['beside', 'beside-again']) await send('DELETE', `/boats/${id}`);
  });

  it('refuses bundles that are newer, have unknown fields, are cut short, too long or something else', async () => {
    const bundle = await bundleOf('sable-wren');
    const newer = await refused({ ...bundle, version: 2 });
    expect([newer.status, newer.errors[0]?.field]).toEqual([422, 'version']);
    expect(newer.detail).toContain('newer Grey Keel');
    const newerPlan = await refused({ ...bundle, plan: { ...bundle.plan, version: 9 } });
    expect(newerPlan.detail).toContain('version 9');
    const unknown = await refused({
      ...bundle,
      plan: { ...bundle.plan, boat: { ...bundle.plan.boat, colour: 'grey' } },
    });
    expect([unknown.status, unknown.errors[0]?.field]).toEqual([422, 'plan.boat.colour']);
    const cut = await refused(JSON.stringify(bundle).slice(0, 900), true);
    expect([cut.status, cut.title]).toEqual([400, 'Not JSON']);
    const other = await refused({ hello: 'there' });
    expect(other.detail).toContain('no Grey Keel bundle');
    const reading = structuredClone(bundle) as unknown as {
      plan: { depthOffsets: Record<string, { readings: Record<string, object> }> };
    };
    const offsets = reading.plan.depthOffsets['b-narrow'];
    if (offsets) offsets.readings = { 'reading-1': { leadLineM: 5, leftOut: false } };
    const half = await refused(reading);
    expect(half.errors[0]?.field).toBe('plan.depthOffsets.b-narrow.readings.reading-1.displayedM');
    const wide = structuredClone(bundle);
    const beam = wide.plan.transducers['a-wide']?.beams[0];
    if (beam) beam.beamwidthDeg = 400;
    expect((await refused(wide)).errors[0]).toEqual(jasmine.objectContaining({ range: '0.1 to 170' }));
  });

  it('refuses a bundle of 40 MB and lives to say so', async () => {
    const huge = await refused({ format: 'grey-keel-bundle', version: 1, padding: 'x'.repeat(40_000_000) });
    expect([huge.status, huge.title]).toEqual([413, 'Too large']);
    expect((await send('GET', '/health')).status).toBe(200);
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

  const sheetsOf = async (id: string, query: object, sheet: string): Promise<PrintedSheet[]> => {
    const asked = new URLSearchParams({ ...query });
    const response = await fetch(`${server.address}/api/boats/${id}/${sheet}.pdf?${asked.toString()}`);
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
        'Side-scan 430/880',
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
      for (const part of [
        'Helm displays',
        '6 mm2',
        'Sonar battery',
        'imaging, twelve-pin',
        'Hull port 190',
        '2 terminators',
      ])
        expect(pages).toContain(unspaced(part));
    }
    expect((await printed('pewter-skua', unitSets.metric, 'wiring')).join('')).toContain(unspaced('Nothing yet.'));
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
        for (const part of ['+0.50 m', 'A wrong sign grounds the boat', 'Not settled'])
          expect(card).toContain(unspaced(part));
      for (const part of ['2 Search', 'on the spot, trolling', 'side-scan', 'stop transmitting'])
        expect(cards.join('')).toContain(unspaced(part));
      expect(cards.filter((one) => one.includes('noprogrammablekeys')).length).toBe(1);
      expect(cards.map((card) => card.includes('calls'))).toEqual([true, false, false]);
      expect(cards[0]).toContain(unspaced('Its alarm calls at 1.5 m of water as it shows it and 12.9 V.'));
      expect(cards[0]).toContain(unspaced('Set to fresh water, 1443.5 m/s: right at 32.00 m.'));
    }
  });

  it('lists the shipped catalogue and takes the shop\u2019s own, in versions', async () => {
    const list = (await send('GET', '/catalogue')).body as CatalogueEntry[];
    const shipped = (type: string): number => list.filter((one) => one.shipped && one.item.type === type).length;
    expect([shipped('transducer'), shipped('display')]).toEqual([24, 8]);
    const item = list.find(({ id }) => id === 'transom-wide-95')?.item;
    expect((await send('PUT', '/catalogue/transom-wide-95', item)).status).toBe(409);
    const own = (await send('PUT', '/catalogue/own-one', item)).body as CatalogueEntry;
    expect([own.version, own.shipped]).toEqual([1, false]);
    expect(((await send('PUT', '/catalogue/own-one', item)).body as CatalogueEntry).version).toBe(1);
    const changed = { ...item, socket: 'other' };
    expect(((await send('PUT', '/catalogue/own-one', changed)).body as CatalogueEntry).version).toBe(2);
    expect((await send('PUT', '/catalogue/own-one', { type: 'transducer' })).status).toBe(422);
  });

  it('takes many entries at once, all or none, and only what changed as a new version', async () => {
    const list = (await send('GET', '/catalogue')).body as CatalogueEntry[];
    const item = list.find(({ id }) => id === 'transom-wide-95')?.item;
    const items = ['many-a', 'many-b'].map((id) => ({ id, item }));
    const first = (await send('POST', '/catalogue', { items })).body as CatalogueEntry[];
    expect(first.map(({ id, version }) => [id, version])).toEqual([
      ['many-a', 1],
      ['many-b', 1],
    ]);
    const changed = [{ id: 'many-a', item: { ...item, socket: 'other' } }, ...items.slice(1)];
    const second = (await send('POST', '/catalogue', { items: changed })).body as CatalogueEntry[];
    expect(second.map(({ id, version }) => [id, version])).toEqual([['many-a', 2]]);
    const refused = await send('POST', '/catalogue', { items: [...items, { id: 'transom-wide-95', item }] });
    expect(refused.status).toBe(409);
    expect((await send('POST', '/catalogue', { items: [{ id: 'many-c', item: {} }] })).status).toBe(422);
    expect((await send('POST', '/catalogue', { items: [items[0], items[0]] })).status).toBe(422);
    const after = (await send('GET', '/catalogue')).body as CatalogueEntry[];
    expect(after.find(({ id }) => id === 'many-c')).toBeUndefined();
  });

  it('copies a boat without what was measured on the first one', async () => {
    const made = await send('POST', '/boats/old-marl/copy', { id: 'marl-two', name: 'Marl the Second' });
    expect(made.status).toBe(201);
    const { plan } = made.body as OpenedBoat;
    expect(plan.boat.name).toBe('Marl the Second');
    expect(Object.keys(plan.pages).length).toBe(3);
    expect([plan.depthOffsets, plan.cards]).toEqual([{}, {}]);
    expect((await send('POST', '/boats/old-marl/copy', { id: 'marl-two', name: 'Marl the Second' })).status).toBe(200);
    expect((await send('POST', '/boats/old-marl/copy', { id: 'marl-two', name: 'Another' })).status).toBe(409);
    expect((await send('POST', '/boats/nowhere/copy', { id: 'other', name: 'Other' })).status).toBe(404);
    expect((await send('POST', '/boats/old-marl/copy', { id: 'Bad Id', name: '' })).status).toBe(422);
  });

  it('hands out the whole database as one file, taken while it is used', async () => {
    const response = await fetch(`${server.address}/api/backup`);
    expect(response.status).toBe(200);
    expect(response.headers.get('content-disposition')).toContain('.sqlite');
    const bytes = Buffer.from(await response.arrayBuffer());
    expect(bytes.subarray(0, 15).toString()).toBe('SQLite format 3');
    const file = join(folder.path, 'handed-out.sqlite');
    writeFileSync(file, bytes);
    expect((await restore(file, join(folder.path, 'again/grey-keel.sqlite'), new Date())).ok).toBeTrue();
  });

  it('describes its doors as OpenAPI, each calculation among them, with nothing left to look up', async () => {
    const { status, body } = await send('GET', '/openapi.json');
    expect(status).toBe(200);
    const document = body as { openapi: string; paths: Record<string, Record<string, { responses: object }>> };
    expect(document.openapi).toBe('3.1.0');
    for (const name of calculations.keys())
      expect(document.paths[`/api/calculations/${name}`]?.['post']).withContext(name).toBeDefined();
    expect(Object.keys(document.paths['/api/boats/{id}'] ?? {}).sort()).toEqual(['delete', 'get', 'put']);
    const text = JSON.stringify(body);
    const at = (pointer: string): unknown =>
      pointer
        .split('/')
        .slice(1)
        .reduce<unknown>((part, key) => (part as Record<string, unknown> | undefined)?.[key], body);
    const pointers = [...text.matchAll(/"\$ref":"(#[^"]+)"/g)].map(([, pointer = '']) => pointer);
    expect(pointers.length).toBeGreaterThan(40);
    const missing = pointers.filter((pointer) => at(pointer) === undefined);
    expect(missing).toEqual([]);
  });

  it('answers only to its own names', async () => {
    const { port } = new URL(server.address);
    const status = (headers: Record<string, string>): Promise<number> =>
      new Promise((resolve, reject) => {
        rawRequest({ host: '127.0.0.1', port, path: '/api/boats', headers }, (response) => {
          response.resume();
          resolve(response.statusCode ?? 0);
        })
          .on('error', reject)
          .end();
      });
    expect(await status({ host: 'elsewhere.example' })).toBe(403);
    expect(await status({ origin: 'http://elsewhere.example' })).toBe(403);
    expect(await status({ origin: `http://127.0.0.1:${port}` })).toBe(200);
    // A page of another port of this machine, or of the other name, is another site's.
    expect(await status({ origin: `http://127.0.0.1:${Number(port) + 1}` })).toBe(403);
    expect(await status({ origin: `http://localhost:${port}` })).toBe(403);
  });

  it('answers garbled addresses, compression, ranges and conditions with what is wrong, never as its own failure', async () => {
    const raw = (path: string, headers: Record<string, string> = {}, body?: Buffer): Promise<number> =>
      new Promise((resolve, reject) => {
        const { port } = new URL(server.address);
        const sent = rawRequest(
          { host: '127.0.0.1', port, path, headers, method: body ? 'POST' : 'GET' },
          (response) => {
            response.resume();
            resolve(response.statusCode ?? 0);
          },
        ).on('error', reject);
        sent.end(body);
      });
    const json = { 'content-type': 'application/json' };
    expect(await raw('/api/boats/%E0%A4%A')).toBe(400);
    expect(
      await raw('/api/calculations/footprint', { ...json, 'content-encoding': 'gzip' }, Buffer.from('no gzip')),
    ).toBe(400);
    expect(await raw('/api/calculations/footprint', { ...json, 'content-encoding': 'zip' }, Buffer.from('{}'))).toBe(
      415,
    );
    const deep = Buffer.from(`${'['.repeat(50_000)}${']'.repeat(50_000)}`);
    expect(await raw('/api/calculations/footprint', json, deep)).toBe(422);
    expect(await raw('/api/calculations/footprint', json, Buffer.from('{"__proto__":{"depthM":3}}'))).toBe(422);
    expect((await send('GET', '/boats/nowhere/revisions')).status).toBe(404);
  });

  it('sends a policy under which no inline script runs', async () => {
    const response = await fetch(`${server.address}/api/health`);
    expect(response.headers.get('content-security-policy')).toContain("script-src 'self';");
    expect(response.headers.get('x-content-type-options')).toBe('nosniff');
  });
});
