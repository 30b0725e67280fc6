import { groupBy } from '@kovelin/core/units/group.ts';
import { alike } from '@kovelin/core/specify/alike.ts';
import { prepPlan } from '@kovelin/core/specify/prep-plan.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { cautionsOf, warningsOf } from '@kovelin/core/specify/warnings.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { heading, inOrder, said } from '@kovelin/core/units/word.ts';
import { namesWord } from '@kovelin/core/words/names.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import {
  brushWord,
  coatsWord,
  conditionerWord,
  coverWord,
  primerWord,
  colourWord,
} from '@kovelin/core/words/systems.ts';
import { PREP, SHEEN, STYLE, THE } from '@kovelin/core/words/terms.ts';
import { useWhole, type WholeView } from '../app/whole.ts';
import { AssumedNote } from '../app/AssumedNote.tsx';
import { Paper } from '../app/Paper.tsx';
import './specify.css';

/** The finish schedule on paper: per room, surfaces with one system together, how each is prepared, and what to mind. */
export default function FinishSheet() {
  const view = useWhole();
  const { derived, state, system } = view;
  const rooms = [...groupBy(derived.surfaces, (s) => s.surface.room)];
  const cautions = [
    ...new Map(derived.surfaces.flatMap((s) => cautionsOf(s).map((c) => [c.rule, c] as const))).values(),
  ];
  return (
    <Paper label="Finish schedule" size={state.job.region.paper}>
      <h1>{state.job.name}: finish schedule</h1>
      {rooms.map(([room, surfaces]) => (
        <section key={room}>
          <h2>{state.job.rooms.byId[room]?.name}</h2>
          <table className="fixed">
            <thead>
              <tr>
                <th>Surface</th>
                <th>Area</th>
                <th>Finish</th>
                <th>Prepare</th>
                <th>Primer</th>
                <th>Coats</th>
                <th>{heading(THE.cover, system)} and brush</th>
              </tr>
            </thead>
            <tbody>
              {alike(surfaces).map((group) => (
                <Row key={group[0]?.surface.id} group={group} view={view} />
              ))}
            </tbody>
          </table>
        </section>
      ))}
      <AssumedNote />
      <h2>Take care</h2>
      {cautions.map((caution) => (
        <p key={caution.rule} className="sheet-facts">
          {said(reasonWord(caution), system)}
        </p>
      ))}
      <p className="hint">
        Worked out from the survey and the labels of this job; a product’s label outranks it. ○ marks what was decided
        against the recommendation.
      </p>
    </Paper>
  );
}

function Row({ group, view: { system, state } }: { group: readonly Specified[]; view: WholeView }) {
  const s = group[0];
  if (!s) return null;
  const { primer, coats, cover, brush, style, conditioner } = s.system;
  const own = (d: { override?: unknown }) => (d.override === undefined ? '' : ' ○');
  const dose = effective(conditioner);
  const notes = warningsOf(s).map((w) => {
    const date = state.job.noted[`${s.surface.id}|${w.reason.rule}`];
    return `${said(reasonWord(w.reason), system)}${date ? ` (insisted on, ${dayText(date, state.job.region.dates)})` : ''}`;
  });
  return (
    <tr>
      <td>
        {heading(namesWord(group.map((g) => g.surface.name)), system)}
        {notes.map((note) => (
          <small key={note}>! {note}</small>
        ))}
      </td>
      <td className="number">
        {formatArea(
          group.reduce((sum, g) => sum + g.surface.area.value, 0),
          system,
        )}
      </td>
      <td>
        {s.product.name}, {colourWord(s.colour)}, {said(SHEEN[s.sheen], system)}
        {own(s.system.sheen)}
      </td>
      <td>
        {prepPlan(s)
          .map((line) => `${said(PREP[line.step], system)}${line.grits.length ? ` ${line.grits.join('-')}` : ''}`)
          .join(', ')}
        {own(s.system.prep)}
      </td>
      <td>
        {heading(primerWord(effective(primer)), system)}
        {own(primer)}
      </td>
      <td>
        {said(coatsWord(effective(coats)), system)}
        {own(coats)}
        {effective(style) !== 'equal' && `, ${said(STYLE[effective(style)], system)}`}
        {dose > 0 && `; conditioner ${said(conditionerWord(dose), system)}`}
      </td>
      <td>{said(inOrder([coverWord(effective(cover)), brushWord(effective(brush))], '; '), system)}</td>
    </tr>
  );
}
