import { KELVIN, LIGHTS, underLight, type LightName } from '@kovelin/core/specify/lights.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { lrvOf } from '@kovelin/core/specify/colour.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';

const LIGHT_WORDS: Readonly<Record<LightName, string>> = {
  day: 'Day',
  overcast: 'Overcast',
  evening: 'Evening sun',
  lamp: 'Warm lamp',
};

/** This surface's colour, what was on it and the room's others, side by side under four lights. */
export default function OtherLight({ view, s }: { view: WholeView; s: Specified }) {
  const spell = useSpelt();
  const others = view.derived.surfaces.filter((o) => o.surface.room === s.surface.room).map((o) => o.colour);
  const colours = [...new Map([s.colour, ...others].map((c) => [c.id, c])).values()];
  const rows = [...colours.map((c) => ({ ...c })), { id: 'old', name: 'What is on it now', hex: s.survey.colour }];
  return (
    <DataTable
      className="lights"
      columns={[
        spell('Colour'),
        ...LIGHTS.map((light) => (
          <span key={light}>
            {LIGHT_WORDS[light]} <small>{KELVIN[light]} K</small>
          </span>
        )),
      ]}
    >
      {rows.map((c) => (
        <Row key={c.id}>
          <RowHead>
            {c.name} <small>LRV {lrvOf(c.hex).toFixed(0)}</small>
          </RowHead>
          {LIGHTS.map((light) => {
            const seen = underLight(c.hex, light);
            return (
              <Cell key={light} style={{ background: seen }} aria-label={`${c.name}, ${LIGHT_WORDS[light]}: ${seen}`} />
            );
          })}
        </Row>
      ))}
    </DataTable>
  );
}
