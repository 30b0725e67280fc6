import { adapt } from 'colorjs.io/src/CATs.js';
import { multiplyMatrices } from 'colorjs.io/src/util.js';
import { converter, modeRgb, modeXyz65, serializeHex, useMode } from 'culori/fn';

export const LIGHTS = ['day', 'overcast', 'evening', 'lamp'] as const;
export type LightName = (typeof LIGHTS)[number];

/** Chromaticity of each light, CIE 1931 2°: D65, D75, a black body of 3500 K, illuminant A [CIE 15, from memory]. */
const XY: Readonly<Record<LightName, readonly [number, number]>> = {
  day: [0.31272, 0.32903],
  overcast: [0.29902, 0.31485],
  evening: [0.4053, 0.3907],
  lamp: [0.44757, 0.40745],
};
export const KELVIN: Readonly<Record<LightName, number>> = { day: 6500, overcast: 7500, evening: 3500, lamp: 2856 };
/** Share of a light's tint that the eye takes away; the rest stays to be seen [our model]. */
const ADAPTED = 0.7;

type Triple = [number, number, number];
const white = ([x, y]: readonly [number, number]): Triple => [x / y, 1, (1 - x - y) / y];
const toRgb = useMode(modeRgb);
useMode(modeXyz65);
const toXyz = converter('xyz65');

function seenUnder(hex: string, light: LightName) {
  const [day, there] = [white(XY.day), white(XY[light])];
  const seen = day.map((d, i) => d + (1 - ADAPTED) * ((there[i] ?? 1) - d)) as Triple;
  const { x = 0, y = 0, z = 0 } = toXyz(hex) ?? {};
  const [ax = 0, ay = 0, az = 0] = multiplyMatrices(adapt(day, seen), [x, y, z]).map(Number);
  return { x: ax, y: ay, z: az };
}

/**
 * `#rrggbb` of a colour as it looks under a light beside daylight: Bradford's chromatic adaptation, short of complete,
 * dimmed so that white still fits the screen. All colours shift alike; how a pigment's own spectrum meets a lamp's is
 * not known from one colour, so this is a screen's approximation.
 */
export function underLight(hex: string, light: LightName): string {
  const brightest = toRgb({ mode: 'xyz65', ...seenUnder('#ffffff', light) });
  // the linear share of the channel that overflows first
  const room = 1 / Math.max(1, brightest.r, brightest.g, brightest.b) ** 2.2;
  const { x, y, z } = seenUnder(hex, light);
  return serializeHex(toRgb({ mode: 'xyz65', x: x * room, y: y * room, z: z * room }));
}
