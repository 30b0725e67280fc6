import Button from '@mui/material/Button';
import { useEffect, useRef } from 'react';
import { useJob } from './job-context.ts';
import { useHere } from './shortcuts.ts';

/** What the page is, for those who go by headings; a change of step leads the focus to it. A paper has its own. */
function StepHeading() {
  const { state } = useJob();
  const { page, step } = useHere();
  const heading = useRef<HTMLHeadingElement>(null);
  const before = useRef(page);
  useEffect(() => {
    if (before.current !== page) heading.current?.focus({ preventScroll: true });
    before.current = page;
  }, [page]);
  if (step?.key !== page) return null;
  return (
    <h1 ref={heading} className="unseen" tabIndex={-1}>
      {step.word}, <bdi>{state.job.name}</bdi>
    </h1>
  );
}

const PLACES = [
  ['Go to the work', ['.entry-panel', 'main']],
  ['Go to the drawing', ['.drawing']],
  ['Go to the panel', ['.panel']],
  ['Go to what is next', ['.next-line']],
] as const;

/** What the page is, and past tape and rooms: the first thing in the part that is chosen takes the focus with the next Tab. */
export const JumpList = () => (
  <nav className="skip" aria-label="Jump to">
    <StepHeading />
    {PLACES.map(([words, selectors]) => (
      <Button
        key={words}
        variant="outlined"
        onClick={() => {
          const parts = selectors.map((selector) => document.querySelector<HTMLElement>(selector));
          const part = parts.find((found) => found !== null);
          if (!part) return;
          part.tabIndex = -1;
          part.focus();
        }}
      >
        {words}
      </Button>
    ))}
  </nav>
);
