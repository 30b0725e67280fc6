import type { ListHead, PriceColumns, PriceRow } from '@kovelin/core/exchange/price-list.ts';
import { MAX_PRICE_BYTES } from '@kovelin/core/exchange/price-list.ts';
import type { Product } from '@kovelin/core/job/paints.ts';
import type { PaintLine } from '@kovelin/core/order/paint.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { formatMoney, formatVolume } from '@kovelin/core/units/quantities.ts';
import { today } from '@kovelin/core/units/date.ts';
import { said } from '@kovelin/core/units/word.ts';
import { itemWord } from '@kovelin/core/words/work.ts';
import Button from '@mui/material/Button';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { attempt } from '../app/database.ts';
import { Choice } from '../ui/Choice.tsx';
import { toCsv } from '@kovelin/core/exchange/csv.ts';
import { exampleList, isOf, isThing } from '@kovelin/core/order/samples.ts';
import type { JobOrder } from '@kovelin/core/whole/plan.ts';
import { download } from '../store/take-out.ts';
import { useOrder, type WholeView } from '../app/whole.ts';
import { freshId } from '../store/ids.ts';
import { columnsBefore, rememberColumns } from '../store/kept.ts';
import { priceLists, pricesWhere, removeList, searchPrices } from '../store/price-lists.ts';
import { priceListWorker, type ListReader } from '../workers/price-list.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { keysOf } from '@kovelin/core/units/list.ts';
import { TextInput } from '../ui/TextInput.tsx';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { FilePick } from '../ui/FilePick.tsx';
import { Message } from '../ui/Message.tsx';

interface Props {
  readonly view: WholeView;
  readonly line: PaintLine | null;
  readonly onClose: () => void;
}

/** Lists brought in, a new one, and prices taken from them by code or by hand. */
export function ListPrices({ view, line, onClose }: Props) {
  const client = useQueryClient();
  const { data: lists = [] } = useQuery({ queryKey: ['price-lists'], queryFn: priceLists, networkMode: 'always' });
  const [chosen, setChosen] = useState<string | null>(null);
  const list = lists.find((l) => l.id === chosen) ?? lists[0] ?? null;
  const changed = () => client.invalidateQueries({ queryKey: ['price-lists'] });
  const order = useOrder(view);
  const example = (bought: JobOrder) => download('prices.csv', toCsv(exampleList(bought, view.system)), 'text/csv');
  return (
    <>
      {order && (
        <TextButton onClick={() => example(order)}>An example: what this job buys, to fill in your prices</TextButton>
      )}
      <BringList
        currency={view.state.job.currency}
        onDone={(id) => {
          void changed();
          setChosen(id);
        }}
      />
      {list && (
        <>
          <div className="pair">
            <Choice
              label="List"
              value={list.id}
              options={lists.map((l) => [l.id, `${l.name}, ${l.imported}, ${l.rows.toLocaleString('en-US')} prices`])}
              onChange={setChosen}
            />
            <TextButton
              className="small"
              onClick={() => void attempt('The list was not removed', () => removeList(list.id)).then(changed)}
            >
              remove this list
            </TextButton>
          </div>
          {list.currency === view.state.job.currency ? (
            <TakeFromList key={list.id} view={view} line={line} list={list} />
          ) : (
            <Message kind="caution">
              This list is in {list.currency}, the job in {view.state.job.currency}: prices are not converted.
            </Message>
          )}
        </>
      )}
      <div className="row-buttons">
        <Button onClick={onClose}>Close</Button>
      </div>
    </>
  );
}

const COLUMN_WORDS: Readonly<Record<keyof PriceColumns, string>> = {
  name: 'Name',
  price: 'Price',
  size: 'Size',
  code: 'Code',
};

/** A file: its columns are shown and may be put right, then it is read beside the page. */
function BringList({ currency, onDone }: { currency: string; onDone: (id: string) => void }) {
  const worker = useRef<ListReader | null>(null);
  const [head, setHead] = useState<(ListHead & { name: string; file: File }) | null>(null);
  const [columns, setColumns] = useState<PriceColumns | null>(null);
  const [progress, setProgress] = useState<{ done: number; rows: number } | null>(null);
  const [told, setTold] = useState<readonly string[]>([]);
  const end = () => {
    worker.current?.end();
    worker.current = null;
    setProgress(null);
  };
  useEffect(() => () => worker.current?.end(), []);
  const openIn = (reader: ListReader, file: File) =>
    reader.run(async (api) => api.open(new Uint8Array(await file.arrayBuffer())));
  const open = async (file: File | undefined) => {
    if (!file) return;
    end();
    setHead(null);
    if (file.size > MAX_PRICE_BYTES)
      return setTold(['This list is larger than 60 MB; keep only the rows you buy and save it again.']);
    const reader = priceListWorker();
    worker.current = reader;
    const read = await attempt('The list was not read', () => openIn(reader, file));
    if (!read) return;
    if (!read.ok) return setTold(read.problems.map(sentence));
    setTold([]);
    setHead({ ...read.value, name: file.name.replace(/\.[^.]*$/, '').slice(0, 80), file });
    setColumns((await columnsBefore(read.value.headings)) ?? read.value.guess);
  };
  const bring = async () => {
    if (!head || !columns) return;
    const id = freshId();
    setProgress({ done: 0, rows: 0 });
    const asked = { id, name: head.name, imported: today(), currency, separator: head.separator, columns };
    // cancelled before: its worker is gone, and another opens the list again
    const before = worker.current;
    const reader = before ?? priceListWorker();
    worker.current = reader;
    // what a worker posted before it was ended still arrives
    const goesOn = () => worker.current === reader;
    const onProgress = (share: number, rows: number) => {
      if (goesOn()) setProgress({ done: share, rows });
    };
    const done = await attempt('The list was not brought in', async () => {
      await rememberColumns(head.headings, columns);
      if (!before) await openIn(reader, head.file);
      return reader.run((api) => api.bringIn(asked, proxy(onProgress)));
    });
    // cancelled in the moment it ended: it is taken out again
    if (!goesOn()) return void (await attempt('The list was not taken out', () => removeList(id)));
    end();
    if (!done) return;
    setHead(null);
    setTold([
      `${done.rows.toLocaleString('en-US')} prices were read${done.refused ? `; ${done.refused.toLocaleString('en-US')} rows could not be` : ''}.`,
      ...done.problems.slice(0, 5),
    ]);
    if (done.rows) onDone(id);
  };
  return (
    <>
      <FilePick accept=".csv,.txt,.tsv,text/*" label="Price list file" onFiles={([file]) => void open(file)}>
        Import a price list (CSV)
      </FilePick>
      {told.map((text, i) => (
        <p
          key={text}
          className={i === 0 && /were read/.test(text) ? 'hint' : 'problem'}
          role={i === 0 ? 'status' : undefined}
        >
          {text}
        </p>
      ))}
      {head && columns && (
        <fieldset className="columns">
          <legend>Which column is what?</legend>
          <div className="pair">
            {keysOf(COLUMN_WORDS).map((key) => (
              <Choice
                key={key}
                label={COLUMN_WORDS[key]}
                value={String(columns[key])}
                options={[
                  ...(key === 'name' || key === 'price' ? [] : [['-1', 'there is none'] as const]),
                  ...head.headings.map((h, i) => [String(i), h || `column ${i + 1}`] as const),
                ]}
                onChange={(at) => setColumns({ ...columns, [key]: Number(at) })}
              />
            ))}
          </div>
          <p className="hint">
            First row:{' '}
            {keysOf(COLUMN_WORDS)
              .filter((key) => columns[key] >= 0)
              .map((key) => `${COLUMN_WORDS[key].toLowerCase()} “${head.sample[0]?.[columns[key]] ?? ''}”`)
              .join(', ')}
            . The columns are kept for the next list with these headings.
          </p>
          {progress ? (
            <ReadingBar
              reading={{
                name: `${head.name}: ${progress.rows.toLocaleString('en-US')} prices`,
                share: progress.done,
                cancel: end,
              }}
            />
          ) : (
            <Button variant="contained" disabled={columns.name < 0 || columns.price < 0} onClick={() => void bring()}>
              Bring it in
            </Button>
          )}
        </fieldset>
      )}
    </>
  );
}

const NEW = 'new';

function TakeFromList({
  view,
  line,
  list,
}: {
  view: WholeView;
  line: PaintLine | null;
  list: { id: string; name: string; imported: string };
}) {
  const { state, session, system } = view;
  const { job } = state;
  const materials = useOrder(view)?.materials ?? [];
  const [text, setText] = useHalfTyped(`${job.id}|price-list`, '');
  const [target, setTarget] = useState(line?.product.id ?? NEW);
  const [told, setTold] = useState('');
  const priced = { source: list.name, date: list.imported };
  const { data: found = [] } = useQuery({
    queryKey: ['price-list', list.id, text],
    queryFn: () => searchPrices(list.id, text),
    networkMode: 'always',
  });
  const items = [...new Set(materials.map(({ item }) => item))];
  const products = Object.values(job.products);
  const takeAll = async () => {
    const rows = await pricesWhere(
      list.id,
      (row) => products.some((product) => isOf(product, row)) || items.some((item) => isThing(item, row, system)),
    );
    const paints = products.flatMap((product) => {
      const cans = rows.filter((row) => isOf(product, row)).reduce(withCan, product.cans);
      return cans === product.cans ? [] : [{ product: product.id, cans }];
    });
    const things = items.flatMap((item) => {
      const row = rows.find((one) => one.litres === null && isThing(item, one, system));
      return row ? [{ item, each: row.price }] : [];
    });
    const many = (n: number, what: string) => (n ? [`${n} ${what}${n === 1 ? '' : 's'}`] : []);
    const what = [...many(paints.length, 'paint'), ...many(things.length, 'other thing')].join(' and ');
    if (what && !session.run({ name: 'takePrices', args: { paints, materials: things, priced } }))
      return setTold('Nothing was taken.');
    setTold(what ? `Prices of ${what} were taken.` : 'Nothing of this job is in the list, by code or by name.');
  };
  const take = (row: PriceRow) => {
    const material = materials.find((m) => m.item === target);
    const product = job.products[target];
    const tell = (done: boolean) => setTold(done ? `${row.name} was taken.` : `${row.name} was not taken.`);
    if (material)
      tell(
        session.run({
          name: 'takePrices',
          args: { paints: [], materials: [{ item: material.item, each: row.price }], priced },
        }),
      );
    else if (row.litres === null) setTold('That is sold by the piece; a paint needs a size.');
    else if (product)
      tell(
        session.run({
          name: 'takePrices',
          args: {
            paints: [{ product: product.id, cans: withCan(product.cans, row), code: row.code }],
            materials: [],
            priced,
          },
        }),
      );
    else {
      const like = line?.product ?? Object.values(job.products)[0];
      if (!like) return;
      const fresh: Product = {
        ...like,
        id: freshId(),
        name: row.name,
        code: row.code,
        cans: [{ litres: row.litres, price: row.price, bases: null }],
        priced,
        source: `as ${like.name}, until its label is read`,
        picked: priced.date,
      };
      if (!session.run({ name: 'setProduct', args: { product: fresh } })) return tell(false);
      setTarget(fresh.id);
      setTold(`${row.name} is in the job now: put its label right under “The paint”, and compare.`);
    }
  };
  return (
    <>
      <div className="row-buttons">
        <Button variant="outlined" onClick={() => void takeAll()}>
          Take all by code or name
        </Button>
        <span className="hint" role="status">
          {told}
        </span>
      </div>
      <div className="pair">
        <TextInput label="Look for" value={text} placeholder="words of a name or code" onChange={setText} />
        <Choice
          label="Take the price for"
          value={target}
          options={[
            ...products.map((p) => [p.id, p.name] as const),
            ...items.map((item) => [item, said(itemWord(item), system)] as const),
            [NEW, line ? `a new paint, like ${line.product.name}` : 'a new paint'],
          ]}
          onChange={setTarget}
        />
      </div>
      <ul className="found" aria-label="Prices found">
        {found.map((row, i) => (
          <li key={i}>
            <span>
              {row.name} <small>{row.code}</small>
            </span>
            <span className="number">{row.litres === null ? 'each' : formatVolume(row.litres, system)}</span>
            <span className="number">{formatMoney(row.price, job.currency)}</span>
            <Button
              size="small"
              variant="outlined"
              onClick={() => take(row)}
              aria-label={`Take ${row.name} ${row.code}`}
            >
              Take
            </Button>
          </li>
        ))}
        {!found.length && <li className="hint">Nothing in the list has these words.</li>}
      </ul>
    </>
  );
}

/** A size with its price: replaces the same size (within a hundredth), or joins the others. */
function withCan(cans: Product['cans'], row: PriceRow): Product['cans'] {
  const { litres } = row;
  if (litres === null) return cans;
  const same = cans.find((can) => Math.abs(can.litres / litres - 1) < 0.01);
  return same
    ? cans.map((can) => (can === same ? { ...can, price: row.price } : can))
    : [...cans, { litres, price: row.price, bases: null }].sort((a, b) => a.litres - b.litres);
}
