import Add from '@mui/icons-material/Add';
import Remove from '@mui/icons-material/Remove';
import IconButton from '@mui/material/IconButton';
import { KIT, materialKey } from '@kovelin/core/order/kit.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { said } from '@kovelin/core/units/word.ts';
import { materialWord } from '@kovelin/core/words/work.ts';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';
import { ToolDrawing } from './ToolDrawing.tsx';

const MOST = 99;

interface KitProps {
  readonly system: System;
  /** Pieces by key. */
  readonly owned: Readonly<Record<string, number>>;
  readonly onOwn: (key: string, pieces: number) => void;
}

/** What lasts from job to job: said once, and taken off every order. */
export function Kit({ system, owned, onOwn }: KitProps) {
  return (
    <DataTable narrow label="Your kit" columns={['Tool', 'Owned']}>
      {KIT.map(({ item, size }) => {
        const key = materialKey(item, size);
        const name = said(materialWord({ item, size }), system);
        const count = owned[key] ?? 0;
        return (
          <Row key={key}>
            <RowHead>
              <ToolDrawing item={item} />
              {name}
            </RowHead>
            <Cell className="number">
              <IconButton aria-label={`One ${name} fewer`} disabled={count === 0} onClick={() => onOwn(key, count - 1)}>
                <Remove fontSize="small" />
              </IconButton>{' '}
              <output aria-label={`${name}: owned`}>{count}</output>{' '}
              <IconButton
                aria-label={`One ${name} more`}
                disabled={count === MOST}
                onClick={() => onOwn(key, count + 1)}
              >
                <Add fontSize="small" />
              </IconButton>
            </Cell>
          </Row>
        );
      })}
    </DataTable>
  );
}
