import { alike, differences } from '@kovelin/core/specify/alike.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import { orphans } from '@kovelin/core/specify/specify.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { brushWord, coatsWord, coverWord, MEMBER_WORDS, primerWord } from '@kovelin/core/words/systems.ts';
import { SHEEN, THE } from '@kovelin/core/words/terms.ts';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useSpelt } from '../app/useSpelt.ts';
import { exportSchedule } from '../store/take-out.ts';
import type { SystemValues } from '@kovelin/core/job/paints.ts';
import type { WholeView } from '../app/whole.ts';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { useAssumed } from '../workers/whole.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';

/** Surface by surface: the finish schedule of the room. */
export function FinishSchedule({ view }: { view: WholeView }) {
  const spell = useSpelt();
  const { takeoff, derived, system, surface, select } = view;
  const [together, setTogether] = useState(false);
  const all = derived.surfaces.filter((s) => s.surface.room === takeoff?.room.id);
  const groups = together ? alike(all) : all.map((s) => [s]);
  const here = all.find((s) => s.surface.id === surface?.id);
  const gone = orphans(view.state.shown);
  const { data: assumed } = useAssumed(view.state.job);
  return (
    <div className="entry-panel">
      <div className="panel-head">
        <h2>Finish schedule</h2>
        <Check label="same systems together" checked={together} onChange={(isOn) => setTogether(isOn)} />
        <Link to={`../schedule${useLocation().search}`} relative="path">
          To print
        </Link>
        <Button size="small" onClick={() => void exportSchedule(view.state.job, derived.surfaces)}>
          As CSV
        </Button>
        {gone.length > 0 && (
          <span className="hint">
            {gone.length} {gone.length === 1 ? 'surface is' : 'surfaces are'} gone from the measurements; what was
            decided for {gone.length === 1 ? 'it' : 'them'} is kept.
          </span>
        )}
      </div>
      <div className="scroll" tabIndex={0} role="region" aria-label="Finish schedule of the room">
        <DataTable
          className="finishes"
          columns={[
            'Surface',
            'Area',
            spell('Paint and colour'),
            'Sheen',
            'Primer',
            'Coats',
            heading(THE.cover, system),
            'Brush',
          ]}
        >
          {groups.flatMap((group) =>
            group.slice(0, 1).map((s) => (
              <Row key={s.surface.id} selected={group.some((g) => g.surface.id === surface?.id)}>
                <RowHead>
                  {group.map((g) => (
                    <TextButton key={g.surface.id} onClick={() => select(g.surface.id)}>
                      {heading(nameWord(g.surface.name), system)}
                    </TextButton>
                  ))}
                  {here &&
                    !group.includes(here) &&
                    differences(here, s).length > 0 &&
                    differences(here, s).length < 4 && (
                      <small>
                        differs from {said(nameWord(here.surface.name), system)} in{' '}
                        {differences(here, s)
                          .map((member) =>
                            member === 'colour' ? spell('the colour') : said(MEMBER_WORDS[member], system),
                          )
                          .join(', ')}
                      </small>
                    )}
                  <Assumed members={assumed?.members[s.surface.id] ?? []} system={system} />
                </RowHead>
                <Cell label="Area" className="number">
                  {formatArea(
                    group.reduce((sum, g) => sum + g.surface.area.value, 0),
                    system,
                  )}
                </Cell>
                <Cell label={spell('Paint and colour')}>
                  <span className="chip" style={{ background: s.colour.hex }} /> <bdi>{s.product.name}</bdi>,{' '}
                  <bdi>{s.colour.name}</bdi>
                </Cell>
                <Cell label="Sheen">{heading(SHEEN[s.sheen], system)}</Cell>
                <Cell label="Primer">{heading(primerWord(effective(s.system.primer)), system)}</Cell>
                <Cell label="Coats">{said(coatsWord(effective(s.system.coats)), system)}</Cell>
                <Cell label={heading(THE.cover, system)}>{said(coverWord(effective(s.system.cover)), system)}</Cell>
                <Cell label="Brush">{said(brushWord(effective(s.system.brush)), system)}</Cell>
              </Row>
            )),
          )}
        </DataTable>
      </div>
    </div>
  );
}

/** What of a row rests on answers that nobody gave. */
function Assumed({ members, system }: { members: readonly (keyof SystemValues)[]; system: WholeView['system'] }) {
  if (!members.length) return null;
  return (
    <small className="assumed-of">
      <i>assumed:</i> {members.map((member) => said(MEMBER_WORDS[member], system)).join(', ')}
    </small>
  );
}
