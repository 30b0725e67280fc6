import {
  LIKINGS,
  SAMPLE_KINDS,
  TIMES_OF_LIGHT,
  type Liking,
  type Sample,
  type SampleKind,
  type TimeOfLight,
} from '@kovelin/core/job/recorded.ts';
import { nearest, roomScope } from '@kovelin/core/job/scope.ts';
import { chosenEdits, opinionOf, samplesFor, seenIn, undertoneOf, windowsTo } from '@kovelin/core/record/choose.ts';
import { lrvOf, undertone } from '@kovelin/core/specify/colour.ts';
import { today } from '@kovelin/core/units/date.ts';
import { said } from '@kovelin/core/units/word.ts';
import { LIGHT_AT, LIKED, SAMPLE } from '@kovelin/core/words/found.ts';
import { lazy, Suspense, useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';
import { ShownPhoto, TakePhoto } from '../app/Photos.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import { freshId } from '../store/ids.ts';
import { TextButton } from '../ui/TextButton.tsx';
import Button from '@mui/material/Button';
import type { Recording } from './shared.ts';
import { ColourWell } from '../ui/ColourWell.tsx';
import { Sides } from '../ui/Sides.tsx';

const ReadColour = lazy(() => import('../app/ReadColour.tsx'));

interface Props extends Recording {
  readonly scope: string;
  readonly onScope: (scope: string) => void;
  readonly shown: string | null;
  readonly onShow: (sample: string) => void;
}

/** Colours on trial: seen on each wall, in each light, until one is left. */
export function Choose(props: Props) {
  const spell = useSpelt();
  const { view, scope, onScope } = props;
  const { takeoff, state, surface } = view;
  const { job } = state;
  if (!takeoff) return null;
  const { room } = takeoff;
  const scopes: (readonly [string, string])[] = [
    [roomScope(room.id, 'wall'), `the walls of ${room.name}`],
    ['all:wall', 'all walls of the job'],
    [`${room.id}:trim`, `the woodwork of ${room.name}`],
    ...(surface?.kind === 'wall' ? [[surface.id, 'the chosen wall alone'] as const] : []),
  ];
  const { still, aside } = samplesFor(job, scope);
  const trim = Object.values(job.colours).find(({ id }) => id === job.finishes['all:trim']?.colour);
  return (
    <div className="choose">
      <div className="list-tools">
        <Choice
          label={spell('A colour for')}
          value={scopes.some(([key]) => key === scope) ? scope : (scopes[0]?.[0] ?? '')}
          options={scopes}
          onChange={onScope}
        />
        <AddSample {...props} />
      </div>
      {still.length === 0 && (
        <p className="hint">
          {spell(
            'Put two to five colours on trial: painted as large as a door on more than one wall, two coats, or on sheets that are moved about. Look at each in the morning, at noon, in the evening and under the lamp.',
          )}
        </p>
      )}
      <div className="trials">
        {still.map((sample) => (
          <Trial key={sample.id} {...props} sample={sample} trim={trim?.hex ?? '#f2efe6'} last={still.length === 1} />
        ))}
      </div>
      {aside.length > 0 && (
        <p className="aside-colours">
          Put aside:{' '}
          {aside.map(({ id, colour }) => (
            <span key={id}>
              <span className="chip" style={{ background: job.colours[colour]?.hex }} /> {job.colours[colour]?.name}{' '}
              <TextButton
                onClick={() => view.session.run({ name: 'setSample', args: { sample: id, set: { dropped: null } } })}
              >
                back in
              </TextButton>{' '}
            </span>
          ))}
        </p>
      )}
      {still.length > 0 && (
        <p className="hint">
          A screen shows the light’s tint, not how a pigment meets a lamp: trust the wall. Its own white counts as well.
        </p>
      )}
    </div>
  );
}

/** A colour by name, code and value, new or one of the job’s. */
function AddSample({ view, scope, onShow }: Props) {
  const spell = useSpelt();
  const { session, system } = view;
  const [opened, setOpen] = useState(false);
  const { job } = view.state;
  const [name, setName] = useHalfTyped(`${job.id}|${scope}|sample`, '');
  const [code, setCode] = useHalfTyped(`${job.id}|${scope}|code`, '');
  const [hex, setHex] = useState('#d5d6d2');
  const [kind, setKind] = useState<SampleKind>('painted');
  // what was half typed is seen again
  const open = opened || name !== '' || code !== '';
  const [reading, setReading] = useState(false);
  const add = () => {
    const called = name.trim() || code.trim() || hex;
    const known = Object.values(job.colours).find(
      (one) => one.hex === hex && (one.code ?? '') === code.trim() && one.name === called,
    );
    const colour = known ?? { id: freshId(), name: called, hex, ...(code.trim() ? { code: code.trim() } : {}) };
    const sample: Sample = { id: freshId(), scope, colour: colour.id, kind, seen: [], dropped: null };
    const edits = [
      ...(known ? [] : [{ name: 'setColour' as const, args: { colour } }]),
      { name: 'addSample' as const, args: { sample } },
    ];
    if (!session.run({ name: 'together', args: { edits } })) return;
    onShow(sample.id);
    setName('');
    setCode('');
    setOpen(false);
  };
  if (!open)
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        {spell('Put a colour on trial')}
      </Button>
    );
  return (
    <div className="add-sample">
      <DraftField label="Name" value={name} parse={readText(80)} onCommit={(text) => (setName(text), null)} />
      <DraftField label="Maker’s code" value={code} parse={readText(200)} onCommit={(text) => (setCode(text), null)} />
      <ColourWell label={spell('Colour')} value={hex} onChange={setHex} />
      <Choice
        label="Shown"
        value={kind}
        options={SAMPLE_KINDS.map((one) => [one, said(SAMPLE[one], system)] as const)}
        onChange={setKind}
      />
      <Button variant="outlined" onClick={add}>
        On trial
      </Button>
      <TextButton onClick={() => setReading(true)}>read it</TextButton>
      <TextButton onClick={() => setOpen(false)}>close</TextButton>
      {reading && (
        <Suspense fallback={null}>
          <ReadColour
            start={hex}
            onTake={(read) => {
              setHex(read);
              setReading(false);
            }}
            onClose={() => setReading(false)}
          />
        </Suspense>
      )}
    </div>
  );
}

interface TrialProps extends Props {
  readonly sample: Sample;
  readonly trim: string;
  readonly last: boolean;
}
/** One colour: as it looks in each light beside the woodwork, what was thought of it where. */
function Trial({ view, log, sample, trim, last, shown, onShow }: TrialProps) {
  const spell = useSpelt();
  const { session, system, state, takeoff, surface } = view;
  const { job } = state;
  const colour = job.colours[sample.colour];
  if (!colour || !takeoff) return null;
  const wall = surface?.kind === 'wall' ? surface.wall : null;
  const label = takeoff.walls.find((w) => w.wall.id === wall)?.wall.label;
  const { counts, unseen } = opinionOf(sample);
  const lookAt = (light: TimeOfLight) =>
    sample.seen.find((look) => look.light === light && look.room === takeoff.room.id && look.wall === wall);
  const think = (light: TimeOfLight, liking: Liking) => {
    const others = sample.seen.filter((look) => look !== lookAt(light));
    const before = lookAt(light);
    const seen =
      before?.liking === liking
        ? others
        : [...others, { room: takeoff.room.id, wall, light, liking, note: before?.note ?? '' }];
    session.run({ name: 'setSample', args: { sample: sample.id, set: { seen } } });
  };
  const take = () => {
    const on = takeoff.surfaces.find(
      ({ id, room, kind }) =>
        id === sample.scope || sample.scope === `${room}:${kind}` || sample.scope === `all:${kind}`,
    );
    const found = on && nearest(job.finishes, on)?.value;
    const product =
      found?.product ?? job.finishes[sample.scope.endsWith('trim') ? 'all:trim' : 'all:wall']?.product ?? '';
    session.run({ name: 'together', args: { edits: chosenEdits(job, sample, product, today()) } });
  };
  const photos = (log.entries ?? []).flatMap((entry) =>
    entry.kind === 'photo' && entry.operation === `sample:${sample.id}` ? [entry.value.photo] : [],
  );
  const rooms = Object.values(job.rooms.byId).map((room) => ({ room, to: windowsTo(room) }));
  return (
    <section className={shown === sample.id ? 'trial chosen' : 'trial'} aria-label={`Trial of ${colour.name}`}>
      <header>
        <TextButton onClick={() => onShow(sample.id)}>
          {colour.name}
          {colour.code && !colour.name.includes(colour.code) ? `, ${colour.code}` : ''}
        </TextButton>
        <small>
          {undertone(colour.hex)}, LRV {lrvOf(colour.hex).toFixed(0)}, {said(SAMPLE[sample.kind], system)}
        </small>
      </header>
      <div className="lights">
        {TIMES_OF_LIGHT.map((light) => (
          <div key={light}>
            <svg
              viewBox="0 0 60 44"
              role="img"
              aria-label={`${colour.name} in the light of ${said(LIGHT_AT[light], system)}, woodwork below`}
            >
              <rect width="60" height="36" fill={seenIn(colour.hex, light)} />
              <rect y="36" width="60" height="8" fill={seenIn(trim, light)} />
            </svg>
            <span>{said(LIGHT_AT[light], system)}</span>
            <Sides
              label={`${colour.name}, ${said(LIGHT_AT[light], system)}`}
              sides={LIKINGS.map((liking) => [liking, said(LIKED[liking], system)])}
              value={lookAt(light)?.liking ?? null}
              onChange={(liking) => think(light, liking)}
            />
          </div>
        ))}
        <div>
          <svg viewBox="0 0 60 44" role="img" aria-label={`Undertone of ${colour.name}, threefold`}>
            <rect width="60" height="44" fill={undertoneOf(colour.hex)} />
          </svg>
          <span>undertone × 3</span>
        </div>
      </div>
      <p className="hint">
        {label ? `What you press is for wall ${label}.` : 'Choose a wall in the drawing to judge it there.'} So far{' '}
        {counts.yes} yes, {counts.unsure} not sure, {counts.no} no
        {unseen.length ? `; not seen yet: ${unseen.map((light) => said(LIGHT_AT[light], system)).join(', ')}` : ''}.
      </p>
      {rooms.length > 1 && (
        <p className="hint">
          Windows:{' '}
          {rooms
            .filter(({ to }) => to.length)
            .map(({ room, to }) => `${room.name} to the ${to.join(' and ')}`)
            .join('; ') || 'nobody said where the walls face'}
          {spell('. The same colour is cooler to the north, warmer to the west.')}
        </p>
      )}
      <div className="acts">
        <Button variant="outlined" onClick={take}>
          {last ? 'It is this one' : 'Take this one'}
        </Button>
        <Button
          variant="outlined"
          onClick={() => session.run({ name: 'setSample', args: { sample: sample.id, set: { dropped: today() } } })}
        >
          Put aside
        </Button>
        <TakePhoto
          job={job.id}
          log={log}
          about={{ who: job.crew.people[0]?.id ?? '', operation: `sample:${sample.id}` }}
        />
        {photos.map((id) => (
          <ShownPhoto key={id} id={id} words={colour.name} />
        ))}
      </div>
    </section>
  );
}
