import { PART_RULES } from '@kovelin/core/measure/parts.ts';
import type { WallTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import type { Working } from '@kovelin/core/units/working.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { LINE, TRIM } from '@kovelin/core/words/terms.ts';
import { Line, Section } from '../ui/Section.tsx';
import type { JobView } from '../app/job-context.ts';
import { Figure, WorkingTree } from '../app/Working.tsx';
import { Radios } from '../ui/Radios.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import Button from '@mui/material/Button';
import { exportDrawing, exportTakeoff, exportTapeSheet } from '../store/take-out.ts';

/** A figure asked about in the table: its formula with this job's figures. */
export interface Explained {
  readonly title: string;
  readonly working: Working;
}

/** The surface looked at, each figure opening into its working. */
export function MeasurePanel({ view, explained }: { view: JobView; explained: Explained | null }) {
  const { takeoff, surface, system } = view;
  const wall = takeoff?.walls.find((w) => `${w.wall.id}/field` === surface?.id);
  return (
    <aside className="panel" aria-label="Selected surface">
      {explained && (
        <div aria-live="polite" role="region" aria-label="Working">
          <Section title={explained.title}>
            <div className="working">
              <WorkingTree working={explained.working} system={system} />
            </div>
          </Section>
        </div>
      )}
      {surface ? (
        <>
          <h2>{heading(nameWord(surface.name), system)}</h2>
          <p className="sub">
            {takeoff?.room.name} · {formatArea(surface.area.value, system)} to paint
          </p>
          {wall ? (
            <WallFigures wall={wall} view={view} />
          ) : (
            <Section title="Area">
              <Line label="To paint">
                <Figure working={surface.area} system={system} />
              </Line>
              {surface.length > 0 && <Line label="Run">{aboutLength(surface.length, system)}</Line>}
              {surface.cut > 0 && <Line label="Cut-in">{aboutLength(surface.cut, system)}</Line>}
            </Section>
          )}
        </>
      ) : (
        <p className="sub">Type the first wall’s length: what it comes to stands here.</p>
      )}
      {takeoff && takeoff.lines.length > 0 && (
        <Section title={`Lines of ${takeoff.room.name}`}>
          {takeoff.lines.map(({ kind, length }) => (
            <Line key={kind} label={heading(LINE[kind], system)}>
              <Figure working={length} system={system} text={aboutLength(length.value, system)} />
            </Line>
          ))}
          {takeoff.trim.map((t) => (
            <Line key={t.kind} label={`${heading(TRIM[t.kind], system)} run`}>
              <Figure working={t.length} system={system} text={aboutLength(t.length.value, system)} />
            </Line>
          ))}
        </Section>
      )}
      <Section title="Take the measurements out">
        <div className="row-buttons">
          <Button size="small" variant="outlined" onClick={() => void exportTapeSheet(view.state.job)}>
            Tape sheet of the job
          </Button>
          <Button size="small" variant="outlined" onClick={() => void exportTakeoff(view.state.job)}>
            Takeoff as CSV
          </Button>
          {takeoff?.closure &&
            (['dxf', 'svg'] as const).map((format) => (
              <Button
                size="small"
                variant="outlined"
                key={format}
                onClick={() => void exportDrawing(view.state.job, takeoff, format)}
              >
                {takeoff.room.name} as {format.toUpperCase()}
              </Button>
            ))}
        </div>
      </Section>
    </aside>
  );
}

function WallFigures({ wall, view }: { wall: WallTakeoff; view: JobView }) {
  const spell = useSpelt();
  const { system, state, session } = view;
  const school = state.shown.practice.openings;
  const cut = view.takeoff?.surfaces.find((s) => s.id === `${wall.wall.id}/field`)?.cut ?? 0;
  return (
    <>
      <Section title="Area">
        <Line label="Gross">
          <Figure working={wall.gross} system={system} />
        </Line>
        <Line label="Openings">
          <Figure working={wall.openingArea} system={system} />
        </Line>
        <Line label="Net">
          <Figure working={wall.net} system={system} />
        </Line>
        <Line
          label={
            wall.parts.some((p) => PART_RULES[p.kind].layer) ? 'Painted in its own finish' : 'Painted, trim faces off'
          }
        >
          <Figure working={wall.painted} system={system} />
        </Line>
        <Line label="Cut-in along this wall">{aboutLength(cut, system)}</Line>
      </Section>
      <Section title={spell('To price labour on')}>
        <Radios
          label={spell('To price labour on')}
          value={school}
          onChange={(openings) => session.edit({ name: 'setPractice', args: { set: { openings } } })}
          options={[
            ['net', 'Net: every opening off', formatArea(wall.net.value, system)],
            [
              'gross',
              'Gross: ordinary doors and windows left in for their slow edges',
              formatArea(wall.grossSchool.value, system),
            ],
          ]}
        />
        <p className="hint">Paint is always ordered on what is painted.</p>
      </Section>
    </>
  );
}
