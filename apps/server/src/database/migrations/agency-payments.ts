import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How each agency is paid, kept by the firm; and payments that were made elsewhere. */
export class AgencyPayments1773000000000 implements MigrationInterface {
  readonly name = 'AgencyPayments1773000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
ALTER TABLE agency_payee
  ADD COLUMN method text NOT NULL DEFAULT 'ach-credit' CHECK (method IN ('ach-credit', 'elsewhere')),
  ADD COLUMN identification text NOT NULL DEFAULT 'account' CHECK (identification IN ('account', 'ein')),
  ADD COLUMN tax_types jsonb NOT NULL DEFAULT '{}',
  ADD COLUMN version int NOT NULL DEFAULT 1;
UPDATE agency_payee SET identification = 'ein' WHERE agency = 'IRS';
-- The day on which a payment was made elsewhere; null for one that leaves from here.
ALTER TABLE remittance ADD COLUMN paid_elsewhere_on date;
-- Who sends a return names itself by its electronic filing identification number.
ALTER TABLE firm ADD COLUMN efin text NOT NULL DEFAULT '';`);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
