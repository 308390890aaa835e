import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A regular payroll may be split: each part of a period has a name, the rest has none, and nobody is in two of them. */
export class SplitPayrolls1800000000000 implements MigrationInterface {
  readonly name = 'SplitPayrolls1800000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE payroll ADD COLUMN part text NOT NULL DEFAULT '' CHECK (length(part) <= 60)`);
    await runner.query('DROP INDEX payroll_regular_unique');
    await runner.query(
      `CREATE UNIQUE INDEX payroll_regular_unique ON payroll (client_id, schedule, period_start, period_end, part) WHERE kind IN ('regular','recorded') AND NOT is_void`,
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
