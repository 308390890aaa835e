import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

const CHANGES = `
CREATE TABLE agency_notice (
  id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, client_id uuid NOT NULL REFERENCES client, agency text NOT NULL, number text NOT NULL,
  kind text NOT NULL CHECK (kind IN ('balance-due','penalty','return-missing','rate','information','other')), dated_on date NOT NULL, respond_by date, period text NOT NULL, amount bigint,
  says text NOT NULL, filing_id uuid REFERENCES filing, status text NOT NULL DEFAULT 'open' CHECK (status IN ('open','answered','closed')), version int NOT NULL DEFAULT 1,
  answer text NOT NULL DEFAULT '', answered_on date, ended text NOT NULL DEFAULT '', prepared_by uuid NOT NULL REFERENCES app_user, created_at timestamptz NOT NULL,
  -- One letter is one notice, whoever reads it in.
  CONSTRAINT agency_notice_once UNIQUE (client_id, agency, number, dated_on, period));
CREATE INDEX agency_notice_open ON agency_notice (client_id) WHERE status <> 'closed';
`;

/** Letters of the agencies, followed until they are closed. Forward only. */
export class AgencyNotices1782000000000 implements MigrationInterface {
  readonly name = 'AgencyNotices1782000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'agency_notice', isOfClients: true }]);
    for (const event of ['INSERT', 'UPDATE'])
      await runner.query(
        `CREATE TRIGGER agenda_${event.toLowerCase()} AFTER ${event} ON agency_notice REFERENCING NEW TABLE AS changed FOR EACH STATEMENT EXECUTE FUNCTION agenda_touch()`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
