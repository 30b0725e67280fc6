import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage } from '../testing/jobs.ts';
import fc from 'fast-check';
import { applyEdit, type Edit } from '../job/edits.ts';
import { newJob } from '../job/create.ts';
import { newRoom, seededIds } from '../job/blank.ts';
import type { Job } from '../job/types.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { said } from '../units/word.ts';
import { wantedNext, type Known, type StepKey } from './next.ts';
import { assumedIn } from './rests.ts';

const cottage = openCottage();
const STEPS: readonly StepKey[] = ['measure', 'specify', 'order', 'technique', 'sequence', 'site', 'inspect', 'record'];
const known = (job: Job, more: Partial<Known> = {}): Known => ({
  job,
  takeoffs: takeoffJob(job),
  assumed: assumedIn(job),
  prices: { all: 12, samples: 12 },
  plan: { problems: 0, tasks: 9 },
  ...more,
});
const words = (step: StepKey, of: Known): string => said(wantedNext(step, of).say, 'imperial');
const done = (job: Job, edit: Edit): Job => {
  const result = applyEdit(job, edit);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value.job;
};

describe('what a step wants next', () => {
  test('one line in every step, whatever is known so far', () => {
    const anything = fc.record({ early: fc.boolean(), problems: fc.nat(2), step: fc.constantFrom(...STEPS) });
    fc.assert(
      fc.property(anything, ({ early, problems, step }) => {
        const of = early
          ? known(cottage, { assumed: null, plan: null, prices: null })
          : known(cottage, { plan: { problems, tasks: 0 } });
        const line = words(step, of);
        expect(line).toMatch(/^.{15,90}[.?]$/);
      }),
    );
  });
  test('nothing measured yet: that comes first, in every step', () => {
    const empty = newJob('j', 'New', 'imperial', [newRoom('r', 'Study', seededIds('r'), 'imperial')]);
    for (const step of STEPS)
      expect(wantedNext(step, known(empty))).toMatchObject({
        step: 'measure',
        room: 'r',
        say: expect.stringMatching(/^Study: \d walls? to measure, A next\.$/),
      });
  });
  test('the answers a price rests on are counted, and the first is one press away; then it is what to buy', () => {
    const { open } = assumedIn(cottage);
    const [first] = open;
    expect(wantedNext('specify', known(cottage))).toEqual({
      say: `${open.length} assumptions in this price: answer those you know.`,
      step: 'specify',
      room: first?.room,
      surface: first?.surface,
      ask: 'room',
    });
    expect(wantedNext('specify', known(cottage, { assumed: { open: [], guessed: [], members: {} } })).step).toBe(
      'order',
    );
  });
  test('without a day to begin on there are no dates; a plan that does not fit says so; an open defect is counted', () => {
    const { start: _, ...crew } = cottage.crew;
    const undated: Job = { ...cottage, crew: { ...crew, start: null } };
    expect(wantedNext('site', known(undated)).step).toBe('sequence');
    expect(words('sequence', known(undated))).toContain('on which day it begins');
    expect(words('sequence', known(cottage, { plan: { problems: 1, tasks: 0 } }))).toContain('cannot be planned');
    const [id] = cottage.defects.order;
    expect(words('inspect', known(cottage))).toMatch(/^1 defect to mend/);
    const mended = done(cottage, { name: 'setDefect', args: { defect: id ?? '', set: { state: 'left' } } });
    expect(words('inspect', known(mended))).toContain('Look along each wall');
  });
});
