import { bad, good } from '@kovelin/core/units/problem.ts';
import type { JobOrder } from '@kovelin/core/whole/plan.ts';
import { ENDS, MOST } from '@kovelin/core/job/limits.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Pricing } from '@kovelin/core/job/priced.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { LABOUR } from '@kovelin/core/words/work.ts';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useLedTo } from '../app/useLedTo.ts';
import { useHalfTyped } from '../app/half-typed.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { readText } from '../ui/read.ts';
import { useArrival } from '../app/useArrival.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { FOR_WHOM } from '../app/for-whom.ts';
import { rememberMe } from '../store/kept.ts';
import { freshId } from '../store/ids.ts';
import { taxWord } from './words.ts';
import { Check } from '../ui/Check.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import Button from '@mui/material/Button';
import { More } from '../ui/More.tsx';
import { useOptionPrices } from '../workers/what-if.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { TextInput } from '../ui/TextInput.tsx';
import { PercentField } from '../ui/PercentField.tsx';

const PRICE_WORDS = {
  paint: 'Paint',
  materials: 'Everything else',
  labour: 'Labour',
  overhead: 'Overhead',
  margin: 'Margin',
  tax: 'Tax',
} as const;

/** Labour line by line, then what the price is made of; every total is the sum of the lines above it. */
export function PriceTable({ view, order: { labour, price } }: { view: WholeView; order: JobOrder }) {
  const spell = useSpelt();
  const { state } = view;
  const { currency, pricing, crew } = state.shown;
  const own = pricing.billed === 'own';
  const money = (n: number) => formatMoney(n, currency);
  const share = (kind: keyof typeof PRICE_WORDS) =>
    kind === 'overhead' || kind === 'margin' || kind === 'tax'
      ? `${Number(((pricing[kind] ?? 0) * 100).toFixed(2))} %`
      : '';
  return (
    <DataTable columns={[own ? 'Time and cost' : spell('Labour and price'), 'Time', 'Amount']}>
      {labour.lines.map((line) => (
        <Row key={line.person ?? line.kind}>
          <RowHead>
            {line.kind === 'person'
              ? `${crew.people.find((p) => p.id === line.person)?.name ?? ''}, ${labour.days} days`
              : said(LABOUR[line.kind], view.system)}
          </RowHead>
          <Cell label="Time" className="number">
            {formatMinutes(line.minutes)}
          </Cell>
          <Cell label="Amount" className="number">
            {!own && money(line.cost)}
          </Cell>
        </Row>
      ))}
      <Row className="total">
        <RowHead>
          {own ? 'Your time' : spell('Labour')}, {labour.days} working {labour.days === 1 ? 'day' : 'days'} for{' '}
          {crew.people.length === 1 ? 'one person' : `${crew.people.length} people`}
        </RowHead>
        <Cell label="Time" className="number">
          {formatMinutes(labour.minutes)}
        </Cell>
        <Cell label="Amount" className="number">
          {!own && money(labour.cost)}
        </Cell>
      </Row>

      {price.lines.map(({ kind, amount }) => (
        <Row key={kind} data-line={kind}>
          <RowHead>
            {kind === 'tax' ? pricing.taxName : spell(PRICE_WORDS[kind])}{' '}
            <small className="inline">{share(kind)}</small>
          </RowHead>
          <Cell />
          <Cell label="Amount" className="number">
            {money(amount)}
          </Cell>
        </Row>
      ))}
      <Row className="total">
        <RowHead>
          {own ? 'Cost' : 'Price'}
          {price.tax > 0 && ` including ${taxWord(pricing.taxName)}`}
        </RowHead>
        <Cell />
        <Cell label="Amount" className="number" data-total="price">
          {money(price.total)}
        </Cell>
      </Row>
    </DataTable>
  );
}

const FIRM = [
  ['name', 'Offered by', 'your name or firm'],
  ['address', 'Address', ''],
  ['contact', 'Telephone or mail', ''],
] as const;
/** Who offers it: said once, and there in the next job. */
function FirmFields({ view }: { view: WholeView }) {
  const first = useLedTo('firm');
  const { firm } = view.state.shown.pricing;
  return FIRM.map(([key, label, placeholder]) => (
    <DraftField
      key={key}
      {...(key === 'name' ? { id: first } : {})}
      label={label}
      value={firm[key]}
      placeholder={placeholder}
      parse={readText(MOST.client)}
      onCommit={(text) => {
        const next = { ...firm, [key]: text };
        const refused = view.session.edit({ name: 'setPricing', args: { set: { firm: next } } });
        if (!refused) void rememberMe({ firm: next });
        return refused;
      }}
    />
  ));
}

/** How the price is made, and what is priced apart. */
export function PricePanel({ view }: { view: WholeView }) {
  const spell = useSpelt();
  const { state, session } = view;
  const { pricing } = state.shown;
  const own = pricing.billed === 'own';
  const { search } = useLocation();
  const set = (change: Partial<Pricing>) => session.edit({ name: 'setPricing', args: { set: change } });
  const percent = (key: 'overhead' | 'margin', label: string) => (
    <PercentField
      label={label}
      value={pricing[key]}
      ends={key === 'margin' ? ENDS.margin : ENDS.share}
      onCommit={(value) => set({ [key]: value })}
    />
  );
  return (
    <>
      <h2>{own ? 'Time and cost' : spell('Labour and price')}</h2>
      <p className="sub">{state.shown.name}</p>
      <Choice
        label="Who is it for?"
        value={own ? 'own' : 'client'}
        options={FOR_WHOM}
        onChange={(whom) => {
          set({ billed: whom === 'own' ? 'own' : 'hours' });
          void rememberMe({ own: whom === 'own' });
        }}
      />
      <Section title={own ? 'How the cost is made' : 'How the price is made'}>
        <div className="pair">
          {!own && (
            <Choice
              label={spell('Labour billed by')}
              value={pricing.billed}
              options={[
                ['hours', 'the hour'],
                ['days', 'whole days'],
              ]}
              onChange={(billed) => set({ billed })}
            />
          )}
          <Choice
            label="Counts on"
            value={pricing.promised}
            options={[
              ['plan', 'the plan as it is'],
              ['p80', 'what eight jobs in ten keep'],
            ]}
            onChange={(promised) => set({ promised })}
          />
          {!own && percent('overhead', 'Overhead, on costs')}
          {!own && percent('margin', 'Margin, of the price')}
          <PercentField
            label="Tax"
            value={pricing.tax}
            ends={ENDS.share}
            optional
            placeholder="not said"
            onCommit={(tax) => set({ tax })}
          />
          <Choice
            label="Taxed"
            value={pricing.taxed}
            options={[
              ['all', 'all of it'],
              ['materials', 'paint and materials'],
              ['nothing', 'nothing'],
            ]}
            onChange={(taxed) => set({ taxed })}
          />
          <DraftField
            label="Tax is called"
            value={pricing.taxName}
            parse={(text) =>
              text.trim() && text.length <= 40 ? good(text.trim()) : bad('A name of 1 to 40 characters.')
            }
            onCommit={(taxName) => set({ taxName })}
          />
        </div>
        <p className="hint">
          {!own && 'Margin is a share of the price: 20 % of it is 25 % on cost. '}Days are those of the plan, setting up
          and cleaning up with them. Paces are starting values; {own ? 'who helps' : 'pay'} is set with the crew in{' '}
          <Link to={`../sequence${search}`} relative="path">
            Sequence
          </Link>
          .
        </p>
      </Section>
      <Options view={view} />
      {!own && (
        <Section title="On the quote">
          <FirmFields view={view} />
          <div className="pair">
            <DraftField
              label="For"
              value={pricing.client}
              placeholder="the client"
              parse={readText(MOST.client)}
              onCommit={(client) => set({ client })}
            />
            <DraftField
              label="Good for, days"
              value={String(pricing.valid)}
              parse={(text) =>
                /^\d{1,3}$/.test(text.trim()) && Number(text) <= 365 ? good(Number(text)) : bad('Whole days, 0 to 365.')
              }
              onCommit={(valid) => set({ valid })}
            />
          </div>
          <DraftField
            label="Notes"
            className="stacked"
            lines={3}
            value={pricing.notes}
            parse={readText(MOST.notes)}
            onCommit={(notes) => set({ notes })}
          />
        </Section>
      )}
    </>
  );
}

/** Surfaces priced apart, or another colour on them; taken ones are in the price, ordered and planned. */
function Options({ view }: { view: WholeView }) {
  const { state, session, derived, takeoff, system } = view;
  const { job } = state;
  const { data: prices = [], isFetching } = useOptionPrices(job);
  const priceOf = new Map(prices.map((p) => [p.option.id, p.price]));
  const [name, setName] = useHalfTyped(`${job.id}|option`, '');
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [colour, setColour] = useState('');
  const [changed, setChanged] = useState(0);
  const list = useArrival<HTMLUListElement>(changed);
  const surfaces = derived.surfaces.filter((s) => s.surface.room === takeoff?.room.id);
  const added = (price: number) => `${price < 0 ? '−' : '+'}${formatMoney(Math.abs(price), job.currency)}`;
  const add = () => {
    const first = derived.surfaces.find((s) => chosen.has(s.surface.id));
    if (!first) return;
    session.run({
      name: 'addOption',
      args: {
        option: {
          id: freshId(),
          name: name.trim(),
          surfaces: [...chosen],
          finish: colour ? { product: first.product.id, colour } : null,
          taken: false,
        },
      },
    });
    setName('');
    setChosen(new Set());
    setChanged(changed + 1);
  };
  return (
    <Section title="Options, each priced by itself">
      <ul className="shelf" ref={list} tabIndex={-1} aria-label="Options">
        {rows(job.options).map((option) => (
          <li key={option.id}>
            <Check
              label={option.name}
              checked={option.taken}
              onChange={(isOn) => session.run({ name: 'setOption', args: { option: option.id, set: { taken: isOn } } })}
            />
            <b className="number">
              {priceOf.has(option.id)
                ? added(priceOf.get(option.id) ?? 0)
                : isFetching
                  ? 'working …'
                  : 'not worked out'}
            </b>
            <TextButton
              className="small"
              onClick={() => {
                if (!session.edit({ name: 'removeOption', args: { option: option.id } })) setChanged(changed + 1);
              }}
            >
              remove
            </TextButton>
            <small>
              {option.finish ? `in ${job.colours[option.finish.colour]?.name ?? ''}` : 'left out unless taken'};{' '}
              {option.surfaces.length} {option.surfaces.length === 1 ? 'surface' : 'surfaces'}
              {rows(job.options).length > 0 && option.taken ? '; in the price' : ''}
            </small>
          </li>
        ))}
      </ul>
      <More title="Add an option">
        <TextInput label="Called" value={name} maxLength={80} placeholder="Closet as well" onChange={setName} />
        <Choice
          label="What is it?"
          value={colour}
          options={[
            ['', 'painted only if it is taken'],
            ...Object.values(job.colours).map((c) => [c.id, `painted in ${c.name} instead`] as const),
          ]}
          onChange={setColour}
        />
        <div className="checks">
          {surfaces.map(({ surface: s }) => (
            <Check
              key={s.id}
              label={heading(nameWord(s.name), system)}
              checked={chosen.has(s.id)}
              onChange={(isOn) => {
                const next = new Set(chosen);
                if (isOn) next.add(s.id);
                else next.delete(s.id);
                setChosen(next);
              }}
            />
          ))}
        </div>
        <Button size="small" variant="outlined" disabled={!chosen.size || !name.trim()} onClick={add}>
          Price separately
        </Button>
      </More>
    </Section>
  );
}
