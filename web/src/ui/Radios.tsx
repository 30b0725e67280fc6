import FormControlLabel from '@mui/material/FormControlLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import type { ReactNode } from 'react';

interface RadiosProps<T extends string> {
  readonly label: string;
  /** What each is, and what it comes to. */
  readonly options: readonly (readonly [key: T, words: ReactNode, figure?: ReactNode])[];
  readonly value: T;
  readonly onChange: (value: T) => void;
}

/** One of a few, each with what there is to say of it. */
export const Radios = <T extends string>({ label, options, value, onChange }: RadiosProps<T>) => (
  <RadioGroup aria-label={label} value={value} onChange={(_, next) => onChange(next as T)}>
    {options.map(([key, words, figure]) => (
      <FormControlLabel
        key={key}
        value={key}
        control={<Radio />}
        label={
          <>
            {words} {figure && <b>{figure}</b>}
          </>
        }
      />
    ))}
  </RadioGroup>
);
