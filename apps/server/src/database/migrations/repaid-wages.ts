import type { MigrationInterface, QueryRunner } from 'typeorm';
import { countOwedYears } from './owed-months.js';

const CHANGES = `
-- Gross pay of an earlier year that an employee gave back: its taxes are taken back in part, and the check stands.
ALTER TABLE check_void ADD COLUMN repaid bigint CHECK (repaid > 0),
  -- The payroll in which its people are paid again.
  ADD COLUMN again_payroll_id uuid REFERENCES payroll ON DELETE SET NULL;
ALTER TABLE paycheck ADD COLUMN is_repayment boolean NOT NULL DEFAULT false;
-- Pages of a long report are found by their days.
CREATE INDEX paycheck_by_client ON paycheck (client_id, check_date, employee_id) INCLUDE (firm_id, id);
CREATE OR REPLACE VIEW standing_paycheck WITH (security_invoker = true) AS
  SELECT c.* FROM paycheck c WHERE c.reverses IS NULL AND NOT c.is_repayment AND NOT EXISTS (SELECT 1 FROM paycheck v WHERE v.reverses = c.id)
    AND NOT EXISTS (SELECT 1 FROM payroll r WHERE r.reverses = c.payroll_id OR (r.id = c.payroll_id AND r.reverses IS NOT NULL));
`;

/** A reversal takes an entry back; of wages that were given back a part goes, and the month was owed all the same. */
const TAKEN_BACK = `CASE WHEN cause <> 'reversal' THEN 1 WHEN EXISTS (SELECT 1 FROM paycheck k WHERE k.payroll_id = added.payroll_id AND k.is_repayment) THEN 0 ELSE -1 END`;

/** Wages of an earlier year that are paid back. Forward only. */
export class RepaidWages1801000000000 implements MigrationInterface {
  readonly name = 'RepaidWages1801000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await runner.query(countOwedYears(TAKEN_BACK));
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
