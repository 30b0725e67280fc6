import { styled } from '@mui/material/styles';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell, { type TableCellProps } from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { ReactNode } from 'react';

/** Where there is little room a row is a card: what its cells are stands in them, and nothing is wider than the page. */
const Frame = styled(Table)({
  '@container (max-width: 650px)': {
    '&, & > tbody': { display: 'block', minWidth: 0 },
    '& > thead': visuallyHidden as object,
    '& > tbody > tr': {
      display: 'flex',
      flexWrap: 'wrap',
      gap: '2px 18px',
      alignItems: 'flex-start',
      padding: '8px 0',
      borderTop: '1px solid var(--line)',
    },
    '& > tbody > tr > *': { display: 'block', border: 0, padding: 0, maxWidth: '100%' },
    '& > tbody > tr > th': { flex: '1 0 100%', width: 'auto' },
    '& > tbody > tr > td:empty': { display: 'none' },
    '& td[data-label]::before': {
      content: 'attr(data-label)',
      display: 'block',
      font: '400 12.5px/1.3 "Atkinson Hyperlegible Next", sans-serif',
      color: 'var(--soft)',
    },
  },
});

interface DataTableProps {
  /** A heading a column. */
  readonly columns: readonly ReactNode[];
  readonly children: ReactNode;
  readonly label?: string;
  readonly className?: string;
}

/** Rows of the work: a heading a column, and a card a row on a phone. */
export const DataTable = ({ columns, children, label, className }: DataTableProps) => (
  <Frame aria-label={label} className={className}>
    <TableHead>
      <TableRow>
        {columns.map((column, i) => (
          <TableCell key={i} scope="col">
            {column}
          </TableCell>
        ))}
      </TableRow>
    </TableHead>
    <TableBody>{children}</TableBody>
  </Frame>
);

/** @param label its column's heading, where a row is a card. */
export const Cell = ({ label, ...rest }: TableCellProps & { readonly label?: string }) => (
  <TableCell data-label={label} {...rest} />
);
/** What a row is about. */
export const RowHead = (props: TableCellProps) => <TableCell component="th" scope="row" {...props} />;
/** For those who hear the page. */
export const Unseen = styled('span')(visuallyHidden as object);
