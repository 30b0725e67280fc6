import { assumedSentence } from '@kovelin/core/whole/rests.ts';
import { quoteOf, taxLine } from '@kovelin/core/whole/quote.ts';
import { formatMoney } from '@kovelin/core/units/quantities.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { today } from '@kovelin/core/units/date.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useOrder, useWhole } from '../app/whole.ts';
import { PlanAwaited } from '../app/PlanAwaited.tsx';
import { Paper } from '../app/Paper.tsx';
import { useOptionPrices } from '../workers/what-if.ts';
import { useAssumed, useIsOld } from '../workers/whole.ts';
import { exportQuote } from './files.ts';
import { Questions } from './Questions.tsx';
import './order.css';

/** The offer in plain words, as it goes to the client. */
export default function QuoteSheet() {
  const view = useWhole();
  const { state } = view;
  const { job } = state;
  const order = useOrder(view);
  const isOld = useIsOld(view.state);
  const { data: options = [], isFetching, error } = useOptionPrices(job);
  const { data: assumed } = useAssumed(job);
  const [making, setMaking] = useState(false);
  const [fault, setFault] = useState('');
  const { search } = useLocation();
  const toFirm = new URLSearchParams(search);
  toFirm.set('show', 'firm');
  if (job.pricing.billed === 'own')
    return (
      <p className="waiting">
        You do this job for yourself, so there is nothing to offer. Say in{' '}
        <Link to={`../order${search}`} relative="path">
          Order
        </Link>
        , under the cost, that it is for a client; then the quote is here.
      </p>
    );
  // nothing is printed from figures of before
  if (!order || isOld) return <PlanAwaited job={job} />;
  if (error)
    return (
      <p className="waiting" role="alert">
        The options could not be priced, so there is no quote: {error.message}
      </p>
    );
  if (isFetching) return <p className="waiting">Pricing the options …</p>;
  if (!assumed) return <p className="waiting">Looking for what was assumed …</p>;
  const quote = quoteOf(job, order, options, today(), assumedSentence(assumed, job));
  const tax = taxLine(quote);
  const money = (n: number) => formatMoney(n, job.currency);
  const make = async () => {
    setMaking(true);
    setFault('');
    try {
      await exportQuote(job, quote, 'pdf');
    } catch (error) {
      setFault(
        `The PDF could not be made: ${error instanceof Error ? error.message : 'no reason was given'}. Print the page instead.`,
      );
    }
    setMaking(false);
  };
  return (
    <Paper
      label="Quote"
      size={job.region.paper}
      tools={
        <>
          <Button variant="outlined" disabled={making} onClick={() => void make()}>
            {making ? 'Making the PDF …' : 'PDF'}
          </Button>
          <Button variant="outlined" onClick={() => void exportQuote(job, quote, 'csv')}>
            CSV
          </Button>
          {fault && <span role="alert">{fault}</span>}
        </>
      }
    >
      <Questions view={view} />
      {quote.firm.name ? (
        <header className="letterhead">
          <b>{quote.firm.name}</b>
          {[quote.firm.address, quote.firm.contact].filter(Boolean).map((line) => (
            <span key={line}>{line}</span>
          ))}
        </header>
      ) : (
        <p className="hint no-print">
          <Link to={`../order?${toFirm.toString()}`} relative="path">
            Add your name, address and telephone
          </Link>
          : they head the quote.
        </p>
      )}
      <h1>Quote: {quote.job}</h1>
      <p className="sheet-facts">
        {quote.client && `For ${quote.client}. `}Quote of {dayText(quote.date, job.region.dates)}, good until{' '}
        {dayText(quote.until, job.region.dates)}. About {quote.days} working {quote.days === 1 ? 'day' : 'days'} for{' '}
        {quote.people === 1 ? 'one person' : `${quote.people} people`}.
      </p>
      <table>
        <tbody>
          {quote.rooms.map((room) => (
            <tr key={room.room}>
              <td>
                <b>{room.name}</b>
                <ul>
                  {room.scope.map((line) => (
                    <li key={line}>{line}</li>
                  ))}
                </ul>
              </td>
              <td className="number right">{money(room.amount)}</td>
            </tr>
          ))}
          {quote.tax > 0 && (
            <tr>
              <td>Before tax</td>
              <td className="number right">{money(quote.net)}</td>
            </tr>
          )}
          {tax !== null && (
            <tr>
              <td>{tax}</td>
              <td className="number right">{quote.taxRate !== null && money(quote.tax)}</td>
            </tr>
          )}
          <tr className="sum">
            <td>
              <b>Total</b>
            </td>
            <td className="number right" data-total="quote">
              <b>{money(quote.total)}</b>
            </td>
          </tr>
        </tbody>
      </table>
      {quote.options.length > 0 && (
        <>
          <h2>Options, each by itself</h2>
          <table>
            <tbody>
              {quote.options.map((o) => (
                <tr key={o.name + o.what}>
                  <td>
                    <b>
                      {o.name}
                      {o.taken && ' (included above)'}
                    </b>{' '}
                    {o.what}
                  </td>
                  <td className="number right">{money(o.amount)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </>
      )}
      {(
        [
          ['Included', quote.included],
          ['Not included', quote.excluded],
          ['Take care', quote.cautions],
        ] as const
      ).map(([title, lines]) => (
        <section key={title}>
          <h2>{title}</h2>
          <ul>
            {lines.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </section>
      ))}
      {quote.assumed && (
        <>
          <h2>Assumed</h2>
          <p className="sheet-facts">{quote.assumed}</p>
        </>
      )}
      {quote.notes && (
        <>
          <h2>Notes</h2>
          <p className="sheet-facts">{quote.notes}</p>
        </>
      )}
    </Paper>
  );
}
