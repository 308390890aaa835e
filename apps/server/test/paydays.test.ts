import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
const clients = new Map<string, string>();

interface Row {
  readonly clientId: string;
  readonly status: string;
  readonly schedule: string;
  readonly payrollId: string | null;
  readonly checkDate: string;
  readonly people: number;
  readonly isLate: boolean;
  readonly net: number | null;
  readonly move: string;
}
const rows = async (): Promise<Row[]> => ((await preparer('GET', '/paydays')).body as { rows: Row[] }).rows;
const start = (payrolls: readonly { clientId: string | undefined; schedule: string; periodEnd: string }[]) =>
  preparer('POST', '/paydays/start', { payrolls });

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  for (const [key, periodEnd] of [
    ['LATE', '2026-10-10'],
    ['SOON', '2026-10-17'],
    ['FAR', '2026-12-19'],
  ] as const) {
    const { id } = await takeOn(preparer, key, 2);
    clients.set(key, id);
    await preparer('POST', `/clients/${id}/facts`, {
      kind: 'schedule',
      from: '2026-01-01',
      value: { frequency: 'weekly', periodEnd, daysToCheck: 6, whenClosed: 'before' },
    });
  }
  clients.set('NONE', (await takeOn(preparer, 'NONE', 1)).id);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the payrolls of every client', () => {
  it('shows what is due, the overdue first, and not what is far away', async () => {
    const due = await rows();
    expect(due.map(({ clientId, status, checkDate, isLate }) => [clientId, status, checkDate, isLate])).toEqual([
      [clients.get('LATE'), 'due', '2026-10-16', true],
      [clients.get('SOON'), 'due', '2026-10-23', false],
    ]);
  });
  it('starts all at once; one that cannot be started stops none of the others', async () => {
    const answer = await start([
      { clientId: clients.get('NONE'), schedule: '', periodEnd: '2026-10-10' },
      { clientId: clients.get('LATE'), schedule: '', periodEnd: '2026-10-10' },
      { clientId: clients.get('SOON'), schedule: 'Night', periodEnd: '2026-10-17' },
      { clientId: clients.get('SOON'), schedule: '', periodEnd: '2026-10-17' },
      { clientId: '00000000-0000-4000-8000-000000000000', schedule: '', periodEnd: '2026-10-17' },
    ]);
    const started = answer.body as { payrollId: string | null; refused: string | null }[];
    expect([answer.status, started.map(({ payrollId }) => payrollId !== null)]).toEqual([
      200,
      [false, true, false, true, false],
    ]);
    expect(started.map(({ refused }) => refused ?? '')).toEqual([
      expect.stringMatching(/no pay schedule/),
      '',
      expect.stringMatching(/no pay schedule/),
      '',
      expect.stringMatching(/does not exist/),
    ]);
    const open = await rows();
    expect(open.map(({ status, people }) => `${status} ${people}`)).toEqual(['open 2', 'open 2']);
  });
  it('says what is next of each, and keeps a posted one for a week', async () => {
    const [late] = await rows();
    const id = late?.payrollId ?? '';
    const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: 1 });
    expect((await rows())[0]?.move).toBe('Post it');
    await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version });
    const after = await rows();
    const posted = after.find(({ payrollId }) => payrollId === id);
    expect([posted?.status, (posted?.net ?? 0) > 0]).toEqual(['posted', true]);
    // The next period of the same client is due now.
    expect(after.find(({ clientId, status }) => clientId === clients.get('LATE') && status === 'due')?.checkDate).toBe(
      '2026-10-23',
    );
    expect(after.at(-1)?.status).toBe('posted');
  });
  it('twice at the same time starts a period once', async () => {
    const asked = [{ clientId: clients.get('LATE'), schedule: '', periodEnd: '2026-10-17' }];
    const answers = await Promise.all(Array.from({ length: 4 }, () => start(asked)));
    const ids = answers.flatMap(({ body }) =>
      (body as { payrollId: string | null }[]).map(({ payrollId }) => payrollId),
    );
    expect(ids.filter((id) => id !== null).length).toBe(1);
  });
});
