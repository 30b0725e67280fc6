import type { Specified } from '@kovelin/core/specify/specify.ts';
import { cautionsOf, warningsOf } from '@kovelin/core/specify/warnings.ts';
import { today } from '@kovelin/core/units/date.ts';
import { phrase, said, type Word } from '@kovelin/core/units/word.ts';
import { reasonWord, type RuleId } from '@kovelin/core/words/reasons.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import type { WholeView } from '../app/whole.ts';

type Props = { readonly view: WholeView; readonly s: Specified };

function useNotes({ view }: Props) {
  const { session, state } = view;
  return {
    dateOf: (key: string) => state.shown.noted[key],
    note: (key: string, on: boolean) => session.edit({ name: 'note', args: { key, date: on ? today() : null } }),
  };
}

/** What is wrong with the system as a whole; said even where the user insists, and the insistence is recorded. */
export function Warnings(props: Props) {
  const { dateOf, note } = useNotes(props);
  return warningsOf(props.s).map(({ reason, insisted }) => {
    const key = `${props.s.surface.id}|${reason.rule}`;
    const date = dateOf(key);
    return (
      <div key={reason.rule} className="warned" role="alert">
        <p className="problem">{said(reasonWord(reason), props.view.system)}</p>
        {insisted && (
          <label className="check">
            <input type="checkbox" checked={date !== undefined} onChange={(event) => note(key, event.target.checked)} />
            {date ? `insisted on, ${date}` : 'I insist; record it'}
          </label>
        )}
      </div>
    );
  });
}

/** What can hurt, a line each until it is opened; read once a room. */
export function Cautions(props: Props) {
  const { dateOf, note } = useNotes(props);
  const list = cautionsOf(props.s);
  if (!list.length) return null;
  return (
    <section className="section" aria-label="Cautions">
      <h3>Take care</h3>
      {list.map(({ rule }) => {
        const key = `${props.s.surface.room}|${rule}`;
        const date = dateOf(key);
        return (
          <details key={rule} className="caution">
            <summary>
              {said(CAUTION_WORDS[rule] ?? rule, props.view.system)}{' '}
              <small>{date ? `read ${date}` : 'not read yet'}</small>
            </summary>
            <p>{said(reasonWord({ rule, with: {} }), props.view.system)}</p>
            <button type="button" className="take" onClick={() => note(key, date === undefined)}>
              {date ? 'Not read after all' : 'Read'}
            </button>
          </details>
        );
      })}
    </section>
  );
}

const CAUTION_WORDS: Readonly<Partial<Record<RuleId, Word>>> = {
  'caution.lead': 'Lead',
  'caution.asbestos': 'Asbestos',
  'caution.dust': 'Dust',
  'caution.solvent': 'Solvents and rags',
  'caution.electricity': 'Electricity behind plates',
  'caution.damp': phrase`Damp and ${THE.mould}`,
};
