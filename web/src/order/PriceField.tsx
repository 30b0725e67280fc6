import type { Edit } from '@kovelin/core/job/edits.ts';
import type { Priced } from '@kovelin/core/job/paints.ts';
import { isSample } from '@kovelin/core/order/samples.ts';
import type { Money } from '@kovelin/core/units/si.ts';
import { flushSync } from 'react-dom';
import type { WholeView } from '../app/whole.ts';
import { MoneyField } from '../ui/MoneyField.tsx';
import { ageWord } from './words.ts';

interface Props {
  readonly view: WholeView;
  /** What costs it. */
  readonly label: string;
  readonly price: Money;
  readonly priced: Priced | null;
  readonly edit: (price: Money) => Edit;
  /** Nothing of it is bought: its price is passed over. */
  readonly isIdle?: boolean;
  /** Where what costs nothing is said. */
  readonly insteadOfNothing: string;
  /** After the last sample; absent: the field stays. */
  readonly onLast?: (() => void) | undefined;
}

/** The fields of prices that are samples, as they stand on the page. */
const samples = (): HTMLInputElement[] => [...document.querySelectorAll<HTMLInputElement>('.price.sample input')];

/** The first sample on the page, if there is one. */
export const toFirstSample = (): void => samples()[0]?.focus();

/** What it costs, in its row: a sample until it is typed; Enter takes what stands there, and goes to the next sample. */
export function PriceField({ view, label, price, priced, edit, isIdle = false, insteadOfNothing, onLast }: Props) {
  const { session, state } = view;
  const isOpen = isSample(priced) && !isIdle;
  const take = (next: Money) => session.edit(edit(next));
  const onEnter = () => {
    const here = document.activeElement;
    // what was typed is taken already; what was left as it stood is taken now
    if (isOpen && here instanceof HTMLInputElement && here.dataset['dirty'] === 'no') take(price);
    // another size of it is no sample any more
    flushSync(() => undefined);
    const isBehind = (input: HTMLInputElement) =>
      ((here?.compareDocumentPosition(input) ?? 0) & Node.DOCUMENT_POSITION_FOLLOWING) > 0;
    const next = samples().find(isBehind);
    if (next) next.focus();
    else onLast?.();
  };
  return (
    <span className={isOpen ? 'price sample' : 'price'}>
      <MoneyField
        hideLabel
        label={`Price of ${label}`}
        value={price}
        currency={state.shown.currency}
        insteadOfNothing={insteadOfNothing}
        onCommit={take}
        onEnter={onEnter}
      />
      <small>
        {isSample(priced) || !priced ? 'sample' : `${priced.source}, ${ageWord(priced.date, state.job.region.dates)}`}
      </small>
    </span>
  );
}
