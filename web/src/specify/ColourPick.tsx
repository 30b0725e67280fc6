import type { Edit } from '@kovelin/core/job/edits.ts';
import { colourOffers, plainName, type Offered } from '@kovelin/core/specify/colour-words.ts';
import { lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import { finishEdits } from '@kovelin/core/specify/reach.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { lazy, Suspense, useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { freshId } from '../store/ids.ts';
import { Toggle } from '../ui/Toggle.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { ColourInput } from './ColourInput.tsx';
import { TextInput } from '../ui/TextInput.tsx';
import type { Reaching } from './reach.tsx';

const ReadColour = lazy(() => import('../app/ReadColour.tsx'));
const ColourFile = lazy(() => import('./ColourFile.tsx'));

const MOST_SHOWN = 8;

interface Props {
  readonly view: WholeView;
  readonly s: Specified;
  readonly reaching: Reaching;
}
/** A colour: by name, by the maker's code, as written, from a palette, a file or a reader. */
export function ColourPick({ view, s, reaching }: Props) {
  const spell = useSpelt();
  const { session, state } = view;
  const { colours } = state.shown;
  const [text, setText] = useHalfTyped(`${state.job.id}|${s.surface.id}|colour`, '');
  const [file, setFile] = useState(false);
  const [reading, setReading] = useState(false);
  const offers = colourOffers(text, Object.values(colours));
  const first = offers[0];

  const pick = ({ id, name, hex }: Pick<Offered, 'id' | 'name' | 'hex'>) => {
    // what looks the same to the last digit is the same colour
    const known = id ?? Object.values(colours).find((colour) => colour.hex === hex && colour.name === name)?.id;
    const colour = known ?? freshId();
    const before: readonly Edit[] = known ? [] : [{ name: 'setColour', args: { colour: { id: colour, name, hex } } }];
    reaching.give((left) => [...before, ...finishEdits(state.shown, reaching.to, reaching.reach, { colour }, left)], {
      colour,
    });
  };
  const mix = (hex: string) =>
    pick(Object.values(colours).find((colour) => colour.hex === hex) ?? { id: null, name: plainName(hex), hex });

  return (
    <div className="colour-pick">
      <p className="colour-now">
        <span className="chip large" style={{ background: s.colour.hex }} />
        <span>
          <b>{s.colour.name}</b>
          {s.colour.code && <small> {s.colour.code}</small>}
          <small>
            LRV {lrvOf(s.colour.hex).toFixed(0)}: {undertone(s.colour.hex)}
          </small>
        </span>
      </p>
      {s.finishFrom === s.surface.id && (
        <TextButton onClick={() => session.edit({ name: 'setFinish', args: { scope: s.surface.id, finish: null } })}>
          Back to the room’s own finish
        </TextButton>
      )}
      <TextInput
        label={spell('Another colour: a name, a code, #d0cfc9 or Lab')}
        value={text}
        placeholder={spell('light grey')}
        onChange={setText}
        onKeyDown={(event) => {
          if (event.key === 'Escape') setText('');
          if (event.key !== 'Enter' || !first) return;
          event.preventDefault();
          pick(first);
          setText('');
        }}
      />
      <ul className="swatches" aria-label={spell('Colours to take')}>
        {offers.slice(0, MOST_SHOWN).map((offer) => (
          <li key={`${offer.hex} ${offer.name}`}>
            <Toggle
              pressed={offer.id === s.colour.id}
              onChange={() => {
                pick(offer);
                setText('');
              }}
            >
              <span className="chip large" style={{ background: offer.hex }} />
              <span>
                {offer.name}
                {offer.code && <small>{offer.code}</small>}
                {!offer.shown && <small>beyond this screen: look at a real sample</small>}
              </span>
            </Toggle>
          </li>
        ))}
      </ul>
      <p className="hint" role="status">
        {!first && spell('No colour here is called that. ')}
        {offers.length > MOST_SHOWN && `${offers.length - MOST_SHOWN} more. `}
      </p>
      <div className="row-buttons">
        <TextButton onClick={() => setFile(true)}>{spell('More colours …')}</TextButton>
        <TextButton onClick={() => setReading(true)}>Read one …</TextButton>
        <ColourInput label="By eye" value={s.colour.hex} onPick={mix} />
      </div>
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
    </div>
  );
}
