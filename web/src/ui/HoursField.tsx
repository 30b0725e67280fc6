import type { Crew } from '@kovelin/core/job/crew.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import { DraftField, type DraftFieldProps } from './DraftField.tsx';
import { readHours, writeHours } from './hours.ts';

type Hours = Crew['hours'];
type HoursProps<T extends Hours | null> = Omit<DraftFieldProps<T>, 'parse' | 'value'> & {
  readonly value: T;
  readonly optional?: boolean;
};

/** Stretches of a day. Where it is optional, nothing typed is null. */
export function HoursField<T extends Hours | null>({ value, optional, ...rest }: HoursProps<T>) {
  return (
    <DraftField<T>
      {...rest}
      value={value ? writeHours(value) : ''}
      parse={(text) => (optional && !text.trim() ? good(null) : readHours(text)) as Result<T>}
    />
  );
}
