import { scriptsIn } from '@kovelin/core/exchange/pdf.ts';
import text400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url';
import text700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url';
import ext400 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-400-normal.woff?url';
import ext700 from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-ext-700-normal.woff?url';
import scripts from 'dejavu-fonts-ttf/ttf/DejaVuSans.ttf?by-script';
import pdfMake from 'pdfmake/build/pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces';

/** Fonts travel inside the document; those of other scripts are fetched only when a name needs them. */
const FILES = { text400, text700, ext400, ext700 } as const;

const base64 = (blob: Blob): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result).replace(/^[^,]*,/, ''));
    reader.onerror = () => reject(reader.error ?? new Error('a font could not be read'));
    reader.readAsDataURL(blob);
  });

async function put(name: string, url: string): Promise<void> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`the font ${name} is missing`);
  pdfMake.addVirtualFileSystem({ [name]: await base64(await response.blob()) });
}

/** A document as a PDF in the application’s own typefaces. @throws where one cannot be fetched. */
export async function pdfOf(document: TDocumentDefinitions): Promise<Blob> {
  const wide = scriptsIn(document);
  await Promise.all([
    ...Object.entries(FILES).map(([name, url]) => put(name, url)),
    ...wide.map((script) => put(script, scripts[script])),
  ]);
  pdfMake.setFonts({
    Text: { normal: 'text400', bold: 'text700' },
    TextExt: { normal: 'ext400', bold: 'ext700' },
    ...Object.fromEntries(wide.map((script) => [script, { normal: script, bold: script }])),
  });
  return pdfMake.createPdf(document).getBlob();
}
