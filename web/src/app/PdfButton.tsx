import Button from '@mui/material/Button';
import { useState } from 'react';

/** Makes a PDF, and says so meanwhile. */
export function PdfButton({
  make,
  children = 'PDF',
}: {
  readonly make: () => Promise<unknown>;
  readonly children?: string;
}) {
  const [busy, setBusy] = useState(false);
  const press = async (): Promise<void> => {
    setBusy(true);
    await make();
    setBusy(false);
  };
  return (
    <Button variant="outlined" disabled={busy} onClick={() => void press()}>
      {busy ? 'Making it …' : children}
    </Button>
  );
}
