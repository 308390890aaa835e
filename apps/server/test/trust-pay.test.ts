import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let trustId = '';
let payrollId = '';

const funds = async () => (await preparer('GET', `/clients/${client.id}/funds`)).body;
const day = (today: string) => stack.console('date', { today });
const collect = async (): Promise<number> => {
  const { next } = await funds();
  const made = await preparer('POST', `/clients/${client.id}/collections`, {
    amount: next.amount,
    settles: next.settles,
  });
  expect(made.status).toBe(201);
  expect((await reviewer('POST', `/collections/${made.body.id}/release`, { version: 1 })).status).toBe(200);
  await until(
    async () => (await preparer('GET', `/collections/${made.body.id}`)).body,
    (view) => /Sent once/.test(view.delivery ?? ''),
  );
  await day(next.settles);
  await until(
    async () => (await preparer('GET', `/collections/${made.body.id}`)).body,
    (view) => view.status === 'settled',
  );
  return next.amount;
};

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  const said = await administrator('PUT', '/trust/account', {
    label: 'Client trust',
    bankName: 'Harbor Mutual',
    routing: '000000123',
    account: '8800001177',
  });
  trustId = said.body.account.id;
  client = await takeOn(preparer, 'WHOLE', 2);
  await preparer('POST', `/clients/${client.id}/facts`, {
    kind: 'funding',
    from: '2026-01-01',
    value: {
      what: 'taxes-and-net-pay',
      accountTail: '2345',
      entryClass: 'CCD',
      authorizedOn: '2026-01-05',
      signedBy: 'Ruth',
      daysBefore: 3,
      holdDays: 0,
    },
  });
  // The second account is one that no bank knows.
  for (const [person, account] of [
    [0, '5500998877'],
    [1, '5599990403'],
  ] as const)
    await preparer('POST', `/employees/${client.employeeIds[person] ?? ''}/facts`, {
      kind: 'bank',
      from: '2026-01-01',
      value: {
        label: 'Household',
        share: 'rest',
        routing: '000000123',
        type: 'checking',
        account,
        prenote: 'confirmed',
      },
    });
  payrollId = await postPayroll(preparer, client.id);
}, 120_000);
afterAll(() => stack.stop(), 30_000);

describe('pay from the trust account', () => {
  let net = 0;
  it('is collected with the taxes, as far as it goes to accounts', async () => {
    const { next } = await funds();
    const { deposits } = (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    net = deposits;
    expect(next.lines.map((line: { what: string; amount: number }) => line.what)).toEqual(['taxes', 'net-pay']);
    expect(next.lines[1].amount).toBe(deposits);
  });
  it('is not released before the money is there', async () => {
    const planned = await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: trustId });
    expect(planned.status).toBe(201);
    const { file } = planned.body;
    const slip = (await reviewer('GET', `/direct-deposits/${file.id}/slip`)).body;
    expect(slip.checks.find(({ label }: { label: string }) => /trust account/.test(label)).isPassed).toBe(false);
    expect((await reviewer('POST', `/direct-deposits/${file.id}/release`, { version: 1 })).status).toBe(422);
  });
  it('leaves once, out of the client’s part; an entry that comes back is the client’s again', async () => {
    const amount = await collect();
    const { file } = (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    const answers = await Promise.all(
      Array.from({ length: 4 }, () =>
        reviewer('POST', `/direct-deposits/${file.id}/release`, { version: file.version }),
      ),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    expect((await funds()).balance).toBe(amount - net);
    await until(
      async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body.file,
      (one) => /Sent once/.test(one.delivery ?? ''),
    );
    await day('2026-10-30');
    await until(
      async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body.file,
      (one) => one.status === 'settled',
    );
    await day('2026-11-02');
    const { people } = (await preparer('GET', `/payrolls/${payrollId}/pay`)).body;
    const second = people.find(({ number }: { number: string }) => number === '2').net;
    const after = await until(funds, ({ balance }) => balance !== amount - net);
    expect(after.balance).toBe(amount - net + second);
    expect(after.entries[0]).toMatchObject({ kind: 'net-pay-returned', amount: second });
    // What came back reaches the person by check; the trust account and the bank still agree to the cent.
    await day('2026-11-03');
    expect((await preparer('POST', '/trust/statement/fetch')).body).toMatchObject({ matched: 3 });
    expect((await preparer('GET', '/trust/reconciliation?day=2026-11-02')).body).toMatchObject({
      difference: 0,
      isReconciled: true,
      outstanding: [],
    });
  });
  it('is shown to somebody of the client as it stands: what was taken, and what is held', async () => {
    const person = { name: 'Ruth Vane', email: 'ruth@whole.example', password: 'a-password-of-the-client' };
    expect((await administrator('POST', `/clients/${client.id}/contacts`, person)).status).toBe(201);
    const contact = await stack.signInAs(person.email, person.password);
    const { funds: shown } = (await contact('GET', '/own-client')).body;
    const { balance, collections } = await funds();
    expect(shown.held).toBe(balance);
    expect(shown.taken).toMatchObject([{ reference: collections[0].reference, status: 'settled' }]);
  });
});

describe('a void after the collection', () => {
  it('lowers what is collected next by its taxes, and nothing else', async () => {
    const taxes = async (id: string): Promise<number> =>
      (
        await stack.dataSource.query(`SELECT sum(amount)::int AS amount FROM ledger_entry WHERE payroll_id = '${id}'`)
      )[0].amount;
    const paycheckIds = (
      (await stack.dataSource.query(`SELECT id FROM paycheck WHERE payroll_id = '${payrollId}'`)) as { id: string }[]
    ).map(({ id }) => id);
    const proposed = await preparer('POST', `/payrolls/${payrollId}/voids`, {
      paycheckIds: paycheckIds.slice(0, 1),
      reason: 'Paid twice',
    });
    expect([proposed.status, proposed.body.detail ?? '']).toEqual([201, '']);
    const posted = await reviewer('POST', `/voids/${proposed.body.id}/post`, { version: 1 });
    expect([posted.status, posted.body.detail ?? '']).toEqual([200, '']);
    const [reversal] = await stack.dataSource.query(
      `SELECT id FROM payroll WHERE client_id = '${client.id}' AND kind = 'void'`,
    );
    const back = await taxes(reversal.id);
    expect(back).toBeLessThan(0);
    expect((await funds()).next).toMatchObject({ amount: back });
    const later = await postPayroll(preparer, client.id, {
      periodStart: '2026-10-25',
      periodEnd: '2026-11-07',
      checkDate: '2026-11-13',
    });
    const { next } = await funds();
    const pay = (await preparer('GET', `/payrolls/${later}/pay`)).body.deposits;
    expect(next.amount).toBe((await taxes(later)) + pay + back);
  });
});
