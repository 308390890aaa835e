import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { cents, showDollars } from '@zakat/core/money/cents';
import { Courier } from '../src/queue/courier.js';
import { Stack, postPayroll, takeOn, until, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

interface Deposit {
  family: string;
  due: string;
  settles: string;
  owed: number;
  liabilities: { tax: string; liabilityDate: string; owed: number; underWay: number }[];
}
const deposits = async (): Promise<Deposit[]> =>
  (await preparer('GET', `/clients/${client.id}/deposits`)).body as Deposit[];
const federal = async (): Promise<Deposit> => {
  const found = (await deposits()).find((deposit) => deposit.family === 'US-941');
  if (!found) throw new Error('no federal deposit is owed');
  return found;
};
const plan = async (deposit: Deposit, settles = deposit.settles) =>
  preparer('POST', `/clients/${client.id}/remittances`, {
    items: deposit.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
    bankAccountId: client.bankId,
    settles,
  });
const approved = async (id: string): Promise<number> =>
  (await reviewer('POST', `/remittances/${id}/approve`, { version: 1 })).body.version as number;
const payments = async (id: string): Promise<{ cause: string; total: string }[]> =>
  (await stack.dataSource.query(
    'SELECT cause, sum(amount) AS total FROM ledger_entry WHERE remittance_id = $1 GROUP BY cause ORDER BY cause',
    [id],
  )) as { cause: string; total: string }[];

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('posting', () => {
  it('ten at once post once', async () => {
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-09-27',
        periodEnd: '2026-10-10',
        checkDate: '2026-10-23',
        kind: 'regular',
      })
    ).body as { id: string };
    const { version } = (await preparer('POST', `/payrolls/${id}/review`, { version: 1 })).body as { version: number };
    const answers = await Promise.all(
      Array.from({ length: 10 }, (_, index) =>
        (index % 2 ? preparer : reviewer)('POST', `/payrolls/${id}/post`, { version }),
      ),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, ...Array.from({ length: 9 }, () => 409)]);
    const rows = (await stack.dataSource.query('SELECT count(*)::int AS checks FROM paycheck WHERE payroll_id = $1', [
      id,
    ])) as { checks: number }[];
    expect(rows[0]?.checks).toBe(2);
  });
  it('refuses when a certificate changed since the review', async () => {
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-10-11',
        periodEnd: '2026-10-24',
        checkDate: '2026-10-30',
        kind: 'regular',
      })
    ).body as { id: string };
    const { version } = (await preparer('POST', `/payrolls/${id}/review`, { version: 1 })).body as { version: number };
    await preparer('POST', `/employees/${client.employeeIds[0] ?? ''}/facts`, {
      kind: 'pay',
      from: '2026-10-01',
      value: { basis: 'hourly', rate: '40.00', hours: '80' },
      confirmed: ['doubt.contradicts from'],
    });
    await preparer('POST', `/employees/${client.employeeIds[0] ?? ''}/facts`, {
      kind: 'federal-certificate',
      from: '2026-10-01',
      value: { form: '2020', filingStatus: 'married-jointly' },
      confirmed: ['doubt.contradicts from'],
    });
    const refused = await preparer('POST', `/payrolls/${id}/post`, { version });
    expect([refused.status, refused.body.detail]).toEqual([409, expect.stringMatching(/moved since the review/)]);
    const reopened = await preparer('POST', `/payrolls/${id}/reopen`, { version });
    const again = await preparer('POST', `/payrolls/${id}/review`, { version: reopened.body.version });
    expect((await preparer('POST', `/payrolls/${id}/post`, { version: again.body.version })).status).toBe(200);
  });
  it('one that was never posted can be discarded, a posted one cannot', async () => {
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-12-01',
        periodEnd: '2026-12-14',
        checkDate: '2026-12-18',
        kind: 'extra',
      })
    ).body as { id: string };
    expect((await preparer('POST', `/payrolls/${id}/discard`, { version: 1 })).status).toBe(204);
    expect((await preparer('GET', `/payrolls/${id}`)).status).toBe(404);
    const [posted] = (
      (await preparer('GET', `/clients/${client.id}/payrolls`)).body as {
        id: string;
        status: string;
        version: number;
      }[]
    ).filter((row) => row.status === 'posted');
    expect((await preparer('POST', `/payrolls/${posted?.id ?? ''}/discard`, { version: posted?.version })).status).toBe(
      409,
    );
  });
  it('of a period that is there already is refused in words', async () => {
    const twice = await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: '2026-10-11',
      periodEnd: '2026-10-24',
      checkDate: '2026-10-30',
      kind: 'regular',
    });
    expect([twice.status, twice.body.detail]).toEqual([409, expect.stringMatching(/exists already/)]);
  });
});

describe('a payment', () => {
  it('one person cannot both prepare and approve; a preparer cannot release', async () => {
    const deposit = await federal();
    const own = (
      await reviewer('POST', `/clients/${client.id}/remittances`, {
        items: deposit.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
        bankAccountId: client.bankId,
        settles: deposit.settles,
      })
    ).body as { id: string };
    expect((await reviewer('POST', `/remittances/${own.id}/approve`, { version: 1 })).body.code).toBe('second-person');
    expect((await preparer('POST', `/remittances/${own.id}/approve`, { version: 1 })).body.code).toBe('role');
    expect((await preparer('POST', `/remittances/${own.id}/release`, { version: 1 })).status).toBe(409);
    expect((await preparer('POST', `/remittances/${own.id}/withdraw`, { version: 1 })).body.status).toBe('withdrawn');
  });
  it('a liability is covered by one remittance only', async () => {
    const deposit = await federal();
    const answers = await Promise.all([plan(deposit), plan(deposit), plan(deposit)]);
    expect(answers.map((answer) => answer.status).sort()).toEqual([201, 409, 409]);
    const made = answers.find((answer) => answer.status === 201)?.body as { id: string };
    await preparer('POST', `/remittances/${made.id}/withdraw`, { version: 1 });
  });
  it('asking for the slip changes nothing', async () => {
    const { id } = (await plan(await federal())).body as { id: string };
    const before = (await preparer('GET', `/remittances/${id}`)).body;
    const slip = (await reviewer('GET', `/remittances/${id}/slip`)).body;
    expect(slip.act).toBe('rehearsal');
    expect(slip.file).toContain('TXP*471234561*94105');
    expect((await preparer('GET', `/remittances/${id}`)).body).toEqual(before);
    expect(await stack.dataSource.query('SELECT * FROM outbox WHERE subject_id = $1', [id])).toEqual([]);
    await preparer('POST', `/remittances/${id}/withdraw`, { version: 1 });
  });
  it('released ten times at once, sent by several workers, asked after again and again: paid once', async () => {
    const deposit = await federal();
    const { id } = (await plan(deposit)).body as { id: string };
    const version = await approved(id);
    await stack.console('mood', { party: 'bank', mood: 'down' });
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => reviewer('POST', `/remittances/${id}/release`, { version })),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, ...Array.from({ length: 9 }, () => 409)]);
    expect((await stack.received('bank')).length).toBe(0);
    await stack.console('mood', { party: 'bank', mood: 'normal' });
    const rows = (await stack.dataSource.query('SELECT id, firm_id FROM outbox WHERE subject_id = $1', [id])) as {
      id: string;
      firm_id: string;
    }[];
    expect(rows.length).toBe(1);
    const courier = stack.app.get(Courier);
    const job = { firmId: rows[0]?.firm_id ?? '', outboxId: rows[0]?.id ?? '' };
    await Promise.all(Array.from({ length: 6 }, () => courier.attend(job)));
    expect((await stack.received('bank')).length).toBe(1);
    // Killed after the bank took the file and before that was noted: the row still waits, and is sent again.
    await stack.dataSource.query(`UPDATE outbox SET status = 'waiting', agency_reference = NULL WHERE id = $1`, [
      job.outboxId,
    ]);
    await courier.attend(job);
    expect((await stack.received('bank')).length).toBe(1);
    expect(await payments(id)).toEqual([]);

    await stack.console('date', { today: deposit.settles });
    await until(
      () => preparer('GET', `/remittances/${id}`),
      (answer) => answer.body.status === 'settled',
    );
    await Promise.all(Array.from({ length: 4 }, () => courier.attend(job)));
    expect(await payments(id)).toEqual([{ cause: 'payment', total: String(-deposit.owed) }]);
    expect((await deposits()).some((row) => row.family === 'US-941')).toBe(false);
  });
  it('that comes back after it settled opens the liabilities again, once', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2026-10-25',
      periodEnd: '2026-11-07',
      checkDate: '2026-11-13',
    });
    await stack.console('mood', { party: 'bank', mood: 'refuse' });
    const deposit = await federal();
    const { id } = (await plan(deposit)).body as { id: string };
    const released = await reviewer('POST', `/remittances/${id}/release`, { version: await approved(id) });
    expect([released.status, released.body.status]).toEqual([200, 'released']);
    await until(
      () => preparer('GET', `/remittances/${id}`),
      (answer) => /Sent once/.test(answer.body.delivery),
    );
    await stack.console('date', { today: deposit.settles });
    await until(
      () => preparer('GET', `/remittances/${id}`),
      (answer) => answer.body.status === 'settled',
    );
    await stack.console('date', { today: '2026-12-17' });
    const returned = await until(
      () => preparer('GET', `/remittances/${id}`),
      (answer) => answer.body.status === 'returned',
    );
    expect(returned.body.returnedReason).toBe('R01 Insufficient funds');
    expect(await payments(id)).toEqual([
      { cause: 'payment', total: String(-deposit.owed) },
      { cause: 'payment-returned', total: String(deposit.owed) },
    ]);
    const open = await federal();
    expect(open.owed).toBe(deposit.owed);
    expect(open.liabilities.every((line) => line.underWay === 0)).toBe(true);
    // The client is told why, what is open again, and what each way of paying it now costs.
    const letter = await preparer('GET', `/remittances/${id}/returned.pdf`);
    const words = wordsOf(String(letter.body));
    for (const word of [
      'R01 Insufficient funds',
      showDollars(cents(deposit.owed)),
      'which is past',
      'Same-day wire',
      'Penalty, estimated',
      'What we need of you',
    ])
      expect(words).toContain(word);
    await stack.console('mood', { party: 'bank', mood: 'normal' });
  });
  it('planned for a day that can no longer be met is not released', async () => {
    const deposit = await federal();
    const { id } = (await plan(deposit, '2026-12-17')).body as { id: string };
    const refused = await reviewer('POST', `/remittances/${id}/release`, { version: await approved(id) });
    expect([refused.status, refused.body.detail]).toEqual([422, expect.stringMatching(/earliest settlement/)]);
    expect((await preparer('GET', `/remittances/${id}`)).body.status).toBe('approved');
  });
});
