import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { cents, showDollars } from '@zakat/core/money/cents';
import { Stack, postPayroll, takeOn, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let contact: Caller;
let client: { id: string; bankId: string };
const PASSWORD = 'a-password-of-the-client';
const QUARTER = 'from=2026-10-01&to=2026-12-31';
const NUMBER = '270612345678901';

interface Deposit {
  readonly family: string;
  readonly owed: number;
  readonly settles: string;
  readonly liabilities: { tax: string; liabilityDate: string }[];
}
const deposits = async (): Promise<Deposit[]> =>
  (await preparer('GET', `/clients/${client.id}/deposits`)).body as unknown as Deposit[];
async function plan(family: string): Promise<{ id: string; owed: string }> {
  const deposit = (await deposits()).find((one) => one.family === family);
  if (!deposit) throw new Error(`nothing is owed of ${family}`);
  const { status, body } = await preparer('POST', `/clients/${client.id}/remittances`, {
    items: deposit.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
    bankAccountId: client.bankId,
    settles: deposit.settles,
  });
  expect([status, body.detail]).toEqual([201, undefined]);
  return { id: String(body.id), owed: showDollars(cents(deposit.owed)) };
}
const words = async (caller: Caller, path: string): Promise<string> => {
  const { status, body } = await caller('GET', path);
  expect([status, String(body).slice(0, 5)]).toEqual([200, '%PDF-']);
  return wordsOf(String(body));
};
const record = (id: string, confirmation: string) =>
  preparer('POST', `/remittances/${id}/record`, { version: 1, paidOn: '2026-10-22', confirmation });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  const administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'LETTER', 1);
  await administrator('POST', `/clients/${client.id}/contacts`, {
    name: 'Ruth Vane',
    email: 'ruth@own.example',
    password: PASSWORD,
  });
  contact = await stack.signInAs('ruth@own.example', PASSWORD);
  await postPayroll(preparer, client.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('letters to a client', () => {
  it('say what to enter for a payment that somebody else makes, and once it is paid no more', async () => {
    const { id, owed } = await plan('US-941');
    const letter = await words(preparer, `/remittances/${id}/instructions.pdf`);
    for (const word of [owed, '94105', '12/31/2026', 'Federal income tax', 'Confirmation or check'])
      expect(letter).toContain(word);
    expect((await contact('GET', `/remittances/${id}/instructions.pdf`)).status).toBe(403);
    expect((await record(id, NUMBER)).status).toBe(200);
    const again = await preparer('GET', `/remittances/${id}/instructions.pdf`);
    expect([again.status, again.body.detail]).toEqual([409, 'This payment is settled: it is not to be paid again.']);
    const back = await preparer('GET', `/remittances/${id}/returned.pdf`);
    expect([back.status, back.body.detail]).toEqual([409, 'This payment is settled: it did not come back.']);
    expect((await contact('GET', `/own-client/remittances/${id}/returned.pdf`)).status).toBe(409);
  });

  it('record a number once', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2026-10-18',
      periodEnd: '2026-10-31',
      checkDate: '2026-11-06',
    });
    const { id } = await plan('US-941');
    const twice = await record(id, ` ${NUMBER} `);
    expect([twice.status, twice.body.problems[0].field]).toEqual([422, 'confirmation']);
    expect((await record(id, '270612345678902')).status).toBe(200);
  });

  it('say what was paid with its number, and what is owed still; the client reads the same, of itself only', async () => {
    const letter = await words(preparer, `/clients/${client.id}/tax-statement.pdf?${QUARTER}`);
    for (const word of [NUMBER, '270612345678902', 'Still owed on 10/22/2026', 'No return was filed in these days.'])
      expect(letter).toContain(word);
    for (const { familyLabel } of (await deposits()) as unknown as { familyLabel: string }[])
      expect(letter).toContain(familyLabel);
    expect(await words(contact, `/own-client/tax-statement.pdf?${QUARTER}`)).toBe(letter);
    const before = await words(preparer, `/clients/${client.id}/tax-statement.pdf?from=2026-07-01&to=2026-09-30`);
    expect(before).toContain('No tax was paid in these days.');
  });

  it('ask for days in their order', async () => {
    const path = `/clients/${client.id}/tax-statement.pdf`;
    const turned = await preparer('GET', `${path}?from=2026-12-31&to=2026-10-01`);
    expect([turned.status, turned.body.problems[0].field]).toEqual([422, 'to']);
    const none = await preparer('GET', path);
    expect([none.status, none.body.problems[0].field]).toEqual([422, 'from']);
  });
});
