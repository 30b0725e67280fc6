import InputBase from '@mui/material/InputBase';
import { useId } from 'react';
import { Field } from './Field.tsx';

interface ColourWellProps {
  readonly label: string;
  /** `#rrggbb`. */
  readonly value: string;
  readonly onChange: (hex: string) => void;
  readonly onLeave?: () => void;
}

/** A colour by eye, in the browser's own picker. */
export function ColourWell({ label, value, onChange, onLeave }: ColourWellProps) {
  const id = useId();
  return (
    <Field id={id} label={label}>
      <InputBase
        id={id}
        type="color"
        value={value}
        onChange={(event) => onChange(event.target.value)}
        onBlur={onLeave}
        sx={{ width: 56, '& input': { padding: '2px', height: 31 } }}
      />
    </Field>
  );
}
