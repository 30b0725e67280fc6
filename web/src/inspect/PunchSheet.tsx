import { spotArea } from '@kovelin/core/work/remedies.ts';
import { aboutLength, formatLength } from '@kovelin/core/units/length.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { DEFECT, DEFECT_STATE, REMEDY } from '@kovelin/core/words/found.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { PdfButton } from '../app/PdfButton.tsx';
import { Paper } from '../app/Paper.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import { useWhole } from '../app/whole.ts';
import { makePunchList } from './make.ts';
import { numbered } from './DefectList.tsx';
import './inspect.css';

/** What is still to be mended, room by room, to be walked round with. */
export default function PunchSheet() {
  const spell = useSpelt();
  const view = useWhole();
  const { state, system, derived } = view;
  const { job } = state;
  const list = numbered(view);
  const rooms = derived.takeoffs.map(({ room }) => ({
    room,
    own: list.flatMap(({ n, defect }) => {
      const s = derived.surfaces.find(({ surface }) => surface.id === defect.surface);
      return s?.surface.room === room.id ? [{ n, defect, s }] : [];
    }),
  }));
  const open = list.filter(({ defect }) => defect.state === 'open').length;
  return (
    <Paper
      label="Punch list"
      size={job.region.paper}
      tools={<PdfButton make={() => makePunchList(job, derived.surfaces)} />}
    >
      <h1>{job.name}: punch list</h1>
      <p className="sheet-facts">
        {list.length} found, {open} open
      </p>
      {rooms
        .filter(({ own }) => own.length)
        .map(({ room, own }) => (
          <section key={room.id}>
            <h2>{room.name}</h2>
            <table>
              <thead>
                <tr>
                  <th>Done</th>
                  <th className="n">No.</th>
                  <th>Where</th>
                  <th>What</th>
                  <th>To do</th>
                  <th>Seen</th>
                </tr>
              </thead>
              <tbody>
                {own.map(({ n, defect, s }) => (
                  <tr key={defect.id}>
                    <td className="box">{defect.state === 'mended' ? '✓' : ''}</td>
                    <td className="n">{n}</td>
                    <td>
                      {heading(nameWord(s.surface.name), system)}
                      {defect.at &&
                        `, ${aboutLength(defect.at.x, system)} along, ${aboutLength(defect.at.y, system)} up`}
                    </td>
                    <td>
                      {said(DEFECT[defect.kind].name, system)}, {formatLength(defect.size, system)} across
                      {defect.note && `. ${defect.note}`}
                    </td>
                    <td>
                      {defect.state === 'left'
                        ? said(DEFECT_STATE.left, system)
                        : defect.remedy
                          ? said(REMEDY[defect.remedy].how, system)
                          : 'not settled'}
                    </td>
                    <td>
                      {dayText(defect.seen, job.region.dates)}
                      {defect.by && `, ${defect.by}`}
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </section>
        ))}
      {!list.length && <p>Nothing was found.</p>}
      {list.some(({ defect }) => spotArea(defect.size) > 0.5) && (
        <p>{spell('A place as large as half a square metre is painted corner to corner: a spot that large shows.')}</p>
      )}
    </Paper>
  );
}
