import { systemOf } from '@kovelin/core/job/region.ts';
import { shoppingList } from '@kovelin/core/order/shopping.ts';
import { shoppingText } from '@kovelin/core/exchange/order-text.ts';
import { formatMoney } from '@kovelin/core/units/quantities.ts';
import { today } from '@kovelin/core/units/date.ts';
import { heading } from '@kovelin/core/units/word.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useWhole, useOrder } from '../app/whole.ts';
import { Old } from '../app/Old.tsx';
import { PlanAwaited } from '../app/PlanAwaited.tsx';
import { exportList } from './files.ts';
import { Check } from '../ui/Check.tsx';
import './order.css';

/** What to buy, aisle by aisle, ticked off in the shop; the ticks are kept with the job. */
export default function ShoppingPage() {
  const view = useWhole();
  const { state, session } = view;
  const order = useOrder(view);
  const { job } = state;
  const [told, setTold] = useState('');
  if (!order) return <PlanAwaited job={job} />;
  const list = shoppingList(state.shown, order);
  const lines = list.aisles.flatMap((a) => a.lines);
  const open = lines.filter((l) => !l.ticked);
  const share = async () => {
    const text = shoppingText(job, list);
    if (typeof navigator.share === 'function') {
      // a share that was called off is no fault
      await navigator.share({ title: `${job.name}: to buy`, text }).catch(() => undefined);
      return;
    }
    try {
      await navigator.clipboard.writeText(text);
      setTold('The list is on the clipboard: paste it into a message.');
    } catch {
      setTold('This browser lets no page use the clipboard; take the list as text instead.');
    }
  };
  const pdf = async () => {
    setTold('Making the PDF …');
    try {
      await exportList(job, list, 'pdf');
      setTold('');
    } catch (error) {
      setTold(`The PDF could not be made: ${error instanceof Error ? error.message : 'no reason was given'}.`);
    }
  };
  return (
    <main className="shopping" aria-label="Shopping list">
      <header>
        <h1>
          To buy <Old view={view} />
        </h1>
        <p>
          {open.length ? `${open.length} of ${lines.length} to find` : 'All of it is in the basket'}, about{' '}
          <b className="number">
            {formatMoney(
              open.reduce((sum, l) => sum + l.cost, 0),
              job.currency,
            )}
          </b>{' '}
          of {formatMoney(list.total, job.currency)}
        </p>
        <div className="row-buttons">
          <Button variant="outlined" onClick={() => void share()}>
            Share
          </Button>
          <Button variant="outlined" onClick={() => void exportList(job, list, 'txt')}>
            Text
          </Button>
          <Button variant="outlined" onClick={() => void exportList(job, list, 'csv')}>
            CSV
          </Button>
          <Button variant="outlined" onClick={() => void pdf()}>
            PDF
          </Button>
        </div>
        {told && (
          <p className="hint" role="status">
            {told}
          </p>
        )}
      </header>
      {list.aisles.map(({ aisle, lines: inAisle }) => (
        <section key={aisle}>
          <h2>{heading(aisle, systemOf(job))}</h2>
          <ul>
            {inAisle.map((l) => (
              <li key={l.key} className={l.ticked ? 'done' : ''}>
                <Check
                  label={
                    <>
                      <b className="number">{l.howMany}</b>
                      <span>
                        {l.hex && <span className="chip" style={{ background: l.hex }} />} {l.what}
                        {l.note && <small>{l.note}</small>}
                      </span>
                      <span className="number">{formatMoney(l.cost, job.currency)}</span>
                    </>
                  }
                  checked={l.ticked}
                  onChange={(isOn) =>
                    session.run({
                      name: 'tick',
                      args: { key: l.key, date: isOn ? today() : null },
                    })
                  }
                />
              </li>
            ))}
          </ul>
        </section>
      ))}
    </main>
  );
}
