import { useIsOld } from '../workers/whole.ts';
import type { JobView } from './job-context.ts';

/** Beside figures that follow from the plan: says, from the key press on, that something they are made of has changed since. */
export function Old({ view }: { view: Pick<JobView, 'state'> }) {
  return (
    <small className="old-word" role="status">
      {useIsOld(view.state) && 'old: being worked out again'}
    </small>
  );
}
