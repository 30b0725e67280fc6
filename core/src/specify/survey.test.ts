import { said } from '../units/word.ts';
import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage, loftSheet } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { applyEdit, type Edit } from '../job/edits.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Survey } from '../job/surveyed.ts';
import { CONDITIONS, EXISTING_COATS, KNOWN, PREP_STEPS, STAINS, SUBSTRATES, TEXTURES } from '../job/vocabulary.ts';
import { takeoffJob, type RoomTakeoff } from '../measure/takeoff.ts';
import { MEMBERS } from './alike.ts';
import { lrvOf, labOf } from './colour.ts';
import { bearingsOf, compassPoint, grazing } from './light.ts';
import { LIGHTS, underLight } from './lights.ts';
import { prepPlan } from './prep-plan.ts';
import { answered, QUESTIONS, readBack, TESTS } from './questions.ts';
import { specifyRoom, specifySurface, type Specified } from './specify.ts';
import { layersOf } from './primers.ts';
import { restsOf } from './rests.ts';
import { outcomes, revised, turnsOf } from './what-if.ts';
import { readForView } from '../exchange/read.ts';
import { assumedIn } from '../whole/rests.ts';
import { reasonWord } from '../words/reasons.ts';
import { at } from '../units/list.ts';

const cottage = openCottage();
const loft = takeoffJob(cottage).find((t) => t.room.name === 'Loft bedroom') as RoomTakeoff;
const surfaceOf = (kind: string) => loft.surfaces.find((s) => s.kind === kind) as (typeof loft.surfaces)[number];
const specified = (survey: Partial<Survey>, kind = 'wall', job: Job = cottage): Specified => {
  const surface = surfaceOf(kind);
  return specifySurface({ ...job, survey: { ...job.survey, [surface.id]: survey } }, surface, loft.room);
};
const anySurvey = fc.record({
  substrate: fc.constantFrom(...SUBSTRATES),
  texture: fc.constantFrom(...TEXTURES),
  coat: fc.constantFrom(...EXISTING_COATS),
  condition: fc.constantFrom(...CONDITIONS),
  porous: fc.constantFrom(...KNOWN),
  wax: fc.constantFrom(...KNOWN),
  stains: fc.subarray([...STAINS], { maxLength: 1 }),
});

describe('the survey as a conversation', () => {
  test('an answer given is the answer shown, and nothing else changes its mind about it', () => {
    fc.assert(
      fc.property(anySurvey, fc.nat(), fc.nat(), (survey, q, o) => {
        const s = specified(survey);
        const question = QUESTIONS[q % QUESTIONS.length];
        const option = question?.options[o % (question.options.length || 1)];
        if (!question || !option || question.form === 'many') return;
        const after = { ...s.survey, ...option.set(s.survey) };
        expect(question.options.filter((other) => other.isNow(after))).toEqual([option]);
        expect(answered(option.set(s.survey), question.key)).toBe(true);
      }),
    );
  });
  test('what would change a decision is exact: each turn leads there, every other answer leaves it', () => {
    fc.assert(
      fc.property(anySurvey, fc.constantFrom(...MEMBERS), (survey, member) => {
        const s = specified(survey);
        const job = { ...cottage, survey: { ...cottage.survey, [s.surface.id]: survey } };
        const turns = turnsOf(job, s, loft.room, member);
        for (const question of QUESTIONS.filter((q) => q.asked(s)))
          for (const option of question.options) {
            if (option.isNow(s.survey)) continue;
            const then = revised(job, s, loft.room, option.set(s.survey)).system[member].value;
            const turn = turns.find((t) => t.key === question.key && t.answers.includes(option.label));
            expect(turn ? turn.becomes : s.system[member].value).toEqual(then);
          }
      }),
      runs(8),
    );
  });
  test('not knowing leads to the safe choice: at least the primer of the worst answer it may stand for', () => {
    const rank = { none: 0, spot: 1, full: 2 };
    const extent = (survey: Partial<Survey>) =>
      Math.max(0, ...layersOf(specified(survey).system.primer.value).map((layer) => rank[layer.extent]));
    fc.assert(
      fc.property(anySurvey, (survey) => {
        for (const coat of ['water-borne', 'oil', 'clear'] as const)
          expect(extent({ ...survey, coat: 'unknown' })).toBeGreaterThanOrEqual(extent({ ...survey, coat }));
        for (const condition of ['sound', 'chalky'] as const)
          expect(extent({ ...survey, condition: 'unknown' })).toBeGreaterThanOrEqual(extent({ ...survey, condition }));
      }),
    );
  });
  test('each test says what its results would change, and a result is remembered as the one found', () => {
    const s = specified({ coat: 'unknown', repairs: { pinhole: 0, coin: 0, large: 0, anchor: 0 } });
    const rub = TESTS.find((t) => t.id === 'solvent');
    const job = { ...cottage, survey: { ...cottage.survey, [s.surface.id]: s.survey } };
    const [off, stays] = outcomes(job, s, loft.room, rub?.results ?? []);
    expect([off?.changes.map((c) => c.member).includes('primer'), stays?.changes.length]).toEqual([true, 0]);
    for (const { results, isNow } of TESTS)
      results.forEach(([set], i) => expect(isNow({ ...s.survey, ...set })).toBe(i));
    expect(said(readBack(s), 'metric')).toBe(`smooth ${s.survey.substrate}; matt, unknown; sound; no holes`);
  });
});

test('preparation: 80 grit keys, but never on board that will be seen; holes by class; 220 between coats of enamel', () => {
  fc.assert(
    fc.property(anySurvey, fc.constantFrom('wall', 'baseboard', 'door'), (survey, kind) => {
      const repairs = { pinhole: 3, coin: 1, large: 0, anchor: 2 };
      const s = specified({ ...survey, fibres: 'none', repairs }, kind);
      const plan = prepPlan(s);
      const grits = plan.flatMap((line) => line.grits);
      if (['drywall', 'unknown'].includes(s.survey.substrate)) expect(grits).not.toContain(80);
      // oil and clear finishes are prepared finer than a sound emulsion, board or not
      const hard = ['oil', 'clear'].includes(s.survey.coat) && plan.some(({ step }) => step === 'sand');
      if (hard) expect(grits.some((grit) => grit < 150)).toBe(true);
      for (const line of plan) expect(said(reasonWord(line.how), 'imperial')).not.toMatch(/undefined/);
      expect(plan.filter((l) => l.step !== 'between').map((l) => l.step)).toEqual(
        PREP_STEPS.filter((step) => s.system.prep.value.includes(step)),
      );
      expect(plan.find((l) => l.step === 'fill')?.holes.map((h) => [h.hole, h.count])).toEqual([
        ['pinhole', 3],
        ['coin', 1],
        ['anchor', 2],
      ]);
      expect(grits.includes(220)).toBe(kind !== 'wall' && s.system.coats.value > 1);
    }),
  );
});

describe('light', () => {
  test('a window near a corner grazes the wall round it, one in the middle does not; a low ceiling over its head', () => {
    const metres = (n: number) => ({ typed: `${n} m`, metres: n });
    const labels = (at: number, near = 0.6) => {
      const [w0] = rows(loft.room.walls);
      const window = rows(loft.room.openings).find((o) => o.kind === 'window');
      if (!w0 || !window) throw new Error('no window');
      const length = { typed: '4 m', metres: 4 };
      const walls = {
        ...loft.room.walls,
        byId: Object.fromEntries(rows(loft.room.walls).map((w) => [w.id, { ...w, length, peaks: [] }])),
      };
      const moved = { ...window, wall: w0.id, at: metres(at), width: metres(1), height: metres(1), sill: metres(0.3) };
      const room = { ...loft.room, walls, openings: { byId: { [moved.id]: moved }, order: [moved.id] } };
      const job = {
        ...cottage,
        rooms: { byId: { [room.id]: room }, order: [room.id] },
        settings: { 'light.near': near },
      };
      const found = grazing(job, takeoffJob(job)[0] as RoomTakeoff);
      const order = loft.room.walls.order;
      return [found.has(order[1] ?? ''), found.has(order.at(-1) ?? ''), found.has(order[2] ?? '')];
    };
    expect(labels(0.2)).toEqual([false, true, false]);
    expect(labels(2.8)).toEqual([true, false, false]);
    expect(labels(1.5)).toEqual([false, false, false]);
    expect(labels(1.5, 2)).toEqual([true, true, false]);
  });
  test('bearings turn with the walk; eight points of the compass', () => {
    const bearings = bearingsOf({ ...loft.room, bearing: 315 });
    expect(rows(loft.room.walls).map((w) => bearings?.get(w.id))).toEqual([315, 45, 135, 225]);
    expect([0, 44, 90, 200, 359].map(compassPoint)).toEqual(['north', 'north-east', 'east', 'south', 'north']);
    expect(bearingsOf({ ...loft.room, bearing: null })).toBeNull();
  });
  const hex = fc
    .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
    .map((c) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`);
  test('by day a colour is itself; a lamp warms greys, an overcast sky cools them; order of lightness stays', () => {
    fc.assert(
      fc.property(hex, hex, (a, b) => {
        expect(underLight(a, 'day')).toBe(a);
        for (const light of LIGHTS) expect(underLight(a, light)).toMatch(/^#[0-9a-f]{6}$/);
        const [la, lb] = [lrvOf(a), lrvOf(b)];
        if (Math.abs(la - lb) > 25)
          expect(Math.sign(lrvOf(underLight(a, 'lamp')) - lrvOf(underLight(b, 'lamp')))).toBe(Math.sign(la - lb));
      }),
    );
    for (const grey of ['#404040', '#909090', '#f0f0f0'])
      expect([labOf(underLight(grey, 'lamp')).b > 5, labOf(underLight(grey, 'overcast')).b < 0]).toEqual([true, true]);
  });
});

test('what is remembered of a room is what would be worked out afresh, after any run of edits', () => {
  const wall = surfaceOf('wall').id;
  const edit: fc.Arbitrary<Edit> = fc.oneof(
    fc.record({
      name: fc.constant('setSurvey' as const),
      args: fc.record({ scope: fc.constant(wall), set: anySurvey }),
    }),
    fc.record({
      name: fc.constant('setWall' as const),
      args: fc.record({
        room: fc.constant(loft.room.id),
        wall: fc.constant(loft.room.walls.order[0] ?? ''),
        set: fc.integer({ min: 20, max: 60 }).map((n) => ({ length: { typed: `${n / 10} m`, metres: n / 10 } })),
      }),
    }),
    fc.record({
      name: fc.constant('setRoom' as const),
      args: fc.record({
        room: fc.constant(loft.room.id),
        set: fc.record({ use: fc.constantFrom('bathroom', 'bedroom', 'hall') }),
      }),
    }) as fc.Arbitrary<Edit>,
    fc.record({
      name: fc.constant('setPractice' as const),
      args: fc.record({ set: fc.record({ walls: fc.constantFrom('weighed', 'touch-up', 'wipe') }) }),
    }) as fc.Arbitrary<Edit>,
    fc.record({
      name: fc.constant('setSetting' as const),
      args: fc.record({ key: fc.constant('hiding.cv' as const), value: fc.constantFrom(0.2, 0.35, 0.5) }),
    }),
  );
  fc.assert(
    fc.property(fc.array(edit, { minLength: 1, maxLength: 6 }), (edits) => {
      let job = cottage;
      for (const one of edits) {
        const done = applyEdit(job, one);
        if (!done.ok) throw new Error(done.problems[0]?.message);
        job = done.value.job;
        const takeoff = takeoffJob(job).find((t) => t.room.id === loft.room.id) as RoomTakeoff;
        const kept = specifyRoom(job, takeoff);
        kept.forEach((s, i) => {
          const surface = at(takeoff.surfaces, i);
          expect(s).toEqual(specifySurface(job, surface, takeoff.room, s.around));
        });
      }
    }),
    runs(8),
  );
});

describe('what nobody answered', () => {
  const opened = readForView(loftSheet(), 'Loft');
  const fresh = (opened.ok ? opened.value : cottage) as Job;
  test('is just what another answer to it would change; an answer takes it away, “not tested” too', () => {
    const all = assumedIn(fresh);
    expect(all.guessed).toEqual([]);
    for (const s of specifyRoom(fresh, at(takeoffJob(fresh), 0))) {
      const room = takeoffJob(fresh)[0]?.room as RoomTakeoff['room'];
      for (const member of MEMBERS) {
        const rests = restsOf(fresh, s, room).get(member) ?? [];
        const turns = turnsOf(fresh, s, room, member).map((t) => t.key);
        expect(rests.filter((key) => key !== 'colour').sort()).toEqual(
          [...new Set(turns)].filter((key) => key !== 'colour').sort(),
        );
      }
    }
    const then = applyEdit(fresh, {
      name: 'setSurvey',
      args: { scope: 'all:wall', set: { adhesion: null, coat: 'oil' } },
    });
    const left = (job: Job) =>
      assumedIn(job)
        .open.filter((a) => a.family === 'wall')
        .map((a) => a.question);
    expect(left(fresh)).toEqual(expect.arrayContaining(['adhesion', 'coat', 'wax']));
    expect(left(then.ok ? then.value.job : fresh)).not.toEqual(expect.arrayContaining(['adhesion']));
    expect(left(then.ok ? then.value.job : fresh)).not.toContain('coat');
  });
  test('a walk that does not close makes a first guess; a room asked once has no holes to ask for', () => {
    const [room = ''] = fresh.rooms.order;
    const [wall = ''] = fresh.rooms.byId[room]?.walls.order ?? [];
    const longer: Edit = {
      name: 'setWall',
      args: { room, wall, set: { length: { typed: '5 m', metres: 5 } } },
    };
    const wrong = applyEdit(fresh, longer);
    expect(wrong.ok && assumedIn(wrong.value.job).guessed).toEqual([room]);
    const asked = applyEdit(fresh, { name: 'setHoles', args: { room, how: 'few' } });
    expect(asked.ok && assumedIn(asked.value.job).open.some((a) => a.question === 'repairs')).toBe(false);
  });
});
