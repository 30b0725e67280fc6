import { entriesOf } from '@kovelin/core/units/list.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { bad, good } from '@kovelin/core/units/problem.ts';
import { DEFAULT_GROUPS, DEFAULT_KEYS, DEFAULTS, setting, type DefaultGroup } from '@kovelin/core/job/defaults.ts';
import { within } from '@kovelin/core/job/limits.ts';
import { FOOT, GALLON, SQUARE_FOOT, isImperial, type Units } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { STARTING } from '@kovelin/core/words/defaults.ts';
import { useState } from 'react';
import { DraftField } from '../ui/DraftField.tsx';
import { Choice } from '../ui/Choice.tsx';
import type { WholeView } from '../app/whole.ts';
import { Window } from '../ui/Window.tsx';

/** The reader's units for those the core counts in: name and how many of the core's it is. */
const UNITS: Readonly<Record<Units, Readonly<Record<string, readonly [string, number]>>>> = {
  imperial: {
    m: ['ft', FOOT],
    m2: ['ft²', SQUARE_FOOT],
    L: ['gal', GALLON],
    'm/min': ['ft/min', FOOT],
    'm2/min': ['ft²/min', SQUARE_FOOT],
    minor: ['each', 100],
  },
  metric: { m2: ['m²', 1], 'm2/min': ['m²/min', 1], minor: ['each', 100] },
};
/** To two figures, towards the inside. */
function round(value: number, to: (value: number) => number): string {
  const step = value === 0 ? 1 : 10 ** (Math.floor(Math.log10(value)) - 1);
  return String(Number((to(value / step) * step).toPrecision(2)));
}
const short = (value: number) => String(Number(value.toPrecision(4)));

/** Every starting value an order is made with, its origin beside it; what is changed here counts for this job. */
export default function StartingValues({ view, onClose }: { view: WholeView; onClose: () => void }) {
  const { session, state, system } = view;
  const [group, setGroup] = useState<DefaultGroup>('minutes');
  const keys = DEFAULT_KEYS.filter((key) => DEFAULTS[key].group === group);
  return (
    <Window title="Starting values" onClose={onClose} maxWidth="md" className="prices">
      <p className="hint">
        Nobody measured these on your walls: they are starting values. Put your own in; an empty field goes back to the
        starting value.
      </p>
      <Choice label="Which values" options={entriesOf(DEFAULT_GROUPS)} value={group} onChange={setGroup} />
      <div className="scroll prices-list" tabIndex={0} role="region" aria-label="Values">
        <DataTable columns={['What', 'Value', 'Unit']}>
          {keys.map((key) => {
            const { unit, origin, ends } = DEFAULTS[key];
            const what = said(STARTING[key], system);
            const [name, per] = UNITS[isImperial(system) ? 'imperial' : 'metric'][unit] ?? [unit, 1];
            const own = key in state.shown.settings;
            return (
              <Row key={key} selected={own}>
                <RowHead>
                  {what}
                  <small>{own ? 'yours' : origin}</small>
                </RowHead>
                <Cell>
                  <DraftField
                    hideLabel
                    label={what}
                    value={short(setting(state.shown, key) / per)}
                    parse={(text) => {
                      if (!text.trim()) return good(null);
                      const value = Number(text.replace(',', '.')) * per;
                      return within(value, ends)
                        ? good(value)
                        : bad(
                            `From ${round(ends[0] / per, Math.ceil)} to ${round(ends[1] / per, Math.floor)} ${unit === 'minor' ? state.shown.currency : name} is accepted.`,
                          );
                    }}
                    onCommit={(value) => session.edit({ name: 'setSetting', args: { key, value } })}
                  />
                </Cell>
                <Cell>{unit === 'minor' ? `${state.shown.currency} each` : name}</Cell>
              </Row>
            );
          })}
        </DataTable>
      </div>
    </Window>
  );
}
