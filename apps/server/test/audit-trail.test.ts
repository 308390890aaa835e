import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let administrator: Caller;
let client: string;
let person: string;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  administrator = await stack.signIn('Alder', 'administrator');
  const taken = await takeOn(preparer, 'TRAIL', 1);
  client = taken.id;
  person = taken.employeeIds[0] ?? '';
}, 60_000);
afterAll(() => stack.stop(), 30_000);

interface Row {
  readonly seq: number;
  readonly by: string;
  readonly sentence: string;
  readonly clientId: string | null;
  readonly client: string;
}
const page = async (query = ''): Promise<{ rows: Row[]; hasMore: boolean; about: string[] }> =>
  (await administrator('GET', `/audit${query}`)).body;
const said = async (query = ''): Promise<string[]> => (await page(query)).rows.map((row) => row.sentence);

describe('the audit trail', () => {
  it('says a raise as a sentence, with what was in force before, and never an id', async () => {
    const raise = { kind: 'pay', from: '2026-11-01', value: { basis: 'hourly', rate: '31.50', hours: '80' } };
    expect((await preparer('POST', `/employees/${person}/facts`, raise)).status).toBe(201);
    const [newest = ''] = await said();
    expect(newest).toMatch(
      /^saved the pay of .+, from 11\/01\/2026: 31\.50 an hour, usually 80 hours \(before: .+ an hour/,
    );
    expect((await said()).join(' ')).not.toMatch(/[0-9a-f]{8}-[0-9a-f]{4}-/);
  });
  it('says an identity before and after, and of a number only that it changed', async () => {
    const view = (await preparer('GET', `/employees/${person}`)).body;
    const identity = {
      ...Object.fromEntries(
        ['firstName', 'middleName', 'lastName', 'suffix', 'street', 'city', 'state', 'zip'].map((name) => [
          name,
          view[name],
        ]),
      ),
      street: '14 Pier Road',
      ssn: '899-45-7766',
      version: view.version,
    };
    expect((await preparer('PUT', `/employees/${person}/identity`, identity)).status).toBe(200);
    const [newest = ''] = await said();
    expect(newest).toContain(`street from ${view.street} to 14 Pier Road`);
    expect(newest).toContain('social security number changed');
    expect(newest).not.toContain('7766');
  });
  it('names a filing as its page does', async () => {
    const made = await preparer('POST', `/clients/${client}/filings`, { kind: 'us-941', period: '2026-Q3' });
    expect([made.status, (await said())[0]]).toEqual([201, 'began Form 941, Q3 2026']);
  });
  it('has who was added by mistake removed, as long as nobody was paid', async () => {
    const list = (await preparer('GET', `/clients/${client}/employees`)).body;
    const added = await preparer('POST', `/clients/${client}/employees`, {
      ...{ number: '88', firstName: 'Twice', middleName: '', lastName: 'Entered', suffix: '', ssn: 'applied for' },
      ...{ street: '', city: '', state: '', zip: '', hiredOn: null, bornOn: null, kind: 'employee' },
      ...{ isRetirementPlan: false, facts: [] },
    });
    expect(added.status).toBe(201);
    const { version, ssnTail } = (await preparer('GET', `/employees/${added.body.id}`)).body;
    expect([version, ssnTail]).toEqual([1, '']);
    expect((await preparer('POST', `/employees/${added.body.id}/remove`, { version: 9 })).status).toBe(409);
    expect((await preparer('POST', `/employees/${added.body.id}/remove`, { version })).status).toBe(204);
    expect((await preparer('GET', `/clients/${client}/employees`)).body.total).toBe(list.total);
    expect((await said())[0]).toMatch(/^removed Twice Entered, who was added by mistake/);
    await postPayroll(preparer, client);
    const paid = (await preparer('GET', `/employees/${person}`)).body;
    const refused = await preparer('POST', `/employees/${person}/remove`, { version: paid.version });
    expect([refused.status, refused.body.detail]).toEqual([409, expect.stringContaining('has been paid')]);
  });
  it('names the client of an entry, and is filtered by client, employee, user, act and day', async () => {
    const of = (await page(`?client=${client}`)).rows;
    expect(new Set(of.map((row) => row.clientId))).toEqual(new Set([client]));
    expect((await said(`?employee=${person}`)).every((sentence) => /of |added /.test(sentence))).toBe(true);
    expect((await said('?about=session')).every((sentence) => sentence === 'signed in')).toBe(true);
    expect(await said('?from=2031-01-01')).toEqual([]);
    expect((await said('?to=2020-01-01')).length).toBe(0);
    const all = (await page()).rows;
    const oldest = all.at(-1)?.seq ?? 0;
    expect((await page(`?before=${oldest}`)).rows).toEqual([]);
    expect((await page()).about).toContain('tax-account');
    expect((await administrator('GET', '/audit?client=nobody')).status).toBe(422);
  });
});
