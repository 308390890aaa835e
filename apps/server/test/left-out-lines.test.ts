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

interface Line {
  readonly item?: string;
  readonly label: string;
  readonly amount: number;
  readonly computed?: number;
  readonly owed?: number;
  readonly arrears?: number;
}
interface Person {
  readonly employeeId: string;
  readonly isPaid: boolean;
  readonly earnings: object[];
  readonly deductions: object[];
  readonly leftOut?: { line: string; reason: string }[];
  readonly overridden?: { line: string; amount: string; reason: string; isOwed?: boolean }[];
  readonly paycheck: {
    net: number;
    deductions: Line[];
    garnishments: Line[];
    problems: { severity: string; sentence: string }[];
  };
}
interface View {
  readonly id: string;
  readonly version: number;
  readonly status: string;
  readonly persons: Person[];
}
const REASON = 'lifted by the agency on 19 October';
const fact = (kind: string, value: Record<string, unknown>, from = '2026-01-01') => ({ kind, from, value });

/** A client with one person, who has an order, a loan and what the facts add. */
async function onePerson(key: string, facts: ReturnType<typeof fact>[]) {
  const client = await takeOn(preparer, key, 1);
  const person = client.employeeIds[0] ?? '';
  for (const one of facts) expect((await preparer('POST', `/employees/${person}/facts`, one)).status).toBeLessThan(300);
  const open = async (days: readonly [string, string, string], kind = 'regular'): Promise<View> => {
    const [periodStart, periodEnd, checkDate] = days;
    const made = await preparer('POST', `/clients/${client.id}/payrolls`, { periodStart, periodEnd, checkDate, kind });
    return (await preparer('GET', `/payrolls/${String(made.body.id)}`)).body as unknown as View;
  };
  const save = (view: View, change: Partial<Person>) =>
    preparer('PUT', `/payrolls/${view.id}`, {
      version: view.version,
      entries: view.persons.map(({ employeeId, isPaid, earnings, deductions, leftOut }) => ({
        employeeId,
        isPaid,
        earnings,
        deductions,
        ...(leftOut ? { leftOut } : {}),
        ...change,
      })),
    });
  const post = async (view: View): Promise<View> => {
    const reviewed = await preparer('POST', `/payrolls/${view.id}/review`, { version: view.version });
    expect(reviewed.body.problems ?? []).toEqual([]);
    return (await preparer('POST', `/payrolls/${view.id}/post`, { version: reviewed.body.version }))
      .body as unknown as View;
  };
  return { client, person, open, save, post };
}
const FIRST = ['2026-09-27', '2026-10-10', '2026-10-16'] as const;
const SECOND = ['2026-10-11', '2026-10-24', '2026-10-30'] as const;
const check = (view: View) => view.persons[0]?.paycheck;

describe('lines left out of a check', () => {
  const order = fact('garnishment', { label: 'D-4471', kind: 'child-support', amount: '115.00' });
  const loan = fact('standing', { item: 'loan', amount: '90.00', balance: '150.00' });

  it('are not taken, warn, stand in the trail with their reason, and are in the next check again', async () => {
    const { person, open, save, post } = await onePerson('LEFTOUT', [order, loan]);
    const before = await open(FIRST);
    const leftOut = [
      { line: 'order:D-4471', reason: REASON },
      { line: 'item:loan', reason: 'not this time' },
    ];
    const saved = (await save(before, { leftOut })).body as unknown as View;
    expect(saved.persons[0]?.leftOut).toEqual(leftOut);
    expect([check(saved)?.garnishments, check(saved)?.deductions]).toEqual([[], []]);
    expect(check(saved)?.net).toBe((check(before)?.net ?? 0) + 11_500 + 9000);
    expect(check(saved)?.problems.map(({ severity, sentence }) => [severity, sentence.includes(REASON)])).toEqual([
      ['warning', true],
    ]);
    const trail = (await preparer('GET', '/audit')).body.rows as unknown as { action: string; detail: object }[];
    expect(trail.find(({ action }) => action === 'payroll.save')?.detail).toMatchObject({
      leftOut: leftOut.map((line) => ({ employeeId: person, ...line })),
    });
    const posted = await post(saved);
    // Once posted it says so still, and the loan has not fallen.
    expect([posted.status, posted.persons[0]?.leftOut, check(posted)?.garnishments]).toEqual(['posted', leftOut, []]);
    const next = await open(SECOND);
    expect([next.persons[0]?.leftOut, check(next)?.garnishments[0]?.amount]).toEqual([undefined, 11_500]);
    expect(check(next)?.deductions[0]?.amount).toBe(9000);
  });

  it('come in again when the entry no longer leaves them out', async () => {
    const { open, save } = await onePerson('AGAIN', [order, loan]);
    const before = await open(FIRST);
    const out = (await save(before, { leftOut: [{ line: 'order:D-4471', reason: REASON }] })).body as unknown as View;
    expect(check(out)?.garnishments).toEqual([]);
    const again = (await save(out, { leftOut: [] })).body as unknown as View;
    expect([check(again)?.net, again.persons[0]?.leftOut]).toEqual([check(before)?.net, undefined]);
  });

  it('are refused without a line and a reason of their own, and nothing is saved', async () => {
    const { open, save } = await onePerson('REFUSE', [order]);
    const before = await open(FIRST);
    for (const leftOut of [
      [{ line: 'order:D-4471', reason: '' }],
      [{ line: 'order:D-4471' }],
      [{ reason: REASON }],
      [{ line: 'order:D-4471', reason: REASON, amount: 5 }],
      [{ line: 'order:D-4471', reason: 'x'.repeat(121) }],
    ])
      expect((await save(before, { leftOut } as unknown as Partial<Person>)).status).toBe(400);
    const after = (await preparer('GET', `/payrolls/${before.id}`)).body as unknown as View;
    expect([after.version, check(after)?.garnishments.length]).toEqual([before.version, 1]);
  });
  it('cannot be reviewed with a reason of spaces', async () => {
    const { open, save } = await onePerson('SPACES', [order]);
    const saved = (await save(await open(FIRST), { leftOut: [{ line: 'order:D-4471', reason: '   ' }] }))
      .body as unknown as View;
    const refused = await preparer('POST', `/payrolls/${saved.id}/review`, { version: saved.version });
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([422, expect.stringContaining('leftOut')]);
  });
});

describe('lines of which a check takes another amount', () => {
  const premium = fact('standing', { item: 'section-125-health', amount: '62.00' });
  const short = [{ line: 'item:section-125-health', amount: '20.00', reason: 'short week', isOwed: true }];
  it('keep the computed one beside it; what is owed is taken by the next check, and again owed once that is void', async () => {
    const { client, person, open, save, post } = await onePerson('OWED', [premium]);
    const saved = (await save(await open(FIRST), { overridden: short })).body as unknown as View;
    expect(check(saved)?.deductions).toMatchObject([{ amount: 2_000, computed: 6_200, owed: 4_200 }]);
    expect(check(saved)?.problems[0]?.sentence).toMatch(/20.00 of 62.00 is taken: short week. 42.00 is owed/);
    const trail = (await preparer('GET', '/audit')).body.rows as unknown as { action: string; detail: object }[];
    expect(trail.find(({ action }) => action === 'payroll.save')?.detail).toMatchObject({
      changed: short.map((line) => ({ employeeId: person, ...line })),
    });
    const posted = await post(saved);
    expect([posted.persons[0]?.overridden, check(posted)?.deductions[0]]).toMatchObject([short, { owed: 4_200 }]);
    const next = await open(SECOND);
    expect(next.persons[0]?.deductions).toEqual([{ item: 'section-125-health', amount: '62.00', arrears: '42.00' }]);
    expect(check(next)?.deductions).toMatchObject([{ amount: 10_400, arrears: 4_200 }]);
    const paid = await post(next);
    const third = ['2026-10-25', '2026-11-07', '2026-11-13'] as const;
    const later = await open(third);
    expect(later.persons[0]?.deductions).toEqual([{ item: 'section-125-health', amount: '62.00' }]);
    await preparer('POST', `/payrolls/${later.id}/discard`, { version: later.version });
    // A copy is of what is due every time, not of what was made up for once.
    const copy = await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: third[0],
      periodEnd: third[1],
      checkDate: third[2],
      kind: 'regular',
      copyOf: paid.id,
    });
    const copied = (await preparer('GET', `/payrolls/${String(copy.body.id)}`)).body as unknown as View;
    expect(copied.persons[0]?.deductions).toEqual([{ item: 'section-125-health', amount: '62.00' }]);
    await preparer('POST', `/payrolls/${copied.id}/discard`, { version: copied.version });
    const reviewer = await stack.signIn('Alder', 'reviewer');
    const checks = (await preparer('GET', `/payrolls/${paid.id}/voids`)).body as { checks?: { paycheckId: string }[] };
    const proposed = await preparer('POST', `/payrolls/${paid.id}/voids`, {
      paycheckIds: (checks.checks ?? []).map(({ paycheckId }) => paycheckId),
      reason: 'paid by mistake',
    });
    const { id } = proposed.body as { id: string };
    const view = (await reviewer('GET', `/voids/${id}`)).body as { version: number };
    expect((await reviewer('POST', `/voids/${id}/post`, { version: view.version })).status).toBeLessThan(300);
    const after = await open(third);
    expect(after.persons[0]?.deductions).toEqual([{ item: 'section-125-health', amount: '62.00', arrears: '42.00' }]);
    // Once the line has ended nothing takes what is owed by itself: it is said.
    await preparer('POST', `/payrolls/${after.id}/discard`, { version: after.version });
    const ended = fact('standing', { item: 'section-125-health', amount: '62.00', until: '2026-10-31' }, '2026-10-01');
    expect(
      (await preparer('POST', `/employees/${person}/facts`, { ...ended, confirmed: ['doubt.contradicts from'] }))
        .status,
    ).toBeLessThan(300);
    const without = (await open(third)) as View & { persons: { note: string }[] };
    expect([without.persons[0]?.deductions, without.persons[0]?.note]).toEqual([
      [],
      '42.00 of Health, section 125 is owed from earlier checks, and no line takes it.',
    ]);
  });
  it('are refused without a reason, and not reviewed beyond what the law allows', async () => {
    const { open, save } = await onePerson('OVERLAW', [
      fact('garnishment', { label: 'D-4471', kind: 'child-support', amount: '115.00' }),
    ]);
    const before = await open(FIRST);
    const line = { line: 'order:D-4471', amount: '99999.00', reason: 'as the letter says' };
    for (const wrong of [
      { ...line, reason: '' },
      { line: line.line, amount: '1.00' },
      { ...line, owed: true },
    ])
      expect((await save(before, { overridden: [wrong] } as unknown as Partial<Person>)).status).toBe(400);
    const strange = await save(before, { overridden: [{ ...line, line: 'item:loan' }] });
    expect([strange.status, strange.body.problems[0].field]).toEqual([422, 'entries[0].overridden[0].line']);
    const dues = { item: 'union-dues', amount: '9.00' };
    const twice = await save(before, {
      deductions: [dues, dues],
      overridden: [{ ...line, line: 'item:union-dues', amount: '5.00' }],
    });
    expect([twice.status, JSON.stringify(twice.body.problems)]).toEqual([
      422,
      expect.stringMatching(/more than one line/),
    ]);
    const saved = (await save(before, { overridden: [line] })).body as unknown as View;
    const refused = await preparer('POST', `/payrolls/${saved.id}/review`, { version: saved.version });
    expect([refused.status, JSON.stringify(refused.body)]).toEqual([
      422,
      expect.stringMatching(/more than the law allows of this check/),
    ]);
  });
});

describe('last year’s wages and catch-up deferrals', () => {
  const born = '1970-05-04';
  const salary = fact('pay', { basis: 'salary', amount: '900000.00', frequency: 'annually' }, '2025-01-01');
  const deferral = fact('standing', { item: '401k', amount: '26000.00' });

  it('are known from the checks of that year', async () => {
    const { person, open, post } = await onePerson('ROTH', [salary]);
    await stack.dataSource.query('UPDATE employee SET born_on = $2 WHERE id = $1', [person, born]);
    const over = await open(['2025-12-07', '2025-12-20', '2025-12-26']);
    await post(over);
    // One check of 34,615.38 in 2025 is under the mark: the catch-up may still be before tax.
    await preparer('POST', `/employees/${person}/facts`, deferral);
    const under = await open(FIRST);
    expect(check(under)?.deductions[0]?.amount).toBe(2_600_000);
    expect(check(under)?.problems).toEqual([]);
  });
  it('are asked for where nobody knows them, and hold the deferral once the fact says more than the mark', async () => {
    const { person, open } = await onePerson('ROTHFACT', [salary, deferral]);
    await stack.dataSource.query('UPDATE employee SET born_on = $2 WHERE id = $1', [person, born]);
    const unknown = await open(FIRST);
    expect(check(unknown)?.problems[0]?.sentence).toContain('must be Roth');
    await preparer('POST', `/employees/${person}/facts`, fact('worker', { priorYearWages: '176100.00' }));
    const known = (await preparer('GET', `/payrolls/${unknown.id}`)).body as unknown as View;
    expect(check(known)?.deductions[0]?.amount).toBe(2_450_000);
    expect(check(known)?.problems[0]?.sentence).toContain('may only be Roth');
  });
});
