import type { Survey } from '../job/surveyed.ts';
import {
  BOARD_LEVELS,
  CONDITIONS,
  EXISTING_COATS,
  FIBRES,
  KNOWN,
  RAKING,
  SHEENS,
  STAINS,
  SUBSTRATES,
  TEXTURES,
  TOUCHERS,
} from '../job/vocabulary.ts';
import { both, counted, inBoth, inOrder, pair, phrase, type Word } from '../units/word.ts';
import { isImperial } from '../units/si.ts';
import { COAT, CONDITION, LEVEL, SHEEN, STAIN, SUBSTRATE, TEXTURE, TOUCHER, type Words } from '../words/terms.ts';
import type { Specified } from './specify.ts';
import { coatOf, conditionOf, holesOf, isRaked } from './case.ts';

/**
 * The survey as a conversation: what is asked about a surface, in the order a painter looks. Each question belongs to
 * one key of the survey; `one` of its options is chosen, `many` may be, or it is counted, measured or a colour.
 */
export interface Question {
  readonly key: QuestionKey;
  readonly ask: Word;
  /** As it is named in a list of answers. */
  readonly short: Word;
  readonly form: 'one' | 'many' | 'holes' | 'colour' | 'zones' | 'year';
  readonly options: readonly Option[];
  readonly asked: (s: Specified) => boolean;
  readonly test?: TestId;
}
export interface Option {
  readonly label: Word;
  /** Nobody knows, or looked: a test may follow. */
  readonly unsure?: boolean;
  readonly set: (survey: Survey) => Partial<Survey>;
  readonly isNow: (survey: Survey) => boolean;
}
export type QuestionKey =
  | 'substrate'
  | 'texture'
  | 'relief'
  | 'fibres'
  | 'coat'
  | 'condition'
  | 'adhesion'
  | 'repairs'
  | 'stains'
  | 'porous'
  | 'damp'
  | 'wax'
  | 'fresh'
  | 'sheen'
  | 'colour'
  | 'touched'
  | 'raking'
  | 'level'
  | 'zones'
  | 'built';

/** As an answer it says more than as a term. */
const UNSURE = { unknown: 'I don’t know' } as const;
const WORDS: { readonly [K in Plain]: Words<Survey[K]> } = {
  substrate: { ...SUBSTRATE, masonry: 'masonry or brick', ...UNSURE },
  texture: TEXTURE,
  coat: {
    'water-borne': pair('latex or water-based paint', 'water-based paint'),
    oil: 'oil or alkyd',
    clear: 'a clear finish',
    bare: 'nothing, it is bare',
    ...UNSURE,
  },
  condition: { ...CONDITION, weak: 'weak, it crumbles', ...UNSURE },
  sheen: SHEEN,
  porous: { no: 'no', yes: 'yes', ...UNSURE },
  fibres: {
    unknown: 'not tested',
    none: 'tested: none in it',
    found: 'tested: there is; painted over gently',
    removal: 'licensed people take it off first',
  },
  damp: { no: 'no', yes: 'yes', ...UNSURE },
  wax: { no: 'no', yes: 'yes', ...UNSURE },
  raking: { windows: 'as the windows say', no: 'no', yes: 'yes' },
  level: { ...LEVEL, ...UNSURE },
};

type Plain =
  'substrate' | 'texture' | 'fibres' | 'coat' | 'condition' | 'sheen' | 'porous' | 'damp' | 'wax' | 'raking' | 'level';
const pickFrom = <K extends Plain>(key: K, values: readonly Survey[K][]): Option[] =>
  values.map((value) => ({
    label: WORDS[key][value],
    unsure: value === 'unknown',
    set: () => ({ [key]: value }) as Partial<Survey>,
    isNow: (survey) => survey[key] === value,
  }));
/** One of a list more, or fewer. */
const severalOf = <K extends 'stains' | 'touched'>(
  key: K,
  values: readonly Survey[K][number][],
  words: Words<Survey[K][number]>,
): Option[] =>
  values.map((value) => ({
    label: words[value as Survey[K][number]],
    set: (survey) => {
      const list: readonly string[] = survey[key];
      const next = list.includes(value) ? list.filter((v) => v !== value) : [...list, value];
      return { [key]: next } as Partial<Survey>;
    },
    isNow: (survey) => (survey[key] as readonly string[]).includes(value),
  }));
const NO_HOLES: Survey['repairs'] = { pinhole: 0, coin: 0, large: 0, anchor: 0 };
const isBroad = (s: Specified) => s.surface.kind === 'wall' || s.surface.kind === 'ceiling';
const always = () => true;

export const QUESTIONS: readonly Question[] = [
  {
    key: 'substrate',
    ask: 'What is it made of?',
    short: 'Made of',
    form: 'one',
    options: pickFrom('substrate', SUBSTRATES),
    asked: always,
  },
  {
    key: 'texture',
    ask: 'How rough is it?',
    short: 'Texture',
    form: 'one',
    options: pickFrom(
      'texture',
      TEXTURES.filter((texture) => texture !== 'grain'),
    ),
    asked: isBroad,
  },
  {
    key: 'relief',
    ask: 'Is its face smooth?',
    short: 'Its face',
    form: 'one',
    options: (['smooth', 'grain'] as const).map((texture) => ({
      label: texture === 'grain' ? phrase`moulded like wood grain` : TEXTURE[texture],
      set: () => ({ texture }),
      isNow: (survey) => survey.texture === texture,
    })),
    asked: (s) => s.surface.kind === 'door',
  },
  {
    key: 'fibres',
    ask: 'Was this texture tested for asbestos?',
    short: 'Asbestos test',
    form: 'one',
    options: pickFrom('fibres', FIBRES),
    asked: (s) => isBroad(s) && (s.survey.texture === 'popcorn' || s.survey.texture === 'deep-stucco'),
  },
  {
    key: 'coat',
    ask: 'What is on it now?',
    short: 'Existing coat',
    form: 'one',
    options: pickFrom('coat', EXISTING_COATS),
    asked: always,
    test: 'solvent',
  },
  {
    key: 'condition',
    ask: 'What state is that in?',
    short: 'Condition',
    form: 'one',
    options: pickFrom('condition', CONDITIONS),
    asked: always,
    test: 'wipe',
  },
  {
    key: 'adhesion',
    ask: 'Does the old coat hold?',
    short: 'Cross-cut',
    form: 'one',
    options: [null, 0, 1, 2, 3, 4, 5].map((value) => ({
      label: value === null ? 'not tested' : `ISO class ${value} (ASTM ${5 - value}B)`,
      unsure: value === null,
      set: () => ({ adhesion: value }),
      isNow: (survey) => survey.adhesion === value,
    })),
    asked: (s) => s.survey.coat !== 'bare',
    test: 'cross-cut',
  },
  {
    key: 'repairs',
    ask: 'How many holes are there, and how large?',
    short: 'Repairs',
    form: 'holes',
    options: [
      { label: 'none', set: () => ({ repairs: NO_HOLES }), isNow: (survey) => holesOf(survey) === 0 },
      {
        label: 'a few pinholes',
        set: () => ({ repairs: { ...NO_HOLES, pinhole: 5 } }),
        isNow: (survey) => holesOf(survey) > 0,
      },
    ],
    asked: always,
  },
  {
    key: 'stains',
    ask: 'Are there stains?',
    short: 'Stains',
    form: 'many',
    options: severalOf('stains', STAINS, STAIN),
    asked: always,
  },
  {
    key: 'porous',
    ask: 'Does it soak up water?',
    short: 'Soaks up water',
    form: 'one',
    options: pickFrom('porous', KNOWN),
    asked: always,
    test: 'drop',
  },
  {
    key: 'damp',
    ask: 'Is it damp?',
    short: 'Damp',
    form: 'one',
    options: pickFrom('damp', KNOWN),
    asked: always,
    test: 'moisture',
  },
  {
    key: 'wax',
    ask: 'Was it ever waxed or polished?',
    short: 'Wax or polish',
    form: 'one',
    options: pickFrom('wax', KNOWN),
    asked: always,
  },
  {
    key: 'fresh',
    ask: 'Is any plaster or filler still drying?',
    short: 'Still drying',
    form: 'one',
    options: [true, false].map((value) => ({
      label: value ? 'yes' : 'no',
      set: () => ({ fresh: value }),
      isNow: (survey) => survey.fresh === value,
    })),
    asked: (s) => s.survey.substrate === 'plaster' || s.survey.substrate === 'masonry' || holesOf(s.survey) > 0,
  },
  {
    key: 'sheen',
    ask: 'How shiny is it now?',
    short: 'Its sheen',
    form: 'one',
    options: pickFrom('sheen', SHEENS),
    asked: (s) => s.survey.coat !== 'bare',
  },
  {
    key: 'colour',
    ask: phrase`What colour is it, and are there others on it?`,
    short: phrase`Old colours`,
    form: 'colour',
    options: [],
    asked: always,
  },
  {
    key: 'touched',
    ask: 'Who touches it?',
    short: 'Touched by',
    form: 'many',
    options: severalOf('touched', TOUCHERS, TOUCHER),
    asked: always,
  },
  {
    key: 'raking',
    ask: 'Does light graze it?',
    short: 'Grazing light',
    form: 'one',
    options: pickFrom('raking', RAKING),
    asked: isBroad,
  },
  {
    key: 'level',
    ask: 'To what level was the board finished?',
    short: 'Board level',
    form: 'one',
    options: pickFrom('level', BOARD_LEVELS),
    asked: (s) => s.survey.substrate === 'drywall' && isRaked(s),
  },
  {
    key: 'zones',
    ask: 'Are the edges or the handle side different?',
    short: 'Edges and handle',
    form: 'zones',
    options: [],
    asked: (s) => s.surface.kind === 'door',
  },
  {
    key: 'built',
    ask: 'How old may the oldest paint be?',
    short: 'Oldest paint',
    form: 'year',
    options: [],
    asked: always,
  },
];

/** A question as it is named in the middle of a sentence. */
export const shortWord = (key: QuestionKey): Word =>
  both(QUESTIONS.find((q) => q.key === key)?.short ?? key, (text) => text.toLowerCase());

/** Questions of this surface that somebody answered, nearest scope or wider; the rest are starting values. */
export function answered(given: Partial<Survey>, key: QuestionKey): boolean {
  if (key === 'colour') return 'colour' in given || 'patches' in given;
  return (key === 'relief' ? 'texture' : key) in given;
}

export type TestId = 'solvent' | 'cross-cut' | 'drop' | 'wipe' | 'moisture';
export interface SurfaceTest {
  readonly id: TestId;
  readonly title: string;
  readonly steps: readonly Word[];
  /** Asked for where the answer is not known. */
  readonly helps: (s: Specified) => boolean;
  readonly results: readonly (readonly [Partial<Survey>, Word])[];
  readonly isNow: (survey: Survey) => number;
}
const at = <T>(list: readonly T[], value: T): number => list.indexOf(value);

const APART = inBoth((system) => (isImperial(system) ? '1/16 in' : '2 mm'));

/** What a painter can find out on the spot [common practice, no source; cross-cut: ISO 2409, ASTM D3359]. */
export const TESTS: readonly SurfaceTest[] = [
  {
    id: 'solvent',
    title: 'Solvent rub',
    steps: [
      'Wet a white rag with alcohol, not acetone: that can soften oil paint too.',
      'Rub a hidden place ten times. Where paint peels, rub the layer below: the rag reads only what it touches.',
      'Look at the rag.',
    ],
    helps: (s) => s.survey.coat === 'unknown',
    results: [
      [{ solvent: 'comes-off' }, phrase`colour came off: water-based`],
      [{ solvent: 'stays' }, 'nothing came off: oil'],
    ],
    isNow: ({ solvent }) => at(['comes-off', 'stays'], solvent),
  },
  {
    id: 'wipe',
    title: 'Wipe',
    steps: ['Draw a dry dark cloth over the wall, once, with a firm hand.', 'Look at the cloth.'],
    helps: (s) => s.survey.condition === 'unknown',
    results: [
      [{ wipe: 'clean' }, 'clean: it does not chalk'],
      [{ wipe: 'marks' }, 'a pale mark: it chalks'],
    ],
    isNow: ({ wipe }) => at(['clean', 'marks'], wipe),
  },
  {
    id: 'cross-cut',
    title: 'Cross-cut and tape',
    steps: [
      phrase`With a sharp blade and a rule, score six lines ${APART} apart down to the ground, and six across them.`,
      'Brush off, press clear tape on, and pull it off in one go at a low angle.',
      'Count how much of the lattice came away. ISO 2409 counts 0 (nothing) to 5; ASTM D3359 the other way round.',
    ],
    helps: (s) => s.survey.adhesion === null && s.survey.coat !== 'bare',
    results: [0, 1, 2, 3, 4, 5].map((n) => [{ adhesion: n }, `ISO class ${n} (ASTM ${5 - n}B)`] as const),
    isNow: ({ adhesion }) => adhesion ?? -1,
  },
  {
    id: 'drop',
    title: 'Water drop',
    steps: ['Put a drop of water on the wall with a finger.', 'Watch it for a minute.'],
    helps: (s) => s.survey.porous === 'unknown',
    results: [
      [{ drop: 'stands' }, 'it stands: sealed'],
      [{ drop: 'slowly' }, 'gone within the minute: it drinks'],
      [{ drop: 'at-once' }, 'dark at once: it drinks hard'],
    ],
    isNow: ({ drop }) => at(['stands', 'slowly', 'at-once'], drop),
  },
  {
    id: 'moisture',
    title: 'Moisture reading',
    steps: [
      'Set a pin meter to its wood scale and press the pins in, low down and where it looks dark.',
      'Read it in three places and write down the worst.',
    ],
    helps: (s) => s.survey.damp === 'unknown' || s.survey.fresh,
    results: [],
    isNow: () => -1,
  },
];

/** What a surface is taken for, in a few words: the survey read back. */
export function readBack({ survey }: Specified): Word {
  const holes = holesOf(survey);
  const ground = survey.substrate === 'unknown' ? 'ground' : SUBSTRATE[survey.substrate];
  const coat = COAT[coatOf(survey)];
  return inOrder(
    [
      phrase`${TEXTURE[survey.texture]} ${ground}`,
      coatOf(survey) === 'bare' ? coat : phrase`${SHEEN[survey.sheen]}, ${coat}`,
      CONDITION[conditionOf(survey)],
      holes ? counted(holes, 'hole') : 'no holes',
    ],
    '; ',
  );
}
