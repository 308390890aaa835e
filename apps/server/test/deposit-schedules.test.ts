import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
beforeAll(async () => {
  stack = await Stack.start('2026-01-05');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'LOOK', 1);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const view = async () =>
  (await preparer('GET', `/clients/${client.id}`)).body as { depositSchedule: string; depositScheduleWhy: string };
const listed = async () =>
  ((await preparer('GET', '/clients')).body as { rows: { id: string; depositSchedule: string }[] }).rows.find(
    (row) => row.id === client.id,
  )?.depositSchedule;
const record = (kind: string, value: Record<string, unknown>) =>
  preparer('POST', `/clients/${client.id}/facts`, { kind, from: '2026-01-01', value });
const due = async (checkDate: string): Promise<string | undefined> =>
  (
    (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
      family: string;
      due: string;
      liabilities: { liabilityDate: string }[];
    }[]
  ).find(
    (deposit) =>
      deposit.family === 'US-941' && deposit.liabilities.some((liability) => liability.liabilityDate === checkDate),
  )?.due;
const lookback = (year: number, q3: string) => record('lookback', { year, q3, q4: '0.00', q1: '0.00', q2: '0.00' });

describe('the deposit schedule of a client', () => {
  it('is by what was said at the start while nothing better is known', async () => {
    expect(await view()).toMatchObject({
      depositSchedule: 'monthly',
      depositScheduleWhy: expect.stringMatching(/20,000.00.*entered last; the ledger does not have Q3 2024/),
    });
    expect(await listed()).toBe('monthly');
  });
  it('is by what is entered for the year, in that year only', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2025-12-21',
      periodEnd: '2026-01-03',
      checkDate: '2026-01-09',
    });
    expect(await due('2026-01-09')).toBe('2026-02-17');
    expect((await lookback(2027, '70000.00')).status).toBe(201);
    expect([await listed(), await due('2026-01-09')]).toEqual(['monthly', '2026-02-17']);
    await lookback(2026, '50000.01');
    // A Friday: due the Wednesday after.
    expect([await listed(), (await view()).depositSchedule, await due('2026-01-09')]).toEqual([
      'semiweekly',
      'semiweekly',
      '2026-01-14',
    ]);
    await lookback(2026, '50000.00');
    expect(await due('2026-01-09')).toBe('2026-02-17');
  });
  it('turns semiweekly with the check that reaches 100,000, for that year and the next', async () => {
    await preparer('POST', `/employees/${client.employeeIds[0] ?? ''}/facts`, {
      kind: 'pay',
      from: '2026-01-04',
      value: { basis: 'salary', amount: '300000.00', frequency: 'biweekly' },
      confirmed: ['doubt.salary fact.value.amount'],
    });
    await postPayroll(preparer, client.id, {
      periodStart: '2026-01-04',
      periodEnd: '2026-01-17',
      checkDate: '2026-01-23',
    });
    await preparer('POST', `/employees/${client.employeeIds[0] ?? ''}/facts`, {
      kind: 'pay',
      from: '2026-01-18',
      value: { basis: 'salary', amount: '4000.00', frequency: 'biweekly' },
      confirmed: ['doubt.rate-moved fact.value.amount'],
    });
    await postPayroll(preparer, client.id, {
      periodStart: '2026-01-18',
      periodEnd: '2026-01-31',
      checkDate: '2026-02-06',
    });
    // All that January has gathered is due the business day after the check that reaches it, then Wednesdays.
    expect([await due('2026-01-09'), await due('2026-01-23'), await due('2026-02-06')]).toEqual([
      '2026-01-26',
      '2026-01-26',
      '2026-02-11',
    ]);
    await stack.console('date', { today: '2026-02-06' });
    expect((await view()).depositScheduleWhy).toMatch(/100,000.00 were reached with the check of Fri, Jan 23, 2026/);
  });
  it('follows the ledger once it has the four quarters', async () => {
    await stack.console('date', { today: '2028-01-04' });
    const said = await view();
    expect(said.depositSchedule).toBe('monthly');
    expect(said.depositScheduleWhy).toMatch(/Lookback taxes of 0.00.*ledger, Q3 2026 to Q2 2027/);
    expect(await listed()).toBe('monthly');
  });
});
