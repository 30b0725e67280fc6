import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Job } from '../job/types.ts';
import { BASEBOARD, bedroom, DOOR, edited, fewPlans } from '../testing/jobs.ts';
import { overtimeFor } from '../whole/overtime.ts';
import { basePlan } from '../whole/plan.ts';
import { variantEdits, variantPlan } from '../whole/variants.ts';
import { wholeOf } from '../whole/whole.ts';
import { conflictsOf } from './conflict.ts';
import { surfacesAt } from './through.ts';
import { viewSchedule, type ScheduleView, type TaskView } from './view.ts';

const seen = (job: Job): ScheduleView => viewSchedule(basePlan(job), wholeOf(job).takeoffs);
const start = (task: TaskView): number => task.pieces[0]?.[0] ?? 0;
const end = (task: TaskView): number => task.pieces.at(-1)?.[1] ?? 0;
const job = fewPlans(bedroom(DOOR + BASEBOARD));
const plan = seen(job);
const byId = new Map(plan.tasks.map((task) => [task.id, task]));

describe('why a task does not begin sooner', () => {
  test('nothing that held a task is later than its begin, and a lag is as long as it says', () => {
    let lags = 0;
    for (const task of plan.tasks) {
      if (!task.held) continue;
      expect(task.held.until).toBeLessThanOrEqual(start(task) + 1);
      const other = byId.get(task.held.task);
      if (!other) throw new Error('held by what is not there');
      expect(start(other)).toBeLessThanOrEqual(start(task) + 1e-6);
      if (task.held.by === 'person') expect(other.who).toContain(task.held.person);
      if (task.held.by === 'lag') lags++;
    }
    expect(lags).toBeGreaterThan(5);
  });
  test('the chain goes from the first hour to the end without a gap that nothing explains', () => {
    const chain = plan.chain.map((id) => byId.get(id) as TaskView);
    expect(end(chain.at(-1) as TaskView)).toBe(plan.finish);
    expect(chain[0]?.held ?? null).toBeNull();
    expect(start(chain[0] as TaskView)).toBeLessThan(60);
    for (const [i, task] of chain.entries()) if (i > 0) expect(task.held?.task).toBe(chain[i - 1]?.id);
  });
});

describe('surfaces through time', () => {
  const surfaces = [...new Set(plan.tasks.filter((t) => t.name !== null).map((t) => t.surface))];
  test('at the beginning nothing is begun, at the end all of it is done', () => {
    for (const state of surfacesAt(plan.tasks, -1).values()) expect(state).toMatchObject({ state: 'waits', coats: 0 });
    const last = surfacesAt(plan.tasks, plan.finish);
    expect([...last.keys()].sort()).toEqual([...surfaces].sort());
    for (const state of last.values()) expect([state.state, state.coats]).toEqual(['done', state.of]);
  });
  test('law: coats never become fewer; what is worked on is worked on by somebody, what dries was laid', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: plan.finish, noNaN: true }),
        fc.double({ min: 0, max: 600, noNaN: true }),
        (t, more) => {
          const [now, later] = [surfacesAt(plan.tasks, t), surfacesAt(plan.tasks, t + more)];
          for (const [surface, state] of now) {
            expect(later.get(surface)?.coats).toBeGreaterThanOrEqual(state.coats);
            const own = plan.tasks.filter((task) => task.surface === surface);
            const isOn = own.some((task) => start(task) <= t && t < end(task));
            expect(state.state === 'worked-on').toBe(isOn);
            if (state.state === 'drying')
              expect(own.some((task) => end(task) <= t && end(task) + task.drying > t)).toBe(true);
          }
        },
      ),
    );
  });
});

describe('what cannot be', () => {
  const wanted = (time: number): Job =>
    edited(job, { name: 'wantRoom', args: { room: job.rooms.order[0] ?? '', at: { day: 0, time } } });
  test('a room wanted back too soon: the chain that rules it out, each link as late as the one before and its lag ask', () => {
    const { conflicts } = seen(wanted(720));
    expect(conflicts).toHaveLength(1);
    const [conflict] = conflicts;
    if (!conflict) throw new Error('no conflict');
    expect(conflict).toMatchObject({ of: 'wanted', asked: 240, anchored: false });
    expect(conflict.earliest).toBeGreaterThan(240);
    // with any number of people it ends no sooner: no plan of ours does
    expect(conflict.earliest).toBeLessThanOrEqual(plan.finish + 1e-6);
    for (const [i, id] of conflict.chain.entries()) if (i > 0) expect(byId.get(id)?.waits.length).toBeGreaterThan(0);
    expect(conflict.chain.at(-1)).toBe(conflict.task);
  });
  test('a pin that another pin rules out: both are in it; of two that follow from each other the first is told', () => {
    const looks = plan.tasks.find((t) => t.kind === 'look');
    const touches = plan.tasks.find((t) => t.kind === 'touch-up');
    const wash = plan.tasks.find((t) => t.kind === 'wash');
    if (!looks || !touches || !wash) throw new Error('tasks missing');
    const pin = (task: TaskView, day: number) =>
      ({ name: 'pinTask', args: { task: task.id, pin: { at: { day, time: 600 }, who: null } } }) as const;
    const { conflicts } = seen(edited(job, pin(wash, 4), pin(looks, 3), pin(touches, 3)));
    expect(conflicts.map(({ task, anchored }) => [task, anchored])).toEqual([[looks.id, true]]);
    expect(conflicts[0]?.chain[0]).toBe(wash.id);
    expect(conflictsOf(basePlan(edited(job, pin(looks, 6))).network)).toEqual([]);
  });
});

describe('other ways of doing it', () => {
  test('overtime is offered where it saves a day, and is the least that was tried', () => {
    const plain = fewPlans(bedroom());
    const offers = [420, 525, 540].map((length) => {
      const hours = [[480, 480 + length] as const];
      const shorter = edited(plain, { name: 'setCrew', args: { set: { hours } } });
      const offer = overtimeFor(shorter);
      if (!offer) return null;
      const longer = basePlan(edited(shorter, { name: 'setCrew', args: { set: { hours: offer.hours } } }));
      expect(longer.finish).toBe(offer.finish);
      expect(offer.hours).toEqual([[480, 480 + length + offer.minutes]]);
      expect(Math.floor(offer.finish / 1440)).toBeLessThan(Math.floor(basePlan(shorter).finish / 1440));
      return offer.minutes;
    });
    // an hour more of the first ends it no day sooner; what the others need is the same moment
    expect(offers[0]).toBeNull();
    expect(offers.slice(1).every((minutes) => minutes !== null && minutes <= 60)).toBe(true);
  });
  test('a variant is what its edits make of the job; the one that changes nothing is the job', () => {
    const as = (...args: Parameters<typeof variantEdits>) => variantPlan(edited(args[0], ...variantEdits(...args)));
    const now = variantPlan(job);
    expect(variantEdits(job, { trimOrder: job.practice.trimOrder, people: 2, shift: 0 })).toEqual([]);
    expect(now.finish).toBe(plan.finish);
    expect(now.p90).toBeGreaterThan(plan.finish);
    const alone = as(job, { people: 1 });
    expect(alone.finish).toBeGreaterThan(plan.finish);
    expect(as(job, { people: 3 }).finish).toBeLessThanOrEqual(plan.finish);
    // trim last leaves fewer edges to be cut with care
    expect(as(job, { trimOrder: 'trim-last' }).cutting).toBeLessThan(now.cutting);
    expect(as(job, { conditioner: true }).seen).toBeLessThanOrEqual(now.seen);
    expect(edited(job, ...variantEdits(job, { shift: 60 })).crew.hours).toEqual(
      job.crew.hours.map(([from, to]) => [from + 60, to + 60]),
    );
  });
});
