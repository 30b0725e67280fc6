import Button from '@mui/material/Button';
import { TIMES_OF_LIGHT, type Acceptance } from '@kovelin/core/job/recorded.ts';
import { INCH, isImperial } from '@kovelin/core/units/si.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { today } from '@kovelin/core/units/date.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { said } from '@kovelin/core/units/word.ts';
import { LIGHT_AT, VIEWING } from '@kovelin/core/words/found.ts';
import SignaturePad from 'signature_pad';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useHalfTyped } from '../app/half-typed.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { Section } from '../ui/Section.tsx';
import { readText } from '../ui/read.ts';
import { numbered } from './DefectList.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import type { Inspecting } from './shared.ts';
import { Message } from '../ui/Message.tsx';

const PAD = { width: 300, height: 110 };

/** The room is looked over with whoever takes it, and signed. */
export function TakeOver({ view }: Inspecting) {
  const { session, system, state, takeoff } = view;
  const { job } = state;
  const room = takeoff?.room;
  const accepted = room && job.accepted[room.id];
  const place = `${job.id}|${room?.id}`;
  const [by, setBy] = useHalfTyped(`${place}|by`, '');
  const [distance, setDistance] = useState(() => (isImperial(system) ? 39 * INCH : 1));
  const [light, setLight] = useState<Acceptance['light']>('noon');
  const [note, setNote] = useHalfTyped(`${place}|taking-over`, '');
  const [strokes, setStrokes] = useState<Acceptance['signature']>([]);
  if (!room) return null;
  const open = numbered(view).filter(
    ({ defect }) => defect.state === 'open' && takeoff.surfaces.some(({ id }) => id === defect.surface),
  );
  if (accepted)
    return (
      <Section title={`${room.name} was taken over`}>
        <p>
          On {dayText(accepted.date, job.region.dates)} by {accepted.by || 'somebody'}, looked at from{' '}
          {formatLength(accepted.distance, system)} in the light of {said(LIGHT_AT[accepted.light], system)}.
        </p>
        {accepted.note && <p>{accepted.note}</p>}
        <Signature strokes={accepted.signature} />
        <p>
          <Link to="../acceptance">The sheet</Link>
        </p>
        <TextButton onClick={() => session.run({ name: 'accept', args: { room: room.id, acceptance: null } })}>
          take it back
        </TextButton>
      </Section>
    );
  const accept = () => {
    const acceptance = { date: today(), by: by.trim(), distance, light, signature: strokes, note: note.trim() };
    if (!session.run({ name: 'accept', args: { room: room.id, acceptance } })) return;
    setBy('');
    setNote('');
  };
  return (
    <Section title={`${room.name} is taken over`}>
      {open.length > 0 && (
        <Message kind="wrong">
          {open.length === 1 ? 'One defect is' : `${open.length} defects are`} still open: mend them, or leave them as
          they are by agreement.
        </Message>
      )}
      <p className="hint">{said(VIEWING, system)}</p>
      <DraftField label="Taken over by" value={by} parse={readText(200)} onCommit={(text) => (setBy(text), null)} />
      <div className="pair">
        <LengthField
          label="Looked at from"
          system={system}
          value={{ typed: formatLength(distance, system), metres: distance }}
          onCommit={(far) =>
            far && far.metres >= 0.1 && far.metres <= 20
              ? (setDistance(far.metres), null)
              : 'A distance from 0.1 to 20 m.'
          }
        />
        <Choice
          label="In the light of"
          value={light}
          options={TIMES_OF_LIGHT.map((one) => [one, said(LIGHT_AT[one], system)] as const)}
          onChange={setLight}
        />
      </div>
      <DraftField
        label="Note"
        lines={2}
        value={note}
        parse={readText(4000)}
        onCommit={(text) => (setNote(text), null)}
      />
      <SignHere onSigned={setStrokes} />
      <Button size="large" variant="outlined" disabled={!by.trim()} onClick={accept}>
        {open.length ? 'Hand over with open defects' : 'Hand over'}
      </Button>
      {!by.trim() && <p className="hint">A name is wanted; a signature may be left out.</p>}
    </Section>
  );
}

function SignHere({ onSigned }: { readonly onSigned: (strokes: Acceptance['signature']) => void }) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const pad = useRef<SignaturePad | null>(null);
  const told = useEffectEvent(onSigned);
  useEffect(() => {
    if (!canvas.current) return;
    const made = new SignaturePad(canvas.current, { penColor: getComputedStyle(canvas.current).color });
    pad.current = made;
    const read = () =>
      told(
        made
          .toData()
          .map(({ points }) =>
            points.slice(0, 2000).flatMap(({ x, y }) => [part(x / PAD.width), part(y / PAD.height)]),
          ),
      );
    made.addEventListener('endStroke', read);
    return () => {
      made.off();
      pad.current = null;
    };
  }, []);
  return (
    <div className="sign-here">
      <span>Sign here</span>
      <canvas ref={canvas} width={PAD.width} height={PAD.height} aria-label="Place to sign" role="img" />
      <TextButton
        onClick={() => {
          pad.current?.clear();
          onSigned([]);
        }}
      >
        clear
      </TextButton>
    </div>
  );
}
const part = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 1e4) / 1e4;

/** A signature that was kept, as lines. */
export function Signature({ strokes }: { readonly strokes: Acceptance['signature'] }) {
  if (!strokes.length) return null;
  const lines = strokes.map((own) => {
    const points = Array.from(
      { length: Math.floor(own.length / 2) },
      (_, i) => `${(own[2 * i] ?? 0) * PAD.width},${(own[2 * i + 1] ?? 0) * PAD.height}`,
    );
    return points.join(' ');
  });
  return (
    <svg viewBox={`0 0 ${PAD.width} ${PAD.height}`} className="signature" role="img" aria-label="Signature">
      {lines.map((points, i) => (
        <polyline key={i} points={points} />
      ))}
    </svg>
  );
}
