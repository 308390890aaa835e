import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Addresses of people who live outside the United States. Blank: inside. */
export class ForeignAddresses1768000000000 implements MigrationInterface {
  readonly name = 'ForeignAddresses1768000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      `ALTER TABLE employee ADD COLUMN country text NOT NULL DEFAULT '', ADD COLUMN province text NOT NULL DEFAULT ''`,
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
