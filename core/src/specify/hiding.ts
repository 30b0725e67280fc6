import { bandsOf, deltaE, hexOf, luminance, type Bands } from './colour.ts';

/**
 * Hiding by Kubelka and Munk's theory of a film that scatters and absorbs [model on published theory]. Three bands, one
 * scattering power across them; Saunderson's surface reflection is left out, so figures are for comparing, not matching.
 */
const BLACK: Bands = [0, 0, 0];
/** White substrate of a contrast ratio: reflectance 0.80. */
const WHITE: Bands = [0.8, 0.8, 0.8];
/** One-sided 5 % point: the thin spots. */
const THIN = 1.645;
export const MOST_COATS = 8;

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
}
export interface Hiding {
  /** Smallest number of coats that hides; MOST_COATS when even those do not. */
  readonly coats: number;
  readonly hides: boolean;
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
  /** Unevenness of one rolled film. */
  readonly cv: number;
  /** CIEDE2000 allowed at thin spots. */
  readonly limit: number;
}

const memo = new Map<string, Hiding>();

/** Coats until thin spots are within `limit` of full hiding, and the look after each. Pure; answers are remembered. */
export function hide(question: HidingQuestion): Hiding {
  const key = Object.values(question).join('|');
  const known = memo.get(key);
  if (known) return known;
  if (memo.size > 5000) memo.clear();
  const answer = work(question);
  memo.set(key, answer);
  return answer;
}

function work({ paint, background, contrast, film: applied, cv, limit }: HidingQuestion): Hiding {
  const [hidden, under] = [bandsOf(paint), bandsOf(background)];
  const sx = scatteringPower(hidden, contrast) * applied;
  const looks: CoatLook[] = [];
  for (let n = 1; n <= MOST_COATS; n++) {
    const mean = film(hidden, sx * n, under);
    const thin = film(hidden, sx * Math.max(0, n * (1 - (THIN * cv) / Math.sqrt(n))), under);
    const look = {
      coats: n,
      mean: hexOf(mean),
      thin: hexOf(thin),
      meanDelta: deltaE(mean, hidden),
      thinDelta: deltaE(thin, hidden),
    };
    looks.push(look);
    if (look.thinDelta <= limit && n >= 3) break;
  }
  const first = looks.find((look) => look.thinDelta <= limit);
  return { coats: first?.coats ?? MOST_COATS, hides: first !== undefined, before: background, looks };
}

/** What a full coat of primer leaves for the paint to cover. */
export function primed(background: string, primer: string, contrast: number, coats: number): string {
  const hidden = bandsOf(primer);
  return hexOf(film(hidden, scatteringPower(hidden, contrast) * coats, bandsOf(background)));
}
