import type { Metres, SquareMetres } from '../units/si.ts';
import type { Point } from './geometry.ts';

/** A circular arc over a chord from (0, 0) to (chord, 0), rising by `rise`. Closed forms [any geometry handbook]. */
export interface Arc {
  readonly chord: Metres;
  readonly rise: Metres;
  readonly radius: Metres;
  /** Half the angle it subtends, radians. */
  readonly half: number;
  readonly length: Metres;
  /** Between the arc and its chord. */
  readonly area: SquareMetres;
}

/** The circular arc over a chord. @param rise of its middle above the chord, m; more than 0. */
export function arcOver(chord: Metres, rise: Metres): Arc {
  const radius = (chord * chord) / (8 * rise) + rise / 2;
  const half = 2 * Math.atan2(2 * rise, chord);
  return {
    chord,
    rise,
    radius,
    half,
    length: 2 * radius * half,
    area: radius * radius * (half - Math.sin(half) * Math.cos(half)),
  };
}

const PIECES = 24;

/**
 * The arc as a chain of points between its ends (both left out). They stand a hair outside the circle, so that the polygon
 * has exactly the arc's area and figures from the drawing agree with the closed form.
 */
export function arcPoints({ chord, rise, radius, half }: Arc): Point[] {
  const step = (2 * half) / PIECES;
  const s = Math.sin(step);
  // two end triangles with one corner on the circle, the rest with none: (n - 2) k^2 s / 2 + k s = half
  const n = PIECES - 2;
  const k = (-s + Math.sqrt(s * s + 2 * n * s * half)) / (n * s);
  return Array.from({ length: PIECES - 1 }, (_, i) => {
    const angle = -half + (i + 1) * step;
    return { x: chord / 2 + k * radius * Math.sin(angle), y: rise - radius + k * radius * Math.cos(angle) };
  });
}
