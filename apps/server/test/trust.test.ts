import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let poor: Awaited<ReturnType<typeof takeOn>>;
let trustId = '';

const FUNDING = {
  what: 'taxes',
  accountTail: '2345',
  entryClass: 'CCD',
  authorizedOn: '2026-01-05',
  signedBy: 'Ruth',
  most: '20000.00',
  daysBefore: 3,
  holdDays: 2,
};
const agree = (id: string, value: Record<string, unknown> = {}) =>
  preparer('POST', `/clients/${id}/facts`, { kind: 'funding', from: '2026-01-01', value: { ...FUNDING, ...value } });
const funds = async (id = client.id) => (await preparer('GET', `/clients/${id}/funds`)).body;
const trust = async () => (await preparer('GET', '/trust')).body;
const day = (today: string) => stack.console('date', { today });
const collectionIs = (id: string, status: string) =>
  until(
    async () => (await preparer('GET', `/collections/${id}`)).body,
    (view) => view.status === status,
  );
/** Plans all that is open and releases it. */
const collect = async (id: string): Promise<{ id: string; amount: number }> => {
  const { next } = await funds(id);
  const made = await preparer('POST', `/clients/${id}/collections`, { amount: next.amount, settles: next.settles });
  expect(made.status).toBe(201);
  expect((await reviewer('POST', `/collections/${made.body.id}/release`, { version: 1 })).status).toBe(200);
  await until(
    async () => (await preparer('GET', `/collections/${made.body.id}`)).body,
    (view) => /Sent once/.test(view.delivery ?? ''),
  );
  return { id: made.body.id, amount: next.amount };
};

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  await stack.addFirm('Birch');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'HELD', 2);
  poor = await takeOn(preparer, 'POOR', 1);
  await preparer('POST', `/clients/${poor.id}/bank-accounts`, {
    label: 'Payroll',
    bankName: 'Harbor Mutual',
    routing: '000000123',
    account: '5500010401',
  });
}, 120_000);
afterAll(() => stack.stop(), 30_000);

describe('the trust account', () => {
  const account = { label: 'Client trust', bankName: 'Harbor Mutual', routing: '000000123', account: '8800001177' };
  it('is said once, by an administrator, and its number is told from a wrong one', async () => {
    expect((await preparer('PUT', '/trust/account', account)).status).toBe(403);
    expect((await administrator('PUT', '/trust/account', { ...account, routing: '000000124' })).status).toBe(422);
    const said = await administrator('PUT', '/trust/account', account);
    expect([said.status, said.body.account.tail]).toEqual([200, '1177']);
    trustId = said.body.account.id;
    expect((await administrator('PUT', '/trust/account', account)).status).toBe(409);
  });
  it('of another firm is not seen, nor used', async () => {
    const other = await stack.signIn('Birch', 'administrator');
    expect((await other('GET', '/trust')).body).toMatchObject({ account: null, clients: [], book: 0 });
    expect((await other('GET', `/clients/${client.id}/funds`)).status).toBe(404);
  });
  it('takes no money out that is not there', async () => {
    const refund = { kind: 'refunded', clientId: client.id, day: '2026-10-22', amount: 100, reference: 'W1', memo: '' };
    const refused = await reviewer('POST', '/trust/entries', refund);
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'amount']);
    const drawn = { ...refund, kind: 'firm-drew', clientId: null };
    expect((await reviewer('POST', '/trust/entries', drawn)).body.problems[0].sentence).toMatch(/firm’s own part/);
    expect((await preparer('POST', '/trust/entries', drawn)).body.problems[0].field).toBe('kind');
  });
});

describe('what a client has agreed to', () => {
  it('has the end of an account and days that are days', async () => {
    expect((await agree(client.id, { accountTail: '23' })).body.problems[0].field).toMatch(/accountTail$/);
    expect((await agree(client.id, { holdDays: 11 })).body.problems[0].field).toMatch(/holdDays$/);
    expect((await agree(client.id)).status).toBe(201);
    expect((await agree(poor.id, { accountTail: '0401' })).status).toBe(201);
    expect((await funds()).debits).toBe('Operating, Harbor Mutual, account ending 2345');
  });
  it('says what the next payroll needs, and by when', async () => {
    await postPayroll(preparer, client.id);
    const { next } = await funds();
    const [owed] = await stack.dataSource.query(
      `SELECT sum(l.amount)::int AS amount FROM ledger_entry l WHERE l.client_id = '${client.id}'`,
    );
    expect(next).toMatchObject({
      amount: owed.amount,
      wanted: '2026-10-27',
      settles: '2026-10-27',
      usable: '2026-10-29',
    });
    const rungs = (await preparer('GET', '/ladder')).body.rungs as { kind: string; sendBy: string; amount: number }[];
    expect(rungs.find(({ kind }) => kind === 'collection')).toMatchObject({
      sendBy: '2026-10-26',
      amount: owed.amount,
    });
  });
  it('is a limit that a debit does not pass', async () => {
    await agree(client.id, { most: '1.00' });
    const { next } = await funds();
    expect(next.problems.map((one: { code: string }) => one.code)).toEqual(['funding.over-limit']);
    const refused = await preparer('POST', `/clients/${client.id}/collections`, {
      amount: next.amount,
      settles: next.settles,
    });
    expect(refused.status).toBe(422);
    await agree(client.id);
  });
});

describe('a collection', () => {
  let id = '';
  let amount = 0;
  it('is planned once, whoever asks at the same moment, and only at the amount that was seen', async () => {
    const { next } = await funds();
    const body = { amount: next.amount, settles: next.settles };
    expect((await preparer('POST', `/clients/${client.id}/collections`, { ...body, amount: 1 })).status).toBe(409);
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => preparer('POST', `/clients/${client.id}/collections`, body)),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([201, 409, 409, 409, 409]);
    id = answers.find(({ status }) => status === 201)?.body.id;
    ({ amount } = body);
    expect((await funds()).next.amount).toBe(0);
  });
  it('is released once, by another person, with its account hidden', async () => {
    expect((await preparer('POST', `/collections/${id}/release`, { version: 1 })).status).toBe(422);
    const slip = (await reviewer('GET', `/collections/${id}/slip`)).body;
    expect([slip.mayRelease, slip.amount]).toEqual([true, amount]);
    expect(slip.file).toContain('******2345');
    expect(slip.file).not.toContain('5500012345');
    const answers = await Promise.all(
      Array.from({ length: 6 }, () => reviewer('POST', `/collections/${id}/release`, { version: 1 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
    expect(await stack.received('bank')).toHaveLength(1);
  });
  it('is the client’s money when it settles, and may be paid out when it can no longer come back', async () => {
    await day('2026-10-27');
    await collectionIs(id, 'settled');
    expect(await funds()).toMatchObject({ balance: amount, usable: 0 });
    await day('2026-10-28');
    expect(await trust()).toMatchObject({ ofClients: amount, ofFirm: 0, book: amount });
  });
  it('stands on the bank’s statement, and the day is proved once', async () => {
    const fetched = await preparer('POST', '/trust/statement/fetch');
    expect(fetched.body).toMatchObject({ added: 1, matched: 1, lastDay: '2026-10-27' });
    expect((await preparer('POST', '/trust/statement/fetch')).body).toMatchObject({ added: 0, matched: 0 });
    const proof = (await preparer('GET', '/trust/reconciliation?day=2026-10-27')).body;
    expect(proof).toMatchObject({
      bank: amount,
      book: amount,
      clients: amount,
      difference: 0,
      isReconciled: true,
      outstanding: [],
      keptBy: null,
    });
    expect((await preparer('GET', '/trust/reconciliation?day=2026-10-30')).status).toBe(422);
    expect((await preparer('POST', '/trust/reconciliation', { day: '2026-10-27' })).body.keptBy).toBe('Alder preparer');
    expect((await preparer('POST', '/trust/reconciliation', { day: '2026-10-27' })).status).toBe(409);
    const words = wordsOf((await preparer('GET', '/trust/reconciliation.pdf?day=2026-10-27')).body);
    expect(words).toContain('Boatyard HELD Inc');
    expect(words).toContain('Bank, books and the balances of the clients agree.');
    const early = { kind: 'interest', clientId: null, day: '2026-10-27', amount: 5, reference: 'I1', memo: '' };
    expect((await preparer('POST', '/trust/entries', early)).body.problems[0].sentence).toMatch(/proved up to/);
  });
});

describe('a tax payment from the trust account', () => {
  let id = '';
  let amount = 0;
  it('waits until the money is safe', async () => {
    const deposits = (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
      family: string;
      owed: number;
      liabilities: { tax: string; liabilityDate: string }[];
    }[];
    const deposit = deposits.find(({ family }) => /941/.test(family));
    amount = deposit?.owed ?? 0;
    const planned = await preparer('POST', `/clients/${client.id}/remittances`, {
      items: deposit?.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
      bankAccountId: trustId,
      settles: '2026-11-02',
    });
    expect(planned.status).toBe(201);
    id = planned.body.id;
    await reviewer('POST', `/remittances/${id}/approve`, { version: 1 });
    const slip = (await reviewer('GET', `/remittances/${id}/slip`)).body;
    expect(slip.mayRelease).toBe(false);
    const check = slip.checks.find(({ label }: { label: string }) => /trust account/.test(label));
    expect([check.isPassed, check.says]).toEqual([
      false,
      expect.stringMatching(/may be paid out from Thu, Oct 29, 2026/),
    ]);
    expect((await reviewer('POST', `/remittances/${id}/release`, { version: 2 })).status).toBe(422);
  });
  it('leaves once, from the firm’s account, out of the client’s part', async () => {
    await day('2026-10-29');
    const before = (await funds()).balance;
    const slip = (await reviewer('GET', `/remittances/${id}/slip`)).body;
    // The firm is the sender: 1 and its EIN.
    expect([slip.mayRelease, slip.file.includes('1401234568')]).toEqual([true, true]);
    const answers = await Promise.all(
      Array.from({ length: 4 }, () => reviewer('POST', `/remittances/${id}/release`, { version: 2 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    expect((await funds()).balance).toBe(before - amount);
  });
  it('that comes back is the client’s money again, and the books say where it went', async () => {
    const before = (await funds()).balance;
    await stack.console('mood', { party: 'bank', mood: 'refuse' });
    await stack.console('mood', { party: 'bank', mood: 'normal' });
    await day('2026-11-02');
    await until(
      async () => (await preparer('GET', `/remittances/${id}`)).body,
      (view) => view.status === 'settled',
    );
    const [line] = await stack.dataSource.query(
      `SELECT l.amount::int FROM journal_line l JOIN journal_entry e ON e.id = l.journal_entry_id WHERE e.client_id = '${client.id}' AND e.memo = 'Tax payment' AND l.account = 'funds-held'`,
    );
    expect(line.amount).toBe(-amount);
    expect((await funds()).balance).toBe(before);
  });
});

describe('a debit that comes back', () => {
  let first = { id: '', amount: 0 };
  const returned = async (id: string) => collectionIs(id, 'returned');
  it('is taken off again; what was paid out by then is the firm’s advance, by name', async () => {
    await postPayroll(preparer, poor.id, {
      periodStart: '2026-10-25',
      periodEnd: '2026-11-07',
      checkDate: '2026-11-13',
    });
    await day('2026-11-03');
    first = await collect(poor.id);
    // Three banking days before the 13th, over Veterans Day.
    await day('2026-11-09');
    await collectionIs(first.id, 'settled');
    await agree(poor.id, { accountTail: '0401', holdDays: 0 });
    const refund = { kind: 'refunded', clientId: poor.id, day: '2026-11-09', amount: 1000, reference: 'W7', memo: '' };
    expect((await reviewer('POST', '/trust/entries', refund)).status).toBe(201);
    expect((await reviewer('POST', '/trust/entries', refund)).body.problems[0].field).toBe('reference');
    await day('2026-11-10');
    expect((await returned(first.id)).then).toMatch(/Send it once more/);
    expect(await funds(poor.id)).toMatchObject({ balance: 0, advanced: 1000 });
    expect(await trust()).toMatchObject({ ofFirm: -1000 });
  });
  it('is not proved while the firm owes the account', async () => {
    await day('2026-11-13');
    await preparer('POST', '/trust/statement/fetch');
    const proof = (await preparer('GET', '/trust/reconciliation?day=2026-11-12')).body;
    // The refund was written down and never left the bank: it is outstanding, and the two sides agree.
    expect(proof.outstanding.map((one: { reference: string }) => one.reference)).toEqual(['W7']);
    expect([proof.difference, proof.isReconciled]).toEqual([0, true]);
    expect((await preparer('POST', '/trust/reconciliation', { day: '2026-11-12' })).body.problems[0].sentence).toMatch(
      /owes the account 10.00/,
    );
    await stack.console('transfer', { company: '1401234568', amount: '250.00', reference: 'FUND1' });
    const paidIn = {
      kind: 'firm-paid-in',
      clientId: null,
      day: '2026-11-13',
      amount: 25_000,
      reference: 'FUND1',
      memo: '',
    };
    expect((await reviewer('POST', '/trust/entries', paidIn)).status).toBe(201);
    await day('2026-11-16');
    expect((await preparer('POST', '/trust/statement/fetch')).body).toMatchObject({ added: 1, matched: 1 });
    expect((await preparer('POST', '/trust/reconciliation', { day: '2026-11-13' })).status).toBe(200);
  });
  it('may be sent again twice, as the rules have it, and pays the advance back', async () => {
    const again = await preparer('POST', `/collections/${first.id}/retry`);
    expect(again.status).toBe(201);
    expect((await preparer('POST', `/collections/${first.id}/retry`)).status).toBe(409);
    const slip = (await reviewer('GET', `/collections/${again.body.id}/slip`)).body;
    expect(slip.file).toContain('RETRY PYMT');
    expect((await preparer('POST', `/collections/${again.body.id}/withdraw`, { version: 1 })).body.status).toBe(
      'withdrawn',
    );
  });
  it('the firm’s own money is advanced by name, no more than it has, and never another client’s', async () => {
    const more = await reviewer('POST', `/clients/${poor.id}/advances`, { amount: 24_001, reason: 'payday' });
    expect([more.status, more.body.problems[0].sentence]).toEqual([
      422,
      'The firm’s own part of the account is 240.00.',
    ]);
    expect((await preparer('POST', `/clients/${poor.id}/advances`, { amount: 100, reason: 'payday' })).status).toBe(
      422,
    );
    expect((await reviewer('POST', `/clients/${poor.id}/advances`, { amount: 100, reason: 'payday' })).status).toBe(
      201,
    );
    expect(await funds(poor.id)).toMatchObject({ balance: 100, advanced: 1100 });
  });
});

describe('a statement from a file', () => {
  const csv = (rows: string[]): string =>
    Buffer.from(['Date,Description,Amount,Balance', ...rows].join('\n')).toString('base64');
  it('is looked at first, taken once, and refused where it contradicts the bank’s earlier word', async () => {
    const { book } = await trust();
    const rows = ['11/16/2026,SERVICE CHARGE,-12.50,237.50'];
    const look = await preparer('POST', '/trust/statement', { fileName: 's.csv', content: csv(rows), isTaken: false });
    expect(look.body).toMatchObject({ added: 1, isTaken: false });
    expect((await trust()).unexplained).toBe(0);
    await preparer('POST', '/trust/statement', { fileName: 's.csv', content: csv(rows), isTaken: true });
    expect((await trust()).unexplained).toBe(1);
    const other = await preparer('POST', '/trust/statement', {
      fileName: 's.csv',
      content: csv(['11/16/2026,SERVICE CHARGE,-12.50,237.51']),
      isTaken: true,
    });
    expect([other.status, (await trust()).unexplained]).toEqual([422, 1]);
    // Written down, it is matched by hand; a line is matched with entries that add up to it, and with no others.
    const charge = { kind: 'bank-charge', clientId: null, day: '2026-11-16', amount: 1250, reference: 'SC', memo: '' };
    expect((await reviewer('POST', '/trust/entries', charge)).status).toBe(201);
    const proof = (await preparer('GET', '/trust/reconciliation?day=2026-11-16')).body;
    const lineId = proof.unexplained[0].id;
    const [entry] = (await preparer('GET', '/trust/entries')).body;
    const [wrong] = (await preparer('GET', '/trust/entries')).body.slice(-1);
    expect((await preparer('POST', '/trust/matches?day=2026-11-16', { lineId, entryIds: [wrong.id] })).status).toBe(
      422,
    );
    const matched = await preparer('POST', '/trust/matches?day=2026-11-16', { lineId, entryIds: [entry.id] });
    expect(matched.body.unexplained).toEqual([]);
    expect((await reviewer('POST', `/trust/entries/${entry.id}/reverse`, { reason: 'a slip' })).status).toBe(409);
    expect((await trust()).book).toBe(book - 1250);
  });
  it('what was written down by mistake is reversed once', async () => {
    const slip = { kind: 'interest', clientId: null, day: '2026-11-16', amount: 77, reference: 'INT', memo: '' };
    const { id } = (await preparer('POST', '/trust/entries', slip)).body;
    const before = (await trust()).ofFirm;
    expect((await preparer('POST', `/trust/entries/${id}/reverse`, { reason: 'typed twice' })).status).toBe(200);
    expect((await preparer('POST', `/trust/entries/${id}/reverse`, { reason: 'typed twice' })).status).toBe(409);
    expect((await trust()).ofFirm).toBe(before - 77);
  });
});

describe('the database itself', () => {
  it('keeps the balances, and lets nobody write them', async () => {
    const runner = stack.dataSource.createQueryRunner();
    await runner.connect();
    try {
      await runner.query('SET ROLE zakat_app');
      await expect(runner.query('UPDATE trust_balance SET amount = 0')).rejects.toThrow(/permission denied/);
      await expect(runner.query('UPDATE trust_entry SET amount = 1')).rejects.toThrow(/permission denied/);
    } finally {
      await runner.query('RESET ROLE');
      await runner.release();
    }
    const [row] = await stack.dataSource.query(
      'SELECT (SELECT coalesce(sum(amount), 0) FROM trust_entry)::int AS entries, (SELECT coalesce(sum(amount), 0) FROM trust_balance)::int AS balances',
    );
    expect(row.entries).toBe(row.balances);
  });
});
