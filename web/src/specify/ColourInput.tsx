import { useState } from 'react';
import { useTyped } from '../app/typed.ts';
import { ColourWell } from '../ui/ColourWell.tsx';

/** The browser's colour picker; a pick is taken when it closes. */
export function ColourInput({ label, value, onPick }: { label: string; value: string; onPick: (hex: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  const take = () => {
    if (draft && draft !== value) onPick(draft);
    setDraft(null);
  };
  useTyped(draft !== null, () => (take(), true));
  return <ColourWell label={label} value={draft ?? value} onChange={setDraft} onLeave={take} />;
}
