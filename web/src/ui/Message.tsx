import Alert from '@mui/material/Alert';
import type { ReactNode } from 'react';

/** What there is to say beside the work, each kind with a mark of its own. */
const KINDS = {
  wrong: { severity: 'error', role: 'alert', mark: '!' },
  // it stands there from the beginning, and interrupts nobody
  caution: { severity: 'error', role: 'note', mark: '!' },
  note: { severity: 'info', role: 'note', mark: 'Note:' },
  doing: { severity: 'success', role: 'status', mark: '…' },
  done: { severity: 'success', role: 'status', mark: '✓' },
} as const;

interface MessageProps {
  readonly kind: keyof typeof KINDS;
  readonly children: ReactNode;
  readonly id?: string;
  /** What can be done about it. */
  readonly action?: ReactNode;
}

export function Message({ kind, children, id, action }: MessageProps) {
  const { severity, role, mark } = KINDS[kind];
  return (
    <Alert id={id} severity={severity} role={role} icon={mark} action={action}>
      {children}
    </Alert>
  );
}
