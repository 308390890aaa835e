import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- Why the receiver took none of a transmission. Some databases have the column from the migration that made the table.
ALTER TABLE transmission ADD COLUMN IF NOT EXISTS refused_because text;
`;

export class RefusedTransmissions1818000000000 implements MigrationInterface {
  readonly name = 'RefusedTransmissions1818000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
