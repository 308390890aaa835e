import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Why a payroll was posted into days whose return or deposit had left. */
export class ClosedPeriods1772000000000 implements MigrationInterface {
  readonly name = 'ClosedPeriods1772000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE payroll ADD COLUMN closed_reason text');
    // What was typed as a line and not understood: it holds the review.
    await runner.query('ALTER TABLE payroll_line ADD COLUMN unread jsonb');
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
