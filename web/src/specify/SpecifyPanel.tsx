import { roomScope } from '@kovelin/core/job/scope.ts';
import type { Brush, Cover, PrimerChoice, Survey, SystemValues } from '@kovelin/core/job/types.ts';
import {
  BOARD_LEVELS,
  BRISTLES,
  CONDITIONS,
  EXISTING_COATS,
  FABRICS,
  familyOf,
  PILES,
  PREP_STEPS,
  PRIMER_KINDS,
  REPAIRS,
  SHEENS,
  SUBSTRATES,
  TEXTURES,
  type PrepStep,
  type PrimerKind,
} from '@kovelin/core/job/vocabulary.ts';
import type { Decided } from '@kovelin/core/specify/reasons.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { word } from '@kovelin/core/specify/wording.ts';
import { lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import { alike } from '@kovelin/core/specify/alike.ts';
import { doubts } from '@kovelin/core/specify/hiding.ts';
import { formatArea } from '@kovelin/core/units/quantities.ts';
import { INCH } from '@kovelin/core/units/si.ts';
import { lazy, Suspense, useState, type ReactNode } from 'react';
import { Choice, DraftField, Section } from '../app/fields.tsx';
import { freshId, type JobView } from '../app/job-context.ts';
import {
  brushWord,
  coatsWord,
  coverWord,
  pileWord,
  prepWord,
  primerWord,
  sentenceCase,
  surfaceWord,
} from '../app/words.ts';
import { Cautions, Warnings } from './Notices.tsx';

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

/** The browser's colour picker; a pick is taken when it closes. */
function ColourInput({ label, value, onPick }: { label: string; value: string; onPick: (hex: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null);
  return (
    <label className="field">
      <span>{label}</span>
      <input
        type="color"
        value={draft ?? value}
        onChange={(event) => setDraft(event.target.value)}
        onBlur={() => {
          if (draft && draft !== value) onPick(draft);
          setDraft(null);
        }}
      />
    </label>
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

interface OverruleProps {
  readonly member: Member;
  readonly value: SystemValues[Member];
  readonly system: JobView['system'];
  readonly s: Specified;
  readonly onPick: (value: SystemValues[Member]) => void;
}

function Overrule({ member, value, system, s, onPick }: OverruleProps): ReactNode {
  const words = <T extends string>(list: readonly T[]) => list.map((v) => [v, sentenceCase(v)] as const);
  switch (member) {
    case 'sheen':
      return (
        <Choice
          label="Sheen instead"
          value={value as string}
          options={words(SHEENS.filter((sheen) => s.product.sheens.includes(sheen)))}
          onChange={(sheen) => onPick(sheen as SystemValues['sheen'])}
        />
      );
    case 'coats':
      return (
        <Choice
          label="Coats instead"
          value={String(value)}
          options={[1, 2, 3, 4, 5].map((n) => [String(n), coatsWord(n)])}
          onChange={(n) => onPick(Number(n))}
        />
      );
    case 'primer': {
      const p = value as PrimerChoice;
      const pick = (kind: PrimerKind, extent: PrimerChoice['extent']) =>
        onPick(
          kind === 'none' || extent === 'none'
            ? { kind: 'none', extent: 'none', coats: 0 }
            : { kind, extent, coats: Math.max(1, p.coats) },
        );
      return (
        <div className="pair">
          <Choice
            label="Primer instead"
            value={p.kind}
            options={words(PRIMER_KINDS)}
            onChange={(kind) => pick(kind, p.extent === 'none' ? 'full' : p.extent)}
          />
          <Choice
            label="Where"
            value={p.extent}
            options={words(['none', 'spot', 'full'] as const)}
            onChange={(extent) => pick(p.kind, extent)}
          />
        </div>
      );
    }
    case 'prep': {
      const steps = value as readonly PrepStep[];
      return (
        <div className="checks">
          {PREP_STEPS.map((step) => (
            <label key={step} className="check">
              <input
                type="checkbox"
                checked={steps.includes(step)}
                onChange={(event) =>
                  onPick(PREP_STEPS.filter((x) => (x === step ? event.target.checked : steps.includes(x))))
                }
              />{' '}
              {step.replace('-', ' ')}
            </label>
          ))}
        </div>
      );
    }
    case 'cover': {
      const cover = value as Cover;
      return (
        <div className="pair">
          <Choice
            label="Pile instead"
            value={String(cover.pile)}
            options={PILES.map((p) => [String(p), pileWord(p, system)])}
            onChange={(p) => onPick({ ...cover, pile: Number(p) as Cover['pile'] })}
          />
          <Choice
            label="Fabric"
            value={cover.fabric}
            options={words(FABRICS)}
            onChange={(fabric) => onPick({ ...cover, fabric })}
          />
        </div>
      );
    }
    case 'brush': {
      const brush = value as Brush;
      const widths = [1, 1.5, 2, 2.5, 3].map((w) => w * INCH);
      return (
        <div className="pair">
          <Choice
            label="Width instead"
            value={String(brush.width)}
            options={widths.map((w) => [
              String(w),
              system === 'imperial' ? `${w / INCH} in` : `${Math.round(w * 1000)} mm`,
            ])}
            onChange={(w) => onPick({ ...brush, width: Number(w) })}
          />
          <Choice
            label="Bristle"
            value={brush.bristle}
            options={words(BRISTLES)}
            onChange={(bristle) => onPick({ ...brush, bristle })}
          />
        </div>
      );
    }
  }
}

/** What is there now: answers fall back on the room's and the job's, and are starting values until somebody looked. */
function SurveyForm({ view, s }: { view: JobView; s: Specified }) {
  const { session } = view;
  const [wide, setWide] = useState(false);
  const scope = wide ? roomScope(s.surface.room, s.surface.kind) : s.surface.id;
  const set = (change: Partial<Survey>) => session.edit({ name: 'setSurvey', args: { scope, set: change } });
  const choice = <K extends 'substrate' | 'texture' | 'coat' | 'condition' | 'repairs' | 'sheen'>(
    key: K,
    label: string,
    list: readonly Survey[K][],
  ) => (
    <Choice
      label={label}
      value={s.survey[key]}
      options={list.map((v) => [v, sentenceCase(v)])}
      onChange={(v) => set({ [key]: v })}
    />
  );
  const yes = (key: 'stains' | 'porous' | 'wiped' | 'wax' | 'damp' | 'fresh' | 'raking', label: string) => (
    <label className="check">
      <input type="checkbox" checked={s.survey[key]} onChange={(event) => set({ [key]: event.target.checked })} />{' '}
      {label}
    </label>
  );
  return (
    <Section title="What is there now">
      <div className="pair">
        {choice('substrate', 'Made of', SUBSTRATES)}
        {choice('texture', 'Texture', TEXTURES)}
        {choice('coat', 'Existing coat', EXISTING_COATS)}
        {choice('condition', 'Condition', CONDITIONS)}
        {choice('repairs', 'Repairs', REPAIRS)}
        {choice('sheen', 'Its sheen', SHEENS)}
      </div>
      <div className="colour-line">
        <span className="chip large" style={{ background: s.survey.colour }} />
        <ColourInput label="Its colour" value={s.survey.colour} onPick={(colour) => set({ colour })} />
        {s.survey.patches.map((patch, i) => (
          <button
            key={patch}
            type="button"
            className="chip large"
            style={{ background: patch }}
            aria-label={`Remove the old colour ${patch}`}
            onClick={() => set({ patches: s.survey.patches.filter((_, j) => j !== i) })}
          />
        ))}
        {s.survey.patches.length < 4 && (
          <ColourInput
            label="A patch or stripe"
            value="#8a6d4b"
            onPick={(patch) => set({ patches: [...s.survey.patches.filter((p) => p !== patch), patch] })}
          />
        )}
      </div>
      <div className="checks">
        {yes('stains', 'stains')}
        {yes('porous', 'drinks water')}
        {yes('wiped', 'touched and wiped')}
        {yes('wax', 'wax or polish on it')}
        {yes('damp', 'damp')}
        {yes('fresh', 'plaster or filler not dry')}
        {yes('raking', 'light grazes it')}
      </div>
      {familyOf(s.surface.kind) !== 'ceiling' && (
        <label className="check">
          <input type="checkbox" checked={wide} onChange={(event) => setWide(event.target.checked)} /> answer for all
          like it in this room
        </label>
      )}
      <Tests s={s} set={set} />
    </Section>
  );
}

/** What a painter can find out on the spot; unknown is an answer, and says what the test would save. */
function Tests({ s, set }: { s: Specified; set: (change: Partial<Survey>) => void }) {
  const { survey } = s;
  return (
    <>
      {survey.coat === 'unknown' && (
        <fieldset className="test">
          <legend>Solvent rub</legend>
          <p>
            Rub a white rag with alcohol on a hidden place; where paint peels, rub the layer below, for the rag reads
            only what it touches. Without it the coat is taken for oil: sanding and a bonding primer more.
          </p>
          <Choice
            label="What happened"
            value={survey.solvent}
            options={[
              ['not-done', 'not done'],
              ['comes-off', 'colour came off: water-borne'],
              ['stays', 'nothing came off: oil'],
            ]}
            onChange={(solvent) => set({ solvent })}
          />
        </fieldset>
      )}
      {survey.coat !== 'bare' && (
        <fieldset className="test">
          <legend>Cross-cut</legend>
          <p>
            Score a lattice of six cuts by six, press tape on, pull it off. ISO 2409 counts 0 best to 5; ASTM D3359 the
            other way round.
          </p>
          <Choice
            label="How much came off"
            value={survey.adhesion === null ? '' : String(survey.adhesion)}
            options={[
              ['', 'not done'],
              ...[0, 1, 2, 3, 4, 5].map((n) => [String(n), `ISO class ${n} (ASTM ${5 - n}B)`] as const),
            ]}
            onChange={(n) => set({ adhesion: n === '' ? null : Number(n) })}
          />
        </fieldset>
      )}
      {survey.raking && survey.substrate === 'drywall' && (
        <Choice
          label="Finish level of the board"
          value={survey.level}
          options={BOARD_LEVELS.map((level) => [level, level === 'unknown' ? 'not known' : `Level ${level}`])}
          onChange={(level) => set({ level })}
        />
      )}
      <DraftField
        label="Oldest paint from about (year)"
        value={survey.built === null ? '' : String(survey.built)}
        placeholder="not known: taken as old"
        parse={readYear}
        onCommit={(built) => {
          set({ built });
          return null;
        }}
      />
    </>
  );
}

function readYear(text: string): { ok: true; value: number | null } | { ok: false; message: string } {
  if (!text.trim()) return { ok: true, value: null };
  const year = /^\d{4}$/.test(text.trim()) ? Number(text) : NaN;
  return year >= 1000 && year <= 2100
    ? { ok: true, value: year }
    : { ok: false, message: 'A year of four figures is expected, such as 1962.' };
}
