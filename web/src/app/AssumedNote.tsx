import { QUESTIONS } from '@kovelin/core/specify/questions.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { useAssumed } from '../workers/whole.ts';
import { useJob } from './job-context.ts';

/** On paper: what was assumed because nobody has answered it, by question and room; nothing where all of it was. */
export function AssumedNote() {
  const { state } = useJob();
  const { data } = useAssumed(state.job);
  if (!data?.open.length && !data?.guessed.length) return null;
  const nameOf = (id: string) => state.shown.rooms.byId[id]?.name ?? '';
  const byQuestion = [...groupBy(data.open, (answer) => answer.question)].map(([key, answers]) => {
    const rooms = [...new Set(answers.map((answer) => nameOf(answer.room)))];
    return `${QUESTIONS.find((q) => q.key === key)?.short.toLowerCase() ?? key} (${rooms.join(', ')})`;
  });
  return (
    <p className="sheet-facts">
      {data.guessed.length > 0 && `A first guess: ${data.guessed.map(nameOf).join(', ')} not measured to the end. `}
      {byQuestion.length > 0 && `Assumed, since nobody has answered it yet: ${byQuestion.join('; ')}.`}
    </p>
  );
}
