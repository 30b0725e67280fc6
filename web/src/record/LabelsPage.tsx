import { labelFor } from '@kovelin/core/exchange/record-contract.ts';
import { LABEL_SHEETS, sheetsFor, type LabelSheet } from '@kovelin/core/exchange/record-pdf.ts';
import { labelGroups } from '@kovelin/core/record/told.ts';
import { jobRecord } from '@kovelin/core/whole/record.ts';
import { bad, good } from '@kovelin/core/units/problem.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { isImperial } from '@kovelin/core/units/si.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import { namesWord } from '@kovelin/core/words/names.ts';
import { useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { PdfButton } from '../app/PdfButton.tsx';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';
import { useLog } from '../app/useLog.ts';
import { useWhole } from '../app/whole.ts';
import { LabelCard } from './LabelCard.tsx';
import { makeLabels } from './make.ts';
import './record.css';
import { Check } from '../ui/Check.tsx';
import { keysOf } from '@kovelin/core/units/list.ts';

/** Labels for cans, and to hide behind a plate: one for all surfaces of a room that bear the same paint. */
export default function LabelsPage() {
  const view = useWhole();
  const { state, system } = view;
  const { job } = state;
  const log = useLog(job.id);
  const [sheet, setSheet] = useState<LabelSheet>(() => sheetsFor(job.region.paper)[0] ?? 'a4-8');
  const [skip, setSkip] = useState(0);
  const [each, setEach] = useState(2);
  const [note, setNote] = useHalfTyped(`${job.id}|labels`, '');
  const [off, setOff] = useState<ReadonlySet<string>>(new Set());
  const record = jobRecord(job, log.entries ?? []);
  const groups = labelGroups(record.surfaces, (own) => labelFor(record, own, note)).map((group) => {
    const walls = heading(namesWord(group.surfaces.map(({ specified }) => specified.surface.name)), system);
    const [first] = group.surfaces;
    const label = first ? { ...labelFor(record, first, note), SURFACE: walls.slice(0, 60) } : group.label;
    return { key: `${group.room} ${first?.id ?? ''}`, label };
  });
  const chosen = groups.filter(({ key }) => !off.has(key));
  const size = LABEL_SHEETS[sheet];
  /** What the packet says, mm. */
  const across = (width: number) => (isImperial(system) ? `${Number((width / 25.4).toFixed(2))} in` : `${width} mm`);
  return (
    <main className="sheet-view labels-page" aria-label="Labels">
      <h1>Labels</h1>
      <div className="sheet-tools">
        <PdfButton
          make={() =>
            makeLabels(
              job,
              chosen.map(({ label }) => label),
              each,
              sheet,
              skip,
            )
          }
        >{`PDF of ${chosen.length * each} labels`}</PdfButton>
        <Choice
          label="Sheet"
          value={sheet}
          options={keysOf(LABEL_SHEETS).map((key) => {
            const { paper, columns, rows, width, height } = LABEL_SHEETS[key];
            return [
              key,
              `${paper === 'a4' ? 'A4' : 'Letter'}, ${columns * rows} of ${across(width)} × ${across(height)}`,
            ] as const;
          })}
          onChange={setSheet}
        />
        <DraftField
          label="Of each"
          value={`${each}`}
          parse={(text) =>
            Number.isInteger(Number(text)) && Number(text) >= 1 && Number(text) <= 20
              ? good(Number(text))
              : bad('1 to 20.')
          }
          onCommit={(n) => (setEach(n), null)}
        />
        <DraftField
          label="Gone from the first sheet"
          value={`${skip}`}
          parse={(text) => {
            const n = Number(text);
            return Number.isInteger(n) && n >= 0 && n < size.columns * size.rows
              ? good(n)
              : bad(`0 to ${size.columns * size.rows - 1}.`);
          }}
          onCommit={(n) => (setSkip(n), null)}
        />
        <DraftField label="Note on all" value={note} parse={readText(120)} onCommit={(text) => (setNote(text), null)} />
      </div>
      <p className="hint">
        One for the {said(THE.can, system)}, one to hide behind a plate. Print at 100 %, not fitted to the page. Any
        phone reads the code as plain words, without Kovelin.
      </p>
      <div className="label-grid">
        {groups.map(({ key, label }) => (
          <div key={key} className={off.has(key) ? 'off' : ''}>
            <Check
              label={`${label.ROOM}: ${label.SURFACE}`}
              checked={!off.has(key)}
              onChange={() => {
                const next = new Set(off);
                if (!next.delete(key)) next.add(key);
                setOff(next);
              }}
            />
            <LabelCard label={label} />
          </div>
        ))}
      </div>
    </main>
  );
}
