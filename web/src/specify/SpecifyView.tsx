import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { heading, inOrder, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { coatsWord } from '@kovelin/core/words/systems.ts';
import { SHEEN } from '@kovelin/core/words/terms.ts';
import Slider from '@mui/material/Slider';
import { useState } from 'react';
import { useSearchParams } from 'react-router';
import { useSpelt } from '../app/useSpelt.ts';
import { useWhole, type WholeView } from '../app/whole.ts';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import { lookAt, type Stage } from '../drawing/looks.ts';
import { FinishSchedule } from './FinishSchedule.tsx';
import { SpecifyPanel, type Side } from './SpecifyPanel.tsx';
import './specify.css';

/** Thin spots and the cut band of a coat that does not hide yet. */
function unevenness(s: Specified, stage: Stage): Pick<Coat, 'thin' | 'cut'> {
  if (stage === 'hidden' || stage === 0) return {};
  const look = s.hiding.looks[Math.min(stage, effective(s.system.coats), s.hiding.looks.length) - 1];
  return look ? { thin: look.thin, cut: look.cut } : {};
}

/** What goes onto each surface and how it will look, coat by coat. */
export default function SpecifyView() {
  const view = useWhole();
  const [stage, setStage] = useState<Stage>('hidden');
  const [side, setSide] = useState<Side>('on');
  const [params, setParams] = useSearchParams();
  const ask = params.get('ask');
  const [arrived, setArrived] = useState<{ at: string | null; times: number }>({ at: null, times: 0 });
  // a question that was led to opens the conversation, which stays open when the address has gone on
  if (ask !== arrived.at) {
    setArrived({ at: ask, times: arrived.times + (ask ? 1 : 0) });
    if (ask) setSide('there');
  }
  const toSide = (next: Side) => {
    setSide(next);
    if (ask)
      setParams(
        (now) => {
          now.delete('ask');
          return now;
        },
        { replace: true },
      );
  };
  const { takeoff, derived, specified, system } = view;
  if (!takeoff || !takeoff.surfaces.length)
    return (
      <main className="middle empty-view">
        <p>Measure a wall first: each surface then gets its system here.</p>
      </main>
    );
  const byId = new Map(derived.surfaces.map((s) => [s.surface.id, s]));
  const most = Math.max(
    2,
    ...takeoff.surfaces.map((s) => effective(byId.get(s.id)?.system.coats ?? { value: 0, because: [] })),
  );
  const stageWord = (at: number) => (at === 0 ? 'old' : at > most ? 'hidden' : `after coat ${at}`);
  const paint = (id: string): Coat => {
    const s = byId.get(id);
    return s
      ? {
          fill: lookAt(s, stage),
          ...unevenness(s, stage),
          note: said(inOrder([SHEEN[s.sheen], coatsWord(effective(s.system.coats))]), system),
        }
      : { fill: 'var(--trim)' };
  };
  return (
    <>
      <main className="middle" aria-label="Specify">
        <div className="stage-bar">
          <span id="stage">Show the room</span>
          <Slider
            className="stage-slider"
            aria-labelledby="stage"
            step={1}
            min={0}
            max={most + 1}
            value={stage === 'hidden' ? most + 1 : Math.min(stage, most)}
            onChange={(_, at) => setStage(at === most + 1 ? 'hidden' : Number(at))}
            getAriaValueText={stageWord}
            marks={Array.from({ length: most + 2 }, (_, at) => ({
              value: at,
              label: at > 1 && at <= most ? String(at) : stageWord(at),
            }))}
          />
        </div>
        <UnrolledRoom
          view={view}
          takeoff={takeoff}
          paint={paint}
          aside={specified && <Looks specified={specified} system={system} />}
        />
        <FinishSchedule view={view} />
      </main>
      <SpecifyPanel view={view} side={side} ask={ask} asked={arrived.times} onSide={toSide} />
    </>
  );
}

/** How far what is still seen at thin spots lies from full hiding, CIEDE2000: about 1 is just seen side by side. */
const showing = (delta: number): string =>
  `old colour ${delta < 1 ? 'hardly shows' : delta < 3 ? 'shows where thin' : 'shows'} (ΔE ${delta.toFixed(1)})`;

/** The question a painter asks: how many coats until the old colour is gone? */
function Looks({ specified: s, system }: { specified: Specified; system: WholeView['system'] }) {
  const spell = useSpelt();
  const looks = s.hiding.looks.slice(0, Math.max(3, s.hiding.coats));
  return (
    <div className="looks">
      <h3>
        {spell('How many coats until the old colour is gone? ')}
        {heading(nameWord(s.surface.name), system)}
      </h3>
      <ol>
        <li>
          <span className="swatch" style={{ background: s.hiding.before }} />
          <b>{s.hiding.before === s.survey.colour ? 'Now' : 'Primed'}</b>
        </li>
        {looks.slice(0, 5).map((look) => (
          <li key={look.coats} className={look.coats === effective(s.system.coats) ? 'enough' : ''}>
            <span className="swatch" style={{ background: look.mean }}>
              <span style={{ background: look.thin }} title="thin spots" />
            </span>
            <b>{said(coatsWord(look.coats), system)}</b>
            <small>{spell(showing(look.thinDelta))}</small>
          </li>
        ))}
      </ol>
    </div>
  );
}
