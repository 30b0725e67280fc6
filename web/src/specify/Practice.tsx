import { Radios } from '../ui/Radios.tsx';
import { SCHOOLS, type School, type SchoolPrice } from '@kovelin/core/whole/schools.ts';
import { formatMinutes, formatMoney, formatVolume } from '@kovelin/core/units/quantities.ts';
import { capital, heading, inOrder, phrase, said, type Word } from '@kovelin/core/units/word.ts';
import { pileWord } from '@kovelin/core/words/systems.ts';
import {
  ACCENT,
  DOORS,
  FABRIC,
  FIRST_COAT,
  LAY_OFF,
  PULL,
  SPREAD,
  STYLE,
  TAPING,
  DIVISION,
  RIM,
  WASHING,
  WET_SCHOOL,
  THE,
  TRIM_ORDER,
} from '@kovelin/core/words/terms.ts';
import type { WholeView } from '../app/whole.ts';
import { useSchoolPrices } from '../workers/what-if.ts';
import { Window } from '../ui/Window.tsx';
import { Message } from '../ui/Message.tsx';

type Of = SchoolPrice['of'];
const TITLES: Readonly<Record<Of, Word>> = {
  walls: 'Sheen of walls',
  prep: 'Sound old paint',
  coats: 'How coats go on',
  weakCoats: 'Penetrating primer on weak ground',
  brick: phrase`${capital(THE.cover)} on brick`,
  house: phrase`One ${THE.cover} for everything it serves`,
  boxing: phrase`Several ${THE.can}s of one colour`,
  openings: phrase`Openings in what labour is priced on`,
  trimOrder: 'Order of work',
  accent: 'An accent wall',
  tape: 'Edges of tape',
  pull: 'When tape comes off',
  firstCoats: 'Coats before the last',
  spread: 'How a load is spread',
  layOff: 'How a strip is laid off',
  doors: 'Doors with a grain or texture',
  roles: 'Who keeps the last coat wet',
  division: 'How the crew divides the work',
  washing: 'Brushes and covers overnight',
  rim: 'The rim of an open can',
};
const WORDS: Readonly<Record<string, Word>> = {
  weighed: 'Weighed wall by wall',
  'touch-up': 'Flat: it touches up',
  wipe: 'Satin: it wipes',
  wash: 'Washed, and left to dry',
  sand: 'Sanded, wiped damp: no washing to wait for',
  ...STYLE,
  '1': 'Once',
  '2': 'Twice',
  'long-pile': phrase`A long ${THE.pile}`,
  'half-inch': phrase`${pileWord(0.013)}: less spatter`,
  null: 'No: the best for each surface',
  box: phrase`Boxed: mixed, so every wall is one colour`,
  'as-they-come': 'As they come: one batch to whole walls',
  net: 'Net: what is not painted is not priced',
  gross: 'Gross: ordinary openings stay in, for the slow edges',
  ...TRIM_ORDER,
  ...ACCENT,
  ...TAPING,
  ...WET_SCHOOL,
  ...DIVISION,
  ...WASHING,
  ...RIM,
  ...PULL,
  ...FIRST_COAT,
  ...SPREAD,
  ...LAY_OFF,
  ...DOORS,
};

/** Where practitioners disagree: the choice is the user's, each with its price on this job. */
export default function Practice({ view, onClose }: { view: WholeView; onClose: () => void }) {
  const { session, state, system } = view;
  const { practice } = state.job;
  const { data: prices = [], error, isFetching } = useSchoolPrices(state.job);
  const titles = [...new Set(SCHOOLS.map((school) => school.of))];
  const isChosen = ({ of, set }: School) => JSON.stringify(practice[of]) === JSON.stringify(set[of]);
  const word = ({ of, set }: School): string => {
    const value = set[of];
    return value && typeof value === 'object'
      ? said(inOrder([pileWord(value.pile), FABRIC[value.fabric]]), system)
      : heading(WORDS[String(value)] ?? String(value), system);
  };
  const sign = (n: number) => (n > 0 ? '+' : '−');
  const price = ({ cost, paint, minutes }: SchoolPrice): string => {
    const parts = [
      Math.abs(cost) > 0 && `${sign(cost)}${formatMoney(Math.abs(cost), state.job.currency)}`,
      Math.abs(paint) > 0.01 && `${sign(paint)}${formatVolume(Math.abs(paint), system)} of paint`,
      Math.abs(minutes) >= 1 && `${sign(minutes)}${formatMinutes(Math.abs(minutes))} of work`,
    ].filter(Boolean);
    return parts.join(', ') || 'costs the same here';
  };
  return (
    <Window title="How I work" onClose={onClose} maxWidth="md" className="practice">
      <p className="hint">
        Painters disagree about these. Set them once for the job; any surface can still be changed. Prices are against
        the practice as it stands, on this job
        {isFetching && `; ${prices.length} of ${SCHOOLS.length} worked out`}.
      </p>
      {error && <Message kind="wrong">The prices could not be worked out: {error.message}</Message>}
      <div className="schools">
        {titles.map((of) => (
          <section key={of}>
            <h3>{said(TITLES[of], system)}</h3>
            <Radios
              label={said(TITLES[of], system)}
              value={String(SCHOOLS.findIndex((school) => school.of === of && isChosen(school)))}
              onChange={(place) => {
                const school = SCHOOLS[Number(place)];
                if (school) session.edit({ name: 'setPractice', args: { set: school.set } });
              }}
              options={SCHOOLS.flatMap((school, place) => {
                if (school.of !== of) return [];
                const priced = prices.find((p) => p.of === of && p.set[of] === school.set[of]);
                const told = isChosen(school) ? 'your practice' : priced ? price(priced) : 'working it out …';
                const words = (
                  <>
                    <b>{word(school)}</b> {told}
                  </>
                );
                return [[String(place), words] as const];
              })}
            />
          </section>
        ))}
      </div>
    </Window>
  );
}
