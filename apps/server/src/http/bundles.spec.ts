import { type Bundle, type CatalogueEntry, type ImportedBundle, type OpenedBoat, planVersion } from '@grey-keel/model';
import { demoServer } from '../testing/demo-server.ts';

interface ProblemBody {
  readonly title: string;
  readonly detail: string;
  readonly errors: { field: string; message: string; range: string }[];
}

describe('bundles over HTTP', () => {
  const { send } = demoServer();
  const bundleOf = async (id: string): Promise<Bundle> => (await send('GET', `/boats/${id}/bundle`)).body as Bundle;
  const refused = async (bundle: unknown, raw = false): Promise<ProblemBody & { status: number }> => {
    const reply = await send('PUT', '/bundles/copy', bundle, raw);
    expect(reply.type).toContain('application/problem+json');
    expect((await send('GET', '/boats/copy')).status).toBe(404);
    return { status: reply.status, ...(reply.body as ProblemBody) };
  };

  it('brings a boat back from its bundle as it was, under another id', async () => {
    const bundle = await bundleOf('sable-wren');
    expect(bundle.catalogue.map(({ id }) => id).sort()).toEqual([
      'display-10-place-keys',
      'display-13-five-keys',
      'display-13-glass',
      'forward-facing-700',
      'side-scan-380-700',
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
    // Two versions of one thing, both unlike what is here, are two things.
    const versions = [7, 8].map((version) => {
      const [first] = entries.filter(({ item }) => item.type === 'transducer');
      return { ...first, version, item: { ...first?.item, socket: `shop ${version}` } };
    });
    const both = (await send('PUT', '/bundles/versions', { ...bundle, catalogue: versions })).body as ImportedBundle;
    expect(new Set(both.beside.map(({ id }) => id)).size).toBe(2);
    const doubled = { ...bundle, catalogue: [entries[0], entries[0]] };
    expect((await send('PUT', '/bundles/doubled', doubled)).status).toBe(422);
    for (const id of ['beside', 'beside-again', 'versions']) await send('DELETE', `/boats/${id}`);
  });

  it('refuses bundles that are newer, have unknown fields, are cut short, too long or something else', async () => {
    const bundle = await bundleOf('sable-wren');
    const newer = await refused({ ...bundle, version: 2 });
    expect([newer.status, newer.errors[0]?.field]).toEqual([422, 'version']);
    expect(newer.detail).toContain('newer Grey Keel');
    const newerPlan = await refused({ ...bundle, plan: { ...bundle.plan, version: planVersion + 1 } });
    expect(newerPlan.detail).toContain(`version ${planVersion + 1}`);
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
});
