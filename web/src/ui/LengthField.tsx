import { meant, type LengthOptions } from '@kovelin/core/units/length.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import { readReading, unitOf, type Reading } from '@kovelin/core/units/reading.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { DraftField, type DraftFieldProps } from './DraftField.tsx';

type LengthProps = Omit<DraftFieldProps<Reading | null>, 'parse' | 'value'> & {
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
): Result<Reading | null> {
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
