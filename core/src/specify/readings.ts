import { labDelta, type Lab } from './colour.ts';

export interface Averaged {
  readonly lab: Lab;
  /** CIEDE2000 of the farthest reading kept. */
  readonly spread: number;
  /** Indices of readings left out: on dirt, an edge, another colour. */
  readonly left: readonly number[];
}

/** A reading this far from the middle one is not of the same spot, CIEDE2000 [starting judgement]. */
const FAR = 2;

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b);
  const at = sorted.length >> 1;
  return sorted.length % 2 ? (sorted[at] ?? 0) : ((sorted[at - 1] ?? 0) + (sorted[at] ?? 0)) / 2;
};
const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;

/** The mean of several readings of one chip, without those far from the middle one. null without a reading. */
export function averageReadings(readings: readonly Lab[]): Averaged | null {
  if (!readings.length) return null;
  const of = (pick: (lab: Lab) => number, f: (values: readonly number[]) => number, list: readonly Lab[]) =>
    f(list.map(pick));
  const centre = (f: (values: readonly number[]) => number, list: readonly Lab[]): Lab => ({
    l: of((r) => r.l, f, list),
    a: of((r) => r.a, f, list),
    b: of((r) => r.b, f, list),
  });
  const middle = centre(median, readings);
  const far = readings.map((r) => labDelta(r, middle) > FAR);
  const kept = readings.filter((_, i) => !far[i]);
  // two that disagree: nobody can say which is right, so both count
  const used = kept.length ? kept : readings;
  const lab = centre(mean, used);
  return {
    lab,
    spread: Math.max(...used.map((r) => labDelta(r, lab))),
    left: kept.length ? far.flatMap((out, i) => (out ? [i] : [])) : [],
  };
}
