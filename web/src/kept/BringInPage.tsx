import { joinFrames, missingFrames, MOST_FRAMES, takeFrame, type FrameSet } from '@kovelin/core/exchange/frames.ts';
import type { ReadArchive } from '@kovelin/core/exchange/archive.ts';
import { bad, type Result } from '@kovelin/core/units/problem.ts';
import Button from '@mui/material/Button';
import { useEffect, useState } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import { FilePick } from '../ui/FilePick.tsx';
import { PageTop } from '../app/PageTop.tsx';
import { ReadingBar, type Opening } from '../ui/ReadingBar.tsx';
import { say } from '../app/say.ts';
import { Scanner } from '../app/Scanner.tsx';
import { arrivalOf, takeIn, type Arrival } from '../store/archive.ts';
import { backUp } from '../store/backups.ts';
import { db } from '../store/db.ts';
import { whyNot } from '../store/why.ts';
import { unpack } from '../workers/archive.ts';
import { whyNotRead } from '../workers/files.ts';
import { ArrivalCard, startingChoice, toChoose, type Choice } from './ArrivalCard.tsx';
import { clear, peek, takeShared } from '../app/inbox.ts';
import './kept.css';
import { Message } from '../ui/Message.tsx';

interface Opened {
  readonly name: string;
  readonly made: string;
  readonly warnings: readonly string[];
  readonly arrivals: readonly Arrival[];
}
/** Frames of a series written one a line, as a file that can be shared where a zip cannot. */
const FRAMES = /^\s*KOVELIN-QR\//;

/** Jobs that come in from a file or from codes: looked at first, then taken in as they are chosen. */
export default function BringInPage() {
  const navigate = useNavigate();
  const [search] = useSearchParams();
  const [opened, setOpened] = useState<Opened | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  /** What is being read, and a way to stop it. */
  const [reading, setReading] = useState<Opening | null>(null);
  const [choices, setChoices] = useState<readonly Choice[]>([]);
  /** Sent here by another application, or by a page that somebody looked at. */
  const [shared, setShared] = useState<File | null>(null);
  const [frames, setFrames] = useState<FrameSet | null>(null);
  const open = async (file: File, isOwn = false): Promise<void> => {
    setProblem(null);
    setOpened(null);
    const stop = new AbortController();
    const told = (share: number | null) => setReading({ name: file.name, share, cancel: () => stop.abort() });
    told(null);
    try {
      const read = await readFile(file, stop.signal, (done, of) => told(done / of));
      if (read.ok) {
        const arrivals = await Promise.all(read.value.jobs.map((came) => arrivalOf(db, came, isOwn)));
        setOpened({ name: file.name, made: read.value.made, warnings: read.value.warnings, arrivals });
        setChoices(arrivals.map(startingChoice));
      } else setProblem(read.problems.map(({ message }) => message).join(' '));
    } catch (error) {
      setProblem(whyNotRead(file.name, error));
    }
    setReading(null);
  };
  useEffect(() => {
    document.title = 'Import · Kovelin';
    const waiting = peek();
    clear();
    const sent = search.has('shared') ? takeShared() : Promise.resolve(null);
    void Promise.resolve(waiting).then((found) => (found ? open(found.file, found.isOwn) : sent.then(setShared)));
  }, [search]);
  const take = async (): Promise<void> => {
    if (!opened) return;
    setBusy('Taking it in …');
    // what stands here is kept as it is, first
    const whyNotBackedUp = await backUp(db, 'before').then(
      (faults) => void faults.forEach((each) => say(each)),
      whyNot,
    );
    if (whyNotBackedUp !== undefined) {
      setBusy(null);
      setProblem(`Nothing was taken in, for what is here could not be backed up first: ${whyNotBackedUp}`);
      return;
    }
    const refused: string[] = [];
    const done: string[] = [];
    for (const [i, arrival] of opened.arrivals.entries()) {
      const choice = choices[i];
      if (!choice?.isWanted) continue;
      const { name } = arrival.came.job;
      const taken = await takeIn(db, arrival, ({ key }) => choice.sides[key] ?? 'here').catch((error: unknown) => ({
        ok: false as const,
        problems: [{ path: '', message: whyNot(error) }],
      }));
      if (taken.ok) done.push(taken.value.id);
      else refused.push(`${name} was left as it was: ${taken.problems[0]?.message ?? ''}`);
    }
    setBusy(null);
    if (refused.length) {
      // what was taken is here now, and what another tab changed meanwhile is to be looked at
      const again = await Promise.all(opened.arrivals.map(({ came, isOwn }) => arrivalOf(db, came, isOwn)));
      setOpened({ ...opened, arrivals: again });
      setChoices(again.map((arrival, i) => choiceAgain(arrival, choices[i])));
      return setProblem(refused.join(' '));
    }
    say(done.length === 1 ? 'Taken in. What was here before is in the backups.' : `${done.length} jobs taken in.`);
    void navigate(done.length === 1 ? `/job/${done[0]}/measure` : '/');
  };
  const onCode = (text: string): boolean => {
    const taken = takeFrame(frames, text);
    if (!taken.ok) {
      say(taken.problems[0]?.message ?? '');
      return false;
    }
    setFrames(taken.value);
    if (missingFrames(taken.value).length) return false;
    const joined = joinFrames(taken.value);
    setFrames(null);
    if (!joined.ok) {
      setProblem(joined.problems[0]?.message ?? '');
      return true;
    }
    void open(new File([joined.value as Uint8Array<ArrayBuffer>], 'the codes'));
    return true;
  };
  const some = opened?.arrivals.some((_, i) => choices[i]?.isWanted) ?? false;
  const left = choices.reduce((sum, choice) => sum + toChoose(choice), 0);
  return (
    <div className="jobs-page">
      <PageTop />
      <main className="kept-page">
        <h1>Import</h1>
        {shared && (
          <section className="kept-part" aria-label="Shared with Kovelin">
            <p>
              Something sent <b>{shared.name}</b> ({Math.ceil(shared.size / 1000)} kB) to Kovelin. If it was you, look
              into it.
            </p>
            <div className="row-buttons">
              <Button
                variant="contained"
                onClick={() => {
                  setShared(null);
                  void open(shared);
                }}
              >
                Look into it
              </Button>
              <Button variant="outlined" onClick={() => setShared(null)}>
                Throw it away
              </Button>
            </div>
          </section>
        )}
        {!opened && (
          <>
            <p>
              A job that comes from another device, an export of everything, or a backup. It is looked at first: nothing
              here is changed until you say so.
            </p>
            <section className="kept-part">
              <h2>From a file</h2>
              <FilePick accept=".zip,.txt" onFiles={([file]) => file && void open(file)}>
                Open a file
              </FilePick>
              <p className="hint">A .kovelin.zip, or the .kovelin.txt that a phone shared.</p>
            </section>
            <section className="kept-part">
              <h2>From codes on another screen</h2>
              <Scanner onRead={onCode} />
              {frames && (
                <p role="status" className="frames-read">
                  {frames.parts.size} of {frames.count} read; still missing: {missingFrames(frames).join(', ')}
                </p>
              )}
            </section>
          </>
        )}
        {reading && <ReadingBar reading={reading} />}
        {busy && <p role="status">{busy}</p>}
        {problem && (
          <div className="problems" role="alert">
            <p>{problem}</p>
          </div>
        )}
        {opened && (
          <>
            <p>
              {opened.name}, made {new Date(opened.made).toLocaleString()}
            </p>
            {opened.warnings.map((text) => (
              <Message key={text} kind="caution">
                {text}
              </Message>
            ))}
            {opened.arrivals.map((arrival, i) => {
              const choice = choices[i];
              return (
                choice && (
                  <ArrivalCard
                    key={i}
                    arrival={arrival}
                    choice={choice}
                    onChoice={(next) => setChoices(choices.map((one, n) => (n === i ? next : one)))}
                  />
                )
              );
            })}
            <div className="kept-act">
              {left > 0 && (
                <p role="status">{left === 1 ? 'One thing is' : `${left} things are`} still to be chosen.</p>
              )}
              <Button
                size="large"
                variant="contained"
                className="start"
                disabled={!some || left > 0 || busy !== null}
                onClick={() => void take()}
              >
                Import
              </Button>
              <Button variant="outlined" onClick={() => setOpened(null)}>
                Close
              </Button>
            </div>
          </>
        )}
      </main>
    </div>
  );
}

/** What was chosen of what still differs in the same way. */
function choiceAgain(arrival: Arrival, before: Choice | undefined): Choice {
  const fresh = startingChoice(arrival);
  if (!before) return fresh;
  const sides = Object.entries(fresh.sides).map(([key, side]) => [
    key,
    side === null ? null : (before.sides[key] ?? side),
  ]);
  return { isWanted: fresh.isWanted && before.isWanted, sides: Object.fromEntries(sides) as Choice['sides'] };
}

/** A zip, or the frames of one. */
async function readFile(
  file: File,
  signal: AbortSignal,
  told: (done: number, of: number) => void,
): Promise<Result<ReadArchive>> {
  const start = await file.slice(0, 32).text();
  if (!FRAMES.test(start)) return unpack(file, signal, told);
  if (file.size > MOST_FRAMES * 1000) return bad('This file has more codes than a job makes. It was not read.');
  let set: FrameSet | null = null;
  for (const line of (await file.text()).split(/\r?\n/)) {
    if (!line.trim()) continue;
    const taken = takeFrame(set, line);
    if (!taken.ok) return taken;
    set = taken.value;
  }
  const joined = set && joinFrames(set);
  if (!joined) return unpack(file, signal, told);
  return joined.ok ? unpack(new Blob([joined.value as Uint8Array<ArrayBuffer>]), signal, told) : joined;
}
