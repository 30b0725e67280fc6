import { describe, expect, test } from '@jest/globals';
import { wcagContrast } from 'culori';
import { PALETTES, SCHEMES } from './palette.ts';

// least contrasts: WCAG 2.2, 1.4.3 (text) and 1.4.11 (what can be pressed, and the focus); ratios by culori
describe.each(SCHEMES)('the %s scheme', (scheme) => {
  const palette = PALETTES[scheme];
  test.each(['paper', 'card', 'chosen'] as const)('can be read and found on %s', (ground) => {
    for (const text of ['ink', 'soft', 'clayText', 'spruce'] as const)
      expect({ text, ratio: wcagContrast(palette[text], palette[ground]) >= 4.5 }).toEqual({ text, ratio: true });
    for (const rim of ['rim', 'focus', 'spruce'] as const)
      expect({ rim, ratio: wcagContrast(palette[rim], palette[ground]) >= 3 }).toEqual({ rim, ratio: true });
  });
  test('its dark band shows what has the focus', () => {
    expect(wcagContrast(palette.bandFocus, palette.band)).toBeGreaterThanOrEqual(3);
    expect(wcagContrast(palette.bandInk, palette.band)).toBeGreaterThanOrEqual(4.5);
  });
});
