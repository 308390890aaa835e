import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'YARD', 3);
  // A weekly shop, and a monthly office of one.
  const schedule = (value: object) =>
    preparer('POST', `/clients/${client.id}/facts`, { kind: 'schedule', from: '2026-01-01', value });
  expect(
    (await schedule({ frequency: 'weekly', periodEnd: '2026-10-17', daysToCheck: 6, whenClosed: 'before' })).status,
  ).toBe(201);
  expect(
    (
      await schedule({
        name: 'Office',
        frequency: 'monthly',
        periodEnd: '2026-10-31',
        daysToCheck: 0,
        whenClosed: 'before',
      })
    ).status,
  ).toBe(201);
  await work(0, 'Office', '2026-01-01');
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const work = async (index: number, schedule: string, from: string): Promise<void> => {
  const saved = await preparer('POST', `/employees/${client.employeeIds[index] ?? ''}/facts`, {
    kind: 'worker',
    from,
    value: { schedule },
    confirmed: ['doubt.contradicts from'],
  });
  expect([saved.status, saved.body.detail]).toEqual([201, undefined]);
};
interface Next {
  readonly periodStart: string;
  readonly periodEnd: string;
  readonly checkDate: string;
  readonly schedules: string[];
}
const next = async (schedule: string): Promise<Next> =>
  (await preparer('GET', `/clients/${client.id}/next-payroll?schedule=${schedule}`)).body as Next;
const start = async (schedule: string, kind = 'regular') => {
  const { periodStart, periodEnd, checkDate } = await next(schedule);
  return preparer('POST', `/clients/${client.id}/payrolls`, { periodStart, periodEnd, checkDate, kind, schedule });
};
interface View {
  readonly schedule: string;
  readonly payFrequency: string;
  readonly version: number;
  readonly persons: { employeeId: string }[];
}
const view = async (id: unknown): Promise<View> => (await preparer('GET', `/payrolls/${String(id)}`)).body as View;
const post = async (id: unknown): Promise<void> => {
  const reviewed = await preparer('POST', `/payrolls/${String(id)}/review`, { version: 1 });
  const posted = await preparer('POST', `/payrolls/${String(id)}/post`, { version: reviewed.body.version });
  expect([posted.status, posted.body.detail]).toEqual([200, undefined]);
};

describe('several pay schedules in one client', () => {
  it('each has its own periods, check dates and people', async () => {
    expect(await next('')).toMatchObject({
      periodEnd: '2026-10-17',
      checkDate: '2026-10-23',
      schedules: ['', 'Office'],
    });
    expect(await next('Office')).toMatchObject({ periodEnd: '2026-10-31', checkDate: '2026-10-30' });
    const shop = await view((await start('')).body.id);
    expect([shop.payFrequency, shop.persons.map(({ employeeId }) => employeeId)]).toEqual([
      'weekly',
      client.employeeIds.slice(1),
    ]);
    const office = await view((await start('Office')).body.id);
    expect([office.schedule, office.payFrequency, office.persons.map(({ employeeId }) => employeeId)]).toEqual([
      'Office',
      'monthly',
      client.employeeIds.slice(0, 1),
    ]);
  });
  it('one posted moves its own calendar only, and a period is had once a schedule', async () => {
    const rows = (await preparer('GET', `/clients/${client.id}/payrolls`)).body as { id: string; schedule: string }[];
    await post(rows.find(({ schedule }) => schedule === '')?.id);
    expect((await next('')).periodEnd).toBe('2026-10-24');
    const again = await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart: '2026-10-11',
      periodEnd: '2026-10-17',
      checkDate: '2026-10-23',
      kind: 'regular',
    });
    expect(again.status).toBe(409);
    const { rungs } = (await preparer('GET', '/ladder')).body as { rungs: { title: string }[] };
    expect(
      rungs
        .map(({ title }) => title)
        .filter((title) => title.startsWith('Payroll'))
        .sort(),
    ).toEqual(['Payroll Office to Sat, Oct 31, 2026', 'Payroll to Sat, Oct 24, 2026']);
  });
  it('a person moves between them from a day on', async () => {
    await work(1, 'Office', '2026-10-28');
    const office = (await preparer('GET', `/clients/${client.id}/payrolls`)).body as { id: string; schedule: string }[];
    const opened = await view(office.find(({ schedule }) => schedule === 'Office')?.id);
    expect(opened.persons.map(({ employeeId }) => employeeId)).toEqual(client.employeeIds.slice(0, 2));
    const shop = await view((await start('')).body.id);
    expect(shop.persons.map(({ employeeId }) => employeeId)).toEqual(client.employeeIds.slice(2));
  });
  it('each may be paid from an account of its own, which the client has', async () => {
    await preparer('POST', `/clients/${client.id}/bank-accounts`, {
      label: 'Zz office',
      bankName: 'Harbor Mutual',
      routing: '000000123',
      account: '5500019999',
    });
    const schedule = (account: string, from: string) =>
      preparer('POST', `/clients/${client.id}/facts`, {
        kind: 'schedule',
        from,
        value: { frequency: 'weekly', periodEnd: '2026-10-17', daysToCheck: 6, whenClosed: 'before', account },
      });
    const refused = await schedule('Nowhere', '2026-01-02');
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'facts[0].value.account']);
    const rows = (await preparer('GET', `/clients/${client.id}/payrolls`)).body as {
      id: string;
      schedule: string;
      status: string;
    }[];
    const posted = rows.find(({ schedule: name, status }) => name === '' && status === 'posted')?.id ?? '';
    const offered = async (): Promise<[string | undefined, boolean]> => {
      const { accounts } = (await preparer('GET', `/payrolls/${posted}/checks`)).body as {
        accounts: { bankAccountId: string; label: string }[];
      };
      const { payFrom } = (await preparer('GET', `/payrolls/${posted}/pay`)).body as { payFrom: string | null };
      return [accounts[0]?.label.slice(0, 4), payFrom === accounts[0]?.bankAccountId];
    };
    expect(await offered()).toEqual(['Oper', false]);
    expect((await schedule('Zz office', '2026-01-02')).status).toBe(201);
    expect(await offered()).toEqual(['Zz o', true]);
  });
  it('off-cycle everybody may be paid; a schedule that is not there is refused, and asked after', async () => {
    const { periodStart, periodEnd, checkDate } = await next('');
    const days = { periodStart, periodEnd, checkDate };
    const made = await preparer('POST', `/clients/${client.id}/payrolls`, { ...days, kind: 'extra' });
    expect((await view(made.body.id)).persons.length).toBe(3);
    const refused = await preparer('POST', `/clients/${client.id}/payrolls`, {
      ...days,
      kind: 'regular',
      schedule: 'Night',
    });
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, 'schedule']);
    await work(2, 'Night', '2026-10-01');
    const gaps = (await preparer('GET', `/clients/${client.id}/readiness`)).body as { gaps: { says: string }[] };
    expect(gaps.gaps.filter(({ says }) => /the schedule Night/.test(says)).length).toBe(1);
  });
});
