import type { Alternative } from '@kovelin/core/whole/compare.ts';
import type { PaintLine } from '@kovelin/core/order/paint.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import { formatMinutes, formatMoney, formatVolume } from '@kovelin/core/units/quantities.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import Button from '@mui/material/Button';
import { useAlternatives } from '../workers/what-if.ts';
import { Message } from '../ui/Message.tsx';

const coatsOf = ([fewest, most]: Alternative['coats']) => (fewest === most ? String(fewest) : `${fewest} to ${most}`);

/** The paint against its rivals and against a second coat of primer, labour with it; each worked out to the end. */
export default function Compare({ view, line }: { view: WholeView; line: PaintLine }) {
  const spell = useSpelt();
  const { state, system, session } = view;
  const { job } = state;
  const { data: list, error } = useAlternatives(job, line.key);
  const take = (other: Alternative) => {
    const coats = other.primerCoats;
    if (coats !== null) {
      const values = line.uses.flatMap(({ specified: s }) => {
        const primer = effective(s.system.primer);
        return primer.extent === 'full' ? [{ surface: s.surface.id, value: { ...primer, coats } }] : [];
      });
      session.run({ name: 'decideEach', args: { member: 'primer', values } });
    } else
      session.run({
        name: 'setFinishes',
        args: {
          scopes: line.uses.map((u) => u.specified.surface.id),
          finish: { product: other.product.id, colour: line.colour?.id ?? '' },
        },
      });
  };
  if (error) return <Message kind="wrong">They could not be compared: {error.message}</Message>;
  if (!list) return <p className="waiting">Working out each to the end …</p>;
  if (list.length <= 1)
    return (
      <p className="hint">
        {spell(
          'There is no other paint of this kind in the job yet. “Prices …” takes one from a price list; then both stand here, coats, litres and hours with them.',
        )}
      </p>
    );
  return (
    <ul className="rivals">
      {list.map((a) => (
        <li key={a.id} className={a.chosen ? 'chosen' : ''}>
          <b>
            {a.product.name}
            {a.primerCoats !== null && `, primer ${a.primerCoats === 2 ? 'twice' : 'once'}`}
          </b>
          <dl className="facts">
            <div>
              <dt>Coats</dt>
              <dd>{coatsOf(a.coats)}</dd>
            </div>
            <div>
              <dt>To buy</dt>
              <dd>{formatVolume(a.litres, system)}</dd>
            </div>
            <div>
              <dt>Paint</dt>
              <dd>{formatMoney(a.paint, job.currency)}</dd>
            </div>
            <div>
              <dt>Work of the job</dt>
              <dd>{formatMinutes(a.minutes)}</dd>
            </div>
          </dl>
          {a.chosen ? (
            <small>
              as it is: {formatMoney(a.total, job.currency)}
              {spell(' at cost, labour with it')}
            </small>
          ) : (
            <>
              <small>
                {a.difference === 0
                  ? 'costs the same'
                  : `${formatMoney(Math.abs(a.difference), job.currency)} ${spell(a.difference < 0 ? 'less, labour with it' : 'more, labour with it')}`}
              </small>
              <Button size="small" variant="outlined" onClick={() => take(a)}>
                Take it
              </Button>
            </>
          )}
        </li>
      ))}
    </ul>
  );
}
