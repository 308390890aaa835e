import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { type Caller, employee, SHARED_EIN, Stack, takeOn } from './stack.js';

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

/** A client with nothing but a name and what is given. */
const made = async (key: string, more: Record<string, unknown> = {}): Promise<string> =>
  (
    (
      await preparer('POST', '/clients', {
        key,
        legalName: `The ${key} Company`,
        tradeName: '',
        ein: '47-1234561',
        nameControl: '',
        street: '1 Quay',
        city: 'Saltmarsh',
        state: 'NY',
        zip: '13999',
        phone: '315-555-0121',
        email: 'office@quay.example',
        contactName: 'Ruth',
        signerName: 'Ruth',
        signerTitle: 'President',
        ...SHARED_EIN,
        ...more,
      })
    ).body as { id: string }
  ).id;

describe('a payroll with facts missing', () => {
  it('waits for them, unless a reviewer lets each pass with a reason', async () => {
    const client = await takeOn(preparer, 'GAPS', 0);
    const person = (
      await preparer('POST', `/clients/${client.id}/employees`, {
        ...employee('1'),
        hiredOn: '2026-10-01',
        bornOn: null,
      })
    ).body as { id: string };
    const days = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30', kind: 'regular' };
    const { id } = (await preparer('POST', `/clients/${client.id}/payrolls`, days)).body as { id: string };
    const refused = await preparer('POST', `/payrolls/${id}/review`, { version: 1 });
    expect([refused.status, refused.body.code, refused.body.problems[0].field]).toEqual([
      422,
      'gaps',
      'Wil SpragueA: bornOn',
    ]);
    const pass = { key: 'bornOn', personId: person.id, reason: 'asked, comes with the card' };
    expect((await preparer('POST', `/clients/${client.id}/gap-passes`, pass)).status).toBe(403);
    expect((await reviewer('POST', `/clients/${client.id}/gap-passes`, { ...pass, key: 'nothing' })).status).toBe(422);
    expect((await reviewer('POST', `/clients/${client.id}/gap-passes`, pass)).status).toBe(204);
    expect((await preparer('POST', `/payrolls/${id}/review`, { version: 1 })).status).toBe(200);
  });
  it('questions go out in one letter, once; the answer is accepted by another person', async () => {
    const id = await made('ASKED', { phone: '', email: '' });
    const letter = (await preparer('GET', `/clients/${id}/readiness`)).body.letter[0].asks as string[];
    expect(letter).toContain('What is the telephone number of the business?');
    const asked = (await preparer('POST', `/clients/${id}/questions`, { chaseOn: '2026-10-29' })).body as {
      id: string;
      field: string;
      version: number;
    }[];
    const again = (await preparer('POST', `/clients/${id}/questions`, { chaseOn: '2026-10-29' })).body as unknown[];
    expect(again).toHaveLength(asked.length);
    expect((await preparer('POST', `/clients/${id}/questions`, { chaseOn: '2026-10-01' })).status).toBe(422);
    const phone = asked.find((question) => question.field === 'phone');
    expect(
      (await preparer('POST', `/questions/${phone?.id ?? ''}/answer`, { version: 1, answer: '315-555-0190' })).status,
    ).toBe(204);
    expect((await preparer('POST', `/questions/${phone?.id ?? ''}/accept`, { version: 2 })).status).toBe(403);
    expect((await reviewer('POST', `/questions/${phone?.id ?? ''}/accept`, { version: 2 })).status).toBe(204);
    expect((await preparer('GET', `/clients/${id}`)).body.phone).toBe('315-555-0190');
    const pdf = await fetch(`${stack.url}/clients/${id}/letter.pdf`);
    expect(pdf.status).toBe(401);
  });
  it('an accepted answer goes into the record under the checks that typing it would meet', async () => {
    const client = await takeOn(preparer, 'ENTERS', 0);
    const person = (
      await preparer('POST', `/clients/${client.id}/employees`, {
        ...employee('1'),
        hiredOn: '2026-10-12',
        bornOn: null,
      })
    ).body as { id: string };
    const asked = (await preparer('POST', `/clients/${client.id}/questions`, { chaseOn: '2026-10-29' })).body as {
      id: string;
      field: string;
      personId: string | null;
      entersItself: boolean;
    }[];
    const born = asked.find((question) => question.field === 'bornOn');
    expect([born?.personId, born?.entersItself]).toEqual([person.id, true]);
    const answer = (version: number, words: string) =>
      preparer('POST', `/questions/${born?.id ?? ''}/answer`, { version, answer: words });
    const accept = (version: number) => reviewer('POST', `/questions/${born?.id ?? ''}/accept`, { version });
    await answer(1, 'in May, I think');
    const unread = await accept(2);
    expect([unread.status, unread.body.problems[0]]).toMatchObject([
      422,
      { code: 'input.not-a-date', field: 'bornOn' },
    ]);
    await preparer('POST', `/questions/${born?.id ?? ''}/reopen`, { version: 2 });
    await answer(3, '05/04/2027');
    expect((await accept(4)).status).toBe(422);
    await preparer('POST', `/questions/${born?.id ?? ''}/reopen`, { version: 4 });
    await answer(5, '05/04/1994');
    const both = await Promise.all([accept(6), accept(6)]);
    expect(both.map((one) => one.status).sort()).toEqual([204, 409]);
    expect((await preparer('GET', `/employees/${person.id}`)).body).toMatchObject({ bornOn: '1994-05-04', version: 2 });
  });
  it('an answer does not overwrite what was entered meanwhile', async () => {
    const id = await made('OTHER', { phone: '' });
    const asked = (await preparer('POST', `/clients/${id}/questions`, { chaseOn: '2026-10-29' })).body as {
      id: string;
      field: string;
    }[];
    const phone = asked.find((question) => question.field === 'phone');
    await preparer('POST', `/questions/${phone?.id ?? ''}/answer`, { version: 1, answer: '315-555-0190' });
    const view = (await preparer('GET', `/clients/${id}`)).body;
    const identity = Object.fromEntries(
      'legalName tradeName ein nameControl street city state zip email contactName signerName signerTitle version'
        .split(' ')
        .map((name) => [name, view[name]]),
    );
    const saved = await preparer('PUT', `/clients/${id}/identity`, { ...identity, phone: '315-555-0133' });
    expect(saved.status).toBe(200);
    expect((await reviewer('POST', `/questions/${phone?.id ?? ''}/accept`, { version: 2 })).status).toBe(409);
    expect((await preparer('GET', `/clients/${id}`)).body.phone).toBe('315-555-0133');
  });
  it('a new hire is reported to the state of work once, with every element or not at all', async () => {
    const id = await made('HIRES');
    const hire = { ...employee('1'), hiredOn: '2026-10-12', street: '' };
    const person = (await preparer('POST', `/clients/${id}/employees`, hire)).body as { id: string };
    const rows = (await preparer('GET', `/clients/${id}/new-hires`)).body as { due: string; missing: string[] }[];
    // 42 U.S.C. § 653a(b)(2): not later than 20 days after the date of hire.
    expect(rows[0]).toMatchObject({ due: '2026-11-01', missing: ['street'], state: 'NY' });
    expect((await preparer('POST', `/clients/${id}/new-hires`, { state: 'NY' })).status).toBe(422);
    const view = (await preparer('GET', `/employees/${person.id}`)).body;
    const identity = {
      firstName: 'Wil',
      middleName: '',
      lastName: 'Sprague',
      suffix: '',
      street: '1 Row',
      city: 'Saltmarsh',
      state: 'NY',
      zip: '13999',
      ssn: '',
      version: view.version,
    };
    await preparer('PUT', `/employees/${person.id}/identity`, identity);
    const file = await preparer('POST', `/clients/${id}/new-hires`, { state: 'NY' });
    expect(file.body.content.split('\n')[1]).toContain(
      '899123401,Wil,,Sprague,1 Row,Saltmarsh,NY,13999,,,1990-05-04,2026-10-12,NY,471234561',
    );
    expect((await preparer('POST', `/clients/${id}/new-hires`, { state: 'NY' })).status).toBe(422);
  });
});
