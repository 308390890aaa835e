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

interface Cost {
  readonly job: string;
  readonly gross: number;
  readonly employerTaxes: number;
}
interface View {
  readonly version: number;
  readonly jobs: Cost[];
  readonly journal: { account: string; detail: string; amount: number }[];
  readonly employerTaxes: { amount: number }[];
  readonly persons: { employeeId: string; earnings: object[]; deductions: object[]; isPaid: boolean }[];
}
const view = async (id: string): Promise<View> => (await preparer('GET', `/payrolls/${id}`)).body as View;
const total = (amounts: readonly number[]): number => amounts.reduce((running, amount) => running + amount, 0);

describe('pay booked to jobs', () => {
  it('is in the payroll, its journal and the report of the quarter, as it was when it was posted', async () => {
    const client = await takeOn(preparer, 'JOBS', 2);
    const [split = '', plain = ''] = client.employeeIds;
    const book = (lines: object[], from: string) =>
      preparer('POST', `/employees/${split}/facts`, { kind: 'jobs', from, value: { lines } });
    const refused = await book([{ job: 'Pier 4', percent: '60' }], '2026-01-01');
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringContaining('add up to 60%')]);
    await book(
      [
        { job: 'Pier 4', percent: '60' },
        { job: 'Ferry house', percent: '40' },
      ],
      '2026-01-01',
    );
    const days = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
    const { id } = (await preparer('POST', `/clients/${client.id}/payrolls`, { ...days, kind: 'regular' })).body as {
      id: string;
    };
    const opened = await view(id);
    const entries = opened.persons.map(({ employeeId, earnings, deductions, isPaid }) => ({
      employeeId,
      isPaid,
      deductions,
      earnings: employeeId === plain ? [...earnings, { item: 'bonus', amount: '100.00', job: 'Dry dock' }] : earnings,
    }));
    const saved = await preparer('PUT', `/payrolls/${id}`, { version: opened.version, entries });
    expect([saved.status, saved.body.problems ?? []]).toEqual([200, []]);
    const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: saved.body.version });
    const posted = (await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version })).body as View;
    // 80 hours at 31.40 are 2,512.00: 60 percent of one person, the other's belong to no job but for the bonus.
    expect(posted.jobs.map(({ job, gross }) => [job, gross])).toEqual([
      ['Dry dock', 10_000],
      ['Ferry house', 100_480],
      ['Pier 4', 150_720],
      ['', 251_200],
    ]);
    expect(total(posted.jobs.map((cost) => cost.employerTaxes))).toBe(
      total(posted.employerTaxes.map((tax) => tax.amount)),
    );
    const wages = posted.journal.filter((line) => line.account === 'wages-expense');
    expect(wages.map((line) => [line.detail, line.amount])).toEqual([
      ['Gross pay, Dry dock', 10_000],
      ['Gross pay, Ferry house', 100_480],
      ['Gross pay, Pier 4', 150_720],
      ['Gross pay', 251_200],
    ]);
    expect(total(posted.journal.map((line) => line.amount))).toBe(0);
    const stored = (await stack.dataSource.query(
      `SELECT l.detail, l.amount FROM journal_line l JOIN journal_entry e ON e.id = l.journal_entry_id
       WHERE e.payroll_id = $1 AND l.account = 'wages-expense' ORDER BY l.position`,
      [id],
    )) as { detail: string; amount: string }[];
    expect(stored.map((line) => [line.detail, Number(line.amount)])).toEqual(
      wages.map((line) => [line.detail, line.amount]),
    );

    // What is booked otherwise later does not move what was posted.
    await book([{ job: 'Ferry house', percent: '100' }], '2026-01-01');
    expect((await view(id)).jobs).toEqual(posted.jobs);
    const report = await preparer('GET', `/clients/${client.id}/job-costs?year=2026&quarter=4`);
    expect(report.body).toEqual([
      { ...posted.jobs[0], people: 1 },
      { ...posted.jobs[1], people: 1 },
      { ...posted.jobs[2], people: 1 },
      { ...posted.jobs[3], people: 1 },
    ]);
    expect((await preparer('GET', `/clients/${client.id}/job-costs?year=2026&quarter=3`)).body).toEqual([]);
    expect((await preparer('GET', `/clients/${client.id}/job-costs?year=2026&quarter=5`)).status).toBe(422);
  });
});
