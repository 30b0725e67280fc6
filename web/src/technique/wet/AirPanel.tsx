import { airAt, dewPoint, dryingIn, isDoubtful } from '@kovelin/core/climate/air.ts';
import { touchDryOf } from '@kovelin/core/climate/open.ts';
import { limitsOf } from '@kovelin/core/climate/limits.ts';
import { ENDS } from '@kovelin/core/job/limits.ts';
import type { Air } from '@kovelin/core/job/region.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { formatDegrees, formatTemperature, parseDegrees, parseTemperature } from '@kovelin/core/units/temperature.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { DraftField } from '../../ui/DraftField.tsx';
import { Line, Section } from '../../ui/Section.tsx';
import { between } from '../../ui/read.ts';
import { Figure } from '../../app/Working.tsx';
import { useSpelt } from '../../app/useSpelt.ts';
import type { WholeView } from '../../app/whole.ts';
import { ClimateLog } from './ClimateLog.tsx';
import { Message } from '../../ui/Message.tsx';

const number = (text: string, what: string): Result<number> => {
  const value = text.trim() ? Number(text.replace('%', '').replace(',', '.').trim()) : NaN;
  return Number.isFinite(value) ? good(value) : bad(what);
};
const humidity = between(
  (text) => {
    const read = number(text, 'Write relative humidity in per cent, for example 50.');
    return read.ok ? good(read.value / 100) : read;
  },
  ENDS.share,
  (share) => `${Math.round(share * 100)} %`,
);
const draught = between(
  (text) => number(text, 'Write a draught in m/s, for example 0.1.'),
  ENDS.draught,
  (speed) => `${speed} m/s`,
);

/** The air that the rooms are painted in, and what speaks against painting this surface in it. */
export function AirPanel({ view, specified: s }: { view: WholeView; specified: Specified }) {
  const spell = useSpelt();
  const { state, system, session } = view;
  const { air } = state.shown;
  const set = (change: Partial<Air>) => session.edit({ name: 'setAir', args: { set: change } });
  const now = airAt(air, null, s.surface.kind === 'ceiling' ? 1 : 0);
  const drying = dryingIn(now);
  const limits = limitsOf(now, s.product, s.product.base === 'oil' ? 1 : drying);
  const temperature = between(
    (text) => parseTemperature(text, system),
    ENDS.temperature,
    (t) => formatTemperature(t, system),
  );
  const warmer = between(
    (text) => parseDegrees(text, system),
    ENDS.warmer,
    (t) => formatDegrees(t, system),
  );
  const dew = dewPoint(now);
  return (
    <Section title="The air">
      <div className="pair">
        <DraftField
          label="Temperature"
          value={formatTemperature(air.temperature, system)}
          parse={temperature}
          onCommit={(t) => set({ temperature: t })}
        />
        <DraftField
          label="Humidity"
          value={`${Math.round(air.humidity * 100)} %`}
          parse={humidity}
          onCommit={(share) => set({ humidity: share })}
        />
        <DraftField
          label={spell('Draught, m/s')}
          value={String(air.draught)}
          parse={draught}
          onCommit={(speed) => set({ draught: speed })}
        />
        <DraftField
          label="Warmer at the ceiling"
          value={formatDegrees(air.ceiling, system)}
          parse={warmer}
          onCommit={(degrees) => set({ ceiling: degrees })}
        />
        <DraftField
          label="Walls, if not as the air"
          value={air.surface === null ? '' : formatTemperature(air.surface, system)}
          parse={(text) => (text.trim() ? temperature(text) : good(null))}
          onCommit={(t) => set({ surface: t })}
        />
      </div>
      <ClimateLog air={air} system={system} onDay={(day) => set({ day })} />
      <p className="hint">
        Dew point {formatTemperature(dew, system)}; the surface is {formatDegrees(now.surface - dew, system)} above it.
      </p>
      <Line label="Dry to the touch here">
        <Figure working={touchDryOf(s.product, now)} system={system} />
      </Line>
      {isDoubtful(drying) && s.product.base === 'water-borne' && (
        <p className="hint">So far from the label’s air that the model’s share in these times is doubtful.</p>
      )}
      {limits.map((rule) => (
        <Message key={rule} kind="caution">
          {heading(reasonWord({ rule, with: {} }), system)}
        </Message>
      ))}
    </Section>
  );
}
