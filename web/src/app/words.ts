import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { surfaceWord } from '@kovelin/core/specify/terms.ts';
import type { System } from '@kovelin/core/units/si.ts';

/** The reader's words: those of systems and materials are the core's, for files say them too. */
export * from '@kovelin/core/order/terms.ts';
export * from '@kovelin/core/specify/terms.ts';

/** “Cut in wall A, coat 2”. */
export function taskWord(task: Pick<TaskView, 'kind' | 'coat' | 'surfaceName'>, system: System): string {
  const name =
    task.surfaceName === null ? '' : surfaceWord(task.surfaceName, system).replace(/^./, (c) => c.toLowerCase());
  const coat = task.coat ? `, coat ${task.coat}` : '';
  const words: Record<TaskView['kind'], string> = {
    protect: 'Cover the floor and furniture',
    prep: `Prepare ${name}`,
    prime: `Prime ${name}`,
    cut: `Cut in ${name}${coat}`,
    roll: `Roll ${name}${coat}`,
    brush: `Paint ${name}${coat}`,
    mask: 'Mask',
    unmask: 'Pull the masking',
    clear: 'Uncover and clear',
  };
  return words[task.kind];
}
