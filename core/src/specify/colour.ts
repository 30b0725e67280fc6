import {
  convertLrgbToRgb,
  convertRgbToLrgb,
  converter,
  differenceCiede2000,
  modeLab65,
  modeLrgb,
  modeRgb,
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
const toLab = converter('lab65');
const toRgb = useMode(modeRgb);

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

/** Linear light in three bands, from 0 to 1, as `#rrggbb` in sRGB. */
export const hexOf = (bands: Bands): string => serializeHex(convertLrgbToRgb(asColour(bands)));

/** Luminous reflectance Y, 0-1 (Rec. 709 weights, D65). */
export const luminance = ([r, g, b]: Bands): number => 0.2126 * r + 0.7152 * g + 0.0722 * b;

/** Light reflectance value, 0-100: luminous reflectance as paint cards print it; not clamped as the model's bands are. */
export function lrvOf(hex: string): number {
  const rgb = parseHex(hex);
  if (!rgb) throw new RangeError(`not a colour: ${hex}`);
  const { r, g, b } = convertRgbToLrgb(rgb);
  return 100 * luminance([r, g, b]);
}

export interface Lab {
  readonly l: number;
  readonly a: number;
  readonly b: number;
}
/** CIE Lab under D65 of an sRGB colour. */
export function labOf(hex: string): Lab {
  const { l = 0, a = 0, b = 0 } = toLab(hex) ?? {};
  return { l, a, b };
}
/** sRGB of a Lab colour under D65; `shown` is false where a screen cannot show it and the nearest it can is given. */
export function hexOfLab({ l, a, b }: Lab): { readonly hex: string; readonly shown: boolean } {
  const rgb = toRgb({ mode: 'lab65', l, a, b });
  // half a step of an 8-bit channel beyond is rounding, not colour
  const within = [rgb.r, rgb.g, rgb.b].every((v) => v > -0.002 && v < 1.002);
  return { hex: serializeHex(rgb), shown: within };
}
/** CIEDE2000 of two Lab colours. */
export const labDelta = (p: Lab, q: Lab): number => ciede2000({ mode: 'lab65', ...p }, { mode: 'lab65', ...q });

const HUES: readonly (readonly [number, string])[] = [
  [20, 'pink'],
  [45, 'red'],
  [70, 'orange'],
  [100, 'yellow'],
  [125, 'yellow-green'],
  [175, 'green'],
  [225, 'blue-green'],
  [285, 'blue'],
  [330, 'violet'],
  [360, 'pink'],
];
const DEPTHS: readonly (readonly [number, string])[] = [
  [22, 'very dark'],
  [42, 'deep'],
  [65, 'of middle depth'],
  [86, 'light'],
  [101, 'near white'],
];

/** Depth and undertone in words, from lightness, chroma and hue [starting judgement]. */
export function undertone(hex: string): string {
  const { l, a, b } = labOf(hex);
  const chroma = Math.hypot(a, b);
  const hue = ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;
  const depth = DEPTHS.find(([to]) => l < to)?.[1] ?? '';
  const name = HUES.find(([to]) => hue < to)?.[1] ?? '';
  if (chroma < 1.2) return `${depth}, neutral`;
  const strength = chroma < 5 ? 'a trace of' : chroma < 14 ? 'a leaning to' : chroma < 35 ? 'clearly' : 'strongly';
  return `${depth}, ${strength} ${name}`;
}

/** CIEDE2000 between two sets of bands, Lab under D65. */
export const deltaE = (a: Bands, b: Bands): number => ciede2000(asColour(a), asColour(b));
