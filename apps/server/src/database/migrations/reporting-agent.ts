import type { MigrationInterface, QueryRunner } from 'typeorm';

/** The five digits with which the firm signs as reporting agent (Form 8655), sealed; and which returns it signed so. */
export class ReportingAgent1805000000000 implements MigrationInterface {
  readonly name = 'ReportingAgent1805000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE firm ADD COLUMN agent_pin_cipher bytea');
    await runner.query(`ALTER TABLE filing ADD COLUMN agent_signer text CHECK (agent_signer <> '')`);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
