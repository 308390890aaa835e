import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import openapiTs, { astToString } from 'openapi-typescript';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openApiDocument } from '../src/http/open-api.js';
import { MACHINES } from '../src/state-machines/machine.js';
import { readConfig } from '../src/config/config.js';
import { Stack, employee, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'YARD', 1);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the door', () => {
  it('is closed without a session, on every route but signing in and those whose address is the secret', async () => {
    const paths = Object.entries(openApiDocument(stack.app).paths).flatMap(([path, operations]) =>
      Object.keys(operations).map(
        (method) => [method.toUpperCase(), path.replace(/^\/api/, '').replace(/\{\w+\}/g, client.id)] as const,
      ),
    );
    expect(paths.length).toBeGreaterThan(30);
    for (const [method, path] of paths.filter(
      ([method, path]) =>
        !(method === 'POST' && (path === '/session' || path === '/clock')) && !/^\/(calendar|welcome)\//.test(path),
    ))
      expect([method, path, (await stack.call(method, path, method === 'GET' ? undefined : {})).status]).toEqual([
        method,
        path,
        401,
      ]);
  });
  it('closes after five wrong passwords, and says so', async () => {
    const attempt = () => stack.call('POST', '/session', { email: 'administrator@alder.example', password: 'wrong' });
    const answers = [];
    for (let index = 0; index < 6; index += 1) answers.push((await attempt()).status);
    expect(answers).toEqual([401, 401, 401, 401, 401, 429]);
    expect(
      (
        await stack.call('POST', '/session', {
          email: 'administrator@alder.example',
          password: 'a-long-enough-password',
        })
      ).status,
    ).toBe(429);
  });
  it('answers the same for an unknown account', async () =>
    expect((await stack.call('POST', '/session', { email: 'nobody@alder.example', password: 'x' })).body.code).toBe(
      'sign-in-failed',
    ));
  it('refuses a change that comes from another site', async () =>
    expect(
      (await stack.call('POST', '/session', { email: 'a@b', password: 'x' }, { Origin: 'https://elsewhere.example' }))
        .body.code,
    ).toBe('origin'));
  it('hands out a cookie that scripts cannot read', async () => {
    const answer = await fetch(`${stack.url}/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email: 'reviewer@alder.example', password: 'a-long-enough-password' }),
    });
    expect(answer.headers.get('set-cookie')).toMatch(/HttpOnly; SameSite=Strict/);
  });
  it('the clock is moved only with its token, and only forward', async () => {
    expect((await stack.call('POST', '/clock', { today: '2026-10-23' })).status).toBe(404);
    expect(
      (await stack.call('POST', '/clock', { today: '2026-10-21' }, { 'X-Clock-Token': stack.config.clockToken })).body,
    ).toEqual({ today: '2026-10-22' });
  });
});

describe('bad input is named, and nothing is kept', () => {
  const people = async (): Promise<number> =>
    ((await preparer('GET', `/clients/${client.id}/employees`)).body as unknown[]).length;
  it.each<[string, Record<string, unknown>, number, string]>([
    ['a number that cannot exist', { ssn: '900-12-3456' }, 422, 'ssn'],
    ['a number twice', { number: '7' }, 422, 'ssn'],
    ['a name too long for the wage file', { lastName: 'A-name-longer-than-twenty' }, 400, 'lastName'],
    ['an unknown field', { colour: 'red' }, 400, 'colour'],
    [
      'an amount as a number',
      {
        ssn: '899999999',
        number: '8',
        facts: [
          {
            kind: 'federal-certificate',
            from: '2026-01-01',
            value: { form: '2020', filingStatus: 'single', extraWithholding: 25 },
          },
        ],
      },
      422,
      'facts[0].value.extraWithholding',
    ],
    [
      'a state without rules',
      {
        ssn: '899999999',
        number: '8',
        facts: [{ kind: 'place', from: '2026-01-01', value: { work: 'ZZ', residence: 'ZZ' } }],
      },
      422,
      'facts[0].value.work',
    ],
    [
      'pay without a rate',
      { ssn: '899999999', number: '8', facts: [{ kind: 'pay', from: '2026-01-01', value: { basis: 'hourly' } }] },
      422,
      'facts[0].value.rate',
    ],
  ])('%s', async (_, more, status, field) => {
    const before = await people();
    const answer = await preparer('POST', `/clients/${client.id}/employees`, {
      ...employee('1'),
      number: '9',
      ...more,
    });
    expect([answer.status, answer.body.problems.map((problem: { field: string }) => problem.field)]).toEqual([
      status,
      expect.arrayContaining([field]),
    ]);
    expect(await people()).toBe(before);
  });
  it('a client key twice, an EIN that cannot be, a rate that is not plausible', async () => {
    const view = (await preparer('GET', `/clients/${client.id}`)).body;
    const fields = {
      legalName: 'X',
      tradeName: '',
      nameControl: 'X',
      street: '',
      city: '',
      state: 'NY',
      zip: '',
      phone: '',
      email: '',
      contactName: '',
      signerName: '',
      signerTitle: '',
      kindOfEmployer: 'N',
      payFrequency: 'weekly',
      lookbackAmount: 0,
    };
    expect(
      (
        await preparer('POST', '/clients', {
          ...fields,
          key: view.key,
          ein: '471234561',
          confirmed: ['doubt.ein-shared ein'],
        })
      ).body.problems[0].field,
    ).toBe('key');
    expect(
      (await preparer('POST', '/clients', { ...fields, key: 'OTHER', ein: '071234561' })).body.problems[0].code,
    ).toBe('ein.prefix');
    expect(
      (
        await preparer('POST', `/clients/${client.id}/tax-accounts`, {
          agency: 'NY-DOL',
          accountNumber: '49-00123',
          unemploymentRate: '41',
          from: '2026-06-01',
        })
      ).body.problems[0].code,
    ).toBe('employer.rate-implausible');
  });
  it('a payroll that cannot be computed is not reviewed, and names the person', async () => {
    const added = await preparer('POST', `/clients/${client.id}/employees`, employee('2', { facts: [] }));
    expect(added.status).toBe(201);
    const { id } = (
      await preparer('POST', `/clients/${client.id}/payrolls`, {
        periodStart: '2026-10-11',
        periodEnd: '2026-10-24',
        checkDate: '2026-10-30',
        kind: 'regular',
      })
    ).body as { id: string };
    const refused = await preparer('POST', `/payrolls/${id}/review`, { version: 1 });
    expect(refused.status).toBe(422);
    expect(refused.body.problems.map((problem: { field: string }) => problem.field).join(' ')).toContain('SpragueB');
  });
  it('a person’s number is never in an answer or an error', async () => {
    const answers = await Promise.all(
      [`/clients/${client.id}/employees`, `/employees/${client.employeeIds[0] ?? ''}`, '/audit'].map((path) =>
        preparer('GET', path),
      ),
    );
    for (const answer of answers) expect(JSON.stringify(answer.body)).not.toContain('899123401');
  });
});

describe('the wire', () => {
  it('the web client’s types are the ones this server describes (npm run api-types)', async () => {
    const types = astToString(await openapiTs(JSON.parse(JSON.stringify(openApiDocument(stack.app)))));
    expect(readFileSync(join(process.cwd(), 'apps/web/src/api/schema.d.ts'), 'utf8')).toContain(types);
  });
  it('every body has a class: nothing passes unchecked', () => {
    const document = openApiDocument(stack.app);
    for (const [path, operations] of Object.entries(document.paths)) {
      for (const [method, operation] of Object.entries(
        operations as Record<string, { requestBody?: { content: Record<string, { schema: { $ref?: string } }> } }>,
      )) {
        const body = operation.requestBody?.content['application/json']?.schema;
        if (body) expect([method, path, body.$ref]).toEqual([method, path, expect.stringMatching(/schemas/)]);
      }
    }
  });
});

describe('state machines', () => {
  it.each(MACHINES.map((machine) => [machine.name, machine] as const))(
    '%s: every act leads somewhere else, and every state can be reached',
    (_, machine) => {
      const transitions: readonly { readonly from: readonly string[]; readonly to: string }[] = machine.transitions;
      const reached = new Set<string>([machine.initial]);
      for (let round = 0; round < transitions.length; round += 1)
        for (const { from, to } of transitions) if (from.some((state) => reached.has(state))) reached.add(to);
      for (const { from, to } of transitions) {
        expect(from).not.toContain(to);
        for (const state of [...from, to]) expect(reached).toContain(state);
      }
    },
  );
});

describe('the settings', () => {
  it('say everything that is missing at once', () =>
    expect(() => readConfig({})).toThrow(/ZAKAT_KEY[\s\S]*DATABASE_URL[\s\S]*ZAKAT_BANK_URL/));
});
