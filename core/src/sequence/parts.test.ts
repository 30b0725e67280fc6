import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { readAny } from '../exchange/read.ts';
import { STARTING_DAYS, type Crew } from '../job/crew.ts';
import { editJob } from '../job/admit.ts';
import { openJob } from '../job/open.ts';
import { bedroom, DOOR, edited, withAccent } from '../testing/jobs.ts';
import { basePlan } from '../whole/plan.ts';
import { Board, choiceFor, type Rule } from './board.ts';
import { earliestOf, pathOf } from './bound.ts';
import { Calendar, calendarOf, type Span } from './calendar.ts';
import { conflictsOf } from './conflict.ts';
import { compile, travelBetween, type Activity, type Compiled, type Instance } from './instance.ts';
import { placedOf } from './placed.ts';
import { scoreOf, tailsOf } from './score.ts';

const activity = (id: string, work: number, more: Partial<Activity> = {}): Activity => ({
  id,
  work,
  people: 1,
  interruptible: false,
  after: [],
  room: null,
  paint: null,
  tool: null,
  who: null,
  hours: 'plain',
  at: null,
  by: null,
  uses: [],
  ...more,
});
const after = (task: string, minLag = 0, maxLag: number | null = null) => ({
  task,
  from: 'finish' as const,
  minLag,
  maxLag,
});
const days = (hours: readonly Span[]): Calendar =>
  new Calendar((day) => hours.map(([from, to]): Span => [day * 1440 + from, day * 1440 + to]));
const TRAVEL = { room: 1, paint: 2, tool: 0.5 };
const compiled = (tasks: readonly Activity[], people = 1, hours: readonly Span[] = [[0, 480]]): Compiled => {
  const instance: Instance = {
    tasks,
    calendars: { plain: Array.from({ length: people }, () => days(hours)) },
    capacity: {},
    apart: [],
    travel: TRAVEL,
  };
  const problem = compile(instance);
  if (!problem) throw new Error('a circle');
  return problem;
};
const ruleFor = ({ count }: Compiled, bias: readonly number[], more: Partial<Rule> = {}): Rule => ({
  wait: 1,
  stay: 1,
  least: 10,
  stranger: 0,
  bias: Float64Array.from({ length: count }, (_, i) => bias[i] ?? 0),
  home: new Int8Array(count).fill(-1),
  ...more,
});

describe('a crew takes work up by a rule', () => {
  const tasks = ['a', 'b', 'c'].map((id) => activity(id, 20));
  const orderOf = (problem: Compiled, board: Board): string[] => placedOf(problem, board).map(({ task }) => task.id);
  test('what counts least comes first', () => {
    const problem = compiled(tasks);
    const board = new Board(problem);
    expect(board.dispatch(ruleFor(problem, [5, 1, 3]))).toBe(true);
    expect(orderOf(problem, board)).toEqual(['b', 'c', 'a']);
  });
  test('who is somewhere with a paint stays with it, unless something else is urgent enough to go for', () => {
    const mixed = [0, 1, 2, 3].map((i) => activity(`t${i}`, 20, { room: i % 2 ? 'x' : 'y', paint: `p${i % 2}` }));
    const problem = compiled(mixed);
    const [board, hurried] = [new Board(problem), new Board(problem)];
    board.dispatch(ruleFor(problem, [0, 0, 0, 0]));
    const rooms = placedOf(problem, board).map(({ task }) => task.room);
    expect(rooms).toEqual(['y', 'y', 'x', 'x']);
    hurried.dispatch(ruleFor(problem, [0, -100, 0, 0]));
    expect(orderOf(problem, hurried)[0]).toBe('t1');
    // once there, all of it is done there: each room is gone to once either way
    expect(scoreOf(problem, hurried).travel).toBe(scoreOf(problem, board).travel);
  });
  test('work that is somebody’s is left to them where taking it costs too much', () => {
    const problem = compiled(tasks, 2);
    const board = new Board(problem);
    board.dispatch(ruleFor(problem, [0, 0, 0], { home: Int8Array.from([1, 1, 1]), stranger: 1e6 }));
    // nobody stands idle for it: a rule weighs, it does not forbid
    expect(new Set(placedOf(problem, board).flatMap(({ who }) => who))).toEqual(new Set([0, 1]));
    const mine = new Board(problem);
    mine.dispatch(ruleFor(problem, [0, 0, 0], { home: Int8Array.from([0, 1, 0]), stranger: 50 }));
    expect(placedOf(problem, mine).find(({ task }) => task.id === 'b')?.who).toEqual([1]);
  });
});

describe('what a plan comes to', () => {
  const anyTasks = fc
    .array(
      fc.record({
        work: fc.integer({ min: 1, max: 60 }),
        room: fc.constantFrom('x', 'y', null),
        paint: fc.constantFrom('p', 'q', null),
        tool: fc.constantFrom('brush', 'roller', null),
        lag: fc.option(fc.tuple(fc.nat(5), fc.nat(120))),
      }),
      { minLength: 1, maxLength: 9 },
    )
    .map((rows) =>
      rows.map(({ lag, work, ...more }, i) =>
        activity(`t${i}`, work, { ...more, after: lag && i > 0 ? [after(`t${lag[0] % i}`, lag[1])] : [] }),
      ),
    );
  test('law: hours are work, fetching and waiting; fetching is what lies between each two tasks of a person', () => {
    fc.assert(
      fc.property(anyTasks, fc.integer({ min: 1, max: 3 }), (tasks, people) => {
        const problem = compiled(tasks, people);
        const board = new Board(problem);
        expect(board.place(choiceFor(problem))).toBe(true);
        const { finish, travel, idle } = scoreOf(problem, board);
        let [fetched, hours] = [0, 0];
        for (const [person, calendar] of problem.plain.entries()) {
          const agenda = board.agenda(person);
          agenda.forEach((task, k) => {
            const before = k > 0 ? (tasks[agenda[k - 1] as number] as Activity) : null;
            fetched += travelBetween({ travel: TRAVEL }, before, tasks[task] as Activity);
          });
          const last = agenda.at(-1);
          if (last !== undefined) hours += calendar.worked(board.end[last] as number);
        }
        const work = tasks.reduce((sum, task) => sum + task.work, 0);
        expect(travel).toBeCloseTo(fetched, 9);
        expect(idle).toBeCloseTo(Math.max(0, hours - work - fetched), 6);
        expect(finish).toBe(Math.max(...board.end));
        // nobody is sooner than the longest chain of waits, nor is a tail longer than what is left
        expect(finish).toBeGreaterThanOrEqual(pathOf(problem) - 1e-6);
        tailsOf(problem).forEach((tail, i) =>
          expect((board.start[i] as number) + tail).toBeLessThanOrEqual(finish + 1e-6),
        );
      }),
      runs(40),
    );
  });
  test('law: earliest begins hold in every plan, and what they are told to wait for is there', () => {
    fc.assert(
      fc.property(anyTasks, (tasks) => {
        const problem = compiled(tasks, 2);
        const board = new Board(problem);
        board.place(choiceFor(problem));
        const { starts, from } = earliestOf(problem);
        starts.forEach((start, i) => {
          expect(start).toBeLessThanOrEqual((board.start[i] as number) + 1e-6);
          if (from[i] !== -1) expect(tasks[i]?.after.map(({ task }) => task)).toContain(tasks[from[i] as number]?.id);
        });
      }),
      runs(20),
    );
  });
  test('law: a pin is in conflict just where it lies before the earliest begin', () => {
    fc.assert(
      fc.property(anyTasks, fc.nat(8), fc.nat(400), (tasks, which, at) => {
        const n = which % tasks.length;
        const { starts } = earliestOf(compiled(tasks));
        const pinned = tasks.map((task, i) => (i === n ? { ...task, at } : task));
        const conflicts = conflictsOf(compiled(pinned).instance);
        expect(conflicts.map(({ task }) => task)).toEqual((starts[n] as number) > at + 0.5 ? [`t${n}`] : []);
        for (const { chain, earliest } of conflicts) {
          expect(earliest).toBeGreaterThan(at);
          expect(chain.at(-1)).toBe(`t${n}`);
        }
      }),
      runs(33),
    );
  });
});

test('law: each break takes what wrapping takes, the end of the day none; an hour too short for it is none', () => {
  const crew: Crew = { ...STARTING_DAYS, people: [], hours: [], start: null };
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 15, max: 200 }), { minLength: 1, maxLength: 4 }),
      fc.nat(14),
      (lengths, wrap) => {
        let at = 300;
        const hours = lengths.map((length): Span => {
          const own: Span = [at, at + length];
          at += length + 30;
          return own;
        });
        const worked = (cut: number) => calendarOf({ ...crew, hours }, null, { wrap: cut }).worked(1440 - 300);
        expect(worked(0) - worked(wrap)).toBeCloseTo(wrap * (hours.length - 1), 6);
      },
    ),
  );
});

describe('schools said otherwise', () => {
  test('a tape sheet divides the work; what is no division is refused with those there are', () => {
    const sheet = (line: string) =>
      readAny(
        `units ft\nroom R\nheight 8\n${['A 12', 'B 11', 'C 12', 'D 11'].map((wall) => `wall ${wall} R`).join('\n')}\n${line}\n`,
        'R',
      );
    const read = sheet('practice division seal-cut-roll');
    expect(read.ok && read.value.job.practice.division).toBe('seal-cut-roll');
    const wrong = sheet('practice division everybody');
    expect(wrong.ok ? '' : wrong.problems[0]?.message).toMatch(/“division” is one of free, ceilings-walls/);
  });
  test('neither an edit nor a file brings in a division or a promise that there is none of', () => {
    const job = bedroom();
    expect(editJob(job, { name: 'setPractice', args: { set: { division: 'four' as never } } }).ok).toBe(false);
    expect(editJob(job, { name: 'setPricing', args: { set: { promised: 'p99' as never } } }).ok).toBe(false);
    expect(openJob(JSON.stringify({ ...job, practice: { ...job.practice, division: 'four' } })).ok).toBe(false);
    expect(openJob(JSON.stringify(job)).ok).toBe(true);
  });
  test('all in a day without an accent: nothing is lapped by itself, and no colour comes before another', () => {
    const one = edited(bedroom(DOOR), { name: 'setPractice', args: { set: { trimOrder: 'one-day' } } });
    const because = (job: typeof one) =>
      new Set(basePlan(job).placed.flatMap(({ task }) => task.after.map((lag) => lag.because)));
    expect(because(one).has('lag.deep-first')).toBe(false);
    expect(because(withAccent(one)).has('lag.deep-first')).toBe(true);
    expect(
      because(edited(withAccent(one), { name: 'setPractice', args: { set: { trimOrder: 'trim-last' } } })).has(
        'lag.first-thing',
      ),
    ).toBe(false);
  });
});
