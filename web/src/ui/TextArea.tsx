import InputBase from '@mui/material/InputBase';
import { useId } from 'react';
import { Field } from './Field.tsx';

interface TextAreaProps {
  readonly label: string;
  readonly value: string;
  readonly rows: number;
  readonly placeholder?: string;
  readonly onChange: (text: string) => void;
}

/** Several lines as they are pasted or typed. */
export function TextArea({ label, value, rows, placeholder, onChange }: TextAreaProps) {
  const id = useId();
  const attributes = { rows, spellCheck: false };
  return (
    <Field id={id} label={label} className="wide">
      <InputBase
        id={id}
        inputComponent="textarea"
        fullWidth
        value={value}
        placeholder={placeholder}
        onChange={(event) => onChange(event.target.value)}
        slotProps={{ input: attributes }}
      />
    </Field>
  );
}
