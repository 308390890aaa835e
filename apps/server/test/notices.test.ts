import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let client: { id: string; bankId: string };

interface Notice {
  readonly id: string;
  readonly status: string;
  readonly version: number;
  readonly ledger: { label: string; amount: number }[];
}
interface Rung {
  readonly title: string;
  readonly move: string;
  readonly due: string | null;
}
const NOTICE = {
  agency: 'IRS',
  number: 'CP161',
  kind: 'balance-due',
  datedOn: '2026-10-20',
  respondBy: '2026-11-10',
  period: '2026-Q4',
  amount: 123_456,
  says: 'An amount is unpaid.',
  replyTo: 'Box 4, Route 9\n\n  Port Verity, TX 77999 ',
  filingId: null,
};
const record = (more: object = {}) => preparer('POST', `/clients/${client.id}/notices`, { ...NOTICE, ...more });
const notices = async (): Promise<Notice[]> =>
  ((await preparer('GET', `/clients/${client.id}/notices`)).body as unknown as { notices: Notice[] }).notices;
const rungs = async (): Promise<Rung[]> =>
  ((await preparer('GET', '/ladder')).body as unknown as { rungs: Rung[] }).rungs.filter(({ title }) =>
    title.startsWith('Notice'),
  );

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  client = await takeOn(preparer, 'NOTICE', 1);
  await postPayroll(preparer, client.id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('a notice of an agency', () => {
  it('is refused with its field while it says what cannot be', async () => {
    for (const [field, more] of [
      ['agency', { agency: 'NOBODY' }],
      ['period', { period: '2026-5' }],
      ['amount', { amount: -1 }],
      ['replyTo', { replyTo: '1\n2\n3\n4\n5' }],
      ['respondBy', { respondBy: '2026-10-01' }],
      ['datedOn', { datedOn: '2027-01-01', respondBy: null }],
      ['filingId', { filingId: client.id }],
      ['kind', { kind: 'love letter' }],
    ] as const) {
      const { status, body } = await record(more);
      expect([field, status, body.problems[0].field]).toEqual([field, field === 'kind' ? 400 : 422, field]);
    }
    expect(await notices()).toEqual([]);
  });

  it('is recorded once, set against the ledger, and stands on the ladder by its last day', async () => {
    const [first, second] = await Promise.all([record(), record()]);
    expect([first.status, second.status].sort()).toEqual([201, 422]);
    const [notice, ...others] = await notices();
    expect(others).toEqual([]);
    const owed = (
      (await preparer('GET', `/clients/${client.id}/deposits`)).body as unknown as {
        family: string;
        owed: number;
      }[]
    )
      .filter(({ family }) => family === 'US-941' || family === 'US-940')
      .reduce((total, deposit) => total + deposit.owed, 0);
    const amountOf = (label: string) => notice?.ledger.find((line) => line.label === label)?.amount;
    expect(owed).toBeGreaterThan(0);
    expect(amountOf('Open by the ledger')).toBe(owed);
    expect(amountOf('Difference')).toBe(123_456 - owed);
    const shown = await until(rungs, (found) => found.length > 0);
    expect(shown.map(({ due, move }) => [due, move])).toEqual([['2026-11-10', 'Preparer: answer the notice']]);
  });

  it('is answered by a letter with the payments in it, closed with how it ended, and opened again', async () => {
    const [notice] = await notices();
    const path = `/notices/${notice?.id ?? ''}`;
    expect((await preparer('GET', `${path}/answer.pdf`)).status).toBe(409);
    const stale = await preparer('POST', `${path}/answer`, { version: 9, answer: 'x' });
    expect(stale.status).toBe(409);
    const answered = await preparer('POST', `${path}/answer`, {
      version: 1,
      answer: 'It is not due before 11/16/2026.',
    });
    expect([answered.status, answered.body.status]).toEqual([200, 'answered']);
    const letter = wordsOf(String((await preparer('GET', `${path}/answer.pdf`)).body));
    for (const word of [
      'CP161',
      'It is not due before 11/16/2026.',
      'Open by the ledger',
      '1,234.56',
      'Internal Revenue',
      'Box 4, Route 9',
      'Port Verity, TX 77999',
    ])
      expect(letter).toContain(word);
    await until(rungs, (found) => found.length === 0);
    const blank = await preparer('POST', `${path}/close`, { version: 2, why: ' ' });
    expect([blank.status, blank.body.problems[0].field]).toEqual([422, 'why']);
    const closed = await preparer('POST', `${path}/close`, { version: 2, why: 'The agency agreed.' });
    expect([closed.body.status, closed.body.ended]).toEqual(['closed', 'The agency agreed.']);
    const again = await preparer('POST', `${path}/reopen`, { version: 3, why: 'A second letter came.' });
    expect([again.body.status, again.body.ended]).toEqual(['open', '']);
    const trail = (await preparer('GET', '/audit')).body as unknown as { entries: { says: string }[] };
    expect(JSON.stringify(trail)).toContain('notice CP161 of');
  });
});
