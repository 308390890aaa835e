import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const CHANGES = `
ALTER TABLE app_user DROP CONSTRAINT app_user_role_check, ADD CONSTRAINT app_user_role_check CHECK (role IN ('preparer','reviewer','administrator','client-contact','employee')),
  ADD COLUMN employee_id uuid REFERENCES employee, DROP CONSTRAINT app_user_contact_has_client,
  ADD CONSTRAINT app_user_contact_has_client CHECK ((role IN ('client-contact','employee')) = (client_id IS NOT NULL)),
  ADD CONSTRAINT app_user_employee_has_employee CHECK ((role = 'employee') = (employee_id IS NOT NULL)),
  ADD CONSTRAINT app_user_one_per_employee UNIQUE (employee_id);
-- A way in that is used once: whoever has it sets the password. Only its hash is kept.
CREATE TABLE sign_in_link (
  token_hash bytea PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, user_id uuid NOT NULL REFERENCES app_user, expires_at timestamptz NOT NULL, used_at timestamptz, made_by uuid NOT NULL REFERENCES app_user);
CREATE INDEX sign_in_link_by_user ON sign_in_link (user_id);
CREATE FUNCTION sign_in_link_of(hash bytea) RETURNS TABLE (firm_id uuid, user_id uuid, name text, email text, firm_name text) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT l.firm_id, l.user_id, u.name, u.email, f.name FROM sign_in_link l JOIN app_user u ON u.id = l.user_id JOIN firm f ON f.id = l.firm_id WHERE l.token_hash = hash AND l.used_at IS NULL AND l.expires_at > now() AND u.is_active $$;
CREATE FUNCTION current_employee() RETURNS uuid LANGUAGE sql STABLE AS $$ SELECT nullif(current_setting('zakat.employee_id', true), '')::uuid $$;
DROP FUNCTION session_for_token(bytea);
CREATE FUNCTION session_for_token(given bytea) RETURNS TABLE (firm_id uuid, user_id uuid, name text, email text, role text, client_id uuid, employee_id uuid) LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp
  AS $$ SELECT s.firm_id, s.user_id, u.name, u.email, u.role, u.client_id, u.employee_id FROM session s JOIN app_user u ON u.id = s.user_id WHERE s.token_hash = given AND s.expires_at > now() AND u.is_active $$;
`;

/** Where somebody who signs in for themselves sees their own rows. */
const OWN: readonly (readonly [table: string, column: string])[] = [
  ['employee', 'id'],
  ['employee_fact', 'employee_id'],
  ['paycheck', 'employee_id'],
];
/** What they see of everybody's: the firm, their employer, its payrolls by their days, and what signing in needs. */
const OPEN: readonly string[] = [
  'firm',
  'client',
  'payroll',
  'app_user',
  'session',
  'sign_in_link',
  'audit_entry',
  'sign_in_attempt',
];

/** Employees who sign in for themselves: they see their own rows and nothing else, in the database. Forward only. */
export class EmployeeSignIns1791000000000 implements MigrationInterface {
  readonly name = 'EmployeeSignIns1791000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'sign_in_link' }]);
    for (const [table, column] of OWN)
      await runner.query(
        `CREATE POLICY own_employee ON ${table} AS RESTRICTIVE TO zakat_app USING ((SELECT current_employee()) IS NULL OR ${column} = (SELECT current_employee())) WITH CHECK ((SELECT current_employee()) IS NULL OR ${column} = (SELECT current_employee()))`,
      );
    // Every other table is shut to them, also one that nobody thought of.
    const tables = (await runner.query(
      `SELECT c.relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE n.nspname = 'public' AND c.relkind = 'r' AND c.relrowsecurity`,
    )) as { name: string }[];
    const known = new Set([...OPEN, ...OWN.map(([table]) => table)]);
    const others = tables.map(({ name }) => name).filter((name) => !known.has(name));
    await shutTo(runner, 'no_employee', others);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
