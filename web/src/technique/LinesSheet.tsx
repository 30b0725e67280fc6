import { linesAlike } from '@kovelin/core/lines/say.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { namesWord } from '@kovelin/core/words/names.ts';
import { LINE } from '@kovelin/core/words/terms.ts';
import { Paper } from '../app/Paper.tsx';
import { useWhole } from '../app/whole.ts';
import { PlaysOnPaper } from './PlaysOnPaper.tsx';
import './technique.css';

/** The lines of each room on paper: the order of its finishes, what each line wants, then a play for each surface. */
export default function LinesSheet() {
  const { derived, state, system } = useWhole();
  const job = state.shown;
  return (
    <Paper label="Lines" size={job.region.paper}>
      <h1>{job.name}: lines, stroke by stroke</h1>
      {derived.lines.map(({ takeoff, painted, made: lines }) => {
        if (!lines.finishes.length) return null;
        const finishes = lines.order.flatMap((id) => lines.finishes.find((f) => f.id === id) ?? []);
        return (
          <section key={takeoff.room.id}>
            <h2>{takeoff.room.name}</h2>
            <ol className="sheet-facts">
              {finishes.map((finish) => (
                <li key={finish.id}>
                  {heading(finish.label, system)}:{' '}
                  {said(
                    namesWord(
                      finish.surfaces.map((s) => s.surface.name),
                      takeoff.walls.length,
                    ),
                    system,
                  )}
                </li>
              ))}
            </ol>
            <table className="fixed">
              <thead>
                <tr>
                  <th>Line</th>
                  <th className="wide">What it wants</th>
                  <th>Length</th>
                </tr>
              </thead>
              <tbody>
                {linesAlike(lines.lines, takeoff).map(({ kind, says, length }, i, all) => (
                  <tr key={i}>
                    <td>{kind === all[i - 1]?.kind ? '' : heading(LINE[kind], system)}</td>
                    <td>{said(says, system)}</td>
                    <td className="number">{aboutLength(length, system)}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            <PlaysOnPaper job={job} painted={painted} system={system} />
          </section>
        );
      })}
      <p className="hint">Look at every line from the floor, dry, before the tape and tools go away.</p>
    </Paper>
  );
}
