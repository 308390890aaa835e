import type { MigrationInterface, QueryRunner } from 'typeorm';

const CHANGES = `
-- What a return asks in words, and what was answered; a correction of an accepted filing asks most.
ALTER TABLE filing ADD COLUMN answers jsonb NOT NULL DEFAULT '{}';
`;

/** Answers on a return. Forward only. */
export class FilingAnswers1783000000000 implements MigrationInterface {
  readonly name = 'FilingAnswers1783000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(CHANGES);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
