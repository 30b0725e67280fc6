import { formatMinutes, formatMoney, formatPercent } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import Button from '@mui/material/Button';
import { useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { daysWord } from '../app/days.ts';
import { Line, Section } from '../ui/Section.tsx';
import { say } from '../app/say.ts';
import type { WholeView } from '../app/whole.ts';
import { exportPlan } from '../store/take-out.ts';
import { useOvertime, usePlan, useReplays, useSearchOn, useUnpinned } from '../workers/whole.ts';
import type { SearchProgress } from '../workers/whole.worker.ts';
import { Conflicts } from './Conflicts.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { clock, dayWord, laterWord } from '../app/clock.ts';

/** How good the plan is, what it does when people and paint vary, and whether a better one is found by searching on. */
export function Better({ view }: { view: WholeView }) {
  const { state, system, session } = view;
  const { job } = state;
  const { crew } = job;
  const { data } = usePlan(job);
  const { data: replays } = useReplays(job);
  const { data: unpinned } = useUnpinned(job);
  const [round, setRound] = useState(0);
  const [progress, setProgress] = useState<SearchProgress | null>(null);
  const { data: better, isFetching } = useSearchOn(job, round, setProgress);
  const { data: overtime } = useOvertime(job);
  const queries = useQueryClient();
  const schedule = data?.schedule;
  if (!schedule?.tasks.length) return null;
  const when = (t: number): string => `${dayWord(t, crew, true)}, ${clock(t, crew).time}`;
  const delays = (replays?.delays ?? []).slice(0, 3).flatMap(({ task: id, share }) => {
    const task = schedule.tasks.find((t) => t.id === id);
    return task ? [{ task, share }] : [];
  });
  const pins = Object.keys(job.pins).length;
  const take = () => session.edit({ name: 'takePlan', args: { plan: better?.plan ?? null } });
  return (
    <Section title="How good is this plan?">
      <Line label="Longer than the best possible, at most">{formatPercent(schedule.gap)}</Line>
      <p className="hint">
        {schedule.finish - schedule.bound < 1
          ? 'Nothing can be earlier with this crew and these drying times.'
          : `No order of work can end before ${when(schedule.bound)}; this one finishes ${laterWord(schedule.bound, schedule.finish, crew)}.`}
      </p>
      {replays && replays.runs > 0 && (
        <>
          {delays.length > 0 && (
            <p className="hint">
              Time to spare helps most before what is critical oftenest:{' '}
              {delays
                .map(({ task, share }) => `${said(taskWord(task), system)}, ${task.roomName} (${formatPercent(share)})`)
                .join('; ')}
              .
            </p>
          )}
        </>
      )}
      {pins > 0 && unpinned !== undefined && (
        <p className="hint">
          {pins === 1 ? 'One pin' : `${pins} pins`}:{' '}
          {schedule.finish - unpinned > 1
            ? `without ${pins === 1 ? 'it' : 'them'} it would be done ${when(unpinned)}.`
            : 'the end is no later for it.'}
          {schedule.late > 0.5 &&
            ` Missed by ${formatMinutes(schedule.late)} in all: what is pinned waits for something.`}
        </p>
      )}
      {schedule.late > 0.5 && <Conflicts view={view} schedule={schedule} />}
      {overtime && (
        <p className="hint">
          {formatMinutes(overtime.minutes)} more a day would end it {when(overtime.finish)},{' '}
          {overtime.saved > 0 ? `${daysWord(overtime.saved)} less` : 'a day sooner'}, for{' '}
          {formatMoney(Math.abs(overtime.cost), job.currency)} {overtime.cost < 0 ? 'less' : 'more'}.{' '}
          <TextButton onClick={() => session.edit({ name: 'setCrew', args: { set: { hours: overtime.hours } } })}>
            Work it
          </TextButton>
        </p>
      )}
      <div className="better">
        {isFetching ? (
          <>
            <progress aria-label="Orders tried" max={1} value={progress?.share ?? 0} />
            <span>{progress?.finish ? `so far ${when(progress.finish)}` : 'trying other orders …'}</span>
            <TextButton onClick={() => void queries.cancelQueries({ queryKey: ['better', job.id] })}>Stop</TextButton>
          </>
        ) : (
          <Button
            variant="outlined"
            onClick={() => {
              setProgress(null);
              setRound(round + 1);
            }}
          >
            Look for a better plan
          </Button>
        )}
        {job.taken && (
          <TextButton onClick={() => session.edit({ name: 'takePlan', args: { plan: null } })}>
            Back to the base plan
          </TextButton>
        )}
      </div>
      {better && !isFetching && (
        <p className="hint" role="status">
          {better.isBetter ? (
            <>
              A better one: done {when(better.finish)}
              {better.now - better.finish > 0.5
                ? `, ${formatMinutes(better.now - better.finish)} sooner`
                : ', with less fetching'}
              . <TextButton onClick={take}>Use this plan</TextButton>
            </>
          ) : (
            'Nothing better among 1,500 other orders.'
          )}
        </p>
      )}
      <div className="better">
        {(['ics', 'csv'] as const).map((format) => (
          <TextButton
            key={format}
            onClick={() => void exportPlan(job, schedule, format).then((why) => why && say(why))}
          >
            {format === 'ics' ? 'Plan as a calendar' : 'Plan as a table'}
          </TextButton>
        ))}
      </div>
    </Section>
  );
}
