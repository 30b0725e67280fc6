import type { PartKind, TrimKind } from '../job/vocabulary.ts';
import { PART_RULES } from '../measure/parts.ts';
import { pair } from '../units/word.ts';
import type { Words } from '../words/terms.ts';

/** How a tape sheet writes trim: the sheet of a job in metres in British words; either is read. */
export const TRIM_KEYWORDS: Words<TrimKind | 'casing'> = {
  baseboard: pair('baseboard', 'skirting'),
  crown: pair('crown', 'cornice'),
  'chair-rail': pair('chair-rail', 'dado-rail'),
  'picture-rail': 'picture-rail',
  casing: pair('casing', 'architrave'),
};

/** How a tape sheet writes the sizes of a part. */
export type Size = 'width' | 'height' | 'depth';
export const SIZE_WORDS: readonly (readonly [string, Size | 'at' | 'sill'])[] = [
  ['wide', 'width'],
  ['high', 'height'],
  ['deep', 'depth'],
  ['at', 'at'],
  ['sill', 'sill'],
];
const isSize = (key: string): key is Size => key === 'width' || key === 'height' || key === 'depth';

/** The sizes written as a pair without words. */
export function pairOf(kind: PartKind): readonly Size[] {
  const { needs, takes } = PART_RULES[kind];
  const sizes = [...needs, ...takes].filter(isSize);
  return kind === 'tray' ? [] : sizes.slice(0, 2);
}
