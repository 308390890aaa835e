import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

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

interface Person {
  readonly employeeId: string;
  readonly name: string;
  readonly isPaid: boolean;
  readonly note: string;
  readonly earnings: { item: string; hours?: string; rate?: string; amount?: string }[];
  readonly paycheck: { gross: number; net: number };
}
interface View {
  readonly id: string;
  readonly version: number;
  readonly people: number;
  readonly gross: number;
  readonly persons: Person[];
  readonly employerTaxes: { tax: string; amount: number }[];
  readonly journal: { account: string; amount: number }[];
  readonly closed: { what: string; follows: string }[];
  readonly closedReason: string | null;
}
const PERIOD = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
const NEXT = { periodStart: '2026-10-25', periodEnd: '2026-11-07', checkDate: '2026-11-13' };
const CONTRADICTS = { confirmed: ['doubt.contradicts from'] };
const view = async (id: string): Promise<View> => (await preparer('GET', `/payrolls/${id}`)).body as View;
const open = async (clientId: string, days: object, kind = 'regular'): Promise<View> => {
  const made = await preparer('POST', `/clients/${clientId}/payrolls`, { ...days, kind });
  return view(String(made.body.id));
};
const ended = (from: string, more: object = {}) => ({
  kind: 'employment',
  from,
  value: { standing: 'ended' },
  ...more,
});
const addFact = (person: string, fact: object) => preparer('POST', `/employees/${person}/facts`, fact);
const identityOf = async (person: string): Promise<Record<string, unknown>> => {
  const { body } = await preparer('GET', `/employees/${person}`);
  return Object.fromEntries(
    ['firstName', 'middleName', 'lastName', 'suffix', 'street', 'city', 'state', 'zip', 'version'].map((name) => [
      name,
      body[name],
    ]),
  );
};

describe('a posted payroll is evidence', () => {
  it('an end of employment or a hire date entered later takes nobody out of it, and changes no figure of it', async () => {
    const client = await takeOn(preparer, 'EVIDENCE', 2);
    const id = await postPayroll(preparer, client.id);
    const before = await view(id);
    const [first = '', second = ''] = client.employeeIds;
    const late = await addFact(first, ended('2026-09-30'));
    expect([late.status, late.body.code, late.body.problems[0].sentence]).toEqual([
      409,
      'second-look',
      expect.stringContaining('the check of Fri, Oct 30, 2026'),
    ]);
    // Nothing was saved by what was only asked.
    expect(
      (await preparer('GET', `/employees/${first}`)).body.facts.some(
        ({ kind }: { kind: string }) => kind === 'employment',
      ),
    ).toBe(false);
    expect((await addFact(first, ended('2026-09-30', CONTRADICTS))).status).toBe(201);
    const hired = { ...(await identityOf(second)), ssn: '', hiredOn: '2026-11-02' };
    const asked = await preparer('PUT', `/employees/${second}/identity`, hired);
    expect([asked.status, asked.body.problems[0].field]).toEqual([409, 'hiredOn']);
    expect(
      (await preparer('PUT', `/employees/${second}/identity`, { ...hired, confirmed: ['doubt.contradicts hiredOn'] }))
        .status,
    ).toBe(200);
    const after = await view(id);
    expect(after).toEqual(before);
    expect([after.people, after.employerTaxes.length > 0, after.journal.length > 0]).toEqual([2, true, true]);
    const working = await preparer('GET', `/payrolls/${id}/working/${first}?figure=US-FIT`);
    expect([working.status, working.body.lines.length > 0]).toEqual([200, true]);
  });
  it('keeps the name and the place of work of its day', async () => {
    const client = await takeOn(preparer, 'NAMES', 1);
    const id = await postPayroll(preparer, client.id);
    const [person = ''] = client.employeeIds;
    await preparer('PUT', `/employees/${person}/identity`, {
      ...(await identityOf(person)),
      ssn: '',
      lastName: 'Marrack',
    });
    await addFact(person, {
      kind: 'place',
      from: '2026-01-01',
      value: { work: 'TX', residence: 'TX' },
      ...CONTRADICTS,
    });
    expect((await view(id)).persons[0]).toMatchObject({ name: 'Wil SpragueA', workState: 'NY' });
  });
  it('a fact before the first check or after the last contradicts none', async () => {
    const client = await takeOn(preparer, 'LATER', 1);
    await postPayroll(preparer, client.id);
    const [person = ''] = client.employeeIds;
    const pay = { kind: 'pay', value: { basis: 'hourly', rate: '33.00', hours: '80' } };
    expect((await addFact(person, { ...pay, from: '2026-10-25' })).status).toBe(201);
    const inside = await addFact(person, { ...pay, from: '2026-10-20' });
    expect([inside.status, inside.body.code]).toEqual([409, 'second-look']);
  });
});

describe('the last check of somebody who left', () => {
  it('is offered in the period, with the days worked, and no longer once it is paid', async () => {
    const client = await takeOn(preparer, 'LEAVER', 2);
    const [leaver = ''] = client.employeeIds;
    await addFact(leaver, { kind: 'pay', from: '2026-01-01', value: { basis: 'hourly', rate: '20.00', hours: '80' } });
    // Wednesday, Oct 14: three of the ten workdays of the period.
    await addFact(leaver, ended('2026-10-14'));
    const draft = await open(client.id, PERIOD);
    const person = draft.persons.find(({ employeeId }) => employeeId === leaver);
    expect(person).toMatchObject({ isPaid: true, earnings: [{ item: 'regular', hours: '24', rate: '20.00' }] });
    expect(person?.note).toMatch(/Employment ended Wed, Oct 14, 2026.*last check/);
    const reviewed = await preparer('POST', `/payrolls/${draft.id}/review`, { version: draft.version });
    expect((await preparer('POST', `/payrolls/${draft.id}/post`, { version: reviewed.body.version })).status).toBe(200);
    expect((await open(client.id, NEXT)).persons.map(({ employeeId }) => employeeId)).toEqual([client.employeeIds[1]]);
    expect((await open(client.id, NEXT, 'extra')).persons.length).toBe(1);
  });
  it('is offered after the period too, regular and off-cycle, when the last days were not paid', async () => {
    const client = await takeOn(preparer, 'UNPAID', 2);
    await postPayroll(preparer, client.id);
    const [leaver = ''] = client.employeeIds;
    await addFact(leaver, ended('2026-10-28'));
    const later = { periodStart: '2026-11-08', periodEnd: '2026-11-21', checkDate: '2026-11-27' };
    for (const kind of ['regular', 'extra']) {
      const offered = (await open(client.id, later, kind)).persons.find(({ employeeId }) => employeeId === leaver);
      expect(offered).toMatchObject({ isPaid: false, earnings: [] });
      expect(offered?.note).toMatch(/not paid to its end/);
    }
  });
  it('who ends while a payroll is open stays in it, with what was typed', async () => {
    const client = await takeOn(preparer, 'TYPED', 2);
    const draft = await open(client.id, PERIOD);
    const [leaver = ''] = client.employeeIds;
    await addFact(leaver, ended('2026-09-01'));
    const after = await view(draft.id);
    expect(after.persons.find(({ employeeId }) => employeeId === leaver)?.isPaid).toBe(true);
  });
  it('ended people do not count as employed', async () => {
    const client = await takeOn(preparer, 'COUNT', 2);
    const count = async (): Promise<unknown> =>
      ((await open(client.id, PERIOD, 'extra')).persons[0] as unknown as { base: { employer: { employees: number } } })
        .base.employer.employees;
    expect(await count()).toBe(2);
    await addFact(client.employeeIds[1] ?? '', ended('2026-10-01'));
    expect(await count()).toBe(1);
  });
});

describe('a period that is closed', () => {
  it('says which return and which deposit have left, and takes a reviewer’s reason', async () => {
    const client = await takeOn(preparer, 'CLOSED', 1);
    await postPayroll(preparer, client.id);
    await stack.dataSource.query(
      `INSERT INTO filing (id, firm_id, client_id, kind, jurisdiction, period_start, period_end, due, status, prepared_by, created_at)
       SELECT gen_random_uuid(), firm_id, $1, 'us-941', 'US', '2026-10-01', '2026-12-31', '2027-02-01', 'accepted', id, now() FROM app_user WHERE role = 'reviewer' LIMIT 1`,
      [client.id],
    );
    const [deposit] = (await preparer('GET', `/clients/${client.id}/deposits`)).body.filter(
      ({ family }: { family: string }) => family === 'US-941',
    );
    const planned = await preparer('POST', `/clients/${client.id}/remittances`, {
      settles: deposit.settles,
      bankAccountId: client.bankId,
      items: deposit.liabilities.map(({ tax, liabilityDate }: Record<string, string>) => ({ tax, liabilityDate })),
    });
    await stack.dataSource.query(`UPDATE remittance SET status = 'settled' WHERE id = $1`, [planned.body.id]);
    await stack.dataSource.query(`UPDATE remittance_item SET is_live = false WHERE remittance_id = $1`, [
      planned.body.id,
    ]);
    const draft = await open(client.id, PERIOD, 'extra');
    expect(draft.closed.map(({ what }) => what)).toEqual([
      'Released: Form 941, Q4 2026.',
      expect.stringMatching(/^Form 941 taxes of [\d,.]+ \(ZK\w+\) was deposited, settling/),
    ]);
    expect(draft.closed[0]?.follows).toMatch(/941-X/);
    const entries = draft.persons.map(({ employeeId }) => ({
      employeeId,
      isPaid: true,
      earnings: [{ item: 'bonus', amount: '500.00' }],
      deductions: [],
    }));
    const saved = await preparer('PUT', `/payrolls/${draft.id}`, { version: draft.version, entries });
    const reviewed = await preparer('POST', `/payrolls/${draft.id}/review`, { version: saved.body.version });
    const { version } = reviewed.body as { version: number };
    const closedReason = 'bonus promised in October, found in the client’s letter';
    const post = (who: Caller, body: object) => who('POST', `/payrolls/${draft.id}/post`, { version, ...body });
    expect((await post(preparer, { closedReason })).status).toBe(403);
    const without = await post(reviewer, {});
    expect([without.status, without.body.problems[0].field]).toEqual([422, 'closedReason']);
    expect((await post(reviewer, { closedReason: '   ' })).status).toBe(422);
    expect((await post(reviewer, { closedReason })).status).toBe(200);
    expect((await view(draft.id)).closedReason).toBe(closedReason);
    const trail = (await reviewer('GET', '/audit')).body.rows as { action: string; detail: Record<string, unknown> }[];
    expect(trail.find(({ action }) => action === 'payroll.post')?.detail).toMatchObject({ reason: closedReason });
    // What was posted besides can be deposited, although the first deposit of the day is settled.
    const more = (await preparer('GET', `/clients/${client.id}/deposits`)).body.find(
      ({ family }: { family: string }) => family === 'US-941',
    );
    expect(more.liabilities.length).toBeGreaterThan(0);
  });
  it('asks nothing where nothing has left', async () => {
    const client = await takeOn(preparer, 'OPEN', 1);
    expect((await open(client.id, PERIOD)).closed).toEqual([]);
  });
});

describe('a net amount', () => {
  it('is found and kept by the API, to the cent', async () => {
    const client = await takeOn(preparer, 'NETS', 1);
    const draft = await open(client.id, PERIOD);
    const [person] = draft.persons;
    const entry = (earnings: object[]) => ({ employeeId: person?.employeeId, isPaid: true, earnings, deductions: [] });
    const usual = person?.earnings ?? [];
    const save = (version: number, earnings: object[]) =>
      preparer('PUT', `/payrolls/${draft.id}`, { version, entries: [entry(earnings)] });
    const saved = await save(draft.version, [...usual, { item: 'bonus', net: '500.00' }]);
    const after = (saved.body as View).persons[0];
    expect(after?.paycheck.net).toBe((person?.paycheck.net ?? 0) + 50_000);
    expect(after?.earnings.at(-1)).toEqual({ item: 'bonus', amount: expect.stringMatching(/^\d+\.\d\d$/) });
    const { version } = saved.body as View;
    for (const line of [
      { item: 'bonus', net: 'lots' },
      { item: 'bonus', net: '5000000000.00' },
      { item: 'bonus', net: '5.00', amount: '7.00' },
    ]) {
      const refused = await save(version, [...usual, line]);
      expect([refused.status, refused.body.problems[0].field]).toEqual([
        422,
        `entries[0].earnings[${usual.length}].net`,
      ]);
    }
    expect((await view(draft.id)).version).toBe(version);
  });
});

describe('what looks like a slip is asked once', () => {
  it('a line that was not understood holds the review, on the server too', async () => {
    const client = await takeOn(preparer, 'UNREAD', 1);
    const draft = await open(client.id, PERIOD);
    const entry = {
      employeeId: draft.persons[0]?.employeeId,
      isPaid: true,
      earnings: draft.persons[0]?.earnings ?? [],
      deductions: [],
    };
    const unread = { column: 'line', text: '72 reg 8 zzz', why: 'zzz is not known' };
    const saved = await preparer('PUT', `/payrolls/${draft.id}`, {
      version: draft.version,
      entries: [{ ...entry, unread }],
    });
    expect(saved.body.persons[0].unread).toEqual(unread);
    const refused = await preparer('POST', `/payrolls/${draft.id}/review`, { version: saved.body.version });
    expect([refused.status, refused.body.problems[0]]).toEqual([
      422,
      expect.objectContaining({
        code: 'entry.not-read',
        field: 'Wil SpragueA: line',
        sentence: expect.stringContaining('72 reg 8 zzz'),
      }),
    ]);
    const cleared = await preparer('PUT', `/payrolls/${draft.id}`, { version: saved.body.version, entries: [entry] });
    expect((await preparer('POST', `/payrolls/${draft.id}/review`, { version: cleared.body.version })).status).toBe(
      200,
    );
  });
  it.each([
    [[{ item: 'regular', hours: '1000', rate: '20.00' }], 422, 'hours.over-period'],
    [[{ item: 'regular', hours: '250', rate: '20.00' }], 409, 'doubt.hours-of-check'],
    [[{ item: 'regular', hours: '80', rate: '2150.00' }], 409, 'doubt.rate-of-check'],
  ])('hours and rates of a check: %j', async (earnings, status, code) => {
    const client = await takeOn(preparer, `SLIP${code.replace(/\W/g, '').toUpperCase()}`.slice(0, 12), 1);
    await addFact(client.employeeIds[0] ?? '', {
      kind: 'pay',
      from: '2026-01-01',
      value: { basis: 'hourly', rate: '20.00', hours: '80' },
    });
    const draft = await open(client.id, PERIOD);
    const entries = [{ employeeId: client.employeeIds[0], isPaid: true, earnings, deductions: [] }];
    const saved = await preparer('PUT', `/payrolls/${draft.id}`, { version: draft.version, entries });
    const review = (more: object) =>
      preparer('POST', `/payrolls/${draft.id}/review`, { version: saved.body.version, ...more });
    const refused = await review({});
    expect([refused.status, refused.body.problems.map((one: { code: string }) => one.code)]).toEqual([status, [code]]);
    const { field } = refused.body.problems[0] as { field: string };
    expect((await review({ confirmed: [`${code} ${field}`] })).status).toBe(status === 409 ? 200 : 422);
  });
  it.each([
    ['pay', { basis: 'hourly', rate: '2150.00' }, 'doubt.rate-moved'],
    ['garnishment', { label: 'C-1', kind: 'creditor' }, 'doubt.order-without-amount'],
    ['federal-certificate', { form: '2020', filingStatus: 'single', dependentCredit: '2.00' }, 'doubt.step-3'],
    ['standing', { item: '401k', percent: '0.05' }, 'doubt.percent-small'],
  ])('a fact: %s %j', async (kind, value, code) => {
    const client = await takeOn(preparer, `F${kind.replace(/\W/g, '').toUpperCase()}`.slice(0, 12), 1);
    const [person = ''] = client.employeeIds;
    await addFact(person, { kind: 'pay', from: '2026-01-01', value: { basis: 'hourly', rate: '21.50' } });
    const refused = await addFact(person, { kind, from: '2026-02-01', value });
    expect([refused.status, refused.body.problems.map((one: { code: string }) => one.code)]).toEqual([409, [code]]);
    const { field } = refused.body.problems[0] as { field: string };
    expect((await addFact(person, { kind, from: '2026-02-01', value, confirmed: [`${code} ${field}`] })).status).toBe(
      201,
    );
  });
  it('an EIN that another client has, and a ZIP of another state', async () => {
    const identity = {
      key: 'TWICE',
      legalName: 'Twice Ltd',
      tradeName: '',
      ein: '471234561',
      nameControl: '',
      street: '3 Slipway',
      city: 'Saltmarsh',
      state: 'OH',
      zip: '13999',
      phone: '3155550121',
      email: 'office@yard.example',
      contactName: 'Ruth',
      signerName: 'Ruth',
      signerTitle: 'President',
    };
    const refused = await preparer('POST', '/clients', identity);
    expect([refused.status, refused.body.problems.map((one: { code: string }) => one.code).sort()]).toEqual([
      409,
      ['doubt.ein-shared', 'zip.other-state'],
    ]);
    const confirmed = refused.body.problems.map((one: { code: string; field: string }) => `${one.code} ${one.field}`);
    expect((await preparer('POST', '/clients', { ...identity, confirmed })).status).toBe(201);
  });
});
