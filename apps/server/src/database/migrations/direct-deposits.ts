import type { MigrationInterface, QueryRunner } from 'typeorm';

const TABLES = ['direct_deposit', 'direct_deposit_entry'];

const CHANGES = `
CREATE TABLE direct_deposit (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, kind text NOT NULL CHECK (kind IN ('pay','prenotes')), payroll_id uuid REFERENCES payroll,
  reference text NOT NULL UNIQUE, bank_account_id uuid NOT NULL REFERENCES bank_account, settles date NOT NULL, amount bigint NOT NULL CHECK (amount >= 0),
  status text NOT NULL DEFAULT 'planned' CHECK (status IN ('planned','released','settled','returned','withdrawn')), version int NOT NULL DEFAULT 1,
  prepared_by uuid NOT NULL REFERENCES app_user, released_by uuid REFERENCES app_user, document_id uuid REFERENCES document, confirmation text, returned_reason text, created_at timestamptz NOT NULL,
  CONSTRAINT direct_deposit_of_payroll CHECK ((kind = 'pay') = (payroll_id IS NOT NULL)), CONSTRAINT direct_deposit_amount CHECK ((kind = 'pay') = (amount > 0)));
-- The pay of a payroll is in one file at a time, and no two files of prenotes are being prepared at once.
CREATE UNIQUE INDEX direct_deposit_once ON direct_deposit (payroll_id) WHERE status IN ('planned','released','settled');
CREATE UNIQUE INDEX direct_deposit_prenotes_once ON direct_deposit (client_id) WHERE kind = 'prenotes' AND status = 'planned';
CREATE TABLE direct_deposit_entry (
  direct_deposit_id uuid NOT NULL REFERENCES direct_deposit, sequence int NOT NULL, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid NOT NULL REFERENCES employee, paycheck_id uuid REFERENCES paycheck,
  label text NOT NULL, type text NOT NULL CHECK (type IN ('checking','savings')), routing text NOT NULL, account_cipher bytea NOT NULL, account_tail text NOT NULL, account_mark bytea NOT NULL, amount bigint NOT NULL CHECK (amount >= 0),
  trace text NOT NULL, is_live boolean NOT NULL DEFAULT true, return_code text, return_reason text, returned_on date,
  PRIMARY KEY (direct_deposit_id, sequence));
CREATE UNIQUE INDEX direct_deposit_entry_once ON direct_deposit_entry (paycheck_id, label) WHERE is_live;
CREATE INDEX direct_deposit_entry_by_account ON direct_deposit_entry (client_id, account_mark);
ALTER TABLE outbox DROP CONSTRAINT outbox_kind_check, ADD CONSTRAINT outbox_kind_check CHECK (kind IN ('ach-file','pay-file','return-941','wage-file'));
`;

/** Pay by direct deposit, and the prenotes before it. Forward only. */
export class DirectDeposits1769000000000 implements MigrationInterface {
  readonly name = 'DirectDeposits1769000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    for (const table of TABLES) {
      await runner.query(`GRANT SELECT, INSERT, UPDATE ON ${table} TO zakat_app`);
      await runner.query(`ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY`);
      await runner.query(
        `CREATE POLICY own_firm ON ${table} TO zakat_app USING (firm_id = current_firm()) WITH CHECK (firm_id = current_firm())`,
      );
      await runner.query(
        `CREATE POLICY own_client ON ${table} AS RESTRICTIVE TO zakat_app USING (current_client() IS NULL OR client_id = current_client()) WITH CHECK (current_client() IS NULL OR client_id = current_client())`,
      );
    }
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
