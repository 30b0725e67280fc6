import { describe, expect, test } from '@jest/globals';
import type { Survey } from '../job/surveyed.ts';
import type { Job } from '../job/types.ts';
import { said } from '../units/word.ts';
import { bedroom, BASEBOARD, DOOR, edited } from '../testing/jobs.ts';
import { wholeOf } from '../whole/whole.ts';
import { SHOWS, standWord } from '../words/looks.ts';
import { looksOf, showsOn, type ShowsAsk } from './looks.ts';

const plain = bedroom(`${DOOR}${BASEBOARD}`);
const ASK: ShowsAsk = { laps: 0.05, taped: false, unboxed: false };
const wall = (job: Job) => {
  const found = wholeOf(job).surfaces.find(({ surface }) => surface.kind === 'wall');
  if (!found) throw new Error('no wall');
  return found;
};
const surveyed = (set: Partial<Survey>): Job => edited(plain, { name: 'setSurvey', args: { scope: 'all:wall', set } });
const weight = (job: Job, kind: string, ask: ShowsAsk = ASK): number =>
  showsOn(wall(job), ask).find((one) => one.kind === kind)?.weight ?? 0;
const deep = edited(
  plain,
  { name: 'setColour', args: { colour: { id: 'deep', name: 'deep', hex: '#22394f' } } },
  { name: 'setFinish', args: { scope: 'all:wall', finish: { product: 'paint-wall', colour: 'deep' } } },
);

describe('what tends to show [common practice, no source; weights starting judgement]', () => {
  test('deep colours show laps and misses, and say why; laps go with their chance', () => {
    expect(weight(deep, 'miss')).toBeGreaterThan(weight(plain, 'miss'));
    const ask = { ...ASK, laps: 0.6 };
    expect(weight(deep, 'lap', ask)).toBeGreaterThan(weight(plain, 'lap', ask));
    expect(weight(plain, 'lap', ask)).toBeGreaterThan(weight(plain, 'lap'));
    expect(showsOn(wall(deep), ask).find(({ kind }) => kind === 'lap')?.because).toEqual(['lap', 'deep']);
    expect(weight(plain, 'lap', { ...ASK, laps: null })).toBe(0);
  });
  test('raking light, filled holes, stains, damp, tape on a rough ground and cans as they come each show what they show', () => {
    expect(weight(surveyed({ raking: 'yes' }), 'tracks')).toBeGreaterThan(weight(plain, 'tracks'));
    const holes = { pinhole: 20, coin: 4, large: 1, anchor: 0 };
    expect(weight(surveyed({ repairs: holes }), 'flashing')).toBeGreaterThan(weight(plain, 'flashing'));
    expect(weight(surveyed({ stains: ['water'] }), 'bleeding')).toBeGreaterThan(0);
    expect(weight(surveyed({ damp: 'yes' }), 'blistering')).toBeGreaterThan(0);
    const taped = { ...ASK, taped: true };
    expect(weight(surveyed({ texture: 'knockdown' }), 'tape-bleed', taped)).toBeGreaterThan(
      weight(plain, 'tape-bleed', taped),
    );
    expect(weight(plain, 'shade', { ...ASK, unboxed: true })).toBeGreaterThan(0);
    for (const { because } of showsOn(wall(deep), taped)) for (const rule of because) expect(SHOWS[rule]).toBeTruthy();
  });
  test('woodwork runs and sticks, and has no laps', () => {
    const door = wholeOf(plain).surfaces.find(({ surface }) => surface.kind === 'door');
    if (!door) throw new Error('no door');
    const kinds = showsOn(door, ASK).map(({ kind }) => kind);
    expect(kinds).toEqual(expect.arrayContaining(['run', 'blocking']));
    expect(kinds).not.toContain('lap');
  });
});

test('where to stand: from the other end when the sun rakes it, towards the window by day, with a lamp otherwise', () => {
  const room = Object.values(plain.rooms.byId)[0];
  const window = Object.values(room?.openings.byId ?? {}).find(({ kind }) => kind === 'window');
  const of = { surface: 'a/field', room: room?.id ?? '', sun: [], grazedBy: [], trim: false };
  const sun = [{ from: 540, to: 600, windows: [window?.id ?? ''], side: 'left' as const }];
  const stand = (more: Partial<Parameters<typeof standWord>[0]>) =>
    said(standWord({ ...of, ...more }, plain), 'metric');
  expect(stand({ sun })).toBe(
    'between 9:00 and 10:00, when the sun rakes it through window w: from its right end, looking along it',
  );
  expect(stand({ grazedBy: ['w', 'x'] })).toContain('towards windows w and x');
  expect(stand({})).toContain('a lamp held flat to it');
  expect(stand({ trim: true })).toContain('for runs');
});

test('the last coat counts: what was laid again is looked at again, and coats of primer are not', () => {
  const done = (operation: string, at: number) => [operation, { operation, sessions: [], done: at }] as const;
  const tasks = new Map([
    done('a/field:roll1', 10),
    done('a/field:wet2', 300),
    done('a/field:prime-roll1', 400),
    done('b/field:roll1', 50),
  ]);
  expect(looksOf(plain, { tasks }).map(({ surface, coat, first }) => [surface, coat, first])).toEqual([
    ['b/field', 1, 170],
    ['a/field', 2, 420],
  ]);
});
