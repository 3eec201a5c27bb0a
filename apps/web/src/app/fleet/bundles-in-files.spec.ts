import { strFromU8, unzipSync } from 'fflate';
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
    expect(read).toEqual({ ok: true, texts: ['{"a":1}', '{"a":2}', '{"a":3}'] });
  });

  it('are read from a plain file, and refused where damaged, empty or too long', async () => {
    expect(await readBundles(new File(['{}'], 'one.json'))).toEqual({ ok: true, texts: ['{}'] });
    const words = async (file: File): Promise<string> => {
      const read = await readBundles(file);
      return read.ok ? 'read' : read.words;
    };
    expect(await words(new File(['no zip'], 'all.zip'))).toContain('damaged');
    expect(await words(new File([new Uint8Array(9 * 1024 * 1024)], 'long.json'))).toContain('9 MB long');
  });
});
