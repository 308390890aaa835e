import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
const SDU = 'State disbursement unit';
const garnishments = async () => (await preparer('GET', `/clients/${client.id}/garnishments`)).body;
const plan = (payee: string, amount: number, settles = '2026-11-02') =>
  preparer('POST', `/clients/${client.id}/garnishment-payments`, {
    payee,
    amount,
    settles,
    bankAccountId: client.bankId,
  });
const order = (person: number, value: object) =>
  preparer('POST', `/employees/${client.employeeIds[person]}/facts`, {
    kind: 'garnishment',
    from: '2026-01-01',
    value,
  });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'ORDER', 3);
  await order(0, {
    label: 'D-4471',
    kind: 'child-support',
    amount: '115.00',
    payee: SDU,
    caseId: 'CS0012345',
    fips: '36061',
  });
  await order(1, { label: 'D-5500', kind: 'child-support', amount: '80.50', payee: SDU, medical: true });
  await order(1, { label: 'Levy 9', kind: 'creditor', amount: '25.00', payee: 'Town Marshal' });
  await order(2, { label: 'Lost', kind: 'creditor', amount: '10.00' });
  await postPayroll(preparer, client.id);
}, 120_000);
afterAll(() => stack.stop(), 30_000);

describe('what was withheld by order', () => {
  it('is owed to its payee, support within seven business days, and without a payee it is asked about', async () => {
    const { owed, withoutPayee } = await garnishments();
    expect(
      owed.map((one: { payee: string; amount: number; due: string; isAch: boolean }) => [
        one.payee,
        one.amount,
        one.due,
        one.isAch,
      ]),
    ).toEqual([
      // Seven business days after October 30, over no holiday.
      [SDU, 19_550, '2026-11-10', false],
      ['Town Marshal', 2_500, '2026-11-10', false],
    ]);
    expect(withoutPayee.map(({ label }: { label: string }) => label)).toEqual(['Lost']);
    const rungs = (await preparer('GET', '/ladder')).body.rungs as { kind: string; title: string; amount: number }[];
    expect(rungs.filter(({ kind }) => kind === 'garnishment').map(({ title, amount }) => `${title} ${amount}`)).toEqual(
      [`Garnishments to ${SDU} 19550`, 'Garnishments to Town Marshal 2500'],
    );
  });
});

describe('a payment of support', () => {
  let id = '';
  it('is planned once, at the amount that was seen', async () => {
    expect((await plan(SDU, 1)).status).toBe(409);
    const answers = await Promise.all(Array.from({ length: 4 }, () => plan(SDU, 19_550)));
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409, 409]);
    id = answers.find(({ status }) => status === 201)?.body.id;
  });
  it('waits for the payee’s account, which an administrator says', async () => {
    const slip = (await reviewer('GET', `/garnishment-payments/${id}/slip`)).body;
    expect(slip.mayRelease).toBe(false);
    const payee = { name: SDU, routing: '000000204', account: '9400000777' };
    expect((await preparer('PUT', '/garnishment-payees', payee)).status).toBe(403);
    expect((await administrator('PUT', '/garnishment-payees', { ...payee, routing: '000000205' })).status).toBe(422);
    const said = await administrator('PUT', '/garnishment-payees', payee);
    expect(said.body).toEqual([
      { name: SDU, tail: '0777', clients: 1 },
      { name: 'Town Marshal', tail: '', clients: 1 },
    ]);
  });
  it('is released once by another person, and the payee reads each case', async () => {
    const slip = (await reviewer('GET', `/garnishment-payments/${id}/slip`)).body;
    expect(slip.mayRelease).toBe(true);
    expect(slip.file).toContain('DED*CS*CS0012345*261030*0000011500*');
    expect(slip.file).not.toMatch(/8991234/);
    expect((await preparer('POST', `/garnishment-payments/${id}/release`, { version: 1 })).status).toBe(422);
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => reviewer('POST', `/garnishment-payments/${id}/release`, { version: 1 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409]);
    await until(
      async () => (await preparer('GET', `/garnishment-payments/${id}`)).body,
      (view) => /Sent once/.test(view.delivery ?? ''),
    );
    // The bank took it in by its own reading of the addenda.
    expect((await stack.received('bank')).map(({ state }) => state)).toEqual(['received']);
  });
  it('settles into the client’s books', async () => {
    await stack.console('date', { today: '2026-11-02' });
    await until(
      async () => (await preparer('GET', `/garnishment-payments/${id}`)).body,
      (view) => view.status === 'settled',
    );
    const lines = await stack.dataSource.query(
      `SELECT l.account, l.amount::int FROM journal_line l JOIN journal_entry e ON e.id = l.journal_entry_id WHERE e.client_id = '${client.id}' AND e.memo LIKE 'Garnishments paid%' ORDER BY l.position`,
    );
    expect(lines).toEqual([
      { account: 'deductions-payable', amount: 19_550 },
      { account: 'cash', amount: -19_550 },
    ]);
    expect((await garnishments()).owed.map(({ payee }: { payee: string }) => payee)).toEqual(['Town Marshal']);
  });
});

describe('a payment by check', () => {
  it('is recorded with its number, once', async () => {
    const { id } = (await plan('Town Marshal', 2_500)).body;
    const slip = (await reviewer('GET', `/garnishment-payments/${id}/slip`)).body;
    expect(slip.checks.find(({ label }: { label: string }) => /takes ACH/.test(label)).says).toMatch(/^No account/);
    const paid = { version: 1, paidOn: '2026-11-02', confirmation: 'CHECK 1044' };
    expect(
      (await preparer('POST', `/garnishment-payments/${id}/record`, { ...paid, paidOn: '2026-12-24' })).status,
    ).toBe(422);
    expect((await preparer('POST', `/garnishment-payments/${id}/record`, paid)).body).toMatchObject({
      status: 'settled',
      paidElsewhereOn: '2026-11-02',
    });
    expect((await preparer('POST', `/garnishment-payments/${id}/record`, paid)).status).toBe(409);
  });
  it('that was withdrawn leaves it owed', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2026-10-25',
      periodEnd: '2026-11-07',
      checkDate: '2026-11-13',
    });
    const { id } = (await plan('Town Marshal', 2_500, '2026-11-20')).body;
    expect((await garnishments()).owed.map(({ payee }: { payee: string }) => payee)).toEqual([SDU]);
    await preparer('POST', `/garnishment-payments/${id}/withdraw`, { version: 1 });
    expect((await garnishments()).owed.map(({ payee }: { payee: string }) => payee)).toEqual([SDU, 'Town Marshal']);
  });
  it('is one firm’s', async () => {
    await stack.addFirm('Birch');
    const stranger = await stack.signIn('Birch', 'administrator');
    expect((await stranger('GET', `/clients/${client.id}/garnishments`)).status).toBe(404);
    expect((await stranger('GET', '/garnishment-payees')).body).toEqual([]);
  });
});
