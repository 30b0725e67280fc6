import { normals, seeded } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { programOf, type Plan, type Program } from './program.ts';
import type { WetWall } from './wall.ts';

/** Edges of a wall that have to meet wet, in flat arrays: what is laid first, what goes over it, and how long it stays open. */
interface Cells {
  readonly count: number;
  /** The first so many are of the cut band; the others lie between two strips. */
  readonly bands: number;
  /** Acts that lay it and that go over it. */
  readonly first: Int32Array;
  readonly then: Int32Array;
  /** Shares of the later act at which it passes the two ends of a band's cell. */
  readonly near: Float64Array;
  readonly far: Float64Array;
  /** Which cut, or which strip with the next. */
  readonly of: Int32Array;
}

function cellsOf(wall: WetWall, program: Program): Cells {
  const { cutBy, rolledBy, acts } = program;
  const bands = wall.cuts.flatMap((cut, i) => (cut.ends ? [i] : []));
  const joints = wall.strips.slice(1).map((_, i) => i);
  const count = bands.length + joints.length;
  const cells = {
    count,
    bands: bands.length,
    first: new Int32Array(count),
    then: new Int32Array(count),
    near: new Float64Array(count),
    far: new Float64Array(count),
    of: Int32Array.from([...bands, ...joints]),
  };
  bands.forEach((n, i) => {
    const cut = wall.cuts[n] as WetWall['cuts'][number];
    const strip = wall.strips[cut.strip] as WetWall['strips'][number];
    const long = strip.to - strip.from || 1;
    const [a, b] = [(cut.from - strip.from) / long, (cut.to - strip.from) / long];
    cells.first[i] = cutBy[n] ?? 0;
    cells.then[i] = rolledBy[cut.strip] ?? 0;
    // the second of two people works the other way
    const back = acts[cells.then[i] ?? 0]?.who === 1 && acts[cells.first[i] ?? 0]?.who === 1;
    cells.near[i] = back ? 1 - b : a;
    cells.far[i] = back ? 1 - a : b;
  });
  joints.forEach((n, k) => {
    const i = bands.length + k;
    cells.first[i] = rolledBy[n] ?? 0;
    cells.then[i] = rolledBy[n + 1] ?? 0;
  });
  return cells;
}

/** When each act begins and ends, every person's minutes multiplied by a factor of their own. */
export function timesOf(
  { acts }: Program,
  factors: readonly [number, number],
  start: Float64Array,
  end: Float64Array,
): void {
  const free = [0, 0];
  for (let i = 0; i < acts.length; i++) {
    const { who, minutes, after, afterStart } = acts[i] as Program['acts'][number];
    let at = free[who] as number;
    for (const other of after) if (other >= 0 && (end[other] as number) > at) at = end[other] as number;
    if (afterStart >= 0 && (start[afterStart] as number) > at) at = start[afterStart] as number;
    start[i] = at;
    end[i] = at + minutes * (factors[who] as number);
    free[who] = end[i] as number;
  }
}

/** How old each edge is when it is gone over: the larger at its two ends. */
export function agesOf(cells: Cells, start: Float64Array, end: Float64Array, ages: Float64Array): void {
  const { count, bands, first, then, near, far } = cells;
  for (let i = 0; i < bands; i++) {
    const [a, b] = [first[i] as number, then[i] as number];
    const begun = start[b] as number;
    const takes = (end[b] as number) - begun;
    const atNear = begun + (near[i] as number) * takes - (start[a] as number);
    const atFar = begun + (far[i] as number) * takes - (end[a] as number);
    ages[i] = atNear > atFar ? atNear : atFar;
  }
  for (let i = bands; i < count; i++) {
    const [a, b] = [first[i] as number, then[i] as number];
    const begun = Math.abs((start[b] as number) - (start[a] as number));
    const ended = Math.abs((end[b] as number) - (end[a] as number));
    ages[i] = begun > ended ? begun : ended;
  }
}

/** A wall with the plan it is painted by, ready to be run. */
export interface Setup {
  readonly wall: WetWall;
  readonly plan: Plan;
  readonly program: Program;
  readonly cells: Cells;
  /** Median ages, minutes. */
  readonly ages: Float64Array;
  /** Of the last act. */
  readonly minutes: Minutes;
  readonly starts: Float64Array;
  readonly ends: Float64Array;
}
/** What all runs of a plan share: its acts, cells, and room for their times. */
export function setUp(wall: WetWall, plan: Plan): Setup {
  const program = programOf(wall, plan);
  const cells = cellsOf(wall, program);
  const [starts, ends] = [new Float64Array(program.acts.length), new Float64Array(program.acts.length)];
  const ages = new Float64Array(cells.count);
  timesOf(program, [1, 1], starts, ends);
  agesOf(cells, starts, ends, ages);
  const minutes = ends.reduce((most, at) => Math.max(most, at), 0);
  return { wall, plan, program, cells, ages, minutes, starts, ends };
}

/** How much people and paint vary: standard deviations of the logarithms of their factors; 0: not at all. */
export interface Spread {
  readonly people: number;
  readonly open: number;
}
export interface Runs {
  readonly runs: number;
  /** Share of the runs in which each edge was past its open time. */
  readonly chance: Float64Array;
  /** In which any edge between strips was, and any of the band. */
  readonly lap: number;
  readonly halo: number;
}

/**
 * Runs a wall so many times: in each one factor is drawn for each person, multiplying all their minutes, and one for open time.
 * `open`: of each edge, median minutes. The same seed draws the same factors, whatever the wall.
 */
export function simulate(setup: Setup, open: Float64Array, spread: Spread, runs: number, seed: number): Runs {
  const { program, cells } = setup;
  const draw = normals(seeded(seed));
  const [start, end] = [new Float64Array(program.acts.length), new Float64Array(program.acts.length)];
  const ages = new Float64Array(cells.count);
  const late = new Float64Array(cells.count);
  let [laps, halos] = [0, 0];
  for (let run = 0; run < runs; run++) {
    const factors: [number, number] = [Math.exp(spread.people * draw()), Math.exp(spread.people * draw())];
    const stays = Math.exp(spread.open * draw());
    draw();
    timesOf(program, factors, start, end);
    agesOf(cells, start, end, ages);
    let [lapped, haloed] = [0, 0];
    for (let i = 0; i < cells.count; i++) {
      if ((ages[i] as number) <= (open[i] as number) * stays) continue;
      late[i] = (late[i] as number) + 1;
      if (i < cells.bands) haloed = 1;
      else lapped = 1;
    }
    laps += lapped;
    halos += haloed;
  }
  const share = runs > 0 ? 1 / runs : 0;
  return { runs, chance: late.map((n) => n * share), lap: laps * share, halo: halos * share };
}
