import { base32nopad } from '@scure/base';
import CRC32 from 'crc-32';
import { bad, good, type Result } from '../units/problem.ts';

/**
 * A file as a series of QR codes, for two devices that see each other and have no network (docs/formats.md). A frame is one line of
 * characters that a QR code holds most densely (its alphanumeric mode, ISO/IEC 18004): `KOVELIN-QR/1 3/12 5A0F91C2 …`, which one it is and of
 * how many, the CRC-32 of the whole, and its part of the file in base 32 (RFC 4648, without padding).
 */
const WORD = 'KOVELIN-QR/1';
/** Characters of the file in a frame: a code of 77 modules with level M, read from a screen at arm's length [starting judgement]. */
const PART = 540;
export const MOST_FRAMES = 600;

/** Those frames of one series that were seen, in whatever order. */
export interface FrameSet {
  readonly digest: string;
  readonly count: number;
  readonly parts: ReadonlyMap<number, string>;
}

const digestOf = (bytes: Uint8Array): string => (CRC32.buf(bytes) >>> 0).toString(16).toUpperCase().padStart(8, '0');

/** @returns the frames in order. Errors: a file that makes more than anybody would film. */
export function framesOf(bytes: Uint8Array): Result<string[]> {
  const text = base32nopad.encode(bytes);
  const count = Math.max(1, Math.ceil(text.length / PART));
  if (count > MOST_FRAMES)
    return bad(`This would be ${count} codes; up to ${MOST_FRAMES} are shown. Hand it over as a file.`);
  const head = digestOf(bytes);
  return good(
    Array.from(
      { length: count },
      (_, i) => `${WORD} ${i + 1}/${count} ${head} ${text.slice(i * PART, (i + 1) * PART)}`,
    ),
  );
}

/**
 * Takes a frame to those seen before; one that was seen already changes nothing. Errors: a code that is none of a series, or one of
 * another series.
 */
export function takeFrame(set: FrameSet | null, text: string): Result<FrameSet> {
  const found = /^KOVELIN-QR\/(\d+) (\d+)\/(\d+) ([0-9A-F]{8}) ([A-Z2-7]*)$/.exec(text.trim());
  if (!found) return bad('This code is none of a job that is handed over.');
  const [, version, nth, of, digest = '', part = ''] = found;
  if (version !== '1') return bad('This code was made by a newer Kovelin.');
  const [n, count] = [Number(nth), Number(of)];
  if (count < 1 || count > MOST_FRAMES || n < 1 || n > count)
    return bad('This code does not say which of a series it is.');
  if (set && (set.digest !== digest || set.count !== count))
    return bad('This code belongs to another series than those before it.');
  const known = set?.parts.get(n);
  if (known !== undefined && known !== part) return bad(`Code ${n} was read twice, with other content.`);
  return good({ digest, count, parts: new Map([...(set?.parts ?? []), [n, part]]) });
}

/** Numbers of the frames that were not seen yet. */
export const missingFrames = ({ count, parts }: FrameSet): number[] =>
  Array.from({ length: count }, (_, i) => i + 1).filter((n) => !parts.has(n));

/** The file of a whole series. Errors: frames are missing, named; the parts do not make the file that was sent. */
export function joinFrames(set: FrameSet): Result<Uint8Array> {
  const missing = missingFrames(set);
  if (missing.length)
    return bad(`${missing.length === 1 ? 'Code' : 'Codes'} ${missing.join(', ')} of ${set.count} are still missing.`);
  const text = [...set.parts].sort(([a], [b]) => a - b).map(([, part]) => part);
  try {
    const bytes = base32nopad.decode(text.join(''));
    if (digestOf(bytes) === set.digest) return good(bytes);
  } catch {
    // what was read is no base 32: said below
  }
  return bad('The codes were read, but do not make the file that was sent. Read them again.');
}
