/** How a step paints one surface: its colour, and what is written on it. */
export interface Coat {
  readonly fill: string;
  /** The colour that lettering has to be read on, where the fill is a pattern. */
  readonly ground?: string;
  readonly note?: string;
  /** What shows at thin spots of the film, and in the band a brush has cut in. */
  readonly thin?: string;
  readonly cut?: string;
}

/** Dark or light lettering, whichever reads on the fill. */
export function inkOn(fill: string): string | undefined {
  const found = /^#(..)(..)(..)$/.exec(fill);
  if (!found) return undefined;
  const [r, g, b] = found.slice(1).map((part) => parseInt(part, 16)) as [number, number, number];
  return 0.299 * r + 0.587 * g + 0.114 * b > 128 ? '#20302f' : '#fbf9f4';
}
