import type { PartKind } from '../job/vocabulary.ts';
import { PART_RULES } from '../measure/parts.ts';

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
