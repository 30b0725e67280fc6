import highsLoader from 'highs';
import { linesOf } from '../core/src/lines/lines.ts';
import { cheapestOrder } from '../core/src/lines/order.ts';
import { orderedByMilp } from '../core/src/testing/linear-order.ts';
import { seeded } from '../core/src/units/random.ts';
import { playFor } from '../core/src/whole/play.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** The exact order of a room's finishes against a MILP solver; the lines of many rooms against their takeoffs. */
export async function benchLines(): Promise<void> {
  console.log('\nLines: who laps over whom');
  const highs = await highsLoader();
  const random = seeded(7);
  const rooms = Array.from({ length: 10 }, () =>
    Array.from({ length: 12 }, () => Array.from({ length: 12 }, () => Math.floor(random() * 3000))),
  );
  const agree = rooms.filter((c) => Math.abs(cheapestOrder(c, []).cost - orderedByMilp(highs, c)) < 1e-6).length;
  const ours = median(() => rooms.forEach((c) => void cheapestOrder(c, [])), 199) / rooms.length;
  const theirs = median(() => void orderedByMilp(highs, rooms[0] ?? []), 3);
  line(
    'order of 12 finishes, all of them in one circle',
    ms(ours),
    `${(theirs / ours).toFixed(0)} x faster than HiGHS; ${agree} of ${rooms.length} cost the same`,
  );
  const job = manyRooms(30);
  const { takeoffs, surfaces } = wholeOf(job);
  const inRoom = takeoffs.map((t) => ({ t, own: surfaces.filter((s) => s.surface.room === t.room.id) }));
  let lines = 0;
  const all = median(() => {
    // a new list each time: what is remembered is not timed
    lines = inRoom.reduce((n, { t, own }) => n + linesOf(job, t, [...own]).lines.length, 0);
  }, 9);
  const meetings = takeoffs.reduce((n, t) => n + t.meetings.length, 0);
  const bare = median(() => {
    let sum = 0;
    for (const t of takeoffs) for (const m of t.meetings) sum += m.geometry().length;
    if (sum < 0) throw new Error('no geometry');
  }, 9);
  line(
    `${lines} lines of 30 rooms, every way of each`,
    ms(all),
    times(all, bare, `the geometry of ${meetings} meetings`),
  );
  const painted = wholeOf(job).lines.flatMap((room) => room.painted);
  let strokes = 0;
  const played = median(() => {
    strokes = painted.reduce((n, s) => n + (playFor(job, s.surface.id, { coat: 1 })?.strokes.length ?? 0), 0);
  }, 5);
  line(
    `plays of 30 rooms, a coat of ${painted.length} surfaces, ${strokes} strokes`,
    ms(played),
    `${(played / painted.length).toFixed(1)} ms a play; ${times(played, all, 'their lines')}`,
  );
}
