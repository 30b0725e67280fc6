import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import type { Edit } from '@kovelin/core/job/edits.ts';
import { within, type Ends } from '@kovelin/core/job/limits.ts';
import { meant, type LengthOptions } from '@kovelin/core/units/length.ts';
import { readReading, unitOf, type Reading } from '@kovelin/core/units/reading.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { aim, hasPad } from './aim.ts';
import { type ChangeEvent, type KeyboardEvent, type ReactNode, useContext, useId, useState } from 'react';
import { SessionContext } from './session-context.ts';
import { say } from './say.ts';
import { useTyped } from './typed.ts';

interface TextFieldProps<T> {
  readonly label: string;
  readonly value: string;
  /** Reads what is typed; a sentence when it cannot be. */
  readonly parse: (text: string) => Result<T>;
  /** The edit that shows what is being typed; it is the field's own, and goes with it. */
  readonly drafts?: (value: T) => Edit | null;
  /** @returns a sentence when the edit was refused. */
  readonly onCommit: (value: T) => string | null | undefined;
  readonly onEnter?: (() => void) | undefined;
  readonly placeholder?: string;
  readonly className?: string;
  /** A problem that the whole room, not this text alone, has with the field. */
  readonly problem?: string | null;
  readonly id?: string;
  readonly hideLabel?: boolean;
  /** Several lines: Enter starts a new one, Ctrl Enter takes what is there. */
  readonly lines?: number;
  /** What a text that was refused may have meant: offered to be taken. */
  readonly meant?: (text: string) => string | null;
  /** Id of a datalist of suggestions. */
  readonly list?: string;
  /** Takes what the laser meter reads, while it was the last such field to have the focus. */
  readonly takesReadings?: boolean;
}

/** What stands below a field that could not be read. */
const why = (read: Result<unknown>): string => (read.ok ? '' : (read.problems[0]?.message ?? ''));

/**
 * A field whose typing is a draft. Enter or leaving it makes the edit; Escape takes the draft back. What cannot be read
 * stays in the field with its sentence, and nothing is changed.
 */
export function DraftField<T>(props: TextFieldProps<T>) {
  const own = useId();
  const id = props.id ?? own;
  const [text, setText] = useState<string | null>(null);
  /** What stood there when typing began: the value itself follows the draft. */
  const [before, setBefore] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const session = useContext(SessionContext);
  const [owner] = useState(() => ({}));
  const read = text === null ? null : props.parse(text);
  const message = (read && !read.ok ? why(read) : refused) ?? props.problem ?? null;
  const type = (next: string) => {
    if (text === null) setBefore(props.value);
    setText(next);
    setRefused(null);
    const parsed = props.parse(next);
    if (props.drafts) session?.setDraft(owner, parsed.ok ? props.drafts(parsed.value) : null);
  };
  const commit = (): boolean => {
    if (text === null) return true;
    if (!read?.ok) return false;
    if (text !== before) setRefused(props.onCommit(read.value) ?? null);
    session?.setDraft(owner, null);
    setText(null);
    return true;
  };
  const instead = text !== null && read && !read.ok ? (props.meant?.(text) ?? null) : null;
  const take = (): void => {
    const meaning = props.parse(instead ?? '');
    if (!meaning.ok) return;
    session?.setDraft(owner, null);
    setText(null);
    setRefused(props.onCommit(meaning.value) ?? null);
    if (props.onEnter) props.onEnter();
    else document.getElementById(id)?.focus();
  };
  useTyped(text !== null && text !== before, (isGone) => {
    if (text === null || text === before) return true;
    const refusal = read?.ok ? (props.onCommit(read.value) ?? null) : why(read ?? good(null));
    if (refusal !== null && !isGone) return false;
    if (refusal !== null) say(`“${text.slice(0, 40)}” for ${props.label} was not taken: ${refusal}`);
    session?.setDraft(owner, null);
    setText(null);
    return refusal === null;
  });
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement | HTMLTextAreaElement>) => {
    if (event.key === 'Enter' && (!props.lines || event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      const field = event.currentTarget;
      if (!commit()) return;
      if (props.onEnter) props.onEnter();
      // what is typed next is a new value, not more of this one
      else requestAnimationFrame(() => document.activeElement === field && field.select());
    } else if (event.key === 'Escape' && text !== null) {
      const field = event.currentTarget;
      setText(null);
      setRefused(null);
      session?.setDraft(owner, null);
      requestAnimationFrame(() => document.activeElement === field && field.select());
    }
  };
  const common = {
    id,
    value: text ?? props.value,
    placeholder: props.placeholder,
    'data-dirty': text === null ? 'no' : 'yes',
    'aria-invalid': message !== null,
    'aria-describedby': message ? `${id}-p` : undefined,
    spellCheck: false,
    onChange: (event: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => type(event.target.value),
    onBlur: commit,
    onKeyDown,
  };
  return (
    <span className={`field ${props.className ?? ''}`}>
      <label htmlFor={id} className={props.hideLabel ? 'unseen' : ''}>
        {props.label}
      </label>
      {props.lines ? (
        <textarea {...common} rows={props.lines} />
      ) : (
        <input
          {...common}
          data-length={props.takesReadings ? '' : undefined}
          inputMode={props.takesReadings && hasPad() ? 'none' : undefined}
          autoComplete="off"
          list={props.list}
          onFocus={(event) => {
            event.target.select();
            if (props.takesReadings) aim({ id, label: props.label });
          }}
        />
      )}
      {message && (
        <span className="problem" id={`${id}-p`} role="alert">
          {message}
          {instead !== null && (
            <>
              {' '}
              <button type="button" className="link" onMouseDown={(event) => event.preventDefault()} onClick={take}>
                Take {instead}
              </button>
            </>
          )}
        </span>
      )}
    </span>
  );
}

/** What was read, where it lies between the ends the document accepts; `show` writes an end as a person would. */
export const between =
  (read: (text: string) => Result<number>, ends: Ends, show: (value: number) => string) =>
  (text: string): Result<number> => {
    const found = read(text);
    return !found.ok || within(found.value, ends)
      ? found
      : bad(`From ${show(ends[0])} to ${show(ends[1])} is accepted here.`);
  };

/** A text of at most so many characters, or of at least one, too. */
export const readText =
  (most: number, least = 0) =>
  (text: string): Result<string> => {
    const { length } = text.trim();
    return length >= least && length <= most
      ? good(text.trim())
      : bad(least ? `${least} to ${most} characters are accepted.` : `At most ${most} characters.`);
  };

type LengthProps = Omit<TextFieldProps<Reading | null>, 'parse' | 'value'> & {
  readonly value: Reading | null;
  readonly system: System;
  readonly options?: Omit<LengthOptions, 'unit'>;
  /** May be left empty. */
  readonly optional?: boolean;
};

/** Reads a length as a field does: in the job's unit where it names none, or nothing at all where that may be. */
function readLength(
  text: string,
  system: System,
  options: Omit<LengthOptions, 'unit'> = {},
  optional = false,
): ReturnType<TextFieldProps<Reading | null>['parse']> {
  const typed = text.trim();
  if (!typed && optional) return good(null);
  return readReading(typed, unitOf(system), options);
}

/** A length as it is typed, with its sentence when it cannot be read. */
export function LengthField({ value, system, options, optional, ...rest }: LengthProps) {
  return (
    <DraftField
      {...rest}
      takesReadings
      value={value?.typed ?? ''}
      meant={(text) => meant(text, system, options?.max ?? 60)}
      parse={(text) => readLength(text, system, options, optional)}
    />
  );
}

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [T, string])[];
  readonly onChange: (value: T) => void;
  readonly hideLabel?: boolean;
}
/** The browser's own list: at home on a phone, with a keyboard and with a screen reader. */
export function Choice<T extends string>({ label, value, options, onChange, hideLabel }: ChoiceProps<T>) {
  const id = useId();
  return (
    <span className="field">
      <label htmlFor={id} className={hideLabel ? 'unseen' : ''}>
        {label}
      </label>
      <select id={id} value={value} onChange={(event) => onChange(event.target.value as T)}>
        {options.map(([key, words]) => (
          <option key={key} value={key}>
            {words}
          </option>
        ))}
      </select>
    </span>
  );
}

/** A titled part of a panel. */
export function Section({ title, children, extra }: { title: string; children: ReactNode; extra?: ReactNode }) {
  return (
    <section className="section">
      <h3>
        {title} {extra}
      </h3>
      {children}
    </section>
  );
}

/** A name and what stands for it. */
export function Line({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="line">
      <span>{label}</span>
      <div>{children}</div>
    </div>
  );
}
