import Button from '@mui/material/Button';
import type { Reading } from '../workers/files.ts';

/** While a file is being read: which one, and a way to stop it. */
export function ReadingBar({ reading }: { reading: Reading }) {
  if (reading.name === null) return null;
  return (
    <div className="row-buttons" role="status">
      <progress aria-label={`Reading ${reading.name}`} />
      <span>Reading {reading.name} …</span>
      <Button variant="outlined" onClick={reading.cancel}>
        Cancel
      </Button>
    </div>
  );
}
