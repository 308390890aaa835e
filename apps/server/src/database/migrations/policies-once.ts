import type { MigrationInterface, QueryRunner } from 'typeorm';

/**
 * The policies ask who is signed in once for a statement, where they asked for every row: the planner takes a scalar subquery
 * out of the scan. What they allow stays as it was. Forward only.
 */
export class PoliciesOnce1777000000000 implements MigrationInterface {
  readonly name = 'PoliciesOnce1777000000000';

  async up(runner: QueryRunner): Promise<void> {
    const policies = (await runner.query(
      `SELECT policyname AS name, tablename AS "table", qual, with_check AS "check" FROM pg_policies WHERE schemaname = 'public'`,
    )) as { name: string; table: string; qual: string | null; check: string | null }[];
    const once = (condition: string): string =>
      condition.replace(/(?<!SELECT )\b(current_(?:firm|client)\(\))/g, '(SELECT $1)');
    for (const { name, table, qual, check } of policies)
      await runner.query(
        `ALTER POLICY "${name}" ON "${table}"${qual === null ? '' : ` USING (${once(qual)})`}${check === null ? '' : ` WITH CHECK (${once(check)})`}`,
      );
  }

  down(): Promise<void> {
    return Promise.reject(new Error('migrations go forward only'));
  }
}
