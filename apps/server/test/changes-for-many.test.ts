import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: { id: string; employeeIds: string[] };

interface Row {
  readonly employeeId: string;
  readonly was: string;
  readonly will: string;
  readonly why: string;
}
beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'MANY', 3);
  await preparer('POST', `/employees/${client.employeeIds[2] ?? ''}/facts`, {
    kind: 'pay',
    from: '2026-01-01',
    value: { basis: 'commission' },
  });
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const RAISE = { from: '2026-11-01', change: { is: 'pay', by: 'percent', value: '3' } };
const foresee = async (asked: object = RAISE): Promise<Row[]> =>
  (await preparer('POST', `/clients/${client.id}/changes-for-many/foresee`, asked)).body as Row[];
const make = (people: readonly Pick<Row, 'employeeId' | 'was'>[], asked: object = RAISE, more: object = {}) =>
  preparer('POST', `/clients/${client.id}/changes-for-many`, {
    ...asked,
    people: people.map(({ employeeId, was }) => ({ employeeId, was })),
    ...more,
  });
const facts = async (): Promise<number> => {
  const [row] = (await stack.dataSource.query('SELECT count(*)::int AS count FROM employee_fact')) as {
    count: number;
  }[];
  return row?.count ?? 0;
};

describe('a change for many', () => {
  it('shows every row, and records nothing', async () => {
    const before = await facts();
    expect((await foresee()).map(({ was, will, why }) => [was.slice(0, 13), will.slice(0, 13), why])).toEqual([
      ['31.40 an hour', '32.34 an hour', ''],
      ['31.40 an hour', '32.34 an hour', ''],
      ['Commission on', '', 'has neither a rate nor a salary'],
    ]);
    expect(await facts()).toBe(before);
  });
  it('is recorded once for those who are chosen, from its day on', async () => {
    const rows = await foresee();
    const answers = await Promise.all([make(rows.slice(0, 1)), make(rows.slice(0, 1)), make(rows.slice(0, 1))]);
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    expect((await foresee()).map(({ was }) => was.slice(0, 5))).toEqual(['32.34', '31.40', 'Commi']);
    const before = (await foresee({ ...RAISE, from: '2026-10-31' })).map(({ was }) => was.slice(0, 5));
    expect(before).toEqual(['31.40', '31.40', 'Commi']);
    const { rows: trail } = (await preparer('GET', '/audit')).body as { rows: { action: string; detail: object }[] };
    expect(trail.find(({ action }) => action === 'employee.pay')?.detail).toMatchObject({
      forMany: 1,
      from: '2026-11-01',
    });
  });
  it('is recorded for all or for nobody', async () => {
    const rows = await foresee();
    const before = await facts();
    const stale = [rows[1], { ...rows[0], was: '31.40 an hour' }] as Row[];
    expect((await make(stale)).status).toBe(409);
    // Somebody to whom it does not apply, and somebody of another client.
    expect((await make(rows.slice(1))).status).toBe(409);
    const other = await takeOn(preparer, 'OTHER', 1);
    const count = await facts();
    const stranger = { employeeId: other.employeeIds[0] ?? '', was: rows[1]?.was ?? '' };
    expect((await make([...rows.slice(1, 2), stranger])).status).toBe(409);
    expect((await make([])).body.problems?.[0]?.field).toBe('people');
    expect([await facts(), count > before]).toEqual([count, true]);
  });
  it('asks twice about what is legal and unlikely, with the name', async () => {
    const asked = { from: '2026-11-02', change: { is: 'pay', by: 'to', value: '314.00' } };
    const rows = (await foresee(asked)).filter(({ why }) => why === '');
    const doubted = await make(rows, asked);
    expect([doubted.status, doubted.body.code, doubted.body.problems.length]).toEqual([
      409,
      'second-look',
      rows.length,
    ]);
    const keys = (doubted.body.problems as { code: string; field: string }[]).map(
      ({ code, field }) => `${code} ${field}`,
    );
    expect((await make(rows, asked, { confirmed: keys })).status).toBe(200);
  });
  it('says what was posted already where it reaches back', async () => {
    await postPayroll(preparer, client.id);
    const asked = { from: '2026-10-01', change: { is: 'pay', by: 'amount', value: '1.00' } };
    const rows = (await foresee(asked)).filter(({ why }) => why === '');
    const doubted = await make(rows, asked);
    expect([doubted.status, JSON.stringify(doubted.body.problems)]).toEqual([
      409,
      expect.stringMatching(/Already posted/),
    ]);
  });
  it('moves people to a department, and gives them a recurring line', async () => {
    const move = { from: '2026-11-03', change: { is: 'work', field: 'department', value: 'Galley' } };
    expect((await make(await foresee(move), move)).status).toBe(200);
    expect((await foresee(move)).map(({ why }) => why)).toEqual(Array(3).fill('has Galley already'));
    const main = { from: '2026-11-03', change: { is: 'work', field: 'schedule', value: '' } };
    expect((await foresee(main)).map(({ why }) => why)).toEqual(Array(3).fill('has none'));
    const dues = { from: '2026-11-03', change: { is: 'standing', item: 'union-dues', amount: '18.00' } };
    expect((await make(await foresee(dues), dues)).status).toBe(200);
    expect((await foresee(dues)).map(({ was }) => was)).toEqual(Array(3).fill(expect.stringMatching(/18.00/)));
  });
  it.each([
    ['no amount', { is: 'pay', by: 'percent' }, 'change.value'],
    ['no way', { is: 'pay', value: '3' }, 'change.value'],
    ['no field', { is: 'work', value: 'Galley' }, 'change.field'],
    ['no item', { is: 'standing', amount: '3.00' }, 'change.item'],
    ['a pay schedule that there is not', { is: 'work', field: 'schedule', value: 'Nightly' }, 'change.value'],
    ['amount and percentage', { is: 'standing', item: 'loan', amount: '3.00', percent: '1' }, 'change.amount'],
  ])('is refused with %s', async (_, change, field) => {
    const answer = await preparer('POST', `/clients/${client.id}/changes-for-many/foresee`, {
      from: '2026-11-01',
      change,
    });
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, field]);
  });
  it('an item that there is not is recorded for nobody', async () => {
    const asked = { from: '2026-11-04', change: { is: 'standing', item: 'no-such', amount: '3.00' } };
    const before = await facts();
    const answer = await preparer('POST', `/clients/${client.id}/changes-for-many/foresee`, asked);
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, 'change.item']);
    expect((await make(await foresee(), asked)).status).toBe(422);
    expect(await facts()).toBe(before);
  });
});
