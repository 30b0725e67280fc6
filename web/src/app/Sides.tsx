interface SidesProps<T extends string | number> {
  readonly label: string;
  readonly sides: readonly (readonly [T, string])[];
  readonly value: T;
  readonly onChange: (side: T) => void;
  readonly fullWidth?: boolean;
}

/** One of a few pages about the same thing; one is always shown. */
export function Sides<T extends string | number>({ label, sides, value, onChange, fullWidth = false }: SidesProps<T>) {
  return (
    <div role="group" aria-label={label} className={fullWidth ? 'sides full' : 'sides'}>
      {sides.map(([key, words]) => (
        <button key={key} type="button" aria-pressed={key === value} onClick={() => onChange(key)}>
          {words}
        </button>
      ))}
    </div>
  );
}
