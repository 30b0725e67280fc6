import {
  convertLrgbToRgb,
  convertRgbToLrgb,
  differenceCiede2000,
  modeLab65,
  modeLrgb,
  modeXyz65,
  parseHex,
  serializeHex,
  useMode,
} from 'culori/fn';

/** Colour science is culori's; this file only fixes our conventions. */
useMode(modeLrgb);
useMode(modeXyz65);
useMode(modeLab65);
const ciede2000 = differenceCiede2000();

/** Linear-light reflectance in three bands, 0-1. */
export type Bands = readonly [number, number, number];

/** Paints neither swallow nor return all light; the model's bands stay within this [our model]. */
const [DARKEST, LIGHTEST] = [0.012, 0.96];
const clamp = (value: number) => Math.min(LIGHTEST, Math.max(DARKEST, value));

/** Bands of an sRGB colour `#rrggbb`, clamped to 0.012-0.96. */
export function bandsOf(hex: string): Bands {
  const rgb = parseHex(hex);
  if (!rgb) throw new RangeError(`not a colour: ${hex}`);
  const colour = convertRgbToLrgb(rgb);
  return [clamp(colour.r), clamp(colour.g), clamp(colour.b)];
}

const asColour = ([r, g, b]: Bands) => ({ mode: 'lrgb', r, g, b }) as const;

export const hexOf = (bands: Bands): string => serializeHex(convertLrgbToRgb(asColour(bands)));

/** Luminous reflectance Y, 0-1 (Rec. 709 weights, D65). */
export const luminance = ([r, g, b]: Bands): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** CIEDE2000 between two sets of bands, Lab under D65. */
export const deltaE = (a: Bands, b: Bands): number => ciede2000(asColour(a), asColour(b));
