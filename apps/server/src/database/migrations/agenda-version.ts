import type { MigrationInterface, QueryRunner } from 'typeorm';
import { secureTables } from '../row-level-security.js';

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
    for (const [policy, whose] of [
      ['no_client', 'current_client()'],
      ['no_employee', 'current_employee()'],
    ] as const)
      await runner.query(
        `CREATE POLICY ${policy} ON agenda_version AS RESTRICTIVE TO zakat_app USING ((SELECT ${whose}) IS NULL) WITH CHECK ((SELECT ${whose}) IS NULL)`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
