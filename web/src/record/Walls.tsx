import { paintsOf, type LayerColour } from '@kovelin/core/record/layer.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { counted, heading, said } from '@kovelin/core/units/word.ts';
import { namesWord } from '@kovelin/core/words/names.ts';
import { SHEEN } from '@kovelin/core/words/terms.ts';
import { useSpelt } from '../app/useSpelt.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { ofRoom, type Recording } from './shared.ts';
import { Cell, DataTable, Row } from '../ui/DataTable.tsx';

/** A colour as a shop would be told it. */
function colourText(colour: LayerColour | null): string {
  if (!colour) return 'not known';
  const { name, code, hex } = colour;
  return [name, code && !name?.includes(code) ? code : null].filter(Boolean).join(', ') || hex || 'not known';
}
/** What is seen on the surfaces of the room: those that bear the same paint in one row. */
export function Walls({ view, record }: Recording) {
  const spell = useSpelt();
  const { takeoff, system, surface } = view;
  if (!takeoff) return null;
  const rows = [
    ...groupBy(ofRoom({ record }, takeoff.room.id), ({ top, layers }) => {
      const paint = paintsOf(layers).at(-1);
      return top
        ? JSON.stringify([top.product, top.colour, top.sheen, top.batch, top.certain, top.source, paint?.coats])
        : '';
    }).entries(),
  ];
  return (
    <div className="table-wrap">
      <h3>
        What is on <bdi>{takeoff.room.name}</bdi>
      </h3>
      <DataTable
        label="On the walls"
        className="record-table"
        columns={['Surfaces', 'Paint', spell('Colour'), 'Sheen', 'Coats', 'Batch', 'When', 'Certain']}
      >
        {rows.map(([key, own]) => {
          const [first] = own;
          const top = first?.top;
          const coats = first ? paintsOf(first.layers).at(-1)?.coats : 0;
          return (
            <Row key={key} selected={own.some(({ id }) => id === surface?.id)}>
              <Cell label="Surfaces">
                <TextButton onClick={() => first && view.select(first.id)}>
                  {heading(
                    namesWord(
                      own.map(({ specified }) => specified.surface.name),
                      takeoff.walls.length,
                    ),
                    system,
                  )}
                </TextButton>
              </Cell>
              {top ? (
                <>
                  <Cell label="Paint">{top.product ?? 'not known'}</Cell>
                  <Cell label={spell('Colour')}>
                    {top.colour?.hex && <span className="chip" style={{ background: top.colour.hex }} />}
                    {colourText(top.colour)}
                  </Cell>
                  <Cell label="Sheen">{top.sheen ? said(SHEEN[top.sheen], system) : 'not known'}</Cell>
                  <Cell label="Coats">{said(counted(coats ?? 0, 'coat'), system)}</Cell>
                  <Cell label="Batch">{top.batch ?? '–'}</Cell>
                  <Cell label="When">{top.when ?? 'not known'}</Cell>
                  <Cell label="Certain">{top.certain ? '✓ by the log' : 'not certain'}</Cell>
                </>
              ) : (
                <Cell colSpan={7} label="Paint" className="unsaid">
                  nobody knows yet
                </Cell>
              )}
            </Row>
          );
        })}
      </DataTable>
    </div>
  );
}
