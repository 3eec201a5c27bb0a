import { fileNameOf, saveFile } from '../shared/save-file.ts';

const ending = '.grey-keel.json';

/** Hands one boat's bundle over as it is, and several as one zip file of bundles. */
export const saveBundles = async (boats: readonly { name: string; file: Blob }[]): Promise<void> => {
  const [first] = boats;
  if (first && boats.length === 1) return saveFile(first.file, fileNameOf(first.name, ending));
  const { zipSync } = await import('fflate');
  const files: Record<string, Uint8Array> = {};
  for (const [i, { name, file }] of boats.entries()) {
    const plain = fileNameOf(name, ending);
    // Boats of one name stay apart.
    files[plain in files ? fileNameOf(`${name} ${i + 1}`, ending) : plain] = new Uint8Array(await file.arrayBuffer());
  }
  saveFile(new Blob([zipSync(files) as Uint8Array<ArrayBuffer>], { type: 'application/zip' }), 'grey-keel-boats.zip');
};
