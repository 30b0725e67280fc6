import { isImperial, type System } from '@kovelin/core/units/si.ts';
import { useEffect, useSyncExternalStore } from 'react';
import Button from '@mui/material/Button';
import { aimedAt, enterIn, listenToAim, typeInto, withPad } from '../app/aim.ts';

const IMPERIAL = [
  ['7', '8', '9', "'", '1/2'],
  ['4', '5', '6', '"', '1/4'],
  ['1', '2', '3', '/16', '1/8'],
  ['0', 'back', 'space', '3/4', 'next'],
] as const;
const METRIC = [
  ['7', '8', '9', ' m'],
  ['4', '5', '6', ' cm'],
  ['1', '2', '3', ' mm'],
  ['0', '.', 'back', 'next'],
] as const;
type Key = (typeof IMPERIAL)[number][number] | (typeof METRIC)[number][number];

const WORDS: Readonly<Partial<Record<Key, readonly [string, string]>>> = {
  "'": ['ft', 'feet'],
  '"': ['in', 'inches'],
  '/16': ['⁄16', 'sixteenths'],
  back: ['⌫', 'delete the last'],
  space: ['space', 'space'],
  next: ['Next', 'take it and go on'],
  ' m': ['m', 'metres'],
  ' cm': ['cm', 'centimetres'],
  ' mm': ['mm', 'millimetres'],
};
const FRACTION = /^\d\/\d$/;

/** What a key does to what stands there: a fraction after inches stands apart from them. */
function press(text: string, key: Key): string {
  if (key === 'back') return text.slice(0, -1);
  if (key === 'space') return `${text} `;
  if (FRACTION.test(key)) {
    const inches = text.endsWith('"');
    const whole = inches ? text.slice(0, -1) : text;
    return `${whole}${/\d$/.test(whole) ? ' ' : ''}${key}${inches ? '"' : ''}`;
  }
  return text + key;
}

/** The focus as it is now, however it came there: by a tap, by the page, before the pad was on it. */
const isInLength = (): boolean => document.activeElement?.matches('[data-length]') ?? false;
function listenToFocus(listener: () => void): () => void {
  // a focus that moves on is lost and found in one task
  const later = () => queueMicrotask(listener);
  document.addEventListener('focusin', listener);
  document.addEventListener('focusout', later);
  return () => {
    document.removeEventListener('focusin', listener);
    document.removeEventListener('focusout', later);
  };
}

/** A pad for feet, inches and fractions, or metres, where the device's own keyboard has none of these at hand. */
export default function NumberPad({ system, onClose }: { system: System; onClose: () => void }) {
  const target = useSyncExternalStore(listenToAim, () => aimedAt()?.label ?? null);
  useEffect(withPad, []);
  // it would hide half of a phone: there it comes with a length and goes with it
  const inLength = useSyncExternalStore(listenToFocus, isInLength);
  useEffect(() => {
    // what is typed in must not lie under the pad
    const show = () => isInLength() && document.activeElement?.scrollIntoView({ block: 'center' });
    show();
    document.addEventListener('focusin', show);
    return () => document.removeEventListener('focusin', show);
  }, [inLength]);
  const rows: readonly (readonly Key[])[] = isImperial(system) ? IMPERIAL : METRIC;
  const onKey = (key: Key) => {
    const at = aimedAt();
    if (!at) return;
    if (key === 'next') enterIn(at);
    else {
      const input = document.getElementById(at.id);
      // what was there is replaced by the first key, as it would be by typing over a selection
      const fresh = input instanceof HTMLInputElement && input.dataset['dirty'] !== 'yes' && key !== 'back';
      typeInto(at, (text) => press(fresh ? '' : text, key));
    }
  };
  return (
    <div className={inLength ? 'pad' : 'pad idle'} role="group" aria-label="Number pad">
      <p>
        {target ?? 'Tap a length first'}
        <Button size="small" onClick={onClose}>
          Hide the pad
        </Button>
      </p>
      <div className={system} onPointerDown={(event) => event.preventDefault()}>
        {rows.flat().map((key) => (
          <Button
            key={key}
            variant={key === 'next' ? 'contained' : 'outlined'}
            className={/^\d$/.test(key) ? 'key digit' : 'key'}
            aria-label={WORDS[key]?.[1]}
            onClick={() => onKey(key)}
          >
            {WORDS[key]?.[0] ?? key.replace('/', '⁄')}
          </Button>
        ))}
      </div>
    </div>
  );
}
