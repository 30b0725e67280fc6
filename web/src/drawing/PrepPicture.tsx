import type { PrepStep } from '@kovelin/core/job/vocabulary.ts';
import type { ReactNode } from 'react';
import './prep-picture.css';

/** A tool moves along this, as far as its head. */
const Goes = ({ d }: { readonly d: string }) => <path className="goes" d={d} />;

/** Each step by the tool that does it and what is seen where it has been; 72 by 44, what is done on the right. */
const DRAWINGS: Readonly<Record<PrepStep | 'between', ReactNode>> = {
  'plates-off': (
    <>
      <path className="dark" d="M10 11h14v22H10z" />
      <path className="tool" d="M36 8h18v28H36z" />
      <path className="line" d="M42 17h6v10h-6zM45 11v2M45 31v2" />
      <Goes d="M26 22h8m20 0h12m-4-4 4 4-4 4" />
    </>
  ),
  'hardware-off': (
    <>
      <path className="line" d="M6 3h26v38H6z" />
      <circle className="dark" cx="25" cy="24" r="3.5" />
      <circle className="tool" cx="49" cy="24" r="7" />
      <path className="tool" d="M36 21h7v6h-7z" />
      <Goes d="M58 24h9m-4-4 4 4-4 4" />
    </>
  ),
  wash: (
    <>
      <path className="wet" d="M34 18h24v24H34z" />
      <path className="cloth" d="M31 8q15-4 30 0v11q-15 4-30 0z" />
      <path className="line" d="M38 12h1M46 14h1M53 11h1M43 17h1" />
      <Goes d="M18 40V12m-4 4 4-4 4 4" />
    </>
  ),
  degrease: (
    <>
      <path className="stain" d="M44 14q14-6 20 6t-10 14q-16 2-16-9z" />
      <path className="tool" d="M8 20h14v20H8zM11 12h8v8h-8zM9 7h14v5H9z" />
      <path className="line" d="M26 9l8 1M26 11l7 5M25 13l5 8" />
    </>
  ),
  scrape: (
    <>
      <path className="under" d="M30 1h41v42H30z" />
      <path className="line" d="M30 1q4 8-1 14t2 13-1 15" />
      <path className="flake" d="M29 17q8-10 15-5-6 1-9 11z" />
      <path className="tool" d="M30 24l18-6 3 8-18 6z" />
      <path className="wood" d="M50 18l16-6 3 8-16 6z" />
    </>
  ),
  fill: (
    <>
      <path className="dark" d="M12 18q6-6 11 0t-2 9-11-1-3-6z" />
      <path className="filler" d="M45 17q7-6 13 0t-2 10-12-1-3-6z" />
      <path className="tool" d="M27 10l14 6-5 15-14-6z" />
      <path className="wood" d="M31 9l4-8 7 3-4 8z" />
    </>
  ),
  degloss: (
    <>
      <path className="line" d="M6 34L24 10M12 38L28 16M5 22l8-11" />
      <path className="cloth" d="M28 15q10-9 20 0l-3 16q-8 6-16-1z" />
      <path className="line" d="M34 17q3 8 0 13M41 16q-2 8 1 14" />
      <Goes d="M52 23h14m-4-4 4 4-4 4" />
    </>
  ),
  sand: (
    <>
      <path className="wood" d="M20 10h30v9H20z" />
      <path className="grit" d="M20 19h30v5H20z" />
      <path className="dust" d="M24 30h.1M31 34h.1M37 30h.1M45 33h.1M28 38h.1M41 38h.1M49 29h.1" />
      <Goes d="M15 15H5m4-4-4 4 4 4M55 15h10m-4-4 4 4-4 4" />
    </>
  ),
  dust: (
    <>
      <path className="wood" d="M40 2h7v15h-7z" />
      <path className="tool" d="M33 17h21v6H33z" />
      <path className="cloth" d="M33 23h21l-3 11-6-2-6 3-6-2z" />
      <path className="dust" d="M6 32h.1M12 27h.1M17 34h.1M22 29h.1M27 35h.1M11 37h.1M24 38h.1" />
      <Goes d="M28 22H8m4-4-4 4 4 4" />
    </>
  ),
  wipe: (
    <>
      <path className="wet" d="M34 12h32v20H34z" />
      <path className="cloth" d="M20 10h20v24H20z" />
      <path className="line" d="M20 18h20M20 26h20M30 10v24" />
      <Goes d="M46 22h16m-4-4 4 4-4 4" />
    </>
  ),
  caulk: (
    <>
      <path className="line" d="M1 30h70" />
      <path className="filler" d="M34 27h37v6H34z" />
      <path className="tool" d="M7 4l16 9-6 9L1 14z" />
      <path className="tool" d="M23 14l12 13-4 4-14-10z" />
    </>
  ),
  between: (
    <>
      <path className="under" d="M1 32h70v11H1z" />
      <path className="coat" d="M1 24h70v8H1z" />
      <path className="cloth" d="M26 12h24v12H26z" />
      <Goes d="M20 17H8m4-4-4 4 4 4M56 17h10m-4-4 4 4-4 4" />
    </>
  ),
};

/** A step of preparation as a picture. */
export const PrepPicture = ({ step }: { readonly step: PrepStep | 'between' }) => (
  <svg className="prep-picture" viewBox="0 0 72 44" aria-hidden="true">
    <path className="ground" d="M1 1h70v42H1z" />
    {DRAWINGS[step]}
    <path className="line" d="M1 1h70v42H1z" />
  </svg>
);
