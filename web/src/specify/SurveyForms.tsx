import {
  EXISTING_COATS,
  CONDITIONS,
  REPAIR_CLASSES,
  ZONES,
  type RepairClass,
  type Zone,
} from '@kovelin/core/job/vocabulary.ts';
import type { Survey as Answers, ZoneSurvey } from '@kovelin/core/job/surveyed.ts';
import { namedColour } from '@kovelin/core/specify/plain-colours.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading } from '@kovelin/core/units/word.ts';
import { COAT, CONDITION } from '@kovelin/core/words/terms.ts';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import { Check } from '../ui/Check.tsx';
import { ColourInput } from './ColourInput.tsx';
import ButtonBase from '@mui/material/ButtonBase';

/** Takes answers into the survey of a surface. */
export type SetAnswers = (change: Partial<Answers>) => void;

const HOLE_WORDS: Readonly<Record<RepairClass, string>> = {
  pinhole: 'Pinholes',
  coin: 'Coin-size',
  large: 'Larger',
  anchor: 'Anchors',
};
/** Holes and dents by their size, counted. */
export function Holes({ s, set }: { s: Specified; set: SetAnswers }) {
  return (
    <div className="pair">
      {REPAIR_CLASSES.map((of) => (
        <DraftField
          key={of}
          label={HOLE_WORDS[of]}
          value={String(s.survey.repairs[of])}
          parse={readCount}
          onCommit={(n) => {
            set({ repairs: { ...s.survey.repairs, [of]: n } });
            return null;
          }}
        />
      ))}
    </div>
  );
}

/** The colour there now, and patches of others. */
export function OldColours({ s, set }: { s: Specified; set: SetAnswers }) {
  const spell = useSpelt();
  const { colour, patches } = s.survey;
  return (
    <>
      <DraftField
        key={colour}
        label={spell('Its colour by name')}
        value=""
        placeholder="beige, pale sage"
        parse={(text) => (text.trim() ? namedColour(text) : good(colour))}
        onCommit={(next) => {
          if (next !== colour) set({ colour: next });
          return null;
        }}
      />
      <div className="colour-line">
        <span className="chip large" style={{ background: colour }} />
        <ColourInput label={spell('Its colour')} value={colour} onPick={(next) => set({ colour: next })} />
        {patches.map((patch, i) => (
          <ButtonBase
            key={patch}
            className="chip large"
            style={{ background: patch }}
            aria-label={`${spell('Remove the old colour')} ${patch}`}
            onClick={() => set({ patches: patches.filter((_, j) => j !== i) })}
          />
        ))}
        {patches.length < 4 && (
          <ColourInput
            label="A patch or stripe"
            value="#8a6d4b"
            onPick={(patch) => set({ patches: [...patches.filter((p) => p !== patch), patch] })}
          />
        )}
      </div>
    </>
  );
}

const ZONE_WORDS: Readonly<Record<Zone, string>> = { edge: 'Edges', handle: 'Handle side' };
/** Edges and handle sides of a door that differ from its faces. */
export function Zones({ s, set, system }: { s: Specified; set: SetAnswers; system: System }) {
  const put = (zone: Zone, change: ZoneSurvey | null) => {
    const { [zone]: old, ...rest } = s.survey.zones;
    set({ zones: change ? { ...rest, [zone]: { ...old, ...change } } : rest });
  };
  return ZONES.map((zone) => {
    const own = s.survey.zones[zone];
    return (
      <div key={zone} className="zone">
        <Check
          label={<> {ZONE_WORDS[zone]} differ from the faces</>}
          checked={own !== undefined}
          onChange={(isOn) => put(zone, isOn ? { coat: s.survey.coat } : null)}
        />
        {own && (
          <div className="pair">
            <Choice
              label="On it now"
              value={own.coat ?? s.survey.coat}
              options={EXISTING_COATS.map((v) => [v, heading(COAT[v], system)])}
              onChange={(coat) => put(zone, { coat })}
            />
            <Choice
              label="Condition"
              value={own.condition ?? s.survey.condition}
              options={CONDITIONS.map((v) => [v, heading(CONDITION[v], system)])}
              onChange={(condition) => put(zone, { condition })}
            />
            <Check
              label={<> wax or grease</>}
              checked={own.wax === 'yes'}
              onChange={(isOn) => put(zone, { wax: isOn ? 'yes' : 'no' })}
            />
          </div>
        )}
      </div>
    );
  });
}

function readCount(text: string): Result<number> {
  const n = /^\d{1,3}$/.test(text.trim()) ? Number(text) : NaN;
  return Number.isNaN(n) ? bad('A whole number from 0 to 999 is expected.') : good(n);
}
