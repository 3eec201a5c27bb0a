import { strFromU8, unzipSync, zipSync } from 'fflate';
import { readBundles } from './read-bundles.ts';
import { saveBundles } from './save-bundles.ts';

describe('bundles in files', () => {
  /** What is handed to the user, and under what name. */
  const saved = async (
    boats: readonly { name: string; file: Blob }[],
  ): Promise<{ name: string; bytes: Uint8Array }> => {
    let name = '';
    let blob = new Blob();
    spyOn(URL, 'createObjectURL').and.callFake((content) => {
      blob = content as Blob;
      return 'blob:none';
    });
    spyOn(HTMLAnchorElement.prototype, 'click').and.callFake(function (this: HTMLAnchorElement) {
      name = this.download;
    });
    await saveBundles(boats);
    return { name, bytes: new Uint8Array(await blob.arrayBuffer()) };
  };
  const boat = (name: string, content: string) => ({ name, file: new Blob([content]) });

  it('hand one boat over as it is, and several as one zip file, boats of one name apart', async () => {
    const { name, bytes } = await saved([boat('Gull', '{"a":1}'), boat('Gull', '{"a":2}'), boat('Tern', '{"a":3}')]);
    expect(name).toBe('grey-keel-boats.zip');
    const files = unzipSync(bytes);
    expect(Object.keys(files)).toEqual(['Gull.grey-keel.json', 'Gull-2.grey-keel.json', 'Tern.grey-keel.json']);
    expect(Object.values(files).map((one) => strFromU8(one))).toEqual(['{"a":1}', '{"a":2}', '{"a":3}']);
    const read = await readBundles(new File([bytes as Uint8Array<ArrayBuffer>], 'grey-keel-boats.zip'));
    expect(read).toEqual({ ok: true, texts: ['{"a":1}', '{"a":2}', '{"a":3}'], leftOut: '' });
  });

  it('lose none of several boats whose names are alike', async () => {
    const names = ['A', 'A 3', 'A', 'a', 'A-2', 'A!'];
    const { bytes } = await saved(names.map((name, i) => boat(name, `{"a":${i}}`)));
    const read = await readBundles(new File([bytes as Uint8Array<ArrayBuffer>], 'boats.zip'));
    expect(read.ok && [...read.texts].sort()).toEqual(names.map((_, i) => `{"a":${i}}`));
    const files = Object.keys(unzipSync(bytes)).map((name) => name.toLowerCase());
    expect(new Set(files).size).toBe(names.length);
  });

  it('are as long as the server takes them; one too long, or too many at once, keep none of the others out', async () => {
    const long = new Uint8Array(35 * 1024 * 1024);
    const fits = new Uint8Array(33 * 1024 * 1024).fill(32);
    expect((await readBundles(new File([fits], 'one.json'))).ok).toBeTrue();
    const zip = zipSync({ 'a.json': long, 'b.json': new Uint8Array([123, 125]) }, { level: 1 });
    const read = await readBundles(new File([zip as Uint8Array<ArrayBuffer>], 'boats.zip'));
    expect(read.ok && read.texts).toEqual(['{}']);
    expect(read.ok && read.leftOut).toContain('a.json is 35 MB long; a bundle has at most 34 MB.');
    // Small entries that unpack to more than is held at once.
    const mega = new Uint8Array(1024 * 1024).fill(32);
    const many = zipSync(Object.fromEntries(Array.from({ length: 6 }, (_, i) => [`${i}.json`, mega])));
    const some = await readBundles(new File([many as Uint8Array<ArrayBuffer>], 'boats.zip'), 4 * mega.length);
    expect(some.ok && some.texts.length).toBe(4);
    expect(some.ok && some.leftOut).toContain('Import it by itself.');
  });

  it('are read from a plain file, and refused where damaged, empty or too long', async () => {
    expect(await readBundles(new File(['{}'], 'one.json'))).toEqual({ ok: true, texts: ['{}'], leftOut: '' });
    const words = async (file: File): Promise<string> => {
      const read = await readBundles(file);
      return read.ok ? 'read' : read.words;
    };
    expect(await words(new File(['no zip'], 'all.zip'))).toContain('damaged');
    expect(await words(new File([new Uint8Array(35 * 1024 * 1024)], 'long.json'))).toContain('35 MB long');
  });
});
