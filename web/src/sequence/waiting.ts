import { inOrder, phrase, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { isWaiting } from '@kovelin/core/work/operations.ts';
import type { WholeView } from '../app/whole.ts';

/** Damp and fresh surfaces, which are not in the plan: “wall B in Loft bedroom”; empty: none. */
export function waitingWords({ derived, state, system }: WholeView): string {
  const waiting = derived.surfaces.filter(isWaiting);
  const words = waiting.map(
    ({ surface }) => phrase`${nameWord(surface.name)} in ${state.job.rooms.byId[surface.room]?.name ?? ''}`,
  );
  return said(inOrder(words, '; '), system);
}
