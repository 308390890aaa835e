import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- Columns of the payroll sheet that are always there for a client, whoever opens it.
ALTER TABLE client ADD COLUMN sheet_columns jsonb NOT NULL DEFAULT '[]';
`;

export class SheetColumns1813000000000 implements MigrationInterface {
  readonly name = 'SheetColumns1813000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
