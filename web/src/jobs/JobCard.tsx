import { rows } from '@kovelin/core/job/table.ts';
import { takeoffJob } from '@kovelin/core/measure/takeoff.ts';
import { systemOf } from '@kovelin/core/job/region.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { wantedNext } from '@kovelin/core/whole/next.ts';
import Button from '@mui/material/Button';
import { lazy, Suspense, useState } from 'react';
import { Link } from 'react-router';
import { momentText } from '../app/moment.ts';
import { PlanShape } from '../drawing/PlanShape.tsx';
import type { JobRow } from '../store/db.ts';

const JobMenu = lazy(() => import('./JobMenu.tsx'));
const Rename = lazy(() => import('./Rename.tsx'));

/** A job by the plans of its rooms. */
export default function JobCard({ row, onDelete }: { row: JobRow; onDelete: () => void }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  const [naming, setNaming] = useState(false);
  const takeoffs = takeoffJob(row.job);
  const next = wantedNext('measure', { job: row.job, takeoffs, assumed: null, plan: null, prices: null });
  const there = new URLSearchParams(next.room ? { room: next.room } : {}).toString();
  return (
    <li className="job-card">
      <Link to={`/job/${row.id}/measure`} className="job-plans" aria-label={`Open ${row.name}`}>
        {takeoffs.slice(0, 6).map((t) => (
          <PlanShape key={t.room.id} corners={t.corners} size={64} />
        ))}
      </Link>
      {naming ? (
        <Suspense fallback={<h2>{row.name}</h2>}>
          <Rename row={row} onDone={() => setNaming(false)} />
        </Suspense>
      ) : (
        <h2>
          <Link to={`/job/${row.id}/measure`}>{row.name}</Link>
        </h2>
      )}
      <p>
        {rows(row.job.rooms)
          .map((r) => r.name)
          .join(', ') || 'no rooms'}
        <br />
        {formatArea(
          takeoffs.flatMap((t) => t.surfaces).reduce((sum, s) => sum + s.area.value, 0),
          row.job.units,
        )}{' '}
        to paint
        <br />
        <small>saved {momentText(row.updated, row.job.region.dates)}</small>
      </p>
      <p className="job-next">
        <b>Next</b> <Link to={`/job/${row.id}/${next.step}?${there}`}>{said(next.say, systemOf(row.job))}</Link>
      </p>
      <Button
        size="small"
        variant="outlined"
        aria-haspopup="menu"
        onClick={(event) => setAnchor(event.currentTarget)}
        aria-label={`More for ${row.name}`}
      >
        More
      </Button>
      {anchor && (
        <Suspense fallback={null}>
          <JobMenu
            row={row}
            anchor={anchor}
            onClose={() => setAnchor(null)}
            onRename={() => setNaming(true)}
            onDelete={onDelete}
          />
        </Suspense>
      )}
    </li>
  );
}
