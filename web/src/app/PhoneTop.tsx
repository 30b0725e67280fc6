import ButtonBase from '@mui/material/ButtonBase';
import { Sheet } from '../ui/Sheet.tsx';
import List from '@mui/material/List';
import ListItemButton from '@mui/material/ListItemButton';
import { useState } from 'react';
import { Link, useLocation } from 'react-router';
import { useJob } from './job-context.ts';
import { Rooms } from '../rooms/Rooms.tsx';
import { useGoToStep, useHere } from './shortcuts.ts';
import { useSteps } from './step.ts';
import { Tools } from './Tools.tsx';
import { useTyping } from './typed.ts';

const SAVED = { saved: 'Saved', saving: 'Saving …', failed: 'Not saved', gone: 'Deleted' } as const;
type Opened = 'steps' | 'rooms' | 'more' | null;

/** One line of frame on a phone: which step, which room, saved or not; each opens from below. */
export function PhoneTop({ onHelp }: { onHelp: () => void }) {
  const { state, room } = useJob();
  const steps = useSteps();
  const { step } = useHere();
  const { search } = useLocation();
  const goToStep = useGoToStep();
  const typing = useTyping();
  const [opened, setOpened] = useState<Opened>(null);
  const close = () => setOpened(null);
  return (
    <header className="phone-top">
      <h2 className="unseen">{room?.name ?? 'No room'}</h2>
      <ButtonBase className="where" aria-haspopup="dialog" onClick={() => setOpened('steps')}>
        <span className="unseen">Step: </span>
        {step?.word ?? 'Paper'}
      </ButtonBase>
      <ButtonBase className="which" aria-haspopup="dialog" onClick={() => setOpened('rooms')}>
        <span className="unseen">Room: </span>
        {room?.name ?? 'No room'}
      </ButtonBase>
      <span className={`saving ${state.saving}`} role="status">
        {typing && state.saving === 'saved' ? 'Typing …' : SAVED[state.saving]}
      </span>
      <ButtonBase className="all-tools" aria-haspopup="dialog" onClick={() => setOpened('more')}>
        More
      </ButtonBase>
      <Sheet
        label={opened === 'rooms' ? 'Rooms' : opened === 'steps' ? 'Steps' : 'More'}
        open={opened !== null}
        onClose={close}
        plain
      >
        {opened === 'steps' && (
          <nav aria-label="Steps">
            <List component="div">
              {steps.map(({ key, word, place }) => (
                <ListItemButton
                  key={key}
                  component={Link}
                  to={`${key}${search}`}
                  selected={key === step?.key}
                  aria-current={key === step?.key ? 'page' : undefined}
                  onClick={(event) => {
                    event.preventDefault();
                    goToStep(key);
                    close();
                  }}
                >
                  {place} {word}
                </ListItemButton>
              ))}
              <ListItemButton component={Link} to="/">
                All jobs
              </ListItemButton>
              <ListItemButton component={Link} to={`/hand-over/${state.job.id}`}>
                Hand the job over
              </ListItemButton>
            </List>
          </nav>
        )}
        {opened === 'rooms' && <Rooms onGone={close} />}
        {opened === 'more' && <Tools onHelp={onHelp} />}
      </Sheet>
    </header>
  );
}
