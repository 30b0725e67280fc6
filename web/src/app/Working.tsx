import ButtonBase from '@mui/material/ButtonBase';
import { formatLength } from '@kovelin/core/units/length.ts';
import { formatArea, formatMinutes, formatSpread, formatVolume } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { INCH, isImperial, type System } from '@kovelin/core/units/si.ts';
import type { Dimension, Working } from '@kovelin/core/units/working.ts';
import { useState } from 'react';

const SIGNS = { sum: '+', difference: '−', product: '×', quotient: '÷', mean: 'mean of' } as const;

/** A cut through a moulding or a filler of a line, m². */
const smallArea = (value: number, system: System): string =>
  isImperial(system) ? `${(value / INCH ** 2).toFixed(2)} in²` : `${(value * 1e6).toFixed(1)} mm²`;

function shown(value: number, dimension: Dimension, system: System): string {
  switch (dimension) {
    case 'length':
      return formatLength(value, system);
    case 'area':
      return value !== 0 && Math.abs(value) < 0.01 ? smallArea(value, system) : formatArea(value, system);
    case 'volume':
      return formatVolume(value, system);
    case 'spread':
      return formatSpread(value, system);
    case 'minutes':
      return formatMinutes(value);
    default:
      return String(Number(value.toFixed(3)));
  }
}

/** A figure that opens into the formula that made it, with this job's numbers. */
export function Figure({ working, system, text }: { working: Working; system: System; text?: string }) {
  const [open, setOpen] = useState(false);
  const figure = text ?? shown(working.value, working.dimension, system);
  return (
    <>
      <ButtonBase
        className="figure"
        aria-label={`${said(working.name, system)}: ${figure}`}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        title="How this is worked out"
      >
        {figure}
      </ButtonBase>
      {open && (
        <div className="working">
          <WorkingTree working={working} system={system} />
        </div>
      )}
    </>
  );
}

/** A figure opened into its terms, each of them again. */
export function WorkingTree({ working, system }: { working: Working; system: System }) {
  const value = <b>{shown(working.value, working.dimension, system)}</b>;
  if (working.op === 'given')
    return (
      <div className="term">
        {said(working.name, system)} {value}
      </div>
    );
  const parts = working.of.filter((term) => term.value !== 0 || working.op !== 'sum');
  return (
    <div className="term">
      {said(working.name, system)} {value}
      {parts.length > 0 && (
        <div className="terms">
          {parts.map((term, i) => (
            <div key={i} className="signed">
              <i>{i === 0 && working.op !== 'mean' ? '=' : SIGNS[working.op]}</i>
              <WorkingTree working={term} system={system} />
            </div>
          ))}
        </div>
      )}
    </div>
  );
}
