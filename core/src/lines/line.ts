import type { LineSaid } from '../job/lines.ts';
import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type Hand, type LineKind, type TrimKind } from '../job/vocabulary.ts';
import type { Corner, Meeting } from '../measure/meetings.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import type { Metres } from '../units/si.ts';
import { finishOf, paintOn } from './finishes.ts';

/** One side of a line: a surface that is painted, or what is not. */
export interface Side {
  readonly id: SurfaceId;
  /** null: not painted with this job. */
  readonly s: Specified | null;
  /** Id of its finish; null: not painted. */
  readonly finish: string | null;
  /** Where on it the line runs, for somebody who faces it. */
  readonly end: 'left' | 'right' | 'along';
}

/** A meeting that a brush has to keep to: two finishes, or a finish and what is not painted. */
export interface Line {
  /** The meeting's own. */
  readonly id: string;
  readonly kind: LineKind;
  readonly corner: Corner;
  readonly length: Metres;
  readonly meeting: Meeting;
  readonly sides: readonly [Side, Side];
  /** Trim that comes later hides it: it is not cut fine. */
  readonly hidden: boolean;
  /** null: nobody looked; taken as straight. */
  readonly wavy: boolean | null;
  readonly said: LineSaid;
}

/** Trim that is put up later hides these. */
const HIDDEN_BY: Readonly<Partial<Record<LineKind, TrimKind>>> = {
  'wall-crown': 'crown',
  'crown-ceiling': 'crown',
  'wall-baseboard': 'baseboard',
  'wall-chair-rail': 'chair-rail',
  'wall-picture-rail': 'picture-rail',
};
/** Whether trim that is still to come hides a line of this kind. */
export const isHiddenLater = ({ room }: Pick<RoomTakeoff, 'room'>, kind: LineKind): boolean => {
  const by = HIDDEN_BY[kind];
  return by !== undefined && room.trim[by]?.later === true;
};

/** What was said of a line itself, over what was said of all of its kind. */
const saidOf = ({ lines }: Pick<Job, 'lines'>, { id, kind }: Meeting): LineSaid => ({ ...lines[kind], ...lines[id] });

/** All lines of a room: meetings with a painted side whose other side gets something else, or nothing. */
export function linesIn(
  job: Pick<Job, 'lines'>,
  takeoff: RoomTakeoff,
  painted: ReadonlyMap<SurfaceId, Specified>,
): Line[] {
  return takeoff.meetings.flatMap((meeting): Line[] => {
    const [a, b] = [painted.get(meeting.a) ?? null, painted.get(meeting.b) ?? null];
    if (!a && !b) return [];
    if (a && b && paintOn(a) === paintOn(b)) return [];
    const said = saidOf(job, meeting);
    return [
      {
        id: meeting.id,
        kind: meeting.kind,
        corner: meeting.corner,
        length: meeting.length,
        meeting,
        sides: [sideOf(meeting, meeting.a, a), sideOf(meeting, meeting.b, b)],
        hidden: isHiddenLater(takeoff, meeting.kind),
        wavy: said.wavy ?? null,
        said,
      },
    ];
  });
}

/** Walked clockwise, a wall ends at its right for somebody who faces it, and the next begins at its left. */
function sideOf({ kind, wall }: Meeting, id: SurfaceId, s: Specified | null): Side {
  const own = kind === 'corner' && s ? (s.surface.wall === wall ? 'right' : 'left') : 'along';
  return { id, s, finish: s && finishOf(s), end: own };
}

/** A roller does not get into an inside corner, so it is brushed although both sides get the same. */
export const isBlind = ({ kind, corner }: Meeting): boolean => kind === 'corner' && corner === 'inside';

/** The end that the hand is worst at; null: there is a hand for either. */
export function offEnd({ crew }: Pick<Job, 'crew'>): 'left' | 'right' | null {
  const hands = new Set<Hand>(crew.people.map(({ hand }) => hand));
  if (hands.size !== 1) return null;
  return hands.has('right') ? 'left' : 'right';
}

/** Whether this side of a line is painted trim. */
export const isTrim = ({ s }: Pick<Side, 's'>): boolean => s !== null && familyOf(s.surface.kind) === 'trim';
