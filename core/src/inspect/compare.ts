import {
  CAUSES,
  SIGNS,
  type CauseId,
  type DefectKind,
  type RemedyKind,
  type Sign,
  type SignAnswers,
} from '../job/recorded.ts';
import type { Minutes } from '../units/si.ts';
import { keysOf } from '../units/list.ts';

/** What the log, the survey and the plan know about a place, without anybody being asked. null: they do not say. */
export interface Facts {
  /** Longest that the work on the coat lay still, and how long its edge stayed open. */
  readonly pause: Minutes | null;
  readonly open: Minutes | null;
  /** From the cut to the roller. */
  readonly cutAge: Minutes | null;
  /** How much sooner than by the recoat time of the label it was gone over. */
  readonly early: Minutes | null;
  /** Batches that were opened; and whether cans are boxed. */
  readonly batches: number;
  readonly boxed: boolean;
  /** Coats that are planned and were not laid. */
  readonly coatsLeft: number;
  /** ΔE of thin spots over the old colour, as predicted for the coats there are. */
  readonly hiding: number | null;
  readonly patched: boolean;
  readonly spotPrimed: boolean;
  readonly greasy: boolean;
  readonly damp: boolean;
  readonly weak: boolean;
  readonly stained: boolean;
  readonly taped: boolean;
  readonly pulledLate: boolean;
  /** Pile is not the one that fits the ground and sheen. */
  readonly otherPile: boolean;
  /** It moves in a frame. */
  readonly moves: boolean;
}

/** Where neither log nor plan says anything. */
export const NO_FACTS: Facts = {
  pause: null,
  open: null,
  cutAge: null,
  early: null,
  batches: 0,
  boxed: true,
  coatsLeft: 0,
  hiding: null,
  patched: false,
  spotPrimed: false,
  greasy: false,
  damp: false,
  weak: false,
  stained: false,
  taped: false,
  pulledLate: false,
  otherPile: false,
  moves: false,
};

/** A piece of evidence: an answer, or a fact that the log told; its weight multiplies the odds. */
export interface Evidence {
  readonly key: EvidenceKey;
  /** A figure that goes with it: minutes, a count, ΔE. */
  readonly value: number;
  readonly weight: number;
}
export type EvidenceKey = `${Sign}.${string}` | FactKey;
export type FactKey =
  | 'paused'
  | 'not-paused'
  | 'cut-set'
  | 'early'
  | 'batches'
  | 'one-batch'
  | 'coats-left'
  | 'thin'
  | 'hides'
  | 'patches'
  | 'primed'
  | 'greasy'
  | 'damp'
  | 'weak'
  | 'stained'
  | 'taped'
  | 'not-taped'
  | 'pulled-late'
  | 'pile'
  | 'moves';

interface CauseRow {
  /** How common it is where nothing speaks; the wrong cover most of all [common practice, no source; weights starting judgement]. */
  readonly prior: number;
  /** How often it looks like that: what is left out, seldom. */
  readonly explains: Readonly<Partial<Record<DefectKind, number>>>;
  /** What an answer does to its odds. */
  readonly signs: { readonly [S in Sign]?: Readonly<Partial<Record<(typeof SIGNS)[S][number], number>>> };
  readonly facts: (f: Facts) => readonly (readonly [key: FactKey, weight: number, value?: number])[];
}
const none = (): [] => [];
/** Seldom, but not never. */
const SELDOM = 0.02;

/** Causes: what they look like, and what speaks for and against them. */
const ROWS: Readonly<Record<CauseId, CauseRow>> = {
  'edge-set': {
    prior: 1,
    explains: { lap: 1, flashing: 0.2, shade: 0.1 },
    signs: {
      where: { 'strip-edges': 4, 'all-over': 0.4, spots: 0.2, tape: 0.1, 'cut-band': 0.5 },
      paused: { yes: 4, no: 0.5 },
      feel: { raised: 1.5 },
      from: { side: 1.5 },
    },
    facts: ({ pause, open }) =>
      pause === null || open === null ? [] : pause > open ? [['paused', 5, pause]] : [['not-paused', 0.4, pause]],
  },
  'gone-back': {
    prior: 0.7,
    explains: { lap: 0.6, flashing: 0.5, tracks: 0.6, 'orange-peel': 0.3, 'filler-lifted': 0.2, miss: 0.05 },
    signs: { again: { yes: 6, no: 0.2 }, since: { drying: 1.5 }, feel: { rough: 2 } },
    facts: none,
  },
  'wrong-cover': {
    prior: 2.2,
    explains: {
      lap: 0.3,
      tracks: 0.6,
      'orange-peel': 1,
      miss: 0.4,
      flashing: 0.3,
      lint: 0.3,
      'poor-hiding': 0.4,
      halo: 0.3,
    },
    signs: { cover: { other: 5, 'as-said': 0.3 }, where: { 'all-over': 2, spots: 0.4 } },
    facts: ({ otherPile }) => (otherPile ? [['pile', 3]] : []),
  },
  'dirty-cover': {
    prior: 0.6,
    explains: { lint: 1, tracks: 0.3, cissing: 0.1 },
    signs: { cover: { unwashed: 6 }, where: { 'all-over': 1.5, spots: 1.5 }, feel: { rough: 2 } },
    facts: none,
  },
  starved: {
    prior: 0.8,
    explains: { miss: 1, 'poor-hiding': 0.7, tracks: 0.3, flashing: 0.3 },
    signs: { where: { 'all-over': 1.5, 'strip-edges': 1.5 }, feel: { level: 1.3 } },
    facts: none,
  },
  pressed: {
    prior: 0.8,
    explains: { tracks: 1, lap: 0.2 },
    signs: { where: { 'strip-edges': 3 }, feel: { raised: 2, level: 0.6 } },
    facts: none,
  },
  'too-much': {
    prior: 0.8,
    explains: { run: 1, wrinkling: 0.6, tracks: 0.2, 'orange-peel': 0.2, blocking: 0.2 },
    signs: { feel: { raised: 2.5 }, since: { wet: 2, drying: 1.5 } },
    facts: none,
  },
  'thirsty-ground': {
    prior: 0.9,
    explains: { flashing: 1, lap: 0.2, 'poor-hiding': 0.3, shade: 0.2 },
    signs: { where: { patches: 6, 'strip-edges': 0.4, 'all-over': 0.6 }, since: { dry: 1.5 }, feel: { level: 1.3 } },
    facts: ({ patched, spotPrimed }) => (patched ? [spotPrimed ? ['primed', 0.5] : ['patches', 4]] : []),
  },
  grease: {
    prior: 0.6,
    explains: { cissing: 1, lifting: 0.2, flaking: 0.3, miss: 0.1 },
    signs: { since: { wet: 3, days: 0.3 }, where: { spots: 2 } },
    facts: ({ greasy }) => (greasy ? [['greasy', 3]] : []),
  },
  'too-early': {
    prior: 0.7,
    explains: {
      lifting: 1,
      'filler-lifted': 1,
      wrinkling: 0.9,
      lap: 0.1,
      cracking: 0.4,
      blistering: 0.2,
      flashing: 0.1,
    },
    signs: { since: { wet: 2, drying: 2 }, feel: { rough: 1.5 } },
    facts: ({ early }) => (early !== null && early > 0 ? [['early', 5, early]] : []),
  },
  'tape-open': {
    prior: 0.8,
    explains: { 'tape-bleed': 1, 'wavy-edge': 0.2 },
    signs: { where: { tape: 5 } },
    facts: ({ taped }) => (taped ? [['taped', 2]] : [['not-taped', 0.1]]),
  },
  'tape-late': {
    prior: 0.6,
    explains: { 'torn-edge': 1, lifting: 0.1 },
    signs: { where: { tape: 5 } },
    facts: ({ taped, pulledLate }) => (!taped ? [['not-taped', 0.1]] : pulledLate ? [['pulled-late', 4]] : []),
  },
  unboxed: {
    prior: 0.5,
    explains: { shade: 1, lap: 0.1 },
    signs: { where: { 'can-change': 6, 'all-over': 0.6 } },
    facts: ({ batches, boxed }) =>
      batches > 1 && !boxed ? [['batches', 4, batches]] : batches === 1 ? [['one-batch', 0.2]] : [],
  },
  'few-coats': {
    prior: 0.8,
    explains: { 'poor-hiding': 1, miss: 0.3, shade: 0.3, halo: 0.2 },
    signs: { from: { front: 1.5 }, feel: { level: 1.5 }, where: { 'all-over': 1.5, patches: 1.3 } },
    facts: ({ coatsLeft, hiding }) =>
      coatsLeft > 0
        ? [['coats-left', 4, coatsLeft]]
        : hiding === null
          ? []
          : hiding > 1
            ? [['thin', 3, hiding]]
            : [['hides', 0.5, hiding]],
  },
  'brush-band': {
    prior: 0.8,
    explains: { halo: 1, lap: 0.2 },
    signs: { where: { 'cut-band': 5, 'all-over': 0.2 } },
    facts: ({ cutAge, open }) => (cutAge !== null && open !== null && cutAge > open ? [['cut-set', 3, cutAge]] : []),
  },
  stain: {
    prior: 0.6,
    explains: { bleeding: 1, shade: 0.2 },
    signs: { since: { days: 2, dry: 1.5, wet: 0.5 }, where: { spots: 2, patches: 1.5 }, feel: { level: 1.5 } },
    facts: ({ stained }) => (stained ? [['stained', 4]] : []),
  },
  'closed-early': {
    prior: 0.6,
    explains: { blocking: 1, 'torn-edge': 0.2 },
    signs: { where: { joint: 4 }, since: { days: 1.5 } },
    facts: ({ moves }) => (moves ? [['moves', 2]] : []),
  },
  'unsteady-hand': {
    prior: 0.8,
    explains: { 'wavy-edge': 1, 'torn-edge': 0.1 },
    signs: { where: { tape: 0.4 }, from: { front: 1.3 } },
    facts: ({ taped }) => (taped ? [['taped', 0.5]] : []),
  },
  'damp-ground': {
    prior: 0.4,
    explains: { blistering: 1, flaking: 0.5, bleeding: 0.2, shade: 0.1 },
    signs: { since: { days: 2.5, wet: 0.4 }, feel: { hollow: 3 } },
    facts: ({ damp }) => (damp ? [['damp', 5]] : []),
  },
  'weak-ground': {
    prior: 0.5,
    explains: { flaking: 1, cracking: 0.7, lifting: 0.5, 'filler-lifted': 0.4, 'torn-edge': 0.4, blistering: 0.2 },
    signs: { feel: { hollow: 2, rough: 1.3 }, since: { days: 1.5 } },
    facts: ({ weak }) => (weak ? [['weak', 4]] : []),
  },
};

export interface Ranked {
  /** null: none of those that are known here. */
  readonly cause: CauseId | null;
  /** Of 1, over all of them. */
  readonly share: number;
  /** What speaks for it and against it, the weightiest first. */
  readonly evidence: readonly Evidence[];
}
export interface Comparison {
  readonly ranked: readonly Ranked[];
  /** The likeliest, where it stands out; null: not known yet, or nothing known here. */
  readonly likeliest: CauseId | null;
  /** The question whose answer would tell most; null: all were asked, or none would tell anything. */
  readonly ask: Sign | null;
}

/** Weight of what is none of these: unknown stays unknown [starting judgement]. */
const NONE = 0.35;
/** A cause is named from this share on, and where it is so many times as likely as the next [starting judgement]. */
const NAMED = { share: 0.4, times: 1.6 };

function evidenceFor(row: CauseRow, answers: SignAnswers, facts: Facts): Evidence[] {
  const said = keysOf(SIGNS).flatMap((sign): Evidence[] => {
    const answer = answers[sign];
    const weight = answer === undefined ? undefined : weightOf(row, sign, answer);
    return weight === undefined || weight === 1 ? [] : [{ key: `${sign}.${String(answer)}`, value: 0, weight }];
  });
  const known = row.facts(facts).map(([key, weight, value = 0]): Evidence => ({ key, value, weight }));
  return [...said, ...known].sort((a, b) => Math.abs(Math.log(b.weight)) - Math.abs(Math.log(a.weight)));
}
const weightOf = (row: CauseRow, sign: Sign, answer: string): number | undefined =>
  (row.signs[sign] as Readonly<Record<string, number>> | undefined)?.[answer];

const shares = (weights: readonly number[]): number[] => {
  const all = weights.reduce((sum, w) => sum + w, 0);
  return weights.map((w) => w / all);
};

/**
 * Why a defect came about: causes by their odds, from how common each is, what it looks like, what was answered and what the log knows.
 * Odds multiply as if answers were independent [our model].
 */
export function compare(kind: DefectKind, answers: SignAnswers, facts: Facts): Comparison {
  const rows = CAUSES.map((cause) => ({ cause, row: ROWS[cause], evidence: evidenceFor(ROWS[cause], answers, facts) }));
  const weights = rows.map(
    ({ row, evidence }) =>
      row.prior *
      (kind === 'unknown' ? 0.3 : (row.explains[kind] ?? SELDOM)) *
      evidence.reduce((all, { weight }) => all * weight, 1),
  );
  const all = shares([...weights, NONE * (kind === 'unknown' ? 1 : 0.3)]);
  const ranked = [
    ...rows.map(({ cause, evidence }, i): Ranked => ({ cause, evidence, share: all[i] ?? 0 })),
    { cause: null, evidence: [], share: all.at(-1) ?? 0 },
  ].sort((a, b) => b.share - a.share);
  const [first, second] = ranked;
  const stands = first && first.share >= NAMED.share && first.share >= NAMED.times * (second?.share ?? 0);
  return {
    ranked,
    likeliest: stands ? first.cause : null,
    ask: nextQuestion(
      answers,
      rows.map(({ row }) => row),
      all,
    ),
  };
}

/** Below this no question is worth asking, in nats. */
const TELLS = 0.01;

/** The question that is expected to leave least open. */
function nextQuestion(answers: SignAnswers, rows: readonly CauseRow[], all: readonly number[]): Sign | null {
  const entropy = (of: readonly number[]): number => of.reduce((sum, p) => (p > 0 ? sum - p * Math.log(p) : sum), 0);
  const now = entropy(all);
  let best: { readonly sign: Sign; readonly gain: number } | null = null;
  for (const sign of keysOf(SIGNS)) {
    if (answers[sign] !== undefined) continue;
    const given = rows.map((row) => shares(SIGNS[sign].map((answer) => weightOf(row, sign, answer) ?? 1)));
    // what is none of them answers anything
    const even = SIGNS[sign].map(() => 1 / SIGNS[sign].length);
    const left = SIGNS[sign].reduce((sum, _, i) => {
      const joint = all.map((p, c) => p * ((given[c] ?? even)[i] ?? 0));
      const total = joint.reduce((a, b) => a + b, 0);
      return sum + total * entropy(joint.map((p) => p / total));
    }, 0);
    if (now - left > Math.max(TELLS, best?.gain ?? 0)) best = { sign, gain: now - left };
  }
  return best?.sign ?? null;
}

/** What may be done about each, the recommended one first [common practice, no source]. */
export const REMEDIES_FOR: Readonly<Record<DefectKind, readonly RemedyKind[]>> = {
  unknown: [],
  lap: ['ridge-corner', 'ridge-only', 'recoat-section'],
  halo: ['another-coat', 'recoat-section'],
  miss: ['spot-in', 'recoat-section'],
  flashing: ['recoat-section', 'block-stain'],
  tracks: ['ridge-corner', 'ridge-only'],
  'orange-peel': ['ridge-corner'],
  run: ['flatten-spot', 'ridge-corner'],
  cissing: ['wipe-off'],
  lifting: ['scrape-back'],
  'filler-lifted': ['filler-again'],
  'tape-bleed': ['cut-again'],
  'torn-edge': ['cut-again', 'filler-again'],
  'wavy-edge': ['cut-again'],
  shade: ['recoat-section'],
  lint: ['flatten-spot', 'ridge-corner'],
  'poor-hiding': ['another-coat'],
  bleeding: ['block-stain'],
  blocking: ['ease-sash'],
  wrinkling: ['scrape-back'],
  blistering: ['scrape-back'],
  cracking: ['scrape-back'],
  flaking: ['scrape-back'],
};
