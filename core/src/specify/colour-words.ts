import type { Colour } from '../job/paints.ts';
import { labOf } from './colour.ts';
import { parseColour } from './colour-text.ts';
import { OWN_PALETTE } from './own-palette.ts';

interface Lch {
  readonly l: number;
  readonly c: number;
  readonly h: number;
}
/** Words that people use for a colour, by CIE LCh under D65 [starting judgement]; several may fit. */
const WORDS: readonly (readonly [words: readonly string[], fits: (colour: Lch) => boolean])[] = [
  [['white'], ({ l, c }) => l > 88 && c < 12],
  [['grey', 'gray'], ({ l, c }) => c < 6 && l > 25 && l < 92],
  [['black'], ({ l, c }) => l < 25 && c < 10],
  [['cream'], ({ l, c, h }) => l > 82 && c >= 6 && c < 28 && h > 65 && h < 110],
  [['beige', 'sand'], ({ l, c, h }) => l > 60 && l < 90 && c >= 6 && c < 28 && h > 50 && h < 105],
  [['brown'], ({ l, c, h }) => l < 55 && c >= 8 && h > 25 && h < 90],
  [['pink', 'rose'], ({ l, c, h }) => l > 60 && c >= 8 && (h > 330 || h < 35)],
  [['red'], ({ l, c, h }) => l <= 62 && c >= 25 && (h > 345 || h < 45)],
  [['orange'], ({ l, c, h }) => l > 50 && c >= 40 && h >= 40 && h < 75],
  [['yellow', 'ochre'], ({ l, c, h }) => l > 55 && c >= 25 && h >= 70 && h < 112],
  [['green'], ({ c, h }) => c >= 6 && h >= 105 && h < 195],
  [['teal', 'turquoise'], ({ c, h }) => c >= 8 && h >= 170 && h < 235],
  [['blue', 'navy'], ({ c, h }) => c >= 6 && h >= 215 && h < 300],
  [['violet', 'purple', 'lilac'], ({ c, h }) => c >= 8 && h >= 290 && h < 340],
];
/** What people would call a colour when they look for it. */
export function colourWords(hex: string): string[] {
  const { l, a, b } = labOf(hex);
  const colour = { l, c: Math.hypot(a, b), h: ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360 };
  const depth = l < 45 ? ['dark', 'deep'] : l > 75 ? ['light', 'pale'] : [];
  return [...WORDS.flatMap(([words, fits]) => (fits(colour) ? words : [])), ...depth];
}

/** A colour nobody has named yet: what people would call it, and what it is. */
export function plainName(hex: string): string {
  const words = colourWords(hex);
  const depth = words.find((word) => word === 'dark' || word === 'light');
  const hue = words.find((word) => word !== 'dark' && word !== 'light');
  return `${[depth, hue ?? 'colour'].filter(Boolean).join(' ')} ${hex}`;
}

/** A colour to choose: of the job (then it has an id), of the palette, or as written. */
export interface Offered {
  readonly id: string | null;
  readonly name: string;
  readonly code: string;
  readonly hex: string;
  /** False: no screen shows it; the nearest that one can stands in. */
  readonly shown: boolean;
}

/** Light enough, and grey enough, for most walls there are [starting judgement]. */
const isLightNeutral = (hex: string): boolean => {
  const { l, a, b } = labOf(hex);
  return l > 80 && Math.hypot(a, b) < 10;
};

/**
 * What is meant by a colour as people ask for it: `light grey`, part of a name, a maker's code, `#d0d0cc`, `Lab 82 0 2`. Nothing
 * typed: the job's own and light neutrals. One colour is offered once, the job's own before the palette's.
 */
export function colourOffers(text: string, own: readonly Colour[]): readonly Offered[] {
  const mine: Offered[] = own.map(({ id, name, hex, code }) => ({ id, name, hex, code: code ?? '', shown: true }));
  const isMine = (hex: string) => own.some((colour) => colour.hex === hex);
  const others: Offered[] = OWN_PALETTE.filter(({ hex }) => !isMine(hex)).map(({ name, hex }) => ({
    id: null,
    name,
    hex,
    code: '',
    shown: true,
  }));
  const all = [...mine, ...others];
  const typed = text.trim().toLowerCase();
  if (!typed) return [...mine, ...others.filter(({ hex }) => isLightNeutral(hex))];
  const written = parseColour(typed);
  if (written.ok) {
    const { hex, shown } = written.value;
    const same = all.filter((colour) => colour.hex === hex);
    return same.length ? same : [{ id: null, name: plainName(hex), code: '', hex, shown }];
  }
  const said = typed.split(/\s+/);
  return all.filter(({ name, code, hex }) => {
    const words = colourWords(hex);
    return said.every((word) => `${name} ${code}`.toLowerCase().includes(word) || words.includes(word));
  });
}
