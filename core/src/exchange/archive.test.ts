import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import JSZip from 'jszip';
import { smallJob } from '../testing/hostile.ts';
import { archiveOf, bytesChanged, tryArchive } from '../testing/hostile-logs.ts';
import { writer } from '../testing/site-log.ts';
import { isZip, photoHead, readArchive, writeArchive, type ArchivedJob, type ArchivedPhoto } from './archive.ts';
import { framesOf, joinFrames, missingFrames, takeFrame, type FrameSet } from './frames.ts';

const job = { ...smallJob(), id: 'house' };
/** The smallest JPEG there is of a size: its head says how large it is, and nothing is drawn. */
const jpeg = (width: number, height: number): Uint8Array =>
  Uint8Array.from([
    ...[0xff, 0xd8, 0xff, 0xe0, 0, 16, 0x4a, 0x46, 0x49, 0x46, 0, 1, 1, 0, 0, 1, 0, 1, 0, 0],
    ...[0xff, 0xc0, 0, 17, 8, height >> 8, height & 255, width >> 8, width & 255, 3],
    ...[1, 0x11, 0, 2, 0x11, 1, 3, 0x11, 1, 0xff, 0xd9],
  ]);
const van = writer('van');
van.says(0, { kind: 'start', who: 'Ana', operation: 'r:wash/1' });
van.says(5, { kind: 'photo', who: 'Ana', value: { photo: 'p1', width: 640, height: 480 } });
van.says(6, { kind: 'photo', who: 'Ana', value: { photo: 'p2', width: 640, height: 480 } });
const log = van.entries;
const photo: ArchivedPhoto = { id: 'p1', job: 'house', bytes: jpeg(640, 480) };

type Bytes = Uint8Array<ArrayBuffer>;
const packed = async (jobs: readonly ArchivedJob[], photos: readonly ArchivedPhoto[] = [photo]): Promise<Bytes> =>
  new Uint8Array(await (await writeArchive(jobs, photos, '2026-12-01T08:00:00.000Z')).arrayBuffer());
/** By another library. */
const zipped = (files: Readonly<Record<string, string | Uint8Array>>, level = 6): Promise<Bytes> => {
  const zip = new JSZip();
  for (const [path, content] of Object.entries(files)) zip.file(path, content);
  return zip.generateAsync({
    type: 'uint8array',
    compression: 'DEFLATE',
    compressionOptions: { level },
  }) as Promise<Bytes>;
};
const exchange = { id: 'e2', from: ['e0', 'e1'] };
const one: ArchivedJob = {
  id: 'house',
  name: job.name,
  job,
  log,
  aside: [{ text: '{"kind":"lunch"}' }],
  photos: 1,
  exchange,
};
const readOf = (bytes: Bytes | string) => readArchive(new Blob([bytes]));
const why = async (bytes: Bytes | string): Promise<string> => {
  const read = await readOf(bytes);
  return read.ok ? '' : read.problems.map(({ message }) => message).join(' ');
};

describe('everything in one file', () => {
  test('what is written is read back, and another library (JSZip) opens it and finds the same in it', async () => {
    const bytes = await packed([one]);
    const read = await readOf(bytes);
    if (!read.ok) throw new Error(await why(bytes));
    expect(read.value.warnings).toEqual([]);
    const [{ aside = [], ...rest } = {}] = read.value.jobs;
    expect(rest).toEqual({ job, log, photos: [photo], exchange });
    expect(aside).toEqual([{ ...one.aside[0], reason: expect.stringMatching(/No entry of the kind “lunch”/) }]);
    const zip = await JSZip.loadAsync(bytes, { checkCRC32: true });
    expect(Object.keys(zip.files).sort()).toEqual([
      'jobs/1.kovelin.json',
      'jobs/1.log.jsonl',
      'kovelin.json',
      'photos/p1.jpg',
    ]);
    expect(JSON.parse((await zip.file('jobs/1.kovelin.json')?.async('string')) ?? '')).toEqual(job);
    const lines = (await zip.file('jobs/1.log.jsonl')?.async('string'))?.trim().split('\n') ?? [];
    expect(lines.slice(1, -1).map((line) => JSON.parse(line) as unknown)).toEqual(log);
    expect(lines.at(-1)).toBe(one.aside[0]?.text);
    expect(Buffer.from((await zip.file('photos/p1.jpg')?.async('uint8array')) ?? [])).toEqual(Buffer.from(photo.bytes));
  });
  test('a job that cannot be read is said and left out; the others, and what is not ours, are no hindrance', async () => {
    const newer = { ...one, id: 'other', name: 'Other', job: { ...job, id: 'other', version: 99 } };
    const zip = await JSZip.loadAsync(
      await packed([newer, one], [photo, { ...photo, id: 'p2', bytes: new TextEncoder().encode('no photo') }]),
    );
    zip.file('../../etc/passwd', 'root').file('notes.txt', 'milk');
    const read = await readArchive(new Blob([await zip.generateAsync({ type: 'arraybuffer' })]));
    if (!read.ok) throw new Error('not read');
    expect(read.value.jobs.map((found) => [found.job.id, found.photos.length])).toEqual([['house', 1]]);
    expect(read.value.warnings.join(' ')).toMatch(
      /“Other” is left out: .*newer Kovelin.*1 of its photos cannot be read/,
    );
  });
  test('what is no archive, none of ours, cut off, or of a newer Kovelin is refused with a sentence', async () => {
    const whole = await packed([one]);
    expect(await why('{"format":"kovelin-job"}')).toMatch(/no zip file/);
    expect(await why(await zipped({ 'a.txt': 'a' }))).toMatch(/none of Kovelin’s/);
    expect(await why(await zipped({ 'kovelin.json': '{"kovelin":' }))).toMatch(/none of Kovelin’s/);
    expect(await why(whole.slice(0, whole.length - 60))).toMatch(/damaged or was cut off/);
    const head = { kovelin: 'archive', version: 3, made: '2026-12-01T08:00:00.000Z', jobs: [], more: true };
    expect(await why(await zipped({ 'kovelin.json': JSON.stringify(head) }))).toMatch(
      /newer Kovelin \(archive version 3/,
    );
    expect(await why(await packed([{ ...one, job: { ...job, id: 'else' } }]))).toMatch(/another job/);
  });
  test('one of version 1, which knew nothing of copies, is read', async () => {
    const head = {
      kovelin: 'archive',
      version: 1,
      made: '2026-12-01T08:00:00.000Z',
      jobs: [{ id: 'house', name: 'H' }],
    };
    const read = await readOf(
      await zipped({ 'kovelin.json': JSON.stringify(head), 'jobs/1.kovelin.json': JSON.stringify(job) }),
    );
    expect(read.ok && read.value.jobs).toEqual([{ job, log: [], aside: [], photos: [], exchange: null }]);
  });
  test('what unpacks to more than any of ours, or to more lines than a log has, is not read; the job beside it is', async () => {
    const head = {
      kovelin: 'archive',
      version: 2,
      made: '2026-12-01T08:00:00.000Z',
      jobs: [{ id: 'house', name: 'H' }],
    };
    const files = { 'kovelin.json': JSON.stringify(head), 'jobs/1.kovelin.json': JSON.stringify(job) };
    const bomb = await zipped({ ...files, 'jobs/1.log.jsonl': '{}\n'.repeat(2e5) }, 9);
    expect(bomb.length).toBeLessThan(1e4);
    const read = await readOf(bomb);
    expect(read.ok && [read.value.jobs.length, read.value.warnings]).toEqual([
      1,
      [expect.stringMatching(/comes without its log.*more than 100000 lines/)],
    ]);
    const large = await zipped({ ...files, 'photos/p1.jpg': new Uint8Array(9 * 1024 * 1024) }, 9);
    expect((await readOf(large)).ok).toBe(true);
  });
  test('law: of whatever is cut off a file or changed in it, only what was packed is taken (CRC-32)', async () => {
    const whole = await archiveOf();
    await fc.assert(
      fc.asyncProperty(bytesChanged(whole.bytes.length), async (change) => {
        expect((await tryArchive(whole, change)).fault).toBeNull();
      }),
      runs(20),
    );
    expect(await isZip(new Blob([whole.bytes]))).toBe(true);
  });
  test('a photo of which a bit was turned stays out, and is counted', async () => {
    const large = { ...photo, bytes: new Uint8Array([...photo.bytes, ...new Uint8Array(4000)]) };
    const bytes = await packed([one], [large]);
    // in the photo, and in its name as the directory has it
    for (const at of [
      Buffer.from(bytes).indexOf(Buffer.from(photo.bytes)) + 2000,
      Buffer.from(bytes).lastIndexOf('p1.jpg'),
    ]) {
      const turned = Uint8Array.from(bytes);
      turned[at] = (turned[at] ?? 0) ^ 4;
      const read = await readOf(turned);
      expect(read.ok && [read.value.jobs[0]?.photos, read.value.warnings]).toEqual([
        [],
        [expect.stringMatching(/1 of its photos cannot be read/)],
      ]);
    }
  });
  test('a photo is known by its head: its kind and size, a huge one and none at all refused', () => {
    expect(photoHead(jpeg(4000, 3000))).toEqual({ ok: true, value: { type: 'jpg', width: 4000, height: 3000 } });
    const said = (bytes: Uint8Array) => {
      const read = photoHead(bytes);
      return read.ok ? '' : read.problems[0]?.message;
    };
    expect(said(jpeg(30_000, 20_000))).toMatch(/600 million pixels/);
    expect(said(new TextEncoder().encode('not a photo at all'))).toMatch(/no photo/);
    expect(
      said(new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"></svg>')),
    ).toMatch(/another kind/);
  });
});

describe('a job as a series of codes', () => {
  const take = (texts: readonly string[]): FrameSet | null =>
    texts.reduce<FrameSet | null>((set, text) => {
      const taken = takeFrame(set, text);
      if (!taken.ok) throw new Error(taken.problems[0]?.message);
      return taken.value;
    }, null);

  test('law: frames in any order, some twice, give the bytes back; those missing are named', () => {
    fc.assert(
      fc.property(fc.uint8Array({ minLength: 1, maxLength: 4000 }), fc.infiniteStream(fc.nat()), (bytes, random) => {
        const made = framesOf(bytes);
        if (!made.ok) throw new Error('not made');
        const keys = made.value.map((text) => [random.next().value, text] as const);
        const shuffled = keys.sort(([a], [b]) => a - b).map(([, text]) => text);
        const [last = '', ...first] = shuffled;
        const some = take([...first, ...first.slice(0, 2)]);
        const nth = Number(/ (\d+)\//.exec(last)?.[1]);
        if (some) expect(missingFrames(some)).toEqual([nth]);
        const all = take([...first, last, last]);
        const joined = all && joinFrames(all);
        expect(joined?.ok && Buffer.from(joined.value).equals(Buffer.from(bytes))).toBe(true);
        // what a QR code holds in its alphanumeric mode (ISO/IEC 18004, table 5)
        expect(made.value.every((text) => /^[0-9A-Z $%*+\-./:]+$/.test(text))).toBe(true);
      }),
      runs(20),
    );
  });
  test('a code of another series, of another kind, or one that was read wrongly is said', () => {
    const [a, b] = [framesOf(new Uint8Array(900)), framesOf(new Uint8Array(901))];
    if (!a.ok || !b.ok) throw new Error('not made');
    const [first = '', second = ''] = a.value;
    const set = take([first]);
    const said = (text: string) => {
      const taken = takeFrame(set, text);
      return taken.ok ? '' : taken.problems[0]?.message;
    };
    expect(said(b.value[1] ?? '')).toMatch(/another series/);
    expect(said('https://example.org')).toMatch(/none of a job/);
    expect(said(second.replace('QR/1', 'QR/2'))).toMatch(/newer/);
    expect(said(first.replace(/ 1\//, ' 9/'))).toMatch(/which of a series/);
    const wrong = take([...a.value.slice(0, -1), (a.value.at(-1) ?? '').replace(/A(?=[^A]*$)/, 'B')]);
    const joined = wrong && joinFrames(wrong);
    expect(joined?.ok ? '' : joined?.problems[0]?.message).toMatch(/do not make the file/);
    expect(framesOf(new Uint8Array(300_000)).ok).toBe(false);
  });
});
