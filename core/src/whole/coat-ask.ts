import type { Job } from '../job/types.ts';
import type { SurfaceId } from '../job/table.ts';
import { familyOf, type Hand, type OperationKind } from '../job/vocabulary.ts';
import type { PaintLine } from '../order/paint.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { coatsOf, handOf } from '../plays/plays.ts';
import { cutCoatsOf, type Specified } from '../specify/specify.ts';
import type { Litres } from '../units/si.ts';
import type { Operation } from '../work/operations.ts';
import type { LinedRoom } from './plain.ts';

/** Kinds of operation that lay a coat; what is taped, rubbed and prepared is not in its play. */
const LAYING: Readonly<Record<PlayAsk['layer'], ReadonlySet<OperationKind>>> = {
  finish: new Set<OperationKind>(['lap', 'cut', 'roll', 'brush', 'edges', 'faces', 'trim-edge']),
  primer: new Set<OperationKind>(['prime-cut', 'prime-roll', 'prime-brush', 'prime-faces']),
};

export interface PlayWish {
  readonly coat: number;
  readonly layer?: PlayAsk['layer'];
  /** null: that of the crew. */
  readonly hand?: Hand | null;
}

/** Where the coats of a surface are found. */
interface Source {
  readonly lines: readonly LinedRoom[];
  readonly operations: readonly Operation[];
  readonly paints: readonly PaintLine[];
}

/** What a play of a coat is asked with; null: the surface is not painted, or has no such coat. */
export function coatAskFor(
  whole: Source,
  job: PlayAsk['job'] & Pick<Job, 'crew'>,
  surface: SurfaceId,
  { coat, layer = 'finish', hand = null }: PlayWish,
): PlayAsk | null {
  const room = whole.lines.find(({ painted }) => painted.some((s) => s.surface.id === surface));
  const specified = room?.painted.find((s) => s.surface.id === surface);
  const coats = specified ? coatsOf({ specified, layer }) : 0;
  if (!room || !specified || !(Number.isInteger(coat) && coat >= 1 && coat <= coats)) return null;
  const done = whole.operations.filter(
    (op) => op.surface === surface && LAYING[layer].has(op.kind) && coatOf(specified, op) === coat,
  );
  return {
    job,
    takeoff: room.takeoff,
    specified,
    layer,
    coat,
    coats,
    done: done.map(({ kind, coat: n, line, minutes }) => ({ kind, coat: n, line, minutes: minutes.value })),
    litres: litresOf(whole, specified, layer, coat),
    hand: hand ?? handOf(job.crew.people),
    inside:
      coat > 1 &&
      room.made.lines.some(
        ({ line, chosen }) => chosen.stays === 'first' && line.sides[1 - chosen.first]?.id === surface,
      ),
  };
}

/** A band that is cut more often than its field is rolled has those cuts in its first coat. */
function coatOf(s: Specified, { kind, coat }: Operation): number {
  if (familyOf(s.surface.kind) === 'trim' || (kind !== 'cut' && kind !== 'lap')) return coat;
  return Math.max(1, coat - (cutCoatsOf(s) - coatsOf({ specified: s, layer: 'finish' })));
}

/** Paint of a coat before losses, by what the order counts: full primers one after the other. */
function litresOf({ paints }: Source, s: Specified, layer: PlayAsk['layer'], coat: number): Litres {
  const products =
    layer === 'finish' ? [s.product] : s.primers.flatMap((p) => (p.layer.extent === 'full' ? (p.product ?? []) : []));
  const coats = products.flatMap(
    (product) =>
      paints
        .filter((paint) => paint.product === product)
        .flatMap(({ uses }) => uses)
        .find((use) => use.specified === s && use.layer === layer && !use.spots)?.coats ?? [],
  );
  return coats[coat - 1] ?? 0;
}
