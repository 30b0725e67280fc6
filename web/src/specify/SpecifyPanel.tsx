import { roomScope } from '@kovelin/core/job/scope.ts';
import type { Brush, Cover, PrimerChoice, SystemValues } from '@kovelin/core/job/types.ts';
import type { PrepStep } from '@kovelin/core/job/vocabulary.ts';
import type { Decided } from '@kovelin/core/specify/reasons.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { word } from '@kovelin/core/specify/wording.ts';
import { lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import { alike } from '@kovelin/core/specify/alike.ts';
import { doubts } from '@kovelin/core/specify/hiding.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { lazy, Suspense, useState } from 'react';
import { Choice, Section } from '../app/fields.tsx';
import { freshId, type JobView } from '../app/job-context.ts';
import { brushWord, coatsWord, coverWord, prepWord, primerWord, sentenceCase, surfaceWord } from '../app/words.ts';
import { ColourInput } from './ColourInput.tsx';
import { Cautions, Warnings } from './Notices.tsx';
import { Overrule } from './Overrule.tsx';
import { SurveyForm } from './SurveyForm.tsx';

const HidingChart = lazy(() => import('./HidingChart.tsx'));
const ReadColour = lazy(() => import('./ReadColour.tsx'));
const ColourFile = lazy(() => import('./ColourFile.tsx'));

type Member = keyof SystemValues;
const MEMBERS: readonly (readonly [Member, string])[] = [
  ['sheen', 'Sheen'],
  ['coats', 'Coats'],
  ['primer', 'Primer'],
  ['prep', 'Preparation'],
  ['cover', 'Roller cover'],
  ['brush', 'Brush'],
];

export function SpecifyPanel({ view }: { view: JobView }) {
  const { specified: s, takeoff, system, derived } = view;
  const [together, setTogether] = useState(false);
  if (!s || !takeoff) return <aside className="panel" aria-label="Selected surface" />;
  const inRoom = derived.surfaces.filter((other) => other.surface.room === s.surface.room);
  const group = alike(inRoom).find((list) => list.includes(s)) ?? [s];
  return (
    <aside className="panel" aria-label="Selected surface">
      <h2>{surfaceWord(s.surface.name, system)}</h2>
      <p className="sub">
        {takeoff.room.name} · {formatArea(s.surface.area.value, system)}
      </p>
      <Warnings view={view} s={s} />
      <FinishPick view={view} s={s} />
      <Section title="What goes on, and why">
        {group.length > 1 && (
          <label className="check">
            <input type="checkbox" checked={together} onChange={(event) => setTogether(event.target.checked)} />{' '}
            overrule all {group.length} surfaces of the room with this system
          </label>
        )}
        {MEMBERS.map(([member, title]) => (
          <Decision
            key={member}
            view={view}
            s={s}
            member={member}
            title={title}
            group={together ? group.map((g) => g.surface.id) : [s.surface.id]}
          />
        ))}
      </Section>
      <Section title="How many coats?">
        <Suspense fallback={<p className="hint">Drawing the curve …</p>}>
          <HidingChart specified={s} />
        </Suspense>
        <Doubts s={s} />
      </Section>
      <SurveyForm view={view} s={s} />
      <Cautions view={view} s={s} />
    </aside>
  );
}

const DOUBT_WORDS = {
  'class-3': 'if the paint hides only as class 3 (95 %)',
  'thin-film': 'rolled 15 % thinner',
  conditioner: 'thinned with conditioner',
  uneven: 'by an uneven hand',
} as const;

/** What the coats would be if something is not as the label says. */
function Doubts({ s }: { s: Specified }) {
  return (
    <ul className="doubts">
      {doubts(s.question).map(({ doubt, coats }) => (
        <li key={doubt} className={coats > s.hiding.coats ? 'more' : ''}>
          {DOUBT_WORDS[doubt]}: <b>{coatsWord(coats)}</b>
        </li>
      ))}
    </ul>
  );
}

function FinishPick({ view, s }: { view: JobView; s: Specified }) {
  const { session, state } = view;
  const { products, colours } = state.shown;
  const [wide, setWide] = useState(false);
  const [file, setFile] = useState(false);
  const [reading, setReading] = useState(false);
  const scope = wide ? roomScope(s.surface.room, s.surface.kind) : s.surface.id;
  const set = (change: { product?: string; colour?: string }) =>
    session.edit({
      name: 'setFinish',
      args: { scope, finish: { product: s.product.id, colour: s.colour.id, ...change } },
    });
  const mix = (hex: string) => {
    const id = freshId();
    session.edit({
      name: 'setColour',
      args: { colour: { id, name: `Colour ${Object.keys(colours).length + 1}`, hex } },
    });
    set({ colour: id });
  };
  const kind =
    s.surface.kind === 'wall'
      ? 'walls'
      : s.surface.kind === 'ceiling'
        ? 'ceiling'
        : `${s.surface.kind.replace('-', ' ')}s`;
  return (
    <Section title="Finish">
      <Choice
        label="Paint"
        value={s.product.id}
        options={Object.values(products)
          .filter((p) => p.role === 'finish')
          .map((p) => [p.id, p.name])}
        onChange={(product) => set({ product })}
      />
      <div className="colour-line">
        <span className="chip large" style={{ background: s.colour.hex }} />
        <Choice
          label="Colour"
          value={s.colour.id}
          options={Object.values(colours).map((c) => [c.id, c.name])}
          onChange={(colour) => set({ colour })}
        />
        <ColourInput label="Mix another" value={s.colour.hex} onPick={mix} />
      </div>
      <p className="hint">
        LRV {lrvOf(s.colour.hex).toFixed(0)}: {undertone(s.colour.hex)}.{' '}
        <button type="button" className="link" onClick={() => setFile(true)}>
          Colours from a file …
        </button>{' '}
        <button type="button" className="link" onClick={() => setReading(true)}>
          Read one …
        </button>
      </p>
      {reading && (
        <Suspense fallback={null}>
          <ReadColour
            start={s.colour.hex}
            onClose={() => setReading(false)}
            onTake={(hex) => {
              mix(hex);
              setReading(false);
            }}
          />
        </Suspense>
      )}
      {file && (
        <Suspense fallback={null}>
          <ColourFile view={view} onClose={() => setFile(false)} />
        </Suspense>
      )}
      {s.surface.kind !== 'ceiling' && (
        <label className="check">
          <input type="checkbox" checked={wide} onChange={(event) => setWide(event.target.checked)} /> for all {kind} of
          this room
        </label>
      )}
      {s.finishFrom === s.surface.id && (
        <button
          type="button"
          className="link"
          onClick={() => session.edit({ name: 'setFinish', args: { scope: s.surface.id, finish: null } })}
        >
          Back to the room’s own finish
        </button>
      )}
    </Section>
  );
}

interface DecisionProps {
  readonly view: JobView;
  readonly s: Specified;
  readonly member: Member;
  readonly title: string;
  /** Surfaces an overrule goes to. */
  readonly group: readonly string[];
}

function Decision({ view, s, member, title, group }: DecisionProps) {
  const [open, setOpen] = useState(false);
  const { session, system } = view;
  const decided = s.system[member] as Decided<SystemValues[Member]>;
  const overruled = decided.override !== undefined;
  const decide = (value: SystemValues[Member] | null) =>
    session.edit({ name: 'decideAll', args: { surfaces: group, member, value } as never });
  return (
    <div className={overruled ? 'decision overruled' : 'decision'} data-member={member}>
      <div className="decision-head">
        <span>{title}</span>
        <button
          type="button"
          className="link"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          aria-label={`Overrule ${title.toLowerCase()}`}
        >
          {open ? 'close' : 'overrule'}
        </button>
      </div>
      <b>{say(member, effective(decided), system)}</b>
      {overruled ? (
        <p>
          overruled by you; Kovelin would take {say(member, decided.value, system).toLowerCase()}.{' '}
          <button type="button" className="link" onClick={() => decide(null)}>
            Go back to it
          </button>
        </p>
      ) : (
        decided.because.map((reason) => <p key={reason.rule}>because {word(reason)}</p>)
      )}
      {open && <Overrule member={member} value={effective(decided)} system={system} onPick={decide} s={s} />}
    </div>
  );
}

function say(member: Member, value: SystemValues[Member], system: JobView['system']): string {
  switch (member) {
    case 'sheen':
      return sentenceCase(value as string);
    case 'coats':
      return coatsWord(value as number);
    case 'primer':
      return primerWord(value as PrimerChoice);
    case 'prep':
      return prepWord(value as readonly PrepStep[]);
    case 'cover':
      return coverWord(value as Cover, system);
    case 'brush':
      return brushWord(value as Brush, system);
  }
}
