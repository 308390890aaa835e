import type { MigrationInterface, QueryRunner } from 'typeorm';

/** How far long work has come, by what it is about. Written beside the work's own transaction, so that it can be seen. */
export class WorkProgress1767000000000 implements MigrationInterface {
  readonly name = 'WorkProgress1767000000000';

  async up(runner: QueryRunner): Promise<void> {
    await runner.query(
      'CREATE TABLE work_progress (subject_id uuid PRIMARY KEY, firm_id uuid NOT NULL REFERENCES firm, done int NOT NULL, total int NOT NULL CHECK (done BETWEEN 0 AND total))',
    );
    await runner.query('GRANT SELECT, INSERT, UPDATE, DELETE ON work_progress TO zakat_app');
    await runner.query('ALTER TABLE work_progress ENABLE ROW LEVEL SECURITY');
    await runner.query(
      'CREATE POLICY own_firm ON work_progress TO zakat_app USING (firm_id = current_firm()) WITH CHECK (firm_id = current_firm())',
    );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
