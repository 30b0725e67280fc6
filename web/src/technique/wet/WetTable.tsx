import type { Job } from '@kovelin/core/job/types.ts';
import { CONDITIONERS, type Conditioner, type WetMethod } from '@kovelin/core/job/vocabulary.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { heading, phrase, said, type Word } from '@kovelin/core/units/word.ts';
import { WIDTHS } from '@kovelin/core/wetEdge/ask.ts';
import { wetEdgePlan, type WetEdgePlan } from '@kovelin/core/wetEdge/decide.ts';
import { adviceOf, type Remedy } from '@kovelin/core/wetEdge/remedies.ts';
import { wetEdgeOf, type WetAnswer } from '@kovelin/core/wetEdge/wetEdge.ts';
import { WET_SEED, wetAskFor, withRemedy, type WetWish } from '@kovelin/core/whole/wet.ts';
import { oneIn, reasonWord } from '@kovelin/core/words/reasons.ts';
import { across, conditionerWord } from '@kovelin/core/words/systems.ts';
import { CHANGE, THE, WET_METHOD } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Choice } from '../../ui/Choice.tsx';
import { More } from '../../ui/More.tsx';
import { SurfaceChoice } from '../SurfaceChoice.tsx';
import { Figure } from '../../app/Working.tsx';
import type { WholeView } from '../../app/whole.ts';
import { useRemedies, useSeen } from '../../workers/wet.ts';
import './wet.css';
import { PracticeWallView } from './PracticeWallView.tsx';
import { Raked } from './Raked.tsx';
import { WetPicture } from './WetPicture.tsx';
import { Toggle } from '../../ui/Toggle.tsx';

const WetChart = lazy(() => import('./WetChart.tsx'));

const METHODS: readonly WetMethod[] = ['whole', 'sections', 'follow', 'two', 'dry-edges'];
const coverOf = (width: number): Word => phrase`${across(width)} ${THE.cover}`;

interface WetTableProps {
  readonly view: WholeView;
  readonly painted: readonly Specified[];
  readonly specified: Specified;
}
/** How the last coat of a surface is kept wet: one sentence and one remedy; why, and all that might be asked, under it. */
export function WetTable({ view, painted, specified: s }: WetTableProps) {
  const { state } = view;
  const [wish, setWish] = useState<WetWish>({});
  const ask = wetAskFor(state.shown, s.surface.id, wish);
  const plan = ask && wetEdgePlan(ask);
  const answer = ask && wetEdgeOf(ask, 0, WET_SEED);
  return (
    <div className="play wet">
      <div className="play-bar">
        <SurfaceChoice view={view} painted={painted} specified={s} />
      </div>
      {plan ? (
        <Decided view={view} specified={s} wish={wish} plan={plan} answer={answer} onWish={setWish} />
      ) : (
        <p className="hint">
          It is brushed a section at a time, or is more than two can do without a stop: it is not planned to meet wet.
        </p>
      )}
    </div>
  );
}

interface DecidedProps {
  readonly view: WholeView;
  readonly specified: Specified;
  readonly wish: WetWish;
  readonly plan: WetEdgePlan;
  /** null: it is a door. */
  readonly answer: WetAnswer | null;
  readonly onWish: (wish: WetWish) => void;
}
function Decided({ view, specified: s, wish, plan, answer, onWish }: DecidedProps) {
  const { state, session, system } = view;
  const { data: remedies = [] } = useRemedies(state.shown, s.surface.id, wish);
  const { data } = useSeen(state.shown, s.surface.id, wish);
  const seen = answer && data?.length === answer.setup.cells.count ? data : null;
  const [picked, setPicked] = useState<Remedy['change'] | null>(null);
  // what makes it rarer first, the least dear of that
  const better = remedies.find(({ way }) => way.seen < plan.seen * 0.8);
  const remedy = remedies.find((r) => r.change === picked) ?? better ?? null;
  const priceOf = ({ price }: Remedy): string =>
    Math.round(price) === 0
      ? 'costs nothing'
      : `${price > 0 ? '' : '−'}${formatMoney(Math.abs(Math.round(price)), state.shown.currency)}`;
  const isAsked = Object.keys(wish).length > 0;
  return (
    <>
      <p className="wet-advice" role="status">
        {heading(reasonWord(adviceOf(plan)), system)}.
      </p>
      {better && (
        <p className="wet-remedy">
          {heading(CHANGE[better.change], system)}: {oneIn(better.way.seen)}, {priceOf(better)}.
        </p>
      )}
      {isAsked && (
        <p className="row-buttons">
          <Button size="small" variant="outlined" onClick={() => onWish({})}>
            As it is decided
          </Button>
          {wish.conditioner !== undefined && (
            <Button
              size="small"
              variant="contained"
              onClick={() => {
                session.run({
                  name: 'decide',
                  args: { surface: s.surface.id, member: 'conditioner', value: plan.conditioner },
                });
                onWish({});
              }}
            >
              {plan.conditioner ? 'Put conditioner in' : 'Leave conditioner out'}
            </Button>
          )}
        </p>
      )}
      {answer && <Painted answer={answer} seen={seen} specified={s} />}
      <More title="Why, and what else might be done">
        <WetControls view={view} specified={s} wish={wish} plan={plan} onWish={onWish} />
        <Facts view={view} plan={plan} answer={answer} />
        <ul className="remedies">
          {remedies.map((r) => (
            <li key={r.change} className={r === remedy ? 'taken' : ''}>
              <Toggle pressed={r === remedy} onChange={() => setPicked(r.change)}>
                <b>{heading(CHANGE[r.change], system)}</b>
                <span className="number">seen on {oneIn(r.way.seen)}</span>
                <small>{priceOf(r)}</small>
              </Toggle>
            </li>
          ))}
        </ul>
        {remedy && (
          <Button variant="outlined" onClick={() => onWish(withRemedy(wish, remedy))}>
            Look at it so
          </Button>
        )}
        {answer && <Shown view={view} specified={s} wish={wish} answer={answer} seen={seen} remedy={remedy} />}
      </More>
    </>
  );
}

/** Who is on it, with what, in what air: what is not chosen is decided. */
function WetControls({ view, specified: s, wish, plan, onWish }: Omit<DecidedProps, 'answer'>) {
  const { state, system } = view;
  const set = (change: Partial<WetWish>) => onWish({ ...wish, ...change });
  const isWall = plan.method !== 'face';
  return (
    <div className="play-bar">
      {isWall && (
        <Choice
          label="How"
          value={wish.method ?? 'decided'}
          options={[
            ['decided', `${said(WET_METHOD[plan.method], system)}${wish.method ? '' : ', as decided'}`] as const,
            ...METHODS.filter((method) => wish.method || method !== plan.method).map(
              (method) => [method, said(WET_METHOD[method], system)] as const,
            ),
          ]}
          onChange={(method) => {
            const two = method === 'follow' || method === 'two';
            const { method: _, people: __, ...rest } = wish;
            onWish(method === 'decided' ? rest : { ...rest, method, ...(two ? { people: 2 as const } : {}) });
          }}
        />
      )}
      {state.shown.air.day.length > 0 && (
        <Choice
          label="Hour"
          value={wish.at === undefined || wish.at === null ? 'typed' : String(wish.at)}
          options={[
            ['typed', 'the driest of the day'],
            ...workingHours(state.shown).map((at) => [String(at), `at ${clockTime(at)}`] as const),
          ]}
          onChange={(at) => {
            const { at: _, ...rest } = wish;
            onWish(at === 'typed' ? rest : { ...rest, at: Number(at) });
          }}
        />
      )}
      {isWall && (
        <Choice
          label="Width of the cover"
          value={String(wish.width ?? effective(s.system.cover).width)}
          options={[...new Set([...WIDTHS, effective(s.system.cover).width])]
            .sort((a, b) => a - b)
            .map((width) => [String(width), said(coverOf(width), system)] as const)}
          onChange={(width) => set({ width: Number(width) })}
        />
      )}
      <Choice
        label="Windows and doors"
        value={wish.shut ? 'shut' : 'as-they-are'}
        options={[
          ['as-they-are', 'as they are'],
          ['shut', 'shut'],
        ]}
        onChange={(way) => set({ shut: way === 'shut' })}
      />
      <Choice
        label="Conditioner"
        value={String(plan.conditioner)}
        options={CONDITIONERS.map((d) => [String(d), d === 0 ? 'none' : said(conditionerWord(d), system)] as const)}
        onChange={(d) => set({ conditioner: Number(d) as Conditioner })}
      />
    </div>
  );
}

/** Each half hour of the working day. */
const workingHours = ({ crew }: Pick<Job, 'crew'>): number[] =>
  crew.hours.flatMap(([from, to]) => Array.from({ length: Math.ceil((to - from) / 30) }, (_, i) => from + 30 * i));

/** What the decision rests on. */
function Facts({ view: { system }, plan, answer }: Pick<DecidedProps, 'view' | 'plan' | 'answer'>) {
  const open = !answer || answer.oldest < 0 ? plan.open.minutes : (answer.open[answer.oldest] ?? 0);
  const facts: readonly (readonly [string, ReactNode])[] = [
    ['Strips that lap', oneIn(plan.lap)],
    ['A mark would show', { none: 'hardly', faint: 'from the side', plain: 'from the front' }[plan.visible]],
    ['Open time', <Figure key="open" working={plan.open.working} system={system} />],
    ...(answer
      ? ([
          ['A halo round the edge', oneIn(plan.halo)],
          ['Oldest edge', `${formatMinutes(answer.maxAge)} of ${open === Infinity ? 'no end' : formatMinutes(open)}`],
          ['A cut stays open over', aboutLength(answer.longestStretch, system)],
        ] as const)
      : []),
    ['It takes', `${formatMinutes(plan.paid)}, ${formatMinutes(plan.work)} of it work`],
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
      {plan.open.doubtful && (
        <p className="hint">This air is so far from that of the label that the model’s share in it is doubtful.</p>
      )}
    </>
  );
}

interface ShownProps extends Pick<DecidedProps, 'view' | 'specified' | 'wish'> {
  readonly answer: WetAnswer;
  readonly seen: Float64Array | null;
  readonly remedy: Remedy | null;
}
/** The wall as it will look from the side, by its runs; and a wall to practise on. */
function Shown({ view, specified: s, wish, answer, seen, remedy }: ShownProps) {
  const { system } = view;
  return (
    <>
      <FromTheSide view={view} specified={s} answer={answer} seen={seen} remedy={remedy} wish={wish} />
      <h3>How old is each edge when it is gone over?</h3>
      <Suspense fallback={<p className="hint">Drawing it …</p>}>
        <WetChart answer={answer} system={system} />
      </Suspense>
      <PracticeWallView view={view} specified={s} open={answer.case.open.minutes} />
    </>
  );
}

/** The wall with where marks would be seen, or as wet as it is while it is painted. */
function Painted({
  answer,
  seen,
  specified: s,
}: {
  answer: WetAnswer;
  seen: Float64Array | null;
  specified: Specified;
}) {
  const [time, setTime] = useState<number | null>(null);
  // for a while after it is done it dries
  const end = answer.plan.minutes + (Number.isFinite(answer.case.open.minutes) ? answer.case.open.minutes : 10);
  return (
    <div>
      <WetPicture answer={answer} seen={seen} time={time} colour={s.colour.hex} old={s.survey.colour} name="now" />
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
        <span className="number">{time === null ? 'done' : formatMinutes(time)}</span>
      </div>
      <ul className="line-legend" aria-label="What the hatch means">
        {time === null ? (
          <li>hatch: where somebody would see a mark, the denser the oftener · outlined: the oldest edge</li>
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
  readonly seen: Float64Array | null;
  readonly remedy: Remedy | null;
  readonly wish: WetWish;
}
/** As it will look from the side, as it is and with the remedy that is looked at; the lamp is moved along. */
function FromTheSide({ view, specified: s, answer, seen, remedy, wish }: SideProps) {
  const { state, system } = view;
  const [lamp, setLamp] = useState(0);
  const better = remedy ? withRemedy(wish, remedy) : wish;
  const ask = wetAskFor(state.shown, s.surface.id, better);
  const then = ask && wetEdgeOf(ask, 0, WET_SEED);
  const { data: after } = useSeen(state.shown, s.surface.id, better);
  const fits = then && after?.length === then.setup.cells.count ? after : null;
  // under a lamp a lap is as plain as its light lets it be, a halo as much less as it is seen less
  const likely = (found: Float64Array | null, { plan }: WetAnswer) =>
    found && plan.seeing.lap > 0 ? found.map((share) => share / plan.seeing.lap) : found;
  return (
    <section className="from-the-side" aria-label="As it will look from the side">
      <h3>As it will look from the side</h3>
      <div className="raked-pair">
        <Raked
          answer={answer}
          likely={likely(seen, answer)}
          specified={s}
          lamp={lamp}
          name="lamp-now"
          label="As it is"
        />
        {remedy && then && (
          <Raked
            answer={then}
            likely={likely(fits, then)}
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
