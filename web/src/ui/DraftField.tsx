import type { Edit } from '@kovelin/core/job/edits.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import InputBase from '@mui/material/InputBase';
import Link from '@mui/material/Link';
import { type ChangeEvent, type KeyboardEvent, type Ref, useContext, useId, useRef, useState } from 'react';
import { aim, hasPad } from '../app/aim.ts';
import { say } from '../app/say.ts';
import { SessionContext } from '../app/session-context.ts';
import { useTyped } from '../app/typed.ts';
import { Field, problemId } from './Field.tsx';

export interface DraftFieldProps<T> {
  readonly label: string;
  readonly value: string;
  /** Reads what is typed; a sentence when it cannot be. */
  readonly parse: (text: string) => Result<T>;
  /** The edit that shows what is being typed; it is the field's own, and goes with it. */
  readonly drafts?: (value: T) => Edit | null;
  /** Told at each key what is typed, while it can be read. */
  readonly onType?: (value: T) => void;
  /** @returns a sentence when the edit was refused. */
  readonly onCommit: (value: T) => string | null | undefined;
  readonly onEnter?: (() => void) | undefined;
  readonly placeholder?: string;
  readonly className?: string;
  /** A problem that the whole room, not this text alone, has with the field. */
  readonly problem?: string | null;
  readonly id?: string;
  readonly inputRef?: Ref<HTMLInputElement>;
  readonly hideLabel?: boolean;
  readonly autoFocus?: boolean;
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
export function DraftField<T>(props: DraftFieldProps<T>) {
  const own = useId();
  const id = props.id ?? own;
  const [text, setText] = useState<string | null>(null);
  /** What stood there when typing began: the value itself follows the draft. */
  const [before, setBefore] = useState('');
  const [refused, setRefused] = useState<string | null>(null);
  const session = useContext(SessionContext);
  const [owner] = useState(() => ({}));
  /** The value was just taken, or put back: the next key begins a new one, whether or not it is selected yet. */
  const fresh = useRef(false);
  const begin = (field: HTMLInputElement | HTMLTextAreaElement): void => {
    fresh.current = true;
    requestAnimationFrame(() => fresh.current && document.activeElement === field && field.select());
  };
  const read = text === null ? null : props.parse(text);
  const message = (read && !read.ok ? why(read) : refused) ?? props.problem ?? null;
  const type = (next: string) => {
    if (text === null) setBefore(props.value);
    setText(next);
    setRefused(null);
    const parsed = props.parse(next);
    if (parsed.ok) props.onType?.(parsed.value);
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
  const problem = message && (
    <>
      {message}
      {instead !== null && (
        <>
          {' '}
          <Link component="button" type="button" onMouseDown={(event) => event.preventDefault()} onClick={take}>
            Take {instead}
          </Link>
        </>
      )}
    </>
  );
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
    // an arrow, or a key that takes away, means what stands there
    if (event.key.length > 1) fresh.current = false;
    if (event.key === 'Enter' && (!props.lines || event.ctrlKey || event.metaKey)) {
      event.preventDefault();
      const field = event.currentTarget;
      if (!commit()) return;
      if (props.onEnter) props.onEnter();
      else begin(field);
    } else if (event.key === 'Escape' && text !== null) {
      const field = event.currentTarget;
      setText(null);
      const was = props.parse(before);
      if (was.ok) props.onType?.(was.value);
      setRefused(null);
      session?.setDraft(owner, null);
      begin(field);
    }
  };
  const onChange = ({ target, nativeEvent }: ChangeEvent<HTMLInputElement | HTMLTextAreaElement>) => {
    const isNew = fresh.current && nativeEvent instanceof InputEvent && nativeEvent.inputType === 'insertText';
    fresh.current = false;
    type(isNew ? (nativeEvent.data ?? '') : target.value);
  };
  const attributes = {
    rows: props.lines,
    'data-dirty': text === null ? 'no' : 'yes',
    'data-length': props.takesReadings ? '' : undefined,
    'aria-label': props.hideLabel ? props.label : undefined,
    'aria-describedby': message ? problemId(id) : undefined,
  };
  return (
    <Field id={id} label={props.hideLabel ? null : props.label} className={props.className} problem={problem}>
      <InputBase
        {...(props.lines ? { inputComponent: 'textarea' } : {})}
        id={id}
        inputRef={props.inputRef}
        fullWidth
        value={text ?? props.value}
        placeholder={props.placeholder}
        error={message !== null}
        autoComplete="off"
        autoFocus={props.autoFocus ?? false}
        onChange={onChange}
        onPointerDown={() => (fresh.current = false)}
        onBlur={() => {
          fresh.current = false;
          commit();
        }}
        onKeyDown={onKeyDown}
        onFocus={({ target }) => {
          if (!props.lines) target.select();
          if (props.takesReadings) aim({ id, label: props.label });
        }}
        slotProps={{
          input: {
            ...attributes,
            inputMode: props.takesReadings && hasPad() ? 'none' : undefined,
            list: props.list,
            spellCheck: false,
          },
        }}
      />
    </Field>
  );
}
