import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { spawn, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { fileURLToPath } from 'node:url';
import { Stack, freePort, takeOn, type Caller } from './stack.js';

/**
 * A firm's Thursday: nine payrolls, 160 people, posted through a server that is killed twice while it posts; then a check
 * that was handed out before, a payroll with the wrong date, a check voided. All invented. What must hold afterwards:
 * everybody was paid once, and register, ledger, deposits owed and journal agree to the cent.
 */
const SIZES = [26, 24, 22, 20, 18, 16, 14, 12, 8];
const FIRST = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
const servers: ChildProcess[] = [];
const clients: { id: string; bankId: string; employeeIds: string[] }[] = [];
const payrolls: string[] = [];

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  for (const [index, people] of SIZES.entries()) clients.push(await takeOn(preparer, `THU${index}`, people));
}, 240_000);
afterAll(async () => {
  for (const server of servers) server.kill('SIGKILL');
  await stack.stop();
}, 60_000);

/** A server of its own process on the same database: the built program, as it is started for real. */
async function startServer(): Promise<{ child: ChildProcess; call: Caller }> {
  const port = await freePort();
  const { bankUrl, returnsUrl, wagesUrl, statesUrl, debitsUrl, databaseUrl, key, clockToken } = stack.config;
  const child = spawn(process.execPath, [fileURLToPath(new URL('../dist/main.js', import.meta.url))], {
    env: {
      PATH: process.env['PATH'] ?? '',
      DATABASE_URL: databaseUrl,
      PORT: String(port),
      ZAKAT_PROCESSES: '1',
      ZAKAT_KEY: key.toString('hex'),
      ZAKAT_CLOCK: 'simulated',
      ZAKAT_CLOCK_TOKEN: clockToken ?? '',
      ZAKAT_BANK_URL: bankUrl,
      ZAKAT_RETURNS_URL: returnsUrl,
      ZAKAT_WAGES_URL: wagesUrl,
      ZAKAT_STATES_URL: statesUrl,
      ZAKAT_DEBITS_URL: debitsUrl,
      ZAKAT_PUBLIC_URL: `http://127.0.0.1:${port}`,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  servers.push(child);
  let said = '';
  child.stderr?.on('data', (part: Buffer) => (said += part.toString()));
  for await (const part of child.stdout ?? []) if (String(part).includes('listening')) break;
  if (child.exitCode !== null) throw new Error(said);
  const base = `http://127.0.0.1:${port}/api`;
  const send = (method: string, path: string, body: unknown, cookie: string): Promise<Response> =>
    fetch(`${base}${path}`, {
      method,
      headers: { 'Content-Type': 'application/json', cookie },
      body: JSON.stringify(body),
    });
  const signedIn = await send(
    'POST',
    '/session',
    { email: 'reviewer@alder.example', password: 'a-long-enough-password' },
    '',
  );
  const cookie = (signedIn.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
  const call: Caller = async (method, path, body) => {
    const answer = await send(method, path, body, cookie);
    return { status: answer.status, body: await answer.json() };
  };
  return { child, call };
}

const statuses = async (): Promise<Map<string, { status: string; version: number }>> => {
  const rows = (await stack.dataSource.query('SELECT id, status, version FROM payroll WHERE id = ANY($1)', [
    payrolls,
  ])) as { id: string; status: string; version: number }[];
  return new Map(rows.map((row) => [row.id, row]));
};
const waiting = async (): Promise<string[]> => {
  const known = await statuses();
  return payrolls.filter((id) => known.get(id)?.status !== 'posted');
};

/** Posts all that wait at once; the server is killed as soon as one of them is through. Nobody knows what became of the others. */
async function postAndKill(): Promise<void> {
  const { child, call } = await startServer();
  const open = await waiting();
  const known = await statuses();
  const posts = open.map((id) => call('POST', `/payrolls/${id}/post`, { version: known.get(id)?.version }));
  await Promise.any(posts);
  child.kill('SIGKILL');
  await once(child, 'exit');
  await Promise.allSettled(posts);
}

interface Sums {
  readonly [key: string]: unknown;
}
const sums = async (question: string, ...values: unknown[]): Promise<Sums[]> =>
  (await stack.dataSource.query(question, values)) as Sums[];

/** Register, ledger and journal of every client, which must be the same figures. */
async function agree(): Promise<void> {
  for (const { id } of clients) {
    const register = await sums(
      `SELECT tax, sum(amount)::text AS amount FROM paycheck_tax WHERE client_id = $1 GROUP BY tax HAVING sum(amount) <> 0 ORDER BY tax`,
      id,
    );
    const ledger = await sums(
      `SELECT tax, sum(amount)::text AS amount FROM ledger_entry WHERE client_id = $1 GROUP BY tax HAVING sum(amount) <> 0 ORDER BY tax`,
      id,
    );
    expect(ledger).toEqual(register);
    const [books] = await sums(
      `SELECT coalesce(sum(l.amount), 0)::text AS balance,
         coalesce(-sum(l.amount) FILTER (WHERE l.account = 'net-pay-payable'), 0)::text AS payable,
         (SELECT coalesce(sum(net), 0)::text FROM paycheck WHERE client_id = $1) AS net,
         (SELECT coalesce(sum(net - (gross - (SELECT coalesce(sum(t.amount), 0) FROM paycheck_tax t WHERE t.paycheck_id = p.id AND t.payer = 'employee')
            - (SELECT coalesce(sum((d ->> 'amount')::bigint), 0) FROM jsonb_array_elements(p.lines -> 'deductions') d))), 0)::text FROM paycheck p WHERE p.client_id = $1) AS rest
       FROM journal_line l JOIN journal_entry e ON e.id = l.journal_entry_id WHERE e.client_id = $1`,
      id,
    );
    expect(books).toEqual({ balance: '0', payable: books?.['net'], net: books?.['net'], rest: '0' });
  }
}

describe('nine payrolls of a Thursday', () => {
  it('are begun, with exceptions in them, and reviewed', async () => {
    for (const [index, { id }] of clients.entries()) {
      const made = await preparer('POST', `/clients/${id}/payrolls`, { ...FIRST, kind: 'regular' });
      const payrollId = String(made.body.id);
      payrolls.push(payrollId);
      const view = (await preparer('GET', `/payrolls/${payrollId}`)).body as {
        version: number;
        persons: { employeeId: string; earnings: object[] }[];
      };
      const [first, second] = view.persons;
      const saved = await preparer('PUT', `/payrolls/${payrollId}`, {
        version: view.version,
        entries: [
          {
            employeeId: first?.employeeId,
            isPaid: true,
            // A bonus that leaves exactly so much in the hand, and a deferral that is not taken from it.
            earnings: [...(first?.earnings ?? []), { item: 'bonus', net: `${500 + index}.00` }],
            deductions: [{ item: '401k', percent: '5' }],
            leftOut: [{ line: 'item:401k', reason: 'not from the bonus check' }],
          },
          {
            employeeId: second?.employeeId,
            isPaid: true,
            earnings: [{ item: 'regular', hours: '3', rate: '31.40' }],
            deductions: [{ item: 'section-125-health', amount: '120.00' }],
            overridden: [
              { line: 'item:section-125-health', amount: '60.00', reason: 'the pay does not reach', isOwed: true },
            ],
          },
        ],
      });
      expect([saved.status, saved.body.detail]).toEqual([200, undefined]);
      const reviewed = await preparer('POST', `/payrolls/${payrollId}/review`, { version: saved.body.version });
      expect([reviewed.status, reviewed.body.problems]).toEqual([200, undefined]);
    }
    expect((await waiting()).length).toBe(9);
  }, 120_000);
  it('are posted once each, although the server is killed twice while it posts them', async () => {
    await postAndKill();
    const afterFirst = (await waiting()).length;
    expect(afterFirst).toBeLessThan(9);
    await agree();
    if (afterFirst > 1) await postAndKill();
    await agree();
    // Whoever does not know what came of it asks again, for all of them.
    const { call, child } = await startServer();
    const known = await statuses();
    const again = await Promise.all(
      payrolls.map((id) => call('POST', `/payrolls/${id}/post`, { version: known.get(id)?.version })),
    );
    expect(again.every(({ status }) => status === 200 || status === 409)).toBe(true);
    child.kill('SIGTERM');
    await once(child, 'exit');
    expect(await waiting()).toEqual([]);
    const paid = await sums('SELECT payroll_id AS id, count(*)::int AS count FROM paycheck GROUP BY payroll_id');
    expect(new Map(paid.map((row) => [row['id'], row['count']]))).toEqual(
      new Map(payrolls.map((id, index) => [id, SIZES[index]])),
    );
    await agree();
  }, 240_000);
  it('take a check that was handed out before and is recorded after', async () => {
    const [client] = clients;
    const { toMake } = (await preparer('GET', `/payrolls/${payrolls[0] ?? ''}/checks`)).body as {
      toMake: { paycheckId: string }[];
    };
    const record = () =>
      preparer('POST', `/payrolls/${payrolls[0] ?? ''}/handwritten-checks`, {
        bankAccountId: client?.bankId,
        number: 4711,
        paycheckId: toMake[0]?.paycheckId,
      });
    const twice = await Promise.all([record(), record()]);
    expect(twice.map(({ status }) => status).sort()).toEqual([200, 409]);
    const after = (await preparer('GET', `/payrolls/${payrolls[0] ?? ''}/checks`)).body as { toMake: object[] };
    expect(after.toMake.length).toBe(toMake.length - 1);
  });
  it('are taken back: one with the wrong date as a whole, of another one check, each once', async () => {
    const proposed = async (payrollId: string, count: number | null): Promise<string> => {
      const { checks } = (await preparer('GET', `/payrolls/${payrollId}/voids`)).body as {
        checks: { paycheckId: string }[];
      };
      const answer = await preparer('POST', `/payrolls/${payrollId}/voids`, {
        paycheckIds: checks.slice(0, count ?? checks.length).map(({ paycheckId }) => paycheckId),
        reason: count === null ? 'The check date was wrong.' : 'Paid to the wrong person.',
      });
      return String(answer.body.id);
    };
    for (const id of [await proposed(payrolls[8] ?? '', null), await proposed(payrolls[7] ?? '', 1)]) {
      const answers = await Promise.all([1, 2, 3].map(() => reviewer('POST', `/voids/${id}/post`, { version: 1 })));
      expect(answers.filter(({ status }) => status === 200).length).toBe(1);
    }
    await agree();
    // Nothing of the payroll with the wrong date is left in any figure.
    const [left] = await sums(
      'SELECT coalesce(sum(gross), 0)::text AS gross, coalesce(sum(net), 0)::text AS net FROM paycheck WHERE client_id = $1',
      clients[8]?.id,
    );
    expect(left).toEqual({ gross: '0', net: '0' });
    const right = await preparer('POST', `/clients/${clients[8]?.id ?? ''}/payrolls`, {
      ...FIRST,
      checkDate: '2026-11-06',
      kind: 'regular',
      copyOf: payrolls[8],
    });
    const reviewed = await preparer('POST', `/payrolls/${String(right.body.id)}/review`, { version: 1 });
    expect([reviewed.status, reviewed.body.detail]).toEqual([200, undefined]);
    const posted = await preparer('POST', `/payrolls/${String(right.body.id)}/post`, {
      version: reviewed.body.version,
    });
    expect([posted.status, posted.body.people]).toEqual([200, SIZES[8]]);
    await agree();
  }, 120_000);
  it('owe to each agency what the register has, on the tie-out sheet too', async () => {
    for (const { id } of clients) {
      const sheet = (await preparer('GET', `/clients/${id}/tie-out?year=2026&quarter=4`)).body as {
        rows: { label: string; stations: { register: number | null; ledger: number | null } }[];
      };
      expect(sheet.rows.length).toBeGreaterThan(0);
      for (const { label, stations } of sheet.rows)
        expect([label, stations.ledger]).toEqual([label, stations.register]);
    }
  });
});
