import { rows } from '@kovelin/core/job/table.ts';
import { DEFECT_STATES, type Defect, type DefectState } from '@kovelin/core/job/recorded.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { DEFECT, DEFECT_STATE, REMEDY } from '@kovelin/core/words/found.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { Check } from '../ui/Check.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import type { WholeView } from '../app/whole.ts';
import { Cell, DataTable, Row } from '../ui/DataTable.tsx';

interface DefectListProps {
  readonly view: WholeView;
  readonly chosen: string | null;
  readonly onChoose: (id: string) => void;
}
/** A defect’s number is its place on the list of the job. */
export const numbered = (view: WholeView): readonly { readonly n: number; readonly defect: Defect }[] =>
  rows(view.state.shown.defects).map((defect, i) => ({ n: i + 1, defect }));

/** What was found, by room, state and person. */
export function DefectList({ view, chosen, onChoose }: DefectListProps) {
  const { system, takeoff, derived, state } = view;
  const [shown, setShown] = useState<DefectState | 'all'>('all');
  const [who, setWho] = useState('');
  const [all, setAll] = useState(false);
  const roomOf = (surface: string) => derived.surfaces.find((s) => s.surface.id === surface)?.surface.room ?? null;
  const people = [...new Set(rows(state.shown.defects).map(({ by }) => by))].filter(Boolean);
  const list = numbered(view).filter(
    ({ defect }) =>
      (shown === 'all' || defect.state === shown) &&
      (!who || defect.by === who) &&
      (all || roomOf(defect.surface) === takeoff?.room.id),
  );
  return (
    <div className="table-wrap">
      <div className="list-tools">
        <Choice
          label="State"
          value={shown}
          options={[['all', 'all'], ...DEFECT_STATES.map((one) => [one, said(DEFECT_STATE[one], system)] as const)]}
          onChange={setShown}
        />
        {people.length > 1 && (
          <Choice
            label="Seen by"
            value={who}
            options={[['', 'anybody'], ...people.map((one) => [one, one] as const)]}
            onChange={setWho}
          />
        )}
        <Check label="all rooms" checked={all} onChange={(isOn) => setAll(isOn)} />
      </div>
      {list.length === 0 ? (
        <p className="hint">
          {rows(state.shown.defects).length
            ? 'None of these here.'
            : 'Nothing found yet. Press “Pin a defect”, then the place on the wall.'}
        </p>
      ) : (
        <DataTable
          label="Defects"
          className="defect-table"
          columns={['No.', 'Where', 'What', 'Seen by', 'What is done', 'State']}
        >
          {list.map(({ n, defect }) => {
            const s = derived.surfaces.find((one) => one.surface.id === defect.surface);
            const room = state.shown.rooms.byId[s?.surface.room ?? '']?.name;
            const name = s ? heading(nameWord(s.surface.name), system) : 'no longer there';
            return (
              <Row key={defect.id} selected={chosen === defect.id}>
                <Cell className="n" label="No.">
                  {n}
                </Cell>
                <Cell label="Where">
                  <TextButton onClick={() => onChoose(defect.id)}>{all && room ? `${room}, ${name}` : name}</TextButton>
                </Cell>
                <Cell label="What">{said(DEFECT[defect.kind].name, system)}</Cell>
                <Cell label="Seen by">{defect.by || '–'}</Cell>
                <Cell label="What is done">
                  {defect.remedy ? said(REMEDY[defect.remedy].name, system) : 'nothing yet'}
                </Cell>
                <Cell label="State" className={`state-${defect.state}`}>
                  {defect.state === 'mended' ? '✓ ' : ''}
                  {said(DEFECT_STATE[defect.state], system)}
                </Cell>
              </Row>
            );
          })}
        </DataTable>
      )}
    </div>
  );
}
