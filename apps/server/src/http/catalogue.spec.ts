import type { CatalogueEntry } from '@grey-keel/model';
import { demoServer } from '../testing/demo-server.ts';

describe('the catalogue over HTTP', () => {
  const { send } = demoServer();

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
    const now = ((await send('GET', '/catalogue')).body as CatalogueEntry[]).filter(({ id }) => id === 'own-one');
    expect(now).toEqual([{ ...own, version: 2, item: changed as CatalogueEntry['item'] }]);
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
});
