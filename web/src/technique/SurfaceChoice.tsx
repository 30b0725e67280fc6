import type { Specified } from '@kovelin/core/specify/specify.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { Choice } from '../ui/Choice.tsx';
import type { WholeView } from '../app/whole.ts';

interface SurfaceChoiceProps {
  readonly view: WholeView;
  /** Everything painted in the room: what the drawing has no place for is chosen here. */
  readonly painted: readonly Specified[];
  readonly specified: Specified;
}
/** Which surface is looked at. */
export function SurfaceChoice({ view, painted, specified }: SurfaceChoiceProps) {
  return (
    <Choice
      label="Surface"
      hideLabel
      value={specified.surface.id}
      options={painted.map(({ surface }) => [surface.id, heading(nameWord(surface.name), view.system)] as const)}
      onChange={view.select}
    />
  );
}
