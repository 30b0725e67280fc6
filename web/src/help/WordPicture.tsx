import type { MaterialItem } from '@kovelin/core/job/vocabulary.ts';
import type { DefectKind } from '@kovelin/core/job/recorded.ts';
import type { TestId } from '@kovelin/core/specify/questions.ts';
import type { System } from '@kovelin/core/units/si.ts';
import type { ReactNode } from 'react';
import { ToolDrawing } from '../app/ToolDrawing.tsx';
import { DefectPicture } from '../drawing/DefectPicture.tsx';
import { TestDrawing } from '../drawing/TestDrawing.tsx';

/** Words that are a defect, a test or a tool have the picture that those have elsewhere. */
const DEFECTS: Readonly<Record<string, DefectKind>> = { flashing: 'flashing', miss: 'miss', lap: 'lap', run: 'run' };
const TESTS: Readonly<Record<string, TestId>> = { 'cross-cut': 'cross-cut', chalking: 'wipe' };
const TOOLS: Readonly<Record<string, MaterialItem>> = { grain: 'abrasive', wash: 'wash' };

const Note = ({ x, y, children }: { x: number; y: number; children: string }) => (
  <text x={x} y={y} className="wp-note">
    {children}
  </text>
);

/** The others, 120 by 68: the wall seen from the front, or films cut through, much enlarged. */
const PICTURES: Readonly<Record<string, ReactNode>> = {
  baseboard: (
    <>
      <path d="M0 56h30V10h34v46h56v12H0z" className="wp-trim" />
      <path d="M36 16h22v52H36z" className="wp-deep" />
    </>
  ),
  batch: (
    <>
      <path d="M8 10h26v26H8z" className="wp-new" />
      <path d="M86 10h26v26H86z" className="wp-other" />
      <path d="M34 36l14 12M86 36 72 48" className="wp-line" />
      <path d="M44 44h32l-4 20H48z" className="wp-mixed" />
    </>
  ),
  coat: (
    <>
      <path d="M0 50h120v18H0z" className="wp-deep" />
      <path d="M4 26h50v24H4z" className="wp-wet" />
      <path d="M66 42h50v8H66z" className="wp-new" />
      <Note x={8} y={20}>
        wet
      </Note>
      <Note x={70} y={36}>
        dry film
      </Note>
    </>
  ),
  'cut-in': (
    <>
      <path d="M0 0h120v16H0z" className="wp-trim" />
      <path d="M0 16h74v13H0z" className="wp-new" />
      <path d="M70 14l12 4-4 12-12-3z" className="wp-hair" />
      <path d="M80 24l18 20" className="wp-handle" />
    </>
  ),
  'delta-e': (
    <>
      {/* apart from the first by CIEDE2000, worked out with culori */}
      {(['#9db5a0', '#9cb5a3', '#9bb5a8', '#96b5b7'] as const).map((hex, i) => (
        <rect key={hex} x={4 + i * 28} y="8" width="28" height="40" fill={hex} />
      ))}
      {['', '1', '3', '10'].map((apart, i) => (
        <Note key={apart} x={14 + i * 28} y={62}>
          {apart}
        </Note>
      ))}
    </>
  ),
  feather: (
    <>
      <path d="M0 50h120v18H0z" className="wp-deep" />
      <path d="M10 50c22 0 34-16 50-16s28 16 50 16z" className="wp-filler" />
    </>
  ),
  hiding: (
    <>
      <path d="M0 0h60v68H0z" className="wp-paper" />
      <path d="M60 0h60v68H60z" className="wp-black" />
      <path d="M12 14h96v40H12z" className="wp-new" opacity="0.9" />
    </>
  ),
  key: (
    <>
      <path d="M0 50h120v18H0z" className="wp-deep" />
      <path d="M0 38h54v12H0z" className="wp-shine" />
      <path d="M62 50v-9l5-4 4 5 5-5 4 5 5-5 5 5 4-5 5 5 4-5 5 5 5-5 5 5v8z" className="wp-new" />
    </>
  ),
  'lay-off': (
    <>
      <path d="M0 0h120v68H0z" className="wp-wet" />
      <path d="M14 62V8M34 62V8M54 62V8M74 62V8" className="wp-line" markerEnd="url(#wp-arrow)" />
      <path d="M86 6h22v12H86z" className="wp-hair" />
      <path d="M97 18v30" className="wp-handle" />
    </>
  ),
  'lead-lap': (
    <>
      <path d="M0 0h120v34H0z" className="wp-trim" />
      <path d="M0 28h120v8H0z" className="wp-new" opacity="0.45" />
      <path d="M0 34h120v34H0z" className="wp-other" />
      <path d="M0 34h120" className="wp-line" />
      <Note x={6} y={24}>
        first, past the line
      </Note>
      <Note x={6} y={52}>
        second, cut to it
      </Note>
    </>
  ),
  lrv: (
    <>
      {['#26282a', '#565d60', '#7f8c76', '#b5b2a9', '#dfd6c2', '#f5f5f2'].map((hex, i) => (
        <rect key={hex} x={i * 20} y="8" width="20" height="38" fill={hex} />
      ))}
      <Note x={4} y={60}>
        2
      </Note>
      <Note x={102} y={60}>
        91
      </Note>
    </>
  ),
  misclosure: (
    <>
      <path d="M18 12h82v44H18V18" className="wp-line thick" />
      <path d="M18 18v-6" className="wp-gap" />
      <Note x={26} y={28}>
        missing
      </Note>
    </>
  ),
  nap: (
    <>
      <path d="M6 20h46v16H6zM68 14h46v28H68z" className="wp-hair" />
      <path d="M6 24h46v8H6zM68 24h46v8H68z" className="wp-deep" />
      <Note x={12} y={58}>
        short
      </Note>
      <Note x={78} y={58}>
        long
      </Note>
    </>
  ),
  'open-time': (
    <>
      <path d="M0 0h48v68H0z" className="wp-new" />
      <path d="M48 0h44v68H48z" className="wp-wet" />
      <path d="M92 0q6 6 0 12t0 12 0 12 0 12 0 12v8" className="wp-line" />
      <Note x={54} y={38}>
        wet
      </Note>
      <Note x={10} y={38}>
        set
      </Note>
    </>
  ),
  primer: (
    <>
      <path d="M0 44h120v24H0z" className="wp-deep" />
      <path d="M0 34h120v10H0z" className="wp-filler" />
      <path d="M0 18h120v16H0z" className="wp-new" />
      <Note x={6} y={30}>
        finish
      </Note>
      <Note x={6} y={43}>
        primer
      </Note>
    </>
  ),
  raking: (
    <>
      <path d="M108 0h12v68h-12z" className="wp-deep" />
      <path d="M108 20q-7 4 0 8M108 40q7 4 0 8" className="wp-line" />
      <path d="M92 4 104 66M84 4l16 62M76 4l20 62" className="wp-ray" />
      <path d="M70 0h26l-4 6H74z" className="wp-lamp" />
    </>
  ),
  recoat: (
    <>
      {(['wp-wet', 'wp-drying', 'wp-new'] as const).map((look, i) => (
        <rect key={look} x={i * 40} y="10" width="38" height="34" className={look} />
      ))}
      <Note x={6} y={60}>
        wet
      </Note>
      <Note x={42} y={60}>
        drying
      </Note>
      <Note x={84} y={60}>
        ready
      </Note>
    </>
  ),
  sheen: (
    <>
      {[0, 0.15, 0.3, 0.5, 0.8].map((shine, i) => (
        <g key={shine}>
          <rect x={i * 24} y="8" width="24" height="44" className="wp-other" />
          <ellipse cx={i * 24 + 12} cy="22" rx="9" ry="6" fill="#fff" opacity={shine} />
        </g>
      ))}
      <Note x={2} y={64}>
        flat
      </Note>
      <Note x={92} y={64}>
        gloss
      </Note>
    </>
  ),
  spread: (
    <>
      <path d="M6 26h20v24H6z" className="wp-other" />
      <path d="M36 38h12m-5-5 5 5-5 5" className="wp-line" />
      <path d="M56 8h58v52H56z" className="wp-new" />
      <path d="M56 25h58M56 42h58M75 8v52M95 8v52" className="wp-line thin" />
    </>
  ),
};

/** A picture of a word; a reader who does not see it has the sentence beside it. */
export function WordPicture({ word, system }: { word: string; system: System }) {
  if (DEFECTS[word])
    return (
      <span aria-hidden="true">
        <DefectPicture kind={DEFECTS[word]} system={system} />
      </span>
    );
  if (TESTS[word])
    return (
      <span className="word-test">
        <TestDrawing test={TESTS[word]} />
      </span>
    );
  if (TOOLS[word]) return <ToolDrawing item={TOOLS[word]} />;
  return (
    <svg viewBox="0 0 120 68" className="word-picture" aria-hidden="true">
      <rect width="120" height="68" className="wp-wall" />
      {PICTURES[word]}
    </svg>
  );
}
