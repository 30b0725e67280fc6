import type { TestId } from '@kovelin/core/specify/questions.ts';
import './test-drawing.css';

/** How each test is done and what to look for: what happens on the left, the two ends of the answer on the right. */
const DRAWINGS: Readonly<Record<TestId, React.ReactNode>> = {
  solvent: (
    <>
      <path className="ground" d="M6 8h76v60H6z" />
      <path className="line" d="M30 44c6-14 20-18 30-10l8 6-12 16c-8 4-20 2-26-12z" />
      <path className="line" d="M22 54l-8 6M24 60l-6 7M66 26q8-2 12 4" />
      <path className="rag" d="M112 16l26-4 8 22-28 6z" />
      <path className="smear" d="M120 20l14-2 3 9-13 3z" />
      <text x="156" y="30">
        comes off: water-based
      </text>
      <path className="rag" d="M112 52l26-4 8 22-28 6z" />
      <text x="156" y="66">
        clean: oil
      </text>
    </>
  ),
  wipe: (
    <>
      <path className="ground" d="M6 8h76v60H6z" />
      <path className="dark" d="M22 40l34-12 6 16-34 12z" />
      <path className="line" d="M60 52q10-2 16-10m-4 0h5v5" />
      <path className="dark" d="M112 12h34v22h-34z" />
      <text x="156" y="28">
        clean: sound
      </text>
      <path className="dark" d="M112 48h34v22h-34z" />
      <path className="chalk" d="M115 64q12-14 28-8" />
      <text x="156" y="64">
        pale: chalks
      </text>
    </>
  ),
  'cross-cut': (
    <>
      <path className="ground" d="M6 8h76v60H6z" />
      <path
        className="line"
        d="M28 18v40M34 18v40M40 18v40M46 18v40M52 18v40M58 18v40M23 23h40M23 29h40M23 35h40M23 41h40M23 47h40M23 53h40"
      />
      <path className="tape-strip" d="M18 60L74 14l8 9-54 45z" />
      <path className="line" d="M112 12h24v24h-24zM118 12v24M124 12v24M130 12v24M112 18h24M112 24h24M112 30h24" />
      <text x="146" y="28">
        ISO 0, ASTM 5B
      </text>
      <path className="line" d="M112 46h24v24h-24zM118 46v24M124 46v24M130 46v24M112 52h24M112 58h24M112 64h24" />
      <path className="dark" d="M112 46h12v12h-12zM124 58h12v12h-12zM118 58h6v6h-6z" />
      <text x="146" y="62">
        ISO 5, ASTM 0B
      </text>
    </>
  ),
  drop: (
    <>
      <path className="ground" d="M6 8h76v60H6z" />
      <path className="line" d="M36 20q12 0 20 12M44 30q6 0 6 6" />
      <path className="drop" d="M44 42q7 10 0 16q-7-6 0-16z" />
      <path className="ground" d="M112 20h34v14h-34z" />
      <path className="drop" d="M122 20q7-11 14 0z" />
      <text x="156" y="30">
        stands: sealed
      </text>
      <path className="ground" d="M112 54h34v16h-34z" />
      <path className="soaked" d="M118 54h22q-2 13-11 13t-11-13z" />
      <text x="156" y="66">
        dark: drinks
      </text>
    </>
  ),
  moisture: (
    <>
      <path className="ground" d="M6 8h14v60H6z" />
      <path className="line" d="M20 34h8M20 42h8M28 28h26v20H28zM54 38h16" />
      <path className="line" d="M33 33h16v9H33z" />
      <path className="scale" d="M100 34h30v10h-30z" />
      <path className="scale mid" d="M130 34h26v10h-26z" />
      <path className="scale high" d="M156 34h60v10h-60z" />
      <text x="100" y="28">
        dry
      </text>
      <text x="131" y="28">
        wait
      </text>
      <text x="172" y="28">
        wet
      </text>
      <text x="124" y="60">
        12 %
      </text>
      <text x="150" y="60">
        17 %
      </text>
    </>
  ),
};

/** A test of a surface as a picture. */
export const TestDrawing = ({ test }: { test: TestId }) => (
  <svg className="test-drawing" viewBox="0 0 270 76" aria-hidden="true">
    {DRAWINGS[test]}
  </svg>
);
