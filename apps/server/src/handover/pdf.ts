import pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { fonts } from './fonts.ts';

pdfmake.addFonts(fonts);
// Only our own font files are read, and nothing is fetched, whatever a document holds.
pdfmake.setLocalAccessPolicy((path: string) => Object.values(fonts).some((face) => Object.values(face).includes(path)));
pdfmake.setUrlAccessPolicy(() => false);

/** A document as PDF. */
export const pdf = async (document: TDocumentDefinitions): Promise<Buffer> => pdfmake.createPdf(document).getBuffer();
