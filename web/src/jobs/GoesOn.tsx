import { pricesOf } from '@kovelin/core/job/as-before.ts';
import { STARTING_PRODUCTS } from '@kovelin/core/job/library.ts';
import Button from '@mui/material/Button';
import type { lastOf } from '../store/jobs.ts';
import { Check } from '../ui/Check.tsx';

interface Props {
  readonly last: ReturnType<typeof lastOf>;
  /** null: nobody was asked. */
  readonly answer: boolean | null;
  readonly onAnswer: (yes: boolean) => void;
}

/** Names that nobody gave. */
const NOBODY = /^(Painter \d|Me)$/;
const STARTING = Object.fromEntries(STARTING_PRODUCTS.map((product) => [product.id, product]));

/** Whether a new job begins with the crew and the prices of the last one: asked the first time, shown and changeable after. */
export function GoesOn({ last, answer, onAnswer }: Props) {
  if (!last) return null;
  const names = last.goesOn.crew.people.map(({ name }) => name);
  const prices = pricesOf(last.goesOn, { products: STARTING });
  // not asked for nothing; what was answered is always shown
  if (answer === null && !prices && names.every((name) => NOBODY.test(name))) return null;
  const what = [...names, ...(prices ? [`${prices} ${prices === 1 ? 'price' : 'prices'}`] : [])].join(', ');
  const words = (
    <>
      As in your last job, <bdi>{last.name}</bdi>: {what}
    </>
  );
  if (answer !== null) return <Check label={words} checked={answer} onChange={onAnswer} />;
  return (
    <fieldset className="kit-question">
      <legend>{words}. Begin with that?</legend>
      <Button variant="outlined" onClick={() => onAnswer(true)}>
        Yes, this time and after
      </Button>
      <Button variant="outlined" onClick={() => onAnswer(false)}>
        No
      </Button>
    </fieldset>
  );
}
