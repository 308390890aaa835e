import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { CheckDifference, PayrollView } from '@zakat/contract/payrolls';
import type { VoidEffects, VoidView, VoidsOfPayroll } from '@zakat/contract/voids';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let lastYear: string;
let thisYear: string;

const checksOf = async (payrollId: string): Promise<VoidsOfPayroll['checks']> =>
  ((await preparer('GET', `/payrolls/${payrollId}/voids`)).body as VoidsOfPayroll).checks;
const payrollOf = async (id: string): Promise<PayrollView> =>
  (await preparer('GET', `/payrolls/${id}`)).body as PayrollView;
const taxesOf = async (year: string): Promise<Record<string, [wages: number, amount: number]>> =>
  Object.fromEntries(
    (
      (await stack.dataSource.query(
        `SELECT tax, sum(wages)::int AS wages, sum(amount)::int AS amount FROM ledger_entry WHERE client_id = $1 AND liability_date BETWEEN $2 AND $3 AND cause IN ('payroll', 'reversal') GROUP BY tax`,
        [client.id, `${year}-01-01`, `${year}-12-31`],
      )) as { tax: string; wages: number; amount: number }[]
    ).map(({ tax, wages, amount }) => [tax, [wages, amount]]),
  );
async function posted(payrollId: string, body: object): Promise<VoidView> {
  const { id } = (await preparer('POST', `/payrolls/${payrollId}/voids`, body)).body as { id: string };
  const answer = await reviewer('POST', `/voids/${id}/post`, { version: 1 });
  expect([answer.status, answer.body.detail]).toEqual([200, undefined]);
  return answer.body as VoidView;
}

beforeAll(async () => {
  stack = await Stack.start('2025-11-20');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD', 2);
  lastYear = await postPayroll(preparer, client.id, {
    periodStart: '2025-11-23',
    periodEnd: '2025-12-06',
    checkDate: '2025-12-12',
  });
  await stack.console('date', { today: '2026-01-22' });
  thisYear = await postPayroll(preparer, client.id, {
    periodStart: '2026-01-04',
    periodEnd: '2026-01-17',
    checkDate: '2026-01-23',
  });
}, 90_000);
afterAll(() => stack.stop(), 30_000);

// Publication 15, section 13, "Wage repayments": the tax of 250.00 is 15.50 and 3.63 (3.625, half a cent up) of each side.
describe('pay of an earlier year that is given back', () => {
  let id = '';
  it('shows first that social security and Medicare alone come off, and what is left to give back', async () => {
    const [check] = await checksOf(lastYear);
    const asked = { paycheckIds: [check?.paycheckId], repaid: 25_000 };
    const { figures, follows, isWhole } = (await preparer('POST', `/payrolls/${lastYear}/void-effects`, asked))
      .body as VoidEffects;
    expect(figures.map(({ label, amount }) => [label, amount])).toEqual([
      ['Gross pay', 0],
      ['Social security (OASDI), employee', -1550],
      ['Medicare (HI), employee', -363],
      ['Net pay', 1913],
      ['Social security (OASDI), employer', -1550],
      ['Medicare (HI), employer', -363],
    ]);
    expect(isWhole).toBe(false);
    expect(follows[0]?.follows).toContain('230.87 is to be paid back in all');
  });
  it('is taken back by two persons; the check and its income tax stand', async () => {
    const before = await taxesOf('2025');
    const [check] = await checksOf(lastYear);
    const view = await posted(lastYear, {
      paycheckIds: [check?.paycheckId],
      repaid: 25_000,
      reason: 'A week that was not worked',
    });
    ({ id } = view);
    expect([view.repaid, view.refunded, view.checks[0]?.standing]).toEqual([25_000, 1913, 'repaid']);
    const after = await taxesOf('2025');
    const changes = Object.entries(after).flatMap(([tax, [wages, amount]]) => {
      const [was, paid] = before[tax] ?? [0, 0];
      return wages === was && amount === paid ? [] : [[tax, wages - was, amount - paid]];
    });
    expect(changes.sort()).toEqual([
      ['US-HI-EE', -25_000, -363],
      ['US-HI-ER', -25_000, -363],
      ['US-OASDI-EE', -25_000, -1550],
      ['US-OASDI-ER', -25_000, -1550],
    ]);
    // The month was owed all the same.
    const owed = (await stack.dataSource.query(
      `SELECT tax, entries[12]::int AS entries, (months & 2048) <> 0 AS "isOwed" FROM owed_year WHERE client_id = $1 AND year = 2025 AND tax LIKE 'US-%-E%' ORDER BY tax`,
      [client.id],
    )) as { tax: string; entries: number; isOwed: boolean }[];
    expect(owed.map(({ tax, entries, isOwed }) => `${tax} ${entries} ${isOwed}`)).toEqual([
      'US-HI-EE 2 true',
      'US-HI-ER 1 true',
      'US-OASDI-EE 2 true',
      'US-OASDI-ER 1 true',
    ]);
    // Looked at again it says the same.
    const later = (await preparer('GET', `/voids/${id}`)).body as VoidView;
    expect([later.refunded, later.effects.figures]).toEqual([1913, view.effects.figures]);
    const [standing] = await checksOf(lastYear);
    expect(standing?.standing).toBe('repaid');
    const payroll = await payrollOf(view.voidPayrollId ?? '');
    expect([payroll.kind, payroll.gross, payroll.net]).toEqual(['void', 0, 1913]);
    expect(payroll.journal.reduce((all, { amount }) => all + amount, 0)).toBe(0);
  });
  it('is in the return and the wage statement of the year: boxes 3 to 6, and no other', async () => {
    const made = await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-941', period: '2025-Q4' });
    const { lines } = (await preparer('GET', `/filings/${String(made.body.id)}`)).body as {
      lines: { id: string; value: number }[];
    };
    const value = (line: string) => lines.find((one) => one.id === line)?.value;
    expect((value('2') ?? 0) - (value('5a.1') ?? 0)).toBe(25_000);
    expect(value('5c.1')).toBe(value('5a.1'));
  });
  it.each<[string, object, string]>([
    ['more than was paid', { repaid: 99_999_999 }, 'repaid'],
    ['nothing', { repaid: 0 }, 'repaid'],
  ])('%s is refused, and the field named', async (_what, more, field) => {
    const [, second] = await checksOf(lastYear);
    const answer = await preparer('POST', `/payrolls/${lastYear}/voids`, {
      paycheckIds: [second?.paycheckId],
      reason: 'x',
      ...more,
    });
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, field]);
  });
  it('is no way for a check of this year, and of two checks at once', async () => {
    const now = await preparer('POST', `/payrolls/${thisYear}/voids`, {
      paycheckIds: [(await checksOf(thisYear))[0]?.paycheckId],
      repaid: 100,
      reason: 'x',
    });
    expect([now.status, now.body.problems[0].field]).toEqual([422, 'repaid']);
    const both = await preparer('POST', `/payrolls/${lastYear}/void-effects`, {
      paycheckIds: (await checksOf(lastYear)).map(({ paycheckId }) => paycheckId),
      repaid: 100,
    });
    expect([both.status, both.body.problems[0].field]).toEqual([422, 'paycheckIds']);
  });
  it('leaves nobody to be paid again', async () => {
    const answer = await preparer('POST', `/voids/${id}/pay-again`, { checkDate: '2026-01-23' });
    expect(answer.status).toBe(409);
  });
});

describe('a check that paid too little', () => {
  const asked = async (change: (line: { item: string; hours?: string; rate?: string; amount?: string }) => object) => {
    const { persons } = await payrollOf(thisYear);
    const [person] = persons;
    return { paycheckId: person?.paycheck.id, earnings: person?.earnings.map(change) };
  };
  it('stands beside what it should have been, with the taxes of then', async () => {
    const same = await preparer('POST', `/payrolls/${thisYear}/difference`, await asked((line) => line));
    const view = same.body as CheckDifference;
    expect([view.lines, view.isOverpaid, view.problems]).toEqual([[], false, []]);
    expect(view.rows.every(({ posted: was, should }) => was === should)).toBe(true);
  });
  it('has the rest paid in a payroll of its own, for that person alone', async () => {
    const body = await asked((line) => (line.hours === undefined ? line : { ...line, hours: '84.5' }));
    const view = (await preparer('POST', `/payrolls/${thisYear}/difference`, body)).body as CheckDifference;
    const gross = view.rows.find(({ label }) => label === 'Gross pay');
    const [line] = view.lines;
    expect(view.lines).toHaveLength(1);
    const early = await preparer('POST', `/payrolls/${thisYear}/difference-payroll`, {
      ...body,
      checkDate: '2026-01-02',
    });
    expect([early.status, early.body.problems[0].field]).toEqual([422, 'checkDate']);
    const made = await preparer('POST', `/payrolls/${thisYear}/difference-payroll`, {
      ...body,
      checkDate: '2026-01-30',
    });
    expect([made.status, made.body.detail]).toEqual([201, undefined]);
    const payroll = await payrollOf(String(made.body.id));
    expect([payroll.kind, payroll.persons.filter(({ isPaid }) => isPaid).map(({ earnings }) => earnings)]).toEqual([
      'extra',
      [[line]],
    ]);
    expect(payroll.gross).toBe((gross?.should ?? 0) - (gross?.posted ?? 0));
  });
  it('is no difference where less was owed', async () => {
    const body = await asked((line) => (line.hours === undefined ? line : { ...line, hours: '40' }));
    const view = (await preparer('POST', `/payrolls/${thisYear}/difference`, body)).body as CheckDifference;
    expect([view.isOverpaid, view.lines]).toEqual([true, []]);
    const answer = await preparer('POST', `/payrolls/${thisYear}/difference-payroll`, {
      ...body,
      checkDate: '2026-01-30',
    });
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, 'earnings']);
  });
  it('that cannot be worked out says so', async () => {
    const body = await asked((line) => ({ ...line, item: 'no-such-item' }));
    const view = (await preparer('POST', `/payrolls/${thisYear}/difference`, body)).body as CheckDifference;
    expect([view.problems.length > 0, view.rows]).toEqual([true, []]);
  });
});

describe('people whose checks are void', () => {
  it('are paid again with the lines they had, less what they kept, in one payroll however often it is asked', async () => {
    const [, second] = await checksOf(thisYear);
    const view = await posted(thisYear, { paycheckIds: [second?.paycheckId], reason: 'Wrong hours' });
    // As if it had been cashed.
    await stack.dataSource.query(
      `INSERT INTO issued_check (id, firm_id, client_id, bank_account_id, number, payroll_id, paycheck_id, amount, payee, check_date, status, prepared_by, created_at, cleared_on)
       SELECT gen_random_uuid(), c.firm_id, c.client_id, b.id, 9001, c.payroll_id, c.id, c.net, 'Somebody', c.check_date, 'cleared', p.created_by, now(), c.check_date
       FROM paycheck c JOIN payroll p ON p.id = c.payroll_id JOIN bank_account b ON b.client_id = c.client_id WHERE c.id = $1 LIMIT 1`,
      [second?.paycheckId],
    );
    const first = await preparer('POST', `/voids/${view.id}/pay-again`, { checkDate: '2026-01-23' });
    expect([first.status, first.body.detail]).toEqual([201, undefined]);
    const twice = await preparer('POST', `/voids/${view.id}/pay-again`, { checkDate: '2026-01-30' });
    expect(twice.body.id).toBe(first.body.id);
    const payroll = await payrollOf(String(first.body.id));
    const [person, ...others] = payroll.persons.filter(({ isPaid }) => isPaid);
    expect([person?.employeeId, others]).toEqual([second?.employeeId, []]);
    expect(person?.deductions.at(-1)).toMatchObject({ item: 'overpayment' });
    // The same lines come to the same net pay: what was kept takes all of it.
    expect(person?.paycheck.net).toBe(0);
  });
  it('whose pay was somebody else’s goes to that person, at their rate, with their own deductions', async () => {
    const { id: clientId, employeeIds } = await takeOn(preparer, 'WHOSE', 3);
    const [wrong, right] = employeeIds;
    await preparer('POST', `/employees/${right ?? ''}/facts`, {
      kind: 'pay',
      from: '2026-01-01',
      value: { basis: 'hourly', rate: '40.00' },
    });
    await preparer('POST', `/employees/${right ?? ''}/facts`, {
      kind: 'standing',
      from: '2026-01-01',
      value: { item: 'union-dues', amount: '12.00' },
    });
    const posted = await postPayroll(preparer, clientId);
    const { persons } = await payrollOf(posted);
    const check = persons.find(({ employeeId }) => employeeId === wrong)?.paycheck.id ?? '';
    const proposed = await preparer('POST', `/payrolls/${posted}/voids`, {
      paycheckIds: [check],
      reason: 'the hours were of the other one',
    });
    const id = String(proposed.body.id);
    await reviewer('POST', `/voids/${id}/post`, { version: 1 });
    const again = (employeeId: string | undefined) =>
      preparer('POST', `/voids/${id}/pay-again`, { checkDate: '2026-11-06', employeeId });
    expect((await again(wrong)).body.problems?.[0]?.field).toBe('employeeId');
    expect((await again('00000000-0000-4000-8000-000000000000')).status).toBe(422);
    const made = await again(right);
    expect([made.status, made.body.detail]).toEqual([201, undefined]);
    const paid = (await payrollOf(String(made.body.id))).persons.filter(({ isPaid }) => isPaid);
    expect(paid.map(({ employeeId }) => employeeId)).toEqual([right]);
    expect(paid[0]?.earnings).toMatchObject([{ item: 'regular', hours: '80', rate: '40.00' }]);
    expect(paid[0]?.deductions).toMatchObject([{ item: 'union-dues', amount: '12.00' }]);
  });
  it('hours that go to somebody who has no rate are asked for one, and not paid at that of the other', async () => {
    const { id: clientId, employeeIds } = await takeOn(preparer, 'NORATE', 2);
    const [wrong, right] = employeeIds;
    const salary = { basis: 'salary', amount: '52000.00', frequency: 'annually' };
    const fact = await preparer('POST', `/employees/${right ?? ''}/facts`, {
      kind: 'pay',
      from: '2026-01-01',
      value: salary,
    });
    expect(fact.status).toBe(201);
    const posted = await postPayroll(preparer, clientId);
    const { persons } = await payrollOf(posted);
    const proposed = await preparer('POST', `/payrolls/${posted}/voids`, {
      paycheckIds: [persons.find(({ employeeId }) => employeeId === wrong)?.paycheck.id],
      reason: 'the hours were of the other one',
    });
    const id = String(proposed.body.id);
    await reviewer('POST', `/voids/${id}/post`, { version: 1 });
    const made = await preparer('POST', `/voids/${id}/pay-again`, { checkDate: '2026-11-06', employeeId: right });
    const again = String(made.body.id);
    const paid = (await payrollOf(again)).persons.filter(({ isPaid }) => isPaid);
    expect(paid[0]?.earnings).toEqual([{ item: 'regular', hours: '80' }]);
    const refused = await preparer('POST', `/payrolls/${again}/review`, { version: 1 });
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringMatching(/rate/)]);
  });
});
