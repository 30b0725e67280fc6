import { describe, expect, test } from '@jest/globals';
import { wcagContrast } from 'culori';
import { readdirSync, readFileSync } from 'node:fs';
import { PALETTES, SCHEMES, type Palette } from './palette.ts';

/** Grounds and lettering that one rule of a stylesheet, or of the kit's theme, puts together. */
const TOGETHER = readdirSync('web/src', { recursive: true, encoding: 'utf8' })
  .filter((name) => /\.css$|theme\.ts$/.test(name))
  .flatMap((name) => [...readFileSync(`web/src/${name}`, 'utf8').matchAll(/{([^{}]*)}/g)].map(([, rule = '']) => rule))
  .flatMap((rule): [string, string][] => {
    const [ground] = /(?<=background(-color)?: '?var\(--)[\w-]+/.exec(rule) ?? [];
    const [text] = /(?<=(?<![-\w])color: '?var\(--)[\w-]+/.exec(rule) ?? [];
    return ground && text ? [[ground, text]] : [];
  });
const tokenOf = (name: string) => name.replace(/-(\w)/g, (_, letter: string) => letter.toUpperCase()) as keyof Palette;

// least contrasts: WCAG 2.2, 1.4.3 (text) and 1.4.11 (what can be pressed, and the focus); ratios by culori
describe.each(SCHEMES)('the %s scheme', (scheme) => {
  const palette = PALETTES[scheme];
  test.each(['paper', 'card', 'chosen'] as const)('can be read and found on %s', (ground) => {
    for (const text of ['ink', 'soft', 'clayText', 'spruce'] as const)
      expect({ text, ratio: wcagContrast(palette[text], palette[ground]) >= 4.5 }).toEqual({ text, ratio: true });
    for (const rim of ['rim', 'focus', 'spruce'] as const)
      expect({ rim, ratio: wcagContrast(palette[rim], palette[ground]) >= 3 }).toEqual({ rim, ratio: true });
  });
  test('lettering can be read on every ground that a stylesheet puts it on, and on what is deep', () => {
    // one of a stylesheet and one of the theme: both are read
    expect(TOGETHER).toEqual(
      expect.arrayContaining([
        ['card', 'ink'],
        ['tape', 'on-tape'],
        ['band', 'band-ink'],
      ]),
    );
    const deep = (['spruce', 'slate', 'clay'] as const).map((ground): [string, string] => [ground, 'onDeep']);
    for (const [ground, text] of [...TOGETHER, ...deep]) {
      const ratio = wcagContrast(palette[tokenOf(text)], palette[tokenOf(ground)]);
      expect([ground, text, ratio, ratio >= 4.5]).toEqual([ground, text, ratio, true]);
    }
  });
  test('its dark band shows what has the focus', () => {
    expect(wcagContrast(palette.bandFocus, palette.band)).toBeGreaterThanOrEqual(3);
    expect(wcagContrast(palette.bandInk, palette.band)).toBeGreaterThanOrEqual(4.5);
  });
});
