import type { SystemValues } from '@kovelin/core/job/paints.ts';
import { familyOf } from '@kovelin/core/job/vocabulary.ts';
import { prepPlan } from '@kovelin/core/specify/prep-plan.ts';
import { shortWord, type QuestionKey } from '@kovelin/core/specify/questions.ts';
import type { Decided } from '@kovelin/core/specify/reasons.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { turnsOf } from '@kovelin/core/specify/what-if.ts';
import { LEVEL_OF } from '@kovelin/core/specify/classes.ts';
import { counted, heading, inOrder, said } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { MEMBER_WORDS, memberWord } from '@kovelin/core/words/systems.ts';
import { HOLES } from '@kovelin/core/words/terms.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { useJob } from '../app/job-context.ts';
import { PrepPicture } from '../drawing/PrepPicture.tsx';
import type { WholeView } from '../app/whole.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { Overrule } from './Overrule.tsx';
import type { Reaching } from './reach.tsx';

export type Member = keyof SystemValues;

interface DecisionProps {
  readonly view: WholeView;
  readonly s: Specified;
  readonly member: Member;
  readonly reaching: Reaching;
  /** Questions that nobody answered and that would turn it. */
  readonly rests: readonly QuestionKey[];
}

/** A value with its reasons, what would change it, and a way to choose another and back. */
export function Decision({ view, s, member, reaching, rests }: DecisionProps) {
  const [open, setOpen] = useState(false);
  const [turning, setTurning] = useState(false);
  const { system } = view;
  const decided = s.system[member] as Decided<SystemValues[Member]>;
  const overruled = decided.override !== undefined;
  const decide = (value: SystemValues[Member] | null) =>
    reaching.give((left) => {
      const surfaces = reaching.to.flatMap((one) =>
        // a paint of another family, or one that is not made in this sheen, is decided by itself
        left.includes(one) || !takes(one, s, member, value) ? [] : [one.surface.id],
      );
      return [{ name: 'decideAll', args: { surfaces, member, value } }];
    });
  const say = (value: SystemValues[Member]) => said(memberWord(member, value as never), system);
  const title = said(MEMBER_WORDS[member], system);
  return (
    <div
      className={overruled ? 'decision overruled' : rests.length ? 'decision assumed' : 'decision'}
      data-member={member}
    >
      <div className="decision-head">
        <span>{heading(title, system)}</span>
        <TextButton aria-expanded={open} onClick={() => setOpen(!open)} aria-label={`Change ${title}`}>
          {open ? 'Close' : 'Change'}
        </TextButton>
      </div>
      <b>
        {heading(say(effective(decided)), system)}
        {member === 'sheen' && <small> {LEVEL_OF[s.sheen]}</small>}
      </b>
      {member === 'primer' && s.primers.length > 0 && (
        <small className="with">
          {s.primers.map(({ product }) => product?.name ?? 'no product in this job').join(', then ')}
        </small>
      )}
      {member === 'paint' && s.product.family !== effective(s.system.paint) && (
        <small className="with">chosen: {s.product.name}</small>
      )}
      {overruled ? (
        <p>
          your choice; Kovelin would take {say(decided.value)}.{' '}
          <TextButton onClick={() => decide(null)}>Go back to it</TextButton>
        </p>
      ) : (
        decided.because.map((reason) => <p key={reason.rule}>because {said(reasonWord(reason), system)}</p>)
      )}
      {!overruled && rests.length > 0 && <Resting s={s} rests={rests} />}
      {member === 'prep' && <PrepSteps s={s} system={system} />}
      <details className="turns" onToggle={(event) => setTurning(event.currentTarget.open)}>
        <summary>What would change it?</summary>
        {turning && <Turns view={view} s={s} member={member} say={say} />}
      </details>
      {open && <Overrule member={member} value={effective(decided)} system={system} onPick={decide} s={s} />}
    </div>
  );
}

/** Whether what is decided for `s` can be decided for another that it reaches. */
const takes = (one: Specified, s: Specified, member: Member, value: SystemValues[Member] | null): boolean =>
  familyOf(one.surface.kind) === familyOf(s.surface.kind) &&
  (member !== 'sheen' || value === null || one.product.sheens.some((sheen) => sheen === value));

/** What was assumed for it, each a link to its question. */
function Resting({ s, rests }: { s: Specified; rests: readonly QuestionKey[] }) {
  const { system } = useJob();
  const to = (ask: QuestionKey) =>
    `?${new URLSearchParams({ room: s.surface.room, surface: s.surface.id, ask }).toString()}`;
  return (
    <p className="resting">
      <i>assumed</i>{' '}
      {rests.map((key, i) => (
        <span key={key}>
          {i > 0 && ', '}
          <Link to={to(key)}>{said(shortWord(key), system)}</Link>
        </span>
      ))}
    </p>
  );
}

/** Each step with its paper and its holes. */
function PrepSteps({ s, system }: { s: Specified; system: WholeView['system'] }) {
  return (
    <ol className="prep-steps">
      {prepPlan(s).map((line) => (
        <li key={line.step}>
          <PrepPicture step={line.step} />
          <span>
            {said(reasonWord(line.how), system)}
            {line.grits.length > 0 && <i> {line.grits.join(', then ')} grit</i>}
          </span>
          {line.holes.map(({ hole, count, how }) => (
            <small key={hole}>
              {said(counted(count, ...HOLES[hole]), system)}: {said(reasonWord(how), system)}
            </small>
          ))}
        </li>
      ))}
    </ol>
  );
}

type TurnsProps = Pick<DecisionProps, 'view' | 's' | 'member'> & {
  readonly say: (value: SystemValues[Member]) => string;
};
function Turns({ view, s, member, say }: TurnsProps) {
  const room = view.state.shown.rooms.byId[s.surface.room];
  const turns = room ? turnsOf(view.state.shown, s, room, member) : [];
  if (!turns.length) return <p>No other answer about this surface would, by itself.</p>;
  return (
    <ul>
      {turns.map((turn) => (
        <li key={`${turn.key} ${said(inOrder(turn.answers), view.system)}`}>
          {heading(shortWord(turn.key), view.system)}: {said(inOrder(turn.answers, ' or '), view.system)} →{' '}
          <i>{say(turn.becomes)}</i>
        </li>
      ))}
    </ul>
  );
}

/** What a door's edges or handle side get besides. */
export function ZoneSystems({ s, system }: { s: Specified; system: WholeView['system'] }) {
  return s.zones.map((z) => (
    <div key={z.zone} className="decision" data-zone={z.zone}>
      <div className="decision-head">
        <span>{z.zone === 'edge' ? 'Its edges' : 'Its handle side'}</span>
      </div>
      <b>{heading(memberWord('primer', effective(z.primer)), system)}</b>
      <p>{heading(memberWord('prep', effective(z.prep)), system)}</p>
      {z.primer.because.map((reason) => (
        <p key={reason.rule}>because {said(reasonWord(reason), system)}</p>
      ))}
    </div>
  ));
}
