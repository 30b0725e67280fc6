import { flushSync } from 'react-dom';

/** The length that readings go to: the last length field that had the focus, even while another window has it. */
export interface Target {
  readonly id: string;
  readonly label: string;
}

let target: Target | null = null;
const listeners = new Set<() => void>();

/** A length field took the focus: readings go there from now on. */
export function aim(at: Target): void {
  target = at;
  for (const listener of listeners) listener();
}
/** null when the field is no longer on the page. */
export const aimedAt = (): Target | null => (target && document.getElementById(target.id) ? target : null);
/** Hears when readings go to another field. @returns how to stop. */
export const listenToAim = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

const inputOf = ({ id }: Target): HTMLInputElement | null => {
  const found = document.getElementById(id);
  return found instanceof HTMLInputElement ? found : null;
};
const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value');

/** Types into a field as a keyboard would: its draft, its sentences and its undo are those of typing. */
export function typeInto(at: Target, change: (text: string) => string): void {
  const input = inputOf(at);
  if (!input) return;
  if (document.activeElement !== input) input.focus();
  flushSync(() => {
    write?.set?.call(input, change(input.value));
    input.dispatchEvent(new Event('input', { bubbles: true }));
  });
}

/** Enter in the field: takes what is there and goes on; where the field has nowhere to go, to the next length. */
export function enterIn(at: Target): void {
  const input = inputOf(at);
  if (!input) return;
  flushSync(() => input.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true })));
  if (document.activeElement !== input || input.getAttribute('aria-invalid') === 'true') return;
  const lengths = [...document.querySelectorAll<HTMLInputElement>('input[data-length]')];
  lengths[lengths.indexOf(input) + 1]?.focus();
}

let pads = 0;
/** While a pad is on the page the device's own keyboard stays away. */
export function withPad(): () => void {
  pads++;
  for (const input of document.querySelectorAll<HTMLInputElement>('input[data-length]')) input.inputMode = 'none';
  return () => {
    pads--;
    if (!pads)
      for (const input of document.querySelectorAll<HTMLInputElement>('input[data-length]')) input.inputMode = '';
  };
}
export const hasPad = (): boolean => pads > 0;
