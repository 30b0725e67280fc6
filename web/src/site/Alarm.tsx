import { taskWord } from '@kovelin/core/paces/tasks.ts';
import type { SiteClock } from '@kovelin/core/site/clocks.ts';
import { said } from '@kovelin/core/units/word.ts';
import { CLOCKS } from '@kovelin/core/words/site.ts';
import type { Shared } from './shared.ts';
import { countdown } from './times.ts';
import { TextButton } from '../ui/TextButton.tsx';
import Button from '@mui/material/Button';
import { ringsAt, type Alarms } from './useAlarms.ts';
import ButtonBase from '@mui/material/ButtonBase';

interface AlarmProps extends Shared {
  readonly alarms: Alarms;
  readonly onShow: () => void;
}
/** What comes due next, always in sight; what could not be written, above it. */
export function Alarm({ view, site, tasks, log, now, alarms, onShow }: AlarmProps) {
  const next = site?.clocks.find((clock) => ringsAt(clock) > now && clock.kind !== 'touch' && clock.kind !== 'cure');
  const task = next && tasks.get(next.operation);
  const count = alarms.ringing.length;
  /** The first of what it lets begin, or what it runs for. */
  const whatFor = ({ frees, operation }: SiteClock): string => {
    const meant = tasks.get(frees[0] ?? '') ?? tasks.get(operation);
    return meant ? said(taskWord(meant), view.system) : '';
  };
  return (
    <div className="site-alarm">
      {log.failed !== null && (
        <p role="alert" className="alarm failed">
          {log.failed} {log.waiting > 0 && <b>{log.waiting} not written.</b>}{' '}
          <TextButton onClick={log.again}>Try again</TextButton>
        </p>
      )}
      {log.late && log.failed === null && (
        <p role="status" className="alarm late">
          {log.waiting === 1 ? 'One thing that was noted is' : `${log.waiting} things that were noted are`} still being
          written. Keep this page open.
        </p>
      )}
      {count > 0 && (
        <p role="alert" className="alarm ringing">
          <TextButton onClick={onShow}>
            {count === 1 && alarms.ringing[0]
              ? `${said(CLOCKS[alarms.ringing[0].kind], view.system)} now: ${whatFor(alarms.ringing[0])}`
              : `${count} are due now`}
          </TextButton>
          <Button variant="outlined" onClick={alarms.hush}>
            Seen
          </Button>
        </p>
      )}
      {next && (
        <ButtonBase className="alarm next" onClick={onShow}>
          <b>{countdown(next.due - now)}</b>{' '}
          <span>
            {said(CLOCKS[next.kind], view.system)}
            {task && `: ${whatFor(next)}`}
          </span>
        </ButtonBase>
      )}
    </div>
  );
}
