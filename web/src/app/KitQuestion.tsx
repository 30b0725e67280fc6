import { KIT, materialKey } from '@kovelin/core/order/kit.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import type { ReactNode } from 'react';

/** Of each, for whoever has all of it: more than any crew carries about. */
const ENOUGH = 10;
export const ALL_OF_THE_KIT: Readonly<Record<string, number>> = Object.fromEntries(
  KIT.map(({ item, size }) => [materialKey(item, size), ENOUGH]),
);

/** How much of the kit is owned, in words. */
export function ownedWords(owned: Readonly<Record<string, number>>): string {
  const pieces = KIT.map(({ item, size }) => owned[materialKey(item, size)] ?? 0);
  const sum = pieces.reduce((a, b) => a + b, 0);
  if (pieces.every((n) => n > 0)) return 'all of it';
  return sum ? `${sum} ${sum === 1 ? 'piece' : 'pieces'}` : 'not said yet';
}

interface KitQuestionProps {
  readonly system: System;
  readonly onAll: () => void;
  /** Nothing is owned: it is not asked again. */
  readonly onNone: () => void;
  /** What leads to the list. */
  readonly tick: ReactNode;
}
/** Asked once of those who paint for others: no quote of theirs sells what they own. */
export const KitQuestion = ({ system, onAll, onNone, tick }: KitQuestionProps) => (
  <fieldset className="kit-question">
    <legend>{`Do you have rollers, trays, ${said(THE.dropCloth, system)}s, a pole?`}</legend>
    <Button variant="outlined" onClick={onAll}>
      Yes, all
    </Button>
    {tick}
    <Button onClick={onNone}>No, none of it</Button>
  </fieldset>
);
