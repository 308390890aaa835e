import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Payrolls that were already paid by another program and are recorded for the books, with what it withheld. */
export class RecordedPayrolls1771000000000 implements MigrationInterface {
  readonly name = 'RecordedPayrolls1771000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE payroll DROP CONSTRAINT payroll_kind_check, ADD CONSTRAINT payroll_kind_check CHECK (kind IN ('regular','extra','recorded','brought-in'))`,
    );
    await runner.query('DROP INDEX payroll_regular_unique');
    await runner.query(
      `CREATE UNIQUE INDEX payroll_regular_unique ON payroll (client_id, period_start, period_end) WHERE kind IN ('regular','recorded')`,
    );
    await runner.query(`ALTER TABLE payroll_line ADD COLUMN withheld jsonb NOT NULL DEFAULT '[]'`);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
