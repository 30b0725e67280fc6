import { recordCsv, recordJson } from '@kovelin/core/exchange/record-files.ts';
import { setting } from '@kovelin/core/job/defaults.ts';
import { paintsOf } from '@kovelin/core/record/layer.ts';
import { leftName } from '@kovelin/core/record/leftovers.ts';
import { jobRecord } from '@kovelin/core/whole/record.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { formatVolume } from '@kovelin/core/units/quantities.ts';
import { counted, heading, said } from '@kovelin/core/units/word.ts';
import { careWords } from '@kovelin/core/words/care.ts';
import { clientNamesIn } from '@kovelin/core/specify/client-names.ts';
import { SHEEN } from '@kovelin/core/words/terms.ts';
import { PdfButton } from '../app/PdfButton.tsx';
import { Paper } from '../app/Paper.tsx';
import { useLog } from '../app/useLog.ts';
import { useWhole } from '../app/whole.ts';
import { download, fileName } from '../store/take-out.ts';
import { makeHomeRecord } from './make.ts';
import Button from '@mui/material/Button';
import './record.css';

/** What whoever lives there keeps: what is on the walls, what is left, how to care for it. */
export default function HomeSheet() {
  const view = useWhole();
  const { state, system } = view;
  const { job } = state;
  const log = useLog(job.id);
  const record = jobRecord(job, log.entries ?? []);
  const rooms = groupBy(record.surfaces, ({ specified }) => specified.surface.room);
  return (
    <Paper
      label="Home record"
      size={job.region.paper}
      tools={
        <>
          <PdfButton make={() => makeHomeRecord(job, record)} />
          <Button variant="outlined" onClick={() => download(`${fileName(job)}-record.json`, recordJson(job, record))}>
            JSON
          </Button>
          <Button
            variant="outlined"
            onClick={() => download(`${fileName(job)}-record.csv`, recordCsv(job, record), 'text/csv')}
          >
            CSV
          </Button>
        </>
      }
    >
      <h1>{job.name}: what is on the walls</h1>
      {[...rooms].map(([room, own]) => {
        const known = groupBy(
          own.filter(({ top }) => top !== null),
          ({ top, layers }) => JSON.stringify([top?.product, top?.colour, top?.sheen, top?.certain, layers.length]),
        );
        return (
          <section key={room}>
            <h2>{job.rooms.byId[room]?.name}</h2>
            {known.size === 0 && <p>Nothing is on record here yet.</p>}
            <table>
              <tbody>
                {[...known.values()].map((same) => {
                  const [first] = same;
                  if (!first) return null;
                  return (
                    <tr key={first.id}>
                      <td>
                        {heading(
                          clientNamesIn(
                            same.map(({ specified }) => specified),
                            job.rooms.byId[room],
                          ),
                          system,
                        )}
                      </td>
                      <td>
                        {paintsOf(first.layers)
                          .reverse()
                          .map(({ top, coats }, i) => (
                            <div key={i} className={i ? 'under' : ''}>
                              {top.colour?.hex && <span className="chip" style={{ background: top.colour.hex }} />}
                              {[
                                top.product ?? 'a paint nobody knows',
                                top.colour?.name,
                                top.sheen && said(SHEEN[top.sheen], system),
                                said(counted(coats, 'coat'), system),
                                top.batch && `batch ${top.batch}`,
                                top.when,
                                top.certain ? '' : 'not certain',
                              ]
                                .filter(Boolean)
                                .join(', ')}
                            </div>
                          ))}
                      </td>
                    </tr>
                  );
                })}
              </tbody>
            </table>
          </section>
        );
      })}
      {record.left.length > 0 && (
        <>
          <h2>What is left</h2>
          <ul>
            {record.left.map(({ key, litres, where }) => {
              return (
                <li key={key}>
                  {leftName(job, key)}: {formatVolume(litres, system)}
                  {where && `, ${where}`}
                </li>
              );
            })}
          </ul>
        </>
      )}
      <h2>Care</h2>
      <ul>
        {careWords(setting(job, 'cure.days')).map((word) => (
          <li key={said(word, system)}>{said(word, system)}</li>
        ))}
      </ul>
    </Paper>
  );
}
