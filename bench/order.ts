import highs from 'highs';
import Papa from 'papaparse';
import { chooseCans, type Size } from '../core/src/order/cans.ts';
import { simulateDemand } from '../core/src/order/simulate.ts';
import { headOf, readPriceList } from '../core/src/exchange/price-list.ts';
import { seeded } from '../core/src/units/random.ts';
import { line, median, ms, times } from './rooms.ts';
import { at } from '../core/src/units/list.ts';

/** Exact cans against a MILP solver, simulated jobs against their random numbers, a price list against its bare parser. */
export async function benchOrder(): Promise<void> {
  console.log('\nCore: order');
  await cans();
  simulation();
  await list();
}

async function cans(): Promise<void> {
  const milp = await highs();
  const random = seeded(3);
  const instances = Array.from({ length: 60 }, () => ({
    sizes: [0.95, 3.79, 4.73, 18.9].map((litres): Size => ({
      litres,
      price: Math.round(litres * (900 + 900 * random())) + 300,
    })),
    demand: 1 + 60 * random(),
  }));
  const solve = ({ sizes, demand }: (typeof instances)[number]) => {
    const sum = (of: (s: Size) => number) => sizes.map((s, i) => `${of(s)} n${i}`).join(' + ');
    return milp.solve(
      `Minimize\n o: ${sum((s) => s.price)}\nSubject To\n fill: ${sum((s) => s.litres)} >= ${demand}\nGeneral\n ${sizes.map((_, i) => `n${i}`).join(' ')}\nEnd`,
      { mip_rel_gap: 0 },
    ).ObjectiveValue;
  };
  const agree = instances.filter((q) => Math.round(solve(q)) === chooseCans(q.sizes, q.demand)?.cost).length;
  // a hair more each time: an answer that is remembered is not timed
  let more = 0;
  const ours = median(() => {
    more += 1e-7;
    instances.forEach((q) => void chooseCans(q.sizes, q.demand + more));
  }, 9);
  const theirs = median(() => instances.forEach((q) => void solve(q)), 9);
  line(
    `exact cans for ${instances.length} random price lists`,
    ms(ours),
    `${`${(ours / theirs).toFixed(4)} x HiGHS`} (cost alone); ${agree} of ${instances.length} agree`,
  );
}

function simulation(): void {
  const runs = 100_000;
  const surfaces = [3, 2, 4, 1, 2.5, 3.5, 1.5, 2].map((litres) => ({ litres, coats: 2, thinnest: 0.92 }));
  const paint = { surfaces, fixed: 1, spreadCv: 0.1, measureCv: 0.02 };
  const simulated = median(() => void simulateDemand(paint, runs, seeded(5)), 5);
  // the same random numbers, drawn and made normal, and nothing else
  const bare = median(() => {
    const random = seeded(5);
    let sum = 0;
    for (let i = 0; i < (runs * (surfaces.length + 1)) / 2; i++) {
      const r = Math.sqrt(-2 * Math.log(1 - random()));
      const angle = 2 * Math.PI * random();
      sum += r * Math.sin(angle) + r * Math.cos(angle);
    }
    if (Number.isNaN(sum)) throw new Error('not a number');
  }, 5);
  line(
    '100,000 simulated jobs of 8 surfaces, sorted',
    ms(simulated),
    times(simulated, bare, 'drawing their normal numbers'),
  );
}

async function list(): Promise<void> {
  const rows = Array.from({ length: 50_000 }, (_, i) => [
    `C-${i}`,
    `Wall paint no. ${i}`,
    `${1 + (i % 5)},5 L`,
    `${i % 90},40`,
  ]);
  const text = Papa.unparse([['Code', 'Name', 'Size', 'Price'], ...rows], { delimiter: ';' });
  const head = headOf(text);
  if (!head.ok) throw new Error('the list is broken');
  const timed = async (run: () => Promise<unknown> | unknown) => {
    const taken: number[] = [];
    for (let i = 0; i < 7; i++) {
      const start = performance.now();
      await run();
      taken.push(performance.now() - start);
    }
    return at(
      taken.sort((a, b) => a - b),
      3,
    );
  };
  const ours = await timed(() =>
    readPriceList(text, { separator: ';', columns: head.value.guess }, () => Promise.resolve(true)),
  );
  const bare = await timed(() => Papa.parse(text, { delimiter: ';' }));
  line(
    '50,000-row price list read',
    `${Math.round(50_000 / (ours / 1000)).toLocaleString('en-US')} rows/s`,
    times(ours, bare, 'bare papaparse'),
  );
}
