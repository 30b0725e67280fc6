import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

interface SidesProps<T extends string> {
  readonly label: string;
  readonly words: Readonly<Record<T, string>>;
  readonly value: T;
  readonly onChange: (side: T) => void;
  readonly fullWidth?: boolean;
}

/** One of a few pages about the same thing; one is always shown. */
export function Sides<T extends string>({ label, words, value, onChange, fullWidth = false }: SidesProps<T>) {
  return (
    <ToggleButtonGroup
      exclusive
      fullWidth={fullWidth}
      size="small"
      className="sides"
      value={value}
      onChange={(_, next: T | null) => next && onChange(next)}
      aria-label={label}
    >
      {(Object.keys(words) as T[]).map((key) => (
        <ToggleButton key={key} value={key}>
          {words[key]}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
