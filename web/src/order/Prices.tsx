import type { PaintLine } from '@kovelin/core/order/paint.ts';
import { useState } from 'react';
import type { WholeView } from '../app/whole.ts';
import { Sides } from '../ui/Sides.tsx';
import { DeskPrices } from './DeskPrices.tsx';
import { ListPrices } from './ListPrices.tsx';
import { Window } from '../ui/Window.tsx';

const FROM = [
  ['list', 'From a list'],
  ['desk', 'Demonstration: a made-up desk'],
] as const;

interface Props {
  readonly view: WholeView;
  readonly line: PaintLine | null;
  readonly onClose: () => void;
}

/** Prices from a trade counter’s desk or from a list: shown first, taken with their date. */
export default function Prices(props: Props) {
  const [from, setFrom] = useState<(typeof FROM)[number][0]>('list');
  return (
    <Window title="Prices" onClose={props.onClose} maxWidth="md" className="prices" actions={null}>
      <Sides label="Where prices come from" sides={FROM} value={from} onChange={setFrom} />
      {from === 'desk' ? <DeskPrices {...props} /> : <ListPrices {...props} />}
    </Window>
  );
}
