import { labelFor } from '@kovelin/core/exchange/record-contract.ts';
import type { EarlierPaint } from '@kovelin/core/job/recorded.ts';
import { paintFromLabel, readLabel } from '@kovelin/core/record/label.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { heading, phrase } from '@kovelin/core/units/word.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { Scanner } from '../app/Scanner.tsx';
import { ShownPhoto, TakePhoto } from '../app/Photos.tsx';
import { useMine } from '../app/useMine.ts';
import { useSpelt } from '../app/useSpelt.ts';
import { freshId } from '../store/ids.ts';
import { ColourNames } from './ColourNames.tsx';
import { EarlierForm } from './EarlierForm.tsx';
import { draftAt, placeOfDraft, unknownPaint } from './half-typed.ts';
import { LabelCard } from './LabelCard.tsx';
import { Stack } from './Stack.tsx';
import Button from '@mui/material/Button';
import type { Recording } from './shared.ts';

/** One surface: all that is on it, its label, and what somebody knows of earlier paint. */
export function SurfacePanel({ view, record, log }: Recording) {
  const spell = useSpelt();
  const { surface, system, session, state } = view;
  const place = placeOfDraft(state.job.id, surface?.id ?? '');
  const [form, setForm] = useState<EarlierPaint | null>(() => draftAt(place, unknownPaint()));
  const [mine] = useMine(state.job);
  const who = state.job.crew.people[mine]?.id ?? '';
  const [scans, setScans] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const own = record.surfaces.find(({ id }) => id === surface?.id);
  if (!surface || !own) return <p className="hint">Choose a wall in the drawing.</p>;
  const earlier = state.shown.earlier[own.id] ?? [];
  const isKnown = form !== null && earlier.some(({ id }) => id === form.id);
  const alike = record.surfaces
    .filter(({ specified: s }) => s.surface.room === surface.room && s.surface.kind === surface.kind)
    .map(({ id }) => id);
  const take = (paint: EarlierPaint, wide: boolean, chipped: boolean): boolean => {
    const done = isKnown
      ? session.run({
          name: 'setEarlier',
          args: { surface: own.id, paints: earlier.map((one) => (one.id === paint.id ? paint : one)) },
        })
      : session.run({ name: 'addEarlier', args: { surfaces: wide ? alike : [own.id], paint } });
    if (!done) return false;
    setForm(null);
    if (chipped)
      log.say({
        kind: 'note',
        who,
        surface: own.id,
        note: spell('A chip was cut here for the colour reader: a small repair is left.'),
      });
    return true;
  };
  const remove = (): boolean => {
    if (!form) return false;
    const paints = earlier.filter(({ id }) => id !== form.id);
    const done = session.run({ name: 'setEarlier', args: { surface: own.id, paints } });
    if (done) setForm(null);
    return done;
  };
  const scan = (text: string): boolean => {
    const read = readLabel(text);
    if (!read.ok) {
      setSaid(read.problems.map(sentence).join(' '));
      return false;
    }
    const { label, warnings } = read.value;
    setForm(paintFromLabel(freshId(), label, 'A label'));
    setSaid(
      [label.ROOM && `The label says ${[label.ROOM, label.SURFACE].filter(Boolean).join(', ')}.`, ...warnings]
        .filter(Boolean)
        .join(' ') || null,
    );
    setScans(false);
    return true;
  };
  const photos = (log.entries ?? []).flatMap((entry) =>
    entry.kind === 'photo' && entry.surface === own.id ? [entry.value.photo] : [],
  );
  const nothing = own.layers.length === 0;
  return (
    <>
      <h3 className="record-name">{heading(nameWord(surface.name), system)}</h3>
      <Section title="What is on it" extra={<small>{nothing ? 'nobody knows' : `${own.layers.length} coats`}</small>}>
        <Stack view={view} own={own} onEdit={setForm} />
        {nothing && !form && <NoRecord system={system} />}
        {form ? (
          <EarlierForm
            key={form.id}
            view={view}
            start={form}
            place={place}
            isKnown={isKnown}
            onTake={take}
            onRemove={remove}
            onClose={() => setForm(null)}
          />
        ) : (
          <div className="acts">
            <Button variant="outlined" onClick={() => setForm(unknownPaint())}>
              Add earlier paint
            </Button>
            <Button variant="outlined" aria-expanded={scans} onClick={() => setScans(!scans)}>
              Scan a label
            </Button>
            <TakePhoto job={state.job.id} log={log} about={{ who, surface: own.id }} />
          </div>
        )}
        {scans && <Scanner onRead={scan} />}
        {said && (
          <p role="status" className="hint">
            {said}
          </p>
        )}
        {photos.length > 0 && (
          <div className="photos">
            {photos.map((id) => (
              <ShownPhoto key={id} id={id} words={heading(nameWord(surface.name), system)} />
            ))}
          </div>
        )}
      </Section>
      <ColourNames key={own.specified.colour.id} view={view} colour={own.specified.colour} />
      <Section title="Its label" extra={<small>{own.top ? 'as it is' : 'as planned'}</small>}>
        <LabelCard label={labelFor(record, own)} />
      </Section>
    </>
  );
}

const LEFT_CANS = phrase`${THE.can}s that are left`;
/** What helps where there is no record, the surest first. */
function NoRecord({ system }: { readonly system: Recording['view']['system'] }) {
  return (
    <ol className="no-record">
      <li>
        <b>{heading(LEFT_CANS, system)}</b>: lid, label, batch. Brush some on a card, let it dry, hold it to the wall.
      </li>
      <li>
        <b>Shop cards held to the wall</b>, by day and by lamp. Not certain: cards are printed, and the wall has faded.
      </li>
      <li>
        <b>A chip for a reader</b>: a sharp blade, paper-thin, as large as a coin, where nobody looks, and read three to
        five times. Behind furniture or a plate it has not faded, and may not match the wall in view; where it was cut,
        a repair is left. In old buildings, ask whether there may be lead before you cut.
      </li>
    </ol>
  );
}
