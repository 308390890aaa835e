import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { WorkingPapersView } from '@zakat/contract/working-papers';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let id = '';

const SEPTEMBER = { periodStart: '2026-08-30', periodEnd: '2026-09-12', checkDate: '2026-09-18' };
const papers = async (filing = id): Promise<WorkingPapersView> =>
  (await preparer('GET', `/filings/${filing}/working-papers`)).body as WorkingPapersView;
const mark = (caller: Caller, line: string, kind: string, note = '') =>
  caller('POST', `/filings/${id}/marks`, { line, mark: kind, note });
const line = (view: WorkingPapersView, name: string) => view.lines.find((one) => one.id === name);
const slip = async () =>
  (await reviewer('GET', `/filings/${id}/slip`)).body as {
    checks: { label: string; isPassed: boolean; says: string }[];
  };
const open = async () => (await slip()).checks.find(({ label }) => label.includes('working papers'))?.says ?? '';

beforeAll(async () => {
  stack = await Stack.start('2026-06-01');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'MARKED', 2);
  await postPayroll(preparer, client.id, {
    periodStart: '2026-05-24',
    periodEnd: '2026-06-06',
    checkDate: '2026-06-12',
  });
  await stack.console('date', { today: '2026-09-10' });
  await postPayroll(preparer, client.id, SEPTEMBER);
  await stack.console('date', { today: '2026-10-05' });
  id = String((await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-941', period: '2026-Q3' })).body.id);
}, 90_000);
afterAll(() => stack.stop(), 30_000);

describe('the working papers of a return', () => {
  it('have each line beside the quarter before and the one a year before', async () => {
    const view = await papers();
    // Two people at 2,512.00 in each quarter.
    expect([line(view, '2')?.value, line(view, '2')?.before, line(view, '2')?.yearBefore]).toEqual([
      502_400,
      502_400,
      null,
    ]);
    expect([view.periodBefore, view.periodYearBefore]).toEqual(['Q2 2026', 'Q3 2025']);
    expect(view.rates.find(({ tax }) => tax === 'US-OASDI-EE')).toMatchObject({
      percent: '6.1998',
      percentBefore: '6.1998',
    });
    expect(view.held).toEqual([]);
  });
  it('set the wages of the returns of the quarter against each other', async () => {
    await preparer('POST', `/clients/${client.id}/filings`, { kind: 'ny-nys-45', period: '2026-Q3' });
    const { wages } = await papers();
    expect(wages.map(({ of, wages: amount }) => `${of} ${amount}`).sort()).toEqual([
      'income-tax 502400',
      'medicare 502400',
      'unemployment 502400',
    ]);
  });
});

describe('a tick mark', () => {
  it('stands with who made it and when, and is made once however often it is pressed', async () => {
    await Promise.all([
      mark(preparer, '3', 'traced', 'to the register'),
      mark(preparer, '3', 'traced', 'to the register'),
    ]);
    await mark(reviewer, '3', 'agreed');
    const marks = line(await papers(), '3')?.marks ?? [];
    expect(marks.map(({ mark: kind, isReviewer, isCracked }) => [kind, isReviewer, isCracked])).toEqual([
      ['traced', false, false],
      ['agreed', true, false],
    ]);
  });
  it('is on a line of the return, and a question asks something', async () => {
    expect((await mark(preparer, '99', 'traced')).body.problems[0].field).toBe('line');
    expect((await mark(preparer, '3', 'queried')).body.problems[0].field).toBe('note');
  });
  it('that asks holds the release until somebody answers it', async () => {
    await mark(reviewer, '2', 'queried', 'Is the bonus in it?');
    expect(await open()).toContain('A question is open at line 2.');
    const [asked] = line(await papers(), '2')?.marks ?? [];
    expect((await preparer('POST', `/marks/${asked?.id ?? ''}/clear`, { answer: '' })).body.problems[0].field).toBe(
      'answer',
    );
    const answered = await preparer('POST', `/marks/${asked?.id ?? ''}/clear`, {
      answer: 'Yes, in the check of 9/18.',
    });
    expect([answered.status, line(answered.body as WorkingPapersView, '2')?.marks]).toEqual([200, []]);
    expect(await open()).toBe('');
  });
  it('of somebody else is not taken away; one’s own is', async () => {
    const [traced] = line(await papers(), '3')?.marks ?? [];
    expect((await reviewer('POST', `/marks/${traced?.id ?? ''}/clear`, { answer: '' })).status).toBe(409);
    await mark(preparer, '12', 'footed');
    const [footed] = line(await papers(), '12')?.marks ?? [];
    expect((await preparer('POST', `/marks/${footed?.id ?? ''}/clear`, { answer: '' })).status).toBe(200);
    expect((await preparer('POST', `/marks/${footed?.id ?? ''}/clear`, { answer: '' })).status).toBe(404);
  });
  it('cracks when what lies under it moves, and holds the release until it is made again', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2026-09-13',
      periodEnd: '2026-09-26',
      checkDate: '2026-09-30',
    });
    const view = await papers();
    expect(line(view, '3')?.marks.map(({ isCracked }) => isCracked)).toEqual([true, true]);
    expect(await open()).toContain('What lies under a mark has moved: line 3.');
    await mark(preparer, '3', 'traced', 'to the register');
    await mark(reviewer, '3', 'agreed');
    expect(line(await papers(), '3')?.marks.map(({ isCracked }) => isCracked)).toEqual([false, false]);
    expect(await open()).toBe('');
  });
});

describe('a firm that asks for marks', () => {
  it('is told so by an administrator, and a return waits for both persons at each line', async () => {
    const asked = { isRequired: true, reason: 'Two pairs of eyes' };
    expect((await preparer('PUT', '/firm/marks', asked)).status).toBe(403);
    expect((await administrator('PUT', '/firm/marks', asked)).body.requiresMarks).toBe(true);
    const { toMark } = await papers();
    expect(toMark).toContain('3');
    expect(await open()).toMatch(/No mark of a preparer at line .* No mark of a reviewer at line/);
    for (const one of toMark) {
      await mark(preparer, one, 'footed');
      await mark(reviewer, one, 'agreed');
    }
    expect([(await papers()).held, await open()]).toEqual([[], '']);
  });
  it('has its marks stand once the return has left', async () => {
    const version = async () => (await preparer('GET', `/filings/${id}`)).body.version as number;
    await preparer('POST', `/filings/${id}/check`, { version: await version() });
    await preparer('POST', `/filings/${id}/sign`, { version: await version(), pin: '31415', payment: null });
    const released = await reviewer('POST', `/filings/${id}/release`, { version: await version() });
    expect([released.status, released.body.detail]).toEqual([200, undefined]);
    expect((await mark(preparer, '3', 'footed')).status).toBe(409);
    expect((await papers()).mayMark).toBe(false);
  });
});
