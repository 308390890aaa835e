import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import { Stack, employee, postPayroll, takeOn, until, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let id: string;

interface Filing {
  status: string;
  version: number;
  lines: { id: string; value: number }[];
  tables: { title: string; rows: (string | number)[][] }[];
  problems: { code: string; field: string; severity: string }[];
  events: { stage: string; code: string | null; field: string | null; message: string }[];
  refusableUntil: string | null;
}
const look = async (): Promise<Filing> => (await preparer('GET', `/filings/${id}`)).body as Filing;
const act = async (caller: Caller, name: string, more: Record<string, unknown> = {}) =>
  caller('POST', `/filings/${id}/${name}`, { version: (await look()).version, ...more });
const settled = (): Promise<Filing> => until(look, ({ status }) => ['accepted', 'rejected'].includes(status));
const line = (filing: Filing, name: string): number => filing.lines.find((one) => one.id === name)?.value ?? -1;
const sum = async (tax: string): Promise<number> =>
  (
    (await stack.dataSource.query(
      `SELECT coalesce(sum(amount), 0)::int AS amount FROM ledger_entry WHERE tax = $1 AND cause IN ('payroll', 'return')`,
      [tax],
    )) as { amount: number }[]
  )[0]?.amount ?? 0;

/** What acceptances have posted, by tax and account. */
const posts = (): Promise<{ what: string; amount: number }[]> =>
  stack.dataSource.query(
    `SELECT tax AS what, sum(amount)::int AS amount FROM ledger_entry WHERE filing_id IS NOT NULL GROUP BY 1
     UNION ALL SELECT l.account, sum(l.amount)::int FROM journal_line l JOIN journal_entry j ON j.id = l.journal_entry_id WHERE j.filing_id IS NOT NULL GROUP BY 1 ORDER BY 1`,
  );

beforeAll(async () => {
  stack = await Stack.start('2026-09-20');
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD', 3);
  await postPayroll(preparer, client.id, {
    periodStart: '2026-08-30',
    periodEnd: '2026-09-12',
    checkDate: '2026-09-18',
  });
  await stack.console('date', { today: '2026-10-05' });
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('Form NYS-45', () => {
  it('is owed by whoever paid wages there, and reports what the paychecks say', async () => {
    const forms = (await preparer('GET', `/clients/${client.id}/forms?year=2026`)).body as { kind: string }[];
    expect(forms.map(({ kind }) => kind)).toContain('ny-nys-45');
    const made = await preparer('POST', `/clients/${client.id}/filings`, { kind: 'ny-nys-45', period: '2026-Q3' });
    id = String(made.body.id);
    const filing = await look();
    // Three people at 2,512.00, all under the base of the year; the pay period includes September 12.
    expect(['1', '2', '3', 'a', 'b', 'c'].map((name) => line(filing, name))).toEqual([753_600, 0, 753_600, 0, 0, 3]);
    expect(line(filing, '12')).toBe(await sum('NY-SIT'));
    expect(filing.tables.find(({ title }) => title === 'Wages by employee')?.rows).toHaveLength(3);
  });
  it('is released by another person, and rejected for what the agency does not know, at the field', async () => {
    expect((await act(preparer, 'check')).body.status).toBe('checked');
    expect((await look()).problems.map(({ code, severity }) => `${code} ${severity}`)).toContain(
      'check.layout-not-verified warning',
    );
    expect((await act(preparer, 'release')).status).toBe(422);
    await stack.console('mood', { party: 'states', mood: 'refuse' });
    expect((await act(reviewer, 'release')).status).toBe(200);
    const rejected = await settled();
    expect(rejected.events.find(({ stage }) => stage === 'rejected')).toMatchObject({
      code: 'E-ACCOUNT',
      field: 'account NY-TAX',
    });
    await stack.console('mood', { party: 'states', mood: 'normal' });
  });
  it('sent again, it is accepted by the agency’s own reading, and the ledger has what the return says', async () => {
    await act(preparer, 'reopen');
    await act(preparer, 'check');
    const releases = await Promise.all([1, 2, 3].map(() => act(reviewer, 'release')));
    expect(releases.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    const accepted = await settled();
    expect(accepted.status).toBe('accepted');
    expect([await sum('NY-SUI'), await sum('NY-RSF')]).toEqual([line(accepted, '4'), line(accepted, '5')]);
    const sent = await stack.received('states');
    expect(sent.map(({ state }) => state)).toEqual(['rejected', 'accepted']);
  });
  it('may be returned until the day that the agency says: then it opens again, and what its acceptance posted is taken back', async () => {
    const accepted = await look();
    expect([accepted.refusableUntil, accepted.events.at(-1)?.message]).toEqual([
      '2026-10-15',
      expect.stringMatching(/may still return it until Thu, Oct 15, 2026/),
    ]);
    const posted = await posts();
    const [, second] = await stack.received('states');
    await stack.console('return', { party: 'states', reference: String(second?.reference) });
    const returned = await until(look, ({ status }) => status === 'rejected');
    expect(returned).toMatchObject({ refusableUntil: null });
    expect(returned.events.at(-1)).toMatchObject({ stage: 'rejected', code: 'E-ACCOUNT', field: 'account NY-TAX' });
    expect(await posts()).toEqual(posted.map((one) => ({ ...one, amount: 0 })));
    await act(preparer, 'reopen');
    await act(preparer, 'check');
    await act(reviewer, 'release');
    expect((await settled()).status).toBe('accepted');
    expect(await posts()).toEqual(posted);
  });
  it('is final once that day is past: it cannot be returned any more', async () => {
    await stack.console('date', { today: '2026-10-16' });
    const accepted = await stack.received('states');
    const reference = String(accepted.at(-1)?.reference);
    await expect(stack.console('return', { party: 'states', reference })).rejects.toThrow(/final by now/);
    const open = (): Promise<{ count: number }[]> =>
      stack.dataSource.query(`SELECT count(*)::int AS count FROM outbox WHERE status <> 'answered'`);
    await until(open, ([row]) => row?.count === 0);
    expect((await look()).status).toBe('accepted');
  });
  it('keeps no social security number in what it stored of the figures', async () => {
    const rows = (await stack.dataSource.query('SELECT snapshot::text AS text FROM filing')) as { text: string }[];
    expect(rows[0]?.text).toMatch(/"ssn": ?"[0-9a-f]{24}"/);
  });
  it('stands in the tie-out with nothing to fix', async () => {
    const { rows } = (await preparer('GET', `/clients/${client.id}/tie-out?year=2026&quarter=3`)).body as {
      rows: { key: string; stations: Record<string, number | null>; differences: { to: string }[] }[];
    };
    const row = rows.find(({ key }) => key === 'NY-SUI');
    expect(row?.stations['returns']).toBe(row?.stations['ledger']);
    expect(row?.differences.filter(({ to }) => to === 'returns')).toEqual([]);
  });
  it('is a PDF with the people and the lines', async () => {
    const paper = await preparer('GET', `/filings/${id}/paper`);
    expect([paper.status, String(paper.body).slice(0, 5)]).toEqual([200, '%PDF-']);
  });
  it('is paid deposit by deposit: what is not chosen stays owed', async () => {
    interface Part {
      family: string;
      owed: number;
      underWay: number;
      settles: string;
      liabilities: { tax: string; liabilityDate: string; underWay: number }[];
    }
    const parts = async (): Promise<Part[]> => (await preparer('GET', `/filings/${id}/payments`)).body as Part[];
    const before = await parts();
    expect(before.length).toBeGreaterThan(1);
    const whole = before.reduce((total, { owed }) => total + owed, 0);
    expect(whole).toBe((await sum('NY-SIT')) + (await sum('NY-SUI')) + (await sum('NY-RSF')));
    const [chosen, ...left] = before;
    const items = chosen?.liabilities.map(({ tax, liabilityDate }) => ({ tax, liabilityDate }));
    const body = { items, settles: chosen?.settles, bankAccountId: client.bankId };
    expect((await preparer('POST', `/clients/${client.id}/remittances`, body)).status).toBe(201);
    expect((await preparer('POST', `/clients/${client.id}/remittances`, body)).status).toBe(409);
    const after = await parts();
    expect(after.find(({ family }) => family === chosen?.family)).toMatchObject({ underWay: chosen?.owed });
    expect(after.filter(({ family }) => family !== chosen?.family)).toEqual(left);
  });
});

describe('the returns of a quarter of every client', () => {
  interface Row {
    key: string;
    kind: string;
    clientId: string;
    period: string;
    status: string;
    move: string;
    isReady: boolean;
    filingId: string | null;
    version: number | null;
  }
  const board = async (): Promise<Row[]> =>
    ((await preparer('GET', '/due-returns?quarter=2026-Q3')).body as { rows: Row[] }).rows;
  const row = async (kind: string): Promise<Row> => {
    const found = (await board()).find((one) => one.kind === kind);
    if (!found) throw new Error(`no ${kind} on the board`);
    return found;
  };
  it('shows what is accepted, and what is not begun', async () => {
    expect((await board()).map(({ kind, status }) => `${kind} ${status}`)).toEqual([
      'us-941 not begun',
      'ny-nys-45 accepted',
    ]);
    expect((await preparer('GET', '/due-returns?quarter=2026')).status).toBe(422);
  });
  it('begins each once; a second time is its own refusal', async () => {
    const begin = async (): Promise<(string | null)[]> => {
      const { clientId, kind, period } = await row('us-941');
      const answers = await preparer('POST', '/due-returns/begin', { returns: [{ clientId, kind, period }] });
      return (answers.body as { refused: string | null }[]).map(({ refused }) => refused);
    };
    expect(await begin()).toEqual([null]);
    expect((await begin())[0]).toMatch(/already|before|exists/i);
  });
  const at = async (): Promise<{ returns: { id: string; version: number }[] }> => {
    const { filingId, version } = await row('us-941');
    return { returns: [{ id: filingId ?? '', version: version ?? 0 }] };
  };
  it('checks it, waits for the signer, and sees when the ledger moves under it', async () => {
    await preparer('POST', '/due-returns/check', await at());
    expect(await row('us-941')).toMatchObject({ status: 'checked', move: 'Client: sign it', isReady: false });
    await postPayroll(
      preparer,
      client.id,
      {
        periodStart: '2026-09-13',
        periodEnd: '2026-09-26',
        checkDate: '2026-09-30',
      },
      { by: reviewer, closedReason: 'Left out of the quarter by mistake.' },
    );
    expect((await row('us-941')).status).toBe('differs');
    const slip = (await reviewer('POST', '/due-returns/slip', await at())).body as {
      mayRelease: boolean;
      figures: { label: string; value: string }[];
    };
    expect(slip.figures[0]).toEqual({
      label: expect.stringMatching(/^Control total, /),
      value: expect.stringMatching(/^1 return, 3,611\.50$/),
    });
    expect(slip.mayRelease).toBe(false);
    expect(
      ((await reviewer('POST', '/due-returns/release', await at())).body as { refused: string }[])[0]?.refused,
    ).toMatch(/moved since the check|PIN/);
    await preparer('POST', '/due-returns/check', await at());
    const [one] = (await at()).returns;
    await preparer('POST', `/filings/${one?.id ?? ''}/sign`, { version: one?.version, pin: '31415', payment: null });
    expect(await row('us-941')).toMatchObject({ status: 'checked', isReady: true });
  });
  it('releases it by another person, once', async () => {
    const asked = await at();
    const answers = await Promise.all([1, 2].map(() => reviewer('POST', '/due-returns/release', asked)));
    const refused = answers.map(({ body }) => (body as { refused: string | null }[])[0]?.refused ?? null);
    expect(refused.filter((one) => one === null)).toHaveLength(1);
    const done = await until(
      () => row('us-941'),
      ({ status }) => status === 'accepted',
    );
    expect(done.status).toBe('accepted');
  });
});

describe('the acknowledgements of a quarter', () => {
  it('have every answer to every transmission, first the refusal and then what was accepted', async () => {
    const answer = await preparer('GET', '/due-returns/acknowledgements.csv?quarter=2026-Q3');
    const rows = (parse(String(answer.body), { bom: true }) as string[][]).filter((row) => row[2]?.includes('NYS-45'));
    expect(rows.map((row) => `${row[3] ?? ''} ${row[6] ?? ''} ${row[7] ?? ''}`.trim())).toEqual(
      expect.arrayContaining(['1 released', '1 rejected E-ACCOUNT', expect.stringMatching(/^2 accepted/)]),
    );
    expect((await preparer('GET', '/due-returns/acknowledgements.csv?quarter=2025-Q3')).status).toBe(409);
    expect((await preparer('GET', '/due-returns/acknowledgements.csv?quarter=2026')).status).toBe(422);
  });
});

describe('a withholding return that follows the deposit frequency', () => {
  it('is due for each month while the account says monthly, and for the quarter once it says otherwise', async () => {
    const far = await takeOn(preparer, 'MONTHS', 0);
    const account = (depositFrequency: string, from: string) =>
      preparer('POST', `/clients/${far.id}/tax-accounts`, {
        agency: 'CO-DOR',
        accountNumber: '12345678',
        unemploymentRate: null,
        from,
        depositFrequency,
      });
    expect((await account('monthly', '2026-01-01')).status).toBe(201);
    await preparer('POST', `/clients/${far.id}/tax-accounts`, {
      agency: 'CO-DLE',
      accountNumber: '123456.00-7',
      unemploymentRate: '1.7',
      from: '2026-01-01',
      depositFrequency: '',
    });
    const person = employee('1') as { facts: { kind: string; value: Record<string, unknown> }[] };
    const added = await preparer('POST', `/clients/${far.id}/employees`, {
      ...person,
      facts: person.facts
        .filter(({ kind }) => kind !== 'state-certificate')
        .map((fact) => (fact.kind === 'place' ? { ...fact, value: { work: 'CO', residence: 'CO' } } : fact)),
    });
    expect([added.status, added.body.detail]).toEqual([201, undefined]);
    await postPayroll(preparer, far.id, {
      periodStart: '2026-09-13',
      periodEnd: '2026-09-26',
      checkDate: '2026-10-09',
    });
    const owed = async (): Promise<string[]> =>
      (
        (await preparer('GET', '/due-returns?quarter=2026-Q4')).body as {
          rows: { clientId: string; kind: string; period: string; due: string }[];
        }
      ).rows
        .filter(({ clientId, kind }) => clientId === far.id && kind.startsWith('co-dr'))
        .map(({ kind, period, due }) => `${kind} ${period} ${due}`);
    expect(await owed()).toEqual(['co-dr-1094-monthly 2026-10 2026-11-16']);
    const wrong = await preparer('POST', `/clients/${far.id}/filings`, { kind: 'co-dr-1094', period: '2026-Q4' });
    expect([wrong.status, wrong.body.problems[0].field]).toEqual([422, 'kind']);
    expect(
      (await preparer('POST', `/clients/${far.id}/filings`, { kind: 'co-dr-1094-monthly', period: '2026-10' })).status,
    ).toBe(201);
    expect((await account('quarterly', '2026-10-02')).status).toBe(201);
    // What was begun stays in sight.
    expect(await owed()).toEqual(['co-dr-1094-monthly 2026-10 2026-11-16', 'co-dr-1094 2026-Q4 2027-02-01']);
  });
});
