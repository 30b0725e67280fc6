import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage } from '../testing/jobs.ts';
import fc from 'fast-check';
import { readAny } from '../exchange/read.ts';
import type { Job } from '../job/types.ts';
import { WET_SEED, wetAskFor, withRemedy, type WetWish } from '../whole/wet.ts';
import { editJob } from '../job/admit.ts';
import type { Edit } from '../job/edits.ts';
import { areaOf } from '../plays/play.ts';
import { bandShape, jointShape, standingAt, type Wetness } from './drawn.ts';
import { markStrength } from '../specify/visible.ts';
import { wholeOf } from '../whole/whole.ts';
import { CELL, playedWell, PracticeWall } from './practice.ts';
import { remediesOf } from './remedies.ts';
import { setUp, simulate } from './simulate.ts';
import { ageAt, ageRunningFree, chanceOf, longestStretch, sigmaOf } from './uniform.ts';
import type { WetWall } from './wall.ts';
import { wetEdgePlan } from './decide.ts';
import { wetEdgeOf, type WetAnswer } from './wetEdge.ts';

const cottage = openCottage();
const surfaceOf = (room: string, label: string) => {
  const found = wholeOf(cottage).takeoffs.find((t) => t.room.name === room);
  return `${found?.walls.find((w) => w.wall.label === label)?.wall.id}/field`;
};
const loft = surfaceOf('Loft bedroom', 'C');
function wet(wish: WetWish = {}, surface = loft, job: Job = cottage): WetAnswer {
  const ask = wetAskFor(job, surface, wish);
  const answer = ask && wetEdgeOf(ask, 400, WET_SEED);
  if (!answer) throw new Error(`nothing of ${surface} is rolled`);
  return answer;
}

/** A wall with one line along it, cut and rolled at uniform paces. */
const NO_LADDER = { minutes: 0, reach: 1 } as const;
function plainWall(length: number, strips: number, cut: number, roll: number): WetWall {
  const w = length / strips;
  return {
    length,
    way: { axis: 'x', from: 0, to: length },
    strips: Array.from({ length: strips }, (_, i) => ({
      from: i * w,
      to: (i + 1) * w,
      minutes: w / roll,
      low: 0,
      high: 2.4,
      shapes: [],
    })),
    cuts: Array.from({ length: strips }, (_, i) => ({
      strip: i,
      from: i * w,
      to: (i + 1) * w,
      minutes: w / cut,
      ends: [
        { x: i * w, y: 2.4 },
        { x: (i + 1) * w, y: 2.4 },
      ],
      piece: 0,
      high: false,
    })),
  };
}
const paces = fc.record({
  length: fc.double({ min: 0.5, max: 8, noNaN: true }),
  strips: fc.integer({ min: 1, max: 20 }),
  cut: fc.double({ min: 0.1, max: 3, noNaN: true }),
  roll: fc.double({ min: 0.1, max: 3, noNaN: true }),
  turn: fc.double({ min: 0, max: 3, noNaN: true }),
});
const bandsOf = ({ ages, cells }: { ages: Float64Array; cells: { bands: number } }) => [...ages.slice(0, cells.bands)];

/** Greatest age of the band of a stretch: at one of its ends. */
const greatestAge = (paces: Parameters<typeof ageAt>[0], length: number): number =>
  Math.max(ageAt(paces, length, 0), ageAt(paces, length, length));

describe('uniform paces', () => {
  test('one person: every age of the simulation is the closed form’s at its edges, to 1e-9', () => {
    fc.assert(
      fc.property(paces, ({ length, strips, cut, roll, turn }) => {
        const setup = setUp(plainWall(length, strips, cut, roll), { method: 'whole', strips, turn, ladder: NO_LADDER });
        const w = length / strips;
        bandsOf(setup).forEach((age, i) => {
          const at = (x: number) => ageAt({ cut, roll, turn }, length, x);
          expect(Math.abs(age - Math.max(at(i * w), at((i + 1) * w)))).toBeLessThan(1e-9 * Math.max(1, age));
        });
        const most = Math.max(...bandsOf(setup));
        expect(Math.abs(most - greatestAge({ cut, roll, turn }, length))).toBeLessThan(1e-9 * Math.max(1, most));
      }),
    );
  });
  test('the pace of a line holds the moves of a ladder along it; cut by sections, it is moved oftener', () => {
    const plain = plainWall(3, 10, 0.5, 0.4);
    const high = { ...plain, cuts: plain.cuts.map((cut) => ({ ...cut, high: true })) };
    const plan = { method: 'whole', strips: 10, turn: 0, ladder: { minutes: 0.7, reach: 1.2 } } as const;
    expect(setUp(high, plan).minutes).toBeCloseTo(setUp(plain, plan).minutes, 9);
    const sections = { ...plan, method: 'sections', strips: 3 } as const;
    const more = setUp(high, sections).minutes - setUp(plain, sections).minutes;
    expect(more).toBeGreaterThanOrEqual(-1e-9);
    expect(more / 0.7).toBeCloseTo(Math.round(more / 0.7), 9);
  });
  test('the longest stretch is the longest whose greatest age is open; a strip’s edge waits one strip and its loads', () => {
    fc.assert(
      fc.property(paces, fc.double({ min: 1, max: 20, noNaN: true }), ({ cut, roll, turn }, open) => {
        const longest = longestStretch({ cut, roll, turn }, open);
        if (longest > 0) expect(greatestAge({ cut, roll, turn }, longest)).toBeCloseTo(open, 9);
        if (longest === 0) expect(turn).toBeGreaterThanOrEqual(open);
      }),
    );
    const setup = setUp(plainWall(3, 10, 0.5, 0.4), { method: 'whole', strips: 10, turn: 0.5, ladder: NO_LADDER });
    for (const age of setup.ages.slice(setup.cells.bands)) expect(age).toBeCloseTo(0.3 / 0.4, 9);
  });
  test('a cutter who waits: no age is above the lead and one strip; running free it goes from d to d + L/r - L/c', () => {
    fc.assert(
      fc.property(paces, fc.integer({ min: 1, max: 6 }), ({ length, strips, cut, roll }, lead) => {
        const strip = length / strips / roll;
        const setup = setUp(plainWall(length, strips, cut, roll), {
          method: 'follow',
          strips: lead,
          turn: 0,
          ladder: NO_LADDER,
        });
        // the cutter's own strip is laid while the roller waits for it
        const own = length / strips / cut;
        for (const age of bandsOf(setup)) expect(age).toBeLessThanOrEqual((lead + 1) * Math.max(strip, own) + 1e-9);
      }),
    );
    const [length, cut, roll] = [4, 0.8, 0.5];
    const free = setUp(plainWall(length, 8, cut, roll), { method: 'follow', strips: 8, turn: 0, ladder: NO_LADDER });
    const ahead = length / 8 / cut;
    expect(bandsOf(free).at(-1)).toBeCloseTo(ageRunningFree({ cut, roll, turn: 0 }, length, ahead), 9);
    const walked = setUp(plainWall(length, 8, cut, roll), { method: 'follow', strips: 1, turn: 0, ladder: NO_LADDER });
    expect(Math.max(...bandsOf(walked))).toBeLessThan(Math.max(...bandsOf(free)));
    expect(ageRunningFree({ cut, roll, turn: 0 }, length, 1)).toBeCloseTo(1 + 8 - 5, 9);
  });
});

describe('chance', () => {
  test('one person: a wall laps as the closed form of its oldest edge says', () => {
    const setup = setUp(plainWall(3, 10, 0.6, 0.5), { method: 'whole', strips: 10, turn: 0.5, ladder: NO_LADDER });
    const age = Math.max(...bandsOf(setup));
    const open = new Float64Array(setup.cells.count).fill(age * 1.2);
    const { halo, chance } = simulate(setup, open, { people: sigmaOf(0.25), open: sigmaOf(0.2) }, 40_000, 3);
    const exact = chanceOf(age, age * 1.2, 0.25, 0.2);
    // four standard errors of that many runs
    expect(Math.abs(halo - exact)).toBeLessThan(4 * Math.sqrt((exact * (1 - exact)) / 40_000));
    expect(Math.max(...chance)).toBe(halo);
    expect(chanceOf(1, 1, 0.25, 0.2)).toBeCloseTo(0.5, 6);
  });
  test('two people: as a run written by itself says, with other numbers', () => {
    const [strips, lead] = [8, 2];
    const wall = plainWall(4, strips, 0.55, 0.5);
    const setup = setUp(wall, { method: 'follow', strips: lead, turn: 0, ladder: NO_LADDER });
    const open = 3.2;
    const { halo } = simulate(
      setup,
      new Float64Array(setup.cells.count).fill(open),
      { people: 0.3, open: 0.2 },
      20_000,
      5,
    );
    let state = 12345;
    const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
    const normal = () => Array.from({ length: 12 }, uniform).reduce((a, b) => a + b, -6);
    let late = 0;
    for (let run = 0; run < 20_000; run++) {
      const [cutter, roller, stays] = [
        Math.exp(0.3 * normal()),
        Math.exp(0.3 * normal()),
        open * Math.exp(0.2 * normal()),
      ];
      const [cuts, rolls]: { begin: number; end: number }[][] = [[], []];
      for (let block = 0; block < strips; block += lead) {
        for (let i = block; i < block + lead; i++) {
          const begin = Math.max(cuts?.[i - 1]?.end ?? 0, rolls?.[i - lead]?.begin ?? 0);
          cuts?.push({ begin, end: begin + (0.5 / 0.55) * cutter });
        }
        for (let i = block; i < block + lead; i++) {
          const begin = Math.max(rolls?.[i - 1]?.end ?? 0, cuts?.[i]?.end ?? 0);
          rolls?.push({ begin, end: begin + (0.5 / 0.5) * roller });
        }
      }
      if (cuts?.some((c, i) => Math.max((rolls?.[i]?.begin ?? 0) - c.begin, (rolls?.[i]?.end ?? 0) - c.end) > stays))
        late++;
    }
    expect(Math.abs(halo - late / 20_000)).toBeLessThan(0.02);
  });
  test('laws: longer open time never laps oftener; the same seed tells the same', () => {
    const at = (minutes: number) => {
      const { setup } = wet();
      return simulate(setup, new Float64Array(setup.cells.count).fill(minutes), { people: 0.25, open: 0.2 }, 400, 9);
    };
    const chances = [3, 5, 8, 13].map((m) => at(m).lap);
    expect(chances).toEqual(chances.toSorted((a, b) => b - a));
    expect(at(5)).toEqual(at(5));
  });
});

describe('the trade [common practice, no source]', () => {
  test('paint tacks in about 5 to 7 minutes; conditioner about doubles that; a few feet at a stretch alone', () => {
    const plain = wet({ air: { temperature: 23, humidity: 0.5, draught: 0.1, ceiling: 0 } });
    expect(plain.case.open.minutes).toBeGreaterThan(5);
    expect(plain.case.open.minutes).toBeLessThan(9);
    const slow = wet({ air: { temperature: 23, humidity: 0.5, draught: 0.1, ceiling: 0 }, conditioner: 0.19 });
    expect(slow.case.open.minutes / plain.case.open.minutes).toBeCloseTo(2, 6);
    expect(plain.longestStretch).toBeGreaterThan(0.5);
    expect(plain.longestStretch).toBeLessThan(2.5);
  });
  test('two people keep the whole wall wet; alone the strips still meet wet, and the band is old', () => {
    const two = wet({ people: 2, method: 'follow', uniform: true });
    expect([two.lap, two.halo]).toEqual([0, 0]);
    expect(wet({ method: 'whole', uniform: true })).toMatchObject({ lap: 0, halo: 1 });
  });
  test('a draught makes it worse, cool air better; in air where nothing dries nothing laps, and that is said', () => {
    const [still, draught, cool] = [{ draught: 0.1 }, { draught: 1 }, { temperature: 14 }].map((air) => wet({ air }));
    expect(draught?.case.open.minutes).toBeLessThan(still?.case.open.minutes ?? 0);
    expect(Math.max(draught?.lap ?? 0, draught?.halo ?? 0)).toBeGreaterThan(Math.max(cool?.lap ?? 1, cool?.halo ?? 1));
    const soaked = wet({ air: { humidity: 1, surface: 15 } });
    expect([soaked.lap, soaked.case.open.dries, soaked.limits[0]]).toEqual([0, false, 'air.still-wet']);
  });
  test('marks show by sheen, depth and raking light, whatever their chance', () => {
    const read = readAny('units m\nroom R\nheight 2.4\nwall A 3 R\nwall B 3 R\nwall C 3 R\nwall D 3 R\n', 'R');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { job } = read.value;
    const wall = `${Object.values(job.rooms.byId)[0]?.walls.order[0]}/field`;
    const with_ = (lines: string) => {
      const next = readAny(
        `units m\nroom R\nheight 2.4\nwall A 3 R\nwall B 3 R\nwall C 3 R\nwall D 3 R\n${lines}`,
        'R',
      );
      if (!next.ok) throw new Error(next.problems[0]?.message);
      return wet({}, wall, next.value.job).plan.visible;
    };
    expect(with_('finish A product paint-ceiling colour #f4f1ea sheen flat')).toBe('none');
    expect(with_('finish A colour #22394f sheen semi-gloss\nsurvey A raking yes')).toBe('plain');
  });
});

describe('remedies', () => {
  const planned = (wish: WetWish, job: Job = cottage) => {
    const ask = wetAskFor(job, loft, wish);
    const plan = ask && wetEdgePlan(ask);
    if (!ask || !plan) throw new Error('no wall');
    return { ask, plan, remedies: remediesOf(ask, plan) };
  };
  test('each is the decision with one thing changed, priced against it, what saves most first', () => {
    const { plan, remedies } = planned({ people: 1 });
    expect(new Set(remedies.map((r) => r.change))).toEqual(new Set(['conditioner', 'second', 'wider', 'shut']));
    expect(remedies.map((r) => r.cost)).toEqual(remedies.map((r) => r.cost).toSorted((a, b) => a - b));
    for (const wish of [{}, { method: 'sections', strips: 6 }, { people: 2, air: { draught: 0.6 } }] as WetWish[])
      for (const remedy of planned(wish).remedies)
        expect([remedy.change, planned(withRemedy(wish, remedy)).plan]).toMatchObject([remedy.change, remedy.way]);
    expect(plan.seen).toBeLessThan(0.1);
  });
  test('another hour is the one in which paint stays open longest, found in the air of the day', () => {
    const reading = (at: number, temperature: number) => ({ at, temperature, humidity: 0.5, draught: 0.1 });
    const air = { ...cottage.air, day: [reading(480, 14), reading(720, 24), reading(1020, 26)] };
    const { remedies, plan } = planned({ at: 900 }, { ...cottage, air });
    const found = remedies.find((r) => r.change === 'hour');
    expect(found?.value).toBe(480);
    expect(found?.way.seen).toBeLessThanOrEqual(plan.seen);
  });
});

test('a door wider than a stretch, a wall that is all opening, a wall of one strip: answered without trouble', () => {
  for (const room of wholeOf(cottage).lines)
    for (const { surface } of room.painted) {
      const ask = wetAskFor(cottage, surface.id, {});
      const answer = ask && wetEdgeOf(ask, 20, WET_SEED);
      if (!answer) continue;
      expect([...answer.chance].every((p) => p >= 0 && p <= 1)).toBe(true);
      expect(Number.isFinite(answer.maxAge) && answer.plan.minutes > 0).toBe(true);
      const { wall } = answer.case;
      const spent =
        wall.cuts.reduce((sum, c) => sum + c.minutes, 0) + wall.strips.reduce((sum, s) => sum + s.minutes, 0);
      expect(spent).toBeLessThanOrEqual(answer.case.play.minutes + 1e-6);
    }
});

describe('the practice wall', () => {
  const rules = { wide: 2, high: 2.4, cover: 0.23, dip: 0.07, film: 0.1, open: 6 };
  test('rolled as a play has it, it has hardly a mark; rolled in two goes with a rest between them, it laps', () => {
    const { shares } = playedWell(rules, 0.2).marked();
    expect(shares.lap).toBe(0);
    expect(shares.miss).toBeLessThan(0.02);
    expect(shares.ridge).toBeLessThan(0.05);
    const late = new PracticeWall(rules);
    for (const x of [0.2, 0.4]) {
      late.dip(0.2);
      late.roll({ x, y: 0 }, { x, y: 2.4 }, 0.2);
      late.wait(10);
    }
    expect(late.marked().shares.lap).toBeGreaterThan(0);
  });
  test('laws: paint is neither made nor lost; an empty cover lays nothing; a wall nobody rolls is missed', () => {
    const wall = new PracticeWall(rules);
    expect(wall.marked().shares.miss).toBe(1);
    wall.roll({ x: 1, y: 0 }, { x: 1, y: 2 }, 0.1);
    expect(Math.max(...wall.film)).toBe(0);
    wall.dip(0.2);
    wall.roll({ x: 1, y: 0 }, { x: 1, y: 2 }, 0.1);
    wall.roll({ x: 1.1, y: 2 }, { x: 0.9, y: 0 }, 0.1);
    const laid = wall.film.reduce((sum, film) => sum + film * CELL * CELL * rules.film, 0);
    expect(laid + wall.load).toBeCloseTo(rules.dip, 5);
  });
});

describe('what is shown of a wall', () => {
  test('at each minute a strip is bare, wet, tacking or dry, in that order', () => {
    const { setup, case: found } = wet();
    const open = found.open.minutes;
    const order: Wetness[] = ['bare', 'wet', 'tacking', 'dry'];
    const seen = [0, 0.25, 0.5, 0.75, 1].map((share) => standingAt(setup, share * (setup.minutes + open + 0.1), open));
    expect(new Set(seen[0]?.strips)).toEqual(new Set(['bare']));
    expect(new Set([...(seen[4]?.strips ?? []), ...(seen[4]?.cuts ?? [])])).toEqual(new Set(['dry']));
    setup.wall.strips.forEach((_, i) => {
      const places = seen.map((at) => order.indexOf(at.strips[i] ?? 'bare'));
      expect(places).toEqual(places.toSorted((a, b) => a - b));
    });
  });
  test('edges are drawn on the wall: a joint where two strips meet, a band along its line', () => {
    const wall = plainWall(3, 6, 0.5, 0.5);
    expect(jointShape(wall, 1, 0.1).map((p) => Number(p.x.toFixed(6)))).toEqual([0.95, 1.05, 1.05, 0.95]);
    expect(jointShape(wall, 5, 0.1)).toEqual([]);
    const [cut] = wall.cuts;
    expect(cut && areaOf([bandShape(cut, 0.04)])).toBeCloseTo(0.5 * 0.08, 9);
    expect(cut && bandShape({ ...cut, ends: null }, 0.04)).toEqual([]);
  });
  test('a mark shows more by sheen and depth, most beside the lamp but not under it', () => {
    const s = wetAskFor(cottage, loft, {})?.specified;
    if (!s) throw new Error('no wall');
    const at = (sheen: typeof s.sheen, away: number) => markStrength({ ...s, sheen }, away);
    expect(at('gloss', 0.3)).toBeGreaterThan(at('eggshell', 0.3));
    expect(at('eggshell', 0.3)).toBeGreaterThan(at('flat', 0.3));
    expect(at('satin', 0.3)).toBeGreaterThan(at('satin', 0));
    expect(at('satin', 0.3)).toBeGreaterThan(at('satin', 3));
  });
});

test('paces of nothing or less, and humidity beyond all, are refused where they are typed', () => {
  const refused = (edit: Edit) => {
    const done = editJob(cottage, edit);
    return done.ok ? 'taken' : (done.problems[0]?.message ?? '');
  };
  for (const value of [0, -1]) expect(refused({ name: 'setSetting', args: { key: 'pace.roll', value } })).toMatch(/\d/);
  expect(refused({ name: 'setAir', args: { set: { humidity: 1.2 } } })).toMatch(/humidity/i);
  expect(refused({ name: 'setAir', args: { set: { temperature: 90 } } })).toMatch(/temperature/i);
});
