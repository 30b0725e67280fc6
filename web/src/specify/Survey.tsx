import type { Survey as Answers } from '@kovelin/core/job/surveyed.ts';
import type { SurfaceId } from '@kovelin/core/job/table.ts';
import { familyOf, REPAIR_CLASSES, ZONES, type Family } from '@kovelin/core/job/vocabulary.ts';
import {
  atAGlance,
  conversation,
  exceptions,
  scopesFor,
  surfacesAbout,
  type About,
  type Turn,
} from '@kovelin/core/specify/conversation.ts';
import { plainName } from '@kovelin/core/specify/colour-words.ts';
import {
  QUESTIONS,
  readBack,
  shortWord,
  TESTS,
  type Question,
  type QuestionKey,
} from '@kovelin/core/specify/questions.ts';
import { roomsReached, type Reach } from '@kovelin/core/specify/reach.ts';
import { givenOf, mattering } from '@kovelin/core/specify/rests.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { counted, heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { HOLES } from '@kovelin/core/words/terms.ts';
import { useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { Sides } from '../ui/Sides.tsx';
import { useArrival } from '../app/useArrival.ts';
import type { WholeView } from '../app/whole.ts';
import { Asked, QuestionFrame } from './Asked.tsx';
import { CopyToRooms, CopyToSurfaces } from './CopyAnswers.tsx';
import { RoomHoles, RoomLight } from './RoomSurvey.tsx';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { useAssumed } from '../workers/whole.ts';
import { ScopePicker, type Reaching } from './reach.tsx';
import type { SetAnswers } from './SurveyForms.tsx';

type Props = { readonly view: WholeView; readonly s: Specified };

/** The order a painter looks round a room in. */
const ROUND: readonly Family[] = ['wall', 'ceiling', 'trim'];
const ALL_OF: Readonly<Record<Family, string>> = { wall: 'Walls', ceiling: 'Ceiling', trim: 'Woodwork' };
const TAKEN_AS: Readonly<Record<Family, string>> = {
  wall: 'Are the walls like this?',
  ceiling: 'Is the ceiling like this?',
  trim: 'Is the woodwork like this?',
};

/** What was asked, and where the talk stood. */
interface Passed {
  readonly surface: SurfaceId;
  readonly about: string;
  readonly reach: Reach;
  readonly key: QuestionKey | 'glance';
}
const aboutKey = (about: About): string => ('surface' in about ? about.surface : `${about.room}:${about.family}`);

interface SurveyProps extends Props {
  readonly ask: string | null;
  readonly reaching: Reaching;
}

/**
 * What is there now, as one conversation a room: all its walls, its ceiling, all its woodwork, and what differs surface by
 * surface. Every answer leads on to what would still turn a decision; what is passed over is not asked again by itself.
 */
export function Survey({ view, s, ask, reaching }: SurveyProps) {
  const { session, state, derived, system, takeoff } = view;
  const [key, setKey] = useState<QuestionKey | null>(QUESTIONS.find((q) => q.key === ask)?.key ?? null);
  const [trail, setTrail] = useState<readonly Passed[]>([]);
  // who was led here is at the question
  const [arrived, setArrived] = useState(ask === null ? 0 : 1);
  /** all: also what would change nothing; none: no more, for now. */
  const [asks, setAsks] = useState<'what matters' | 'all' | 'none'>('what matters');
  const { room, id } = s.surface;
  const family = familyOf(s.surface.kind);
  const aboutOf = (of: Family): About => ({ room, family: of });
  const surfacesOf = (of: About) => surfacesAbout(of, derived.surfaces);
  const isAlone = reaching.reach === 'one';
  const about: About = isAlone ? { room, surface: id } : aboutOf(family);
  const turnsOf = (of: About) => conversation(state.shown, surfacesOf(of));
  const assumedOf = (of: About) =>
    view.room ? mattering(state.shown, surfacesOf(of), view.room) : new Set<QuestionKey>();
  const turns = turnsOf(about);
  const wasPassed = (of: About, which: Passed['key']) => trail.some((p) => p.about === aboutKey(of) && p.key === which);
  const waiting = (of: About, list: readonly Turn[]) => {
    const matters = assumedOf(of);
    return list.filter(
      ({ isOpen, question }) =>
        isOpen && asks !== 'none' && !wasPassed(of, question.key) && (asks === 'all' || matters.has(question.key)),
    );
  };
  const open = waiting(about, turns);
  const glance = key === null && open.length > 0 && !wasPassed(about, 'glance') ? atAGlance(turns) : null;
  const turn = turns.find((t) => t.question.key === key) ?? open[0] ?? null;

  const put = (to: QuestionKey, set: Partial<Answers>) => {
    const whom =
      'surface' in about ? [about] : roomsReached(state.shown, s, reaching.reach).map((of) => ({ ...about, room: of }));
    const scopes = whom.flatMap((of) => scopesFor(state.shown, of, to));
    session.run({ name: 'setSurveys', args: { scopes, set } });
  };
  const set: SetAnswers = (change) => {
    if (!turn) return;
    // more than one answer may be given, so an answer does not take its question away
    setKey(turn.question.key);
    put(turn.question.key, change);
  };
  /** On to what is open after it, then before it, then to the next part of the room. */
  const next = (from: Passed['key'], done: readonly QuestionKey[] = []) => {
    const at = turns.findIndex(({ question }) => question.key === from);
    const after = waiting(about, [...turns.slice(at + 1), ...turns.slice(0, Math.max(at, 0))]).filter(
      ({ question }) => !done.includes(question.key),
    );
    setTrail([...trail, { surface: id, about: aboutKey(about), reach: reaching.reach, key: from }]);
    setKey(after[0]?.question.key ?? null);
    setArrived(arrived + 1);
    if (after.length || isAlone) return;
    const part = [...ROUND.slice(ROUND.indexOf(family) + 1), ...ROUND].find(
      (of) => of !== family && waiting(aboutOf(of), turnsOf(aboutOf(of))).length > 0,
    );
    const there = part && surfacesOf(aboutOf(part))[0];
    if (there) view.select(there.surface.id);
  };
  const back = () => {
    const last = trail.at(-1);
    if (!last) return;
    setTrail(trail.slice(0, -1));
    setKey(last.key === 'glance' ? null : last.key);
    setArrived(arrived + 1);
    reaching.onReach(last.reach);
    if (last.surface !== id) view.select(last.surface);
  };
  const end = () => {
    setAsks('none');
    setKey(null);
    setArrived(arrived + 1);
  };
  const again = (which: typeof asks) => {
    setTrail([]);
    setAsks(which);
    setArrived(arrived + 1);
  };

  const parts = ROUND.filter((of) => surfacesOf(aboutOf(of)).length > 0);
  const assumptions = parts.reduce((sum, of) => sum + assumedOf(aboutOf(of)).size, 0);
  const given = givenOf(state.shown, s);
  const tests = turns.filter(
    ({ question: q, s: of, isOpen }) =>
      q.key !== turn?.question.key && !isOpen && TESTS.find((t) => t.id === q.test)?.helps(of),
  );
  return (
    <Section title="What is there now">
      <p className="survey-progress">
        {assumptions ? said(counted(assumptions, 'assumption', 'assumptions'), system) : 'No assumption'} in this room
      </p>
      <RoomHoles view={view} s={s} onSaid={() => setArrived(arrived + 1)} />
      <Sides
        label="Part of the room"
        fullWidth
        sides={parts.map((of) => [of, ALL_OF[of]] as const)}
        value={family}
        onChange={(to: Family) => {
          setKey(null);
          const there = to !== family && surfacesOf(aboutOf(to))[0];
          if (there) view.select(there.surface.id);
        }}
      />
      <ScopePicker view={view} reaching={reaching} existing />
      <p className="read-back">{heading(readBack(s), system)}</p>
      {glance ? (
        <QuestionFrame key="glance" of="glance" ask={TAKEN_AS[family]} arrived={arrived}>
          <p>{heading(glance.sentence, system)}.</p>
          <div className="options">
            <Button
              variant="outlined"
              className="option"
              onClick={() => {
                put('substrate', glance.set);
                next('glance', Object.keys(glance.set) as QuestionKey[]);
              }}
            >
              Yes, all of it
            </Button>
            <Button variant="outlined" className="option" onClick={() => next('glance')}>
              No, ask me
            </Button>
          </div>
          <div className="row-buttons">
            {trail.length > 0 && <TextButton onClick={back}>Back</TextButton>}
            <TextButton onClick={end}>Skip all of this</TextButton>
          </div>
        </QuestionFrame>
      ) : turn ? (
        <Asked
          key={`${aboutKey(about)} ${turn.question.key}`}
          view={view}
          s={turn.s}
          question={turn.question}
          set={set}
          onNext={() => next(turn.question.key)}
          onBack={trail.length ? back : null}
          onEnd={end}
          arrived={arrived}
        />
      ) : (
        <Done
          view={view}
          assumptions={assumptions}
          idle={turns.filter(({ isOpen }) => isOpen).length}
          arrived={arrived}
          onAgain={again}
        />
      )}
      {tests.length > 0 && (
        <p className="hint">
          A test on the spot would tell more:{' '}
          {tests.map(({ question: q }) => (
            <TextButton key={q.key} onClick={() => setKey(q.key)}>
              {TESTS.find((t) => t.id === q.test)?.title.toLowerCase()}
            </TextButton>
          ))}
        </p>
      )}
      <Exceptions view={view} s={s} onOpen={() => reaching.onReach('one')} />
      <ul className="answers" aria-label="Answers">
        {turns.map(({ question: q, s: of, isOpen }) => (
          <li key={q.key} className={!glance && q.key === turn?.question.key ? 'chosen' : ''}>
            <TextButton onClick={() => setKey(q.key)}>{said(q.short, system)}</TextButton>
            <span>
              {answer(q, of, system)} {isOpen && <small className="assumed">assumed</small>}
            </span>
          </li>
        ))}
      </ul>
      {isAlone ? <CopyToSurfaces view={view} s={s} given={given} /> : <CopyToRooms view={view} room={room} />}
      {takeoff && <RoomLight view={view} s={s} />}
    </Section>
  );
}

interface DoneProps {
  readonly view: WholeView;
  /** Left in this room. */
  readonly assumptions: number;
  /** Questions about this part of it that nobody answered. */
  readonly idle: number;
  readonly arrived: number;
  readonly onAgain: (which: 'what matters' | 'all') => void;
}
/** Nothing is left to ask here: what was skipped can be asked again, and other rooms may wait. */
function Done({ view, assumptions, idle, arrived, onAgain }: DoneProps) {
  const place = useArrival<HTMLParagraphElement>(arrived);
  const { data } = useAssumed(view.state.job);
  const elsewhere = data?.open.find(({ room }) => room !== view.room?.id);
  const name = elsewhere && view.state.shown.rooms.byId[elsewhere.room]?.name;
  return (
    <div className="survey-done">
      <p ref={place} tabIndex={-1}>
        {assumptions
          ? `${said(counted(assumptions, 'assumption stays', 'assumptions stay'), view.system)} in this room. `
          : 'Nothing here is assumed any more. '}
        {assumptions > 0 && <TextButton onClick={() => onAgain('what matters')}>Ask them again</TextButton>}
        {assumptions === 0 && idle > 0 && (
          <TextButton onClick={() => onAgain('all')}>{`Ask ${idle} more, which would change nothing`}</TextButton>
        )}
      </p>
      {elsewhere && name && (
        <Button variant="outlined" onClick={() => view.show(elsewhere.room, elsewhere.surface)}>
          Go on in {name}
        </Button>
      )}
    </div>
  );
}

/** Surfaces like this one that have answers of their own: what is said of all leaves them as they are. */
function Exceptions({ view, s, onOpen }: Props & { readonly onOpen: () => void }) {
  const { derived, session, state, system } = view;
  const { room, kind } = s.surface;
  const list = exceptions(state.shown, surfacesAbout({ room, family: familyOf(kind) }, derived.surfaces));
  if (!list.length) return null;
  return (
    <ul className="exceptions" aria-label="Surfaces with answers of their own">
      {list.map(({ s: of, keys }) => (
        <li key={of.surface.id}>
          <TextButton
            onClick={() => {
              view.select(of.surface.id);
              onOpen();
            }}
          >
            {heading(nameWord(of.surface.name), system)}
          </TextButton>{' '}
          differs: {keys.map((of) => said(shortWord(of), system)).join(', ')}{' '}
          <TextButton onClick={() => session.run({ name: 'forgetSurvey', args: { scope: of.surface.id } })}>
            As the others
          </TextButton>
        </li>
      ))}
    </ul>
  );
}

function answer(q: Question, { survey, grazedBy }: Specified, system: System): string {
  if (q.key === 'repairs')
    return (
      REPAIR_CLASSES.filter((of) => survey.repairs[of] > 0)
        .map((of) => said(counted(survey.repairs[of], ...HOLES[of]), system))
        .join(', ') || 'none'
    );
  if (q.key === 'colour') return [survey.colour, ...survey.patches].map(plainName).join(', ');
  if (q.key === 'built') return survey.built === null ? 'not known: taken as old' : `about ${survey.built}`;
  if (q.key === 'zones') return ZONES.filter((zone) => survey.zones[zone]).join(' and ') || 'as the faces';
  if (q.key === 'raking' && survey.raking === 'windows')
    return grazedBy.length ? `yes: window ${grazedBy.join(', ')}` : 'no window near';
  if (q.key === 'damp' && survey.moisture !== null) return `${survey.moisture} % read`;
  return q.options.flatMap((o) => (o.isNow(survey) ? [said(o.label, system)] : [])).join(', ') || 'none';
}
