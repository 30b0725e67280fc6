import { describe, expect, test } from '@jest/globals';
import { learnedFactor } from '../paces/learned.ts';
import { tickId } from '../site/lists.ts';
import type { LogEntry } from '../site/entry.ts';
import type { Job } from '../job/types.ts';
import { bedroom, BASEBOARD, DOOR, edited } from '../testing/jobs.ts';
import { at, loggedPlan, writer } from '../testing/site-log.ts';
import { baseOrder, basePlan } from './plan.ts';
import { edgeLeft, shortOf } from '../site/next.ts';
import { changeOf, networkOn, plannedPaint, siteView } from './site.ts';
import { wholeOf } from './whole.ts';

const plainRoom = bedroom(`${DOOR}${BASEBOARD}`);
const job: Job = { ...plainRoom, crew: { ...plainRoom.crew, start: '2026-12-01', zone: 'UTC' } };
const [one, two] = job.crew.people.map(({ id }) => id);
const plan = basePlan(job);
const logged = loggedPlan(
  plan.placed,
  job.crew.people.map(({ name }) => name),
  1,
);
const until = (minutes: number): LogEntry[] =>
  logged.filter(({ at }) => Date.parse(at) <= Date.parse('2026-12-01T08:00:00Z') + minutes * 60_000);

describe('what Site shows of a moment', () => {
  test('nothing noted: everybody’s first task is theirs by the plan, and nothing runs', () => {
    const view = siteView(job, [], 20);
    expect(view.people.map(({ on }) => on)).toEqual([null, null]);
    for (const [person, { next }] of view.people.entries()) {
      const [first] = plan.placed.filter(({ who }) => who.includes(person));
      expect(next[0]?.task).toBe(first?.task.id);
    }
    expect([view.clocks, view.covered, view.odd, view.running]).toEqual([[], [], [], []]);
    expect(view.schedule.finish).toBeCloseTo(plan.finish, 6);
  });
  test('half a day later: who is on what, since when, for how long by the plan; done tasks are where they were', () => {
    const now = 340;
    const view = siteView(job, until(now), now);
    for (const { on, since, planned } of view.people) {
      if (on === null) continue;
      const task = plan.placed.find((p) => p.task.id === on)?.task;
      expect(planned).toBeCloseTo(task?.work ?? -1, 9);
      expect(since).toBeLessThanOrEqual(now);
      expect(view.running).toContain(on);
    }
    expect(view.people.some(({ on }) => on !== null)).toBe(true);
    const next = view.people.flatMap((person) => person.next.map(({ task }) => task));
    const done = new Set(until(now).flatMap((entry) => (entry.kind === 'done' ? [entry.operation] : [])));
    expect(next.filter((id) => done.has(id))).toEqual([]);
    expect(view.schedule.tasks).toHaveLength(plan.placed.length);
  });
  test('a coat over one that is wet: what it waits for and until when is known; begun all the same, its start is said to be early', () => {
    const { tasks } = networkOn(job).network;
    const second = tasks.find(({ after }) =>
      after.some(({ because, minLag }) => because === 'lag.recoat' && minLag > 60),
    );
    const lag = second?.after.find(({ because }) => because === 'lag.recoat');
    if (!second || !lag) throw new Error('no second coat');
    const van = writer('van');
    const others = plan.placed.filter(({ task }) => task.id !== second.id && task.coat < second.coat + 1);
    for (const { task } of others)
      if (task.id !== lag.task) van.says(1, { kind: 'done', who: one ?? '', operation: task.id });
    van.says(10, { kind: 'start', who: one ?? '', operation: lag.task });
    van.says(40, { kind: 'done', who: one ?? '', operation: lag.task });
    const waits = siteView(job, van.entries, 41)
      .people.flatMap(({ next }) => next)
      .find(({ task }) => task === second.id)?.waits;
    expect(waits?.until).toBeGreaterThanOrEqual(40 + lag.minLag);
    van.says(60, { kind: 'start', who: one ?? '', operation: second.id, note: 'dry to the touch' });
    const early = siteView(job, van.entries, 61);
    expect(early.odd).toContainEqual({ entry: van.entries.at(-1)?.id, because: 'early' });
    // begun when it is dry it is not
    const later = [...van.entries.slice(0, -1), { ...van.entries.at(-1), at: at(40 + lag.minLag) } as LogEntry];
    expect(siteView(job, later, 41 + lag.minLag).odd.filter(({ because }) => because === 'early')).toEqual([]);
  });
  test('a coat that does not fit before the break; one put down: on to a near corner, feathered, or left where its edge has set', () => {
    const { tasks, calendars } = networkOn(job).network;
    const roll = tasks.find(({ kind, work }) => kind === 'wet' || (kind === 'roll' && work > 20));
    const calendar = calendars['plain']?.[0];
    if (!roll || !calendar) throw new Error('nothing is rolled');
    const [morning] = calendar.within(0, 600);
    const end = morning?.[1] ?? 0;
    const short = shortOf(roll, calendar, end - roll.work / 2);
    expect(short?.left).toBeCloseTo(roll.work / 2, 6);
    expect(short?.goesOn).toBeGreaterThan(end);
    expect(shortOf(roll, calendar, end - roll.work - 1)).toBeNull();
    expect(shortOf({ ...roll, interruptible: true }, calendar, end - 1)).toBeNull();
    const edge = (since: number, due: number | null) => edgeLeft({ ...roll, work: 40 }, since, due, 100)?.way;
    expect([edge(65, 120), edge(90, 120), edge(65, 99), edge(65, null)]).toEqual([
      'corner',
      'feather',
      'rub',
      'corner',
    ]);
    expect(edgeLeft({ ...roll, kind: 'sand' }, 90, null, 100)).toBeNull();
  });
  test('cans: what is left against what is still to be laid; the batch opened is no longer to be opened', () => {
    const [pot] = siteView(job, [], 0).pots;
    const [line] = wholeOf(job).paints;
    if (!pot || !line) throw new Error('no paint');
    const own = plannedPaint(job).filter(({ paint }) => paint === pot.paint);
    expect(pot.needed).toBeCloseTo(
      own.reduce((sum, { litres }) => sum + litres, 0),
      9,
    );
    expect([pot.left, pot.opened, pot.unopened]).toEqual([null, 0, line.ordered + line.fromShelf]);
    const van = writer('van');
    van.says(5, { kind: 'can', who: one ?? '', value: { paint: pot.paint, litres: 2, batch: 'K7' } });
    van.says(6, { kind: 'litres', who: one ?? '', value: { paint: pot.paint, left: 0.5, by: 'weight' } });
    const then = siteView(job, van.entries, 10).pots[0];
    expect(then?.left).toBe(0.5);
    expect(then?.unopened).toBeCloseTo(line.ordered + line.fromShelf - 2, 9);
    // a litre that was not there is a slip, and is taken back
    van.says(7, { kind: 'correct', who: one ?? '', corrects: 'van-2', value: { removed: true } });
    expect(siteView(job, van.entries, 10).pots[0]?.left).toBe(2);
    // what is on the shelf is there to be opened like what was bought
    const { product, sheen, colour } = line;
    const can = { id: 's', product: product.id, sheen, colour: colour?.id ?? '', litres: 1.5, batch: '' };
    const shelved = edited(job, { name: 'addShelfCan', args: { can } });
    const [again] = wholeOf(shelved).paints;
    expect(again?.fromShelf).toBe(1.5);
    expect(siteView(shelved, [], 0).pots[0]?.unopened).toBeCloseTo((again?.ordered ?? NaN) + 1.5, 9);
  });
  test('what was accepted of a paint’s spread is not counted twice in what is still to be laid', () => {
    const [pot] = siteView(job, [], 0).pots;
    const product = pot?.paint.split('|')[0] ?? '';
    const taught = edited(job, {
      name: 'setLearned',
      args: { set: { spreads: [{ product, texture: 'smooth', log: 0.2, sd: 0.1, m: 3, date: '2026-12-02' }] } },
    });
    expect(siteView(taught, [], 0).pots[0]?.needed).toBeCloseTo(pot?.needed ?? 0, 9);
  });
  test('the lists are the day’s; ticks and reasons are those of the log', () => {
    const van = writer('van');
    van.says(1, { kind: 'done', who: one ?? '', operation: tickId(0, 'rag') });
    van.says(2, { kind: 'cover', who: one ?? '', value: { thing: 'Loft: n1' } });
    const view = siteView(job, van.entries, 30);
    expect(view.ticks).toEqual([tickId(0, 'rag')]);
    expect(view.keepsOpen).toEqual(['Loft: n1']);
    expect(view.list.map(({ part }) => part)).toEqual(
      [...view.list.map(({ part }) => part)].sort((a, b) => ORDER.indexOf(a) - ORDER.indexOf(b)),
    );
    expect(view.list.some(({ id }) => id === 'cloths')).toBe(true);
    expect([view.day, siteView(job, [], 1500).day]).toEqual([0, 1]);
  });
});
const ORDER = ['before', 'during', 'break', 'end'];

describe('a new plan of the rest', () => {
  test('as planned it ends no later, and what it moves is told', () => {
    const change = changeOf(job, until(150), 150);
    expect(change.planned).toBeCloseTo(plan.finish, 6);
    expect(change.anew).toBeLessThanOrEqual(change.goesOn + 0.05);
    expect(change.plan.order).toHaveLength(plan.placed.length);
    for (const id of change.moved) expect(change.plan.order).toContain(id);
  });
  test('three hours of nothing noted: it goes on from now, and ends later than planned', () => {
    const change = changeOf(job, until(60), 240);
    expect(change.goesOn).toBeGreaterThan(change.planned);
    expect(change.anew).toBeGreaterThanOrEqual(240);
    // taken, the job goes on by it
    const taken = edited(job, { name: 'takePlan', args: { plan: change.plan } });
    expect(siteView(taken, until(60), 240).schedule.finish).toBeCloseTo(change.anew, 0);
  });
});

describe('paces that were learned', () => {
  const rate = { sd: 0.1, m: 4, date: '2026-12-02' };
  const pace = (person: string | undefined, log: number, sd = 0.1) =>
    ({ person: person ?? '', kind: 'roll', coat: 'later', ...rate, log, sd }) as const;
  const factor = (...paces: readonly ReturnType<typeof pace>[]) =>
    learnedFactor({ crew: job.crew, learned: { paces, spreads: [] } }, 'roll', 2);
  test('the crew’s is the mean of its people’s; of whom nothing is known, as planned', () => {
    expect(factor()).toBe(1);
    expect(factor(pace(one, 0.2), pace(two, -0.2))).toBeCloseTo(1, 12);
    expect(factor(pace(one, 0.2))).toBeCloseTo(Math.exp(-0.1), 12);
    expect(factor(pace('somebody who left', 1))).toBe(1);
  });
  test('what is surer weighs more; first coats and other work have their own', () => {
    const wet = { ...pace(one, 0.4, 0.2), kind: 'wet' } as const;
    const both = learnedFactor({ crew: job.crew, learned: { paces: [pace(one, 0.1), wet], spreads: [] } }, 'roll', 2);
    expect(Math.log(both)).toBeCloseTo(-(0.1 / 0.01 + 0.4 / 0.04) / (1 / 0.01 + 1 / 0.04) / 2, 12);
    const learned = { paces: [pace(one, 0.3)], spreads: [] };
    expect(learnedFactor({ crew: job.crew, learned }, 'roll', 1)).toBe(1);
    expect(learnedFactor({ crew: job.crew, learned }, 'brush', 2)).toBe(1);
    expect(learnedFactor({ crew: job.crew, learned }, 'set-up', 2)).toBe(1);
  });
});

test('brushes that are wrapped and not washed shorten every day of everybody, and the price says by how much', () => {
  const bagged: Job = { ...job, practice: { ...job.practice, washing: 'bagged' } };
  const [washed, wrapped] = [baseOrder(job), baseOrder(bagged)];
  expect(wrapped.labour.minutes).toBeLessThan(washed.labour.minutes);
  expect(wrapped.price.total).toBeLessThan(washed.price.total);
  const cleaned = (of: Job) => basePlan(of).personDays[0]?.cleanUp ?? [0, 0];
  const [a, b] = [cleaned(job), cleaned(bagged)];
  expect([a[1] - a[0], b[1] - b[0]]).toEqual([25, 15]);
});

test('an edit of several is all of them or none', () => {
  const practice = { name: 'setPractice', args: { set: { trimOrder: 'trim-last' } } } as const;
  const done = edited(job, {
    name: 'together',
    args: { edits: [practice, { name: 'renameJob', args: { name: 'Mill' } }] },
  });
  expect([done.practice.trimOrder, done.name]).toEqual(['trim-last', 'Mill']);
  for (const wrong of [
    { name: 'renameJob', args: { name: '' } },
    { name: 'patch', args: { patches: [] } },
    { name: 'constructor', args: {} },
  ])
    expect(() => edited(job, { name: 'together', args: { edits: [practice, wrong] } })).toThrow();
});
