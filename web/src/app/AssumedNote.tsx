import { assumedSentence } from '@kovelin/core/whole/rests.ts';
import { useAssumed } from '../workers/whole.ts';
import { useJob } from './job-context.ts';

/** On paper: what was assumed because nobody has answered it; nothing where all of it was. */
export function AssumedNote() {
  const { state } = useJob();
  const { data } = useAssumed(state.job);
  const text = data && assumedSentence(data, state.shown);
  return text ? <p className="sheet-facts">{text}</p> : null;
}
