import { cents, showDollars } from '@zakat/core/money/cents';
import {
  CellStyleModule,
  CheckboxEditorModule,
  ClientSideRowModelModule,
  ColumnAutoSizeModule,
  ModuleRegistry,
  RenderApiModule,
  RowApiModule,
  TextEditorModule,
  TooltipModule,
  themeQuartz,
  type CellFocusedEvent,
  type ColDef,
  type FirstDataRenderedEvent,
  type GetRowIdParams,
  type GridApi,
  type ValueGetterParams,
  type ValueSetterParams,
} from 'ag-grid-community';
import { AgGridReact } from 'ag-grid-react';
import { useMemo, useRef, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { COMPUTED, VALUE_COLUMNS, alsoOf, type SheetRow } from '../../calc/sheet-row.js';
import type { TypedCell } from './use-sheet.js';

ModuleRegistry.registerModules([
  ClientSideRowModelModule,
  TextEditorModule,
  CheckboxEditorModule,
  CellStyleModule,
  ColumnAutoSizeModule,
  RowApiModule,
  RenderApiModule,
  TooltipModule,
]);

const ROW = 30;
const HEADER = 34;
/** Room for the horizontal scrollbar, so that it never covers the last person. */
const SCROLLBAR = 20;
const MOST_HEIGHT = 580;

const paper = themeQuartz.withParams({
  backgroundColor: 'var(--paper)',
  foregroundColor: 'var(--ink)',
  headerBackgroundColor: 'var(--paper)',
  headerTextColor: 'var(--ink-soft)',
  headerFontWeight: 400,
  borderColor: 'var(--rule-soft)',
  accentColor: 'var(--act)',
  fontFamily: 'var(--text)',
  fontSize: 14,
  rowHeight: ROW,
  headerHeight: HEADER,
  wrapperBorder: false,
  wrapperBorderRadius: 0,
  cellHorizontalPadding: 7,
  spacing: 5,
  rowHoverColor: 'var(--paper-deep)',
});
const HEADINGS: Readonly<Record<string, string>> = {
  rate: 'Rate',
  regular: 'Regular',
  overtime: 'Overtime',
  holiday: 'Holiday',
  sick: 'Sick',
  vacation: 'Vacation',
  salary: 'Salary',
  bonus: 'Bonus',
  '401k': '401(k)',
  'section-125-health': 'Health',
};
const ALWAYS = ['rate', 'regular', 'overtime'];

interface Props {
  readonly rows: readonly SheetRow[];
  readonly isOpen: boolean;
  /** Every column, or those that somebody uses. */
  readonly isWide: boolean;
  /** A cell was typed over. */
  readonly onType: (employeeId: string, column: string, value: string) => void;
  /** Several cells were pasted: one step. */
  readonly onPaste: (cells: readonly TypedCell[]) => void;
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  /** A computed figure has the focus. */
  readonly onFigure: (employeeId: string, figure: string) => void;
  /** A person has the focus. */
  readonly onPerson: (employeeId: string) => void;
}

function columnsOf(
  isOpen: boolean,
  shown: readonly string[],
  hasOthers: boolean,
  onType: Props['onType'],
): ColDef<SheetRow>[] {
  const number = { type: 'rightAligned', cellStyle: { fontVariantNumeric: 'tabular-nums' } };
  const typedColumn = (id: string, heading: string, width: number): ColDef<SheetRow> => ({
    colId: id,
    headerName: heading,
    width,
    editable: (params) => isOpen && params.data?.isPaid === true,
    ...number,
    valueGetter: ({ data }: ValueGetterParams<SheetRow>) => data?.values[id] ?? '',
    valueSetter: ({ data, newValue }: ValueSetterParams<SheetRow>) => {
      onType(data.employeeId, id, String(newValue ?? ''));
      return true;
    },
  });
  return [
    {
      colId: 'name',
      headerName: 'Person',
      valueGetter: ({ data }) => `${data?.number ?? ''}  ${data?.name ?? ''}${data?.note ? ' •' : ''}`,
      tooltipValueGetter: ({ data }) => data?.note ?? '',
      pinned: 'left',
      width: 170,
    },
    {
      colId: 'isPaid',
      headerName: 'Paid',
      width: 50,
      editable: isOpen,
      cellDataType: 'boolean',
      valueGetter: ({ data }) => data?.isPaid ?? false,
      valueSetter: ({ data, newValue }: ValueSetterParams<SheetRow>) => {
        onType(data.employeeId, 'isPaid', String(newValue));
        return true;
      },
    },
    {
      colId: 'line',
      headerName: 'Short line',
      width: 132,
      editable: (params) => isOpen && params.data?.isPaid === true,
      valueGetter: ({ data }) => data?.line ?? '',
      cellClassRules: { 'not-read': ({ data }) => data?.unread?.column === 'line' },
      tooltipValueGetter: ({ data }) => data?.unread?.why ?? '',
      valueSetter: ({ data, newValue }: ValueSetterParams<SheetRow>) => {
        onType(data.employeeId, 'line', String(newValue ?? ''));
        return true;
      },
    },
    ...shown.map((id) => typedColumn(id, HEADINGS[id] ?? id, 69)),
    ...(hasOthers
      ? [
          {
            colId: 'also',
            headerName: 'Also',
            width: 170,
            editable: (params) => isOpen && params.data?.isPaid === true,
            valueGetter: ({ data }) => (data ? alsoOf(data) : ''),
            cellClassRules: { 'not-read': ({ data }) => data?.unread?.column === 'also' },
            tooltipValueGetter: ({ data }) => (data ? (data.unread?.why ?? alsoOf(data)) : ''),
            valueSetter: ({ data, newValue }) => {
              onType(data.employeeId, 'also', String(newValue ?? ''));
              return true;
            },
          } satisfies ColDef<SheetRow>,
        ]
      : []),
    ...COMPUTED.map(({ id, label, amount }): ColDef<SheetRow> => ({
      colId: id,
      headerName: label,
      width: 76,
      type: 'rightAligned',
      pinned: id === 'net' ? 'right' : null,
      valueGetter: ({ data }) => (data ? amount(data.check) : 0),
      valueFormatter: ({ value }: { value: number }) => (value === 0 ? '–' : showDollars(cents(value))),
      cellStyle: isOpen
        ? { fontStyle: 'italic', color: 'var(--pencil)', fontVariantNumeric: 'tabular-nums' }
        : { fontVariantNumeric: 'tabular-nums' },
    })),
  ];
}

/** All people due on one sheet: arrows and Enter as in a spreadsheet, paste from one, undo until posted. */
export function PayrollSheet({
  rows,
  isOpen,
  isWide,
  onType,
  onPaste,
  onUndo,
  onRedo,
  onFigure,
  onPerson,
}: Props): ReactNode {
  const grid = useRef<AgGridReact<SheetRow>>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const used = VALUE_COLUMNS.filter(
    (id) => isWide || ALWAYS.includes(id) || rows.some((row) => (row.values[id] ?? '') !== ''),
  ).join(' ');
  const shown = useMemo(() => used.split(' '), [used]);
  const hasOthers = isWide || rows.some((row) => alsoOf(row) !== '');
  const columns = useMemo(() => columnsOf(isOpen, shown, hasOthers, onType), [isOpen, shown, hasOthers, onType]);
  // A letter typed on a cell begins its text; it is not a key of the page.
  const keepLetters = (event: KeyboardEvent): void => {
    if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) event.stopPropagation();
    const letter = event.key.toLowerCase();
    const isEditing = (event.target as HTMLElement).tagName === 'INPUT';
    if (!isOpen || isEditing || !(event.ctrlKey || event.metaKey) || (letter !== 'z' && letter !== 'y')) return;
    event.preventDefault();
    if (letter === 'y' || event.shiftKey) onRedo();
    else onUndo();
  };
  const focusFirst = (event: FirstDataRenderedEvent<SheetRow>): void => {
    if (isOpen) event.api.setFocusedCell(0, 'line');
  };
  // The net stands above what scrolls, and the working makes the sheet narrower: the figure with the focus stays in sight.
  const keepInSight = (): void => {
    requestAnimationFrame(() =>
      sheet.current?.querySelector('.ag-cell-focus')?.scrollIntoView({ block: 'nearest', inline: 'nearest' }),
    );
  };
  const focused = (event: CellFocusedEvent<SheetRow>): void => {
    const id = typeof event.column === 'object' ? event.column?.getColId() : undefined;
    const computed = COMPUTED.find((column) => column.id === id);
    const row = event.rowIndex === null ? undefined : event.api.getDisplayedRowAtIndex(event.rowIndex)?.data;
    keepInSight();
    if (row) onPerson(row.employeeId);
    if (computed && row) onFigure(row.employeeId, computed.figure(row));
  };
  const paste = (event: ClipboardEvent): void => {
    const api: GridApi<SheetRow> | undefined = grid.current?.api;
    const cell = api?.getFocusedCell();
    const editable = ['line', ...shown, ...(hasOthers ? ['also'] : [])];
    const start = cell ? editable.indexOf(cell.column.getColId()) : -1;
    if (!api || !cell || start < 0 || !isOpen || (event.target as HTMLElement).tagName === 'INPUT') return;
    event.preventDefault();
    const lines = event.clipboardData
      .getData('text/plain')
      .replace(/\r?\n$/, '')
      .split(/\r?\n/);
    const cells: TypedCell[] = [];
    lines.forEach((line, down) => {
      const row = api.getDisplayedRowAtIndex(cell.rowIndex + down)?.data;
      line.split('\t').forEach((value, across) => {
        const column = editable[start + across];
        if (row?.isPaid && column !== undefined) cells.push({ employeeId: row.employeeId, column, value });
      });
    });
    onPaste(cells);
  };
  return (
    <div ref={sheet} className="sheet" onPaste={paste} onKeyDown={keepLetters}>
      <AgGridReact<SheetRow>
        ref={grid}
        theme={paper}
        rowData={rows as SheetRow[]}
        columnDefs={columns}
        getRowId={({ data }: GetRowIdParams<SheetRow>) => data.employeeId}
        containerStyle={{ height: Math.min(MOST_HEIGHT, HEADER + rows.length * ROW + SCROLLBAR) }}
        defaultColDef={{ sortable: true, resizable: true, suppressMovable: true }}
        enterNavigatesVertically
        enterNavigatesVerticallyAfterEdit
        stopEditingWhenCellsLoseFocus
        suppressColumnVirtualisation
        onCellFocused={focused}
        onGridSizeChanged={keepInSight}
        onFirstDataRendered={focusFirst}
      />
    </div>
  );
}
