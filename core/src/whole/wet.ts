import type { Air } from '../job/region.ts';
import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { CONDITIONERS, type Conditioner, type Skill, type WetMethod } from '../job/vocabulary.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { openOf } from '../plays/manner.ts';
import { effective } from '../specify/reasons.ts';
import { specifySurface, type Specified } from '../specify/specify.ts';
import { isDivided } from '../sequence/needs.ts';
import type { Keep } from '../sequence/task.ts';
import { numberOf, remember, rememberLast } from '../units/remember.ts';
import type { Metres, Minutes } from '../units/si.ts';
import { shutIn, withCover, type WetAsk } from '../wetEdge/ask.ts';
import { wetEdgePlan, type WetEdgePlan } from '../wetEdge/decide.ts';
import type { Remedy } from '../wetEdge/remedies.ts';
import { because } from '../words/reasons.ts';
import { coatAskFor } from './coat-ask.ts';
import type { Decided } from './inputs.ts';
import { finishesWith, handsOf, plainly, type Made, type SpecifiedRoom } from './plain.ts';

/** What is asked of a wall otherwise than it is decided: who is on it, in what air, with what. */
export interface WetWish {
  /** null: the last, which is looked at. */
  readonly coat?: number | null;
  readonly people?: 1 | 2;
  readonly method?: WetMethod | null;
  readonly strips?: number | null;
  readonly at?: Minutes | null;
  /** In place of that of the job. */
  readonly air?: Partial<Air>;
  readonly conditioner?: Conditioner;
  /** Of the cover. */
  readonly width?: Metres;
  /** Windows and doors are shut. */
  readonly shut?: boolean;
  readonly uniform?: boolean;
}
/** Runs by which a wall is shown, and the seed of all of them. */
export const WET_RUNS = 2000;
export const WET_SEED = 14;

/** Last coats of so many surfaces are known. */
const KNOWN = 4000;

/** The question of a wet edge, with all that it reads; null: the surface is not painted, or has no such coat. */
export function wetAskFor(job: Decided, surface: SurfaceId, wish: WetWish): WetAsk | null {
  const { coat = null, strips = null, air, width, shut = false, uniform = false } = wish;
  const source = sourceOf(plainly(job));
  const first = coatAskFor(source, job, surface, { coat: 1 });
  const ask = first && (coat === 1 ? first : coatAskFor(source, job, surface, { coat: coat ?? first.coats }));
  if (!ask) return null;
  const { settings, practice, crew, prices, region } = job;
  const own = {
    ...ask,
    job: { settings, practice, crew, prices, region, air: air ? { ...job.air, ...air } : job.air },
  };
  const school = schoolOf(job);
  const asked: WetAsk = {
    ...own,
    people: wish.people ?? school.people,
    methods: wish.method ? [wish.method] : wish.people ? null : school.methods,
    strips,
    longest: longestOf(crew),
    conditioner: wish.conditioner ?? ask.specified.system.conditioner.override ?? null,
    at: wish.at === undefined ? driestHour(own, crew.hours) : wish.at,
    uniform,
  };
  const covered = width === undefined ? asked : withCover(asked, width);
  return shut ? shutIn(covered) : covered;
}

const sourceOf = remember((made: Made) => ({
  lines: made.lines(),
  operations: made.operations(),
  paints: made.paints(),
}));

/** Who is on a last coat, by the practice and by who can: two where one can cut while another rolls behind. */
function schoolOf({ crew, practice }: Pick<Job, 'crew' | 'practice'>): Pick<WetAsk, 'people' | 'methods'> {
  const able = (skill: Skill) => crew.people.filter((person) => person.skills?.includes(skill) ?? true);
  const people = able('cut').some((one) => able('roll').some((other) => other !== one)) ? 2 : 1;
  if (practice.roles === 'cut-all') return { people: 1, methods: ['dry-edges'] };
  if (practice.roles === 'alone' || people === 1) return { people: 1, methods: null };
  // who cuts never rolls where the work is divided so
  const isApart = practice.division === 'seal-cut-roll' && isDivided({ crew, practice });
  const isPair = practice.roles === 'pair' || isApart;
  return { people, methods: isPair ? ['follow', 'two'] : null };
}

const longestOf = ({ hours, people }: Job['crew']): Minutes =>
  Math.max(0, ...people.flatMap((person) => (person.hours ?? hours).map(([from, to]) => to - from)));

/** The hour of the working day at which paint sets soonest, so that what is planned by it holds whenever it is done; null: one air all day. */
function driestHour(ask: PlayAsk, hours: Job['crew']['hours']): Minutes | null {
  if (!ask.job.air.day.length) return null;
  const [first, last] = [hours[0]?.[0] ?? 0, hours.at(-1)?.[1] ?? 0];
  const marks = Array.from({ length: Math.max(1, Math.ceil((last - first) / 60)) }, (_, i) => first + 60 * i);
  const open = (at: Minutes): Minutes => openOf(ask, 0.5, at).minutes;
  return marks.reduce((driest, at) => (open(at) < open(driest) ? at : driest));
}

/** A decision holds as long as what its play, its minutes and its price are made of stays the same. */
const decided = rememberLast(
  KNOWN,
  (job: Decided, { specified, litres }: WetAsk, room: object) => {
    const { settings, practice, crew, air, prices } = job;
    const parts = [specified, room, settings, practice, crew, air, prices].map(numberOf);
    return [...parts, litres].join();
  },
  (job, ask, _room): WetEdgePlan | null => {
    const plan = wetEdgePlan(ask);
    if (!plan?.conditioner || ask.conditioner !== null) return plan;
    // conditioner that thins the film until it asks for one coat more is none
    const then = dosed(job, ask.takeoff, ask.specified, plan);
    const isOneMore = effective(then.system.coats) > effective(ask.specified.system.coats);
    return isOneMore ? wetEdgePlan({ ...ask, conditioner: 0 }) : plan;
  },
);

/** How the last coat of a surface is kept wet; null: nothing of it has to be. */
export function wetPlanFor(job: Decided, surface: SurfaceId): WetEdgePlan | null {
  const ask = wetAskFor(job, surface, {});
  const room =
    ask &&
    plainly(job)
      .lines()
      .find(({ takeoff }) => takeoff === ask.takeoff);
  return ask && room ? decided({ ...job, crew: handsOf(job.crew) }, ask, room.made) : null;
}

/** For the planner: how each last coat is kept wet. */
export const keepFor =
  (job: Decided): Keep =>
  (surface) =>
    wetPlanFor(job, surface);

/** A surface with the conditioner that its wet edge asks for. */
const dosed = (job: Decided, takeoff: RoomTakeoff, s: Specified, plan: WetEdgePlan): Specified =>
  specifySurface({ ...job, finishes: finishesWith(job.finishes, job.options) }, s.surface, takeoff.room, {
    ...s.around,
    conditioner: {
      value: plan.conditioner,
      because: [because('conditioner.wet', { seen: plan.seen, dose: plan.conditioner })],
    },
  });

const inPlace = remember((surfaces: readonly Specified[], key: string, own: ReadonlyMap<Specified, Specified>) =>
  key ? surfaces.map((s) => own.get(s) ?? s) : surfaces,
);

/** A room with the conditioner that its wet edges ask for; the same room where they ask for none. */
export function keptWet(job: Decided, room: SpecifiedRoom): SpecifiedRoom {
  const own = new Map<Specified, Specified>();
  for (const s of room.done) {
    const plan = s.system.conditioner.override === undefined && isKept(s) ? wetPlanFor(job, s.surface.id) : null;
    if (plan?.conditioner) own.set(s, dosed(job, room.takeoff, s, plan));
  }
  if (!own.size) return room;
  const key = [...own.values()].map((s) => numberOf(s.system)).join();
  return {
    takeoff: room.takeoff,
    surfaces: inPlace(room.surfaces, key, own),
    done: inPlace(room.done, key, own),
  };
}
const isKept = ({ surface: { kind, area } }: Specified): boolean =>
  (kind === 'wall' || kind === 'ceiling' || kind === 'door') && area.value > 0;

/** The same question with a remedy taken. */
export function withRemedy(wish: WetWish, { change, value }: Pick<Remedy, 'change' | 'value'>): WetWish {
  switch (change) {
    case 'whole':
      return { ...wish, method: 'whole', strips: null };
    case 'sections':
      return { ...wish, method: 'sections', strips: null };
    case 'conditioner':
      return { ...wish, conditioner: CONDITIONERS.find((dose) => dose === value) ?? 0 };
    case 'undosed':
      return { ...wish, conditioner: 0 };
    case 'second':
      return { ...wish, people: 2, method: 'follow', strips: null };
    case 'wider':
      return { ...wish, width: value };
    case 'hour':
      return { ...wish, at: value };
    case 'shut':
      return { ...wish, shut: true };
  }
}
