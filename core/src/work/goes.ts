import type { Id, SurfaceId } from '../job/table.ts';
import type { Product } from '../job/paints.ts';
import type { TaskKind } from '../job/vocabulary.ts';
import { ruleOf } from '../paces/rules.ts';
import { taskRule } from '../paces/tasks.ts';
import type { Specified } from '../specify/specify.ts';
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

/** Goes of one room, in the order of its operations. `crew`: how many there are to share them. */
export function goesOf(operations: readonly Operation[], crew: number): Go[] {
  const goes = new Map<string, Operation[]>();
  let rubbed: Operation[] = [];
  for (const op of operations) {
    const kind = ruleOf(op.kind).task;
    // what is rubbed down is painted next, in one go
    if (!kind) {
      rubbed.push(op);
      continue;
    }
    const key = `${isRoomwide(kind) ? op.room : op.surface}:${kind}${coatOf(kind, op) || ''}${potOf(op)}`;
    goes.set(key, [...(goes.get(key) ?? []), ...rubbed, op]);
    rubbed = [];
  }
  return [...goes].flatMap(([id, ops]) => shareOut(id, ops, crew));
}

/** Spots are dabbed pot by pot. */
const potOf = (op: Operation): string => {
  if (op.kind === 'dab') return '-finish';
  const primer = op.kind === 'prime-spot' && op.specified ? primerAt(op.specified, op.kind, op.coat) : null;
  return primer ? `-${primer.primer}` : '';
};

/** Scraping goes with the first visit of filling. */
const coatOf = (kind: TaskKind, { coat }: Operation): number => (kind === 'fill' ? Math.max(1, coat) : coat);

/** A long step is shared by surfaces, so that each of two has about half of it. */
function shareOut(id: string, operations: readonly Operation[], crew: number): Go[] {
  const last = operations.at(-1) as Operation;
  const kind = ruleOf(last.kind).task as TaskKind;
  const roomwide = isRoomwide(kind);
  const minutes = total(operations);
  const [, most] = ruleOf(last.kind).people;
  const hands = roomwide && minutes > SHARED ? Math.min(crew, most) : 1;
  const made = (part: readonly Operation[], name: string): Go => ({
    id: name,
    room: last.room,
    surface: roomwide ? last.room : last.surface,
    kind,
    coat: coatOf(kind, last),
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

/** The paint that is laid; null: none. */
export const paintOf = ({ kind, specified, operations }: Go): Product | null => {
  const [op] = operations;
  const s = specified ?? (kind === 'spot' ? op?.specified : null);
  if (!s || !op || kind === 'wax') return null;
  return op.kind.startsWith('prime') ? primerAt(s, op.kind, op.coat) : s.product;
};
