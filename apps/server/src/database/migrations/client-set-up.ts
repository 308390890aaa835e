import type { MigrationInterface, QueryRunner } from 'typeorm';

const FIRM_TABLES = [
  'client_fact',
  'proof_check',
  'gap_pass',
  'question',
  'people_import',
  'column_mapping',
  'new_hire_report',
];
const APPEND_ONLY = ['client_fact', 'gap_pass', 'new_hire_report'];

const CHANGES = `
CREATE EXTENSION IF NOT EXISTS pg_trgm;
ALTER TABLE firm ADD COLUMN version int NOT NULL DEFAULT 1;
ALTER TABLE app_user ADD COLUMN is_active boolean NOT NULL DEFAULT true, ADD COLUMN totp_cipher bytea, ADD COLUMN totp_offer_cipher bytea, ADD COLUMN totp_last_step bigint NOT NULL DEFAULT 0;
ALTER TABLE tax_account ADD COLUMN is_applied boolean NOT NULL DEFAULT false, ADD COLUMN is_as_printed boolean NOT NULL DEFAULT false, ADD COLUMN deposit_frequency text NOT NULL DEFAULT '',
  ADD CONSTRAINT tax_account_applied_has_no_number CHECK (NOT is_applied OR account_number = '');
ALTER TABLE employee ALTER COLUMN hired_on DROP NOT NULL, DROP CONSTRAINT employee_kind_check,
  ADD CONSTRAINT employee_kind_check CHECK (kind IN ('employee','partner','contractor')),
  ADD COLUMN import_id uuid, ADD COLUMN is_withdrawn boolean NOT NULL DEFAULT false,
  DROP CONSTRAINT employee_number_unique, DROP CONSTRAINT employee_ssn_unique;
CREATE UNIQUE INDEX employee_number_unique ON employee (client_id, number) WHERE NOT is_withdrawn;
CREATE UNIQUE INDEX employee_ssn_unique ON employee (client_id, ssn_mark) WHERE NOT is_withdrawn;
CREATE INDEX employee_by_import ON employee (import_id) WHERE import_id IS NOT NULL;
CREATE INDEX employee_by_name ON employee USING gin (lower(first_name || ' ' || last_name || ' ' || number) gin_trgm_ops);
CREATE INDEX client_by_name ON client USING gin (lower(legal_name || ' ' || trade_name || ' ' || key) gin_trgm_ops);
ALTER TABLE employee_fact DROP CONSTRAINT employee_fact_kind_check;
CREATE TABLE client_fact (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid REFERENCES client,
  kind text NOT NULL, effective_from date NOT NULL, value jsonb NOT NULL, recorded_by uuid NOT NULL REFERENCES app_user, recorded_at timestamptz NOT NULL);
CREATE INDEX client_fact_by_client ON client_fact (client_id, kind, effective_from DESC, id DESC);
CREATE TABLE proof_check (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid NOT NULL REFERENCES employee, name text NOT NULL,
  check_date date NOT NULL, entry jsonb NOT NULL, base jsonb NOT NULL, expected jsonb NOT NULL, agreed_by uuid NOT NULL REFERENCES app_user, agreed_at timestamptz NOT NULL, is_withdrawn boolean NOT NULL DEFAULT false,
  version int NOT NULL DEFAULT 1);
CREATE TABLE gap_pass (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid REFERENCES employee, gap_key text NOT NULL, reason text NOT NULL,
  passed_by uuid NOT NULL REFERENCES app_user, passed_at timestamptz NOT NULL);
CREATE TABLE question (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid REFERENCES employee, gap_key text NOT NULL, field text NOT NULL, asks text NOT NULL,
  status text NOT NULL DEFAULT 'asked' CHECK (status IN ('asked','answered','accepted','withdrawn')), answer text NOT NULL DEFAULT '', asked_on date NOT NULL, chase_on date NOT NULL, version int NOT NULL DEFAULT 1,
  asked_by uuid NOT NULL REFERENCES app_user, answered_by uuid REFERENCES app_user, accepted_by uuid REFERENCES app_user);
CREATE UNIQUE INDEX question_open_unique ON question (client_id, coalesce(employee_id, '00000000-0000-0000-0000-000000000000'), gap_key) WHERE status IN ('asked','answered');
CREATE TABLE people_import (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, file_name text NOT NULL, table_cipher bytea, headings jsonb NOT NULL, mapping jsonb NOT NULL,
  status text NOT NULL DEFAULT 'previewed' CHECK (status IN ('previewed','accepted','undone','discarded')), people int NOT NULL DEFAULT 0, version int NOT NULL DEFAULT 1,
  created_by uuid NOT NULL REFERENCES app_user, created_at timestamptz NOT NULL);
CREATE INDEX people_import_by_client ON people_import (client_id, created_at DESC);
CREATE TABLE column_mapping (firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, headings text NOT NULL, mapping jsonb NOT NULL, PRIMARY KEY (client_id, headings));
CREATE TABLE new_hire_report (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid NOT NULL REFERENCES employee CONSTRAINT new_hire_report_once UNIQUE, state text NOT NULL,
  hired_on date NOT NULL, reported_on date NOT NULL, reported_by uuid NOT NULL REFERENCES app_user, document_id uuid NOT NULL REFERENCES document);
CREATE OR REPLACE FUNCTION session_for_token(given bytea) RETURNS TABLE (firm_id uuid, user_id uuid, name text, email text, role text) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT s.firm_id, s.user_id, u.name, u.email, u.role FROM session s JOIN app_user u ON u.id = s.user_id WHERE s.token_hash = given AND s.expires_at > now() AND u.is_active $$;
-- Row-level security keeps LIKE from using the trigram index; this search confines itself to the firm instead.
CREATE FUNCTION search_people(patterns text[], longest text, most int) RETURNS TABLE (id uuid, label text, client text, number text) LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ BEGIN RETURN QUERY EXECUTE
    'SELECT e.id, e.first_name || '' '' || e.last_name, c.legal_name, e.number FROM employee e JOIN client c ON c.id = e.client_id
      WHERE e.firm_id = current_firm() AND NOT e.is_withdrawn AND lower(e.first_name || '' '' || e.last_name || '' '' || e.number) LIKE $1
        AND lower(e.first_name || '' '' || e.last_name || '' '' || e.number) LIKE ALL ($2) LIMIT $3' USING longest, patterns, most; END $$;
DROP FUNCTION user_for_sign_in(text);
CREATE FUNCTION user_for_sign_in(given text) RETURNS TABLE (id uuid, firm_id uuid, password_hash text, totp_cipher bytea, totp_last_step bigint) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT id, firm_id, password_hash, totp_cipher, totp_last_step FROM app_user WHERE email = lower(given) AND is_active $$;
`;

/** What setting up clients and their people needs: facts about clients, proof sets, questions, imports, a second factor. Forward only. */
export class ClientSetUp1764000000000 implements MigrationInterface {
  readonly name = 'ClientSetUp1764000000000';

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
