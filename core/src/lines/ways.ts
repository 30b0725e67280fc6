import type { LineMethod } from '../job/vocabulary.ts';
import { hourlyOf } from '../paces/prices.ts';
import { reachFactor } from '../paces/reach.ts';
import { effective } from '../specify/reasons.ts';
import { remember, rememberLast } from '../units/remember.ts';
import type { Metres } from '../units/si.ts';
import type { Line, Side } from './line.ts';
import { cutsOf, lightnessOf, methodsFor, optionOf, staysOf, type Lining, type Option } from './methods.ts';
import type { School } from './schools.ts';

/** Cases of lines that are kept: a house has some dozens. */
const CASES = 2000;

/** All of a side that a way of making its line reads. */
const caseOf = remember((side: NonNullable<Side['s']>, settings: Lining['settings']): string => {
  const { surface, survey, sheen, colour, system } = side;
  const { kind } = surface;
  const deep = lightnessOf(colour);
  return [
    kind,
    survey.texture,
    sheen,
    deep,
    effective(system.coats),
    cutsOf({ s: side }),
    reachFactor({ settings }, surface),
  ].join();
});
const sideCase = (job: Lining, { s, end }: Side): string => (s ? `${caseOf(s, job.settings)},${end}` : 'none');

type Ask = readonly [job: Lining, line: Line, first: 0 | 1, asked: LineMethod | undefined];

/** Everything of a way is in proportion to its length, so lines alike are worked out once, for a metre. */
const byMetre = remember(
  (
    ...[settings, practice, crew, learned, prices, region]: [
      Lining['settings'],
      Lining['practice'],
      Lining['crew'],
      Lining['learned'],
      Lining['prices'],
      Lining['region'],
    ]
  ) => {
    const perMinute = hourlyOf({ crew }) / 60;
    return rememberLast(
      CASES,
      (...[job, line, first, asked]: Ask) => {
        const [a, b] = line.sides;
        const { stays } = line.said;
        return `${line.kind} ${line.hidden} ${line.wavy} ${first} ${asked} ${stays} ${sideCase(job, a)} ${sideCase(job, b)}`;
      },
      (...[job, whole, first, asked]: Ask): readonly Option[] => {
        const line = { ...whole, length: 1 };
        const [there, cut] = first === 0 ? line.sides : ([line.sides[1], line.sides[0]] as const);
        const possible = methodsFor({ practice }, line, there, cut);
        // a rule for all of a kind, or a pin of another day, holds only where it can be done
        const methods = asked !== undefined && possible.includes(asked) ? [asked] : possible;
        const own = { ...job, settings, practice, crew, learned, prices, region };
        return methods
          .map((method) => optionOf(own, line, { first, method, stays: staysOf(line, method, there) }, perMinute))
          .sort((p, q) => p.cost - q.cost);
      },
    );
  },
);

/** Ways of making a metre of a line with one side first, cheapest first; none where nothing is there to be cut. */
export function waysOf(job: Lining, line: Line, first: 0 | 1, school: School): readonly Option[] {
  const [there, cut] = first === 0 ? line.sides : ([line.sides[1], line.sides[0]] as const);
  if (!cut.s) return [];
  const asked = line.said.method ?? school.methodOf(there, cut, line);
  return byMetre(job.settings, job.practice, job.crew, job.learned, job.prices, job.region)(job, line, first, asked);
}

/** A way of a metre, at the length of a line. */
export const atLength = (way: Option, length: Metres): Option => ({
  ...way,
  minutes: way.minutes * length,
  spoilt: way.spoilt * length,
  tape: way.tape && { ...way.tape, length },
  cost: way.cost * length,
});
