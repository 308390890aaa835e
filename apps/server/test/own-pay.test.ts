import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openApiDocument } from '../src/http/open-api.js';
import { Stack, postPayroll, takeOn, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let wil: Caller;
let payrollId = '';
const PASSWORD = 'four-gulls-on-a-cold-rope';
const EMAIL = 'wil@home.example';

const invite = async (person: number, email: string): Promise<string> => {
  const { body } = await preparer('POST', `/employees/${client.employeeIds[person]}/sign-in`, { email });
  return String(body.address).split('/welcome/')[1] ?? '';
};
const welcome = (token: string, password?: string) =>
  password === undefined
    ? stack.call('GET', `/welcome/${token}`)
    : stack.call('POST', `/welcome/${token}`, { password });

beforeAll(async () => {
  stack = await Stack.start('2026-10-22');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'PAID', 2);
  payrollId = await postPayroll(preparer, client.id, {
    periodStart: '2026-09-27',
    periodEnd: '2026-10-10',
    checkDate: '2026-10-16',
  });
  await postPayroll(preparer, client.id);
}, 120_000);
afterAll(() => stack.stop(), 30_000);

describe('a link to sign in with', () => {
  it('says whose it is, takes a sound password once, and is nobody’s afterwards', async () => {
    const token = await invite(0, EMAIL);
    expect((await preparer('GET', `/employees/${client.employeeIds[0]}/sign-in`)).body).toMatchObject({
      state: 'invited',
      email: EMAIL,
    });
    expect((await welcome(token)).body).toEqual({ name: 'Wil SpragueA', email: EMAIL, firmName: 'Alder' });
    expect((await welcome(token, 'short')).status).toBe(422);
    expect((await welcome(token, 'wil@home.example')).status).toBe(422);
    const answers = await Promise.all(Array.from({ length: 4 }, () => welcome(token, PASSWORD)));
    expect(answers.map(({ status }) => status).sort()).toEqual([204, 404, 404, 404]);
    const used = await welcome(token);
    expect([used.status, used.body.detail]).toEqual([404, (await welcome('never')).body.detail]);
    wil = await stack.signInAs(EMAIL, PASSWORD);
    expect((await preparer('GET', `/employees/${client.employeeIds[0]}/sign-in`)).body).toMatchObject({
      state: 'open',
      linkUntil: null,
    });
    // A person paid by the client is not somebody who speaks for it.
    expect((await preparer('GET', `/clients/${client.id}/contacts`)).body).toEqual([]);
  });
  it('is ended by a later one, and over after a week', async () => {
    const first = await invite(1, 'other@home.example');
    const second = await invite(1, 'other@home.example');
    expect([(await welcome(first)).status, (await welcome(second)).status]).toEqual([404, 200]);
    await stack.dataSource.query(
      `UPDATE sign_in_link SET expires_at = now() - interval '1 second' WHERE used_at IS NULL`,
    );
    expect((await welcome(second, PASSWORD)).status).toBe(404);
  });
  it('is not made for an address that somebody has, or for nobody', async () => {
    const taken = await preparer('POST', `/employees/${client.employeeIds[1]}/sign-in`, { email: EMAIL });
    expect([taken.status, taken.body.problems[0].field]).toEqual([422, 'email']);
    expect((await preparer('POST', `/employees/${client.id}/sign-in`, { email: 'x@y.example' })).status).toBe(404);
  });
});

describe('one’s own pay', () => {
  it('has the statements whose check date has come, and what was said on certificates', async () => {
    const { body } = await wil('GET', '/own-pay');
    expect([body.name, body.employer]).toEqual(['Wil SpragueA', 'Boatyard PAID Inc']);
    expect(body.statements.map(({ checkDate }: { checkDate: string }) => checkDate)).toEqual(['2026-10-16']);
    expect(body.facts.map(({ label }: { label: string }) => label).join()).toMatch(/W-4/);
    expect([body.wageStatements, body.electronicSince]).toEqual([[], null]);
  });
  it('is drawn as it was posted, for nobody else', async () => {
    const { body } = await wil('GET', '/own-pay');
    const pdf = await wil('GET', `/own-pay/statements/${body.statements[0].paycheckId}/statement.pdf`);
    const words = wordsOf(pdf.body);
    expect([pdf.status, words.includes('SpragueA'), words.includes('SpragueB')]).toEqual([200, true, false]);
    const others = (await stack.dataSource.query(
      `SELECT id FROM paycheck WHERE payroll_id = '${payrollId}' AND employee_id = '${client.employeeIds[1]}'`,
    )) as { id: string }[];
    expect((await wil('GET', `/own-pay/statements/${others[0]?.id}/statement.pdf`)).status).toBe(404);
  });
  it('is agreed to electronically and taken back, as facts with their day', async () => {
    expect((await wil('PUT', '/own-pay/consent', { isElectronic: true })).body.electronicSince).toBe('2026-10-22');
    expect((await wil('PUT', '/own-pay/consent', { isElectronic: false })).body.electronicSince).toBeNull();
    const rows = await stack.dataSource.query(
      `SELECT value->>'delivery' AS delivery, u.name FROM employee_fact f JOIN app_user u ON u.id = f.recorded_by WHERE f.kind = 'consent' ORDER BY f.id`,
    );
    expect(rows).toEqual([
      { delivery: 'electronic', name: 'Wil SpragueA' },
      { delivery: 'paper', name: 'Wil SpragueA' },
    ]);
  });
  it('has each correction of one’s own Form W-2 beside it, and nobody else’s', async () => {
    const [mine = '', others = ''] = client.employeeIds;
    const correction = (employeeId: string, sequence: number) => {
      const person = {
        employeeId,
        ssn: '',
        ssnTail: '3401',
        firstName: 'Wil',
        middleName: '',
        lastName: 'SpragueA',
        suffix: '',
      };
      const place = { street: '1 Row', city: 'Saltmarsh', state: 'NY', zip: '13999', country: '', province: '' };
      const form = {
        person: { ...person, ...place, isRetirementPlan: false, isStatutory: false },
        identity: [],
        boxes: [{ box: '1', previous: 4_820_000, correct: 4_715_000 }],
        stateBoxes: [],
        marks: [],
        previousPerson: null,
        is: 'amounts',
      };
      const ledger = { incomeTax: 0, oasdiWages: 0, oasdiTax: 0, hiWages: 0, hiTax: 0 };
      const snapshot = { year: 2025, forms: [form], corrected: { year: 2025, forms: [], ledger }, hasOriginal: true };
      return stack.dataSource.query<{ id: string }[]>(
        `INSERT INTO filing (id, firm_id, client_id, kind, jurisdiction, period_start, period_end, sequence, due, status, version, attempt, entered, answers, snapshot, snapshot_version, prepared_by, created_at)
         SELECT gen_random_uuid(), c.firm_id, c.id, 'us-w2c', 'US', '2025-01-01', '2025-12-31', $3, '2029-04-15', 'accepted', 1, 1, '{}', '{}', $2, 1, (SELECT id FROM app_user LIMIT 1), now() FROM client c WHERE c.id = $1 RETURNING id`,
        [client.id, JSON.stringify(snapshot), sequence],
      );
    };
    const [own] = await correction(mine, 1);
    const [other] = await correction(others, 2);
    expect((await wil('GET', `/own-pay/wage-statements/${own?.id}/w2.pdf`)).status).toBe(404);
    const { body } = await wil('PUT', '/own-pay/consent', { isElectronic: true });
    expect(body.wageStatements).toEqual([{ filingId: own?.id, year: '2025', form: 'W-2c' }]);
    const pdf = await wil('GET', `/own-pay/wage-statements/${own?.id}/w2.pdf`);
    expect([pdf.status, wordsOf(pdf.body).includes('47,150.00')]).toEqual([200, true]);
    expect((await wil('GET', `/own-pay/wage-statements/${other?.id}/w2.pdf`)).status).toBe(404);
    await wil('PUT', '/own-pay/consent', { isElectronic: false });
  });
  it('is all: every other route is closed, by whatever method, and nobody of the firm has pay of their own', async () => {
    const { paths } = openApiDocument(stack.app);
    const routes = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods as object).map((method) => [method.toUpperCase(), path.replace(/^\/api/, '')] as const),
    );
    const mine = /^\/(own-pay|session|welcome|calendar\/|clock|users\/\{id\}\/sign-out)/;
    const strange = routes.filter(([, path]) => !mine.test(path));
    expect(strange.length).toBeGreaterThan(60);
    for (const [method, path] of strange) {
      const answer = await wil(method, path.replace(/\{\w+\}/g, client.id), method === 'GET' ? undefined : {});
      expect([method, path, answer.status]).toEqual([method, path, 403]);
    }
    expect((await wil('GET', '/session/calendar-feeds')).status).toBe(403);
    expect((await preparer('GET', '/own-pay')).status).toBe(404);
  });
  it('is closed and opened by the firm', async () => {
    const path = `/employees/${client.employeeIds[0]}/sign-in`;
    expect((await preparer('PUT', path, { isOpen: false })).body.state).toBe('closed');
    expect((await wil('GET', '/own-pay')).status).toBe(401);
    await expect(stack.signInAs(EMAIL, PASSWORD)).rejects.toThrow(/401/);
    expect((await preparer('POST', path, { email: EMAIL })).status).toBe(409);
    expect((await preparer('PUT', path, { isOpen: true })).body.state).toBe('open');
    wil = await stack.signInAs(EMAIL, PASSWORD);
  });
});

describe('the database itself', () => {
  it('shows a person their own rows, and of every other table nothing', async () => {
    const runner = stack.dataSource.createQueryRunner();
    await runner.connect();
    try {
      const [{ firm_id: firm }] = await runner.query(`SELECT firm_id FROM client WHERE id = '${client.id}'`);
      const tables = (await runner.query(
        `SELECT c.relname AS name FROM pg_class c JOIN pg_namespace n ON n.oid = c.relnamespace WHERE n.nspname = 'public' AND c.relkind = 'r' AND c.relrowsecurity ORDER BY 1`,
      )) as { name: string }[];
      await runner.query('BEGIN');
      await runner.query(
        `SELECT set_config('role', 'zakat_app', true), set_config('zakat.firm_id', '${firm}', true), set_config('zakat.client_id', '${client.id}', true), set_config('zakat.employee_id', '${client.employeeIds[0]}', true)`,
      );
      const seen: string[] = [];
      for (const { name } of tables) {
        const [{ count }] = await runner.query(`SELECT count(*)::int AS count FROM ${name}`);
        if (count > 0) seen.push(`${name} ${count}`);
      }
      expect(
        seen.filter((one) => !/^(app_user|audit_entry|firm|payroll|session|sign_in_attempt|sign_in_link) /.test(one)),
      ).toEqual(['client 1', 'employee 1', expect.stringMatching(/^employee_fact /), 'paycheck 2']);
      const foreign = await runner.query(
        `SELECT count(*)::int AS count FROM employee_fact WHERE employee_id <> '${client.employeeIds[0]}'`,
      );
      expect(foreign[0].count).toBe(0);
      await runner.query('ROLLBACK');
    } finally {
      await runner.release();
    }
  });
});
