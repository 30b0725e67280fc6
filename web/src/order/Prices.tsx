import type { PaintLine } from '@kovelin/core/order/paint.ts';
import Dialog from '@mui/material/Dialog';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { useState } from 'react';
import type { JobView } from '../app/job-context.ts';
import { DeskPrices } from './DeskPrices.tsx';
import { ListPrices } from './ListPrices.tsx';

interface Props {
  readonly view: JobView;
  readonly line: PaintLine | null;
  readonly onClose: () => void;
}

/** Prices from a trade counter’s desk or from a list: shown first, taken with their date. */
export default function Prices(props: Props) {
  const [from, setFrom] = useState<'desk' | 'list'>('desk');
  return (
    <Dialog open onClose={props.onClose} aria-labelledby="prices" maxWidth="md">
      <div className="dialog prices">
        <h2 id="prices">Prices</h2>
        <ToggleButtonGroup
          exclusive
          size="small"
          className="sides"
          value={from}
          onChange={(_, next: 'desk' | 'list' | null) => next && setFrom(next)}
          aria-label="Where prices come from"
        >
          <ToggleButton value="desk">Ask the desk</ToggleButton>
          <ToggleButton value="list">From a list</ToggleButton>
        </ToggleButtonGroup>
        {from === 'desk' ? <DeskPrices {...props} /> : <ListPrices {...props} />}
      </div>
    </Dialog>
  );
}
