'use client';

import { Box, Table } from '@chakra-ui/react';
import {
  createSortedRowModel,
  rowSortingFeature,
  sortFns,
  tableFeatures,
  useTable,
  type ColumnDef,
} from '@tanstack/react-table';

const features = tableFeatures({
  rowSortingFeature,
  sortedRowModel: createSortedRowModel(),
  sortFns,
});

/** A column of a table: its key in the row, its heading, and whether it holds figures. */
export interface Column<Row> {
  readonly key: Extract<keyof Row, string>;
  readonly heading: string;
  readonly figures?: boolean;
}

type RowOfText = Readonly<Record<string, string>>;
type TextColumn = ColumnDef<typeof features, RowOfText>;

/** Columns for a table, made once outside the component that shows it. */
export const tableColumns = <Row extends RowOfText>(
  columns: readonly Column<Row>[],
): TextColumn[] =>
  columns.map(({ key, heading, figures }): TextColumn => ({
    accessorFn: (row) => row[key] ?? '',
    id: key,
    header: heading,
    sortFn: 'alphanumeric',
    meta: { figures: figures ?? false },
  }));

interface Props {
  readonly label: string;
  readonly columns: TextColumn[];
  /** Stable between draws */
  readonly rows: readonly RowOfText[];
}

const SORT_WORDS = { asc: 'ascending', desc: 'descending' } as const;
const isFigures = (meta: unknown): boolean =>
  typeof meta === 'object' && meta !== null && 'figures' in meta && meta.figures === true;

/** A table of text and figures; a heading sorts by its column. */
export const DataTable = ({ label, columns, rows }: Props) => {
  const table = useTable({ features, columns, data: rows as RowOfText[] });
  return (
    <Table.Root size="sm" variant="outline" mb="6" aria-label={label}>
      <Table.Header>
        {table.getHeaderGroups().map((group) => (
          <Table.Row key={group.id} bg="paper.deep">
            {group.headers.map((header) => {
              const sorted = header.column.getIsSorted();
              return (
                <Table.ColumnHeader
                  key={header.id}
                  aria-sort={sorted ? SORT_WORDS[sorted] : 'none'}
                >
                  <Box asChild minH="6" cursor="pointer" fontWeight="600">
                    <button type="button" onClick={header.column.getToggleSortingHandler()}>
                      <table.FlexRender header={header} />
                      {sorted === 'asc' ? ' ▴' : sorted === 'desc' ? ' ▾' : ''}
                    </button>
                  </Box>
                </Table.ColumnHeader>
              );
            })}
          </Table.Row>
        ))}
      </Table.Header>
      <Table.Body>
        {table.getRowModel().rows.map((row) => (
          <Table.Row key={row.id} bg="transparent">
            {row.getAllCells().map((cell) => {
              const figures = isFigures(cell.column.columnDef.meta);
              return (
                <Table.Cell
                  key={cell.id}
                  {...(figures
                    ? { className: 'figures', fontSize: '13px', whiteSpace: 'nowrap' }
                    : {})}
                >
                  <table.FlexRender cell={cell} />
                </Table.Cell>
              );
            })}
          </Table.Row>
        ))}
      </Table.Body>
    </Table.Root>
  );
};
