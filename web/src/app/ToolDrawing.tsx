import type { MaterialItem } from '@kovelin/core/job/vocabulary.ts';
import type { ReactNode } from 'react';
import './kit.css';

const Handle = ({ d }: { d: string }) => <path d={d} className="tool-wood" />;

/** What is bought and what is owned, as it lies on the bench; 48 by 48. What has no picture of its own is a tin. */
const DRAWINGS: Readonly<Partial<Record<MaterialItem, ReactNode>>> = {
  brush: (
    <>
      <Handle d="M21 4h6l-1 17h-4z" />
      <path d="M15 21h18v7H15z" className="tool-metal" />
      <path d="M15 28h18l-2 16-14-6z" className="tool-hair" />
    </>
  ),
  cover: (
    <>
      <rect x="5" y="16" width="38" height="16" rx="3" className="tool-hair" />
      <ellipse cx="43" cy="24" rx="3" ry="8" className="tool-metal" />
    </>
  ),
  frame: (
    <>
      <rect x="4" y="7" width="31" height="12" rx="3" className="tool-hair" />
      <path d="M35 13h8v13H22v6" className="tool-wire" />
      <Handle d="M19 32h6v13h-6z" />
    </>
  ),
  pole: (
    <>
      <path d="M7 43 39 7" className="tool-wire thick" />
      <Handle d="M4 44 15 32l3 3L7 47z" />
    </>
  ),
  tray: (
    <>
      <path d="M3 14h32l10 21H13z" className="tool-metal" />
      <path d="M9 24h31l5 11H13z" className="tool-paint" />
      <path d="M12 17h22M13 20h22" className="tool-wire" />
    </>
  ),
  liner: <path d="M3 14h32l10 21H13zM8 17h25l7 15H16z" className="tool-metal" />,
  'drop-cloth': (
    <>
      <path d="M4 14 30 8l14 12-27 9z" className="tool-cloth" />
      <path d="m4 14 13 15v10L4 24zM17 29l27-9v9l-27 10z" className="tool-cloth deep" />
    </>
  ),
  card: (
    <>
      <path d="M4 10h36v22H4z" className="tool-metal" />
      <Handle d="M18 32h9v12h-9z" />
    </>
  ),
  goggles: (
    <>
      <path d="M2 22h44" className="tool-wire thick" />
      <path d="M6 15h36v13c0 5-12 5-14 0h-8c-2 5-14 5-14 0z" className="tool-glass" />
    </>
  ),
  respirator: (
    <>
      <path d="M24 8c9 0 13 8 13 17 0 9-5 14-13 14s-13-5-13-14c0-9 4-17 13-17z" className="tool-cloth" />
      <circle cx="10" cy="30" r="7" className="tool-metal" />
      <circle cx="38" cy="30" r="7" className="tool-metal" />
    </>
  ),
  mask: (
    <>
      <path d="M2 18c8 2 8 2 10 4M46 18c-8 2-8 2-10 4" className="tool-wire" />
      <path d="M10 21c8-9 20-9 28 0 0 12-6 18-14 18s-14-6-14-18z" className="tool-cloth" />
    </>
  ),
  gloves: <path d="M14 44V26l-7-6 3-3 7 4V7h4v13V4h4v16V6h4v15V9h4v35z" className="tool-glass" />,
  tape: (
    <>
      <circle cx="22" cy="22" r="17" className="tool-tape" />
      <circle cx="22" cy="22" r="9" className="tool-hole" />
      <path d="M39 22v19h6v4H35V30" className="tool-tape" />
    </>
  ),
  film: (
    <>
      <rect x="5" y="9" width="12" height="32" rx="2" className="tool-tape" />
      <path d="M17 11h26l-4 5 4 6-4 6 4 6-4 6H17z" className="tool-glass" />
    </>
  ),
  caulk: (
    <>
      <path d="M3 18h29v12H3z" className="tool-cloth" />
      <path d="M32 20h5l9 4-9 4h-5z" className="tool-metal" />
    </>
  ),
  filler: (
    <>
      <path d="M8 14h32l-4 29H12z" className="tool-cloth" />
      <path d="M6 9h36v6H6z" className="tool-metal" />
    </>
  ),
  patch: (
    <>
      <path d="M6 8h36v32H6z" className="tool-cloth" />
      <path d="M6 16h36M6 24h36M6 32h36M15 8v32M24 8v32M33 8v32" className="tool-wire" />
    </>
  ),
  abrasive: (
    <>
      <path d="M6 10h28v32H6z" className="tool-grit" />
      <path d="M34 10c8 0 9 7 5 12l-5-4z" className="tool-cloth" />
    </>
  ),
  blades: <path d="M5 17h31l8 7-8 7H5zM10 24h4M17 24h4M24 24h4" className="tool-metal" />,
  rags: (
    <path d="M5 15c9-9 13 3 20-3s12 2 18 0c-4 7 3 11-2 18s-10-1-16 5-11-3-18 0c3-7-5-12-2-20z" className="tool-cloth" />
  ),
  bags: <path d="M10 12h28v31H10zM10 18h28" className="tool-glass" />,
};

const TIN = (
  <>
    <path d="M8 15v25c0 5 32 5 32 0V15" className="tool-metal" />
    <ellipse cx="24" cy="15" rx="16" ry="5" className="tool-paint" />
    <path d="M8 17C10 2 38 2 40 17" className="tool-wire" />
  </>
);
const SAME: Readonly<Partial<Record<MaterialItem, MaterialItem>>> = { 'tape-fine': 'tape' };

/** A picture of what is meant, beside its name; it says nothing that the name does not. */
export const ToolDrawing = ({ item }: { item: MaterialItem }) => (
  <svg viewBox="0 0 48 48" className="tool-drawing" aria-hidden="true">
    {DRAWINGS[SAME[item] ?? item] ?? TIN}
  </svg>
);
