import type { Brush, Cover, PrimerChoice, PrimerLayer, SystemValues } from '@kovelin/core/job/paints.ts';
import {
  BRISTLES,
  COAT_STYLES,
  CONDITIONERS,
  FABRICS,
  PAINT_FAMILIES,
  PILES,
  PREP_STEPS,
  PRIMER_KINDS,
  SEALS,
  SHEENS,
  type CoatStyle,
  type Conditioner,
  type PaintFamily,
  type PrepStep,
  type PrimerKind,
  type Seal,
} from '@kovelin/core/job/vocabulary.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { INCH } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { across, coatsWord, conditionerWord, pileWord } from '@kovelin/core/words/systems.ts';
import {
  BRISTLE,
  FABRIC,
  FAMILY,
  PREP,
  PRIMER,
  SEALED,
  SHEEN,
  STYLE,
  THE,
  type Words,
} from '@kovelin/core/words/terms.ts';
import type { ReactNode } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { Check } from '../ui/Check.tsx';
import type { WholeView } from '../app/whole.ts';

type Member = keyof SystemValues;

interface OverruleProps {
  readonly member: Member;
  readonly value: SystemValues[Member];
  readonly system: WholeView['system'];
  readonly s: Specified;
  readonly onPick: (value: SystemValues[Member]) => void;
}

/** What a decision may be instead; the form it takes is the member’s own. */
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
    case 'primer':
      return <PrimerInstead value={value as PrimerChoice} system={system} s={s} onPick={onPick} />;
    case 'seal':
      return <Choice label="Over it instead" value={value as Seal} options={words(SEALS, SEALED)} onChange={onPick} />;
    case 'prep': {
      const steps = value as readonly PrepStep[];
      return (
        <div className="checks">
          {PREP_STEPS.map((step) => (
            <Check
              key={step}
              label={said(PREP[step], system)}
              checked={steps.includes(step)}
              onChange={(isOn) => onPick(PREP_STEPS.filter((x) => (x === step ? isOn : steps.includes(x))))}
            />
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

const NOTHING: PrimerLayer = { kind: 'none', extent: 'none', coats: 0, tint: null };

/** The primer, and another over it where one alone does not do. */
function PrimerInstead({ value, onPick, ...rest }: LayerProps<PrimerChoice>) {
  const { then, ...first } = value;
  return (
    <>
      <LayerInstead
        {...rest}
        label="Primer instead"
        value={first}
        onPick={(layer) => onPick({ ...layer, then: layer.kind === 'none' ? null : then })}
      />
      {first.kind !== 'none' && (
        <LayerInstead
          {...rest}
          label="Then"
          value={then ?? NOTHING}
          onPick={(layer) => onPick({ ...first, then: layer.kind === 'none' ? null : layer })}
        />
      )}
    </>
  );
}

interface LayerProps<T> extends Pick<OverruleProps, 'system' | 's'> {
  readonly value: T;
  readonly onPick: (value: T) => void;
}
function LayerInstead({ label, value: p, system, s, onPick }: LayerProps<PrimerLayer> & { readonly label: string }) {
  const pick = (kind: PrimerKind, extent: PrimerLayer['extent']) =>
    onPick(
      kind === 'none' || extent === 'none'
        ? NOTHING
        : { kind, extent, coats: Math.max(1, p.coats), tint: extent === 'full' ? p.tint : null },
    );
  const tints = [p.tint, ...s.primers.map(({ layer }) => layer.tint), s.tinted?.tint, s.colour.hex];
  return (
    <div className="pair">
      <Choice
        label={label}
        value={p.kind}
        options={PRIMER_KINDS.map((kind) => [kind, heading(PRIMER[kind], system)])}
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
            ...[...new Set(tints)].flatMap((tint) =>
              tint ? [[tint, tint === s.colour.hex ? 'to the finish' : `to ${tint}`] as const] : [],
            ),
          ]}
          onChange={(tint) => onPick({ ...p, tint: tint || null })}
        />
      )}
    </div>
  );
}
