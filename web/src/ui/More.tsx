import ExpandMore from '@mui/icons-material/ExpandMore';
import Accordion from '@mui/material/Accordion';
import AccordionDetails from '@mui/material/AccordionDetails';
import AccordionSummary from '@mui/material/AccordionSummary';
import type { ReactNode } from 'react';

interface MoreProps {
  readonly title: ReactNode;
  readonly children: ReactNode;
  /** Absent: it opens by its own name alone. */
  readonly open?: boolean;
  readonly onOpen?: (open: boolean) => void;
}

/** What few need: its name, and a press away what stands under it. */
export const More = ({ title, children, open, onOpen }: MoreProps) => (
  <Accordion {...(open === undefined ? {} : { expanded: open, onChange: (_, isOpen) => onOpen?.(isOpen) })}>
    <AccordionSummary expandIcon={<ExpandMore />}>{title}</AccordionSummary>
    <AccordionDetails>{children}</AccordionDetails>
  </Accordion>
);
