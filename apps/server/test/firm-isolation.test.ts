import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { PreparedClient, nameOf } from '../src/database/prepared-client.js';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let alder: Caller;
let birch: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let payrollId: string;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  await stack.addFirm('Birch');
  await stack.addFirm('Cedar');
  alder = await stack.signIn('Alder', 'preparer');
  birch = await stack.signIn('Birch', 'administrator');
  client = await takeOn(alder, 'YARD');
  payrollId = await postPayroll(alder, client.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('another firm', () => {
  it('sees no client, and none of its pages', async () => {
    expect((await birch('GET', '/clients')).body).toEqual({ rows: [], total: 0 });
    expect((await birch('GET', '/ladder')).body).toEqual({ rungs: [], count: 0, out: 0, days: [], waiting: 0 });
    const paths = [
      `/clients/${client.id}`,
      `/clients/${client.id}/employees`,
      `/clients/${client.id}/payrolls`,
      `/clients/${client.id}/deposits`,
      `/clients/${client.id}/tie-out?year=2026`,
      `/clients/${client.id}/ledger?year=2026&group=all`,
      `/employees/${client.employeeIds[0] ?? ''}`,
      `/employees/${client.employeeIds[0] ?? ''}/crossings`,
      `/clients/${client.id}/readiness`,
      `/clients/${client.id}/questions`,
      `/clients/${client.id}/proofs`,
      `/clients/${client.id}/people-files`,
      `/clients/${client.id}/new-hires`,
      `/clients/${client.id}/people.csv`,
      `/clients/${client.id}/letter.pdf`,
      `/clients/${client.id}/check-sample.pdf?layout=top`,
      `/clients/${client.id}/job-costs?year=2026`,
      `/payrolls/${payrollId}`,
    ];
    for (const path of paths) expect([path, (await birch('GET', path)).status]).toEqual([path, 404]);
  });
  it('changes nothing by knowing an identifier', async () => {
    expect((await birch('POST', `/payrolls/${payrollId}/reopen`, { version: 3 })).status).toBe(404);
    expect((await birch('POST', `/employees/${client.employeeIds[0] ?? ''}/number`)).status).toBe(404);
    expect((await birch('POST', `/clients/${client.id}/filings`, { kind: 'us-941', period: '2026-Q4' })).status).toBe(
      404,
    );
  });
  it('may use the same client key', async () => expect((await takeOn(birch, 'YARD', 0)).id).not.toBe(client.id));
});

describe('the database itself', () => {
  const asApp = async <T>(firmId: string | null, sql: string): Promise<T> => {
    const runner = stack.dataSource.createQueryRunner();
    await runner.connect();
    try {
      await runner.startTransaction();
      await runner.query('SET LOCAL ROLE zakat_app');
      if (firmId) await runner.query(`SELECT set_config('zakat.firm_id', $1, true)`, [firmId]);
      return (await runner.query(sql)) as T;
    } finally {
      await runner.rollbackTransaction();
      await runner.release();
    }
  };
  const firmOf = async (name: string): Promise<string> =>
    ((await stack.dataSource.query('SELECT id FROM firm WHERE name = $1', [name])) as { id: string }[])[0]?.id ?? '';

  it('shows no row of any firm table without a firm', async () => {
    const tables = (await stack.dataSource.query(
      `SELECT table_name AS name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'firm_id'`,
    )) as { name: string }[];
    expect(tables.length).toBeGreaterThan(20);
    for (const { name } of tables) expect([name, await asApp(null, `SELECT * FROM ${name}`)]).toEqual([name, []]);
  });
  it('looks at the firm each time a kept plan is carried out, and plans anew for another role', async () => {
    const one = new PreparedClient(stack.config.databaseUrl);
    await one.connect();
    const text = 'SELECT key FROM client WHERE key = $1';
    const [own, other] = [await firmOf('Alder'), await firmOf('Cedar')];
    const keysOf = async (firmId: string | null): Promise<string[]> => {
      await one.query('BEGIN');
      if (firmId) {
        await one.query('SET LOCAL ROLE zakat_app');
        await one.query(`SELECT set_config('zakat.firm_id', $1, true)`, [firmId]);
      }
      const { rows } = (await one.query(text, ['YARD'])) as { rows: { key: string }[] };
      await one.query('COMMIT');
      return rows.map(({ key }) => key);
    };
    try {
      // More often than the database makes a plan for the values at hand.
      for (let time = 0; time < 8; time += 1) expect(await keysOf(own)).toEqual(['YARD']);
      for (let time = 0; time < 8; time += 1) expect(await keysOf(other)).toEqual([]);
      expect((await keysOf(null)).length).toBeGreaterThan(0);
      expect(await keysOf(other)).toEqual([]);
      const kept = await one.query('SELECT count(*)::int AS count FROM pg_prepared_statements WHERE statement = $1', [
        text,
      ]);
      expect((kept as { rows: { count: number }[] }).rows[0]?.count).toBe(1);
    } finally {
      await one.end();
    }
  });
  it('keeps a plan for what comes again, and none for what comes once or is too long', () => {
    const once = `SELECT $1::int AS asked_once`;
    expect([nameOf(once), nameOf(`${once}_more`)]).toEqual([null, null]);
    expect(nameOf(once)).toMatch(/^z\d+$/);
    expect(nameOf(once)).toBe(nameOf(once));
    const long = `SELECT $1::int ${' '.repeat(20_000)}`;
    expect([nameOf(long), nameOf(long)]).toEqual([null, null]);
  });
  it('does not let a row be written for another firm', async () => {
    const other = await firmOf('Birch');
    await expect(
      asApp(
        await firmOf('Alder'),
        `INSERT INTO document (id, firm_id, client_id, kind, name, media_type, content, sha256, created_at) VALUES (gen_random_uuid(), '${other}', '${client.id}', 'x', 'x', 'x', '', '', now())`,
      ),
    ).rejects.toThrow(/row-level security/);
  });
  it('every table with a firm has row-level security', async () => {
    const open = (await stack.dataSource.query(
      `SELECT c.relname FROM pg_class c JOIN information_schema.columns i ON i.table_name = c.relname AND i.column_name = 'firm_id' WHERE i.table_schema = 'public' AND c.relkind = 'r' AND NOT c.relrowsecurity`,
    )) as unknown[];
    expect(open).toEqual([]);
  });
  it.each(['ledger_entry', 'journal_line', 'paycheck', 'paycheck_tax', 'audit_entry', 'document', 'employee_fact'])(
    '%s can be neither changed nor emptied, not even by its owner',
    async (table) => {
      await expect(asApp(await firmOf('Alder'), `UPDATE ${table} SET firm_id = firm_id`)).rejects.toThrow(
        /permission denied/,
      );
      await expect(stack.dataSource.query(`UPDATE ${table} SET firm_id = firm_id`)).rejects.toThrow(/append-only/);
      await expect(stack.dataSource.query(`DELETE FROM ${table}`)).rejects.toThrow(/append-only/);
      await expect(stack.dataSource.query(`TRUNCATE ${table} CASCADE`)).rejects.toThrow(/append-only/);
    },
  );
  it('refuses a ledger entry, or a tax, that names what is not of its client, whole statement and all', async () => {
    const other = await takeOn(alder, 'OTHER', 1);
    const stranger = await takeOn(birch, 'STRANGE', 1);
    const copy = (change: string, values: unknown[]): Promise<unknown> =>
      stack.dataSource.query(
        `INSERT INTO ledger_entry (firm_id, client_id, employee_id, payroll_id, cause, tax, agency, subject, wages, amount, liability_date, effective_date, posted_by, posted_at)
         SELECT ${['firm_id', 'client_id', 'employee_id', 'payroll_id']
           .map((column) => (column === change ? '$2::uuid' : column))
           .join(
             ', ',
           )}, cause, tax, agency, subject, wages, amount, liability_date + 1, effective_date, posted_by, posted_at
         FROM ledger_entry WHERE client_id = $1 AND employee_id IS NOT NULL LIMIT 1`,
        values,
      );
    const count = async (): Promise<unknown> => stack.dataSource.query('SELECT count(*) FROM ledger_entry');
    const before = await count();
    for (const [change, value] of [
      ['client_id', other.id],
      ['client_id', stranger.id],
      ['employee_id', other.employeeIds[0]],
      ['employee_id', '00000000-0000-4000-8000-000000000000'],
      ['payroll_id', '00000000-0000-4000-8000-000000000000'],
    ] as const)
      await expect(copy(change, [client.id, value])).rejects.toThrow(/not of its client/);
    await expect(
      stack.dataSource.query(
        `INSERT INTO paycheck_tax (paycheck_id, firm_id, client_id, employee_id, check_date, tax, payer, base, subject, wages, amount)
         SELECT paycheck_id, firm_id, client_id, $2, check_date, 'NJ-SIT', payer, base, subject, wages, amount FROM paycheck_tax WHERE client_id = $1 LIMIT 1`,
        [client.id, other.employeeIds[0]],
      ),
    ).rejects.toThrow(/no paycheck of its person/);
    expect(await count()).toEqual(before);
  });
  it('refuses a journal entry that does not balance', async () => {
    const firmId = await firmOf('Alder');
    await expect(
      stack.dataSource.transaction(async (manager) => {
        const [{ id }] = (await manager.query(
          `INSERT INTO journal_entry (id, firm_id, client_id, day, memo) VALUES (gen_random_uuid(), $1, $2, '2026-10-30', 'by hand') RETURNING id`,
          [firmId, client.id],
        )) as [{ id: string }];
        await manager.query(
          `INSERT INTO journal_line (journal_entry_id, firm_id, position, account, detail, amount) VALUES ($1, $2, 0, 'cash', '', 100)`,
          [id, firmId],
        );
      }),
    ).rejects.toThrow(/does not balance/);
  });
  it('keeps no social security or account number in the clear', async () => {
    const people = (await stack.dataSource.query('SELECT row_to_json(e)::text AS row FROM employee e')) as {
      row: string;
    }[];
    const banks = (await stack.dataSource.query('SELECT row_to_json(b)::text AS row FROM bank_account b')) as {
      row: string;
    }[];
    for (const { row } of [...people, ...banks]) expect(row).not.toMatch(/899123401|899123402|5500012345/);
  });
});

describe('the trail', () => {
  it('is a chain that holds, and breaks where the past is touched', async () => {
    const { Audit } = await import('../src/modules/audit/audit.js');
    const { Clock } = await import('../src/modules/clock/clock.js');
    const { FirmDatabase } = await import('../src/database/firm-database.js');
    const audit = new Audit(new Clock(stack.config, stack.dataSource));
    const database = new FirmDatabase(stack.dataSource);
    const rows = (await stack.dataSource.query(`SELECT id FROM firm WHERE name = 'Alder'`)) as { id: string }[];
    const firmId = rows[0]?.id ?? '';
    const verify = () => database.run({ firmId }, (manager) => audit.verify(manager));
    expect((await verify()).brokenAt).toBeNull();
    await stack.dataSource.query('ALTER TABLE audit_entry DISABLE TRIGGER append_only');
    await stack.dataSource.query(`UPDATE audit_entry SET detail = '{"gross": 1}' WHERE firm_id = $1 AND seq = 5`, [
      firmId,
    ]);
    expect((await verify()).brokenAt).toBe(5);
  });
});
