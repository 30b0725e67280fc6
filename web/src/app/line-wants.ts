import { lineSentence } from '@kovelin/core/lines/say.ts';
import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { said } from '@kovelin/core/units/word.ts';
import type { WholeView } from './whole.ts';

/** What each line wants, where its last coat is cut: by task. */
export function lineWants({ derived, system }: WholeView, tasks: readonly TaskView[]): ReadonlyMap<string, string[]> {
  const sentences = new Map<string, string>();
  for (const { takeoff, made: room } of derived.lines)
    for (const made of room.lines)
      // what is cut by hand to something that stays as it is needs no telling
      if (made.line.sides[made.chosen.first].s || made.chosen.method !== 'freehand')
        sentences.set(made.line.id, said(lineSentence(made, takeoff), system));
  const last = new Map<string, string>();
  for (const { id, line, surface, kind } of derived.operations)
    if (line !== null && (kind === 'cut' || kind === 'trim-edge')) last.set(`${line} ${surface}`, id);
  const finals = new Map([...last].map(([key, id]) => [id, sentences.get(key.split(' ')[0] ?? '') ?? '']));
  return new Map(
    tasks.map((task) => [task.id, [...new Set(task.operations.flatMap((id) => finals.get(id) || []))]] as const),
  );
}
