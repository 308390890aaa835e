import type { QueryRunner } from 'typeorm';

/** How the application may use a table. */
export interface TableUse {
  readonly name: string;
  /** Rows are added and never changed; the database itself refuses anything else. */
  readonly isAppendOnly?: true;
  /** Rows may be taken away again. */
  readonly mayDelete?: true;
  /** Rows name a client: somebody who signs in for a client sees those of that client only. */
  readonly isOfClients?: true;
}

/** Confines tables to the firm that is signed in, and where they name a client, to it: in the database, not only in code. */
export async function secureTables(runner: QueryRunner, tables: readonly TableUse[]): Promise<void> {
  for (const { name, isAppendOnly, mayDelete, isOfClients } of tables) {
    const rights = ['SELECT', 'INSERT', ...(isAppendOnly ? [] : ['UPDATE']), ...(mayDelete ? ['DELETE'] : [])];
    await runner.query(`GRANT ${rights.join(', ')} ON ${name} TO zakat_app`);
    await runner.query(`ALTER TABLE ${name} ENABLE ROW LEVEL SECURITY`);
    await runner.query(
      `CREATE POLICY own_firm ON ${name} TO zakat_app USING (firm_id = (SELECT current_firm())) WITH CHECK (firm_id = (SELECT current_firm()))`,
    );
    if (isOfClients)
      await runner.query(
        `CREATE POLICY own_client ON ${name} AS RESTRICTIVE TO zakat_app USING ((SELECT current_client()) IS NULL OR client_id = (SELECT current_client())) WITH CHECK ((SELECT current_client()) IS NULL OR client_id = (SELECT current_client()))`,
      );
    if (isAppendOnly)
      await runner.query(
        `CREATE TRIGGER append_only BEFORE UPDATE OR DELETE OR TRUNCATE ON ${name} FOR EACH STATEMENT EXECUTE FUNCTION refuse_change()`,
      );
  }
  await runner.query('GRANT USAGE ON ALL SEQUENCES IN SCHEMA public TO zakat_app');
}

const WHOSE = { no_client: 'current_client()', no_employee: 'current_employee()' } as const;

/** Shuts a table to those who sign in for a client, or for themselves: every table made since they can is shut to employees. */
export async function shutTo(
  runner: QueryRunner,
  policy: keyof typeof WHOSE,
  tables: readonly string[],
): Promise<void> {
  const isNobody = `(SELECT ${WHOSE[policy]}) IS NULL`;
  for (const name of tables)
    await runner.query(
      `CREATE POLICY ${policy} ON ${name} AS RESTRICTIVE TO zakat_app USING (${isNobody}) WITH CHECK (${isNobody})`,
    );
}
