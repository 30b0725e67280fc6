import type { Leftover } from '@kovelin/core/job/recorded.ts';
import { leftName } from '@kovelin/core/record/leftovers.ts';
import { today } from '@kovelin/core/units/date.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { formatVolume, parseVolume } from '@kovelin/core/units/quantities.ts';
import { isImperial } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { Recording } from './shared.ts';
import { Cell, DataTable, Row } from '../ui/DataTable.tsx';

/** What is left of each paint of the job, and where it stands. */
export function Leftovers({ view, record }: Recording) {
  const spell = useSpelt();
  const { session, system, state, derived } = view;
  const { job } = state;
  const left = new Map(record.left.map((own) => [own.key, own]));
  const lines = [
    ...derived.paints.map(({ key, colour, ...line }) => ({
      key,
      hex: colour?.hex,
      name: said(paintWord({ colour, ...line }), system),
    })),
    // of a paint that this job does not lay
    ...record.left
      .filter(({ key }) => derived.paints.every((line) => line.key !== key))
      .map(({ key }) => ({ key, hex: job.colours[key.split('|')[2] ?? '']?.hex, name: leftName(job, key) })),
  ];
  const set = (key: string, change: Partial<Leftover>): string | null => {
    const before = job.leftovers[key] ?? { where: '', litres: null, date: today() };
    const leftover = { ...before, ...change, date: today() };
    return session.run({ name: 'setLeftover', args: { key, leftover } }) ? null : 'not taken';
  };
  return (
    <div className="table-wrap">
      <h3>What is left, and where it stands</h3>
      <DataTable
        label="Leftovers"
        className="left-table"
        columns={['Paint', 'Left', 'Where it stands', 'Batch', 'Since']}
      >
        {lines.map((line) => {
          const own = left.get(line.key);
          const noted = job.leftovers[line.key];
          return (
            <Row key={line.key}>
              <Cell label="Paint">
                {line.hex && <span className="chip" style={{ background: line.hex }} />}
                {line.name}
              </Cell>
              <Cell label="Left">
                <DraftField
                  label={`Left of ${line.name}`}
                  hideLabel
                  value={own ? formatVolume(own.litres, system) : ''}
                  placeholder="not looked"
                  parse={(text) =>
                    parseVolume(/[a-z]/i.test(text) ? text : `${text} ${isImperial(system) ? 'qt' : 'L'}`)
                  }
                  onCommit={(litres) => set(line.key, { litres })}
                />
              </Cell>
              <Cell label="Where it stands">
                <DraftField
                  label={`Where ${line.name} stands`}
                  hideLabel
                  value={noted?.where ?? ''}
                  placeholder="cellar, second shelf"
                  parse={readText(200)}
                  onCommit={(where) => set(line.key, { where })}
                />
              </Cell>
              <Cell label="Batch">{own?.batches.join(', ') || '–'}</Cell>
              <Cell label="Since">{noted ? dayText(noted.date, job.region.dates) : own ? 'the log' : '–'}</Cell>
            </Row>
          );
        })}
      </DataTable>
      <p className="hint">
        {spell(
          'Litres come from the log when somebody dipped them there; what is typed here counts instead. What is left over all jobs is found under “Find paint”.',
        )}
      </p>
    </div>
  );
}
