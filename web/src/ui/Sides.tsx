import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';

interface SidesProps<T extends string | number> {
  readonly label: string;
  readonly sides: readonly (readonly [T, string])[];
  /** null: none is chosen yet. */
  readonly value: T | null;
  readonly onChange: (side: T) => void;
  readonly fullWidth?: boolean;
}

/** One of a few pages about the same thing; one is always shown. */
export function Sides<T extends string | number>({ label, sides, value, onChange, fullWidth = false }: SidesProps<T>) {
  return (
    <ToggleButtonGroup
      exclusive
      aria-label={label}
      className={fullWidth ? 'sides full' : 'sides'}
      fullWidth={fullWidth}
      value={value}
      // what is pressed again says null, and stays
      onChange={(_, side: T | null) => side !== null && onChange(side)}
    >
      {sides.map(([key, words]) => (
        <ToggleButton key={key} value={key}>
          {words}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  );
}
