import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let clients: Awaited<ReturnType<typeof takeOn>>[];

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  clients = [
    await takeOn(preparer, 'FIRST', 1),
    await takeOn(preparer, 'SECOND', 2),
    await takeOn(preparer, 'APART', 1),
  ];
  for (const { id } of clients) await postPayroll(preparer, id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const table = async (quarter = '2026-Q4') => preparer('GET', `/due-returns/schedule-r.csv?quarter=${quarter}`);
const rowsOf = (body: unknown): string[][] => parse(String(body), { bom: true }) as string[][];

describe('Schedule R of an agent', () => {
  it('is nothing while no client has one', async () => {
    expect((await table()).status).toBe(409);
    expect((await table('2026')).status).toBe(422);
  });
  it('has a row for each of its clients, and what its aggregate Form 941 says', async () => {
    for (const { id } of clients.slice(0, 2)) {
      const said = await preparer('POST', `/clients/${id}/facts`, {
        kind: 'aggregate-filer',
        from: '2026-10-01',
        value: { standing: 'approved', agent: 'Alder Payroll Agents' },
      });
      expect([said.status, said.body.detail]).toEqual([201, undefined]);
    }
    const [head = [], ...rows] = rowsOf((await table()).body);
    expect(rows.map(([agent, , client]) => `${agent ?? ''}: ${client ?? ''}`)).toEqual([
      'Alder Payroll Agents: Boatyard FIRST Inc',
      'Alder Payroll Agents: Boatyard SECOND Inc',
      'Alder Payroll Agents: Aggregate Form 941',
    ]);
    const wages = head.findIndex((label) => label.endsWith('line 2'));
    expect(rows.map((row) => row[wages])).toEqual(['2512.00', '5024.00', '7536.00']);
    // Each is its own Form 941.
    const made = await preparer('POST', `/clients/${clients[1]?.id ?? ''}/filings`, {
      kind: 'us-941',
      period: '2026-Q4',
    });
    const { lines } = (await preparer('GET', `/filings/${String(made.body.id)}`)).body as {
      lines: { id: string; value: number }[];
    };
    const total = head.findIndex((label) => label.endsWith('line 12'));
    expect(Math.round(Number(rows[1]?.[total]) * 100)).toBe(lines.find(({ id }) => id === '12')?.value);
  });
  it('is said on the board of the quarter, and ends when the approval is revoked', async () => {
    const aggregated = async () => ((await preparer('GET', '/due-returns?quarter=2026-Q4')).body as { aggregated: number }).aggregated; // prettier-ignore
    expect(await aggregated()).toBe(2);
    await preparer('POST', `/clients/${clients[0]?.id ?? ''}/facts`, {
      kind: 'aggregate-filer',
      from: '2026-11-01',
      value: { standing: 'revoked', agent: 'Alder Payroll Agents' },
    });
    expect(await aggregated()).toBe(1);
  });
});
