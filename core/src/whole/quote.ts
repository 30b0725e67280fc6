import { COUNTRY_ROWS, systemOf } from '../job/region.ts';
import { addDays } from '../units/date.ts';
import { rows, type Id } from '../job/table.ts';
import type { Firm } from '../job/priced.ts';
import type { Room } from '../job/measured.ts';
import type { Job } from '../job/types.ts';
import { trimNumber } from '../units/length.ts';
import { groupBy } from '../units/group.ts';
import { alike } from '../specify/alike.ts';
import { clientNamesIn } from '../specify/client-names.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { cautionsOf } from '../specify/warnings.ts';
import type { Money } from '../units/si.ts';
import { capital, inOrder, phrase, said, type Word } from '../units/word.ts';
import { reasonWord } from '../words/reasons.ts';
import { coatsWord, prepWord, primerWord, colourWord } from '../words/systems.ts';
import { SHEEN } from '../words/terms.ts';
import { shareOut } from '../order/price.ts';
import type { OptionPrice } from './options.ts';
import { type JobOrder } from './plan.ts';
import { wholeOf } from './whole.ts';

export interface QuoteRoom {
  readonly room: Id;
  readonly name: string;
  /** What is done, a sentence for each group of surfaces with one system. */
  readonly scope: readonly string[];
  readonly amount: Money;
}
export interface QuoteOption {
  readonly name: string;
  readonly taken: boolean;
  readonly what: string;
  /** Tax with it. */
  readonly amount: Money;
}
/** An offer in plain words. Rooms add up to `net`, and `net` and tax to `total`. */
export interface Quote {
  readonly job: string;
  readonly client: string;
  readonly firm: Firm;
  /** ISO date; and until when it holds. */
  readonly date: string;
  readonly until: string;
  readonly rooms: readonly QuoteRoom[];
  readonly net: Money;
  readonly taxName: string;
  /** null: nobody said, in a country that has one; 0: none. */
  readonly taxRate: number | null;
  readonly tax: Money;
  readonly total: Money;
  readonly options: readonly QuoteOption[];
  readonly included: readonly string[];
  readonly excluded: readonly string[];
  readonly cautions: readonly string[];
  readonly days: number;
  readonly people: number;
  /** What nobody has answered yet, in a sentence; empty: nothing. */
  readonly assumed: string;
  readonly notes: string;
}

/** What a quote says of its tax; null: there is none. */
export const taxLine = ({ taxName, taxRate }: Pick<Quote, 'taxName' | 'taxRate'>): string | null =>
  taxRate === null ? `${taxName} not said` : taxRate > 0 ? `${taxName}, ${trimNumber(taxRate * 100, 2)} %` : null;

/** “All four walls: wash, fill, sand; spot-prime: ...; 2 coats of ...”. */
function sentenceOf(group: readonly Specified[], room: Room | undefined): Word {
  const [s] = group;
  if (!s) return '';
  const primer = effective(s.system.primer);
  const prep = effective(s.system.prep);
  const steps = [
    ...(prep.length ? [prepWord(prep)] : []),
    ...(primer.extent === 'none' ? [] : [primerWord(primer)]),
    phrase`${coatsWord(effective(s.system.coats))} of ${s.product.name}, ${colourWord(s.colour)}, ${SHEEN[s.sheen]}`,
  ];
  const names = clientNamesIn(group, room);
  return phrase`${capital(names)}: ${inOrder(steps, '; ')}.`;
}
/** The job as an offer on a given day, its options priced. */
export function quoteOf(job: Job, order: JobOrder, options: readonly OptionPrice[], date: string, assumed = ''): Quote {
  const { surfaces, leftOut, operations } = wholeOf(job);
  const done = surfaces.filter((s) => !leftOut.has(s.surface.id));
  const perRoom = [...groupBy(done, (s) => s.surface.room)];
  const net = order.price.net;
  // a room weighs by its hours and its litres at what they cost
  const weight = (room: Id): number => {
    const minutes = operations.filter((op) => op.room === room).reduce((sum, op) => sum + op.minutes.value, 0);
    const hours = order.labour.minutes ? (minutes / order.labour.minutes) * order.labour.cost : 0;
    const paint = order.paints.reduce((sum, p) => {
      const litres = p.uses.filter((u) => u.specified.surface.room === room).reduce((n, u) => n + u.litres.value, 0);
      const all = p.uses.reduce((n, u) => n + u.litres.value, 0);
      return sum + (all ? (litres / all) * (p.choice?.cost ?? 0) : 0);
    }, 0);
    return hours + paint;
  };
  const amounts = shareOut(
    net,
    perRoom.map(([room]) => weight(room)),
  );
  return {
    job: job.name,
    client: job.pricing.client,
    firm: job.pricing.firm,
    date,
    until: addDays(date, job.pricing.valid),
    rooms: perRoom.map(([room, list], i) => ({
      room,
      name: job.rooms.byId[room]?.name ?? '',
      scope: alike(list).map((group) => said(sentenceOf(group, job.rooms.byId[room]), systemOf(job))),
      amount: amounts[i] ?? 0,
    })),
    net,
    taxName: job.pricing.taxName,
    taxRate: job.pricing.tax ?? (COUNTRY_ROWS[job.region.country].tax === null ? 0 : null),
    tax: order.price.tax,
    total: order.price.total,
    options: options.map(({ option, price }) => ({
      name: option.name,
      taken: option.taken,
      what: whatOf(job, option, surfaces),
      amount: price,
    })),
    included: [
      'Covering of floors and of furniture that stays in the room, and uncovering.',
      'Plates taken off with the power off, and put back.',
      'Paint, primer and everything used up, as far as it is named here.',
      'Clean-up every day; what paint is left over stays with you for touch-ups.',
    ],
    excluded: [
      ...rows(job.options)
        .filter((o) => !o.taken && o.finish === null)
        .map((o) => `${o.name}: an option, priced separately.`),
      'Moving of heavy furniture, and what is found once plates, coverings or old coats are off.',
      'Work on wiring, pipes and windows’ glazing; removal of lead paint or of textures that hold asbestos.',
    ],
    cautions: [...new Map(done.flatMap((s) => cautionsOf(s).map((c) => [c.rule, c] as const))).values()].map(
      (caution) => said(reasonWord(caution), systemOf(job)),
    ),
    days: order.labour.days,
    people: job.crew.people.length,
    assumed,
    notes: job.pricing.notes,
  };
}

function whatOf(job: Job, option: Job['options']['byId'][string], surfaces: readonly Specified[]): string {
  const chosen = surfaces.filter((s) => option.surfaces.includes(s.surface.id));
  const { finish } = option;
  const how = finish
    ? `in ${job.products[finish.product]?.name}, ${job.colours[finish.colour]?.name}`
    : 'painted as well';
  const perRoom = [...groupBy(chosen, (s) => s.surface.room)].map(
    ([room, list]) => phrase`${job.rooms.byId[room]?.name ?? ''}: ${clientNamesIn(list, job.rooms.byId[room])}`,
  );
  return chosen.length
    ? said(phrase`${inOrder(perRoom, '. ')}; ${how}`, systemOf(job))
    : 'surfaces that are no longer there';
}
