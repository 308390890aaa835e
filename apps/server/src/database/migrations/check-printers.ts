import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const CHANGES = `
-- Printers of the firm, and by how many inches each prints off its place.
CREATE TABLE check_printer (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, name text NOT NULL CHECK (name <> ''),
  move_right text NOT NULL DEFAULT '', move_down text NOT NULL DEFAULT '', CONSTRAINT check_printer_name UNIQUE (firm_id, name));
`;

export class CheckPrinters1817000000000 implements MigrationInterface {
  readonly name = 'CheckPrinters1817000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'check_printer', mayDelete: true }]);
    await shutTo(runner, 'no_employee', ['check_printer']);
    await shutTo(runner, 'no_client', ['check_printer']);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
