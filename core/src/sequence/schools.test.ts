import { describe, expect, test } from '@jest/globals';
import { scheduleContract } from '../exchange/contracts.ts';
import { personOf } from '../job/crew.ts';
import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type Division, type TrimOrder } from '../job/vocabulary.ts';
import { BASEBOARD, bedroom, DOOR, edited, withAccent, withRecoat } from '../testing/jobs.ts';
import { faultsOf } from '../testing/plan-faults.ts';
import { baseOrder, basePlan, replays } from '../whole/plan.ts';
import type { JobSchedule } from './schedule.ts';

const by = (job: Job, trimOrder: TrimOrder): JobSchedule =>
  basePlan(edited(job, { name: 'setPractice', args: { set: { trimOrder } } }));
const begin = (p: JobSchedule['placed'][number]): number => p.pieces[0]?.[0] ?? 0;
const end = (p: JobSchedule['placed'][number]): number => p.pieces.at(-1)?.[1] ?? 0;
/** When the last of some tasks ends. */
const last = ({ placed }: JobSchedule, is: (p: JobSchedule['placed'][number]) => boolean): number =>
  Math.max(0, ...placed.filter(is).map(end));
const broad = (p: JobSchedule['placed'][number]): boolean =>
  p.task.go.specified !== null && familyOf(p.task.go.specified.surface.kind) !== 'trim';
const painted = (p: JobSchedule['placed'][number]): boolean => p.task.go.specified !== null;

// common practice, no source: ceiling, walls and accent of an average bedroom are one day for two at a recoat of an hour and a half to
// two, trim masked and not painted; a label of four hours takes the second coats to the next day
describe('all in a day', () => {
  const day = 540;
  test.each([90, 120])(
    'at a recoat of %i minutes the bedroom is one day, sooner than by the other schools',
    (recoat) => {
      const job = withRecoat(withAccent(bedroom()), recoat);
      const plan = by(job, 'one-day');
      expect(faultsOf(scheduleContract(job, plan))).toEqual([]);
      expect(last(plan, painted)).toBeLessThanOrEqual(day - setting(job, 'day.cleanUp'));
      for (const other of ['trim-first', 'trim-last'] as const)
        expect(last(plan, painted)).toBeLessThanOrEqual(last(by(job, other), painted));
    },
  );
  test('a label of four hours takes it to the next day; a door and trim are that day’s, the walls still the first’s', () => {
    expect(last(by(withRecoat(withAccent(bedroom()), 240), 'one-day'), painted)).toBeGreaterThan(1440);
    const trimmed = by(withRecoat(withAccent(bedroom(DOOR + BASEBOARD)), 120), 'one-day');
    expect(last(trimmed, broad)).toBeLessThan(day);
    expect(last(trimmed, painted)).toBeGreaterThan(1440);
  });
  test('edges that get tape are lapped first thing, tape lies on them two hours later, deep colours go on before light ones', () => {
    const { placed } = by(withAccent(bedroom()), 'one-day');
    const laps = placed.filter((p) => p.task.kind === 'lap');
    expect(laps.length).toBeGreaterThan(1);
    const coats = placed.filter((p) => painted(p) && !['lap', 'mask'].includes(p.task.kind));
    // minutes, not hours
    expect(laps.reduce((sum, p) => sum + p.task.work, 0)).toBeLessThan(15);
    expect(Math.max(...laps.map(end))).toBeLessThanOrEqual(Math.min(...coats.map(begin)) + 1e-6);
    const masks = placed.filter((p) => p.task.kind === 'mask');
    expect(masks.length).toBeGreaterThan(1);
    for (const mask of masks) expect(begin(mask)).toBeGreaterThanOrEqual(Math.min(...laps.map(end)) + 120 - 1e-6);
    const first = (hex: boolean) =>
      Math.min(
        ...placed
          .filter((p) => p.task.kind === 'cut' && p.task.go.specified?.surface.kind === 'wall')
          .filter((p) => (p.task.go.specified?.colour.hex === '#7a1f26') === hex)
          .map(begin),
      );
    expect(first(true)).toBeLessThan(first(false));
  });
});

const crewOf = (job: Job, people: number): Job => ({
  ...job,
  crew: {
    ...job.crew,
    people: Array.from({ length: people }, (_, n) => personOf({ id: `p${n}`, name: `P${n}`, day: 1, hand: 'right' })),
  },
});

describe('divided work', () => {
  const divided = (division: Division, people: number): JobSchedule => {
    const job = edited(crewOf(withAccent(bedroom(DOOR)), people), {
      name: 'setPractice',
      args: { set: { division, trimOrder: 'one-day' } },
    });
    const plan = basePlan(job);
    expect(faultsOf(scheduleContract(job, plan))).toEqual([]);
    return plan;
  };
  const who = ({ placed }: JobSchedule, is: (p: JobSchedule['placed'][number]) => boolean) => [
    ...new Set(placed.filter(is).flatMap((p) => p.who)),
  ];
  test('one on ceilings, one on walls', () => {
    const plan = divided('ceilings-walls', 2);
    const of = (family: string) => (p: JobSchedule['placed'][number]) =>
      p.task.people === 1 && p.task.paint !== null && familyOf(p.task.go.specified?.surface.kind ?? 'door') === family;
    expect(who(plan, of('ceiling'))).toEqual([0]);
    expect(who(plan, of('wall'))).toEqual([1]);
  });
  test('one masks, the other laps and cuts', () => {
    const plan = divided('mask-lap', 2);
    expect(who(plan, (p) => p.task.kind === 'mask')).toEqual([0]);
    expect(who(plan, (p) => p.task.kind === 'lap' || p.task.kind === 'cut')).toEqual([1]);
  });
  test('three: one seals the tape, one cuts, one rolls behind; two cannot', () => {
    const plan = divided('seal-cut-roll', 3);
    expect(who(plan, (p) => p.task.kind === 'mask')).toEqual([0]);
    expect(who(plan, (p) => p.task.kind === 'cut')).toEqual([1]);
    expect(who(plan, (p) => p.task.kind === 'roll')).toEqual([2]);
    expect(plan.placed.some((p) => p.task.after.some(({ because }) => because === 'lag.follow'))).toBe(true);
    expect(who(divided('seal-cut-roll', 2), (p) => p.task.kind === 'mask').length).toBeGreaterThan(0);
  });
});

test('a quote that counts on what eight in ten plays keep costs more by just the minutes they take more', () => {
  const job = bedroom(DOOR);
  const careful = edited(job, { name: 'setPricing', args: { set: { promised: 'p80' } } });
  const { network, finish } = basePlan(job);
  const worked = (t: number): number => (network.calendars['plain'] ?? []).reduce((sum, c) => sum + c.worked(t), 0);
  const spare = worked(replays(job).p80) / worked(finish) - 1;
  expect(spare).toBeGreaterThan(0);
  const [plan, then] = [baseOrder(job).labour, baseOrder(careful).labour];
  expect(then.minutes).toBeCloseTo(plan.minutes * (1 + spare), 6);
  expect(then.cost - plan.cost).toBe(then.lines.find(({ kind }) => kind === 'spare')?.cost);
  expect(then.days).toBe(plan.days);
});

// common practice, no source
describe('the trade', () => {
  const WINDOW = 'window v on D 3 x 4 at 3 sill 3 sash hung\n';
  test('a window that opens is waxed where it meets, dry, before it is shut for the evening; a fixed one is not', () => {
    const job = edited(bedroom(WINDOW), { name: 'setCrew', args: { set: { closing: 960 } } });
    const plan = basePlan(job);
    expect(faultsOf(scheduleContract(job, plan))).toEqual([]);
    const sash = plan.placed.filter((p) => p.task.go.specified?.surface.kind === 'sash');
    const wax = sash.filter((p) => p.task.operations.some(({ kind }) => kind === 'face-wax'));
    expect(wax).toHaveLength(1);
    const coats = sash.filter((p) => p.task.kind === 'brush');
    for (const p of wax) {
      expect(begin(p)).toBeGreaterThanOrEqual(Math.max(...coats.map(end)) + 30);
      // the day begins at 8:00
      expect((end(p) % 1440) + 480).toBeLessThanOrEqual(960 + 1e-6);
    }
    for (const p of coats) expect((end(p) % 1440) + 480).toBeLessThan(960);
    const fixed = basePlan(bedroom(WINDOW.replace('hung', 'fixed')));
    expect(fixed.placed.some((p) => p.task.operations.some(({ kind }) => kind === 'face-wax'))).toBe(false);
  });
  test('tape comes off wall by wall within its window; edges are dry before they are cut; ceilings come before walls', () => {
    const job = edited(withAccent(bedroom(DOOR + BASEBOARD)), {
      name: 'setPractice',
      args: { set: { pull: 'tacky', accent: 'laps-out' } },
    });
    const { placed } = basePlan(job);
    const byId = new Map(placed.map((p) => [p.task.id, p]));
    const pulls = placed.filter((p) => p.task.after.some(({ because }) => because === 'lag.pull-tacky'));
    expect(pulls.length).toBeGreaterThan(0);
    for (const pull of pulls)
      for (const { task, because, minLag, maxLag } of pull.task.after) {
        const since = begin(pull) - end(byId.get(task) as JobSchedule['placed'][number]);
        if (because !== 'lag.pull-tacky') continue;
        expect(since).toBeGreaterThanOrEqual(minLag - 1e-6);
        expect(since).toBeLessThanOrEqual((maxLag ?? 0) + 1e-6);
      }
    let edges = 0;
    for (const p of placed)
      for (const { task, because } of p.task.after) {
        if (because !== 'lag.lapped') continue;
        edges++;
        expect(begin(p) - end(byId.get(task) as JobSchedule['placed'][number])).toBeGreaterThanOrEqual(45);
      }
    expect(edges).toBeGreaterThan(5);
    const firstCoat = (family: string) =>
      Math.min(
        ...placed
          .filter((p) => p.task.go.specified && familyOf(p.task.go.specified.surface.kind) === family)
          .filter((p) => p.task.kind === 'cut' || p.task.kind === 'roll' || p.task.kind === 'wet')
          .map(begin),
      );
    expect(firstCoat('ceiling')).toBeLessThan(firstCoat('wall'));
  });
  test('alone, one wall at a time: nothing comes between the cut and the rolling of a last coat', () => {
    const { placed } = basePlan(crewOf(bedroom(), 1));
    const last = placed.filter((p) => p.task.kind === 'wet');
    expect(last.length).toBeGreaterThanOrEqual(4);
    for (const p of last) {
      expect(p.pieces).toHaveLength(1);
      for (const other of placed)
        if (other !== p) expect(begin(other) >= end(p) - 1e-6 || end(other) <= begin(p) + 1e-6).toBe(true);
    }
  });
  test('covers are wrapped before the break: nobody is at work in its last two minutes, and they are paid', () => {
    const job = bedroom();
    const { placed } = basePlan(job);
    const noon = 240;
    for (const p of placed)
      for (const [from, to] of p.pieces)
        expect(from >= noon || to <= noon - setting(job, 'day.wrap') + 1e-6).toBe(true);
  });
});

describe('hard cases', () => {
  test('a lag longer than the job, a room wanted before the job begins, a week between two days of work', () => {
    const slow = withRecoat(bedroom(), 10_000);
    const plan = basePlan(slow);
    expect(plan.problems).toEqual([]);
    expect(plan.finish).toBeGreaterThan(10_000);
    expect(faultsOf(scheduleContract(slow, plan))).toEqual([]);
    const early = edited(bedroom(), {
      name: 'wantRoom',
      args: { room: bedroom().rooms.order[0] ?? '', at: { day: 0, time: 0 } },
    });
    expect(basePlan(early).late).toBeGreaterThan(basePlan(early).finish);
    const sundays = edited(bedroom(), {
      name: 'setCrew',
      args: { set: { start: '2026-11-29', weekdays: [7], hours: [[480, 720]] } },
    });
    const weeks = basePlan(sundays);
    expect(faultsOf(scheduleContract(sundays, weeks))).toEqual([]);
    for (const p of weeks.placed) expect(Math.floor((begin(p) + 480) / 1440) % 7).toBe(0);
  });
});
