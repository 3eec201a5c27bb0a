import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** The words of each sheet of a PDF, in the order they are set. */
export const pdfText = async (data: Uint8Array): Promise<string[]> => {
  const pdf = await getDocument({ data, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      return items.map((item) => ('str' in item ? item.str : '')).join('');
    }),
  );
};
