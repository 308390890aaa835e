import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
ALTER TABLE direct_deposit ADD COLUMN void_id uuid REFERENCES check_void,
  DROP CONSTRAINT direct_deposit_kind_check, ADD CONSTRAINT direct_deposit_kind_check CHECK (kind IN ('pay','prenotes','reversal')),
  DROP CONSTRAINT direct_deposit_amount, ADD CONSTRAINT direct_deposit_amount CHECK ((kind = 'prenotes') = (amount = 0)),
  ADD CONSTRAINT direct_deposit_of_void CHECK ((kind = 'reversal') = (void_id IS NOT NULL));
-- What a void paid into accounts is taken back once.
CREATE UNIQUE INDEX direct_deposit_reversal_once ON direct_deposit (void_id) WHERE status IN ('planned','released','settled');
`;

/** Files that take the pay of voided checks back from accounts. Forward only. */
export class DepositReversals1795000000000 implements MigrationInterface {
  readonly name = 'DepositReversals1795000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
