import type { Diagonal } from '../measure/closure.ts';
import { distance, directions, walk } from '../measure/geometry.ts';
import type { Slip, TypedWalk } from '../measure/slips.ts';
import { parseLength, typeLength } from '../units/length.ts';
import { normals, type Random } from '../units/random.ts';
import { FOOT, INCH } from '../units/si.ts';
import { at } from '../units/list.ts';

/** Random rooms for tests and benches: invented shapes, true lengths, tapes that misread a little. */
export type Shape = 'box' | 'ell' | 'breast' | 'bay' | 'canted';
export const SHAPES: readonly Shape[] = ['box', 'ell', 'breast', 'bay', 'canted'];

export interface TrueRoom {
  readonly shape: Shape;
  readonly lengths: readonly number[];
  readonly turns: readonly number[];
}

const between = (random: Random, low: number, high: number) => low + (high - low) * random();
export const pick = <T>(random: Random, list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;

export function trueRoom(random: Random, shape: Shape): TrueRoom {
  const [w, h] = [between(random, 2.6, 7), between(random, 2.6, 6)];
  const R = 90;
  const half = Math.SQRT1_2;
  if (shape === 'box') return { shape, lengths: [w, h, w, h], turns: [R, R, R, R] };
  if (shape === 'ell') {
    const [x, y] = [between(random, 0.9, 2.4), between(random, 0.9, 3)];
    return { shape, lengths: [w + x, h, w, y, x, h + y], turns: [R, R, -R, R, R, R] };
  }
  if (shape === 'breast') {
    const [left, wide, deep] = [between(random, 0.6, 1.1), between(random, 0.7, 1.3), between(random, 0.25, 0.6)];
    return { shape, lengths: [left, deep, wide, deep, w - left - wide, h, w, h], turns: [R, -R, -R, R, R, R, R, R] };
  }
  if (shape === 'bay') {
    const [side, cant, front] = [between(random, 0.5, 1.2), between(random, 0.6, 1), between(random, 0.8, 1.6)];
    const wide = 2 * side + 2 * cant * half + front;
    return { shape, lengths: [wide, h, side, cant, front, cant, side, h], turns: [R, R, -45, 45, 45, -45, R, R] };
  }
  const cut = between(random, 0.6, 1.4);
  return { shape, lengths: [w, h - cut * half, cut, w - cut * half, h], turns: [R, 45, 45, R, R] };
}

/** What a tape says: a little off, to 1/16 in or to the millimetre, and written down. */
export function tape(random: Random, length: number, imperial: boolean, error = 0.003): string {
  const read = length + error * normals(random)();
  return imperial ? typeLength((Math.round((read / INCH) * 16) / 16) * INCH, 'imperial') : `${read.toFixed(3)} m`;
}

const metres = (typed: string): number => {
  const parsed = parseLength(typed);
  if (!parsed.ok) throw new Error(typed);
  return parsed.value;
};

export function readRoom(random: Random, room: TrueRoom, imperial: boolean, diagonals = 0): TypedWalk {
  const typed = room.lengths.map((length) => tape(random, length, imperial));
  const corners = walk(room.lengths, directions(room.turns));
  const checks = Array.from({ length: diagonals }, (_, i): Diagonal => {
    const [from, to] = [i, i + Math.floor(room.lengths.length / 2)];
    return { from, to, length: metres(tape(random, distance(at(corners, from), at(corners, to)), imperial)) };
  });
  return { typed, lengths: typed.map(metres), turns: room.turns, turnsMeasured: false, diagonals: checks };
}

/** Plants one slip on one wall; null when the slip cannot happen to that reading. */
export function plant(
  random: Random,
  readings: TypedWalk,
  wall: number,
  slip: Slip,
  imperial: boolean,
): TypedWalk | null {
  const typed = at(readings.typed, wall);
  const length = at(readings.lengths, wall);
  const sign = random() < 0.5 ? -1 : 1;
  const changed: Partial<Record<Slip, () => number | string | null>> = {
    foot: () => (imperial ? length + sign * FOOT : null),
    inch: () => (imperial ? length + sign * INCH : null),
    decimetre: () => (imperial ? null : length + sign * 0.1),
    round: () => length + sign * (imperial ? pick(random, [2, 5, 10]) * FOOT : pick(random, [0.5, 1, 2])),
    unit: () => (imperial ? length * FOOT : length / FOOT),
    digits: () => {
      const places = [...typed].flatMap((_, i) =>
        /\d\d/.test(typed.slice(i, i + 2)) && typed[i] !== typed[i + 1] ? [i] : [],
      );
      const i = places.length ? pick(random, places) : -1;
      return i < 0 ? null : typed.slice(0, i) + typed[i + 1] + typed[i] + typed.slice(i + 2);
    },
  };
  const wrong = changed[slip]?.() ?? null;
  if (wrong === null || (typeof wrong === 'number' && (wrong < 0.1 || wrong > 60))) return null;
  const text = typeof wrong === 'string' ? wrong : typeLength(wrong, imperial ? 'imperial' : 'metric');
  const parsed = parseLength(text);
  if (!parsed.ok) return null;
  const swap = <T>(list: readonly T[], value: T) => list.map((x, i) => (i === wall ? value : x));
  return { ...readings, typed: swap(readings.typed, text), lengths: swap(readings.lengths, parsed.value) };
}

export const SETTINGS = { least: 0.03, ratio: 300, readingError: 0.005, diagonalError: 0.008 };
export const PLANTED: readonly Slip[] = ['foot', 'inch', 'decimetre', 'round', 'digits', 'unit'];
