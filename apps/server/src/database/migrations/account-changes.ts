import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const TABLES = `
-- What a bank says of an account that an entry named not quite right: the entry arrived, the next one is to say it.
CREATE TABLE account_change (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, employee_id uuid NOT NULL REFERENCES employee, direct_deposit_id uuid NOT NULL REFERENCES direct_deposit, trace text NOT NULL,
  label text NOT NULL, account_tail text NOT NULL, code text NOT NULL, message text NOT NULL, data_cipher bytea NOT NULL, received_on date NOT NULL, decided_on date,
  status text NOT NULL DEFAULT 'open' CHECK (status IN ('open','applied','declined')), version int NOT NULL DEFAULT 1, prepared_by uuid REFERENCES app_user, reason text, created_at timestamptz NOT NULL,
  CONSTRAINT account_change_once UNIQUE (direct_deposit_id, trace));
-- A bank says it again with every payday until it is heard.
CREATE UNIQUE INDEX account_change_open_once ON account_change (employee_id, label, account_tail, code) WHERE status = 'open';
CREATE INDEX account_change_by_client ON account_change (client_id, status);
`;

/** Notifications of change for the accounts of people. Forward only. */
export class AccountChanges1794000000000 implements MigrationInterface {
  readonly name = 'AccountChanges1794000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [{ name: 'account_change', isOfClients: true }]);
    await shutTo(runner, 'no_employee', ['account_change']);
    for (const event of ['INSERT', 'UPDATE'])
      await runner.query(
        `CREATE TRIGGER agenda_${event.toLowerCase()} AFTER ${event} ON account_change REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION agenda_touch()`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
