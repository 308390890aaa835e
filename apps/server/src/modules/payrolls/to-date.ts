import { addMonths, date, yearOf } from '@zakat/core/calendar/local-date';
import { toDollars } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';

/** A person's year before a check, as a case takes it: dollars by base, tax, item and name. */
export interface YearToDate {
  readonly wages: Record<string, string>;
  readonly taxes: Record<string, string>;
  readonly deductions: Record<string, string>;
  readonly ownDeductions: Record<string, string>;
  readonly employerPaid: Record<string, string>;
  supplementalWages: string;
}
/** The calendar month of a check before it: for fees that are due once a month, and limits of a month. */
export interface MonthToDate {
  wages: string;
  readonly taxes: Record<string, string>;
  readonly deductions: Record<string, string>;
}
interface ToDate {
  readonly year: YearToDate;
  readonly month: MonthToDate;
  hasMonth: boolean;
  /** Social security wages of the year before: above a mark its catch-up deferrals must be Roth. Null: no check. */
  priorYearWages: string | null;
}

export const nothingYet = (): YearToDate => ({
  wages: {},
  taxes: {},
  deductions: {},
  ownDeductions: {},
  employerPaid: {},
  supplementalWages: '0.00',
});

/** One statement for all sums: each row says what it adds up, whose it is, by what, and for the month or the whole year. */
const SUMS = `WITH checks AS MATERIALIZED (
    SELECT id, employee_id, gross, supplemental, lines, check_date >= $4 AND check_date < $5 AS is_month FROM paycheck
    WHERE client_id = $1 AND check_date >= $2 AND check_date < $3 AND payroll_id <> $6 AND employee_id = ANY($7)),
  taxes AS MATERIALIZED (
    SELECT t.employee_id, t.base, t.tax, t.subject, t.amount, c.is_month FROM paycheck_tax t JOIN checks c ON c.id = t.paycheck_id),
  deductions AS MATERIALIZED (
    SELECT c.employee_id, l.item, l.name, l.amount, c.is_month FROM checks c, jsonb_to_recordset(c.lines -> 'deductions') AS l(item text, name text, amount bigint))
  SELECT 'base' AS what, s.employee_id AS id, s.base AS by, max(s.total)::bigint AS year, 0::bigint AS month
    FROM (SELECT employee_id, base, tax, sum(subject) AS total FROM taxes GROUP BY 1, 2, 3) s GROUP BY 2, 3
  UNION ALL SELECT 'tax', employee_id, tax, sum(amount)::bigint, sum(amount) FILTER (WHERE is_month)::bigint FROM taxes GROUP BY 2, 3
  UNION ALL SELECT 'item', employee_id, item, sum(amount)::bigint, sum(amount) FILTER (WHERE is_month)::bigint FROM deductions GROUP BY 2, 3
  UNION ALL SELECT 'own', employee_id, name, sum(amount)::bigint, 0 FROM deductions WHERE name IS NOT NULL GROUP BY 2, 3
  UNION ALL SELECT 'employer', c.employee_id, coalesce(l.name, l.item), sum(l.amount)::bigint, 0
    FROM checks c, jsonb_to_recordset(c.lines -> 'employerPaid') AS l(item text, name text, amount bigint) GROUP BY 2, 3
  UNION ALL SELECT 'pay', employee_id, '', sum(supplemental)::bigint, sum(gross) FILTER (WHERE is_month)::bigint FROM checks GROUP BY 2
  UNION ALL SELECT 'prior', employee_id, '', sum(wages)::bigint, 0 FROM paycheck_tax
    WHERE client_id = $1 AND tax = 'US-OASDI-EE' AND check_date >= $8 AND check_date < $2 AND employee_id = ANY($7) GROUP BY 2`;

interface Sum {
  readonly what: 'base' | 'tax' | 'item' | 'own' | 'employer' | 'pay' | 'prior';
  readonly id: string;
  readonly by: string;
  readonly year: string;
  /** Null: nothing of it in the month. */
  readonly month: string | null;
}

/** What the checks of some people come to in the year and the month of a check date, those of one payroll left out. */
export async function toDateOf(
  manager: EntityManager,
  { clientId, day, exceptPayroll }: { clientId: string; day: string; exceptPayroll: string },
  employeeIds: readonly string[],
): Promise<ReadonlyMap<string, ToDate>> {
  const year = yearOf(date(day));
  const month = date(`${day.slice(0, 8)}01`);
  const rows = (await manager.query(SUMS, [
    clientId,
    `${year}-01-01`,
    `${year + 1}-01-01`,
    month,
    addMonths(month, 1),
    exceptPayroll,
    employeeIds,
    `${year - 1}-01-01`,
  ])) as Sum[];
  const found = new Map<string, ToDate>();
  for (const row of rows) {
    const own = found.get(row.id) ?? {
      year: nothingYet(),
      month: { wages: '0.00', taxes: {}, deductions: {} },
      hasMonth: false,
      priorYearWages: null,
    };
    found.set(row.id, own);
    put(own, row);
  }
  return found;
}

function put(own: ToDate, row: Sum): void {
  const inYear = toDollars(rawCents(row.year));
  const inMonth = row.month === null ? null : toDollars(rawCents(row.month));
  switch (row.what) {
    case 'base':
      own.year.wages[row.by] = inYear;
      return;
    case 'tax':
      own.year.taxes[row.by] = inYear;
      if (inMonth !== null) own.month.taxes[row.by] = inMonth;
      return;
    case 'item':
      own.year.deductions[row.by] = inYear;
      if (inMonth !== null) own.month.deductions[row.by] = inMonth;
      return;
    case 'own':
      own.year.ownDeductions[row.by] = inYear;
      return;
    case 'employer':
      own.year.employerPaid[row.by] = inYear;
      return;
    case 'pay':
      own.year.supplementalWages = inYear;
      if (inMonth !== null) [own.month.wages, own.hasMonth] = [inMonth, true];
      return;
    case 'prior':
      own.priorYearWages = inYear;
  }
}
