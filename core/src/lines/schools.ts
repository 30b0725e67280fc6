import type { Practice } from '../job/paints.ts';
import type { LineMethod } from '../job/vocabulary.ts';
import type { Accent, RoomFinish } from './finishes.ts';
import type { Line, Side } from './line.ts';

/** One finish before another, as a school of the trade has it. */
export interface Demand {
  readonly rule: 'line.trim-first' | 'line.trim-last' | 'line.one-day' | 'line.accent-out' | 'line.accent-last';
  readonly before: string;
  readonly after: string;
}
export interface School {
  readonly demands: readonly Demand[];
  /** How it makes a line; undefined: as it likes. */
  readonly methodOf: (first: Side, cut: Side, line: Line) => LineMethod | undefined;
}

/** What the schools of the practice ask of the order of finishes; those named first outrank those after. */
export function schoolOf(
  { trimOrder, accent: way }: Pick<Practice, 'trimOrder' | 'accent'>,
  finishes: readonly RoomFinish[],
  accent: Accent | null,
): School {
  const demands: Demand[] = [];
  const ask = (rule: Demand['rule'], before: readonly RoomFinish[], after: readonly RoomFinish[]) => {
    for (const a of before) for (const b of after) if (a !== b) demands.push({ rule, before: a.id, after: b.id });
  };
  const of = (group: RoomFinish['group']) => finishes.filter((f) => f.group === group);
  const broad = finishes.filter((f) => f.group !== 'trim');
  const focal = finishes.filter((f) => f.id === accent?.finish);
  const beside = of('wall').filter((f) => !focal.includes(f));
  const day = trimOrder === 'one-day';
  // laid out round its side corners and under the ceiling's lap, both first thing; what is beside it is cut to it
  if (focal.length && (way === 'laps-out' || day)) {
    ask('line.accent-out', of('ceiling'), focal);
    ask('line.accent-out', focal, beside);
  }
  if (focal.length && way === 'cut-last' && !day) {
    ask('line.accent-last', beside, focal);
    ask('line.accent-last', of('ceiling'), focal);
  }
  if (trimOrder === 'trim-first') ask('line.trim-first', of('trim'), of('wall'));
  if (trimOrder === 'trim-last') ask('line.trim-last', broad, of('trim'));
  if (day) {
    ask('line.one-day', of('ceiling'), of('wall'));
    const walls = of('wall').toSorted((a, b) => a.lightness - b.lightness);
    walls.forEach((deep, i) => ask('line.one-day', [deep], walls.slice(i + 1)));
    ask('line.one-day', of('wall'), of('trim'));
  }
  const isFocal = ({ finish }: Side) => finish !== null && finish === accent?.finish;
  return {
    demands,
    methodOf: (first, cut, { kind }) => {
      if (!focal.length) return undefined;
      if (way === 'laps-out' && kind === 'wall-ceiling') return isFocal(cut) ? 'tape-caulked' : 'freehand';
      return day && (isFocal(first) || isFocal(cut)) && (kind === 'corner' || kind === 'wall-ceiling')
        ? 'tape-sealed'
        : undefined;
    },
  };
}
