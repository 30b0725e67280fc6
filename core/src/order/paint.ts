import { setting, type DefaultKey } from '../job/defaults.ts';
import { phrase } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { across, pileWord } from '../words/systems.ts';
import { THE } from '../words/terms.ts';
import { rows, type Id } from '../job/table.ts';
import type { Cover, Colour, Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { ShelfCan } from '../job/priced.ts';
import { familyOf, type PrimerKind, type Sheen, type TintBase } from '../job/vocabulary.ts';
import { baseOf } from '../specify/opacity.ts';
import { effective } from '../specify/reasons.ts';
import { buyingRate } from '../specify/spread.ts';
import { primedArea, type MendingCoat } from '../specify/spots.ts';
import { isClear, isPorous } from '../specify/case.ts';
import { primerFor, type Primed } from '../specify/primers.ts';
import { cutCoatsOf, dilution, type Specified } from '../specify/specify.ts';
import { groupBy } from '../units/group.ts';
import { INCH, type Litres, type Money } from '../units/si.ts';
import { remember } from '../units/remember.ts';
import { compute, given, unopened, type Working } from '../units/working.ts';
import { planBoxing, wallsFrom, type BoxCan, type BoxingPlan, type BoxWall } from './boxing.ts';
import { chooseCans, type CanChoice } from './cans.ts';
import { demandOf, expectedLeftover, litresFor, shortfallChance, type Demand } from './shortfall.ts';

export interface PaintUse {
  readonly specified: Specified;
  readonly litres: Working;
  /** The same coat by coat: a thin first one takes less, a thirsty ground more in its first. */
  readonly coats: readonly Litres[];
  /** Mending: on top of what the system says, where a defect was found. */
  readonly layer: 'finish' | 'primer' | 'mending';
  /** Dabbed on by brush: no cover is wetted with it. */
  readonly spots: boolean;
}
/** Litres of each coat of the systems, over all surfaces of a paint. */
export function perCoat(uses: readonly PaintUse[]): Litres[] {
  const planned = uses.filter((use) => use.layer !== 'mending');
  const most = Math.max(0, ...planned.map((use) => use.coats.length));
  return Array.from({ length: most }, (_, i) => planned.reduce((sum, use) => sum + (use.coats[i] ?? 0), 0));
}
/** Litres for what is mended. */
export const mendingOf = (uses: readonly PaintUse[]): Litres =>
  uses.reduce((sum, use) => sum + (use.layer === 'mending' ? use.litres.value : 0), 0);

/** Paint to keep for touching up: a choice, with its chance and its price. */
export interface Reserve {
  readonly litres: Litres;
  /** Of ending with less than that. */
  readonly chance: number;
  /** Cans that keep it as surely as the job is finished, over those that finish it. */
  readonly price: Money;
  readonly bought: boolean;
}
/** A can from the shelf and what it does here. */
export interface ShelfUse {
  readonly can: ShelfCan;
  /** Boxed with the rest, or painted from alone on these surfaces; none: it does not reach a whole wall. */
  readonly boxed: boolean;
  readonly walls: readonly Id[];
}
export interface PaintLine {
  readonly key: string;
  readonly product: Product;
  readonly sheen: Sheen;
  /** null: untinted primer. */
  readonly colour: Colour | null;
  readonly base: TintBase;
  readonly uses: readonly PaintUse[];
  /** On the surfaces, and lost. */
  readonly expected: Working;
  /** What bought paint must do to finish, the shelf’s share taken off. */
  readonly demand: Demand;
  /** What is left for touching up; null: a primer. */
  readonly reserve: Reserve | null;
  readonly wanted: Litres;
  readonly shelf: readonly ShelfUse[];
  /** From the shelf, taken off what is bought. */
  readonly fromShelf: Litres;
  /** For finishing, and for the reserve where it is bought; null: no size is sold for this base. */
  readonly choice: CanChoice | null;
  readonly ordered: Litres;
  /** Chance of not finishing. */
  readonly shortfallChance: number;
  /** In the cans at the end, on average. */
  readonly leftover: Litres;
  /** Cans that are mixed, in the order the boxing plan names them; none where they are used as they come. */
  readonly boxed: readonly BoxCan[];
  /** What is painted from them. */
  readonly boxedFor: readonly BoxWall[];
  /** Flow conditioner to stir in, litres. */
  readonly conditioner: Litres;
}

/** More cans than that are no boxing plan anybody would follow. */
const MOST_BOXED = 500;

type Ordering = Pick<Job, 'settings' | 'practice' | 'learned' | 'shelf' | 'reserved' | 'products'>;
type Using = Pick<Job, 'settings' | 'learned'>;

/**
 * Paint per product x sheen x colour for surfaces that have their systems, and for what is mended. Area is what is painted (trim
 * faces off).
 */
export function orderPaint(
  job: Ordering,
  surfaces: readonly Specified[],
  mending: readonly MendingCoat[] = [],
): PaintLine[] {
  const groups = new Map<string, Group>();
  const add = (product: Product, sheen: Sheen, colour: Colour | null, use: PaintUse) => {
    const key = `${product.id}|${sheen}|${colour?.id ?? ''}`;
    const group = groups.get(key) ?? { product, sheen, colour, uses: [] };
    group.uses.push(use);
    groups.set(key, group);
  };
  for (const s of surfaces) {
    const { primers, finish } = usesOf(s, job.settings, job.learned);
    for (const { product, tint, use } of primers) {
      const tinted = tint ? { id: `tint-${tint}`, name: `tinted to ${tint}`, hex: tint } : null;
      add(product, product.sheens[0] ?? 'flat', tinted, use);
    }
    add(s.product, s.sheen, isClear(s) ? null : s.colour, finish);
  }
  for (const coat of mending) {
    const { specified: s, primer } = coat;
    const product = primer ? primerToMend(job, s, primer) : s.product;
    // no primer of the job does it: Specify says so, and there is nothing to buy
    if (!product) continue;
    const use = mendingUse(job, product, coat);
    if (primer) add(product, product.sheens[0] ?? 'flat', null, use);
    else add(product, s.sheen, isClear(s) ? null : s.colour, use);
  }
  return [...groups].map(([key, group]) => lineOf(job, key, group));
}
interface Group {
  readonly product: Product;
  readonly sheen: Sheen;
  readonly colour: Colour | null;
  readonly uses: PaintUse[];
}

/** The primer that stands on the surface already where it does what is asked, else the job's own for it. */
function primerToMend({ products }: Ordering, s: Specified, kinds: NonNullable<MendingCoat['primer']>): Product | null {
  const does = (kind: PrimerKind) => s.primers.find(({ product }) => product?.serves.includes(kind))?.product;
  const primers = Object.values(products).filter(({ role }) => role === 'primer');
  return kinds.map(does).find(Boolean) ?? primerFor(primers, kinds[0]);
}
function mendingUse(job: Using, product: Product, { specified: s, area }: MendingCoat): PaintUse {
  const whole = s.surface.area.value;
  const share = area === null || whole <= 0 ? 1 : Math.min(1, area / whole);
  return useOf(job, s, product, {
    layer: 'mending',
    first: 1,
    last: 1,
    share,
    thirst: 0,
    coats: 1,
    spots: area !== null,
  });
}

interface PrimerUse {
  readonly product: Product;
  readonly tint: string | null;
  readonly use: PaintUse;
}
/** What one surface takes of its primers and of its finish. */
const usesOf = remember(
  (s: Specified, settings: Job['settings'], learned: Job['learned']): { primers: PrimerUse[]; finish: PaintUse } => ({
    primers: s.primers.flatMap((primer) => primerUse({ settings, learned }, s, primer)),
    finish: useOf({ settings, learned }, s, s.product, {
      layer: 'finish',
      first: s.question.first,
      last: dilution(effective(s.system.conditioner)),
      share: 1,
      thirst: thirstLeft({ settings }, s),
      coats: effective(s.system.coats),
      cuts: cutCoatsOf(s) - effective(s.system.coats),
    }),
  }),
);

function primerUse(job: Using, s: Specified, primer: Primed): PrimerUse[] {
  const { product, layer } = primer;
  if (!product) return [];
  const whole = s.surface.area.value;
  const share = whole > 0 ? primedArea(job, s, primer) / whole : 0;
  const spots = layer.extent === 'spot';
  const use = useOf(job, s, product, {
    layer: 'primer',
    first: 1,
    last: 1,
    share,
    thirst: 1,
    coats: layer.coats,
    spots,
  });
  return [{ product, tint: layer.tint, use }];
}

/** How much of a porous ground's thirst full primers leave for the paint. */
function thirstLeft(job: Pick<Job, 'settings'>, { primers }: Specified): number {
  const coats = primers.reduce(
    (n, { layer, product }) => n + (product && layer.extent === 'full' ? layer.coats : 0),
    0,
  );
  if (coats === 0) return 1;
  return coats > 1 ? 0 : setting(job, 'order.thirst');
}

interface Coats {
  readonly coats: number;
  /** Film of the first over a full one. */
  readonly first: number;
  /** Share of the film of the last that is paint: conditioner stands in for the rest. */
  readonly last: number;
  /** Share of the surface: spot-priming. */
  readonly share: number;
  /** How much of a porous ground's thirst is left for the first of them, 0-1. */
  readonly thirst: number;
  /** Times that the band along the edges is cut more often than the field is rolled. */
  readonly cuts?: number;
  readonly layer: PaintUse['layer'];
  /** Dabbed on by brush. */
  readonly spots?: boolean;
}

/**
 * (area + what the roller covers again of the brushed band) x texture x nap x coats / spread rate; the first coat on a porous
 * surface takes more, or goes by the label's rate for such ground, which holds the porosity already.
 */
function useOf(job: Using, s: Specified, product: Product, c: Coats): PaintUse {
  const rate = buyingRate(job, product);
  const thirsty = product.porousRate === null ? setting(job, 'order.porous') : rate / product.porousRate;
  const drunk = isPorous(s.survey) ? (thirsty - 1) * c.thirst : 0;
  const films = Array.from(
    { length: c.coats },
    (_, i) => (i === 0 ? c.first : 1) * (i === c.coats - 1 ? c.last : 1) + (i === 0 ? drunk : 0),
  );
  const full = films.reduce((sum, film) => sum + film, 0);
  const texture = setting(job, `texture.${s.survey.texture}` as DefaultKey);
  const own = learnedUse(job, s, product);
  const painted = c.spots ? given('area', s.surface.area.value, 'area') : paintedWith(job, s);
  const rolled = unopened((painted.value * full * texture * s.nap.film * c.share * own) / rate, () => {
    const factors = [
      ['texture', texture],
      [THE.pile, s.nap.film],
      ['share', c.share],
      ['as logged', own],
    ] as const;
    const ratios = factors.flatMap(([name, value]) => (value === 1 ? [] : [given(name, value, 'ratio')]));
    return compute(
      'quotient',
      nameWord(s.surface.name),
      'volume',
      compute('product', 'area to cover', 'area', painted, given('full coats', full, 'count'), ...ratios),
      given(product.solids ? 'spread by solids, less losses' : 'label rate', rate, 'spread'),
    );
  });
  const band = bandAgain(job, s, c.cuts ?? 0, (texture * own) / rate);
  const litres = band ? compute('sum', nameWord(s.surface.name), 'volume', rolled, band) : rolled;
  const coats = films.map((film) => (full ? (rolled.value * film) / full : 0));
  // the band is cut more often before the first coat of the field
  const first = (coats[0] ?? 0) + (band?.value ?? 0);
  return {
    specified: s,
    litres,
    coats: coats.map((value, i) => (i === 0 ? first : value)),
    layer: c.layer,
    spots: c.spots ?? false,
  };
}

/** Litres over those reckoned that logs found of a paint on this texture, and that were accepted; 1: nothing was learned. */
function learnedUse({ learned }: Using, { survey }: Specified, product: Product): number {
  const own = learned.spreads.filter((row) => row.product === product.id);
  const found = own.find(({ texture }) => texture === survey.texture) ?? own.find(({ texture }) => texture === null);
  return found ? Math.exp(-found.log) : 1;
}

/** Paint of the cuts that go beyond the coats of the field; null: there are none. */
function bandAgain(job: Pick<Job, 'settings'>, s: Specified, cuts: number, litresPerArea: number): Working | null {
  if (cuts <= 0 || s.surface.cut === 0) return null;
  return compute(
    'product',
    'cut more often than rolled',
    'volume',
    given('cuts more', cuts, 'count'),
    given('cut in', s.surface.cut, 'length'),
    given('band', setting(job, 'cut.band'), 'length'),
    given('film of the band', setting(job, 'hiding.cutFilm'), 'ratio'),
    given(phrase`litres to the square metre`, litresPerArea, 'ratio'),
  );
}

function paintedWith(job: Pick<Job, 'settings'>, s: Specified): Working {
  const area = s.surface.area.value;
  const plain = () => given('area', area, 'area');
  if (familyOf(s.surface.kind) === 'trim' || s.surface.cut === 0) return plain();
  const again = setting(job, 'cut.overlap') * setting(job, 'hiding.cutFilm');
  const band = setting(job, 'cut.band');
  return unopened(area + s.surface.cut * band * again, () =>
    compute(
      'sum',
      'area, and the cut band again',
      'area',
      plain(),
      compute(
        'product',
        'cut band again',
        'area',
        given('cut in', s.surface.cut, 'length'),
        given('band', band, 'length'),
        given('of it again', again, 'ratio'),
      ),
    ),
  );
}

/** What covers hold back: each size once, by its pile and width. */
function leftInCovers(job: Pick<Job, 'settings'>, uses: readonly PaintUse[]): Working {
  const sizes = new Map<string, Pick<Cover, 'pile' | 'width'>>();
  for (const { specified, spots, layer } of uses) {
    if (spots) continue;
    const { pile, width } = effective(specified.system.cover);
    // mended on another day, with a cover of its own
    sizes.set(layer === 'mending' ? specified.surface.id : `${pile}|${width}`, { pile, width });
  }
  const each = [...sizes.values()].map(({ pile, width }) =>
    compute(
      'product',
      phrase`left in a ${THE.cover}`,
      'volume',
      given(phrase`in a ${across(9 * INCH)} ${THE.cover}, ${pileWord(0.01)}`, setting(job, 'loss.cover'), 'volume'),
      given(THE.pile, pile / 0.01, 'ratio'),
      given('width', width / (9 * INCH), 'ratio'),
    ),
  );
  return compute('sum', phrase`left in ${THE.cover}s`, 'volume', ...each);
}

function lineOf(job: Ordering, key: string, group: Group): PaintLine {
  const { product, colour, uses } = group;
  const used = compute('sum', 'on the surfaces', 'volume', ...uses.map((use) => use.litres));
  const terms: Working[] = [
    used,
    compute(
      'product',
      phrase`left on the ${THE.can}`,
      'volume',
      given('on the surfaces', used.value, 'volume'),
      given('share', setting(job, 'loss.can'), 'ratio'),
    ),
  ];
  // spots are dabbed from a pot that goes back into the can
  if (uses.some((use) => !use.spots))
    terms.push(leftInCovers(job, uses), given('left in tray and brush', setting(job, 'loss.tray'), 'volume'));
  const expected = compute('sum', 'wanted', 'volume', ...terms);
  const walls = [...groupBy(uses, ({ specified }) => specified.surface.id)].map(([id, own]): BoxWall => ({
    id,
    room: own[0]?.specified.surface.room ?? '',
    litres: own.reduce((sum, { litres }) => sum + litres.value, 0),
  }));
  const risk = Math.min(0.5, Math.max(1e-6, setting(job, 'order.risk')));
  const onShelf = rows(job.shelf).filter(
    (can) => can.product === product.id && can.sheen === group.sheen && can.colour === (colour?.id ?? null),
  );
  const { shelf, left, fromShelf } = useShelf(job, onShelf, walls, risk);
  const onWalls = left.reduce((sum, wall) => sum + wall.litres, 0);
  const spread = demandOf(
    left.map((wall) => wall.litres),
    setting(job, 'spread.cv'),
    setting(job, 'measure.cv'),
  );
  const boxedShelf = shelf.filter((use) => use.boxed).reduce((sum, use) => sum + use.can.litres, 0);
  // what is lost is counted once, with the paint that is bought; below zero where the shelf has more than enough
  const fixed = expected.value - used.value;
  const demand = { mean: onWalls > 0 ? onWalls + fixed - boxedShelf : 0, sd: spread.sd };
  const base = isClear({ product }) ? null : baseOf(colour);
  const sizes = product.cans.filter((can) => can.bases === null || base === null || can.bases.includes(base));
  const keep = product.role === 'finish' ? setting(job, 'order.reserve') : 0;
  const bought = keep > 0 && job.reserved[key] === true;
  const kept = { ...demand, mean: demand.mean + (onWalls > 0 ? keep : 0) };
  const finishing = chooseCans(sizes, Math.max(0, litresFor(demand, risk)));
  const keeping = keep > 0 ? chooseCans(sizes, Math.max(0, litresFor(kept, risk))) : finishing;
  const wanted = Math.max(0, litresFor(bought ? kept : demand, risk));
  const choice = bought ? keeping : finishing;
  const ordered = choice?.litres ?? 0;
  const reserve: Reserve | null =
    keep > 0
      ? {
          litres: keep,
          chance: shortfallChance(kept, ordered),
          price: (keeping?.cost ?? 0) - (finishing?.cost ?? 0),
          bought,
        }
      : null;
  const mixes = product.role === 'finish' && job.practice.boxing === 'box' && (choice?.count ?? 0) <= MOST_BOXED;
  const mixed = (mixes ? (choice?.cans ?? []) : []).flatMap((can) =>
    Array.from({ length: can.count }, (): BoxCan => ({ litres: can.litres, batch: null })),
  );
  const boxed = [
    ...shelf.filter((use) => use.boxed).map((use): BoxCan => ({ litres: use.can.litres, batch: use.can.batch })),
    ...mixed,
  ];
  return {
    key,
    ...group,
    base: base ?? 'white',
    expected,
    demand,
    reserve,
    wanted,
    shelf,
    fromShelf,
    choice,
    ordered,
    shortfallChance: shortfallChance(demand, ordered),
    leftover: expectedLeftover(demand, ordered),
    boxed: mixes ? boxed : [],
    boxedFor: mixes ? left : [],
    conditioner: uses.reduce(
      (sum, { specified, coats }) =>
        sum + (product.role === 'finish' ? (coats.at(-1) ?? 0) * effective(specified.system.conditioner) : 0),
      0,
    ),
  };
}

/** Which cans go into which bucket, and which walls are painted from it; asked for by those who show it. */
export const boxingOf = remember((line: PaintLine, settings: Job['settings']): BoxingPlan =>
  planBoxing(line.boxed, line.boxedFor, setting({ settings }, 'box.bucket')),
);

/** Boxed, all of it counts; as they come, a can paints whole walls by itself, with the margin the chosen risk asks for. */
function useShelf(job: Ordering, cans: readonly ShelfCan[], walls: readonly BoxWall[], risk: number) {
  if (job.practice.boxing === 'box') {
    const shelf = cans.map((can): ShelfUse => ({ can, boxed: true, walls: [] }));
    return { shelf, left: walls, fromShelf: cans.reduce((sum, can) => sum + can.litres, 0) };
  }
  let left = walls;
  let fromShelf = 0;
  const shelf = [...cans]
    .sort((a, b) => b.litres - a.litres)
    .map((can): ShelfUse => {
      // each wall with its margin: several of them together then have more than enough
      const safe = left.map((wall) => ({
        ...wall,
        litres: litresFor(demandOf([wall.litres], setting(job, 'spread.cv'), setting(job, 'measure.cv')), risk),
      }));
      const found = wallsFrom(can.litres, safe);
      fromShelf += left.filter((wall) => found.includes(wall.id)).reduce((sum, wall) => sum + wall.litres, 0);
      left = left.filter((wall) => !found.includes(wall.id));
      return { can, boxed: false, walls: found };
    });
  return { shelf, left, fromShelf };
}
