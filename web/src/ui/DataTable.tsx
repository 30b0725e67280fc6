import { styled } from '@mui/material/styles';
import Table from '@mui/material/Table';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { ComponentProps, ReactNode } from 'react';

/** Its rows and cells are plain elements that it styles: a part of the toolkit for each of a hundred cells costs a tenth of a room's opening. */
const Plain = styled(Table)({
  fontSize: 14,
  lineHeight: 1.25,
  '& :is(th, td)': {
    padding: '4px 8px 4px 0',
    borderBottom: '1px solid var(--line)',
    verticalAlign: 'top',
    textAlign: 'left',
  },
  '&.MuiTable-stickyHeader > thead th': { position: 'sticky', top: 0, zIndex: 1, background: 'var(--card)' },
  '& > thead th': { fontSize: 12.5, fontWeight: 400, color: 'var(--soft)', verticalAlign: 'bottom' },
  '& > tbody > tr > th': { fontWeight: 700 },
  '& > tbody > tr > th small': { display: 'block' },
  '& small': { fontWeight: 400, color: 'var(--soft)' },
  '& > tbody > tr.chosen': { background: 'var(--chosen)' },
  '& > tbody > tr.chosen > th': { boxShadow: '-6px 0 0 var(--ochre)' },
});
/** Where there is little room a row is a card: what its cells are stands in them, and nothing is wider than the page. */
const Cards = styled(Plain)({
  '@container (max-width: 650px)': {
    '&, & > tbody': { display: 'block', minWidth: 0 },
    '& > thead': visuallyHidden as object,
    '& > thead th': { whiteSpace: 'normal' },
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
  /** Two columns or three of a few words: it needs no cards. */
  readonly narrow?: boolean;
  /** Its headings stay in sight. */
  readonly sticky?: boolean;
}

/** Rows of the work: a heading a column, and a card a row on a phone. */
export function DataTable({ columns, children, label, className, narrow = false, sticky = false }: DataTableProps) {
  const Frame = narrow ? Plain : Cards;
  return (
    <Frame aria-label={label} className={className} stickyHeader={sticky}>
      <thead>
        <tr>
          {columns.map((column, i) => (
            <th key={i} scope="col">
              {column}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>{children}</tbody>
    </Frame>
  );
}

type RowProps = ComponentProps<'tr'> & { readonly selected?: boolean };
export const Row = ({ selected = false, className, ...rest }: RowProps) => (
  <tr
    aria-selected={selected || undefined}
    className={[selected && 'chosen', className].filter(Boolean).join(' ') || undefined}
    {...rest}
  />
);
/** @param label its column's heading, where a row is a card. */
export const Cell = ({ label, ...rest }: ComponentProps<'td'> & { readonly label?: string }) => (
  <td data-label={label} {...rest} />
);
/** What a row is about. */
export const RowHead = (props: ComponentProps<'th'>) => <th scope="row" {...props} />;
/** For those who hear the page. */
export const Unseen = styled('span')(visuallyHidden as object);
