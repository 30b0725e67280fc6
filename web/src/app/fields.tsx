import type { Reading } from '@kovelin/core/job/types.ts';
import { parseLength, type LengthOptions } from '@kovelin/core/units/length.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { aim, hasPad } from './aim.ts';
import { type KeyboardEvent, type ReactNode, useId, useState } from 'react';

interface TextFieldProps<T> {
  readonly label: string;
  readonly value: string;
  /** Reads what is typed; a sentence when it cannot be. */
  readonly parse: (text: string) => { ok: true; value: T } | { ok: false; message: string };
  readonly onDraft?: (value: T | null) => void;
  /** @returns a sentence when the edit was refused. */
  readonly onCommit: (value: T) => string | null | undefined;
  readonly onEnter?: (() => void) | undefined;
  readonly placeholder?: string;
  readonly className?: string;
  /** A problem that the whole room, not this text alone, has with the field. */
  readonly problem?: string | null;
  readonly id?: string;
  readonly hideLabel?: boolean;
  /** Id of a datalist of suggestions. */
  readonly list?: string;
  /** Takes what the laser meter reads, while it was the last such field to have the focus. */
  readonly takesReadings?: boolean;
}

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
  const read = text === null ? null : props.parse(text);
  const message = (read && !read.ok ? read.message : refused) ?? props.problem ?? null;
  const type = (next: string) => {
    if (text === null) setBefore(props.value);
    setText(next);
    setRefused(null);
    const parsed = props.parse(next);
    props.onDraft?.(parsed.ok ? parsed.value : null);
  };
  const commit = (): boolean => {
    if (text === null) return true;
    if (!read?.ok) return false;
    if (text !== before) setRefused(props.onCommit(read.value) ?? null);
    else props.onDraft?.(null);
    setText(null);
    return true;
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') {
      event.preventDefault();
      const field = event.currentTarget;
      if (!commit()) return;
      if (props.onEnter) props.onEnter();
      // what is typed next is a new value, not more of this one
      else requestAnimationFrame(() => document.activeElement === field && field.select());
    } else if (event.key === 'Escape' && text !== null) {
      setText(null);
      setRefused(null);
      props.onDraft?.(null);
    }
  };
  return (
    <span className={`field ${props.className ?? ''}`}>
      <label htmlFor={id} className={props.hideLabel ? 'unseen' : ''}>
        {props.label}
      </label>
      <input
        id={id}
        value={text ?? props.value}
        placeholder={props.placeholder}
        data-length={props.takesReadings ? '' : undefined}
        inputMode={props.takesReadings && hasPad() ? 'none' : undefined}
        data-dirty={text === null ? undefined : 'yes'}
        aria-invalid={message !== null}
        aria-describedby={message ? `${id}-p` : undefined}
        autoComplete="off"
        spellCheck={false}
        list={props.list}
        onFocus={(event) => {
          event.target.select();
          if (props.takesReadings) aim({ id, label: props.label });
        }}
        onChange={(event) => type(event.target.value)}
        onBlur={commit}
        onKeyDown={onKeyDown}
      />
      {message && (
        <span className="problem" id={`${id}-p`} role="alert">
          {message}
        </span>
      )}
    </span>
  );
}

type LengthProps = Omit<TextFieldProps<Reading | null>, 'parse' | 'value'> & {
  readonly value: Reading | null;
  readonly system: System;
  readonly options?: LengthOptions;
  /** May be left empty. */
  readonly optional?: boolean;
};

/** Reads a length; a bare number takes the job's unit and is kept with it, so that it means the same for ever. */
export function readLength(
  text: string,
  system: System,
  options: LengthOptions = {},
  optional = false,
): ReturnType<TextFieldProps<Reading | null>['parse']> {
  const typed = text.trim();
  if (!typed && optional) return { ok: true, value: null };
  const unit = system === 'imperial' ? 'ft' : 'm';
  const parsed = parseLength(typed, { unit, ...options });
  if (!parsed.ok) return { ok: false, message: parsed.problems[0]?.message ?? '' };
  const alone = parseLength(typed, { ...options });
  return {
    ok: true,
    value: { typed: alone.ok ? typed : `${typed}${unit === 'ft' ? "'" : ' m'}`, metres: parsed.value },
  };
}

export function LengthField({ value, system, options, optional, ...rest }: LengthProps) {
  return (
    <DraftField
      {...rest}
      takesReadings
      value={value?.typed ?? ''}
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
