import type { Fabric, MaterialItem, PieceUnit } from '../job/vocabulary.ts';
import { INCH, type Metres } from '../units/si.ts';

/** Where in a shop it stands: the order of the shopping list. */
export const AISLES = ['paint', 'masking', 'filling and sanding', 'rollers and brushes', 'cleaning', 'safety'] as const;
export type Aisle = (typeof AISLES)[number];

/** Where it stands, the piece it is bought by, and whether it lasts from job to job. */
export const ITEMS = {
  tape: ['masking', 'roll', false],
  'tape-fine': ['masking', 'roll', false],
  film: ['masking', 'roll', false],
  card: ['masking', 'shield', true],
  'drop-cloth': ['masking', 'cloth', true],
  caulk: ['filling and sanding', 'cartridge', false],
  filler: ['filling and sanding', 'tub', false],
  patch: ['filling and sanding', 'patch', false],
  abrasive: ['filling and sanding', 'sheet', false],
  blades: ['filling and sanding', 'pack', false],
  cover: ['rollers and brushes', 'cover', false],
  frame: ['rollers and brushes', 'frame', true],
  pole: ['rollers and brushes', 'pole', true],
  tray: ['rollers and brushes', 'tray', true],
  liner: ['rollers and brushes', 'liner', false],
  brush: ['rollers and brushes', 'brush', true],
  conditioner: ['paint', 'bottle', false],
  wax: ['paint', 'tin', false],
  'dark-wax': ['paint', 'tin', false],
  highlight: ['paint', 'tin', false],
  wash: ['cleaning', 'bottle', false],
  degrease: ['cleaning', 'bottle', false],
  rags: ['cleaning', 'pack', false],
  bags: ['cleaning', 'pack', false],
  mask: ['safety', 'mask', false],
  goggles: ['safety', 'pair', true],
  gloves: ['safety', 'box', false],
  respirator: ['safety', 'mask', true],
  'lead-test': ['safety', 'kit', false],
  'asbestos-test': ['safety', 'test', false],
} as const satisfies Record<MaterialItem, readonly [Aisle, PieceUnit, boolean]>;

/** Tells a line apart on the shopping list and among what is owned. */
export const materialKey = (item: MaterialItem, size: MaterialSize): string => [item, ...Object.values(size)].join('|');

/** Kept from job to job, so that it may be owned already. */
export const isKept = (item: MaterialItem): boolean => ITEMS[item][2];

/** What tells two pieces of one item apart. */
export interface MaterialSize {
  readonly pile?: Metres;
  readonly width?: Metres;
  readonly fabric?: Fabric;
  readonly grit?: number;
}

/** A painter's kit: what lasts, in the sizes that are ever asked for. */
export const KIT: readonly { readonly item: MaterialItem; readonly size: MaterialSize }[] = [
  { item: 'brush', size: { width: 2.5 * INCH } },
  { item: 'brush', size: { width: 2 * INCH } },
  { item: 'frame', size: { width: 9 * INCH } },
  { item: 'frame', size: { width: 6 * INCH } },
  { item: 'frame', size: { width: 4 * INCH } },
  { item: 'pole', size: {} },
  { item: 'tray', size: {} },
  { item: 'drop-cloth', size: {} },
  { item: 'card', size: {} },
  { item: 'goggles', size: {} },
  { item: 'respirator', size: {} },
];
