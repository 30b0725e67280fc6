import { PHOTO_LIMITS, photoHead } from '@kovelin/core/exchange/archive.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';

/** Of the longer side, in pixels: a wall of 4 m at 2 mm a pixel; and how well a JPEG of it is kept [starting judgements]. */
const SIDE = 2048;
const QUALITY = 0.82;
/** So much of a file is read to know what it is: what a camera writes before the picture may be long. */
const HEAD_BYTES = 1024 * 1024;

export interface SmallPhoto {
  readonly blob: Blob;
  readonly width: number;
  readonly height: number;
}

export const api = {
  /**
   * A photo as it is kept: upright, small, and drawn anew, so that nothing of when and where it was taken goes with it. Errors: too large,
   * no photo, a photo that this browser cannot show.
   */
  async small(file: Blob): Promise<Result<SmallPhoto>> {
    if (file.size > PHOTO_LIMITS.bytes)
      return bad(
        `This file has ${Math.round(file.size / 1024 / 1024)} MB; photos of up to ${PHOTO_LIMITS.bytes / 1024 / 1024} MB are taken.`,
      );
    const head = photoHead(new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer()));
    if (!head.ok) return head;
    let bitmap: ImageBitmap;
    try {
      bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
    } catch {
      return bad(
        `This ${head.value.type.toUpperCase()} cannot be shown by this browser, or is damaged. Save it as a JPEG and take that.`,
      );
    }
    const scale = Math.min(1, SIDE / Math.max(bitmap.width, bitmap.height));
    const [width, height] = [
      Math.max(1, Math.round(bitmap.width * scale)),
      Math.max(1, Math.round(bitmap.height * scale)),
    ];
    const canvas = new OffscreenCanvas(width, height);
    const context = canvas.getContext('2d');
    if (!context) return bad('This browser cannot draw a photo smaller.');
    context.imageSmoothingQuality = 'high';
    context.drawImage(bitmap, 0, 0, width, height);
    bitmap.close();
    return good({ blob: await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY }), width, height });
  },
};
export type PhotoApi = typeof api;
