import { expect, test } from '@jest/globals';
import {
  BRUSH_SHAPES,
  COAT_STYLES,
  CONDITIONERS,
  FABRICS,
  PAINT_FAMILIES,
  PILES,
  PREP_STEPS,
  PRIMER_KINDS,
} from '@kovelin/core/job/vocabulary.ts';
import { MATERIALS } from '@kovelin/core/order/materials.ts';
import { OPERATIONS } from '@kovelin/core/work/operations.ts';
import {
  brushWord,
  coverWord,
  materialWord,
  memberWord,
  pieceWord,
  pileWord,
  prepWord,
  primerWord,
  surfaceWord,
  taskWord,
} from './words.ts';

test('every published value has words, in both systems', () => {
  for (const system of ['imperial', 'metric'] as const) {
    const said = [
      ...PILES.map((pile) => coverWord({ pile, fabric: FABRICS[0], width: 0.2286 }, system)),
      ...BRUSH_SHAPES.map((shape) => brushWord({ width: 0.0508, shape, bristle: 'synthetic' }, system)),
      ...PRIMER_KINDS.flatMap((kind) =>
        (['spot', 'full'] as const).map((extent) =>
          primerWord({ kind, extent, coats: 1, tint: extent === 'full' ? '#556677' : null }),
        ),
      ),
      ...PAINT_FAMILIES.map((v) => memberWord('paint', v, system)),
      ...COAT_STYLES.map((v) => memberWord('style', v, system)),
      ...CONDITIONERS.map((v) => memberWord('conditioner', v, system)),
      ...PREP_STEPS.map((step) => prepWord([step])),
      ...OPERATIONS.map((kind) => taskWord({ kind, coat: 1, surfaceName: 'Wall A' }, system)),
      ...MATERIALS.map((item) =>
        materialWord(
          {
            item,
            size: {},
          },
          system,
        ),
      ),
    ];
    for (const words of said) expect(words).toMatch(/^\S.{2,}$/);
    expect(said.join()).not.toMatch(/undefined|NaN|null/);
  }
});

test('the reader’s own words: nap in inches or pile in millimetres, baseboard or skirting', () => {
  expect([pileWord(0.01, 'imperial'), pileWord(0.01, 'metric')]).toEqual(['3⁄8 in nap', '10 mm pile']);
  expect([surfaceWord('Baseboard', 'imperial'), surfaceWord('Baseboard', 'metric')]).toEqual(['Baseboard', 'Skirting']);
  expect([
    brushWord({ width: 0.0635, shape: 'angled-sash', bristle: 'natural' }, 'imperial'),
    pieceWord(2, 'brush'),
    pieceWord(1, 'roll'),
  ]).toEqual(['2 1⁄2″ angled sash, natural', '2 brushes', '1 roll']);
});
