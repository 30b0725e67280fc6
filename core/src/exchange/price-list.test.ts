import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import Papa from 'papaparse';
import { decodeList, headOf, readAmount, readPriceList, readSize, type PriceRow } from './price-list.ts';
import { sentence } from '../units/problem.ts';
import { GALLON } from '../units/si.ts';

async function all(text: string) {
  const head = headOf(text);
  if (!head.ok) return head.problems[0]?.message;
  const [rows, problems]: [PriceRow[], string[]] = [[], []];
  const done = await readPriceList(
    text,
    { separator: head.value.separator, columns: head.value.guess },
    async (chunk) => {
      rows.push(...chunk.rows);
      problems.push(...chunk.problems.map(sentence));
      return Promise.resolve(true);
    },
  );
  return { rows, problems, done };
}

describe('price lists', () => {
  test.each([
    ['commas', 'code,name,size,price\nP1,Wall paint,1 gal,52.00\n', ['P1', 'Wall paint', GALLON, 5200]],
    ['semicolons and decimal commas', 'Artikel;Gebinde;Preis\nWandfarbe;2,5 L;39,90\n', ['', 'Wandfarbe', 2.5, 3990]],
    ['tabs, a piece, a currency', 'price\tname\n$ 1,234.50\tLadder\n', ['', 'Ladder', null, 123450]],
    ['quotes over lines, a mark at the start', '\ufeffname,price\n"Brush\n2 in",15\n', ['', 'Brush 2 in', null, 1500]],
  ])('%s', async (_, text, [code, name, litres, price]) =>
    expect(await all(text)).toMatchObject({ rows: [{ code, name, litres, price }], problems: [] }),
  );
  test('encodings: UTF-16 by its mark, Windows-1252 where it is no UTF-8', () => {
    const text = 'name;price\nGrün;1';
    const utf16 = Uint8Array.from([
      0xff,
      0xfe,
      ...[...text].flatMap((c) => [c.charCodeAt(0) & 255, c.charCodeAt(0) >> 8]),
    ]);
    const latin = Uint8Array.from([...text].map((c) => c.charCodeAt(0)));
    expect(
      [decodeList(utf16), decodeList(latin), decodeList(new TextEncoder().encode(text))].map((t) => t.slice(-7)),
    ).toEqual(Array(3).fill(text.slice(-7)));
  });
  test('rows that cannot be are passed over and said with their line; the others count', async () =>
    expect(
      await all(
        'name,size,price\nGood,1 L,10\n,1 L,10\nBad,1 L,ten\nLess,1 L,-4\nOdd,1 barrel,4\n"Two\nlines",1 L,2\nLast,1 L,x\n',
      ),
    ).toMatchObject({
      rows: [{ name: 'Good' }, { name: 'Two lines' }],
      problems: [
        'line 3: there is no name.',
        expect.stringMatching(/^line 4: “ten” is not a price/),
        expect.stringMatching(/^line 5: a price cannot be negative/),
        expect.stringMatching(/^line 6: “1 barrel” is not a size/),
        expect.stringMatching(/^line 9: “x” is not a price/),
      ],
      done: { rows: 2, refused: 5, stopped: false },
    }));
  test.each([
    ['', /no rows/],
    ['name,price', /no rows/],
    ['one\ncolumn\n', /one column only/],
  ])('%j is refused with a sentence', async (text, message) => expect(await all(text)).toMatch(message));
  test.each([
    ['12.50', 1250],
    ['12,5', 1250],
    ['1.234,50', 123450],
    ['1,234.50', 123450],
    ['1.234', 123400],
    ['1 234', 123400],
    ['EUR 7', 700],
    ['−3', -300],
    ['free', null],
    ['', null],
    ['9999999999999', null],
  ])('“%s” is %s', (text, minor) => expect(readAmount(text)).toBe(minor));
  test('amounts written either way are read back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 99_999_999 }), (minor) => {
        const en = (minor / 100).toLocaleString('en-US', { minimumFractionDigits: 2 });
        expect(readAmount(en)).toBe(minor);
        expect(readAmount(en.replace(/[.,]/g, (c) => (c === '.' ? ',' : '.')))).toBe(minor);
      }),
    );
    expect([readSize('750 ml'), readSize('each'), readSize('0 L'), readSize('5')]).toEqual([0.75, null, undefined, 5]);
  });
  test('50,000 rows come in chunks, in order, the same as read at once; stopping stops', async () => {
    const list = Array.from({ length: 50_000 }, (_, i) => [`C${i}`, `Paint, no. ${i}`, '1 L', `${i % 90}.50`]);
    const text = Papa.unparse([['code', 'name', 'size', 'price'], ...list]);
    const read = await all(text);
    expect(typeof read === 'object' && read.rows.map((r) => r.code)).toEqual(list.map(([code]) => code));
    let chunks = 0;
    const head = headOf(text);
    if (!head.ok) throw new Error('no head');
    const ask = { separator: ',', columns: head.value.guess };
    const seen: number[] = [];
    const stopped = await readPriceList(text, ask, (_, done) => {
      seen.push(done);
      return ++chunks < 2;
    });
    expect([stopped.stopped, chunks, stopped.rows < 50_000, (seen[1] ?? 0) > (seen[0] ?? 1)]).toEqual([
      true,
      2,
      true,
      true,
    ]);
  });
  test('random text never throws', async () => {
    await fc.assert(fc.asyncProperty(fc.string({ maxLength: 200 }), async (text) => void (await all(text))));
  });
});

test('a cell that never ends is refused where it begins; inch marks and cells of several lines are not', () => {
  const refused = headOf(`name,price\nA,1\n"${'a line\n'.repeat(20_000)}`);
  expect(refused).toMatchObject({
    ok: false,
    problems: [{ line: 3, message: expect.stringMatching(/not closed/) as unknown as string }],
  });
  const rows = Array.from({ length: 30_000 }, (_, i) => `Pole 12" no. ${i},${i}`).join('\n');
  expect(headOf(`name,price\n"Two\nlines ""quoted""",1\n${rows}`).ok).toBe(true);
});
