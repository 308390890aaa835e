import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const TABLES = `
-- Where a payee of garnishments takes what is sent to it, once for the firm.
CREATE TABLE garnishment_payee (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, name text NOT NULL, routing text NOT NULL, account_cipher bytea NOT NULL, account_tail text NOT NULL, version int NOT NULL DEFAULT 1,
  CONSTRAINT garnishment_payee_once UNIQUE (firm_id, name));
CREATE TABLE garnishment_payment (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, payee text NOT NULL, reference text NOT NULL UNIQUE, bank_account_id uuid NOT NULL REFERENCES bank_account,
  amount bigint NOT NULL CHECK (amount > 0), due date NOT NULL, settles date NOT NULL, status text NOT NULL DEFAULT 'planned', version int NOT NULL DEFAULT 1, prepared_by uuid NOT NULL REFERENCES app_user, released_by uuid REFERENCES app_user,
  document_id uuid REFERENCES document, confirmation text, returned_reason text, paid_elsewhere_on date, created_at timestamptz NOT NULL);
CREATE INDEX garnishment_payment_by_client ON garnishment_payment (client_id, created_at);
CREATE TABLE garnishment_payment_item (
  payment_id uuid NOT NULL REFERENCES garnishment_payment, position int NOT NULL, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, paycheck_id uuid NOT NULL REFERENCES paycheck, label text NOT NULL,
  amount bigint NOT NULL CHECK (amount > 0), is_live boolean NOT NULL, PRIMARY KEY (payment_id, position));
-- What one check withheld for one order is paid once.
CREATE UNIQUE INDEX garnishment_payment_item_once ON garnishment_payment_item (paycheck_id, label) WHERE is_live;
ALTER TABLE outbox DROP CONSTRAINT outbox_kind_check, ADD CONSTRAINT outbox_kind_check CHECK (kind IN ('ach-file','pay-file','collection-file','garnishment-file','filing'));
`;

/** Payments of what was withheld by order, to its payees. Forward only. */
export class GarnishmentPayments1792000000000 implements MigrationInterface {
  readonly name = 'GarnishmentPayments1792000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [
      { name: 'garnishment_payee' },
      { name: 'garnishment_payment', isOfClients: true },
      { name: 'garnishment_payment_item', isOfClients: true },
    ]);
    await shutTo(runner, 'no_employee', ['garnishment_payee', 'garnishment_payment', 'garnishment_payment_item']);
    for (const event of ['INSERT', 'UPDATE'])
      await runner.query(
        `CREATE TRIGGER agenda_${event.toLowerCase()} AFTER ${event} ON garnishment_payment REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION agenda_touch()`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
