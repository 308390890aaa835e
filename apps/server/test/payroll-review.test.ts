import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

const SECOND = { periodStart: '2026-10-25', periodEnd: '2026-11-07', checkDate: '2026-11-13' };
interface Review {
  readonly against: string | null;
  readonly rows: { kind: string; employeeId: string; grossChange: number; causes: string[]; unusual: string | null }[];
  readonly cash: { what: string; day: string | null; amount: number }[];
  readonly cost: number;
}
const review = async (id: string): Promise<Review> =>
  (await preparer('GET', `/payrolls/${id}/review`)).body as unknown as Review;
const view = async (id: string) =>
  (await preparer('GET', `/payrolls/${id}`)).body as unknown as {
    version: number;
    gross: number;
    net: number;
    persons: {
      employeeId: string;
      deductions: object[];
      earnings: object[];
      paycheck: { taxes: { payer: string; amount: number }[] };
    }[];
    employerTaxes: { amount: number }[];
  };

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'YARD', 4);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the review of a payroll', () => {
  it('says who moved and why, by the money at stake, and leaves who did not to the end', async () => {
    const first = await postPayroll(preparer, client.id);
    expect((await review(first)).rows.map(({ kind }) => kind)).toEqual(['first', 'first', 'first', 'first']);
    const { id } = (await preparer('POST', `/clients/${client.id}/payrolls`, { ...SECOND, kind: 'regular' })).body as {
      id: string;
    };
    const [raised = '', shorter = '', gone = '', same = ''] = client.employeeIds;
    await preparer('POST', `/employees/${raised}/facts`, {
      kind: 'federal-certificate',
      from: '2026-11-01',
      value: { form: '2020', filingStatus: 'married-jointly' },
    });
    const before = await view(id);
    const lines = (employeeId: string, hours: string, rate: string, isPaid = true) => ({
      employeeId,
      isPaid,
      deductions: [],
      earnings: isPaid ? [{ item: 'regular', hours, rate }] : [],
    });
    const saved = await preparer('PUT', `/payrolls/${id}`, {
      version: before.version,
      entries: [
        lines(raised, '80', '40.00'),
        lines(shorter, '60', '31.40'),
        lines(gone, '', '', false),
        lines(same, '80', '31.40'),
      ],
    });
    expect([saved.status, saved.body.detail]).toEqual([200, undefined]);
    const { rows, against } = await review(id);
    expect(against).toBe('2026-10-30');
    expect(rows.map(({ employeeId, kind, grossChange }) => [employeeId, kind, grossChange])).toEqual([
      [gone, 'missing', -251_200],
      [raised, 'moved', 68_800],
      [shorter, 'moved', -62_800],
      [same, 'same', 0],
    ]);
    expect(rows[1]?.causes).toEqual(['Regular rate 31.40 to 40.00', 'W-4 changed']);
    expect(rows[2]?.causes).toEqual(['Regular hours 80 to 60']);
    const now = await view(id);
    const { cash, cost } = await review(id);
    // What leaves is what is paid: net pay, what was withheld, what the employer owes.
    const withheld = now.persons
      .flatMap(({ paycheck }) => paycheck.taxes.filter(({ payer }) => payer === 'employee'))
      .reduce((total, { amount }) => total + amount, 0);
    const employer = now.employerTaxes.reduce((total, { amount }) => total + amount, 0);
    expect(cash.reduce((total, { amount }) => total + amount, 0)).toBe(now.net + withheld + employer);
    expect(cost).toBe(now.gross + employer);
    expect(cash.find(({ what }) => what === 'Net pay')?.day).toBe('2026-11-13');
    expect(cash.filter(({ day }) => day !== null).length).toBeGreaterThan(2);
  });
  it('off the calendar misses nobody, and has nothing of the regular checks to compare', async () => {
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-11-08',
        periodEnd: '2026-11-20',
        checkDate: '2026-11-20',
        kind: 'extra',
      })
    ).body as { id: string };
    const { version } = await view(id);
    await preparer('PUT', `/payrolls/${id}`, {
      version,
      entries: [
        {
          employeeId: client.employeeIds[0],
          isPaid: true,
          earnings: [{ item: 'bonus', amount: '500.00' }],
          deductions: [],
        },
      ],
    });
    expect((await review(id)).rows.map(({ kind, causes }) => [kind, causes])).toEqual([['first', ['first check']]]);
  });
});

// Publication 15, section 7: 22 percent of 5,000.00 at the flat rate.
describe('supplemental pay in the review', () => {
  it('stands both ways, and the way of the client is what the check has', async () => {
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-11-08',
        periodEnd: '2026-11-21',
        checkDate: '2026-11-20',
        kind: 'extra',
      })
    ).body as { id: string };
    const [paid = ''] = client.employeeIds;
    const before = await view(id);
    const saved = await preparer('PUT', `/payrolls/${id}`, {
      version: before.version,
      entries: before.persons.map(({ employeeId }) => ({
        employeeId,
        isPaid: employeeId === paid,
        deductions: [],
        earnings: employeeId === paid ? [{ item: 'bonus', amount: '5000.00' }] : [],
      })),
    });
    expect(saved.status).toBe(200);
    type Ways = {
      chosen: string;
      ways: { method: string; amount: number; incomeTax: number; net: number; problem: string }[];
    }[];
    const ways = async (): Promise<Ways> => (await preparer('GET', `/payrolls/${id}/review`)).body.supplemental as Ways;
    const [one] = await ways();
    const of = (method: string) => one?.ways.find((way) => way.method === method);
    expect([one?.chosen, of('flat')?.amount, of('flat')?.problem, of('aggregate')?.problem]).toEqual([
      'flat',
      500_000,
      '',
      '',
    ]);
    const now = await view(id);
    expect(of('flat')?.net).toBe(now.net);
    expect(of('aggregate')?.net).not.toBe(now.net);
    // Chosen for the client, the other way is what the check comes to.
    const chosen = await preparer('POST', `/clients/${client.id}/facts`, {
      kind: 'withholding',
      from: '2026-11-15',
      value: { withholdingMethod: 'percentage', supplementalMethod: 'aggregate' },
    });
    expect([chosen.status, chosen.body.detail]).toEqual([201, undefined]);
    expect([(await view(id)).net, (await ways())[0]?.chosen]).toEqual([of('aggregate')?.net, 'aggregate']);
  });
});
