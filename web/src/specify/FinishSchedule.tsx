import { effective } from '@kovelin/core/specify/reasons.ts';
import { orphans } from '@kovelin/core/specify/specify.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import type { JobView } from '../app/job-context.ts';
import { brushWord, coatsWord, coverWord, primerWord, sentenceCase, surfaceWord } from '../app/words.ts';

/** Surface by surface: the finish schedule of the room. */
export function FinishSchedule({ view }: { view: JobView }) {
  const { takeoff, derived, system, surface, select } = view;
  const list = derived.surfaces.filter((s) => s.surface.room === takeoff?.room.id);
  const gone = orphans(view.state.shown);
  return (
    <div className="entry-panel">
      <div className="panel-head">
        <h2>Finish schedule</h2>
        {gone.length > 0 && (
          <span className="hint">
            {gone.length} {gone.length === 1 ? 'surface is' : 'surfaces are'} gone from the measurements; what was
            decided for {gone.length === 1 ? 'it' : 'them'} is kept.
          </span>
        )}
      </div>
      <div className="scroll" tabIndex={0} role="region" aria-label="Finish schedule of the room">
        <table className="schedule">
          <thead>
            <tr>
              <th>Surface</th>
              <th>Area</th>
              <th>Paint and colour</th>
              <th>Sheen</th>
              <th>Primer</th>
              <th>Coats</th>
              <th>Cover</th>
              <th>Brush</th>
            </tr>
          </thead>
          <tbody>
            {list.map((s) => (
              <tr key={s.surface.id} className={s.surface.id === surface?.id ? 'chosen' : ''}>
                <th scope="row">
                  <button type="button" className="link" onClick={() => select(s.surface.id)}>
                    {surfaceWord(s.surface.name, system)}
                  </button>
                </th>
                <td className="number">{formatArea(s.surface.area.value, system)}</td>
                <td>
                  <span className="chip" style={{ background: s.colour.hex }} /> {s.product.name}, {s.colour.name}
                </td>
                <td>{sentenceCase(s.sheen)}</td>
                <td>{primerWord(effective(s.system.primer))}</td>
                <td>{coatsWord(effective(s.system.coats))}</td>
                <td>{coverWord(effective(s.system.cover), system)}</td>
                <td>{brushWord(effective(s.system.brush), system)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </div>
  );
}
