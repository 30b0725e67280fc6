import { Link, useLocation } from 'react-router';
import { useSteps } from './step.ts';
import { Window } from '../ui/Window.tsx';
import { Cell, DataTable, Row } from '../ui/DataTable.tsx';

const EVERYWHERE = [
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Alt ↑ ↓', 'Room before, room after'],
  ['Enter', 'Take what is typed and go on to the next wall'],
  ['Esc', 'Take back what is being typed'],
  ['?', 'This list'],
] as const;

/** The shortcut list; loaded when it is first asked for. */
export default function KeysDialog({ onClose }: { onClose: () => void }) {
  const { pathname, search } = useLocation();
  const from = `from=${encodeURIComponent(pathname + search)}`;
  const steps = useSteps().map(({ place, word }) => [`Alt ${place}`, word] as const);
  return (
    <Window title="Keys and guides" onClose={onClose}>
      <DataTable narrow columns={['Key', 'What it does']}>
        {[...steps, ...EVERYWHERE].map(([keys, what]) => (
          <Row key={keys}>
            <Cell>
              <kbd>{keys}</kbd>
            </Cell>
            <Cell>{what}</Cell>
          </Row>
        ))}
      </DataTable>
      <p>
        <Link to={{ pathname: '/help', search: from }}>Guides</Link> ·{' '}
        <Link to={{ pathname: '/help/words', search: from }}>Words of the trade, with pictures</Link>
      </p>
    </Window>
  );
}
