import { schoolOrders, type RoomLines } from '@kovelin/core/lines/lines.ts';
import { circleSentence, lineSentence } from '@kovelin/core/lines/say.ts';
import { focalChoices } from '@kovelin/core/lines/finishes.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { useMemo, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { Choice } from '../ui/Choice.tsx';
import { Section } from '../ui/Section.tsx';
import { Sides } from '../ui/Sides.tsx';
import { useWhole, type WholeView } from '../app/whole.ts';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import { Legend, LineMarks, marksIn } from './LineMarks.tsx';
import { LinePanel } from './LinePanel.tsx';
import { LineTable } from './LineTable.tsx';
import { OrderStrip } from './OrderStrip.tsx';
import { PlayTable } from './PlayTable.tsx';
import { AirPanel } from './wet/AirPanel.tsx';
import { WetTable } from './wet/WetTable.tsx';
import { SchoolTable } from './SchoolTable.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import './technique.css';
import { Message } from '../ui/Message.tsx';

const TABLES = [
  ['lines', 'Lines'],
  ['schools', 'Ways of working'],
  ['play', 'Stroke by stroke'],
  ['wet', 'Wet edge'],
] as const;
type TableKey = (typeof TABLES)[number][0];

/** Who laps over whom, and how each surface is painted by hand. */
export default function TechniqueView() {
  const view = useWhole();
  const { search } = useLocation();
  const [picked, setPicked] = useState<string | null>(null);
  const [table, setTable] = useState<TableKey>('lines');
  const { takeoff, derived, system, session } = view;
  const room = derived.lines.find((r) => r.takeoff.room.id === takeoff?.room.id);
  if (!takeoff || !room?.painted.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: who laps over whom follows from its finishes.</p>
      </main>
    );
  return (
    <Room
      key={takeoff.room.id}
      view={view}
      takeoff={takeoff}
      painted={room.painted}
      lines={room.made}
      picked={picked}
      table={table}
      search={search}
      onPick={setPicked}
      onTable={(next) => {
        setTable(next);
        // these are of a surface, not of a line
        if (next === 'play' || next === 'wet') setPicked(null);
      }}
      onPin={(pins) => session.edit({ name: 'pinOrder', args: { room: takeoff.room.id, pins } })}
      system={system}
    />
  );
}

interface RoomProps {
  readonly view: WholeView;
  readonly takeoff: RoomTakeoff;
  readonly painted: readonly Specified[];
  readonly lines: RoomLines;
  readonly picked: string | null;
  readonly table: TableKey;
  readonly search: string;
  readonly onPick: (line: string | null) => void;
  readonly onTable: (table: TableKey) => void;
  readonly onPin: Parameters<typeof OrderStrip>[0]['onPin'];
  readonly system: WholeView['system'];
}
function Room({ view, takeoff, painted, lines, picked, table, search, onPick, onTable, onPin, system }: RoomProps) {
  const { state } = view;
  const byId = new Map(painted.map((s) => [s.surface.id, s]));
  const paint = (id: string): Coat => ({ fill: byId.get(id)?.colour.hex ?? 'var(--trim)' });
  const made = lines.lines.find(({ line }) => line.id === picked) ?? null;
  const schools = useMemo(
    () => (table === 'schools' ? schoolOrders(state.shown, takeoff, painted) : []),
    [table, state.shown, takeoff, painted],
  );
  // the step's own picture is larger than the room
  const large = table === 'play' || table === 'wet';
  const circle = circleSentence(lines, takeoff);
  return (
    <>
      <main className={large ? 'middle playing' : 'middle'} aria-label="Technique">
        {!large && (
          <OrderStrip
            lines={lines}
            pins={state.shown.orders[takeoff.room.id] ?? []}
            walls={takeoff.walls.length}
            system={system}
            onPin={onPin}
          />
        )}
        {circle && (
          <div className="strip-problem">
            <Message kind="wrong">{heading(circle, system)}.</Message>
          </div>
        )}
        {lines.lost.length > 0 && (
          <div className="strip-problem">
            <Message kind="wrong">
              A finish that is pinned is no longer in this room; the pin counts for nothing.{' '}
              <TextButton
                onClick={() =>
                  onPin(
                    (state.shown.orders[takeoff.room.id] ?? []).filter(
                      (pin) => !lines.lost.some((l) => l.before === pin.before && l.after === pin.after),
                    ),
                  )
                }
              >
                Take it out
              </TextButton>
            </Message>
          </div>
        )}
        <UnrolledRoom
          view={{
            ...view,
            // one thing at a time is shown as chosen
            surface: made ? null : view.surface,
            select: (id) => {
              onPick(null);
              view.select(id);
            },
          }}
          takeoff={takeoff}
          paint={paint}
          over={(wall) => (
            <LineMarks
              lines={lines.lines}
              takeoff={takeoff}
              wall={wall}
              chosen={picked}
              onPick={onPick}
              system={system}
            />
          )}
          aside={large ? null : <Aside lines={lines} view={view} />}
        />
        <div className="entry-panel">
          <div className="panel-head">
            <Sides label="What to show of the lines" sides={TABLES} value={table} onChange={onTable} />
            <Link to={`../lines${search}`} relative="path">
              Lines and strokes to print
            </Link>
          </div>
          <div className="scroll" key={table} tabIndex={0} role="region" aria-label="Lines of the room">
            {table === 'lines' ? (
              <LineTable view={view} takeoff={takeoff} lines={lines} chosen={picked} onPick={onPick} />
            ) : table === 'wet' ? (
              view.specified && (
                <WetTable key={view.specified.surface.id} view={view} painted={painted} specified={view.specified} />
              )
            ) : table === 'play' ? (
              view.specified && (
                <PlayTable key={view.specified.surface.id} view={view} painted={painted} specified={view.specified} />
              )
            ) : (
              <SchoolTable view={view} lines={lines} schools={schools} />
            )}
          </div>
        </div>
      </main>
      {made ? (
        <LinePanel key={made.line.id} view={view} takeoff={takeoff} made={made} onClose={() => onPick(null)} />
      ) : (
        <SurfacePanel view={view} takeoff={takeoff} lines={lines} wet={table === 'wet'} onPick={onPick} />
      )}
    </>
  );
}

/** What the lines of the room come to, and what their marks mean. */
function Aside({ lines, view: { state } }: { lines: RoomLines; view: WholeView }) {
  return (
    <div className="line-aside">
      <dl className="facts">
        <div>
          <dt>Lines</dt>
          <dd>{lines.lines.length}</dd>
        </div>
        <div>
          <dt>Work along them</dt>
          <dd>{formatMinutes(lines.minutes)}</dd>
        </div>
        <div>
          <dt>Cost</dt>
          <dd>{formatMoney(Math.round(lines.cost), state.shown.currency)}</dd>
        </div>
      </dl>
      <Legend marks={marksIn(lines.lines)} />
      {lines.gap > 0 && <p className="hint">Within {(lines.gap * 100).toFixed(1)} % of the least cost there is.</p>}
    </div>
  );
}

/** The surface looked at: its lines; and what is asked once of the room. */
interface SurfacePanelProps extends Pick<RoomProps, 'view' | 'takeoff' | 'lines' | 'onPick'> {
  /** Its air is asked too. */
  readonly wet: boolean;
}
function SurfacePanel({ view, takeoff, lines, wet, onPick }: SurfacePanelProps) {
  const { surface, specified, system, session } = view;
  const own = lines.lines.filter(({ line }) => line.sides.some(({ id }) => id === surface?.id));
  const walls = focalChoices(takeoff.room, lines.finishes);
  const { focal } = takeoff.room;
  const { accent } = lines;
  const finish = specified?.colour;
  return (
    <aside className="panel" aria-label="Selected surface">
      <h2>{surface ? heading(nameWord(surface.name), system) : takeoff.room.name}</h2>
      <p className="sub">
        {takeoff.room.name}
        {finish && (
          <>
            {' · '}
            <span className="chip" style={{ background: finish.hex }} /> {finish.name}
          </>
        )}
      </p>
      {wet && specified && <AirPanel view={view} specified={specified} />}
      {!wet && walls.length > 0 && (
        <Section title="The focal wall">
          <Choice
            label="Which wall is the room looked at for?"
            value={focal ?? ''}
            options={[
              [
                '',
                accent?.assumed
                  ? `not said: taken as wall ${takeoff.walls.find((w) => accent.walls.includes(`${w.wall.id}/field`))?.wall.label ?? ''}`
                  : 'not said',
              ],
              ...takeoff.walls.map((w) => [w.wall.id, `wall ${w.wall.label}`] as const),
              ['none', 'none of them'],
            ]}
            onChange={(value) =>
              session.edit({
                name: 'setRoom',
                args: { room: takeoff.room.id, set: { focal: value === '' ? null : value } },
              })
            }
          />
          {accent?.assumed && <small className="assumed">assumed</small>}
        </Section>
      )}
      <Section title="Its lines" extra={<small>{own.length}</small>}>
        <ul className="own-lines">
          {own.map((made) => (
            <li key={made.line.id}>
              <TextButton onClick={() => onPick(made.line.id)}>{said(lineSentence(made, takeoff), system)}</TextButton>
            </li>
          ))}
          {!own.length && <li className="hint">No other finish begins along it.</li>}
        </ul>
      </Section>
    </aside>
  );
}
