import type { Fabric, LabourGroup, MaterialItem, PieceUnit } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import { both, capital, counted, inOrder, phrase, type Word } from '../units/word.ts';
import { across, pileWord } from './systems.ts';
import { FABRIC, THE, type Words } from './terms.ts';

/** What is bought and what is done, in words. */
const MATERIAL: Words<MaterialItem> = {
  tape: 'masking tape',
  'tape-fine': 'masking tape, better grade',
  film: 'masking film',
  card: 'floor shield',
  'drop-cloth': THE.dropCloth,
  caulk: 'caulk',
  filler: 'filler',
  patch: 'backing patch and mesh',
  abrasive: 'abrasive paper',
  blades: 'blades',
  cover: THE.rollerCover,
  frame: 'roller frame',
  pole: 'extension pole',
  tray: 'tray',
  liner: 'tray liner',
  brush: 'brush',
  conditioner: 'flow conditioner',
  wax: 'clear wax',
  'dark-wax': 'dark wax',
  highlight: 'lighter paint for the highlight',
  wash: 'sugar soap',
  degrease: 'degreaser',
  rags: 'rags',
  bags: 'bags for plates and screws',
  mask: 'dust mask',
  goggles: 'goggles',
  gloves: 'gloves',
  respirator: phrase`mask for solvent vapour`,
  'lead-test': 'lead test',
  'asbestos-test': 'laboratory test for asbestos',
};
/** A material as a list begins with it. */
export const itemWord = (item: MaterialItem): Word => capital(MATERIAL[item]);
interface Sized {
  readonly item: MaterialItem;
  readonly size: { readonly pile?: Metres; readonly width?: Metres; readonly fabric?: Fabric; readonly grit?: number };
}
/** “Roller cover, 3⁄8 in nap, 9 in, microfiber”. */
export function materialWord({ item, size }: Sized): Word {
  const parts: readonly (Word | null)[] = [
    itemWord(item),
    size.pile === undefined ? null : pileWord(size.pile),
    size.width === undefined ? null : across(size.width),
    size.fabric === undefined ? null : FABRIC[size.fabric],
    size.grit === undefined ? null : `${size.grit} grit`,
  ];
  return inOrder(parts.filter((part) => part !== null));
}

const PIECE: Partial<Words<PieceUnit>> = { cover: THE.cover, tin: THE.can };
const MANY: Partial<Words<PieceUnit>> = { brush: 'brushes', patch: 'patches', box: 'boxes' };
/** “3 rolls”, “1 shield”. */
export function pieceWord(n: number, unit: PieceUnit): Word {
  const one = PIECE[unit] ?? unit;
  return counted(Number(n.toFixed(2)), one, MANY[unit] ?? both(one, (text) => `${text}s`));
}

export const LABOUR: Words<LabourGroup> = {
  protect: 'Covering, power and plates off',
  prep: 'Preparation',
  prime: 'Priming',
  mask: 'Masking',
  cut: 'Cutting in',
  roll: 'Rolling',
  brush: 'Brushing trim and doors',
  look: 'Looking over and touching up',
  clear: 'Plates on, uncovering and clearing',
  travel: 'Fetching and stirring, room by room',
  daily: 'Setting up and cleaning up, every day',
  spare: 'To spare, so that eight jobs in ten keep to it',
};
