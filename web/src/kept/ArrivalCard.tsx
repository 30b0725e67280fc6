import { usualSide, type Difference, type Side } from '@kovelin/core/job/differences.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { sayDifferences, type DifferenceWords } from '@kovelin/core/words/differences.ts';
import { Check } from '../ui/Check.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import type { Arrival } from '../store/archive.ts';
import Radio from '@mui/material/Radio';
import { Message } from '../ui/Message.tsx';

export interface Choice {
  readonly isWanted: boolean;
  /** By the key of a difference; null: nobody has chosen yet. */
  readonly sides: Readonly<Record<string, Side | null>>;
}
const isSame = ({ row, isUnfit, differences, entries, aside, photos }: Arrival): boolean =>
  row !== null && !isUnfit && !differences.length && !entries && !aside && !photos;
/** Things of a job that is wanted of which nobody has chosen yet. */
export const toChoose = ({ isWanted, sides }: Choice): number =>
  isWanted ? Object.values(sides).filter((side) => side === null).length : 0;

/** What is taken unless somebody chooses otherwise. */
export const startingChoice = (arrival: Arrival): Choice => ({
  isWanted: !isSame(arrival),
  sides: Object.fromEntries(arrival.differences.map((difference) => [difference.key, usualSide(difference)])),
});

const some = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;

interface Props {
  readonly arrival: Arrival;
  readonly choice: Choice;
  readonly onChoice: (choice: Choice) => void;
}

/** One job that came in: new, the same, or with what it says otherwise than the one here. */
export function ArrivalCard({ arrival, choice, onChoice }: Props) {
  const { came, row, isUnfit, differences, entries, aside, photos } = arrival;
  const { job } = came;
  const with_ = [entries ? `${some(entries, 'entry', 'entries')} of its log` : '', photos ? some(photos, 'photo') : '']
    .filter(Boolean)
    .join(' and ');
  return (
    <section className="kept-part arrival" aria-label={job.name}>
      <h2>
        <Check
          label={job.name}
          checked={choice.isWanted}
          onChange={(isOn) => onChoice({ ...choice, isWanted: isOn })}
        />
      </h2>
      {row === null && (
        <p>
          Not in this browser: {some(job.rooms.order.length, 'room')}
          {with_ && `, ${with_}`}.
        </p>
      )}
      {isUnfit && (
        <Message kind="caution">
          The one that is here cannot be opened, and stays as it is; only the log is added to. Export it and delete it,
          if this one is to stand in its place.
        </Message>
      )}
      {isSame(arrival) && <p>Nothing in it is otherwise than here.</p>}
      {row !== null && with_ && (
        <p>
          {with_} that {entries + photos === 1 ? 'is' : 'are'} not here yet will be added; nothing of the log here
          changes.
        </p>
      )}
      {aside > 0 && (
        <p>
          {some(aside, 'line')} of its log {aside === 1 ? 'is' : 'are'} not understood here: kept, and counted for
          nothing.
        </p>
      )}
      {row !== null && differences.length > 0 && (
        <Differences arrival={arrival} here={row.job} choice={choice} onChoice={onChoice} />
      )}
    </section>
  );
}

const CHANGED = {
  here: 'changed here',
  there: 'changed there',
  both: 'changed on both sides',
  unknown: 'who changed it is not known',
} as const;
/** Why nobody can say who changed what. */
const LOST = {
  gone: 'What both copies began from is no longer kept on this device, so who changed what is not known.',
  unknown: 'These two copies have nothing in common that is known here, so who changed what is not known.',
  own: 'This is how it stood on this device then.',
} as const;

function Differences({ arrival, here, choice, onChoice }: Props & { here: Arrival['came']['job'] }) {
  const { differences, came, lost } = arrival;
  const say = sayDifferences(here, came.job);
  const said = differences.map((difference) => ({ difference, words: say(difference) }));
  const all = (side: Side | null): void =>
    onChoice({
      ...choice,
      sides: Object.fromEntries(differences.map((one) => [one.key, side ?? usualSide(one)])),
    });
  const set = (key: string, side: Side): void => onChoice({ ...choice, sides: { ...choice.sides, [key]: side } });
  return (
    <>
      <p className="difference-all">
        {some(differences.length, 'thing')} {differences.length === 1 ? 'is' : 'are'} otherwise.{' '}
        {lost !== null && `${LOST[lost]} `}Take of each what is right, or{' '}
        <TextButton onClick={() => all('here')}>all as it is here</TextButton>,{' '}
        <TextButton onClick={() => all('there')}>all as it came</TextButton>
        {lost === null && (
          <>
            , <TextButton onClick={() => all(null)}>each from where it was changed</TextButton>
          </>
        )}
        .
      </p>
      {[...groupBy(said, ({ words }) => words.group)].map(([group, own]) => (
        <div key={group} className="difference-group">
          <h3>{group}</h3>
          <p className="difference-head" aria-hidden="true">
            <span />
            <b>Here</b>
            <b>Came</b>
          </p>
          {own.map(({ difference, words }) => (
            <OneDifference
              key={difference.key}
              difference={difference}
              words={words}
              side={choice.sides[difference.key] ?? null}
              onSide={(side) => set(difference.key, side)}
            />
          ))}
        </div>
      ))}
    </>
  );
}

interface OneProps {
  readonly difference: Difference;
  readonly words: DifferenceWords;
  readonly side: Side | null;
  readonly onSide: (side: Side) => void;
}
function OneDifference({ difference, words, side, onSide }: OneProps) {
  const { key, changed } = difference;
  return (
    <fieldset className="difference">
      <legend>
        {words.title}
        <small>{CHANGED[changed ?? 'unknown']}</small>
      </legend>
      {(['here', 'there'] as const).map((one) => (
        <label key={one} className={one === side ? 'chosen' : ''} data-side={one === 'here' ? 'Here' : 'Came'}>
          <Radio name={key} checked={one === side} onChange={() => onSide(one)} />
          <span className="unseen">{one === 'here' ? 'As it is here:' : 'As it came:'}</span>
          <span>
            {words.lines.map((line) => (
              <span key={line.label} className="difference-line">
                {line.label && <small>{line.label} </small>}
                {line[one]}
              </span>
            ))}
          </span>
        </label>
      ))}
    </fieldset>
  );
}
