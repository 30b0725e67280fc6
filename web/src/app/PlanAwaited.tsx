import type { Job } from '@kovelin/core/job/types.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { usePlan } from '../workers/whole.ts';

/** What stands where something waits for the days of the plan: it is worked out, was stopped, or cannot be. */
export function PlanAwaited({ job }: { job: Job }) {
  const { isFetching, error, refetch } = usePlan(job);
  if (isFetching) return <p className="waiting">Working out the order of work …</p>;
  return (
    <p className="waiting" role="alert">
      {error ? `The order of work could not be worked out: ${error.message}` : 'The order of work was stopped.'}{' '}
      <TextButton onClick={() => void refetch()}>Work it out</TextButton>
    </p>
  );
}
