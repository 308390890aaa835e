import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- How many paychecks a payroll has: a page of a register is found by it, without counting the checks of the year.
ALTER TABLE payroll ADD COLUMN paychecks int NOT NULL DEFAULT 0 CHECK (paychecks >= 0);
UPDATE payroll p SET paychecks = c.count FROM (SELECT payroll_id, count(*) AS count FROM paycheck GROUP BY payroll_id) c WHERE c.payroll_id = p.id;
CREATE FUNCTION count_paychecks() RETURNS trigger LANGUAGE plpgsql AS $$ BEGIN
  UPDATE payroll p SET paychecks = p.paychecks + c.count FROM (SELECT payroll_id, count(*) AS count FROM added GROUP BY payroll_id) c WHERE c.payroll_id = p.id;
  RETURN NULL;
END $$;
CREATE TRIGGER counted AFTER INSERT ON paycheck REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION count_paychecks();
`;

export class PayrollSizes1809000000000 implements MigrationInterface {
  readonly name = 'PayrollSizes1809000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
