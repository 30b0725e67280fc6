import { plainly } from '../core/src/whole/plain.ts';
import { WET_RUNS, WET_SEED, wetAskFor, wetPlanFor } from '../core/src/whole/wet.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { agesOf, simulate, timesOf } from '../core/src/wetEdge/simulate.ts';
import { wetEdgeOf, type WetAnswer } from '../core/src/wetEdge/wetEdge.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** Runs of a wall against a plain pass over the same arrays; the largest wall of the demo; answers of all walls of 30 rooms. */
export function benchWet(): void {
  console.log('\nWet edge: can walls be kept wet');
  const job = manyRooms(4);
  const answers = wholeOf(job)
    .lines.flatMap((room) => room.painted)
    .flatMap((s): WetAnswer[] => {
      const ask = wetAskFor(job, s.surface.id, { people: 2, method: 'follow' });
      const answer = ask && wetEdgeOf(ask, 0, WET_SEED);
      return answer ? [answer] : [];
    });
  const [largest] = answers.sort((a, b) => b.setup.cells.count - a.setup.cells.count);
  if (!largest) throw new Error('no wall');
  const { setup, open } = largest;
  const { cells, program } = setup;
  const spread = { people: 0.25, open: 0.2 };
  const runs = median(() => void simulate(setup, open, spread, WET_RUNS, WET_SEED), 9);
  // the same arrays gone through once a run, without chance and without counting
  const [start, end, ages] = [
    new Float64Array(program.acts.length),
    new Float64Array(program.acts.length),
    new Float64Array(cells.count),
  ];
  const plain = median(() => {
    for (let run = 0; run < WET_RUNS; run++) {
      timesOf(program, [1, 1], start, end);
      agesOf(cells, start, end, ages);
    }
  }, 9);
  line(
    `largest wall of the demo, ${cells.count} edges: ${WET_RUNS} runs`,
    ms(runs),
    `${((cells.count * WET_RUNS) / runs / 1000).toFixed(1)} million edges a second; ${times(runs, plain, 'a plain pass over the same arrays')}`,
  );
  let decided = 0;
  // another job each time: nothing is known of its walls
  const cold = Array.from({ length: 3 }, () => {
    const many = manyRooms(30);
    const plain = plainly(many);
    const surfaces = plain.lines().flatMap((room) => room.painted.map((s) => s.surface.id));
    plain.operations();
    plain.paints();
    const begun = performance.now();
    decided = surfaces.filter((surface) => wetPlanFor(many, surface)).length;
    return performance.now() - begun;
  }).toSorted((a, b) => a - b)[1];
  line(
    `how all ${decided} walls, ceilings and doors of 30 rooms are kept wet, decided cold`,
    ms(cold ?? 0),
    `${((cold ?? 0) / decided).toFixed(1)} ms each`,
  );
}
