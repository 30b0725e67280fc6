import type { Reading } from '@kovelin/core/units/reading.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { TRIM_KINDS, type TrimKind } from '@kovelin/core/job/vocabulary.ts';
import { PROFILES } from '@kovelin/core/job/profiles.ts';
import { typeLength } from '@kovelin/core/units/length.ts';
import { isImperial, type System } from '@kovelin/core/units/si.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { TRIM } from '@kovelin/core/words/terms.ts';
import { LengthField } from '../ui/LengthField.tsx';
import { memo } from 'react';
import type { JobSession } from '../store/session.ts';
import { Check } from '../ui/Check.tsx';
import { PartPicture } from './PartPicture.tsx';
import { HEIGHT, problemsAt, type RoomProps } from './parts.ts';

/** Where a rail usually is, in the units of the job. */
const startsAtIn = (system: System): Readonly<Partial<Record<TrimKind, Reading>>> =>
  isImperial(system)
    ? { 'chair-rail': { typed: `3'`, metres: 0.9144 }, 'picture-rail': { typed: `6'6`, metres: 1.9812 } }
    : { 'chair-rail': { typed: '0.9 m', metres: 0.9 }, 'picture-rail': { typed: '2 m', metres: 2 } };

/** Runs of trim round the room: a face width, and a height where the kind needs one. */
export function TrimRows({ view, room, takeoff }: RoomProps) {
  return (
    <div className="room-line">
      {TRIM_KINDS.map((kind) => (
        <TrimRun
          key={kind}
          session={view.session}
          system={view.system}
          room={room.id}
          kind={kind}
          run={room.trim[kind]}
          problem={problemsAt({ room, takeoff }, `trim/${kind}`)[0] ?? null}
        />
      ))}
    </div>
  );
}

type Run = Room['trim'][TrimKind];
interface TrimRunProps {
  readonly session: JobSession;
  readonly system: System;
  readonly room: string;
  readonly kind: TrimKind;
  readonly run: Run;
  readonly problem: string | null;
}

/** Rendered again when something of this run changed, and for nothing else. */
const TrimRun = memo(function TrimRun({ session, system, room, kind, run, problem }: TrimRunProps) {
  const edit = (next: Run | null) => ({ name: 'setTrim' as const, args: { room, kind, run: next ?? null } });
  const startsAt = run?.at ?? startsAtIn(system)[kind] ?? null;
  const withFace = (face: Reading | null) =>
    edit(face && { face, girth: run?.girth ?? null, at: startsAt, later: run?.later ?? false });
  return (
    <span className="trim-pair">
      <LengthField
        id={`trim-${kind}`}
        label={`${heading(TRIM[kind], system)} face`}
        optional
        value={run?.face ?? null}
        system={system}
        options={{ max: 1, what: 'a face' }}
        placeholder="none"
        problem={problem}
        drafts={(face) => face && withFace(face)}
        onCommit={(face) => session.edit(withFace(face))}
      />
      {run && (
        <>
          <PartPicture kind="profile" shown={['width']} at={null} />
          <LengthField
            label="round its profile"
            optional
            value={run.girth}
            system={system}
            options={{ max: 1, what: 'a girth' }}
            placeholder="as its face"
            list={`profiles-${kind}`}
            drafts={(girth) => girth && edit({ ...run, girth })}
            onCommit={(girth) => session.edit(edit({ ...run, girth }))}
          />
          <datalist id={`profiles-${kind}`}>
            {PROFILES.map(({ name, factor }) => (
              <option key={name} value={typeLength(run.face.metres * factor, system)}>
                {name}
              </option>
            ))}
          </datalist>
          <Check label="fitted later" checked={run.later} onChange={(later) => session.edit(edit({ ...run, later }))} />
        </>
      )}
      {run?.at && (
        <LengthField
          label="at"
          value={run.at}
          system={system}
          options={HEIGHT}
          drafts={(at) => at && edit({ ...run, at })}
          onCommit={(at) => session.edit(edit({ ...run, at }))}
        />
      )}
    </span>
  );
});
