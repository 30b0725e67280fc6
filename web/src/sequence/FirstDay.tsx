import type { Crew } from '@kovelin/core/job/crew.ts';
import { anybodyWorks, nextWorkday } from '@kovelin/core/sequence/calendar.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { WholeView } from '../app/whole.ts';
import { useLedTo } from '../app/useLedTo.ts';
import { DayField } from '../ui/DayField.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { Window } from '../ui/Window.tsx';

const said = (day: string) =>
  new Intl.DateTimeFormat('en', { weekday: 'long', day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
    new Date(`${day}T00:00:00Z`),
  );

/** The day a job begins; one that nobody works is asked about, never moved. */
export function FirstDay({ view, crew }: { view: WholeView; crew: Crew }) {
  const { session, state } = view;
  const id = useLedTo('start');
  const [asked, setAsked] = useState<string | null>(null);
  const set = (change: Partial<Crew>) => session.edit({ name: 'setCrew', args: { set: change } });
  const isOff = crew.start !== null && !anybodyWorks(crew, crew.start);
  const next = crew.start && isOff ? nextWorkday(crew, crew.start) : null;
  return (
    <>
      <DayField
        single
        id={id}
        label="First day"
        form={state.job.region.dates}
        days={crew.start ? [crew.start] : []}
        placeholder="not set"
        onCommit={([start = null]) => {
          if (start === null || anybodyWorks(crew, start)) return set({ start });
          const refused = set({ start });
          if (!refused) setAsked(start);
          return refused;
        }}
      />
      {isOff && next && (
        <p className="hint">
          {said(crew.start ?? '')} is a day off: the plan begins on {said(next)}.
        </p>
      )}
      {asked && <DayOff crew={crew} day={asked} onSet={set} onClose={() => setAsked(null)} />}
    </>
  );
}

interface DayOffProps {
  readonly crew: Crew;
  readonly day: string;
  readonly onSet: (change: Partial<Crew>) => void;
  readonly onClose: () => void;
}
function DayOff({ crew, day, onSet, onClose }: DayOffProps) {
  const next = nextWorkday(crew, day);
  const worked: Partial<Crew> = {
    start: day,
    extra: [...crew.extra, day].sort(),
    holidays: crew.holidays.filter((other) => other !== day),
  };
  // where people themselves are away, working the day would bring nobody
  const canWork = anybodyWorks({ ...crew, ...worked }, day);
  const choose = (change: Partial<Crew>) => {
    onSet(change);
    onClose();
  };
  return (
    <Window
      title={`${said(day)} is not a working day for this crew`}
      onClose={onClose}
      actions={
        <>
          {canWork && <TextButton onClick={() => choose(worked)}>Work it</TextButton>}
          {next && (
            <Button variant="contained" onClick={() => choose({ start: next })}>
              Begin on {said(next)}
            </Button>
          )}
        </>
      }
    >
      <p>{canWork ? 'Work it this once, or begin on the next day that is worked?' : 'Everybody is away that day.'}</p>
    </Window>
  );
}
