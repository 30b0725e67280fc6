import { formatLength } from '@kovelin/core/units/length.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { DEFECT, DEFECT_STATE, LIGHT_AT, VIEWING } from '@kovelin/core/words/found.ts';
import { clientNamesIn } from '@kovelin/core/specify/client-names.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { Paper } from '../app/Paper.tsx';
import { useWhole } from '../app/whole.ts';
import { numbered } from './DefectList.tsx';
import { makeAcceptance } from './make.ts';
import { PdfButton } from '../app/PdfButton.tsx';
import { Signature } from './TakeOver.tsx';
import './inspect.css';

/** Room by room: what was painted, under which conditions it was looked at, what is left as it is, and who took it over. */
export default function AcceptanceSheet() {
  const view = useWhole();
  const { state, system, derived } = view;
  const { job } = state;
  const list = numbered(view);
  return (
    <Paper
      label="Acceptance sheet"
      size={job.region.paper}
      tools={<PdfButton make={() => makeAcceptance(job, derived.surfaces)} />}
    >
      <h1>{job.name}: acceptance</h1>
      <p className="sheet-facts">{said(VIEWING, system)}</p>
      {derived.takeoffs.map(({ room }) => {
        const own = derived.surfaces.filter(({ surface }) => surface.room === room.id);
        const paints = [...groupBy(own, (s) => said(paintWord(s), system)).entries()];
        const accepted = job.accepted[room.id];
        const defects = list.filter(({ defect }) => own.some(({ surface }) => surface.id === defect.surface));
        return (
          <section key={room.id} className="accept-room">
            <h2>{room.name}</h2>
            <table>
              <tbody>
                {paints.map(([paint, surfaces]) => (
                  <tr key={paint}>
                    <td>{heading(clientNamesIn(surfaces, room), system)}</td>
                    <td>{paint}</td>
                  </tr>
                ))}
              </tbody>
            </table>
            {defects.length > 0 && (
              <ul>
                {defects.map(({ n, defect }) => {
                  const s = own.find(({ surface }) => surface.id === defect.surface);
                  return (
                    <li key={defect.id}>
                      {n}. {s && heading(clientNamesIn([s], room), system)}: {said(DEFECT[defect.kind].name, system)},{' '}
                      {said(DEFECT_STATE[defect.state], system)}
                    </li>
                  );
                })}
              </ul>
            )}
            {accepted ? (
              <div className="accepted">
                <p>
                  Taken over on {dayText(accepted.date, job.region.dates)} by {accepted.by}, looked at from{' '}
                  {formatLength(accepted.distance, system)} in the light of {said(LIGHT_AT[accepted.light], system)}.
                  {accepted.note && ` ${accepted.note}`}
                </p>
                <Signature strokes={accepted.signature} />
              </div>
            ) : (
              <p className="to-sign">
                Looked at from __________ in the light of __________ · date __________ · signed ____________________
              </p>
            )}
          </section>
        );
      })}
    </Paper>
  );
}
