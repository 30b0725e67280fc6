import { toTable } from '../job/blank.ts';
import { NOTHING_LEARNED } from '../job/learned.ts';
import type { JobOption, ShelfCan } from '../job/priced.ts';
import type { Defect, EarlierPaint, Sample } from '../job/recorded.ts';
import type { Survey } from '../job/surveyed.ts';
import { SHEENS } from '../job/vocabulary.ts';
import type { Id, Scope, SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Left } from './leftovers.ts';
import { paintsOf, type Layer, type SurfaceRecord } from './layer.ts';

/** Coats of one paint as the next job is told of them. */
function earlierFrom(id: Id, { coats, top }: { readonly coats: number; readonly top: Layer }): EarlierPaint {
  return {
    id,
    coats: Math.min(20, coats),
    product: top.product ?? '',
    colour: top.colour?.name ?? '',
    code: top.colour?.code ?? '',
    formula: top.formula ?? '',
    hex: top.colour?.hex ?? null,
    sheen: top.sheen,
    base: top.base,
    batch: top.batch ?? '',
    primer: top.primer ?? '',
    fabric: top.cover?.fabric ?? null,
    pile: top.cover?.pile ?? null,
    laid: top.laid,
    thinner: top.thinner ?? '',
    wax: top.wax ?? '',
    when: top.when ?? '',
    who: top.who ?? '',
    note: top.note ?? '',
    source: top.source,
    certain: top.certain,
  };
}

/** What a survey found of the ground, which paint does not change. */
const GROUND = ['substrate', 'texture', 'fibres', 'level', 'built', 'touched', 'raking'] as const;
const groundOf = (survey: Partial<Survey>): Partial<Survey> =>
  Object.fromEntries(GROUND.flatMap((member) => (survey[member] === undefined ? [] : [[member, survey[member]]])));

/**
 * The next job on the same rooms: their measures, paints, crew and practice stay, what is on the walls is the first answer of its survey,
 * what was left stands on its shelf. Rooms keep their ids, so that the layers of all jobs stack.
 */
export function paintAgain(
  job: Job,
  records: readonly SurfaceRecord[],
  left: readonly Left[],
  made: { readonly id: Id; readonly name: string },
): Job {
  const earlier: Record<SurfaceId, EarlierPaint[]> = {};
  const found: Record<Scope, Partial<Survey>> = {};
  for (const { id, layers, top } of records) {
    if (layers.length) earlier[id] = paintsOf(layers).map((paint, i) => earlierFrom(`${made.id}-${i + 1}`, paint));
    if (top)
      found[id] = {
        ...(top.base ? { coat: top.base } : {}),
        ...(top.colour?.hex ? { colour: top.colour.hex } : {}),
        ...(top.sheen ? { sheen: top.sheen } : {}),
        ...(top.wax ? { wax: 'yes' as const } : {}),
      };
  }
  const survey: Record<Scope, Partial<Survey>> = Object.fromEntries(
    Object.entries(job.survey).map(([scope, answers]) => [scope, groundOf(answers)]),
  );
  for (const [scope, answers] of Object.entries(found)) survey[scope] = { ...survey[scope], ...answers };
  return {
    ...job,
    ...made,
    survey,
    earlier,
    crew: { ...job.crew, start: null },
    decisions: {},
    lines: {},
    orders: {},
    learned: NOTHING_LEARNED,
    pins: {},
    wanted: {},
    taken: null,
    shelf: toTable(left.flatMap((own, i) => shelfCan(job, own, `${made.id}-can-${i + 1}`))),
    options: toTable<JobOption>([]),
    reserved: {},
    bought: {},
    noted: {},
    leftovers: {},
    defects: toTable<Defect>([]),
    accepted: {},
    samples: toTable<Sample>([]),
  };
}

/** A can that is left, as the next job's shelf has it; none of a paint that is no longer in the job. */
function shelfCan({ products, colours }: Job, { key, litres, batches }: Left, id: Id): ShelfCan[] {
  const [product = '', sheenKey = '', colour = ''] = key.split('|');
  const sheen = SHEENS.find((one) => one === sheenKey);
  if (!Object.hasOwn(products, product) || !sheen || litres < 0.01) return [];
  const tinted = Object.hasOwn(colours, colour) ? colour : null;
  return [
    { id, product, sheen, colour: tinted, litres: Math.min(1000, litres), batch: batches.join(', ').slice(0, 40) },
  ];
}
