import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { ENDS, within } from '@kovelin/core/job/limits.ts';
import { COUNTRIES, COUNTRY_ROWS, type Region } from '@kovelin/core/job/region.ts';
import { formatVolume, parseVolume } from '@kovelin/core/units/quantities.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { spelt } from '@kovelin/core/units/word.ts';
import { rememberRegion } from '../store/kept.ts';
import { attempt } from './database.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { readText } from '../ui/read.ts';
import type { JobView } from './job-context.ts';
import { Window } from '../ui/Window.tsx';

const SAMPLE = '2026-11-26';
const WORDS = [
  ['american', 'American: drywall, baseboard'],
  ['british', 'British: plasterboard, skirting'],
] as const;
const PAPERS = [
  ['a4', 'A4'],
  ['letter', 'Letter'],
] as const;
const DATES = (['month-first', 'day-first', 'year-first'] as const).map(
  (form) => [form, dayText(SAMPLE, form)] as const,
);

function readYear(text: string): Result<number> {
  const year = /^\d{4}$/.test(text.trim()) ? Number(text) : NaN;
  return within(year, ENDS.year) ? good(year) : bad('A year of four figures is expected, such as 1978.');
}
const readCurrency = (text: string): Result<string> =>
  /^[A-Za-z]{3}$/.test(text.trim()) ? good(text.trim().toUpperCase()) : bad('Three letters are expected, such as GBP.');

/** Where the job is: chosen once, changed at any time, remembered for the next job. */
export default function RegionDialog({ view, onClose }: { readonly view: JobView; readonly onClose: () => void }) {
  const { session, state, system } = view;
  const { job } = state;
  const { region } = job;
  const set = (change: Partial<Omit<Region, 'country'>>) => session.edit({ name: 'setRegion', args: { set: change } });
  const row = COUNTRY_ROWS[region.country];
  const close = () => {
    void attempt('Where you work was not remembered', () => rememberRegion(region.country));
    onClose();
  };
  const readTins = (text: string): Result<number[]> => {
    const read = text.split(/[;,](?=\s|$)|\n/).flatMap((size) => {
      const own = size.trim();
      return own ? [parseVolume(/[a-z]/i.test(own) ? own : `${own} ${system === 'imperial' ? 'gal' : 'L'}`)] : [];
    });
    const sizes = read.flatMap((size) => (size.ok ? [size.value] : []));
    const wrong = read.find((size) => !size.ok);
    if (wrong && !wrong.ok) return wrong;
    return sizes.length && sizes.every((size) => within(size, ENDS.can))
      ? good([...new Set(sizes)])
      : bad('Sizes are expected one after the other, such as 0.75 L, 2.5 L, 5 L.');
  };
  return (
    <Window title="Where the job is" onClose={close} className="region">
      <Choice
        label="Country"
        value={region.country}
        options={COUNTRIES.map((country) => [country, COUNTRY_ROWS[country].name])}
        onChange={(country) => session.run({ name: 'moveTo', args: { country } })}
      />
      <p className="hint">
        Another country brings its currency, its tins with starting prices, its words, paper and rules; prices that were
        taken elsewhere are forgotten, pay and your own prices go by its level. Undo brings all of it back.
      </p>
      <div className="pair">
        <Choice label="Words" value={region.words} options={WORDS} onChange={(words) => void set({ words })} />
        <Choice
          label="Measured in"
          value={job.units}
          options={[
            ['imperial', 'Feet and inches'],
            ['metric', spelt('Metres', system)],
          ]}
          onChange={(units) => void session.edit({ name: 'setUnits', args: { units } })}
        />
        <DraftField
          label="Currency"
          value={job.currency}
          parse={readCurrency}
          onCommit={(currency) => session.edit({ name: 'setCurrency', args: { currency } })}
        />
        <DraftField
          label="Name of the tax"
          value={job.pricing.taxName}
          parse={readText(80, 1)}
          onCommit={(taxName) => session.edit({ name: 'setPricing', args: { set: { taxName } } })}
        />
        <Choice label="Paper" value={region.paper} options={PAPERS} onChange={(paper) => void set({ paper })} />
        <Choice label="Dates" value={region.dates} options={DATES} onChange={(dates) => void set({ dates })} />
        <DraftField
          label="Lead: paint from before"
          value={String(region.lead)}
          parse={readYear}
          onCommit={(lead) => set({ lead })}
        />
        <DraftField
          label="Asbestos: textures from before"
          value={String(region.asbestos)}
          parse={readYear}
          onCommit={(asbestos) => set({ asbestos })}
        />
      </div>
      <DraftField
        label="Tins on the shelf"
        value={region.tins.map((litres) => formatVolume(litres, system)).join(', ')}
        parse={readTins}
        onCommit={(tins) => set({ tins })}
      />
      <p className="hint">
        The years are starting values ({row.name}): your own code counts. Other sizes of tins are priced between those
        there are.
      </p>
    </Window>
  );
}
