import { newOpening } from '@kovelin/core/job/blank.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { usualOf } from '@kovelin/core/job/usual.ts';
import type { Opening, Room } from '@kovelin/core/job/measured.ts';
import type { Leaf, OpeningKind } from '@kovelin/core/job/vocabulary.ts';
import { tapeReading } from '@kovelin/core/units/reading.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { OPENING, TRIM } from '@kovelin/core/words/terms.ts';
import { Fragment, lazy, Suspense, useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import type { JobView } from '../app/job-context.ts';
import { freshId } from '../store/ids.ts';
import { OFFSET, problemsAt, type RoomProps } from './parts.ts';
import { MoreButton, RemoveButton } from './RemoveButton.tsx';

const OpeningMore = lazy(() => import('./OpeningMore.tsx'));

/** Left between a new opening and the last one on its wall, m. */
const STEP = 0.3048;

/** Starting sizes on the wall looked at, behind what stands there already; the next free label of its kind. */
export function startOpening(view: JobView, room: Room, kind: OpeningKind): Opening {
  const labels = new Set(Object.values(room.openings.byId).map((o) => o.label));
  let n = 1;
  while (labels.has(`${kind.charAt(0)}${n}`)) n++;
  const usual = usualOf(view.system).openings[kind];
  const wall = room.walls.byId[view.surface?.wall ?? ''] ? (view.surface?.wall ?? '') : (room.walls.order[0] ?? '');
  const taken = rows(room.openings)
    .filter((o) => o.wall === wall)
    .map((o) => o.at.metres + o.width.metres);
  const free = Math.max(0, ...taken) + (taken.length ? STEP : 0);
  const behind = free + usual.width.metres < (room.walls.byId[wall]?.length?.metres ?? 0) ? free : 0;
  return {
    ...newOpening({
      id: freshId(),
      label: `${kind.charAt(0)}${n}`,
      wall,
      kind,
      width: usual.width,
      height: usual.height,
      at: tapeReading(behind > 0 ? behind : STEP, view.system),
    }),
    sill: usual.sill,
    casing: usual.casing,
  };
}

/** Has it anything that its row does not show? */
const hasMore = (o: Opening) =>
  o.shape !== 'rectangle' ||
  o.faces === 2 ||
  o.sash !== 'none' ||
  [o.girth, o.back, o.frame, o.board, o.apron, o.reveal].some(Boolean);

/** A row an opening. */
export function OpeningRows({ view, room, takeoff }: RoomProps) {
  const { session, system } = view;
  const [open, setOpen] = useState<string | null>(null);
  return (
    <table className="walls-table openings-table">
      <thead>
        <tr>
          <th>Opening</th>
          <th>On wall</th>
          <th>Width</th>
          <th>Height</th>
          <th>From the start</th>
          <th>Sill</th>
          <th>{heading(TRIM.casing, system)}</th>
          <th>Leaf</th>
          <th>
            <span className="unseen">Remove</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows(room.openings).map((o) => {
          const edit = (set: Partial<Omit<Opening, 'id'>>) => ({
            name: 'setOpening' as const,
            args: { room: room.id, opening: o.id, set },
          });
          const problem = (field: string) => problemsAt({ room, takeoff }, `openings/${o.id}/${field}`)[0] ?? null;
          const field = (key: 'width' | 'height' | 'at' | 'sill' | 'casing', label: string, optional = false) => (
            <td data-label={key === 'at' ? 'From the start' : label}>
              <LengthField
                id={`${key}-${o.id}`}
                className="short"
                hideLabel
                label={`${label} of ${o.label}`}
                optional={optional}
                value={o[key]}
                system={system}
                options={key === 'at' || key === 'sill' ? OFFSET : {}}
                placeholder={optional ? 'none' : ''}
                problem={problem(key)}
                drafts={(reading) => reading && edit({ [key]: reading })}
                onCommit={(reading) => session.edit(edit({ [key]: reading }))}
              />
            </td>
          );
          return (
            <Fragment key={o.id}>
              <tr>
                <th scope="row">
                  {heading(OPENING[o.kind], system)} {o.label}
                </th>
                <td data-label="On wall">
                  <Choice
                    hideLabel
                    label={`Wall of ${o.label}`}
                    value={o.wall}
                    options={rows(room.walls).map((w) => [w.id, w.label])}
                    onChange={(wall) => session.edit(edit({ wall }))}
                  />
                </td>
                {field('width', 'Width')}
                {field('height', 'Height')}
                {field('at', 'Distance from the start of the wall')}
                {o.kind === 'door' ? <td data-label="Sill">floor</td> : field('sill', 'Sill', true)}
                {field('casing', heading(TRIM.casing, system), true)}
                <td data-label="Leaf">
                  {o.kind === 'door' ? (
                    <Choice<Leaf>
                      hideLabel
                      label={`Leaf of ${o.label}`}
                      value={o.leaf}
                      options={[
                        ['flush', 'flush'],
                        ['panelled', 'panelled'],
                        ['glazed', 'glazed'],
                        ['none', 'not painted'],
                      ]}
                      onChange={(leaf) => session.edit(edit({ leaf }))}
                    />
                  ) : (
                    '–'
                  )}
                </td>
                <td className="row-tools">
                  <MoreButton
                    what={o.label}
                    some={hasMore(o)}
                    open={open === o.id}
                    onToggle={() => setOpen(open === o.id ? null : o.id)}
                  />
                  <RemoveButton
                    what={o.label}
                    onRemove={() => session.edit({ name: 'removeOpening', args: { room: room.id, opening: o.id } })}
                  />
                </td>
              </tr>
              {open === o.id && (
                <tr>
                  <td colSpan={9}>
                    <Suspense fallback={null}>
                      <OpeningMore view={view} room={room} takeoff={takeoff} opening={o} />
                    </Suspense>
                  </td>
                </tr>
              )}
            </Fragment>
          );
        })}
      </tbody>
    </table>
  );
}
