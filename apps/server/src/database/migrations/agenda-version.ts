import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables, shutTo } from '../row-level-security.js';

/** How often a firm's rungs were worked out: what was read of them stays true until the next time. */
const CHANGES = `
CREATE TABLE agenda_version (firm_id uuid PRIMARY KEY REFERENCES firm, version bigint NOT NULL);
`;

/** The version of a firm's ladder. Forward only. */
export class AgendaVersion1797000000000 implements MigrationInterface {
  readonly name = 'AgendaVersion1797000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
    await secureTables(runner, [{ name: 'agenda_version' }]);
    // Of the firm alone: nobody of a client, and nobody who is paid, has a ladder.
    await shutTo(runner, 'no_client', ['agenda_version']);
    await shutTo(runner, 'no_employee', ['agenda_version']);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
