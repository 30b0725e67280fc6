import { describe, expect, test } from '@jest/globals';
import { cottage } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import type { Specified } from '../specify/specify.ts';
import type { MendingCoat } from '../specify/spots.ts';
import { wholeOf } from '../whole/whole.ts';
import { boxingOf, mendingOf, orderPaint, perCoat, type PaintLine } from './paint.ts';
import { simulated } from './risk.ts';

const job = cottage();
const { surfaces } = wholeOf(job);
const walls = surfaces.filter(({ surface }) => surface.kind === 'wall');
const [wall] = walls as [Specified];
const plain = orderPaint(job, surfaces);
const lineFor = (lines: readonly PaintLine[], s: Specified) =>
  lines.find(
    ({ product, sheen, colour }) => product.id === s.product.id && sheen === s.sheen && colour?.id === s.colour.id,
  );
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

const anyCoat = fc.record({
  specified: fc.constantFrom(...surfaces),
  primer: fc.constantFrom(null, ['blocking'] as const, ['sealing', 'undercoat'] as const),
  area: fc.option(fc.double({ min: 1e-4, max: 4, noNaN: true })),
});

describe('laws of what is mended', () => {
  test('it is on top: coats of the systems stay what they were, and what is wanted never gets less', () => {
    fc.assert(
      fc.property(fc.array(anyCoat, { maxLength: 6 }), (coats) => {
        const lines = orderPaint(job, surfaces, coats);
        for (const before of plain) {
          const after = lines.find(({ key }) => key === before.key);
          expect(after && perCoat(after.uses)).toEqual(perCoat(before.uses));
          expect(after?.demand.mean ?? -1).toBeGreaterThanOrEqual(before.demand.mean - 1e-9);
        }
        const mended = sum(lines.map(({ uses }) => mendingOf(uses)));
        const all = (of: readonly PaintLine[]) => sum(of.flatMap(({ uses }) => uses.map(({ litres }) => litres.value)));
        expect(all(lines) - all(plain)).toBeCloseTo(mended, 9);
      }),
      runs(13),
    );
  });
  test('a surface is one wall of the boxing plan, however often it is mended', () => {
    fc.assert(
      fc.property(fc.array(anyCoat, { maxLength: 6 }), (coats) => {
        for (const line of orderPaint(job, surfaces, coats)) {
          const boxed = boxingOf(line, job.settings).buckets.flatMap((bucket) => bucket.walls);
          expect(new Set(boxed).size).toBe(boxed.length);
          expect(new Set(line.boxedFor.map(({ id }) => id)).size).toBe(line.boxedFor.length);
        }
      }),
      runs(7),
    );
  });
  test('a place is no larger than its surface', () => {
    const litres = (area: number | null) => {
      const [use] = orderPaint(job, [], [{ specified: wall, primer: null, area }]).flatMap(({ uses }) => uses);
      return use?.litres.value ?? NaN;
    };
    expect(litres(1e6)).toBeCloseTo(litres(wall.surface.area.value), 9);
    // rolled all over, the band along its edges is covered again
    expect(litres(null)).toBeGreaterThan(litres(1e6));
  });
});

describe('which paint, which primer', () => {
  const mended = (coat: Omit<MendingCoat, 'specified'>, products = job.products) =>
    orderPaint({ ...job, products }, [], [{ specified: wall, ...coat }]);
  test('the paint of the surface, in its sheen and colour', () => {
    const [line, ...more] = mended({ primer: null, area: 0.04 });
    expect(more).toEqual([]);
    expect(line?.key).toBe(lineFor(plain, wall)?.key);
    expect(line?.uses.map(({ layer, spots }) => [layer, spots])).toEqual([['mending', true]]);
  });
  test('a stain gets a primer that blocks, filler one that seals; untinted', () => {
    const [blocking] = mended({ primer: ['blocking'], area: 0.04 });
    expect(blocking?.product.serves).toContain('blocking');
    const [sealing] = mended({ primer: ['sealing', 'undercoat'], area: 0.04 });
    expect(sealing?.product.serves.some((kind) => kind === 'sealing' || kind === 'undercoat')).toBe(true);
    expect([blocking?.colour, sealing?.colour]).toEqual([null, null]);
  });
  test('where the job has no primer that does it, none is ordered', () => {
    const paints = Object.fromEntries(Object.entries(job.products).filter(([, { role }]) => role === 'finish'));
    const bare: Specified = { ...wall, primers: [] };
    expect(
      orderPaint({ ...job, products: paints }, [], [{ specified: bare, primer: ['blocking'], area: 0.04 }]),
    ).toEqual([]);
  });
  test('brushed places wet no cover and no tray; a surface that is coated again wets one of its own', () => {
    const lost = (area: number | null) => {
      const [line] = mended({ primer: null, area });
      return (line?.expected.value ?? 0) - sum((line?.uses ?? []).map(({ litres }) => litres.value));
    };
    const [brushed] = mended({ primer: null, area: 0.04 });
    // what stays on the can is a share of what is used
    expect(lost(0.04)).toBeCloseTo((brushed?.uses[0]?.litres.value ?? 0) * 0.02, 3);
    expect(lost(null)).toBeGreaterThan(lost(0.04) + 0.05);
  });
});

test('the simulated chance is asked of the same litres as the closed form, mended or not', () => {
  const coats: MendingCoat[] = [
    { specified: wall, primer: null, area: null },
    { specified: wall, primer: null, area: 0.3 },
  ];
  for (const lines of [plain, orderPaint(job, surfaces, coats)])
    for (const line of lines) {
      const asked = simulated(job, line);
      expect(asked.fixed + sum(asked.surfaces.map(({ litres }) => litres))).toBeCloseTo(line.demand.mean, 9);
      expect(asked.surfaces.every(({ coats: n, thinnest }) => n >= 1 && thinnest >= 0)).toBe(true);
    }
});
