import { framesOf } from '@kovelin/core/exchange/frames.ts';

/**
 * Gives a file to the device's share sheet. Some let no zip through but let a text: then the same file goes as lines of frames, where it
 * has no photos. @returns a sentence where it cannot be shared; null: it was, or the reader left the sheet.
 */
export async function shareFile(zip: Blob, name: string, small: Blob | null): Promise<string | null> {
  const asZip = new File([zip], `${name}.kovelin.zip`, { type: 'application/zip' });
  const text = small ? framesOf(new Uint8Array(await small.arrayBuffer())) : null;
  const asText = text?.ok ? [new File([text.value.join('\n')], `${name}.kovelin.txt`, { type: 'text/plain' })] : [];
  const file = [asZip, ...asText].find((one) => navigator.canShare({ files: [one] }));
  if (!file)
    return small
      ? 'This browser shares no such file: save it, and send that.'
      : 'This browser shares no file with photos: leave them out, or save the file and send that.';
  try {
    await navigator.share({ files: [file], title: name });
    return null;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') return null;
    return `It was not shared (${error instanceof Error ? error.message : String(error)}): save the file, and send that.`;
  }
}
