import { cents, showDollars } from '@zakat/core/money/cents';
import {
  CellStyleModule,
  CheckboxEditorModule,
  ClientSideRowModelApiModule,
  ClientSideRowModelModule,
  ColumnApiModule,
  ColumnAutoSizeModule,
  ModuleRegistry,
  RenderApiModule,
  ScrollApiModule,
  RowApiModule,
  TextEditorModule,
  TooltipModule,
  themeQuartz,
  type CellFocusedEvent,
  type CellPosition,
  type ColDef,
  type FirstDataRenderedEvent,
  type GetRowIdParams,
  type GridApi,
  type TabToNextCellParams,
  type ValueGetterParams,
  type ValueSetterParams,
} from 'ag-grid-community';
import { AgGridReact } from 'ag-grid-react';
import { useEffect, useMemo, useRef, useState, type ClipboardEvent, type KeyboardEvent, type ReactNode } from 'react';
import { readPaste } from '../../calc/pasted.js';
import {
  AMOUNT_COLUMNS,
  COMPUTED,
  DEDUCTION_COLUMNS,
  VALUE_COLUMNS,
  alsoOf,
  type SheetRow,
} from '../../calc/sheet-row.js';
import { TYPINGS } from '../../kit/typed-field.js';
import { ALWAYS, HEADINGS } from './sheet-columns.js';
import type { TypedCell } from './use-sheet.js';

ModuleRegistry.registerModules([
  ClientSideRowModelApiModule,
  ClientSideRowModelModule,
  TextEditorModule,
  CheckboxEditorModule,
  CellStyleModule,
  ColumnApiModule,
  ColumnAutoSizeModule,
  RowApiModule,
  RenderApiModule,
  ScrollApiModule,
  TooltipModule,
]);

/** Columns that hold dollars: they show separators and cents. */
const AMOUNTS: readonly string[] = [...AMOUNT_COLUMNS, ...DEDUCTION_COLUMNS];

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
/** Widths in pixels. What does not fit beside the taxes and the net waits under "every column". */
const WIDTHS = { name: 138, isPaid: 46, line: 112, value: 69, also: 150, computed: 70, net: 80 };
/** Which value columns stay when there is room for few. */
const FIRST_TO_STAY = ['regular', 'overtime', 'salary', 'rate', 'bonus'];

/** What is left over goes to the names first, up to this. */
const MOST_FOR_NAMES = 70;
/** Pixels that the columns take at least. */
const takenBy = (values: number, hasOthers: boolean): number =>
  WIDTHS.name +
  WIDTHS.isPaid +
  WIDTHS.line +
  WIDTHS.net +
  (COMPUTED.length - 1) * WIDTHS.computed +
  SCROLLBAR +
  values * WIDTHS.value +
  (hasOthers ? WIDTHS.also : 0);

/** The value columns that fit, in the order of the sheet, when what is computed stays in sight. */
export function fitting(
  shown: readonly string[],
  hasOthers: boolean,
  width: number,
  always: readonly string[] = [],
): readonly string[] {
  const room = Math.max(1, Math.floor((width - takenBy(0, hasOthers)) / WIDTHS.value));
  const rank = (id: string): number => (FIRST_TO_STAY.includes(id) ? FIRST_TO_STAY.indexOf(id) : FIRST_TO_STAY.length);
  const kept = new Set([...shown].sort((one, other) => rank(one) - rank(other)).slice(0, room));
  return shown.filter((id) => kept.has(id) || always.includes(id));
}

interface Props {
  readonly rows: readonly SheetRow[];
  readonly isOpen: boolean;
  /** Every column, or those that somebody uses. */
  readonly isWide: boolean;
  /** Columns that are always there for the client, whether anybody uses them or not. */
  readonly kept: readonly string[];
  /** Where the focus begins: `EMPLOYEE.COLUMN`; blank: at the first short line. */
  readonly at: string;
  /** The person of a row is to be looked at; the address of the cell leads back. */
  readonly onOpen: (employeeId: string, at: string) => void;
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
  /** How many columns in use do not fit. */
  readonly onLeftOut: (count: number) => void;
  /** Names in a paste that are nobody's here. */
  readonly onUnmatched: (names: readonly string[]) => void;
}

function columnsOf(
  isOpen: boolean,
  shown: readonly string[],
  hasOthers: boolean,
  nameWidth: number,
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
    valueFormatter: ({ value }: { value: string }) => (AMOUNTS.includes(id) ? TYPINGS.amount.show(value) : value),
    valueSetter: ({ data, newValue }: ValueSetterParams<SheetRow>) => {
      onType(data.employeeId, id, String(newValue ?? ''));
      return true;
    },
  });
  return [
    {
      colId: 'name',
      headerName: 'Employee',
      valueGetter: ({ data }) => `${data?.number ?? ''}  ${data?.name ?? ''}${data?.note ? ' •' : ''}`,
      tooltipValueGetter: ({ data }) => data?.note ?? '',
      pinned: 'left',
      width: nameWidth,
    },
    {
      colId: 'isPaid',
      headerName: 'Paid',
      width: WIDTHS.isPaid,
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
      minWidth: WIDTHS.line,
      flex: 1,
      editable: (params) => isOpen && params.data?.isPaid === true,
      valueGetter: ({ data }) => data?.line ?? '',
      cellClassRules: { 'not-read': ({ data }) => data?.unread?.column === 'line' },
      tooltipValueGetter: ({ data }) => data?.unread?.why ?? '',
      valueSetter: ({ data, newValue }: ValueSetterParams<SheetRow>) => {
        onType(data.employeeId, 'line', String(newValue ?? ''));
        return true;
      },
    },
    ...shown.map((id) => typedColumn(id, HEADINGS[id] ?? id, WIDTHS.value)),
    ...(hasOthers
      ? [
          {
            colId: 'also',
            headerName: 'Other pay',
            width: WIDTHS.also,
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
      width: id === 'net' ? WIDTHS.net : WIDTHS.computed,
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
  kept,
  at,
  onOpen,
  onType,
  onPaste,
  onUndo,
  onRedo,
  onFigure,
  onPerson,
  onLeftOut,
  onUnmatched,
}: Props): ReactNode {
  const grid = useRef<AgGridReact<SheetRow>>(null);
  const sheet = useRef<HTMLDivElement>(null);
  const used = VALUE_COLUMNS.filter(
    (id) => isWide || ALWAYS.includes(id) || kept.includes(id) || rows.some((row) => (row.values[id] ?? '') !== ''),
  ).join(' ');
  const [width, setWidth] = useState(1224);
  const hasOthers = isWide || rows.some((row) => alsoOf(row) !== '');
  const shown = useMemo(() => {
    const all = used.split(' ');
    return isWide ? all : fitting(all, hasOthers, width, kept);
  }, [used, isWide, hasOthers, width, kept]);
  const left = used.split(' ').length - shown.length;
  useEffect(() => onLeftOut(left), [left, onLeftOut]);
  const nameWidth = WIDTHS.name + Math.max(0, Math.min(MOST_FOR_NAMES, width - takenBy(shown.length, hasOthers)));
  const columns = useMemo(
    () => columnsOf(isOpen, shown, hasOthers, nameWidth, onType),
    [isOpen, shown, hasOthers, nameWidth, onType],
  );
  // A letter typed on a cell begins its text; it is not a key of the page.
  const keepLetters = (event: KeyboardEvent): void => {
    if (event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) event.stopPropagation();
    if (event.altKey && event.code === 'KeyP') {
      event.preventDefault();
      const cell = grid.current?.api.getFocusedCell();
      const row = cell ? grid.current?.api.getDisplayedRowAtIndex(cell.rowIndex)?.data : undefined;
      if (cell && row) onOpen(row.employeeId, `${row.employeeId}.${cell.column.getColId()}`);
      return;
    }
    const letter = event.key.toLowerCase();
    const isEditing = (event.target as HTMLElement).tagName === 'INPUT';
    if (!isOpen || isEditing || !(event.ctrlKey || event.metaKey) || (letter !== 'z' && letter !== 'y')) return;
    event.preventDefault();
    if (letter === 'y' || event.shiftKey) onRedo();
    else onUndo();
  };
  const focusFirst = (event: FirstDataRenderedEvent<SheetRow>): void => {
    const dot = at.indexOf('.');
    const index = dot < 0 ? undefined : event.api.getRowNode(at.slice(0, dot))?.rowIndex;
    if (index !== undefined && index !== null) {
      const column = event.api.getColumn(at.slice(dot + 1)) ?? 'name';
      event.api.ensureIndexVisible(index);
      event.api.setFocusedCell(index, column);
    } else if (isOpen) event.api.setFocusedCell(0, 'line');
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
    const inOrder: SheetRow[] = [];
    api.forEachNodeAfterFilterAndSort((node) => node.data && inOrder.push(node.data));
    const isPaid = new Set(inOrder.filter((row) => row.isPaid).map((row) => row.employeeId));
    const pasted = readPaste(
      lines.map((line) => line.split('\t')),
      inOrder,
      cell.rowIndex,
    );
    const filled = pasted.cells.filter(({ value }) => value.trim() !== '');
    const unpaid = new Set(filled.map(({ employeeId }) => employeeId).filter((id) => !isPaid.has(id)));
    onUnmatched([
      ...pasted.unmatched,
      ...inOrder.filter((row) => unpaid.has(row.employeeId)).map((row) => row.name),
      ...(filled.some(({ across }) => editable[start + across] === undefined)
        ? ['what stands beyond the last column']
        : []),
    ]);
    onPaste(
      pasted.cells.flatMap(({ employeeId, across, value }): TypedCell[] => {
        const column = editable[start + across];
        return isPaid.has(employeeId) && column !== undefined ? [{ employeeId, column, value }] : [];
      }),
    );
  };
  // Tab goes from what is typed to what is typed, and out of the sheet after the last person.
  const tab = ({ backwards, previousCellPosition, api }: TabToNextCellParams<SheetRow>): CellPosition | boolean => {
    const stops = ['line', ...shown, ...(hasOthers ? ['also'] : [])];
    const at = stops.indexOf(previousCellPosition.column.getColId());
    const next = at + (backwards ? -1 : 1);
    const isOver = next < 0 || next >= stops.length;
    const rowIndex = previousCellPosition.rowIndex + (isOver ? (backwards ? -1 : 1) : 0);
    const column = api.getColumn(stops[isOver ? (backwards ? stops.length - 1 : 0) : next] ?? '');
    if (column === null || rowIndex < 0 || rowIndex >= api.getDisplayedRowCount()) return false;
    return { rowIndex, column, rowPinned: null };
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
        onCellDoubleClicked={({ column, data }) => {
          if (column.getColId() === 'name' && data) onOpen(data.employeeId, `${data.employeeId}.name`);
        }}
        scrollbarWidth={SCROLLBAR - 4}
        tabToNextCell={tab}
        onGridSizeChanged={({ clientWidth }) => {
          setWidth(clientWidth);
          keepInSight();
        }}
        onFirstDataRendered={focusFirst}
      />
    </div>
  );
}
