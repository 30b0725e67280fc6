import type { Money } from '@kovelin/core/units/si.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { formatMoney, parseMoney } from '@kovelin/core/units/quantities.ts';
import { DraftField, type DraftFieldProps } from './DraftField.tsx';

type MoneyProps = Omit<DraftFieldProps<Money>, 'parse' | 'value'> & {
  /** Minor units. */
  readonly value: Money;
  /** ISO 4217. */
  readonly currency: string;
  /** What to do instead of writing 0 or “free”; absent: nothing is an amount too. */
  readonly insteadOfNothing?: string;
};

function readMoney(text: string, currency: string, insteadOfNothing?: string): Result<Money> {
  const read = /^\s*(free|nothing)\s*$/i.test(text) ? good(0) : parseMoney(text, currency);
  return insteadOfNothing !== undefined && read.ok && read.value === 0
    ? bad(`A price is more than nothing. ${insteadOfNothing}`)
    : read;
}

/** An amount of money, with or without its currency. */
export const MoneyField = ({ value, currency, insteadOfNothing, ...rest }: MoneyProps) => (
  <DraftField
    {...rest}
    value={formatMoney(value, currency)}
    parse={(text) => readMoney(text, currency, insteadOfNothing)}
  />
);
