import { useIsOld, type JobView } from './whole.ts';

/** Beside figures that follow from the plan: says, from the key press on, that something they are made of has changed since. */
export function Old({ view }: { view: Pick<JobView, 'state'> }) {
  return (
    <small className="old-word" role="status">
      {useIsOld(view) && 'old: being worked out again'}
    </small>
  );
}
