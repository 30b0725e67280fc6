import ButtonBase from '@mui/material/ButtonBase';
import Button from '@mui/material/Button';
import type { SaidEntry } from '@kovelin/core/site/entry.ts';
import Dialog from '@mui/material/Dialog';
import { useEffect, useState } from 'react';
import { FilePick } from '../ui/FilePick.tsx';
import { say } from './say.ts';
import { db, type PhotoRow } from '../store/db.ts';
import { freshId } from '../store/ids.ts';
import { smallPhoto } from '../workers/photo.ts';
import type { SiteLog } from './useLog.ts';

interface TakeProps {
  readonly job: string;
  readonly log: SiteLog;
  /** What it is of, and by whom. */
  readonly about: { readonly who: string; readonly surface?: string; readonly operation?: string };
  readonly note?: string;
  readonly onTaken?: () => void;
  readonly asLink?: boolean;
}

/** Takes photos from the camera or from files, makes them small and notes them. */
export function TakePhoto({ job, log, about, note = '', onTaken, asLink = false }: TakeProps) {
  const [busy, setBusy] = useState(0);
  const take = async (files: readonly File[]): Promise<void> => {
    setBusy(files.length);
    for (const file of files) {
      const small = await smallPhoto(file).catch((error: unknown) => {
        say(`${file.name} was not taken: ${error instanceof Error ? error.message : String(error)}`);
        return null;
      });
      setBusy((left) => left - 1);
      if (!small) continue;
      if (!small.ok) {
        say(`${file.name} was not taken. ${small.problems[0]?.message ?? ''}`);
        continue;
      }
      const { blob, width, height } = small.value;
      const photo: PhotoRow = { id: freshId(), job, blob };
      const entry: SaidEntry = {
        kind: 'photo',
        ...about,
        ...(note.trim() ? { note: note.trim() } : {}),
        value: { photo: photo.id, width, height },
      };
      const fault = log.note([entry], [photo]);
      if (fault === null) onTaken?.();
      else say(`${file.name} was not taken. ${fault}`);
    }
  };
  return (
    <FilePick accept="image/*" multiple asLink={asLink} onFiles={(files) => void take(files)}>
      {busy > 0 ? `Making ${busy === 1 ? 'it' : `${busy} of them`} small …` : 'Photo'}
    </FilePick>
  );
}

/** A photo of the log: small beside its entry, whole when it is asked for. */
export function ShownPhoto({ id, words }: { readonly id: string; readonly words: string }) {
  const [url, setUrl] = useState<string | null>(null);
  const [isGone, setGone] = useState(false);
  const [open, setOpen] = useState(false);
  useEffect(() => {
    let made: string | null = null;
    let left = false;
    void db.photos.get(id).then((row) => {
      if (left) return;
      if (row) setUrl((made = URL.createObjectURL(row.blob)));
      else setGone(true);
    });
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  if (isGone) return <small>The photo itself is on the device that took it.</small>;
  if (!url) return null;
  return (
    <>
      <ButtonBase className="photo" aria-label={`Photo, whole: ${words}`} onClick={() => setOpen(true)}>
        <img src={url} alt={words} />
      </ButtonBase>
      <Dialog open={open} onClose={() => setOpen(false)} maxWidth="lg" aria-label={words} className="photo-whole">
        <img src={url} alt={words} />
        <Button size="large" variant="outlined" onClick={() => setOpen(false)}>
          Close
        </Button>
      </Dialog>
    </>
  );
}
