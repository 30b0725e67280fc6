import type { TDocumentDefinitions } from 'pdfmake/interfaces';
import { download } from '../store/take-out.ts';

/** Makes a PDF and hands it over. What makes it is large, and comes when one is asked for. */
export async function savePdf(name: string, document: TDocumentDefinitions): Promise<void> {
  const { pdfOf } = await import('./pdf.ts');
  download(name, await pdfOf(document), 'application/pdf');
}
