import type { Edit } from '@kovelin/core/job/edits.ts';
import { good, type Result } from '@kovelin/core/units/problem.ts';
import { startingPaint } from '@kovelin/core/job/create.ts';
import { STARTING_PRODUCTS } from '@kovelin/core/job/library.ts';
import { ENDS } from '@kovelin/core/job/limits.ts';
import { hidingClass, parseContrast } from '@kovelin/core/specify/classes.ts';
import { accents, finishEdits } from '@kovelin/core/specify/reach.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { wallRate } from '@kovelin/core/specify/spread.ts';
import { formatSpread, parseSpread } from '@kovelin/core/units/quantities.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { between } from '../ui/read.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { ColourPick } from './ColourPick.tsx';
import type { Reaching } from './reach.tsx';

/** A spread rate in the job's units, or nothing. */
function readSpread(text: string, system: System): Result<number | null> {
  if (!text.trim()) return good(null);
  const plain = (typed: string): Result<number> => {
    return parseSpread(/[a-z]/i.test(typed) ? typed : `${typed} ${system === 'imperial' ? 'ft2/gal' : 'm2/L'}`);
  };
  return between(plain, ENDS.rate, (rate) => formatSpread(rate, system))(text);
}

interface Props {
  readonly view: WholeView;
  readonly s: Specified;
  readonly reaching: Reaching;
}
/** The paint and its colour: from the job's own, a picker, a file or the reader. */
export function FinishPick({ view, s, reaching }: Props) {
  const spell = useSpelt();
  const { session, state } = view;
  const { products } = state.shown;
  const { to, reach, give } = reaching;
  /** A paint of the job, or a starting one that it has not got yet. */
  const pick = (id: string) => {
    const product = products[id] ?? startingPaint(state.job, (p) => p.id === id);
    const before: readonly Edit[] = product && !products[id] ? [{ name: 'setProduct', args: { product } }] : [];
    if (product)
      give((left) => [...before, ...finishEdits(state.shown, to, reach, { product: id }, left)], { product: id });
  };
  const own = accents(to);
  const others = to.filter(
    (one) => !own.includes(one) && (one.product.id !== s.product.id || one.colour.id !== s.colour.id),
  );
  const forAll = () => {
    const finish = { product: s.product.id, colour: s.colour.id };
    give((left) => finishEdits(state.shown, to, reach, finish, left), finish);
  };
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
      {reach !== 'one' && reach !== 'colour' && others.length > 0 && (
        <TextButton onClick={forAll}>{spell(`This paint and colour for all ${to.length}`)}</TextButton>
      )}
      <DraftField
        key={`${s.product.id} ${s.colour.id}`}
        label={
          s.opacity.from === 'starting'
            ? spell('Opacity in this colour: a starting value')
            : s.opacity.from === 'known'
              ? spell('Opacity in this colour (per cent or class)')
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
          {Number((s.product.contrast * 100).toFixed(1))}
          {spell(' % on the label is for pale colours; this one hides worse. Write its own figure where you know it.')}
        </p>
      )}
      {s.opacity.from === 'known' && (
        <TextButton
          onClick={() => {
            const others = Object.entries(s.product.inColour).filter(([id]) => id !== s.colour.id);
            const inColour = Object.fromEntries(others);
            session.edit({ name: 'setProduct', args: { product: { ...s.product, inColour } } });
          }}
        >
          Back to the label’s {Number((s.product.contrast * 100).toFixed(1))} %
        </TextButton>
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
      <ColourPick view={view} s={s} reaching={reaching} />
    </Section>
  );
}
