import { spelt } from '@kovelin/core/units/word.ts';
import { useJob } from './job-context.ts';

/** A text of ours in the spelling of the job's country: “color” in America. */
export function useSpelt(): (text: string) => string {
  const { system } = useJob();
  return (text) => spelt(text, system);
}
