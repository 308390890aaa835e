import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- Lines of which one check takes another amount, each with its reason and whether the rest is owed.
ALTER TABLE payroll_line ADD COLUMN overridden jsonb NOT NULL DEFAULT '[]';
-- What deductions are owed from earlier checks is found by the few checks that leave some owed, or take some of it.
ALTER TABLE paycheck ADD COLUMN moves_arrears boolean NOT NULL DEFAULT false;
CREATE INDEX paycheck_arrears ON paycheck (employee_id) WHERE moves_arrears;
`;

export class OverriddenLines1812000000000 implements MigrationInterface {
  readonly name = 'OverriddenLines1812000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
