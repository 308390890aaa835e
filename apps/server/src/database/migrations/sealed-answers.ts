import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Answers to questions are about people: from here on they are kept sealed. */
export class SealedAnswers1774000000000 implements MigrationInterface {
  readonly name = 'SealedAnswers1774000000000';

  async up(runner: QueryRunner): Promise<void> {
    const open = (await runner.query(`SELECT count(*)::int AS count FROM question WHERE answer <> ''`)) as {
      count: number;
    }[];
    // The key is outside the database, so a migration cannot seal what is there: those answers are asked for again.
    if ((open[0]?.count ?? 0) > 0)
      await runner.query(`UPDATE question SET status = 'asked', answered_by = NULL WHERE status = 'answered'`);
    await runner.query('ALTER TABLE question DROP COLUMN answer, ADD COLUMN answer_cipher bytea');
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
