import { DateTime } from 'luxon';
import type { EarlierPaint, LaidBy } from '../job/recorded.ts';
import { systemOf } from '../job/region.ts';
import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Base, Fabric, Pile, Sheen } from '../job/vocabulary.ts';
import type { AirSaid, PotLine, SiteState, TaskLog } from '../site/fold.ts';
import { isClear } from '../specify/case.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import { said } from '../units/word.ts';
import { conditionerWord } from '../words/systems.ts';
import { PRIMER, SEALED } from '../words/terms.ts';
import { primerAt } from '../work/coats.ts';

/** One coat on a surface. null: nobody knows. */
export interface Layer {
  readonly surface: SurfaceId;
  readonly role: 'primer' | 'finish';
  /** Which coat of its paint, from 1. */
  readonly coat: number;
  readonly product: string | null;
  readonly colour: LayerColour | null;
  readonly formula: string | null;
  readonly sheen: Sheen | null;
  readonly base: Base | null;
  /** Of all cans it may have come from: they were boxed, or one followed the other. */
  readonly batch: string | null;
  readonly primer: string | null;
  readonly cover: { readonly fabric: Fabric | null; readonly pile: Pile | null } | null;
  readonly laid: LaidBy | null;
  readonly thinner: string | null;
  readonly wax: string | null;
  /** ISO day; of earlier paint a year or a month too. */
  readonly when: string | null;
  readonly who: string | null;
  /** °C, and relative humidity 0-1, as they were read last before. */
  readonly air: { readonly temperature: number; readonly humidity: number } | null;
  /** From a log: not from memory, a label or a plan. */
  readonly certain: boolean;
  /** Who says so. */
  readonly source: string;
  readonly note: string | null;
}
export interface LayerColour {
  readonly name: string | null;
  readonly code: string | null;
  readonly hex: string | null;
}

const known = (text: string): string | null => text.trim() || null;

/** What was said of earlier paint, coat by coat. */
const earlierLayers = (surface: SurfaceId, paints: readonly EarlierPaint[]): Layer[] =>
  paints.flatMap((paint) =>
    Array.from({ length: paint.coats }, (_, i): Layer => {
      const colour = { name: known(paint.colour), code: known(paint.code), hex: paint.hex };
      return {
        surface,
        role: 'finish',
        coat: i + 1,
        product: known(paint.product),
        colour: (colour.name ?? colour.code ?? colour.hex) ? colour : null,
        formula: known(paint.formula),
        sheen: paint.sheen,
        base: paint.base,
        batch: known(paint.batch),
        primer: known(paint.primer),
        cover: (paint.fabric ?? paint.pile) ? { fabric: paint.fabric, pile: paint.pile } : null,
        laid: paint.laid,
        thinner: known(paint.thinner),
        wax: known(paint.wax),
        when: known(paint.when),
        who: known(paint.who),
        air: null,
        certain: paint.certain,
        source: paint.source,
        note: known(paint.note),
      };
    }),
  );

/** The job whose layers are told, and when its minutes begin. */
export interface Recorded {
  readonly job: Pick<Job, 'name' | 'crew' | 'region' | 'units' | 'practice'>;
  /** Milliseconds since 1970. */
  readonly zero: number;
}

/** A coat's field is laid by one of these; its cuts alone make no layer. */
const LAYING = /^(.+):(prime-roll|prime-brush|roll|wet|brush)(\d*)(?:\/\d+)?$/;
const WAXING = /^(.+):wax\d*(?:\/\d+)?$/;

/** A coat that was laid, by the id of its task. */
interface Laid {
  readonly surface: SurfaceId;
  readonly primed: boolean;
  readonly brushed: boolean;
  readonly coat: number;
  readonly log: TaskLog & { readonly done: Minutes };
}
function laidBy(log: TaskLog): Laid[] {
  const [, surface, kind = '', coat] = LAYING.exec(log.operation) ?? [];
  if (surface === undefined || log.done === null) return [];
  const done = { ...log, done: log.done };
  return [
    { surface, primed: kind.startsWith('prime'), brushed: kind.endsWith('brush'), coat: Number(coat) || 1, log: done },
  ];
}

/** What a log says was laid, a layer a coat, in the order they were done. `surfaces`: those of the job with their systems. */
function loggedLayers(of: Recorded, state: SiteState, surfaces: readonly Specified[]): Layer[] {
  const byId = new Map(surfaces.map((s) => [s.surface.id, s]));
  const waxed = new Set(
    [...state.tasks.values()].flatMap(({ operation, done }) =>
      done === null ? [] : (WAXING.exec(operation)?.[1] ?? []),
    ),
  );
  return [...state.tasks.values()]
    .flatMap(laidBy)
    .sort((a, b) => a.log.done - b.log.done || a.coat - b.coat)
    .flatMap((laid): Layer[] => {
      const s = byId.get(laid.surface);
      return s ? [layerOf(of, state, s, laid, waxed.has(laid.surface))] : [];
    });
}

function layerOf(of: Recorded, state: SiteState, s: Specified, laid: Laid, isWaxed: boolean): Layer {
  const { job, zero } = of;
  const { log } = laid;
  const plain = plannedLayer(of, s, laid.primed, laid.coat, laid.brushed);
  const people = new Map(job.crew.people.map(({ id, name }) => [id, name]));
  const who = [...new Set(log.sessions.map((own) => people.get(own.who) ?? own.who))];
  const air = lastBefore(state.air, log.done)?.air;
  return {
    ...plain,
    batch: batchesOf(job, state.pots, paintKey(s, laid.primed, laid.coat), log.done),
    wax: isWaxed ? plain.wax : null,
    when: DateTime.fromMillis(zero + log.done * 60_000, { zone: job.crew.zone }).toISODate(),
    who: who.join(', ') || null,
    air: air ? { temperature: air.temperature, humidity: air.humidity } : null,
    certain: true,
  };
}
const lastBefore = (air: readonly AirSaid[], at: Minutes): AirSaid | undefined =>
  air.findLast((reading) => reading.at <= at) ?? air[0];

/** The key of the order line that a coat comes from. */
export function paintKey(s: Specified, primed: boolean, coat: number): string {
  if (!primed) return `${s.product.id}|${s.sheen}|${isClear(s) ? '' : s.colour.id}`;
  const product = primerAt(s, 'prime-roll', coat);
  const tint = s.primers.find((primer) => primer.product?.id === product?.id)?.layer.tint;
  return product ? `${product.id}|${product.sheens[0] ?? 'flat'}|${tint ? `tint-${tint}` : ''}` : '';
}

/** Batches opened until then: all of them where cans are boxed, else the one opened last. */
function batchesOf({ practice }: Recorded['job'], pots: readonly PotLine[], key: string, at: Minutes): string | null {
  const opened = pots.flatMap((line) => (line.paint === key && line.at <= at && line.batch ? [line.batch] : []));
  const all = practice.boxing === 'box' ? [...new Set(opened)] : opened.slice(-1);
  return all.join(', ') || null;
}

/** A coat as it is planned: true once somebody did it. */
function plannedLayer({ job }: Recorded, s: Specified, primed: boolean, coat: number, brushed: boolean): Layer {
  const primer = primed ? primerAt(s, 'prime-roll', coat) : null;
  const tint = s.primers.find(({ product }) => product?.id === primer?.id)?.layer.tint ?? null;
  const { fabric, pile } = effective(s.system.cover);
  const system = systemOf(job);
  const own = s.primers.filter(({ product }) => product !== null);
  const seal = effective(s.system.seal);
  const tinted = tint === null ? null : { name: null, code: null, hex: tint };
  const colour = { name: s.colour.name, code: s.colour.code ?? null, hex: s.colour.hex };
  return {
    surface: s.surface.id,
    role: primed ? 'primer' : 'finish',
    coat,
    product: (primed ? primer : s.product)?.name ?? null,
    colour: primed ? tinted : isClear(s) ? null : colour,
    formula: primed ? null : (s.colour.formula ?? null),
    sheen: primed ? null : s.sheen,
    base: (primed ? primer : s.product)?.base ?? null,
    batch: null,
    primer: primed
      ? null
      : own.map(({ product, layer }) => product?.name ?? said(PRIMER[layer.kind], system)).join(', ') || 'none',
    cover: brushed ? null : { fabric, pile },
    laid: brushed ? 'brush' : 'roller',
    thinner: primed ? null : said(conditionerWord(effective(s.system.conditioner)), system),
    wax: seal === 'none' ? null : said(SEALED[seal], system),
    when: null,
    who: null,
    air: null,
    certain: false,
    source: job.name,
    note: null,
  };
}

/** Coats of the finish as planned, for a surface that no log speaks of yet. */
export function plannedLayers(of: Recorded, s: Specified): Layer[] {
  const brushed = s.surface.kind !== 'wall' && s.surface.kind !== 'ceiling';
  const coats = effective(s.system.coats);
  return Array.from({ length: coats }, (_, i) => plannedLayer(of, s, false, i + 1, brushed));
}

/** Coats one over the other that are of one paint: what people call a layer. */
export interface Paint {
  readonly layers: readonly Layer[];
  readonly top: Layer;
  readonly coats: number;
}
/** From the oldest to what is seen: coats that follow each other with the same paint are one. */
export function paintsOf(layers: readonly Layer[]): Paint[] {
  const groups: Layer[][] = [];
  for (const layer of layers) {
    const last = groups.at(-1);
    if (last && samePaint(last.at(-1) as Layer, layer)) last.push(layer);
    else groups.push([layer]);
  }
  return groups.map((own) => ({ layers: own, top: own.at(-1) as Layer, coats: own.length }));
}
const paintId = ({ role, product, colour, sheen, source, certain }: Layer): string =>
  JSON.stringify([role, product, colour, sheen, source, certain]);
const samePaint = (a: Layer, b: Layer): boolean => paintId(a) === paintId(b) && b.coat > a.coat;

/** A surface with all that is on it. */
export interface SurfaceRecord {
  readonly id: SurfaceId;
  readonly specified: Specified;
  /** Oldest first. */
  readonly layers: readonly Layer[];
  /** The coat that is seen; null: nothing is known. */
  readonly top: Layer | null;
}

/** All that is on the surfaces of a job: what was there, and what its log says was done. */
export function recordOf(
  of: Recorded & { readonly job: Pick<Job, 'earlier'> },
  state: SiteState,
  surfaces: readonly Specified[],
): SurfaceRecord[] {
  const done = groupBy(loggedLayers(of, state, surfaces), ({ surface }) => surface);
  return surfaces.map((specified): SurfaceRecord => {
    const { id } = specified.surface;
    const earlier = earlierLayers(id, of.job.earlier[id] ?? []);
    const layers = [...earlier, ...(done.get(id) ?? [])];
    return { id, specified, layers, top: layers.findLast(({ role }) => role === 'finish') ?? layers.at(-1) ?? null };
  });
}
