/** The server takes at most this much; saying so here spares the sending. */
const largestBundleBytes = 8 * 1024 * 1024;

export type ReadBundles =
  { readonly ok: true; readonly texts: readonly string[] } | { readonly ok: false; readonly words: string };

const tooLarge = (name: string, bytes: number): ReadBundles => ({
  ok: false,
  words: `${name} is ${(bytes / 1024 / 1024).toFixed(0)} MB long; a bundle has at most 8 MB. Nothing of it was imported.`,
});

/** The bundles of a file: one as it is, or those in a zip file that was exported from here. */
export const readBundles = async (file: File): Promise<ReadBundles> => {
  if (!file.name.toLowerCase().endsWith('.zip'))
    return file.size > largestBundleBytes ? tooLarge(file.name, file.size) : { ok: true, texts: [await file.text()] };
  const { strFromU8, unzipSync } = await import('fflate');
  try {
    const large: { name: string; bytes: number }[] = [];
    const files = unzipSync(new Uint8Array(await file.arrayBuffer()), {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith('.json')) return false;
        if (originalSize <= largestBundleBytes) return true;
        large.push({ name, bytes: originalSize });
        return false;
      },
    });
    const [first] = large;
    if (first) return tooLarge(first.name, first.bytes);
    const texts = Object.values(files).map((bytes) => strFromU8(bytes));
    return texts.length
      ? { ok: true, texts }
      : { ok: false, words: `${file.name} holds no bundle. Choose a file that was exported from here.` };
  } catch {
    return { ok: false, words: `${file.name} is damaged, or no zip file. Nothing was imported.` };
  }
};
