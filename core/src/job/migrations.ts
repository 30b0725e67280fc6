import { PRIMER_SERVES } from './library.ts';
import type { Can } from './paints.ts';
import { COUNTRY_ROWS, regionOf, STARTING_AIR, tinsOf, type Country } from './region.ts';
import { isDay } from '../units/day.ts';
import { isStart } from './limits.ts';
import { JOB_VERSION } from './version.ts';
import { toVersion5 } from './version5.ts';
import type { PrimerKind } from './vocabulary.ts';

/** A job file's JSON before it is validated: nothing about its shape is certain yet. */
export type Json = Record<string, unknown>;

const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Changes the entries of a table where there is one; what has another shape is left to the validation. */
function each(owner: Json, table: string, change: (item: Json) => Json): Json {
  const found = owner[table];
  if (!isRecord(found) || !isRecord(found['byId'])) return owner;
  const byId = Object.fromEntries(
    Object.entries(found['byId']).map(([id, item]) => [id, isRecord(item) ? change(item) : item]),
  );
  return { ...owner, [table]: { ...found, byId } };
}

/** 2: curved walls, stairs, several peaks; shaped openings with their pieces; girths; parts of a room. */
function toVersion2(job: Json): Json {
  const wall = ({ peak, ...rest }: Json): Json => ({ ...rest, peaks: peak ? [peak] : [], bow: null, foot: null });
  const opening = (o: Json): Json => ({
    ...o,
    shape: 'rectangle',
    rise: null,
    girth: null,
    back: null,
    reveal: null,
    faces: 1,
    panels: o['kind'] === 'door' ? { rows: 2, columns: 1 } : { rows: 1, columns: 1 },
    frame: null,
    sash: 'none',
    board: null,
    apron: null,
  });
  const room = (r: Json): Json => {
    const trim = isRecord(r['trim'])
      ? Object.fromEntries(
          Object.entries(r['trim']).map(([kind, run]) => [kind, isRecord(run) ? { ...run, girth: null } : run]),
        )
      : r['trim'];
    return { ...each(each(r, 'walls', wall), 'openings', opening), trim, parts: { byId: {}, order: [] } };
  };
  const settings = isRecord(job['settings']) ? { ...job['settings'] } : job['settings'];
  // replaced by the stiles and mouldings a panelled leaf is made of
  if (isRecord(settings)) Reflect.deleteProperty(settings, 'door.panelFactor');
  return { ...each(job, 'rooms', room), settings, noted: {}, version: 2 };
}

/** Words for repairs, as the counts they stood for [starting judgement]. */
const HOLES: Readonly<Record<string, Json>> = {
  none: { pinhole: 0, coin: 0, large: 0, anchor: 0 },
  few: { pinhole: 5, coin: 0, large: 0, anchor: 0 },
  many: { pinhole: 20, coin: 4, large: 0, anchor: 0 },
};
const YES_NO = { true: 'yes', false: 'no' } as const;
const over = (owner: Json, key: string, change: (entry: Json) => Json): Json => {
  const found = owner[key];
  if (!isRecord(found)) return owner;
  const entries = Object.entries(found).map(([id, entry]) => [id, isRecord(entry) ? change(entry) : entry]);
  return { ...owner, [key]: Object.fromEntries(entries) };
};
/** Replaces the keys that are there; what has no such value is left to the validation. */
function reword(
  entry: Json,
  words: Readonly<Record<string, readonly [string, Readonly<Record<string, unknown>>]>>,
): Json {
  const pairs = Object.entries(entry).map(([key, value]) => {
    const [name, map] = words[key] ?? [key, {}];
    return [name, map[String(value)] ?? value];
  });
  return Object.fromEntries(pairs);
}

/** 3: surveys by class, number and test; floors and bearings; paint families; coat styles; tinted primers; schools. */
function toVersion3(job: Json): Json {
  const survey = (entry: Json) =>
    reword(entry, {
      repairs: ['repairs', HOLES],
      stains: ['stains', { true: ['other'], false: [] }],
      wiped: ['touched', { true: ['hands'], false: [] }],
      porous: ['porous', YES_NO],
      wax: ['wax', YES_NO],
      damp: ['damp', YES_NO],
      raking: ['raking', YES_NO],
    });
  const decision = (entry: Json) =>
    isRecord(entry['primer']) ? { ...entry, primer: { ...entry['primer'], tint: null } } : entry;
  const family = (p: Json) => {
    const sheens = Array.isArray(p['sheens']) ? p['sheens'] : [];
    if (p['role'] === 'primer') return null;
    if (sheens.includes('gloss') || sheens.includes('semi-gloss')) return p['base'] === 'oil' ? 'oil-enamel' : 'enamel';
    return sheens.includes('eggshell') || sheens.includes('satin') ? 'wall' : 'ceiling';
  };
  const practice = isRecord(job['practice'])
    ? { ...job['practice'], walls: 'weighed', coats: 'equal', brick: 'long-pile', weakCoats: 1, house: null }
    : job['practice'];
  let next = each(job, 'rooms', (room) => ({ ...room, floor: 'unknown', bearing: null }));
  next = over(next, 'survey', survey);
  next = over(next, 'decisions', decision);
  next = over(next, 'products', (p) => ({ ...p, family: family(p) }));
  return { ...next, practice, version: 3 };
}

/** 4: spreads by solids and on porous ground, sizes by base, dated prices; day rates; pricing, options, shelf, shopping. */
function toVersion4(job: Json): Json {
  const product = (p: Json): Json => ({
    ...p,
    porousRate: null,
    solids: null,
    contrastRate: null,
    // starting paints had these ids
    code: /^(paint|primer)-/.test(String(p['id'])) ? String(p['id']).toUpperCase() : '',
    priced: null,
    cans: Array.isArray(p['cans'])
      ? p['cans'].map((can: unknown) => (isRecord(can) ? { ...can, bases: null } : can))
      : p['cans'],
  });
  const { hourly, ...crew } = isRecord(job['crew']) ? job['crew'] : {};
  const stretches: unknown[] = Array.isArray(crew['hours']) ? crew['hours'] : [];
  const minutes = stretches.reduce<number>((sum, s) => sum + (Array.isArray(s) ? Number(s[1]) - Number(s[0]) : 0), 0);
  const day = Math.round((Number(hourly) / 60) * minutes);
  const people: unknown = Array.isArray(crew['people'])
    ? crew['people'].map((p: unknown) => (isRecord(p) ? { ...p, day } : p))
    : crew['people'];
  const empty = () => ({ byId: {}, order: [] });
  const settings = isRecord(job['settings'])
    ? reword(job['settings'], { 'price.dropcloth': ['price.drop-cloth', {}] })
    : job['settings'];
  return {
    ...over(job, 'products', product),
    settings,
    crew: isRecord(job['crew']) ? { ...crew, people } : job['crew'],
    practice: isRecord(job['practice']) ? { ...job['practice'], boxing: 'box' } : job['practice'],
    // costs alone, as version 3 counted
    pricing: {
      overhead: 0,
      margin: 0,
      tax: 0,
      taxName: 'Tax',
      taxed: 'all',
      billed: 'hours',
      client: '',
      valid: 30,
      notes: '',
    },
    shelf: empty(),
    options: empty(),
    owned: {},
    prices: {},
    bought: {},
    version: 4,
  };
}

/** 6: minutes step by step, so that what stood for several of them at once is gone; trim that is still to come. */
function toVersion6(job: Json): Json {
  const { ...settings } = isRecord(job['settings']) ? job['settings'] : {};
  for (const gone of ['pace.prep', 'pace.prepTrim', 'pace.prime', 'prep.poor']) Reflect.deleteProperty(settings, gone);
  const room = (r: Json): Json => ({
    ...r,
    trim: over({ trim: r['trim'] }, 'trim', (run) => ({ ...run, later: false }))['trim'],
  });
  return {
    ...each(job, 'rooms', room),
    settings: isRecord(job['settings'])
      ? reword(settings, { 'load.minutes': ['travel.minutes', {}] })
      : job['settings'],
    version: 6,
  };
}

/** Where a job of version 6 is, by what its prices are counted in; nothing of it is priced anew. */
const COUNTRY_OF: Readonly<Record<string, Country>> = {
  USD: 'US',
  CAD: 'CA',
  GBP: 'GB',
  AUD: 'AU',
  NZD: 'NZ',
};
/** No gallon in a metric job's shop: tins that nobody priced are sold as they are there; what was priced stays as it is. */
function metricTins(product: Json): unknown {
  const { cans } = product;
  const isCan = (can: unknown): can is Can => isRecord(can) && Number(can['litres']) > 0 && Number(can['price']) >= 0;
  return product['priced'] === null && Array.isArray(cans) && cans.every(isCan)
    ? tinsOf(cans, COUNTRY_ROWS.other.tins, 1)
    : cans;
}
/** 7: a region and its air; two primers in order, and what each product does; schools of preparation; what is done about a fixture. */
function toVersion7(job: Json): Json {
  const metric = job['units'] === 'metric';
  const known = COUNTRY_OF[String(job['currency'])] ?? 'other';
  const country = metric && known === 'US' ? 'other' : metric || known === 'CA' ? known : 'US';
  const part = (p: Json): Json => ({ ...p, way: null });
  const product = (p: Json): Json => ({
    ...p,
    cans: metric ? metricTins(p) : p['cans'],
    serves: PRIMER_SERVES[p['primer'] as PrimerKind] ?? [],
    scrub: null,
    inColour: {},
  });
  const decision = (entry: Json): Json =>
    isRecord(entry['primer']) ? { ...entry, primer: { ...entry['primer'], then: null } } : entry;
  const practice = isRecord(job['practice']) ? { ...job['practice'], prep: 'wash' } : job['practice'];
  let next = each(job, 'rooms', (room) => each(room, 'parts', part));
  next = over(next, 'products', product);
  next = over(next, 'decisions', decision);
  return { ...next, practice, region: regionOf(country), air: STARTING_AIR, reserved: {}, version: 7 };
}

/** 8: what is said of lines and of their order; a focal wall; the hand of each person; schools of accents and tape. */
function toVersion8(job: Json): Json {
  const practice = isRecord(job['practice'])
    ? { ...job['practice'], accent: 'cheapest', pull: 'wet', tape: 'by-ground' }
    : job['practice'];
  const crew = isRecord(job['crew']) ? { ...job['crew'] } : job['crew'];
  if (isRecord(crew) && Array.isArray(crew['people']))
    crew['people'] = crew['people'].map((person: unknown) =>
      isRecord(person) ? { ...person, hand: 'right' } : person,
    );
  let next = each(job, 'rooms', (room) => ({ ...room, focal: null }));
  next = over(next, 'products', (product) => ({ ...product, tapeAfter: null }));
  return { ...next, practice, crew, lines: {}, orders: {}, version: 8 };
}

/** 9: how a load is spread and laid off, how first coats and textured doors are painted; air through the day; what a label says of its air. */
function toVersion9(job: Json): Json {
  const own = { spread: 'zigzag', layOff: 'up-and-back', firstCoats: 'cut-first', doors: 'rolled' };
  const practice = isRecord(job['practice']) ? { ...job['practice'], ...own } : job['practice'];
  const label = { open: null, labelAir: null, labelRange: null, recoatBefore: null };
  const next = over(job, 'products', (product) => ({ ...product, ...label }));
  const air = isRecord(job['air']) ? { ...job['air'], surface: null, ceiling: 1, day: [] } : job['air'];
  return { ...next, practice, air, version: 9 };
}

/** 10: who keeps a wet edge, and how the work is divided; what a quote counts on; people's own hours and days; weekends, zone, quiet hours; pins, rooms wanted back, a plan taken. */
function toVersion10(job: Json): Json {
  const region = isRecord(job['region']) ? job['region'] : {};
  const country = COUNTRY_ROWS[region['country'] as Country] as (typeof COUNTRY_ROWS)[Country] | undefined;
  const practice = isRecord(job['practice'])
    ? { ...job['practice'], roles: 'as-needed', division: 'free' }
    : job['practice'];
  const pricing = isRecord(job['pricing']) ? { ...job['pricing'], promised: 'plan' } : job['pricing'];
  const own = { hours: null, from: null, until: null, away: [], skills: null };
  const crew = isRecord(job['crew'])
    ? {
        ...job['crew'],
        people: Array.isArray(job['crew']['people'])
          ? job['crew']['people'].map((person: unknown) => (isRecord(person) ? { ...person, ...own } : person))
          : job['crew']['people'],
        weekdays: [1, 2, 3, 4, 5, 6, 7],
        holidays: [],
        zone: country?.zone ?? 'UTC',
        quiet: [],
        closing: null,
        platforms: null,
      }
    : job['crew'];
  const settings = isRecord(job['settings']) ? { ...job['settings'] } : job['settings'];
  if (isRecord(settings)) Reflect.deleteProperty(settings, 'cut.wet');
  return { ...job, settings, practice, pricing, crew, pins: {}, wanted: {}, taken: null, version: 10 };
}

/** 11: how brushes are kept overnight and rims clean; what logs taught. */
function toVersion11(job: Json): Json {
  const practice = isRecord(job['practice']) ? { ...job['practice'], washing: 'daily', rim: 'holes' } : job['practice'];
  return { ...job, practice, learned: { paces: [], spreads: [] }, version: 11 };
}

/** 12: where the rooms are; paint that was there before; what is left; defects, rooms taken over, colours that are tried. */
function toVersion12(job: Json): Json {
  const none = () => ({ byId: {}, order: [] });
  const own = { place: null, earlier: {}, leftovers: {}, defects: none(), accepted: {}, samples: none() };
  return { ...job, ...own, version: 12 };
}

/** 13: who offers the work. */
function toVersion13(job: Json): Json {
  const firm = { name: '', contact: '', address: '' };
  const pricing = isRecord(job['pricing']) ? { ...job['pricing'], firm } : job['pricing'];
  return { ...job, pricing, version: 13 };
}

/** A first day of another century was a slip of the keyboard. */
const startOf = (start: unknown): unknown =>
  typeof start === 'string' && isDay(start) && !isStart(start) ? null : start;

/** 14: days worked besides the weekdays; a tax of nothing was nobody's answer. */
function toVersion14(job: Json): Json {
  const crew = isRecord(job['crew'])
    ? { ...job['crew'], extra: [], start: startOf(job['crew']['start']) }
    : job['crew'];
  const pricing =
    isRecord(job['pricing']) && job['pricing']['tax'] === 0 ? { ...job['pricing'], tax: null } : job['pricing'];
  return { ...job, crew, pricing, version: 14 };
}

/** Pure n -> n+1 on unvalidated JSON; the key is the version it starts from. */
const MIGRATIONS: Readonly<Record<number, (json: Json) => Json>> = {
  1: toVersion2,
  2: toVersion3,
  3: toVersion4,
  4: toVersion5,
  5: toVersion6,
  6: toVersion7,
  7: toVersion8,
  8: toVersion9,
  9: toVersion10,
  10: toVersion11,
  11: toVersion12,
  12: toVersion13,
  13: toVersion14,
};

/** From whatever version it says, through every step to the one in force. */
export function migrate(json: Json): Json {
  let job = json;
  for (let from = Number(job['version']); from >= 1 && from < JOB_VERSION; from++) job = MIGRATIONS[from]?.(job) ?? job;
  return job;
}
