import type { ReportCell, ReportGroup } from '@zakat/contract/reports';
import type { EntityManager } from 'typeorm';

/** Which checks a report is of. */
export interface ReportScope {
  readonly clientId: string;
  /** Check dates, both days in it. */
  readonly from: string;
  readonly to: string;
  readonly employeeId: string | null;
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
}

/** How many rows a page has on the screen. */
export const PAGE = 200;

export const valuesOf = ({ clientId, from, to, employeeId }: ReportScope): unknown[] => [
  clientId,
  from,
  to,
  employeeId,
];

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

/** Reads one page of a report, its totals with it. `by` adds rows up; the columns that are not summed then fall away but the group's own. */
export async function readReport(
  manager: EntityManager,
  kind: ReportKind,
  scope: ReportScope,
  { by, offset, limit }: { readonly by: ReportGroup | null; readonly offset: number; readonly limit: number },
): Promise<PageOfRows> {
  const summed = kind.columns.filter((column) => column.isSummed);
  const kept = kind.columns.filter((column) => !column.isSummed && KEPT_WHEN_GROUPED.has(column.key));
  const columns: readonly KindColumn[] =
    by === null ? kind.columns : [{ key: 'group', label: GROUP_LABELS[by], cell: 'text' }, ...kept, ...summed];
  const sums = summed.map(({ key }) => `sum("${key}")::bigint AS "${key}"`).join(', ');
  const statement =
    by === null
      ? `SELECT r.* FROM (${kind.relation}) r ORDER BY ordering`
      : `SELECT ${GROUP_EXPRESSIONS[by]} AS "group"${kept.map(({ key }) => `, "${key}"`).join('')}, ${sums}, '' AS path
         FROM (${kind.relation}) r GROUP BY 1${kept.map((_, index) => `, ${index + 2}`).join('')} ORDER BY ${GROUP_ORDER[by] ?? '1'}${kept.map((_, index) => `, ${index + 2}`).join('')}`;
  const values = valuesOf(scope);
  const rows = (await manager.query(`${statement} OFFSET $5 LIMIT $6`, [...values, offset, limit])) as Record<
    string,
    unknown
  >[];
  const [whole] = (await manager.query(
    by === null
      ? `SELECT count(*)::int AS count${sums === '' ? '' : `, ${sums}`} FROM (${kind.relation}) r`
      : `SELECT (SELECT count(*)::int FROM (${statement}) g) AS count, ${sums} FROM (${kind.relation}) r`,
    values,
  )) as Record<string, unknown>[];
  return {
    columns,
    rows: rows.map((row) => ({
      cells: Object.fromEntries(columns.map((column) => [column.key, cellOf(column, row[column.key])])),
      path: String((row['path'] as string | null) ?? ''),
    })),
    totals: Object.fromEntries(summed.map((column) => [column.key, cellOf(column, whole?.[column.key] ?? 0)])),
    count: Number(whole?.['count'] ?? 0),
  };
}

/** Columns that say of what the amount is: they stay when rows are added up. */
const KEPT_WHEN_GROUPED: ReadonlySet<string> = new Set(['what', 'item', 'payer', 'tax', 'order', 'class', 'plan']);
/** Groups whose order is not that of their words. */
const GROUP_ORDER: Readonly<Partial<Record<ReportGroup, string>>> = {
  payroll: 'min(check_date)',
  quarter: 'min(check_date)',
  employee: 'min(employee_order)',
};
