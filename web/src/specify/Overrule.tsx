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
import type { ReactNode } from 'react';
import { Choice } from '../app/fields.tsx';
import type { WholeView } from '../app/whole.ts';
import { coatsWord, conditionerWord, FAMILY_WORDS, pileWord, sentenceCase, STYLE_WORDS } from '../app/words.ts';

type Member = keyof SystemValues;

interface OverruleProps {
  readonly member: Member;
  readonly value: SystemValues[Member];
  readonly system: WholeView['system'];
  readonly s: Specified;
  readonly onPick: (value: SystemValues[Member]) => void;
}

export function Overrule({ member, value, system, s, onPick }: OverruleProps): ReactNode {
  const words = <T extends string>(list: readonly T[]) => list.map((v) => [v, sentenceCase(v)] as const);
  switch (member) {
    case 'sheen':
      return (
        <Choice
          label="Sheen instead"
          value={value as string}
          options={words(SHEENS.filter((sheen) => s.product.sheens.includes(sheen)))}
          onChange={(sheen) => onPick(sheen as SystemValues['sheen'])}
        />
      );
    case 'coats':
      return (
        <Choice
          label="Coats instead"
          value={String(value)}
          options={[1, 2, 3, 4, 5].map((n) => [String(n), coatsWord(n)])}
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
            options={words(PRIMER_KINDS)}
            onChange={(kind) => pick(kind, p.extent === 'none' ? 'full' : p.extent)}
          />
          <Choice
            label="Where"
            value={p.extent}
            options={words(['none', 'spot', 'full'] as const)}
            onChange={(extent) => pick(p.kind, extent)}
          />
          {p.extent !== 'none' && (
            <Choice
              label="Coats of it"
              value={String(p.coats)}
              options={[1, 2].map((n) => [String(n), coatsWord(n)])}
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
              {step.replace('-', ' ')}
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
            label="Pile instead"
            value={String(cover.pile)}
            options={PILES.map((p) => [String(p), pileWord(p, system)])}
            onChange={(p) => onPick({ ...cover, pile: Number(p) as Cover['pile'] })}
          />
          <Choice
            label="Fabric"
            value={cover.fabric}
            options={words(FABRICS)}
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
          options={PAINT_FAMILIES.map((family) => [family, FAMILY_WORDS[family]])}
          onChange={onPick}
        />
      );
    case 'style':
      return (
        <Choice
          label="Instead"
          value={value as CoatStyle}
          options={COAT_STYLES.map((style) => [style, STYLE_WORDS[style]])}
          onChange={onPick}
        />
      );
    case 'conditioner':
      return (
        <Choice
          label="Dose instead"
          value={String(value)}
          options={CONDITIONERS.map((dose) => [String(dose), conditionerWord(dose, system)])}
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
            options={widths.map((w) => [
              String(w),
              system === 'imperial' ? `${w / INCH} in` : `${Math.round(w * 1000)} mm`,
            ])}
            onChange={(w) => onPick({ ...brush, width: Number(w) })}
          />
          <Choice
            label="Bristle"
            value={brush.bristle}
            options={words(BRISTLES)}
            onChange={(bristle) => onPick({ ...brush, bristle })}
          />
        </div>
      );
    }
  }
}
