import type {
  CauseId,
  DefectKind,
  LaidBy,
  Liking,
  RemedyKind,
  SampleKind,
  Sign,
  TimeOfLight,
  DefectState,
} from '../job/recorded.ts';
import { isImperial } from '../units/si.ts';
import { inBoth, pair, phrase, type Word } from '../units/word.ts';
import { THE, type Words } from './terms.ts';

/** What is found when a coat is looked at: what it is called, what it looks like, and the published term [ISO 4618, ISO 4628; from memory]. */
interface DefectWords {
  readonly name: Word;
  readonly looks: Word;
  /** The published term; null: common practice has a word of its own. */
  readonly term: string | null;
}
const d = (name: Word, looks: Word, term: string | null = null): DefectWords => ({ name, looks, term });
export const DEFECT: Readonly<Record<DefectKind, DefectWords>> = {
  unknown: d('not known yet', 'something is to be seen, and nobody has said what'),
  lap: d('lap mark', 'a band, shinier or raised, where two strips overlap'),
  halo: d('halo along the cut', 'the cut band is of another sheen or depth than what was rolled'),
  miss: d('miss', phrase`a place where the old colour shows through`, 'miss, holiday (ISO 4618)'),
  flashing: d('flashing', 'patches of another sheen, seen from the side', 'flashing (ISO 4618)'),
  tracks: d('roller tracks', 'thin raised lines at the ends of the roller'),
  'orange-peel': d('orange peel', 'dimpled like the skin of an orange', 'orange peel (ISO 4618)'),
  run: d('run', 'paint that ran down, and its bead', 'run, sag (ISO 4618)'),
  cissing: d('cissing', 'paint draws back from spots, into craters', 'cissing, cratering (ISO 4618)'),
  lifting: d('lifting', 'the coat underneath swells and wrinkles up', 'lifting (ISO 4618)'),
  'filler-lifted': d(phrase`filler lifted on the ${THE.cover}`, 'a filled place torn open, crumbs beside it'),
  'tape-bleed': d('bleed under tape', 'a feathered edge where a clean one should be'),
  'torn-edge': d('torn edge', 'a ragged edge, film torn off with the tape'),
  'wavy-edge': d('wavy edge', 'a cut line that wanders'),
  shade: d('shade difference', phrase`one part of a wall is of another shade, from another ${THE.can}`),
  lint: d('lint', phrase`fibres and specks dried into the film`),
  'poor-hiding': d('poor hiding', phrase`the old colour shows through all over`, 'poor hiding power (ISO 4618)'),
  bleeding: d('bleeding', 'a stain that comes through again', 'bleeding (ISO 4618)'),
  blocking: d('sticking', 'two painted faces stuck together: a sash, a door', 'blocking (ISO 4618)'),
  wrinkling: d('wrinkling', 'fine folds in a film laid too thick', 'wrinkling (ISO 4618)'),
  blistering: d('blistering', 'bubbles in the film', 'blistering (ISO 4628-2)'),
  cracking: d('cracking', 'fine cracks through the film', 'cracking (ISO 4628-4)'),
  flaking: d('flaking', 'film coming off in flakes', 'flaking (ISO 4628-5)'),
};
export const DEFECT_STATE: Words<DefectState> = { open: 'open', mended: 'mended', left: 'left as it is' };

/** What is asked about a defect, with what can be answered. */
interface SignWords {
  readonly ask: Word;
  readonly answers: Readonly<Record<string, Word>>;
}
export const SIGN: Readonly<Record<Sign, SignWords>> = {
  from: {
    ask: 'From where is it seen?',
    answers: { front: 'from the front too', side: 'only from the side, along the wall' },
  },
  since: {
    ask: 'Since when?',
    answers: { wet: 'while it was wet', drying: 'as it dried', dry: 'when it was dry', days: 'days later' },
  },
  feel: {
    ask: 'What does a finger feel?',
    answers: { level: 'nothing, it is level', raised: 'an edge or ridge', rough: 'rough', hollow: 'hollow or loose' },
  },
  where: {
    ask: 'Where is it?',
    answers: {
      'strip-edges': 'at the edges of strips',
      'cut-band': 'along the cut',
      patches: 'over filled or mended places',
      'all-over': 'all over',
      spots: 'in spots',
      tape: 'where tape lay',
      'can-change': phrase`where another ${THE.can} was begun`,
      joint: 'where two parts meet',
    },
  },
  paused: { ask: 'Was there a break in the middle of the coat?', answers: { yes: 'yes', no: 'no' } },
  again: { ask: 'Was it gone over again while it set?', answers: { yes: 'yes', no: 'no' } },
  cover: {
    ask: phrase`Which ${THE.cover} was it?`,
    answers: { 'as-said': 'the one that is specified', other: 'another one', unwashed: 'one with lint, or not clean' },
  },
};

interface CauseWords {
  readonly why: Word;
  readonly avoid: Word;
}
export const CAUSE: Readonly<Record<CauseId, CauseWords>> = {
  'edge-set': {
    why: 'the edge had set before the next strip met it',
    avoid: phrase`keep a wet edge: no draught, narrower stretches, conditioner, a second person, no break within a wall`,
  },
  'gone-back': { why: 'it was gone over again while it was setting', avoid: 'what begins to set is left alone' },
  'wrong-cover': {
    why: phrase`the ${THE.cover} does not suit the ground or the sheen`,
    avoid: phrase`the ${THE.pile} and fabric that Specify names, and the same for touching up`,
  },
  'dirty-cover': {
    why: phrase`lint, or old paint, in the ${THE.cover}`,
    avoid: 'pinch it along, roll it over tape, damp it and spin it; wash until the water is clear',
  },
  starved: { why: 'too little paint was rolled too far', avoid: 'load for each section, and stop before it runs dry' },
  pressed: { why: 'the roller was pressed', avoid: 'let the paint do it: load more, lay off without pressure' },
  'too-much': { why: 'too much paint in one place', avoid: 'thinner coats, laid off; look back after a few minutes' },
  'thirsty-ground': {
    why: 'the ground drinks: filled or bare places were not primed',
    avoid: 'spot-prime what is filled or bare',
  },
  grease: { why: 'grease, wax or silicone on the ground', avoid: 'degrease, rinse, let dry, key; try a spot first' },
  'too-early': {
    why: 'it was gone over before what lies below had dried',
    avoid: 'the recoat time of the label, longer when it is cold or damp',
  },
  'tape-open': {
    why: 'paint crept under the tape',
    avoid: phrase`burnish it; seal its edge with the colour underneath, or caulk it on rough ground`,
  },
  'tape-late': {
    why: 'the tape came off when the film had set',
    avoid: 'pull it while the paint is wet, or score it first',
  },
  unboxed: {
    why: phrase`${THE.can}s were not boxed`,
    avoid: phrase`mix all ${THE.can}s of a colour; change ${THE.can}s in a corner`,
  },
  'few-coats': { why: phrase`too few coats for the change of colour`, avoid: 'as many coats as Specify predicts' },
  'brush-band': {
    why: 'the brushed band is another film than the rolled one',
    avoid: 'roll close to the cut while it is wet; cut the last coat no wider than it must be',
  },
  stain: {
    why: 'a stain that was not blocked',
    avoid: 'block it: water, smoke, tannin and ink come through wall paint',
  },
  'closed-early': {
    why: 'it was closed before it had hardened',
    avoid: 'leave it open as long as the label asks; wax the faces that meet',
  },
  'unsteady-hand': {
    why: 'the cut was not steady',
    avoid: 'more paint on the brush, a slower hand; tape where it matters',
  },
  'damp-ground': { why: 'damp behind the film', avoid: 'find where it comes from and let it dry first' },
  'weak-ground': {
    why: 'the ground underneath does not hold',
    avoid: 'scrape, bind with a penetrating primer, test by tape',
  },
};

const minutes = (value: number): string => `${Math.round(value)} min`;
/** What the log and the plan tell about a defect, without being asked. */
export const FACT: Readonly<Record<string, (value: number) => Word>> = {
  paused: (value) => `by the log, work on it lay still for ${minutes(value)}: longer than its edge stays open`,
  'not-paused': (value) =>
    value < 1 ? 'by the log, it was painted without a break' : `by the log, its longest break was ${minutes(value)}`,
  'cut-set': (value) => `by the log, the cut was ${minutes(value)} old when the roller came`,
  early: (value) => `by the log, it was recoated ${minutes(value)} before its label allows`,
  batches: (value) => phrase`${value} batches were opened, and ${THE.can}s are not boxed`,
  'one-batch': () => 'one batch was opened',
  'coats-left': (value) => `${value === 1 ? 'a coat' : `${value} coats`} of it are still to come`,
  thin: (value) => `thin spots are predicted to differ by ΔE ${value.toFixed(1)}`,
  hides: (value) => `it is predicted to hide: ΔE ${value.toFixed(1)}`,
  patches: () => 'the survey has filled places here, and no primer for them',
  primed: () => 'its filled places are primed by plan',
  greasy: () => 'the survey has grease or soot here',
  damp: () => 'the survey has damp here',
  weak: () => 'the survey has a weak or peeling ground here',
  stained: () => 'the survey has stains here',
  taped: () => 'it is cut to tape here',
  'not-taped': () => 'no tape lies here by plan',
  'pulled-late': () => 'by your practice tape comes off dry',
  pile: () => phrase`its ${THE.pile} is not the one that fits`,
  moves: () => 'it moves in a frame',
};

interface RemedyWords {
  readonly name: Word;
  readonly how: Word;
  /** What may go wrong with it; null: nothing more than with any coat. */
  readonly risk: Word | null;
}
const DRY = 'Let it dry first.';
export const REMEDY: Readonly<Record<RemedyKind, RemedyWords>> = {
  'ridge-corner': {
    name: 'Sand flat, and coat it corner to corner',
    how: phrase`${DRY} Sand at 220, dust off; conditioner in the pot, a new ${THE.cover}; one coat from corner to corner.`,
    risk: null,
  },
  'ridge-only': {
    name: 'Sand flat, and paint the ridge alone',
    how: `${DRY} Sand at 220, dust off; spot-paint, feathered thin.`,
    risk: phrase`The place itself may show: sooner in satin, deep colours and raking light.`,
  },
  'recoat-section': {
    name: 'Coat it again, corner to corner',
    how: `${DRY} One more coat from corner to corner, wet edge kept.`,
    risk: null,
  },
  'another-coat': { name: 'Another coat', how: `${DRY} One more coat over all of it.`, risk: null },
  'filler-again': {
    name: 'Fill again, feather, spot-paint',
    how: `${DRY} Fine quick filler, feathered out; sand, dust, prime; spot-paint.`,
    risk: 'Filled once more while it is wet, it lifts again.',
  },
  'wipe-off': {
    name: 'Stop, wipe off, degrease, try a spot',
    how: 'Stop. Wipe the wet paint off, degrease, rinse, let dry; try a spot, then the coat.',
    risk: 'Paint over it as it is, and it draws back again.',
  },
  'block-stain': {
    name: 'Block it, spot-paint',
    how: `${DRY} A blocking primer over the stain, then the finish.`,
    risk: 'More wall paint alone does not hold a stain back.',
  },
  'ease-sash': {
    name: 'Free it, and wax it',
    how: pair(
      'Score the joint, work it loose with a wide blade, never a lever against glass; sand the edge, wax it.',
      'Score the joint, work it loose with a wide knife, never a lever against glass; sand the edge, wax it.',
    ),
    risk: 'Forced, the film tears off.',
  },
  'cut-again': {
    name: 'Cut the edge again',
    how: `${DRY} Sand what stands up, cut the line again.`,
    risk: null,
  },
  'flatten-spot': {
    name: 'Sand flat, spot-paint',
    how: `${DRY} A thick place is dry days later: cut off what is soft, sand at 220; spot-paint.`,
    risk: 'The place itself may show in raking light.',
  },
  'scrape-back': {
    name: 'Scrape back, fill, prime, paint',
    how: `${DRY} Scrape to what holds, fill, sand, prime; spot-paint.`,
    risk: 'Find out why first: damp or a weak ground brings it back. In old buildings, test for lead before scraping or sanding.',
  },
  'spot-in': { name: 'Spot-paint it', how: `${DRY} Spot-paint, feathered thin.`, risk: null },
};

/**
 * How a finished room is looked at: PDCA P1, touch up and damage repair, calls a surface properly painted when it is so without
 * magnification, from 39 in (1 m) or more, under finished lighting, from a normal viewing position [from memory].
 */
export const VIEWING: Word = inBoth(
  (system) =>
    `Looked at standing, from ${isImperial(system) ? '39 in' : '1 m'} or more, without magnifying and without a lamp held to the surface, in the light it is lived in (as PDCA standard P1 has it, quoted from memory). A contract or a standard that names other conditions goes before.`,
);
export const LAID: Words<LaidBy> = {
  brush: 'by brush',
  roller: 'by roller',
  spray: 'sprayed',
  'spray-rolled': 'sprayed and rolled out',
};
export const LIGHT_AT: Words<TimeOfLight> = { morning: 'morning', noon: 'noon', evening: 'evening', lamp: 'lamp' };
export const SAMPLE: Words<SampleKind> = { painted: 'painted on the wall', sheet: 'on a sheet that is moved' };
export const LIKED: Words<Liking> = { no: 'no', unsure: 'not sure', yes: 'yes' };
