import { rows, type Id, type SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Prices } from '../order/samples.ts';
import { phrase, type Word } from '../units/word.ts';
import { THE } from '../words/terms.ts';
import type { Assumed } from './rests.ts';

export type StepKey = 'measure' | 'specify' | 'order' | 'technique' | 'sequence' | 'site' | 'inspect' | 'record';

/** What a step wants next, in one line, and where that is done. */
export interface Wanted {
  readonly say: Word;
  /** The step it is done in, where that is another. */
  readonly step: StepKey;
  readonly room?: Id;
  readonly surface?: SurfaceId;
  /** The conversation of its room. */
  readonly ask?: 'room';
  /** The field it is said in. */
  readonly show?: 'start';
}
export interface Known {
  readonly job: Pick<Job, 'rooms' | 'products' | 'crew' | 'defects' | 'leftovers' | 'earlier' | 'pricing'>;
  readonly takeoffs: readonly RoomTakeoff[];
  /** null: not worked out yet. */
  readonly assumed: Assumed | null;
  /** Of what is bought; null: not worked out yet. */
  readonly prices: Prices | null;
  readonly plan: { readonly problems: number; readonly tasks: number } | null;
}

const many = (n: number, one: string, more = `${one}s`): string => `${n} ${n === 1 ? one : more}`;

/** Every step has something to say, whatever is known; what is not measured comes before all else. */
export function wantedNext(step: StepKey, known: Known): Wanted {
  const gap = toMeasure(known.takeoffs);
  if (gap && (step === 'measure' || !known.takeoffs.some((t) => t.surfaces.length))) return gap;
  return OF[step](known);
}

function toMeasure(takeoffs: readonly RoomTakeoff[]): Wanted | null {
  if (!takeoffs.length) return { say: 'Add a room, then type its first wall.', step: 'measure' };
  for (const { room, missing, problems, closure } of takeoffs) {
    const at = { step: 'measure', room: room.id } as const;
    if (missing.length)
      return { ...at, say: `${room.name}: ${many(missing.length, 'wall')} to measure, ${missing[0] ?? ''} next.` };
    if (problems.length) return { ...at, say: `${room.name}: ${many(problems.length, 'thing')} to mend.` };
    if (closure?.provisional)
      return { ...at, say: `The walls of ${room.name} do not fit: check the one that is named, or take a diagonal.` };
    if (!room.openings.order.length)
      return { ...at, say: `${room.name} has no door or window yet: each is wall that is not painted.` };
  }
  return null;
}

const OF: Readonly<Record<StepKey, (known: Known) => Wanted>> = {
  measure: () => ({ say: 'Measured. What is on the walls now?', step: 'specify', ask: 'room' }),
  specify: ({ assumed }) => {
    const [first] = assumed?.open ?? [];
    if (!assumed) return { say: 'Say what is there now.', step: 'specify', ask: 'room' };
    if (!first) return { say: 'Every answer is there. Look what it takes.', step: 'order' };
    const { room, surface } = first;
    const say = `${many(assumed.open.length, 'assumption')} in this price: answer those you know.`;
    // the whole room is asked about first
    return { say, step: 'specify', room, surface, ask: 'room' };
  },
  order: ({ prices }) =>
    prices?.samples === 0
      ? {
          say: phrase`Prices are yours. Choose your risk of a ${THE.can} too few, then print the list.`,
          step: 'order',
        }
      : {
          say: prices
            ? `${prices.samples} of ${prices.all} prices ${prices.samples === 1 ? 'is a sample' : 'are samples'}: type yours.`
            : 'Look what to buy, and type your prices beside it.',
          step: 'order',
        },
  technique: () => ({
    say: 'Every line has its way to be cut; pick one to see the others, and what each costs.',
    step: 'technique',
  }),
  sequence: ({ job, plan }) => {
    if (plan?.problems)
      return { say: 'It cannot be planned yet: what stands in the way is named here.', step: 'sequence' };
    return job.crew.start
      ? { say: 'Print each person’s day, or pin a task where it has to be.', step: 'sequence' }
      : { say: 'Say on which day it begins: then every time has its date.', step: 'sequence', show: 'start' };
  },
  site: ({ job }) =>
    job.crew.start
      ? { say: 'Press Start when you begin a task: drying is counted from there.', step: 'site' }
      : { say: 'Say in Sequence on which day it begins, then press Start on site.', step: 'sequence', show: 'start' },
  inspect: ({ job }) => {
    const open = rows(job.defects).filter(({ state }) => state === 'open');
    const [first] = open;
    return first
      ? {
          say: `${many(open.length, 'defect')} to mend before it is handed over.`,
          step: 'inspect',
          surface: first.surface,
        }
      : { say: 'Look along each wall with a lamp; tap where something shows.', step: 'inspect' };
  },
  record: ({ job }) =>
    Object.keys(job.leftovers).length
      ? { say: 'Print the labels for what is left, and the home record.', step: 'record' }
      : { say: phrase`After the last coat: say what is left in each ${THE.can} and where it stands.`, step: 'record' },
};
