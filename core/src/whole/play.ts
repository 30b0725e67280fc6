import type { SurfaceId } from '../job/table.ts';
import { familyOf } from '../job/vocabulary.ts';
import { coatsOf, handOf, playOf } from '../plays/plays.ts';
import type { Play } from '../plays/play.ts';
import { cutCoatsOf } from '../specify/specify.ts';
import type { WholeInput } from './inputs.ts';
import { wholeOf } from './whole.ts';

/** Kinds of operation that lay a coat; what is taped, rubbed and prepared is not in its play. */
const LAYING: ReadonlySet<string> = new Set(['lap', 'cut', 'roll', 'brush', 'edges', 'faces', 'trim-edge']);

/** The play of a finish coat of a surface; null: the surface is not painted, or has no such coat. */
export function playFor(job: WholeInput, surface: SurfaceId, coat: number): Play | null {
  const whole = wholeOf(job);
  const room = whole.lines.find(({ painted }) => painted.some((s) => s.surface.id === surface));
  const specified = room?.painted.find((s) => s.surface.id === surface);
  if (!room || !specified || coat < 1 || coat > coatsOf({ specified })) return null;
  // a band that is cut more often than its field is rolled has its last cuts beside them
  const early = familyOf(specified.surface.kind) === 'trim' ? 0 : cutCoatsOf(specified) - coatsOf({ specified });
  const done = whole.operations.filter(
    (op) =>
      op.surface === surface &&
      LAYING.has(op.kind) &&
      op.coat === (op.kind === 'cut' || op.kind === 'lap' ? coat + early : coat),
  );
  const use = whole.paints
    .filter(({ product }) => product.id === specified.product.id)
    .flatMap(({ uses }) => uses)
    .find((u) => u.specified.surface.id === surface);
  return playOf({
    job,
    takeoff: room.takeoff,
    specified,
    coat,
    done: done.map(({ kind, line, minutes }) => ({ kind, line, minutes: minutes.value })),
    litres: use?.coats[coat - 1] ?? 0,
    hand: handOf(job.crew.people),
  });
}
