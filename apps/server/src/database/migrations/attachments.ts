import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const TABLES = `
-- Papers as they came: the letter of an agency, the proof of a payment, the evidence of a mistake. Kept, and never changed.
CREATE TABLE attachment (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, subject_kind text NOT NULL, subject_id uuid NOT NULL,
  document_id uuid NOT NULL REFERENCES document, bytes int NOT NULL, digest text NOT NULL, added_by uuid NOT NULL REFERENCES app_user, added_at timestamptz NOT NULL,
  -- The same paper is kept once with what it belongs to.
  CONSTRAINT attachment_once UNIQUE (subject_id, digest));
CREATE INDEX attachment_by_subject ON attachment (subject_kind, subject_id);
`;

/** Papers beside what they are about. Forward only. */
export class Attachments1790000000000 implements MigrationInterface {
  readonly name = 'Attachments1790000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [{ name: 'attachment', isAppendOnly: true, isOfClients: true }]);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
