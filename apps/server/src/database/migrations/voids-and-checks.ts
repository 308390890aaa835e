import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const CHANGES = `
-- A paycheck is taken back by another one with the opposite amounts, in a payroll of the kind void; each once.
ALTER TABLE payroll DROP CONSTRAINT payroll_kind_check, ADD CONSTRAINT payroll_kind_check CHECK (kind IN ('regular','extra','recorded','brought-in','void')),
  ADD COLUMN voids uuid REFERENCES payroll, ADD COLUMN is_void boolean NOT NULL DEFAULT false, ADD CONSTRAINT payroll_voids CHECK ((kind = 'void') = (voids IS NOT NULL));
ALTER TABLE paycheck ADD COLUMN reverses uuid REFERENCES paycheck CONSTRAINT paycheck_reversed_once UNIQUE;
-- A payroll whose checks are all void makes room for another of its period.
DROP INDEX payroll_regular_unique;
CREATE UNIQUE INDEX payroll_regular_unique ON payroll (client_id, period_start, period_end) WHERE kind IN ('regular','recorded') AND NOT is_void;
CREATE VIEW standing_paycheck WITH (security_invoker = true) AS
  SELECT c.* FROM paycheck c WHERE c.reverses IS NULL AND NOT EXISTS (SELECT 1 FROM paycheck v WHERE v.reverses = c.id)
    AND NOT EXISTS (SELECT 1 FROM payroll r WHERE r.reverses = c.payroll_id OR (r.id = c.payroll_id AND r.reverses IS NOT NULL));
GRANT SELECT ON standing_paycheck TO zakat_app;
CREATE TABLE check_void (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, payroll_id uuid NOT NULL REFERENCES payroll, reason text NOT NULL CHECK (reason <> ''),
  status text NOT NULL DEFAULT 'proposed' CHECK (status IN ('proposed','posted','withdrawn')), version int NOT NULL DEFAULT 1,
  prepared_by uuid NOT NULL REFERENCES app_user, posted_by uuid REFERENCES app_user, posted_at timestamptz, void_payroll_id uuid REFERENCES payroll, created_at timestamptz NOT NULL);
CREATE INDEX check_void_by_payroll ON check_void (payroll_id);
CREATE TABLE check_void_item (
  check_void_id uuid NOT NULL REFERENCES check_void, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, paycheck_id uuid NOT NULL REFERENCES paycheck, is_live boolean NOT NULL DEFAULT true,
  PRIMARY KEY (check_void_id, paycheck_id));
CREATE UNIQUE INDEX check_void_item_once ON check_void_item (paycheck_id) WHERE is_live;
-- Checks on paper: a number of a bank account is used once, whatever becomes of the sheet.
CREATE TABLE issued_check (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, bank_account_id uuid NOT NULL REFERENCES bank_account, number bigint NOT NULL CHECK (number > 0),
  payroll_id uuid REFERENCES payroll, paycheck_id uuid REFERENCES paycheck, amount bigint NOT NULL CHECK (amount >= 0), payee text NOT NULL, check_date date NOT NULL, is_handwritten boolean NOT NULL DEFAULT false,
  status text NOT NULL CHECK (status IN ('printed','issued','spoiled','voided','stopped','cleared')), version int NOT NULL DEFAULT 1, reason text, document_id uuid REFERENCES document, run_id uuid,
  prepared_by uuid NOT NULL REFERENCES app_user, created_at timestamptz NOT NULL, cleared_on date,
  CONSTRAINT issued_check_number_unique UNIQUE (bank_account_id, number),
  CONSTRAINT issued_check_pays CHECK ((paycheck_id IS NULL) = (amount = 0) AND (paycheck_id IS NULL) = (payroll_id IS NULL) AND (paycheck_id IS NOT NULL OR status = 'spoiled')));
CREATE INDEX issued_check_by_payroll ON issued_check (payroll_id);
CREATE INDEX issued_check_by_client ON issued_check (client_id, check_date);
`;

/** Voids of posted checks, and the checks on paper. Forward only. */
export class VoidsAndChecks1779000000000 implements MigrationInterface {
  readonly name = 'VoidsAndChecks1779000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [
      { name: 'check_void', isOfClients: true },
      { name: 'check_void_item', isOfClients: true },
      { name: 'issued_check', isOfClients: true },
    ]);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
