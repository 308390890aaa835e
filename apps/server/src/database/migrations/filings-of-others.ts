import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A filing that somebody else sent, taken in from its file: it stands at the agency, and is corrected here. */
export class FilingsOfOthers1786000000000 implements MigrationInterface {
  readonly name = 'FilingsOfOthers1786000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE filing ADD COLUMN is_elsewhere boolean NOT NULL DEFAULT false');
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
