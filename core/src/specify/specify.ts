import { setting } from '../job/defaults.ts';
import { STARTING_SURVEY } from '../job/library.ts';
import { layered, nearest, scopesOf } from '../job/scope.ts';
import type { Colour, PrimerChoice, Product, SystemValues } from '../job/paints.ts';
import type { Region } from '../job/region.ts';
import type { Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Survey } from '../job/surveyed.ts';
import {
  familyOf,
  PILES,
  PREP_STEPS,
  ZONES,
  type CoatStyle,
  type Conditioner,
  type Sheen,
  type Zone,
} from '../job/vocabulary.ts';
import { holesLeftBy } from '../measure/parts.ts';
import { takeoffJob, type RoomTakeoff, type Surface } from '../measure/takeoff.ts';
import { numberOf, remember, rememberLast } from '../units/remember.ts';
import type { SquareMetres } from '../units/si.ts';
import { coatsFor } from './coats.ts';
import { hideAll, type Hiding, type HidingQuestion, type TintedPrimer } from './hiding.ts';
import { grazing } from './light.ts';
import { opacityOf, type Opacity } from './opacity.ts';
import { primedWith, type Primed } from './primers.ts';
import { contrastFilm, napOf, type Nap } from './spread.ts';
import { effective, type Decided } from './reasons.ts';
import { isWiped, sizeOf, type Case } from './case.ts';
import {
  brushFor,
  conditionerFor,
  coverFor,
  paintFor,
  prepFor,
  primerFor,
  sealFor,
  sheenFor,
  styleFor,
} from './system.ts';
import { groundOf, tintsFor, withTint } from './tints.ts';

export type System = { readonly [K in keyof SystemValues]: Decided<SystemValues[K]> };

/** A part of a door that wants more than its faces. */
export interface ZoneSystem {
  readonly zone: Zone;
  readonly survey: Survey;
  readonly prep: Decided<SystemValues['prep']>;
  readonly primer: Decided<PrimerChoice>;
}

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
  /** How well the paint hides in this colour, and how that is known. */
  readonly opacity: Opacity;
  /** The cover against the one that fits. */
  readonly nap: Nap;
  /** What was asked of the hiding model, for its what-ifs. */
  readonly question: HidingQuestion;
  /** A full primer coat tinted to save finish coats; null where none would. */
  readonly tinted: TintedPrimer | null;
  /** Edges and handle zones of a door that get something else than its faces. */
  readonly zones: readonly ZoneSystem[];
  /** Windows whose light grazes it, by label. */
  readonly grazedBy: readonly string[];
  /** What there is about it. */
  readonly around: Around;
  /** A room with steam or splashes. */
  readonly wet: boolean;
  /** Wiped now and then: handled, splashed or passed by. */
  readonly wiped: boolean;
  /** The primers decided on, in the order they go on. */
  readonly primers: readonly Primed[];
  /** Minutes that a coat over filled places is given at least. */
  readonly filledRecoat: number;
  /** Where the job is: the dates of its rules. */
  readonly region: Region;
}

export type Specifying = Pick<
  Job,
  'settings' | 'products' | 'colours' | 'finishes' | 'survey' | 'decisions' | 'practice' | 'region'
>;

/** Windows whose light grazes a surface, and any wall of its room. */
export interface Light {
  readonly here: readonly string[];
  readonly inRoom: readonly string[];
}
/** What there is about a surface. */
export interface Around {
  readonly light?: Light;
  /** Floor of its room. */
  readonly floor?: SquareMetres | null;
  /** Fixings that come out of it and are filled. */
  readonly fixings?: number;
  /** What its wet edge was found to ask for. */
  readonly conditioner?: Decided<Conditioner>;
}
const DARK: Light = { here: [], inRoom: [] };

const primersIn = remember((products: Job['products']): readonly Product[] =>
  Object.values(products).filter((product) => product.role === 'primer'),
);

/**
 * What goes onto a surface and why: its survey, system with reasons, hiding coat by coat, cautions.
 * @param around light from windows, floor of the room (m2), fixings that come out.
 */
export function specifySurface(job: Specifying, surface: Surface, room: Case['room'], around: Around = {}): Specified {
  const { light = DARK, floor = null, fixings = 0, conditioner = null } = around;
  const { product, colour, from } = finishOf(job, surface);
  const survey = withHoles(surveyOf(job.survey, surface), fixings);
  const size = sizeOf(surface, floor);
  const c: Case = {
    kind: surface.kind,
    room,
    survey,
    product,
    colour,
    practice: job.practice,
    size,
    grazedBy: light.here,
    grazing: light.inRoom,
    primers: primersIn(job.products),
    region: job.region,
  };
  const s = systemOf(job, c, job.decisions[surface.id], conditioner);
  // member by member: a spread of so many takes longer than all else here
  return {
    surface,
    finishFrom: from,
    wet: isWetRoom(room),
    survey: s.survey,
    product: s.product,
    colour: s.colour,
    sheen: s.sheen,
    system: s.system,
    hiding: s.hiding,
    opacity: s.opacity,
    wiped: s.wiped,
    nap: s.nap,
    question: s.question,
    tinted: s.tinted,
    zones: s.zones,
    grazedBy: s.grazedBy,
    around,
    primers: s.primers,
    filledRecoat: s.filledRecoat,
    region: s.region,
  };
}

/** Fixings taken out leave anchors' holes beside those that were counted. */
const withHoles = rememberLast(
  500,
  (survey: Survey, fixings: number) => `${numberOf(survey)}|${fixings}`,
  (survey, fixings): Survey =>
    fixings ? { ...survey, repairs: { ...survey.repairs, anchor: survey.repairs.anchor + fixings } } : survey,
);

/** One object for all surfaces that the same answers hold for, so that they are one case. */
const surveyOf = rememberLast(
  2000,
  (survey: Job['survey'], surface: Surface) => {
    const answers = scopesOf(surface).flatMap((scope) => survey[scope] ?? []);
    return [familyOf(surface.kind), ...answers.map(numberOf)].join();
  },
  (survey, surface) => layered<Survey>(survey, surface, STARTING_SURVEY[familyOf(surface.kind)]),
);

const isWetRoom = (room: Case['room']) => room.use === 'bathroom' || room.use === 'kitchen';

type SystemOf = Omit<Specified, 'surface' | 'finishFrom' | 'wet' | 'around'>;

/** A system depends neither on which surface it is for nor on how large that is: walls alike share one. */
const systemOf = rememberLast(
  2000,
  (job: Specifying, c: Case, decisions: Partial<SystemValues> = {}, wet: Decided<Conditioner> | null = null) =>
    [
      ...[job.settings, job.products, job.region, c.practice, c.survey, c.product, c.colour].map(numberOf),
      c.kind,
      c.room.use,
      c.size,
      c.grazedBy.join('/'),
      c.grazing.join('/'),
      Object.keys(decisions).length ? numberOf(decisions) : 0,
      wet ? JSON.stringify(wet) : '',
    ].join('|'),
  decideSystem,
);

/** Decides a case member by member; a decision may look at those before it (the user's own where there is one). */
function decideSystem(
  job: Specifying,
  c: Case,
  decisions: Partial<SystemValues> = {},
  wet: Decided<Conditioner> | null = null,
): SystemOf {
  const overruled = <K extends keyof SystemValues>(
    member: K,
    decided: Decided<SystemValues[K]>,
  ): Decided<SystemValues[K]> => {
    const override = decisions[member];
    return override === undefined ? decided : { ...decided, override };
  };
  const sheen = overruled('sheen', sheenFor(c));
  const style = overruled('style', styleFor(c));
  const conditioner = overruled('conditioner', wet ?? conditionerFor(c));
  const prep = overruled('prep', prepFor(c, PREP_STEPS));
  const cover = overruled('cover', coverFor(c, effective(sheen)));
  const fitting = coverFor({ ...c, practice: { ...c.practice, house: null } }, effective(sheen)).value.pile;
  const nap = napOf(job, PILES.indexOf(effective(cover).pile) - PILES.indexOf(fitting));
  const opacity = opacityOf(job, c.product, c.colour);
  const ask = hidingAsked(job, c, opacity, effective(style), effective(conditioner), nap);
  const plain = primerFor(c);
  const tints = tintsFor(c, ask, plain.value);
  const primer = overruled('primer', withTint(plain, tints));
  const primers = primedWith(c.primers, effective(primer));
  const under = groundOf(c, primers);
  const hiding = hideAll(ask, under);
  const system: System = {
    prep,
    primer,
    paint: overruled('paint', paintFor(c)),
    sheen,
    cover,
    brush: overruled('brush', brushFor(c)),
    coats: overruled(
      'coats',
      coatsFor(c, effective(sheen), primers, { hiding, limit: ask.limit }, opacity, tints.offered),
    ),
    style,
    conditioner,
    seal: overruled('seal', sealFor(c)),
  };
  return {
    survey: c.survey,
    product: c.product,
    colour: c.colour,
    sheen: effective(sheen),
    system,
    hiding,
    opacity,
    wiped: isWiped(c),
    nap,
    question: { ...ask, background: hiding.before },
    tinted: primers.every(({ layer }) => layer.tint === null) ? tints.offered : null,
    zones: zonesOf(c, prep, primer),
    grazedBy: c.grazedBy,
    primers,
    filledRecoat: setting(job, 'recoat.filled'),
    region: job.region,
  };
}

function finishOf(job: Specifying, surface: Surface): { product: Product; colour: Colour; from: string } {
  const found = nearest(job.finishes, surface);
  const product = found && job.products[found.value.product];
  const colour = found && job.colours[found.value.colour];
  if (!product || !colour) throw new Error(`no finish for ${surface.id}: openJob refuses such a job`);
  return { product, colour, from: found.from };
}

/** A litre of paint with `dose` litres of conditioner covers as the label says, with that much less paint in the film. It goes into the last coat alone. */
export const dilution = (dose: number): number => 1 / (1 + dose);

function hidingAsked(
  job: Specifying,
  c: Case,
  opacity: Opacity,
  style: CoatStyle,
  conditioner: number,
  nap: Nap,
): Omit<HidingQuestion, 'background'> {
  return {
    paint: c.colour.hex,
    contrast: opacity.contrast,
    film: setting(job, 'hiding.film') * contrastFilm(c.product) * nap.film,
    cutFilm: setting(job, 'hiding.cutFilm'),
    first: style === 'equal' ? 1 : setting(job, style === 'one-heavy' ? 'style.heavy' : 'style.thin'),
    last: dilution(conditioner),
    cv: setting(job, 'hiding.cv') * nap.cv,
    limit: setting(job, 'hiding.deltaE'),
  };
}

function zonesOf(c: Case, prep: System['prep'], primer: System['primer']): ZoneSystem[] {
  if (c.kind !== 'door') return [];
  return ZONES.flatMap((zone) => {
    const survey = { ...c.survey, ...c.survey.zones[zone] };
    const there: Case = { ...c, survey };
    const own = { zone, survey, prep: prepFor(there, PREP_STEPS), primer: primerFor(there) };
    const same =
      JSON.stringify([own.prep.value, own.primer.value.kind]) === JSON.stringify([prep.value, primer.value.kind]);
    return same ? [] : [own];
  });
}

/**
 * Coats that the brushed band is cut: those of the field, or more where its thinner film hides later; never more for a
 * refresh in the same colour, nor where no number of coats would do.
 */
export function cutCoatsOf({ system, hiding, question }: Specified): number {
  const coats = effective(system.coats);
  if (!system.coats.because.some(({ rule }) => rule === 'coats.cut-band')) return coats;
  const hides = (hiding.looks[hiding.cutCoats - 1]?.cutDelta ?? Infinity) <= question.limit;
  return hides ? Math.max(coats, hiding.cutCoats) : coats;
}

const remembered = remember(
  (
    takeoff: RoomTakeoff,
    settings: Specifying['settings'],
    products: Specifying['products'],
    colours: Specifying['colours'],
    finishes: Specifying['finishes'],
    survey: Specifying['survey'],
    decisions: Specifying['decisions'],
    practice: Specifying['practice'],
    region: Specifying['region'],
  ): Specified[] => {
    const job = { settings, products, colours, finishes, survey, decisions, practice, region };
    const grazed = grazing(job, takeoff);
    return takeoff.surfaces.map((surface) =>
      specifySurface(job, surface, takeoff.room, {
        light: lightOn(grazed, surface),
        floor: takeoff.floorArea,
        fixings: isField(surface) ? holesLeftBy(takeoff.parts, surface.wall) : 0,
      }),
    );
  },
);

/** Walls of a room get one sheen, so what grazes one of them counts for that; a wall itself is raked by its own. */
function lightOn(grazed: ReadonlyMap<Id, readonly string[]>, { kind, wall }: Surface): Light {
  if (kind === 'ceiling') {
    const own = grazed.get('ceiling') ?? [];
    return { here: own, inRoom: own };
  }
  if (kind !== 'wall') return DARK;
  const inRoom = [...new Set([...grazed].flatMap(([id, windows]) => (id === 'ceiling' ? [] : windows)))];
  return { here: (wall === null ? null : grazed.get(wall)) ?? [], inRoom };
}

/** What fixtures stand on. */
const isField = ({ id, kind }: Surface): boolean => id.endsWith('/field') || kind === 'ceiling';

/** All surfaces of a room; not worked out again while its measures and what the job says of finishes stay the same. */
export const specifyRoom = (job: Specifying, takeoff: RoomTakeoff): Specified[] =>
  remembered(
    takeoff,
    job.settings,
    job.products,
    job.colours,
    job.finishes,
    job.survey,
    job.decisions,
    job.practice,
    job.region,
  );

/** Decisions and finishes whose surface is no longer there: kept, and shown as such. */
export function orphans(job: Job): Id[] {
  const present = new Set(takeoffJob(job).flatMap((t) => t.surfaces.map((s) => s.id)));
  return [...new Set([...Object.keys(job.decisions), ...Object.keys(job.finishes), ...Object.keys(job.survey)])].filter(
    (id) => id.includes('/') && !present.has(id),
  );
}
