import type { ReportCell, ReportGroup } from '@zakat/contract/reports';
import type { EntityManager } from 'typeorm';

/** Which checks a report is of. */
export interface ReportScope {
  readonly clientId: string;
  /** Check dates, both days in it. */
  readonly from: string;
  readonly to: string;
  readonly employeeId: string | null;
  /** Of these alone what one row of the report added up by a group is made of; null: of all. */
  readonly within: { readonly by: ReportGroup; readonly value: string } | null;
}
export interface KindColumn {
  readonly key: string;
  readonly label: string;
  readonly cell: ReportCell;
  /** Added up in the foot and by group. */
  readonly isSummed?: true;
}
export type Cells = Readonly<Record<string, string | number | null>>;
export interface KindRow {
  readonly cells: Cells;
  readonly path: string;
}
/** One report: what it shows, and the one statement that reads it. */
export interface ReportKind {
  readonly code: string;
  readonly label: string;
  readonly says: string;
  readonly groups: readonly ReportGroup[];
  /** Columns before the summed ones when nothing is grouped. */
  readonly columns: readonly KindColumn[];
  /** A relation with the columns, `path`, what it may be grouped by, and `ordering`; $1 client, $2 from, $3 to, $4 employee or null. */
  readonly relation: string;
  /** One row a check, in the order of `CHECK_ORDER`: a page is then read from its own checks alone. */
  readonly isByCheck?: true;
}
/** Stands in a relation after the scope of its checks; a page of checks puts its own condition there. */
export const MORE_SCOPE = '/* and of these */';
/** How the checks of a report are ordered, of `paycheck` c and `employee` e. */
const CHECK_ORDER = `c.check_date, lpad(e.number, 12, '0') COLLATE "C", c.id`;

/** How many rows a page has on the screen. */
export const PAGE = 200;

export const valuesOf = ({ clientId, from, to, employeeId, within }: ReportScope): unknown[] => [
  clientId,
  from,
  to,
  employeeId,
  ...(within ? [within.value] : []),
];
/** The relation of a report, or the part of it that one group is made of. */
const relationOf = ({ relation }: ReportKind, within: ReportScope['within']): string =>
  within ? `SELECT f.* FROM (${relation}) f WHERE ${GROUP_EXPRESSIONS[within.by]} = $5` : relation;

/** The expression of each group over the columns that every relation has. */
export const GROUP_EXPRESSIONS: Readonly<Record<ReportGroup, string>> = {
  employee: `employee`,
  department: `coalesce(nullif(department, ''), 'no department')`,
  location: `coalesce(nullif(location, ''), 'no location')`,
  'cost-center': `coalesce(nullif(cost_center, ''), 'no cost center')`,
  payroll: `to_char(check_date, 'MM/DD/YYYY') || ', ' || payroll_kind`,
  month: `to_char(check_date, 'YYYY-MM')`,
  quarter: `'Q' || to_char(check_date, 'Q YYYY')`,
};
export const GROUP_LABELS: Readonly<Record<ReportGroup, string>> = {
  employee: 'Employee',
  department: 'Department',
  location: 'Location',
  'cost-center': 'Cost center',
  payroll: 'Payroll',
  month: 'Month',
  quarter: 'Quarter',
};

export interface PageOfRows {
  readonly columns: readonly KindColumn[];
  readonly rows: readonly KindRow[];
  readonly totals: Cells;
  readonly count: number;
}

const cellOf = (column: KindColumn, value: unknown): string | number | null => {
  if (value === null || value === undefined) return null;
  if (column.cell === 'text' || column.cell === 'day') return String(value as string);
  return Number(value);
};

interface Statement {
  readonly columns: readonly KindColumn[];
  readonly summed: readonly KindColumn[];
  readonly text: string;
  readonly totals: string;
}
/** `by` adds rows up; the columns that are not summed then fall away but the group's own. */
function statementOf(kind: ReportKind, by: ReportGroup | null, within: ReportScope['within']): Statement {
  const relation = relationOf(kind, within);
  const summed = kind.columns.filter((column) => column.isSummed);
  const kept = kind.columns.filter((column) => !column.isSummed && KEPT_WHEN_GROUPED.has(column.key));
  const columns: readonly KindColumn[] =
    by === null ? kind.columns : [{ key: 'group', label: GROUP_LABELS[by], cell: 'text' }, ...kept, ...summed];
  const sums = summed.map(({ key }) => `sum("${key}")::bigint AS "${key}"`).join(', ');
  const text =
    by === null
      ? `SELECT r.* FROM (${relation}) r ORDER BY ordering`
      : `SELECT ${GROUP_EXPRESSIONS[by]} AS "group"${kept.map(({ key }) => `, "${key}"`).join('')}, ${sums}, '' AS path
         FROM (${relation}) r GROUP BY 1${kept.map((_, index) => `, ${index + 2}`).join('')} ORDER BY ${GROUP_ORDER[by] ?? '1'}${kept.map((_, index) => `, ${index + 2}`).join('')}`;
  const totals =
    by === null
      ? `SELECT count(*)::int AS count${sums === '' ? '' : `, ${sums}`} FROM (${relation}) r`
      : `SELECT (SELECT count(*)::int FROM (${text}) g) AS count, ${sums} FROM (${relation}) r`;
  return { columns, summed, text, totals };
}

type Stored = Record<string, unknown>;
const cellsOf = (columns: readonly KindColumn[], row: Stored): Cells =>
  Object.fromEntries(columns.map((column) => [column.key, cellOf(column, row[column.key])]));
/** How many rows a report has, and what its columns come to. */
async function totalsOf(
  manager: EntityManager,
  { summed, totals }: Statement,
  scope: ReportScope,
): Promise<Pick<PageOfRows, 'totals' | 'count'>> {
  const [whole = {}] = (await manager.query(totals, valuesOf(scope))) as Stored[];
  return {
    totals: Object.fromEntries(summed.map((column) => [column.key, cellOf(column, whole[column.key] ?? 0)])),
    count: Number(whole['count'] ?? 0),
  };
}

export interface PageAsked {
  readonly by: ReportGroup | null;
  readonly offset: number;
  readonly limit: number;
}
/** Reads one page of a report: its rows, and whether there are more. */
export async function readPage(
  manager: EntityManager,
  kind: ReportKind,
  scope: ReportScope,
  { by, offset, limit }: PageAsked,
): Promise<Pick<PageOfRows, 'columns' | 'rows'> & { readonly hasMore: boolean }> {
  const { columns, text } = statementOf(kind, by, scope.within);
  // One more than is shown says whether there are more.
  const window = [offset, limit + 1];
  const rows =
    by === null && kind.isByCheck && scope.within === null
      ? await rowsOfChecks(manager, text, scope, window)
      : await rowsOfWindow(manager, text, scope, window);
  return {
    columns,
    rows: rows.slice(0, limit).map((row) => ({
      cells: cellsOf(columns, row),
      path: String((row['path'] as string | null) ?? ''),
    })),
    hasMore: rows.length > limit,
  };
}

function rowsOfWindow(
  manager: EntityManager,
  text: string,
  scope: ReportScope,
  window: readonly number[],
): Promise<Stored[]> {
  const values = valuesOf(scope);
  return manager.query(`${text} OFFSET $${values.length + 1} LIMIT $${values.length + 2}`, [...values, ...window]);
}

/** The rows of a page of checks: first which checks, by their narrowest columns, then what the report says of those. */
async function rowsOfChecks(
  manager: EntityManager,
  text: string,
  scope: ReportScope,
  window: readonly number[],
): Promise<Stored[]> {
  const [offset = 0, limit = 0] = window;
  const days = await daysOfWindow(manager, scope, offset, limit);
  const [first, last] = [days[0], days.at(-1)];
  if (!first || !last) return [];
  const checks = (await manager.query(
    `SELECT c.id FROM paycheck c JOIN employee e ON e.id = c.employee_id
     WHERE c.client_id = $1 AND e.client_id = $1 AND c.check_date BETWEEN $2 AND $3 AND ($4::uuid IS NULL OR c.employee_id = $4) ORDER BY ${CHECK_ORDER} OFFSET $5 LIMIT $6`,
    [...valuesOf({ ...scope, from: first.day, to: last.day }), offset - first.before, limit],
  )) as { id: string }[];
  return manager.query(text.replaceAll(MORE_SCOPE, 'AND c.id = ANY($5::uuid[])'), [
    ...valuesOf(scope),
    checks.map(({ id }) => id),
  ]);
}

/** The check dates that a window of the checks lies in, each with how many checks are before it: the others are not sorted. */
async function daysOfWindow(
  manager: EntityManager,
  scope: ReportScope,
  offset: number,
  limit: number,
): Promise<{ readonly day: string; readonly before: number }[]> {
  const { clientId, from: first, to: last, employeeId } = scope;
  // Of everybody each payroll knows how many it has; of one person they are few.
  const days = (await (employeeId === null
    ? manager.query(
        `SELECT check_date AS day, sum(paychecks)::int AS count FROM payroll
         WHERE client_id = $1 AND check_date BETWEEN $2 AND $3 AND paychecks > 0 GROUP BY check_date ORDER BY check_date`,
        [clientId, first, last],
      )
    : manager.query(
        `SELECT check_date AS day, count(*)::int AS count FROM paycheck
         WHERE client_id = $1 AND check_date BETWEEN $2 AND $3 AND employee_id = $4 GROUP BY check_date ORDER BY check_date`,
        valuesOf(scope),
      ))) as { day: string; count: number }[];
  let before = 0;
  return days.flatMap(({ day, count }) => {
    const from = before;
    before += count;
    return before > offset && from < offset + limit ? [{ day, before: from }] : [];
  });
}

/** What the whole of a report comes to. */
export const readTotals = (
  manager: EntityManager,
  kind: ReportKind,
  scope: ReportScope,
  by: ReportGroup | null,
): Promise<Pick<PageOfRows, 'totals' | 'count'>> => totalsOf(manager, statementOf(kind, by, scope.within), scope);

export interface WholeReport extends Pick<PageOfRows, 'columns' | 'totals' | 'count'> {
  /** The rows, some at a time, through a cursor of the database: within the transaction that it was asked in. */
  readonly parts: () => AsyncGenerator<readonly Cells[]>;
}
const PART = 1000;
/** A report from the first row to the last, read as it is sent. */
export async function openReport(
  manager: EntityManager,
  kind: ReportKind,
  scope: ReportScope,
  by: ReportGroup | null,
): Promise<WholeReport> {
  const statement = statementOf(kind, by, scope.within);
  async function* parts(): AsyncGenerator<readonly Cells[]> {
    await manager.query(`DECLARE report_rows NO SCROLL CURSOR FOR ${statement.text}`, valuesOf(scope));
    for (;;) {
      const rows = (await manager.query(`FETCH ${PART} FROM report_rows`)) as Stored[];
      if (rows.length > 0) yield rows.map((row) => cellsOf(statement.columns, row));
      if (rows.length < PART) return;
    }
  }
  return { columns: statement.columns, ...(await totalsOf(manager, statement, scope)), parts };
}

/** Columns that say of what the amount is: they stay when rows are added up. */
const KEPT_WHEN_GROUPED: ReadonlySet<string> = new Set(['what', 'item', 'payer', 'tax', 'order', 'class', 'plan']);
/** Groups whose order is not that of their words. */
const GROUP_ORDER: Readonly<Partial<Record<ReportGroup, string>>> = {
  payroll: 'min(check_date)',
  quarter: 'min(check_date)',
  employee: 'min(employee_order)',
};
