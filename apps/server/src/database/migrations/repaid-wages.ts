import type { MigrationInterface, QueryRunner } from 'typeorm';

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

/** Wages of an earlier year that are paid back. Forward only. */
export class RepaidWages1801000000000 implements MigrationInterface {
  readonly name = 'RepaidWages1801000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
