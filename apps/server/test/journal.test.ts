import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

const SECOND = { periodStart: '2026-10-25', periodEnd: '2026-11-07', checkDate: '2026-11-13' };

interface Line {
  readonly account: string;
  readonly isMapped: boolean;
  readonly department: string;
  readonly detail: string;
  readonly amount: number;
}
interface Journal {
  readonly entries: { memo: string; exportNumber: number | null; path: string; lines: Line[] }[];
  readonly unmapped: string[];
  readonly exports: { id: string; number: number; entries: number }[];
  readonly waiting: number;
}
const journal = async (query = 'from=2026-01-01&to=2026-12-31'): Promise<Journal> =>
  (await preparer('GET', `/clients/${client.id}/journal?${query}`)).body as Journal;
const send = (upTo: string, unit = 'entry') =>
  preparer('POST', `/clients/${client.id}/journal-exports`, { upTo, unit });
const file = async (id: string | undefined, format: string): Promise<string> =>
  (await preparer('GET', `/journal-exports/${id ?? ''}.${format}`)).body as unknown as string;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'YARD', 2);
  await postPayroll(preparer, client.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the journal', () => {
  it('says which accounts the client has not said, and uses them once it has', async () => {
    expect((await journal()).unmapped).toEqual([
      'Wages expense',
      'Employer payroll tax expense',
      'Net pay payable',
      'Payroll taxes payable',
    ]);
    const saved = await preparer('POST', `/clients/${client.id}/facts`, {
      kind: 'checks',
      from: '2026-01-01',
      value: { wagesAccount: '6000', taxAccount: '6100', payableAccount: '2300', cashAccount: '1010' },
    });
    expect([saved.status, saved.body.detail]).toEqual([201, undefined]);
    const { entries, unmapped } = await journal();
    expect(unmapped).toEqual([]);
    const lines = entries[0]?.lines ?? [];
    expect([...new Set(lines.map(({ account }) => account))]).toEqual(['6000', '6100', '2300']);
    expect(lines.reduce((total, { amount }) => total + amount, 0)).toBe(0);
    expect(lines[0]).toEqual({
      account: '6000',
      isMapped: true,
      department: '',
      detail: 'Regular',
      amount: 2 * 251_200,
    });
  });
  it('goes out once: each entry in one export with its number, whose file stays as it was', async () => {
    const answers = await Promise.all(Array.from({ length: 5 }, () => send('2026-10-31')));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409]);
    await postPayroll(preparer, client.id, SECOND);
    const before = await journal();
    expect([before.waiting, before.entries.map(({ exportNumber }) => exportNumber)]).toEqual([1, [1, null]]);
    const first = before.exports[0]?.id;
    const csv = await file(first, 'csv');
    expect((await send('2026-11-30', 'month')).status).toBe(200);
    const after = await journal();
    expect([after.waiting, after.exports.map(({ number, entries }) => [number, entries])]).toEqual([
      0,
      [
        [2, 1],
        [1, 1],
      ],
    ]);
    expect(await file(first, 'csv')).toBe(csv);
  });
  it('is balanced in its files, which have the same amounts', async () => {
    const [last] = (await journal()).exports;
    const table = parse(await file(last?.id, 'csv'), { bom: true, columns: true }) as unknown as {
      Debit: string;
      Credit: string;
      Account: string;
    }[];
    const inCents = (text: string): number => Math.round(Number(text || 0) * 100);
    const total = (of: 'Debit' | 'Credit'): number => table.reduce((sum, row) => sum + inCents(row[of]), 0);
    expect(total('Debit')).toBeGreaterThan(0);
    expect(total('Debit')).toBe(total('Credit'));
    const text = await file(last?.id, 'journal');
    const amounts = [...text.matchAll(/ {2,}(-?\d+\.\d{2}) USD/g)].map((found) => inCents(found[1] ?? ''));
    expect(amounts.length).toBe(table.length);
    expect(amounts.reduce((sum, amount) => sum + amount, 0)).toBe(0);
    expect(text).toMatch(/^2026-11-30 \* \(2-1\) Payroll of 11\/2026$/m);
  });
  it('a month in one goes out when it is over, and nothing twice', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2026-11-08',
      periodEnd: '2026-11-21',
      checkDate: '2026-11-27',
    });
    const refused = await send('2026-11-28', 'month');
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'upTo']);
    expect((await send('2026-11-30', 'month')).status).toBe(200);
    expect((await send('2026-11-30')).status).toBe(409);
    expect((await preparer('GET', `/clients/${client.id}/journal?from=2026-01-01`)).status).toBe(422);
  });
});
