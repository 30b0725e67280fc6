import type { Crew, Person } from '@kovelin/core/job/crew.ts';
import { MOST, within } from '@kovelin/core/job/limits.ts';
import { SKILLS, type Skill } from '@kovelin/core/job/vocabulary.ts';
import { isZone } from '@kovelin/core/units/day.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { said } from '@kovelin/core/units/word.ts';
import { SKILL } from '@kovelin/core/words/terms.ts';
import { DraftField } from '../ui/DraftField.tsx';
import type { WholeView } from '../app/whole.ts';
import { DayField } from '../ui/DayField.tsx';
import { writeHours } from '../ui/hours.ts';
import { Check } from '../ui/Check.tsx';
import { momentWords, readMoment } from './moment.ts';
import { Toggle } from '../ui/Toggle.tsx';
import { HoursField } from '../ui/HoursField.tsx';

const WEEK = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

const time = (text: string): Result<number | null> => {
  if (!text.trim()) return good(null);
  const [, hours = '', minutes = '00'] = /^\s*(\d{1,2})(?::([0-5]\d))?\s*$/.exec(text) ?? [];
  const at = Number(hours) * 60 + Number(minutes);
  return hours && at <= 1440
    ? good(at)
    : bad('Write a time of the day, for example 20:00; nothing where it does not matter.');
};

const count = (text: string): Result<number | null> => {
  if (!text.trim()) return good(null);
  const n = Number(text);
  return Number.isInteger(n) && within(n, [1, MOST.count])
    ? good(n)
    : bad('Write how many there are, for example 1; nothing where there are enough.');
};

/** Which days are worked, and what each of the crew does and when. */
export function CrewDays({ view, crew }: { view: WholeView; crew: Crew }) {
  const { session, system, state, takeoff } = view;
  const form = state.job.region.dates;
  const set = (change: Partial<Crew>) => session.edit({ name: 'setCrew', args: { set: change } });
  const setPerson = (person: Person, change: Partial<Person>) =>
    set({ people: crew.people.map((p) => (p.id === person.id ? { ...p, ...change } : p)) });
  const toggleDay = (day: number) => {
    const weekdays = crew.weekdays.includes(day)
      ? crew.weekdays.filter((other) => other !== day)
      : [...crew.weekdays, day].sort((a, b) => a - b);
    if (weekdays.length) set({ weekdays });
  };
  const toggleSkill = (person: Person, skill: Skill) => {
    const has = person.skills ?? SKILLS;
    const next = has.includes(skill)
      ? has.filter((other) => other !== skill)
      : SKILLS.filter((s) => s === skill || has.includes(s));
    if (next.length) setPerson(person, { skills: next.length === SKILLS.length ? null : next });
  };
  return (
    <>
      <div role="group" aria-label="Days of the week that are worked" className="week">
        {WEEK.map((name, i) => (
          <Toggle key={name} pressed={crew.weekdays.includes(i + 1)} onChange={() => toggleDay(i + 1)}>
            {name}
          </Toggle>
        ))}
      </div>
      {crew.start === null && <p className="hint">Weekends count once the first day is known.</p>}
      <DayField label="Holidays" form={form} days={crew.holidays} onCommit={(holidays) => set({ holidays })} />
      <DayField label="Worked besides" form={form} days={crew.extra} onCommit={(extra) => set({ extra })} />
      <div className="pair">
        <HoursField
          label="No noise or dust"
          value={crew.quiet.length ? crew.quiet : null}
          optional
          placeholder="13:00-14:00"
          onCommit={(quiet) => set({ quiet: quiet ?? [] })}
        />
        <DraftField
          label="Windows shut by"
          value={crew.closing === null ? '' : (writeHours([[crew.closing, crew.closing]]).split('-')[0] ?? '')}
          placeholder="never"
          parse={time}
          onCommit={(closing) => set({ closing })}
        />
      </div>
      <div className="pair">
        <DraftField
          label="Work platforms"
          value={crew.platforms === null ? '' : String(crew.platforms)}
          placeholder="as many as wanted"
          parse={count}
          onCommit={(platforms) => set({ platforms })}
        />
        <DraftField
          label="Time zone"
          value={crew.zone}
          parse={(text) =>
            isZone(text.trim()) ? good(text.trim()) : bad('Write a time zone as area/city, for example Europe/London.')
          }
          onCommit={(zone) => set({ zone })}
        />
      </div>
      {takeoff && (
        <DraftField
          label={`${takeoff.room.name} wanted back`}
          value={momentWords(state.job.wanted[takeoff.room.id] ?? null)}
          placeholder="whenever it is done"
          parse={(text) => readMoment(text, 0)}
          onCommit={(at) => session.edit({ name: 'wantRoom', args: { room: takeoff.room.id, at } })}
        />
      )}
      {crew.people.map((person) => (
        <details key={person.id} className="crew-person">
          <summary>{person.name}: hours, days, work</summary>
          <HoursField
            label={`Own hours of ${person.name}`}
            value={person.hours}
            optional
            placeholder={writeHours(crew.hours)}
            onCommit={(hours) => setPerson(person, { hours })}
          />
          <div className="pair">
            <DayField
              single
              label={`First day of ${person.name}`}
              form={form}
              days={person.from ? [person.from] : []}
              placeholder="the job’s"
              onCommit={([from = null]) => setPerson(person, { from })}
            />
            <DayField
              single
              label={`Last day of ${person.name}`}
              form={form}
              days={person.until ? [person.until] : []}
              placeholder="the job’s"
              onCommit={([until = null]) => setPerson(person, { until })}
            />
          </div>
          <DayField
            label={`Days off of ${person.name}`}
            form={form}
            days={person.away}
            onCommit={(away) => setPerson(person, { away })}
          />
          <fieldset>
            <legend>Does</legend>
            {SKILLS.map((skill) => (
              <Check
                key={skill}
                label={said(SKILL[skill], system)}
                checked={person.skills?.includes(skill) ?? true}
                onChange={() => toggleSkill(person, skill)}
              />
            ))}
          </fieldset>
        </details>
      ))}
    </>
  );
}
