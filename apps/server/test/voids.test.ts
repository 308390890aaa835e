import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const FIRST = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
const SECOND = { periodStart: '2026-10-25', periodEnd: '2026-11-07', checkDate: '2026-11-13' };

interface Check {
  readonly paycheckId: string;
  readonly employeeId: string;
  readonly standing: string;
  readonly gross: number;
  readonly net: number;
}
const checksOf = async (payrollId: string): Promise<Check[]> =>
  ((await preparer('GET', `/payrolls/${payrollId}/voids`)).body as { checks: Check[] }).checks;
const propose = (payrollId: string, paycheckIds: readonly string[], reason = 'Paid by mistake') =>
  preparer('POST', `/payrolls/${payrollId}/voids`, { paycheckIds, reason });
/** Proposed by the preparer and posted by the reviewer. */
async function voided(payrollId: string, paycheckIds: readonly string[]) {
  const { id } = (await propose(payrollId, paycheckIds)).body as { id: string };
  const answer = await reviewer('POST', `/voids/${id}/post`, { version: 1 });
  expect([answer.status, answer.body.detail]).toEqual([200, undefined]);
  return answer.body as { id: string; status: string; voidPayrollId: string };
}
const sumsOf = async (clientId: string): Promise<{ ledger: unknown; register: unknown; journal: unknown }> => ({
  ledger: await stack.dataSource.query(
    `SELECT coalesce(employee_id::text, 'employer') AS who, tax, sum(subject)::int AS subject, sum(wages)::int AS wages, sum(amount)::int AS amount FROM ledger_entry
     WHERE client_id = $1 GROUP BY 1, 2 HAVING sum(amount) <> 0 OR sum(wages) <> 0 ORDER BY 1, 2`,
    [clientId],
  ),
  register: await stack.dataSource.query(
    `SELECT tax, sum(wages)::int AS wages, sum(amount)::int AS amount FROM paycheck_tax WHERE client_id = $1 GROUP BY tax HAVING sum(wages) <> 0 ORDER BY tax`,
    [clientId],
  ),
  journal: await stack.dataSource.query(
    `SELECT l.account, l.detail, sum(l.amount)::int AS amount FROM journal_entry j JOIN journal_line l ON l.journal_entry_id = j.id WHERE j.client_id = $1
     GROUP BY 1, 2 HAVING sum(l.amount) <> 0 ORDER BY 1, 2`,
    [clientId],
  ),
});
const boxesOf = async (clientId: string) => {
  const made = await preparer('POST', `/clients/${clientId}/filings`, { kind: 'us-941', period: '2026-Q4' });
  return (
    (await preparer('GET', `/filings/${String(made.body.id)}`)).body as { lines: { id: string; value: number }[] }
  ).lines;
};

describe('a void', () => {
  it('takes the whole payroll back to nothing, and its period can be paid again with the same lines', async () => {
    const client = await takeOn(preparer, 'WHOLE', 3);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    const checks = await checksOf(payrollId);
    const effects = (
      await preparer('POST', `/payrolls/${payrollId}/void-effects`, {
        paycheckIds: checks.map(({ paycheckId }) => paycheckId),
      })
    ).body as { isWhole: boolean; figures: { label: string; amount: number }[]; liabilities: { openAfter: number }[] };
    expect(effects.isWhole).toBe(true);
    expect(effects.figures[0]).toEqual({ kind: 'pay', label: 'Gross pay', amount: -3 * 251_200 });
    expect(effects.liabilities.every(({ openAfter }) => openAfter === 0)).toBe(true);
    await voided(
      payrollId,
      checks.map(({ paycheckId }) => paycheckId),
    );
    expect(await sumsOf(client.id)).toEqual({ ledger: [], register: [], journal: [] });
    expect((await checksOf(payrollId)).map(({ standing }) => standing)).toEqual(['void', 'void', 'void']);
    const rows = (await preparer('GET', `/clients/${client.id}/payrolls`)).body as { kind: string; isVoid: boolean }[];
    expect(rows.map(({ kind, isVoid }) => `${kind} ${isVoid}`).sort()).toEqual(['regular true', 'void false']);
    // The next payroll due is the same period again; a copy has the lines of the first.
    const next = (await preparer('GET', `/clients/${client.id}/next-payroll`)).body as { periodEnd: string };
    expect(next.periodEnd).not.toBe(SECOND.periodEnd);
    const again = await preparer('POST', `/clients/${client.id}/payrolls`, {
      ...FIRST,
      kind: 'regular',
      copyOf: payrollId,
    });
    expect(again.status).toBe(201);
    const copy = (await preparer('GET', `/payrolls/${String(again.body.id)}`)).body as { gross: number };
    expect(copy.gross).toBe(3 * 251_200);
  });
  it('of one check leaves what the payroll would be without that person, in ledger, register, journal and return', async () => {
    const [withVoid, without] = [await takeOn(preparer, 'ONE', 2), await takeOn(preparer, 'NEVER', 2)];
    const payrollId = await postPayroll(preparer, withVoid.id, FIRST);
    const [, second] = await checksOf(payrollId);
    await voided(payrollId, [second?.paycheckId ?? '']);
    // The other client paid the first person alone.
    const { id } = (await preparer('POST', `/clients/${without.id}/payrolls`, { ...FIRST, kind: 'regular' })).body as {
      id: string;
    };
    const view = (await preparer('GET', `/payrolls/${id}`)).body as {
      version: number;
      persons: { employeeId: string; earnings: object[]; deductions: object[] }[];
    };
    const saved = await preparer('PUT', `/payrolls/${id}`, {
      version: view.version,
      entries: view.persons.map(({ employeeId, earnings, deductions }, index) => ({
        employeeId,
        isPaid: index === 0,
        earnings,
        deductions,
      })),
    });
    const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: saved.body.version });
    await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version });
    // The employer's taxes are rounded on the total of the wages: the parts of two checks may be a cent more or less.
    interface Row {
      readonly who?: string;
      readonly tax?: string;
      readonly account?: string;
      readonly detail?: string;
      readonly wages?: number;
      readonly amount: number;
    }
    const plain = (rows: unknown, employees: readonly string[]): Row[] =>
      (
        JSON.parse(
          employees.reduce(
            (text, employee, index) => text.replaceAll(employee, `person ${index}`),
            JSON.stringify(rows),
          ),
        ) as Row[]
      )
        // The ids by which they were sorted say nothing.
        .sort((a, b) => (place(a) < place(b) ? -1 : 1));
    const place = ({ who, tax, account, detail }: Row): string => [who, tax, account, detail].join(' ');
    const [left, other] = [await sumsOf(withVoid.id), await sumsOf(without.id)];
    for (const list of ['ledger', 'register', 'journal'] as const) {
      const [now, never] = [plain(left[list], withVoid.employeeIds), plain(other[list], without.employeeIds)];
      const named = ({ amount: _amount, ...row }: Row) => row;
      expect(now.map(named)).toEqual(never.map(named));
      for (const [index, { amount, who, tax, detail }] of now.entries()) {
        const isEmployers =
          who === 'employer' ||
          /-ER$|FUTA|SUI|RSF/.test(tax ?? '') ||
          /mployer|FUTA|nemployment|fund/.test(detail ?? '');
        expect(Math.abs(amount - (never[index]?.amount ?? 0))).toBeLessThanOrEqual(
          isEmployers ? (/Employer taxes/.test(detail ?? '') ? 6 : 1) : 0,
        );
      }
    }
    const boxes = async (clientId: string) =>
      (await boxesOf(clientId)).flatMap(({ id, value }) =>
        ['1', '2', '3', '5a.1', '5c.1', '5e'].includes(id) ? [[id, value]] : [],
      );
    const filed = await boxes(withVoid.id);
    expect(filed.length).toBeGreaterThan(3);
    expect(filed).toEqual(await boxes(without.id));
  });
  it('is not in the next check’s year to date', async () => {
    const client = await takeOn(preparer, 'YTD', 1);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    const baseOf = async (days: object): Promise<{ wages: Record<string, string> }> => {
      const { id } = (await preparer('POST', `/clients/${client.id}/payrolls`, { ...days, kind: 'extra' })).body as {
        id: string;
      };
      const view = (await preparer('GET', `/payrolls/${id}`)).body as {
        persons: { base: { yearToDate: { wages: Record<string, string> } } }[];
      };
      return view.persons[0]?.base.yearToDate ?? { wages: {} };
    };
    expect((await baseOf(SECOND)).wages['US-OASDI']).toBe('2512.00');
    const [check] = await checksOf(payrollId);
    await voided(payrollId, [check?.paycheckId ?? '']);
    expect((await baseOf(SECOND)).wages['US-OASDI']).toBe('0.00');
  });
  it('is posted once however often it is asked, by another person, and never of what is void already', async () => {
    const client = await takeOn(preparer, 'ONCE', 1);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    const [check] = await checksOf(payrollId);
    const ids = [check?.paycheckId ?? ''];
    expect((await propose(payrollId, ids, ' ')).body.problems[0].field).toBe('reason');
    const { id } = (await propose(payrollId, ids)).body as { id: string };
    expect((await propose(payrollId, ids)).status).toBe(409);
    expect((await preparer('POST', `/voids/${id}/post`, { version: 1 })).status).toBe(403);
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => reviewer('POST', `/voids/${id}/post`, { version: 1 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
    const rows = (await stack.dataSource.query('SELECT count(*)::int AS count FROM paycheck WHERE reverses = $1', [
      ids[0],
    ])) as { count: number }[];
    expect(rows[0]?.count).toBe(1);
    expect((await propose(payrollId, ids)).status).toBe(409);
    const view = (await preparer('GET', `/voids/${id}`)).body as { status: string; voidPayrollId: string };
    expect(view.status).toBe('posted');
    // A void is no payroll that could be voided or deposited.
    const [opposite] = await checksOf(view.voidPayrollId);
    expect((await propose(view.voidPayrollId, [opposite?.paycheckId ?? ''])).status).toBe(409);
    expect((await preparer('GET', `/payrolls/${view.voidPayrollId}/pay`)).status).toBe(409);
  });
  it('withdrawn frees the checks for another proposal', async () => {
    const client = await takeOn(preparer, 'BACK', 1);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    const [check] = await checksOf(payrollId);
    const { id } = (await propose(payrollId, [check?.paycheckId ?? ''])).body as { id: string };
    expect((await checksOf(payrollId))[0]?.standing).toBe('proposed');
    expect((await preparer('POST', `/voids/${id}/withdraw`, { version: 1 })).status).toBe(200);
    expect((await checksOf(payrollId))[0]?.standing).toBe('stands');
    expect((await propose(payrollId, [check?.paycheckId ?? ''])).status).toBe(201);
  });
  it('after the deposit leaves a credit, which the next deposit of the quarter takes off', async () => {
    const client = await takeOn(preparer, 'CREDIT', 2);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    interface Deposit {
      readonly family: string;
      readonly owed: number;
      readonly isCredit: boolean;
      readonly settles: string;
      readonly liabilities: { tax: string; liabilityDate: string; owed: number; underWay: number }[];
    }
    const federal = async (): Promise<Deposit> => {
      const all = (await preparer('GET', `/clients/${client.id}/deposits`)).body as Deposit[];
      const found = all.find(({ family }) => family === 'US-941');
      if (!found) throw new Error('nothing federal');
      return found;
    };
    const plan = async (deposit: Deposit) =>
      preparer('POST', `/clients/${client.id}/remittances`, {
        items: deposit.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
        bankAccountId: client.bankId,
        settles: deposit.settles,
      });
    const first = await federal();
    const paid = await plan(first);
    const paidId = String(paid.body.id);
    const recorded = await preparer('POST', `/remittances/${paidId}/record`, {
      version: 1,
      paidOn: '2026-10-22',
      confirmation: '270612345678901',
    });
    expect([recorded.status, recorded.body.detail]).toEqual([200, undefined]);
    const [check] = await checksOf(payrollId);
    await voided(payrollId, [check?.paycheckId ?? '']);
    const credit = await federal();
    // Half of it, to the cent of the employer's parts.
    expect([credit.isCredit, Math.abs(credit.owed + first.owed / 2) <= 1]).toEqual([true, true]);
    expect((await plan(credit)).status).toBe(409);
    await postPayroll(preparer, client.id, SECOND);
    const next = await federal();
    expect([next.isCredit, next.owed]).toEqual([false, first.owed + credit.owed]);
    const planned = await plan(next);
    expect([planned.status, planned.body.detail]).toEqual([201, undefined]);
    const view = (await preparer('GET', `/remittances/${String(planned.body.id)}`)).body as { amount: number };
    expect(view.amount).toBe(first.owed + credit.owed);
    const tie = (await preparer('GET', `/clients/${client.id}/tie-out?year=2026&quarter=4`)).body as {
      rows: { differences: { cause: string; to: string }[] }[];
    };
    expect(tie.rows.flatMap(({ differences }) => differences).filter(({ cause }) => cause === 'to-fix')).toEqual([]);
  });
  it('says what else follows: a deposit that has left, later checks, a filed return', async () => {
    const client = await takeOn(preparer, 'FOLLOW', 1);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    await postPayroll(preparer, client.id, SECOND);
    const [check] = await checksOf(payrollId);
    const ask = async (): Promise<{ follows: { what: string }[]; closed: { what: string }[] }> =>
      (await preparer('POST', `/payrolls/${payrollId}/void-effects`, { paycheckIds: [check?.paycheckId] }))
        .body as Awaited<ReturnType<typeof ask>>;
    expect((await ask()).follows.map(({ what }) => what)).toEqual([
      'One later check of the year had these wages in the year to date.',
    ]);
  });
});

describe('what is not posted here', () => {
  it('cannot be voided', async () => {
    const client = await takeOn(preparer, 'OPEN', 1);
    const { id } = (await preparer('POST', `/clients/${client.id}/payrolls`, { ...FIRST, kind: 'regular' })).body as {
      id: string;
    };
    const answer = await propose(id, ['00000000-0000-4000-8000-000000000000']);
    expect([answer.status, answer.body.detail]).toEqual([409, expect.stringMatching(/not posted/)]);
    expect((await propose(id, ['no'])).status).toBe(422);
  });
});

describe('the months in which something is owed', () => {
  it('are as the ledger has them, and a month that is wholly voided is none', async () => {
    const client = await takeOn(preparer, 'MONTHS', 2);
    const payrollId = await postPayroll(preparer, client.id, FIRST);
    await postPayroll(preparer, client.id, SECOND);
    const monthsNow = async (): Promise<number[]> => {
      const rows = await stack.dataSource.query<{ months: number }[]>(
        `SELECT DISTINCT months FROM owed_year WHERE client_id = $1 AND year = 2026`,
        [client.id],
      );
      return rows.map(({ months }) => months);
    };
    const [OCTOBER, NOVEMBER] = [1 << 9, 1 << 10];
    expect(await monthsNow()).toEqual([OCTOBER + NOVEMBER]);
    await voided(
      payrollId,
      (await checksOf(payrollId)).map(({ paycheckId }) => paycheckId),
    );
    expect(await monthsNow()).toEqual([NOVEMBER]);
    const differ = await stack.dataSource.query<unknown[]>(
      `WITH counted AS (SELECT client_id, tax, extract(year FROM liability_date)::int AS year, extract(month FROM liability_date)::int AS month,
           sum(CASE cause WHEN 'reversal' THEN -1 ELSE 1 END) AS entries FROM ledger_entry WHERE cause NOT IN ('payment', 'payment-returned') GROUP BY 1, 2, 3, 4),
         kept AS (SELECT o.client_id, o.tax, o.year::int AS year, u.month::int AS month, u.entries FROM owed_year o, unnest(o.entries) WITH ORDINALITY AS u(entries, month))
       SELECT * FROM counted c FULL JOIN kept k USING (client_id, tax, year, month) WHERE coalesce(c.entries, 0) <> coalesce(k.entries, 0)`,
    );
    expect(differ).toEqual([]);
  });
});
