import { normals, type Random } from '@kovelin/core/units/random.ts';

/** A simulated colour reader: what it would read of a true colour, with the noise such instruments have. */
export interface ColourReading {
  readonly id: number;
  /** CIE Lab, D65, 2 degrees. */
  readonly lab: { readonly l: number; readonly a: number; readonly b: number };
}

/** Starting judgements: repeatability of about 0.3, and one reading in twenty-five on dirt or an edge. */
const NOISE = 0.25;
const DIRT = 0.04;
const DIRT_OFF = 6;

export class ColourReader {
  private count = 0;
  private readonly normal: Random;
  constructor(private readonly random: Random) {
    this.normal = normals(random);
  }

  /** Reads a chip whose true colour is given. */
  read({ l, a, b }: ColourReading['lab']): ColourReading {
    const off = this.random() < DIRT ? -DIRT_OFF * (0.5 + this.random()) : 0;
    const noisy = (value: number) => Number((value + NOISE * this.normal()).toFixed(2));
    return {
      id: ++this.count,
      lab: { l: Math.min(100, Math.max(0, noisy(l + off))), a: noisy(a), b: noisy(b) },
    };
  }
}
