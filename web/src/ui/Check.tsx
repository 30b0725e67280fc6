import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { ReactNode } from 'react';

interface CheckProps {
  readonly label: ReactNode;
  readonly checked: boolean;
  readonly onChange: (checked: boolean) => void;
  readonly disabled?: boolean;
  readonly className?: string;
}

/** Something that is so, or is not. */
export const Check = ({ label, checked, onChange, disabled, className = 'check' }: CheckProps) => (
  <FormControlLabel
    className={className}
    label={label}
    disabled={disabled}
    control={<Checkbox checked={checked} onChange={(event) => onChange(event.target.checked)} />}
  />
);
