import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { FilingView } from '@zakat/contract/filings';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let original: string;
let correction: string;

const look = async (id: string): Promise<FilingView> => (await preparer('GET', `/filings/${id}`)).body as FilingView;
const act = async (caller: Caller, id: string, name: string, more: Record<string, unknown> = {}) =>
  caller('POST', `/filings/${id}/${name}`, { version: (await look(id)).version, ...more });
const settled = (id: string): Promise<FilingView> =>
  until(
    () => look(id),
    ({ status }) => ['accepted', 'rejected'].includes(status),
  );
const begin = (kind: string, period: string) => preparer('POST', `/clients/${client.id}/filings`, { kind, period });
const answer = async (id: string, answers: Record<string, string>) =>
  preparer('PUT', `/filings/${id}/answers`, {
    version: (await look(id)).version,
    answers: Object.entries(answers).map(([name, text]) => ({ name, answer: text })),
  });
async function file(kind: string, period: string, isSigned: boolean): Promise<string> {
  const id = String((await begin(kind, period)).body.id);
  await act(preparer, id, 'check');
  if (isSigned) await act(preparer, id, 'sign', { pin: '31415', payment: null });
  await act(reviewer, id, 'release');
  expect((await settled(id)).status).toBe('accepted');
  return id;
}
const columns = (view: FilingView): Record<string, (string | number)[]> =>
  Object.fromEntries((view.tables[0]?.rows ?? []).map((row) => [String(row[0]), row.slice(2)]));

beforeAll(async () => {
  stack = await Stack.start('2025-11-20');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD', 2);
  await postPayroll(preparer, client.id, {
    periodStart: '2025-11-23',
    periodEnd: '2025-12-06',
    checkDate: '2025-12-12',
  });
  await stack.console('date', { today: '2026-01-12' });
  original = await file('us-941', '2025-Q4', true);
}, 90_000);
afterAll(() => stack.stop(), 30_000);

describe('a correction of Form 941', () => {
  it('has nothing to correct while the ledger is as it was filed', async () => {
    const { correction: overlay } = await look(original);
    expect(overlay).toMatchObject({ kind: 'us-941-x', differs: 0, lines: [], corrections: [] });
    const early = await begin('us-941-x', '2025-Q3');
    expect([early.status, early.body.problems[0].field]).toEqual([422, 'kind']);
  });
  it('is begun from what was accepted, once, and says line by line what differs', async () => {
    await postPayroll(
      preparer,
      client.id,
      { periodStart: '2025-12-07', periodEnd: '2025-12-20', checkDate: '2025-12-26' },
      { by: reviewer, closedReason: 'A payroll was left out of the quarter.' },
    );
    const overlay = (await look(original)).correction;
    // Two people at 2,512.00 more.
    expect(overlay?.lines.find(({ id }) => id === '2')).toMatchObject({ filed: 502_400, now: 1_004_800 });
    const due = (await preparer('GET', `/clients/${client.id}/corrections`)).body as {
      kind: string;
      openId: string | null;
    }[];
    expect(due.map(({ kind, openId }) => [kind, openId])).toEqual([['us-941-x', null]]);
    const made = await begin('us-941-x', '2025-Q4');
    correction = String(made.body.id);
    expect((await begin('us-941-x', '2025-Q4')).status).toBe(409);
    const view = await look(correction);
    // 12.4% of 5,024.00 and 2.9% of it; income tax of last year was withheld, and the return left it out: held until said.
    expect([columns(view)['6'], columns(view)['8'], columns(view)['12']]).toEqual([
      [1_004_800, 502_400, 502_400, 0],
      [1_004_800, 502_400, 502_400, 62_298],
      [1_004_800, 502_400, 502_400, 14_570],
    ]);
    expect(columns(view)['7']?.[2]).toBe(0);
    expect(view.correctsId).toBe(original);
  });
  it('waits for its answers, and refuses what is none', async () => {
    const refused = await act(preparer, correction, 'check');
    expect(refused.body.problems.map(({ code }: { code: string }) => code)).toContain('check.no-certification');
    expect((await answer(correction, { certification: 'whatever' })).status).toBe(422);
    expect((await answer(correction, { discovered: 'soon' })).status).toBe(422);
    expect((await answer(correction, { nobody: 'x' })).status).toBe(422);
    const answered = await answer(correction, {
      discovered: '2026-01-12',
      certification: 'underreported',
      administrative: 'yes',
    });
    expect(answered.status).toBe(200);
    const view = await look(correction);
    expect(columns(view)['7']?.[2]).toBe(columns(view)['7']?.[3]);
    expect(Number(columns(view)['7']?.[2])).toBeGreaterThan(0);
  });
  it('is due without interest by the end of the month after the quarter of discovery', async () => {
    expect((await act(preparer, correction, 'check')).status).toBe(200);
    expect((await look(correction)).due).toBe('2026-04-30');
  });
  it('is signed, released by another person, judged by the agency’s own rules, and accepted beside the original', async () => {
    await act(preparer, correction, 'sign', { pin: '31415', payment: null });
    expect((await act(preparer, correction, 'release')).status).toBe(422);
    expect((await act(reviewer, correction, 'release')).status).toBe(200);
    const done = await settled(correction);
    expect([done.status, done.events.at(-1)?.message]).toEqual(['accepted', 'Accepted.']);
  });
  it('makes the tie-out whole again', async () => {
    const { rows } = (await preparer('GET', `/clients/${client.id}/tie-out?year=2025&quarter=4`)).body as {
      rows: { key: string; stations: Record<string, number>; differences: { to: string; cause: string }[] }[];
    };
    const row = rows.find(({ key }) => key === 'US-OASDI');
    // The return rounds once, the ledger payroll by payroll.
    expect(Math.abs((row?.stations['returns'] ?? 0) - (row?.stations['ledger'] ?? 0))).toBeLessThanOrEqual(1);
    expect(
      rows.flatMap(({ differences }) => differences).filter(({ to, cause }) => to === 'returns' && cause === 'to-fix'),
    ).toEqual([]);
    expect((await look(original)).correction).toMatchObject({ differs: 0, corrections: [{ status: 'accepted' }] });
  });
  it('a second one stands upon the first', async () => {
    const again = String((await begin('us-941-x', '2025-Q4')).body.id);
    const refused = await act(preparer, again, 'check');
    expect(refused.body.problems.map(({ code }: { code: string }) => code)).toContain('check.nothing-to-correct');
    // Begun by mistake, it is taken away; what has left is not.
    const stale = await preparer('POST', `/filings/${again}/discard`, { version: 99 });
    expect([stale.status, (await act(preparer, again, 'discard')).status]).toEqual([409, 204]);
    expect((await preparer('GET', `/filings/${again}`)).status).toBe(404);
    expect((await act(preparer, correction, 'discard')).status).toBe(409);
  });
});

describe('Forms W-2c', () => {
  it('correct a name and a number without a box of money, and the numbers come from the file that was sent', async () => {
    await file('us-w2', '2025', false);
    const [employeeId = ''] = client.employeeIds;
    const person = (await preparer('GET', `/employees/${employeeId}`)).body as Record<string, unknown>;
    await stack.dataSource.query(`UPDATE employee SET last_name = 'Spragg' WHERE id = $1`, [employeeId]);
    expect(person).toBeDefined();
    const begun = (await preparer('POST', `/clients/${client.id}/corrections`)).body as { refused: string | null }[];
    expect(begun.map(({ refused }) => refused)).toEqual([null]);
    expect((await preparer('POST', `/clients/${client.id}/corrections`)).body).toEqual([]);
    const rows = (await preparer('GET', `/clients/${client.id}/corrections`)).body as {
      kind: string;
      openId: string;
    }[];
    const id = rows.find(({ kind }) => kind === 'us-w2c')?.openId ?? '';
    const view = await look(id);
    expect(view.tables.map(({ title }) => title)).toEqual(['Names, numbers and marks that change']);
    expect(view.tables[0]?.rows).toHaveLength(1);
    expect((await act(preparer, id, 'check')).status).toBe(200);
    expect((await act(reviewer, id, 'release')).status).toBe(200);
    expect((await settled(id)).status).toBe('accepted');
    const sent = String((await preparer('GET', `/filings/${id}/file`)).body);
    const record = sent.split('\r\n').find((line) => line.startsWith('RCW')) ?? '';
    expect([
      record.length,
      record.slice(3, 12).trim(),
      record.slice(51, 71).trim(),
      record.slice(101, 121).trim(),
    ]).toEqual([1024, '', 'SPRAGUEA', 'SPRAGG']);
    expect(record.slice(243, 1001).trim()).toBe('');
    const paper = await preparer('GET', `/filings/${id}/w2c/${employeeId}`);
    expect([paper.status, String(paper.body).slice(0, 5)]).toEqual([200, '%PDF-']);
    expect((await preparer('GET', `/filings/${id}/w2c/${client.id}`)).status).toBe(404);
  });
});
