import { roomScope } from '@kovelin/core/job/scope.ts';
import type { Survey } from '@kovelin/core/job/types.ts';
import {
  BOARD_LEVELS,
  CONDITIONS,
  EXISTING_COATS,
  familyOf,
  REPAIRS,
  SHEENS,
  SUBSTRATES,
  TEXTURES,
} from '@kovelin/core/job/vocabulary.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { useState } from 'react';
import { Choice, DraftField, Section } from '../app/fields.tsx';
import type { JobView } from '../app/job-context.ts';
import { sentenceCase } from '../app/words.ts';
import { ColourInput } from './ColourInput.tsx';

/** What is there now: answers fall back on the room's and the job's, and are starting values until somebody looked. */
export function SurveyForm({ view, s }: { view: JobView; s: Specified }) {
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
