import type { Crew } from '@kovelin/core/job/crew.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import { DraftField, type DraftFieldProps } from './DraftField.tsx';
import { readHours, writeHours } from './hours.ts';

type Hours = Crew['hours'];
type HoursProps<T extends Hours | null> = Omit<DraftFieldProps<T>, 'parse' | 'value'> & { readonly value: T };

/** Stretches of a day. A field with a placeholder may be left empty: null. */
export function HoursField<T extends Hours | null>({ value, ...rest }: HoursProps<T>) {
  const mayBeEmpty = rest.placeholder !== undefined;
  return (
    <DraftField<T>
      {...rest}
      value={value ? writeHours(value) : ''}
      parse={(text) => (mayBeEmpty && !text.trim() ? good(null) : readHours(text)) as Result<T>}
    />
  );
}
