import type { Job } from '@kovelin/core/job/types.ts';
import { CONDITIONERS, type Conditioner, type Role } from '@kovelin/core/job/vocabulary.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { formatMinutes, formatMoney, formatPercent } from '@kovelin/core/units/quantities.ts';
import { heading, phrase, said, type Word } from '@kovelin/core/units/word.ts';
import { adviceOf, stretchOf } from '@kovelin/core/wetEdge/advice.ts';
import { ranked, remedyCount, WIDTHS } from '@kovelin/core/wetEdge/remedies.ts';
import { wetEdgeOf, type WetAnswer, type WetAsk } from '@kovelin/core/wetEdge/wetEdge.ts';
import { wetAskFor, withRemedy, type WetWish } from '@kovelin/core/whole/wet.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { across, conditionerWord } from '@kovelin/core/words/systems.ts';
import { CHANGE, ROLE, THE } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { SurfaceChoice } from '../SurfaceChoice.tsx';
import { Sides } from '../../ui/Sides.tsx';
import { Figure } from '../../app/Working.tsx';
import type { WholeView } from '../../app/whole.ts';
import { useChances, useRemedies } from '../../workers/wet.ts';
import type { Told } from '../../workers/wet.worker.ts';
import './wet.css';
import { PracticeWallView } from './PracticeWallView.tsx';
import { Raked } from './Raked.tsx';
import { TextButton } from '../../ui/TextButton.tsx';
import { WetPicture } from './WetPicture.tsx';
import { Toggle } from '../../ui/Toggle.tsx';

const WetChart = lazy(() => import('./WetChart.tsx'));

const PEOPLE = [
  [1, 'Alone'],
  [2, 'Two'],
] as const;
const ROLES: Readonly<Record<1 | 2, readonly Role[]>> = { 1: ['stretches', 'cut-all'], 2: ['follow', 'two'] };

const coverOf = (width: number): Word => phrase`${across(width)} ${THE.cover}`;

interface WetTableProps {
  readonly view: WholeView;
  readonly painted: readonly Specified[];
  readonly specified: Specified;
}
/** Can this wall be kept wet? Who is on it, with what, in what air; where it would be marked, and what would help. */
export function WetTable({ view, painted, specified: s }: WetTableProps) {
  const { state, system } = view;
  const [wish, setWish] = useState<WetWish>({});
  const ask = wetAskFor(state.shown, s.surface.id, { ...wish, runs: 0 });
  const answer = ask && wetEdgeOf(ask);
  const people = wish.people ?? 1;
  const set = (change: Partial<WetWish>) => setWish({ ...wish, ...change });
  const dose = wish.conditioner ?? effective(s.system.conditioner);
  const controls = (
    <div className="play-bar">
      <SurfaceChoice view={view} painted={painted} specified={s} />
      <Sides
        label="People on it"
        sides={PEOPLE}
        value={people}
        onChange={(n) => set({ people: n, role: null, strips: null })}
      />
      <Choice
        label="How"
        hideLabel
        value={answer?.setup.plan.role ?? 'stretches'}
        options={ROLES[people].map((role) => [role, said(ROLE[role], system)] as const)}
        onChange={(role) => set({ role, strips: null })}
      />
      {answer && answer.setup.plan.role !== 'cut-all' && (
        <Choice
          label={people === 1 ? 'At a stretch' : 'At most ahead'}
          hideLabel
          value={wish.strips === undefined || wish.strips === null ? 'best' : String(wish.strips)}
          options={[
            ['best', `${aboutLength(stretchOf(answer), system)}: what laps least`],
            ...answer.case.wall.strips.map(
              (_, i) =>
                [
                  String(i + 1),
                  `${aboutLength(((i + 1) * answer.case.wall.length) / answer.case.wall.strips.length, system)} ${people === 1 ? 'at a stretch' : 'ahead'}`,
                ] as const,
            ),
          ]}
          onChange={(n) => set({ strips: n === 'best' ? null : Number(n) })}
        />
      )}
      {state.shown.air.day.length > 0 && (
        <Choice
          label="Hour"
          hideLabel
          value={wish.at === undefined || wish.at === null ? 'typed' : String(wish.at)}
          options={[
            ['typed', 'the air that is typed'],
            ...workingHours(state.shown).map((at) => [String(at), `at ${clockTime(at)}`] as const),
          ]}
          onChange={(at) => set({ at: at === 'typed' ? null : Number(at) })}
        />
      )}
      <Choice
        label="Width of the cover"
        hideLabel
        value={String(wish.width ?? effective(s.system.cover).width)}
        options={[...new Set([...WIDTHS, effective(s.system.cover).width])]
          .sort((a, b) => a - b)
          .map((width) => [String(width), said(coverOf(width), system)] as const)}
        onChange={(width) => set({ width: Number(width), strips: null })}
      />
      <Choice
        label="Windows and doors"
        hideLabel
        value={wish.shut ? 'shut' : 'as-they-are'}
        options={[
          ['as-they-are', 'windows as they are'],
          ['shut', 'windows shut'],
        ]}
        onChange={(way) => set({ shut: way === 'shut', strips: null })}
      />
      <Choice
        label="Conditioner"
        hideLabel
        value={String(dose)}
        options={CONDITIONERS.map(
          (d) => [String(d), d === 0 ? 'no conditioner' : said(conditionerWord(d), system)] as const,
        )}
        onChange={(d) => set({ conditioner: Number(d) as Conditioner })}
      />
    </div>
  );
  if (!ask || !answer)
    return (
      <div className="play">
        {controls}
        <p className="hint">It is not rolled in strips: nothing of it has to meet wet.</p>
      </div>
    );
  return (
    <div className="play wet">
      {controls}
      <Answered view={view} specified={s} wish={wish} ask={ask} answer={answer} onWish={setWish} />
    </div>
  );
}

/** Each half hour of the working day. */
const workingHours = ({ crew }: Pick<Job, 'crew'>): number[] =>
  crew.hours.flatMap(([from, to]) => Array.from({ length: Math.ceil((to - from) / 30) }, (_, i) => from + 30 * i));

interface AnsweredProps {
  readonly view: WholeView;
  readonly specified: Specified;
  readonly wish: WetWish;
  readonly ask: WetAsk;
  readonly answer: WetAnswer;
  readonly onWish: (wish: WetWish) => void;
}
function Answered({ view, specified: s, wish, ask, answer, onWish }: AnsweredProps) {
  const { state, system } = view;
  const { data: chances, isFetching: running } = useChances(state.shown, s.surface.id, wish);
  const { data: told = [], isFetching: trying } = useRemedies(state.shown, s.surface.id, wish, remedyCount(ask));
  const client = useQueryClient();
  const remedies = ranked(
    ask,
    told.filter((r): r is Told => r !== null),
  );
  const [picked, setPicked] = useState<Told['change'] | null>(null);
  const remedy = remedies.find((r) => r.change === picked) ?? remedies[0] ?? null;
  const fits = chances?.chance.length === answer.setup.cells.count ? chances : null;
  const { case: found, oldest } = answer;
  const open = oldest < 0 ? found.open.minutes : (answer.open[oldest] ?? 0);
  const facts: readonly (readonly [string, ReactNode])[] = [
    ['Chance of a lap', fits ? formatPercent(fits.lap) : '…'],
    ['of a halo', fits ? formatPercent(fits.halo) : '…'],
    ['Oldest edge', `${formatMinutes(answer.maxAge)} of ${open === Infinity ? 'no end' : formatMinutes(open)}`],
    ['Open time', <Figure key="open" working={found.open.working} system={system} />],
    ['A cut stays open over', aboutLength(answer.longestStretch, system)],
    ['A mark would show', { none: 'hardly', faint: 'faintly', plain: 'plainly' }[answer.visible]],
    ['It takes', formatMinutes(answer.minutes)],
  ];
  return (
    <>
      <dl className="facts wet-facts">
        {facts.map(([term, value]) => (
          <div key={term}>
            <dt>{term}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      {found.open.doubtful && (
        <p className="hint">This air is so far from that of the label that the model’s share in it is doubtful.</p>
      )}
      {fits && (
        <p className="wet-advice">
          {heading(reasonWord(adviceOf(ask, { ...answer, lap: fits.lap, halo: fits.halo }, remedies)), system)}.
        </p>
      )}
      <div className="play-shown">
        <Painted answer={answer} chance={fits?.chance ?? null} specified={s} />
        <div>
          <h3>What would help</h3>
          <ul className="remedies">
            {remedies.map((r) => (
              <li key={r.change} className={r === remedy ? 'taken' : ''}>
                <Toggle pressed={r === remedy} onChange={() => setPicked(r.change)}>
                  <b>{heading(CHANGE[r.change], system)}</b>
                  <span className="number">
                    lap {formatPercent(r.lap)} · halo {formatPercent(r.halo)}
                  </span>
                  <small>
                    {Math.round(r.cost) === 0
                      ? 'costs nothing'
                      : `${r.cost > 0 ? '+' : '−'}${formatMoney(Math.abs(Math.round(r.cost)), state.shown.currency)}`}
                  </small>
                </Toggle>
              </li>
            ))}
          </ul>
          {(running || trying) && (
            <p className="hint">
              {told.length} of {remedyCount(ask)} tried{' '}
              <TextButton
                onClick={() => {
                  void client.cancelQueries({ queryKey: ['remedies'] });
                  void client.cancelQueries({ queryKey: ['wet'] });
                }}
              >
                Cancel
              </TextButton>
            </p>
          )}
          {!remedies.length && !trying && <p className="hint">Nothing tried here makes a difference.</p>}
          {remedy && (
            <Button variant="outlined" onClick={() => onWish(withRemedy(wish, remedy))}>
              Look at it so
            </Button>
          )}
        </div>
      </div>
      <FromTheSide
        view={view}
        specified={s}
        answer={answer}
        chance={fits?.chance ?? null}
        remedy={remedy}
        wish={wish}
      />
      <h3>How old is each edge when it is gone over?</h3>
      <Suspense fallback={<p className="hint">Drawing it …</p>}>
        <WetChart answer={answer} system={system} />
      </Suspense>
      <PracticeWallView view={view} specified={s} open={found.open.minutes} />
    </>
  );
}

/** The wall with its chances, or as wet as it is while it is painted. */
function Painted({
  answer,
  chance,
  specified: s,
}: {
  answer: WetAnswer;
  chance: Float64Array | null;
  specified: Specified;
}) {
  const [time, setTime] = useState<number | null>(null);
  // for a while after it is done it dries
  const end = answer.minutes + (Number.isFinite(answer.case.open.minutes) ? answer.case.open.minutes : 10);
  return (
    <div>
      <WetPicture answer={answer} chance={chance} time={time} colour={s.colour.hex} old={s.survey.colour} name="now" />
      <div className="play-bar">
        <Slider
          aria-label="Minutes of its painting"
          min={0}
          max={end}
          step={end / 300}
          shiftStep={end / 20}
          value={time ?? end}
          onChange={(_, value) => setTime(Number(value) >= end - 1e-9 ? null : Number(value))}
          getAriaValueText={(value) => formatMinutes(value)}
        />
        <span className="number">{time === null ? 'chances' : formatMinutes(time)}</span>
      </div>
      <ul className="line-legend" aria-label="What the hatch means">
        {time === null ? (
          <li>hatch: chance of a mark, the denser the likelier · outlined: the oldest edge</li>
        ) : (
          <li>waves: wet · dots: tacking · plain: dry</li>
        )}
      </ul>
    </div>
  );
}

interface SideProps {
  readonly view: WholeView;
  readonly specified: Specified;
  readonly answer: WetAnswer;
  readonly chance: Float64Array | null;
  readonly remedy: Told | null;
  readonly wish: WetWish;
}
/** As it will look from the side, as it is and with the remedy that is looked at; the lamp is moved along. */
function FromTheSide({ view, specified: s, answer, chance, remedy, wish }: SideProps) {
  const { state, system } = view;
  const [lamp, setLamp] = useState(0);
  const better = remedy ? withRemedy(wish, remedy) : wish;
  const ask = wetAskFor(state.shown, s.surface.id, { ...better, runs: 0 });
  const then = ask && wetEdgeOf(ask);
  const { data: after } = useChances(state.shown, s.surface.id, better);
  const fits = then && after?.chance.length === then.setup.cells.count ? after.chance : null;
  return (
    <section className="from-the-side" aria-label="As it will look from the side">
      <h3>As it will look from the side</h3>
      <div className="raked-pair">
        <Raked answer={answer} chance={chance} specified={s} lamp={lamp} name="lamp-now" label="As it is" />
        {remedy && then && (
          <Raked
            answer={then}
            chance={fits}
            specified={s}
            lamp={lamp}
            name="lamp-then"
            label={`With ${said(CHANGE[remedy.change], system)}`}
          />
        )}
      </div>
      <div className="play-bar">
        <span>Lamp</span>
        <Slider
          aria-label="Where the lamp stands along the wall"
          min={0}
          max={1}
          step={0.01}
          value={lamp}
          onChange={(_, value) => setLamp(Number(value))}
          getAriaValueText={(value) => `${Math.round(value * 100)} % along it`}
        />
      </div>
    </section>
  );
}
