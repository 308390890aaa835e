import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import type { DueReturnView } from '@zakat/contract/due-returns';
import type { FilingView } from '@zakat/contract/filings';
import type { TransmissionRow } from '@zakat/contract/transmissions';
import { WorkQueue } from '../src/queue/work-queue.js';
import { postPayroll, Stack, takeOn, until, wordsOf, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let administrator: Caller;
const clients: { id: string; name: string }[] = [];

const AGENT = { returnsFrom: '2026-07-01', depositsFrom: '2026-07-01', standing: 'signed', signedBy: 'Ruth' };
const board = async (): Promise<DueReturnView['rows']> =>
  ((await preparer('GET', '/due-returns?quarter=2026-Q3')).body as DueReturnView).rows.filter(
    ({ kind }) => kind === 'us-941',
  );
const atVersion = (rows: DueReturnView['rows']) => ({
  returns: rows.map(({ filingId, version }) => ({ id: filingId, version })),
});
const look = async (id: string): Promise<FilingView> => (await preparer('GET', `/filings/${id}`)).body as FilingView;
const transmissions = async (): Promise<TransmissionRow[]> =>
  (await preparer('GET', '/transmissions')).body as TransmissionRow[];
const act = async (caller: Caller, id: string, name: string, more: Record<string, unknown> = {}) =>
  caller('POST', `/filings/${id}/${name}`, { version: (await look(id)).version, ...more });

beforeAll(async () => {
  // The agency knows the second of the three under another name control.
  stack = await Stack.start('2026-09-10', [{ ein: '471234572', nameControl: 'BARG' }]);
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  administrator = await stack.signIn('Alder', 'administrator');
  for (const [index, key] of ['ARK', 'BARGE', 'CUTTER'].entries()) {
    const { id } = await takeOn(preparer, key, 1);
    await stack.dataSource.query('UPDATE client SET ein = $2 WHERE id = $1', [id, `47123457${index + 1}`]);
    await preparer('POST', `/clients/${id}/facts`, { kind: 'reporting-agent', from: '2026-07-01', value: AGENT });
    await postPayroll(preparer, id, {
      periodStart: '2026-08-30',
      periodEnd: '2026-09-12',
      checkDate: '2026-09-18',
    });
    clients.push({ id, name: `Boatyard ${key} Inc` });
  }
  await stack.console('date', { today: '2026-10-05' });
  const asked = clients.map(({ id }) => ({ clientId: id, kind: 'us-941', period: '2026-Q3' }));
  await preparer('POST', '/due-returns/begin', { returns: asked });
  await preparer('POST', '/due-returns/check', atVersion(await board()));
}, 90_000);
afterAll(() => stack.stop(), 30_000);

describe('the firm as reporting agent', () => {
  it('has returns wait for their signers until its own PIN is entered', async () => {
    expect((await board()).map(({ move, isReady }) => [move, isReady])).toEqual(
      clients.map(() => ['Client: sign it', false]),
    );
    const slip = await reviewer('GET', `/filings/${(await board())[0]?.filingId}/slip`);
    expect(slip.body.checks.find(({ label }: { label: string }) => label === 'It is signed')).toMatchObject({
      isPassed: false,
      says: expect.stringMatching(/reporting agent PIN is not entered/),
    });
    const signed = await act(preparer, String((await board())[0]?.filingId), 'sign', { pin: '', payment: null });
    expect([signed.status, signed.body.problems[0].field]).toEqual([422, 'pin']);
  });
  it('takes the PIN from an administrator, sound, and shows it to nobody', async () => {
    expect((await preparer('PUT', '/firm/agent-pin', { pin: '27182' })).status).toBe(403);
    for (const pin of ['00000', '2718', '2718x'])
      expect((await administrator('PUT', '/firm/agent-pin', { pin })).body.problems[0].field).toBe('pin');
    const kept = await administrator('PUT', '/firm/agent-pin', { pin: '27182' });
    expect([kept.status, kept.body.hasAgentPin, JSON.stringify(kept.body).includes('27182')]).toEqual([
      200,
      true,
      false,
    ]);
    const [row] = (await stack.dataSource.query('SELECT row_to_json(f)::text AS row FROM firm f')) as {
      row: string;
    }[];
    expect(row?.row).not.toContain('27182');
  });
  it('signs with the release: nothing waits for the clients any more, and the page says so', async () => {
    expect((await board()).map(({ move, isReady }) => [move, isReady])).toEqual(
      clients.map(() => ['Reviewer: release it', true]),
    );
    const one = await look(String((await board())[0]?.filingId));
    expect(one.agent).toMatch(/as reporting agent, under Form 8655 signed by Ruth for returns from/);
  });
  it('does not sign a return of a period before the form, nor one whose form is revoked', async () => {
    const [, , cutter] = clients;
    const say = (value: object) =>
      preparer('POST', `/clients/${cutter?.id}/facts`, { kind: 'reporting-agent', from: '2026-07-01', value });
    const ofCutter = async () => (await board()).find(({ clientId }) => clientId === cutter?.id)?.move;
    for (const value of [
      { ...AGENT, returnsFrom: '2026-10-01' },
      { ...AGENT, standing: 'revoked' },
    ]) {
      await say(value);
      expect(await ofCutter()).toBe('Client: sign it');
    }
    await say(AGENT);
    expect(await ofCutter()).toBe('Reviewer: release it');
  });
});

describe('returns that are released together', () => {
  it('leave in one file with its control totals, once, however often it is looked after and the receiver away', async () => {
    await stack.console('mood', { party: 'returns', mood: 'down' });
    const rows = await board();
    const done = await reviewer('POST', '/due-returns/release', atVersion(rows));
    expect(done.body.map(({ refused }: { refused: string | null }) => refused)).toEqual([null, null, null]);
    const [waiting] = await until(transmissions, ([first]) => first?.delayed !== null && first !== undefined);
    const total = rows.reduce((sum, { amount }) => sum + (amount ?? 0), 0);
    expect(waiting).toMatchObject({
      number: 1,
      receiver: 'Internal Revenue Service',
      count: 3,
      amount: total,
      sentAt: null,
      delayed: 'the receiver answered 503',
    });
    expect((await look(String(rows[0]?.filingId))).delivery).toMatch(
      /^Not sent yet in transmission 1, with 2 other returns: /,
    );
    expect((await preparer('GET', `/transmissions/${waiting?.id}/acknowledgements`)).status).toBe(409);
    await stack.console('mood', { party: 'returns', mood: 'normal' });
    await stack.dataSource.query(`UPDATE outbox SET next_at = now() WHERE status = 'waiting'`);
    await Promise.all(Array.from({ length: 5 }, () => stack.app.get(WorkQueue).lookNow()));
    const [answered] = await until(transmissions, ([first]) => (first?.accepted ?? 0) + (first?.rejected ?? 0) === 3);
    expect(answered).toMatchObject({ accepted: 2, rejected: 1, count: 3, isAcknowledged: true });
    expect(answered?.reference).toMatch(/^MFT/);
    expect(await transmissions()).toHaveLength(1);
    expect(await stack.received('returns')).toHaveLength(3);
  });
  it('are judged one by one: the refused one opens at its field, and stops none of the others', async () => {
    const rows = await board();
    expect(rows.map(({ clientId, status }) => [clientId, status])).toEqual([
      [clients[0]?.id, 'accepted'],
      [clients[1]?.id, 'rejected'],
      [clients[2]?.id, 'accepted'],
    ]);
    const refused = await look(String(rows[1]?.filingId));
    expect(refused.events.at(-1)).toMatchObject({ code: 'R0000-922-01', field: 'client.nameControl', attempt: 1 });
    const accepted = await look(String(rows[0]?.filingId));
    expect(accepted.events.map(({ stage }) => stage)).toEqual(['released', 'received', 'accepted']);
    expect(accepted.delivery).toMatch(
      /^Sent once in transmission 1, with 2 other returns; the receiver's reference is MEF/,
    );
  });
  it('keep the file as it left, signed by the firm, and the acknowledgements as they came', async () => {
    const [one] = await transmissions();
    const { body: file } = await preparer('GET', `/transmissions/${one?.id}/file`);
    expect(file).toMatch(/<SubmissionCnt>3</);
    expect(String(file).match(/<PINEnteredByCd>ReportingAgent<[\s\S]*?<TaxpayerPIN>27182</g)).toHaveLength(3);
    const { body: answers } = await preparer('GET', `/transmissions/${one?.id}/acknowledgements`);
    expect(answers).toMatch(/<Cnt>3<[\s\S]*Rejected[\s\S]*R0000-922-01/);
    const paper = await preparer('GET', `/filings/${one?.returns[0]?.filingId}/paper`);
    expect(wordsOf(String(paper.body))).toMatch(/reporting agent \(Form 8655\): signed Mon, Oct 5, 2026 by PIN/);
  });
  it('one that goes out again goes by itself, and the first attempt stays as it was', async () => {
    const [, barge] = clients;
    await stack.dataSource.query(`UPDATE client SET name_control = 'BARG' WHERE id = $1`, [barge?.id]);
    const id = String((await board())[1]?.filingId);
    await act(preparer, id, 'reopen');
    await act(preparer, id, 'check');
    expect((await act(reviewer, id, 'release')).status).toBe(200);
    const again = await until(
      () => look(id),
      ({ status }) => status === 'accepted',
    );
    expect([again.attempt, again.delivery]).toEqual([2, expect.stringMatching(/^Sent once; /)]);
    const [one] = await transmissions();
    expect([one?.accepted, one?.rejected]).toEqual([2, 1]);
  });
  it('that the receiver takes none of go one by one, and each is judged all the same', async () => {
    for (const [index, { id }] of clients.entries()) {
      await postPayroll(preparer, id, { periodStart: '2026-09-27', periodEnd: '2026-10-10', checkDate: '2026-10-16' });
      await stack.dataSource.query('UPDATE client SET ein = $2 WHERE id = $1', [id, `47123458${index + 1}`]);
    }
    await stack.console('date', { today: '2027-01-11' });
    const q4 = async () =>
      ((await preparer('GET', '/due-returns?quarter=2026-Q4')).body as DueReturnView).rows.filter(
        ({ kind }) => kind === 'us-941',
      );
    const asked = clients.map(({ id }) => ({ clientId: id, kind: 'us-941', period: '2026-Q4' }));
    await preparer('POST', '/due-returns/begin', { returns: asked });
    await preparer('POST', '/due-returns/check', atVersion(await q4()));
    await stack.console('mood', { party: 'returns', mood: 'down' });
    await reviewer('POST', '/due-returns/release', atVersion(await q4()));
    await until(transmissions, ([first]) => first?.number === 2 && first.delayed !== null);
    // Whatever damaged the file on its way: what the manifest says is not what is in it.
    const [{ id: broken } = { id: '' }] = await transmissions();
    const { body: file } = await preparer('GET', `/transmissions/${broken}/file`);
    const text = String(file).replace('<SubmissionCnt>3<', '<SubmissionCnt>4<');
    await stack.dataSource.query('UPDATE transmission SET document_id = $2 WHERE id = $1', [
      broken,
      await stack.keep('transmission', text),
    ]);
    await stack.console('mood', { party: 'returns', mood: 'normal' });
    await stack.dataSource.query(`UPDATE outbox SET next_at = now() WHERE status = 'waiting'`);
    await stack.app.get(WorkQueue).lookNow();
    const done = await until(q4, (rows) => rows.every(({ status }) => status === 'accepted'));
    expect(done).toHaveLength(3);
    const [second] = await transmissions();
    expect(second?.refused).toMatch(/^Refused as a whole: The manifest does not count the returns/);
    expect((await look(String(done[0]?.filingId))).delivery).toMatch(/^Sent once; /);
  });
  it('are nobody’s but the firm’s', async () => {
    await stack.addFirm('Birch');
    const stranger = await stack.signIn('Birch', 'reviewer');
    expect((await stranger('GET', '/transmissions')).body).toEqual([]);
    const [one] = await transmissions();
    expect((await stranger('GET', `/transmissions/${one?.id}/file`)).status).toBe(404);
  });
});
