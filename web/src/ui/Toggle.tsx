import ToggleButton from '@mui/material/ToggleButton';
import type { ReactNode } from 'react';

interface ToggleProps {
  readonly pressed: boolean;
  readonly onChange: (pressed: boolean) => void;
  readonly children: ReactNode;
  readonly label?: string;
  readonly className?: string;
  readonly disabled?: boolean;
}

/** A button that stays in: what it names is on, or chosen. */
export const Toggle = ({ pressed, onChange, children, label, className, disabled }: ToggleProps) => (
  <ToggleButton
    value="on"
    selected={pressed}
    aria-label={label}
    className={className}
    disabled={disabled}
    onChange={() => onChange(!pressed)}
  >
    {children}
  </ToggleButton>
);
