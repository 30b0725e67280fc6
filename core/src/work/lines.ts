import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type LineKind, type TrimKind } from '../job/vocabulary.ts';
import { MEETING_RULES, type Meeting } from '../measure/meetings.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import type { Metres } from '../units/si.ts';

/** What is laid on a surface: two sides that get the same need no line between them. */
type Finish = (s: Specified) => string;
export const finishOf: Finish = (s) => `${s.product.id}|${s.colour.id}|${s.sheen}`;
/** The first primer laid all over; a spot is dabbed and needs no line. */
export const primerOf: Finish = ({ primers }) =>
  primers.find(({ layer }) => layer.extent === 'full')?.product?.id ?? 'none';

/** Trim that is put up later hides the line: it is not cut fine. */
const HIDDEN_BY: Readonly<Partial<Record<LineKind, TrimKind>>> = {
  'wall-crown': 'crown',
  'crown-ceiling': 'crown',
  'wall-baseboard': 'baseboard',
  'wall-chair-rail': 'chair-rail',
  'wall-picture-rail': 'picture-rail',
};
const isHiddenLater = ({ room }: RoomTakeoff, { kind }: Meeting): boolean => {
  const by = HIDDEN_BY[kind];
  return by !== undefined && room.trim[by]?.later === true;
};

/** A roller does not get into an inside corner, so it is brushed although both sides get the same. */
const isBlind = ({ kind, corner }: Meeting): boolean => kind === 'corner' && corner === 'inside';

/**
 * The lines that each painted wall and ceiling is cut in along: those where another finish, trim or something unpainted begins. Where both
 * sides get the same there is none, but for an inside corner, which is brushed once.
 */
export function cutLines(
  takeoff: RoomTakeoff,
  painted: ReadonlyMap<SurfaceId, Specified>,
  laid: Finish,
): ReadonlyMap<SurfaceId, readonly Meeting[]> {
  const lines = new Map<SurfaceId, Meeting[]>();
  const add = (s: Specified, meeting: Meeting) => {
    if (familyOf(s.surface.kind) === 'trim') return;
    const own = lines.get(s.surface.id);
    if (own) own.push(meeting);
    else lines.set(s.surface.id, [meeting]);
  };
  for (const meeting of takeoff.meetings) {
    if (!MEETING_RULES[meeting.kind].cut || isHiddenLater(takeoff, meeting)) continue;
    const [one, other] = [painted.get(meeting.a), painted.get(meeting.b)];
    const same = one && other && laid(one) === laid(other);
    if (one && (!same || isBlind(meeting))) add(one, meeting);
    if (other && !same) add(other, meeting);
  }
  return lines;
}
export const lengthOf = (meetings: readonly Meeting[]): Metres => meetings.reduce((sum, m) => sum + m.length, 0);

/** Lines of trim whose edge a painted wall is cut to. */
const EDGES: ReadonlySet<LineKind> = new Set<LineKind>([
  'wall-crown',
  'wall-baseboard',
  'wall-casing',
  'wall-board',
  'wall-chair-rail',
  'wall-picture-rail',
]);
const TAPED_FIRST: ReadonlySet<LineKind> = new Set<LineKind>(['wall-baseboard', 'wall-casing']);

/**
 * Lines that are masked before walls or trim are painted. Trim that this job does not paint is taped wherever a painted wall meets it;
 * trim first: its tops and casings are taped before the walls; trim last: card is set along the floor below the baseboard.
 */
export function maskedLines(
  { practice }: Pick<Job, 'practice'>,
  takeoff: RoomTakeoff,
  painted: ReadonlyMap<SurfaceId, Specified>,
): Meeting[] {
  const first = practice.trimOrder === 'trim-first';
  return takeoff.meetings.filter((meeting) => {
    if (meeting.kind === 'baseboard-floor') return !first && painted.has(meeting.a);
    if (!EDGES.has(meeting.kind) || !painted.has(meeting.a) || isHiddenLater(takeoff, meeting)) return false;
    return painted.has(meeting.b) ? first && TAPED_FIRST.has(meeting.kind) : true;
  });
}
/** Set along the floor, not taped. */
export const isCarded = ({ kind }: Meeting): boolean => kind === 'baseboard-floor';
