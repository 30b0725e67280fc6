import { roomScope } from '@kovelin/core/job/scope.ts';
import { hidingClass, parseContrast } from '@kovelin/core/specify/classes.ts';
import { lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { lazy, Suspense, useState } from 'react';
import { Choice, DraftField, Section } from '../app/fields.tsx';
import { freshId, type JobView } from '../app/job-context.ts';
import { ColourInput } from './ColourInput.tsx';

const ReadColour = lazy(() => import('./ReadColour.tsx'));
const ColourFile = lazy(() => import('./ColourFile.tsx'));

/** The paint and its colour: from the job's own, a picker, a file or the reader. */
export function FinishPick({ view, s }: { view: JobView; s: Specified }) {
  const { session, state } = view;
  const { products, colours } = state.shown;
  const [wide, setWide] = useState(false);
  const [file, setFile] = useState(false);
  const [reading, setReading] = useState(false);
  const scope = wide ? roomScope(s.surface.room, s.surface.kind) : s.surface.id;
  const set = (change: { product?: string; colour?: string }) =>
    session.edit({
      name: 'setFinish',
      args: { scope, finish: { product: s.product.id, colour: s.colour.id, ...change } },
    });
  const mix = (hex: string) => {
    const id = freshId();
    session.edit({
      name: 'setColour',
      args: { colour: { id, name: `Colour ${Object.keys(colours).length + 1}`, hex } },
    });
    set({ colour: id });
  };
  const kind =
    s.surface.kind === 'wall'
      ? 'walls'
      : s.surface.kind === 'ceiling'
        ? 'ceiling'
        : `${s.surface.kind.replace('-', ' ')}s`;
  return (
    <Section title="Finish">
      <Choice
        label="Paint"
        value={s.product.id}
        options={Object.values(products)
          .filter((p) => p.role === 'finish')
          .map((p) => [p.id, p.name])}
        onChange={(product) => set({ product })}
      />
      <DraftField
        key={s.product.id}
        label="Hides (contrast ratio, or a class)"
        value={`${Number((s.product.contrast * 100).toFixed(2))} %, class ${hidingClass(s.product.contrast)}`}
        parse={(text) => {
          const read = parseContrast(text.replace(/,? *class [1-4]$/, (tail) => (/^\s*class/i.test(text) ? tail : '')));
          return read.ok ? read : { ok: false, message: read.problems[0]?.message ?? '' };
        }}
        onCommit={(contrast) => session.edit({ name: 'setProduct', args: { product: { ...s.product, contrast } } })}
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
      <p className="hint">
        LRV {lrvOf(s.colour.hex).toFixed(0)}: {undertone(s.colour.hex)}.{' '}
        <button type="button" className="link" onClick={() => setFile(true)}>
          Colours from a file …
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
