import { setting } from '../job/defaults.ts';
import { openOf } from '../plays/manner.ts';
import type { Stroke } from '../plays/play.ts';
import { leafOf, playOf } from '../plays/plays.ts';
import { membersOf } from '../plays/door.ts';
import { INCH, type Metres, type Minutes } from '../units/si.ts';
import type { WetAsk } from './ask.ts';

/** A door's leaf as what has to meet wet on a face. */
export interface WetFace {
  /** Greatest age of an edge that is gone over, median. */
  readonly age: Minutes;
  /** Of all that is done of the leaf. */
  readonly minutes: Minutes;
  readonly open: Minutes;
  /** Of a mark, what is left of it: one in the line of a joint hardly shows. */
  readonly inJoint: number;
}

/** A flush face is laid in bands of a small roller. */
const BAND: Metres = 4 * INCH;

/** What is to be known of a leaf; null: it is no door that is painted face by face. */
export function faceOf(ask: WetAsk): WetFace | null {
  const leaf = leafOf(ask);
  if (!leaf) return null;
  const { strokes, minutes } = playOf(ask);
  const own = strokes.filter(({ id }) => id.startsWith('face1/'));
  if (!own.length) return null;
  const times = timesOf(own);
  const rolled = times.get('face1/roll');
  const open = openOf(ask, 0.5, ask.at).minutes;
  const ages = (pairs: readonly (readonly [string, string])[]): Minutes =>
    pairs.reduce((most, [first, then]) => {
      const [a, b] = [times.get(`face1/${first}`), times.get(`face1/${then}`)];
      return a && b ? Math.max(most, b.begin - a.begin, b.end - a.end) : most;
    }, 0);
  const members = leaf.kind === 'flush' ? [] : membersOf(leaf);
  // rolled all over, it stays open until it is brushed out
  if (rolled) {
    const brushed = leaf.kind === 'flush' ? ['face'] : members.map(({ id }) => id);
    return { age: ages(brushed.map((id) => ['roll', id])), minutes, open, inJoint: 1 };
  }
  if (leaf.kind === 'flush') {
    const face = times.get('face1/face');
    const bands = Math.max(1, Math.ceil(leaf.width / BAND));
    return { age: face ? (face.end - face.begin) / bands : 0, minutes, open, inJoint: 1 };
  }
  // a panel ends at its moulding; rails and stiles meet in one plane
  const flush = members.filter(({ kind }) => kind !== 'panel');
  const joints = flush.flatMap(({ id, into }) => into.map((other) => [id, other] as const));
  return { age: ages(joints), minutes, open, inJoint: setting(ask.job, 'wet.backRolled') };
}

interface Time {
  readonly begin: Minutes;
  readonly end: Minutes;
}
function timesOf(strokes: readonly Stroke[]): ReadonlyMap<string, Time> {
  let now = 0;
  return new Map(strokes.map(({ id, minutes }) => [id, { begin: now, end: (now += minutes) }] as const));
}
