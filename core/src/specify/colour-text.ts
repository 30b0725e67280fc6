import { bad, good, type Result } from '../units/problem.ts';
import { hexOfLab } from './colour.ts';

const EXPECTED = 'Write sRGB as #22394f or 34 57 79, or CIE Lab as Lab 23 -2 -19.';
const NUMBER = '([-−]?\\d+(?:[.,]\\d+)?)';
const THREE = new RegExp(`^(lab|l\\*?a\\*?b\\*?|rgb|srgb)?[:( ]*${NUMBER}[ ,;/]+${NUMBER}[ ,;/]+${NUMBER}\\)?$`, 'i');

/**
 * A colour as people write it: `#22394f`, `34 57 79` (sRGB, 0-255), `Lab 23 -2 -19` (D65).
 * @returns `#rrggbb`, and whether a screen shows it truly: a Lab outside sRGB is replaced by the nearest that is inside.
 */
export function parseColour(text: string): Result<{ readonly hex: string; readonly shown: boolean }> {
  const typed = text.trim();
  const hex = /^#?([0-9a-f]{6}|[0-9a-f]{3})$/i.exec(typed)?.[1]?.toLowerCase();
  if (hex) return good({ hex: `#${hex.length === 3 ? [...hex].map((c) => c + c).join('') : hex}`, shown: true });
  const found = THREE.exec(typed);
  if (!found) return bad(`“${typed}” is not a colour. ${EXPECTED}`, { column: 1 });
  const [x = NaN, y = NaN, z = NaN] = found.slice(2).map((n) => Number(n.replace('−', '-').replace(',', '.')));
  if (/^l/i.test(found[1] ?? '')) {
    if (!(x >= 0 && x <= 100 && Math.abs(y) <= 150 && Math.abs(z) <= 150))
      return bad(`L lies between 0 and 100, a and b between -150 and 150. ${EXPECTED}`, { column: 1 });
    return good(hexOfLab({ l: x, a: y, b: z }));
  }
  if ([x, y, z].some((v) => !(v >= 0 && v <= 255)))
    return bad(`sRGB values lie between 0 and 255. ${EXPECTED}`, { column: 1 });
  return good({ hex: `#${[x, y, z].map((v) => Math.round(v).toString(16).padStart(2, '0')).join('')}`, shown: true });
}
