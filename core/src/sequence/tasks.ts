import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type Family } from '../job/vocabulary.ts';
import { effective } from '../specify/reasons.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import type { Operation } from '../work/operations.ts';

export interface Lag {
  readonly task: string;
  readonly from: 'finish' | 'start';
  readonly minLag: Minutes;
  /** null: none. */
  readonly maxLag: Minutes | null;
}
export interface Task {
  readonly id: string;
  readonly operation: Operation;
  /** Minutes with `people` on it. */
  readonly work: Minutes;
  readonly people: number;
  readonly interruptible: boolean;
  readonly after: readonly Lag[];
  /** What then dries, minutes after its end, before the next coat. */
  readonly drying: Minutes;
}

type Sequencing = Pick<Job, 'settings' | 'practice' | 'crew'>;
const INTERRUPTIBLE = new Set(['protect', 'prep', 'mask', 'unmask', 'clear']);
const isPaint = (op: Operation) =>
  op.kind === 'prime' || op.kind === 'cut' || op.kind === 'roll' || op.kind === 'brush';

/**
 * Operations of a job as tasks with lags. In each room: cover, prepare, then top down; trim before or after the walls
 * by the school chosen. A coat is cut, then rolled; the last coat is rolled while its cut is wet.
 * Lags are elapsed minutes: drying runs through breaks. `longest` is the longest working stretch.
 */
export function tasksOf(job: Sequencing, operations: readonly Operation[], longest: Minutes): Task[] {
  const rooms = groupBy(operations, (op) => op.room);
  return [...rooms.values()].flatMap((ops) => roomTasks(job, ops, longest));
}

function roomTasks(job: Sequencing, ops: readonly Operation[], longest: Minutes): Task[] {
  const crew = job.crew.people.length;
  const lags = new Map<string, Lag[]>(ops.map((op) => [op.id, []]));
  const after = (
    op: Operation | undefined,
    before: Operation | undefined,
    minLag = 0,
    maxLag: Minutes | null = null,
  ) => {
    if (op && before) lags.get(op.id)?.push({ task: before.id, from: 'finish', minLag, maxLag });
  };
  const one = (kind: Operation['kind']) => ops.find((op) => op.kind === kind && op.specified === null);
  const preps = ops.filter((op) => op.kind === 'prep');
  for (const prep of preps) after(prep, one('protect'));

  const bySurface = groupBy(ops.filter(isPaint), (op) => op.surface);
  const paths: Path[] = [];
  for (const coats of bySurface.values()) {
    for (let i = 1; i < coats.length; i++) {
      const [before, op] = [coats[i - 1] as Operation, coats[i] as Operation];
      const last = op.coat === effective((op.specified as NonNullable<Operation['specified']>).system.coats);
      const together = before.minutes.value + op.minutes.value <= longest;
      if (before.kind === 'cut' && op.kind === 'roll')
        after(op, before, 0, last && together ? setting(job, 'cut.wet') : null);
      else after(op, before, dryingOf(before));
    }
    const start = coats[0] as Operation;
    // no sanding dust near wet paint: every surface of the room is prepared before its first coat
    for (const prep of preps)
      after(
        start,
        prep,
        prep.specified && effective(prep.specified.system.prep).includes('fill') ? setting(job, 'fill.dry') : 0,
      );
    if (!preps.length) after(start, one('protect'));
    paths.push(pathOf(coats));
  }
  const of = (family: Family) => paths.filter((p) => p.family === family);
  // top down: a coat is cut against a ceiling that is dry, the last coat against its last
  for (const path of [...of('wall'), ...of('trim')])
    for (const ceiling of of('ceiling')) {
      after(path.first, ceiling.firstEnd, dryToCut(ceiling.firstEnd));
      after(path.last, ceiling.end, dryToCut(ceiling.end));
    }
  const trimFirst = job.practice.trimOrder === 'trim-first';
  const [early, late] = trimFirst ? [of('trim'), of('wall')] : [of('wall'), of('trim')];
  const [mask, unmask, clear] = [one('mask'), one('unmask'), one('clear')];
  const toMask = (op: Operation) => (trimFirst ? setting(job, 'mask.dry') : dryToCut(op));
  for (const { end } of early) {
    after(mask, end, toMask(end));
    for (const { first } of late) after(first, end, toMask(end));
  }
  for (const op of early.length ? [] : [...preps, one('protect')]) after(mask, op);
  for (const { first } of late) after(first, mask);
  for (const { end } of late) after(unmask, end);
  if (!late.length) after(unmask, mask);
  for (const { end } of paths) after(clear, end);
  for (const op of [...preps, unmask, one('protect')]) after(clear, op);

  return ops.map((op): Task => {
    const minutes = op.minutes.value;
    const interruptible = INTERRUPTIBLE.has(op.kind);
    const people = interruptible ? 1 : Math.min(crew, Math.max(1, Math.ceil(minutes / longest - 1e-9)));
    return {
      id: op.id,
      operation: op,
      work: minutes / people,
      people,
      interruptible,
      after: lags.get(op.id) ?? [],
      drying: op.kind === 'cut' ? 0 : isPaint(op) ? dryingOf(op) : 0,
    };
  });
}

/** The paint operations of one surface, in order. */
interface Path {
  readonly family: Family;
  /** First operation of the first and of the last finish coat. */
  readonly first: Operation;
  readonly last: Operation;
  /** Last operation of the first finish coat, and of all. */
  readonly firstEnd: Operation;
  readonly end: Operation;
}
function pathOf(coats: readonly Operation[]): Path {
  const end = coats.at(-1) as Operation;
  const finish = coats.filter((op) => op.kind !== 'prime');
  const coat = (n: number) => finish.filter((op) => op.coat === n);
  return {
    family: familyOf((end.specified as NonNullable<Operation['specified']>).surface.kind),
    first: coat(1)[0] ?? end,
    firstEnd: coat(1).at(-1) ?? end,
    last: coat(end.coat)[0] ?? end,
    end,
  };
}

const productOf = (op: Operation) => (op.kind === 'prime' ? op.specified?.primer : op.specified?.product);
/** Recoat time from the label. */
const dryingOf = (op: Operation): Minutes => productOf(op)?.recoat ?? 0;
const dryToCut = (op: Operation): Minutes => productOf(op)?.dry ?? 0;
