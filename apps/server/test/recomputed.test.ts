import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { RecomputedView } from '@zakat/contract/payrolls';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'AGAIN', 2);
  await postPayroll(preparer, client.id, {
    periodStart: '2026-10-11',
    periodEnd: '2026-10-24',
    checkDate: '2026-10-30',
  });
  await postPayroll(preparer, client.id, {
    periodStart: '2026-10-25',
    periodEnd: '2026-11-07',
    checkDate: '2026-11-13',
  });
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const again = async (): Promise<RecomputedView> =>
  (await preparer('GET', `/clients/${client.id}/recomputed?year=2026`)).body as RecomputedView;

describe('posted checks worked out again', () => {
  it('come to what was posted while nothing has changed, each with its own year to date', async () =>
    expect(await again()).toEqual({
      year: 2026,
      looked: 4,
      totals: [],
      checks: [],
      foundBy: 'review',
      more: 0,
      closed: [],
    }));
  it('show whom a certificate with an earlier date moves, by how much, and change nothing', async () => {
    const [first = ''] = client.employeeIds;
    const ledger = () => stack.dataSource.query('SELECT count(*), sum(amount) FROM ledger_entry');
    const before: unknown = await ledger();
    const recorded = await preparer('POST', `/employees/${first}/facts`, {
      kind: 'federal-certificate',
      from: '2026-11-10',
      value: { form: '2020', filingStatus: 'single', extraWithholding: '25.00' },
      confirmed: ['doubt.past', 'doubt.contradicts from'],
    });
    expect([recorded.status, recorded.body.detail]).toEqual([201, undefined]);
    const view = await again();
    // Only the second check is of a day on which it was in force.
    expect(view.foundBy).toBe('review');
    expect(view.checks.map(({ employeeId, checkDate, causes }) => [employeeId, checkDate, causes])).toEqual([
      [first, '2026-11-13', ['Form W-4']],
    ]);
    const [tax] = view.checks[0]?.taxes ?? [];
    expect([tax?.tax, tax?.payer]).toEqual(['US-FIT', 'employee']);
    expect(view.totals).toEqual([{ ...tax, checks: 1 }]);
    expect(await ledger()).toEqual(before);
  });
  it('show what a rate that was notified late owes, and for whom', async () => {
    const { taxAccounts } = (await preparer('GET', `/clients/${client.id}`)).body as {
      taxAccounts: { agency: string; unemploymentRate: string | null; accountNumber: string }[];
    };
    const account = taxAccounts.find(({ unemploymentRate }) => unemploymentRate !== null);
    expect(account).toBeDefined();
    const noted = await preparer('POST', `/clients/${client.id}/tax-accounts`, {
      agency: account?.agency,
      accountNumber: account?.accountNumber,
      from: '2026-10-01',
      unemploymentRate: '9.9',
    });
    expect([noted.status, noted.body.detail]).toEqual([201, undefined]);
    const view = await again();
    const moved = view.totals.find(({ payer }) => payer === 'employer');
    expect([moved?.checks, (moved?.now ?? 0) > (moved?.posted ?? 0)]).toEqual([4, true]);
    expect(view.checks.every(({ causes }) => causes.includes('unemployment rate'))).toBe(true);
    expect(view.foundBy).toBe('rate');
  });
  it('are asked for by year', async () =>
    expect((await preparer('GET', `/clients/${client.id}/recomputed?year=soon`)).status).toBe(422));
});
