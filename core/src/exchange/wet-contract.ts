import { systemOf } from '../job/region.ts';
import type { Air } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { ENDS, within } from '../job/limits.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { said } from '../units/word.ts';
import { WET_RUNS, WET_SEED, wetAskFor } from '../whole/wet.ts';
import { wholeOf } from '../whole/whole.ts';
import { reasonWord } from '../words/reasons.ts';
import { adviceOf, remediesOf } from '../wetEdge/remedies.ts';
import { ageRunningFree } from '../wetEdge/uniform.ts';
import { wetEdgeOf, type WetAnswer } from '../wetEdge/wetEdge.ts';
import { at } from '../units/list.ts';

/** What the ways of going about a wall were called before it was decided by what is seen: kept for those who read `role`. */
const ROLES: Readonly<Record<WetAnswer['setup']['plan']['method'], string>> = {
  whole: 'cut-all',
  sections: 'stretches',
  follow: 'follow',
  two: 'two',
  'dry-edges': 'cut-all',
};

/** Edges that are marked on one wall in a thousand or oftener, the likeliest first: where along the way of rolling, and how. */
function marksAt({ chance, setup: { cells, wall } }: WetAnswer): unknown[] {
  return [...chance]
    .map((share, i) => {
      const of = at(cells.of, i);
      const isBand = i < cells.bands;
      return { kind: isBand ? 'halo' : 'lap', at: isBand ? wall.cuts[of]?.from : wall.strips[of]?.to, chance: share };
    })
    .filter((mark) => mark.chance >= 0.001)
    .sort((a, b) => b.chance - a.chance);
}

type Options = ReadonlyMap<string, string>;

/**
 * `wetedge`: can a wall be kept wet? Options: `room` and `wall` by name or label, or `surface`; `people` 1 or 2; `air` as C,RH,v;
 * `coat`; `uniform`: nobody varies.
 */
export function wetContract(job: Job, options: Options): Result<unknown> {
  const found = surfaceFor(job, options);
  if (!found.ok) return found;
  const people = options.get('people');
  if (people !== undefined && people !== '1' && people !== '2')
    return bad(`--people is “${people}”; 1 and 2 are accepted.`);
  const air = airFor(options.get('air'));
  if (!air.ok) return air;
  const text = options.get('coat');
  const coat = text === undefined ? null : Number(text);
  const ask = wetAskFor(job, found.value, {
    coat,
    ...(people === '1' ? { people: 1 } : people === '2' ? { people: 2, method: 'follow' } : {}),
    air: air.value,
    uniform: options.has('uniform'),
  });
  if (!ask) {
    const coats = wetAskFor(job, found.value, { coat: 1 })?.coats ?? 0;
    return bad(`--coat is “${text ?? ''}”; this surface gets ${coats}, so 1 to ${coats} is accepted.`);
  }
  const answer = wetEdgeOf(ask, WET_RUNS, WET_SEED);
  if (!answer) return bad('This surface is not rolled in strips: nothing of it has to meet wet.');
  const { case: own, setup, plan } = answer;
  const remedies = remediesOf(ask, plan);
  const system = systemOf(job);
  const { paces, wall, open, strip } = own;
  const finite = (minutes: number) => (Number.isFinite(minutes) ? minutes : null);
  return good({
    surface: found.value,
    coat: ask.coat,
    people: plan.people,
    role: ROLES[setup.plan.method],
    method: plan.method,
    openTime: finite(open.minutes),
    drying: open.drying,
    doubtful: open.doubtful,
    dries: open.dries,
    cutPace: finite(paces.cut),
    rollPace: finite(paces.roll),
    turn: paces.turn,
    length: wall.length,
    strips: wall.strips.length,
    stripMinutes: strip,
    stretch: Math.min(wall.length, (wall.length / wall.strips.length) * (setup.plan.strips || wall.strips.length)),
    longestStretch: answer.longestStretch,
    lead: answer.lead,
    maxAge: answer.maxAge,
    runningFree: finite(ageRunningFree(paces, wall.length, 0)),
    lapChance: plan.lap,
    haloChance: plan.halo,
    seen: plan.seen,
    marks: marksAt(answer),
    runs: answer.runs,
    visible: plan.visible,
    alone: plan.people === 1,
    minutes: plan.minutes,
    work: plan.work,
    conditioner: plan.conditioner,
    sections: plan.sections,
    cost: plan.cost,
    cautions: answer.limits.map((rule) => ({ rule, text: said(reasonWord({ rule, with: {} }), system) })),
    remedies: remedies.map(({ change, value, price, cost, way }) => ({
      change,
      value,
      price,
      cost,
      method: way.method,
      lapChance: way.lap,
      haloChance: way.halo,
      seen: way.seen,
    })),
    advice: said(reasonWord(adviceOf(plan)), system),
  });
}

function surfaceFor(job: Job, options: Options): Result<string> {
  const { lines } = wholeOf(job);
  const painted = lines.flatMap((room) => room.painted.map((s) => s.surface.id));
  const surface = options.get('surface');
  if (surface !== undefined)
    return painted.includes(surface)
      ? good(surface)
      : bad(`“${surface}” is no surface that this job paints; --surface takes one of ${painted.join(', ')}.`);
  const [room, wall] = [options.get('room'), options.get('wall')];
  const names = lines.map(({ takeoff }) => takeoff.room.name);
  const own = lines.find(({ takeoff: { room: r } }) => r.id === room || r.name.toLowerCase() === room?.toLowerCase());
  if (!own)
    return bad(
      `${room === undefined ? 'Which room?' : `There is no room “${room}”.`} --room takes one of ${names.join(', ')}.`,
    );
  const labels = own.takeoff.walls.map((w) => w.wall.label);
  const found = own.takeoff.walls.find((w) => w.wall.id === wall || w.wall.label.toLowerCase() === wall?.toLowerCase());
  const id = wall === 'ceiling' ? `${own.takeoff.room.id}/ceiling` : found && `${found.wall.id}/field`;
  if (!id)
    return bad(
      `${wall === undefined ? 'Which wall?' : `There is no wall “${wall}”.`} --wall takes one of ${labels.join(', ')}, ceiling.`,
    );
  return painted.includes(id) ? good(id) : bad(`Nothing of “${wall ?? ''}” is painted with this job.`);
}

/** Air as a shell says it: degrees Celsius, relative humidity as a share or per cent, draught in m/s. */
function airFor(text: string | undefined): Result<Partial<Air>> {
  if (text === undefined) return good({});
  const parts = text.split(',').map((part) => Number(part.trim().replace(/%$/, '')));
  const [temperature = NaN, share = NaN, draught = 0.1] = parts;
  const humidity = share > 1 ? share / 100 : share;
  const isAir = within(temperature, ENDS.temperature) && within(humidity, ENDS.share) && within(draught, ENDS.draught);
  return isAir && parts.length <= 3
    ? good({ temperature, humidity, draught, day: [] })
    : bad(
        `--air is “${text}”; degrees Celsius from -20 to 60, humidity up to 100 %, m/s from 0 to 10 are accepted, such as 20,50,0.1.`,
      );
}
