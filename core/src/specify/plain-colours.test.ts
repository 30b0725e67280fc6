import { describe, expect, test } from '@jest/globals';
import { colorsNamed, lch65, parse } from 'culori';
import { labOf } from './colour.ts';
import { colourWords } from './colour-words.ts';
import { namedColour, PLAIN_COLOURS } from './plain-colours.ts';

const hexOf = (text: string): string => {
  const read = namedColour(text);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};
const lchOf = (colour: string) => {
  const { l, c, h = 0 } = lch65(parse(colour)) ?? { l: NaN, c: NaN };
  return { l, c, h };
};

describe('a colour by its plain name', () => {
  test('a hundred and fifty words and more; the hue in a name is the hue of its colour, by our words for what is seen', () => {
    expect(PLAIN_COLOURS.length).toBeGreaterThanOrEqual(150);
    for (const hue of ['white', 'green', 'blue', 'pink', 'grey', 'orange', 'brown', 'black'])
      for (const name of PLAIN_COLOURS.filter((one) => one.split(/[ -]/).includes(hue)))
        expect([name, colourWords(hexOf(name)).includes(hue)]).toEqual([name, true]);
  });
  test('words that CSS has too lie in its hue (CSS Color 4, 6.1: named colours)', () => {
    const shared = PLAIN_COLOURS.flatMap((name) => {
      const css = Object.keys(colorsNamed).find((one) => one === name.replace(' ', ''));
      return css ? [[name, lchOf(css), lchOf(hexOf(name))] as const] : [];
    });
    expect(shared.length).toBeGreaterThan(25);
    for (const [name, css, ours] of shared.filter(([, theirs]) => theirs.c > 25)) {
      const apart = Math.abs(((css.h - ours.h + 540) % 360) - 180);
      expect([name, apart < 45]).toEqual([name, true]);
    }
  });
  test.each([
    ['Beige', 'beige'],
    ['  forest   green', 'forest green'],
    ['dark gray', 'dark grey'],
    ['off white', 'off-white'],
  ])('“%s” is %s', (text, name) => expect(hexOf(text)).toBe(hexOf(name)));
  test('light and dark go where they say; a word that is not known says what is near', () => {
    const lightness = (text: string) => labOf(hexOf(text)).l;
    for (const name of ['sage', 'terracotta', 'navy', 'mustard']) {
      expect(lightness(`pale ${name}`)).toBeGreaterThan(lightness(`light ${name}`));
      expect(lightness(`light ${name}`)).toBeGreaterThan(lightness(name));
      expect(lightness(`dark ${name}`)).toBeLessThan(lightness(name));
    }
    const said = (text: string) => {
      const read = namedColour(text);
      return read.ok ? '' : read.problems[0]?.message;
    };
    expect(said('saqe')).toBe('“saqe” is no colour word known here. Near it: sage.');
    expect(said('pale blurple')).toMatch(/^“blurple” is no colour word known here\. Near it: .*purple/);
    for (const odd of ['', 'constructor', '🎨🟩', 'x'.repeat(5000)]) expect(namedColour(odd).ok).toBe(false);
  });
});
