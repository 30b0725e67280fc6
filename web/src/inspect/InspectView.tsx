import { patchesAt, sunDay } from '@kovelin/core/inspect/sun.ts';
import type { Defect } from '@kovelin/core/job/recorded.ts';
import { today } from '@kovelin/core/units/date.ts';
import { polygonOf } from '@kovelin/core/measure/outline.ts';
import { familyOf } from '@kovelin/core/job/vocabulary.ts';
import { useState } from 'react';
import { Link } from 'react-router';
import { useNow } from '../app/clock-time.ts';
import { Sides } from '../ui/Sides.tsx';
import { useLog } from '../app/useLog.ts';
import { useMine } from '../app/useMine.ts';
import { useWhole } from '../app/whole.ts';
import type { PlacedWall } from '../drawing/layout.ts';
import { lookAt } from '../drawing/looks.ts';
import { path, type Transform } from '../drawing/transform.ts';
import { UnrolledRoom } from '../drawing/UnrolledRoom.tsx';
import { freshId } from '../store/ids.ts';
import { useInspect } from '../workers/inspect.ts';
import { DefectList, numbered } from './DefectList.tsx';
import { DefectPanel } from './DefectPanel.tsx';
import { LookPanel, LookTable } from './Looks.tsx';
import { Pin, SunOn, Tapped } from './Marks.tsx';
import { SunAside, SunBar } from './SunBar.tsx';
import { TakeOver } from './TakeOver.tsx';
import { TouchUpPanel } from './TouchUpPanel.tsx';
import { Toggle } from '../ui/Toggle.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import './inspect.css';
import { Message } from '../ui/Message.tsx';

const PAGES = [
  ['looks', 'Look'],
  ['defects', 'Defects'],
  ['touch', 'Touch up'],
  ['accept', 'Hand over'],
] as const;
type Page = (typeof PAGES)[number][0];

/** Finding it while it can be mended: looks, defects, touching up, taking over. */
export default function InspectView() {
  const view = useWhole();
  const { state, takeoff, derived, session, surface } = view;
  const { job } = state;
  const log = useLog(job.id);
  const now = useNow(60_000);
  const [page, setPage] = useState<Page>('looks');
  const [date, setDate] = useState(() => job.crew.start ?? today());
  const [minute, setMinute] = useState(9 * 60);
  const [chosen, setChosen] = useState<string | null>(null);
  const [pinning, setPinning] = useState(false);
  const [mine] = useMine(job);
  const { data, error } = useInspect(job, log.entries, date);
  if (!takeoff?.surfaces.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: what to look for follows from its walls and what goes on them.</p>
      </main>
    );
  const who = job.crew.people[mine];
  const shared = { view, data: data ?? null, log, date, minute };
  const day = sunDay(job, takeoff, date);
  const patches = patchesAt(job, takeoff, date, minute);
  const list = numbered(view);
  const own = list.find(({ defect }) => defect.id === chosen) ?? null;
  const add = (on: string, at: Defect['at']): void => {
    const id = freshId();
    const defect: Defect = {
      id,
      surface: on,
      at,
      size: 0.1,
      kind: 'unknown',
      seen: today(),
      by: who?.name ?? '',
      coat: null,
      signs: {},
      cause: null,
      remedy: null,
      state: 'open',
      note: '',
    };
    if (!session.run({ name: 'addDefect', args: { defect } })) return;
    setPinning(false);
    setChosen(id);
    setPage('defects');
    view.select(on);
  };
  const paint = (id: string) => {
    const s = derived.surfaces.find((one) => one.surface.id === id);
    return { fill: s ? lookAt(s, 'hidden') : 'var(--trim)' };
  };
  const pins = (surfaceId: string, at: Transform) =>
    list
      .filter(({ defect }) => defect.surface === surfaceId)
      .map(({ n, defect }) => (
        <Pin
          key={defect.id}
          at={at}
          defect={defect}
          n={n}
          system={view.system}
          chosen={chosen === defect.id}
          onChoose={() => {
            setChosen(defect.id);
            setPage('defects');
            view.select(defect.surface);
          }}
        />
      ));
  const over = ({ takeoff: wall, at }: PlacedWall) => {
    const { id } = wall.wall;
    return (
      <>
        <SunOn at={at} patches={patches.filter((patch) => patch.wall === id)} />
        {pinning && (
          <Tapped at={at} points={path(polygonOf(wall.outline))} onTap={(x, y) => add(`${id}/field`, { x, y })} />
        )}
        {pins(`${id}/field`, at)}
      </>
    );
  };
  const ceiling = `${takeoff.room.id}/ceiling`;
  const isBroad = surface && familyOf(surface.kind) !== 'trim';
  return (
    <>
      <main className="middle inspect" aria-label="Inspect">
        <div className="inspect-top">
          <Sides label="Inspect" sides={PAGES} value={page} onChange={setPage} />
          <Toggle pressed={pinning} onChange={() => setPinning(!pinning)}>
            {pinning ? 'Press the place on a wall …' : 'Pin a defect'}
          </Toggle>
          {pinning && surface && (
            <TextButton onClick={() => add(surface.id, null)}>
              {isBroad ? 'all over what is chosen' : 'on what is chosen'}
            </TextButton>
          )}
          <span className="inspect-papers">
            <Link to="../punch">Punch list</Link> <Link to="../acceptance">Acceptance sheet</Link>
          </span>
        </div>
        <div className={pinning ? 'inspect-drawing pinning' : 'inspect-drawing'}>
          <UnrolledRoom
            view={view}
            takeoff={takeoff}
            paint={paint}
            over={over}
            aside={<SunAside {...shared} day={day} patches={patches} />}
            overCeiling={(at) => (
              <>
                {pinning && <Tapped at={at} points={path(takeoff.plan)} onTap={(x, y) => add(ceiling, { x, y })} />}
                {pins(ceiling, at)}
              </>
            )}
          />
        </div>
        {error && <Message kind="wrong">What to look for could not be worked out: {error.message}</Message>}
        <SunBar {...shared} day={day} onDate={setDate} onMinute={setMinute} />
        {page === 'defects' ? (
          <DefectList
            view={view}
            chosen={chosen}
            onChoose={(id) => {
              setChosen(id);
              const found = list.find(({ defect }) => defect.id === id);
              const room = derived.surfaces.find((s) => s.surface.id === found?.defect.surface)?.surface.room;
              if (found && room) view.show(room, found.defect.surface);
            }}
          />
        ) : (
          <LookTable {...shared} now={now} />
        )}
      </main>
      <aside className="panel inspect-panel" aria-label="What is chosen" tabIndex={0}>
        {page === 'looks' && <LookPanel {...shared} now={now} />}
        {page === 'defects' &&
          (own ? (
            <DefectPanel
              key={own.defect.id}
              {...shared}
              defect={own.defect}
              n={own.n}
              found={data?.defects.find(({ id }) => id === own.defect.id) ?? null}
              who={who?.id ?? ''}
              onGone={() => setChosen(null)}
            />
          ) : (
            <p className="hint">
              Choose a defect, or pin one: its causes, what to do about it and how to avoid it stand here.
            </p>
          ))}
        {page === 'touch' && <TouchUpPanel key={surface?.id} {...shared} />}
        {page === 'accept' && <TakeOver key={takeoff.room.id} {...shared} />}
      </aside>
    </>
  );
}
