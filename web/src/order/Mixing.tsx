import { bad } from '@kovelin/core/units/problem.ts';
import { ENDS } from '@kovelin/core/job/limits.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { CONDITIONERS } from '@kovelin/core/job/vocabulary.ts';
import type { BoxCan, Pour } from '@kovelin/core/order/boxing.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { QUART, isImperial } from '@kovelin/core/units/si.ts';
import { boxingOf, type PaintLine } from '@kovelin/core/order/paint.ts';
import { formatVolume, parseVolume } from '@kovelin/core/units/quantities.ts';
import { heading, inOrder, phrase, said, spelt, type Word } from '@kovelin/core/units/word.ts';
import { namesWord, type Name } from '@kovelin/core/words/names.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import { useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';
import { TextButton } from '../ui/TextButton.tsx';
import Button from '@mui/material/Button';
import { freshId } from '../store/ids.ts';
import { TextInput } from '../ui/TextInput.tsx';

interface Props {
  readonly view: WholeView;
  readonly line: PaintLine;
}

/** What goes into which bucket, what is on the shelf, and what is stirred in. */
export function Mixing(props: Props) {
  return (
    <>
      <Boxing {...props} />
      <Shelf {...props} />
      <StirIn {...props} />
    </>
  );
}

function Boxing({ view, line }: Props) {
  const spell = useSpelt();
  const { state, system, derived } = view;
  const { boxed } = line;
  const can = said(THE.can, system);
  const boxing = boxingOf(line, state.shown.settings);
  if (state.shown.practice.boxing === 'as-they-come')
    return (
      <Section title={`${heading(THE.can, system)}s as they come`}>
        <p className="hint">
          Your practice uses {can}s as they come. Begin a wall only with enough in the {can} to finish it: two {can}
          {spell('s are two colours.')}
        </p>
      </Section>
    );
  const wallWords = (ids: readonly string[]): string => {
    const surfaces = ids.flatMap((id) => derived.surfaces.find((x) => x.surface.id === id)?.surface ?? []);
    const perRoom = [...groupBy(surfaces, (s) => s.room)].map(([room, list]) =>
      inRoom(
        state.shown.rooms.byId[room]?.name ?? '',
        list.map((s) => s.name),
      ),
    );
    return said(inOrder(perRoom, '; '), system);
  };
  if (!boxing.buckets.length) return null;
  return (
    <Section title="Boxing: mix before you start">
      <ol className="buckets">
        {boxing.buckets.map((bucket, i) => (
          <li key={i}>
            <b>
              Bucket {i + 1}, {formatVolume(bucket.litres, system)}
            </b>
            <span>{pourWords(bucket.pours, boxed, system)}</span>
            <small>paints {wallWords(bucket.walls)}</small>
          </li>
        ))}
      </ol>
      {boxing.over.length > 0 && (
        <p className="hint">
          {wallWords(boxing.over)}
          {spell(': more than a bucket holds. Pour its buckets to and fro until they are one colour.')}
        </p>
      )}
      <p className="hint">No wall changes bucket. Write the batch numbers down before the {can}s go.</p>
    </Section>
  );
}

const inRoom = (room: string, names: readonly Name[]): Word => phrase`${room}: ${namesWord(names)}`;

/** “3 whole 1 gal cans; 2 qt of a 1 gal can”. */
function pourWords(pours: readonly Pour[], boxed: readonly BoxCan[], system: WholeView['system']): string {
  const word = said(THE.can, system);
  const told = pours.map(({ can, litres }) => {
    const of = boxed[can];
    const size = formatVolume(of?.litres ?? litres, system);
    const batch = of && of.batch !== null ? `, batch ${of.batch || 'not known'}, from the shelf` : '';
    const whole = of !== undefined && litres > of.litres - 0.005;
    return {
      whole,
      words: whole ? `${size} ${word}${batch}` : `${formatVolume(litres, system)} of a ${size} ${word}${batch}`,
    };
  });
  return [...groupBy(told, (t) => t.words)]
    .map(([words, list]) =>
      list[0]?.whole ? (list.length > 1 ? `${list.length} whole ${words}s` : `a whole ${words}`) : words,
    )
    .join('; ');
}

function Shelf({ view, line }: Props) {
  const { session, state, system } = view;
  const place = `${state.job.id}|${line.key}`;
  const [litres, setLitres] = useHalfTyped<number | null>(`${place}|shelf`, null);
  const [batch, setBatch] = useHalfTyped(`${place}|batch`, '');
  const mine = rows(state.shown.shelf).filter(
    (can) => can.product === line.product.id && can.sheen === line.sheen && can.colour === (line.colour?.id ?? null),
  );
  const tinted = line.colour !== null && !(line.colour.id in state.shown.colours);
  const add = () => {
    if (litres === null) return;
    const can = {
      id: freshId(),
      product: line.product.id,
      sheen: line.sheen,
      colour: line.colour?.id ?? null,
      litres,
      batch: batch.trim().slice(0, 40),
    };
    session.run({ name: 'addShelfCan', args: { can } });
    setLitres(null);
    setBatch('');
  };
  if (tinted) return null;
  return (
    <Section title="On the shelf already">
      <ul className="shelf">
        {mine.map((can) => {
          const use = line.shelf.find((u) => u.can.id === can.id);
          return (
            <li key={can.id}>
              <b className="number">{formatVolume(can.litres, system)}</b>{' '}
              {can.batch ? `batch ${can.batch}` : 'batch not known'}
              <TextButton
                className="small"
                onClick={() => session.edit({ name: 'removeShelfCan', args: { can: can.id } })}
              >
                take off
              </TextButton>
              <small>
                {use?.boxed
                  ? 'boxed with what is bought'
                  : use?.walls.length
                    ? `does ${use.walls.length} whole ${use.walls.length === 1 ? 'surface' : 'surfaces'}`
                    : 'not enough for a whole surface: keep it for touch-ups'}
              </small>
            </li>
          );
        })}
      </ul>
      <div className="pair">
        <DraftField
          label="Paint there"
          value={litres === null ? '' : formatVolume(litres, system)}
          placeholder={isImperial(system) ? '2 qt' : '1.5 L'}
          parse={(text) => {
            const read = parseVolume(/[a-z]/i.test(text) ? text : `${text} ${isImperial(system) ? 'gal' : 'L'}`);
            if (!read.ok) return read;
            const [least, most] = ENDS.shelf;
            if (read.value < least) return bad(`More than nothing must be in the ${said(THE.can, system)}.`);
            return read.value <= most
              ? read
              : bad(`At most ${formatVolume(most, system)} stand on the shelf in one ${said(THE.can, system)}.`);
          }}
          onCommit={(value) => {
            setLitres(value);
            return null;
          }}
        />
        <TextInput label="Batch number" value={batch} maxLength={40} onChange={setBatch} />
      </div>
      <Button size="small" variant="outlined" disabled={litres === null} onClick={add}>
        Put it on the shelf
      </Button>
    </Section>
  );
}

/** Thinner at most this share of what is in the pot [common practice, no source]. */
const THINNER = 0.05;

function StirIn({ view, line }: Props) {
  const { system } = view;
  const [pot, setPot] = useState(isImperial(system) ? QUART : 1);
  if (line.product.role !== 'finish') return null;
  const few = CONDITIONERS[1];
  const many = CONDITIONERS[3];
  return (
    <Section title="Stirred into the pot">
      {line.conditioner > 0 && (
        <p className="hint">
          Flow conditioner as specified, in all: <b className="number">{formatVolume(line.conditioner, system)}</b>. It
          is not paint: it adds volume, and takes film and hiding, which the coats already count.
        </p>
      )}
      <DraftField
        label="Left in the pot"
        value={formatVolume(pot, system)}
        parse={(text) => {
          return parseVolume(/[a-z]/i.test(text) ? text : `${text} ${isImperial(system) ? 'qt' : 'L'}`);
        }}
        onCommit={(value) => {
          setPot(value);
          return null;
        }}
      />
      <p className="hint" role="status">
        {line.product.base === 'oil'
          ? 'Flow conditioner is for water-based paint.'
          : `Conditioner for that: ${formatVolume(pot * few, system)} to ${formatVolume(pot * many, system)}; ${spelt('it about doubles the open time and leaves the colour as it is.', system)}`}{' '}
        Thinner at most {formatVolume(pot * THINNER, system)}, for a touch-up or the first coat of a thirsty ceiling.
      </p>
    </Section>
  );
}
