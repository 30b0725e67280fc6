import { useNavigate } from 'react-router';
import { attempt } from '../app/database.ts';
import type { JobRow } from '../store/db.ts';
import { freshId } from '../store/ids.ts';
import { duplicateJob } from '../store/jobs.ts';
import { ActionMenu, type Action } from '../ui/ActionMenu.tsx';
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
  const actions: readonly Action[] = [
    { word: 'Rename', act: onRename },
    { word: 'Duplicate', act: copy },
    { word: 'Export', act: () => exportJob(row.job) },
    { word: 'Hand over …', act: () => void navigate(`/hand-over/${row.id}`) },
    { word: 'Delete', act: onDelete },
  ];
  return <ActionMenu anchor={anchor} actions={actions} onClose={onClose} />;
}
