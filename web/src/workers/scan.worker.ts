import {
  BarcodeFormat,
  BinaryBitmap,
  DecodeHintType,
  HybridBinarizer,
  MultiFormatOneDReader,
  RGBLuminanceSource,
} from '@zxing/library';
import jsQR from 'jsqr';

/** Bar codes that are printed on cans [common practice, no source]. */
const ON_CANS = [
  BarcodeFormat.CODE_128,
  BarcodeFormat.CODE_39,
  BarcodeFormat.EAN_13,
  BarcodeFormat.EAN_8,
  BarcodeFormat.UPC_A,
  BarcodeFormat.ITF,
];
const bars = new MultiFormatOneDReader(
  new Map<DecodeHintType, unknown>([
    [DecodeHintType.POSSIBLE_FORMATS, ON_CANS],
    [DecodeHintType.TRY_HARDER, true],
  ]),
);

/** The longer side of what is looked at: a code that fills a third of a photo is still read. */
const SIDE = 1600;

/** What the code in a picture says, and whether it is one of bars. */
export interface Code {
  readonly text: string;
  readonly kind: 'qr' | 'bars';
}

function codeIn(picture: ImageData, withBars: boolean): Code | null {
  const { data, width, height } = picture;
  const qr = jsQR(data, width, height, { inversionAttempts: 'dontInvert' });
  // a code of which all was lost says nothing
  if (qr?.data) return { text: qr.data, kind: 'qr' };
  const text = withBars ? barsIn(picture) : null;
  return text === null ? null : { text, kind: 'bars' };
}

function barsIn({ data, width, height }: ImageData): string | null {
  const grey = new Uint8ClampedArray(width * height);
  for (let i = 0, at = 0; i < grey.length; i++, at += 4)
    // luma of ITU-R BT.601, in thousandths
    grey[i] = (299 * (data[at] ?? 0) + 587 * (data[at + 1] ?? 0) + 114 * (data[at + 2] ?? 0)) / 1000;
  try {
    return bars.decode(new BinaryBitmap(new HybridBinarizer(new RGBLuminanceSource(grey, width, height)))).getText();
  } catch {
    // the library's way of saying that there are none, or none that can be read
    return null;
  }
}

export const api = {
  /** A frame of a camera, or a picture. */
  async frame(bitmap: ImageBitmap, withBars: boolean): Promise<Code | null> {
    return codeIn(drawn(bitmap), withBars);
  },
};
function drawn(bitmap: ImageBitmap): ImageData {
  const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * scale), Math.round(bitmap.height * scale)];
  const context = new OffscreenCanvas(width, height).getContext('2d', { willReadFrequently: true });
  if (!context) throw new Error('This browser cannot look at pictures.');
  // what is clear in a picture is paper
  context.fillStyle = '#fff';
  context.fillRect(0, 0, width, height);
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}
export type ScanApi = typeof api;
