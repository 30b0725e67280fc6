import { Problems } from '../ui/Problems.tsx';
import { FilePick } from '../ui/FilePick.tsx';
import { MAX_PALETTE_BYTES, writeCxf, type Palette } from '@kovelin/core/exchange/palette.ts';
import { OWN_PALETTE } from '@kovelin/core/specify/own-palette.ts';
import { undertone, lrvOf } from '@kovelin/core/specify/colour.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { ReadingBar } from '../ui/ReadingBar.tsx';
import { freshId } from '../store/ids.ts';
import { download } from '../store/take-out.ts';
import { Check } from '../ui/Check.tsx';
import { useReading } from '../workers/files.ts';
import { Window } from '../ui/Window.tsx';

const OWN: Palette = { colours: OWN_PALETTE.map((c) => ({ ...c, shown: true })), problems: [] };

/** Colours from a palette file into the job, and the job's colours out. */
export default function ColourFile({ view, onClose }: { view: WholeView; onClose: () => void }) {
  const spell = useSpelt();
  const { session, state } = view;
  const [palette, setPalette] = useState<Palette>(OWN);
  const [refused, setRefused] = useState<string[]>([]);
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const reading = useReading();
  const open = async (file: File | undefined) => {
    if (!file) return;
    // not even taken into memory
    if (file.size > MAX_PALETTE_BYTES) {
      setRefused([spell('This palette is larger than 10 MB; keep only the colours you want and save it again.')]);
      setPalette(OWN);
      return;
    }
    const text = await file.text();
    const read = await reading.read(
      file.name,
      (api) => api.palette(text),
      (why) => setRefused([why]),
    );
    if (!read) return;
    setRefused(read.ok ? read.value.problems.slice(0, 5).map(sentence) : read.problems.map(sentence));
    setPalette(read.ok ? read.value : OWN);
    setChosen(new Set());
  };
  const take = () => {
    const colours = palette.colours
      .filter((_, i) => chosen.has(i))
      .map(({ name, hex }) => ({ id: freshId(), name, hex }));
    if (colours.length) session.run({ name: 'addColours', args: { colours } });
    onClose();
  };
  const toggle = (i: number) => {
    const next = new Set(chosen);
    if (!next.delete(i)) next.add(i);
    setChosen(next);
  };
  return (
    <Window
      title={spell('Colours to take into the job')}
      onClose={onClose}
      maxWidth="md"
      className="bring-in"
      actions={
        <>
          {' '}
          <Button variant="contained" disabled={!chosen.size} onClick={take}>
            {spell(chosen.size === 1 ? 'Take 1 colour' : `Take ${chosen.size} colours`)}
          </Button>
          <Button
            onClick={() => download('colours.cxf', writeCxf(Object.values(state.job.colours)), 'application/xml')}
          >
            {spell('The job’s colours as CxF')}
          </Button>
          <Button onClick={onClose}>Close</Button>
        </>
      }
    >
      <p className="hint">
        Kovelin’s own palette, or a file: a GPL palette, a CSV of names with sRGB or Lab, or CxF3 (ISO 17972).
      </p>
      <FilePick accept=".gpl,.csv,.txt,.cxf,.xml" label="Palette file" onFiles={([file]) => void open(file)}>
        Choose the file
      </FilePick>
      <ReadingBar reading={reading} />
      <Problems items={refused} />
      <ul className="palette" aria-label={palette === OWN ? spell('Colours shipped') : spell('Colours of the file')}>
        {palette.colours.slice(0, 300).map((c, i) => (
          <li key={i}>
            <Check
              label={
                <>
                  <span className="chip large" style={{ background: c.hex }} />
                  <span>
                    <b>{c.name}</b>
                    <small>
                      LRV {lrvOf(c.hex).toFixed(0)}; {undertone(c.hex)}
                      {!c.shown && '; beyond this screen'}
                    </small>
                  </span>
                </>
              }
              checked={chosen.has(i)}
              onChange={() => toggle(i)}
            />
          </li>
        ))}
      </ul>
    </Window>
  );
}
