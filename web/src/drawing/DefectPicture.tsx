import type { DefectKind } from '@kovelin/core/job/recorded.ts';
import { DEFECT } from '@kovelin/core/words/found.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { useId, type ReactNode } from 'react';
import './defect-picture.css';

/** Paint that stands out of the film: lit on the left, its shadow on the right. */
const Ridge = ({ d }: { d: string }) => (
  <>
    <path d={d} className="dp-shadow" transform="translate(1.6 0)" />
    <path d={d} className="dp-lit" />
  </>
);
/** What lies lower than the film: the other way round. */
const Pit = ({ x, y, r }: { x: number; y: number; r: number }) => (
  <>
    <circle cx={x} cy={y} r={r} className="dp-low" />
    <path d={`M${x - r * 0.7} ${y + r * 0.7}A${r} ${r} 0 0 1 ${x - r * 0.7} ${y - r * 0.7}`} className="dp-shadow" />
    <path d={`M${x + r * 0.7} ${y - r * 0.7}A${r} ${r} 0 0 1 ${x + r * 0.7} ${y + r * 0.7}`} className="dp-lit" />
  </>
);
/** Spread evenly, in no rows [the R2 sequence]. */
const spots = (n: number, draw: (x: number, y: number, i: number) => ReactNode) =>
  Array.from({ length: n }, (_, i) => draw(8 + ((i * 0.7549) % 1) * 104, 6 + ((i * 0.5698) % 1) * 56, i));

/** Each defect as it looks under light from the left; 120 by 68. */
const PICTURES: Readonly<Record<DefectKind, ReactNode>> = {
  unknown: (
    <text x="60" y="44" textAnchor="middle" className="dp-mark">
      ?
    </text>
  ),
  lap: (
    <>
      <rect x="52" width="16" height="68" className="dp-shiny" />
      <Ridge d="M52 0V68M68 0V68" />
    </>
  ),
  halo: (
    <>
      <path d="M0 0H120V16H14V68H0Z" className="dp-dull" />
      <path d="M14 68V16H120" className="dp-soft" />
    </>
  ),
  miss: (
    <>
      <path d="M30 18q12 -6 26 0t20 8q-14 4 -26 0t-20 -8Z" className="dp-old" />
      <path d="M70 46q8 -3 16 1t10 4q-10 3 -18 0t-8 -5Z" className="dp-old" />
    </>
  ),
  flashing: (
    <>
      <ellipse cx="36" cy="26" rx="18" ry="12" className="dp-shiny" />
      <ellipse cx="84" cy="46" rx="14" ry="10" className="dp-dull" />
    </>
  ),
  tracks: <Ridge d="M22 0V68M44 0V68M66 0V68M88 0V68" />,
  'orange-peel': (
    <>
      {spots(46, (x, y, i) => (
        <Pit key={i} x={x} y={y} r={2.6} />
      ))}
    </>
  ),
  run: (
    <>
      <Ridge d="M40 6V44M78 2V30" />
      <ellipse cx="40" cy="48" rx="4" ry="6" className="dp-bead" />
      <ellipse cx="78" cy="34" rx="3.4" ry="5" className="dp-bead" />
    </>
  ),
  cissing: (
    <>
      {spots(11, (x, y, i) => (
        <Pit key={i} x={x} y={y} r={3 + (i % 3) * 1.6} />
      ))}
    </>
  ),
  lifting: <Ridge d="M30 20q6 -8 12 0t12 0t12 0t12 0M30 32q6 -8 12 0t12 0t12 0t12 0M30 44q6 -8 12 0t12 0t12 0t12 0" />,
  'filler-lifted': (
    <>
      <path d="M44 18l18 -6l20 8l4 18l-14 12l-22 -2l-12 -14Z" className="dp-filler" />
      <Ridge d="M44 18l18 -6l20 8M86 38l-14 12" />
      <circle cx="94" cy="52" r="2" className="dp-filler" />
      <circle cx="30" cy="48" r="1.6" className="dp-filler" />
    </>
  ),
  'tape-bleed': (
    <>
      <path d="M0 34H120V68H0Z" className="dp-other" />
      <path
        d="M0 35c8 -2 8 -9 14 -8s4 7 12 6s6 -12 14 -10s6 9 16 8s6 -7 14 -6s4 6 12 5s6 -11 16 -9s8 8 22 6V36H0Z"
        className="dp-other"
      />
    </>
  ),
  'torn-edge': (
    <>
      <path d="M0 34l10 -3l6 5l12 -6l4 8l14 -9l8 6l10 -4l9 8l12 -9l8 6l12 -7l6 5l9 -3V68H0Z" className="dp-other" />
      <Ridge d="M16 36l12 -6l4 8l14 -9M82 33l8 6l12 -7" />
    </>
  ),
  'wavy-edge': <path d="M0 32c18 -9 26 10 44 3s24 -11 40 -2s24 4 36 -2V68H0Z" className="dp-other" />,
  shade: (
    <>
      <rect x="60" width="60" height="68" className="dp-dull" />
      <path d="M60 0V68" className="dp-soft" />
    </>
  ),
  lint: (
    <>
      {spots(13, (x, y, i) => (
        <Ridge key={i} d={`M${x} ${y}q3 -3 6 ${(i % 5) - 2}`} />
      ))}
    </>
  ),
  'poor-hiding': (
    <>
      <path d="M0 0H120V68H0Z" className="dp-through" />
      <path d="M20 0V68M52 0V68M84 0V68M108 0V68" className="dp-old-lines" />
    </>
  ),
  bleeding: (
    <>
      <ellipse cx="58" cy="34" rx="26" ry="18" className="dp-stain" />
      <ellipse cx="58" cy="34" rx="17" ry="11" className="dp-stain" />
    </>
  ),
  blocking: (
    <>
      <path d="M0 0H58V68H0Z" className="dp-dull" />
      <path d="M58 0V68" className="dp-joint" />
      <Ridge d="M56 14l6 4M55 30l8 2M57 48l6 5" />
    </>
  ),
  wrinkling: (
    <Ridge d="M16 10c10 8 4 16 14 22s6 14 14 22M40 6c8 8 4 18 14 24s4 16 14 24M66 8c8 10 4 16 14 22s6 14 12 20M90 10c6 8 4 14 10 20" />
  ),
  blistering: (
    <>
      {spots(8, (x, y, i) => (
        <g key={i}>
          <circle cx={x} cy={y} r={4 + (i % 3) * 2} className="dp-bead" />
        </g>
      ))}
    </>
  ),
  cracking: (
    <path
      d="M10 8l14 10l-4 12l16 8l2 16M52 4l-4 14l14 8l-2 16l12 10M92 6l-8 14l14 10l-6 14l10 12M24 18l22 -2M62 26l24 -4"
      className="dp-crack"
    />
  ),
  flaking: (
    <>
      <path d="M30 14l20 -4l16 10l-6 14l-20 4l-12 -12Z" className="dp-old" />
      <Ridge d="M30 14l20 -4l16 10" />
      <path d="M78 42l14 -4l10 8l-8 10l-14 -4Z" className="dp-old" />
      <Ridge d="M78 42l14 -4l10 8" />
    </>
  ),
};

/** A schematic drawing of a defect under raking light. */
export function DefectPicture({ kind, system }: { readonly kind: DefectKind; readonly system: System }) {
  const id = useId();
  return (
    <svg viewBox="0 0 120 68" className="defect-picture" role="img" aria-label={said(DEFECT[kind].looks, system)}>
      <linearGradient id={id}>
        <stop offset="0" className="dp-near" />
        <stop offset="1" className="dp-far" />
      </linearGradient>
      <rect width="120" height="68" className="dp-wall" />
      {PICTURES[kind]}
      <rect width="120" height="68" fill={`url(#${id})`} className="dp-light" />
    </svg>
  );
}
