import type { PaperSize } from '@kovelin/core/job/region.ts';
import Button from '@mui/material/Button';
import { useState, type ReactNode } from 'react';
import { Sides } from '../ui/Sides.tsx';

const PAPERS = [
  ['a4', 'A4'],
  ['letter', 'Letter'],
] as const;

interface PaperProps {
  readonly label: string;
  /** The region's. */
  readonly size: PaperSize;
  readonly children: ReactNode;
  /** More to press beside Print. */
  readonly tools?: ReactNode;
}

/** A sheet as it will be printed, on the reader's paper. */
export function Paper({ label, size, children, tools }: PaperProps) {
  const [paper, setPaper] = useState(size);
  return (
    <main className="sheet-view" aria-label={label}>
      <div className="sheet-tools">
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <Sides label="Paper" sides={PAPERS} value={paper} onChange={setPaper} />
        {tools}
      </div>
      <article className={`sheet ${paper}`}>{children}</article>
    </main>
  );
}
