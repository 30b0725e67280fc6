import type { Job } from '../job/types.ts';
import { rows } from '../job/table.ts';
import type { DayPart, Floor, OperationKind } from '../job/vocabulary.ts';
import { isFixture, wayOf } from '../measure/parts.ts';
import type { Task } from '../sequence/task.ts';
import { effective } from '../specify/reasons.ts';
import type { Litres, Minutes } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import type { DayItem } from '../words/site.ts';
import { paintOf } from '../work/goes.ts';
import type { SiteState } from './fold.ts';

/** What the tasks of a day ask for besides themselves. */
export interface DayFacts {
  readonly does: ReadonlySet<OperationKind>;
  readonly water: boolean;
  readonly oil: boolean;
  readonly rolls: boolean;
  readonly brushes: boolean;
  readonly waxes: boolean;
  readonly floors: ReadonlySet<Floor>;
  /** Greatest dose of flow conditioner, litres to a litre. */
  readonly dose: number;
  /** Detectors of the rooms that are worked in. */
  readonly detectors: readonly string[];
}
type Listed = Pick<Job, 'practice' | 'rooms'>;

const ROLLING: ReadonlySet<Task['kind']> = new Set<Task['kind']>(['roll', 'wet', 'prime-roll']);
const BRUSHING: ReadonlySet<Task['kind']> = new Set<Task['kind']>([
  'cut',
  'lap',
  'wet',
  'brush',
  'prime-cut',
  'prime-brush',
  'spot',
  'touch-up',
]);

/** What a day’s lists depend on: bases, rooms and kinds of work of its tasks. */
export function factsOf(job: Listed, tasks: readonly Task[]): DayFacts {
  const bases = tasks.flatMap(({ go }) => paintOf(go)?.base ?? []);
  const specified = tasks.flatMap(({ go }) => go.specified ?? []);
  const rooms = new Set(tasks.map(({ go }) => go.room));
  return {
    does: new Set(tasks.flatMap(({ operations }) => operations.map(({ kind }) => kind))),
    water: bases.includes('water-borne'),
    oil: bases.some((base) => base !== 'water-borne'),
    rolls: tasks.some(({ kind }) => ROLLING.has(kind)),
    brushes: tasks.some(({ kind }) => BRUSHING.has(kind)),
    waxes: tasks.some(({ operations }) => operations.some(({ kind }) => kind === 'wax' || kind === 'face-wax')),
    floors: new Set(rows(job.rooms).flatMap((room) => (rooms.has(room.id) ? [room.floor] : []))),
    dose: Math.max(0, ...specified.map(({ system }) => effective(system.conditioner))),
    detectors: rows(job.rooms).flatMap((room) =>
      rooms.has(room.id)
        ? rows(room.parts).flatMap((part) =>
            isFixture(part.kind) && wayOf(part) === 'covered'
              ? Array.from(
                  { length: part.count },
                  (_, i) => `${room.name}: ${part.label}${part.count > 1 ? ` ${i + 1}` : ''}`,
                )
              : [],
          )
        : [],
    ),
  };
}

interface Row {
  readonly id: DayItem;
  readonly part: DayPart;
  readonly when: (facts: DayFacts, job: Listed) => boolean;
  readonly caution?: RuleId;
  /** A time to be kept, minutes. */
  readonly minutes?: Minutes;
}
const always = (): boolean => true;
const paints = ({ rolls, brushes }: DayFacts): boolean => rolls || brushes;
const does =
  (...kinds: readonly OperationKind[]) =>
  (facts: DayFacts): boolean =>
    kinds.some((kind) => facts.does.has(kind));

/** In the order of the day; a new thing is a row. [common practice, no source] */
const ROWS: readonly Row[] = [
  { id: 'cloths', part: 'before', when: does('cloths-down', 'furniture-out', 'wash', 'sand', 'fill', 'scrape') },
  { id: 'power', part: 'before', when: does('power-off', 'plates-off', 'plates-on'), caution: 'caution.electricity' },
  { id: 'detectors', part: 'before', when: ({ detectors }) => detectors.length > 0 },
  { id: 'draught', part: 'before', when: ({ rolls }) => rolls },
  { id: 'rag', part: 'before', when: paints },
  { id: 'stir', part: 'before', when: paints },
  { id: 'box', part: 'before', when: (facts, { practice }) => paints(facts) && practice.boxing === 'box' },
  { id: 'rim-holes', part: 'before', when: (facts, { practice }) => paints(facts) && practice.rim === 'holes' },
  { id: 'rim-band', part: 'before', when: (facts, { practice }) => paints(facts) && practice.rim === 'band' },
  { id: 'lint', part: 'before', when: ({ rolls }) => rolls },
  { id: 'brush-water', part: 'before', when: ({ brushes, water }) => brushes && water },
  { id: 'brush-oil', part: 'before', when: ({ brushes, oil }) => brushes && oil, caution: 'caution.solvent' },
  { id: 'rest', part: 'during', when: ({ rolls }) => rolls },
  { id: 'filler', part: 'during', when: does('fill', 'caulk') },
  { id: 'floor', part: 'during', when: paints },
  { id: 'setting', part: 'during', when: paints },
  { id: 'wrap', part: 'break', when: paints },
  { id: 'misses', part: 'end', when: paints },
  { id: 'uncover', part: 'end', when: ({ detectors }) => detectors.length > 0 },
  { id: 'waxed', part: 'end', when: does('face-wax') },
  { id: 'windows', part: 'end', when: always },
  { id: 'levels', part: 'end', when: paints },
  { id: 'wash-water', part: 'end', when: (facts, { practice }) => facts.water && practice.washing === 'daily' },
  {
    id: 'wash-oil',
    part: 'end',
    when: (facts, { practice }) => facts.oil && practice.washing === 'daily',
    caution: 'caution.solvent',
  },
  { id: 'bag', part: 'end', when: (facts, { practice }) => paints(facts) && practice.washing === 'bagged' },
  { id: 'rags', part: 'end', when: ({ oil, waxes }) => oil || waxes, caution: 'caution.wax-rags' },
  { id: 'vinegar', part: 'end', when: ({ brushes }) => brushes, minutes: 30 },
];

export interface ListItem {
  readonly id: DayItem;
  readonly part: DayPart;
  readonly caution: RuleId | null;
  readonly minutes: Minutes | null;
}
/** What a day asks for, in its order. */
export const dayList = (job: Listed, facts: DayFacts): ListItem[] =>
  ROWS.filter((row) => row.when(facts, job)).map(({ id, part, caution = null, minutes = null }) => ({
    id,
    part,
    caution,
    minutes,
  }));

/** What a tick is logged as: done, of that. `day`: counted from 0. */
export const tickId = (day: number, item: DayItem | 'covered' | 'closed'): string => `list:${day}:${item}`;

/**
 * What keeps a day from being closed: detectors still covered, unless somebody wrote down why they stay so. The reason is a note of the
 * tick `covered` of that day.
 */
export function keepsOpen(
  { covered, reasons }: Pick<SiteState, 'covered' | 'reasons'>,
  day: number,
): readonly string[] {
  const reason = reasons.get(tickId(day, 'covered'));
  return reason ? [] : covered.map(({ thing }) => thing);
}

/** Flow conditioner for what is left in the pot. */
export const conditionerFor = (left: Litres, dose: number): Litres => left * dose;
