import type { Id } from '../job/table.ts';
import type { PrimerChoice, Product } from '../job/paints.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import type { Litres, Minutes, Money } from '../units/si.ts';
import type { PaintLine } from '../order/paint.ts';
import type { WholeInput } from './inputs.ts';
import { baseOrder } from './plan.ts';
import { wholeOf } from './whole.ts';

/** One way to paint the surfaces of a paint, worked out to the end. */
export interface Alternative {
  readonly id: string;
  readonly product: Product;
  /** Coats of penetrating primer below; null: as it is. */
  readonly primerCoats: number | null;
  readonly chosen: boolean;
  /** Fewest and most coats of finish over its surfaces. */
  readonly coats: readonly [number, number];
  readonly litres: Litres;
  readonly paint: Money;
  readonly minutes: Minutes;
  /** Of the whole job, at cost: what is compared. */
  readonly total: Money;
  /** Against what is chosen. */
  readonly difference: Money;
}

/** The job with another product wherever this paint is used. */
function withProduct(job: WholeInput, line: PaintLine, product: Id): WholeInput {
  const own = line.uses.map(({ specified: s }) => [s.surface.id, { product, colour: s.colour.id }] as const);
  return { ...job, finishes: { ...job.finishes, ...Object.fromEntries(own) } };
}

/** The first primer that goes on all over, so many times. */
const withCoats = (primer: PrimerChoice, coats: number): PrimerChoice =>
  primer.extent === 'full' || !primer.then ? { ...primer, coats } : { ...primer, then: { ...primer.then, coats } };

/** The job with one or two coats of full primer below this paint. */
function primed(job: WholeInput, line: PaintLine, coats: number): WholeInput {
  const own = line.uses.map(({ specified: s }) => {
    const primer = withCoats(effective(s.system.primer), coats);
    return [s.surface.id, { ...job.decisions[s.surface.id], primer }] as const;
  });
  return { ...job, decisions: { ...job.decisions, ...Object.fromEntries(own) } };
}

/**
 * The paint as chosen against every other finish of the job that is made for the same surfaces (a dearer one that hides in two coats
 * against a cheap one in three), and against a second coat of primer where thirsty ground is fully primed. Each is the
 * whole worked out again, so labour, covers and primer are in it.
 */
export function alternatives(job: WholeInput, line: PaintLine): Alternative[] {
  if (line.product.role !== 'finish') return [];
  const ids = new Set(line.uses.map((use) => use.specified.surface.id));
  const now = baseOrder(job);
  const tell = (
    id: string,
    product: Product,
    primerCoats: number | null,
    then: WholeInput,
    chosen: boolean,
  ): Alternative => {
    const surfaces = wholeOf(then).surfaces.filter((s) => ids.has(s.surface.id));
    const coats = surfaces.map((s) => effective(s.system.coats));
    const order = baseOrder(then);
    const paints = order.paints.filter((p) => p.uses.some((use) => ids.has(use.specified.surface.id)));
    return {
      id,
      product,
      primerCoats,
      chosen,
      coats: [Math.min(...coats), Math.max(...coats)],
      litres: paints.reduce((sum, p) => sum + p.ordered, 0),
      paint: paints.reduce((sum, p) => sum + (p.choice?.cost ?? 0), 0),
      minutes: order.labour.minutes,
      total: order.total,
      difference: order.total - now.total,
    };
  };
  const rivals = Object.values(job.products).filter(
    (p) => p.role === 'finish' && p.id !== line.product.id && p.family === line.product.family,
  );
  const full = ({ primers }: Specified) => primers.filter(({ layer }) => layer.extent === 'full');
  const fully = line.uses.filter(({ specified: s }) => full(s).length > 0);
  const coatsNow = Math.max(0, ...fully.map(({ specified: s }) => full(s)[0]?.layer.coats ?? 0));
  const other = coatsNow === 2 ? 1 : 2;
  return [
    tell('chosen', line.product, null, job, true),
    ...rivals.map((p) => tell(p.id, p, null, withProduct(job, line, p.id), false)),
    ...(fully.length
      ? [tell(`primer-${other}`, line.product, other, primed(job, { ...line, uses: fully }, other), false)]
      : []),
  ];
}
