import { compare, NO_FACTS, REMEDIES_FOR, type Comparison, type Facts } from '../inspect/compare.ts';
import { looksOf, showsOn, type Look, type Shows } from '../inspect/looks.ts';
import { sunDay, type Spell, type SunDay } from '../inspect/sun.ts';
import { rows, type Id, type SurfaceId } from '../job/table.ts';
import type { Defect, RemedyKind } from '../job/recorded.ts';
import type { Job } from '../job/types.ts';
import { familyOf } from '../job/vocabulary.ts';
import { takeoffRoom } from '../measure/takeoff.ts';
import type { Task } from '../sequence/task.ts';
import type { LogEntry } from '../site/entry.ts';
import type { SiteState, TaskLog } from '../site/fold.ts';
import { zeroOf } from '../site/moments.ts';
import { isDamp, isRaked, patchesOf } from '../specify/case.ts';
import { effective } from '../specify/reasons.ts';
import { cutCoatsOf, type Specified } from '../specify/specify.ts';
import { remember } from '../units/remember.ts';
import type { Minutes } from '../units/si.ts';
import type { WholeInput } from './inputs.ts';
import { networkOn, openFor, stateOf } from './site.ts';
import { wholeOf } from './whole.ts';

/** A surface as it is looked over. */
export interface Looked {
  readonly surface: SurfaceId;
  readonly room: Id;
  /** null: nothing of it is done yet. */
  readonly look: Look | null;
  readonly shows: readonly Shows[];
  /** Direct sun that rakes it that day, the flattest first; none: a lamp does. */
  readonly sun: readonly Spell[];
  /** Windows beside it, whose daylight grazes it. */
  readonly grazedBy: readonly string[];
  readonly raked: boolean;
  readonly trim: boolean;
}

/** What Inspect reads of a job besides what the plan does. */
export type InspectOwn = Pick<Job, 'place' | 'defects'>;
type Looking = WholeInput & InspectOwn;

/** Chance that a stretch of the last coat laps, by surface. */
const lapsOn = remember(
  (tasks: readonly Task[]): ReadonlyMap<SurfaceId, number> =>
    new Map(tasks.flatMap(({ kept, surface }) => (kept ? [[surface, kept.lap] as const] : []))),
);

/** All surfaces of a job that are painted, as they are looked over on a day. */
export function lookedOver(job: Looking, state: SiteState, date: string): Looked[] {
  const { tasks } = networkOn(job).network;
  const laps = lapsOn(tasks);
  const taped = new Set(tasks.flatMap(({ kind, surface }) => (kind === 'mask' ? [surface] : [])));
  const looks = new Map(looksOf(job, state).map((look) => [look.surface, look]));
  const suns = new Map<Id, SunDay | null>(
    rows(job.rooms).map((room) => [room.id, sunDay(job, takeoffRoom(job, room), date)]),
  );
  const unboxed = job.practice.boxing !== 'box';
  return wholeOf(job).lines.flatMap(({ painted }) =>
    painted.map((s): Looked => {
      const { id, room, wall } = s.surface;
      const spells = suns.get(room)?.walls.find((own) => own.wall === wall)?.spells ?? [];
      return {
        surface: id,
        room,
        look: looks.get(id) ?? null,
        shows: showsOn(s, { laps: laps.get(id) ?? null, taped: taped.has(id), unboxed }),
        sun: spells.filter(({ kind }) => kind === 'rakes').sort((a, b) => a.angle - b.angle),
        grazedBy: s.grazedBy,
        raked: isRaked(s),
        trim: familyOf(s.surface.kind) === 'trim',
      };
    }),
  );
}

/** The longest that a task lay still between two who were on it, or one who came back. */
function longestPause({ sessions }: TaskLog): Minutes {
  const sorted = [...sessions].sort((a, b) => a.from - b.from);
  let reached = sorted[0]?.from ?? 0;
  let longest = 0;
  for (const { from, to } of sorted) {
    longest = Math.max(longest, from - reached);
    reached = Math.max(reached, to ?? from);
  }
  return longest;
}

/** What log, survey and plan know about the coat a defect was seen on. */
export function factsOf(job: Looking, state: SiteState, defect: Pick<Defect, 'surface' | 'coat'>): Facts | null {
  const { painted } = wholeOf(job).lines.find((room) =>
    room.painted.some(({ surface }) => surface.id === defect.surface),
  ) ?? { painted: [] };
  const s = painted.find(({ surface }) => surface.id === defect.surface);
  if (!s) return null;
  const own = networkOn(job).network.tasks.filter(({ surface }) => surface === s.surface.id);
  const coats = own.filter(({ kind }) => kind === 'roll' || kind === 'wet' || kind === 'brush');
  const laid = coats.filter(({ id }) => (state.tasks.get(id)?.done ?? null) !== null);
  const task = laid.find(({ coat }) => coat === defect.coat) ?? laid.at(-1);
  const log = task && state.tasks.get(task.id);
  const before = task && laid[laid.indexOf(task) - 1];
  const cut =
    task && own.filter(({ kind }) => kind === 'cut' || kind === 'lap').findLast(({ coat }) => coat <= cutOf(s, task));
  const key = `${s.product.id}|${s.sheen}|${s.colour.id}`;
  const batches = new Set(state.pots.flatMap(({ paint, batch }) => (paint === key && batch ? [batch] : [])));
  const begun = log?.sessions[0]?.from ?? null;
  const beforeDone = before ? (state.tasks.get(before.id)?.done ?? null) : null;
  const cutDone = cut ? (state.tasks.get(cut.id)?.done ?? null) : null;
  const steps = effective(s.system.prep);
  return {
    pause: log ? longestPause(log) : null,
    open: task ? openFor(job)(task) : null,
    cutAge: begun !== null && cutDone !== null ? Math.max(0, begun - cutDone) : null,
    early: begun !== null && beforeDone !== null ? s.product.recoat - (begun - beforeDone) : null,
    batches: batches.size,
    boxed: job.practice.boxing === 'box',
    coatsLeft: laid.length ? coats.length - laid.length : 0,
    hiding: laid.length ? (s.hiding.looks[laid.length - 1]?.thinDelta ?? null) : null,
    patched: patchesOf(s.survey) > 0,
    spotPrimed: s.primers.some(({ product }) => product !== null),
    greasy: s.survey.stains.some((stain) => stain === 'grease' || stain === 'smoke') && !steps.includes('degrease'),
    damp: isDamp(s.survey),
    weak: s.survey.condition === 'weak' || s.survey.condition === 'peeling' || (s.survey.adhesion ?? 0) >= 3,
    stained: s.survey.stains.length > 0,
    taped: own.some(({ kind }) => kind === 'mask'),
    pulledLate: job.practice.pull === 'dry',
    otherPile: s.nap.steps !== 0,
    moves: s.surface.kind === 'sash' || s.surface.kind === 'door',
  };
}
/** Cuts may be more than coats. */
const cutOf = (s: Specified, { coat }: Task): number => coat + cutCoatsOf(s) - effective(s.system.coats);

/** A defect with what can be said of it. */
export interface DefectView extends Comparison {
  readonly id: Id;
  readonly remedies: readonly RemedyKind[];
  /** Steps of its remedy that the log has. */
  readonly visits: { readonly all: number; readonly done: number };
}
/** All defects of a job, each with its causes ranked and what may be done. */
export function defectViews(job: Looking, state: SiteState): DefectView[] {
  const { tasks } = networkOn(job).network;
  return rows(job.defects).map((defect): DefectView => {
    const visits = tasks.filter(({ kind, surface }) => kind === 'mend' && surface === defect.surface);
    const done = visits.filter(({ id }) => (state.tasks.get(id)?.done ?? null) !== null);
    return {
      id: defect.id,
      ...compare(defect.kind, defect.signs, factsOf(job, state, defect) ?? NO_FACTS),
      remedies: REMEDIES_FOR[defect.kind],
      visits: { all: defect.remedy && defect.state === 'open' ? visits.length : 0, done: done.length },
    };
  });
}

/** All that Inspect shows of a day. */
export interface InspectView {
  readonly looked: readonly Looked[];
  readonly defects: readonly DefectView[];
  /** When the job's minutes begin, ms since 1970; null: it has no first day and no log. */
  readonly zero: number | null;
}
/** What Inspect shows: when each surface may be looked at, and defects with their causes. @param date the day it is. */
export function inspectView(job: Looking, entries: readonly LogEntry[], date: string): InspectView {
  const log = new Map(entries.map((entry) => [entry.id, entry]));
  const state = stateOf(job, log);
  return { looked: lookedOver(job, state, date), defects: defectViews(job, state), zero: zeroOf(job.crew, log) };
}
