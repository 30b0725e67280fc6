import type { Opening } from '@kovelin/core/job/measured.ts';
import { SASHES, type OpeningShape, type Sash } from '@kovelin/core/job/vocabulary.ts';
import { riseOf } from '@kovelin/core/measure/openings.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { TRIM } from '@kovelin/core/words/terms.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { Check } from '../ui/Check.tsx';
import { NameField } from './NameField.tsx';
import { PartPicture } from './PartPicture.tsx';
import { problemsAt, type RoomProps } from './parts.ts';
import { readCount } from '../ui/read.ts';

const HEADS: readonly (readonly [OpeningShape, string])[] = [
  ['rectangle', 'straight'],
  ['round', 'half round'],
  ['segmental', 'a flatter arc'],
  ['gable', 'a gable'],
  ['circle', 'a full circle'],
];

type Key = 'rise' | 'girth' | 'back' | 'frame' | 'board' | 'apron';

/** What there is to paint of an opening besides its casing, and a head that is not straight. */
export default function OpeningMore({ view, room, takeoff, opening: o }: RoomProps & { opening: Opening }) {
  const { session, system } = view;
  const edit = (set: Partial<Omit<Opening, 'id'>>) => ({
    name: 'setOpening' as const,
    args: { room: room.id, opening: o.id, set },
  });
  const commit = (set: Partial<Omit<Opening, 'id'>>) => session.edit(edit(set));
  const field = (key: Key, label: string, none: string) => (
    <LengthField
      label={label}
      optional
      value={o[key]}
      system={system}
      options={{ max: key === 'rise' ? 20 : 2 }}
      placeholder={none}
      problem={problemsAt({ room, takeoff }, `openings/${o.id}/${key}`)[0] ?? null}
      drafts={(r) => r && edit({ [key]: r })}
      onCommit={(r) => commit({ [key]: r })}
    />
  );
  const count = (key: 'rows' | 'columns', label: string) => (
    <DraftField
      label={label}
      value={String(o.panels[key])}
      parse={readCount(12, 1)}
      drafts={(n) => (n === null ? null : edit({ panels: { ...o.panels, [key]: n } }))}
      onCommit={(n) => commit({ panels: { ...o.panels, [key]: n } })}
    />
  );
  const startRise = (): Reading => {
    const metres = Math.min(riseOf({ ...o, shape: 'segmental', rise: null }), o.height.metres);
    return tapeReading(metres, system);
  };
  const reveal = o.reveal;
  return (
    <div className="more">
      <NameField
        room={room}
        kind={o.kind}
        label={o.label}
        placeholder={`hall ${o.kind}`}
        onName={(label) => commit({ label })}
      />
      <fieldset>
        <legend>Head</legend>
        <span className="pair">
          <Choice
            label="Shape"
            value={o.shape}
            options={HEADS}
            onChange={(shape) => commit({ shape, rise: shape === 'segmental' ? (o.rise ?? startRise()) : null })}
          />
          {(o.shape === 'segmental' || o.shape === 'gable') && field('rise', 'rising', 'all of it')}
        </span>
      </fieldset>
      {o.casing && (
        <fieldset>
          <legend>{heading(TRIM.casing, system)}</legend>
          <span className="pair">
            <PartPicture kind="profile" shown={['width']} at={null} />
            {field('girth', 'Round its profile', 'as its face')}
            {field('back', 'On the far side', 'not painted')}
          </span>
        </fieldset>
      )}
      {o.kind === 'door' && o.leaf !== 'none' && (
        <fieldset>
          <legend>Leaf</legend>
          <span className="pair">
            {o.leaf !== 'flush' && count('rows', o.leaf === 'glazed' ? 'Panes down' : 'Panels down')}
            {o.leaf !== 'flush' && count('columns', 'across')}
            <Choice<'1' | '2'>
              label="Faces painted"
              value={o.faces === 2 ? '2' : '1'}
              options={[
                ['1', 'this one'],
                ['2', 'both'],
              ]}
              onChange={(faces) => commit({ faces: faces === '2' ? 2 : 1 })}
            />
            {field('frame', 'Depth of its lining', 'not painted')}
          </span>
        </fieldset>
      )}
      {o.kind === 'window' && (
        <fieldset>
          <legend>Sash and board</legend>
          <span className="pair">
            <Choice<Sash>
              label="Sash"
              value={o.sash}
              options={SASHES.map((sash) => [sash, sash === 'none' ? 'not painted' : sash])}
              onChange={(sash) => commit({ sash })}
            />
            {o.sash !== 'none' && count('rows', 'Panes down, each sash')}
            {o.sash !== 'none' && count('columns', 'across')}
            {field('board', 'Depth of its board', 'none')}
            {field('apron', 'Face of its apron', 'none')}
          </span>
        </fieldset>
      )}
      <fieldset>
        <legend>Returns</legend>
        <span className="pair">
          <LengthField
            label="Depth"
            optional
            value={reveal?.depth ?? null}
            system={system}
            options={{ max: 2 }}
            placeholder="none"
            drafts={(depth) => depth && edit({ reveal: { depth, painted: reveal?.painted ?? true } })}
            onCommit={(depth) => commit({ reveal: depth && { depth, painted: reveal?.painted ?? true } })}
          />
          {reveal && (
            <Check
              label="painted"
              checked={reveal.painted}
              onChange={(isOn) => commit({ reveal: { ...reveal, painted: isOn } })}
            />
          )}
        </span>
      </fieldset>
    </div>
  );
}
