import type { PostedCheck } from '@zakat/core/facts/contradicted';
import type { EntityManager } from 'typeorm';

/** The posted checks of a person that stand, with the released Form 941 that has their figures. */
export async function postedChecksOf(manager: EntityManager, employeeId: string): Promise<PostedCheck[]> {
  return (await manager.query(
    `SELECT p.period_start AS "periodStart", p.period_end AS "periodEnd", p.check_date AS "checkDate",
            CASE WHEN f.id IS NULL THEN NULL ELSE 'Form ' || f.form || ' for Q' || f.quarter || ' ' || f.year END AS filed
     FROM paycheck c JOIN payroll p ON p.id = c.payroll_id
     LEFT JOIN filing f ON f.client_id = p.client_id AND f.quarter IS NOT NULL AND f.status IN ('released', 'received', 'accepted')
       AND f.year = extract(year FROM p.check_date) AND f.quarter = extract(quarter FROM p.check_date)
     WHERE c.employee_id = $1 AND p.kind <> 'brought-in' AND p.reverses IS NULL AND NOT EXISTS (SELECT 1 FROM payroll r WHERE r.reverses = p.id)
     ORDER BY p.check_date`,
    [employeeId],
  )) as PostedCheck[];
}
