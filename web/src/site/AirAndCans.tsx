import { ENDS, MOST } from '@kovelin/core/job/limits.ts';
import { LEVELS, type Level } from '@kovelin/core/job/vocabulary.ts';
import { conditionerFor } from '@kovelin/core/site/lists.ts';
import { formatVolume, parseVolume } from '@kovelin/core/units/quantities.ts';
import { formatTemperature, parseTemperature } from '@kovelin/core/units/temperature.ts';
import { GALLON, isImperial } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { LEVEL_BY } from '@kovelin/core/words/site.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { useState } from 'react';
import { useHalfTyped } from '../app/half-typed.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { between } from '../ui/read.ts';
import { Scanner } from '../app/Scanner.tsx';
import type { Shared } from './shared.ts';
import { Check } from '../ui/Check.tsx';
import Button from '@mui/material/Button';
import type { Logger } from './useLogger.ts';
import { TextInput } from '../ui/TextInput.tsx';
import { Choice } from '../ui/Choice.tsx';
import { PercentField } from '../ui/PercentField.tsx';

/** The air as it is read, and what is left in the cans: clocks and the order go by both. */
interface Props extends Shared {
  readonly logger: Logger;
}
/** The air as it is here, and the tins that are open. */
export function AirAndCans(props: Props) {
  return (
    <>
      <Air {...props} />
      <Cans {...props} />
    </>
  );
}

function Air({ view, log, who, logger }: Props) {
  const last = log.entries?.findLast((entry) => entry.kind === 'air');
  const air = last?.kind === 'air' ? last.value : view.state.job.air;
  const set = (change: Partial<typeof air>): string | null => {
    const { temperature, humidity, draught } = { ...air, ...change };
    return log.note([{ kind: 'air', who, value: { temperature, humidity, draught } }]);
  };
  const show = (celsius: number): string => formatTemperature(celsius, view.system);
  return (
    <Section title="Air">
      <div className="field-row">
        <DraftField
          label="Temperature"
          value={show(air.temperature)}
          parse={between((text) => parseTemperature(text, view.system), ENDS.temperature, show)}
          onCommit={(temperature) => set({ temperature })}
        />
        <PercentField
          label="Humidity"
          value={air.humidity}
          ends={ENDS.share}
          onCommit={(humidity) => set({ humidity })}
        />
      </div>
      <p className="hint">
        {last
          ? 'As noted last: what dries, and how long an edge stays wet, goes by it.'
          : 'As the job has it. Note what a thermometer says here, and the clocks go by it.'}
      </p>
      <Check
        label={<span>Follow the climate logger (simulated)</span>}
        checked={logger.isFollowed}
        onChange={(isOn) => logger.follow(isOn)}
      />
      {logger.problem !== null && (
        <p role="status" className="caution">
          The logger: {logger.problem}. The clocks go by {last ? 'what was read last' : 'the air of the job'}; type the
          air meanwhile.
        </p>
      )}
    </Section>
  );
}

function Cans({ view, site, log, who }: Shared) {
  const { derived, system } = view;
  return (
    <Section title="Cans">
      <ul className="cans">
        {site?.pots.map((pot) => {
          const paint = derived.paints.find(({ key }) => key === pot.paint);
          if (!paint) return null;
          const have = (pot.left ?? 0) + pot.unopened;
          const short = pot.left !== null && have < pot.needed - 0.05;
          return (
            <li key={pot.paint} className={short ? 'short' : ''}>
              <b>{said(paintWord(paint), system)}</b>
              <small>
                {pot.left === null
                  ? `${formatVolume(pot.unopened, system)} to open`
                  : `${formatVolume(pot.left, system)} in open cans, ${formatVolume(pot.unopened, system)} unopened`}
                ; still to be laid {formatVolume(pot.needed, system)}
              </small>
              {short && (
                <p role="alert" className="caution">
                  Short by about {formatVolume(pot.needed - have, system)}: buy it while the shop is open, and box it
                  with what is left.
                </p>
              )}
              {site.facts.dose > 0 && pot.left !== null && (
                <small>
                  Flow conditioner for what is left in the pot:{' '}
                  {formatVolume(conditionerFor(pot.left, site.facts.dose), system)}
                </small>
              )}
              <Can view={view} log={log} who={who} paint={pot.paint} />
            </li>
          );
        })}
      </ul>
    </Section>
  );
}

/** A can opened, or a level read. */
function Can({ view, log, who, paint }: Pick<Shared, 'view' | 'log' | 'who'> & { paint: string }) {
  const { system } = view;
  const [by, setBy] = useState<Level>('dip');
  const [batch, setBatch] = useHalfTyped(`${view.state.job.id}|${paint}|opened`, '');
  const [scanning, setScanning] = useState(false);
  // a bare number is in the unit of the job
  const volume = (least: number) =>
    between(
      (text) => parseVolume(/[a-z]/i.test(text) ? text : `${text} ${isImperial(system) ? 'gal' : 'L'}`),
      [least, ENDS.can[1]],
      (litres) => formatVolume(litres, system),
    );
  return (
    <details>
      <summary>Open a can, read a level</summary>
      {scanning && (
        <Scanner
          withBars
          onRead={(text) => {
            setBatch(text.trim().slice(0, MOST.batch));
            setScanning(false);
            return true;
          }}
        />
      )}
      <div className="field-row">
        <TextInput label="Batch" value={batch} maxLength={MOST.batch} onChange={setBatch} />
        <Button variant="outlined" aria-expanded={scanning} onClick={() => setScanning(!scanning)}>
          {scanning ? 'Close' : 'Scan'}
        </Button>
      </div>
      <div className="field-row">
        <DraftField
          label="Opened"
          value=""
          placeholder={formatVolume(isImperial(system) ? GALLON : 5, system)}
          parse={volume(ENDS.can[0])}
          onCommit={(litres) => {
            const fault = log.note([{ kind: 'can', who, value: { paint, litres, batch: batch.trim() } }]);
            if (fault === null) setBatch('');
            return fault;
          }}
        />
      </div>
      <div className="field-row">
        <DraftField
          label="Left, in all open cans"
          value=""
          parse={volume(0)}
          onCommit={(left) => log.note([{ kind: 'litres', who, value: { paint, left, by } }])}
        />
        <Choice
          label="Read"
          value={by}
          options={LEVELS.map((level) => [level, said(LEVEL_BY[level], system)])}
          onChange={setBy}
        />
      </div>
    </details>
  );
}
