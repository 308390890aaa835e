import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type Caller, postPayroll, Stack, takeOn } from './stack.js';

let stack: Stack;
let preparer: Caller;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const versionOf = async (id: string): Promise<number> =>
  Number((await preparer('GET', `/clients/${id}`)).body['version']);
const listed = async (): Promise<string[]> =>
  ((await preparer('GET', '/clients')).body as unknown as { rows: { id: string }[] }).rows.map((row) => row.id);
const ladder = async (): Promise<{ rungs: { clientId: string }[]; count: number }> =>
  (await preparer('GET', '/ladder')).body as unknown as { rungs: { clientId: string }[]; count: number };

describe('a client added by mistake', () => {
  it('goes away with its people, leaves every list, and its code is free again', async () => {
    const { id, employeeIds } = await takeOn(preparer, 'SLIP');
    const [person] = employeeIds;
    await preparer('POST', `/clients/${id}/facts`, {
      kind: 'schedule',
      from: '2026-01-01',
      value: { frequency: 'biweekly', periodEnd: '2026-10-24', daysToCheck: 6, whenClosed: 'before' },
    });
    expect((await ladder()).rungs.some((rung) => rung.clientId === id)).toBe(true);
    const answer = await preparer('POST', `/clients/${id}/remove`, { version: await versionOf(id) });
    expect(answer.status).toBe(204);
    expect(await listed()).not.toContain(id);
    expect((await preparer('GET', `/clients/${id}`)).status).toBe(404);
    expect((await preparer('GET', `/employees/${person}`)).status).toBe(404);
    const { rungs, count } = await ladder();
    expect([rungs.filter((rung) => rung.clientId === id), count]).toEqual([[], rungs.length]);
    const again = await takeOn(preparer, 'SLIP');
    expect(await listed()).toContain(again.id);
  });
  it('stays once something was done for it, and the refusal says what', async () => {
    const { id } = await takeOn(preparer, 'KEPT');
    await postPayroll(preparer, id);
    const answer = await preparer('POST', `/clients/${id}/remove`, { version: await versionOf(id) });
    expect([answer.status, String(answer.body['detail'])]).toEqual([
      409,
      expect.stringMatching(/has a payroll, entries in the ledger, and stays/),
    ]);
    expect(await listed()).toContain(id);
  });
  it('is not removed over a change that somebody made meanwhile, and by nobody of another firm', async () => {
    const { id } = await takeOn(preparer, 'OLDV');
    expect((await preparer('POST', `/clients/${id}/remove`, { version: 99 })).status).toBe(409);
    await stack.addFirm('Birch');
    const stranger = await stack.signIn('Birch', 'preparer');
    expect((await stranger('POST', `/clients/${id}/remove`, { version: 1 })).status).toBe(404);
    expect(await listed()).toContain(id);
  });
});
