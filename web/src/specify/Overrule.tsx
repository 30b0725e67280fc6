import type { Brush, Cover, PrimerChoice, SystemValues } from '@kovelin/core/job/paints.ts';
import {
  BRISTLES,
  COAT_STYLES,
  CONDITIONERS,
  FABRICS,
  PAINT_FAMILIES,
  PILES,
  PREP_STEPS,
  PRIMER_KINDS,
  SHEENS,
  type CoatStyle,
  type Conditioner,
  type PaintFamily,
  type PrepStep,
  type PrimerKind,
} from '@kovelin/core/job/vocabulary.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { INCH } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { across, coatsWord, conditionerWord, pileWord } from '@kovelin/core/words/systems.ts';
import { BRISTLE, FABRIC, FAMILY, PREP, PRIMER, SHEEN, STYLE, THE, type Words } from '@kovelin/core/words/terms.ts';
import type { ReactNode } from 'react';
import { Choice } from '../app/fields.tsx';
import type { WholeView } from '../app/whole.ts';

type Member = keyof SystemValues;

interface OverruleProps {
  readonly member: Member;
  readonly value: SystemValues[Member];
  readonly system: WholeView['system'];
  readonly s: Specified;
  readonly onPick: (value: SystemValues[Member]) => void;
}

export function Overrule({ member, value, system, s, onPick }: OverruleProps): ReactNode {
  const words = <T extends string>(list: readonly T[], table: Words<T>) =>
    list.map((v) => [v, heading(table[v], system)] as const);
  switch (member) {
    case 'sheen':
      return (
        <Choice
          label="Sheen instead"
          value={value as string}
          options={words(
            SHEENS.filter((sheen) => s.product.sheens.includes(sheen)),
            SHEEN,
          )}
          onChange={(sheen) => onPick(sheen as SystemValues['sheen'])}
        />
      );
    case 'coats':
      return (
        <Choice
          label="Coats instead"
          value={String(value)}
          options={[1, 2, 3, 4, 5].map((n) => [String(n), said(coatsWord(n), system)])}
          onChange={(n) => onPick(Number(n))}
        />
      );
    case 'primer': {
      const p = value as PrimerChoice;
      const pick = (kind: PrimerKind, extent: PrimerChoice['extent']) =>
        onPick(
          kind === 'none' || extent === 'none'
            ? { kind: 'none', extent: 'none', coats: 0, tint: null }
            : { kind, extent, coats: Math.max(1, p.coats), tint: extent === 'full' ? p.tint : null },
        );
      return (
        <div className="pair">
          <Choice
            label="Primer instead"
            value={p.kind}
            options={words(PRIMER_KINDS, PRIMER)}
            onChange={(kind) => pick(kind, p.extent === 'none' ? 'full' : p.extent)}
          />
          <Choice
            label="Where"
            value={p.extent}
            options={[
              ['none', 'Nowhere'],
              ['spot', 'In spots'],
              ['full', 'All over'],
            ]}
            onChange={(extent) => pick(p.kind, extent)}
          />
          {p.extent !== 'none' && (
            <Choice
              label="Coats of it"
              value={String(p.coats)}
              options={[1, 2].map((n) => [String(n), said(coatsWord(n), system)])}
              onChange={(n) => onPick({ ...p, coats: Number(n) })}
            />
          )}
          {p.extent === 'full' && (
            <Choice
              label="Tint"
              value={p.tint ?? ''}
              options={[
                ['', 'as it comes'],
                ...[...new Set([p.tint, s.system.primer.value.tint, s.tinted?.tint, s.colour.hex])].flatMap((tint) =>
                  tint ? [[tint, tint === s.colour.hex ? 'to the finish' : `to ${tint}`] as const] : [],
                ),
              ]}
              onChange={(tint) => onPick({ ...p, tint: tint || null })}
            />
          )}
        </div>
      );
    }
    case 'prep': {
      const steps = value as readonly PrepStep[];
      return (
        <div className="checks">
          {PREP_STEPS.map((step) => (
            <label key={step} className="check">
              <input
                type="checkbox"
                checked={steps.includes(step)}
                onChange={(event) =>
                  onPick(PREP_STEPS.filter((x) => (x === step ? event.target.checked : steps.includes(x))))
                }
              />{' '}
              {said(PREP[step], system)}
            </label>
          ))}
        </div>
      );
    }
    case 'cover': {
      const cover = value as Cover;
      return (
        <div className="pair">
          <Choice
            label={`${heading(THE.pile, system)} instead`}
            value={String(cover.pile)}
            options={PILES.map((p) => [String(p), said(pileWord(p), system)])}
            onChange={(p) => onPick({ ...cover, pile: Number(p) as Cover['pile'] })}
          />
          <Choice
            label="Fabric"
            value={cover.fabric}
            options={words(FABRICS, FABRIC)}
            onChange={(fabric) => onPick({ ...cover, fabric })}
          />
        </div>
      );
    }
    case 'paint':
      return (
        <Choice
          label="Kind instead"
          value={value as PaintFamily}
          options={words(PAINT_FAMILIES, FAMILY)}
          onChange={onPick}
        />
      );
    case 'style':
      return (
        <Choice label="Instead" value={value as CoatStyle} options={words(COAT_STYLES, STYLE)} onChange={onPick} />
      );
    case 'conditioner':
      return (
        <Choice
          label="Dose instead"
          value={String(value)}
          options={CONDITIONERS.map((dose) => [String(dose), heading(conditionerWord(dose), system)])}
          onChange={(dose) => onPick(Number(dose) as Conditioner)}
        />
      );
    case 'brush': {
      const brush = value as Brush;
      const widths = [1, 1.5, 2, 2.5, 3].map((w) => w * INCH);
      return (
        <div className="pair">
          <Choice
            label="Width instead"
            value={String(brush.width)}
            options={widths.map((w) => [String(w), said(across(w), system)])}
            onChange={(w) => onPick({ ...brush, width: Number(w) })}
          />
          <Choice
            label="Bristle"
            value={brush.bristle}
            options={words(BRISTLES, BRISTLE)}
            onChange={(bristle) => onPick({ ...brush, bristle })}
          />
        </div>
      );
    }
  }
}
