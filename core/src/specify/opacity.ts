import { setting } from '../job/defaults.ts';
import type { Colour, Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { TintBase } from '../job/vocabulary.ts';
import { remember } from '../units/remember.ts';
import { labOf, lrvOf } from './colour.ts';

/** Colours whose pigments scatter little, so that they hide worse than the whites and earths of the same paint [common practice]. */
const BRIGHT_FAMILIES = ['red', 'orange', 'yellow', 'deep-red'] as const;
export type BrightFamily = (typeof BRIGHT_FAMILIES)[number];

interface Lch {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}
/** Where they lie in CIE LCh under D65; earths and ochres are duller or darker than these [our model]. */
const FITS: Readonly<Record<BrightFamily, (colour: Lch) => boolean>> = {
  red: ({ l, c, h }) => (h < 42 || h > 345) && c >= 60 && l >= 38,
  orange: ({ l, c, h }) => h >= 42 && h < 72 && c >= 60 && l >= 50,
  yellow: ({ l, c, h }) => h >= 72 && h < 115 && c >= 45 && l >= 72,
  'deep-red': ({ l, c, h }) => (h < 42 || h > 345) && c >= 40 && l < 38,
};

/** The family that a colour hides as; null: as whites and earths do. */
export const brightFamily = remember(({ hex }: Pick<Colour, 'hex'>): BrightFamily | null => {
  const { l, a, b } = labOf(hex);
  const colour = { l, c: Math.hypot(a, b), h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 };
  return BRIGHT_FAMILIES.find((family) => FITS[family](colour)) ?? null;
});

/** Base a colour is mixed in by its light reflectance, bright ones in the deep (clear) one [starting judgement]; an untinted one is white. */
export function baseOf(colour: Pick<Colour, 'hex'> | null): TintBase {
  if (!colour) return 'white';
  if (brightFamily(colour)) return 'deep';
  const lrv = lrvOf(colour.hex);
  return lrv >= 55 ? 'white' : lrv >= 22 ? 'middle' : 'deep';
}

export interface Opacity {
  /** Contrast ratio, 0-1, at the label's film. */
  readonly contrast: number;
  /** Known for this colour; as the label has it; or a starting value for a bright colour. */
  readonly from: 'known' | 'label' | 'starting';
  readonly family: BrightFamily | null;
}

/** Below this nobody would call it a paint. */
const LEAST = 0.5;

/** How well a paint hides in a colour: what is known of it, else the label, which states it for pale colours: a bright one lacks more. */
export function opacityOf(job: Pick<Job, 'settings'>, product: Product, colour: Colour): Opacity {
  const family = brightFamily(colour);
  const known = product.inColour[colour.id];
  if (known !== undefined) return { contrast: known, from: 'known', family };
  if (!family) return { contrast: product.contrast, from: 'label', family };
  const lack = (1 - product.contrast) * setting(job, `opacity.${family}`);
  return { contrast: Math.min(product.contrast, Math.max(LEAST, 1 - lack)), from: 'starting', family };
}
