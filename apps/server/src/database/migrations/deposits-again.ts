import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- What came back of a file of pay may be sent again, to the account that the person has now: in a file of its own.
ALTER TABLE direct_deposit ADD COLUMN again_of uuid REFERENCES direct_deposit, ADD CONSTRAINT direct_deposit_again CHECK (again_of IS NULL OR kind = 'pay');
DROP INDEX direct_deposit_once;
CREATE UNIQUE INDEX direct_deposit_once ON direct_deposit (payroll_id) WHERE status IN ('planned','released','settled') AND again_of IS NULL;
CREATE UNIQUE INDEX direct_deposit_again_once ON direct_deposit (again_of) WHERE status = 'planned';
`;

export class DepositsAgain1814000000000 implements MigrationInterface {
  readonly name = 'DepositsAgain1814000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
