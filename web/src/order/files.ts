import type { Job } from '@kovelin/core/job/types.ts';
import type { Quote } from '@kovelin/core/whole/quote.ts';
import type { ShoppingList } from '@kovelin/core/order/shopping.ts';
import { download, fileName } from '../store/take-out.ts';

/** Quotes and lists out of the browser; the heavy parts are loaded when they are asked for. */
export async function exportQuote(job: Job, quote: Quote, format: 'pdf' | 'csv'): Promise<void> {
  const name = `${fileName(job)}-quote.${format}`;
  if (format === 'pdf') {
    const [{ quotePdf }, { pdfOf }] = await Promise.all([
      import('@kovelin/core/exchange/order-pdf.ts'),
      import('../app/pdf.ts'),
    ]);
    download(name, await pdfOf(quotePdf(job, quote)), 'application/pdf');
  } else {
    const { quoteCsv } = await import('@kovelin/core/exchange/order-text.ts');
    download(name, quoteCsv(job, quote), 'text/csv');
  }
}

/** The shopping list as a file. @throws why the PDF could not be made. */
export async function exportList(job: Job, list: ShoppingList, format: 'pdf' | 'csv' | 'txt'): Promise<void> {
  const name = `${fileName(job)}-to-buy.${format}`;
  if (format === 'pdf') {
    const [{ shoppingPdf }, { pdfOf }] = await Promise.all([
      import('@kovelin/core/exchange/order-pdf.ts'),
      import('../app/pdf.ts'),
    ]);
    download(name, await pdfOf(shoppingPdf(job, list)), 'application/pdf');
    return;
  }
  const { shoppingCsv, shoppingText } = await import('@kovelin/core/exchange/order-text.ts');
  if (format === 'csv') download(name, shoppingCsv(job, list), 'text/csv');
  else download(name, shoppingText(job, list), 'text/plain');
}
