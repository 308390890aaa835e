import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const START = '2026-01-01';
const fact = (kind: string, value: Record<string, unknown>, from = START) => ({ kind, from, value });
interface Paycheck {
  readonly taxes: { code: string; amount: number }[];
  readonly deductions: { item: string; name?: string; label: string; amount: number }[];
  readonly employerPaid: { amount: number }[];
  readonly garnishments: { amount: number }[];
}
const PERIODS = [
  ['2026-09-27', '2026-10-10', '2026-10-16'],
  ['2026-10-11', '2026-10-24', '2026-10-30'],
  ['2026-10-25', '2026-11-07', '2026-11-13'],
] as const;

/** A client with one person, to whom facts are added and who is paid period after period. */
async function onePerson(key: string) {
  const client = await takeOn(preparer, key, 1);
  const person = client.employeeIds[0] ?? '';
  const add = (kind: string, value: Record<string, unknown>, from = START) =>
    preparer('POST', `/employees/${person}/facts`, {
      ...fact(kind, value, from),
      // An order without an amount is looked at twice: here the law's limit is what is tried.
      confirmed: ['doubt.order-without-amount fact.value.amount'],
    });
  const run = async (index: 0 | 1 | 2): Promise<Paycheck> => {
    const [periodStart, periodEnd, checkDate] = PERIODS[index];
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, { periodStart, periodEnd, checkDate, kind: 'regular' })
    ).body as { id: string };
    const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: 1 });
    expect(reviewed.body.problems ?? []).toEqual([]);
    return (await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version })).body.persons[0]
      .paycheck;
  };
  const leaveBalances = async (): Promise<string[]> => {
    const rows = (await stack.dataSource.query(
      `SELECT lines->'leave'->0->>'balance' AS balance FROM paycheck WHERE employee_id = $1 ORDER BY check_date`,
      [person],
    )) as { balance: string }[];
    return rows.map((row) => row.balance);
  };
  return { client, add, run, leaveBalances };
}

describe('lines of every check', () => {
  it('go into the payroll: percentages, an own item, a loan that ends, an employer match', async () => {
    const { client, add, run, leaveBalances } = await onePerson('LINES');
    await preparer(
      'POST',
      `/clients/${client.id}/facts`,
      fact('pay-item', { code: 'tools', label: 'Tools', like: 'after-tax', perYear: '30.00' }),
    );
    await add('standing', { item: '401k', percent: '6' });
    await add('standing', { item: 'tools', amount: '20.00' });
    await add('standing', { item: 'loan', amount: '90.00', balance: '150.00' });
    await add('standing', { item: 'match-401k', amount: '25.00' });
    await add('garnishment', { label: 'C-1', kind: 'creditor', amount: '50.00' });
    await add('leave', { item: 'vacation', per: 'period', hours: '4', balance: '10' });
    const first = await run(0);
    expect(first.deductions.map((line) => [line.name ?? line.item, line.amount])).toEqual([
      ['401k', 15_072],
      ['tools', 2000],
      ['loan', 9000],
    ]);
    expect([first.employerPaid[0]?.amount, first.garnishments[0]?.amount]).toEqual([2500, 5000]);
    // The yearly limit leaves 10.00 of the tools, the balance 60.00 of the loan.
    const second = await run(1);
    expect(second.deductions.map((line) => line.amount)).toEqual([15_072, 1000, 6000]);
    expect(await leaveBalances()).toEqual(['140000', '180000']);
  });

  it('match what is deferred, up to the limit of the year, and book it', async () => {
    const { client, add, run } = await onePerson('MATCH');
    await add('standing', { item: '401k', percent: '6' });
    await add('standing', {
      item: 'match-401k',
      match: [
        { percent: '100', upTo: '3' },
        { percent: '50', upTo: '5' },
      ],
      perYear: '150.00',
    });
    // 4% of 2,512.00; the second check leaves what is under 150.00 of the year.
    expect((await run(0)).employerPaid[0]?.amount).toBe(10_048);
    expect((await run(1)).employerPaid[0]?.amount).toBe(4952);
    const [last] = (await preparer('GET', `/clients/${client.id}/payrolls`)).body as { id: string }[];
    const { journal } = (await preparer('GET', `/payrolls/${last?.id ?? ''}`)).body as {
      journal: { account: string; amount: number }[];
    };
    expect(journal.filter((line) => line.account.includes('benefit')).map((line) => line.amount)).toEqual([
      4952, -4952,
    ]);
    expect(journal.reduce((total, line) => total + line.amount, 0)).toBe(0);
  });

  it('go on from where a balance stands when only their amount changes', async () => {
    const { add, run, leaveBalances } = await onePerson('CHANGES');
    const loan = { item: 'loan', balance: '150.00' };
    const order = { label: 'C-2', kind: 'creditor', balance: '100.00' };
    const leave = { item: 'vacation', per: 'period', balance: '10' };
    await add('standing', { ...loan, amount: '90.00' });
    await add('garnishment', { ...order, amount: '80.00' });
    await add('leave', { ...leave, hours: '4' });
    await run(0);
    const changed = { countedFrom: START };
    await add('standing', { ...loan, ...changed, amount: '35.00' }, '2026-10-20');
    await add('garnishment', { ...order, ...changed, amount: '50.00' }, '2026-10-20');
    await add('leave', { ...leave, ...changed, hours: '5' }, '2026-10-20');
    const second = await run(1);
    expect([second.deductions[0]?.amount, second.garnishments[0]?.amount]).toEqual([3500, 2000]);
    const third = await run(2);
    expect([third.deductions[0]?.amount, third.garnishments[0]?.amount]).toEqual([2500, 0]);
    expect(await leaveBalances()).toEqual(['140000', '190000', '240000']);
  });

  it('ask before more leave is taken than there is', async () => {
    const { client, add } = await onePerson('MORE');
    await add('leave', { item: 'vacation', per: 'period', balance: '10', hours: '4' });
    const [periodStart, periodEnd, checkDate] = PERIODS[0];
    const made = await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart,
      periodEnd,
      checkDate,
      kind: 'regular',
    });
    const id = String(made.body.id);
    const view = (await preparer('GET', `/payrolls/${id}`)).body as {
      version: number;
      persons: { employeeId: string }[];
    };
    const saved = await preparer('PUT', `/payrolls/${id}`, {
      version: view.version,
      entries: [
        {
          employeeId: view.persons[0]?.employeeId,
          isPaid: true,
          earnings: [
            { item: 'regular', hours: '56', rate: '31.40' },
            { item: 'vacation', hours: '24', rate: '31.40' },
          ],
          deductions: [],
        },
      ],
    });
    const review = (confirmed: string[]) =>
      preparer('POST', `/payrolls/${id}/review`, { version: saved.body.version, confirmed });
    const asked = await review([]);
    expect([asked.status, asked.body.code, asked.body.problems.length]).toEqual([409, 'second-look', 1]);
    expect(asked.body.detail).toMatch(/balance falls to -10/);
    const [{ code, field }] = asked.body.problems as [{ code: string; field: string }];
    expect((await review([`${code} ${field}`])).status).toBe(200);
  });
  it('count a new balance from the day it begins', async () => {
    const { add, run } = await onePerson('ANEW');
    await add('standing', { item: 'loan', amount: '90.00', balance: '90.00' });
    expect((await run(0)).deductions[0]?.amount).toBe(9000);
    await add('standing', { item: 'loan', amount: '90.00', balance: '120.00' }, '2026-10-20');
    expect((await run(1)).deductions[0]?.amount).toBe(9000);
    expect((await run(2)).deductions[0]?.amount).toBe(3000);
  });
});

describe('what a creditor may take in a year', () => {
  it('counts the earlier checks of the year, and the state’s most for what is expected in it', async () => {
    const { client, add, run } = await onePerson('YEAR');
    await preparer('POST', `/clients/${client.id}/tax-accounts`, {
      agency: 'IA-IWD',
      accountNumber: '00123456',
      unemploymentRate: '1.0',
      from: '2024-01-01',
    });
    await add('place', { work: 'IA', residence: 'IA' });
    await add('state-certificate', { state: 'IA', certificate: { filingStatus: 'single' } });
    await add('garnishment', { label: 'C-3', kind: 'creditor' });
    await add('pay', { basis: 'hourly', rate: '16.25', hours: '80' }, '2026-09-01');
    await add('pay', { basis: 'hourly', rate: '7.50', hours: '80' }, '2026-10-11');
    const taken = [await run(0), await run(1), await run(2)].map((check) => check.garnishments[0]?.amount ?? 0);
    // Iowa Code § 642.21, recalled: 1,300.00 a check is 33,800.00 a year, 600.00 is 15,600.00: 400.00 for one creditor.
    // The federal share holds the first two; the third has what they leave of the year.
    const [first = 0, second = 0, third = 0] = taken;
    expect([first > second, second > third, third > 0]).toEqual([true, true, true]);
    expect(first + second + third).toBe(40_000);
  });
});

describe('what is due or limited by the month', () => {
  const DENVER = { work: 'CO', workLocality: 'Denver', residence: 'CO' };
  const codes = (paycheck: { taxes: { code: string; amount: number }[] }): Record<string, number> =>
    Object.fromEntries(paycheck.taxes.map(({ code, amount }) => [code, amount]));

  it('takes a fee once a month, and what the first check left of a limit', async () => {
    const { client, add, run } = await onePerson('MONTH');
    await preparer('POST', `/clients/${client.id}/tax-accounts`, {
      agency: 'CO-DLE',
      accountNumber: '123456.00-1',
      unemploymentRate: '1.7',
      from: '2024-01-01',
    });
    await add('place', DENVER);
    await add('state-certificate', { state: 'CO', certificate: { filingStatus: 'single' } });
    await add('standing', { item: 'transit', amount: '200.00' });
    const [first, second, third] = [await run(0), await run(1), await run(2)];
    // Denver: 5.75 and 4.00 a month; transit in 2026: 340.00 a month (both recalled in the rules).
    expect([first, second, third].map((check) => codes(check)['CO-DENVER-OPT-EE'])).toEqual([575, 0, 575]);
    expect([first, second, third].map((check) => codes(check)['CO-DENVER-OPT-ER'])).toEqual([400, 0, 400]);
    expect([first, second, third].map((check) => check.deductions[0]?.amount)).toEqual([20_000, 14_000, 20_000]);
  });

  it('takes a bonus paid alone together with the last regular wages, where the client wants it so', async () => {
    const { client, run } = await onePerson('TOGETHER');
    await preparer(
      'POST',
      `/clients/${client.id}/facts`,
      fact('withholding', { supplementalMethod: 'aggregate', withholdingMethod: 'percentage' }),
    );
    const regular = codes(await run(0))['US-FIT'] ?? 0;
    const days = { periodStart: '2026-10-20', periodEnd: '2026-10-20', checkDate: '2026-10-20' };
    const { id } = (await preparer('POST', `/clients/${client.id}/payrolls`, { ...days, kind: 'extra' })).body as {
      id: string;
    };
    const open = (await preparer('GET', `/payrolls/${id}`)).body as {
      version: number;
      persons: { employeeId: string }[];
    };
    const entries = open.persons.map(({ employeeId }) => ({
      employeeId,
      isPaid: true,
      earnings: [{ item: 'bonus', amount: '1000.00' }],
      deductions: [],
    }));
    const saved = await preparer('PUT', `/payrolls/${id}`, { version: open.version, entries });
    const together = codes(saved.body.persons[0].paycheck)['US-FIT'];
    // The same bonus beside the regular wages takes as much more, but for the rounding of the two.
    const beside = await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: '2026-10-11',
      periodEnd: '2026-10-24',
      checkDate: '2026-10-30',
      kind: 'regular',
    });
    const sheet = (await preparer('GET', `/payrolls/${beside.body.id}`)).body as {
      version: number;
      persons: { employeeId: string; earnings: object[]; deductions: object[] }[];
    };
    const both = await preparer('PUT', `/payrolls/${beside.body.id}`, {
      version: sheet.version,
      entries: sheet.persons.map(({ employeeId, earnings, deductions }) => ({
        employeeId,
        isPaid: true,
        earnings: [...earnings, { item: 'bonus', amount: '1000.00' }],
        deductions,
      })),
    });
    expect(codes(both.body.persons[0].paycheck)['US-FIT']).toBe(regular + (together ?? 0));
    // Not the flat 22%.
    expect(together).not.toBe(22_000);
  });
});
