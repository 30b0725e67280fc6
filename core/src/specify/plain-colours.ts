import { closest, distance } from 'fastest-levenshtein';
import { bad, good, type Result } from '../units/problem.ts';
import { hexOfLab, labOf } from './colour.ts';

/**
 * Plain words of the language for colours, and what most people mean by them [starting judgement, from memory; no maker's name
 * is among them]. British spelling; American is read too.
 */
const MEANT = {
  white: '#f8f8f5', 'off-white': '#f4f1e6', 'warm white': '#f7f1e3', 'cool white': '#eef2f4', 'dirty white': '#e6e2d6',
  cream: '#f3e8c8', ivory: '#f5efdc', eggshell: '#f0ead6', vanilla: '#f3e5ab', buttermilk: '#f6e9b8', magnolia: '#f2e6d8',
  oat: '#e0d3b8', oatmeal: '#d9cbb1', linen: '#ece3d3', bone: '#e3dac9', chalk: '#efeee6', pearl: '#eae6da', milk: '#fbf7ec',
  almond: '#ead9c0', parchment: '#eee2c6', straw: '#e2cf8f', wheat: '#e5d0a0', barley: '#d8c08c', hay: '#d6bf7a',
  beige: '#d9c7a7', sand: '#d8c19a', stone: '#cbbfa8', putty: '#c4b69b', biscuit: '#d5b98c', fawn: '#c8a878', camel: '#c19a6b',
  buff: '#dab883', khaki: '#b0a371', taupe: '#8b7d6b', mushroom: '#bcae9d', mink: '#8f7d6e', greige: '#bdb3a3',
  brown: '#7a5230', tan: '#c49a6c', caramel: '#b5793d', toffee: '#8f5a2e', chestnut: '#7b3f2a', walnut: '#5d4432', oak: '#a87f4f',
  pine: '#c99b5e', mahogany: '#5f2b22', chocolate: '#4e3227', coffee: '#5b4334', cocoa: '#6b4a3a', nut: '#7a5a3c', tobacco: '#6f5235',
  bronze: '#80643a', copper: '#a8623c', rust: '#a0482a', terracotta: '#c1694f', brick: '#9c4a3c', clay: '#b08060', sienna: '#9d5a3c',
  umber: '#6b4f3a', cinnamon: '#a9673f', ginger: '#b5651d', 'burnt orange': '#bf5b2c', ochre: '#c98f2c', mustard: '#c9a227',
  honey: '#d79a2b', amber: '#e09a2a', gold: '#c9a23f', saffron: '#e5a823', yellow: '#f1cf3b', lemon: '#f4e04d', primrose: '#f2e389',
  daffodil: '#f7d64a', sunflower: '#efb82a', banana: '#f1de7e', corn: '#efd05a', apricot: '#f2b07a', peach: '#f3c29f',
  melon: '#f2a884', orange: '#e88b2e', tangerine: '#ea7a2b', pumpkin: '#d9742b', coral: '#ee7f66', salmon: '#ef9a84', shrimp: '#eeab97',
  pink: '#eeb3c0', rose: '#d98a98', blush: '#eccfc6', 'dusty pink': '#d3a5a1', fuchsia: '#c9307f', raspberry: '#a82a55',
  cerise: '#c4325f', red: '#bf2a2d', scarlet: '#c9302c', cherry: '#9c1f30', ruby: '#941c3a', crimson: '#a31f34', tomato: '#d2483a',
  burgundy: '#6a1f2e', wine: '#6e2436', claret: '#711f34', maroon: '#6b1f2a', plum: '#6d3a5d', aubergine: '#45283f', mulberry: '#723a58',
  grape: '#5c4074', purple: '#6b3f86', violet: '#7a58a6', lilac: '#c3addb', lavender: '#c9c1e2', mauve: '#b295b5', heather: '#a28aa8',
  orchid: '#b56bb0', indigo: '#3b3a78', navy: '#22304f', 'midnight blue': '#1c2440', 'royal blue': '#2f4fa3', blue: '#3c6ab0',
  'sky blue': '#9cc3e0', 'baby blue': '#bcd8ea', 'powder blue': '#c0d3e0', 'ice blue': '#cfe5ef', denim: '#4f6b8f', cornflower: '#6b8dcf',
  cobalt: '#2a52a0', sapphire: '#27427d', petrol: '#1f4d5c', 'duck egg': '#c6dbd3', teal: '#2d7377', turquoise: '#4fb3ae', aqua: '#9fd6d2',
  'sea green': '#5fa58b', mint: '#bfe0cb', jade: '#4f9a77', emerald: '#2f8a5b', green: '#4f8a4b', sage: '#a9b496', olive: '#7a7740',
  moss: '#7d8450', fern: '#64854a', leaf: '#6a9446', grass: '#6f9b3f', lime: '#b5cf45', pistachio: '#c3d3a0', apple: '#9dbf63', pea: '#a5b257',
  'forest green': '#2f4f38', 'bottle green': '#1f4034', 'racing green': '#1d3b2c', 'hunter green': '#34503c', eucalyptus: '#9fb3a3', seaweed: '#4b5a3b',
  grey: '#9a9c9b', silver: '#c3c6c6', 'light grey': '#d0d1ce', 'dark grey': '#55585a', 'dove grey': '#b9b7b1', 'slate': '#5d6870',
  charcoal: '#3e4144', graphite: '#474a4c', lead: '#6c7276', pewter: '#8d908c', smoke: '#b5b8b6', ash: '#b9bab2', concrete: '#a8a69f', cement: '#a5a39b',
  anthracite: '#34383b', black: '#1c1c1d', ink: '#23262e', soot: '#2c2b2a', 'off-black': '#262625',
} as const; // prettier-ignore

/** How a word before a colour changes it: its lightness towards an end, its chroma by a factor [starting judgement]. */
const SHADES: Readonly<Record<string, readonly [towards: number, share: number, chroma: number]>> = {
  light: [100, 0.45, 0.75], pale: [100, 0.6, 0.6], very: [100, 0, 1], soft: [90, 0.3, 0.7], dusty: [65, 0.25, 0.55],
  mid: [55, 0.3, 1], dark: [0, 0.4, 0.9], deep: [0, 0.45, 1.05], bright: [60, 0.1, 1.25], muted: [60, 0.1, 0.5], warm: [60, 0, 1],
}; // prettier-ignore
const AMERICAN: readonly (readonly [RegExp, string])[] = [[/\bgray\b/g, 'grey'], [/\bocher\b/g, 'ochre']]; // prettier-ignore
const NAMES = Object.keys(MEANT) as (keyof typeof MEANT)[];

/** So many known words. */
export const PLAIN_COLOURS: readonly string[] = NAMES;

/**
 * A colour by its plain name, as people say it of a wall: “beige”, “forest green”, “pale sage”, “dark gray”.
 * @returns `#rrggbb`; a word that is not known says which are near.
 */
export function namedColour(text: string): Result<string> {
  const typed = AMERICAN.reduce(
    (word, [from, to]) => word.replace(from, to),
    text.trim().toLowerCase().replace(/\s+/g, ' '),
  );
  const known = (name: string): string | undefined =>
    Object.hasOwn(MEANT, name) ? MEANT[name as keyof typeof MEANT] : undefined;
  const whole = known(typed) ?? known(typed.replaceAll(' ', '-'));
  if (whole) return good(whole);
  const [first = '', ...rest] = typed.split(' ');
  const shade = SHADES[first];
  if (shade && rest.length) {
    const under = namedColour(rest.join(' '));
    if (!under.ok) return under;
    const { l, a, b } = labOf(under.value);
    const [towards, share, chroma] = shade;
    return good(hexOfLab({ l: l + (towards - l) * share, a: a * chroma, b: b * chroma }).hex);
  }
  const near = nearest(typed);
  return bad(`“${text.trim().slice(0, 40)}” is no colour word known here. Near it: ${near.join(', ')}.`);
}

/** Words that hold it, or are a slip of the keyboard away; else the one it looks most like. */
function nearest(typed: string): readonly string[] {
  const held = NAMES.filter((name) => typed.length > 2 && name.includes(typed));
  const slips = NAMES.filter((name) => distance(typed, name) <= Math.max(1, Math.floor(typed.length / 3)));
  const all = [...new Set([...slips, ...held])].slice(0, 4);
  return all.length ? all : [closest(typed, [...NAMES])];
}
