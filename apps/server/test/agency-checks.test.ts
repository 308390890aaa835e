import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { RemittanceView } from '@zakat/contract/remittances';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let id = '';

interface Deposit {
  readonly family: string;
  readonly owed: number;
  readonly settles: string;
  readonly liabilities: { tax: string; liabilityDate: string }[];
}
const federal = async (): Promise<Deposit | undefined> =>
  ((await preparer('GET', `/clients/${client.id}/deposits`)).body as Deposit[]).find(
    ({ family, owed }) => family === 'US-941' && owed > 0,
  );
const look = async (): Promise<RemittanceView> => (await preparer('GET', `/remittances/${id}`)).body as RemittanceView;
const print = (number: number, caller = preparer) =>
  caller('POST', `/remittances/${id}/check`, { number, position: 'top' });
const checks = async (words = '') =>
  (await preparer('GET', `/clients/${client.id}/checks?words=${words}`)).body as {
    id: string;
    number: number;
    status: string;
    amount: number;
    version: number;
  }[];

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'MAILED', 1);
  await postPayroll(preparer, client.id);
  const owed = await federal();
  const { body } = await preparer('POST', `/clients/${client.id}/remittances`, {
    items: owed?.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
    bankAccountId: client.bankId,
    settles: owed?.settles,
  });
  id = String(body.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('a check to an agency', () => {
  it('waits for the approval, and for the address on the agency’s own voucher', async () => {
    expect((await print(501)).status).toBe(409);
    await reviewer('POST', `/remittances/${id}/approve`, { version: 1 });
    const nowhere = await print(501);
    expect([nowhere.status, nowhere.body.problems[0].field]).toEqual([422, 'mailTo']);
    const said = (
      (await administrator('GET', '/firm/agency-payments')).body as ({ agency: string } & Record<string, unknown>)[]
    ).find(({ agency }) => agency === 'IRS') as Record<string, unknown>;
    const { method, name, routing, account, identification, filerNumber, taxTypes, version } = said;
    const saved = await administrator('PUT', '/firm/agency-payments/IRS', {
      method,
      name,
      routing,
      account,
      identification,
      filerNumber,
      taxTypes,
      version,
      mailTo: '1 Payment Way\nPort Verity, TX 77999',
    });
    expect([saved.status, saved.body.mailTo]).toEqual([200, '1 Payment Way\nPort Verity, TX 77999']);
  });
  it('is numbered and kept with its voucher, once, and nothing is paid yet', async () => {
    const [first, second] = await Promise.all([print(501), print(502)]);
    expect([first.status, second.status].sort()).toEqual([201, 409]);
    const view = await look();
    expect([view.status, view.check?.status, view.confirmation]).toEqual(['approved', 'printed', null]);
    const [check] = await checks(String(view.check?.number));
    expect(check).toMatchObject({ amount: view.amount, status: 'printed' });
    const image = await preparer('GET', `/checks/${check?.id ?? ''}/image.pdf`);
    expect(String(image.body as unknown).startsWith('%PDF')).toBe(true);
  });
  it('holds every other way to pay, and the withdrawal', async () => {
    const { version } = await look();
    const slip = (await reviewer('GET', `/remittances/${id}/slip`)).body as {
      checks: { label: string; isPassed: boolean }[];
    };
    expect(slip.checks.find(({ label }) => label === 'Nothing else pays it')?.isPassed).toBe(false);
    expect((await reviewer('POST', `/remittances/${id}/release`, { version })).status).not.toBe(200);
    expect((await preparer('POST', `/remittances/${id}/withdraw`, { version })).status).toBe(409);
  });
  it('that came to nothing is voided, and another number is printed; a used one is refused', async () => {
    const { check } = await look();
    const [row] = await checks(String(check?.number));
    await preparer('POST', `/checks/${row?.id ?? ''}/end`, { act: 'void', version: row?.version, reason: 'Torn' });
    expect((await look()).check).toBeNull();
    const used = await print(check?.number ?? 0);
    expect([used.status, used.body.problems[0].field]).toEqual([422, 'number']);
    expect((await print(503)).status).toBe(201);
  });
  it('pays once it is recorded as mailed; then the record goes before the check', async () => {
    const { version, check } = await look();
    const paid = await preparer('POST', `/remittances/${id}/record`, {
      version,
      paidOn: '2026-10-22',
      confirmation: `Check ${check?.number ?? ''}`,
    });
    expect([paid.status, paid.body.status]).toEqual([200, 'settled']);
    expect(await federal()).toBeUndefined();
    const [row] = await checks('503');
    // Mailed, it is out, and the bank’s statement may clear it.
    expect(row?.status).toBe('issued');
    const ended = await preparer('POST', `/checks/${row?.id ?? ''}/end`, {
      act: 'void',
      version: row?.version,
      reason: 'Lost',
    });
    expect([ended.status, ended.body.detail]).toEqual([409, expect.stringMatching(/Take that record back first/)]);
  });
});
