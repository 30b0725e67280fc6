import type { Point } from '../measure/geometry.ts';
import type { Litres, Metres, Minutes } from '../units/si.ts';

/** A wall to practise on: how large, what the roller carries, how long the paint stays open. */
export interface PracticeRules {
  readonly wide: Metres;
  readonly high: Metres;
  /** Width of the cover. */
  readonly cover: Metres;
  /** What it takes up in a dip. */
  readonly dip: Litres;
  /** A full film of a square metre. */
  readonly film: Litres;
  readonly open: Minutes;
}

/** Fineness of the wall, metres. */
export const CELL: Metres = 0.025;
/** Films, over a full one: less is a miss; less is thin; more is a ridge [starting judgement]. */
const MISSED = 0.15;
const THIN = 0.6;
const RIDGE = 1.9;

export const MARKS = ['miss', 'thin', 'lap', 'ridge'] as const;
export type Mark = (typeof MARKS)[number];

/** Shares of the wall that are marked, and what was spent on it. */
export interface Marked {
  readonly shares: Readonly<Record<Mark, number>>;
  readonly minutes: Minutes;
  readonly dips: number;
}

/**
 * A wall that somebody rolls, cell by cell: film in full ones, and when each was last gone over. A loaded cover lays much, an empty
 * one little, and takes up what is too much; what has set does not move any more, and is marked when it is gone over.
 */
export class PracticeWall {
  readonly across: number;
  readonly up: number;
  readonly film: Float32Array;
  /** Minute of the last pass while it was wet; below 0: never. */
  readonly touched: Float32Array;
  readonly lapped: Uint8Array;
  time: Minutes = 0;
  load: Litres = 0;
  dips = 0;

  constructor(readonly rules: PracticeRules) {
    this.across = Math.max(1, Math.round(rules.wide / CELL));
    this.up = Math.max(1, Math.round(rules.high / CELL));
    const count = this.across * this.up;
    this.film = new Float32Array(count);
    this.touched = new Float32Array(count).fill(-1);
    this.lapped = new Uint8Array(count);
  }

  dip(minutes: Minutes): void {
    this.load = this.rules.dip;
    this.dips++;
    this.time += minutes;
  }
  wait(minutes: Minutes): void {
    this.time += minutes;
  }
  /** Has this cell set? */
  isSet(cell: number): boolean {
    const touched = this.touched[cell] as number;
    return touched >= 0 && this.time - touched > this.rules.open;
  }

  /** Rolls from one place to another, both in metres from the lower left corner, in so many minutes. */
  roll(from: Point, to: Point, minutes: Minutes): void {
    const { cover } = this.rules;
    const long = Math.hypot(to.x - from.x, to.y - from.y);
    // twice a cell, so that none is stepped over
    const steps = Math.max(1, Math.ceil((2 * long) / CELL));
    // the axle lies across the way; a stroke that stands still covers its own width
    const [ux, uy] = long > 1e-9 ? [(to.x - from.x) / long, (to.y - from.y) / long] : [0, 1];
    const half = Math.round(cover / CELL);
    for (let step = 1; step <= steps; step++) {
      this.time += minutes / steps;
      const at = { x: from.x + ((to.x - from.x) * step) / steps, y: from.y + ((to.y - from.y) * step) / steps };
      for (let k = -half; k <= half; k++) this.touch(at.x - (uy * k * CELL) / 2, at.y + (ux * k * CELL) / 2);
    }
  }

  private touch(x: Metres, y: Metres): void {
    const [i, j] = [Math.floor(x / CELL), Math.floor(y / CELL)];
    if (i < 0 || j < 0 || i >= this.across || j >= this.up) return;
    const cell = j * this.across + i;
    const { dip, film: full } = this.rules;
    if (this.isSet(cell)) this.lapped[cell] = 1;
    const litres = full * CELL * CELL;
    const here = this.film[cell] as number;
    // a full cover would lay half as much again as is wanted, an empty one a fifth
    const wants = 0.2 + 1.3 * Math.min(1, this.load / dip);
    const change = here < wants ? Math.min((wants - here) * 0.5, this.load / litres) : (wants - here) * 0.25;
    // set paint takes more, and gives none back
    const moved = this.lapped[cell] ? Math.max(0, change) : change;
    this.film[cell] = here + moved;
    this.load = Math.min(dip, Math.max(0, this.load - moved * litres));
    this.touched[cell] = this.time;
  }

  /** What a lamp from the side shows of a cell, once it is dry; null: nothing. */
  markOf(cell: number): Mark | null {
    const film = this.film[cell] as number;
    if (film < MISSED) return 'miss';
    if (this.lapped[cell]) return 'lap';
    if (film < THIN) return 'thin';
    return film > RIDGE ? 'ridge' : null;
  }

  marked(): Marked {
    const counts = { miss: 0, thin: 0, lap: 0, ridge: 0 };
    const cells = this.film.length;
    for (let cell = 0; cell < cells; cell++) {
      const mark = this.markOf(cell);
      if (mark) counts[mark]++;
    }
    const share = (mark: Mark) => counts[mark] / cells;
    return {
      shares: { miss: share('miss'), thin: share('thin'), lap: share('lap'), ridge: share('ridge') },
      minutes: this.time,
      dips: this.dips,
    };
  }
}

/** Metres a minute that a roller is moved [starting judgement]. */
const ROLLING = 25;

/** The same wall as a play has it: strips out of the left corner, a load each, spread, filled in and laid off. */
export function playedWell(rules: PracticeRules, dipMinutes: Minutes): PracticeWall {
  const wall = new PracticeWall(rules);
  const { wide, high, cover, dip, film } = rules;
  const strips = Math.ceil(wide / (cover * 0.75));
  const loads = Math.max(1, Math.ceil((cover * 0.75 * high * film) / dip));
  const pass = (x: Metres, from: Metres, to: Metres) =>
    wall.roll({ x, y: from }, { x, y: to }, Math.abs(to - from) / ROLLING);
  for (let i = 0; i < strips; i++) {
    const x = Math.min(wide - cover / 2, cover / 2 + i * cover * 0.75);
    for (let n = 0; n < loads; n++) {
      const [low, top] = [(high * n) / loads, (high * (n + 1)) / loads];
      wall.dip(dipMinutes);
      pass(x, low, top);
      pass(x - cover * 0.4, top, low);
      pass(x, low, top);
    }
    pass(x, 0, high);
    pass(x, high, 0);
  }
  return wall;
}
