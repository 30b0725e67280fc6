import type { PartKind } from '@kovelin/core/job/vocabulary.ts';
import type { ReactNode } from 'react';
import type { Dimension } from './start-part.ts';
import './part-picture.css';

/** Of each dimension, the line along which it is taped. */
type Taped = Readonly<Partial<Record<Dimension, string>>>;
interface Picture {
  readonly drawn: ReactNode;
  readonly taped: Taped;
}

const wall = <path className="wall" d="M6 4h72v48H6z" />;
const thing = (d: string) => <path className="thing" d={d} />;
const line = (d: string) => <path d={d} />;

/** On the face of a wall, from its left end and its floor. */
const onWall = (more?: ReactNode): Picture => ({
  drawn: (
    <>
      {wall}
      {thing('M28 14h32v24H28z')}
      {more}
    </>
  ),
  taped: { width: 'M28 10h32', height: 'M64 14v24', at: 'M6 26h22', sill: 'M44 38v14' },
});
/** A body before a wall, its depth going back to the right. */
const before = (d: string, back: string, taped: Taped, more?: ReactNode): Picture => ({
  drawn: (
    <>
      {wall}
      {thing(back)}
      {thing(d)}
      {more}
    </>
  ),
  taped,
});
/** A body that stands by itself. */
const box = (more?: ReactNode): Picture => ({
  drawn: (
    <>
      {thing('M16 20 28 10h40v24L56 46H16z')}
      {line('M16 20h40v26M56 20 68 10')}
      {more}
    </>
  ),
  taped: { width: 'M16 51h40', height: 'M11 20v26', depth: 'M60 49 72 37' },
});
const round = (top: number, more: string): Picture => ({
  drawn: (
    <>
      {thing(`M26 ${top}v${44 - top}a16 5 0 0 0 32 0V${top}`)}
      <ellipse className="thing" cx="42" cy={top} rx="16" ry="5" />
      {line(more)}
    </>
  ),
  taped: { width: `M26 ${top}h32`, height: `M64 ${top}v${44 - top}` },
});
/** A section through the ceiling. */
const overhead = (d: string, taped: Taped): Picture => ({ drawn: line(d), taped });
/** Something small on a wall, as large as it is masked. */
const small = (more: ReactNode): Picture => ({
  drawn: (
    <>
      {wall}
      {more}
    </>
  ),
  taped: { width: 'M26 8h32', height: 'M64 14v28' },
});
/** The tape goes round it. */
const girth = (cx: number, cy: number, r = 6) =>
  `M${cx - r} ${cy}a${r} 3.5 0 1 0 ${2 * r} 0a${r} 3.5 0 1 0 ${-2 * r} 0`;

const PICTURES: Readonly<Record<PartKind | 'profile', Picture>> = {
  profile: {
    drawn: (
      <>
        <path className="wall" d="M6 2h14v50H6z" />
        {thing('M20 10q8 0 8 7-4 1-4 5t5 5v25H20z')}
      </>
    ),
    taped: { width: 'M20 7q11-1 11 11-4 0-4 4t5 3v27' },
  },
  dado: {
    drawn: (
      <>
        {wall}
        {thing('M6 30h72v22H6z')}
      </>
    ),
    taped: { height: 'M42 30v22' },
  },
  frieze: {
    drawn: (
      <>
        {wall}
        {thing('M6 4h72v14H6z')}
      </>
    ),
    taped: { sill: 'M42 18v34' },
  },
  panel: onWall(line('M32 18h24v16H32z')),
  tile: onWall(line('M28 22h32M28 30h32M36 14v24M44 14v24M52 14v24')),
  cabinet: onWall(line('M44 14v24M41 25v3M47 25v3')),
  soffit: before('M26 16h30v14H26z', 'M26 16 36 4h30v14L56 30', {
    width: 'M26 35h30',
    height: 'M21 16v14',
    depth: 'M60 33 70 21',
    at: 'M6 9h26',
  }),
  recess: before(
    'M28 12h32v40H28z',
    'M28 12h32v40H28z',
    { width: 'M28 8h32', height: 'M64 12v40', depth: 'M28 12l8 7', at: 'M6 30h22', sill: 'M44 45v7' },
    line('M36 19h16v26H36zM28 12l8 7M60 12l-8 7M60 52l-8-7M28 52l8-7'),
  ),
  pilaster: before('M30 10h18v42H30z', 'M48 10l8-6v42l-8 6z', {
    width: 'M30 7h18',
    height: 'M26 10v42',
    depth: 'M50 55l9-7',
    at: 'M6 30h24',
    sill: 'M39 46v6',
  }),
  closet: before(
    'M26 14h30v38H26z',
    'M26 14l12-8h30v38l-12 8z',
    { width: 'M26 55h30', height: 'M21 14v38', depth: 'M60 53 71 46', at: 'M6 30h20' },
    line('M41 14v38'),
  ),
  'built-in': before(
    'M26 14h30v38H26z',
    'M26 14l12-8h30v38l-12 8z',
    { width: 'M26 55h30', height: 'M21 14v38', depth: 'M60 53 71 46', at: 'M6 30h20', sill: 'M41 46v6' },
    line('M26 26h30M26 39h30'),
  ),
  column: {
    drawn: (
      <>
        {thing('M30 8 40 4h14v40L44 52H30z')}
        {line('M30 8h14v44M44 8 54 4')}
      </>
    ),
    taped: { width: 'M30 55h14', height: 'M25 8v44', depth: 'M47 55l10-8' },
  },
  'round-column': round(8, ''),
  beam: {
    drawn: (
      <>
        {line('M4 8h76')}
        {thing('M12 8h48v14H12zM60 22 72 14V8')}
      </>
    ),
    taped: { width: 'M12 27h48', height: 'M8 8v14', depth: 'M63 25l12-8' },
  },
  'half-wall': box(),
  hatch: {
    drawn: (
      <>
        {line('M4 4h76')}
        {thing('M22 16h34l12 20H14z')}
        {line('M26 19h26l9 14H20z')}
      </>
    ),
    taped: { width: 'M14 41h54', depth: 'M60 14l12 21' },
  },
  skylight: overhead('M4 44h22V14h30v30h24M56 44l10-8M56 14l8-6M26 14l8-6h30', {
    width: 'M26 48h30',
    height: 'M22 14v30',
    depth: 'M58 47l12-9',
  }),
  tray: overhead('M4 42h18V18h40v24h18', { height: 'M26 18v24', depth: 'M4 47h18' }),
  stringer: {
    drawn: (
      <>
        {thing('M8 44 62 6h12v8L20 52H8z')}
        {line('M8 44V34h12V26h12v-9h12V9h12V6')}
      </>
    ),
    taped: { width: 'M22 55 76 17', height: girth(38, 29, 9) },
  },
  spindles: {
    drawn: (
      <>
        {thing('M6 6h72v5H6zM6 46h72v5H6z')}
        {line('M16 11v35M20 11v35M32 11v35M36 11v35M48 11v35M52 11v35M64 11v35M68 11v35')}
      </>
    ),
    taped: { width: girth(34, 30), height: 'M58 11v35' },
  },
  handrail: {
    drawn: (
      <>
        {thing('M8 42 70 8l4 6-62 34z')}
        {line('M20 42v10M62 18v34')}
      </>
    ),
    taped: { width: 'M5 35 67 2', height: girth(42, 28, 8) },
  },
  radiator: {
    drawn: (
      <>
        {wall}
        {thing('M24 20h34v24H24z')}
        {line('M30 20v24M36 20v24M42 20v24M48 20v24M54 20v24M58 20l5-4v24l-5 4')}
      </>
    ),
    taped: { width: 'M24 47h34', height: 'M20 20v24', depth: 'M60 47l7-5', at: 'M6 32h18', sill: 'M41 44v8' },
  },
  shelf: {
    drawn: (
      <>
        {thing('M12 26 24 14h48v8L60 34H12z')}
        {line('M12 26h48v8M60 26l12-12')}
      </>
    ),
    taped: { width: 'M12 39h48', height: 'M8 26v8', depth: 'M64 37l12-12' },
  },
  furniture: box(line('M16 28h40M16 37h40M34 24h4M34 33h4M34 42h4')),
  drum: round(18, ''),
  cone: {
    drawn: (
      <>
        {thing('M32 12 22 44a20 5 0 0 0 40 0L52 12z')}
        <ellipse className="thing" cx="42" cy="12" rx="10" ry="3" />
      </>
    ),
    taped: { width: 'M22 44h40', height: 'M68 12v32' },
  },
  plate: small(
    <>
      {thing('M32 14h20v28H32z')}
      {line('M39 22h6v12h-6zM42 17v1M42 38v1')}
    </>,
  ),
  socket: small(
    <>
      {thing('M26 14h32v28H26z')}
      <circle cx="42" cy="28" r="8" />
      {line('M39 26v4M45 26v4')}
    </>,
  ),
  light: {
    drawn: (
      <>
        {line('M4 6h76M42 6v8')}
        {thing('M26 32q0-18 16-18t16 18z')}
      </>
    ),
    taped: { width: 'M26 37h32', height: 'M63 14v18' },
  },
  detector: {
    drawn: (
      <>
        {line('M4 8h76')}
        {thing('M28 8h28l-4 12H32z')}
        <circle cx="42" cy="14" r="1.5" />
      </>
    ),
    taped: { width: 'M28 25h28', height: 'M61 8v12' },
  },
  vent: small(
    <>
      {thing('M26 14h32v28H26z')}
      {line('M30 20h24M30 25h24M30 30h24M30 35h24')}
    </>,
  ),
  rod: small(
    <>
      {thing('M18 17h48v4H18z')}
      {line('M15 16v6M69 16v6M26 21v8M58 21v8')}
    </>,
  ),
  mirror: small(
    <>
      {thing('M26 14h32v28H26z')}
      {line('M32 34l14-14M38 36l10-10')}
    </>,
  ),
  fixing: small(
    <>
      {thing('M39 20h6v6h-6z')}
      {line('M42 26v6q0 5 5 5t5-5')}
    </>,
  ),
};

/** A part of its kind with what is taped of it: the ends are where the tape is held; `at` is the one being typed. */
export function PartPicture({
  kind,
  shown,
  at,
}: {
  kind: PartKind | 'profile';
  shown: readonly Dimension[];
  at: Dimension | null;
}) {
  const { drawn, taped } = PICTURES[kind];
  return (
    <svg
      className={kind === 'profile' ? 'part-picture profile' : 'part-picture'}
      viewBox={kind === 'profile' ? '0 0 42 58' : '0 0 84 58'}
      aria-hidden="true"
    >
      {drawn}
      {shown.map(
        (key) => taped[key] && <path key={key} className={key === at ? 'taped now' : 'taped'} d={taped[key]} />,
      )}
    </svg>
  );
}
