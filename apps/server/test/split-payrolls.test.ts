import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { PayrollView } from '@zakat/contract/payrolls';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
const PERIOD = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'SPLIT', 3);
  for (const [index, employeeId] of client.employeeIds.entries()) {
    const value = { department: index === 0 ? 'Kitchen' : 'Front' };
    const told = await preparer('POST', `/employees/${employeeId}/facts`, {
      kind: 'worker',
      from: '2026-01-01',
      value,
    });
    expect([told.status, told.body.detail]).toEqual([201, undefined]);
  }
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const look = async (id: string): Promise<PayrollView> => (await preparer('GET', `/payrolls/${id}`)).body as PayrollView;
const start = async (days: object): Promise<string> => {
  const made = await preparer('POST', `/clients/${client.id}/payrolls`, { ...days, kind: 'regular' });
  expect([made.status, made.body.detail]).toEqual([201, undefined]);
  return String(made.body.id);
};
const split = (id: string, version: number, name: string) =>
  preparer('POST', `/payrolls/${id}/split`, { version, by: 'department', name });
const whoOf = ({ persons }: PayrollView): string[] => persons.map(({ employeeId }) => employeeId);

describe('a payroll that is split', () => {
  it('pays everybody once, each with what was typed, and each part is posted by itself', async () => {
    const whole = await start(PERIOD);
    const [cook = '', ...front] = client.employeeIds;
    const { version, persons } = await look(whole);
    const typed = persons.map(({ employeeId, isPaid, earnings, deductions }) => ({
      employeeId,
      isPaid,
      deductions,
      earnings: employeeId === cook ? [{ item: 'bonus', amount: '321.00' }] : earnings,
    }));
    const saved = (await preparer('PUT', `/payrolls/${whole}`, { version, entries: typed })).body as PayrollView;
    const made = await split(whole, saved.version, 'Kitchen');
    expect([made.status, made.body.detail]).toEqual([201, undefined]);
    const kitchen = await look(String(made.body.id));
    expect([kitchen.part, whoOf(kitchen), kitchen.persons[0]?.earnings]).toEqual([
      'Kitchen',
      [cook],
      [{ item: 'bonus', amount: '321.00' }],
    ]);
    const rest = await look(whole);
    expect([rest.part, whoOf(rest)]).toEqual(['', front]);
    // A second click finds the payroll moved on, and a part is not split again.
    expect((await split(whole, saved.version, 'Kitchen')).status).toBe(422);
    expect((await split(kitchen.id, kitchen.version, 'Kitchen')).status).toBe(409);
    for (const id of [kitchen.id, whole]) {
      for (const act of ['review', 'post']) {
        const done = await preparer('POST', `/payrolls/${id}/${act}`, { version: (await look(id)).version });
        expect([done.status, done.body.detail]).toEqual([200, undefined]);
      }
    }
    const paid = await stack.dataSource.query<{ id: string }[]>(
      `SELECT employee_id AS id FROM paycheck WHERE client_id = $1 ORDER BY employee_id`,
      [client.id],
    );
    expect(paid.map(({ id }) => id)).toEqual([...client.employeeIds].sort());
    const next = (await preparer('GET', `/clients/${client.id}/next-payroll`)).body as { periodStart: string };
    expect(next.periodStart).toBe('2026-10-25');
  });
  it('is whole again when the part is discarded', async () => {
    const whole = await start({ periodStart: '2026-10-25', periodEnd: '2026-11-07', checkDate: '2026-11-13' });
    const made = await split(whole, (await look(whole)).version, 'Front');
    const front = await look(String(made.body.id));
    expect(whoOf(await look(whole))).toEqual([client.employeeIds[0]]);
    // The rest is not thrown away while a part of it stands: its people would be forgotten.
    const rest = await look(whole);
    const kept = await preparer('POST', `/payrolls/${whole}/discard`, { version: rest.version });
    expect([kept.status, kept.body.detail]).toEqual([409, expect.stringContaining('Front was split off')]);
    const gone = await preparer('POST', `/payrolls/${front.id}/discard`, { version: front.version });
    expect(gone.status).toBe(204);
    expect(whoOf(await look(whole))).toEqual(client.employeeIds);
  });
  it('is not split by what nobody or everybody has', async () => {
    const off = await preparer('POST', `/clients/${client.id}/payrolls`, { ...PERIOD, kind: 'extra' });
    expect((await split(String(off.body.id), 1, 'Kitchen')).status).toBe(409);
    const whole = (
      await stack.dataSource.query<{ id: string; version: number }[]>(
        `SELECT id, version FROM payroll WHERE client_id = $1 AND status = 'open' AND kind = 'regular'`,
        [client.id],
      )
    )[0];
    const answer = await split(whole?.id ?? '', whole?.version ?? 0, 'Cellar');
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, 'name']);
  });
});
