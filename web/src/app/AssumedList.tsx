import { rows } from '@kovelin/core/job/table.ts';
import { shortWord } from '@kovelin/core/specify/questions.ts';
import type { Assumed, OpenAnswer } from '@kovelin/core/whole/rests.ts';
import { said } from '@kovelin/core/units/word.ts';
import Popover from '@mui/material/Popover';
import { Link } from 'react-router';
import { useJob } from './job-context.ts';

const OF = { wall: 'walls', ceiling: 'ceiling', trim: 'trim' } as const;

interface Props {
  readonly assumed: Assumed;
  readonly anchor: HTMLElement;
  readonly onClose: () => void;
}

/** Everything the price rests on that nobody said, each a link to where it is asked. */
export default function AssumedList({ assumed, anchor, onClose }: Props) {
  const { state, system } = useJob();
  const to = ({ room, surface, question }: OpenAnswer) => ({
    pathname: 'specify',
    search: new URLSearchParams({ room, surface, ask: question }).toString(),
  });
  return (
    <Popover
      open
      anchorEl={anchor}
      onClose={onClose}
      slotProps={{ paper: { role: 'dialog', 'aria-label': 'What the price rests on' } }}
      anchorOrigin={{ vertical: 'top', horizontal: 'center' }}
      transformOrigin={{ vertical: 'bottom', horizontal: 'center' }}
    >
      <section className="assumed-list" aria-label="What the price rests on">
        <h2>What the price rests on</h2>
        {assumed.guessed.length > 0 && (
          <p>
            A first guess:{' '}
            {assumed.guessed.map((id) => (
              <Link key={id} to={{ pathname: 'measure', search: `room=${id}` }} onClick={onClose}>
                {state.shown.rooms.byId[id]?.name ?? ''}
              </Link>
            ))}{' '}
            {assumed.guessed.length === 1 ? 'is' : 'are'} not measured to the end.
          </p>
        )}
        <p>Nobody has answered these; another answer would change what is bought or done.</p>
        {rows(state.shown.rooms).map(({ id, name }) => {
          const open = assumed.open.filter((answer) => answer.room === id);
          return open.length ? (
            <div key={id}>
              <h3>{name}</h3>
              {(['wall', 'ceiling', 'trim'] as const).map((family) => {
                const here = open.filter((answer) => answer.family === family);
                return here.length ? (
                  <p key={family}>
                    {OF[family]}:{' '}
                    {here.map((answer, i) => (
                      <span key={answer.question}>
                        {i > 0 && ', '}
                        <Link to={to(answer)} onClick={onClose}>
                          {said(shortWord(answer.question), system)}
                        </Link>
                      </span>
                    ))}
                  </p>
                ) : null;
              })}
            </div>
          ) : null;
        })}
      </section>
    </Popover>
  );
}
