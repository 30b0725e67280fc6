import { isImperial } from '@kovelin/core/units/si.ts';
import { type Result, bad, good } from '@kovelin/core/units/problem.ts';
import { ENDS } from '@kovelin/core/job/limits.ts';
import type { Product } from '@kovelin/core/job/paints.ts';
import { PRIMER_KINDS, SCRUB_CLASSES } from '@kovelin/core/job/vocabulary.ts';
import { theoreticalSpread } from '@kovelin/core/specify/spread.ts';
import { formatSpread, formatVolume, parseSpread } from '@kovelin/core/units/quantities.ts';
import { priceOfCan } from '@kovelin/core/order/samples.ts';
import { today } from '@kovelin/core/units/date.ts';
import { inOrder, said } from '@kovelin/core/units/word.ts';
import { PRIMER, SHEEN } from '@kovelin/core/words/terms.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { between } from '../ui/read.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { LabelTimes } from './LabelTimes.tsx';
import { Check } from '../ui/Check.tsx';
import { ageWord } from './words.ts';
import { MoneyField } from '../ui/MoneyField.tsx';
import { PercentField } from '../ui/PercentField.tsx';

const plain = <T,>(result: Result<T>): Result<T> => result;
const optional =
  <T,>(read: (text: string) => Result<T>) =>
  (text: string): Result<T | null> =>
    text.trim() ? read(text) : good(null);

const minutes = between(
  (text) => {
    const value = Number(text);
    return text.trim() && Number.isInteger(value) ? good(value) : bad('Write whole minutes, for example 120.');
  },
  ENDS.minutes,
  (value) => `${value} minutes`,
);
/** A dry film: micrometres, or mils. */
const MIL = 25.4e-6;
const dryFilm = between(
  (text) => {
    const found = /^\s*(\d+(?:[.,]\d+)?)\s*(mils?|um|µm|μm)\s*$/i.exec(text);
    const unit = /^mil/i.test(found?.[2] ?? '') ? MIL : 1e-6;
    return found
      ? good(Number((found[1] ?? '').replace(',', '.')) * unit)
      : bad('Write a dry film such as 40 um or 1.6 mils.');
  },
  ENDS.dryFilm,
  (film) => `${Number((film * 1e6).toFixed(0))} um`,
);

interface CardProps {
  readonly product: Product;
  readonly view: WholeView;
}
const SCRUB_WORDS = {
  1: '1: hardest',
  2: '2: wipes well',
  3: '3: 200 scrubs',
  4: '4: 40 scrubs',
  5: '5: hardly any',
} as const;

/** All that a primer is sold as doing: one that does everything asked saves a second. */
function Serves({ product, view, set }: CardProps & { readonly set: (change: Partial<Product>) => unknown }) {
  return (
    <fieldset className="checks">
      <legend>It does, besides</legend>
      {PRIMER_KINDS.filter((kind) => kind !== 'none' && kind !== product.primer).map((kind) => (
        <Check
          key={kind}
          label={said(PRIMER[kind], view.system)}
          checked={product.serves.includes(kind)}
          onChange={(isOn) => {
            const rest = product.serves.filter((other) => other !== kind);
            set({ serves: isOn ? [...rest, kind] : rest });
          }}
        />
      ))}
    </fieldset>
  );
}

/** The job's own copy of a product: what its label says may be corrected here, and what it costs. */
export function ProductCard({ product, view }: CardProps) {
  const spell = useSpelt();
  const { session, system, state } = view;
  const set = (change: Partial<Product>) =>
    session.edit({ name: 'setProduct', args: { product: { ...product, ...change, source: 'your label' } } });
  const spread = between(
    (text) => plain(parseSpread(/[a-z]/i.test(text) ? text : `${text} ${isImperial(system) ? 'ft2/gal' : 'm2/L'}`)),
    ENDS.rate,
    (rate) => formatSpread(rate, system),
  );
  const { solids } = product;
  return (
    <>
      <Section title="What its label says" extra={<small>{product.source}</small>}>
        <div className="pair">
          <DraftField
            label="Label spread rate"
            value={formatSpread(product.labelRate, system)}
            parse={spread}
            onCommit={(labelRate) => set({ labelRate })}
          />
          <DraftField
            label="… on porous ground"
            value={product.porousRate === null ? '' : formatSpread(product.porousRate, system)}
            placeholder="not given"
            parse={optional<number>(spread)}
            onCommit={(porousRate) => set({ porousRate })}
          />
          <PercentField
            label={spell('Contrast ratio in pale colours')}
            value={product.contrast}
            ends={ENDS.contrast}
            onCommit={(contrast) => set({ contrast })}
          />
          <DraftField
            label="Recoat after, minutes"
            value={String(product.recoat)}
            parse={minutes}
            onCommit={(recoat) => set({ recoat })}
          />
          <PercentField
            label="Volume solids"
            value={solids?.volume ?? null}
            optional
            placeholder="by label rate"
            ends={ENDS.solids}
            onCommit={(volume) =>
              set({
                solids: volume === null ? null : { volume, dry: solids?.dry ?? (volume * 1e-3) / product.labelRate },
              })
            }
          />
          <DraftField
            label="Dry film"
            value={
              solids
                ? isImperial(system)
                  ? `${Number((solids.dry / MIL).toFixed(2))} mils`
                  : `${Number((solids.dry * 1e6).toFixed(1))} um`
                : ''
            }
            placeholder="with solids"
            parse={optional<number>(dryFilm)}
            onCommit={(dry) => {
              if (!solids) return 'Write the volume solids first: the film alone says nothing about the spread.';
              return set({ solids: dry === null ? null : { ...solids, dry } });
            }}
          />
          <LabelTimes product={product} system={system} set={set} />
          {product.role === 'finish' && (
            <Choice
              label="Wet-scrub class"
              value={product.scrub === null ? '' : String(product.scrub)}
              options={[['', 'not known'], ...SCRUB_CLASSES.map((n) => [String(n), SCRUB_WORDS[n]] as const)]}
              onChange={(n) => void set({ scrub: SCRUB_CLASSES.find((known) => String(known) === n) ?? null })}
            />
          )}
        </div>
        {product.role === 'primer' && <Serves product={product} view={view} set={set} />}
        <p className="hint">
          {solids &&
            `Solids and film spread ${formatSpread(theoreticalSpread(solids.volume, solids.dry), system)} before losses; the label rate rests. `}
          Made in {said(inOrder(product.sheens.map((sheen) => SHEEN[sheen])), system)}. The label outranks these
          starting values.
        </p>
      </Section>
      <Section
        title="What it costs"
        extra={
          <small>
            {product.priced
              ? `${product.priced.source}, ${ageWord(product.priced.date, view.state.job.region.dates)}`
              : 'sample prices'}
          </small>
        }
      >
        <div className="pair">
          {product.cans.map((can) => (
            <MoneyField
              key={can.litres}
              label={`Price of ${formatVolume(can.litres, system)}`}
              value={can.price}
              currency={state.shown.currency}
              insteadOfNothing="What you have of it already goes on the shelf, under Mixing."
              onCommit={(price) => session.edit(priceOfCan(product, can.litres, price, today()))}
            />
          ))}
        </div>
        <p className="hint">
          {product.cans
            .filter((can) => can.bases !== null)
            .map((can) => `${formatVolume(can.litres, system)} is mixed in ${can.bases?.join(' and ')} base only. `)
            .join('')}
          {product.code && `Code ${product.code}.`}
        </p>
      </Section>
    </>
  );
}
