import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';

/** A file that is being read. */
export interface Opening {
  /** null: none is. */
  readonly name: string | null;
  /** How much of it is read, 0 to 1; absent or null: that is not known. */
  readonly share?: number | null;
  readonly cancel: () => void;
}

/** While a file is being read: which one, how far, and a way to stop it. */
export function ReadingBar({ reading: { name, share = null, cancel } }: { reading: Opening }) {
  if (name === null) return null;
  return (
    <div className="row-buttons" role="status">
      <LinearProgress
        aria-label={`Reading ${name}`}
        sx={{ width: 160 }}
        {...(share === null ? {} : { variant: 'determinate' as const, value: 100 * share })}
      />
      <span>
        Reading <bdi>{name}</bdi> …
      </span>
      <Button variant="outlined" onClick={cancel}>
        Cancel
      </Button>
    </div>
  );
}
