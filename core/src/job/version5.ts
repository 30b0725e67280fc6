import { typeLength } from '../units/length.ts';
import { readReading, unitOf } from '../units/reading.ts';
import type { LengthUnit, System } from '../units/si.ts';
import { DEFAULT_KEYS, DEFAULTS } from './defaults.ts';

/**
 * 5: readings keep the unit of their numbers, and what earlier versions let in although no figure can be made of it is
 * mended: what lies outside the ends goes to the nearer one, a table and its order name the same things again.
 */
type Json = Record<string, unknown>;
const isRecord = (value: unknown): value is Json =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const mapped = (value: unknown, change: (entry: Json) => unknown): unknown =>
  isRecord(value)
    ? Object.fromEntries(Object.entries(value).map(([key, v]) => [key, isRecord(v) ? change(v) : v]))
    : value;
const clamp = (value: unknown, least: number, most: number): unknown =>
  typeof value === 'number' && !Number.isNaN(value) ? Math.min(most, Math.max(least, value)) : value;
const oneLine = (value: unknown): unknown =>
  typeof value === 'string' ? value.replace(/\p{Cc}+/gu, ' ').trim() || '-' : value;
const dayOf = (value: unknown): unknown =>
  typeof value === 'string' && /^\d{4}-\d{2}-\d{2}T/.test(value) ? value.slice(0, 10) : value;
const days = (value: unknown): unknown =>
  isRecord(value) ? Object.fromEntries(Object.entries(value).map(([key, v]) => [key, dayOf(v)])) : value;

const UNITS: readonly LengthUnit[] = ['ft', 'm', 'in', 'cm', 'mm'];

/** As it was typed, with its unit; written anew where it does not say what it means. */
function reading(value: Json, units: readonly LengthUnit[]): Json {
  const { metres } = value;
  const typed = String(value['typed']).replace(/\p{Cc}+/gu, ' ');
  if (typeof metres !== 'number') return value;
  for (const unit of units) {
    const read = readReading(typed, unit, { zero: true, max: Infinity });
    if (read.ok && Math.abs(read.value.metres - metres) < 1e-6) return { typed: read.value.typed, metres };
  }
  return { typed: typeLength(metres, units[0] === 'ft' ? 'imperial' : 'metric'), metres };
}
/** Every reading below a room, wherever it stands. */
function readings(value: unknown, units: readonly LengthUnit[]): unknown {
  if (Array.isArray(value)) return value.map((item) => readings(item, units));
  if (!isRecord(value)) return value;
  if ('typed' in value && 'metres' in value) return reading(value, units);
  return Object.fromEntries(Object.entries(value).map(([key, v]) => [key, readings(v, units)]));
}

const cannotBe = (value: unknown) =>
  isRecord(value) && !(Number(value['metres']) >= 0.001 && Number(value['metres']) <= 10_000);
const orNull = (owner: Json, keys: readonly string[]): Json => ({
  ...owner,
  ...Object.fromEntries(keys.filter((key) => cannotBe(owner[key])).map((key) => [key, null])),
});

/** A table whose order names just what it has, in the order it was; what `keep` does not keep is taken out. */
function whole(value: unknown, change: (entry: Json) => unknown, keep: (entry: Json) => boolean = () => true): unknown {
  if (!isRecord(value) || !isRecord(value['byId']) || !Array.isArray(value['order'])) return value;
  const kept = Object.entries(value['byId']).flatMap(([key, item]) =>
    isRecord(item) && keep(item) ? [[key, change(item)] as const] : [],
  );
  const byId: Json = Object.fromEntries(kept);
  const order = [...new Set<unknown>([...(value['order'] as unknown[]), ...Object.keys(byId)])].filter(
    (id) => typeof id === 'string' && Object.hasOwn(byId, id),
  );
  return { ...value, byId, order };
}

function room(r: Json): Json {
  const named = (item: Json): Json => ({ ...item, label: oneLine(item['label']) });
  const walls = whole(r['walls'], (w) => orNull(named(w), ['length', 'heightStart', 'heightEnd']));
  const known = isRecord(walls) && isRecord(walls['byId']) ? walls['byId'] : {};
  const isWall = (id: unknown) => Object.hasOwn(known, String(id));
  const stands = (item: Json) => item['wall'] === null || isWall(item['wall']);
  const checks = r['checks'];
  return {
    ...r,
    name: oneLine(r['name']),
    walls,
    openings: whole(r['openings'], named, stands),
    parts: whole(r['parts'], named, stands),
    checks: Array.isArray(checks)
      ? checks.filter((c: unknown) => isRecord(c) && isWall(c['from']) && isWall(c['to']))
      : checks,
  };
}

const can = (c: unknown): unknown =>
  isRecord(c) ? { ...c, litres: clamp(c['litres'], 0.05, 1000), price: clamp(c['price'], 0, 99_999_999_999) } : c;
const priced = (p: unknown): unknown =>
  isRecord(p) ? { ...p, source: String(p['source']).slice(0, 200), date: dayOf(p['date']) } : p;

const product = (p: Json): Json => ({
  ...p,
  name: oneLine(p['name']),
  labelRate: clamp(p['labelRate'], 0.5, 100),
  porousRate: clamp(p['porousRate'], 0.5, 100),
  contrastRate: clamp(p['contrastRate'], 0.5, 100),
  contrast: clamp(p['contrast'], 0.3, 0.9999),
  solids: isRecord(p['solids'])
    ? { ...p['solids'], volume: clamp(p['solids']['volume'], 0.05, 0.99), dry: clamp(p['solids']['dry'], 5e-6, 0.002) }
    : p['solids'],
  cans: Array.isArray(p['cans']) ? p['cans'].slice(0, 40).map(can) : p['cans'],
  priced: priced(p['priced']),
  picked: dayOf(p['picked']),
});

/** Stretches that are none, or lie in one another, are left out; a day without any gets the starting hours. */
function hours(value: unknown): unknown {
  if (!Array.isArray(value)) return value;
  const stretches = value.filter(
    (s: unknown): s is [number, number] => Array.isArray(s) && Number(s[1]) - Number(s[0]) >= 15,
  );
  const sorted = [...stretches].sort((a, b) => a[0] - b[0]);
  const apart = sorted.filter(([from], i) => sorted.slice(0, i).every(([, to]) => to <= from));
  return apart.length
    ? apart.slice(0, 6)
    : [
        [480, 720],
        [765, 1020],
      ];
}
const person = (p: unknown): unknown =>
  isRecord(p)
    ? { ...p, name: oneLine(p['name']), day: typeof p['day'] === 'number' ? Math.round(p['day']) : p['day'] }
    : p;
const crew = (c: Json): Json => ({
  ...c,
  hours: hours(c['hours']),
  start: dayOf(c['start']),
  people: Array.isArray(c['people']) ? c['people'].map(person) : c['people'],
});

const setting = ([key, value]: [string, unknown]): [string, unknown] => {
  const known = DEFAULT_KEYS.find((k) => k === key);
  return [key, known ? clamp(value, ...DEFAULTS[known].ends) : value];
};

/** A job of version 4 as version 5 has it: readings with their unit, figures within their ends. */
export function toVersion5(job: Json): Json {
  const own = unitOf(job['units'] as System);
  const units = [own, ...UNITS.filter((unit) => unit !== own)];
  const { pricing, settings } = job;
  return {
    ...job,
    name: oneLine(job['name']),
    rooms: whole(job['rooms'], (r) => room(readings(r, units) as Json)),
    products: mapped(job['products'], product),
    colours: mapped(job['colours'], (c) => ({ ...c, name: oneLine(c['name']) })),
    crew: isRecord(job['crew']) ? crew(job['crew']) : job['crew'],
    pricing: isRecord(pricing)
      ? { ...pricing, margin: clamp(pricing['margin'], 0, 0.99), valid: clamp(pricing['valid'], 0, 365) }
      : pricing,
    shelf: whole(job['shelf'], (c) => ({ ...c, litres: clamp(c['litres'], 0.01, 1000) })),
    options: whole(job['options'], (o) => ({ ...o, name: oneLine(o['name']) })),
    prices: mapped(job['prices'], (p) => ({ ...(priced(p) as Json), each: clamp(p['each'], 0, 99_999_999_999) })),
    bought: days(job['bought']),
    noted: days(job['noted']),
    settings: isRecord(settings) ? Object.fromEntries(Object.entries(settings).map(setting)) : settings,
    version: 5,
  };
}
