import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Tables that name a client: somebody who signs in for a client sees only that client's rows of them. */
const TABLES_OF_CLIENTS = [
  'tax_account',
  'bank_account',
  'employee',
  'payroll',
  'paycheck',
  'paycheck_tax',
  'document',
  'remittance',
  'remittance_item',
  'ledger_entry',
  'journal_entry',
  'filing',
  'client_fact',
  'proof_check',
  'gap_pass',
  'question',
  'people_import',
  'column_mapping',
  'new_hire_report',
  'take_over',
];

const CHANGES = `
ALTER TABLE app_user DROP CONSTRAINT app_user_role_check, ADD CONSTRAINT app_user_role_check CHECK (role IN ('preparer','reviewer','administrator','client-contact')),
  ADD COLUMN client_id uuid REFERENCES client, ADD CONSTRAINT app_user_contact_has_client CHECK ((role = 'client-contact') = (client_id IS NOT NULL));
CREATE FUNCTION current_client() RETURNS uuid LANGUAGE sql STABLE AS $$ SELECT nullif(current_setting('zakat.client_id', true), '')::uuid $$;
DROP FUNCTION session_for_token(bytea);
CREATE FUNCTION session_for_token(given bytea) RETURNS TABLE (firm_id uuid, user_id uuid, name text, email text, role text, client_id uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT s.firm_id, s.user_id, u.name, u.email, u.role, u.client_id FROM session s JOIN app_user u ON u.id = s.user_id WHERE s.token_hash = given AND s.expires_at > now() AND u.is_active $$;
`;

/** People of a client who sign in to answer questions and to see what is filed and paid. Forward only. */
export class ClientContacts1766000000000 implements MigrationInterface {
  readonly name = 'ClientContacts1766000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    for (const table of TABLES_OF_CLIENTS)
      await runner.query(
        `CREATE POLICY own_client ON ${table} AS RESTRICTIVE TO zakat_app USING (current_client() IS NULL OR client_id = current_client()) WITH CHECK (current_client() IS NULL OR client_id = current_client())`,
      );
    await runner.query(
      'CREATE POLICY own_client ON client AS RESTRICTIVE TO zakat_app USING (current_client() IS NULL OR id = current_client()) WITH CHECK (current_client() IS NULL)',
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
