import { ENDS, within } from '@kovelin/core/job/limits.ts';
import type { Product } from '@kovelin/core/job/paints.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { formatTemperature, parseTemperature } from '@kovelin/core/units/temperature.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { between } from '../ui/read.ts';

interface LabelTimesProps {
  readonly product: Product;
  readonly system: System;
  readonly set: (change: Partial<Product>) => string | null | undefined;
}

const minutesIn = (ends: readonly [number, number]) =>
  between(
    (text) => {
      const value = text.trim() ? Number(text.replace(',', '.')) : NaN;
      return Number.isFinite(value) ? good(value) : bad('Write minutes, for example 8.');
    },
    ends,
    (value) => `${value} minutes`,
  );
const optional =
  (read: (text: string) => Result<number>) =>
  (text: string): Result<number | null> =>
    text.trim() ? read(text) : good(null);

/** 10 to 32 °C, in either order of degrees. */
function range(text: string, system: System): Result<Product['labelRange']> {
  if (!text.trim()) return good(null);
  const [least, most, more] = text.split(/\s*(?:to|–|-(?=\s*\d))\s*/);
  const [low, high] = [parseTemperature(least ?? '', system), parseTemperature(most ?? '', system)];
  if (more !== undefined || !low.ok || !high.ok || !(low.value < high.value))
    return bad('Write the temperatures it may be laid in, for example 50 to 90 F or 10 to 32 C.');
  return good({ least: low.value, most: high.value });
}

/** 23 °C, 50 %: the air in which the label's times were taken. */
function air(text: string, system: System): Result<Product['labelAir']> {
  if (!text.trim()) return good(null);
  const [, degrees = '', share = ''] = /^(.*?)[\s,;]+(\d+(?:[.,]\d+)?)\s*%?$/.exec(text.trim()) ?? [];
  const temperature = parseTemperature(degrees, system);
  const humidity = Number(share.replace(',', '.')) / 100;
  const sound = temperature.ok && share !== '' && within(humidity, ENDS.share);
  return sound && within(temperature.value, ENDS.temperature)
    ? good({ temperature: temperature.value, humidity })
    : bad('Write the air of the label: its temperature, then its humidity, for example 73 F, 50 % or 23 C, 50 %.');
}

/** Times of the label that the wet edge, tape and the plan go by; what is not given is left to the starting values. */
export function LabelTimes({ product, system, set }: LabelTimesProps) {
  const { open, tapeAfter, recoatBefore, labelRange, labelAir } = product;
  const rows = [
    ['Open time, minutes', open, ENDS.open, (value: number | null) => set({ open: value })],
    ['Tape on it after, minutes', tapeAfter, ENDS.minutes, (value: number | null) => set({ tapeAfter: value })],
    ['Recoat before, minutes', recoatBefore, ENDS.minutes, (value: number | null) => set({ recoatBefore: value })],
  ] as const;
  return (
    <>
      {rows.map(([label, value, ends, onCommit]) => (
        <DraftField
          key={label}
          label={label}
          value={value === null ? '' : String(value)}
          placeholder="not given"
          parse={optional(minutesIn(ends))}
          onCommit={onCommit}
        />
      ))}
      <DraftField
        label="Its times are for air of"
        value={
          labelAir ? `${formatTemperature(labelAir.temperature, system)}, ${Math.round(labelAir.humidity * 100)} %` : ''
        }
        placeholder="not given"
        parse={(text) => air(text, system)}
        onCommit={(value) => set({ labelAir: value })}
      />
      <DraftField
        label="Laid in, from … to …"
        value={
          labelRange
            ? `${formatTemperature(labelRange.least, system)} to ${formatTemperature(labelRange.most, system)}`
            : ''
        }
        placeholder="not given"
        parse={(text) => range(text, system)}
        onCommit={(value) => set({ labelRange: value })}
      />
    </>
  );
}
