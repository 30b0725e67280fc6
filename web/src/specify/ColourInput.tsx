import { useState } from 'react';
import { useTyped } from '../app/typed.ts';

/** The browser's colour picker; a pick is taken when it closes. */
export function ColourInput({ label, value, onPick }: { label: string; value: string; onPick: (hex: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const take = () => {
    if (draft && draft !== value) onPick(draft);
    setDraft(null);
  };
  useTyped(draft !== null, () => (take(), true));
  return (
    <label className="field">
      <span>{label}</span>
      <input type="color" value={draft ?? value} onChange={(event) => setDraft(event.target.value)} onBlur={take} />
    </label>
  );
}
