import { date } from '@zakat/core/calendar/local-date';
import type { PostedCheck } from '@zakat/core/facts/contradicted';
import { periodWith } from '@zakat/core/filings/period';
import { kindOf } from '@zakat/core/filings/registry';
import type { EntityManager } from 'typeorm';
import { titleOf } from '../filing-records/index.js';

/** The posted checks of a person that stand, with the released returns that have their figures. */
export async function postedChecksOf(manager: EntityManager, employeeId: string): Promise<PostedCheck[]> {
  const rows = (await manager.query(
    `SELECT p.period_start AS "periodStart", p.period_end AS "periodEnd", p.check_date AS "checkDate",
            ARRAY(SELECT f.kind FROM filing f WHERE f.client_id = p.client_id AND f.status IN ('released', 'received', 'accepted')
              AND p.check_date BETWEEN f.period_start AND f.period_end ORDER BY f.period_end, f.kind) AS kinds
     FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id
     WHERE c.employee_id = $1 AND p.kind <> 'brought-in'
     ORDER BY p.check_date`,
    [employeeId],
  )) as (Omit<PostedCheck, 'filed'> & { kinds: string[] })[];
  return rows.map(({ kinds, ...check }) => ({
    ...check,
    filed:
      kinds.length === 0
        ? null
        : kinds
            .map((code) => titleOf(kindOf(code), periodWith(kindOf(code).period, date(check.checkDate))))
            .join(' and '),
  }));
}
