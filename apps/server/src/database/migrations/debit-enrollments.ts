import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const TABLES = `
ALTER TABLE agency_payee DROP CONSTRAINT agency_payee_method_check,
  ADD CONSTRAINT agency_payee_method_check CHECK (method IN ('ach-credit', 'agency-debit', 'elsewhere')),
  -- The number under which the agency takes debit instructions from the firm.
  ADD COLUMN filer_number text NOT NULL DEFAULT '';
-- That a client has asked an agency to take payments from an account, and what came of it.
CREATE TABLE debit_enrollment (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, agency text NOT NULL, bank_account_id uuid NOT NULL REFERENCES bank_account,
  status text NOT NULL DEFAULT 'asked' CHECK (status IN ('asked','enrolled','refused','ended')), version int NOT NULL DEFAULT 1, prepared_by uuid NOT NULL REFERENCES app_user,
  asked_on date NOT NULL, answered_on date, ended_on date, pin_cipher bytea, reason text, created_at timestamptz NOT NULL,
  CONSTRAINT debit_enrollment_has_pin CHECK ((status = 'enrolled') <= (pin_cipher IS NOT NULL)));
CREATE UNIQUE INDEX debit_enrollment_once ON debit_enrollment (client_id, agency) WHERE status IN ('asked', 'enrolled');
ALTER TABLE outbox DROP CONSTRAINT outbox_kind_check, ADD CONSTRAINT outbox_kind_check CHECK (kind IN ('ach-file','debit-file','pay-file','collection-file','garnishment-file','filing'));
`;

/** Payments that an agency takes from a client's account itself. Forward only. */
export class DebitEnrollments1793000000000 implements MigrationInterface {
  readonly name = 'DebitEnrollments1793000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(TABLES);
    await secureTables(runner, [{ name: 'debit_enrollment', isOfClients: true }]);
    await shutTo(runner, 'no_employee', ['debit_enrollment']);
    for (const event of ['INSERT', 'UPDATE'])
      await runner.query(
        `CREATE TRIGGER agenda_${event.toLowerCase()} AFTER ${event} ON debit_enrollment REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION agenda_touch()`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
