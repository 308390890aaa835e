import type { LadderView } from '@zakat/contract/filings';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let id: string;

interface Filing {
  status: string;
  version: number;
  attempt: number;
  lines: { id: string; value: number; taxes: string | null }[];
  balance: { amount: number; on: string | null } | null;
  events: { stage: string; code: string | null; field: string | null }[];
}
const look = async (): Promise<Filing> => (await preparer('GET', `/filings/${id}`)).body as Filing;
const act = async (caller: Caller, name: string, more: Record<string, unknown> = {}) =>
  caller('POST', `/filings/${id}/${name}`, { version: (await look()).version, ...more });
const line = (filing: Filing, name: string): number => filing.lines.find((one) => one.id === name)?.value ?? NaN;
const settled = (): Promise<Filing> => until(look, ({ status }) => ['accepted', 'rejected'].includes(status));
const payment = (more: Record<string, unknown> = {}) => ({ bankAccountId: client.bankId, on: '2026-01-30', ...more });
const ledger = async (cause: string): Promise<{ tax: string; amount: string; liability_date: string }[]> =>
  (await stack.dataSource.query(
    'SELECT tax, amount, liability_date FROM ledger_entry WHERE cause = $1 AND filing_id IS NOT NULL ORDER BY id',
    [cause],
  )) as { tax: string; amount: string; liability_date: string }[];

beforeAll(async () => {
  stack = await Stack.start('2025-12-08');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD', 3);
  await postPayroll(preparer, client.id, {
    periodStart: '2025-11-23',
    periodEnd: '2025-12-06',
    checkDate: '2025-12-12',
  });
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('Form 940', () => {
  it('is among the forms of the year, and computed from what the paychecks say', async () => {
    const forms = (await preparer('GET', `/clients/${client.id}/forms?year=2025`)).body as {
      kind: string;
      period: string;
      due: string;
      files: boolean;
    }[];
    expect(forms.map(({ kind, period, due }) => [kind, period, due])).toEqual([
      ['us-941', '2025-Q4', '2026-02-02'],
      ['us-940', '2025', '2026-02-02'],
      ['us-w2', '2025', '2026-02-02'],
      ['ny-nys-45', '2025-Q4', '2026-02-02'],
    ]);
    const made = await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-940', period: '2025' });
    id = String(made.body.id);
    const filing = await look();
    // Three people at 2,512.00, all of it under the base: 0.6% of 7,536.00.
    expect(['3', '4', '5', '7', '8', '12', '13', '14'].map((name) => line(filing, name))).toEqual([
      753_600, 0, 0, 753_600, 4522, 4522, 0, 4522,
    ]);
    expect(filing.lines.find((one) => one.id === '13')?.taxes).toBe('US-FUTA');
  });
  it('waits for the year, and for amounts that only the return has', async () => {
    const early = await act(preparer, 'check');
    expect(early.body.problems.map(({ code }: { code: string }) => code)).toEqual(['check.period-open']);
    const entered = await preparer('PUT', `/filings/${id}/entered`, {
      version: (await look()).version,
      amounts: [{ name: 'overpaymentApplied', amount: 522 }],
    });
    expect(entered.status).toBe(200);
    expect(['13', '14'].map((name) => line(entered.body as Filing, name))).toEqual([522, 4000]);
    const unknown = await preparer('PUT', `/filings/${id}/entered`, {
      version: (await look()).version,
      amounts: [{ name: 'tips', amount: 1 }],
    });
    expect([unknown.status, unknown.body.problems[0].field]).toEqual([422, 'amounts']);
  });
  it('pays its balance with it, from an account of the client on a banking day, and not beside a deposit', async () => {
    await stack.console('date', { today: '2026-01-12' });
    expect((await act(preparer, 'check')).status).toBe(200);
    const field = async (more: Record<string, unknown>): Promise<unknown> => {
      const refused = await act(preparer, 'sign', { pin: '31415', payment: payment(more) });
      return [refused.status, refused.body.problems[0]?.field];
    };
    expect(await field({ on: '2026-01-31' })).toEqual([422, 'payment.on']);
    expect(await field({ on: '2026-01-09' })).toEqual([422, 'payment.on']);
    expect(await field({ bankAccountId: '00000000-0000-4000-8000-000000000000' })).toEqual([
      422,
      'payment.bankAccountId',
    ]);
    const deposits = (await preparer('GET', `/clients/${client.id}/deposits`)).body as {
      family: string;
      settles: string;
      liabilities: { tax: string; liabilityDate: string }[];
    }[];
    const owed = deposits.find(({ family }) => family === 'US-940');
    const planned = await preparer('POST', `/clients/${client.id}/remittances`, {
      items: owed?.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate })),
      bankAccountId: client.bankId,
      settles: owed?.settles,
    });
    expect((await act(preparer, 'sign', { pin: '31415', payment: payment() })).status).toBe(409);
    await preparer('POST', `/remittances/${String(planned.body.id)}/withdraw`, { version: 1 });
    expect((await act(preparer, 'sign', { pin: '31415', payment: payment() })).status).toBe(200);
    expect((await look()).balance).toMatchObject({ amount: 4000, on: '2026-01-30' });
  });
  it('rejected, it opens at the field that was refused, and posts nothing', async () => {
    await stack.console('mood', { party: 'returns', mood: 'refuse' });
    expect((await act(reviewer, 'release')).status).toBe(200);
    const rejected = await settled();
    expect(rejected.events.find(({ stage }) => stage === 'rejected')?.field).toBe('client.nameControl');
    expect(await ledger('payment')).toEqual([]);
    await stack.console('mood', { party: 'returns', mood: 'normal' });
  });
  it('sent again, it is accepted once, and the ledger has what it paid', async () => {
    await act(preparer, 'reopen');
    await act(preparer, 'check');
    await act(preparer, 'sign', { pin: '31415', payment: payment() });
    const slip = (await reviewer('GET', `/filings/${id}/slip`)).body as { leaves: string; mayRelease: boolean };
    expect(slip.leaves).toMatch(/40\.00 from the account ending 2345/);
    const releases = await Promise.all([1, 2, 3].map(() => act(reviewer, 'release')));
    expect(releases.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    expect((await settled()).status).toBe('accepted');
    expect(await ledger('payment')).toEqual([{ tax: 'US-FUTA', amount: '-4000', liability_date: '2025-12-12' }]);
    expect((await stack.received('returns')).map(({ state }) => state)).toEqual(['rejected', 'accepted']);
    const file = String((await preparer('GET', `/filings/${id}/file`)).body);
    expect(file).toContain('<PaymentAmt>40.00</PaymentAmt>');
    expect(file).toContain('<SingleStateCd>NY</SingleStateCd>');
  });
  it('is a PDF as it was sent', async () => {
    const paper = await preparer('GET', `/filings/${id}/paper`);
    expect([paper.status, String(paper.body).slice(0, 5)]).toEqual([200, '%PDF-']);
    const stored = (await stack.dataSource.query(
      `SELECT name FROM document WHERE kind = 'return-paper' ORDER BY name`,
    )) as {
      name: string;
    }[];
    expect(stored.map(({ name }) => name)).toEqual([`${id}/1`, `${id}/2`]);
  });
  it('stands in the tie-out, and closes the year for what is posted afterwards', async () => {
    const { rows } = (await preparer('GET', `/clients/${client.id}/tie-out?year=2025`)).body as {
      rows: { key: string; stations: Record<string, number | null>; differences: { to: string }[] }[];
    };
    const row = rows.find(({ key }) => key === 'US-FUTA');
    expect([row?.stations['ledger'], row?.stations['returns']]).toEqual([4522, 4522]);
    expect(row?.differences.filter(({ to }) => to === 'returns')).toEqual([]);
  });
  it('is not on the ladder any more, and the others of the year are', async () => {
    const rungs = ((await preparer('GET', '/ladder')).body as LadderView).rungs;
    expect(rungs.filter(({ kind }) => kind === 'return').map(({ title }) => title)).toEqual([
      'NY Form NYS-45, Q4 2025',
      'Form 941, Q4 2025',
      'Forms W-2 and W-3, 2025',
    ]);
  });
});

describe('a client’s set of forms', () => {
  it('follows from what it is, and what somebody says of it stands before that', async () => {
    const other = await takeOn(preparer, 'CHAPEL', 1);
    const fact = (kind: string, value: Record<string, unknown>) =>
      preparer('POST', `/clients/${other.id}/facts`, { kind, from: '2025-01-01', value });
    await fact('employer', { kind: 'nonprofit', entity: 'association', formFamily: '941' });
    const begin = () => preparer('POST', `/clients/${other.id}/filings`, { kind: 'us-940', period: '2025' });
    const refused = await begin();
    expect([refused.status, refused.body.detail]).toEqual([
      422,
      expect.stringMatching(/exempt from federal unemployment/),
    ]);
    expect((await fact('form', { form: 'us-940', files: 'yes', reason: 'The exemption was revoked.' })).status).toBe(
      201,
    );
    expect((await begin()).status).toBe(201);
    const wrong = await fact('form', { form: 'us-999', files: 'yes', reason: 'x' });
    expect([wrong.status, wrong.body.problems[0].field]).toEqual([422, 'facts[0].value.form']);
  });
});
