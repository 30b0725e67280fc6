import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatReader,
  NotFoundException,
  RGBLuminanceSource,
} from '@zxing/library';
import { expose } from 'comlink';

/** Codes that are printed on cans, besides QR [common practice, no source]. */
const ON_CANS = [
  BarcodeFormat.CODE_128,
  BarcodeFormat.CODE_39,
  BarcodeFormat.EAN_13,
  BarcodeFormat.EAN_8,
  BarcodeFormat.UPC_A,
  BarcodeFormat.ITF,
  BarcodeFormat.DATA_MATRIX,
];

const readers = new Map<boolean, MultiFormatReader>();
function readerFor(withBars: boolean): MultiFormatReader {
  const known = readers.get(withBars);
  if (known) return known;
  const reader = new MultiFormatReader();
  reader.setHints(
    new Map<DecodeHintType, unknown>([
      [DecodeHintType.POSSIBLE_FORMATS, [BarcodeFormat.QR_CODE, ...(withBars ? ON_CANS : [])]],
      [DecodeHintType.TRY_HARDER, true],
    ]),
  );
  readers.set(withBars, reader);
  return reader;
}

/** The longer side of what is looked at: a code that fills a third of a photo is still read. */
const SIDE = 1600;

/** The code in a picture; null: none was found. */
function codeIn({ data, width, height }: ImageData, withBars: boolean): string | null {
  const grey = new Uint8ClampedArray(width * height);
  for (let i = 0, at = 0; i < grey.length; i++, at += 4)
    // luma of ITU-R BT.601, in thousandths
    grey[i] = (299 * (data[at] ?? 0) + 587 * (data[at + 1] ?? 0) + 114 * (data[at + 2] ?? 0)) / 1000;
  const reader = readerFor(withBars);
  try {
    return reader
      .decodeWithState(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(grey, width, height))))
      .getText();
  } catch (error) {
    // the library's way of saying that there is none, or none that can be read
    if (error instanceof NotFoundException || (error instanceof Error && /Exception/.test(error.constructor.name)))
      return null;
    throw error;
  } finally {
    reader.reset();
  }
}

const api = {
  /** A frame of a camera. */
  async frame(bitmap: ImageBitmap, withBars: boolean): Promise<string | null> {
    return codeIn(drawn(bitmap), withBars);
  },
  /** A picture from a file. Errors: what cannot be shown as a picture. */
  async picture(file: Blob, withBars: boolean): Promise<string | null> {
    return codeIn(drawn(await createImageBitmap(file)), withBars);
  },
};
function drawn(bitmap: ImageBitmap): ImageData {
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser cannot look at pictures.');
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}
export type ScanApi = typeof api;

expose(api);
