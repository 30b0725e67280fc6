import { setting, type DefaultKey } from '../job/defaults.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Priced } from '../job/paints.ts';
import {
  MATERIALS,
  REPAIR_CLASSES,
  type MaterialItem,
  type OperationKind,
  type PieceUnit,
  type Seal,
} from '../job/vocabulary.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { CARTRIDGE, pieceOf, type Tape } from '../paces/prices.ts';
import { gritsFor } from '../specify/prep-plan.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { cautionsOf } from '../specify/warnings.ts';
import { INCH, type Money } from '../units/si.ts';
import { compute, given, unopened, type Dimension, type Working } from '../units/working.ts';
import { phrase, type Word } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { HOLES, THE, TRIM } from '../words/terms.ts';
import type { RoomLines } from '../lines/lines.ts';
import { isBeaded } from '../lines/methods.ts';
import { REMEDY_STEPS, spotArea, type Mend } from '../work/remedies.ts';
import { materialKey, ITEMS, type Aisle, type MaterialSize } from './kit.ts';
import type { PaintLine } from './paint.ts';

export interface MaterialLine {
  /** Tells it apart on the shopping list and among what is owned. */
  readonly key: string;
  readonly item: MaterialItem;
  readonly aisle: Aisle;
  /** What tells two lines of one item apart: pile and width of a cover, width of a brush, grit of a paper. */
  readonly size: MaterialSize;
  /** Whole pieces to buy: what is wanted less what is owned. */
  readonly quantity: number;
  readonly wanted: number;
  readonly owned: number;
  readonly unit: PieceUnit;
  readonly working: Working;
  readonly each: Money;
  /** null: a starting price. */
  readonly priced: Priced | null;
  readonly cost: Money;
}
/** An inch is enough on an edge [common practice, no source]. */
const EDGE: MaterialSize = { width: INCH };
export interface MaterialQuestion {
  readonly job: Pick<Job, 'settings' | 'practice' | 'crew' | 'owned' | 'prices' | 'region'>;
  readonly takeoffs: readonly RoomTakeoff[];
  readonly surfaces: readonly Specified[];
  readonly paints: readonly PaintLine[];
  /** How the lines of each room are made. */
  readonly lines: readonly RoomLines[];
  /** What is mended. */
  readonly mends: readonly Mend[];
  /** Working days the job takes. */
  readonly days: number;
}

/** What else to buy, each by its formula, rounded up to whole pieces, less what is owned. */
export function orderMaterials(question: MaterialQuestion): MaterialLine[] {
  const { job } = question;
  const lines: MaterialLine[] = [];
  for (const { item, working, size } of needs(question)) {
    const wanted = Math.ceil(working.value - 1e-9);
    if (wanted <= 0) continue;
    const key = materialKey(item, size);
    const owned = Math.min(wanted, job.owned[key] ?? 0);
    const price = job.prices[item];
    const each = pieceOf(job, item);
    const [aisle, unit] = ITEMS[item];
    const quantity = wanted - owned;
    const priced = price ? { source: price.source, date: price.date } : null;
    lines.push({ key, item, aisle, unit, size, quantity, wanted, owned, working, each, priced, cost: quantity * each });
  }
  return lines.sort((a, b) => MATERIALS.indexOf(a.item) - MATERIALS.indexOf(b.item));
}

interface Need {
  readonly item: MaterialItem;
  readonly working: Working;
  readonly size: MaterialSize;
}
const need = (item: MaterialItem, working: Working, size: MaterialSize = {}): Need => ({ item, working, size });
const sum = (name: Word, dimension: Dimension, terms: readonly Working[]) => compute('sum', name, dimension, ...terms);
/** The areas of surfaces, added up. */
const areas = (name: string, list: readonly Specified[]): Working =>
  unopened(
    list.reduce((total, s) => total + areaOf(s), 0),
    () =>
      sum(
        name,
        'area',
        list.map((s) => given(nameWord(s.surface.name), areaOf(s), 'area')),
      ),
  );
const areaOf = (s: Specified) => s.surface.area.value;

function needs(q: MaterialQuestion): Need[] {
  return [...masking(q), ...filling(q), ...rolling(q), ...cleaning(q), ...safety(q)];
}

/** `total` over what one piece holds, by a setting. */
const per = (job: Pick<Job, 'settings'>, name: Word, total: Working, key: DefaultKey): Working => {
  const holds = setting(job, key);
  return unopened(total.value / holds, () =>
    compute('quotient', name, 'count', total, given('one holds', holds, total.dimension)),
  );
};

function masking({ job, takeoffs, surfaces, lines }: MaterialQuestion): Need[] {
  const present = new Set(surfaces.map((s) => s.surface.room));
  const rooms = takeoffs.filter((t) => present.has(t.room.id));
  const made = rooms.map((t) => ({ name: t.room.name, lines: lines.find((l) => l.room === t.room.id)?.lines ?? [] }));
  const lined = (item: Tape['item']) =>
    sum(
      'lines taped',
      'length',
      made.map(({ name, lines }) =>
        given(
          name,
          lines.reduce((total, { chosen }) => total + (chosen.tape?.item === item ? chosen.tape.length : 0), 0),
          'length',
        ),
      ),
    );
  const glass = rooms.flatMap((t) =>
    t.walls.flatMap((w) =>
      w.openings
        .filter((o) => o.kind === 'window')
        .map((o) => given(`window ${o.label}`, o.width.metres * o.height.metres, 'area')),
    ),
  );
  const hidden = rooms.flatMap((t) =>
    rows(t.room.parts)
      .filter((p) => (p.kind === 'tile' || p.kind === 'cabinet') && p.width && p.height)
      .map((p) => given(p.label, (p.width?.metres ?? 0) * (p.height?.metres ?? 0), 'area')),
  );
  const floors = rooms.map((t) => t.floorArea ?? 0);
  // a shield is moved along, so that a person needs one, however long the wall
  const shields = made.some(({ lines }) => lines.some(({ chosen }) => chosen.method === 'shield'))
    ? job.crew.people.length
    : 0;
  return [
    need('tape', per(job, 'tape', lined('tape'), 'tape.length'), EDGE),
    need('tape-fine', per(job, 'better tape on rough walls', lined('tape-fine'), 'tape.length'), EDGE),
    need('card', given('a person', shields, 'count')),
    need('film', per(job, 'masking film', sum('covered', 'area', [...glass, ...hidden]), 'film.area')),
    need(
      'drop-cloth',
      per(job, phrase`${THE.dropCloth}s`, given('largest floor', Math.max(0, ...floors), 'area'), 'dropcloth.area'),
    ),
  ];
}

/** The list kept under a key, made when it is first asked for. */
function listed<K, T>(map: Map<K, T[]>, key: K): T[] {
  const list = map.get(key) ?? [];
  map.set(key, list);
  return list;
}

/** Of what is mended: m² that a step goes over, told by name. */
const mendedBy = (mends: readonly Mend[], kind: OperationKind): Working[] =>
  mends.flatMap(({ defect, specified }) =>
    REMEDY_STEPS[defect.remedy].flatMap((step) =>
      step.kind === kind
        ? [
            given(
              nameWord(specified.surface.name),
              step.over === 'surface' ? areaOf(specified) : spotArea(defect.size),
              'area',
            ),
          ]
        : [],
    ),
  );
/** Filler spread over a place that is feathered, m [starting judgement]. */
const SKIM = 0.001;

function filling({ job, takeoffs, surfaces, lines, mends }: MaterialQuestion): Need[] {
  const bead = setting(job, 'caulk.bead');
  const present = new Set(
    surfaces.filter((s) => effective(s.system.prep).includes('caulk')).map((s) => s.surface.room),
  );
  const runs = takeoffs
    .filter((t) => present.has(t.room.id))
    .flatMap((t) => t.trim.map(({ kind, length }) => ({ room: t.room.name, kind, length: length.value })));
  const joints = unopened(
    runs.reduce((total, run) => total + run.length, 0),
    () =>
      sum(
        'joints',
        'length',
        runs.map(({ room, kind, length }) => given(phrase`${room}, ${TRIM[kind]}`, length, 'length')),
      ),
  );
  const beaded = lines
    .flatMap((room) => room.lines)
    .reduce((total, { line, chosen }) => total + (isBeaded(chosen.method) ? line.length : 0), 0);
  const beads = beaded > 0 ? sum('beads', 'length', [joints, given('along lines', beaded, 'length')]) : joints;
  const volume = compute('product', 'bead', 'volume', beads, given('section', (bead * bead) / 2, 'area'));
  const filled = surfaces.filter((s) => effective(s.system.prep).includes('fill'));
  const holes = REPAIR_CLASSES.map((hole) => ({
    hole,
    count: filled.reduce((n, s) => n + s.survey.repairs[hole], 0),
  }));
  const filler = sum('filler', 'volume', [
    ...holes.map(({ hole, count }) =>
      compute(
        'product',
        HOLES[hole][1],
        'volume',
        given('holes', count, 'count'),
        given('each', setting(job, `filler.${hole}`), 'volume'),
      ),
    ),
    ...mendedBy(mends, 'mend-fill').map((area) => given('mended', area.value * SKIM * 1000, 'volume')),
  ]);
  const grits = new Map<number, Specified[]>();
  for (const s of surfaces) for (const grit of gritsFor(s)) listed(grits, grit).push(s);
  const flatted = mendedBy(mends, 'mend-sand');
  if (flatted.length) listed(grits, MENDING_GRIT);
  const scraped = surfaces.filter((s) => effective(s.system.prep).includes('scrape'));
  const rooms = new Set(surfaces.map((s) => s.surface.room)).size;
  return [
    need('caulk', compute('quotient', 'caulk', 'count', volume, given('a cartridge', CARTRIDGE, 'volume'))),
    need('filler', per(job, 'filler', filler, 'filler.tub')),
    need('patch', given('larger holes', holes.find((h) => h.hole === 'large')?.count ?? 0, 'count')),
    ...[...grits]
      .sort(([a], [b]) => a - b)
      .map(([grit, sanded]) =>
        need('abrasive', per(job, 'abrasive', sandedAt(grit, sanded, flatted), 'abrasive.area'), { grit }),
      ),
    need(
      'blades',
      compute(
        'quotient',
        'blades',
        'count',
        compute(
          'product',
          'blades',
          'count',
          given('rooms, and surfaces scraped', rooms + scraped.length, 'count'),
          given('each', setting(job, 'blades.room'), 'count'),
        ),
        given('a pack', setting(job, 'blades.pack'), 'count'),
      ),
    ),
  ];
}

const MENDING_GRIT = 220;
const sandedAt = (grit: number, sanded: readonly Specified[], flatted: readonly Working[]): Working => {
  const plain = areas(`sanded at ${grit}`, sanded);
  return grit === MENDING_GRIT && flatted.length ? sum('sanded and mended', 'area', [plain, ...flatted]) : plain;
};

function rolling({ job, surfaces: all, paints, days, mends }: MaterialQuestion): Need[] {
  const people = job.crew.people.length;
  /** Who may roll at one time: two painters do not share a cover. */
  const hands = (rolled: number) => Math.max(1, Math.min(people, rolled));
  const covers = new Map<string, { size: MaterialSize; working: Working[] }>();
  for (const paint of paints) {
    const sizes = new Map<string, { size: MaterialSize; litres: number; coats: number; surfaces: number }>();
    for (const { specified: s, litres } of paint.uses.filter((use) => !use.spots && use.layer !== 'mending')) {
      const { pile, width, fabric } = effective(s.system.cover);
      const key = `${pile} ${width} ${fabric}`;
      const old = sizes.get(key);
      const coats = paint.product.role === 'primer' ? 1 : effective(s.system.coats);
      sizes.set(key, {
        size: { pile, width, fabric },
        litres: (old?.litres ?? 0) + litres.value,
        coats: Math.max(old?.coats ?? 0, coats),
        surfaces: (old?.surfaces ?? 0) + 1,
      });
    }
    for (const [key, { size, litres, coats, surfaces }] of sizes) {
      const worn = Math.max(
        Math.ceil(litres / setting(job, 'cover.litres')),
        Math.ceil(days / setting(job, 'cover.days')),
        1,
      );
      const name = `${paint.product.name}${paint.colour ? `, ${paint.colour.name}` : ''}`;
      const entry = covers.get(key) ?? { size, working: [] };
      entry.working.push(
        sum(name, 'count', [
          given(
            phrase`worn by litres and days, one a painter`,
            Math.max(hands(surfaces), coats > 1 ? worn - 1 : worn),
            'count',
          ),
          given('a new one for the last coat', coats > 1 ? 1 : 0, 'count'),
        ]),
      );
      covers.set(key, entry);
    }
  }
  for (const { defect, specified: s } of mends) {
    if (!REMEDY_STEPS[defect.remedy].some(({ kind }) => kind === 'mend-coat')) continue;
    const { pile, width, fabric } = effective(s.system.cover);
    const key = `${pile} ${width} ${fabric}`;
    const entry = covers.get(key) ?? { size: { pile, width, fabric }, working: [] };
    covers.set(key, entry);
    entry.working.push(given(phrase`${nameWord(s.surface.name)}, a new one to mend with`, 1, 'count'));
  }
  const brushes = new Map<number, Set<string>>();
  for (const s of all) {
    const { width } = effective(s.system.brush);
    brushes.set(width, (brushes.get(width) ?? new Set()).add(s.product.base));
  }
  const widths = new Set(all.map((s) => effective(s.system.cover).width));
  const broad = all.some((s) => s.surface.kind === 'wall' || s.surface.kind === 'ceiling');
  const dose = sum(
    'conditioner',
    'volume',
    paints.map((p) => given(`${p.product.name}, ${p.colour?.name ?? ''}`, p.conditioner, 'volume')),
  );
  return [
    ...[...covers.values()].map(({ size, working }) =>
      need('cover', sum(phrase`${THE.cover}s`, 'count', working), size),
    ),
    ...[...widths].map((width) => need('frame', given('people', people, 'count'), { width })),
    need('pole', given('people who roll', broad ? people : 0, 'count')),
    need('tray', given('people', all.length ? people : 0, 'count')),
    need('liner', given('paints', paints.length, 'count')),
    ...[...brushes].map(([width, bases]) =>
      need(
        'brush',
        compute(
          'product',
          'brushes',
          'count',
          given('water-based, oil', bases.size, 'count'),
          given('people', people, 'count'),
        ),
        { width },
      ),
    ),
    need('conditioner', per(job, 'conditioner', dose, 'conditioner.bottle')),
    ...sealing(job, all),
  ];
}

/** What ends chalk-type paint: every way is closed with clear wax. */
function sealing(job: Pick<Job, 'settings'>, surfaces: readonly Specified[]): Need[] {
  const ended = (...ways: readonly Seal[]) => surfaces.filter((s) => ways.includes(effective(s.system.seal)));
  const waxed = ended('clear-wax', 'dark-wax', 'worn', 'highlight');
  return [
    need('wax', per(job, 'clear wax', areas('waxed', waxed), 'wax.area')),
    need('dark-wax', per(job, 'dark wax', areas('waxed dark', ended('dark-wax')), 'wax.area')),
    need('highlight', per(job, 'lighter paint', areas('highlighted', ended('highlight')), 'highlight.area')),
  ];
}

function cleaning({ job, takeoffs, surfaces, days }: MaterialQuestion): Need[] {
  const doing = (step: 'wash' | 'degrease') => surfaces.filter((s) => effective(s.system.prep).includes(step));
  const present = new Set(surfaces.map((s) => s.surface.room));
  const plated = new Set(
    surfaces.filter((s) => effective(s.system.prep).includes('plates-off')).map((s) => s.surface.room),
  );
  const plates = takeoffs
    .filter((t) => present.has(t.room.id) && plated.has(t.room.id))
    .map((t) => {
      const counted = rows(t.room.parts)
        .filter((p) => ['plate', 'socket', 'light', 'detector', 'vent'].includes(p.kind))
        .reduce((n, p) => n + p.count, 0);
      return given(t.room.name, counted || setting(job, 'plates.room'), 'count');
    });
  const packs = (name: string, pieces: Working, key: DefaultKey) =>
    compute('quotient', name, 'count', pieces, given('a pack', setting(job, key), 'count'));
  return [
    need('wash', per(job, 'sugar soap', areas('washed', doing('wash')), 'wash.area')),
    need('degrease', per(job, 'degreaser', areas('degreased', doing('degrease')), 'degrease.area')),
    need(
      'rags',
      packs(
        'rags',
        compute(
          'product',
          'rags',
          'count',
          given('days', days, 'count'),
          given('people', job.crew.people.length, 'count'),
          given('a person’s day', setting(job, 'rags.day'), 'count'),
        ),
        'rags.pack',
      ),
    ),
    need('bags', packs('bags for plates', sum('plates', 'count', plates), 'bags.pack')),
  ];
}

/** What the cautions of the surfaces call for [common practice, no source; local codes decide]. */
function safety({ job, surfaces, days }: MaterialQuestion): Need[] {
  const raised = new Set(surfaces.flatMap((s) => cautionsOf(s).map((c) => c.rule)));
  const people = given('people', job.crew.people.length, 'count');
  const none = given('not called for', 0, 'count');
  const where = (rule: 'caution.dust' | 'caution.lead' | 'caution.solvent', working: Working) =>
    raised.has(rule) ? working : none;
  const asbestos = new Set(
    surfaces.filter((s) => cautionsOf(s).some((c) => c.rule === 'caution.asbestos')).map((s) => s.surface.room),
  );
  return [
    need(
      'mask',
      where('caution.dust', compute('product', 'dust masks', 'count', people, given('days', days, 'count'))),
    ),
    need('goggles', where('caution.dust', people)),
    need('gloves', given('a box', surfaces.length ? 1 : 0, 'count')),
    need('respirator', where('caution.solvent', people)),
    need('lead-test', where('caution.lead', given('a kit', 1, 'count'))),
    need('asbestos-test', given('rooms with an old texture', asbestos.size, 'count')),
  ];
}
