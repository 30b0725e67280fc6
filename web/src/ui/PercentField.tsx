import type { Ends } from '@kovelin/core/job/limits.ts';
import { trimNumber } from '@kovelin/core/units/length.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { DraftField, type DraftFieldProps } from './DraftField.tsx';
import { between } from './read.ts';

type PercentProps<T extends number | null> = Omit<DraftFieldProps<T>, 'parse' | 'value'> & {
  /** A share: 0.15 is 15 %. Null: not given, where that may be. */
  readonly value: T;
  /** Of what is accepted, as shares. */
  readonly ends: Ends;
  readonly optional?: boolean;
};

function readShare(text: string): Result<number> {
  const [, figure] = /^\s*(\d+(?:[.,]\d+)?)\s*%?\s*$/.exec(text) ?? [];
  return figure ? good(Number(figure.replace(',', '.')) / 100) : bad('Write a share in per cent, for example 15.');
}
const write = (share: number): string => `${trimNumber(share * 100, 3)} %`;

/** A share of something, as per cent. Where it is optional, nothing typed is null. */
export function PercentField<T extends number | null>({ value, ends, optional, ...rest }: PercentProps<T>) {
  const read = between(readShare, ends, write);
  return (
    <DraftField<T>
      {...rest}
      value={value === null ? '' : write(value)}
      parse={(text) => (optional && !text.trim() ? good(null) : read(text)) as Result<T>}
    />
  );
}
