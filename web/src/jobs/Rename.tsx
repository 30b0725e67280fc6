import { MOST } from '@kovelin/core/job/limits.ts';
import { attempt } from '../app/database.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';
import { say } from '../app/say.ts';
import type { JobRow } from '../store/db.ts';
import { renameJob } from '../store/jobs.ts';

/** The name of a job, to be typed anew. */
export default function Rename({ row, onDone }: { row: JobRow; onDone: () => void }) {
  return (
    <DraftField
      label="Name"
      hideLabel
      value={row.name}
      parse={readText(MOST.name, 1)}
      onCommit={(name) => {
        onDone();
        void attempt('The job was not renamed', () => renameJob(row, name)).then((refused) => refused && say(refused));
        return null;
      }}
      onEnter={onDone}
    />
  );
}
