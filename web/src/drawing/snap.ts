import type { Metres } from '@kovelin/core/units/si.ts';
import { phrase, type Word } from '@kovelin/core/units/word.ts';
import { TRIM } from '@kovelin/core/words/terms.ts';

export interface SnapTo {
  readonly at: Metres;
  /** What it came to rest against, in words; null: the next mark of the tape. */
  readonly why: Word | null;
}
export interface SnapBounds {
  /** Of the wall, and of the opening with its casing to either side. */
  readonly length: Metres;
  readonly width: Metres;
  readonly casing: Metres;
  /** What stands on the wall besides, outer edges. */
  readonly others: readonly { readonly label: string; readonly left: Metres; readonly right: Metres }[];
  /** The tape's step. */
  readonly step: Metres;
  /** How near is near enough. */
  readonly reach: Metres;
}

const BY_CASING = phrase`${TRIM.casing} in the corner`;

/** Where an opening dragged to `wanted` comes to rest: on the wall, against something near, else on a mark of the tape. */
export function snap(wanted: Metres, { length, width, casing, others, step, reach }: SnapBounds): SnapTo {
  const last = Math.max(0, length - width);
  const places: SnapTo[] = [
    { at: casing, why: BY_CASING },
    { at: last - casing, why: BY_CASING },
    { at: 0, why: 'in the corner' },
    { at: last, why: 'in the corner' },
    { at: last / 2, why: 'in the middle' },
    ...others.flatMap(({ label, left, right }): SnapTo[] => [
      { at: right + casing, why: `against ${label}` },
      { at: left - casing - width, why: `against ${label}` },
    ]),
  ];
  const near = places
    .filter((p) => p.at >= 0 && p.at <= last && Math.abs(p.at - wanted) <= reach)
    .sort((a, b) => Math.abs(a.at - wanted) - Math.abs(b.at - wanted))[0];
  if (near) return near;
  return { at: Math.min(last, Math.max(0, Math.round(wanted / step) * step)), why: null };
}
