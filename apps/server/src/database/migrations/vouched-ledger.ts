import type { MigrationInterface, QueryRunner } from 'typeorm';

/** What a ledger entry names besides its tax: looked up for each entry it took a third of what posting a large payroll took. */
const NAMED = ['firm_id', 'client_id', 'employee_id', 'payroll_id', 'posted_by'];
const CHANGES = `
-- Looked up once for a statement instead, and more strictly: the person and the payroll are of the client, and it of the firm.
CREATE FUNCTION vouch_for_entries() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  IF EXISTS (
    SELECT 1 FROM (SELECT DISTINCT firm_id, client_id, payroll_id, posted_by FROM added) a
      LEFT JOIN client c ON c.id = a.client_id AND c.firm_id = a.firm_id
      LEFT JOIN payroll p ON p.id = a.payroll_id AND p.client_id = a.client_id
      LEFT JOIN app_user u ON u.id = a.posted_by
      WHERE c.id IS NULL OR a.payroll_id IS NOT NULL AND p.id IS NULL OR a.posted_by IS NOT NULL AND u.id IS NULL)
    OR EXISTS (
    SELECT 1 FROM (SELECT DISTINCT client_id, employee_id FROM added WHERE employee_id IS NOT NULL) a
      LEFT JOIN employee e ON e.id = a.employee_id AND e.client_id = a.client_id WHERE e.id IS NULL)
  THEN RAISE EXCEPTION 'a ledger entry names something that is not of its client' USING ERRCODE = 'foreign_key_violation', CONSTRAINT = 'ledger_entry_vouched';
  END IF; RETURN NULL; END $$;
CREATE TRIGGER vouched AFTER INSERT ON ledger_entry REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION vouch_for_entries();
-- The taxes of paychecks likewise: of a paycheck that there is, and of its firm, client and person.
ALTER TABLE paycheck_tax DROP CONSTRAINT paycheck_tax_paycheck_id_fkey;
CREATE FUNCTION vouch_for_taxes() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  IF EXISTS (
    SELECT 1 FROM (SELECT DISTINCT paycheck_id, firm_id, client_id, employee_id FROM added) a
      LEFT JOIN paycheck c ON c.id = a.paycheck_id AND c.firm_id = a.firm_id AND c.client_id = a.client_id AND c.employee_id = a.employee_id
      WHERE c.id IS NULL)
  THEN RAISE EXCEPTION 'a tax is of no paycheck of its person' USING ERRCODE = 'foreign_key_violation', CONSTRAINT = 'paycheck_tax_vouched';
  END IF; RETURN NULL; END $$;
CREATE TRIGGER vouched AFTER INSERT ON paycheck_tax REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION vouch_for_taxes();
-- The lines and facts of a check are long: packed by the faster way.
ALTER TABLE paycheck ALTER COLUMN lines SET COMPRESSION lz4, ALTER COLUMN facts SET COMPRESSION lz4;
`;

export class VouchedLedger1816000000000 implements MigrationInterface {
  readonly name = 'VouchedLedger1816000000000';

  async up(runner: QueryRunner): Promise<void> {
    for (const column of NAMED)
      await runner.query(`ALTER TABLE ledger_entry DROP CONSTRAINT ledger_entry_${column}_fkey`);
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
