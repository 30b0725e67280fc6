import type { Colour } from '@kovelin/core/job/paints.ts';
import { DraftField } from '../ui/DraftField.tsx';
import { Section } from '../ui/Section.tsx';
import { readText } from '../ui/read.ts';
import { useSpelt } from '../app/useSpelt.ts';
import type { WholeView } from '../app/whole.ts';

/** What the client calls a colour, its maker’s code and its mix: typed once, printed on quote, list, sheets and labels. Identical ones become one. */
export function ColourNames({ view, colour }: { readonly view: WholeView; readonly colour: Colour }) {
  const spell = useSpelt();
  const { session, state } = view;
  const set = (change: Partial<Colour>): string | null => {
    const named = { ...colour, ...change };
    const next: Colour = {
      id: colour.id,
      name: named.name,
      hex: named.hex,
      ...(named.code ? { code: named.code } : {}),
      ...(named.formula ? { formula: named.formula } : {}),
    };
    const twin = Object.values(state.job.colours).find(
      (one) =>
        one.id !== next.id && one.hex === next.hex && one.name === next.name && (one.code ?? '') === (next.code ?? ''),
    );
    const edits = [
      { name: 'setColour' as const, args: { colour: next } },
      ...(twin ? [{ name: 'mergeColours' as const, args: { from: next.id, into: twin.id } }] : []),
    ];
    return session.run({ name: 'together', args: { edits } }) ? null : 'not taken';
  };
  return (
    <Section
      title={spell('Its colour in this job')}
      extra={<span className="chip" style={{ background: colour.hex }} />}
    >
      <div className="pair">
        <DraftField label="Name" value={colour.name} parse={readText(80, 1)} onCommit={(name) => set({ name })} />
        <DraftField
          label="Maker’s code"
          value={colour.code ?? ''}
          parse={readText(200)}
          onCommit={(code) => set({ code })}
        />
      </div>
      <DraftField
        label="Formula, as it was mixed"
        value={colour.formula ?? ''}
        parse={readText(200)}
        onCommit={(formula) => set({ formula })}
      />
    </Section>
  );
}
