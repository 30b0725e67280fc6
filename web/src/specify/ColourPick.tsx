import type { Edit } from '@kovelin/core/job/edits.ts';
import type { Id } from '@kovelin/core/job/table.ts';
import { familyOf } from '@kovelin/core/job/vocabulary.ts';
import { colourOffers, plainName, type Offered } from '@kovelin/core/specify/colour-words.ts';
import { lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import { likeIt, placeColour, type Place } from '@kovelin/core/specify/place-colour.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { lazy, Suspense, useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { freshId } from '../store/ids.ts';
import { Toggle } from '../ui/Toggle.tsx';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { ColourInput } from './ColourInput.tsx';
import { TextInput } from '../ui/TextInput.tsx';

const ReadColour = lazy(() => import('../app/ReadColour.tsx'));
const ColourFile = lazy(() => import('./ColourFile.tsx'));

const MOST_SHOWN = 8;
const ALL_OF = { wall: 'All walls of this room', ceiling: 'The ceiling', trim: 'All woodwork of this room' } as const;

/** The colour of a surface: by name, by the maker's code, as written, from a palette, a file or a reader; and where else it goes. */
export function ColourPick({ view, s }: { readonly view: WholeView; readonly s: Specified }) {
  const spell = useSpelt();
  const { session, state, derived } = view;
  const { colours, finishes } = state.shown;
  const [text, setText] = useHalfTyped(`${state.job.id}|${s.surface.id}|colour`, '');
  const [file, setFile] = useState(false);
  const [reading, setReading] = useState(false);
  /** The colour that was there before the last pick: it may be wanted elsewhere too. */
  const [was, setWas] = useState<Id | null>(null);
  const offers = colourOffers(text, Object.values(colours));
  const first = offers[0];

  const place = (colour: Id, where: Place, before: readonly Edit[] = []) =>
    session.run({
      name: 'together',
      args: { edits: [...before, ...placeColour(state.shown, derived.surfaces, s, colour, where)] },
    });
  const pick = ({ id, name, hex }: Pick<Offered, 'id' | 'name' | 'hex'>) => {
    // what looks the same to the last digit is the same colour
    const known = id ?? Object.values(colours).find((colour) => colour.hex === hex && colour.name === name)?.id;
    const colour = known ?? freshId();
    if (colour === s.colour.id) return;
    setWas(s.colour.id);
    place(colour, 'here', known ? [] : [{ name: 'setColour', args: { colour: { id: colour, name, hex } } }]);
  };
  const mix = (hex: string) =>
    pick(Object.values(colours).find((colour) => colour.hex === hex) ?? { id: null, name: plainName(hex), hex });

  const like = likeIt(derived.surfaces, s);
  const everywhere = (of: Id) => derived.surfaces.filter((one) => one.colour.id === of).length;
  const old = was !== null && was !== s.colour.id ? colours[was] : undefined;
  const left = old && Object.values(finishes).some(({ colour }) => colour === old.id) ? everywhere(old.id) : 0;
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
      <div role="group" aria-label={spell('Where this colour goes')} className="places">
        <Toggle className="option" pressed={s.finishFrom === s.surface.id} onChange={() => place(s.colour.id, 'here')}>
          This one
        </Toggle>
        {like.length > 1 && (
          <Toggle
            className="option"
            pressed={like.every(({ colour }) => colour.id === s.colour.id)}
            onChange={() => place(s.colour.id, 'room')}
          >
            {ALL_OF[familyOf(s.surface.kind)]}
          </Toggle>
        )}
        {old && left > 0 && (
          <Button variant="outlined" className="option" onClick={() => place(s.colour.id, { instead: old.id })}>
            Everywhere <bdi>{old.name}</bdi> is <small>{left === 1 ? '1 surface' : `${left} surfaces`}</small>
          </Button>
        )}
        {s.finishFrom === s.surface.id && (
          <TextButton onClick={() => session.edit({ name: 'setFinish', args: { scope: s.surface.id, finish: null } })}>
            Back to the room’s own finish
          </TextButton>
        )}
      </div>
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
