import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let funded: Awaited<ReturnType<typeof takeOn>>;

const FEES = { perMonth: '45.00', perPayroll: '22.50', perCheck: '1.85', dueDays: 15, collected: 'invoice' };
const agree = (id: string, kind: string, value: object) =>
  preparer('POST', `/clients/${id}/facts`, { kind, from: '2026-01-01', value });
const month = async (name = '2026-10') => (await preparer('GET', `/invoices?month=${name}`)).body;
const rowOf = async (id: string, name?: string) =>
  (await month(name)).rows.find((row: { clientId: string }) => row.clientId === id);
const issue = (ids: string[], name = '2026-10') => preparer('POST', '/invoices', { month: name, clientIds: ids });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  const administrator = await stack.signIn('Alder', 'administrator');
  await administrator('PUT', '/trust/account', {
    label: 'Client trust',
    bankName: 'Harbor Mutual',
    routing: '000000123',
    account: '8800001177',
  });
  client = await takeOn(preparer, 'PAYS', 2);
  funded = await takeOn(preparer, 'FUND', 1);
  await takeOn(preparer, 'FREE', 0);
  expect((await agree(client.id, 'service-fee', { dueDays: 15, collected: 'invoice' })).status).toBe(422);
  expect((await agree(client.id, 'service-fee', FEES)).status).toBe(201);
  await agree(funded.id, 'service-fee', { ...FEES, collected: 'funds' });
  await agree(funded.id, 'funding', {
    what: 'taxes',
    accountTail: '2345',
    entryClass: 'CCD',
    authorizedOn: '2026-01-05',
    signedBy: 'Ruth',
    daysBefore: 3,
    holdDays: 2,
  });
  await postPayroll(preparer, client.id);
  await postPayroll(preparer, funded.id);
}, 120_000);
afterAll(() => stack.stop(), 30_000);

describe('the fees of a month', () => {
  it('are what was done at the prices agreed, and are not invoiced before the month is over', async () => {
    const view = await month();
    expect([view.isOver, view.rows.length, view.without]).toEqual([false, 2, 1]);
    expect((await rowOf(client.id)).total).toBe(4500 + 2250 + 2 * 185);
    const [refused] = (await issue([client.id])).body;
    expect(refused.refused).toBe('October 2026 is not over yet.');
    expect((await preparer('GET', '/invoices?month=2026-13')).status).toBe(422);
  });
  it('are invoiced once, under numbers without a gap, whoever asks at the same moment', async () => {
    await stack.console('date', { today: '2026-11-02' });
    const answers = await Promise.all(Array.from({ length: 4 }, () => issue([client.id, funded.id])));
    const issued = answers
      .flatMap(({ body }) => body)
      .filter((one: { refused: string | null }) => one.refused === null);
    expect(issued).toHaveLength(2);
    const numbers = [(await rowOf(client.id)).invoice.number, (await rowOf(funded.id)).invoice.number].sort();
    expect(numbers).toEqual(['INV-00001', 'INV-00002']);
    expect((await rowOf(client.id)).invoice).toMatchObject({
      issuedOn: '2026-11-02',
      due: '2026-11-17',
      status: 'issued',
    });
  });
  it('stand on the invoice as they were, whatever is agreed or done later', async () => {
    const before = await rowOf(client.id);
    await agree(client.id, 'service-fee', { ...FEES, perCheck: '9.99' });
    expect(await rowOf(client.id)).toEqual(before);
    const words = wordsOf((await preparer('GET', `/invoices/${before.invoice.id}/invoice.pdf`)).body);
    expect(words).toContain(`Invoice ${before.invoice.number}: payroll services of October 2026.`);
    expect(words).toContain('71.20');
    expect(words).toMatch(/Please pay by Tue, Nov 17, 2026/);
  });
  it('are paid, taken back and voided by those who may; a voided month is invoiced under the next number', async () => {
    const { invoice } = await rowOf(client.id);
    const paid = { version: 1, paidOn: '2026-11-02', reference: 'CHECK 88' };
    expect((await preparer('POST', `/invoices/${invoice.id}/pay`, { ...paid, paidOn: '2026-12-01' })).status).toBe(422);
    expect((await preparer('POST', `/invoices/${invoice.id}/pay`, paid)).body.status).toBe('paid');
    expect((await preparer('POST', `/invoices/${invoice.id}/pay`, paid)).status).toBe(409);
    const reason = { version: 2, reason: 'another client’s check' };
    expect((await preparer('POST', `/invoices/${invoice.id}/unpay`, reason)).status).toBe(403);
    expect((await reviewer('POST', `/invoices/${invoice.id}/unpay`, reason)).body.status).toBe('issued');
    expect((await reviewer('POST', `/invoices/${invoice.id}/void`, { ...reason, version: 3 })).body.status).toBe(
      'voided',
    );
    expect((await issue([client.id])).body[0].refused).toBeNull();
    expect((await rowOf(client.id)).invoice.number).toBe('INV-00003');
  });
});

describe('fees that are collected with the funds', () => {
  it('come with the next debit, are the firm’s when it settles, and the client’s again when it comes back', async () => {
    const fee = (await rowOf(funded.id)).total;
    const { next } = (await preparer('GET', `/clients/${funded.id}/funds`)).body;
    expect(next.lines.map((line: { what: string }) => line.what)).toEqual(['taxes', 'fees']);
    const made = await preparer('POST', `/clients/${funded.id}/collections`, {
      amount: next.amount,
      settles: '2026-11-03',
    });
    const { invoice } = await rowOf(funded.id);
    const now = { version: invoice.version, paidOn: '2026-11-02', reference: 'X' };
    expect((await preparer('POST', `/invoices/${invoice.id}/pay`, now)).body.detail).toMatch(
      /^It is collected with ZC/,
    );
    await stack.console('mood', { party: 'bank', mood: 'refuse' });
    expect((await reviewer('POST', `/collections/${made.body.id}/release`, { version: 1 })).status).toBe(200);
    await until(
      async () => (await preparer('GET', `/collections/${made.body.id}`)).body,
      (view) => /Sent once/.test(view.delivery ?? ''),
    );
    await stack.console('date', { today: '2026-11-03' });
    await until(
      async () => (await rowOf(funded.id)).invoice,
      ({ status }) => status === 'paid',
    );
    const settled = (await preparer('GET', '/trust')).body;
    expect([settled.ofFirm, settled.ofClients, settled.book]).toEqual([fee, next.amount - fee, next.amount]);
    // The bank gives it back a banking day later.
    await stack.console('date', { today: '2026-11-04' });
    await until(
      async () => (await rowOf(funded.id)).invoice,
      ({ status }) => status === 'issued',
    );
    expect((await preparer('GET', '/trust')).body).toMatchObject({ ofFirm: 0, ofClients: 0, book: 0 });
    const [journal] = await stack.dataSource.query(
      `SELECT coalesce(sum(l.amount), 0)::int AS amount FROM journal_line l JOIN journal_entry e ON e.id = l.journal_entry_id WHERE e.client_id = '${funded.id}' AND l.account IN ('funds-held', 'service-fees')`,
    );
    expect(journal.amount).toBe(0);
    const again = await preparer('POST', `/collections/${made.body.id}/retry`);
    expect((await preparer('GET', `/collections/${again.body.id}`)).body).toMatchObject({
      amount: next.amount,
      advance: 0,
    });
  });
});
