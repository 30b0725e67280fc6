import Drawer from '@mui/material/Drawer';
import type { ReactNode } from 'react';

interface SheetProps {
  /** What it is, for who cannot see it. */
  readonly label: string;
  readonly open: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
  readonly className?: string;
}

/** A question or a list that opens from below, within reach of a thumb. */
export const Sheet = ({ label, open, onClose, children, className }: SheetProps) => (
  <Drawer
    anchor="bottom"
    open={open}
    onClose={onClose}
    {...(className === undefined ? {} : { className })}
    slotProps={{ paper: { 'aria-label': label } }}
  >
    {children}
  </Drawer>
);
