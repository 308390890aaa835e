import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let noticeId = '';
const PDF = Buffer.from('%PDF-1.7 a letter').toString('base64');
beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'PAPER', 0);
  const made = await preparer('POST', `/clients/${client.id}/notices`, {
    agency: 'IRS',
    number: 'CP161',
    kind: 'balance-due',
    datedOn: '2026-10-12',
    respondBy: null,
    period: '2026-Q3',
    amount: 25_000,
    says: '',
    replyTo: '',
    filingId: null,
  });
  noticeId = made.body.id;
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const add = (content: string, more: object = {}, caller = preparer) =>
  caller('POST', '/attachments', {
    subject: 'notice',
    subjectId: noticeId,
    fileName: 'Letter <script>.exe',
    content,
    ...more,
  });
const list = async () => (await preparer('GET', `/attachments?subject=notice&id=${noticeId}`)).body;

describe('a paper', () => {
  it('is kept once with what it is about, under a plain name, as what it is', async () => {
    expect((await add(PDF)).status).toBe(201);
    const again = await add(PDF);
    expect([again.status, again.body.problems[0].field]).toEqual([422, 'file']);
    expect((await list()).map(({ name, bytes }: { name: string; bytes: number }) => [name, bytes])).toEqual([
      ['Letter _script_.pdf', 17],
    ]);
  });
  it('comes back byte for byte, to be saved and not shown', async () => {
    const [{ id }] = await list();
    const session = await fetch(`${stack.url}/session`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ email: 'preparer@alder.example', password: 'a-long-enough-password' }),
    });
    const cookie = (session.headers.get('set-cookie') ?? '').split(';')[0] ?? '';
    const file = await fetch(`${stack.url}/attachments/${id}/file`, { headers: { cookie } });
    expect([file.headers.get('content-disposition'), file.headers.get('x-content-type-options')]).toEqual([
      'attachment; filename="Letter _script_.pdf"',
      'nosniff',
    ]);
    expect(await file.text()).toBe('%PDF-1.7 a letter');
  });
  it.each([
    ['a page', Buffer.from('<html><script>alert(1)</script>').toString('base64')],
    ['a drawing with code', Buffer.from('<svg xmlns="x" onload="alert(1)"/>').toString('base64')],
    ['nothing', ''],
  ])('that is %s is refused, and nothing is kept', async (_, content) => {
    const before = (await list()).length;
    expect([400, 422]).toContain((await add(content)).status);
    expect(await list()).toHaveLength(before);
  });
  it('belongs to the firm and to a subject that is there', async () => {
    const [{ id }] = await list();
    await stack.addFirm('Birch');
    const stranger = await stack.signIn('Birch', 'administrator');
    expect((await stranger('GET', `/attachments/${id}/file`)).status).toBe(404);
    expect((await stranger('GET', `/attachments?subject=notice&id=${noticeId}`)).status).toBe(404);
    expect((await add(PDF, {}, stranger)).status).toBe(404);
    expect((await add(PDF, { subject: 'remittance' })).status).toBe(404);
    expect((await add(PDF, { subject: 'app_user' })).status).toBe(400);
    expect((await add(PDF, { subject: 'client', subjectId: client.id })).status).toBe(201);
  });
});
