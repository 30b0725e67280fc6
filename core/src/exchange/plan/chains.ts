import type { DraftRoom } from '../../job/reconcile.ts';
import { letter, newWall } from '../../job/blank.ts';
import { ENDS, MOST } from '../../job/limits.ts';
import { signedArea, type Point } from '../../measure/geometry.ts';
import { bad, good, type Result } from '../../units/problem.ts';
import { tapeReading } from '../../units/reading.ts';
import type { LengthUnit, System } from '../../units/si.ts';
import { at, pairs, ring } from '../../units/list.ts';

/** A corner of a chain; `bulge` is that of the side that leaves it: tan of a quarter of its angle, left turning positive. */
export interface Corner extends Point {
  readonly bulge: number;
}
export interface Chain {
  readonly corners: readonly Corner[];
  readonly closed: boolean;
}
/** A drawing's outlines by layer, in the drawing's own units. */
export interface PlanFile {
  /** null: the file does not say. */
  readonly unit: LengthUnit | null;
  /** Metres for one unit of the drawing, where the file says it otherwise than by a unit. */
  readonly metresPerUnit: number | null;
  readonly layers: readonly { readonly name: string; readonly chains: readonly Chain[] }[];
  /** What was passed over, said as sentences. */
  readonly notes: readonly string[];
}

export const MAX_PLAN_BYTES = 20_000_000;

const far = (a: Point, b: Point) => Math.hypot(a.x - b.x, a.y - b.y);
const reversed = ({ corners, closed }: Chain): Chain => ({
  closed,
  corners: corners.map((_, i): Corner => {
    const j = corners.length - 1 - i;
    const side = closed ? (j + corners.length - 1) % corners.length : j - 1;
    return { ...at(corners, j), bulge: -(corners[side]?.bulge ?? 0) };
  }),
});

/** Of ends that lie as close, so many are looked at for the nearest: a bundle of lines through one point costs no more. */
const MOST_NEAR = 24;

/** Loose ends by the cell of a grid they lie in; an end that was used is taken out. */
class Ends {
  private readonly cells = new Map<string, { index: number; at: Point }[]>();
  constructor(private readonly tolerance: number) {}

  private key = (p: Point, dx = 0, dy = 0) =>
    `${Math.floor(p.x / this.tolerance) + dx},${Math.floor(p.y / this.tolerance) + dy}`;

  add(index: number, at: Point): void {
    const cell = this.cells.get(this.key(at));
    if (cell) cell.push({ index, at });
    else this.cells.set(this.key(at), [{ index, at }]);
  }
  /** The nearest end within tolerance of a chain that is not used yet. */
  nearest(at: Point, used: ReadonlySet<number>): { index: number; at: Point } | null {
    let best: { index: number; at: Point } | null = null;
    for (const dx of [-1, 0, 1])
      for (const dy of [-1, 0, 1]) {
        const cell = this.cells.get(this.key(at, dx, dy)) ?? [];
        for (let i = cell.length - 1, looked = 0; i >= 0 && looked < MOST_NEAR; i--) {
          const end = cell[i] as { index: number; at: Point };
          if (used.has(end.index)) {
            cell[i] = cell.at(-1) as typeof end;
            cell.pop();
            continue;
          }
          looked++;
          const gap = far(end.at, at);
          if (gap <= this.tolerance && (!best || gap < far(best.at, at))) best = end;
        }
      }
    return best;
  }
}

/** Joins chains end to end where their ends lie within `tolerance` of each other, in time that grows with their number. */
function join(chains: readonly Chain[], tolerance: number): { loops: Chain[]; open: Chain[] } {
  const loops = chains.filter((c) => c.closed && c.corners.length > 1);
  const loose = chains.filter((c) => !c.closed && c.corners.length > 1);
  const ends = new Ends(tolerance);
  loose.forEach((chain, index) => {
    ends.add(index, at(chain.corners, 0));
    ends.add(index, chain.corners.at(-1) as Corner);
  });
  const used = new Set<number>();
  const open: Chain[] = [];
  loose.forEach((first, index) => {
    if (used.has(index)) return;
    used.add(index);
    let corners = [...first.corners];
    // forward from its end, then, turned round, forward from its start
    for (let side = 0; side < 2; side++) {
      for (let found = ends.nearest(corners.at(-1) as Corner, used); found;) {
        used.add(found.index);
        const chain = at(loose, found.index);
        const tail = found.at === chain.corners[0] ? chain : reversed(chain);
        corners.pop();
        for (const corner of tail.corners) corners.push(corner);
        found = ends.nearest(corners.at(-1) as Corner, used);
      }
      if (far(at(corners, 0), corners.at(-1) as Corner) <= tolerance) break;
      if (side === 0) corners = [...reversed({ corners, closed: false }).corners];
    }
    const closed = corners.length > 2 && far(at(corners, 0), corners.at(-1) as Corner) <= tolerance;
    if (closed) loops.push({ corners: corners.slice(0, -1), closed });
    else open.push({ corners, closed: false });
  });
  return { loops, open };
}

/** Ends this far apart still meet, m. */
const JOIN = 0.005;
/** Shorter sides are drawing noise, m. */
const LEAST_SIDE = 0.01;

/** The outlines of a layer as rooms might be made of them, the largest first; a sentence when its lines enclose nothing. */
export function outlinesOf(plan: PlanFile, layer: string, metresPerUnit: number): Result<Chain[]> {
  const found = plan.layers.find((l) => l.name === layer);
  if (!found)
    return bad(
      `There is no layer “${layer}” in this drawing; it has ${plan.layers.map((l) => l.name).join(', ') || 'none'}.`,
    );
  const scaled = found.chains.map(({ closed, corners }) => ({
    closed,
    corners: corners.map((c) => ({ x: c.x * metresPerUnit, y: c.y * metresPerUnit, bulge: c.bulge })),
  }));
  const { loops, open } = join(scaled, JOIN);
  const rooms = loops
    .map((loop) => ({ loop: tidy(loop), area: Math.abs(signedArea(loop.corners)) }))
    .filter(({ loop, area }) => loop.corners.length >= 2 && area > 0.01)
    .sort((a, b) => b.area - a.area);
  if (rooms.length) return good(rooms.map((r) => r.loop));
  const gaps = open.map((chain) => far(at(chain.corners, 0), chain.corners.at(-1) as Corner)).sort((a, b) => a - b);
  return bad(
    gaps.length
      ? `The lines on layer “${layer}” do not close: the nearest ends are ${((gaps[0] ?? 0) * 1000).toFixed(0)} mm apart. Join them in the drawing, choose another layer, or check the units.`
      : `Layer “${layer}” holds nothing that encloses a room. Choose another layer.`,
  );
}

/** Clockwise, without sides too short to be walls, and without corners in a straight line. */
function tidy(loop: Chain): Chain {
  const clockwise = signedArea(loop.corners) > 0 ? reversed(loop) : loop;
  let corners = clockwise.corners.filter((c, i, all) => c.bulge !== 0 || far(c, ring(all, i + 1)) > LEAST_SIDE);
  corners = corners.filter((c, i, all) => {
    const [before, after] = [ring(all, i - 1), ring(all, i + 1)];
    const [a, b] = [Math.atan2(c.y - before.y, c.x - before.x), Math.atan2(after.y - c.y, after.x - c.x)];
    return before.bulge !== 0 || c.bulge !== 0 || Math.abs(Math.sin(a - b)) > 1e-4 || Math.cos(a - b) < 0;
  });
  return { closed: true, corners };
}

/** To a hundredth of a degree; whole ones where a drawing means them. */
function turnAt(before: Point, at: Point, after: Point): number {
  const heading = (a: Point, b: Point) => (Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI;
  const turn = heading(before, at) - heading(at, after);
  const within = ((((turn + 180) % 360) + 360) % 360) - 180;
  const whole = Math.round(within);
  return Math.abs(within - whole) < 0.02 ? whole : Number(within.toFixed(4));
}

/** An outline as walls still to be confirmed, walked clockwise from its first corner, lettered, read to the job's units. */
export function wallsOf({ corners }: Chain, system: System): Result<DraftRoom['walls']> {
  const n = corners.length;
  if (n > MOST.walls)
    return bad(`This outline has ${n} sides; a room is read up to ${MOST.walls}. Simplify its curves in the drawing.`);
  const longest = Math.max(...pairs(corners).map(([p, q]) => far(p, q)));
  if (longest > ENDS.size[1])
    return bad(
      `A side of this outline is ${Math.round(longest)} m long; at most ${ENDS.size[1]} m is read. Was the unit chosen right?`,
    );
  if (n < 3) return bad('This outline has fewer than three corners; draw a round room as at least three arcs.');
  const turns = corners.map((c, i) => turnAt(c, ring(corners, i + 1), ring(corners, i + 2)));
  // rounding must not leave the turns short of a full round
  const off = 360 - turns.reduce((a, b) => a + b, 0);
  const last = n - 1;
  turns[last] = Number(((turns[last] ?? 0) + (Math.abs(off) < 1 ? off : 0)).toFixed(4));
  return good(
    corners.map((c, i) => {
      const chord = far(c, ring(corners, i + 1));
      const { id: _id, ...wall } = newWall('', letter(i));
      const rise = (Math.abs(c.bulge) * chord) / 2;
      return {
        ...wall,
        length: tapeReading(chord, system),
        turn: turns[i] ?? 90,
        // walked clockwise, an arc that turns right bows out
        bow:
          rise > 0.001
            ? { rise: tapeReading(rise, system), side: c.bulge < 0 ? ('out' as const) : ('in' as const) }
            : null,
      };
    }),
  );
}
