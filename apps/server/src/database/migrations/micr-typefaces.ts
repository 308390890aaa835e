import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const CHANGES = `
-- The firm's own typeface for the line of magnetic ink on blank check stock, and the day on which a bank has tested a sample.
CREATE TABLE micr_typeface (firm_id uuid PRIMARY KEY REFERENCES firm, name text NOT NULL CHECK (name <> ''), content bytea NOT NULL, saved_by uuid NOT NULL REFERENCES app_user, saved_at timestamptz NOT NULL);
ALTER TABLE bank_account ADD COLUMN micr_tested_on date;
`;

export class MicrTypefaces1802000000000 implements MigrationInterface {
  readonly name = 'MicrTypefaces1802000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'micr_typeface', mayDelete: true }]);
    await shutTo(runner, 'no_employee', ['micr_typeface']);
    await shutTo(runner, 'no_client', ['micr_typeface']);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
