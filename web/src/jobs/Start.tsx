import { newRoom, seededIds } from '@kovelin/core/job/blank.ts';
import { MOST } from '@kovelin/core/job/limits.ts';
import { plainRoom, type PlainRoom } from '@kovelin/core/job/plain-room.ts';
import { COUNTRIES, COUNTRY_ROWS, systemOf, type Country } from '@kovelin/core/job/region.ts';
import { usualOf } from '@kovelin/core/job/usual.ts';
import { tapeReading } from '@kovelin/core/units/reading.ts';
import { FOOT } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { OPENING, THE, TRIM } from '@kovelin/core/words/terms.ts';
import Button from '@mui/material/Button';
import { type ComponentProps, type ReactNode, useEffect, useState } from 'react';
import { type Control, useController, useForm } from 'react-hook-form';
import { lateSchema } from '../ui/late-schema.ts';
import { attempt } from '../app/database.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { readText } from '../ui/read.ts';
import { say } from '../app/say.ts';
import { freshId } from '../store/ids.ts';
import { countryBefore, countryHere, createJob } from '../store/jobs.ts';
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
import { useHalfTyped } from '../app/half-typed.ts';
import { Kit } from '../app/Kit.tsx';
import { ALL_OF_THE_KIT, KitQuestion, ownedWords } from '../app/KitQuestion.tsx';
import { FOR_WHOM } from '../app/for-whom.ts';
import { Check } from '../ui/Check.tsx';
import type { Key, StartForm } from './start-form.ts';
import { StartDrawing } from './StartDrawing.tsx';
import { FilePick } from '../ui/FilePick.tsx';
import { More } from '../ui/More.tsx';

interface Props {
  readonly onOpen: (id: string | null) => void;
  readonly file: Omit<ComponentProps<typeof FilePick>, 'children'>;
  readonly onCottage: () => void;
}

const NOTHING_SAID: StartForm = {
  name: 'Living room',
  length: null,
  width: null,
  height: null,
  doors: 1,
  windows: 1,
  baseboard: true,
};

const WALL = { max: 60, what: 'a wall' };
const HEIGHT = { max: 20, what: 'a height' };
/** What is drawn before anything is typed, m: a room of the middling kind. */
const MIDDLING = { metric: [4.5, 3.6], imperial: [15 * FOOT, 12 * FOOT] } as const;
const SCHEMA = lateSchema<StartForm>(() => import('./start-schema.ts'));
const COUNTS = Array.from({ length: 7 }, (_, n) => [`${n}`, `${n}`] as const);

/** The ways into a first room: two lengths and a height, walls one by one, a file, or the example. */
export default function Start({ onOpen, file, onCottage }: Props) {
  const [country, setCountry] = useState<Country | null>(null);
  const [plain, keep] = useHalfTyped('start', NOTHING_SAID);
  const { control, getValues, handleSubmit } = useForm({ defaultValues: plain, resolver: SCHEMA });
  const [me, setMe] = useState<Pick<Me, 'own'>>({ own: null });
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
      () => setMe({ own: null }),
    );
  }, []);
  if (!country) return <p className="waiting">One moment …</p>;
  const { units, words } = COUNTRY_ROWS[country];
  const system = systemOf({ units, region: { words } });
  const usual = usualOf(units);
  const whole = (of: StartForm): PlainRoom => ({
    ...of,
    length: of.length ?? tapeReading(MIDDLING[units][0], system),
    width: of.width ?? tapeReading(MIDDLING[units][1], system),
    height: of.height ?? usual.height,
  });
  const whose = (whom: 'own' | 'client') => {
    setMe({ own: whom === 'own' });
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
  const isKitSaid = Object.keys(owned).length > 0;
  /** At once: the next key is for that field. */
  const go = (key: Key): void => document.getElementById(`start-${key}`)?.focus();
  const make = async (name: string, draw: Parameters<typeof createJob>[2]) => {
    void askToKeep();
    const made = await attempt('The job was not made', async () => {
      await rememberRegion(country);
      return createJob(freshId(), name, draw);
    });
    if (made !== null) keep(NOTHING_SAID);
    onOpen(made);
  };
  const draw = handleSubmit((said) => {
    void make(said.name, (id, ids, units) => {
      const { room, left } = plainRoom(id, whole(said), ids, units);
      if (left)
        say(
          left === 1
            ? 'One door or window of the usual size found no place on a wall: add it where it is, with its own size.'
            : `${left} doors and windows of the usual size found no place on a wall: add them where they are, with their own sizes.`,
        );
      return room;
    });
  });
  const send = () => void draw();
  const size = (kind: 'door' | 'window') => {
    const { width, height } = usual.openings[kind];
    return `${heading(OPENING[kind], system)}s, ${width.typed} × ${height.typed}`;
  };
  const field = <Name extends keyof StartForm>(name: Name) => ({
    name,
    control,
    // of the form itself: what a field knows of the others may be older
    onKeep: () => keep({ ...getValues() }),
  });
  const length = (name: Key) => ({
    ...field(name),
    id: `start-${name}`,
    system,
    placeholder: whole({ ...plain, [name]: null })[name].typed,
  });
  const drawn = plainRoom('start', whole(plain), seededIds('start'), units);
  return (
    <section className="start" aria-labelledby="start-title">
      <div className="start-why">
        <h1 id="start-title">Type a room, and know what to buy, what it costs and who does what when.</h1>
        <StartDrawing room={drawn.room} system={system} isTyped={Boolean(plain.length && plain.width)} />
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
          onChange={setCountry}
        />
        <Choice
          label="Who is it for?"
          value={me.own === null ? '' : me.own ? 'own' : 'client'}
          options={me.own === null ? [['', 'choose'], ...FOR_WHOM] : FOR_WHOM}
          onChange={(whom) => whom && whose(whom)}
        />
        {me.own === false && !isKitSaid && (
          <KitQuestion
            system={system}
            onAll={ownAll}
            tick={
              <Button variant="outlined" onClick={() => setTicking(true)}>
                Let me tick
              </Button>
            }
          />
        )}
        <h2>A room from two lengths and a height</h2>
        <div className="start-lengths">
          <LengthOf label="Length" {...length('length')} options={WALL} onEnter={() => go('width')} />
          <LengthOf label="Width" {...length('width')} options={WALL} onEnter={() => go('height')} />
          <LengthOf label="Height" {...length('height')} options={HEIGHT} onEnter={send} />
        </div>
        <div className="start-lengths">
          <CountOf label={size('door')} {...field('doors')} />
          <CountOf label={size('window')} {...field('windows')} />
        </div>
        <BaseboardOf {...field('baseboard')}>
          {heading(TRIM.baseboard, system)} {usual.baseboard.typed} high, and {said(TRIM.casing, system)}{' '}
          {usual.openings.door.casing.typed} round each door and window
        </BaseboardOf>
        <NameOf {...field('name')} onEnter={send} />
        <Button variant="contained" onClick={send}>
          Draw it
        </Button>
        <p className="hint">All four walls are drawn at once; every size can be corrected then.</p>
        <More title={`What I own already: ${ownedWords(owned)}`} open={ticking} onOpen={setTicking}>
          <p className="hint">Said once: it is taken off what each job has to buy.</p>
          <Kit system={system} owned={owned} onOwn={own} />
        </More>
        <h2>Or begin another way</h2>
        <div className="start-ways">
          <Button
            variant="outlined"
            onClick={() => void make(plain.name, (id, ids, system) => newRoom(id, plain.name, ids, system))}
          >
            Walls one by one
          </Button>
          <FilePick {...file}>A file or a plan</FilePick>
          <Button variant="outlined" onClick={onCottage}>
            Sample house
          </Button>
        </div>
      </div>
    </section>
  );
}

/** One field of the form: what is typed is seen in the drawing at each key, and is there after a reload. */
interface FieldProps<Name extends keyof StartForm> {
  readonly name: Name;
  readonly control: Control<StartForm>;
  readonly onKeep: () => void;
}
function useField<Name extends keyof StartForm>({ name, control, onKeep }: FieldProps<Name>) {
  const { field, fieldState } = useController({ name, control });
  const set = (value: StartForm[Name]): null => {
    field.onChange(value);
    onKeep();
    return null;
  };
  return { value: field.value as StartForm[Name], set, ref: field.ref, problem: fieldState.error?.message ?? null };
}

type LengthProps = FieldProps<Key> &
  Pick<ComponentProps<typeof LengthField>, 'id' | 'label' | 'system' | 'options' | 'placeholder' | 'onEnter'>;
function LengthOf({ name, control, onKeep, ...rest }: LengthProps) {
  const { value, set, ref, problem } = useField({ name, control, onKeep });
  return <LengthField {...rest} optional value={value} problem={problem} inputRef={ref} onType={set} onCommit={set} />;
}
function NameOf({ onEnter, ...props }: FieldProps<'name'> & { readonly onEnter: () => void }) {
  const { value, set, problem } = useField(props);
  return (
    <DraftField
      label="Called"
      value={value}
      problem={problem}
      parse={readText(MOST.name, 1)}
      onCommit={set}
      onEnter={onEnter}
    />
  );
}
function CountOf({ label, ...props }: FieldProps<'doors' | 'windows'> & { readonly label: string }) {
  const { value, set } = useField(props);
  return <Choice label={label} value={`${value}`} options={COUNTS} onChange={(n) => set(Number(n))} />;
}
function BaseboardOf({ children, ...props }: FieldProps<'baseboard'> & { readonly children: ReactNode }) {
  const { value, set } = useField(props);
  return <Check label={children} checked={value} onChange={set} />;
}
