import type { Brush, Cover, PrimerChoice, SystemValues } from '../job/paints.ts';
import type { CoatStyle, Conditioner, PaintFamily, PrepStep, TrimOrder } from '../job/vocabulary.ts';
import { formatLength } from '../units/length.ts';
import type { System } from '../units/si.ts';

/** Plain words of the trade, in the reader's own. */
export const sentenceCase = (text: string) => text.charAt(0).toUpperCase() + text.slice(1).replaceAll('-', ' ');

/** American names in feet and inches; elsewhere skirting and dado. */
const ELSEWHERE: Readonly<Record<string, string>> = {
  Baseboard: 'Skirting',
  Casing: 'Architrave',
  Crown: 'Cornice',
  'Chair rail': 'Dado rail',
};
export const surfaceWord = (name: string, system: System) => (system === 'metric' ? (ELSEWHERE[name] ?? name) : name);

const NAPS: Readonly<Record<number, readonly [string, string]>> = {
  0.005: ['3⁄16 in nap', '5 mm pile'],
  0.01: ['3⁄8 in nap', '10 mm pile'],
  0.013: ['1⁄2 in nap', '13 mm pile'],
  0.018: ['3⁄4 in nap', '18 mm pile'],
  0.028: ['1 1⁄8 in nap', '28 mm pile'],
};
export const pileWord = (pile: number, system: System) =>
  NAPS[pile]?.[system === 'imperial' ? 0 : 1] ?? formatLength(pile, system);
const across = (width: number, system: System) =>
  system === 'imperial' ? formatLength(width, system) : `${Math.round(width * 1000)} mm`;
export const coverWord = ({ pile, fabric, width }: Cover, system: System) =>
  `${pileWord(pile, system)}, ${across(width, system)} ${fabric.replace('-', ' ')}`;
export const brushWord = ({ width, shape, bristle }: Brush, system: System) =>
  `${across(width, system)} ${shape.replace('-', ' ')}, ${bristle}`;

export function primerWord({ kind, extent, coats, tint }: PrimerChoice): string {
  if (extent === 'none' || kind === 'none') return 'None';
  const name = kind === 'undercoat' ? 'undercoat' : `${kind} primer`;
  if (extent === 'spot') return `Spot-prime: ${name}`;
  return `${sentenceCase(name)}${coats > 1 ? `, ${coats} coats` : ''}${tint ? `, tinted to ${tint}` : ''}`;
}

const STEPS: Readonly<Record<PrepStep, string>> = {
  'plates-off': 'plates off',
  'hardware-off': 'hardware off',
  wash: 'wash',
  degrease: 'degrease',
  scrape: 'scrape',
  fill: 'fill',
  degloss: 'degloss',
  sand: 'sand',
  dust: 'dust',
  caulk: 'caulk',
};
export const prepWord = (steps: readonly PrepStep[]) =>
  steps.length ? sentenceCase(steps.map((s) => STEPS[s]).join(', ')) : 'Nothing';
export const coatsWord = (n: number) => `${n} ${n === 1 ? 'coat' : 'coats'}`;

export const FAMILY_WORDS: Readonly<Record<PaintFamily, string>> = {
  wall: 'Wall paint',
  'wet-room': 'Wall paint for wet rooms',
  ceiling: 'Ceiling paint',
  enamel: 'Water-borne enamel',
  'oil-enamel': 'Oil enamel',
  'chalk-type': 'Chalk-type paint, waxed',
};
export const STYLE_WORDS: Readonly<Record<CoatStyle, string>> = {
  equal: 'Equal coats',
  'thin-then-full': 'A thin coat, then full ones',
  'one-heavy': 'One heavy coat',
};
/** 4, 6 or 8 fl oz to the quart; 125, 190 or 250 mL to the litre. */
export const conditionerWord = (dose: Conditioner, system: System) =>
  dose === 0
    ? 'None'
    : system === 'imperial'
      ? `${Math.round(dose * 32)} fl oz to the quart left in the pot`
      : `${Math.round(dose * 1000)} mL to the litre left in the pot`;

/** A member of a system in the reader's words. */
export function memberWord<K extends keyof SystemValues>(member: K, value: SystemValues[K], system: System): string {
  const words: { readonly [M in keyof SystemValues]: (v: SystemValues[M]) => string } = {
    prep: prepWord,
    primer: primerWord,
    paint: (v) => FAMILY_WORDS[v],
    sheen: sentenceCase,
    cover: (v) => coverWord(v, system),
    brush: (v) => brushWord(v, system),
    coats: coatsWord,
    style: (v) => STYLE_WORDS[v],
    conditioner: (v) => conditionerWord(v, system),
  };
  return words[member](value);
}
export const MEMBER_WORDS: Readonly<Record<keyof SystemValues, string>> = {
  prep: 'Preparation',
  primer: 'Primer',
  paint: 'Kind of paint',
  sheen: 'Sheen',
  cover: 'Roller cover',
  brush: 'Brush',
  coats: 'Coats',
  style: 'How they go on',
  conditioner: 'Flow conditioner',
};

export const TRIM_ORDER_WORDS: Readonly<Record<TrimOrder, string>> = {
  'trim-first': 'Trim first',
  'trim-last': 'Trim last',
};
