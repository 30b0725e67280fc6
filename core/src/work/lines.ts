import type { SurfaceId } from '../job/table.ts';
import { familyOf } from '../job/vocabulary.ts';
import { paintOn } from '../lines/finishes.ts';
import { isBlind, isHiddenLater } from '../lines/line.ts';
import type { RoomLines } from '../lines/lines.ts';
import type { LineStep } from '../lines/methods.ts';
import { MEETING_RULES, type Meeting } from '../measure/meetings.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import type { Metres } from '../units/si.ts';

type Painted = ReadonlyMap<SurfaceId, Specified>;

/** The first primer laid all over; a spot is dabbed and needs no line. */
const primerOf = ({ primers }: Specified): string =>
  primers.find(({ layer }) => layer.extent === 'full')?.product?.id ?? 'none';

/** Lines that each painted wall and ceiling is cut in along under a full primer: another primer begins there, or nothing. */
export function primedLines(takeoff: RoomTakeoff, painted: Painted): ReadonlyMap<SurfaceId, readonly Meeting[]> {
  const lines = new Map<SurfaceId, Meeting[]>();
  const add = (s: Specified, meeting: Meeting) => {
    if (familyOf(s.surface.kind) === 'trim') return;
    const own = lines.get(s.surface.id);
    if (own) own.push(meeting);
    else lines.set(s.surface.id, [meeting]);
  };
  for (const meeting of takeoff.meetings) {
    if (!MEETING_RULES[meeting.kind].cut || isHiddenLater(takeoff, meeting.kind)) continue;
    const [one, other] = [painted.get(meeting.a), painted.get(meeting.b)];
    const same = one && other && primerOf(one) === primerOf(other);
    if (one && (!same || isBlind(meeting))) add(one, meeting);
    if (other && !same) add(other, meeting);
  }
  return lines;
}
/** Length of some meetings together, m. */
export const lengthOf = (meetings: readonly Meeting[]): Metres => meetings.reduce((sum, m) => sum + m.length, 0);

/** Inside corners where both sides get the same: brushed once, by the side named first. */
export function blindLines(takeoff: RoomTakeoff, painted: Painted): ReadonlyMap<SurfaceId, readonly Meeting[]> {
  const lines = new Map<SurfaceId, Meeting[]>();
  for (const meeting of takeoff.meetings) {
    const [one, other] = [painted.get(meeting.a), painted.get(meeting.b)];
    if (one && other && isBlind(meeting) && paintOn(one) === paintOn(other))
      lines.set(meeting.a, [...(lines.get(meeting.a) ?? []), meeting]);
  }
  return lines;
}

/** A step of a line, with the line and what the step keeps to. */
export interface Lining {
  readonly line: string;
  /** The side that is there first. */
  readonly against: SurfaceId;
  readonly step: LineStep;
}
/** What the lines of a room ask of each of its surfaces. */
export function stepsBySurface({ lines }: RoomLines): ReadonlyMap<SurfaceId, readonly Lining[]> {
  const steps = new Map<SurfaceId, Lining[]>();
  for (const { line, chosen, steps: own } of lines)
    for (const step of own) {
      const before = steps.get(step.on.id);
      const entry: Lining = { line: line.id, against: line.sides[chosen.first].id, step };
      if (before) before.push(entry);
      else steps.set(step.on.id, [entry]);
    }
  return steps;
}
