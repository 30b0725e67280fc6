import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import type { ReactNode } from 'react';

interface RadiosProps<T extends string> {
  readonly label: string;
  readonly options: readonly (readonly [T, ReactNode])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

/** One of a few, each with what there is to say of it. */
export const Radios = <T extends string>({ label, options, value, onChange }: RadiosProps<T>) => (
  <RadioGroup aria-label={label} value={value} onChange={(_, next) => onChange(next as T)}>
    {options.map(([key, words]) => (
      <FormControlLabel key={key} value={key} control={<Radio />} label={words} />
    ))}
  </RadioGroup>
);
