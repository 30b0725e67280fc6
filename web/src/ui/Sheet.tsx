import Box from '@mui/material/Box';
import Drawer from '@mui/material/Drawer';
import type { ReactNode } from 'react';

interface SheetProps {
  /** What it is, for who cannot see it. */
  readonly label: string;
  readonly open: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
  /** A list that goes from edge to edge. */
  readonly plain?: boolean;
}

/** A question or a list that opens from below, within reach of a thumb. */
export const Sheet = ({ label, open, onClose, children, plain = false }: SheetProps) => (
  <Drawer
    anchor="bottom"
    open={open}
    onClose={onClose}
    {...(plain ? { className: 'from-below' } : {})}
    slotProps={{ paper: { 'aria-label': label } }}
  >
    {plain ? (
      children
    ) : (
      <Box sx={{ display: 'grid', gap: '10px', padding: '14px 16px 18px', '& > *': { margin: 0 } }}>{children}</Box>
    )}
  </Drawer>
);
