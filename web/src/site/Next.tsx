import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { useChange } from '../workers/site.ts';
import { steadyNow } from '../app/clock-time.ts';
import type { Shared } from './shared.ts';
import { TextButton } from '../ui/TextButton.tsx';
import Button from '@mui/material/Button';
import { onWall } from './times.ts';
import { useStart } from './useStart.tsx';

/** What comes after, for whose day it is; and what a new plan of the rest would change. */
export function Next({ person, ...shared }: Shared & { person: number }) {
  const { view, site, tasks, log, now, zero } = shared;
  const { start, question } = useStart(shared);
  const { system, state } = view;
  const { crew } = state.job;
  const next = site?.people[person]?.next ?? [];
  const others = (site?.people ?? []).flatMap(({ on }, n) => (n !== person && on ? [{ n, task: tasks.get(on) }] : []));
  return (
    <>
      <Section title="After that">
        <ol className="next">
          {next.slice(1).map((one) => {
            const { task: id, from } = one;
            const task = tasks.get(id);
            if (!task) return null;
            return (
              <li key={id}>
                <b>{onWall(from, now, zero, crew)}</b>
                <span>
                  {said(taskWord(task), system)}, <bdi>{task.roomName}</bdi> <small>{formatMinutes(task.work)}</small>
                </span>
                <TextButton onClick={() => start(one)}>Start this</TextButton>
              </li>
            );
          })}
        </ol>
        {next.length < 2 && <p className="hint">Nothing more by the plan.</p>}
        {others.map(({ n, task }) => (
          <p key={n} className="hint">
            {crew.people[n]?.name} is on: {task ? said(taskWord(task), system) : ''}
          </p>
        ))}
      </Section>
      {question}
      <Replan view={view} log={log} now={now} zero={zero} tasks={tasks} />
    </>
  );
}

/** The plan as it now goes on, and a new one if it is asked for. */
function Replan({ view, log, now, zero, tasks }: Pick<Shared, 'view' | 'log' | 'now' | 'zero' | 'tasks'>) {
  const { state, session, system } = view;
  const { crew } = state.job;
  const [asked, setAsked] = useState({ round: 0, at: 0 });
  const { data, isFetching } = useChange(state.job, log.entries, asked.at, asked.round);
  const later = data ? data.goesOn - data.planned : 0;
  const gain = data ? data.goesOn - data.anew : 0;
  return (
    <Section title="The rest of the plan">
      <p>
        <TextButton disabled={isFetching} onClick={() => setAsked({ round: asked.round + 1, at: steadyNow() })}>
          {isFetching ? 'Planning …' : 'Plan the rest anew, from what is true now'}
        </TextButton>
      </p>
      {data && !isFetching && (
        <>
          <p>
            As it goes on, done {onWall(data.goesOn, now, zero, crew)}
            {Math.abs(later) < 5
              ? ', as planned.'
              : `: ${formatMinutes(Math.abs(later))} ${later > 0 ? 'later' : 'sooner'} than planned.`}
          </p>
          {gain > 1 || data.moved.length > 0 ? (
            <>
              <p>
                Planned anew, done {onWall(data.anew, now, zero, crew)}
                {gain > 1
                  ? `, ${formatMinutes(gain)} sooner.`
                  : gain < -1
                    ? `, ${formatMinutes(-gain)} later.`
                    : ', no sooner.'}{' '}
                {data.moved.length} {data.moved.length === 1 ? 'task goes' : 'tasks go'} to another person or day
                {data.moved.length > 0 && ': '}
                {data.moved
                  .slice(0, 3)
                  .map((id) => tasks.get(id))
                  .map((task) => (task ? said(taskWord(task), system) : ''))
                  .join('; ')}
                {data.moved.length > 3 && ' …'}
              </p>
              <Button
                variant="outlined"
                onClick={() => {
                  session.run({ name: 'takePlan', args: { plan: data.plan } });
                  setAsked({ round: 0, at: 0 });
                }}
              >
                Take the new plan
              </Button>{' '}
              <TextButton onClick={() => setAsked({ round: 0, at: 0 })}>Keep the old plan</TextButton>
            </>
          ) : (
            <p>Planned anew it is the same.</p>
          )}
        </>
      )}
    </Section>
  );
}
