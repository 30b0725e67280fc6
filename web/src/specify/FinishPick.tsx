import { good, type Result } from '@kovelin/core/units/problem.ts';
import { startingPaint } from '@kovelin/core/job/create.ts';
import { STARTING_PRODUCTS } from '@kovelin/core/job/library.ts';
import { ENDS } from '@kovelin/core/job/limits.ts';
import { roomScope } from '@kovelin/core/job/scope.ts';
import { hidingClass, parseContrast } from '@kovelin/core/specify/classes.ts';
import { parseColour } from '@kovelin/core/specify/colour-text.ts';
import { labOf, lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { wallRate } from '@kovelin/core/specify/spread.ts';
import { formatSpread, parseSpread } from '@kovelin/core/units/quantities.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { surfacesWord } from '@kovelin/core/words/terms.ts';
import { lazy, Suspense, useState } from 'react';
import { between, Choice, DraftField, Section } from '../app/fields.tsx';
import type { WholeView } from '../app/whole.ts';
import { freshId } from '../store/ids.ts';
import { ColourInput } from './ColourInput.tsx';

const ReadColour = lazy(() => import('../app/ReadColour.tsx'));
const ColourFile = lazy(() => import('./ColourFile.tsx'));

const labWord = (hex: string): string => {
  const { l, a, b } = labOf(hex);
  return [l, a, b].map((v) => v.toFixed(0)).join(' ');
};

/** A spread rate in the job's units, or nothing. */
function readSpread(text: string, system: System): Result<number | null> {
  if (!text.trim()) return good(null);
  const plain = (typed: string): Result<number> => {
    return parseSpread(/[a-z]/i.test(typed) ? typed : `${typed} ${system === 'imperial' ? 'ft2/gal' : 'm2/L'}`);
  };
  return between(plain, ENDS.rate, (rate) => formatSpread(rate, system))(text);
}

/** The paint and its colour: from the job's own, a picker, a file or the reader. */
export function FinishPick({ view, s }: { view: WholeView; s: Specified }) {
  const { session, state } = view;
  const { products, colours } = state.shown;
  const [wide, setWide] = useState(false);
  const [file, setFile] = useState(false);
  const [reading, setReading] = useState(false);
  const scope = wide ? roomScope(s.surface.room, s.surface.kind) : s.surface.id;
  const set = (change: { colour: string }) =>
    session.run({ name: 'setFinish', args: { scope, finish: { product: s.product.id, ...change } } });
  /** A paint of the job, or a starting one that it has not got yet. */
  const pick = (id: string) => {
    const product = products[id] ?? startingPaint(state.job, (p) => p.id === id);
    if (product) session.run({ name: 'takeUp', args: { scope, product, colour: s.colour.id } });
  };
  const mix = (hex: string) => {
    const id = freshId();
    session.run({
      name: 'setColour',
      args: { colour: { id, name: `Colour ${Object.keys(colours).length + 1}`, hex } },
    });
    set({ colour: id });
  };
  const kind = said(surfacesWord(s.surface.kind), view.system);
  return (
    <Section title="Finish">
      <Choice
        label="Paint"
        value={s.product.id}
        options={[...Object.values(products), ...STARTING_PRODUCTS.filter((p) => !products[p.id])]
          .filter((p) => p.role === 'finish')
          .map((p) => [p.id, p.name])}
        onChange={pick}
      />
      <DraftField
        key={`${s.product.id} ${s.colour.id}`}
        label={
          s.opacity.from === 'starting'
            ? 'Opacity in this colour: a starting value'
            : s.opacity.from === 'known'
              ? 'Opacity in this colour (per cent or class)'
              : 'Opacity on the label (per cent or class)'
        }
        value={`${Number((s.opacity.contrast * 100).toFixed(2))} %, class ${hidingClass(s.opacity.contrast)}`}
        parse={between(
          (text) => {
            const own = text.replace(/,? *class [1-4]$/, (tail) => (/^\s*class/i.test(text) ? tail : ''));
            return parseContrast(own);
          },
          ENDS.contrast,
          (ratio) => `${Number((ratio * 100).toFixed(2))} %`,
        )}
        onCommit={(contrast) =>
          session.edit({
            name: 'setProduct',
            args: { product: { ...s.product, inColour: { ...s.product.inColour, [s.colour.id]: contrast } } },
          })
        }
      />
      {s.opacity.from === 'starting' && (
        <p className="hint">
          {Number((s.product.contrast * 100).toFixed(1))} % on the label is for pale colours; this one hides worse.
          Write its own figure where you know it.
        </p>
      )}
      {s.opacity.from === 'known' && (
        <button
          type="button"
          className="link"
          onClick={() => {
            const others = Object.entries(s.product.inColour).filter(([id]) => id !== s.colour.id);
            const inColour = Object.fromEntries(others);
            session.edit({ name: 'setProduct', args: { product: { ...s.product, inColour } } });
          }}
        >
          Back to the label’s {Number((s.product.contrast * 100).toFixed(1))} %
        </button>
      )}
      <DraftField
        key={`${s.product.id} at`}
        label="… measured at a spread of"
        value={s.product.contrastRate === null ? '' : formatSpread(s.product.contrastRate, view.system)}
        placeholder={`its label rate, ${formatSpread(wallRate(s.product), view.system)}`}
        parse={(text) => readSpread(text, view.system)}
        onCommit={(contrastRate) =>
          session.edit({ name: 'setProduct', args: { product: { ...s.product, contrastRate } } })
        }
      />
      <div className="colour-line">
        <span className="chip large" style={{ background: s.colour.hex }} />
        <Choice
          label="Colour"
          value={s.colour.id}
          options={Object.values(colours).map((c) => [c.id, c.name])}
          onChange={(colour) => set({ colour })}
        />
        <ColourInput label="Mix another" value={s.colour.hex} onPick={mix} />
      </div>
      <DraftField
        key={s.colour.id}
        label="Or write it (sRGB or Lab)"
        value={`${s.colour.hex}, Lab ${labWord(s.colour.hex)}`}
        parse={parseColour}
        onCommit={({ hex, shown }) => {
          mix(hex);
          return shown ? null : 'No screen shows that colour; the nearest it can stands in, so look at a real sample.';
        }}
      />
      <p className="hint">
        LRV {lrvOf(s.colour.hex).toFixed(0)}: {undertone(s.colour.hex)}.{' '}
        <button type="button" className="link" onClick={() => setFile(true)}>
          More colours …
        </button>{' '}
        <button type="button" className="link" onClick={() => setReading(true)}>
          Read one …
        </button>
      </p>
      {reading && (
        <Suspense fallback={null}>
          <ReadColour
            start={s.colour.hex}
            onClose={() => setReading(false)}
            onTake={(hex) => {
              mix(hex);
              setReading(false);
            }}
          />
        </Suspense>
      )}
      {file && (
        <Suspense fallback={null}>
          <ColourFile view={view} onClose={() => setFile(false)} />
        </Suspense>
      )}
      {s.surface.kind !== 'ceiling' && (
        <label className="check">
          <input type="checkbox" checked={wide} onChange={(event) => setWide(event.target.checked)} /> for all {kind} of
          this room
        </label>
      )}
      {s.finishFrom === s.surface.id && (
        <button
          type="button"
          className="link"
          onClick={() => session.edit({ name: 'setFinish', args: { scope: s.surface.id, finish: null } })}
        >
          Back to the room’s own finish
        </button>
      )}
    </Section>
  );
}
