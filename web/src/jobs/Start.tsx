import { newRoom } from '@kovelin/core/job/blank.ts';
import { plainRoom } from '@kovelin/core/job/plain-room.ts';
import { COUNTRIES, COUNTRY_ROWS, systemOf, type Country } from '@kovelin/core/job/region.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import { type ComponentProps, lazy, Suspense, useEffect, useState } from 'react';
import { attempt } from '../app/database.ts';
import { Choice } from '../ui/Choice.tsx';
import { freshId } from '../store/ids.ts';
import type { JobRow } from '../store/db.ts';
import { countryBefore, countryHere, createJob, lastOf } from '../store/jobs.ts';
import { GoesOn } from './GoesOn.tsx';
import {
  meBefore,
  ownedBefore,
  rememberKit,
  rememberMe,
  rememberOwned,
  rememberRegion,
  type Me,
} from '../store/kept.ts';
import { askToKeep } from '../store/keep.ts';
import { ALL_OF_THE_KIT, KitQuestion, ownedWords } from '../app/KitQuestion.tsx';
import { FOR_WHOM } from '../app/for-whom.ts';
import { RoomDrawing } from '../rooms/RoomDrawing.tsx';
import { RoomFields, sayLeft, useRoomForm } from '../rooms/RoomForm.tsx';
import type { SaidRoom } from '../rooms/said-room.ts';
import { FilePick } from '../ui/FilePick.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import { More } from '../ui/More.tsx';

const Kit = lazy(() => import('../app/Kit.tsx').then((file) => ({ default: file.Kit })));

interface Props {
  readonly onOpen: (id: string | null) => void;
  readonly file: Omit<ComponentProps<typeof FilePick>, 'children'>;
  readonly onCottage: () => void;
  /** Those that are here, the newest first. */
  readonly jobs: readonly JobRow[];
}

const NOBODY_SAID = { own: null, ownsNone: false, asBefore: null } as const;
const NOTHING_SAID: SaidRoom = {
  name: 'Living room',
  length: null,
  width: null,
  height: null,
  doors: 1,
  windows: 1,
  baseboard: true,
};

async function offerExample(): Promise<void> {
  const [{ HOUSE_EXAMPLE }, { download }] = await Promise.all([
    import('@kovelin/core/exchange/house.ts'),
    import('../store/take-out.ts'),
  ]);
  download('rooms.csv', HOUSE_EXAMPLE, 'text/csv');
}

/** The ways into a first room: two lengths and a height, walls one by one, a file, or the example. */
export default function Start({ onOpen, file, onCottage, jobs }: Props) {
  const [country, setCountry] = useState<Country | null>(null);
  const [me, setMe] = useState<Pick<Me, 'own' | 'ownsNone' | 'asBefore'>>(NOBODY_SAID);
  const [ticking, setTicking] = useState(false);
  const [owned, setOwned] = useState<Readonly<Record<string, number>>>({});
  useEffect(() => {
    // where nothing can be kept, nothing was: that is said above
    countryBefore().then(setCountry, () => setCountry(countryHere()));
    Promise.all([meBefore(), ownedBefore()]).then(
      ([who, has]) => {
        setMe(who);
        setOwned(has);
      },
      () => setMe(NOBODY_SAID),
    );
  }, []);
  const { units, words } = COUNTRY_ROWS[country ?? countryHere()];
  const system = systemOf({ units, region: { words } });
  const form = useRoomForm({ system, blank: NOTHING_SAID, place: 'start' });
  if (!country) return <p className="waiting">One moment …</p>;
  const whose = (whom: 'own' | 'client') => {
    setMe({ ...me, own: whom === 'own' });
    void attempt('It was not remembered', () => rememberMe({ own: whom === 'own' }));
  };
  const own = (key: string, pieces: number) => {
    setOwned({ ...owned, [key]: pieces });
    void attempt('It was not remembered', () => rememberOwned(key, pieces));
  };
  const ownAll = () => {
    setOwned({ ...owned, ...ALL_OF_THE_KIT });
    void attempt('It was not remembered', () => rememberKit(ALL_OF_THE_KIT));
  };
  const ownNone = () => {
    setMe({ ...me, ownsNone: true });
    void attempt('It was not remembered', () => rememberMe({ ownsNone: true }));
  };
  const isKitSaid = Object.keys(owned).length > 0;
  const make = async (name: string, draw: Parameters<typeof createJob>[2]) => {
    void askToKeep();
    const made = await attempt('The job was not made', async () => {
      await rememberRegion(country);
      return createJob(freshId(), name, draw);
    });
    if (made !== null) form.keep(NOTHING_SAID);
    onOpen(made);
  };
  const send = () =>
    form.send(
      (said) =>
        void make(said.name, (id, ids) => {
          const { room, left } = plainRoom(id, said, ids, system);
          sayLeft(left);
          return [room];
        }),
    );
  return (
    <section className="start" aria-labelledby="start-title">
      <div className="start-why">
        <h1 id="start-title">Type a room, and know what to buy, what it costs and who does what when.</h1>
        <RoomDrawing room={form.drawn.room} system={system} isTyped={Boolean(form.typed.length && form.typed.width)} />
        <ul className="start-then">
          <li>
            <b>Paint and primer</b> for each surface, by what is there now, and why
          </li>
          <li>
            <b>
              {heading(THE.can, system)}s, {said(THE.cover, system)}s, tape
            </b>{' '}
            that neither run out nor pile up
          </li>
          <li>
            <b>A plan</b> of cutting in, rolling and drying for the people there
          </li>
        </ul>
      </div>
      <div className="start-card">
        <Choice
          label="Where do you paint?"
          value={country}
          options={COUNTRIES.map((one) => [one, COUNTRY_ROWS[one].name])}
          onChange={(next) => {
            setCountry(next);
            void attempt('It was not remembered', () => rememberRegion(next));
          }}
        />
        <Choice
          label="Who is it for?"
          value={me.own === null ? '' : me.own ? 'own' : 'client'}
          options={me.own === null ? [['', 'choose'], ...FOR_WHOM] : FOR_WHOM}
          onChange={(whom) => whom && whose(whom)}
        />
        {me.own === false && !isKitSaid && !me.ownsNone && (
          <KitQuestion
            system={system}
            onAll={ownAll}
            onNone={ownNone}
            tick={
              <Button variant="outlined" onClick={() => setTicking(true)}>
                Let me tick
              </Button>
            }
          />
        )}
        <GoesOn
          last={lastOf(jobs, COUNTRY_ROWS[country].currency)}
          answer={me.asBefore}
          onAnswer={(yes) => {
            setMe({ ...me, asBefore: yes });
            void attempt('It was not remembered', () => rememberMe({ asBefore: yes }));
          }}
        />
        <h2>A room from two lengths and a height</h2>
        <RoomFields form={form} onSend={send} />
        <Button variant="contained" onClick={send}>
          Draw it
        </Button>
        <p className="hint">All four walls are drawn at once; every size can be corrected then.</p>
        <More title={`What I own already: ${ownedWords(owned)}`} open={ticking} onOpen={setTicking}>
          <p className="hint">Said once: it is taken off what each job has to buy.</p>
          {ticking && (
            <Suspense fallback={null}>
              <Kit system={system} owned={owned} onOwn={own} />
            </Suspense>
          )}
        </More>
        <h2>Or begin another way</h2>
        <div className="start-ways">
          <Button
            variant="outlined"
            onClick={() => void make(form.typed.name, (id, ids, system) => [newRoom(id, form.typed.name, ids, system)])}
          >
            Walls one by one
          </Button>
          <FilePick {...file}>A file, a table or a plan</FilePick>
          <Button variant="outlined" onClick={onCottage}>
            Sample house
          </Button>
        </div>
        <p className="hint">
          A table has a line a room: <TextButton onClick={() => void offerExample()}>an example to fill in</TextButton>
        </p>
      </div>
    </section>
  );
}
