import InputBase from '@mui/material/InputBase';
import { type KeyboardEvent, useId } from 'react';
import { Field, problemId } from './Field.tsx';

interface TextInputProps {
  readonly label: string;
  readonly hideLabel?: boolean;
  readonly value: string;
  readonly onChange: (text: string) => void;
  readonly onKeyDown?: (event: KeyboardEvent) => void;
  readonly placeholder?: string;
  readonly maxLength?: number;
  readonly type?: 'text' | 'search';
  /** Several lines. */
  readonly rows?: number;
  readonly problem?: string | null;
  readonly className?: string;
}

/** A text that is looked for, or kept until something is pressed; what an edit is made of as it is typed is a `DraftField`. */
export function TextInput(props: TextInputProps) {
  const { label, hideLabel, value, onChange, onKeyDown, placeholder, type, rows, problem, className } = props;
  const id = useId();
  const attributes = {
    rows,
    maxLength: props.maxLength,
    spellCheck: false,
    'aria-label': hideLabel ? label : undefined,
    'aria-describedby': problem ? problemId(id) : undefined,
  };
  return (
    <Field id={id} label={hideLabel ? null : label} problem={problem} className={className}>
      <InputBase
        {...(rows ? { inputComponent: 'textarea' } : {})}
        id={id}
        type={type}
        fullWidth
        autoComplete="off"
        value={value}
        placeholder={placeholder}
        error={Boolean(problem)}
        onChange={(event) => onChange(event.target.value)}
        onKeyDown={onKeyDown}
        slotProps={{ input: attributes }}
      />
    </Field>
  );
}
