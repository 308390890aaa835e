import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const CHANGES = `
-- What went to the client's books: each journal entry in one export, each export with its number and its files as they were made.
CREATE TABLE journal_export (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, number int NOT NULL, up_to date NOT NULL, unit text NOT NULL CHECK (unit IN ('entry','month')),
  csv_document_id uuid NOT NULL REFERENCES document, text_document_id uuid NOT NULL REFERENCES document, created_by uuid NOT NULL REFERENCES app_user, created_at timestamptz NOT NULL,
  CONSTRAINT journal_export_number_unique UNIQUE (client_id, number));
CREATE TABLE journal_export_entry (
  journal_entry_id uuid CONSTRAINT journal_export_entry_once PRIMARY KEY REFERENCES journal_entry, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, journal_export_id uuid NOT NULL REFERENCES journal_export);
CREATE INDEX journal_export_entry_by_export ON journal_export_entry (journal_export_id);
-- Several pay schedules in one client: each has its own periods.
ALTER TABLE payroll ADD COLUMN schedule text NOT NULL DEFAULT '';
DROP INDEX payroll_regular_unique;
CREATE UNIQUE INDEX payroll_regular_unique ON payroll (client_id, schedule, period_start, period_end) WHERE kind IN ('regular','recorded') AND NOT is_void;
CREATE INDEX journal_entry_by_client ON journal_entry (client_id, day);
`;

/** Exports of the journal to the client's books, and the pay schedule of a payroll. Forward only. */
export class JournalExports1780000000000 implements MigrationInterface {
  readonly name = 'JournalExports1780000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [
      { name: 'journal_export', isAppendOnly: true, isOfClients: true },
      { name: 'journal_export_entry', isAppendOnly: true, isOfClients: true },
    ]);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
