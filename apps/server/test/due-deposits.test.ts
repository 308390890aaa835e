import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
const clients: string[] = [];

interface Row {
  readonly clientId: string;
  readonly family: string;
  readonly due: string | null;
  readonly amount: number;
  readonly status: string;
  readonly isLate: boolean;
  readonly remittanceId: string | null;
  readonly version: number | null;
  readonly penalty: number | null;
}
interface Done {
  readonly key: string;
  readonly refused: string | null;
}
interface View {
  readonly rows: Row[];
  readonly cash: { amount: number; settles: string }[];
}
const view = async (): Promise<View> => (await preparer('GET', '/due-deposits')).body as unknown as View;
const federal = async (): Promise<Row[]> => (await view()).rows.filter(({ family }) => family === 'US-941');
const many = async (caller: Caller, act: string, body: object): Promise<Done[]> =>
  (await caller('POST', `/due-deposits/${act}`, body)).body as unknown as Done[];
const deposits = (rows: readonly Row[]) => ({
  deposits: rows.map(({ clientId, family, due, amount }) => ({ clientId, family, due, amount })),
});
const payments = (rows: readonly Row[]) => ({
  payments: rows.map(({ remittanceId, version }) => ({ id: remittanceId, version })),
});

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  for (const key of ['ONE', 'TWO', 'THREE']) {
    const { id } = await takeOn(preparer, key, 1);
    clients.push(id);
    await postPayroll(preparer, id);
  }
  // Long past its day: a payroll of August.
  await postPayroll(preparer, clients[2] ?? '', {
    periodStart: '2026-08-02',
    periodEnd: '2026-08-15',
    checkDate: '2026-08-21',
  });
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the deposits of every client', () => {
  it('stand in one list with what a late one would be fined', async () => {
    const rows = await federal();
    expect(rows.map(({ isLate, status }) => `${status} ${isLate}`)).toEqual([
      'open true',
      'open false',
      'open false',
      'open false',
    ]);
    // More than fifteen days late: 10% (26 U.S.C. § 6656(b)(1)).
    expect(rows.map(({ penalty }) => penalty)).toEqual([Math.round((rows[0]?.amount ?? 0) / 10), null, null, null]);
  });
  it('are scheduled together; one whose amount has moved stops none of the others', async () => {
    const [late, ...rows] = await federal();
    if (!late) throw new Error('no late deposit');
    const moved = rows.map((row, index) => (index === 0 ? { ...row, amount: row.amount + 1 } : row));
    const done = await many(preparer, 'schedule', deposits([late, ...moved]));
    expect(done.map(({ refused }) => refused === null)).toEqual([true, false, true, true]);
    const dollars = String(rows[0]?.amount ?? 0).replace(/(\d\d)$/, '.$1');
    expect(done[1]?.refused).toContain(`It comes to ${dollars} now`);
    expect((await federal()).map(({ status }) => status).sort()).toEqual(['open', 'planned', 'planned', 'planned']);
  });
  it('are approved and released together by another person, each once', async () => {
    const planned = (await federal()).filter(({ status }) => status === 'planned');
    expect((await many(preparer, 'approve', payments(planned))).every(({ refused }) => refused !== null)).toBe(true);
    const slipBefore = await reviewer('POST', '/due-deposits/slip', payments(planned));
    expect(slipBefore.body.mayRelease).toBe(false);
    expect((await many(reviewer, 'approve', payments(planned))).map(({ refused }) => refused)).toEqual([
      null,
      null,
      null,
    ]);
    const approved = (await federal()).filter(({ status }) => status === 'approved');
    // Scheduled and approved, what has not left by its day is late all the same.
    expect(approved.map(({ isLate, penalty }) => `${isLate} ${penalty !== null}`).sort()).toEqual([
      'false false',
      'false false',
      'true true',
    ]);
    expect((await view()).cash.reduce((total, { amount }) => total + amount, 0)).toBe(
      approved.reduce((total, { amount }) => total + amount, 0),
    );
    const slip = (await reviewer('POST', '/due-deposits/slip', payments(approved))).body as unknown as {
      amount: number;
      mayRelease: boolean;
      figures: object[];
    };
    expect([slip.mayRelease, slip.amount, slip.figures.length]).toEqual([
      true,
      approved.reduce((total, { amount }) => total + amount, 0),
      3,
    ]);
    const answers = await Promise.all(Array.from({ length: 3 }, () => many(reviewer, 'release', payments(approved))));
    const released = answers.flat().filter(({ refused }) => refused === null);
    expect(released.length).toBe(3);
    expect(new Set(released.map(({ key }) => key)).size).toBe(3);
    await until(
      async () => (await stack.received('bank')).length,
      (count) => count === 3,
    );
    expect((await federal()).map(({ status }) => status)).toEqual(['open']);
  });
});
