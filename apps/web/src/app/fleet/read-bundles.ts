import { largestBundleBytes } from '@grey-keel/model';

export type ReadBundles =
  | {
      readonly ok: true;
      readonly texts: readonly string[];
      /** What of a zip file was left out, in words; empty where all of it was read. */
      readonly leftOut: string;
    }
  | { readonly ok: false; readonly words: string };

const megabytes = (bytes: number): string => (bytes / 1024 / 1024).toFixed(0);
/** What is unpacked of one file at most: it stands in memory until it is sent. */
const mostUnpackedBytes = 512 * 1024 * 1024;

const tooLong = (name: string, bytes: number): string =>
  `${name} is ${megabytes(bytes)} MB long; a bundle has at most ${megabytes(largestBundleBytes)} MB.`;

/** The bundles of a file: one as it is, or those in a zip file that was exported from here. */
export const readBundles = async (file: File, unpackedBytesAtOnce = mostUnpackedBytes): Promise<ReadBundles> => {
  if (!file.name.toLowerCase().endsWith('.zip'))
    return file.size > largestBundleBytes
      ? { ok: false, words: `${tooLong(file.name, file.size)} Nothing was imported.` }
      : { ok: true, texts: [await file.text()], leftOut: '' };
  const { strFromU8, unzipSync } = await import('fflate');
  try {
    const leftOut: string[] = [];
    let unpackedBytes = 0;
    const files = unzipSync(new Uint8Array(await file.arrayBuffer()), {
      filter: ({ name, originalSize }) => {
        if (!name.endsWith('.json')) return false;
        if (originalSize > largestBundleBytes) {
          leftOut.push(tooLong(name, originalSize));
          return false;
        }
        if (unpackedBytes + originalSize > unpackedBytesAtOnce) {
          leftOut.push(
            `${name} was left out: at most ${megabytes(unpackedBytesAtOnce)} MB are unpacked at once. Import it by itself.`,
          );
          return false;
        }
        unpackedBytes += originalSize;
        return true;
      },
    });
    const texts = Object.values(files).map((bytes) => strFromU8(bytes));
    if (texts.length) return { ok: true, texts, leftOut: leftOut.join(' ') };
    return {
      ok: false,
      words:
        leftOut.length > 0
          ? `${leftOut.join(' ')} Nothing was imported.`
          : `${file.name} holds no bundle. Choose a file that was exported from here.`,
    };
  } catch {
    return { ok: false, words: `${file.name} is damaged, or no zip file. Nothing was imported.` };
  }
};
