import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const TABLES = `
CREATE TABLE correction_case (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, what text NOT NULL, since date NOT NULL, found_on date NOT NULL,
  found_by text NOT NULL CHECK (found_by IN ('tie-out','notice','returned','client','employee','rate','review')), evidence text NOT NULL,
  status text NOT NULL DEFAULT 'open' CHECK (status IN ('open','closed')), version int NOT NULL DEFAULT 1, ended text NOT NULL DEFAULT '',
  prepared_by uuid NOT NULL REFERENCES app_user, created_at timestamptz NOT NULL);
CREATE INDEX correction_case_by_client ON correction_case (client_id);
CREATE TABLE correction_consequence (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, case_id uuid NOT NULL REFERENCES correction_case, key text NOT NULL,
  kind text NOT NULL, title text NOT NULL, amount bigint, due date, path text NOT NULL DEFAULT '', is_derived boolean NOT NULL,
  status text NOT NULL DEFAULT 'open' CHECK (status IN ('open','done','refused')), why text NOT NULL DEFAULT '', settled_by uuid REFERENCES app_user, settled_at timestamptz,
  -- What follows is listed once, however often it is worked out.
  CONSTRAINT correction_consequence_once UNIQUE (case_id, key));
`;

/** Corrections as cases, each with what follows from it. Forward only. */
export class CorrectionCases1787000000000 implements MigrationInterface {
  readonly name = 'CorrectionCases1787000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [
      { name: 'correction_case', isOfClients: true },
      { name: 'correction_consequence', isOfClients: true },
    ]);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
