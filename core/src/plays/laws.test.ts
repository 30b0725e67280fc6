import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { readAny } from '../exchange/read.ts';
import type { Job } from '../job/types.ts';
import { dipOf } from '../paces/minutes.ts';
import { effective } from '../specify/reasons.ts';
import { playFor } from '../whole/play.ts';
import { wetAskFor } from '../whole/wet.ts';
import { wholeOf } from '../whole/whole.ts';
import { wetEdgeOf } from '../wetEdge/wetEdge.ts';

/** Any room of four walls: gables, slopes and stairs, doors, windows, panels and tile where they fall, any schools of painting. */
const metres = (least: number, most: number) => fc.integer({ min: least * 100, max: most * 100 }).map((cm) => cm / 100);
const room = fc.record({
  wide: metres(1.2, 7),
  deep: metres(1.2, 7),
  high: metres(2.1, 4.2),
  top: fc.constantFrom('', 'peak', 'slope'),
  door: fc.boolean(),
  window: fc.boolean(),
  part: fc.constantFrom('', 'tile', 'panel', 'dado'),
  // words of the job file and of the sheet are the same
  spread: fc.constantFrom('zigzag', 'upright'),
  layOff: fc.constantFrom('up-and-back', 'down'),
  firstCoats: fc.constantFrom('cut-first', 'roll-first'),
  hand: fc.constantFrom('left', 'right'),
  air: fc.constantFrom('8 80% 0.1', '20 50% 0.1', '33 25% 0.6'),
});
type Room = typeof room extends fc.Arbitrary<infer R> ? R : never;
/** A room so narrow that a window fills its wall. */
const NARROW: Room = {
  wide: 1.2,
  deep: 1.2,
  high: 2.1,
  top: 'slope',
  door: false,
  window: true,
  part: '',
  spread: 'zigzag',
  layOff: 'up-and-back',
  firstCoats: 'cut-first',
  hand: 'left',
  air: '8 80% 0.1',
};

function jobOf(r: Room): Job {
  const heights =
    r.top === 'slope'
      ? `h ${r.high} to ${(r.high - 0.6).toFixed(2)}`
      : r.top === 'peak'
        ? `peak ${r.high + 1} at ${(r.wide / 2).toFixed(2)}`
        : '';
  const lines = [
    ...['units m', `air ${r.air}`, `crew Ana hand ${r.hand}`],
    `practice spread ${r.spread} layOff ${r.layOff} firstCoats ${r.firstCoats}`,
    ...[
      'room R',
      `height ${r.high}`,
      `wall A ${r.wide} R ${heights}`,
      `wall B ${r.deep} R`,
      `wall C ${r.wide} R`,
      `wall D ${r.deep} R`,
    ],
    ...(r.door ? ['door d1 on B 0.76 x 1.98 at 0.2 casing 0.07'] : []),
    ...(r.window ? ['window w1 on A 0.7 x 0.8 at 0.2 sill 0.6 casing 0.06'] : []),
    ...(r.part === 'dado' ? ['dado p1 on C 0.9'] : r.part ? [`${r.part} p1 on C 0.8 x 0.6 at 0.1 sill 0.4`] : []),
    ...['trim baseboard 0.12 m', 'finish A colour #22394f sheen satin'],
  ];
  const read = readAny(lines.join('\n'), 'R');
  if (!read.ok) throw new Error(read.problems.map((p) => `${p.line}: ${p.message}`).join('\n'));
  return read.value.job;
}
const total = <T>(list: readonly T[], of: (item: T) => number) => list.reduce((sum, item) => sum + of(item), 0);

describe('laws of plays and wet edges in any room', () => {
  test('shapes cover each surface once, minutes are the operations’, no load is above what the cover takes up', () => {
    fc.assert(
      fc.property(room, (r) => {
        const job = jobOf(r);
        const whole = wholeOf(job);
        for (const s of whole.lines.flatMap((l) => l.painted)) {
          const { id, area } = s.surface;
          const coats = Array.from({ length: effective(s.system.coats) }, (_, i) => playFor(job, id, { coat: i + 1 }));
          const laying = /^(lap|cut|roll|brush|edges|faces|trim-edge)$/;
          const ops = whole.operations.filter((op) => op.surface === id && laying.test(op.kind));
          expect(total(coats, (p) => p?.minutes ?? NaN)).toBeCloseTo(
            total(ops, (op) => op.minutes.value),
            6,
          );
          for (const play of coats) {
            expect([id, total(play?.strokes ?? [], (k) => k.area)]).toEqual([id, expect.closeTo(area.value, 5)]);
            const most = dipOf(job, effective(s.system.cover));
            for (const dip of play?.strokes.filter((k) => k.kind === 'dip') ?? [])
              expect(dip.load).toBeLessThanOrEqual(most * 1.001);
          }
        }
      }),
      runs(8),
    );
  });
  test('every act of a wall is done once, its edges have an age, and slower people only make them older', () => {
    fc.assert(
      fc.property(room, fc.constantFrom('sections', 'whole', 'follow', 'two' as const), (r, method) => {
        const job = jobOf(r);
        for (const s of wholeOf(job).lines.flatMap((l) => l.painted)) {
          const people = method === 'follow' || method === 'two' ? 2 : 1;
          const ask = wetAskFor(job, s.surface.id, { method, people });
          const answer = ask && wetEdgeOf(ask, 0, 1);
          if (!ask || !answer) continue;
          const { setup } = answer;
          const { program, wall } = setup;
          const done = [...program.cutBy, ...program.rolledBy];
          expect(new Set(done).size).toBe(wall.cuts.length + wall.strips.length);
          expect(done.every((act) => act >= 0 && act < program.acts.length)).toBe(true);
          for (const [i, act] of program.acts.entries()) {
            for (const before of act.after)
              expect(setup.ends[before]).toBeLessThanOrEqual((setup.starts[i] ?? 0) + 1e-9);
            expect(setup.ends[i]).toBeCloseTo((setup.starts[i] ?? 0) + act.minutes, 9);
          }
          const twice = ask.done.map((d) => ({ ...d, minutes: 2 * d.minutes }));
          const { conditioner } = answer.plan;
          const slow = wetEdgeOf({ ...ask, strips: setup.plan.strips || null, conditioner, done: twice }, 0, 1);
          expect(slow?.maxAge ?? 0).toBeGreaterThanOrEqual(answer.maxAge - 1e-9);
        }
      }),
      { ...runs(6), examples: [[NARROW, 'sections']] },
    );
  });
});
