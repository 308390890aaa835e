import { date, yearOf } from '@zakat/core/calendar/local-date';
import { ZERO, add, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';

type Kind = 'gross' | 'net' | 'earning' | 'tax' | 'deduction' | 'employer';
/** What the checks of a year came to: by the kind of line, by name. */
export type ToDate = Readonly<Record<Kind, ReadonlyMap<string, Cents>>>;
export const NO_CHECKS: ToDate = {
  gross: new Map(),
  net: new Map(),
  earning: new Map(),
  tax: new Map(),
  deduction: new Map(),
  employer: new Map(),
};

/** Each person's posted checks of a year up to a check date, those of one payroll left out; voids take theirs away. */
export async function yearsToDate(
  manager: EntityManager,
  employeeIds: readonly string[],
  checkDate: string,
  exceptPayroll: string | null = null,
): Promise<(employeeId: string) => ToDate> {
  const rows = (await manager.query(
    `WITH posted AS (
       SELECT id, employee_id, gross, net, lines FROM paycheck
       WHERE employee_id = ANY($1) AND check_date >= $2 AND check_date <= $3 AND ($4::uuid IS NULL OR payroll_id <> $4)
     ), lines AS (
       SELECT employee_id, 'gross' AS kind, '' AS name, gross AS amount FROM posted
       UNION ALL SELECT employee_id, 'net', '', net FROM posted
       UNION ALL SELECT employee_id, 'earning', l.label, l.amount FROM posted, jsonb_to_recordset(lines -> 'earnings') AS l(label text, amount bigint)
       UNION ALL SELECT employee_id, 'deduction', l.label, l.amount FROM posted, jsonb_to_recordset(lines -> 'deductions') AS l(label text, amount bigint)
       UNION ALL SELECT employee_id, 'employer', l.label, l.amount FROM posted, jsonb_to_recordset(lines -> 'employerPaid') AS l(label text, amount bigint)
       UNION ALL SELECT employee_id, 'deduction', l.label, l.amount + l.fee FROM posted, jsonb_to_recordset(lines -> 'garnishments') AS l(label text, amount bigint, fee bigint)
       UNION ALL SELECT posted.employee_id, 'tax', t.tax, t.amount FROM posted JOIN paycheck_tax t ON t.paycheck_id = posted.id WHERE t.payer = 'employee')
     SELECT employee_id, kind, name, sum(amount)::bigint AS amount FROM lines GROUP BY 1, 2, 3`,
    [employeeIds, `${yearOf(date(checkDate))}-01-01`, checkDate, exceptPayroll],
  )) as { employee_id: string; kind: Kind; name: string; amount: string }[];
  const found = new Map<string, Record<Kind, Map<string, Cents>>>();
  for (const row of rows) {
    const own = found.get(row.employee_id) ?? {
      gross: new Map(),
      net: new Map(),
      earning: new Map(),
      tax: new Map(),
      deduction: new Map(),
      employer: new Map(),
    };
    found.set(row.employee_id, own);
    own[row.kind].set(row.name, add(own[row.kind].get(row.name) ?? ZERO, rawCents(row.amount)));
  }
  return (employeeId) => found.get(employeeId) ?? NO_CHECKS;
}
