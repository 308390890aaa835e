import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let trustId = '';

const day = (today: string) => stack.console('date', { today });
const funds = async () => (await preparer('GET', `/clients/${client.id}/funds`)).body;
const reversalOf = async (voidId: string) => (await preparer('GET', `/voids/${voidId}/reversal`)).body;
/** Pays a posted payroll into its people's accounts, and waits until it has settled. */
async function paid(payrollId: string, settles: string): Promise<void> {
  const { file } = (await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: trustId })).body;
  expect((await reviewer('POST', `/direct-deposits/${file.id}/release`, { version: 1 })).status).toBe(200);
  const fileIs = (test: (one: { status: string; delivery: string | null }) => boolean) =>
    until(async () => (await preparer('GET', `/payrolls/${payrollId}/pay`)).body.file, test);
  await fileIs(({ delivery }) => /Sent once/.test(delivery ?? ''));
  await day(settles);
  await fileIs(({ status }) => status === 'settled');
}
async function proposed(payrollId: string): Promise<string> {
  const { checks } = (await preparer('GET', `/payrolls/${payrollId}/voids`)).body as {
    checks: { paycheckId: string }[];
  };
  const paycheckIds = checks.map(({ paycheckId }) => paycheckId);
  const made = await preparer('POST', `/payrolls/${payrollId}/voids`, { paycheckIds, reason: 'Paid twice' });
  expect(made.status).toBe(201);
  return made.body.id as string;
}
const posted = async (voidId: string): Promise<void> =>
  expect((await reviewer('POST', `/voids/${voidId}/post`, { version: 1 })).status).toBe(200);

beforeAll(async () => {
  stack = await Stack.start();
  for (const firm of ['Alder', 'Birch']) await stack.addFirm(firm);
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  const administrator = await stack.signIn('Alder', 'administrator');
  const account = { label: 'Client trust', bankName: 'Harbor Mutual', routing: '000000123', account: '8800001177' };
  trustId = (await administrator('PUT', '/trust/account', account)).body.account.id;
  client = await takeOn(preparer, 'TWICE', 2);
  // The second account takes credits and has nothing for a debit.
  for (const [person, account] of [
    [0, '5500998877'],
    [1, '5599990401'],
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
  await reviewer('POST', '/trust/entries', {
    kind: 'received',
    clientId: client.id,
    day: '2026-10-22',
    amount: 3_000_000,
    reference: 'WIRE 1',
    memo: '',
  });
}, 120_000);
afterAll(() => stack.stop(), 30_000);

describe('a reversal of what a void paid into accounts', () => {
  let voidId = '';
  let payrollId = '';
  let nets: number[] = [];
  let before = 0;
  it('waits for the void, and says until when the bank takes it', async () => {
    payrollId = await postPayroll(preparer, client.id);
    await paid(payrollId, '2026-10-30');
    before = (await funds()).balance;
    voidId = await proposed(payrollId);
    expect(await reversalOf(voidId)).toMatchObject({ entries: [], until: null, mayPlan: false, file: null });
    expect((await preparer('POST', `/voids/${voidId}/reversal`)).status).toBe(409);
    const { follows } = (await preparer('GET', `/voids/${voidId}`)).body.effects as { follows: { follows: string }[] };
    expect(follows[0]?.follows).toMatch(/Take it back with a reversal .* until Fri, Nov 6, 2026/);
    await posted(voidId);
    const view = await reversalOf(voidId);
    nets = view.entries.map(({ amount }: { amount: number }) => amount);
    // Five banking days after Friday, October 30.
    expect(view).toMatchObject({ until: '2026-11-06', mayPlan: true, amount: nets.reduce((a, b) => a + b, 0) });
    expect(nets).toHaveLength(2);
  });
  it('of another firm is not there', async () => {
    const other = await stack.signIn('Birch', 'preparer');
    expect((await other('GET', `/voids/${voidId}/reversal`)).status).toBe(404);
    expect((await other('POST', `/voids/${voidId}/reversal`)).status).toBe(404);
  });
  it('is planned once, and released once by another person as debits of the whole amounts', async () => {
    const plans = await Promise.all(Array.from({ length: 4 }, () => preparer('POST', `/voids/${voidId}/reversal`)));
    expect(plans.map(({ status }) => status).sort()).toEqual([201, 409, 409, 409]);
    const { file } = await reversalOf(voidId);
    expect(file).toMatchObject({ kind: 'reversal', settles: '2026-11-02', entries: 2, status: 'planned' });
    // The pay of the payroll is still the file that paid it.
    expect((await preparer('GET', `/payrolls/${payrollId}/pay`)).body.file.kind).toBe('pay');
    expect((await preparer('POST', `/direct-deposits/${file.id}/release`, { version: 1 })).status).toBe(422);
    const slip = (await reviewer('GET', `/direct-deposits/${file.id}/slip`)).body;
    expect([slip.mayRelease, slip.figures[1].label]).toEqual([true, 'From']);
    const lines = (slip.file as string).split('\r\n');
    // Service class 225 holds debits; 27 debits a checking account; the description is the one that is prescribed.
    expect(lines[1]?.slice(0, 4)).toBe('5225');
    expect(lines[1]?.slice(53, 63)).toBe('REVERSAL  ');
    expect(lines.filter((line) => line.startsWith('627'))).toHaveLength(2);
    expect(slip.file).not.toContain('5500998877');
    const answers = await Promise.all(
      Array.from({ length: 5 }, () => reviewer('POST', `/direct-deposits/${file.id}/release`, { version: 1 })),
    );
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409]);
    expect((await funds()).balance).toBe(before);
  });
  it('is the client’s money again when it settles; what a bank does not give back is owed by the person', async () => {
    await until(
      async () => (await reversalOf(voidId)).file,
      ({ delivery }) => /Sent once/.test(delivery ?? ''),
    );
    await day('2026-11-02');
    await until(
      async () => (await reversalOf(voidId)).file,
      ({ status }) => status === 'settled',
    );
    expect((await funds()).balance).toBe(before + (nets[0] ?? 0) + (nets[1] ?? 0));
    await day('2026-11-03');
    const view = await until(
      () => reversalOf(voidId),
      ({ entries }) => entries.some(({ cameBack }: { cameBack: string | null }) => cameBack !== null),
    );
    expect(view.entries.map(({ cameBack }: { cameBack: string | null }) => cameBack)).toEqual([
      null,
      'R01 Insufficient funds',
    ]);
    expect((await funds()).balance).toBe(before + (nets[0] ?? 0));
    expect(view.mayPlan).toBe(false);
    expect((await preparer('POST', `/voids/${voidId}/reversal`)).status).toBe(409);
  });
  it('stands on the bank’s statement as the books have it', async () => {
    await day('2026-11-04');
    await preparer('POST', '/trust/statement/fetch');
    const proof = (await preparer('GET', '/trust/reconciliation?day=2026-11-03')).body;
    // The wire was written down and is not on this bank's statement: it alone is outstanding.
    expect(proof.outstanding.map(({ reference }: { reference: string }) => reference)).toEqual(['WIRE 1']);
    expect([proof.difference, proof.unexplained]).toEqual([0, []]);
  });
});

describe('after five banking days', () => {
  it('nothing is asked of the bank any more', async () => {
    const payrollId = await postPayroll(preparer, client.id, {
      periodStart: '2026-10-25',
      periodEnd: '2026-11-07',
      checkDate: '2026-11-13',
    });
    await paid(payrollId, '2026-11-13');
    await day('2026-11-23');
    const voidId = await proposed(payrollId);
    await posted(voidId);
    expect(await reversalOf(voidId)).toMatchObject({ until: '2026-11-20', mayPlan: false, file: null });
    const refused = await preparer('POST', `/voids/${voidId}/reversal`);
    expect([refused.status, refused.body.detail]).toEqual([
      409,
      expect.stringContaining('took a reversal until Fri, Nov 20, 2026'),
    ]);
  });
  it('nor is one released that waited too long; it never settles before what it takes back', async () => {
    const payrollId = await postPayroll(preparer, client.id, {
      periodStart: '2026-11-08',
      periodEnd: '2026-11-21',
      checkDate: '2026-12-01',
    });
    const { file } = (await preparer('POST', `/payrolls/${payrollId}/direct-deposit`, { bankAccountId: trustId })).body;
    expect((await reviewer('POST', `/direct-deposits/${file.id}/release`, { version: 1 })).status).toBe(200);
    const voidId = await proposed(payrollId);
    await posted(voidId);
    expect((await preparer('POST', `/voids/${voidId}/reversal`)).status).toBe(201);
    const { file: reversal, until: last } = await reversalOf(voidId);
    expect([reversal.settles, last]).toEqual(['2026-12-01', '2026-12-08']);
    await day('2026-12-09');
    const slip = (await reviewer('GET', `/direct-deposits/${reversal.id}/slip`)).body;
    expect(slip.checks.find(({ label }: { label: string }) => /still takes/.test(label)).isPassed).toBe(false);
    expect((await reviewer('POST', `/direct-deposits/${reversal.id}/release`, { version: 1 })).status).toBe(422);
  });
});
