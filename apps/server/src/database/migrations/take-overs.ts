import type { MigrationInterface, QueryRunner } from 'typeorm';

const FIRM_TABLES = ['take_over', 'take_over_pass'];
const APPEND_ONLY = ['take_over_pass'];

const CHANGES = `
CREATE TABLE take_over (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, year int NOT NULL CHECK (year BETWEEN 2000 AND 2100),
  status text NOT NULL DEFAULT 'open' CHECK (status IN ('open','accepted','taken back','discarded')), version int NOT NULL DEFAULT 1,
  file_name text NOT NULL DEFAULT '', table_cipher bytea, mapping jsonb NOT NULL DEFAULT '[]', reported jsonb NOT NULL DEFAULT '[]', balances jsonb,
  created_by uuid NOT NULL REFERENCES app_user, created_at timestamptz NOT NULL, accepted_by uuid REFERENCES app_user);
CREATE UNIQUE INDEX take_over_once ON take_over (client_id, year) WHERE status IN ('open','accepted');
CREATE TABLE take_over_pass (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, take_over_id uuid NOT NULL REFERENCES take_over, difference text NOT NULL, reason text NOT NULL,
  passed_by uuid NOT NULL REFERENCES app_user, passed_at timestamptz NOT NULL);
-- A payroll that was paid elsewhere belongs to its take-over; taken back, another one reverses it.
ALTER TABLE payroll DROP CONSTRAINT payroll_kind_check, ADD CONSTRAINT payroll_kind_check CHECK (kind IN ('regular','extra','brought-in')),
  ADD COLUMN take_over_id uuid REFERENCES take_over, ADD COLUMN reverses uuid REFERENCES payroll CONSTRAINT payroll_reversed_once UNIQUE,
  ADD CONSTRAINT payroll_brought_in CHECK ((kind = 'brought-in') = (take_over_id IS NOT NULL));
ALTER TABLE ledger_entry ADD COLUMN take_over_id uuid REFERENCES take_over, DROP CONSTRAINT ledger_entry_has_cause, DROP CONSTRAINT ledger_entry_once,
  ADD CONSTRAINT ledger_entry_has_cause CHECK ((cause IN ('payroll','reversal')) = (payroll_id IS NOT NULL) AND (cause IN ('payment','payment-returned')) = (num_nonnulls(remittance_id, take_over_id) = 1)),
  ADD CONSTRAINT ledger_entry_once UNIQUE NULLS NOT DISTINCT (payroll_id, remittance_id, take_over_id, employee_id, tax, liability_date, cause);
`;

/** Balances brought in from a former provider. Forward only. */
export class TakeOvers1765000000000 implements MigrationInterface {
  readonly name = 'TakeOvers1765000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    for (const table of FIRM_TABLES) {
      await runner.query(
        `GRANT SELECT, INSERT${APPEND_ONLY.includes(table) ? '' : ', UPDATE'} ON ${table} TO zakat_app`,
      );
      await runner.query(`ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY`);
      await runner.query(
        `CREATE POLICY own_firm ON ${table} TO zakat_app USING (firm_id = current_firm()) WITH CHECK (firm_id = current_firm())`,
      );
    }
    await runner.query('GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO zakat_app');
    for (const table of APPEND_ONLY)
      await runner.query(
        `CREATE TRIGGER append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON ${table} FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
