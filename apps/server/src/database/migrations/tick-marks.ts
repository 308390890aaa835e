import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const CHANGES = `
-- Marks of preparers and reviewers on the lines of a return, with what lay under the line when they were made.
CREATE TABLE tick_mark (id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, filing_id uuid NOT NULL REFERENCES filing ON DELETE CASCADE,
  line text NOT NULL CHECK (line <> ''), mark text NOT NULL CHECK (mark IN ('traced','footed','agreed','queried')), note text NOT NULL DEFAULT '' CHECK (length(note) <= 500), under text NOT NULL,
  made_by uuid NOT NULL REFERENCES app_user, is_reviewer boolean NOT NULL, made_at timestamptz NOT NULL,
  cleared_by uuid REFERENCES app_user, cleared_at timestamptz, answer text NOT NULL DEFAULT '' CHECK (length(answer) <= 500));
CREATE INDEX tick_mark_of_filing ON tick_mark (filing_id) WHERE cleared_at IS NULL;
-- The same person makes a mark once on a line while it stands.
CREATE UNIQUE INDEX tick_mark_once ON tick_mark (filing_id, line, mark, made_by) WHERE cleared_at IS NULL;
ALTER TABLE firm ADD COLUMN requires_marks boolean NOT NULL DEFAULT false;
`;

export class TickMarks1804000000000 implements MigrationInterface {
  readonly name = 'TickMarks1804000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'tick_mark', isOfClients: true, mayDelete: true }]);
    await shutTo(runner, 'no_employee', ['tick_mark']);
    await shutTo(runner, 'no_client', ['tick_mark']);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
