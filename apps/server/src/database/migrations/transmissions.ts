import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

const CHANGES = `
-- Returns that leave in one file, with its control totals, and the file of acknowledgements that came back.
CREATE TABLE transmission (id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, number int NOT NULL, receiver text NOT NULL, document_id uuid NOT NULL REFERENCES document,
  returns int NOT NULL CHECK (returns > 1), amount bigint NOT NULL, made_at timestamptz NOT NULL, sent_at timestamptz, reference text,
  acknowledgement_id uuid REFERENCES document, acknowledged_at timestamptz, CONSTRAINT transmission_number_unique UNIQUE (firm_id, number));
ALTER TABLE outbox ADD COLUMN transmission_id uuid REFERENCES transmission;
CREATE INDEX outbox_of_transmission ON outbox (transmission_id) WHERE transmission_id IS NOT NULL;
`;

export class Transmissions1806000000000 implements MigrationInterface {
  readonly name = 'Transmissions1806000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'transmission' }]);
    await shutTo(runner, 'no_client', ['transmission']);
    await shutTo(runner, 'no_employee', ['transmission']);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
