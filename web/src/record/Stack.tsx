import type { EarlierPaint } from '@kovelin/core/job/recorded.ts';
import { paintsOf, type Paint, type SurfaceRecord } from '@kovelin/core/record/layer.ts';
import { dayText } from '@kovelin/core/units/day-text.ts';
import { formatTemperature } from '@kovelin/core/units/temperature.ts';
import { counted, heading, said } from '@kovelin/core/units/word.ts';
import { LAID } from '@kovelin/core/words/found.ts';
import { pileWord } from '@kovelin/core/words/systems.ts';
import { FABRIC, SHEEN } from '@kovelin/core/words/terms.ts';
import { TextButton } from '../ui/TextButton.tsx';
import type { WholeView } from '../app/whole.ts';

const HIGH = 46;
const OLD = 30;

/** A cut through the wall: the oldest paint at the left, what is seen at the right. */
function CutThrough({ paints }: { readonly paints: readonly Paint[] }) {
  const coats = paints.flatMap(({ layers }) => layers.map((layer, i) => ({ layer, first: i === 0 })));
  const wide = Math.max(6, Math.min(22, 220 / Math.max(1, coats.length)));
  const width = OLD + coats.length * wide + 2;
  return (
    <svg
      viewBox={`0 0 ${width} ${HIGH}`}
      width={width}
      height={HIGH}
      className="cut-through"
      role="img"
      aria-label={`${coats.length} coats, the oldest at the left`}
    >
      <rect width={OLD} height={HIGH} className="ground" />
      <path d={`M4 8l6 5M14 22l7 3M6 34l5 4M20 9l5 4M22 36l4 3`} className="grain" />
      {coats.map(({ layer, first }, i) => (
        <g key={i}>
          <rect
            x={OLD + i * wide}
            width={wide}
            height={HIGH}
            fill={layer.colour?.hex ?? 'var(--paper)'}
            className={layer.certain ? 'coat' : 'coat unsure'}
          />
          {!layer.colour?.hex && (
            <text x={OLD + (i + 0.5) * wide} y={HIGH / 2 + 5} textAnchor="middle" className="note">
              ?
            </text>
          )}
          {first && <path d={`M${OLD + i * wide} 0V${HIGH}`} className="joint" />}
        </g>
      ))}
    </svg>
  );
}

interface StackProps {
  readonly view: WholeView;
  readonly own: SurfaceRecord;
  readonly onEdit: (paint: EarlierPaint) => void;
}
/** All that is on a surface, from what is seen down to the oldest. */
export function Stack({ view, own, onEdit }: StackProps) {
  const paints = paintsOf(own.layers);
  if (!paints.length) return null;
  const earlier = view.state.shown.earlier[own.id] ?? [];
  return (
    <>
      <CutThrough paints={paints} />
      <p className="cut-words">
        <span>oldest</span>
        <span>what is seen</span>
      </p>
      <ol className="stack">
        {[...paints].reverse().map((paint, i) => {
          const said = earlier.find(
            (one) =>
              !paint.top.certain &&
              one.source === paint.top.source &&
              one.when === (paint.top.when ?? '') &&
              one.product === (paint.top.product ?? '') &&
              one.colour === (paint.top.colour?.name ?? ''),
          );
          return <PaintCard key={i} view={view} paint={paint} onEdit={said ? () => onEdit(said) : null} />;
        })}
      </ol>
    </>
  );
}

/** One paint with all that is known of it. */
function PaintCard({
  view,
  paint,
  onEdit,
}: {
  readonly view: WholeView;
  readonly paint: Paint;
  readonly onEdit: (() => void) | null;
}) {
  const { system, state } = view;
  const { top, coats } = paint;
  const day = top.when && top.when.length === 10 ? dayText(top.when, state.job.region.dates) : top.when;
  const facts: readonly (readonly [string, string | null])[] = [
    ['Code', top.colour?.code ?? null],
    ['Formula', top.formula],
    ['Sheen', top.sheen && said(SHEEN[top.sheen], system)],
    ['Batch', top.batch],
    ['Over', top.primer],
    ['Laid', top.laid && said(LAID[top.laid], system)],
    [
      'With',
      top.cover &&
        [
          top.cover.fabric && said(FABRIC[top.cover.fabric], system),
          top.cover.pile && said(pileWord(top.cover.pile), system),
        ]
          .filter(Boolean)
          .join(', '),
    ],
    ['Thinner', top.thinner],
    ['Wax', top.wax],
    ['When', day],
    ['Who', top.who],
    ['Air', top.air && `${formatTemperature(top.air.temperature, system)}, ${Math.round(top.air.humidity * 100)} %`],
    ['Note', top.note],
  ];
  return (
    <li className={top.certain ? '' : 'unsure'}>
      <h4>
        {top.colour?.hex && <span className="chip" style={{ background: top.colour.hex }} />}
        {top.product ?? 'A paint nobody knows'}
        {top.colour?.name && `, ${top.colour.name}`}
      </h4>
      <p className="sure">
        {heading(counted(coats, top.role === 'primer' ? 'coat of primer' : 'coat'), system)} ·{' '}
        {top.certain ? 'by the log' : `not certain: ${top.source || 'by hand'}`}
        {onEdit && (
          <>
            {' '}
            <TextButton onClick={onEdit}>change</TextButton>
          </>
        )}
      </p>
      <dl>
        {facts.map(
          ([name, text]) =>
            text && (
              <div key={name}>
                <dt>{name}</dt>
                <dd>{text}</dd>
              </div>
            ),
        )}
      </dl>
    </li>
  );
}
