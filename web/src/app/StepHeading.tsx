import { useJob } from './job-context.ts';
import { useHere } from './shortcuts.ts';

/** What the page is, for those who go by headings; a paper has its own. */
export function StepHeading() {
  const { state } = useJob();
  const { page, step } = useHere();
  if (step?.key !== page) return null;
  return (
    <h1 className="unseen">
      {step.word}, <bdi>{state.job.name}</bdi>
    </h1>
  );
}
