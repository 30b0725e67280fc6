import { seededIds } from '@kovelin/core/job/blank.ts';
import { MOST } from '@kovelin/core/job/limits.ts';
import { plainRoom, type DrawnRoom, type PlainRoom } from '@kovelin/core/job/plain-room.ts';
import { usualOf } from '@kovelin/core/job/usual.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import { FOOT, isImperial, type System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { OPENING, TRIM } from '@kovelin/core/words/terms.ts';
import { type ComponentProps, type ReactNode } from 'react';
import { type Control, useController, useForm } from 'react-hook-form';
import { lateSchema } from '../ui/late-schema.ts';
import { useHalfTyped } from '../app/half-typed.ts';
import { say } from '../app/say.ts';
import { Check } from '../ui/Check.tsx';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { readText } from '../ui/read.ts';
import type { Key, SaidRoom } from './said-room.ts';
import './rooms.css';

const WALL = { max: 60, what: 'a wall' };
const HEIGHT = { max: 20, what: 'a height' };
/** What is drawn before anything is typed, m: a room of the middling kind. */
const MIDDLING = { metric: [4.5, 3.6], imperial: [15 * FOOT, 12 * FOOT] } as const;
const SCHEMA = lateSchema<SaidRoom>(() => import('./room-schema.ts'));
const COUNTS = Array.from({ length: 7 }, (_, n) => [`${n}`, `${n}`] as const);

interface RoomFormAsk {
  readonly system: System;
  /** What stands there before anything is typed. */
  readonly blank: SaidRoom;
  /** The height where none is typed; absent: the usual one. */
  readonly height?: Reading | null;
  /** Where what is half typed is kept. */
  readonly place: string;
}
export interface RoomForm extends RoomFormAsk {
  readonly control: Control<SaidRoom>;
  readonly typed: SaidRoom;
  readonly keep: (said: SaidRoom) => void;
  readonly values: () => SaidRoom;
  /** As it would be drawn now. */
  readonly drawn: DrawnRoom;
  /** With what is usual where nothing was typed. */
  readonly whole: (said: SaidRoom) => PlainRoom;
  /** Draws it, where there are two lengths; says of what found no place. */
  readonly send: (take: (said: PlainRoom) => void) => void;
}

/** A rectangular room from two lengths and a height: what is typed is drawn at each key, and is there after a reload. */
export function useRoomForm(ask: RoomFormAsk): RoomForm {
  const { system, blank, height, place } = ask;
  const [typed, keep] = useHalfTyped(place, blank);
  const { control, getValues, handleSubmit } = useForm({ defaultValues: typed, resolver: SCHEMA });
  const units = isImperial(system) ? 'imperial' : 'metric';
  const whole = (of: SaidRoom): PlainRoom => ({
    ...of,
    length: of.length ?? tapeReading(MIDDLING[units][0], system),
    width: of.width ?? tapeReading(MIDDLING[units][1], system),
    height: of.height ?? height ?? usualOf(system).height,
  });
  return {
    ...ask,
    control,
    typed,
    keep,
    values: getValues,
    whole,
    drawn: plainRoom('start', whole(typed), seededIds('start'), system),
    send: (take) => void handleSubmit((said) => take(whole(said)))(),
  };
}

/** Said once, where the room is drawn. */
export function sayLeft(left: number): void {
  if (left === 1)
    say('One door or window of the usual size found no place on a wall: add it where it is, with its own size.');
  else if (left)
    say(
      `${left} doors and windows of the usual size found no place on a wall: add them where they are, with their own sizes.`,
    );
}

interface FieldsProps {
  readonly form: RoomForm;
  readonly onSend: () => void;
  /** Its name comes first, and Enter in the second length draws it. */
  readonly isNext?: boolean;
}
/** Enter goes from field to field, and from the last one draws the room. */
export function RoomFields({ form, onSend, isNext = false }: FieldsProps) {
  const { system, typed, place } = form;
  const usual = usualOf(system);
  /** At once: the next key is for that field. */
  const go = (key: Key): void => document.getElementById(`${place}-${key}`)?.focus();
  const size = (kind: 'door' | 'window') => {
    const { width, height } = usual.openings[kind];
    return `${heading(OPENING[kind], system)}s, ${width.typed} × ${height.typed}`;
  };
  const field = <Name extends keyof SaidRoom>(name: Name) => ({
    name,
    control: form.control,
    // of the form itself: what a field knows of the others may be older
    onKeep: () => form.keep({ ...form.values() }),
  });
  const length = (name: Key) => ({
    ...field(name),
    id: `${place}-${name}`,
    system,
    placeholder: form.whole({ ...typed, [name]: null })[name].typed,
  });
  const name = <NameOf {...field('name')} onEnter={isNext ? () => go('length') : onSend} autoFocus={isNext} />;
  return (
    <>
      {isNext && name}
      <div className="room-lengths">
        <LengthOf label="Length" {...length('length')} options={WALL} onEnter={() => go('width')} />
        <LengthOf label="Width" {...length('width')} options={WALL} onEnter={isNext ? onSend : () => go('height')} />
        <LengthOf label="Height" {...length('height')} options={HEIGHT} onEnter={onSend} />
      </div>
      <div className="room-lengths">
        <CountOf label={size('door')} {...field('doors')} />
        <CountOf label={size('window')} {...field('windows')} />
      </div>
      <BaseboardOf {...field('baseboard')}>
        {heading(TRIM.baseboard, system)} {usual.baseboard.typed} high, and {said(TRIM.casing, system)}{' '}
        {usual.openings.door.casing.typed} round each door and window
      </BaseboardOf>
      {!isNext && name}
    </>
  );
}

interface FieldProps<Name extends keyof SaidRoom> {
  readonly name: Name;
  readonly control: Control<SaidRoom>;
  readonly onKeep: () => void;
}
function useField<Name extends keyof SaidRoom>({ name, control, onKeep }: FieldProps<Name>) {
  const { field, fieldState } = useController({ name, control });
  const set = (value: SaidRoom[Name]): null => {
    field.onChange(value);
    onKeep();
    return null;
  };
  return { value: field.value as SaidRoom[Name], set, ref: field.ref, problem: fieldState.error?.message ?? null };
}

type LengthProps = FieldProps<Key> &
  Pick<ComponentProps<typeof LengthField>, 'id' | 'label' | 'system' | 'options' | 'placeholder' | 'onEnter'>;
function LengthOf({ name, control, onKeep, ...rest }: LengthProps) {
  const { value, set, ref, problem } = useField({ name, control, onKeep });
  return <LengthField {...rest} optional value={value} problem={problem} inputRef={ref} onType={set} onCommit={set} />;
}
interface NameProps extends FieldProps<'name'> {
  readonly onEnter: () => void;
  readonly autoFocus: boolean;
}
function NameOf({ onEnter, autoFocus, ...props }: NameProps) {
  const { value, set, problem } = useField(props);
  return (
    <DraftField
      label="Called"
      value={value}
      problem={problem}
      autoFocus={autoFocus}
      parse={readText(MOST.name, 1)}
      onCommit={set}
      onEnter={onEnter}
    />
  );
}
function CountOf({ label, ...props }: FieldProps<'doors' | 'windows'> & { readonly label: string }) {
  const { value, set } = useField(props);
  return <Choice label={label} value={`${value}`} options={COUNTS} onChange={(n) => set(Number(n))} />;
}
function BaseboardOf({ children, ...props }: FieldProps<'baseboard'> & { readonly children: ReactNode }) {
  const { value, set } = useField(props);
  return <Check label={children} checked={value} onChange={set} />;
}
