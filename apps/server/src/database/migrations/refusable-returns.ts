import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Until when the agency may still return what it accepted, as it says itself. */
export class RefusableReturns1807000000000 implements MigrationInterface {
  readonly name = 'RefusableReturns1807000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE filing ADD COLUMN refusable_until date');
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
