import { fileNameOf, saveFile } from '../shared/save-file.ts';

const ending = '.grey-keel.json';

/** Hands one boat's bundle over as it is, and several as one zip file of bundles. */
export const saveBundles = async (boats: readonly { name: string; file: Blob }[]): Promise<void> => {
  const [first] = boats;
  if (first && boats.length === 1) return saveFile(first.file, fileNameOf(first.name, ending));
  const { zipSync } = await import('fflate');
  const files: Record<string, Uint8Array> = {};
  const taken = new Set<string>();
  for (const { name, file } of boats) {
    // Boats of one name stay apart, also where the disk does not tell capitals from small letters.
    let free = fileNameOf(name, ending);
    for (let i = 2; taken.has(free.toLowerCase()); i++) free = fileNameOf(`${name} ${i}`, ending);
    taken.add(free.toLowerCase());
    files[free] = new Uint8Array(await file.arrayBuffer());
  }
  saveFile(new Blob([zipSync(files) as Uint8Array<ArrayBuffer>], { type: 'application/zip' }), 'grey-keel-boats.zip');
};
