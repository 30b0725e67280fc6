import { toDataURL } from 'qrcode';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { DraftField } from '../ui/DraftField.tsx';
import { readCount } from '../ui/read.ts';

/** So long one code is shown: a camera sees each two or three times [starting judgement]. */
const EACH = 700;

/** Codes one after the other, over and over, until the other device has them all. */
export function Codes({ frames }: { frames: readonly string[] }) {
  const [at, setAt] = useState(0);
  const [plays, setPlays] = useState(frames.length > 1);
  const [pictures, setPictures] = useState<readonly string[]>([]);
  useEffect(() => {
    let left = false;
    const draw = async (): Promise<void> => {
      const made = await Promise.all(
        frames.map((text) =>
          toDataURL([{ data: text, mode: 'alphanumeric' }], { errorCorrectionLevel: 'M', margin: 4, width: 960 }),
        ),
      );
      if (!left) setPictures(made);
    };
    void draw();
    return () => {
      left = true;
    };
  }, [frames]);
  useEffect(() => {
    if (!plays) return;
    const timer = setInterval(() => setAt((now) => (now + 1) % frames.length), EACH);
    return () => clearInterval(timer);
  }, [plays, frames.length]);
  const go = (by: number): void => {
    setPlays(false);
    setAt((now) => (now + by + frames.length) % frames.length);
  };
  const picture = pictures[at];
  return (
    <div className="codes">
      {picture ? <img src={picture} alt={`Code ${at + 1} of ${frames.length}`} /> : <p>Drawing the codes …</p>}
      <div className="row-buttons">
        <Button variant="outlined" onClick={() => go(-1)}>
          Back
        </Button>
        <Button variant="outlined" onClick={() => setPlays(!plays)}>
          {plays ? 'Stop' : 'Play'}
        </Button>
        <Button variant="outlined" onClick={() => go(1)}>
          On
        </Button>
        <DraftField
          label={`Code, of ${frames.length}`}
          value={String(at + 1)}
          parse={readCount(frames.length, 1)}
          onCommit={(n) => {
            setPlays(false);
            setAt(n - 1);
            return null;
          }}
        />
      </div>
    </div>
  );
}
