import { seededIds } from '@kovelin/core/job/blank.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { roomFromDraft } from '@kovelin/core/job/reconcile.ts';
import { usualOf } from '@kovelin/core/job/usual.ts';
import { isImperial, type System } from '@kovelin/core/units/si.ts';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { freshId } from '../store/ids.ts';
import { Window } from '../ui/Window.tsx';
import { FromHouse } from './FromHouse.tsx';
import { FromPlan, type Outline } from './FromPlan.tsx';

const queries = new QueryClient();

interface Props {
  readonly file: File;
  readonly system: System;
  readonly onTake: (rooms: readonly Room[]) => void;
  readonly onClose: () => void;
}

/** A job from a table of rooms or from a floor plan. */
export default function BringHouse({ file, system, onTake, onClose }: Props) {
  const units = isImperial(system) ? 'imperial' : 'metric';
  const roomOf = (walls: Outline, n: number): Room => {
    const id = freshId();
    const { height } = usualOf(units);
    const name = `Room ${n + 1}`;
    return roomFromDraft(
      { name, height, walls, openings: [], checks: [], trim: {}, parts: [] },
      id,
      seededIds(id),
      units,
    );
  };
  return (
    <QueryClientProvider client={queries}>
      <Window
        title={
          <>
            A job from <bdi>{file.name}</bdi>
          </>
        }
        maxWidth="md"
        className="bring-in"
        actions={null}
        onClose={onClose}
      >
        {/\.(dxf|svg)$/i.test(file.name) ? (
          <FromPlan
            system={system}
            first={file}
            several
            hint="Each outline is a room, as high as is usual: name it and tape its height, and one or two walls, before you trust the drawing."
            onTake={(outlines) => onTake(outlines.map(roomOf))}
            onClose={onClose}
          />
        ) : (
          <FromHouse system={system} first={file} onTake={onTake} onClose={onClose} />
        )}
      </Window>
    </QueryClientProvider>
  );
}
