import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let ein = '';
let enrollmentId = '';

interface Deposit {
  readonly family: string;
  readonly owed: number;
  readonly settles: string;
  readonly liabilities: { tax: string; liabilityDate: string; underWay: number }[];
}
const federal = async (): Promise<Deposit> => {
  const rows = (await preparer('GET', `/clients/${client.id}/deposits`)).body as Deposit[];
  const found = rows.find(({ family }) => family === 'US-941');
  if (!found) throw new Error('nothing is owed');
  return found;
};
const approved = async (): Promise<string> => {
  const { liabilities, settles } = await federal();
  const { body } = await preparer('POST', `/clients/${client.id}/remittances`, {
    items: liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
    bankAccountId: client.bankId,
    settles,
  });
  expect((await reviewer('POST', `/remittances/${body.id}/approve`, { version: 1 })).status).toBe(200);
  return body.id as string;
};
const enrollments = async () => (await preparer('GET', `/clients/${client.id}/enrollments`)).body;
const act = (more: object) =>
  preparer('POST', `/enrollments/${enrollmentId}`, { version: 1, on: '2026-10-22', pin: '', reason: '', ...more });
const ask = (askedOn = '2026-10-12') =>
  preparer('POST', `/clients/${client.id}/enrollments`, { agency: 'IRS', bankAccountId: client.bankId, askedOn });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'DEBITED', 2);
  ein = String((await preparer('GET', `/clients/${client.id}`)).body.ein).replace(/\D/g, '');
  await postPayroll(preparer, client.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('an enrollment', () => {
  it('is asked only of an agency that knows the firm', async () => {
    const refused = await ask();
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'agency']);
    const administrator = await stack.signIn('Alder', 'administrator');
    const said = (await administrator('GET', '/firm/agency-payments')).body.find(
      ({ agency }: { agency: string }) => agency === 'IRS',
    );
    const save = (
      { method, name, routing, account, identification, taxTypes, mailTo, version }: typeof said,
      filerNumber: string,
    ) =>
      administrator('PUT', '/firm/agency-payments/IRS', {
        method,
        name,
        routing,
        account,
        identification,
        taxTypes,
        mailTo,
        version,
        filerNumber,
      });
    expect((await save(said, 'F 1')).body.problems[0].field).toBe('filerNumber');
    expect((await save({ ...said, method: 'agency-debit' }, '')).body.problems[0].field).toBe('filerNumber');
    expect((await save(said, 'F-220417')).status).toBe(200);
  });
  it('is asked once, and says how long it has waited', async () => {
    expect((await ask('2026-10-23')).body.problems[0].field).toBe('askedOn');
    const asked = await ask();
    expect(asked.status).toBe(201);
    expect(asked.body.enrollments).toMatchObject([{ agency: 'IRS', status: 'asked', daysWaited: 10 }]);
    enrollmentId = asked.body.enrollments[0].id;
    const twice = await ask();
    expect([twice.status, twice.body.problems[0].field]).toEqual([422, 'agency']);
  });
  it('while it waits, payments go as the firm said', async () => {
    const id = await approved();
    expect((await preparer('GET', `/remittances/${id}`)).body.method).toBe('ach-credit');
    expect((await preparer('POST', `/remittances/${id}/withdraw`, { version: 2 })).status).toBe(200);
  });
  it('is given with a PIN that nobody reads again', async () => {
    expect((await act({ act: 'enroll', pin: '12' })).body.problems[0].field).toBe('pin');
    expect((await act({ act: 'refuse' })).body.problems[0].field).toBe('reason');
    expect((await act({ act: 'enroll', pin: '4711', on: '2026-10-01' })).body.problems[0].field).toBe('on');
    expect((await act({ act: 'enroll', pin: '4711' })).body.enrollments[0]).toMatchObject({
      status: 'enrolled',
      answeredOn: '2026-10-22',
      daysWaited: null,
    });
    expect(JSON.stringify(await enrollments())).not.toContain('4711');
    expect((await act({ act: 'enroll', pin: '4711' })).status).toBe(409);
    const [kept] = (await stack.dataSource.query('SELECT pin_cipher FROM debit_enrollment')) as {
      pin_cipher: Buffer;
    }[];
    expect(kept?.pin_cipher.toString('utf8')).not.toContain('4711');
  });
});

describe('a payment that the agency debits', () => {
  it('is refused by the agency under a wrong PIN, and owed again', async () => {
    const id = await approved();
    const slip = (await reviewer('GET', `/remittances/${id}/slip`)).body;
    expect(slip).toMatchObject({ mayRelease: true });
    expect(slip.leaves).toContain('by its own debit');
    expect(slip.file).toContain('********');
    expect(slip.file).not.toContain('4711');
    expect((await reviewer('POST', `/remittances/${id}/release`, { version: 2 })).status).toBe(200);
    const back = await until(
      async () => (await preparer('GET', `/remittances/${id}`)).body,
      ({ status }) => status === 'returned',
    );
    expect(back.returnedReason).toMatch(/^D-ENROLL/);
    expect((await federal()).liabilities.every(({ underWay }) => underWay === 0)).toBe(true);
  });
  it('leaves once and settles, with the number of the agency', async () => {
    await fetch(`${stack.outside}/console/enroll`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/x-www-form-urlencoded' },
      body: new URLSearchParams({ taxpayer: ein, accountTail: '2345' }),
      redirect: 'manual',
    });
    const records = (await (await fetch(`${stack.outside}/console/records`)).json()) as {
      enrollments: { pin: string }[];
    };
    expect((await act({ act: 'end', version: 2 })).status).toBe(200);
    enrollmentId = (await ask()).body.enrollments[0].id;
    expect((await act({ act: 'enroll', pin: records.enrollments[0]?.pin })).status).toBe(200);
    const { owed, settles } = await federal();
    const id = await approved();
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => reviewer('POST', `/remittances/${id}/release`, { version: 2 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409]);
    await until(
      async () => (await preparer('GET', `/remittances/${id}`)).body,
      ({ delivery }) => /Sent once/.test(delivery ?? ''),
    );
    await stack.console('date', { today: settles });
    const settled = await until(
      async () => (await preparer('GET', `/remittances/${id}`)).body,
      ({ status }) => status === 'settled',
    );
    expect([settled.amount, settled.method]).toEqual([owed, 'agency-debit']);
    expect(settled.confirmation).toMatch(/^\d{14}$/);
    const { debits } = (await (await fetch(`${stack.outside}/console/records`)).json()) as { debits: unknown[] };
    expect(debits).toHaveLength(2);
  });
  it('goes by credit again once the enrollment has ended', async () => {
    expect((await act({ act: 'end', version: 2 })).status).toBe(200);
    expect((await enrollments()).enrollments.map(({ status }: { status: string }) => status)).toEqual([
      'ended',
      'ended',
    ]);
    const [gone] = (await stack.dataSource.query(
      'SELECT count(*)::int AS kept FROM debit_enrollment WHERE pin_cipher IS NOT NULL',
    )) as { kept: number }[];
    expect(gone?.kept).toBe(0);
  });
});
