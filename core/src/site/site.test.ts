import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import Papa from 'papaparse';
import { logCsv } from '../exchange/log-csv.ts';
import { readLog, writeLog } from '../exchange/site-log.ts';
import { STARTING_DAYS, type Crew } from '../job/crew.ts';
import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { seeded, normals } from '../units/random.ts';
import { bedroom, BASEBOARD, DOOR, edited } from '../testing/jobs.ts';
import { faultsOf } from '../testing/plan-faults.ts';
import { at, deviceLogs, EIGHT, loggedPlan, writer } from '../testing/site-log.ts';
import { scheduleContract } from '../exchange/contracts.ts';
import { basePlan } from '../whole/plan.ts';
import { clocksNow, lessonsOf, plannedPaint, replanned, stateOf } from '../whole/site.ts';
import { wholeOf } from '../whole/whole.ts';
import { carriedFrom, lessonsFor, NOTHING_CARRIED } from '../job/lessons.ts';
import { isNews } from './air.ts';
import { foldLog, type SiteState } from './fold.ts';
import { conditionerFor, dayList, factsOf, keepsOpen, tickId } from './lists.ts';
import { nowNext } from './next.ts';
import { readAny } from '../exchange/read.ts';
import { contentOf, corrected, meet, stamped, type Log } from './log.ts';
import { readEntry } from './schema.ts';
import type { LogEntry } from './entry.ts';
import { learn, straysOf } from './paces.ts';
import { minutesSince, zeroOf } from './moments.ts';
import { spreadsOf, usedOf } from './spread.ts';

const logOf = (...entries: readonly LogEntry[]): Log => {
  const { fresh, aside } = meet(new Map(), entries);
  if (aside[0]) throw new Error(aside[0].reason);
  return new Map(fresh.map((entry) => [entry.id, entry]));
};
const united = (log: Log, entries: readonly LogEntry[]): Log => logOf(...log.values(), ...meet(log, entries).fresh);
const fold = (log: Log): SiteState => foldLog(log, minutesSince(EIGHT));
const plain = ({ tasks, covered, odd, entries }: SiteState): string =>
  contentOf([[...tasks], covered, odd.map(({ entry, because }) => [entry.id, because]), entries]);

describe('the log', () => {
  test('merging is a union: in any order, any grouping, and again, it comes to the same state', () => {
    fc.assert(
      fc.property(deviceLogs, fc.integer(), (devices, seed) => {
        const all = devices.flat();
        const random = seeded(seed);
        const shuffled = [...all].map((entry) => [random(), entry] as const).sort((a, b) => a[0] - b[0]);
        const state = plain(fold(logOf(...all)));
        expect(plain(fold(logOf(...shuffled.map(([, entry]) => entry))))).toBe(state);
        // one device's log into the other's, the other way round, and twice
        const [a = [], ...others] = devices;
        const ab = united(logOf(...a), others.flat());
        const ba = united(logOf(...others.flat()), a);
        expect(plain(fold(ab))).toBe(plain(fold(ba)));
        expect([meet(ab, all), ab.size]).toEqual([{ fresh: [], aside: [] }, all.length]);
      }),
      runs(100),
    );
  });
  test('nobody is at two things at once, sessions end after they begin, and what is done has nobody on it', () => {
    fc.assert(
      fc.property(deviceLogs, (devices) => {
        const { tasks } = fold(logOf(...devices.flat()));
        const sessions = [...tasks.values()].flatMap((task) => task.sessions);
        for (const who of ['ana', 'bo']) {
          const own = sessions.filter((s) => s.who === who).sort((a, b) => a.from - b.from);
          own.forEach((s, i) => {
            expect(s.to ?? Infinity).toBeGreaterThanOrEqual(s.from);
            expect(own[i + 1]?.from ?? Infinity).toBeGreaterThanOrEqual(s.to ?? Infinity);
          });
        }
        for (const task of tasks.values())
          if (task.done !== null) expect(task.sessions.every((s) => s.to !== null)).toBe(true);
      }),
      runs(67),
    );
  });
  test('an entry named like another is set aside, and so is one of another job: what stands here stays', () => {
    const one = writer('a').says(0, { kind: 'note', who: 'ana', note: 'dry' });
    const other = { ...one, note: 'wet' } as LogEntry;
    expect(meet(logOf(one), [other, one])).toEqual({
      fresh: [],
      aside: [{ text: contentOf(other), reason: expect.stringMatching(/a-1 is another entry here.*that one stands/) }],
    });
    expect(meet(new Map(), [one], new Set([one.id]))).toMatchObject({ fresh: [], aside: [{ text: contentOf(one) }] });
  });
  test('a clock that was set back keeps the order in which things were written', () => {
    const device = writer('a');
    device.says(60, { kind: 'start', who: 'ana', operation: 't1' });
    const back = device.says(0, { kind: 'done', who: 'ana', operation: 't1' });
    expect(Date.parse(back.at)).toBe(Date.parse(at(60)) + 1);
    expect(back.seq).toBe(2);
    expect(stamped({ kind: 'note', who: 'ana', note: 'x' }, 'a', back, EIGHT).seq).toBe(3);
  });
  test('a clock that was decades ahead is believed no longer: the order is that of writing, and what it dated is of the next entry', () => {
    const device = writer('a');
    const YEARS = 36 * 365 * 24 * 60;
    device.says(0, { kind: 'start', who: 'ana', operation: 't1' });
    device.says(YEARS, { kind: 'done', who: 'ana', operation: 't1' });
    // nothing later says so yet
    expect(fold(logOf(...device.entries)).tasks.get('t1')?.done).toBe(YEARS);
    device.says(60, { kind: 'start', who: 'ana', operation: 't2' });
    device.says(90, { kind: 'done', who: 'ana', operation: 't2' });
    expect(device.entries.map((entry) => entry.at)).toEqual([at(0), at(YEARS), at(60), at(90)]);
    const { tasks, odd } = fold(logOf(...device.entries));
    expect([...tasks.values()].map(({ sessions: [own] }) => [own?.from, own?.to])).toEqual([
      [0, 60],
      [60, 90],
    ]);
    expect(odd.map(({ entry, because }) => [entry.id, because])).toEqual([['a-2', 'clock']]);
    // before there was a Kovelin, and after what an entry can be of: noted all the same
    for (const wrong of [0, Date.UTC(2300, 0, 1)])
      expect(readEntry(stamped({ kind: 'note', who: 'ana', note: 'x' }, 'b', null, wrong)).ok).toBe(true);
  });
  test('what was forgotten is put where it belongs; a correction is corrected by another, and taken back', () => {
    const device = writer('a');
    const start = device.says(30, { kind: 'start', who: 'ana', operation: 't1' });
    device.says(50, { kind: 'done', who: 'ana', operation: 't1' });
    const moved = device.says(55, { kind: 'correct', who: 'ana', corrects: start.id, value: { at: at(10) } });
    const worked = () => fold(logOf(...device.entries)).tasks.get('t1')?.sessions[0]?.from;
    expect(worked()).toBe(10);
    const again = device.says(56, {
      kind: 'correct',
      who: 'ana',
      corrects: moved.id,
      value: { value: { at: at(20) } },
    });
    expect(worked()).toBe(20);
    device.says(57, { kind: 'correct', who: 'ana', corrects: again.id, value: { removed: true } });
    expect(worked()).toBe(10);
    device.says(58, { kind: 'correct', who: 'ana', corrects: moved.id, value: { removed: true } });
    expect(worked()).toBe(30);
    // corrections that correct each other, or make of an entry what none can be, change nothing
    device.says(59, { kind: 'correct', who: 'ana', corrects: 'a-8', value: { at: at(1) } });
    device.says(60, { kind: 'correct', who: 'ana', corrects: 'a-7', value: { at: at(1) } });
    device.says(61, { kind: 'correct', who: 'ana', corrects: 'a-9', value: { removed: true } });
    device.says(62, { kind: 'correct', who: 'ana', corrects: start.id, value: { value: { thing: 'hall' } } });
    const { entries, odd } = corrected(logOf(...device.entries));
    expect([entries.length, odd.map(({ entry, because }) => [entry.id, because])]).toEqual([
      2,
      [
        ['a-7', 'circle'],
        ['a-8', 'circle'],
        ['a-9', 'circle'],
        ['a-10', 'impossible'],
      ],
    ]);
    expect(worked()).toBe(30);
  });
  test('12,000 corrections, each of the one before, are folded: every second one counts', () => {
    const device = writer('a');
    device.says(30, { kind: 'start', who: 'ana', operation: 't1' });
    const chain = (count: number) => {
      while (device.entries.length <= count)
        device.says(40, {
          kind: 'correct',
          who: 'ana',
          corrects: device.entries.at(-1)?.id ?? '',
          value: device.entries.length === 1 ? { at: at(10) } : { removed: true },
        });
      return fold(logOf(...device.entries)).tasks.get('t1')?.sessions[0]?.from;
    };
    expect([chain(11_999), chain(12_000)]).toEqual([10, 30]);
  });
  test('double taps, done before start and another task taken up are said, and taken for what they can mean', () => {
    const device = writer('a');
    device.says(0, { kind: 'start', who: 'ana', operation: 't1' });
    device.says(0.01, { kind: 'start', who: 'ana', operation: 't1' });
    device.says(10, { kind: 'start', who: 'ana', operation: 't2' });
    device.says(20, { kind: 'done', who: 'ana', operation: 't3' });
    device.says(20.01, { kind: 'done', who: 'ana', operation: 't3' });
    const { tasks, odd } = fold(logOf(...device.entries));
    expect(odd.map(({ because }) => because)).toEqual(['again', 'done-first', 'again']);
    expect(tasks.get('t1')?.sessions).toEqual([{ who: 'ana', from: 0, to: 10, reason: 'went-on' }]);
    expect(tasks.get('t3')).toEqual({ operation: 't3', sessions: [], done: 20 });
  });
  test('JSON Lines: what is written is read; a half-written last line is left out and said; another job’s is refused', () => {
    const job = { id: 'j', name: 'Cottage' };
    fc.assert(
      fc.property(deviceLogs, fc.nat(60), (devices, cut) => {
        const log = logOf(...devices.flat());
        const text = writeLog(log, job);
        const read = readLog(text, job);
        expect(read.ok && plain(fold(read.value.log))).toBe(plain(fold(log)));
        const last = [...log.values()].length ? text.slice(0, text.length - 2 - (cut % 40)) : text;
        const half = readLog(last, job);
        expect(half.ok && half.value.log.size).toBe(Math.max(0, log.size - 1));
        expect(half.ok && half.value.warnings.length).toBe(log.size ? 1 : 0);
      }),
      runs(33),
    );
    const other = readLog(writeLog(new Map(), { id: 'k', name: 'Mill' }), job);
    expect(!other.ok && other.problems[0]?.message).toMatch(/log of another job, “Mill”.*Nothing was taken over/);
  });
});

describe('moments', () => {
  const crew: Crew = { ...STARTING_DAYS, people: [], hours: [[480, 1020]], start: '2026-10-24', zone: 'Europe/Berlin' };
  test('minutes count what really passed, over a night in which the clock is put back', () => {
    const zero = zeroOf(crew, new Map()) ?? 0;
    // Sunday at eight in the morning is 25 hours after Saturday at eight
    expect(minutesSince(zero)('2026-10-25T07:00:00Z')).toBe(25 * 60);
    expect(new Date(zero).toISOString()).toBe('2026-10-24T06:00:00.000Z');
  });
  test('a job without a first day begins on that of its first entry', () => {
    const device = writer('a');
    device.says(75, { kind: 'note', who: 'ana', note: 'here' });
    const zero = zeroOf({ ...crew, start: null, zone: 'UTC' }, logOf(...device.entries));
    expect(zero).toBe(EIGHT);
    expect(zeroOf({ ...crew, start: null }, new Map())).toBeNull();
  });
});

describe('what the log teaches', () => {
  const believed = { tau: 0.25, sigma: 0.3 };
  // the closed form of a normal mean with a normal prior [Gelman et al., Bayesian Data Analysis, 2.5, from memory]
  test('few entries stay near the plan: the posterior of a normal mean', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { maxLength: 4 }), (y) => {
        const { m, mean, sd } = learn(y, believed);
        const sum = y.reduce((all, one) => all + one, 0);
        expect(m).toBe(y.length);
        expect(mean).toBeCloseTo(sum / 0.09 / (y.length / 0.09 + 1 / 0.0625), 12);
        expect(sd).toBeCloseTo((y.length / 0.09 + 1 / 0.0625) ** -0.5, 12);
        expect(Math.abs(mean)).toBeLessThanOrEqual(Math.abs(sum / Math.max(1, y.length)) + 1e-12);
      }),
    );
    expect(learn([], believed)).toMatchObject({ m: 0, mean: 0, sd: 0.25 });
  });
  test('of eight and more their own scatter counts; a stray is left out before it is reckoned', () => {
    const draw = normals(seeded(7));
    const y = Array.from({ length: 200 }, () => 0.2 + 0.1 * draw());
    const learned = learn([...y, 3], believed);
    expect(learned.strays).toContain(200);
    expect(learned.sigma).toBeGreaterThan(0.08);
    expect(learned.sigma).toBeLessThan(0.12);
    expect(learned.mean).toBeCloseTo(0.2, 1);
    expect(learned.sd).toBeCloseTo((learned.m / learned.sigma ** 2 + 1 / 0.0625) ** -0.5, 12);
  });
  test('strays: by the median absolute deviation, from five entries on, and not where most are equal', () => {
    expect(straysOf([0, 0.1, -0.1, 9])).toEqual([]);
    expect(straysOf([0, 0.1, -0.1, 0.05, 9])).toEqual([4]);
    expect(straysOf([0, 0, 0, 0, 9])).toEqual([]);
  });
  test('somebody a fifth slower is learned as such; tasks nobody timed teach nothing', () => {
    const job = bedroom(DOOR + BASEBOARD);
    const { placed } = basePlan(job);
    const names = job.crew.people.map(({ name }) => name);
    const lessons = lessonsOf(job, stateOf(job, logOf(...loggedPlan(placed, names, 1.25))));
    const rolls = lessons.paces.filter(({ kind }) => kind === 'roll');
    expect(rolls.length).toBeGreaterThan(0);
    for (const { own, mean, m } of lessons.paces.filter(({ entries }) => entries.every((e) => e.planned > 5))) {
      expect(m).toBeGreaterThan(0);
      // whoever takes up another task before the end leaves the first
      expect(own).toBeGreaterThanOrEqual(-Math.log(1.25) - 0.01);
      expect(Math.abs(mean)).toBeLessThan(Math.abs(own) + 1e-9);
    }
    expect(lessonsOf(job, stateOf(job, new Map())).paces).toEqual([]);
  });
  test('spread: litres between two dips against those reckoned for what was done between them', () => {
    const job = bedroom();
    const planned = plannedPaint(job);
    const walls = planned.filter(({ operation }) => operation.includes('roll1') && !operation.includes('ceiling'));
    const [paint = ''] = walls.map((own) => own.paint);
    const litres = walls.reduce((sum, own) => sum + own.litres, 0);
    expect(walls).toHaveLength(4);
    const device = writer('a');
    device.says(0, { kind: 'can', who: 'ana', value: { paint, litres: 9.46, batch: 'K7' } });
    for (const [i, { operation }] of walls.entries()) {
      device.says(10 + 10 * i, { kind: 'start', who: 'ana', operation });
      device.says(18 + 10 * i, { kind: 'done', who: 'ana', operation });
    }
    // a tenth more than was reckoned
    device.says(60, { kind: 'litres', who: 'ana', value: { paint, left: 9.46 - 1.1 * litres, by: 'dip' } });
    const [learned] = spreadsOf(usedOf(stateOf(job, logOf(...device.entries)), planned), { tau: 0.1, sigma: 0.1 });
    expect(learned?.own).toBeCloseTo(-Math.log(1.1), 6);
    expect(learned?.mean).toBeCloseTo(-Math.log(1.1) / 2, 6);
    expect(learned?.texture).toBe('smooth');
  });
});

test('what is accepted counts in Work and Order, and what the same log teaches stays the same', () => {
  const job = bedroom(DOOR + BASEBOARD);
  const log = logOf(
    ...loggedPlan(
      basePlan(job).placed,
      job.crew.people.map(({ name }) => name),
      1.25,
    ),
  );
  const rate = { log: -0.2, sd: 0.1, m: 9, date: '2026-12-02' };
  const taught = edited(job, {
    name: 'setLearned',
    args: {
      set: {
        paces: job.crew.people.map(({ id }) => ({ person: id, kind: 'wet', coat: 'later', ...rate })),
        spreads: [{ product: 'paint-wall', texture: 'smooth', ...rate, log: 0.1 }],
      },
    },
  });
  const minutes = (of: Job, id: string) => wholeOf(of).operations.find((op) => op.id === id)?.minutes.value ?? 0;
  const walls = wholeOf(job).operations.filter(({ kind, surface }) => kind === 'roll' && surface.endsWith('/field'));
  for (const { id, coat } of walls)
    expect(minutes(taught, id)).toBeCloseTo(minutes(job, id) * (coat > 1 ? Math.exp(0.2) : 1), 9);
  const litres = (of: Job) =>
    wholeOf(of).paints.find(({ product }) => product.id === 'paint-wall')?.uses[0]?.litres.value ?? 0;
  expect(litres(taught)).toBeCloseTo(litres(job) * Math.exp(-0.1), 9);
  expect(lessonsOf(taught, stateOf(taught, log))).toEqual(lessonsOf(job, stateOf(job, log)));
});

describe('the rest of the plan', () => {
  const job: Job = bedroom(DOOR + BASEBOARD);
  const names = job.crew.people.map(({ name }) => name);
  const { placed, finish } = basePlan(job);
  const whole = loggedPlan(placed, names, 1);
  const until = (minutes: number): Log =>
    logOf(...whole.filter((entry) => Date.parse(entry.at) <= EIGHT + minutes * 60_000));
  const zone = { ...job, crew: { ...job.crew, start: '2026-12-01', zone: 'UTC' } };
  const state = (log: Log): SiteState => stateOf(zone, log);

  test('of nothing done yet it is the plan itself', () => {
    const plan = replanned(zone, state(new Map()), 0);
    expect(plan.finish).toBeCloseTo(basePlan(zone).finish, 6);
    expect(plan.running).toEqual([]);
  });
  test.each([150, 340, 600])(
    'at minute %i what is done stands, what is running goes on, nothing else begins before now',
    (now) => {
      const here = state(until(now));
      const plan = replanned(zone, here, now);
      expect(plan.problems).toEqual([]);
      for (const { task, pieces, who } of plan.placed) {
        const log = here.tasks.get(task.id);
        const [from, to] = [pieces[0]?.[0] ?? 0, pieces.at(-1)?.[1] ?? 0];
        if (log?.done != null) {
          expect(to).toBeCloseTo(log.done, 3);
        } else {
          expect(from).toBeGreaterThanOrEqual(now - 1e-6);
          const on = log?.sessions.find((s) => s.to === null);
          if (on) expect(who.map((n) => job.crew.people[n]?.id)).toContain(on.who);
        }
      }
      // its lags are kept to those that are done, too
      const starts = new Map(plan.placed.map((p) => [p.task.id, p.pieces[0]?.[0] ?? 0]));
      for (const { task, pieces } of basePlan(zone).placed)
        for (const lag of task.after) {
          const log = here.tasks.get(lag.task);
          if (here.tasks.has(task.id) || log?.done == null || lag.from !== 'finish') continue;
          expect(starts.get(task.id)).toBeGreaterThanOrEqual(log.done + lag.minLag - 1e-6);
          expect(pieces.length).toBeGreaterThan(0);
        }
      // as planned so far, it ends as planned
      expect(Math.abs(plan.finish - finish)).toBeLessThan(30);
      // what is left keeps to hours, people, places and what must keep apart
      const rest = new Set(plan.network.tasks.map(({ id }) => id));
      const left = {
        ...plan,
        placed: plan.placed
          .filter(({ task }) => rest.has(task.id))
          .map((p) => ({ ...p, task: plan.network.tasks.find(({ id }) => id === p.task.id) ?? p.task })),
      };
      const free = faultsOf(scheduleContract(zone, left)).filter(
        (fault) => !plan.running.some((id) => fault.includes(id)),
      );
      expect(free).toEqual([]);
    },
  );
  test('a coat put down has its edge to meet again: what is left of it takes longer than of work that is dry', () => {
    const leftOf = (kinds: readonly string[]): number => {
      const task = placed.find((p) => kinds.includes(p.task.kind) && p.task.people === 1)?.task;
      if (!task) throw new Error(`no ${kinds.join()}`);
      const device = writer('van');
      const half = task.work / 2;
      device.says(10, { kind: 'start', who: job.crew.people[0]?.id ?? '', operation: task.id });
      device.says(10 + half, { kind: 'stop', who: job.crew.people[0]?.id ?? '', value: { reason: 'waits' } });
      const plan = replanned(zone, state(logOf(...device.entries)), 11 + half);
      return (plan.placed.find((p) => p.task.id === task.id)?.task.work ?? NaN) - half;
    };
    expect(leftOf(['wash', 'sand'])).toBeCloseTo(0, 3);
    expect(leftOf(['roll', 'wet', 'brush'])).toBeCloseTo(5, 3);
  });
  test('slow to dry: in cold, damp air what waits for paint to be dry begins later, and open time is longer', () => {
    const log = until(340);
    const cold = writer('cold');
    cold.says(341, { kind: 'air', who: 'ana', value: { temperature: 11, humidity: 0.8, draught: 0 } });
    const damp = logOf(...log.values(), ...cold.entries);
    const touch = (of: Log) =>
      clocksNow(zone, state(of), 345)
        .filter(({ kind }) => kind === 'touch')
        .map(({ due }) => due);
    expect(touch(log).length).toBeGreaterThan(0);
    expect(Math.max(...touch(damp))).toBeGreaterThan(Math.max(...touch(log)));
  });
  test('when all is done nothing is left, and the end is when it was done', () => {
    const plan = replanned(zone, state(logOf(...whole)), 5000);
    expect(plan.network.tasks).toEqual([]);
    expect(plan.finish).toBeCloseTo(
      Math.max(...[...state(logOf(...whole)).tasks.values()].map(({ done }) => done ?? 0)),
      6,
    );
  });
});

describe('clocks', () => {
  const job: Job = { ...bedroom(DOOR + BASEBOARD), crew: { ...bedroom().crew, start: '2026-12-01', zone: 'UTC' } };
  const start = { kind: 'start', who: 'ana' } as const;
  test('what waits for a task may begin so long after its end as its lag says; wet films by their air; caulk skins', () => {
    const device = writer('a');
    device.says(0, { ...start, operation: 's-0:caulk' });
    expect(clocksNow(job, stateOf(job, logOf(...device.entries)), 5)).toMatchObject([
      { kind: 'skin', since: 0, due: setting(job, 'caulk.skin') },
    ]);
    device.says(10, { kind: 'done', who: 'ana', operation: 's-0:caulk' });
    const clocks = clocksNow(job, stateOf(job, logOf(...device.entries)), 12);
    expect(clocks.map(({ kind, due, because }) => [kind, due, because])).toEqual([['opens', 70, 'lag.caulked']]);
    expect(clocks[0]?.frees.length).toBeGreaterThan(5);
    // nothing runs any more long after
    expect(clocksNow(job, stateOf(job, logOf(...device.entries)), 200)).toEqual([]);
  });
  test('a coat in one go has no edge that waits; the oldest one of sections does; what is painted is wet, then may be gone over', () => {
    const wet = basePlan(job).placed.find(({ task }) => task.kept?.method === 'whole')?.task;
    if (!wet?.kept) throw new Error('no coat in one go');
    const device = writer('a');
    device.says(100, { ...start, operation: wet.id });
    const edge = (now: number) =>
      clocksNow(job, stateOf(job, logOf(...device.entries)), now).find(({ kind }) => kind === 'edge');
    expect(edge(101)).toBeUndefined();
    device.says(100 + wet.work, { kind: 'done', who: 'ana', operation: wet.id });
    const kinds = clocksNow(job, stateOf(job, logOf(...device.entries)), 101 + wet.work).map(({ kind }) => kind);
    expect(kinds).toContain('touch');
    expect(kinds).toContain('opens');
    expect(kinds.at(-1)).toBe('cure');
  });
});

describe('lists of the day', () => {
  const opened = readAny(
    `units ft\nroom Hall\nheight 8\nwall A 12 R\nwall B 11 R\nwall C 12 R\nwall D 11 R\ndetector smoke count 2\n`,
    'Hall',
  );
  const job: Job = opened.ok ? opened.value.job : bedroom();
  const tasks = basePlan(job).placed.map(({ task }) => task);
  const ids = (of: Job, own: typeof tasks) => dayList(of, factsOf(of, own)).map(({ id }) => id);
  const rolling = tasks.filter(({ kind }) => kind === 'roll' || kind === 'wet');

  test('what a day asks for follows from its tasks, its paint and the practice', () => {
    expect(ids(job, rolling)).toEqual(
      expect.arrayContaining(['lint', 'stir', 'box', 'rim-holes', 'draught', 'wash-water', 'misses']),
    );
    expect(ids(job, rolling)).not.toContain('brush-oil');
    expect(
      ids(
        job,
        tasks.filter(({ kind }) => kind === 'sand'),
      ),
    ).not.toContain('stir');
    const other: Job = {
      ...job,
      practice: { ...job.practice, washing: 'bagged', rim: 'band', boxing: 'as-they-come' },
    };
    expect(ids(other, rolling)).toEqual(expect.arrayContaining(['bag', 'rim-band']));
    expect(ids(other, rolling)).not.toEqual(expect.arrayContaining(['wash-water']));
    const cautious = dayList(job, factsOf(job, tasks)).filter(({ caution }) => caution !== null);
    expect(cautious.map(({ id, caution }) => [id, caution])).toContainEqual(['power', 'caution.electricity']);
    expect(conditionerFor(0.8, 0.19)).toBeCloseTo(0.152, 12);
  });
  test('a day is not closed over a covered detector without a written reason; ticks are no work, and can be taken back', () => {
    const { detectors } = factsOf(job, tasks);
    expect(detectors).toHaveLength(2);
    const device = writer('a');
    for (const thing of detectors) device.says(5, { kind: 'cover', who: 'ana', value: { thing } });
    device.says(400, { kind: 'uncover', who: 'ana', value: { thing: detectors[0] ?? '' } });
    const ticked = device.says(401, { kind: 'done', who: 'ana', operation: tickId(0, 'misses') });
    const state = () => fold(logOf(...device.entries));
    expect(keepsOpen(state(), 0)).toEqual([detectors[1]]);
    expect(state().ticks.get(tickId(0, 'misses'))).toBe(401);
    expect([state().odd, state().tasks.size]).toEqual([[], 0]);
    device.says(402, {
      kind: 'note',
      who: 'ana',
      operation: tickId(0, 'covered'),
      note: 'the loft is sprayed tomorrow, nobody sleeps here',
    });
    expect(keepsOpen(state(), 0)).toEqual([]);
    expect(keepsOpen(state(), 1)).toEqual([detectors[1]]);
    device.says(403, { kind: 'correct', who: 'ana', corrects: ticked.id, value: { removed: true } });
    expect(state().ticks.size).toBe(0);
  });
  test('now and next: what somebody is on, and what their next task waits for', () => {
    const device = writer('a');
    const who = job.crew.people[0]?.id ?? '';
    const [first] = basePlan(job).placed.filter((p) => p.who.includes(0));
    if (!first) throw new Error('nothing to do');
    device.says(20, { kind: 'start', who, operation: first.task.id });
    const { placed } = basePlan(job);
    const planned = new Map(placed.map(({ task }) => [task.id, task]));
    const on = nowNext(placed, planned, fold(logOf(...device.entries)), 0, who, 25);
    expect([on.on?.id, on.since]).toEqual([first.task.id, 20]);
    const waiting = on.next.find(({ task }) => task.after.some((lag) => lag.task === first.task.id));
    expect(waiting?.waits).toMatchObject({ task: expect.any(String) });
    for (const p of placed) device.says(30, { kind: 'done', who, operation: p.task.id });
    const over = nowNext(placed, planned, fold(logOf(...device.entries)), 0, who, 40);
    expect([over.on, over.next]).toEqual([null, []]);
  });
});

test('as a table: in the order of what happened, in the job’s own time over a clock change, put right and taken back told', () => {
  const crew: Crew = {
    ...STARTING_DAYS,
    people: [{ ...bedroom().crew.people[0], id: 'p1', name: 'Ana' } as Crew['people'][number]],
    hours: [[480, 960]],
    start: '2026-12-01',
    zone: 'Europe/Paris',
  };
  const device = writer('van');
  const can = device.says(0, { kind: 'can', who: 'p1', value: { paint: 'w', litres: 2.5, batch: '=1+1' } });
  device.says(1, { kind: 'air', who: 'p1', value: { temperature: 18.5, humidity: 0.614, draught: 0.1 } });
  const wrong = device.says(2, { kind: 'done', who: 'p1', operation: 't1' });
  device.says(3, { kind: 'correct', who: 'p1', corrects: wrong.id, value: { removed: true } });
  device.says(4, { kind: 'correct', who: 'p1', corrects: can.id, value: { at: '2026-07-01T22:30:00.000Z' } });
  const { data } = Papa.parse<Record<string, string>>(logCsv(logOf(...device.entries), { crew }), {
    header: true,
    skipEmptyLines: true,
  });
  expect(data.map(({ kind, stands }) => [kind, stands])).toEqual([
    ['can', 'put right'],
    ['air', 'yes'],
    ['done', 'taken back'],
    ['correct', `corrects ${wrong.id}`],
    ['correct', `corrects ${can.id}`],
  ]);
  // summer time there, and text that would be a formula is none
  expect([data[0]?.['date'], data[0]?.['time'], data[0]?.['batch or reading'], data[0]?.['who']]).toEqual([
    '2026-07-02',
    '00:30:00',
    "'=1+1",
    'Ana',
  ]);
  expect([data[1]?.['time'], data[1]?.['humidity %'], data[1]?.['temperature °C']]).toEqual(['09:01:00', '61', '18.5']);
});

describe('what outlasts a job, and what is worth an entry', () => {
  const job = bedroom(DOOR + BASEBOARD);
  const air = { temperature: 20, humidity: 0.5, draught: 0.1 };
  test('a logger’s reading is news where it is another air, or where two hours have passed', () => {
    expect(isNews(null, air, 0)).toBe(true);
    expect([isNews(air, air, 119), isNews(air, air, 120)]).toEqual([false, true]);
    const near = { temperature: 20.9, humidity: 0.54, draught: 0.19 };
    expect(isNews(air, near, 5)).toBe(false);
    for (const member of ['temperature', 'humidity', 'draught'] as const)
      expect(
        isNews(air, { ...air, [member]: air[member] + { temperature: 1, humidity: 0.06, draught: 0.11 }[member] }, 5),
      ).toBe(true);
  });
  test('what was learned goes to other jobs by the names of people and paints, the later of two counts, nothing twice', () => {
    const [ana] = job.crew.people;
    const [paint] = Object.values(job.products);
    if (!ana || !paint) throw new Error('nobody');
    const rate = { log: 0.1, sd: 0.05, m: 6, date: '2026-12-01' };
    const learned = {
      paces: [{ person: ana.id, kind: 'roll', coat: 'first', ...rate }],
      spreads: [{ product: paint.id, texture: null, ...rate }],
    } as const;
    const carried = carriedFrom({ ...job, learned }, NOTHING_CARRIED);
    const other: Job = {
      ...job,
      crew: {
        ...job.crew,
        people: [
          { ...ana, id: 'p9', name: ` ${ana.name.toUpperCase()}` },
          { ...ana, id: 'p8', name: 'Bo' },
        ],
      },
    };
    expect(lessonsFor(other, carried)).toEqual({
      paces: [{ person: 'p9', kind: 'roll', coat: 'first', ...rate }],
      spreads: [{ product: paint.id, texture: null, ...rate }],
    });
    expect(lessonsFor({ ...job, learned }, carried)).toEqual({ paces: [], spreads: [] });
    const later = { ...learned, paces: [{ ...learned.paces[0], log: 0.2 }] };
    expect(carriedFrom({ ...job, learned: later }, carried).paces.map(({ log }) => log)).toEqual([0.2]);
  });
});
