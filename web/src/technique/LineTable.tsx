import { LINE_METHODS, type LineKind } from '@kovelin/core/job/vocabulary.ts';
import type { MadeLine, RoomLines } from '@kovelin/core/lines/lines.ts';
import { sidesWord, sideWord } from '@kovelin/core/lines/say.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { LINE, METHOD } from '@kovelin/core/words/terms.ts';
import { TextButton } from '../ui/TextButton.tsx';
import type { WholeView } from '../app/whole.ts';
import { Fragment } from 'react';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { Choice } from '../ui/Choice.tsx';

interface Props {
  readonly view: WholeView;
  readonly takeoff: RoomTakeoff;
  readonly lines: RoomLines;
  readonly chosen: string | null;
  readonly onPick: (line: string) => void;
}

/** Every line of the room, by kind, with what it costs. */
export function LineTable({ view, takeoff, lines, chosen, onPick }: Props) {
  const { system, state } = view;
  const money = (cost: number) => formatMoney(Math.round(cost), state.shown.currency);
  const sum = (list: readonly MadeLine[], of: (m: MadeLine) => number) => list.reduce((all, m) => all + of(m), 0);
  return (
    <DataTable className="lines" columns={['Line', 'Length', 'Laps first', 'Then cut', 'How', 'Work', 'Cost']}>
      {[...groupBy(lines.lines, ({ line }) => line.kind)].map(([kind, own]) => (
        <Fragment key={kind}>
          <Row className="group">
            <RowHead scope="rowgroup">{heading(LINE[kind], system)}</RowHead>
            <Cell label="Length" className="number">
              {aboutLength(
                sum(own, (m) => m.line.length),
                system,
              )}
            </Cell>
            <Cell colSpan={2}>{own.length > 1 && `${own.length} lines`}</Cell>
            <Cell label="How" className="how">
              <AllOfKind view={view} kind={kind} own={own} />
            </Cell>
            <Cell label="Work" className="number">
              {formatMinutes(sum(own, (m) => m.chosen.minutes))}
            </Cell>
            <Cell label="Cost" className="number">
              {money(sum(own, (m) => m.chosen.cost))}
            </Cell>
          </Row>
          {own.map((made) => {
            const { line, chosen: way, pinned } = made;
            const [first, cut] = [line.sides[way.first], line.sides[1 - way.first] ?? line.sides[0]];
            return (
              <Row key={line.id} selected={line.id === chosen}>
                <RowHead>
                  <TextButton onClick={() => onPick(line.id)}>{heading(sidesWord(line, takeoff), system)}</TextButton>
                </RowHead>
                <Cell label="Length" className="number">
                  {aboutLength(line.length, system)}
                </Cell>
                <Cell label="Laps first">
                  {first.s && !line.hidden ? (
                    <>
                      <span className="chip" style={{ background: first.s.colour.hex }} />{' '}
                      {heading(sideWord(first, takeoff), system)}
                    </>
                  ) : (
                    <span className="soft">{line.hidden ? 'both, rough' : 'there already'}</span>
                  )}
                </Cell>
                <Cell label="Then cut">
                  {cut.s && <span className="chip" style={{ background: cut.s.colour.hex }} />}{' '}
                  {heading(sideWord(cut, takeoff), system)}
                </Cell>
                <Cell label="How" className="how">
                  {said(METHOD[way.method], system)}
                  {pinned && <small className="pin">pinned</small>}
                </Cell>
                <Cell label="Work" className="number">
                  {formatMinutes(way.minutes)}
                </Cell>
                <Cell label="Cost" className="number">
                  {money(way.cost)}
                </Cell>
              </Row>
            );
          })}
        </Fragment>
      ))}

      <Row className="total">
        <RowHead>All {lines.lines.length} lines</RowHead>
        <Cell label="Length" className="number">
          {aboutLength(
            sum(lines.lines, (m) => m.line.length),
            system,
          )}
        </Cell>
        <Cell colSpan={3} />
        <Cell label="Work" className="number">
          {formatMinutes(lines.minutes)}
        </Cell>
        <Cell label="Cost" className="number">
          {money(lines.cost)}
        </Cell>
      </Row>
    </DataTable>
  );
}

/** One way of making all lines of a kind, in this room and any other: a rule that a single line may still be pinned against. */
function AllOfKind({ view, kind, own }: { view: WholeView; kind: LineKind; own: readonly MadeLine[] }) {
  const { session, state, system } = view;
  const offered = LINE_METHODS.filter((m) => own.some(({ options }) => options.some((o) => o.method === m)));
  const ruled = state.job.lines[kind]?.method ?? null;
  if (offered.length < 2 && ruled === null) return null;
  const methods = ruled !== null && !offered.includes(ruled) ? [ruled, ...offered] : offered;
  return (
    <Choice
      label={`How all lines are made: ${said(LINE[kind], system)}`}
      hideLabel
      value={ruled ?? ''}
      options={[
        ['', 'each as it costs least'],
        ...methods.map((method) => [method, `all: ${said(METHOD[method], system)}`] as const),
      ]}
      onChange={(method) => session.edit({ name: 'setLine', args: { key: kind, set: { method: method || null } } })}
    />
  );
}
