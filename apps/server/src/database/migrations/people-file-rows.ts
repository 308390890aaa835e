import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Where the headings of a file of employees stand, and which of its rows are left out. Forward only. */
export class PeopleFileRows1778000000000 implements MigrationInterface {
  readonly name = 'PeopleFileRows1778000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE people_import ADD COLUMN heading_row int NOT NULL DEFAULT 1, ADD COLUMN skipped_rows jsonb NOT NULL DEFAULT '[]'`,
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
