import { seededIds } from '@kovelin/core/job/blank.ts';
import { friezeEdits, noFriezeEdits } from '@kovelin/core/job/frieze.ts';
import { regionOf, type Reach } from '@kovelin/core/specify/reach.ts';
import { restsOf } from '@kovelin/core/specify/rests.ts';
import { isChalkType, isClear } from '@kovelin/core/specify/case.ts';
import { doubts } from '@kovelin/core/specify/hiding.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { coatsWord } from '@kovelin/core/words/systems.ts';
import { lazy, Suspense, useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { Sides } from '../ui/Sides.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { Decision, ZoneSystems, type Member } from './Decision.tsx';
import { FinishPick } from './FinishPick.tsx';
import { Cautions, Warnings } from './Notices.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { ScopePicker, useReaching, type Reaching } from './reach.tsx';
import { freshId } from '../store/ids.ts';
import { Survey } from './Survey.tsx';

const HidingChart = lazy(() => import('./HidingChart.tsx'));
const OtherLight = lazy(() => import('./OtherLight.tsx'));
const Practice = lazy(() => import('./Practice.tsx'));

const MEMBERS: readonly Member[] = [
  'sheen',
  'coats',
  'primer',
  'prep',
  'paint',
  'cover',
  'brush',
  'style',
  'conditioner',
  'seal',
];

/** The order a painter thinks in: what is there, what goes on it, how that will look. */
const SIDE_WORDS = [
  ['there', 'Existing'],
  ['on', 'New paint'],
  ['look', 'Preview'],
] as const;
export type Side = (typeof SIDE_WORDS)[number][0];

interface PanelProps {
  readonly view: WholeView;
  readonly side: Side;
  readonly onSide: (side: Side) => void;
  /** The question to begin with; null: the first that is open. */
  readonly ask: string | null;
  /** How often a question was led to: each begins the conversation anew. */
  readonly asked: number;
}
export function SpecifyPanel(props: PanelProps) {
  const { specified: s, takeoff } = props.view;
  // what was pressed last holds for the next surface too
  const [wish, setWish] = useState<Reach>('room');
  if (!s || !takeoff) return <aside className="panel" aria-label="Selected surface" />;
  return <Chosen {...props} s={s} room={takeoff.room.name} wish={wish} onWish={setWish} />;
}

interface ChosenProps extends PanelProps {
  readonly s: Specified;
  readonly room: string;
  readonly wish: Reach;
  readonly onWish: (reach: Reach) => void;
}
/** The chosen surface: what is there now, what goes on, how it will look. */
function Chosen({ view, side, onSide, ask, asked, s, room, wish, onWish }: ChosenProps) {
  const { system } = view;
  const reaching = useReaching(view, s, wish, onWish);
  return (
    <aside className="panel" aria-label="Selected surface">
      <h2>{heading(nameWord(s.surface.name), system)}</h2>
      <p className="sub">
        {room} · {formatArea(s.surface.area.value, system)}
      </p>
      <Sides label="About this surface" sides={SIDE_WORDS} value={side} onChange={onSide} fullWidth />
      <Warnings view={view} s={s} />
      {side === 'there' && (
        <Survey key={`${s.surface.room} ${asked}`} view={view} s={s} ask={ask} reaching={reaching} />
      )}
      {side === 'on' && <GoesOn key={s.surface.id} view={view} s={s} reaching={reaching} />}
      {side === 'look' && <WillLook key={s.surface.id} view={view} s={s} />}
      {reaching.question}
      {side !== 'look' && <Cautions view={view} s={s} />}
    </aside>
  );
}

function GoesOn({ view, s, reaching }: { view: WholeView; s: Specified; reaching: Reaching }) {
  const [practice, setPractice] = useState(false);
  const room = view.state.shown.rooms.byId[s.surface.room];
  const rests = room && restsOf(view.state.shown, s, room);
  return (
    <>
      <ScopePicker view={view} reaching={reaching} />
      <Frieze view={view} s={s} reaching={reaching} />
      <FinishPick view={view} s={s} reaching={reaching} />
      <Section
        title="How it is painted, and why"
        extra={
          <TextButton className="small" onClick={() => setPractice(true)}>
            How I work …
          </TextButton>
        }
      >
        {MEMBERS.filter((member) => member !== 'seal' || isChalkType(s)).map((member) => (
          <Decision
            key={member}
            view={view}
            s={s}
            member={member}
            rests={rests?.get(member) ?? []}
            reaching={reaching}
          />
        ))}
        <ZoneSystems s={s} system={view.system} />
      </Section>
      {practice && (
        <Suspense fallback={null}>
          <Practice view={view} onClose={() => setPractice(false)} />
        </Suspense>
      )}
    </>
  );
}

/** What is above a picture rail is a surface of its own when it gets another finish. */
function Frieze({ view, s, reaching }: { view: WholeView; s: Specified; reaching: Reaching }) {
  const { state, session, show } = view;
  const room = state.shown.rooms.byId[s.surface.room];
  if (!room || s.surface.kind !== 'wall') return null;
  const part = regionOf(s);
  const isOne = part === 'frieze';
  const edits = isOne ? noFriezeEdits(room) : part ? [] : friezeEdits(room, seededIds(freshId()));
  if (!edits.length) return null;
  const change = () => {
    if (!session.run({ name: 'together', args: { edits } })) return;
    const here = edits.flatMap((edit) =>
      edit.name === 'addPart' && edit.args.part.wall === s.surface.wall ? [`region/${edit.args.part.id}`] : [],
    );
    show(room.id, `${s.surface.wall}/${here[0] ?? 'field'}`);
    if (!isOne) reaching.onReach('kind');
  };
  return (
    <TextButton className="small" onClick={change}>
      {isOne ? 'Paint the frieze with the wall again' : 'Paint the frieze above the picture rail otherwise'}
    </TextButton>
  );
}

function WillLook({ view, s }: { view: WholeView; s: Specified }) {
  const spell = useSpelt();
  if (isClear(s))
    return (
      <Section title="How many coats?">
        <p className="hint">A clear finish hides nothing: two coats protect what it lies on.</p>
      </Section>
    );
  return (
    <>
      <Section title="How many coats?">
        <Suspense fallback={<p className="hint">Drawing the curve …</p>}>
          <HidingChart specified={s} />
        </Suspense>
        <Doubts s={s} system={view.system} />
      </Section>
      <Section title="In other light">
        <Suspense fallback={<p className="hint">Mixing the light …</p>}>
          <OtherLight view={view} s={s} />
        </Suspense>
        <p className="hint">
          {spell(
            'A screen’s approximation: it shifts all colours alike and knows no pigments. Brush out a sample and look at it morning, noon, evening and by lamp.',
          )}
        </p>
      </Section>
    </>
  );
}

const DOUBT_WORDS = {
  'class-3': 'if the paint hides only as class 3 (95 %)',
  'thin-film': 'rolled 15 % thinner',
  conditioner: 'thinned with conditioner',
  uneven: 'by an uneven hand',
} as const;

/** What the coats would be if something is not as the label says. */
function Doubts({ s, system }: { s: Specified; system: WholeView['system'] }) {
  return (
    <ul className="doubts">
      {doubts(s.question).map(({ doubt, coats }) => (
        <li key={doubt} className={coats > s.hiding.coats ? 'worse' : ''}>
          {DOUBT_WORDS[doubt]}: <b>{said(coatsWord(coats), system)}</b>
        </li>
      ))}
    </ul>
  );
}
