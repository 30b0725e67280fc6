import { rememberLast } from '../units/remember.ts';
import { bandsOf, deltaE, hexOf, luminance, type Bands } from './colour.ts';
import { at } from '../units/list.ts';

/**
 * Hiding by Kubelka and Munk's theory of a film that scatters and absorbs [model on published theory]. Three bands, one
 * scattering power across them; Saunderson's surface reflection is left out, so figures are for comparing, not matching.
 */
const BLACK: Bands = [0, 0, 0];
/** White substrate of a contrast ratio: reflectance 0.80. */
const WHITE: Bands = [0.8, 0.8, 0.8];
/** One-sided 5 % point: the thin spots. */
const THIN = 1.645;
const MOST_COATS = 8;

/** Reflectance in one band of a film of scattering power `sx` of a paint with `rInfinity`, over `background`. */
export function filmReflectance(rInfinity: number, sx: number, background: number): number {
  if (sx <= 0) return background;
  const a = (1 / rInfinity + rInfinity) / 2;
  const b = Math.sqrt(a * a - 1);
  const c = b / Math.tanh(b * sx);
  return (1 - background * (a - c)) / (a - background + c);
}

/** A film over a background, band by band. */
export const film = (paint: Bands, sx: number, background: Bands): Bands => [
  filmReflectance(paint[0], sx, background[0]),
  filmReflectance(paint[1], sx, background[1]),
  filmReflectance(paint[2], sx, background[2]),
];

/** Contrast ratio Y over black / Y over white at a scattering power, 0-1. */
export const contrastRatio = (paint: Bands, sx: number): number =>
  luminance(film(paint, sx, BLACK)) / luminance(film(paint, sx, WHITE));

/** Scattering power of one label film of a paint whose contrast ratio (0-1, exclusive) is known, by bisection. */
export function scatteringPower(paint: Bands, contrast: number): number {
  let [low, high] = [1e-6, 1];
  while (contrastRatio(paint, high) < contrast && high < 1e4) high *= 2;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (contrastRatio(paint, middle) < contrast) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

export interface CoatLook {
  readonly coats: number;
  /** Predicted sRGB at mean film and at thin spots. */
  readonly mean: string;
  readonly thin: string;
  /** CIEDE2000 from full hiding. */
  readonly meanDelta: number;
  readonly thinDelta: number;
  /** The band cut in with a brush, its film thinner than a rolled one. */
  readonly cut: string;
  readonly cutDelta: number;
}
export interface Hiding {
  /** Smallest number of coats that hides; MOST_COATS when even those do not. */
  readonly coats: number;
  readonly hides: boolean;
  /** Coats the cut band wants. */
  readonly cutCoats: number;
  readonly before: string;
  readonly looks: readonly CoatLook[];
}

export interface HidingQuestion {
  /** `#rrggbb` of the paint when hidden, and of what it covers. */
  readonly paint: string;
  readonly background: string;
  /** Contrast ratio 0-1 at the label's film. */
  readonly contrast: number;
  /** Film applied over the label's film. */
  readonly film: number;
  /** Film of the brushed cut band over the rolled film. */
  readonly cutFilm: number;
  /** Film of the first coat over that of the later ones: a thin first coat, or one heavy one. */
  readonly first: number;
  /** Film of the last coat over that of the others: conditioner in it stands in for paint. */
  readonly last: number;
  /** Unevenness of one rolled film. */
  readonly cv: number;
  /** CIEDE2000 allowed at thin spots. */
  readonly limit: number;
}

const written = (question: HidingQuestion): string => Object.values(question).join('|');

/** Coats until thin spots are within `limit` of full hiding, and the look after each. */
export const hide = rememberLast(5000, written, layCoats);

function layCoats({
  paint,
  background,
  contrast,
  film: applied,
  cutFilm,
  first,
  last,
  cv,
  limit,
}: HidingQuestion): Hiding {
  const [hidden, under] = [bandsOf(paint), bandsOf(background)];
  const sx = scatteringPower(hidden, contrast) * applied;
  const looks: CoatLook[] = [];
  for (let n = 1; n <= MOST_COATS; n++) {
    const films = n === 1 ? first * last : first + n - 2 + last;
    const mean = film(hidden, sx * films, under);
    const thin = film(hidden, sx * Math.max(0, films - THIN * cv * Math.sqrt(first ** 2 + n - 1)), under);
    const cut = film(hidden, sx * films * cutFilm, under);
    const look = {
      coats: n,
      mean: hexOf(mean),
      thin: hexOf(thin),
      meanDelta: deltaE(mean, hidden),
      thinDelta: deltaE(thin, hidden),
      cut: hexOf(cut),
      cutDelta: deltaE(cut, hidden),
    };
    looks.push(look);
    if (look.thinDelta <= limit && look.cutDelta <= limit && n >= 3) break;
  }
  const enough = looks.find((look) => look.thinDelta <= limit);
  const cutCoats = looks.find((look) => look.cutDelta <= limit)?.coats ?? MOST_COATS;
  return { coats: enough?.coats ?? MOST_COATS, hides: enough !== undefined, cutCoats, before: background, looks };
}

/** What a full coat of primer leaves for the paint to cover. */
export function primed(background: string, primer: string, contrast: number, coats: number): string {
  const hidden = bandsOf(primer);
  return hexOf(film(hidden, scatteringPower(hidden, contrast) * coats, bandsOf(background)));
}

/** Over several old colours (a wall with a patch and a stripe) the one that shows longest decides. */
export function hideAll(question: Omit<HidingQuestion, 'background'>, backgrounds: readonly string[]): Hiding {
  const [first = '#ffffff', ...rest] = backgrounds;
  return rest.reduce(
    (worst, background) => {
      const other = hide({ ...question, background });
      const later = other.coats - worst.coats || last(other).thinDelta - last(worst).thinDelta;
      return later > 0 ? other : worst;
    },
    hide({ ...question, background: first }),
  );
}
const last = ({ looks }: Hiding): CoatLook => looks.at(-1) as CoatLook;

export interface TintedPrimer {
  readonly tint: string;
  /** Finish coats over it, and how many it saves. */
  readonly coats: number;
  readonly saves: number;
  /** CIEDE2000 of thin spots after those coats. */
  readonly thinDelta: number;
}

const STEPS = 20;

/**
 * The tint of a full primer coat that saves most finish coats: every grey and every mix of the primer's white with the
 * paint's own colour is tried in twenty steps; of those that save equally, the one whose thin spots end nearest to hidden.
 * `coats`: finish coats without a primer. null: no tint saves one.
 */
export const bestTint = rememberLast(
  500,
  (question: HidingQuestion, primer: Tintable, coats: number) =>
    [written(question), primer.white, primer.contrast, coats].join('|'),
  searchTint,
);
/** A primer as it is before a tint: its own white, and its contrast ratio. */
interface Tintable {
  readonly white: string;
  readonly contrast: number;
}

const mixed = (from: number, to: number, t: number): number => from * (1 - t) + to * t;

function searchTint(question: HidingQuestion, primer: Tintable, coats: number): TintedPrimer | null {
  const [white, paint] = [bandsOf(primer.white), bandsOf(question.paint)];
  const along = (to: Bands, t: number): string =>
    hexOf([mixed(white[0], to[0], t), mixed(white[1], to[1], t), mixed(white[2], to[2], t)]);
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => i / STEPS);
  const tries = new Set([...steps.map((t) => along([0.03, 0.03, 0.03], t)), ...steps.map((t) => along(paint, t))]);
  let best: TintedPrimer | null = null;
  for (const tint of tries) {
    const under = primed(question.background, tint, primer.contrast, 1);
    const over = hide({ ...question, background: under });
    if (!over.hides || over.coats >= coats) continue;
    const { thinDelta } = at(over.looks, over.coats - 1);
    if (!best || over.coats < best.coats || (over.coats === best.coats && thinDelta < best.thinDelta))
      best = { tint, coats: over.coats, saves: coats - over.coats, thinDelta };
  }
  return best;
}

export type Doubt = 'class-3' | 'thin-film' | 'conditioner' | 'uneven';
/** Conditioner at 190 mL/L of paint: the film holds that much less of it. */
const DILUTED = 1 / 1.19;

/** How many coats if something is not as the label says. */
export const doubts = (question: HidingQuestion): readonly { readonly doubt: Doubt; readonly coats: number }[] => {
  const coats = (change: Partial<HidingQuestion>) => hide({ ...question, ...change }).coats;
  return [
    { doubt: 'class-3', coats: coats({ contrast: Math.min(question.contrast, 0.95) }) },
    { doubt: 'thin-film', coats: coats({ film: question.film * 0.85 }) },
    { doubt: 'conditioner', coats: coats({ last: question.last * DILUTED }) },
    { doubt: 'uneven', coats: coats({ cv: question.cv * 1.4 }) },
  ];
};
