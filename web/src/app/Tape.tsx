import { useEffect, useRef, type CSSProperties, type MouseEvent } from 'react';
import { NavLink, useLocation } from 'react-router';
import { useGoToStep, useHere } from './shortcuts.ts';
import { PLACES, useSteps } from './step.ts';

/** Opened elsewhere, a link is the browser's. */
const isPlain = (event: MouseEvent) => !(event.ctrlKey || event.metaKey || event.shiftKey);

/** The steps as a tape drawn out of its case: the hook stands at the current one. */
export function Tape() {
  const steps = useSteps();
  const { step } = useHere();
  const { search } = useLocation();
  const goToStep = useGoToStep();
  const drawn = step?.place ?? PLACES;
  const here = useRef<HTMLLIElement>(null);
  // where the tape is longer than its place, it is pulled out as far as the step, with the next one in sight
  useEffect(() => {
    here.current?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [drawn]);
  return (
    <nav
      className="tape"
      aria-label="Steps"
      style={{ '--drawn': `${(drawn / PLACES) * 100}%`, '--places': PLACES } as CSSProperties}
    >
      <div className="pulled">
        <span className="blade" aria-hidden="true" />
        <ol>
          {steps.map(({ key, word, place }) => (
            <li
              key={key}
              ref={key === step?.key ? here : undefined}
              className={place <= drawn ? 'out' : ''}
              style={{ gridColumn: place }}
            >
              <NavLink
                to={`${key}${search}`}
                onClick={(event) => {
                  if (!isPlain(event)) return;
                  event.preventDefault();
                  goToStep(key);
                }}
              >
                {word}
              </NavLink>
            </li>
          ))}
        </ol>
      </div>
    </nav>
  );
}
