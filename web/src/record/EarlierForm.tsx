import { LAID_BY, type EarlierPaint } from '@kovelin/core/job/recorded.ts';
import { BASES, FABRICS, PILES, SHEENS } from '@kovelin/core/job/vocabulary.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { readText } from '../ui/read.ts';
import { said } from '@kovelin/core/units/word.ts';
import { LAID } from '@kovelin/core/words/found.ts';
import { pileWord } from '@kovelin/core/words/systems.ts';
import { BASE, FABRIC, SHEEN } from '@kovelin/core/words/terms.ts';
import { lazy, Suspense, useRef, useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { keepHalfTyped } from '../app/half-typed.ts';

const ReadColour = lazy(() => import('../app/ReadColour.tsx'));

const TEXTS = [
  ['product', 'Paint'],
  ['colour', 'Colour'],
  ['code', 'Maker’s code'],
  ['formula', 'Formula'],
  ['batch', 'Batch'],
  ['primer', 'Over which primer'],
  ['thinner', 'Thinner or conditioner'],
  ['wax', 'Wax'],
  ['who', 'Who'],
] as const;

const readWhen = (text: string): Result<string> =>
  /^(\d{4}(-\d{2}(-\d{2})?)?)?$/.test(text.trim())
    ? good(text.trim())
    : bad('A year, a month or a day is accepted: 2019, 2019-05 or 2019-05-30.');
const readCoats = (text: string): Result<number> => {
  const n = Number(text);
  return Number.isInteger(n) && n >= 1 && n <= 20 ? good(n) : bad('Coats from 1 to 20.');
};
const readHex = (text: string): Result<string | null> => {
  const own = text.trim().toLowerCase();
  return !own
    ? good(null)
    : /^#?[0-9a-f]{6}$/.test(own)
      ? good(own.startsWith('#') ? own : `#${own}`)
      : bad('Six figures such as #d5d6d2.');
};

interface Props {
  readonly view: WholeView;
  readonly start: EarlierPaint;
  /** Where it is kept while it is half typed. */
  readonly place: string;
  /** It stands there already. */
  readonly isKnown: boolean;
  /** `chipped`: a chip was cut for its colour. */
  /** @returns whether it was done. */
  readonly onTake: (paint: EarlierPaint, wide: boolean, chipped: boolean) => boolean;
  readonly onRemove: () => boolean;
  readonly onClose: () => void;
}

/** What somebody knows of paint that was there before; what is left open stays unknown. */
export function EarlierForm({ view, start, place, isKnown, onTake, onRemove, onClose }: Props) {
  const spell = useSpelt();
  const { system } = view;
  const [paint, setPaint] = useState(start);
  // a field may be taken in the moment the page goes, when nothing is shown any more
  const latest = useRef(start);
  const ended = useRef(false);
  const [wide, setWide] = useState(false);
  const [reading, setReading] = useState(false);
  const [chipped, setChipped] = useState(false);
  const set = (change: Partial<EarlierPaint>) => {
    latest.current = { ...latest.current, ...change };
    if (!ended.current) keepHalfTyped(place, latest.current);
    setPaint(latest.current);
    return null;
  };
  const end = (): void => {
    ended.current = true;
    keepHalfTyped(place, null);
  };
  const open = (word: string): readonly [string, string] => ['', word];
  return (
    <div className="earlier-form">
      <p className="hint">Say what is known; the rest stays unknown. It is kept as not certain.</p>
      <div className="pair">
        {TEXTS.map(([key, label]) => (
          <DraftField
            key={key}
            label={spell(label)}
            value={paint[key]}
            parse={readText(200)}
            onCommit={(text) => set({ [key]: text })}
          />
        ))}
        <DraftField
          label="When (a year will do)"
          value={paint.when}
          placeholder="2019-05"
          parse={readWhen}
          onCommit={(when) => set({ when })}
        />
        <DraftField label="Coats" value={`${paint.coats}`} parse={readCoats} onCommit={(coats) => set({ coats })} />
        <DraftField
          label={spell('Colour, #rrggbb')}
          value={paint.hex ?? ''}
          placeholder="#d5d6d2"
          parse={readHex}
          onCommit={(hex) => set({ hex })}
        />
        <Choice
          label="Sheen"
          value={paint.sheen ?? ''}
          options={[open('not known'), ...SHEENS.map((one) => [one, said(SHEEN[one], system)] as const)]}
          onChange={(sheen) => set({ sheen: SHEENS.find((one) => one === sheen) ?? null })}
        />
        <Choice
          label="Water-based or oil"
          value={paint.base ?? ''}
          options={[open('not known'), ...BASES.map((one) => [one, said(BASE[one], system)] as const)]}
          onChange={(base) => set({ base: BASES.find((one) => one === base) ?? null })}
        />
        <Choice
          label="How laid"
          value={paint.laid ?? ''}
          options={[open('not known'), ...LAID_BY.map((one) => [one, said(LAID[one], system)] as const)]}
          onChange={(laid) => set({ laid: LAID_BY.find((one) => one === laid) ?? null })}
        />
        <Choice
          label="Fabric"
          value={paint.fabric ?? ''}
          options={[open('not known'), ...FABRICS.map((one) => [one, said(FABRIC[one], system)] as const)]}
          onChange={(fabric) => set({ fabric: FABRICS.find((one) => one === fabric) ?? null })}
        />
        <Choice
          label="Pile"
          value={paint.pile === null ? '' : `${paint.pile}`}
          options={[open('not known'), ...PILES.map((one) => [`${one}`, said(pileWord(one), system)] as const)]}
          onChange={(pile) => set({ pile: PILES.find((one) => `${one}` === pile) ?? null })}
        />
      </div>
      {paint.laid === 'spray' && (
        <p className="caution">A thin sprayed coat drinks, and has no texture of a roller: touching it up will show.</p>
      )}
      <DraftField label="Note" lines={2} value={paint.note} parse={readText(4000)} onCommit={(note) => set({ note })} />
      {!isKnown && (
        <Check label="on everything like it in this room" checked={wide} onChange={(isOn) => setWide(isOn)} />
      )}
      <div className="acts">
        <Button variant="outlined" onClick={() => onTake(paint, wide, chipped) && end()}>
          {isKnown ? 'Keep it so' : 'Put it on record'}
        </Button>
        <Button variant="outlined" onClick={() => setReading(true)}>
          {spell('Read its colour')}
        </Button>
        {isKnown && <TextButton onClick={() => onRemove() && end()}>take it off</TextButton>}
        <TextButton
          onClick={() => {
            end();
            onClose();
          }}
        >
          close
        </TextButton>
      </div>
      {reading && (
        <Suspense fallback={null}>
          <ReadColour
            start={paint.hex ?? '#d5d6d2'}
            onTake={(hex) => {
              set({ hex, note: [paint.note, spell('colour read from a chip')].filter(Boolean).join('; ') });
              setChipped(true);
              setReading(false);
            }}
            onClose={() => setReading(false)}
          />
        </Suspense>
      )}
    </div>
  );
}
