import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- A check of a run is a page of its document, counted from 1; null: the document is the check alone.
ALTER TABLE issued_check ADD COLUMN page int CHECK (page IS NULL OR page > 0 AND document_id IS NOT NULL);
`;

export class CheckPages1815000000000 implements MigrationInterface {
  readonly name = 'CheckPages1815000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
