import type { Brush, Cover, PrimerChoice, PrimerLayer, Product, SystemValues } from '../job/paints.ts';
import type { Conditioner, PrepStep, Sheen } from '../job/vocabulary.ts';
import { formatLength } from '../units/length.ts';
import { isImperial, type Metres } from '../units/si.ts';
import { counted, inBoth, inOrder, phrase, type Word } from '../units/word.ts';
import { BRISTLE, BRUSH, FABRIC, FAMILY, PREP, PRIMER, SEALED, SHEEN, STYLE, THE } from './terms.ts';

/** A system of finish in words: each member of it, and the paint. */
const bothUnits = (imperial: string, metric: string): Word =>
  inBoth((system) => (isImperial(system) ? imperial : metric));
const PILES: Readonly<Record<number, Word>> = {
  0.005: bothUnits('3⁄16 in', '5 mm'),
  0.01: bothUnits('3⁄8 in', '10 mm'),
  0.013: bothUnits('1⁄2 in', '13 mm'),
  0.018: bothUnits('3⁄4 in', '18 mm'),
  0.028: bothUnits('1 1⁄8 in', '28 mm'),
};
/** The length of a pile, m, as covers are sold by. */
export const pileSize = (pile: Metres): Word => PILES[pile] ?? inBoth((system) => formatLength(pile, system));
/** “3⁄8 in nap”, “10 mm pile”. */
export const pileWord = (pile: Metres): Word => phrase`${pileSize(pile)} ${THE.pile}`;

/** Nominal widths of covers and brushes [common practice, no source]: nobody in Britain asks for a 229 mm sleeve. */
const NOMINAL: Readonly<Record<number, number>> = { 229: 230, 102: 100, 152: 150, 64: 65, 51: 50, 38: 40, 457: 450 };
/** The width of a cover, brush or tape, m, as they are sold by. */
export const across = (width: Metres): Word =>
  inBoth((system) => {
    const mm = Math.round(width * 1000);
    return isImperial(system) ? formatLength(width, system) : `${NOMINAL[mm] ?? mm} mm`;
  });

/** “3/8 in nap, 9″ microfiber”. */
export const coverWord = ({ pile, fabric, width }: Cover): Word =>
  phrase`${pileWord(pile)}, ${across(width)} ${FABRIC[fabric]}`;
/** “2 1/2″ angled sash, synthetic”. */
export const brushWord = ({ width, shape, bristle }: Brush): Word =>
  phrase`${across(width)} ${BRUSH[shape]}, ${BRISTLE[bristle]}`;

/** “Bonding primer, then spot-prime: blocking primer”. */
export const primerWord = ({ then, ...first }: PrimerChoice): Word =>
  then ? phrase`${layerWord(first)}, then ${layerWord(then)}` : layerWord(first);

/** “spot-prime: blocking primer”, “bonding primer, 2 coats, tinted to …”. */
function layerWord({ kind, extent, coats, tint }: PrimerLayer): Word {
  if (extent === 'none' || kind === 'none') return 'none';
  if (extent === 'spot') return phrase`spot-prime: ${PRIMER[kind]}`;
  const times = coats > 1 ? phrase`, ${coatsWord(coats)}` : '';
  return phrase`${PRIMER[kind]}${times}${tint ? `, tinted to ${tint}` : ''}`;
}
/** “plates off, wash, fill”. */
export const prepWord = (steps: readonly PrepStep[]): Word =>
  steps.length ? inOrder(steps.map((step) => PREP[step])) : 'nothing';
/** “2 coats”. */
export const coatsWord = (n: number): Word => counted(n, 'coat');

/** 4, 6 or 8 fl oz to the quart; 125, 190 or 250 mL to the litre. */
export const conditionerWord = (dose: Conditioner): Word =>
  dose === 0
    ? 'none'
    : bothUnits(
        `${Math.round(dose * 32)} fl oz to the quart left in the pot`,
        `${Math.round(dose * 1000)} mL to the litre left in the pot`,
      );

/** A colour by its name, with the maker’s code where the name has not got it. */
export const colourWord = ({ name, code }: { readonly name: string; readonly code?: string | undefined }): string =>
  code && !name.includes(code) ? `${name} (${code})` : name;

/** “Wall paint, matte, W1 warm white”; a primer has no sheen of its own. */
export const paintWord = (p: {
  readonly product: Pick<Product, 'name' | 'role'>;
  readonly sheen: Sheen;
  readonly colour: { readonly name: string; readonly code?: string | undefined } | null;
}): Word =>
  inOrder([
    p.product.name,
    ...(p.product.role === 'primer' ? [] : [SHEEN[p.sheen]]),
    ...(p.colour ? [colourWord(p.colour)] : []),
  ]);

/** A member of a system, as it stands inside a sentence. */
export function memberWord<K extends keyof SystemValues>(member: K, value: SystemValues[K]): Word {
  const words: { readonly [M in keyof SystemValues]: (v: SystemValues[M]) => Word } = {
    prep: prepWord,
    primer: primerWord,
    paint: (v) => FAMILY[v],
    sheen: (v) => SHEEN[v],
    cover: coverWord,
    brush: brushWord,
    coats: coatsWord,
    style: (v) => STYLE[v],
    conditioner: conditionerWord,
    seal: (v) => SEALED[v],
  };
  return words[member](value);
}
export const MEMBER_WORDS: Readonly<Record<keyof SystemValues, Word>> = {
  prep: 'preparation',
  primer: 'primer',
  paint: 'kind of paint',
  sheen: 'sheen',
  cover: THE.rollerCover,
  brush: 'brush',
  coats: 'coats',
  style: 'how they go on',
  conditioner: 'flow conditioner',
  seal: 'over it',
};
