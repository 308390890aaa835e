import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Tables that belong to a firm: row-level security keeps each firm to its own rows. */
const FIRM_TABLES = [
  'app_user',
  'session',
  'client',
  'tax_account',
  'bank_account',
  'agency_payee',
  'employee',
  'employee_fact',
  'payroll',
  'payroll_line',
  'paycheck',
  'paycheck_tax',
  'ledger_entry',
  'journal_entry',
  'journal_line',
  'remittance',
  'remittance_item',
  'filing',
  'filing_event',
  'document',
  'outbox',
  'audit_entry',
];
/** Tables that are evidence: rows are added and never changed or removed, by anyone. */
const APPEND_ONLY = [
  'employee_fact',
  'paycheck',
  'paycheck_tax',
  'ledger_entry',
  'journal_entry',
  'journal_line',
  'filing_event',
  'document',
  'audit_entry',
];

const TABLES = `
CREATE TABLE firm (
  id uuid PRIMARY KEY, name text NOT NULL, ein text NOT NULL, street text NOT NULL, city text NOT NULL, state text NOT NULL, zip text NOT NULL,
  phone text NOT NULL, email text NOT NULL, contact_name text NOT NULL, preparer_name text NOT NULL, preparer_ptin text NOT NULL, efw2_user_id text NOT NULL,
  requires_second_person boolean NOT NULL DEFAULT true, cushion_days int NOT NULL DEFAULT 0 CHECK (cushion_days BETWEEN 0 AND 10));
CREATE TABLE app_user (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, email text NOT NULL CONSTRAINT app_user_email_unique UNIQUE CHECK (email = lower(email)), name text NOT NULL,
  role text NOT NULL CHECK (role IN ('preparer','reviewer','administrator')), password_hash text NOT NULL, created_at timestamptz NOT NULL DEFAULT now());
CREATE TABLE session (
  token_hash bytea PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, user_id uuid NOT NULL REFERENCES app_user, expires_at timestamptz NOT NULL, created_at timestamptz NOT NULL DEFAULT now());
CREATE TABLE sign_in_attempt (id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, account_hash bytea NOT NULL, address_hash bytea NOT NULL, succeeded boolean NOT NULL, at timestamptz NOT NULL DEFAULT now());
CREATE INDEX sign_in_attempt_recent ON sign_in_attempt (account_hash, at);
CREATE TABLE application_clock (only_row boolean PRIMARY KEY DEFAULT true CHECK (only_row), today date NOT NULL);
CREATE TABLE client (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, key text NOT NULL, legal_name text NOT NULL, trade_name text NOT NULL, ein text NOT NULL, name_control text NOT NULL,
  street text NOT NULL, city text NOT NULL, state text NOT NULL, zip text NOT NULL, phone text NOT NULL, email text NOT NULL, contact_name text NOT NULL,
  signer_name text NOT NULL, signer_title text NOT NULL, kind_of_employer text NOT NULL, pay_frequency text NOT NULL,
  lookback_amount bigint NOT NULL CHECK (lookback_amount >= 0), new_york_days int NOT NULL CHECK (new_york_days IN (3,5)), version int NOT NULL DEFAULT 1,
  CONSTRAINT client_key_unique UNIQUE (firm_id, key));
CREATE TABLE tax_account (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, agency text NOT NULL, account_number text NOT NULL,
  unemployment_rate numeric(9,6) CHECK (unemployment_rate >= 0 AND unemployment_rate < 1), effective_from date NOT NULL,
  CONSTRAINT tax_account_from_unique UNIQUE (client_id, agency, effective_from));
CREATE TABLE bank_account (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, label text NOT NULL, bank_name text NOT NULL, routing text NOT NULL,
  account_cipher bytea NOT NULL, account_tail text NOT NULL);
CREATE TABLE agency_payee (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, agency text NOT NULL, name text NOT NULL, routing text NOT NULL, account text NOT NULL,
  CONSTRAINT agency_payee_unique UNIQUE (firm_id, agency));
CREATE TABLE employee (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, number text NOT NULL, first_name text NOT NULL, middle_name text NOT NULL,
  last_name text NOT NULL, suffix text NOT NULL, ssn_cipher bytea NOT NULL, ssn_tail text NOT NULL, ssn_mark bytea NOT NULL, street text NOT NULL, city text NOT NULL, state text NOT NULL, zip text NOT NULL,
  hired_on date NOT NULL, born_on date, kind text NOT NULL CHECK (kind IN ('employee','partner')), is_retirement_plan boolean NOT NULL, version int NOT NULL DEFAULT 1,
  CONSTRAINT employee_number_unique UNIQUE (client_id, number), CONSTRAINT employee_ssn_unique UNIQUE (client_id, ssn_mark));
CREATE TABLE employee_fact (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, employee_id uuid NOT NULL REFERENCES employee,
  kind text NOT NULL CHECK (kind IN ('pay','federal-certificate','state-certificate','place')), effective_from date NOT NULL, value jsonb NOT NULL,
  recorded_by uuid NOT NULL REFERENCES app_user, recorded_at timestamptz NOT NULL);
CREATE INDEX employee_fact_by_employee ON employee_fact (employee_id, kind, effective_from DESC, id DESC);
CREATE TABLE payroll (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, period_start date NOT NULL, period_end date NOT NULL, check_date date NOT NULL,
  kind text NOT NULL CHECK (kind IN ('regular','extra')), status text NOT NULL DEFAULT 'open' CHECK (status IN ('open','reviewed','posted')), version int NOT NULL DEFAULT 1,
  reviewed_digest text, reviewed_by uuid REFERENCES app_user, posted_by uuid REFERENCES app_user, posted_at timestamptz, created_by uuid NOT NULL REFERENCES app_user,
  CONSTRAINT payroll_period_ordered CHECK (period_start <= period_end));
CREATE UNIQUE INDEX payroll_regular_unique ON payroll (client_id, period_start, period_end) WHERE kind = 'regular';
CREATE INDEX payroll_by_client ON payroll (client_id, check_date DESC);
CREATE TABLE payroll_line (
  payroll_id uuid NOT NULL REFERENCES payroll, firm_id uuid NOT NULL REFERENCES firm, employee_id uuid NOT NULL REFERENCES employee, is_paid boolean NOT NULL, earnings jsonb NOT NULL, deductions jsonb NOT NULL,
  PRIMARY KEY (payroll_id, employee_id));
CREATE TABLE paycheck (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, payroll_id uuid NOT NULL REFERENCES payroll, employee_id uuid NOT NULL REFERENCES employee,
  check_date date NOT NULL, gross bigint NOT NULL, net bigint NOT NULL, supplemental bigint NOT NULL, lines jsonb NOT NULL, facts jsonb NOT NULL,
  CONSTRAINT paycheck_unique UNIQUE (payroll_id, employee_id));
CREATE INDEX paycheck_by_employee ON paycheck (employee_id, check_date);
CREATE TABLE paycheck_tax (
  paycheck_id uuid NOT NULL REFERENCES paycheck, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid NOT NULL REFERENCES employee, check_date date NOT NULL,
  tax text NOT NULL, payer text NOT NULL, base text NOT NULL, subject bigint NOT NULL, wages bigint NOT NULL, amount bigint NOT NULL, PRIMARY KEY (paycheck_id, tax));
CREATE INDEX paycheck_tax_by_client ON paycheck_tax (client_id, check_date);
CREATE TABLE document (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, kind text NOT NULL, name text NOT NULL, media_type text NOT NULL,
  content bytea NOT NULL, sha256 text NOT NULL, created_at timestamptz NOT NULL);
CREATE TABLE remittance (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, reference text NOT NULL CONSTRAINT remittance_reference_unique UNIQUE, agency text NOT NULL, family text NOT NULL,
  amount bigint NOT NULL CONSTRAINT remittance_amount_positive CHECK (amount > 0), due date NOT NULL, settles date NOT NULL, bank_account_id uuid NOT NULL REFERENCES bank_account,
  status text NOT NULL DEFAULT 'planned' CHECK (status IN ('planned','approved','released','settled','returned','withdrawn')), version int NOT NULL DEFAULT 1,
  prepared_by uuid NOT NULL REFERENCES app_user, approved_by uuid REFERENCES app_user, released_by uuid REFERENCES app_user, document_id uuid REFERENCES document,
  confirmation text, returned_reason text, created_at timestamptz NOT NULL);
CREATE TABLE remittance_item (
  remittance_id uuid NOT NULL REFERENCES remittance, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, tax text NOT NULL, liability_date date NOT NULL,
  amount bigint NOT NULL, is_live boolean NOT NULL DEFAULT true, PRIMARY KEY (remittance_id, tax, liability_date));
CREATE UNIQUE INDEX remittance_item_live_unique ON remittance_item (client_id, tax, liability_date) WHERE is_live;
CREATE TABLE ledger_entry (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid REFERENCES employee,
  payroll_id uuid REFERENCES payroll, remittance_id uuid REFERENCES remittance, cause text NOT NULL CHECK (cause IN ('payroll','payment','payment-returned','reversal')),
  tax text NOT NULL, agency text NOT NULL, subject bigint NOT NULL, wages bigint NOT NULL, amount bigint NOT NULL, liability_date date NOT NULL, effective_date date NOT NULL,
  posted_by uuid REFERENCES app_user, posted_at timestamptz NOT NULL,
  CONSTRAINT ledger_entry_has_cause CHECK ((cause IN ('payroll','reversal')) = (payroll_id IS NOT NULL) AND (cause IN ('payment','payment-returned')) = (remittance_id IS NOT NULL)),
  CONSTRAINT ledger_entry_once UNIQUE NULLS NOT DISTINCT (payroll_id, remittance_id, employee_id, tax, liability_date, cause));
CREATE INDEX ledger_entry_by_client ON ledger_entry (client_id, liability_date, tax);
CREATE TABLE journal_entry (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, day date NOT NULL, memo text NOT NULL, payroll_id uuid REFERENCES payroll, remittance_id uuid REFERENCES remittance,
  CONSTRAINT journal_entry_once UNIQUE NULLS NOT DISTINCT (payroll_id, remittance_id, memo));
CREATE TABLE journal_line (
  journal_entry_id uuid NOT NULL REFERENCES journal_entry, firm_id uuid NOT NULL REFERENCES firm, position int NOT NULL, account text NOT NULL, detail text NOT NULL, amount bigint NOT NULL CHECK (amount <> 0),
  PRIMARY KEY (journal_entry_id, position));
CREATE TABLE filing (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, form text NOT NULL CHECK (form IN ('941','W-2')), year int NOT NULL, quarter int CHECK (quarter BETWEEN 1 AND 4),
  due date NOT NULL, status text NOT NULL DEFAULT 'draft' CHECK (status IN ('draft','checked','released','received','accepted','rejected')), version int NOT NULL DEFAULT 1, attempt int NOT NULL DEFAULT 1,
  snapshot jsonb, snapshot_digest text, prepared_by uuid NOT NULL REFERENCES app_user, signed_by uuid REFERENCES app_user, signer_pin_cipher bytea, signed_on date, released_by uuid REFERENCES app_user,
  submission_id text, document_id uuid REFERENCES document, created_at timestamptz NOT NULL,
  CONSTRAINT filing_form_quarter CHECK ((form = '941') = (quarter IS NOT NULL)),
  CONSTRAINT filing_unique UNIQUE NULLS NOT DISTINCT (client_id, form, year, quarter));
CREATE TABLE filing_event (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, filing_id uuid NOT NULL REFERENCES filing, at timestamptz NOT NULL, stage text NOT NULL, code text, message text NOT NULL, field text,
  attempt int NOT NULL, document_id uuid REFERENCES document);
CREATE TABLE outbox (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, kind text NOT NULL CHECK (kind IN ('ach-file','return-941','wage-file')), subject_id uuid NOT NULL, idempotency_key text NOT NULL CONSTRAINT outbox_key_unique UNIQUE,
  document_id uuid NOT NULL REFERENCES document, status text NOT NULL DEFAULT 'waiting' CHECK (status IN ('waiting','sent','answered')), attempts int NOT NULL DEFAULT 0,
  next_at timestamptz NOT NULL DEFAULT now(), last_error text, agency_reference text, created_at timestamptz NOT NULL DEFAULT now());
CREATE INDEX outbox_open ON outbox (next_at) WHERE status <> 'answered';
CREATE TABLE audit_entry (
  firm_id uuid NOT NULL REFERENCES firm, seq bigint NOT NULL, at timestamptz NOT NULL, user_id uuid REFERENCES app_user, action text NOT NULL, subject_kind text NOT NULL, subject_id text NOT NULL, detail jsonb NOT NULL,
  previous_hash text NOT NULL, hash text NOT NULL, PRIMARY KEY (firm_id, seq));
`;

const FUNCTIONS = `
CREATE FUNCTION current_firm() RETURNS uuid LANGUAGE sql STABLE AS $$ SELECT nullif(current_setting('zakat.firm_id', true), '')::uuid $$;
CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN RAISE EXCEPTION '% is append-only', TG_TABLE_NAME USING ERRCODE = 'restrict_violation'; END $$;
CREATE FUNCTION journal_must_balance() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  IF (SELECT coalesce(sum(amount), 0) FROM journal_line WHERE journal_entry_id = NEW.journal_entry_id) <> 0 THEN
    RAISE EXCEPTION 'journal entry does not balance' USING ERRCODE = 'check_violation', CONSTRAINT = 'journal_balances';
  END IF; RETURN NULL; END $$;
CREATE CONSTRAINT TRIGGER journal_balances AFTER INSERT ON journal_line DEFERRABLE INITIALLY DEFERRED FOR EACH ROW EXECUTE FUNCTION journal_must_balance();
-- What must be known before a firm is: who signs in, whose session a token is, which firms have something to send.
CREATE FUNCTION user_for_sign_in(given text) RETURNS TABLE (id uuid, firm_id uuid, password_hash text) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT id, firm_id, password_hash FROM app_user WHERE email = lower(given) $$;
CREATE FUNCTION session_for_token(given bytea) RETURNS TABLE (firm_id uuid, user_id uuid, name text, email text, role text) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT s.firm_id, s.user_id, u.name, u.email, u.role FROM session s JOIN app_user u ON u.id = s.user_id WHERE s.token_hash = given AND s.expires_at > now() $$;
CREATE FUNCTION outbox_due() RETURNS TABLE (id uuid, firm_id uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT id, firm_id FROM outbox WHERE status <> 'answered' AND next_at <= now() ORDER BY next_at LIMIT 500 $$;
CREATE FUNCTION firm_ids() RETURNS SETOF uuid LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$ SELECT id FROM firm $$;
`;

/** The first schema. Forward only. */
export class FirstSchema1760000000000 implements MigrationInterface {
  readonly name = 'FirstSchema1760000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await runner.query(FUNCTIONS);
    const rows = (await runner.query(`SELECT 1 FROM pg_roles WHERE rolname = 'zakat_app'`)) as unknown[];
    if (rows.length === 0) await runner.query('CREATE ROLE zakat_app NOLOGIN');
    await runner.query('GRANT zakat_app TO CURRENT_USER');
    await runner.query('GRANT USAGE ON SCHEMA public TO zakat_app');
    await runner.query('GRANT SELECT, INSERT, UPDATE, DELETE ON ALL TABLES IN SCHEMA public TO zakat_app');
    await runner.query('GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO zakat_app');
    await runner.query('REVOKE DELETE, UPDATE ON migrations FROM zakat_app');
    for (const table of FIRM_TABLES) {
      await runner.query(`ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY`);
      await runner.query(
        `CREATE POLICY own_firm ON ${table} TO zakat_app USING (firm_id = current_firm()) WITH CHECK (firm_id = current_firm())`,
      );
    }
    await runner.query('ALTER TABLE firm ENABLE ROW LEVEL SECURITY');
    await runner.query(
      'CREATE POLICY own_firm ON firm TO zakat_app USING (id = current_firm()) WITH CHECK (id = current_firm())',
    );
    for (const table of APPEND_ONLY) {
      await runner.query(`REVOKE UPDATE, DELETE, TRUNCATE ON ${table} FROM zakat_app`);
      await runner.query(
        `CREATE TRIGGER append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON ${table} FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`,
      );
    }
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
