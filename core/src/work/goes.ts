import type { Id, SurfaceId } from '../job/table.ts';
import type { Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type OperationKind, type TaskKind } from '../job/vocabulary.ts';
import { ruleOf } from '../paces/rules.ts';
import { taskRule } from '../paces/tasks.ts';
import { effective } from '../specify/reasons.ts';
import { cutCoatsOf, type Specified } from '../specify/specify.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import { primerAt } from './coats.ts';
import type { Operation } from './operation.ts';

/** Operations done in one go by the same people: a coat of a surface, or one step of preparing a whole room. */
export interface Go {
  readonly id: string;
  readonly room: Id;
  /** The surface, or the room's id for what is done all over it. */
  readonly surface: SurfaceId;
  readonly kind: TaskKind;
  /** Coat or visit; 0 where there is none. */
  readonly coat: number;
  readonly operations: readonly Operation[];
  readonly minutes: Minutes;
  /** null: done to the room as a whole. */
  readonly specified: Specified | null;
}

/** Steps done all over a room before anybody goes on to the next. */
const isRoomwide = (kind: TaskKind): boolean => taskRule(kind).scope === 'room';
/** Shared out between two when it takes longer. */
const SHARED: Minutes = 15;

/** Goes of one room, in the order of its operations; the crew shares the long ones. */
export function goesOf(job: Pick<Job, 'crew' | 'practice'>, operations: readonly Operation[]): Go[] {
  const taped = new Set(operations.flatMap(({ kind, line }) => (kind === 'mask' && line !== null ? [line] : [])));
  const goes = new Map<string, { readonly kind: TaskKind; readonly coat: number; readonly operations: Operation[] }>();
  let rubbed: Operation[] = [];
  for (const op of operations) {
    const place = placeOf(job, op, taped);
    // what is rubbed down is painted next, in one go
    if (!place) {
      rubbed.push(op);
      continue;
    }
    const { kind, coat } = place;
    const key = `${isRoomwide(kind) ? op.room : op.surface}:${kind}${coat || ''}${potOf(op)}`;
    const go = goes.get(key) ?? { kind, coat, operations: [] };
    goes.set(key, go);
    go.operations.push(...rubbed, op);
    rubbed = [];
  }
  return [...goes].flatMap(([id, go]) => shareOut(id, go, job.crew.people.length));
}

/** The go that an operation is done in; null: in that of the next one. */
function placeOf(
  { practice }: Pick<Job, 'practice'>,
  op: Operation,
  taped: ReadonlySet<string>,
): Pick<Go, 'kind' | 'coat'> | null {
  const kind = ruleOf(op.kind).task;
  if (kind === 'unmask' && practice.pull === 'wet' && op.specified) return wetGo(op.specified, op.coat);
  if (kind === null) return null;
  // laps go on with the cut, but for the last ones of schools that lay them first of all: all in a day, those that get tape
  const isEarly = practice.trimOrder === 'one-day' ? taped.has(op.line ?? '') : practice.accent === 'laps-out';
  if (kind === 'lap' && op.specified && (!isEarly || op.coat < cutCoatsOf(op.specified)))
    return { kind: 'cut', coat: op.coat };
  // scraping goes with the first visit of filling, fittings are masked before the first coat
  return { kind, coat: kind === 'fill' || kind === 'mask' ? Math.max(1, op.coat) : op.coat };
}

/** Tape pulled while the paint is wet comes off at the end of the coat that it lay for, by whoever laid it. */
function wetGo(s: Specified, cut: number): Pick<Go, 'kind' | 'coat'> {
  if (familyOf(s.surface.kind) === 'trim') return { kind: 'brush', coat: cut };
  const early = cutCoatsOf(s) - effective(s.system.coats);
  return cut > early ? { kind: 'roll', coat: cut - early } : { kind: 'cut', coat: cut };
}

/** Spots are dabbed pot by pot. */
const potOf = (op: Operation): string => {
  if (op.kind === 'dab') return '-finish';
  const primer = op.kind === 'prime-spot' && op.specified ? primerAt(op.specified, op.kind, op.coat) : null;
  return primer ? `-${primer.primer}` : '';
};

/** A long step is shared by surfaces, so that each of two has about half of it. */
function shareOut(
  id: string,
  { kind, coat, operations }: { kind: TaskKind; coat: number; operations: readonly Operation[] },
  crew: number,
): Go[] {
  const last = operations.at(-1) as Operation;
  const roomwide = isRoomwide(kind);
  const minutes = total(operations);
  const [, most] = ruleOf(last.kind).people;
  const hands = roomwide && minutes > SHARED ? Math.min(crew, most) : 1;
  const made = (part: readonly Operation[], name: string): Go => ({
    id: name,
    room: last.room,
    surface: roomwide ? last.room : last.surface,
    kind,
    coat,
    operations: part,
    minutes: total(part),
    specified: roomwide ? null : last.specified,
  });
  if (hands < 2) return [made(operations, id)];
  const bySurface = [...groupBy(operations, (op) => ruleOf(op.kind).together ?? op.line ?? op.surface).values()];
  const parts: Operation[][] = Array.from({ length: hands }, () => []);
  for (const own of bySurface.sort((a, b) => total(b) - total(a)))
    parts.sort((a, b) => total(a) - total(b))[0]?.push(...own);
  return parts.filter((part) => part.length).map((part, i) => made(part, `${id}/${i + 1}`));
}
const total = (operations: readonly Operation[]): Minutes => operations.reduce((sum, op) => sum + op.minutes.value, 0);

/** Mending that lays the finish. */
const REPAINTS: ReadonlySet<OperationKind> = new Set<OperationKind>(['mend-spot', 'mend-cut', 'mend-coat']);
/** Goes of a surface that lay no paint of its own. */
const DRY_WORK: ReadonlySet<TaskKind> = new Set<TaskKind>(['wax', 'mask', 'unmask']);

/** The paint that is laid; null: none. */
export const paintOf = ({ kind, specified, operations }: Go): Product | null => {
  if (kind === 'mend') return operations.some((op) => REPAINTS.has(op.kind)) ? (specified?.product ?? null) : null;
  const [op] = operations;
  const s = specified ?? (kind === 'spot' ? op?.specified : null);
  if (!s || !op || DRY_WORK.has(kind)) return null;
  return op.kind.startsWith('prime') ? primerAt(s, op.kind, op.coat) : s.product;
};
