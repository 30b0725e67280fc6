import Button from '@mui/material/Button';
import { stateOf, type JobRow } from '../store/db.ts';
import { download } from '../store/take-out.ts';

/** Why a record cannot be worked with. */
export const unfitWord = (row: JobRow): string =>
  stateOf(row) === 'newer'
    ? `“${row.name}” was saved by a newer Kovelin. It was left as it is; load the page again to get the newer one.`
    : `What is kept of “${row.name}” is damaged. It was left as it is; your other jobs are not touched.`;

/** Takes a record out as it is, for a backup or for somebody to look at. */
export function ExportAsIs({ row }: { row: JobRow }) {
  return (
    <Button size="small" variant="outlined" onClick={() => download('as-it-is.json', JSON.stringify(row.job, null, 1))}>
      Export what is there
    </Button>
  );
}
