import { Message } from '../ui/Message.tsx';
import { ColourWell } from '../ui/ColourWell.tsx';
import { useSpelt } from './useSpelt.ts';
import { readLab } from '@kovelin/core/exchange/instruments.ts';
import { hexOfLab, labOf, lrvOf, undertone, type Lab } from '@kovelin/core/specify/colour.ts';
import { averageReadings } from '@kovelin/core/specify/readings.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Window } from '../ui/Window.tsx';

/** Several readings of one chip, averaged; the simulated reader is shown the chip's true colour here. */
export default function ReadColour({
  start,
  onTake,
  onClose,
}: {
  start: string;
  onTake: (hex: string) => void;
  onClose: () => void;
}) {
  const spell = useSpelt();
  const [chip, setChip] = useState(start);
  const [readings, setReadings] = useState<Lab[]>([]);
  const [fault, setFault] = useState('');
  const average = averageReadings(readings);
  const found = average && hexOfLab(average.lab);
  const press = async () => {
    setFault('');
    const answer = await fetch('/instruments/reader/readings', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ lab: labOf(chip) }),
    })
      .then(async (response) => ({ isGood: response.ok, text: await response.text() }))
      .catch(() => null);
    if (!answer) return setFault(spell('The reader does not answer; pick the colour by eye meanwhile.'));
    if (!answer.isGood) return setFault(spell('The reader refused: show it a colour first.'));
    const lab = readLab(answer.text);
    if (lab.ok) setReadings((list) => [...list, lab.value]);
    else setFault(lab.problems[0]?.message ?? '');
  };
  return (
    <Window
      title={spell('Read a colour')}
      onClose={onClose}
      className="bring-in"
      actions={
        <>
          {' '}
          <Button variant="contained" disabled={!found} onClick={() => found && onTake(found.hex)}>
            {spell('Take this colour')}
          </Button>
          <Button onClick={onClose}>Close</Button>
        </>
      }
    >
      <p className="hint">
        Simulated reader: no device connected. Hold it flat on a paper-thin chip from behind furniture or a plate, and
        press three to five times. The chip leaves a small repair, and what was hidden may be less faded than the wall
        in view.
      </p>
      <ColourWell
        label={spell('True colour of the chip (the reader is simulated)')}
        value={chip}
        onChange={(hex) => {
          setChip(hex);
          setReadings([]);
        }}
      />
      <Button variant="outlined" onClick={() => void press()}>
        Press the reader
      </Button>
      {fault && <Message kind="wrong">{fault}</Message>}
      <ol className="readings">
        {readings.map(({ l, a, b }, i) => (
          <li key={i}>
            L {l.toFixed(1)}, a {a.toFixed(1)}, b {b.toFixed(1)}
            {average?.left.includes(i) && ' – left out: far from the others'}
          </li>
        ))}
      </ol>
      {average && found && (
        <p role="status">
          <span className="chip large" style={{ background: found.hex }} /> Mean of{' '}
          {readings.length - average.left.length}: LRV {lrvOf(found.hex).toFixed(0)}, {undertone(found.hex)}; readings
          within ΔE {average.spread.toFixed(1)}.{!found.shown && ' Beyond this screen.'}
        </p>
      )}
    </Window>
  );
}
