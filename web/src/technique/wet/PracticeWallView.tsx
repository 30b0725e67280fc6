import { dipOf } from '@kovelin/core/paces/minutes.ts';
import { setting } from '@kovelin/core/job/defaults.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { buyingRate } from '@kovelin/core/specify/spread.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { formatMinutes, formatPercent } from '@kovelin/core/units/quantities.ts';
import {
  MARKS,
  playedWell,
  PracticeWall,
  type Mark,
  type Marked,
  type PracticeRules,
} from '@kovelin/core/wetEdge/practice.ts';
import Button from '@mui/material/Button';
import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import type { WholeView } from '../../app/whole.ts';
import { useScheme } from '../../ui/scheme.ts';
import { Cell, DataTable, Row, RowHead } from '../../ui/DataTable.tsx';

/** Time runs so many times faster than at a wall. */
const FAST = 12;
const MINUTE = 60_000;
/** A stretch of wall to practise on, metres. */
const [WIDE, HIGH] = [2.4, 2.4];
/** Metres that a key moves the roller. */
const STEP = 0.15;

const WORDS: Readonly<Record<Mark, string>> = {
  miss: 'missed',
  thin: 'thin',
  lap: 'lapped',
  ridge: 'ridges',
};
/** Why there is a mark, and what would have spared it. */
const WHY: Readonly<Record<Mark, string>> = {
  miss: 'no stroke went there: overlap the last strip by a third, and keep the ends for the end',
  thin: 'the cover was empty there: dip sooner, or spread a load over less',
  lap: 'it had set when it was gone over: do less before you come back, or go on without coming back',
  ridge: 'more was left lying than lays itself off: go over it once more, lightly, while it is wet',
};

const channels = (hex: string): [number, number, number] => [
  parseInt(hex.slice(1, 3), 16),
  parseInt(hex.slice(3, 5), 16),
  parseInt(hex.slice(5, 7), 16),
];

/** Roll it yourself, in sped-up time, with a cover that empties and paint that tacks; then light it from the side. */
export function PracticeWallView({
  view,
  specified: s,
  open,
}: {
  view: WholeView;
  specified: Specified;
  open: number;
}) {
  const { state } = view;
  const { palette } = useScheme();
  const job = state.shown;
  const cover = effective(s.system.cover);
  const rules: PracticeRules = {
    wide: WIDE,
    high: HIGH,
    cover: cover.width,
    dip: dipOf(job, cover),
    film: 1 / buyingRate(job, s.product),
    open: Number.isFinite(open) ? open : 60,
  };
  const canvas = useRef<HTMLCanvasElement>(null);
  const wall = useRef<PracticeWall | null>(null);
  const at = useRef({ x: WIDE / 2, y: HIGH / 2, down: false, last: 0 });
  const [told, setTold] = useState({ load: 0, time: 0 });
  const [lit, setLit] = useState<{ mine: Marked; play: Marked } | null>(null);
  const [begun, setBegun] = useState(0);
  const colour = s.colour.hex;
  const old = s.survey.colour;
  const key = JSON.stringify(rules);

  // a wall begun anew is another
  useEffect(() => {
    wall.current = new PracticeWall(JSON.parse(key) as PracticeRules);
  }, [key, begun]);
  useEffect(() => {
    const own = wall.current;
    const element = canvas.current;
    const context = element?.getContext('2d');
    if (!own || !element || !context) return;
    const image = context.createImageData(own.across, own.up);
    const [paint, ground, wet] = [channels(colour), channels(old), channels(palette.ochre)];
    let frame = 0;
    let before: number | null = null;
    const draw = (now: number) => {
      if (!lit && before !== null) own.wait(((now - before) * FAST) / MINUTE);
      before = now;
      for (let cell = 0; cell < own.film.length; cell++) {
        const [i, j] = [cell % own.across, own.up - 1 - Math.floor(cell / own.across)];
        const film = Math.min(1, own.film[cell] ?? 0);
        const touched = own.touched[cell] ?? -1;
        const isWet = !lit && touched >= 0 && own.time - touched < own.rules.open;
        const hatch = isWet && (i + j) % 6 === 0 ? 0.45 : 0;
        const mark = lit ? own.markOf(cell) : null;
        // lit from the left: laps and ridges shine, misses and thin places are dull
        const light = lit
          ? 1.12 - (0.35 * i) / own.across + (mark === 'lap' || mark === 'ridge' ? 0.3 : mark ? -0.25 : 0)
          : 1;
        for (let c = 0; c < 3; c++) {
          const base = (ground[c] ?? 0) * (1 - film) + (paint[c] ?? 0) * film;
          image.data[4 * (j * own.across + i) + c] = Math.min(
            255,
            (base * (1 - hatch) + (wet[c] ?? 0) * hatch) * light,
          );
        }
        image.data[4 * (j * own.across + i) + 3] = 255;
      }
      context.putImageData(image, 0, 0);
      setTold({ load: own.load / own.rules.dip, time: own.time });
      if (!lit) frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [key, colour, old, palette, lit, begun]);

  const rollTo = (x: number, y: number, minutes: number) => {
    const from = at.current;
    wall.current?.roll({ x: from.x, y: from.y }, { x, y }, minutes);
    at.current = { ...from, x, y };
  };
  const place = (event: PointerEvent<HTMLCanvasElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    return {
      x: ((event.clientX - box.left) / box.width) * WIDE,
      y: (1 - (event.clientY - box.top) / box.height) * HIGH,
    };
  };
  const onKey = (event: KeyboardEvent) => {
    const moves: Readonly<Record<string, readonly [number, number]>> = {
      ArrowLeft: [-STEP, 0],
      ArrowRight: [STEP, 0],
      ArrowUp: [0, STEP],
      ArrowDown: [0, -STEP],
    };
    const move = moves[event.key];
    if (event.key === ' ' || event.key === 'd') wall.current?.dip(setting(job, 'dip.minutes'));
    else if (move) {
      const { x, y } = at.current;
      const clamp = (value: number, most: number) => Math.min(most, Math.max(0, value));
      rollTo(clamp(x + move[0], WIDE), clamp(y + move[1], HIGH), (STEP / 25) * 1);
    } else return;
    event.preventDefault();
  };
  const light = () => {
    const own = wall.current;
    if (own) setLit({ mine: own.marked(), play: playedWell(rules, setting(job, 'dip.minutes')).marked() });
  };
  const again = () => {
    setLit(null);
    setBegun(begun + 1);
  };
  return (
    <section className="practice-wall" aria-label="Practice wall">
      <h3>Roll it yourself</h3>
      <p className="hint">
        {formatLength(WIDE, view.system)} of wall, {FAST} times as fast: load the roller, roll with the pointer or a
        finger (arrow keys, space for a load), back into the wet before it sets after {formatMinutes(rules.open)}. Then
        light it from the side.
      </p>
      <div className="play-shown">
        <canvas
          ref={canvas}
          width={Math.round(WIDE / 0.025)}
          height={Math.round(HIGH / 0.025)}
          tabIndex={0}
          role="application"
          aria-label="A wall to roll: arrow keys roll, space loads the roller"
          onKeyDown={onKey}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            at.current = { ...place(event), down: true, last: performance.now() };
          }}
          onPointerMove={(event) => {
            if (!at.current.down || lit) return;
            const { x, y } = place(event);
            rollTo(x, y, 0);
          }}
          onPointerUp={() => {
            at.current = { ...at.current, down: false };
          }}
        />
        <div>
          <div className="row-buttons">
            <Button
              variant="contained"
              disabled={lit !== null}
              onClick={() => wall.current?.dip(setting(job, 'dip.minutes'))}
            >
              Load the roller
            </Button>
            <Button variant="outlined" disabled={lit !== null} onClick={light}>
              Light it from the side
            </Button>
            <Button variant="outlined" onClick={again}>
              Begin anew
            </Button>
          </div>
          <p className="number">
            {formatMinutes(told.time)} · roller {Math.round(told.load * 100)} % full
          </p>
          {lit && (
            <DataTable columns={['Of the wall', 'yours', 'as planned']}>
              {MARKS.map((mark) => (
                <Row key={mark}>
                  <RowHead>{WORDS[mark]}</RowHead>
                  <Cell className="number">{formatPercent(lit.mine.shares[mark])}</Cell>
                  <Cell className="number">{formatPercent(lit.play.shares[mark])}</Cell>
                </Row>
              ))}
              <Row>
                <RowHead>it took, with loads</RowHead>
                <Cell className="number">
                  {formatMinutes(lit.mine.minutes)}, {lit.mine.dips}
                </Cell>
                <Cell className="number">
                  {formatMinutes(lit.play.minutes)}, {lit.play.dips}
                </Cell>
              </Row>
            </DataTable>
          )}
          {lit &&
            MARKS.filter((mark) => lit.mine.shares[mark] >= 0.005).map((mark) => (
              <p key={mark} className="hint">
                <b>{WORDS[mark]}:</b> {WHY[mark]}.
              </p>
            ))}
        </div>
      </div>
    </section>
  );
}
