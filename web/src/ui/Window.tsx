import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import useMediaQuery from '@mui/material/useMediaQuery';
import { type ReactNode, useId } from 'react';
import { PHONE } from './theme.ts';

interface WindowProps {
  readonly title: ReactNode;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** What is pressed at its end, the thing to do first; absent: it is closed; null: its content has them. */
  readonly actions?: ReactNode;
  readonly maxWidth?: 'sm' | 'md' | 'lg';
  readonly className?: string;
}

/** What opens over the page: its title, what there is to do, and what ends it; on a phone it is the page. */
export function Window({ title, onClose, children, actions, maxWidth = 'sm', className = '' }: WindowProps) {
  const close = (
    <Button variant="contained" onClick={onClose}>
      Close
    </Button>
  );
  const id = useId();
  const phone = useMediaQuery(PHONE, { noSsr: true });
  return (
    <Dialog open onClose={onClose} aria-labelledby={id} maxWidth={maxWidth} fullWidth fullScreen={phone}>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent className={className}>{children}</DialogContent>
      {actions !== null && <DialogActions>{actions ?? close}</DialogActions>}
    </Dialog>
  );
}
