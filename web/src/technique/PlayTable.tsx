import type { Hand } from '@kovelin/core/job/vocabulary.ts';
import { coatsOf, handOf } from '@kovelin/core/plays/plays.ts';
import type { Play, Stroke } from '@kovelin/core/plays/play.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { formatMinutes, formatVolume } from '@kovelin/core/units/quantities.ts';
import { heading, said, type Word } from '@kovelin/core/units/word.ts';
import { playFor } from '@kovelin/core/whole/play.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { FACE, HAND, STROKE } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { useEffect, useState, type ReactNode } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { SurfaceChoice } from './SurfaceChoice.tsx';
import { Sides } from '../ui/Sides.tsx';
import type { WholeView } from '../app/whole.ts';
import { placed, PlayPicture, type Placed } from './PlayPicture.tsx';

/** A coat is shown in about this long, ms: strokes keep their true share of it. */
const SHOWN = 24_000;
/** Litres that are still worth a figure. */
const LEAST = 0.015;
const HANDS = [
  ['left', 'Left-handed'],
  ['right', 'Right-handed'],
] as const;
const LAYERS = ['primer', 'finish'] as const;
type Layer = (typeof LAYERS)[number];
const LAYER: Readonly<Record<Layer, string>> = { primer: 'Primer', finish: 'Coat' };
/** A white primer, where nobody tints it. */
const PRIMED = '#f6f5f1';

const strokeWord = ({ kind, part }: Stroke): Word => (part ? FACE[part] : STROKE[kind]);

/** One coat of the surface looked at: which, by which hand; numbered on it, and painted stroke by stroke. */
interface PlayTableProps {
  readonly view: WholeView;
  /** Everything painted in the room: what the drawing has no place for is chosen here. */
  readonly painted: readonly Specified[];
  readonly specified: Specified;
}
/** A coat of a surface stroke by stroke, and its steps in words. */
export function PlayTable({ view, painted, specified: s }: PlayTableProps) {
  const { state, system } = view;
  const coatsIn = (layer: Layer) => coatsOf({ specified: s, layer });
  const coats = LAYERS.flatMap((layer) =>
    Array.from({ length: coatsIn(layer) }, (_, i) => ({ layer, coat: i + 1, key: `${layer}-${i + 1}` })),
  );
  const [wanted, setWanted] = useState('finish-1');
  const [picked, setHand] = useState<Hand | null>(null);
  const hand = picked ?? handOf(state.shown.crew.people);
  const chosen = coats.find((c) => c.key === wanted) ?? coats.at(-1);
  const play = chosen ? playFor(state.shown, s.surface.id, { ...chosen, hand }) : null;
  if (!chosen || !play?.strokes.length) return <p className="hint">Nothing of it is painted.</p>;
  return (
    <div className="play">
      <Painted
        key={`${chosen.key}${hand}`}
        view={view}
        specified={s}
        play={play}
        strokes={placed(play)}
        summary={said(HAND[hand], system)}
      >
        <SurfaceChoice view={view} painted={painted} specified={s} />
        <Choice
          label="Coat"
          hideLabel
          value={chosen.key}
          options={coats.map((c) => [c.key, `${LAYER[c.layer]} ${c.coat} of ${coatsIn(c.layer)}`] as const)}
          onChange={setWanted}
        />
        <Sides label="The hand that paints it" sides={HANDS} value={hand} onChange={setHand} />
      </Painted>
    </div>
  );
}

interface PaintedProps {
  readonly view: WholeView;
  readonly specified: Specified;
  readonly play: Play;
  readonly strokes: readonly Placed[];
  readonly summary: string;
  readonly children: ReactNode;
}
/** A play as far as a time says, at true relative speed; only this is drawn again for every frame. */
function Painted({ view: { system }, specified: s, play, strokes, summary, children }: PaintedProps) {
  const { minutes } = play;
  const [at, setAt] = useState<number | null>(null);
  const [running, setRunning] = useState(false);
  useEffect(() => {
    if (!running || !minutes) return;
    let frame = 0;
    let last = performance.now();
    const step = (now: number) => {
      const passed = ((now - last) / SHOWN) * minutes;
      last = now;
      setAt((before) => Math.min(minutes, (before ?? 0) + passed));
      frame = requestAnimationFrame(step);
    };
    frame = requestAnimationFrame(step);
    return () => cancelAnimationFrame(frame);
  }, [running, minutes]);
  const ended = at !== null && at >= minutes - 1e-9;
  const time = at ?? minutes;
  const now = at === null ? null : (strokes.find((p) => time < p.to - 1e-9) ?? null);
  const dips = play.strokes.filter((p) => p.kind === 'dip').length;
  return (
    <>
      <div className="play-bar">{children}</div>
      <div className="play-bar">
        <Button
          variant="outlined"
          onClick={() => {
            if (at === null || ended) setAt(0);
            setRunning(!running || ended);
          }}
        >
          {running && !ended ? 'Stop' : 'Paint it'}
        </Button>
        <Slider
          aria-label={`Minutes of ${LAYER[play.layer].toLowerCase()} ${play.coat}`}
          min={0}
          max={minutes}
          step={minutes / 400}
          shiftStep={minutes / 20}
          value={time}
          onChange={(_, value) => {
            setRunning(false);
            setAt(Number(value));
          }}
          getAriaValueText={() =>
            now ? `${formatMinutes(time)}: ${said(strokeWord(now.stroke), system)}` : 'all of it'
          }
        />
        <span className="number">
          {formatMinutes(time)} of {formatMinutes(minutes)}
        </span>
      </div>
      <p className="play-now" aria-live="off">
        {now ? (
          <>
            <b>{now.stroke.step}.</b> {said(strokeWord(now.stroke), system)}
            {now.stroke.load > LEAST && ` · ${formatVolume(now.stroke.load, system)} taken up`}
            {now.stroke.litres > LEAST && ` · ${formatVolume(now.stroke.litres, system)}`} ·{' '}
            {now.stroke.minutes < 1.5
              ? `${Math.max(1, Math.round(now.stroke.minutes * 60))} s`
              : formatMinutes(now.stroke.minutes)}
          </>
        ) : (
          <>
            {play.strokes.at(-1)?.step} steps{dips > 0 && `, ${dips} loads of the roller`} ·{' '}
            {formatVolume(play.litres, system)} · {summary}
          </>
        )}
      </p>
      <div className="play-shown">
        <PlayPicture
          play={play}
          strokes={strokes}
          time={at}
          colour={play.layer === 'finish' ? s.colour.hex : PRIMED}
          old={s.survey.colour}
        />
        <ul className="play-how" aria-label="How it is painted">
          {play.how.map((reason) => (
            <li key={reason.rule}>{heading(reasonWord(reason), system)}</li>
          ))}
        </ul>
      </div>
    </>
  );
}
