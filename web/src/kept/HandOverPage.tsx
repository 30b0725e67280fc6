import { framesOf } from '@kovelin/core/exchange/frames.ts';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { PageTop } from '../app/PageTop.tsx';
import { attempt } from '../app/database.ts';
import { say } from '../app/say.ts';
import { db } from '../store/db.ts';
import { download, fileName } from '../store/take-out.ts';
import { pack } from '../workers/archive.ts';
import { Codes } from './Codes.tsx';
import { shareFile } from './share.ts';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import './kept.css';

interface Going {
  readonly name: string;
  readonly photos: number;
  readonly bytes: number;
}

/** A job on its way to another device: as a file, or as codes that its camera reads. */
export default function HandOverPage() {
  const { id = '' } = useParams();
  const [going, setGoing] = useState<Going | null>(null);
  const [withPhotos, setWithPhotos] = useState(true);
  const [busy, setBusy] = useState(false);
  const [codes, setCodes] = useState<readonly string[] | null>(null);
  useEffect(() => {
    document.title = 'Hand over · Kovelin';
    let left = false;
    const look = async (): Promise<void> => {
      const row = await db.jobs.get(id);
      const photos = await db.photos.where('job').equals(id).toArray();
      const bytes = photos.reduce((sum, { blob }) => sum + blob.size, 0);
      if (!left) setGoing(row ? { name: row.name, photos: photos.length, bytes } : null);
    };
    void look();
    return () => {
      left = true;
    };
  }, [id]);
  const packed = async (photos: boolean) => {
    setBusy(true);
    const made = await attempt('The job was not packed', () => pack('given', [id], photos));
    setBusy(false);
    return made?.jobs.length ? made.file : null;
  };
  const save = async (): Promise<void> => {
    const file = await packed(withPhotos);
    if (file && going) download(`${fileName(going)}.kovelin.zip`, file, 'application/zip');
  };
  const share = async (): Promise<void> => {
    const file = await packed(withPhotos);
    if (!file || !going) return;
    const problem = await shareFile(file, fileName(going), withPhotos ? null : file);
    if (problem) say(problem);
  };
  const show = async (): Promise<void> => {
    const file = await packed(false);
    if (!file) return;
    const made = framesOf(new Uint8Array(await file.arrayBuffer()));
    if (made.ok) setCodes(made.value);
    else say(made.problems[0]?.message ?? '');
  };
  return (
    <div className="jobs-page">
      <PageTop />
      <main className="kept-page">
        <h1>
          Hand over <bdi>{going?.name}</bdi>
        </h1>
        <p>
          The job and its log go to another device, and come back the same way. Coming back, both logs are united, and
          what was changed on both sides is shown for you to choose: nothing is written over.
        </p>
        <section className="kept-part">
          <h2>As a file</h2>
          {going && going.photos > 0 && (
            <Check
              label={
                <span>
                  with its {going.photos} {going.photos === 1 ? 'photo' : 'photos'} ({Math.ceil(going.bytes / 1e5) / 10}{' '}
                  MB)
                </span>
              }
              checked={withPhotos}
              onChange={(isOn) => setWithPhotos(isOn)}
            />
          )}
          <div className="row-buttons">
            {'share' in navigator && (
              <Button variant="outlined" disabled={busy} onClick={() => void share()}>
                Share …
              </Button>
            )}
            <Button variant="outlined" disabled={busy} onClick={() => void save()}>
              Save the file
            </Button>
          </div>
          <p className="hint">
            On the other device: <Link to="/bring-in">Import</Link>, and open it there.
          </p>
        </section>
        <section className="kept-part">
          <h2>As codes, without any network</h2>
          <p>The other device opens Import, turns its camera on, and sees them one after the other. Without photos.</p>
          {codes ? (
            <Codes frames={codes} />
          ) : (
            <Button variant="outlined" disabled={busy} onClick={() => void show()}>
              Show the codes
            </Button>
          )}
        </section>
      </main>
    </div>
  );
}
