import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage, edited as done } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import type { Edit } from '../job/edits.ts';
import type { FinishChoice } from '../job/paints.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { FAMILIES, familyOf, type Family } from '../job/vocabulary.ts';
import { said } from '../units/word.ts';
import { wholeOf } from '../whole/whole.ts';
import { colourOffers, plainName } from './colour-words.ts';
import { atAGlance, conversation, exceptions, roomAnswers, scopesFor, surfacesAbout } from './conversation.ts';
import { OWN_PALETTE } from './own-palette.ts';
import { answered, type QuestionKey } from './questions.ts';
import { accents, finishEdits, reached, REACHES } from './reach.ts';
import { givenOf } from './rests.ts';

const cottage = openCottage();
const surfacesOf = (job: Job) => wholeOf(job).surfaces;
const roomNamed = (name: string) => rows(cottage.rooms).find((room) => room.name === name)?.id ?? '';
const loft = roomNamed('Loft bedroom');
const anyRoom = fc.constantFrom(...rows(cottage.rooms).map(({ id }) => id));
const anyFamily = fc.constantFrom<Family>(...FAMILIES);

/** Answers one question with its first option, the way the conversation writes it. */
function answerFirst(job: Job, about: Parameters<typeof scopesFor>[1], key: QuestionKey): Job {
  const turn = conversation(job, surfacesAbout(about, surfacesOf(job))).find((t) => t.question.key === key);
  if (!turn) return job;
  const set =
    key === 'colour'
      ? { colour: '#abcdef' }
      : key === 'zones'
        ? { zones: {} }
        : key === 'built'
          ? { built: 1930 }
          : (turn.question.options[0]?.set(turn.s.survey) ?? {});
  return done(job, { name: 'setSurveys', args: { scopes: scopesFor(job, about, key), set } });
}

describe('one conversation a room', () => {
  test('every answer settles its question for all it is about, and is not asked again; other rooms are left alone', () => {
    fc.assert(
      fc.property(anyRoom, anyFamily, fc.nat(), (room, family, n) => {
        const about = { room, family };
        const open = conversation(cottage, surfacesAbout(about, surfacesOf(cottage))).filter((t) => t.isOpen);
        const key = open[n % (open.length || 1)]?.question.key;
        if (!key) return;
        const after = answerFirst(cottage, about, key);
        const here = surfacesAbout(about, surfacesOf(after));
        expect(conversation(after, here).find((t) => t.question.key === key)?.isOpen ?? false).toBe(false);
        for (const s of here.filter((one) => one.surface.id in cottage.survey))
          expect(after.survey[s.surface.id]).toEqual(cottage.survey[s.surface.id]);
        const elsewhere = Object.keys(after.survey).filter((scope) => !scope.startsWith(`${room}:`));
        for (const scope of elsewhere) expect(after.survey[scope]).toEqual(cottage.survey[scope]);
      }),
      runs(8),
    );
  });

  test('it comes to an end: answering what is open, one at a time, leaves nothing to ask', () => {
    let job = cottage;
    for (const family of FAMILIES)
      for (let n = 0; n < 60; n += 1) {
        const about = { room: loft, family };
        const next = conversation(job, surfacesAbout(about, surfacesOf(job))).find((turn) => turn.isOpen);
        if (!next) break;
        job = answerFirst(job, about, next.question.key);
      }
    const asked = FAMILIES.flatMap((family) =>
      conversation(job, surfacesAbout({ room: loft, family }, surfacesOf(job))),
    );
    expect(asked.length).toBeGreaterThan(30);
    expect(asked.filter((turn) => turn.isOpen).map((turn) => turn.question.key)).toEqual([]);
  });

  test('one look confirms what an eye can see, never a test, wax, lead or asbestos; once anything was said it is asked singly', () => {
    const bare: Job = { ...cottage, survey: {} };
    const walls = { room: loft, family: 'wall' as const };
    const turns = (job: Job) => conversation(job, surfacesAbout(walls, surfacesOf(job)));
    const glance = atAGlance(turns(bare));
    expect(said(glance?.sentence ?? '', 'imperial')).toBe('smooth drywall; matte, water-based; sound; no stains; dry');
    expect(said(glance?.sentence ?? '', 'metric')).toContain('plasterboard');
    const set = glance?.set ?? {};
    for (const key of ['adhesion', 'porous', 'wax', 'fibres', 'built', 'colour', 'raking', 'level', 'repairs'])
      expect(set).not.toHaveProperty(key);
    const after = done(bare, {
      name: 'setSurveys',
      args: { scopes: scopesFor(bare, walls, 'substrate'), set },
    });
    const left = turns(after).filter((turn) => turn.isOpen);
    expect(left.map((turn) => turn.question.key)).not.toContain('coat');
    expect(left.length).toBeLessThan(turns(bare).length - 5);
    // nothing is decided otherwise by saying what was assumed
    expect(surfacesOf(after).map((s) => s.system)).toEqual(surfacesOf(bare).map((s) => s.system));
    expect(atAGlance(turns(after))).toBeNull();
  });

  test('a surface with answers of its own is an exception until it is as the others', () => {
    const wall = surfacesAbout({ room: loft, family: 'wall' }, surfacesOf(cottage)).find(
      (s) => !(s.surface.id in cottage.survey),
    );
    if (!wall) throw new Error('every wall of the loft is an exception');
    const { id } = wall.surface;
    const one = done(cottage, { name: 'setSurveys', args: { scopes: [id], set: { coat: 'oil', patches: [] } } });
    const listed = (job: Job) =>
      exceptions(job, surfacesAbout({ room: loft, family: 'wall' }, surfacesOf(job))).find(
        (e) => e.s.surface.id === id,
      );
    expect(listed(one)?.keys).toEqual(['coat', 'colour']);
    const back = done(one, { name: 'forgetSurvey', args: { scope: id } });
    expect(listed(back)).toBeUndefined();
    expect(back.survey).toEqual(cottage.survey);
  });

  test('what was said of all doors gives way to what is said of all woodwork; what only doors have is said of doors', () => {
    const doors = done(cottage, { name: 'setSurveys', args: { scopes: [`${loft}:door`], set: { coat: 'oil' } } });
    const woodwork = { room: loft, family: 'trim' as const };
    expect(scopesFor(doors, woodwork, 'coat')).toEqual([`${loft}:trim`, `${loft}:door`]);
    expect(scopesFor(doors, woodwork, 'wax')).toEqual([`${loft}:trim`]);
    expect(scopesFor(doors, woodwork, 'relief')).toEqual([`${loft}:door`]);
    expect(scopesFor(doors, woodwork, 'built')).toEqual(FAMILIES.map((family) => `${loft}:${family}`));
    const job = answerFirst({ ...doors, survey: {} }, woodwork, 'coat');
    expect(roomAnswers(job, loft).map(({ family, set }) => [family, Object.keys(set)])).toEqual([['trim', ['coat']]]);
    const counted = done(cottage, { name: 'setHoles', args: { room: loft, how: 'many' } });
    expect(roomAnswers(counted, loft).every(({ set }) => !answered(set, 'repairs'))).toBe(true);
    expect(answered(givenOf(counted, surfacesAbout(woodwork, surfacesOf(counted))[0] as never), 'repairs')).toBe(true);
  });
});

describe('a colour', () => {
  test.each([
    ['light grey', ['N2 light pebble', 'N4 pale rain']],
    ['b7', ['B7 deep water blue']],
    ['GREEN pale', ['G4 pale sea green']],
    ['no such thing', []],
  ])('asked for as “%s”', (text, names) => {
    expect(colourOffers(text, []).map(({ name }) => name)).toEqual(expect.arrayContaining(names));
    if (!names.length) expect(colourOffers(text, [])).toEqual([]);
  });
  test('by the maker’s code or as written; identical ones are one, the job’s own before the palette’s', () => {
    const own = [{ id: 'c1', name: 'Hall', hex: '#e3e2dd', code: 'K 220-3' }];
    expect(colourOffers('220-3', own).map(({ id }) => id)).toEqual(['c1']);
    expect(colourOffers('#E3E2DD', own)).toMatchObject([{ id: 'c1', name: 'Hall' }]);
    expect(colourOffers('d0cfc9', own)).toMatchObject([{ id: null, name: 'N2 light pebble' }]);
    expect(colourOffers('#123456', own)).toMatchObject([{ id: null, name: plainName('#123456') }]);
    expect(plainName('#123456')).toBe('dark blue #123456');
    expect(colourOffers('lab 60 120 -100', own)).toMatchObject([{ shown: false }]);
    const first = colourOffers('', own);
    expect(first[0]).toMatchObject({ id: 'c1' });
    expect(first.length).toBeGreaterThanOrEqual(8);
    expect(new Set(first.map(({ hex }) => hex)).size).toBe(first.length);
    expect(new Set(OWN_PALETTE.map(({ hex }) => hex)).size).toBe(OWN_PALETTE.length);
  });

  test('and paint go as far as is said and no farther; what was left out, and what was not said, stays as it is', () => {
    const id = 'trial';
    // two rooms used alike, the others each for itself; a paint and a colour that nothing has yet
    const alike = rows(cottage.rooms)
      .slice(0, 2)
      .map(({ id: room }): Edit => ({ name: 'setRoom', args: { room, set: { use: 'bedroom' } } }));
    const [wallPaint] = Object.values(cottage.products).filter(({ role }) => role === 'finish');
    const job = done(
      cottage,
      ...alike,
      { name: 'setColour', args: { colour: { id, name: 'Trial', hex: '#102030' } } },
      ...(wallPaint ? [{ name: 'setProduct', args: { product: { ...wallPaint, id } } } as const] : []),
    );
    const surfaces = surfacesOf(job);
    const any = fc.record({
      s: fc.constantFrom(...surfaces),
      reach: fc.constantFrom(...REACHES),
      what: fc.constantFrom<keyof FinishChoice>('colour', 'product'),
      spares: fc.boolean(),
    });
    fc.assert(
      fc.property(any, ({ s, reach, what, spares }) => {
        const to = reached(job, surfaces, s, reach);
        const left = spares ? accents(to) : [];
        const after = done(job, ...finishEdits(job, to, reach, { [what]: id }, left));
        const goes = new Set(
          to.flatMap((one) => {
            const isOdd = what === 'product' && familyOf(one.surface.kind) !== familyOf(s.surface.kind);
            return left.includes(one) || isOdd ? [] : [one.surface.id];
          }),
        );
        const now = surfacesOf(after).map((one) => [one.surface.id, one.colour.id, one.product.id]);
        expect(now).toEqual(
          surfaces.map(({ surface, colour, product }) => {
            const of = { colour: colour.id, product: product.id, ...(goes.has(surface.id) ? { [what]: id } : {}) };
            return [surface.id, of.colour, of.product];
          }),
        );
        const rooms = new Set(to.map(({ surface }) => surface.room));
        if (reach !== 'colour')
          expect(rooms.size).toBe(
            reach === 'use' && alike.some(({ args }) => 'room' in args && args.room === s.surface.room) ? 2 : 1,
          );
        if (reach !== 'colour' && reach !== 'kind')
          expect(new Set(to.map(({ surface }) => familyOf(surface.kind)))).toEqual(new Set([familyOf(s.surface.kind)]));
      }),
      runs(20),
    );
  });
  test('an accent is named before all walls of its room get another colour; seen from the accent, the others are not', () => {
    const surfaces = surfacesOf(cottage);
    const walls = surfaces.filter(({ surface }) => surface.room === loft && familyOf(surface.kind) === 'wall');
    const own = walls.filter(({ surface, finishFrom }) => finishFrom === surface.id);
    expect(own.length).toBeGreaterThan(0);
    for (const one of walls)
      expect(accents(reached(cottage, surfaces, one, 'room'))).toEqual(own.includes(one) ? [] : own);
  });
});
