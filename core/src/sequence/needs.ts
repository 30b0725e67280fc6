import type { Job } from '../job/types.ts';
import { familyOf, type Division, type Skill, type TaskKind } from '../job/vocabulary.ts';
import { paintOn } from '../lines/finishes.ts';
import { reachOf } from '../paces/reach.ts';
import { ruleOf } from '../paces/rules.ts';
import { paintOf, type Go } from '../work/goes.ts';
import { driesAfter, isFaceWax } from '../work/lags.ts';
import { momentOf } from './calendar.ts';
import { PLAIN, type Activity } from './instance.ts';

type Needing = Pick<Job, 'settings' | 'practice' | 'crew' | 'air' | 'pins' | 'wanted'>;

/** What somebody must be able to do; none: anybody can. */
const SKILLS: Readonly<Record<TaskKind, readonly Skill[]>> = {
  protect: [],
  wash: ['prepare'],
  fill: ['prepare'],
  sand: ['prepare'],
  caulk: ['prepare'],
  spot: ['prepare'],
  'prime-cut': ['cut'],
  'prime-roll': ['roll'],
  'prime-brush': ['brush'],
  mask: ['mask'],
  card: ['mask'],
  lap: ['cut'],
  cut: ['cut'],
  roll: ['roll'],
  wet: ['cut', 'roll'],
  brush: ['brush'],
  wax: ['brush'],
  unmask: ['mask'],
  look: [],
  mend: [],
  'touch-up': [],
  clear: [],
};
/** Work platforms, counted with the crew's things. */
export const PLATFORM = 'platform';
/** Hours without noise; hours so early that what is painted is dry when windows are shut. */
export const QUIET = 'quiet';
export const BEFORE = 'before ';

/** Where a go is done, with what, by whom, in which hours: what the solver has to know beside its minutes. */
export function needsOf(
  job: Needing,
  go: Go,
): Pick<Activity, 'room' | 'paint' | 'tool' | 'who' | 'hours' | 'at' | 'by' | 'uses'> {
  const product = go.specified && paintOf(go);
  const tools = go.operations.map((op) => ruleOf(op.kind).tool).filter((tool) => tool !== 'none');
  const pin = job.pins[go.id];
  const wanted = job.wanted[go.room];
  return {
    room: go.room,
    paint: product && go.specified ? (product.role === 'primer' ? product.id : paintOn(go.specified)) : null,
    tool: tools.at(-1) ?? null,
    who: whoFor(job, go),
    hours: hoursFor(job, go),
    at: pin?.at ? momentOf(job.crew, pin.at) : null,
    by: wanted ? momentOf(job.crew, wanted) : null,
    uses: go.specified && reachOf(job, go.specified.surface) === 'platform' ? [PLATFORM] : [],
  };
}

const ROLLED: readonly TaskKind[] = ['prime-roll', 'roll', 'unmask'];
const EDGED: readonly TaskKind[] = ['prime-cut', 'lap', 'cut'];
/** Whose part of a divided work it is, index into the crew; null: whoever is free. [common practice, no source] */
const PARTS: Readonly<Record<Division, { readonly people: number; readonly of: (go: Go) => number | null }>> = {
  free: { people: 1, of: () => null },
  'ceilings-walls': {
    people: 2,
    of: ({ specified, kind }) => {
      const family = specified && kind !== 'mask' && kind !== 'unmask' ? familyOf(specified.surface.kind) : 'trim';
      return family === 'trim' ? null : family === 'ceiling' ? 0 : 1;
    },
  },
  'mask-lap': {
    people: 2,
    of: ({ kind }) => (kind === 'mask' || kind === 'card' ? 0 : EDGED.includes(kind) ? 1 : null),
  },
  'seal-cut-roll': {
    people: 3,
    of: ({ kind }) =>
      kind === 'mask' || kind === 'card' ? 0 : EDGED.includes(kind) ? 1 : ROLLED.includes(kind) ? 2 : null,
  },
};
/** Is the work divided so, that there are people enough for it? */
export const isDivided = ({ practice, crew }: Pick<Job, 'practice' | 'crew'>): boolean =>
  practice.division !== 'free' && crew.people.length >= PARTS[practice.division].people;

/** Those who were pinned, else whose part it is, else all who can; where nobody can, anybody must. */
function whoFor(job: Needing, go: Go): readonly number[] | null {
  const { crew, pins, practice } = job;
  const { id, kind } = go;
  const of = (able: (n: number) => boolean): number[] => crew.people.flatMap((_, n) => (able(n) ? [n] : []));
  const pinned = of((n) => pins[id]?.who?.includes(crew.people[n]?.id ?? '') ?? false);
  if (pinned.length) return pinned;
  const able = of((n) => SKILLS[kind].every((skill) => crew.people[n]?.skills?.includes(skill) ?? true));
  const part = isDivided(job) ? PARTS[practice.division].of(go) : null;
  if (part !== null && able.includes(part)) return [part];
  return able.length && able.length < crew.people.length ? able : null;
}

function hoursFor(job: Needing, go: Go): string {
  const { quiet, closing } = job.crew;
  if (quiet.length && go.operations.some((op) => ruleOf(op.kind).dusty)) return QUIET;
  if (closing === null || go.specified?.surface.kind !== 'sash') return PLAIN;
  if (isFaceWax(go)) return `${BEFORE}${closing}`;
  return paintOf(go) ? `${BEFORE}${Math.max(0, closing - driesAfter(job, go).touch)}` : PLAIN;
}
