import { setting } from '../job/defaults.ts';
import { STARTING_SURVEY } from '../job/library.ts';
import { layered, nearest } from '../job/scope.ts';
import type { Colour, Id, Job, Product, Survey, SystemValues } from '../job/types.ts';
import { familyOf, PREP_STEPS, type Sheen } from '../job/vocabulary.ts';
import { takeoffJob, type RoomTakeoff, type Surface } from '../measure/takeoff.ts';
import { remember } from '../units/remember.ts';
import { bandsOf, deltaE } from './colour.ts';
import { bestTint, hideAll, primed, type Hiding, type HidingQuestion, type TintedPrimer } from './hiding.ts';
import { because, effective, type Decided, type Reason } from './reasons.ts';
import { brushFor, coverFor, prepFor, primerFor, sheenFor, type Case } from './system.ts';

export type System = { readonly [K in keyof SystemValues]: Decided<SystemValues[K]> };

/** A surface with what goes on it: the finish is {product, colour, sheen}. */
export interface Specified {
  readonly surface: Surface;
  readonly survey: Survey;
  readonly product: Product;
  readonly colour: Colour;
  readonly sheen: Sheen;
  readonly finishFrom: string;
  readonly system: System;
  readonly hiding: Hiding;
  /** What was asked of the hiding model, for its what-ifs. */
  readonly question: HidingQuestion;
  /** A full primer coat tinted to save finish coats; null where none would. */
  readonly tinted: TintedPrimer | null;
  /** A room with steam or splashes. */
  readonly wet: boolean;
  /** The product for the primer decided on; null: none. */
  readonly primer: Product | null;
}

/** An untinted primer dries to a broken white [starting judgement]. */
const PRIMER_WHITE = '#f0f0ea';
const SAME_COLOUR = 1;

type Specifying = Pick<Job, 'settings' | 'products' | 'colours' | 'finishes' | 'survey' | 'decisions'>;

export function specifySurface(job: Specifying, surface: Surface, room: Case['room']): Specified {
  const { product, colour, from } = finishOf(job, surface);
  const survey = layered(job.survey, surface, STARTING_SURVEY[familyOf(surface.kind)]);
  const decisions = job.decisions[surface.id] ?? {};
  const overruled = <K extends keyof SystemValues>(
    member: K,
    decided: Decided<SystemValues[K]>,
  ): Decided<SystemValues[K]> => {
    const override = decisions[member];
    return override === undefined ? decided : { ...decided, override };
  };
  const c: Case = { kind: surface.kind, room, survey, product, colour };
  const sheen = overruled('sheen', sheenFor(c));
  const primer = overruled('primer', primerFor(c));
  const primerProduct = primerOf(job, effective(primer).kind);
  const { hiding, question, tinted } = hidingOf(job, c, effective(primer), primerProduct);
  const system: System = {
    prep: overruled('prep', prepFor(c, PREP_STEPS)),
    primer,
    sheen,
    cover: overruled('cover', coverFor(c, effective(sheen))),
    brush: overruled('brush', brushFor(c)),
    coats: overruled('coats', coatsFor(job, c, effective(sheen), effective(primer).extent, hiding, tinted)),
  };
  return {
    surface,
    survey,
    product,
    colour,
    sheen: effective(sheen),
    finishFrom: from,
    system,
    hiding,
    question,
    tinted,
    wet: room.use === 'bathroom' || room.use === 'kitchen',
    primer: primerProduct,
  };
}

function finishOf(job: Specifying, surface: Surface): { product: Product; colour: Colour; from: string } {
  const found = nearest(job.finishes, surface);
  const product = found && job.products[found.value.product];
  const colour = found && job.colours[found.value.colour];
  if (!product || !colour) throw new Error(`no finish for ${surface.id}: openJob refuses such a job`);
  return { product, colour, from: found.from };
}

const primerOf = (job: Specifying, kind: Product['primer']): Product | null =>
  kind === 'none'
    ? null
    : (Object.values(job.products).find((product) => product.role === 'primer' && product.primer === kind) ?? null);

function hidingOf(
  job: Specifying,
  c: Case,
  primer: SystemValues['primer'],
  product: Product | null,
): { hiding: Hiding; question: HidingQuestion; tinted: TintedPrimer | null } {
  const full = primer.extent === 'full' && product;
  const under = (colour: string) => (full ? primed(colour, PRIMER_WHITE, product.contrast, primer.coats) : colour);
  const common = {
    paint: c.colour.hex,
    contrast: c.product.contrast,
    film: setting(job, 'hiding.film'),
    cutFilm: setting(job, 'hiding.cutFilm'),
    cv: setting(job, 'hiding.cv'),
    limit: setting(job, 'hiding.deltaE'),
  };
  const hiding = hideAll(common, [c.survey.colour, ...c.survey.patches].map(under));
  const question = { ...common, background: hiding.before };
  const undercoat = Object.values(job.products).find((p) => p.role === 'primer' && p.primer === 'undercoat');
  // a tint is worth its own coat only where three or more finish coats are wanted
  const tinted =
    hiding.coats >= 3 && undercoat
      ? bestTint(
          { ...question, background: c.survey.colour },
          { white: PRIMER_WHITE, contrast: undercoat.contrast },
          hiding.coats,
        )
      : null;
  return { hiding, question, tinted };
}

/** Coats from hiding, never under the minimum: two, or one for a like-for-like refresh of a sound coat. */
function coatsFor(
  job: Specifying,
  c: Case,
  sheen: Sheen,
  primer: string,
  hiding: Hiding,
  tinted: TintedPrimer | null,
): Decided<number> {
  const like =
    c.survey.condition === 'sound' &&
    c.survey.sheen === sheen &&
    primer !== 'full' &&
    c.survey.coat !== 'bare' &&
    deltaE(bandsOf(c.survey.colour), bandsOf(c.colour.hex)) <= SAME_COLOUR;
  const minimum = like ? 1 : 2;
  const look = hiding.looks.find((l) => l.coats === hiding.coats);
  const used = {
    hiding: coatsInWords(hiding.coats),
    delta: look?.thinDelta ?? 0,
    limit: setting(job, 'hiding.deltaE'),
  };
  const reasons: Reason[] = [because(hiding.hides ? 'coats.hiding' : 'coats.not-hiding', used)];
  if (hiding.coats < minimum) reasons.push(because('coats.minimum', { minimum }));
  if (like) reasons.push(because('coats.refresh'));
  if (!like && hiding.cutCoats > Math.max(minimum, hiding.coats))
    reasons.push(because('coats.cut-band', { coats: coatsInWords(hiding.cutCoats) }));
  // the minimum holds over a tinted primer as well
  const over = tinted ? Math.max(minimum, tinted.coats) : hiding.coats;
  if (tinted && over < hiding.coats)
    reasons.push(
      because('coats.tint', {
        tint: tinted.tint,
        saves: coatsInWords(hiding.coats - over),
        coats: coatsInWords(over),
      }),
    );
  return { value: Math.max(minimum, hiding.coats), because: reasons };
}

const coatsInWords = (n: number) => `${n} ${n === 1 ? 'coat' : 'coats'}`;

const remembered = remember(
  (
    takeoff: RoomTakeoff,
    settings: Specifying['settings'],
    products: Specifying['products'],
    colours: Specifying['colours'],
    finishes: Specifying['finishes'],
    survey: Specifying['survey'],
    decisions: Specifying['decisions'],
  ): Specified[] => {
    const maps = { settings, products, colours, finishes, survey, decisions };
    return takeoff.surfaces.map((surface) => specifySurface(maps, surface, takeoff.room));
  },
);

/** All surfaces of a room; not worked out again while its measures and what the job says of finishes stay the same. */
export const specifyRoom = (job: Specifying, takeoff: RoomTakeoff): Specified[] =>
  remembered(takeoff, job.settings, job.products, job.colours, job.finishes, job.survey, job.decisions);

export const specifyJob = (job: Job): Specified[] => takeoffJob(job).flatMap((takeoff) => specifyRoom(job, takeoff));

/** Decisions and finishes whose surface is no longer there: kept, and shown as such. */
export function orphans(job: Job): Id[] {
  const present = new Set(takeoffJob(job).flatMap((t) => t.surfaces.map((s) => s.id)));
  return [...new Set([...Object.keys(job.decisions), ...Object.keys(job.finishes), ...Object.keys(job.survey)])].filter(
    (id) => id.includes('/') && !present.has(id),
  );
}
