import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useNavigate } from 'react-router';
import { attempt } from '../app/database.ts';
import type { JobRow } from '../store/db.ts';
import { freshId } from '../store/ids.ts';
import { duplicateJob } from '../store/jobs.ts';
import { exportJob } from '../store/take-out.ts';

interface Props {
  readonly row: JobRow;
  readonly anchor: HTMLElement;
  readonly onClose: () => void;
  readonly onRename: () => void;
  readonly onDelete: () => void;
}

/** What else can be done with a job; fetched when it is asked for. */
export default function JobMenu({ row, anchor, onClose, onRename, onDelete }: Props) {
  const navigate = useNavigate();
  const copy = () => void attempt(`${row.name} was not copied`, () => duplicateJob(row, freshId()));
  const actions: readonly (readonly [string, () => void])[] = [
    ['Rename', onRename],
    ['Duplicate', copy],
    ['Export', () => exportJob(row.job)],
    ['Hand over …', () => void navigate(`/hand-over/${row.id}`)],
    ['Delete', onDelete],
  ];
  return (
    <Menu anchorEl={anchor} open onClose={onClose}>
      {actions.map(([word, act]) => (
        <MenuItem
          key={word}
          onClick={() => {
            onClose();
            act();
          }}
        >
          {word}
        </MenuItem>
      ))}
    </Menu>
  );
}
