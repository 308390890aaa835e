import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let administrator: Caller;
let contact: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let other: Awaited<ReturnType<typeof takeOn>>;
let payrollId: string;
let otherPayroll: string;

const DAYS = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
interface Own {
  readonly id: string;
  readonly status: string;
  readonly version: number;
  readonly isTaken: boolean;
  readonly isApproved: boolean;
  readonly people: { employeeId: string; standing: object; sent: object; note: string; gross: number }[];
}
interface Sent {
  readonly people: { says: string; note: string; isTaken: boolean }[];
  readonly by: string;
  readonly isApprovalCurrent: boolean;
  readonly approvedBy: string | null;
}
const own = async (): Promise<Own[]> =>
  ((await contact('GET', '/own-client')).body as unknown as { payrolls: Own[] }).payrolls;
const send = (people: readonly object[], id = payrollId) =>
  contact('POST', `/own-client/payrolls/${id}/hours`, { people });
const sent = async (): Promise<Sent> =>
  (await preparer('GET', `/payrolls/${payrollId}/client-hours`)).body as unknown as Sent;
const payroll = async () =>
  (await preparer('GET', `/payrolls/${payrollId}`)).body as unknown as {
    version: number;
    persons: { isPaid: boolean; earnings: { item: string; hours?: string; rate?: string }[] }[];
  };
const take = async () =>
  preparer('POST', `/payrolls/${payrollId}/client-hours/take`, { version: (await payroll()).version });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  administrator = await stack.signIn('Alder', 'administrator');
  client = await takeOn(preparer, 'YARD', 2);
  other = await takeOn(preparer, 'QUAY', 1);
  const open = async (id: string): Promise<string> =>
    String((await preparer('POST', `/clients/${id}/payrolls`, { ...DAYS, kind: 'regular' })).body.id);
  payrollId = await open(client.id);
  otherPayroll = await open(other.id);
  const password = 'brine and gulls at six';
  await administrator('POST', `/clients/${client.id}/contacts`, {
    name: 'Rosalind Quay',
    email: 'rosalind@quay.example',
    password,
  });
  contact = await stack.signInAs('rosalind@quay.example', password);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('somebody of a client', () => {
  it('sees the open payroll of the business and no other', async () => {
    const payrolls = await own();
    expect(payrolls.map(({ id, status }) => [id, status])).toEqual([[payrollId, 'open']]);
    expect(payrolls[0]?.people.map(({ standing }) => standing)).toEqual([{ regular: '80' }, { regular: '80' }]);
    const foreign = await send([{ employeeId: other.employeeIds[0], hours: { regular: '1' }, note: '' }], otherPayroll);
    expect(foreign.status).toBe(404);
    for (const path of [`/payrolls/${payrollId}`, `/payrolls/${payrollId}/client-hours`, '/paydays'])
      expect([path, (await contact('GET', path)).status]).toEqual([path, 403]);
  });
  it('sends hours and notes, which move nothing until the firm takes them', async () => {
    const before = await payroll();
    const answer = await send([
      { employeeId: client.employeeIds[0], hours: { regular: '76:30', sick: '3.5' }, note: '' },
      { employeeId: client.employeeIds[1], hours: {}, note: 'Left early on Friday' },
    ]);
    expect([answer.status, answer.body.detail]).toEqual([204, undefined]);
    expect(await payroll()).toEqual(before);
    const { rows } = (await preparer('GET', '/paydays')).body as { rows: { clientId: string; fromClient: string }[] };
    expect(rows.find(({ clientId }) => clientId === client.id)?.fromClient).toBe('hours');
    expect(await sent()).toMatchObject({
      by: 'Rosalind Quay',
      people: [
        { says: '76.5 regular, 3.5 sick', note: '', isTaken: false },
        { says: '', note: 'Left early on Friday', isTaken: false },
      ],
    });
  });
  it('is taken once into the payroll, with the rates of the people', async () => {
    const answers = await Promise.all(Array.from({ length: 4 }, take));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    expect((await payroll()).persons.map(({ earnings }) => earnings)).toEqual([
      [
        { item: 'regular', hours: '76.5', rate: '31.40' },
        { item: 'sick', hours: '3.5', rate: '31.40' },
      ],
      [{ item: 'regular', hours: '80', rate: '31.40' }],
    ]);
    expect([(await take()).status, (await own())[0]?.isTaken]).toEqual([409, true]);
  });
  it('sent again, the last counts and waits to be taken again', async () => {
    await send([{ employeeId: client.employeeIds[0], hours: { regular: '70' }, note: '' }]);
    expect((await own())[0]?.isTaken).toBe(false);
    expect((await take()).status).toBe(200);
    expect((await payroll()).persons[0]?.earnings[0]?.hours).toBe('70');
  });
  it.each([
    [{ regular: 'many' }, 'people[0].hours.regular'],
    [{ regular: '900' }, 'people[0].hours.regular'],
    [{ salary: '8' }, 'people[0].hours.salary'],
  ])('is told what is no number of hours: %j', async (hours, field) => {
    const answer = await send([{ employeeId: client.employeeIds[0], hours, note: '' }]);
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, field]);
  });
  it('sends nothing for a stranger, and not nothing', async () => {
    expect((await send([{ employeeId: other.employeeIds[0], hours: { regular: '1' }, note: '' }])).status).toBe(422);
    expect((await send([{ employeeId: client.employeeIds[0], hours: {}, note: ' ' }])).status).toBe(422);
  });
  it('approves the figures of the reviewed payroll; moved figures are approved anew', async () => {
    const { version } = await payroll();
    const reviewed = await preparer('POST', `/payrolls/${payrollId}/review`, { version });
    const [draft] = await own();
    expect([draft?.status, draft?.isApproved]).toEqual(['reviewed', false]);
    const approve = (at: unknown) => contact('POST', `/own-client/payrolls/${payrollId}/approve`, { version: at });
    expect((await approve(version)).status).toBe(409);
    expect((await approve(reviewed.body.version)).status).toBe(204);
    expect([(await own())[0]?.isApproved, (await sent()).isApprovalCurrent]).toEqual([true, true]);
    expect((await send([{ employeeId: client.employeeIds[0], hours: { regular: '1' }, note: '' }])).status).toBe(409);
    // Reopened and changed: what was approved is not what stands.
    const reopened = await preparer('POST', `/payrolls/${payrollId}/reopen`, { version: reviewed.body.version });
    await send([{ employeeId: client.employeeIds[0], hours: { regular: '60' }, note: '' }]);
    await take();
    expect(reopened.status).toBe(200);
    await preparer('POST', `/payrolls/${payrollId}/review`, { version: (await payroll()).version });
    expect(await sent()).toMatchObject({ isApprovalCurrent: false, approvedBy: 'Rosalind Quay' });
    expect((await own())[0]?.isApproved).toBe(false);
  });
});
