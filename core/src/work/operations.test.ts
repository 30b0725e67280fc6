import { describe, expect, test } from '@jest/globals';
import { readAny } from '../exchange/read.ts';
import { applyEdit, type Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import type { Survey } from '../job/surveyed.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { wholeOf } from '../whole/whole.ts';
import { tasksOf } from '../sequence/tasks.ts';
import { FOOT } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { maskedLength, type Operation } from './operations.ts';

const SHEET = `units ft
room Study
height 8
wall A 12 R
wall B 10 R
wall C 12 R
wall D 10 R
door d on A 2'6 x 6'8 at 3 casing 2 1/2"
window w on C 12 x 7'6 at 0 sill 6"
trim baseboard 6"
`;
function study(...edits: Edit[]): Job {
  const opened = readAny(SHEET, 'Study');
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  let { job } = opened.value;
  for (const edit of edits) {
    const done = applyEdit(job, edit);
    if (!done.ok) throw new Error(done.problems[0]?.message);
    job = done.value.job;
  }
  return job;
}
const room = Object.values(study().rooms.byId)[0];
const wall = (index: number) => `${room?.walls.order[index]}/field`;
const find = (job: Job, id: string) => wholeOf(job).operations.find((op) => op.id === id) as Operation;

describe('minutes, worked by hand from the starting paces', () => {
  test('a wall is cut along its lines and rolled over its painted area, each after a load', () => {
    const job = study();
    const ceilingLine = 12;
    const corners = 16;
    const baseboard = 12 - 2.5 - 5 / 12;
    const casing = 2 * (6 + 8 / 12 + 2.5 / 12) + 2.5 + 5 / 12;
    expect(find(job, `${wall(0)}:cut1`).minutes.value).toBeCloseTo(
      ((ceilingLine + corners + baseboard + casing) * FOOT) / 0.9 + 3,
      9,
    );
    const area = wholeOf(job).surfaces.find((s) => s.surface.id === wall(0))?.surface.area.value ?? 0;
    expect(find(job, `${wall(0)}:roll2`).minutes.value).toBeCloseTo(area / 0.6 + 3, 9);
    expect(find(job, `${room?.id}:protect`).minutes.value).toBeCloseTo((120 * FOOT ** 2) / 1, 9);
  });

  test('every operation’s minutes follow from its terms, and a changed pace changes them', () => {
    for (const op of wholeOf(study()).operations) expect(evaluate(op.minutes)).toBeCloseTo(op.minutes.value, 12);
    const slow = study({ name: 'setSetting', args: { key: 'pace.roll', value: 0.3 } });
    const load = 3;
    expect(find(slow, `${wall(1)}:roll1`).minutes.value - load).toBeCloseTo(
      2 * (find(study(), `${wall(1)}:roll1`).minutes.value - load),
      9,
    );
  });

  test('a poor surface takes its preparation twice as long', () => {
    const prep = (set: Partial<Survey>) =>
      find(study({ name: 'setSurvey', args: { scope: wall(1), set } }), `${wall(1)}:prep`).minutes.value;
    const repairs = { pinhole: 0, coin: 0, large: 0, anchor: 0 };
    expect(prep({ condition: 'peeling', repairs })).toBeCloseTo(2 * prep({ repairs }), 9);
    // holes by their class: 10 x 1/2 + 2 x 4 + 15 + 3 x 2 minutes
    expect(prep({ repairs: { pinhole: 10, coin: 2, large: 1, anchor: 3 } }) - prep({ repairs })).toBeCloseTo(34, 9);
  });

  test('gross school: an ordinary opening stays in what labour is priced on, one over the threshold does not', () => {
    const gross = study({ name: 'setPractice', args: { set: { openings: 'gross' } } });
    expect(find(gross, `${wall(1)}:roll1`).minutes.value).toBeCloseTo((80 * FOOT ** 2) / 0.6 + 3, 9);
    expect(find(gross, `${wall(0)}:roll1`).minutes.value).toBeCloseTo((96 * FOOT ** 2) / 0.6 + 3, 9);
    const small = study(
      { name: 'setPractice', args: { set: { openings: 'gross' } } },
      { name: 'setSetting', args: { key: 'openings.threshold', value: 5 } },
    );
    expect(find(small, `${wall(2)}:roll1`).minutes.value).toBeLessThan(find(gross, `${wall(2)}:roll1`).minutes.value);
  });

  test('as many coats as decided, a full primer where one is needed', () => {
    const kinds = (job: Job, surface: string) =>
      wholeOf(job)
        .operations.filter((op) => op.surface === surface)
        .map((op) => op.kind + (op.coat || ''));
    const oil: Edit = { name: 'setSurvey', args: { scope: wall(1), set: { coat: 'oil' } } };
    const three: Edit = { name: 'decide', args: { surface: wall(1), member: 'coats', value: 3 } };
    expect(kinds(study(oil, three), wall(1))).toEqual([
      'prep',
      'prime1',
      'cut1',
      'roll1',
      'cut2',
      'roll2',
      'cut3',
      'roll3',
    ]);
    expect(
      kinds(
        study({
          name: 'setSurvey',
          args: { scope: wall(1), set: { repairs: { pinhole: 0, coin: 0, large: 0, anchor: 0 } } },
        }),
        wall(1),
      ),
    ).not.toContain('prime1');
  });

  test('trim first tapes its edges; trim last shields the floor', () => {
    const [first, last] = (['trim-first', 'trim-last'] as const).map((trimOrder) => {
      const job = study({ name: 'setPractice', args: { set: { trimOrder } } });
      return maskedLength(job, takeoffJob(job)[0] as never) / FOOT;
    });
    const baseboard = 44 - 2.5 - 5 / 12;
    expect(last).toBeCloseTo(baseboard, 9);
    expect(first).toBeCloseTo(baseboard + 2 * (6 + 8 / 12 + 2.5 / 12) + 2.5 + 5 / 12, 9);
  });
});

describe('tasks and their lags', () => {
  const lag = (job: Job, id: string, before: string) =>
    tasksOf(job, wholeOf(job).operations, 240)
      .find((t) => t.id === id)
      ?.after.filter((l) => l.task === before);
  test('the last coat is rolled while its cut is wet; an earlier one may wait', () => {
    expect(lag(study(), `${wall(0)}:roll2`, `${wall(0)}:cut2`)).toEqual([
      { task: `${wall(0)}:cut2`, from: 'finish', minLag: 0, maxLag: 15 },
    ]);
    expect(lag(study(), `${wall(0)}:roll1`, `${wall(0)}:cut1`)).toEqual([expect.objectContaining({ maxLag: null })]);
  });
  test('a coat waits for the label’s recoat time, in elapsed minutes', () => {
    const job = study();
    expect(lag(job, `${wall(0)}:cut2`, `${wall(0)}:roll1`)?.[0]?.minLag).toBe(120);
    const ceiling = `${room?.id}/ceiling`;
    expect(lag(job, `${ceiling}:cut2`, `${ceiling}:roll1`)?.[0]?.minLag).toBe(90);
    expect(lag(job, `${wall(0)}:cut1`, `${ceiling}:roll1`)?.[0]?.minLag).toBe(45);
  });
  test('filler dries before the first coat, and every surface is prepared before any is painted', () => {
    const job = study();
    const first = tasksOf(job, wholeOf(job).operations, 240).find((t) => t.id === `${wall(0)}:prime1`);
    const preps = wholeOf(job).operations.filter((op) => op.kind === 'prep');
    expect(first?.after.filter((l) => /:prep$/.test(l.task)).map((l) => l.minLag)).toEqual(preps.map(() => 60));
  });
  test('a surface too long for one person in a stretch gets another', () => {
    const job = study({ name: 'setSetting', args: { key: 'pace.roll', value: 0.025 } });
    expect(tasksOf(job, wholeOf(job).operations, 240).find((t) => t.id === `${wall(1)}:roll1`)?.people).toBe(2);
  });
});
