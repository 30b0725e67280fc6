import { labelsFor, labelsIn } from '@kovelin/core/job/labels.ts';
import { MOST } from '@kovelin/core/job/limits.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { bad } from '@kovelin/core/units/problem.ts';
import { isGiven } from '@kovelin/core/words/names.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';

interface NameFieldProps {
  readonly room: Room;
  readonly kind: string;
  readonly label: string;
  readonly placeholder: string;
  readonly onName: (label: string) => string | null | undefined;
}

/** What people call it: it is said so everywhere, on papers for a client too. Emptied, it has a label of ours again. */
export function NameField({ room, kind, label, placeholder, onName }: NameFieldProps) {
  const read = readText(MOST.name);
  return (
    <DraftField
      className="called"
      label="Name"
      value={isGiven(label) ? '' : label}
      placeholder={placeholder}
      parse={(text) => {
        const found = read(text);
        return found.ok && found.value !== label && labelsIn(room).has(found.value)
          ? bad(`There is a “${found.value}” in ${room.name} already.`)
          : found;
      }}
      onCommit={(name) => onName(name || (isGiven(label) ? label : labelsFor(room)(kind)))}
    />
  );
}
