import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- A check may pay an agency: one that is out at a time.
ALTER TABLE agency_payee ADD COLUMN mail_to text NOT NULL DEFAULT '' CHECK (length(mail_to) <= 200);
ALTER TABLE issued_check ADD COLUMN remittance_id uuid REFERENCES remittance, DROP CONSTRAINT issued_check_pays,
  ADD CONSTRAINT issued_check_pays CHECK (num_nonnulls(paycheck_id, remittance_id) <= 1 AND (num_nonnulls(paycheck_id, remittance_id) = 0) = (amount = 0)
    AND (paycheck_id IS NULL) = (payroll_id IS NULL) AND (num_nonnulls(paycheck_id, remittance_id) = 1 OR status = 'spoiled'));
CREATE UNIQUE INDEX issued_check_of_remittance ON issued_check (remittance_id) WHERE status IN ('printed','issued','cleared');
`;

export class AgencyChecks1803000000000 implements MigrationInterface {
  readonly name = 'AgencyChecks1803000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
