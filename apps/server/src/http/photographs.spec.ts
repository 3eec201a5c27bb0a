import { randomUUID } from 'node:crypto';
import type { Bundle, ImportedBundle, OpenedBoat } from '@grey-keel/model';
import { aJpeg, segment } from '../testing/a-jpeg.ts';
import { demoServer } from '../testing/demo-server.ts';
import { pdfSheets } from '../testing/pdf-text.ts';

const jpeg = (wide: number, high: number, more = 0): Buffer => aJpeg(wide, high, { scan: Buffer.alloc(more + 4, 1) });
const png = Buffer.from('89504e470d0a1a0a0000000d49484452000000020000000208060000004d0f6e09', 'hex');
const units = 'length=m&depth=m&speed=kn&temperature=C';

describe('photographs over HTTP', () => {
  const { send, server } = demoServer();
  const store = (id: string, bytes: Buffer, type = 'image/jpeg'): Promise<Response> =>
    fetch(`${server().address}/api/photographs/${id}`, {
      method: 'PUT',
      headers: { 'Content-Type': type },
      body: new Uint8Array(bytes),
    });
  const show = (id: string): Promise<Response> => fetch(`${server().address}/api/photographs/${id}`);
  const take = async (boat: string, id: string, caption: string): Promise<void> => {
    const { number } = (await send('GET', `/boats/${boat}`)).body as OpenedBoat;
    const photograph = { caption, widthPx: 8, heightPx: 6, at: '2026-06-01T09:00:00Z' };
    const edits = [{ type: 'putPhotograph', id, photograph }];
    const sent = await send('POST', `/boats/${boat}/revisions`, { revisionId: randomUUID(), base: number, edits });
    expect(sent.status).toBe(201);
  };

  it('are stored once under their id, shown as they came, and never become others', async () => {
    const bytes = jpeg(8, 6);
    expect((await store('transom', bytes)).status).toBe(204);
    expect((await store('transom', bytes)).status).toBe(204);
    const other = await store('transom', jpeg(6, 8));
    expect([other.status, ((await other.json()) as { title: string }).title]).toEqual([409, 'There already']);
    const shown = await show('transom');
    expect(shown.headers.get('content-type')).toBe('image/jpeg');
    expect(shown.headers.get('cache-control')).toContain('immutable');
    expect(Buffer.from(await shown.arrayBuffer()).equals(bytes)).toBeTrue();
    expect((await show('nowhere')).status).toBe(404);
  });

  it('are stored without where they were taken, and are the same when they come again after a lost answer', async () => {
    const told = aJpeg(8, 6, { segments: [segment(0xfe, Buffer.from('47.2 N'))], after: Buffer.from('47.2 N') });
    expect((await store('told', told)).status).toBe(204);
    expect((await store('told', told)).status).toBe(204);
    expect(Buffer.from(await (await show('told')).arrayBuffer()).equals(aJpeg(8, 6))).toBeTrue();
    const empty = await store('empty', aJpeg(8, 6, { scan: Buffer.alloc(0) }));
    expect([empty.status, ((await empty.json()) as { detail: string }).detail]).toEqual([
      422,
      'It has a size, but no picture in it. Save it again, or take it anew.',
    ]);
  });

  it('are refused in words where they are no JPEG, too many pixels or too many bytes', async () => {
    const refused = async (bytes: Buffer, type?: string): Promise<[number, string]> => {
      const response = await store('refused', bytes, type);
      return [response.status, ((await response.json()) as { detail: string }).detail];
    };
    expect(await refused(png)).toEqual([422, 'It is of the type "png". Save it as JPEG.']);
    expect(await refused(Buffer.from('a note'))).toEqual([422, 'It cannot be read as a picture. Save it as JPEG.']);
    expect((await refused(jpeg(1401, 20)))[1]).toContain('1401 by 20 pixels; up to 1400');
    expect((await refused(jpeg(8, 6), 'text/plain'))[0]).toBe(415);
    expect((await refused(jpeg(8, 6, 900_000)))[0]).toBe(413);
    expect((await show('refused')).status).toBe(404);
  });

  it('are printed with what they show, one that is not stored here said to be so', async () => {
    await store('printed', jpeg(8, 6));
    await take('sable-wren', 'printed', 'Cable gland at the transom');
    await take('sable-wren', 'lost', 'Back of the display');
    const response = await fetch(`${server().address}/api/boats/sable-wren/photographs.pdf?${units}`);
    const sheets = await pdfSheets(new Uint8Array(await response.arrayBuffer()));
    expect(sheets.flatMap(({ cut }) => cut)).toEqual([]);
    const text = sheets.map((sheet) => sheet.text).join(' ');
    for (const part of ['Cable gland at the transom, 2026-06-01', 'Back of the display', 'not stored here'])
      expect(text).toContain(part);
  });

  it('go into the bundle and come out of it, and a bundle with something else in their place is refused', async () => {
    const bytes = jpeg(8, 6);
    await store('packed', bytes);
    await take('old-marl', 'packed', 'Keel');
    const bundle = (await send('GET', '/boats/old-marl/bundle')).body as Bundle;
    expect(bundle.photographs).toEqual({ packed: bytes.toString('base64') });
    // Somewhere else the same id was given to another picture: each boat goes on showing its own.
    const another = jpeg(6, 8);
    const photographs = { packed: another.toString('base64'), 'none-shows-it': bundle.photographs?.['packed'] ?? '' };
    for (const status of [201, 200])
      expect((await send('PUT', '/bundles/with-picture', { ...bundle, photographs })).status).toBe(status);
    const [beside = ''] = Object.keys(
      ((await send('GET', '/boats/with-picture')).body as OpenedBoat).plan.photographs ?? {},
    );
    expect(Buffer.from(await (await show(beside)).arrayBuffer()).equals(another)).toBeTrue();
    expect(Buffer.from(await (await show('packed')).arrayBuffer()).equals(bytes)).toBeTrue();
    expect((await show('none-shows-it')).status).toBe(404);
    const copied = (await send('POST', '/boats/old-marl/copy', { id: 'sister', name: 'Sister' }))
      .body as ImportedBundle;
    expect(copied.plan.photographs).toBeUndefined();
    const wrong = await send('PUT', '/bundles/wrong', { ...bundle, photographs: { packed: png.toString('base64') } });
    expect(wrong.status).toBe(422);
    expect((wrong.body as { detail: string }).detail).toContain('Photograph "packed": It is of the type "png"');
  });
});
