import { startingPaint } from '@kovelin/core/job/create.ts';
import type { Product } from '@kovelin/core/job/paints.ts';
import { roomScope } from '@kovelin/core/job/scope.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { cautionsOf, warningsOf } from '@kovelin/core/specify/warnings.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { today } from '@kovelin/core/units/date.ts';
import { phrase, said, type Word } from '@kovelin/core/units/word.ts';
import { reasonWord, type RuleId } from '@kovelin/core/words/reasons.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import type { WholeView } from '../app/whole.ts';
import { Message } from '../ui/Message.tsx';

type Props = { readonly view: WholeView; readonly s: Specified };

function useNotes({ view }: Props) {
  const { session, state } = view;
  return {
    dateOf: (key: string) => {
      const day = state.shown.noted[key];
      return day && dayText(day, state.shown.region.dates);
    },
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
        <Message kind="caution">{said(reasonWord(reason), props.view.system)}</Message>
        {reason.rule === 'warn.wet-room' && <WetRoomPaint {...props} />}
        {insisted && (
          <Check
            label={date ? `insisted on, ${date}` : 'I insist; record it'}
            checked={date !== undefined}
            onChange={(isOn) => note(key, isOn)}
          />
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
      {list.map(({ rule, with: used }) => {
        const key = `${props.s.surface.room}|${rule}`;
        const date = dateOf(key);
        return (
          <details key={rule} className="caution">
            <summary>
              {said(CAUTION_WORDS[rule] ?? rule, props.view.system)}{' '}
              <small>{date ? `read ${date}` : 'not read yet'}</small>
            </summary>
            <p>{said(reasonWord({ rule, with: used }), props.view.system)}</p>
            <Button size="small" variant="outlined" onClick={() => note(key, date === undefined)}>
              {date ? 'Not read after all' : 'Read'}
            </Button>
          </details>
        );
      })}
    </section>
  );
}

/** One click: a paint made for wet rooms, from the job or the starting ones, on all surfaces of the kind in the room. */
function WetRoomPaint({ view, s }: Props) {
  const { session, state } = view;
  const isMade = ({ family }: Product) => family === 'wet-room';
  const product = Object.values(state.shown.products).find(isMade) ?? startingPaint(state.shown, isMade);
  if (!product) return null;
  const scope = s.finishFrom === s.surface.id ? s.surface.id : roomScope(s.surface.room, s.surface.kind);
  return (
    <Button
      size="small"
      variant="outlined"
      onClick={() => session.run({ name: 'takeUp', args: { scope, product, colour: s.colour.id } })}
    >
      Take <bdi>{product.name}</bdi>
    </Button>
  );
}

const CAUTION_WORDS: Readonly<Partial<Record<RuleId, Word>>> = {
  'caution.lead': 'Lead',
  'caution.asbestos': 'Asbestos',
  'caution.dust': 'Dust',
  'caution.solvent': 'Solvents and rags',
  'caution.electricity': 'Electricity behind plates',
  'caution.wax-rags': 'Waxy rags',
  'caution.stairs': 'Over stairs',
  'caution.height': 'High up',
  'caution.damp': phrase`Damp and ${THE.mould}`,
};
