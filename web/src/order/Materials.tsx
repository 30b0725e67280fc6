import { bad, good } from '@kovelin/core/units/problem.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import type { JobOrder } from '@kovelin/core/whole/plan.ts';
import { isKept } from '@kovelin/core/order/kit.ts';
import type { MaterialLine } from '@kovelin/core/order/materials.ts';
import { formatMoney } from '@kovelin/core/units/quantities.ts';
import { priceOfPiece } from '@kovelin/core/order/samples.ts';
import { today } from '@kovelin/core/units/date.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { materialWord, pieceWord } from '@kovelin/core/words/work.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import type { WholeView } from '../app/whole.ts';
import { Figure } from '../app/Working.tsx';
import { rememberOwned } from '../store/kept.ts';
import { Kit } from '../app/Kit.tsx';
import { ToolDrawing } from '../app/ToolDrawing.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { Fragment } from 'react';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { PriceField } from './PriceField.tsx';

interface TableProps {
  readonly view: WholeView;
  readonly order: JobOrder;
  readonly chosen: string | null;
  readonly onPick: (key: string) => void;
}

/** Materials by aisle, each with its working; what is owned is written here and remembered for other jobs. */
export function MaterialTable({ view, order, chosen, onPick }: TableProps) {
  const { system, state } = view;
  const { materials } = order;
  const currency = state.shown.currency;
  return (
    <DataTable className="lined" columns={['What', 'Needed', 'Owned', 'To buy', 'Price each', 'Cost']}>
      {[...groupBy(materials, (m) => m.aisle)].map(([aisle, lines]) => (
        <Fragment key={aisle}>
          <Row className="aisle">
            <RowHead scope="rowgroup" colSpan={6}>
              {heading(aisle, system)}
            </RowHead>
          </Row>
          {lines.map((m) => (
            <Row key={m.key} selected={m.key === chosen}>
              <RowHead>
                <ToolDrawing item={m.item} />
                <TextButton className="order-name" onClick={() => onPick(m.key)}>
                  {said(materialWord(m), system)}
                </TextButton>
              </RowHead>
              <Cell label="Needed" className="number">
                <Figure working={m.working} system={system} text={said(pieceWord(m.working.value, m.unit), system)} />
              </Cell>
              <Cell label="Owned">
                <Owned view={view} line={m} />
              </Cell>
              <Cell label="To buy" className="number">
                {m.quantity ? said(pieceWord(m.quantity, m.unit), system) : 'none'}
              </Cell>
              <Cell label="Price each">
                <PriceField
                  view={view}
                  label={`${said(pieceWord(1, m.unit), system)}, ${said(materialWord(m), system)}`}
                  price={m.each}
                  priced={m.priced}
                  isIdle={!m.quantity}
                  edit={(each) => priceOfPiece(m.item, each, today())}
                  insteadOfNothing="What you have already is written under Owned."
                />
              </Cell>
              <Cell label="Cost" className="number">
                {formatMoney(m.cost, currency)}
              </Cell>
            </Row>
          ))}
        </Fragment>
      ))}

      <Row className="total">
        <RowHead>Everything else together</RowHead>
        <Cell colSpan={4} />
        <Cell label="Cost" className="number">
          {formatMoney(
            materials.reduce((sum, m) => sum + m.cost, 0),
            currency,
          )}
        </Cell>
      </Row>
    </DataTable>
  );
}

/** Brushes, trays and poles are there in the next job too; what is used up is not. @returns why not, when it cannot be. */
function own({ session }: WholeView, key: string, pieces: number, lasts: boolean): string | null {
  const refused = session.edit({ name: 'setOwned', args: { key, pieces } });
  if (!refused && lasts) void rememberOwned(key, pieces);
  return refused;
}

function Owned({ view, line: m }: { view: WholeView; line: MaterialLine }) {
  return (
    <DraftField
      hideLabel
      className="narrow"
      label={`Owned: ${said(materialWord(m), view.system)}`}
      value={String(view.state.shown.owned[m.key] ?? 0)}
      parse={(text) => (/^\d{1,4}$/.test(text.trim()) ? good(Number(text)) : bad('Whole pieces, 0 to 9999.'))}
      onCommit={(pieces) => own(view, m.key, pieces, isKept(m.item))}
    />
  );
}

/** One material: where its quantity comes from, what is owned of it. */
export function MaterialPanel({ view, order, chosen }: Omit<TableProps, 'onPick'>) {
  const { system, state } = view;
  const m = order.materials.find((x) => x.key === chosen);
  if (!m)
    return (
      <>
        <h2>Everything else</h2>
        <p className="hint">
          Each quantity follows from the job: lines that are taped, holes, areas that are sanded, days and people. Click
          a figure to see how it was worked out. What you own is taken off, and tools that last are remembered for your
          next job.
        </p>
        <Section title="Your kit">
          <p className="hint">Say once what you have: it is taken off this order and every later one.</p>
          <Kit system={system} owned={state.shown.owned} onOwn={(key, pieces) => own(view, key, pieces, true)} />
        </Section>
      </>
    );
  return (
    <>
      <h2>{said(materialWord(m), system)}</h2>
      <p className="sub">
        {said(pieceWord(m.wanted, m.unit), system)} wanted{m.owned > 0 && `, ${m.owned} owned`}
      </p>
      <Section title="How it is worked out">
        <Figure working={m.working} system={system} text={said(pieceWord(m.working.value, m.unit), system)} />
      </Section>
    </>
  );
}
