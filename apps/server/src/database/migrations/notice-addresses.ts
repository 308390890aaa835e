import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Where an agency wants its notice answered: the address as it stands on the notice, line by line. */
export class NoticeAddresses1810000000000 implements MigrationInterface {
  readonly name = 'NoticeAddresses1810000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE agency_notice ADD COLUMN reply_to text NOT NULL DEFAULT '' CHECK (length(reply_to) <= 300)`,
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
