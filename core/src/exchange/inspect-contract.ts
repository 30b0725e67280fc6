import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { ENDS, within } from '../job/limits.ts';
import type { Looked } from '../whole/inspect.ts';
import { lookedOver } from '../whole/inspect.ts';
import { stateOf } from '../whole/site.ts';
import { basePlan } from '../whole/plan.ts';
import { jobRecord } from '../whole/record.ts';
import { touchUpFor } from '../whole/touch.ts';
import type { Sameness } from '../inspect/touchUp.ts';
import { placeOf, sunDay } from '../inspect/sun.ts';
import { takeoffRoom } from '../measure/takeoff.ts';
import { rows } from '../job/table.ts';
import { systemOf } from '../job/region.ts';
import { isDay } from '../units/day.ts';
import { clockTime } from '../units/date.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { said } from '../units/word.ts';
import { TOUCH_CHANGE, TOUCH_REASON } from '../words/touch.ts';
import { DEFECT } from '../words/found.ts';
import { standWord } from '../words/looks.ts';
import type { Options } from './site-contract.ts';

const SAMENESS: readonly Sameness[] = ['same', 'other', 'unknown'];

/** A number behind an option; left out: undefined. */
function numberFor(
  options: Options,
  name: string,
  [least, most]: readonly [number, number],
  what: string,
): Result<number | undefined> {
  const text = options.get(name);
  if (text === undefined) return good(undefined);
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && within(value, [least, most])
    ? good(value)
    : bad(`--${name} is “${text}”; ${what} from ${least} to ${most} is accepted.`);
}

/**
 * `touchup FILE --surface S --patches N --size M [--age Y --sun H --batch same|other|unknown --cover same|other|unknown]`: touch up or
 * repaint; metres, years, hours of sun a day, litres.
 */
export function touchUpContract(job: Job, options: Options): Result<unknown> {
  const record = jobRecord(job, []);
  const id = options.get('surface');
  const surface = record.surfaces.find((own) => own.id === id);
  if (!surface)
    return bad(
      `--surface is “${id ?? 'left out'}”; the id of a surface of this job is accepted, as takeoff prints it, such as ${record.surfaces[0]?.id ?? ''}.`,
    );
  const patches = numberFor(options, 'patches', [1, 1000], 'a count');
  const size = numberFor(options, 'size', ENDS.defect, 'metres');
  const age = numberFor(options, 'age', [0, 200], 'years');
  const sun = numberFor(options, 'sun', [0, 24], 'hours of sun a day');
  for (const read of [patches, size, age, sun]) if (!read.ok) return read;
  if (!patches.ok || !size.ok || !age.ok || !sun.ok) return patches;
  if (patches.value === undefined || size.value === undefined)
    return bad('How many places, and how large is the largest? --patches takes a count, --size metres, such as 0.05.');
  if (!Number.isInteger(patches.value)) return bad(`--patches is “${patches.value}”; a whole number is accepted.`);
  const sames: Partial<Record<'batch' | 'cover', Sameness>> = {};
  for (const name of ['batch', 'cover'] as const) {
    const text = options.get(name);
    const found = SAMENESS.find((one) => one === text);
    if (text !== undefined && !found) return bad(`--${name} is “${text}”; ${SAMENESS.join(', ')} are accepted.`);
    if (found) sames[name] = found;
  }
  const ask = { patches: patches.value, size: size.value, age: age.value, sun: sun.value, ...sames };
  const answer = touchUpFor(
    job,
    surface,
    record.surfaces.map(({ specified }) => specified),
    ask,
  );
  const system = systemOf(job);
  return good({
    verdict: answer.verdict,
    score: answer.score,
    deltaE: answer.deltaE,
    gloss: answer.gloss,
    because: answer.because.map(({ rule, points, value }) => ({
      rule,
      points,
      text: said(TOUCH_REASON[rule](value), system),
    })),
    wouldChange: answer.wouldChange.map(({ change, verdict }) => ({
      change,
      verdict,
      text: said(TOUCH_CHANGE[change], system),
    })),
    assumed: answer.assumed,
    coats: answer.coats,
    paint: answer.litres,
  });
}

/**
 * `looks FILE [--date D --lat --lon]`: when and where to stand for each surface, by the plan, minutes from the job's start; what tends to
 * show; direct sun raking or falling on each wall of a day, by its hours. @param today ISO day, for a job without a first day
 */
export function looksContract(job: Job, options: Options, today: string): Result<unknown> {
  const date = options.get('date') ?? job.crew.start ?? today;
  if (!isDay(date)) return bad(`--date is “${date}”; a day there is, written 2026-11-26, is accepted.`);
  const lat = numberFor(options, 'lat', ENDS.latitude, 'degrees north');
  const lon = numberFor(options, 'lon', ENDS.longitude, 'degrees east');
  if (!lat.ok) return lat;
  if (!lon.ok) return lon;
  if ((lat.value === undefined) !== (lon.value === undefined)) return bad('--lat and --lon go together.');
  const place =
    lat.value === undefined || lon.value === undefined ? job.place : { latitude: lat.value, longitude: lon.value };
  const here = { ...job, place };
  const system = systemOf(job);
  const plan = basePlan(job);
  const last = new Map<string, number>();
  for (const { task, pieces } of plan.placed)
    if (task.kind === 'roll' || task.kind === 'wet' || task.kind === 'brush')
      last.set(task.surface, Math.max(last.get(task.surface) ?? 0, pieces.at(-1)?.[1] ?? 0));
  const looked = lookedOver(here, stateOf(job, new Map()), date);
  const { assumed, latitude, longitude } = placeOf(here);
  const told = (look: Looked) => {
    const laid = last.get(look.surface);
    return {
      id: look.surface,
      room: job.rooms.byId[look.room]?.name ?? '',
      laid: laid ?? null,
      from: laid === undefined ? null : laid + setting(job, 'look.dry'),
      again: laid === undefined ? null : laid + setting(job, 'look.again'),
      stand: said(standWord(look, here), system),
      shows: look.shows.map(({ kind, weight, because }) => ({
        kind,
        name: said(DEFECT[kind].name, system),
        weight,
        because,
      })),
    };
  };
  return good({
    date,
    place: { latitude, longitude, assumed },
    surfaces: looked.map(told),
    sun: rows(job.rooms).map((room) => {
      const day = sunDay(here, takeoffRoom(job, room), date);
      return {
        room: room.name,
        bearing: room.bearing,
        rises: day?.rises ?? null,
        sets: day?.sets ?? null,
        walls: day
          ? day.walls.map(({ wall, spells }) => ({
              wall: room.walls.byId[wall]?.label ?? '',
              spells: spells.map(({ from, to, kind, windows, angle, side }) => ({
                from: clockTime(from),
                to: clockTime(to),
                kind,
                windows: windows.map((id) => room.openings.byId[id]?.label ?? ''),
                angle,
                side,
              })),
            }))
          : null,
      };
    }),
  });
}
