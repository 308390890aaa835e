import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { CaseRow, CorrectionCase } from '@zakat/contract/correction-cases';
import type { FilingView } from '@zakat/contract/filings';
import { Stack, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let id: string;

const look = async (filing: string): Promise<FilingView> =>
  (await preparer('GET', `/filings/${filing}`)).body as FilingView;
const act = async (caller: Caller, filing: string, name: string, more: Record<string, unknown> = {}) =>
  caller('POST', `/filings/${filing}/${name}`, { version: (await look(filing)).version, ...more });
async function send(filing: string): Promise<void> {
  await act(preparer, filing, 'check');
  await act(preparer, filing, 'sign', { pin: '31415', payment: null });
  await act(reviewer, filing, 'release');
  const { status } = await until(
    () => look(filing),
    (view) => ['accepted', 'rejected'].includes(view.status),
  );
  expect(status).toBe('accepted');
}
const view = async (): Promise<CorrectionCase> =>
  (await preparer('GET', `/correction-cases/${id}`)).body as CorrectionCase;
const standing = async (): Promise<string[]> =>
  (await view()).consequences.map(({ kind, title, status }) => `${kind} | ${title} | ${status}`);

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
  const made = await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-941', period: '2025-Q4' });
  await send(String(made.body.id));
}, 90_000);
afterAll(() => stack.stop(), 30_000);

describe('a correction as a case', () => {
  const opened = (more: Record<string, unknown> = {}) =>
    preparer('POST', `/clients/${client.id}/correction-cases`, {
      what: 'A payroll was left out',
      since: '2025-12-26',
      foundBy: 'client',
      evidence: 'E-mail of January 9',
      ...more,
    });
  it('is opened with what was wrong, since when, found how; never for a day to come', async () => {
    expect((await opened({ since: '2026-02-01' })).body.problems[0].field).toBe('since');
    expect((await opened({ foundBy: 'chance' })).status).toBe(400);
    const made = await opened();
    expect(made.status).toBe(201);
    id = String(made.body.id);
    // What was not deposited in time is all that follows before the record is put right.
    expect((await view()).consequences.map(({ kind }) => kind)).not.toContain('return');
  });
  it('lists the return that differs once the record is right, and says it is done when the agency has accepted it', async () => {
    await postPayroll(
      preparer,
      client.id,
      { periodStart: '2025-12-07', periodEnd: '2025-12-20', checkDate: '2025-12-26' },
      { by: reviewer, closedReason: 'A payroll was left out of the quarter.' },
    );
    const returns = async () => (await view()).consequences.filter(({ kind }) => kind === 'return');
    const [row, ...others] = await returns();
    expect([row?.title, row?.status, others]).toEqual(['Form 941-X of Form 941, Q4 2025', 'open', []]);
    expect(await standing()).toEqual(await standing());
    const refused = await preparer('POST', `/correction-cases/${id}/consequences/${row?.id ?? ''}`, {
      status: 'done',
      why: 'By telephone',
    });
    expect(refused.status).toBe(409);
    const begun = await preparer('POST', `/clients/${client.id}/corrections`);
    expect((begun.body as { refused: string | null }[]).map((one) => one.refused)).toEqual([null]);
    const filing = (await returns())[0]?.path.replace('/filings/', '') ?? '';
    await preparer('PUT', `/filings/${filing}/answers`, {
      version: (await look(filing)).version,
      answers: [
        { name: 'discovered', answer: '2026-01-12' },
        { name: 'certification', answer: 'underreported' },
        { name: 'administrative', answer: 'yes' },
      ],
    });
    await send(filing);
    expect((await returns()).map(({ status, why }) => [status, why])).toEqual([
      ['done', 'What stands at the agency is what the records say.'],
    ]);
  });
  it('takes what no record shows, refuses to close while something is left, and says what', async () => {
    const added = await preparer('POST', `/correction-cases/${id}/consequences`, {
      kind: 'letter',
      title: 'Letter to both employees',
      amount: null,
      due: '2026-01-20',
    });
    const letter = (added.body as CorrectionCase).consequences.find(({ kind }) => kind === 'letter');
    const close = async () =>
      preparer('POST', `/correction-cases/${id}/close`, { version: (await view()).version, why: 'All done' });
    expect(String((await close()).body['detail'])).toMatch(/not done: .*Letter to both employees/);
    const settle = (consequence: string, status: string, why: string) =>
      preparer('POST', `/correction-cases/${id}/consequences/${consequence}`, { status, why });
    expect((await settle(letter?.id ?? '', 'refused', '')).body.problems[0].field).toBe('why');
    expect((await settle(letter?.id ?? '', 'done', 'Sent by mail')).status).toBe(200);
    for (const { id: one, status } of (await view()).consequences)
      if (status === 'open') await settle(one, 'refused', 'Paid with the next deposit');
    expect((await close()).status).toBe(200);
    const closed = await view();
    expect([closed.status, closed.ended]).toEqual(['closed', 'All done']);
    expect((await settle(letter?.id ?? '', 'open', '')).status).toBe(409);
  });
  it('is a letter to the client, and opens again only with a reason', async () => {
    const paper = await preparer('GET', `/correction-cases/${id}/letter.pdf`);
    expect([paper.status, String(paper.body).slice(0, 5)]).toEqual([200, '%PDF-']);
    const { version } = await view();
    const reopen = (why: string) => preparer('POST', `/correction-cases/${id}/reopen`, { version, why });
    expect((await reopen('')).status).toBe(422);
    expect((await reopen('The agency wrote')).status).toBe(200);
    const rows = (await preparer('GET', `/clients/${client.id}/correction-cases`)).body as CaseRow[];
    expect(rows).toEqual([expect.objectContaining({ id, status: 'open', what: 'A payroll was left out' })]);
  });
  it('belongs to its firm', async () => {
    await stack.addFirm('Birch');
    const stranger = await stack.signIn('Birch', 'preparer');
    expect((await stranger('GET', `/correction-cases/${id}`)).status).toBe(404);
  });
});
