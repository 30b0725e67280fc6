import type { Money } from '@kovelin/core/units/si.ts';
import { formatMoney, parseMoney } from '@kovelin/core/units/quantities.ts';
import { DraftField, type DraftFieldProps } from './DraftField.tsx';

type MoneyProps = Omit<DraftFieldProps<Money>, 'parse' | 'value'> & {
  /** Minor units. */
  readonly value: Money;
  /** ISO 4217. */
  readonly currency: string;
};

/** An amount of money, with or without its currency. */
export const MoneyField = ({ value, currency, ...rest }: MoneyProps) => (
  <DraftField {...rest} value={formatMoney(value, currency)} parse={parseMoney} />
);
