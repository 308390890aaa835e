import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { openApiDocument } from '../src/http/open-api.js';
import { Stack, employee, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
let contact: Caller;
let own: { id: string };
let other: { id: string; employeeIds: string[] };
const PASSWORD = 'a-password-of-the-client';

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  own = await takeOn(preparer, 'OWN', 0);
  other = await takeOn(preparer, 'OTHER', 1);
  for (const client of [own, other])
    await preparer('POST', `/clients/${client.id}/employees`, {
      ...employee('9'),
      hiredOn: '2026-10-12',
      bornOn: null,
    });
  for (const client of [own, other])
    await preparer('POST', `/clients/${client.id}/questions`, { chaseOn: '2026-10-29' });
  const person = { name: 'Ruth Vane', email: 'ruth@own.example', password: PASSWORD };
  expect((await preparer('POST', `/clients/${own.id}/contacts`, person)).status).toBe(403);
  expect((await administrator('POST', `/clients/${own.id}/contacts`, person)).status).toBe(201);
  contact = await stack.signInAs('ruth@own.example', PASSWORD);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const home = async () => (await contact('GET', '/own-client')).body;
const asked = async (client: { id: string }) =>
  (await preparer('GET', `/clients/${client.id}/questions`)).body as {
    id: string;
    field: string;
    version: number;
    status: string;
  }[];

describe('somebody who signs in for a client', () => {
  it('sees the questions of that client only, and answers them; a reviewer of the firm accepts', async () => {
    const { clientName, questions } = await home();
    expect(clientName).toBe('Boatyard OWN Inc');
    const born = (await asked(own)).find((question) => question.field === 'bornOn');
    expect(questions.map((question: { id: string }) => question.id)).toContain(born?.id);
    const answered = await contact('POST', `/own-client/questions/${born?.id ?? ''}/answer`, {
      version: 1,
      answer: '1994-05-04',
    });
    expect(answered.status).toBe(204);
    expect((await reviewer('POST', `/questions/${born?.id ?? ''}/accept`, { version: 2 })).status).toBe(204);
    expect((await home()).questions.map((question: { id: string }) => question.id)).not.toContain(born?.id);
  });

  it('cannot answer for another client: its questions are not there', async () => {
    const [foreign] = await asked(other);
    const answer = await contact('POST', `/own-client/questions/${foreign?.id ?? ''}/answer`, {
      version: 1,
      answer: 'x',
    });
    expect(answer.status).toBe(404);
    expect((await asked(other)).every((question) => question.status === 'asked')).toBe(true);
  });

  it('is let into no route but its own, by whatever method', async () => {
    expect((await contact('GET', '/session')).status).toBe(200);
    const { paths } = openApiDocument(stack.app);
    const routes = Object.entries(paths).flatMap(([path, methods]) =>
      Object.keys(methods as object).map((method) => [method.toUpperCase(), path.replace(/^\/api/, '')] as const),
    );
    const mine = /^\/(own-client|session)/;
    const strange = routes.filter(
      ([, path]) => !mine.test(path) && path !== '/clock' && !/^\/(calendar|welcome)\//.test(path),
    );
    expect(strange.length).toBeGreaterThan(60);
    for (const [method, path] of strange) {
      const answer = await contact(method, path.replace(/\{\w+\}/g, own.id), method === 'GET' ? undefined : {});
      expect([method, path, answer.status]).toEqual([method, path, 403]);
    }
  });

  it('is shown no other client’s row even by a query that forgets to ask for its own', async () => {
    await postPayroll(preparer, other.id).catch(() => undefined);
    const runner = stack.dataSource.createQueryRunner();
    await runner.startTransaction();
    const firm = (await runner.query('SELECT firm_id FROM client WHERE id = $1', [own.id])) as { firm_id: string }[];
    await runner.query('SET LOCAL ROLE zakat_app');
    await runner.query(`SELECT set_config('zakat.firm_id', $1, true), set_config('zakat.client_id', $2, true)`, [
      firm[0]?.firm_id,
      own.id,
    ]);
    const tables = (await runner.query(
      `SELECT table_name AS name FROM information_schema.columns WHERE table_schema = 'public' AND column_name = 'client_id' AND table_name <> 'app_user'`,
    )) as { name: string }[];
    expect(tables.length).toBeGreaterThan(15);
    for (const { name } of tables) {
      const rows = (await runner.query(`SELECT count(*)::int AS count FROM ${name} WHERE client_id <> $1`, [
        own.id,
      ])) as { count: number }[];
      expect([name, rows[0]?.count]).toEqual([name, 0]);
    }
    const clients = (await runner.query('SELECT id FROM client')) as { id: string }[];
    expect(clients).toEqual([{ id: own.id }]);
    await runner.rollbackTransaction();
    await runner.release();
  });

  it('is out as soon as the account is closed, and is no user of the firm', async () => {
    const users = (await administrator('GET', '/users')).body as unknown as { email: string }[];
    expect(users.map((user) => user.email)).not.toContain('ruth@own.example');
    const [row] = (await administrator('GET', `/clients/${own.id}/contacts`)).body as unknown as { id: string }[];
    const elsewhere = await administrator('PUT', `/clients/${other.id}/contacts/${row?.id ?? ''}`, { isActive: false });
    expect(elsewhere.status).toBe(404);
    await administrator('PUT', `/clients/${own.id}/contacts/${row?.id ?? ''}`, { isActive: false });
    expect((await contact('GET', '/own-client')).status).toBe(401);
    await expect(stack.signInAs('ruth@own.example', PASSWORD)).rejects.toThrow('401');
  });
});
