import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Lines of a person that stay out of one check, each with its reason. */
export class LeftOutLines1770000000000 implements MigrationInterface {
  readonly name = 'LeftOutLines1770000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`ALTER TABLE payroll_line ADD COLUMN left_out jsonb NOT NULL DEFAULT '[]'`);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
