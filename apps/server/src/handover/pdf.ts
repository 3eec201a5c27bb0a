import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { fonts } from './fonts.ts';

pdfmake.addFonts(fonts);
// Only our own font files are read, and nothing is fetched, whatever a document holds.
pdfmake.setLocalAccessPolicy((path: string) => Object.values(fonts).some((face) => Object.values(face).includes(path)));
pdfmake.setUrlAccessPolicy(() => false);

/** A document as PDF. */
export const pdf = async (document: TDocumentDefinitions): Promise<Buffer> => pdfmake.createPdf(document).getBuffer();

/** A document as PDF, and how many sheets it takes. */
export const countedPdf = async (document: TDocumentDefinitions): Promise<{ sheets: number; buffer: Buffer }> => {
  let sheets = 0;
  const { footer } = document;
  const buffer = await pdf({
    ...document,
    footer: (page, pages, size) => {
      sheets = pages;
      return typeof footer === 'function' ? footer(page, pages, size) : footer;
    },
  });
  return { sheets, buffer };
};
