import { setting, type DefaultKey } from '../job/defaults.ts';
import type { LaidBy } from '../job/recorded.ts';
import type { Job } from '../job/types.ts';
import { SHEENS, type Sheen } from '../job/vocabulary.ts';
import { labDelta, labOf, type Lab } from '../specify/colour.ts';
import type { Litres, Metres, SquareMetres } from '../units/si.ts';

/** From the smallest answer to the largest. */
export const VERDICTS = ['brush', 'mini-roller', 'thinned', 'wall', 'neighbours', 'room'] as const;
export type Verdict = (typeof VERDICTS)[number];
export type Sameness = 'same' | 'other' | 'unknown';

/** What is asked: places on a surface that were mended, and all that is known of its paint. */
export interface TouchUpCase {
  readonly patches: number;
  /** Of the largest, m. */
  readonly size: Metres;
  /** Years since it was painted, and hours of direct sun a day. */
  readonly age: number;
  readonly sun: number;
  readonly hex: string;
  readonly sheen: Sheen;
  /** Is the same paint at hand: product, colour and sheen? */
  readonly paint: Sameness;
  readonly batch: Sameness;
  readonly cover: Sameness;
  /** How it was laid; a touch-up is brushed or rolled. null: not known. */
  readonly laid: LaidBy | null;
  readonly coats: number | null;
  /** Light grazes it. */
  readonly raked: boolean;
  /** Colour of the mended places, such as filler; null: as the wall. */
  readonly ground: string | null;
  /** Trim is touched up or painted from joint to joint, never corner to corner. */
  readonly trim: boolean;
}

/** Why: what it adds to the score, or a rule that asks for more by itself. */
export interface Because {
  readonly rule: TouchRule;
  readonly points: number;
  /** The figure it goes by: a ΔE, metres, years, gloss units, a count. */
  readonly value: number;
  /** The least it asks for; null: it only adds. */
  readonly least: Verdict | null;
}
export type TouchRule =
  | 'size'
  | 'patches'
  | 'fade'
  | 'batch'
  | 'gloss'
  | 'sheen'
  | 'deep'
  | 'deep-no'
  | 'raked'
  | 'thin-build'
  | 'sprayed'
  | 'paint-unknown'
  | 'paint-other'
  | 'trim';

/** What a change of the case would make of it. */
export interface Otherwise {
  readonly change: 'batch' | 'cover' | 'paint' | 'smaller' | 'raked' | 'flat';
  readonly verdict: Verdict;
}
export interface TouchUp {
  readonly verdict: Verdict;
  /** 0: nobody will find it, from 100 on everybody. */
  readonly score: number;
  /** CIEDE2000 between the wall as it is and the paint that is put on it. */
  readonly deltaE: number;
  /** Of that: what age and sun did, and what another batch adds. */
  readonly faded: number;
  readonly mixed: number;
  /** Gloss units at 60° between them. */
  readonly gloss: number;
  /** The weightiest first. */
  readonly because: readonly Because[];
  readonly wouldChange: readonly Otherwise[];
  /** Coats that the places want: more where they stand out from the wall. */
  readonly coats: number;
}

/** Gloss at 60° in the middle of each sheen’s band [EN 13300 and common practice, from memory]. */
const GLOSS: Readonly<Record<Sheen, number>> = {
  flat: 3,
  matte: 7,
  eggshell: 15,
  satin: 30,
  'semi-gloss': 50,
  gloss: 80,
};
/** Gloss units at 60° in the middle of a sheen’s band. */
export const glossOf = (sheen: Sheen): number => GLOSS[sheen];

/** CIE L* below which a colour is deep; its reds, greens and browns are not touched up [common practice, no source; limits starting judgement]. */
const DEEP = 45;
const STRONG_CHROMA = 12;
function isDeepNever({ l, a, b }: Lab): boolean {
  const chroma = Math.hypot(a, b);
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  const isRedBrown = hue < 95 || hue > 330;
  const isGreen = hue > 110 && hue < 215;
  return l < DEEP && chroma >= STRONG_CHROMA / (isGreen ? 1.5 : 1) && (isRedBrown || isGreen);
}

/** A colour after so much light: it loses chroma and gets lighter, towards where it would end. */
function fadedTo({ l, a, b }: Lab, share: number): Lab {
  return { l: l + share * Math.max(0, 92 - l) * 0.5, a: a * (1 - share), b: b * (1 - share) };
}

type Setting = Pick<Job, 'settings'>;

/** Share of its colour that a coat has lost: more with years and sun, deep colours more of it, never all [our model]. */
export function fadeShare(job: Setting, { age, sun, hex }: Pick<TouchUpCase, 'age' | 'sun' | 'hex'>): number {
  const deep = Math.max(0, (DEEP + 25 - labOf(hex).l) / (DEEP + 25));
  const dose =
    age * (setting(job, 'fade.room') + sun * setting(job, 'fade.sun')) * (1 + deep * setting(job, 'fade.deep'));
  return setting(job, 'fade.most') * (1 - Math.exp(-dose));
}

/** How the new paint differs from what is there: colour and gloss. */
function difference(job: Setting, c: TouchUpCase) {
  const fresh = labOf(c.hex);
  const faded = labDelta(fresh, fadedTo(fresh, fadeShare(job, c)));
  const of = (what: 'batch' | 'paint', how: Sameness): number =>
    how === 'same' ? 0 : setting(job, `${what}.${how}` as DefaultKey);
  const mixed = Math.hypot(of('batch', c.batch), of('paint', c.paint));
  const share = c.cover === 'same' ? 0 : setting(job, `gloss.${c.cover}` as DefaultKey);
  // another hand, another day: never quite nothing
  const gloss = GLOSS[c.sheen] * (share + setting(job, 'gloss.hand') + c.age * setting(job, 'gloss.worn'));
  return { faded, mixed, deltaE: Math.hypot(faded, mixed), gloss };
}

/** Points that each sheen shows a spot by, before anything else [starting judgement]. */
const SHEEN_POINTS: Readonly<Record<Sheen, number>> = {
  flat: 0,
  matte: 4,
  eggshell: 12,
  satin: 26,
  'semi-gloss': 36,
  gloss: 42,
};
/** Size of a spot that a brush covers, and of one that a small roller does, m [starting judgement]. */
const BRUSHED: Metres = 0.03;
const ROLLED: Metres = 0.2;

/**
 * The points of a case, and what asks for more whatever they add up to. Each grows with what it goes by, so that more age, sun, size or
 * patches never make a smaller answer, and the same batch and cover never a larger one.
 */
function weigh(c: TouchUpCase, { faded, mixed, gloss }: ReturnType<typeof difference>): Because[] {
  const lab = labOf(c.hex);
  const found: Because[] = [];
  const add = (rule: TouchRule, points: number, value: number, least: Verdict | null = null) => {
    if (points > 0.05 || least) found.push({ rule, points, value, least });
  };
  add(
    'size',
    9 * Math.log2(1 + c.size / BRUSHED),
    c.size,
    c.size > ROLLED ? 'wall' : c.size > BRUSHED ? 'mini-roller' : null,
  );
  add('patches', Math.min(36, 3 * (c.patches - 1)), c.patches);
  add('fade', 9 * faded, faded, faded > 6 ? 'room' : faded > 3.5 ? 'neighbours' : faded > 2 ? 'wall' : null);
  add('batch', c.batch === 'same' ? 0 : 9 * mixed, mixed);
  add('gloss', 2 * gloss, gloss);
  add(
    'sheen',
    SHEEN_POINTS[c.sheen],
    GLOSS[c.sheen],
    SHEENS.indexOf(c.sheen) >= SHEENS.indexOf('satin') ? 'wall' : null,
  );
  if (isDeepNever(lab)) add('deep-no', 30, lab.l, 'wall');
  else add('deep', (40 * Math.max(0, DEEP - lab.l)) / DEEP, lab.l);
  if (c.raked) add('raked', 12, 0);
  const isThin = c.laid === 'spray' || (c.laid === 'spray-rolled' && c.coats === 1);
  if (isThin) add('thin-build', 24, c.coats ?? 1, c.size > BRUSHED / 2 ? 'wall' : null);
  else if (c.laid === 'spray-rolled') add('sprayed', 8, 0);
  if (c.paint === 'unknown') add('paint-unknown', 12, 0);
  if (c.paint === 'other') add('paint-other', 40, 0, 'wall');
  if (c.trim) add('trim', 0, 0);
  return found.sort((a, b) => b.points - a.points || rankOf(b.least) - rankOf(a.least));
}
const rankOf = (verdict: Verdict | null): number => (verdict === null ? -1 : VERDICTS.indexOf(verdict));

/** Up to which score each answer will do [starting judgement]. */
const ENOUGH: Readonly<Record<Exclude<Verdict, 'room'>, number>> = {
  brush: 22,
  'mini-roller': 38,
  thinned: 48,
  wall: 80,
  neighbours: 105,
};

function decide(job: Setting, c: TouchUpCase) {
  const differs = difference(job, c);
  const because = weigh(c, differs);
  const score = because.reduce((sum, { points }) => sum + points, 0);
  const byScore = VERDICTS.findIndex((verdict) => verdict === 'room' || score <= ENOUGH[verdict]);
  const asked = Math.max(byScore, ...because.map(({ least }) => rankOf(least)));
  return { verdict: VERDICTS[asked] ?? 'room', score, because, ...differs };
}

const CHANGES: readonly {
  readonly change: Otherwise['change'];
  readonly to: (c: TouchUpCase) => TouchUpCase | null;
}[] = [
  { change: 'batch', to: (c) => (c.batch === 'same' ? null : { ...c, batch: 'same' }) },
  { change: 'cover', to: (c) => (c.cover === 'same' ? null : { ...c, cover: 'same' }) },
  { change: 'paint', to: (c) => (c.paint === 'same' ? null : { ...c, paint: 'same', batch: 'same' }) },
  { change: 'smaller', to: (c) => (c.size > 2 * BRUSHED ? { ...c, size: BRUSHED, patches: 1 } : null) },
  { change: 'raked', to: (c) => (c.raked ? { ...c, raked: false } : null) },
  { change: 'flat', to: (c) => (c.sheen === 'flat' || c.sheen === 'matte' ? null : { ...c, sheen: 'flat' }) },
];

/**
 * Touch up, or paint how much of it? A scored judgement [common practice for its rules, starting judgement for their weights], with the
 * visible difference computed: CIEDE2000 from age, sun, depth and batch, and gloss units from sheen, cover and hand.
 */
export function touchUp(job: Setting, c: TouchUpCase): TouchUp {
  const { verdict, score, because, deltaE, faded, mixed, gloss } = decide(job, c);
  const wouldChange = CHANGES.flatMap(({ change, to }): Otherwise[] => {
    const other = to(c);
    const answer = other && decide(job, other).verdict;
    return answer && VERDICTS.indexOf(answer) < VERDICTS.indexOf(verdict) ? [{ change, verdict: answer }] : [];
  });
  const contrast = c.ground === null ? 0 : labDelta(labOf(c.ground), labOf(c.hex));
  const coats = contrast > setting(job, 'touch.contrast') ? 3 : 2;
  return { verdict, score, deltaE, faded, mixed, gloss, because, wouldChange, coats };
}

/** What is painted by an answer: m² of the places, of the wall, of it and those beside it, or of all walls. */
export interface Areas {
  readonly wall: SquareMetres;
  readonly neighbours: SquareMetres;
  readonly room: SquareMetres;
}
/** Litres for all coats: on spots thrice their own area is wetted, feathered out [starting judgement]. @param rate m²/L */
export function paintNeeded(
  answer: Pick<TouchUp, 'verdict' | 'coats'>,
  { patches, size }: Pick<TouchUpCase, 'patches' | 'size'>,
  areas: Areas,
  rate: number,
): Litres {
  const spots = 3 * patches * size * size;
  const { verdict } = answer;
  const area =
    verdict === 'wall' || verdict === 'neighbours' || verdict === 'room' ? areas[verdict] : Math.min(areas.wall, spots);
  return (area * answer.coats) / rate;
}
