import type { ReactNode } from 'react';

/** Sentences beside what they are about; `soft` ones are notes, not faults. */
export function Problems({ items, soft }: { items: readonly string[]; soft?: boolean }): ReactNode {
  return items.map((text) => (
    <p key={text} className={soft ? 'problem soft' : 'problem'} role={soft ? 'note' : 'alert'}>
      {text}
    </p>
  ));
}
