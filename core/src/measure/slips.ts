import { parseLength } from '../units/length.ts';
import { FOOT, INCH, type Metres } from '../units/si.ts';
import { adjustLengths, type ClosureSettings, type WalkReadings } from './closure.ts';
import { directions, distance, walk, type Point } from './geometry.ts';
import { at } from '../units/list.ts';

export const SLIPS = ['foot', 'inch', 'decimetre', 'round', 'digits', 'unit', 'turn', 'misread', 'doubled'] as const;
export type Slip = (typeof SLIPS)[number];

export interface TypedWalk extends WalkReadings {
  /** Each reading as typed: swapped digits are looked for where they were written. */
  readonly typed: readonly string[];
}

/** One wall's part in a class: what it was read as, and what would bring the walk back. */
export interface SlipMember {
  readonly wall: number;
  readonly reading: Metres;
  readonly corrected: Metres;
}
/** Walls that explain the readings equally well by one kind of slip. */
export interface SlipClass {
  readonly slip: Slip;
  readonly members: readonly SlipMember[];
  /** Misclosure that would remain, m. */
  readonly remains: Metres;
  /** Lower is likelier: misfit in standard errors, squared, and how rare the slip is. */
  readonly cost: number;
}
/** The diagonal that would tell most of a class apart, and what it should read for each member. */
export interface TellingDiagonal {
  readonly from: number;
  readonly to: number;
  readonly expected: readonly { readonly wall: number; readonly length: Metres }[];
}

/**
 * How rare a slip is, as -2 ln of its share among slips [our model]. A plain misreading has its length free, so it fits
 * every gap along a wall and must come last.
 */
const RARITY: Readonly<Record<Slip, number>> = {
  foot: 2.4,
  inch: 3.2,
  decimetre: 2.4,
  round: 4,
  digits: 3.6,
  unit: 5,
  turn: 4,
  doubled: 6,
  misread: 12,
};
/** A correction smaller than this is none, m. */
const NOTHING = 0.001;
/** Two explanations are equal when what remains differs by less than a tape can tell: in misfit, and in reading errors. */
const EQUAL_COST = 2;
const EQUAL_ERRORS = 2;
const MOST_METRES = 60;

interface Hypothesis extends SlipMember {
  readonly slip: Slip;
}

const isImperial = (typed: string) =>
  !/\d\s*(?:mm|cm|m)\b/i.test(typed) && /['"′″’”]|\b(?:ft|in|feet|inch)/i.test(typed);

/** Readings with two neighbouring digits swapped back. */
function swapped(typed: string): Metres[] {
  const found: Metres[] = [];
  for (let i = 0; i + 1 < typed.length; i++) {
    const j = /[.,]/.test(typed[i + 1] ?? '') ? i + 2 : i + 1;
    const [a, b] = [typed[i] ?? '', typed[j] ?? ''];
    if (!/\d/.test(a) || !/\d/.test(b) || a === b) continue;
    const parsed = parseLength(typed.slice(0, i) + b + typed.slice(i + 1, j) + a + typed.slice(j + 1));
    if (parsed.ok) found.push(parsed.value);
  }
  return found;
}

function hypotheses({ lengths, typed }: TypedWalk): Hypothesis[] {
  return lengths.flatMap((reading, wall) => {
    const text = typed[wall] ?? '';
    const imperial = isImperial(text);
    const list: Hypothesis[] = [];
    const add = (slip: Slip, corrected: Metres) => {
      if (corrected > 0.05 && corrected <= MOST_METRES && Math.abs(corrected - reading) > NOTHING)
        list.push({ slip, wall, reading, corrected });
    };
    for (const sign of [-1, 1]) {
      if (imperial) {
        add('foot', reading + sign * FOOT);
        add('inch', reading + sign * INCH);
        for (const feet of [2, 5, 10]) add('round', reading + sign * feet * FOOT);
      } else {
        add('decimetre', reading + sign * 0.1);
        for (const metres of [0.5, 1, 2, 5, 10]) add('round', reading + sign * metres);
      }
    }
    for (const corrected of swapped(text)) add('digits', corrected);
    for (const factor of [12, FOOT, INCH / 0.01]) {
      add('unit', reading * factor);
      add('unit', reading / factor);
    }
    add('doubled', reading / 2);
    return list;
  });
}

/** Squared misfit, in standard errors, of readings that close within tolerance; Infinity when they cannot be adjusted. */
function misfit(readings: WalkReadings, units: readonly Point[], settings: ClosureSettings): number {
  const adjusted = adjustLengths(readings.lengths, units, readings.diagonals, settings);
  if (!adjusted) return Infinity;
  const corners = walk(adjusted, units);
  const own = readings.lengths.reduce((sum, l, i) => sum + ((l - at(adjusted, i)) / settings.readingError) ** 2, 0);
  return readings.diagonals.reduce((sum, { from, to, length }) => {
    const now = distance(at(corners, from), at(corners, to));
    return sum + ((length - now) / settings.diagonalError) ** 2;
  }, own);
}

/**
 * Single slips that bring a walk outside tolerance back, likeliest class first. Nothing is changed.
 * Walls whose correction leaves the same misfit (diagonals included) by the same kind of slip form one class.
 * @returns [] when no single slip explains the readings
 */
export function findSlips(readings: TypedWalk, settings: ClosureSettings): SlipClass[] {
  const { lengths, turns } = readings;
  const units = directions(turns);
  const end = walk(lengths, units).at(-1) as Point;
  const perimeter = lengths.reduce((a, b) => a + b, 0);
  const tried = [...hypotheses(readings), ...misread(readings, units, end, settings)];
  const explained = tried.flatMap((h) => {
    const unit = at(units, h.wall);
    const change = h.corrected - h.reading;
    const remains = Math.hypot(end.x + change * unit.x, end.y + change * unit.y);
    if (remains > Math.max(settings.least, (perimeter + change) / settings.ratio)) return [];
    const corrected = lengths.map((l, i) => (i === h.wall ? h.corrected : l));
    return [{ ...h, remains, cost: misfit({ ...readings, lengths: corrected }, units, settings) + RARITY[h.slip] }];
  });
  const classes: (SlipClass & { readonly members: SlipMember[] })[] = [];
  for (const { slip, remains, cost, ...member } of explained.sort((a, b) => a.cost - b.cost)) {
    const same = classes.find(
      (c) =>
        c.slip === slip &&
        Math.abs(c.remains - remains) < EQUAL_ERRORS * settings.readingError &&
        Math.abs(c.cost - cost) < EQUAL_COST,
    );
    if (same) {
      if (!same.members.some((m) => m.wall === member.wall)) same.members.push(member);
    } else classes.push({ slip, members: [member], remains, cost });
  }
  for (const { members } of classes) members.sort((a, b) => a.wall - b.wall);
  return classes;
}

/** Too long or too short by any length: a stretch left out, or a figure misread. Whatever lies along the wall and closes the walk best. */
function misread(
  { lengths }: WalkReadings,
  units: readonly Point[],
  end: Point,
  { readingError }: ClosureSettings,
): Hypothesis[] {
  return lengths.flatMap((reading, wall) => {
    const unit = at(units, wall);
    const stretch = -(end.x * unit.x + end.y * unit.y);
    return Math.abs(stretch) > 3 * readingError && reading + stretch > 0.05 && reading + stretch <= MOST_METRES
      ? [{ slip: 'misread' as const, wall, reading, corrected: reading + stretch }]
      : [];
  });
}

/** The one further reading that would split a class best: its expected lengths differ most between the members. */
export function tellingDiagonal(
  readings: WalkReadings,
  { members }: SlipClass,
  settings: ClosureSettings,
): TellingDiagonal | null {
  if (members.length < 2) return null;
  const units = directions(readings.turns);
  const plans = members.map((m) => {
    const lengths = readings.lengths.map((l, i) => (i === m.wall ? m.corrected : l));
    return walk(adjustLengths(lengths, units, readings.diagonals, settings) ?? lengths, units);
  });
  const n = readings.lengths.length;
  let best: { from: number; to: number; apart: number } | null = null;
  for (let from = 0; from < n; from++)
    for (let to = from + 2; to < n; to++) {
      if (from === 0 && to === n - 1) continue;
      const lengths = plans.map((corners) => distance(at(corners, from), at(corners, to))).sort((a, b) => a - b);
      // how many groups the reading would tell apart, then by how much
      const steps = lengths.slice(1).map((l, i) => l - at(lengths, i));
      const told = steps.filter((step) => step > 3 * settings.diagonalError);
      const apart = told.length * 100 + told.reduce((a, b) => a + b, 0);
      if (told.length && (!best || apart > best.apart)) best = { from, to, apart };
    }
  if (!best) return null;
  const { from, to } = best;
  return {
    from,
    to,
    expected: members.map((m, i) => ({
      wall: m.wall,
      length: distance(plans[i]?.[from] as Point, plans[i]?.[to] as Point),
    })),
  };
}

/** Turns that, taken the other way, bring the sum to 360 and the walk back: wall indices, closest first. */
export function reversedTurns(readings: WalkReadings, settings: ClosureSettings): number[] {
  const perimeter = readings.lengths.reduce((a, b) => a + b, 0);
  const tolerance = Math.max(settings.least, perimeter / settings.ratio);
  return readings.turns
    .flatMap((turn, wall) => {
      const turns = readings.turns.map((t, i) => (i === wall ? -t : t));
      if (turn === 0 || Math.abs(turns.reduce((a, b) => a + b, 0) - 360) > 0.01) return [];
      const end = walk(readings.lengths, directions(turns)).at(-1) as Point;
      const remains = Math.hypot(end.x, end.y);
      return remains <= tolerance ? [{ wall, remains }] : [];
    })
    .sort((a, b) => a.remains - b.remains)
    .map(({ wall }) => wall);
}
