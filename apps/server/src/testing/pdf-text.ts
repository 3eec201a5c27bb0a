import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** One sheet of a PDF as a reader gets it. */
export interface PrintedSheet {
  /** Its words in the order they are set. */
  readonly text: string;
  /** What begins or ends outside the paper, or so near its edge that a printer cuts it. */
  readonly cut: readonly string[];
  /** Height of its smallest letters, points. */
  readonly smallestPt: number;
}

/** What printers leave white at the edges, points. */
const edgePt = 12;

export const pdfSheets = async (data: Uint8Array): Promise<PrintedSheet[]> => {
  const pdf = await getDocument({ data, verbosity: 0 }).promise;
  return Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i): Promise<PrintedSheet> => {
      const page = await pdf.getPage(i + 1);
      const [left = 0, bottom = 0, right = 0, top = 0] = page.view;
      const items = (await page.getTextContent()).items.flatMap((item) => ('str' in item ? [item] : []));
      const set = items
        .filter(({ str }) => str.trim() !== '')
        .map(({ str, transform, width, height }) => {
          const [a = 0, b = 0, , , x = 0, y = 0] = transform as number[];
          const long = Math.hypot(a, b);
          return { str, height, ends: [x, y, x + (width * a) / long, y + (width * b) / long] as const };
        });
      const inside = (x: number, y: number): boolean =>
        x >= left + edgePt && x <= right - edgePt && y >= bottom + edgePt && y <= top - edgePt;
      return {
        text: items.map(({ str }) => str).join(''),
        cut: set.filter(({ ends: [x, y, u, v] }) => !inside(x, y) || !inside(u, v)).map(({ str }) => str),
        smallestPt: Math.min(...set.map(({ height }) => height)),
      };
    }),
  );
};
