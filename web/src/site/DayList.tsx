import type { DayPart } from '@kovelin/core/job/vocabulary.ts';
import { DAY_PARTS } from '@kovelin/core/job/vocabulary.ts';
import { tickId, type ListItem } from '@kovelin/core/site/lists.ts';
import { said } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { DAY_ITEMS, DAY_PART, DRIP } from '@kovelin/core/words/site.ts';
import { useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { Section } from '../ui/Section.tsx';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import type { Shared } from './shared.ts';
import { TextInput } from '../ui/TextInput.tsx';

/** What the day asks for besides painting, ticked off; and its end, which waits for covered detectors. */
export function DayList(props: Shared) {
  const { view, site } = props;
  const parts = DAY_PARTS.map((part) => [part, site?.list.filter((item) => item.part === part) ?? []] as const);
  return (
    <>
      {parts.map(([part, items]) => (
        <Part key={part} {...props} part={part} items={items} />
      ))}
      {site && site.facts.floors.size > 0 && (
        <Section title="Drips">
          <ul className="day-list plain">
            {[...site.facts.floors].map((floor) => (
              <li key={floor}>{said(DRIP[floor], view.system)}</li>
            ))}
          </ul>
        </Section>
      )}
      <Close {...props} />
    </>
  );
}

function Part({ view, site, log, who, part, items }: Shared & { part: DayPart; items: readonly ListItem[] }) {
  /** What was ticked a moment ago, until the log says so; by the number of entries there were then. */
  const [wished, setWished] = useState<ReadonlyMap<string, readonly [ticked: boolean, noted: number]>>(new Map());
  if (!site || !items.length) return null;
  const ticked = (item: ListItem): boolean => {
    const [wish, noted] = wished.get(item.id) ?? [false, -1];
    return noted >= site.noted ? wish : site.ticks.includes(tickId(site.day, item.id));
  };
  const toggle = (item: ListItem): void => {
    const operation = tickId(site.day, item.id);
    const entry = log.entries?.findLast((own) => own.kind === 'done' && own.operation === operation);
    setWished(new Map([...wished, [item.id, [!ticked(item), site.noted]]]));
    if (ticked(item) && entry) log.say({ kind: 'correct', who, corrects: entry.id, value: { removed: true } });
    else log.say({ kind: 'done', who, operation });
  };
  const done = items.filter(ticked).length;
  return (
    <Section title={said(DAY_PART[part], view.system)} extra={<small>{`${done} of ${items.length}`}</small>}>
      <ul className="day-list">
        {items.map((item) => (
          <li key={item.id} className={ticked(item) ? 'ticked' : ''}>
            <Check
              label={
                <span>
                  {said(DAY_ITEMS[item.id], view.system)}
                  {item.caution && (
                    <small className="caution">
                      {said(reasonWord({ rule: item.caution, with: {} } as never), view.system)}
                    </small>
                  )}
                </span>
              }
              checked={ticked(item)}
              onChange={() => toggle(item)}
            />
            {item.id === 'detectors' && <Detectors {...{ site, log, who }} things={site.facts.detectors} />}
          </li>
        ))}
      </ul>
    </Section>
  );
}

/** Each detector, covered or not: noted one by one. */
function Detectors({ site, log, who, things }: Pick<Shared, 'site' | 'log' | 'who'> & { things: readonly string[] }) {
  const covered = new Set(site?.covered.map(({ thing }) => thing));
  return (
    <ul className="detectors">
      {things.map((thing) => (
        <li key={thing}>
          <span>{thing}</span>
          <Button
            variant="outlined"
            color={covered.has(thing) ? 'error' : 'inherit'}
            onClick={() => log.say({ kind: covered.has(thing) ? 'uncover' : 'cover', who, value: { thing } })}
          >
            {covered.has(thing) ? 'Uncover it' : 'Covered'}
          </Button>
        </li>
      ))}
    </ul>
  );
}

/** The end of the day: closed by nobody while something stays covered and nobody wrote why. */
function Close({ view, site, log, who }: Shared) {
  const [reason, setReason] = useHalfTyped(`${view.state.job.id}|covered`, '');
  if (!site) return null;
  const closed = site.ticks.includes(tickId(site.day, 'closed'));
  const open = site.keepsOpen;
  const why = site.reasons.find(([tick]) => tick === tickId(site.day, 'covered'));
  return (
    <Section title="Close the day">
      {closed && !open.length ? (
        <p>The day is closed.</p>
      ) : open.length ? (
        <>
          <p role="alert" className="caution">
            Still covered: {open.join(', ')}. Uncover {open.length === 1 ? 'it' : 'them'} and note it on the list, or
            write why {open.length === 1 ? 'it stays' : 'they stay'} covered and who watches instead.
          </p>
          <Detectors site={site} log={log} who={who} things={open} />
          <TextInput label="Why" value={reason} onChange={setReason} />
          <Button
            variant="outlined"
            disabled={reason.trim().length < 8}
            onClick={() => {
              const isNoted = log.say({
                kind: 'note',
                who,
                operation: tickId(site.day, 'covered'),
                note: reason.trim(),
              });
              if (isNoted) setReason('');
            }}
          >
            Note it
          </Button>
        </>
      ) : (
        <>
          {why && site.covered.length > 0 && <p>Covered, as noted: {why[1]}</p>}
          <Button
            variant="outlined"
            onClick={() =>
              log.say(
                { kind: 'stop', who, value: { reason: 'day-over' } },
                { kind: 'done', who, operation: tickId(site.day, 'closed') },
              )
            }
          >
            Close the day
          </Button>
        </>
      )}
    </Section>
  );
}
