import type { Point } from '@kovelin/core/measure/geometry.ts';
import type { Metres } from '@kovelin/core/units/si.ts';

/** From metres, up from a floor, to the pixels of a sheet: an immutable value, passed whole. */
export class Transform {
  constructor(
    /** Pixels a metre. */
    readonly scale: number,
    /** Pixels, where the origin of the metres lies. */
    readonly x: number,
    readonly y: number,
  ) {}
  /** The same scale from another origin, pixels. */
  from(x: number, y: number): Transform {
    return new Transform(this.scale, x, y);
  }
  across(x: Metres): number {
    return this.x + x * this.scale;
  }
  up(y: Metres): number {
    return this.y - y * this.scale;
  }
  at({ x, y }: Point): Point {
    return { x: this.across(x), y: this.up(y) };
  }
  /** So many pixels, in metres. */
  metres(pixels: number): Metres {
    return pixels / this.scale;
  }
  /** As an element’s `transform`. */
  toString(): string {
    return `translate(${this.x} ${this.y}) scale(${this.scale} ${-this.scale})`;
  }
  /** Takes what stands in metres back to pixels: for patterns, which keep their size. */
  get undone(): string {
    return `scale(${1 / this.scale} ${-1 / this.scale})`;
  }
}

/** Tenths of a millimetre are enough for a drawing in metres. */
export const path = (points: readonly Point[]): string =>
  points.map((p) => `${p.x.toFixed(4)},${p.y.toFixed(4)}`).join(' ');
