import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let clientId = '';
let id = '';

const look = async () => (await preparer('GET', `/filings/${id}`)).body;
const hand = async (caller: Caller, on: string, version?: number) =>
  caller('POST', `/filings/${id}/hand-over`, { version: version ?? (await look()).version, on });

beforeAll(async () => {
  stack = await Stack.start('2025-12-08');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  clientId = (await takeOn(preparer, 'HOUSE', 1)).id;
  await preparer('POST', `/clients/${clientId}/facts`, {
    kind: 'employer',
    from: '2025-01-01',
    value: { kind: 'household', entity: 'person', formFamily: 'schedule-h' },
  });
  // The second one takes the person over what a household may pay without social security tax.
  await postPayroll(preparer, clientId, {
    periodStart: '2025-11-23',
    periodEnd: '2025-12-06',
    checkDate: '2025-12-12',
  });
  await postPayroll(preparer, clientId, {
    periodStart: '2025-12-07',
    periodEnd: '2025-12-20',
    checkDate: '2025-12-26',
  });
  await stack.console('date', { today: '2026-03-02' });
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('Schedule H of a household', () => {
  it('is the federal form of the year, due with the owner’s return', async () => {
    const forms = (await preparer('GET', `/clients/${clientId}/forms?year=2025`)).body as {
      kind: string;
      due: string;
      files: boolean;
    }[];
    const federal = forms.filter(({ kind, files }) => kind.startsWith('us-') && files);
    expect(federal.map(({ kind, due }) => [kind, due])).toEqual([
      ['us-w2', '2026-02-02'],
      ['us-schedule-h', '2026-04-15'],
    ]);
    id = String(
      (await preparer('POST', `/clients/${clientId}/filings`, { kind: 'us-schedule-h', period: '2025' })).body.id,
    );
    const { lines, handedTo } = await look();
    expect(handedTo).toContain('Form 1040');
    expect(lines.map((line: { id: string }) => line.id)).toContain('26');
  });
  it('is never sent from here', async () => {
    expect((await preparer('POST', `/filings/${id}/check`, { version: 1 })).status).toBe(200);
    const sent = await reviewer('POST', `/filings/${id}/release`, { version: (await look()).version });
    expect([sent.status, sent.body.detail]).toEqual([
      409,
      'Schedule H is not sent from here: it is filed with the owner’s Form 1040. Record when it was.',
    ]);
    const board = (await preparer('GET', '/due-returns?quarter=2025-Q4')).body.rows as {
      kind: string;
      isReady: boolean;
      move: string;
    }[];
    expect(board.find(({ kind }) => kind === 'us-schedule-h')).toMatchObject({
      isReady: false,
      move: 'Hand it over, then record it',
    });
  });
  it('is recorded once, by another person, on a day that can be', async () => {
    expect((await hand(preparer, '2026-03-02')).status).toBe(422);
    for (const on of ['2025-12-31', '2026-03-03']) expect((await hand(reviewer, on)).body.problems[0].field).toBe('on');
    const { version } = await look();
    const answers = await Promise.all(Array.from({ length: 4 }, () => hand(reviewer, '2026-03-02', version)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409]);
    const filed = await look();
    expect([filed.status, filed.events.at(-1).message]).toEqual([
      'accepted',
      'Filed with the owner’s Form 1040 on Mon, Mar 2, 2026.',
    ]);
    const paper = await preparer('GET', `/filings/${id}/paper`);
    expect(wordsOf(String(paper.body))).toContain('Schedule H');
    const outbox = (await stack.dataSource.query('SELECT count(*)::int AS sent FROM outbox')) as { sent: number }[];
    expect(outbox[0]?.sent).toBe(0);
  });
  it('agrees with the ledger in the tie-out afterwards', async () => {
    const { rows } = (await preparer('GET', `/clients/${clientId}/tie-out?year=2025`)).body as {
      rows: {
        group: string;
        stations: { returns: number | null };
        differences: { from: string; to: string; cause: string }[];
      }[];
    };
    const compared = rows.filter(({ stations }) => typeof stations.returns === 'number' && stations.returns > 0);
    expect(compared.map(({ group }) => group)).toEqual(
      expect.arrayContaining(['US-FIT', 'US-OASDI', 'US-HI', 'US-FUTA']),
    );
    expect(
      compared.flatMap(({ group, differences }) =>
        differences
          .filter(({ cause, from, to }) => cause === 'to-fix' && [from, to].includes('returns'))
          .map(({ from, to }) => `${group} ${from} ${to}`),
      ),
    ).toEqual([]);
  });
});
