import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readPalette, writeCxf } from './palette.ts';

const read = (text: string) => {
  const palette = readPalette(text);
  return palette.ok
    ? [
        palette.value.colours.map((c) => `${c.name} ${c.hex}${c.shown ? '' : ' beyond'}`),
        palette.value.problems.map((p) => `${p.line ?? p.path}: ${p.message}`),
      ]
    : palette.problems[0]?.message;
};

describe('palettes', () => {
  test('GPL: broken rows are said with their line, the others count', () =>
    expect(
      read(
        'GIMP Palette\nName: Coast\nColumns: 4\n# a comment\n195 205 189\tG4 pale sea green\n  34  57  79 B7\n300 0 0 too red\nnonsense\n',
      ),
    ).toEqual([
      ['G4 pale sea green #c3cdbd', 'B7 #22394f'],
      [expect.stringMatching(/^7: “300 0 0 too red” is not a colour/), expect.stringMatching(/^8: “nonsense”/)],
    ]));

  test.each([
    ['name,hex\nSand,#DFD6C2\nDeep,22394f', ['Sand #dfd6c2', 'Deep #22394f']],
    ['Sand;223;214;194', ['Sand #dfd6c2']],
    [
      'name;L;a;b\nGrey;53,585;0;0\nLoud;60;110;60',
      ['Grey #808080', expect.stringMatching(/^Loud #[0-9a-f]{6} beyond$/)],
    ],
    ['Chip\t0\t0\t0', ['Chip #000000']],
  ])('CSV %j', (text, colours) => expect(read(text)).toEqual([colours, []]));

  test('CxF: what is written is read again, names and all; Lab counts before sRGB', () => {
    const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
    const colour = fc.record({ name: fc.constantFrom('Sand & stone', 'G4 <pale>', 'a "b"', 'é'), hex });
    fc.assert(
      fc.property(fc.array(colour, { minLength: 1, maxLength: 6 }), (colours) => {
        const palette = readPalette(writeCxf(colours));
        expect(palette.ok && palette.value).toEqual({
          colours: colours.map((c) => ({ ...c, shown: true })),
          problems: [],
        });
      }),
    );
    // XML may be all on one line, however long
    const many = writeCxf(Array.from({ length: 500 }, (_, i) => ({ name: `${i}`, hex: '#c3cdbd' })));
    expect(read(many.replaceAll('\n', ''))?.[0]).toHaveLength(500);
  });

  test.each([
    [
      'an external entity',
      '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/passwd">]><CxF>&e;</CxF>',
      /document type or entities/,
    ],
    [
      'entities that multiply',
      '<!DOCTYPE x [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><CxF>&b;</CxF>',
      /document type or entities/,
    ],
    ['broken XML', '<CxF><Resources></CxF>', /not a whole CxF file/],
    ['other XML', '<svg/>', /no <CxF>/],
    ['nothing', '', /no colours/],
    ['a hundred megabytes', ' '.repeat(100_000_000), /larger than 10 MB/],
  ])('%s is refused', (_, text, message) => expect(read(text)).toMatch(message));

  test('an object without a colour is said; random text never throws', () => {
    expect(
      read(
        '<cc:CxF xmlns:cc="x"><cc:Resources><cc:ObjectCollection><cc:Object Name="Ghost"/></cc:ObjectCollection></cc:Resources></cc:CxF>',
      ),
    ).toEqual([[], [': “Ghost” has no Lab and no sRGB value that can be read.']]);
    fc.assert(fc.property(fc.string({ maxLength: 300 }), (text) => void readPalette(text)));
    const good = writeCxf([{ name: 'Sand', hex: '#dfd6c2' }]);
    fc.assert(
      fc.property(fc.nat(good.length), fc.nat(30), fc.string({ maxLength: 8 }), (at, gone, scrap) => {
        const palette = readPalette(good.slice(0, at) + scrap + good.slice(at + gone));
        if (palette.ok) for (const c of palette.value.colours) expect(c.hex).toMatch(/^#[0-9a-f]{6}$/);
      }),
    );
  });
});
