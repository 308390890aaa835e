import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import ICAL from 'ical.js';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let other: Awaited<ReturnType<typeof takeOn>>;
beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'YARD', 1);
  other = await takeOn(preparer, 'QUAY', 1);
  await postPayroll(preparer, client.id);
  await postPayroll(preparer, other.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const make = async (caller: Caller, clientId: string | null): Promise<{ id: string; path: string }> => {
  const { body } = await caller('POST', '/session/calendar-feeds', { clientId });
  return { id: body.id, path: String(body.address).replace(/^.*\/api/, '') };
};
/** As a calendar program asks: without a session. */
const read = (path: string) => stack.call('GET', path);

describe('an address with the due dates', () => {
  it('is read by whoever knows it, as RFC 5545 has it, without names of people or amounts', async () => {
    const { path } = await make(preparer, null);
    const { status, body } = await read(path);
    expect(status).toBe(200);
    const text = String(body);
    expect(text.split('\r\n').filter((line) => Buffer.byteLength(line) > 75)).toEqual([]);
    expect(text.replaceAll('\r\n', '')).not.toMatch(/[\r\n]/);
    expect(text).not.toMatch(/Sprague|Boatyard|\d\.\d\d/);
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent');
    const { rungs } = (await preparer('GET', '/ladder')).body;
    const expected = rungs
      .filter((rung: { sendBy: string | null }) => rung.sendBy !== null)
      .map(
        (rung: { sendBy: string; title: string; clientId: string }) =>
          `${rung.sendBy} ${rung.clientId === client.id ? 'YARD' : 'QUAY'}: ${rung.title}`,
      );
    const shown = events.map((event) => {
      const { summary, startDate, endDate } = new ICAL.Event(event);
      expect(endDate.toJSDate().getTime() - startDate.toJSDate().getTime()).toBe(86_400_000);
      return `${startDate.toString()} ${summary}`;
    });
    expect(expected.length).toBeGreaterThan(5);
    expect(expected.filter((one: string) => !shown.includes(one))).toEqual([]);
    expect(new Set(events.map((event) => event.getFirstPropertyValue('uid'))).size).toBe(events.length);
  });
  it('of one client has that client’s alone', async () => {
    const { path } = await make(preparer, other.id);
    const text = String((await read(path)).body);
    expect([text.includes('QUAY: '), text.includes('YARD: ')]).toEqual([true, false]);
  });
  it('ends when it is made anew or ended, and answers then like one that never was', async () => {
    const first = await make(preparer, null);
    const second = await make(preparer, null);
    expect([(await read(first.path)).status, (await read(second.path)).status]).toEqual([404, 200]);
    expect((await preparer('DELETE', `/session/calendar-feeds/${second.id}`)).status).toBe(200);
    const ended = await read(second.path);
    const never = await read('/calendar/abcdefgh.ics');
    expect([ended.status, ended.body.detail]).toEqual([404, never.body.detail]);
    expect((await preparer('DELETE', `/session/calendar-feeds/${second.id}`)).status).toBe(404);
  });
  it('is one’s own: nobody else sees or ends it, and it shows no client of another firm', async () => {
    const { id } = await make(preparer, null);
    const reviewer = await stack.signIn('Alder', 'reviewer');
    expect((await reviewer('GET', '/session/calendar-feeds')).body).toEqual([]);
    expect((await reviewer('DELETE', `/session/calendar-feeds/${id}`)).status).toBe(404);
    await stack.addFirm('Birch');
    const stranger = await stack.signIn('Birch', 'preparer');
    expect((await stranger('POST', '/session/calendar-feeds', { clientId: client.id })).status).toBe(404);
  });
  it('of somebody who may no longer sign in is closed, and of somebody of a client has that client only', async () => {
    const administrator = await stack.signIn('Alder', 'administrator');
    const password = 'a-tide-table-of-their-own';
    const made = await administrator('POST', `/clients/${client.id}/contacts`, {
      name: 'Ruth',
      email: 'ruth@yard.example',
      password,
    });
    expect(made.status).toBe(201);
    const contact = await stack.signInAs('ruth@yard.example', password);
    const { path } = await make(contact, other.id);
    const text = String((await read(path)).body);
    expect([text.includes('YARD: '), text.includes('QUAY: ')]).toEqual([true, false]);
    expect(text).not.toMatch(/Preparer|reviewer/);
    await stack.dataSource.query(`UPDATE app_user SET is_active = false WHERE email = 'ruth@yard.example'`);
    expect((await read(path)).status).toBe(404);
  });
});
