import { describe, expect, test } from '@jest/globals';
import { viewSchedule } from '@kovelin/core/sequence/view.ts';
import { BASEBOARD, bedroom, DOOR } from '@kovelin/core/testing/jobs.ts';
import { basePlan } from '@kovelin/core/whole/plan.ts';
import { wholeOf } from '@kovelin/core/whole/whole.ts';
import { axisOf } from './axis.ts';
import { peopleRows, surfaceRows } from './rows.ts';

const job = bedroom(DOOR + BASEBOARD);
const { takeoffs } = wholeOf(job);
const schedule = viewSchedule(basePlan(job), takeoffs);
const axis = axisOf(schedule.workingTime, job.crew, null);
const length = (bars: readonly { from: number; to: number }[]) =>
  bars.reduce((sum, { from, to }) => sum + to - from, 0);

describe('a row a person', () => {
  const rows = peopleRows(schedule, job.crew, axis, 'imperial');
  test('holds all they do, nothing twice, setting up and cleaning up at either end of each day', () => {
    expect(rows.map(({ label }) => label)).toEqual(job.crew.people.map(({ name }) => name));
    for (const { person, bars, frames } of rows) {
      const own = schedule.tasks.filter((task) => task.who.includes(person ?? -1));
      expect(length(bars)).toBeCloseTo(
        own.reduce((sum, task) => sum + task.work, 0),
        6,
      );
      const sorted = [...bars].sort((a, b) => a.from - b.from);
      for (const [i, bar] of sorted.entries())
        if (i > 0) expect(bar.from).toBeGreaterThanOrEqual((sorted[i - 1]?.to ?? 0) - 1e-6);
      expect(frames).toHaveLength(2 * schedule.personDays.filter((p) => p.person === person).length);
    }
  });
  test('a wait is told with what is waited for, and lies between two tasks', () => {
    const gaps = rows.flatMap((row) => row.gaps.map((gap) => ({ ...gap, bars: row.bars })));
    expect(gaps.length).toBeGreaterThan(0);
    for (const { from, to, because, bars } of gaps) {
      expect(to - from).toBeGreaterThanOrEqual(10);
      expect(because.length).toBeGreaterThan(5);
      for (const bar of bars) expect(bar.to <= from + 1e-6 || bar.from >= to - 1e-6).toBe(true);
    }
  });
  test('one day alone holds that day’s tasks', () => {
    const first = axisOf(schedule.workingTime, job.crew, 0);
    const tasks = peopleRows(schedule, job.crew, first, 'metric').flatMap((row) => row.bars.map((bar) => bar.task));
    for (const task of tasks) expect(task.pieces[0]?.[0]).toBeLessThan(960);
    expect(tasks.length).toBeLessThan(schedule.tasks.length);
  });
});

test('a row a surface: its tasks, what dries after each coat; the room’s own come first', () => {
  const [takeoff] = takeoffs;
  if (!takeoff) throw new Error('a room');
  const rows = surfaceRows(schedule, takeoff, axis, 'imperial');
  expect(rows[0]?.label).toBe('All of it');
  expect(rows.flatMap(({ bars }) => bars.map(({ task }) => task.id)).sort()).toEqual(
    schedule.tasks.flatMap((task) => task.pieces.map(() => task.id)).sort(),
  );
  for (const { drying, bars } of rows)
    for (const dry of drying) {
      expect(dry.to).toBeGreaterThanOrEqual(dry.from);
      expect(bars.some(({ to }) => Math.abs(to - dry.from) < 1e-6)).toBe(true);
    }
});
