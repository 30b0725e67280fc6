import { DateTime } from 'luxon';
import { getPosition, getTimes } from 'suncalc';
import { setting } from '../job/defaults.ts';
import type { Place } from '../job/recorded.ts';
import { COUNTRY_ROWS } from '../job/region.ts';
import type { Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { groupBy } from '../units/group.ts';
import type { Degrees, Minutes } from '../units/si.ts';
import { beams, type Patch, type Sun } from './beam.ts';

/** Where the sun stands at a moment, as it is seen (refraction in it): suncalc’s, after Meeus. */
export const sunAt = ({ latitude, longitude }: Place, at: Date): Sun => getPosition(at, latitude, longitude);

/** Where a job is: as somebody said, else the middle of its country, and then only roughly. */
export const placeOf = ({ place, region }: Pick<Job, 'place' | 'region'>): Place & { readonly assumed: boolean } =>
  place ? { ...place, assumed: false } : { ...COUNTRY_ROWS[region.country].middle, assumed: true };

type Sunlit = Pick<Job, 'settings' | 'place' | 'region' | 'crew'>;

/** While direct sun is on a wall, minutes of the day by the clock on the wall. */
export interface Spell {
  readonly from: Minutes;
  readonly to: Minutes;
  /** Raked: the light comes along the wall, and shows all that stands out of it. */
  readonly kind: 'rakes' | 'falls';
  readonly windows: readonly Id[];
  /** Smallest angle between light and wall. */
  readonly angle: Degrees;
  /** From which end of the wall it comes. */
  readonly side: Patch['from'];
}
/** A day of sun in one room. */
export interface SunDay {
  /** Minutes of the day; null: it does not rise, or does not set. */
  readonly rises: Minutes | null;
  readonly sets: Minutes | null;
  readonly walls: readonly { readonly wall: Id; readonly spells: readonly Spell[] }[];
}

/** Every so many minutes a day is looked at. */
const STEP: Minutes = 5;
const minuteOf = (at: Date | null, zone: string): Minutes | null => {
  const local = at && DateTime.fromJSDate(at, { zone });
  return local ? local.hour * 60 + local.minute : null;
};

/** A moment of a day by the clock on the wall. */
export const momentOn = (date: string, minute: Minutes, zone: string): Date =>
  DateTime.fromISO(date, { zone })
    .set({ hour: Math.floor(minute / 60), minute: Math.floor(minute % 60) })
    .toJSDate();

/** Where the sun falls in a room at a minute of a day; none without a bearing. */
export function patchesAt(job: Sunlit, takeoff: RoomTakeoff, date: string, minute: Minutes): Patch[] {
  const { bearing } = takeoff.room;
  if (bearing === null) return [];
  const sun = sunAt(placeOf(job), momentOn(date, minute, job.crew.zone));
  return beams(takeoff, bearing, sun, setting(job, 'sun.depth'));
}

/** When direct sun rakes each wall of a room on a day, or falls on it; null: nobody said where its walls face. */
export function sunDay(job: Sunlit, takeoff: RoomTakeoff, date: string): SunDay | null {
  const { bearing } = takeoff.room;
  if (bearing === null) return null;
  const place = placeOf(job);
  const { zone } = job.crew;
  const midday = momentOn(date, 720, zone);
  const times = getTimes(midday, place.latitude, place.longitude);
  const [rises, sets] = [minuteOf(times.sunrise, zone), minuteOf(times.sunset, zone)];
  const [depth, rake] = [setting(job, 'sun.depth'), setting(job, 'sun.rake')];
  const midnight = DateTime.fromISO(date, { zone }).startOf('day');
  const long = Math.round(midnight.plus({ days: 1 }).diff(midnight, 'minutes').minutes);
  const seen: Ray[] = [];
  for (let gone = 0; gone < long; gone += STEP) {
    const at = new Date(midnight.toMillis() + gone * 60_000);
    const sun = sunAt(place, at);
    if (sun.altitude <= 0.1) continue;
    // clocks are put back or forward on two days of a year
    const minute = long === 1440 ? gone : (minuteOf(at, zone) ?? gone);
    for (const { wall, window, angle, area, from } of beams(takeoff, bearing, sun, depth))
      if (wall !== 'floor' && area > SEEN) seen.push({ minute, wall, window, angle, side: from });
  }
  const byWall = groupBy(seen, ({ wall }) => wall);
  return { rises, sets, walls: [...byWall].map(([wall, own]) => ({ wall, spells: spellsOf(own, rake) })) };
}
/** A patch this small shows nobody anything, m². */
const SEEN = 0.01;

interface Ray extends Pick<Spell, 'angle' | 'side'> {
  readonly minute: Minutes;
  readonly wall: Id;
  readonly window: Id;
}
function spellsOf(seen: readonly Ray[], rake: Degrees): Spell[] {
  const spells: { -readonly [K in keyof Spell]: Spell[K] }[] = [];
  for (const [minute, own] of groupBy(seen, (one) => one.minute)) {
    const angle = Math.min(...own.map((one) => one.angle));
    const kind = angle <= rake ? 'rakes' : 'falls';
    const last = spells.at(-1);
    const windows = own.map(({ window }) => window);
    const side = own[0]?.side ?? 'left';
    if (last?.kind === kind && last.to === minute && last.side === side) {
      last.to = minute + STEP;
      last.angle = Math.min(last.angle, angle);
      last.windows = [...new Set([...last.windows, ...windows])];
    } else spells.push({ from: minute, to: minute + STEP, kind, windows: [...new Set(windows)], angle, side });
  }
  return spells;
}
