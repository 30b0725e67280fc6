import { formatLength } from '../units/length.ts';
import type { System } from '../units/si.ts';
import { pileWord } from '../specify/terms.ts';
import type { OperationKind } from '../work/operations.ts';
import type { MaterialItem, MaterialLine } from './materials.ts';

/** Materials and labour in the reader's words. */
const ITEMS: Readonly<Record<MaterialItem, string>> = {
  tape: 'Masking tape',
  'tape-fine': 'Masking tape, better grade',
  film: 'Masking film',
  card: 'Floor shield',
  'drop-cloth': 'Drop cloth',
  caulk: 'Caulk',
  filler: 'Filler',
  patch: 'Backing patch and mesh',
  abrasive: 'Abrasive paper',
  blades: 'Blades',
  cover: 'Roller cover',
  frame: 'Roller frame',
  pole: 'Extension pole',
  tray: 'Tray',
  liner: 'Tray liner',
  brush: 'Brush',
  conditioner: 'Flow conditioner',
  wash: 'Sugar soap',
  degrease: 'Degreaser',
  rags: 'Rags',
  bags: 'Bags for plates and screws',
  mask: 'Dust mask',
  goggles: 'Goggles',
  gloves: 'Gloves',
  respirator: 'Mask for solvent vapour',
  'lead-test': 'Lead test',
  'asbestos-test': 'Laboratory test for asbestos',
};
export const itemWord = (item: MaterialItem): string => ITEMS[item];

const across = (width: number, system: System) =>
  system === 'imperial' ? formatLength(width, system) : `${Math.round(width * 1000)} mm`;

export function materialWord({ item, size }: Pick<MaterialLine, 'item' | 'size'>, system: System): string {
  const parts = [
    size.pile === undefined ? '' : pileWord(size.pile, system),
    size.width === undefined ? '' : across(size.width, system),
    size.fabric?.replace('-', ' ') ?? '',
    size.grit === undefined ? '' : `${size.grit} grit`,
  ].filter(Boolean);
  return parts.length ? `${ITEMS[item]}, ${parts.join(', ')}` : ITEMS[item];
}

const PLURALS: Readonly<Record<string, string>> = { brush: 'brushes', patch: 'patches', box: 'boxes', pair: 'pairs' };
export const pieceWord = (n: number, unit: MaterialLine['unit']) =>
  `${Number(n.toFixed(2))} ${n === 1 ? unit : (PLURALS[unit] ?? `${unit}s`)}`;

export const LABOUR_WORDS: Readonly<Record<OperationKind | 'daily', string>> = {
  protect: 'Covering floors and furniture',
  prep: 'Preparation',
  prime: 'Priming',
  cut: 'Cutting in',
  roll: 'Rolling',
  brush: 'Brushing trim and doors',
  mask: 'Masking',
  unmask: 'Pulling the masking',
  clear: 'Uncovering and clearing',
  daily: 'Setting up and cleaning up, every day',
};
