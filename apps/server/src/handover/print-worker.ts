import { aboardPdf } from './aboard-pdf.ts';
import { cardPdf } from './card-pdf.ts';
import { photographsPdf } from './photographs-pdf.ts';
import { reportPdf } from './report-pdf.ts';
import type { PrintJob } from './print-job.ts';
import { shoppingPdf } from './shopping-pdf.ts';
import { wiringPdf } from './wiring-pdf.ts';

/** Sets one sheet, in a thread of its own: a long one takes seconds, and a server that answers nobody meanwhile is down. */
export default ({ sheet, plan, catalogue, photographs, options }: PrintJob): Promise<Buffer> => {
  switch (sheet) {
    case 'card':
      return cardPdf(plan, options);
    case 'report':
      return reportPdf(plan, options);
    case 'shopping':
      return shoppingPdf(plan, catalogue, options);
    case 'wiring':
      return wiringPdf(plan, options);
    case 'aboard':
      return aboardPdf(plan, options);
    case 'photographs':
      return photographsPdf(plan, photographs, options);
  }
};
