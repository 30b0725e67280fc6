import type { System } from '@kovelin/core/units/si.ts';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState, type ReactNode } from 'react';

interface PaperProps {
  readonly label: string;
  readonly system: System;
  readonly children: ReactNode;
  /** More to press beside Print. */
  readonly tools?: ReactNode;
}

/** A sheet as it will be printed, on the reader's paper. */
export function Paper({ label, system, children, tools }: PaperProps) {
  const [paper, setPaper] = useState<'a4' | 'letter'>(system === 'imperial' ? 'letter' : 'a4');
  return (
    <main className="sheet-view" aria-label={label}>
      <div className="sheet-tools">
        <Button variant="contained" onClick={() => window.print()}>
          Print
        </Button>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={paper}
          onChange={(_, next: 'a4' | 'letter' | null) => next && setPaper(next)}
          aria-label="Paper"
        >
          <ToggleButton value="a4">A4</ToggleButton>
          <ToggleButton value="letter">Letter</ToggleButton>
        </ToggleButtonGroup>
        {tools}
      </div>
      <article className={`sheet ${paper}`}>{children}</article>
    </main>
  );
}
