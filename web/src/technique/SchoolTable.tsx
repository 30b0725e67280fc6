import type { RoomLines, SchoolOrder } from '@kovelin/core/lines/lines.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { ACCENT, TRIM_ORDER } from '@kovelin/core/words/terms.ts';
import type { WholeView } from '../app/whole.ts';
import Radio from '@mui/material/Radio';

interface Props {
  readonly view: WholeView;
  readonly lines: RoomLines;
  readonly schools: readonly SchoolOrder[];
}

/** Schools of the order of work, and of accent walls, side by side: the order each leads to in this room, and its price. */
export function SchoolTable({ view, lines, schools }: Props) {
  const { session, state, system } = view;
  const now = schools.find((s) => s.chosen);
  const colourOf = (id: string) => lines.finishes.find((f) => f.id === id)?.hex;
  const groups = [
    ['Order of work', 'trimOrder'],
    ['The accent wall', 'accent'],
  ] as const;
  return (
    <div className="school-tables">
      {groups.map(([title, of]) => {
        const own = schools.filter((s) => s.set[of] !== undefined);
        if (!own.length) return null;
        return (
          <fieldset key={of}>
            <legend>{title}</legend>
            {own.map((school) => {
              const value = school.set[of] as string;
              const more = school.cost - (now?.cost ?? 0);
              const minutes = school.minutes - (now?.minutes ?? 0);
              const taken = state.job.practice[of] === value;
              return (
                <label key={school.school} className={taken ? 'way taken' : 'way'}>
                  <Radio
                    name={of}
                    checked={taken}
                    onChange={() => session.edit({ name: 'setPractice', args: { set: school.set } })}
                  />
                  <span>
                    <b>
                      {of === 'trimOrder'
                        ? heading(TRIM_ORDER[value as keyof typeof TRIM_ORDER], system)
                        : heading(ACCENT[value as keyof typeof ACCENT], system)}
                    </b>
                    <span className="order-chips" aria-hidden="true">
                      {school.order.map((id) => (
                        <span key={id} className="chip" style={{ background: colourOf(id) }} />
                      ))}
                    </span>
                  </span>
                  <span className="number">
                    {taken
                      ? formatMoney(Math.round(school.cost), state.job.currency)
                      : `${more < -0.5 ? '−' : '+'}${formatMoney(Math.round(Math.abs(more)), state.job.currency)}`}
                    <small>
                      {taken
                        ? formatMinutes(school.minutes)
                        : Math.abs(minutes) < 0.5
                          ? 'as long'
                          : `${minutes < 0 ? '−' : '+'}${formatMinutes(Math.abs(minutes))}`}
                    </small>
                  </span>
                </label>
              );
            })}
          </fieldset>
        );
      })}
    </div>
  );
}
