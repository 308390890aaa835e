import type { CorrectionDue, FilingView, LadderView } from '@zakat/contract/filings';
import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import { Stack, employee, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const HEADINGS = [
  'Number',
  'Quarter',
  'Check date',
  'Gross',
  'Net',
  'FIT wages',
  'FIT',
  'SS wages',
  'SS',
  'Medicare wages',
  'Medicare',
  'FUTA wages',
  'FUTA',
  '401(k) deferral',
];
/** 13,000.00 a quarter with 500.00 deferred; OASDI 806.00 and HI 188.50 by hand, FUTA 42.00 on the first 7,000.00. */
const quarterRow = (number: string, quarter: string, more: Record<number, string> = {}): string[] =>
  [number, quarter, '', '13000', '10505.50', '12500', '1000', '13000', '806', '13000', '188.50', '', '', '500'].map(
    (cell, at) => more[at] ?? cell,
  );
const FIRST = { 11: '7000', 12: '42' };
const csv = (rows: string[][]): string =>
  Buffer.from([HEADINGS, ...rows].map((cells) => cells.join(',')).join('\n'), 'utf8').toString('base64');
/** The return of one person’s quarter: 1,000.00 + 2 × 806.00 + 2 × 188.50. */
const filed = (quarter: number, people = 1) =>
  [
    ['941.2', 1_250_000],
    ['941.3', 100_000],
    ['941.5a', 1_300_000],
    ['941.5c', 1_300_000],
    ['US-941.filed', 298_900],
    ['US-941.paid', 298_900],
  ].map(([code, amount]) => ({ quarter, code, amount: Number(amount) * people, day: `2026-0${quarter * 3 + 1}-10` }));

async function begin(key: string, rows: string[][], people = 1) {
  const client = await takeOn(preparer, key, people);
  const made = (await preparer('POST', `/clients/${client.id}/take-overs`, { year: 2026 })).body;
  const view = (
    await preparer('PUT', `/take-overs/${made.id}/balances`, {
      version: made.version,
      fileName: 'balances.csv',
      content: csv(rows),
    })
  ).body;
  return { client, view };
}
const report = async (view: { id: string; version: number }, figures: unknown[]) =>
  (await preparer('PUT', `/take-overs/${view.id}/reported`, { version: view.version, figures })).body;
const payrolls = async (clientId: string) => (await preparer('GET', `/clients/${clientId}/payrolls`)).body as never[];

describe('a client that comes during the year', () => {
  const asks = async (clientId: string): Promise<boolean> =>
    ((await preparer('GET', `/clients/${clientId}/readiness`)).body as { gaps: { key: string }[] }).gaps.some(
      (gap) => gap.key === 'balances',
    );
  const record = (clientId: string, kind: string, value: Record<string, unknown>) =>
    preparer('POST', `/clients/${clientId}/facts`, { kind, from: '2026-01-01', value });
  const schedule = { frequency: 'biweekly', periodEnd: '2026-10-24', daysToCheck: 6, whenClosed: 'before' };
  it('is asked for what was paid before, until it is being brought in', async () => {
    const { id } = await takeOn(preparer, 'MIDYR', 1);
    await record(id, 'schedule', schedule);
    expect(await asks(id)).toBe(true);
    await preparer('POST', `/clients/${id}/take-overs`, { year: 2026 });
    expect(await asks(id)).toBe(false);
  });
  it('is not asked when its first wages are of this year, or when everybody is new', async () => {
    const { id } = await takeOn(preparer, 'BEGUN', 1);
    await record(id, 'schedule', schedule);
    const employer = { kind: 'business', entity: 'corporation', formFamily: '941', firstWages: '2026-10-12' };
    await record(id, 'employer', employer);
    expect(await asks(id)).toBe(false);
    const other = await takeOn(preparer, 'NEWLY', 0);
    await record(other.id, 'schedule', schedule);
    const hired = await preparer('POST', `/clients/${other.id}/employees`, employee('1', { hiredOn: '2026-10-12' }));
    expect([hired.status, await asks(other.id)]).toEqual([201, false]);
  });
});

describe('balances of a former provider', () => {
  it('count once they tie out and a second person has accepted them, once', async () => {
    const { client, view } = await begin('TIES', [quarterRow('1', 'Q1', FIRST), quarterRow('1', 'Q2')]);
    expect([view.rows, view.wrong, view.tiesOut]).toEqual([2, 0, false]);
    const early = await reviewer('POST', `/take-overs/${view.id}/accept`, { version: view.version });
    expect([early.status, early.body.problems[0].code]).toEqual([422, 'brought-in.needs-days']);

    const reported = await report(view, [
      ...filed(1),
      ...filed(2),
      { quarter: 1, code: 'US-940.paid', amount: 4_200, day: '2026-04-30' },
    ]);
    expect([reported.tiesOut, reported.differences]).toEqual([true, []]);
    const own = await preparer('POST', `/take-overs/${view.id}/accept`, { version: reported.version });
    expect(own.status).toBe(403);
    const answers = await Promise.all(
      [1, 2, 3, 4].map(() => reviewer('POST', `/take-overs/${view.id}/accept`, { version: reported.version })),
    );
    expect(answers.map((answer) => answer.status).sort()).toEqual([200, 409, 409, 409]);
    expect(
      (await payrolls(client.id)).map((row: { checkDate: string; kind: string; gross: number }) => [
        row.checkDate,
        row.kind,
        row.gross,
      ]),
    ).toEqual([
      ['2026-06-30', 'brought-in', 1_300_000],
      ['2026-03-31', 'brought-in', 1_300_000],
    ]);

    const tieOut = (await preparer('GET', `/clients/${client.id}/tie-out?year=2026&quarter=1`)).body;
    expect(tieOut.rows.flatMap((row: { differences: unknown[] }) => row.differences)).toEqual([]);
    expect(tieOut.rows.find((row: { key: string }) => row.key === 'US-OASDI').stations).toMatchObject({
      register: 161_200,
      ledger: 161_200,
      deposits: 161_200,
      returns: 161_200,
    });
    const rungs = ((await preparer('GET', '/ladder')).body as LadderView).rungs;
    expect(rungs.filter((rung) => rung.clientId === client.id && ['return', 'deposit'].includes(rung.kind))).toEqual(
      [],
    );
    const twice = await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-941', period: '2026-Q1' });
    expect([twice.status, twice.body.problems[0].field]).toEqual([422, 'period']);
    // What the former provider filed is what the records say: nothing is to be corrected, until it is not.
    expect((await preparer('GET', `/clients/${client.id}/corrections`)).body).toEqual([]);
    await postPayroll(
      preparer,
      client.id,
      { periodStart: '2026-03-15', periodEnd: '2026-03-28', checkDate: '2026-03-31' },
      { by: reviewer, closedReason: 'The former provider left a check out.' },
    );
    const due = (await preparer('GET', `/clients/${client.id}/corrections`)).body as CorrectionDue[];
    expect(due.map(({ kind, filingId, period }) => [kind, filingId, period])).toEqual([['us-941-x', null, '2026-Q1']]);
    const begun = await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-941-x', period: '2026-Q1' });
    const correction = (await preparer('GET', `/filings/${String(begun.body.id)}`)).body as FilingView;
    const wages = correction.tables[0]?.rows.find(([line]) => line === '8');
    expect(Number(wages?.[4])).toBeGreaterThan(0);
    expect(Number(wages?.[3])).toBe(Number(wages?.[2]) - Number(wages?.[4]));
  });

  it('carry the year’s wages into the next check: no FUTA left, and the deferral counts toward its limit', async () => {
    const { client, view } = await begin('CARRY', [quarterRow('1', 'Q1', FIRST)]);
    const reported = await report(view, [
      ...filed(1),
      { quarter: 1, code: 'US-940.paid', amount: 4_200, day: '2026-04-30' },
    ]);
    await reviewer('POST', `/take-overs/${view.id}/accept`, { version: reported.version });
    const id = await postPayroll(preparer, client.id);
    const person = (await preparer('GET', `/payrolls/${id}`)).body.persons[0];
    const futa = person.paycheck.taxes.find((line: { code: string }) => line.code === 'US-FUTA');
    expect([futa.wages, futa.amount]).toEqual([0, 0]);
    expect(person.base.yearToDate).toMatchObject({
      wages: { 'US-OASDI': '13000.00', 'US-FUTA': '7000.00' },
      deductions: { '401k': '500.00' },
    });
    expect(person.previousGross).toBeNull();
    const built = await reviewer('POST', `/take-overs/${view.id}/take-back`, { version: reported.version + 1 });
    expect(built.status).toBe(409);
  });

  it('leave what was not deposited on the ladder, and what was not filed to be filed from here', async () => {
    const { client, view } = await begin('OWED', [quarterRow('1', '', { 2: '2026-09-18', ...FIRST })]);
    const reported = await report(view, [{ quarter: 3, code: 'US-941.paid', amount: 98_900, day: '2026-09-09' }]);
    expect(reported.differences.map((one: { severity: string }) => one.severity)).toEqual([
      'warning',
      'warning',
      'warning',
    ]);
    expect((await reviewer('POST', `/take-overs/${view.id}/accept`, { version: reported.version })).status).toBe(200);
    const rungs = ((await preparer('GET', '/ladder')).body as LadderView).rungs;
    const own = rungs.filter((rung) => rung.clientId === client.id && rung.amount !== null);
    expect(own.map((rung) => [rung.title, rung.amount]).sort()).toEqual([
      ['FUTA', 4_200],
      ['Form 941 taxes', 200_000],
    ]);
    expect(rungs.filter((rung) => rung.clientId === client.id).map((rung) => rung.title)).toContain(
      'Form 941, Q3 2026',
    );
  });

  it('can be taken back: everything is there twice, and adds up to nothing', async () => {
    const { client, view } = await begin('BACK', [quarterRow('1', 'Q1', FIRST)]);
    const reported = await report(view, filed(1));
    await reviewer('POST', `/take-overs/${view.id}/accept`, { version: reported.version });
    const accepted = (await preparer('GET', `/take-overs/${view.id}`)).body;
    const back = await Promise.all(
      [1, 2, 3].map(() => reviewer('POST', `/take-overs/${view.id}/take-back`, { version: accepted.version })),
    );
    expect(back.map((answer) => answer.status).sort()).toEqual([200, 409, 409]);
    const ledger = (await preparer('GET', `/clients/${client.id}/ledger?year=2026&group=all`)).body as {
      amount: number;
    }[];
    expect(ledger.length).toBeGreaterThan(10);
    expect(ledger.reduce((total, line) => total + line.amount, 0)).toBe(0);
    const rungs = ((await preparer('GET', '/ladder')).body as LadderView).rungs;
    expect(rungs.filter((rung) => rung.clientId === client.id && rung.kind !== 'payroll')).toEqual([]);
    expect((await preparer('POST', `/clients/${client.id}/take-overs`, { year: 2026 })).status).toBe(201);
  });

  it('let a difference stand only for a reviewer’s reason, and only that difference', async () => {
    const { view } = await begin('PASS', [quarterRow('1', 'Q1', FIRST)]);
    const wrong = filed(1).map((figure) => (figure.code === '941.5a' ? { ...figure, amount: 1_300_100 } : figure));
    const reported = await report(view, wrong);
    const [difference] = reported.differences.filter((one: { severity: string }) => one.severity === 'error');
    expect(difference.amount).toBe(100);
    const body = { key: difference.key, reason: 'The return was a dollar off; amended by the former provider.' };
    expect((await preparer('POST', `/take-overs/${view.id}/passes`, body)).status).toBe(403);
    expect((await reviewer('POST', `/take-overs/${view.id}/passes`, body)).body.tiesOut).toBe(true);
    const again = await report(reported, [{ quarter: 1, code: '941.5a', amount: 1_300_200, day: null }]);
    expect(again.tiesOut).toBe(false);
  });

  it('are refused once a payroll of the year is posted', async () => {
    const client = await takeOn(preparer, 'LATE', 1);
    await postPayroll(preparer, client.id);
    const answer = await preparer('POST', `/clients/${client.id}/take-overs`, { year: 2026 });
    expect([answer.status, answer.body.detail]).toEqual([409, expect.stringContaining('2026-10-30')]);
  });

  it('name each wrong row by its number and column, and keep nothing of them', async () => {
    const { client, view } = await begin('WRONG', [
      quarterRow('1', 'Q1', { ...FIRST, 4: '10505.51' }),
      quarterRow('9', 'Q1'),
      quarterRow('1', 'Q4'),
    ]);
    expect(
      view.wrongRows.map((row: { row: number; problems: { field: string; code: string }[] }) => [
        row.row,
        row.problems[0]?.field,
        row.problems[0]?.code,
      ]),
    ).toEqual([
      [2, 'Net pay', 'brought-in.net'],
      [3, 'Number', 'brought-in.nobody'],
      [4, 'Quarter', 'brought-in.quarter-open'],
    ]);
    const refused = await reviewer('POST', `/take-overs/${view.id}/accept`, { version: view.version });
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'row 2: net']);
    expect(await payrolls(client.id)).toEqual([]);
  });

  it('come with a sheet to fill in that reads back by itself', async () => {
    const { view } = await begin('SHEET', [quarterRow('1', 'Q1', FIRST)], 2);
    const text = (await preparer('GET', `/take-overs/${view.id}/form.csv`)).body as unknown as string;
    const table = parse(text, { bom: true }) as unknown as string[][];
    expect(table.length).toBe(1 + 2 * 3);
    expect(table[0]).toEqual(expect.arrayContaining(['Number', 'Quarter', 'New York income tax', 'FUTA']));
    const read = (
      await preparer('PUT', `/take-overs/${view.id}/balances`, {
        version: view.version,
        fileName: 'form.csv',
        content: Buffer.from(text, 'utf8').toString('base64'),
      })
    ).body;
    expect(read.mapping).not.toContain('');
    expect(read.problems.map((one: { code: string }) => one.code)).toEqual(['file.no-rows']);
  });

  it.each([
    ['a figure of no quarter', [{ quarter: 5, code: '941.2', amount: 1, day: null }]],
    ['a line that is none', [{ quarter: 1, code: '941.99', amount: 1, day: null }]],
    ['an amount below zero', [{ quarter: 1, code: '941.2', amount: -1, day: null }]],
    ['a day that is none', [{ quarter: 1, code: 'US-941.paid', amount: 1, day: '2026-02-30' }]],
  ])('refuse %s', async (what, figures) => {
    const { view } = await begin(`FIG${what.length}`, [quarterRow('1', 'Q1', FIRST)]);
    const answer = await preparer('PUT', `/take-overs/${view.id}/reported`, { version: view.version, figures });
    expect(answer.status).toBe(422);
  });
});
