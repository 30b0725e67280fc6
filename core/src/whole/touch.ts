import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { familyOf } from '../job/vocabulary.ts';
import { paintNeeded, touchUp, type Areas, type Sameness, type TouchUp, type TouchUpCase } from '../inspect/touchUp.ts';
import type { SurfaceRecord } from '../record/layer.ts';
import { paintsOf } from '../record/layer.ts';
import { isRaked } from '../specify/case.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { buyingRate } from '../specify/spread.ts';
import type { Litres, Metres } from '../units/si.ts';

/** What somebody sees, and has at hand; what is left out is taken from the record. */
export interface TouchAsk {
  readonly patches: number;
  readonly size: Metres;
  readonly age?: number | undefined;
  readonly sun?: number | undefined;
  readonly paint?: Sameness | undefined;
  readonly batch?: Sameness | undefined;
  readonly cover?: Sameness | undefined;
  readonly ground?: string | null | undefined;
}
export interface TouchAnswer extends TouchUp {
  readonly of: TouchUpCase;
  readonly litres: Litres;
  /** What of the case nobody said or logged. */
  readonly assumed: readonly ('age' | 'sun' | 'batch' | 'cover' | 'paint')[];
}

const YEAR = 365.25 * 24 * 3600 * 1000;
/** Years from a day, a month or a year to a day. */
const yearsSince = (when: string, today: string): number =>
  Math.max(0, (Date.parse(today) - Date.parse(when.length === 4 ? `${when}-07-01` : when)) / YEAR);

/** The case of a surface: its record first, then what the plan says. @param today ISO day; null: age is only what is asked */
function touchCase(
  job: Job,
  { specified: s, layers }: SurfaceRecord,
  ask: TouchAsk,
  today: string | null,
): Pick<TouchAnswer, 'of' | 'assumed'> {
  const paint = paintsOf(layers.filter(({ role }) => role === 'finish')).at(-1);
  const top = paint?.top ?? null;
  const dated = top?.when && today ? yearsSince(top.when, today) : null;
  const assumed: TouchAnswer['assumed'][number][] = [];
  const or = <T>(said: T | undefined, known: T | null, otherwise: T, what: (typeof assumed)[number]): T => {
    if (said !== undefined) return said;
    if (known !== null) return known;
    assumed.push(what);
    return otherwise;
  };
  // a log that says what was laid is a paint that is known; without one, the paint of the plan is meant to be it
  const known: Sameness | null = top?.certain ? 'same' : null;
  const of: TouchUpCase = {
    patches: ask.patches,
    size: ask.size,
    age: or(ask.age, dated, setting(job, 'touch.age'), 'age'),
    sun: or(ask.sun, null, 0, 'sun'),
    hex: top?.colour?.hex ?? s.colour.hex,
    sheen: top?.sheen ?? s.sheen,
    paint: or(ask.paint, known, layers.length ? 'unknown' : 'same', 'paint'),
    batch: or(ask.batch, null, 'unknown', 'batch'),
    cover: or(ask.cover, null, 'unknown', 'cover'),
    laid: top?.laid ?? null,
    coats: paint?.coats ?? effective(s.system.coats),
    raked: isRaked(s),
    ground: ask.ground ?? null,
    trim: familyOf(s.surface.kind) === 'trim',
  };
  return { of, assumed };
}

/** Walls that meet it in a corner, and all of its kind in the room. */
function areasOf(s: Specified, surfaces: readonly Specified[]): Areas {
  const area = (list: readonly Specified[]) => list.reduce((sum, one) => sum + one.surface.area.value, 0);
  const family = familyOf(s.surface.kind);
  const room = surfaces.filter(
    ({ surface }) => surface.room === s.surface.room && familyOf(surface.kind) === family && surface.area.value > 0,
  );
  const walls = [...new Set(room.flatMap(({ surface }) => surface.wall ?? []))];
  const at = walls.indexOf(s.surface.wall ?? '');
  const beside = [walls.at(at - 1), walls[(at + 1) % Math.max(1, walls.length)]];
  const near = room.filter(({ surface }) => surface !== s.surface && beside.includes(surface.wall ?? undefined));
  return { wall: area([s]), neighbours: area([s, ...(at < 0 ? [] : near)]), room: area(room) };
}

/** Touch up or repaint a surface, and with how much paint. */
export function touchUpFor(
  job: Job,
  record: SurfaceRecord,
  surfaces: readonly Specified[],
  ask: TouchAsk,
  today: string | null = null,
): TouchAnswer {
  const { of, assumed } = touchCase(job, record, ask, today);
  const answer = touchUp(job, of);
  const { specified: s } = record;
  const rate = buyingRate(job, s.product);
  return { ...answer, of, assumed, litres: paintNeeded(answer, of, areasOf(s, surfaces), rate) };
}
