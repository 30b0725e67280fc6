import { readDeskPrices, type DeskPrices as Answer } from '@kovelin/core/exchange/instruments.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { formatMoney, formatVolume } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { itemWord } from '@kovelin/core/words/work.ts';
import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useOrder, type WholeView } from '../app/whole.ts';
import { ageWord } from './words.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { Message } from '../ui/Message.tsx';

/** A sentence of the desk; what is busy may be asked again, what is refused may not. */
class DeskProblem extends Error {
  constructor(
    message: string,
    readonly again: boolean,
  ) {
    super(message);
  }
}

interface Question {
  readonly currency: string;
  readonly country: string;
  readonly items: readonly { readonly code: string; readonly litres: number | null }[];
}
async function askDesk(question: Question): Promise<Answer> {
  const response = await fetch('/desk/prices', {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(question),
  });
  if (response.ok) {
    const answer = readDeskPrices(await response.text(), question.currency);
    if (answer.ok) return answer.value;
    throw new DeskProblem(answer.problems[0]?.message ?? '', false);
  }
  const told = (await response.json().catch(() => ({}))) as { problem?: string };
  throw new DeskProblem(told.problem ?? 'The desk gave no answer.', response.status >= 500);
}

/** What the job uses against what the desk asks today; nothing changes until it is taken. */
export function DeskPrices({ view, onClose }: { view: WholeView; onClose: () => void }) {
  const { state, session, derived, system } = view;
  const order = useOrder(view);
  const { job } = state;
  const used = new Set(derived.paints.map((p) => p.product.id));
  const cans = Object.values(job.products)
    .filter((p) => used.has(p.id) && p.code)
    .flatMap((p) => p.cans.map((can) => ({ product: p, can })));
  const pieces = [...new Map((order?.materials ?? []).map((m) => [m.item, m])).values()];
  const items = [
    ...cans.map(({ product, can }) => ({ code: product.code, litres: can.litres })),
    ...pieces.map((m) => ({ code: m.item, litres: null })),
  ];
  const { data, error, isFetching, refetch } = useQuery({
    queryKey: [job.id, 'desk', job.currency, job.region.country, items],
    queryFn: () => askDesk({ currency: job.currency, country: job.region.country, items }),
    enabled: false,
    staleTime: 5 * 60_000,
    retry: (count, problem) => count < 3 && !(problem instanceof DeskProblem && !problem.again),
    retryDelay: 400,
    networkMode: 'always',
  });
  const asked = (code: string, litres: number | null) =>
    data?.prices.find((p) => p.code === code && p.litres === litres)?.each ?? null;
  const rows = [
    ...cans.map(({ product, can }) => ({
      key: `${product.id}|${can.litres}`,
      what: `${product.name}, ${formatVolume(can.litres, system)}`,
      now: can.price,
      priced: product.priced,
      then: asked(product.code, can.litres),
    })),
    ...pieces.map((m) => ({
      key: m.item,
      what: said(itemWord(m.item), view.system),
      now: m.each,
      priced: m.priced,
      then: asked(m.item, null),
    })),
  ];
  const changed = rows.filter((r) => r.then !== null && r.then !== r.now).length;
  const take = () => {
    if (!data) return;
    const paints = [...new Set(cans.map((c) => c.product))].map((product) => ({
      product: product.id,
      cans: product.cans.map((can) => ({ ...can, price: asked(product.code, can.litres) ?? can.price })),
    }));
    const materials = pieces.flatMap((m) => {
      const each = asked(m.item, null);
      return each === null ? [] : [{ item: m.item, each }];
    });
    session.run({
      name: 'takePrices',
      args: { paints, materials, priced: { source: data.desk, date: data.at.slice(0, 10) } },
    });
    onClose();
  };
  return (
    <>
      <p className="hint">
        <b>Simulated: there is no shop behind this desk, and its prices are invented.</b> It is asked only when you say
        so. A price taken stays, with its date, until another takes its place.
      </p>
      {error && (
        <Message kind="wrong">
          {error instanceof DeskProblem ? error.message : 'The desk cannot be reached.'} The last known prices below go
          on counting.
        </Message>
      )}
      <div className="scroll prices-list" tabIndex={0} role="region" aria-label="Prices of what the job uses">
        <DataTable
          columns={[
            'What',
            'Last known',
            'From',
            <span key="3">
              {data ? `The simulated desk, ${dayText(data.at.slice(0, 10), job.region.dates)}` : 'The simulated desk'}
            </span>,
          ]}
        >
          {rows.map((r) => (
            <Row key={r.key}>
              <RowHead>{r.what}</RowHead>
              <Cell label="Last known" className="number">
                {formatMoney(r.now, job.currency)}
              </Cell>
              <Cell label="From">
                {r.priced ? `${r.priced.source}, ${ageWord(r.priced.date, job.region.dates)}` : 'sample'}
              </Cell>
              <Cell label="Offered" className="number">
                {data ? (
                  r.then === null ? (
                    'not sold there'
                  ) : (
                    <>
                      {formatMoney(r.then, job.currency)}
                      {r.then !== r.now && (r.then > r.now ? ' ↑ up' : ' ↓ down')}
                    </>
                  )
                ) : (
                  'not asked'
                )}
              </Cell>
            </Row>
          ))}
        </DataTable>
      </div>
      <div className="row-buttons">
        <Button variant={data ? 'outlined' : 'contained'} disabled={isFetching} onClick={() => void refetch()}>
          {isFetching ? 'Asking …' : data ? 'Ask again' : 'Ask the desk'}
        </Button>
        {data && (
          <Button variant="contained" disabled={!changed} onClick={take}>
            {changed ? `Take ${changed} ${changed === 1 ? 'price' : 'prices'}` : 'Nothing changed'}
          </Button>
        )}
        <Button onClick={onClose}>Close</Button>
      </div>
    </>
  );
}
