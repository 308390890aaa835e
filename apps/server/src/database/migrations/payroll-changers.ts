import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- Who changed a payroll last: shown to whoever has it open beside them.
ALTER TABLE payroll ADD COLUMN changed_by uuid REFERENCES app_user;
`;

export class PayrollChangers1811000000000 implements MigrationInterface {
  readonly name = 'PayrollChangers1811000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
