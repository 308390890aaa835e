import type { LadderView } from '@zakat/contract/filings';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { cents, toDollars } from '@zakat/core/money/cents';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const DAYS = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
interface View {
  readonly id: string;
  readonly version: number;
  readonly persons: {
    readonly employeeId: string;
    readonly isPaid: boolean;
    readonly earnings: object[];
    readonly deductions: object[];
    readonly withheld?: { tax: string; amount: string }[];
    readonly paycheck: {
      readonly net: number;
      readonly taxes: { code: string; payer: string; amount: number }[];
      readonly variances?: { code: string; label: string; withheld: number; computed: number }[];
    };
  }[];
  readonly journal: { amount: number }[];
}
const start = async (clientId: string, kind: string): Promise<View> => {
  const { id } = (await preparer('POST', `/clients/${clientId}/payrolls`, { ...DAYS, kind })).body as { id: string };
  return (await preparer('GET', `/payrolls/${id}`)).body as View;
};
const save = (view: View, withheld: { tax: string; amount: string; reason?: string }[]) =>
  preparer('PUT', `/payrolls/${view.id}`, {
    version: view.version,
    entries: view.persons.map(({ employeeId, isPaid, earnings, deductions }, index) => ({
      employeeId,
      isPaid,
      earnings,
      deductions,
      ...(index === 0 ? { withheld } : {}),
    })),
  });

describe('a payroll that another program paid', () => {
  it('is booked with what that withheld, and says where it differs', async () => {
    const client = await takeOn(preparer, 'RECORD', 1);
    const opened = await start(client.id, 'recorded');
    const computed = opened.persons[0]?.paycheck.taxes.find((tax) => tax.code === 'US-FIT')?.amount ?? 0;
    const saved = await save(opened, [{ tax: 'US-FIT', amount: toDollars(cents(computed - 140)) }]);
    expect(saved.status).toBe(200);
    const reviewed = await preparer('POST', `/payrolls/${opened.id}/review`, { version: saved.body.version });
    const posted = (await preparer('POST', `/payrolls/${opened.id}/post`, { version: reviewed.body.version }))
      .body as View;
    const [person] = posted.persons;
    expect(person?.paycheck.variances).toEqual([
      { code: 'US-FIT', label: 'Federal income tax', withheld: computed - 140, computed },
    ]);
    expect(person?.paycheck.net).toBe((opened.persons[0]?.paycheck.net ?? 0) + 140);
    expect(posted.journal.reduce((total, line) => total + line.amount, 0)).toBe(0);
    const ledger = (await preparer('GET', `/clients/${client.id}/ledger?year=2026&quarter=4&group=US-FIT`)).body as {
      amount: number;
    }[];
    expect(ledger.map((entry) => entry.amount)).toEqual([computed - 140]);
    const trail = (await stack.dataSource.query(
      `SELECT detail->>'withheld' AS withheld FROM audit_entry WHERE action = 'payroll.save' AND subject_id = $1`,
      [opened.id],
    )) as { withheld: string }[];
    expect(trail).toEqual([{ withheld: '1' }]);
    // Nobody is paid a second time.
    const planned = await preparer('POST', `/payrolls/${opened.id}/direct-deposit`, { bankAccountId: client.bankId });
    expect([planned.status, JSON.stringify(planned.body)]).toEqual([409, expect.stringContaining('paid elsewhere')]);
    const ladder = ((await preparer('GET', '/ladder')).body as LadderView).rungs;
    expect(JSON.stringify(ladder)).not.toContain(`/payrolls/${opened.id}#paid`);
  });
  it('takes the place of the regular one of its period, and the next begins after it', async () => {
    const client = await takeOn(preparer, 'PLACE', 1);
    await start(client.id, 'recorded');
    const again = await preparer('POST', `/clients/${client.id}/payrolls`, { ...DAYS, kind: 'regular' });
    expect([again.status, JSON.stringify(again.body)]).toEqual([409, expect.stringContaining('period')]);
    const next = (await preparer('GET', `/clients/${client.id}/next-payroll`)).body as { periodStart: string };
    expect(next.periodStart).toBe('2026-10-25');
  });
  it.each([
    ['REG', 'regular', [{ tax: 'US-FIT', amount: '61.00' }], 'no reason'],
    ['FICA', 'regular', [{ tax: 'US-OASDI-EE', amount: '61.00', reason: 'asked for' }], 'fixed share of the wages'],
    ['OWED', 'recorded', [{ tax: 'US-HI-ER', amount: '61.00' }], 'not withheld from pay'],
    ['WORD', 'recorded', [{ tax: 'US-FIT', amount: 'some' }], 'not an amount'],
  ])('%s: of the kind %s does not take %j', async (key, kind, withheld, words) => {
    const client = await takeOn(preparer, key, 1);
    const opened = await start(client.id, kind);
    const saved = await save(opened, withheld);
    if (kind === 'regular') {
      expect([saved.status, JSON.stringify(saved.body)]).toEqual([422, expect.stringContaining(words)]);
      return;
    }
    const reviewed = await preparer('POST', `/payrolls/${opened.id}/review`, { version: saved.body.version });
    expect([reviewed.status, JSON.stringify(reviewed.body)]).toEqual([422, expect.stringContaining(words)]);
  });
  it('an income tax of a payroll that is paid here is overridden for a reason, and restored', async () => {
    const client = await takeOn(preparer, 'OVER', 1);
    const opened = await start(client.id, 'regular');
    const reason = 'Asked for in writing, October 20';
    const saved = await save(opened, [{ tax: 'US-FIT', amount: '300.00', reason }]);
    expect([saved.status, saved.body.detail]).toEqual([200, undefined]);
    interface Checked {
      readonly version: number;
      readonly persons: {
        paycheck: { taxes: { code: string; amount: number }[]; variances?: { computed: number; withheld: number }[] };
      }[];
    }
    const fit = (view: Checked): number | undefined =>
      view.persons[0]?.paycheck.taxes.find(({ code }) => code === 'US-FIT')?.amount;
    const own = saved.body as unknown as Checked;
    const computed = own.persons[0]?.paycheck.variances?.[0]?.computed ?? 0;
    expect([fit(own), computed > 0]).toEqual([30_000, true]);
    const restored = await save({ ...opened, version: own.version }, []);
    expect(fit(restored.body as unknown as Checked)).toBe(computed);
  });
});
