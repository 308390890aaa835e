import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, postPayroll, takeOn, until, type Caller, wordsOf } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

interface Filing {
  id: string;
  status: string;
  version: number;
  attempt: number;
  lines: { id: string; value: number }[];
  w2s: { rows: { employeeId: string; box1: number; box4: number; box6: number }[] };
  events: { stage: string; code: string | null; field: string | null; attempt: number }[];
  problems: { code: string; field: string }[];
}
const begin = async (kind: string, period: string): Promise<string> =>
  ((await preparer('POST', `/clients/${client.id}/filings`, { kind, period })).body as { id: string }).id;
const look = async (id: string): Promise<Filing> => (await preparer('GET', `/filings/${id}`)).body as Filing;
const act = async (caller: Caller, id: string, name: string, more: Record<string, unknown> = {}) =>
  caller('POST', `/filings/${id}/${name}`, { version: (await look(id)).version, ...more });
const settled = (id: string): Promise<Filing> =>
  until(
    () => look(id),
    (filing) => ['accepted', 'rejected'].includes(filing.status),
  );
const line = (filing: Filing, id: string): number => filing.lines.find((candidate) => candidate.id === id)?.value ?? -1;

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
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('a third-party designee', () => {
  it('is named with a telephone number and a PIN, and stands in the header of the return', async () => {
    const say = (value: object) =>
      preparer('POST', `/clients/${client.id}/facts`, { kind: 'designee', from: '2026-07-01', value });
    const whole = { standing: 'yes', name: 'Ada Quay', phone: '(315) 555-0121', pin: '24680' };
    expect((await say({ ...whole, pin: '2468' })).body.problems[0].field).toMatch(/pin$/);
    expect((await say({ ...whole, phone: '555-0121' })).body.problems[0].field).toMatch(/phone$/);
    expect((await say(whole)).status).toBe(201);
    const id = await begin('us-941', '2026-Q3');
    const { file } = (await preparer('GET', `/filings/${id}/slip`)).body as { file: string };
    expect(file).toMatch(
      /<ThirdPartyDesigneeNm>Ada Quay<[\s\S]*<ThirdPartyDesigneePhoneNum>3155550121<[\s\S]*<ThirdPartyDesigneePIN>24680</,
    );
    await preparer('POST', `/filings/${id}/discard`, { version: (await look(id)).version });
  });
});

describe('Form 941', () => {
  let id: string;
  it('is computed from the ledger: every line follows from the one payroll', async () => {
    id = await begin('us-941', '2026-Q3');
    const filing = await look(id);
    // Three people at 2,512.00: OASDI 155.74 and HI 36.42 each, the employer's halves on 7,536.00.
    expect([
      line(filing, '1'),
      line(filing, '2'),
      line(filing, '5a.1'),
      line(filing, '5a.2'),
      line(filing, '5c.2'),
    ]).toEqual([3, 753_600, 753_600, 93_446, 21_854]);
    expect(line(filing, '12')).toBe(line(filing, '6') + line(filing, '7'));
    const rows = (await stack.dataSource.query(
      `SELECT sum(amount)::int AS total FROM ledger_entry WHERE tax LIKE 'US-%' AND tax <> 'US-FUTA'`,
    )) as { total: number }[];
    expect(line(filing, '12')).toBe(rows[0]?.total);
  });
  it('a second one for the same quarter is refused', async () =>
    expect(
      (await preparer('POST', `/clients/${client.id}/filings`, { kind: 'us-941', period: '2026-Q3' })).status,
    ).toBe(409));
  it.each([
    [{ kind: 'us-941', period: '2026' }, 'period'],
    [{ kind: 'us-w2', period: '2026-Q1' }, 'period'],
    [{ kind: 'us-941', period: '2026-Q5' }, 'period'],
    [{ kind: 'us-945', period: '2026' }, 'kind'],
  ])('%j is refused, and the field named', async (body, field) => {
    const refused = await preparer('POST', `/clients/${client.id}/filings`, body);
    expect([refused.status, refused.body.problems[0].field]).toEqual([422, field]);
  });
  it('waits for the end of the quarter, and says so', async () => {
    const refused = await act(preparer, id, 'check');
    expect([refused.status, refused.body.problems.map((problem: { code: string }) => problem.code)]).toEqual([
      422,
      ['check.period-open'],
    ]);
    expect((await look(id)).status).toBe('draft');
  });
  it('once checked is released only when it is signed, by another person', async () => {
    await stack.console('date', { today: '2026-10-05' });
    expect((await act(preparer, id, 'check')).body.status).toBe('checked');
    const unsigned = await act(reviewer, id, 'release');
    expect([unsigned.status, unsigned.body.detail]).toEqual([422, expect.stringMatching(/PIN is not entered/)]);
    expect((await act(preparer, id, 'sign', { pin: '00000', payment: null })).status).toBe(422);
    expect((await act(preparer, id, 'sign', { pin: '1234x', payment: null })).status).toBe(422);
    expect((await act(preparer, id, 'sign', { pin: '31415', payment: null })).status).toBe(200);
    expect((await act(preparer, id, 'release')).status).toBe(422);
  });
  it('has the authorization that the signer gives, with the figures that were checked', async () => {
    const paper = await preparer('GET', `/filings/${id}/authorization`);
    expect([paper.status, String(paper.body).slice(0, 5)]).toEqual([200, '%PDF-']);
  });
  it('draws Form 8655 by the terms that are entered, and none where there are none', async () => {
    const path = `/clients/${client.id}/reporting-agent.pdf`;
    expect((await preparer('GET', path)).status).toBe(409);
    const entry = (value: Record<string, unknown>) =>
      preparer('POST', `/clients/${client.id}/facts`, { kind: 'reporting-agent', from: '2026-10-01', value });
    const terms = { returnsFrom: '2026-10-01', depositsFrom: '2026-11-01' };
    expect((await entry({ ...terms, standing: 'sent' })).status).toBeLessThan(300);
    const words = wordsOf(String((await preparer('GET', path)).body)).replace(/\s+/g, ' ');
    expect(words).toContain('Form 941');
    expect(words).toContain('from the month that begins Sun, Nov 1, 2026');
    expect(words).not.toContain('Form 943');
    expect(words).toContain('Copies of notices are not asked for.');
    expect((await entry({ ...terms, standing: 'revoked' })).status).toBeLessThan(300);
    expect((await preparer('GET', path)).status).toBe(409);
  });
  it('draws no Form 8655 with blanks in it, and names what is missing', async () => {
    const other = await takeOn(preparer, 'BLANKS', 0);
    const terms = { returnsFrom: '2026-10-01', depositsFrom: '2026-11-01', standing: 'sent' };
    const body = { kind: 'reporting-agent', from: '2026-10-01', value: terms };
    expect((await preparer('POST', `/clients/${other.id}/facts`, body)).status).toBeLessThan(300);
    await stack.dataSource.query(`UPDATE client SET signer_title = '', phone = '' WHERE id = $1`, [other.id]);
    const { status, body: refused } = await preparer('GET', `/clients/${other.id}/reporting-agent.pdf`);
    expect([status, refused.problems.map(({ field }: { field: string }) => field)]).toEqual([
      422,
      ['phone', 'signerTitle'],
    ]);
  });
  it('counts the returns of the coming year over all kinds: from ten on they go electronically', async () => {
    const { body } = await preparer('GET', `/clients/${client.id}/efile-duty?year=2026`);
    const counts = Object.fromEntries(
      (body as { returns: { code: string; count: number }[] }).returns.map(({ code, count }) => [code, count]),
    );
    expect(counts).toEqual({ 'us-941': 4, 'us-940': 1, 'us-w2': client.employeeIds.length });
    expect(body).toMatchObject({ year: 2027, total: 5 + client.employeeIds.length, from: 10 });
  });
  it('keeps no signature in the clear', async () => {
    const rows = (await stack.dataSource.query('SELECT row_to_json(f)::text AS row FROM filing f')) as {
      row: string;
    }[];
    expect(rows.map((row) => row.row).join('')).not.toContain('31415');
  });
  it('is not released when the ledger has moved since it was checked', async () => {
    await postPayroll(preparer, client.id, {
      periodStart: '2026-09-13',
      periodEnd: '2026-09-26',
      checkDate: '2026-09-30',
    });
    const refused = await act(reviewer, id, 'release');
    expect([refused.status, refused.body.detail]).toEqual([422, expect.stringMatching(/has moved since the check/)]);
    await act(preparer, id, 'reopen');
    await act(preparer, id, 'check');
    await act(preparer, id, 'sign', { pin: '31415', payment: null });
    expect(line(await look(id), '2')).toBe(1_507_200);
  });
  it('rejected, it keeps the reason and the field, and goes out again as a second attempt', async () => {
    await stack.console('mood', { party: 'returns', mood: 'refuse' });
    expect((await act(reviewer, id, 'release')).status).toBe(200);
    const rejected = await settled(id);
    expect(rejected.events.find((event) => event.stage === 'rejected')).toMatchObject({
      code: 'R0000-922-01',
      field: 'client.nameControl',
      attempt: 1,
    });
    await stack.console('mood', { party: 'returns', mood: 'normal' });
    expect((await act(preparer, id, 'reopen')).body.attempt).toBe(2);
    await act(preparer, id, 'check');
    await act(preparer, id, 'sign', { pin: '31415', payment: null });
    await act(reviewer, id, 'release');
    expect((await settled(id)).status).toBe('accepted');
    expect((await stack.received('returns')).map((row) => row.state)).toEqual(['rejected', 'accepted']);
  });
  it('accepted, nothing changes it any more', async () => {
    for (const name of ['check', 'reopen', 'release']) expect((await act(reviewer, id, name)).status).toBe(409);
  });
  it('the file is kept as it was sent', async () => {
    const file = await preparer('GET', `/filings/${id}/file`);
    expect(file.status).toBe(200);
    expect(String(file.body)).toContain('<TotalTaxAmt>');
  });
  it('the tie-out knows what is not yet due from what is late', async () => {
    const { rows } = (await preparer('GET', `/clients/${client.id}/tie-out?year=2026&quarter=3`)).body as {
      rows: { key: string; differences: { to: string; cause: string }[]; pending: { says: string } | null }[];
    };
    const causes = rows.flatMap((row) => row.differences.map(({ to, cause }) => `${row.key} ${to} ${cause}`));
    // The deposit of the September payrolls is due on 15 October.
    expect(causes.filter((cause) => cause.startsWith('US-') && cause.includes('deposits'))).toEqual([]);
    const pending = rows.flatMap((row) => (row.pending ? [`${row.key} ${row.pending.says}`] : []));
    expect(pending).toEqual(expect.arrayContaining(['US-FIT not yet due', 'US-OASDI not yet due']));
    expect(causes.filter((cause) => cause.includes('returns') && !cause.endsWith('rounding'))).toEqual([]);
    expect(causes.filter((cause) => cause.includes('ledger'))).toEqual([]);
  });
});

describe('Forms W-2', () => {
  let id: string;
  it('wait for the end of the year', async () => {
    id = await begin('us-w2', '2026');
    expect((await look(id)).problems.map((problem) => problem.code)).toContain('check.period-open');
  });
  it('draw a draft that is kept nowhere', async () => {
    const filing = await look(id);
    const pdf = await preparer('GET', `/filings/${id}/w2/${filing.w2s.rows[0]?.employeeId ?? ''}`);
    expect([pdf.status, String(pdf.body).slice(0, 5)]).toEqual([200, '%PDF-']);
    expect(await stack.dataSource.query(`SELECT * FROM document WHERE kind = 'w2'`)).toEqual([]);
  });
  it('agree with the register and the ledger, person by person', async () => {
    const filing = await look(id);
    const rows = (await stack.dataSource.query(
      `SELECT employee_id, sum(amount)::int AS tax FROM paycheck_tax WHERE tax = 'US-OASDI-EE' GROUP BY employee_id`,
    )) as { employee_id: string; tax: number }[];
    expect(Object.fromEntries(filing.w2s.rows.map((form) => [form.employeeId, form.box4]))).toEqual(
      Object.fromEntries(rows.map((row) => [row.employee_id, row.tax])),
    );
  });
  it('a rejection names the record; it leads to the person, and the corrected file replaces the first', async () => {
    await stack.console('date', { today: '2027-01-11' });
    await act(preparer, id, 'check');
    await stack.console('mood', { party: 'wages', mood: 'refuse' });
    expect((await act(reviewer, id, 'release')).status).toBe(200);
    const rejected = await settled(id);
    const field = rejected.events.find((event) => event.stage === 'rejected')?.field ?? '';
    const employeeId = /^employee\.([0-9a-f-]+)\.lastName$/.exec(field)?.[1] ?? '';
    expect(employeeId).toBe(rejected.w2s.rows[0]?.employeeId);
    const person = (await preparer('GET', `/employees/${employeeId}`)).body;
    const { firstName, middleName, suffix, street, city, state, zip, version } = person;
    await preparer('PUT', `/employees/${employeeId}/identity`, {
      firstName,
      middleName,
      lastName: 'Spragg',
      suffix,
      street,
      city,
      state,
      zip,
      version,
      ssn: '',
    });
    await stack.console('mood', { party: 'wages', mood: 'normal' });
    await act(preparer, id, 'reopen');
    await act(preparer, id, 'check');
    await act(reviewer, id, 'release');
    expect((await settled(id)).status).toBe('accepted');
    const sent = String((await preparer('GET', `/filings/${id}/file`)).body);
    expect(sent).toContain('SPRAGG');
    // Resub indicator and the identifier of the rejected file, positions 29-35 of RA.
    expect(sent.slice(28, 35)).toBe('1000001');
  });
  it('once released the PDF is drawn from what was released, stored when it is first asked for, and never made again', async () => {
    const filing = await look(id);
    const stored = async (): Promise<{ sha256: string }[]> =>
      (await stack.dataSource.query(`SELECT sha256 FROM document WHERE kind = 'w2'`)) as { sha256: string }[];
    expect(await stored()).toEqual([]);
    const path = `/filings/${id}/w2/${filing.w2s.rows[0]?.employeeId ?? ''}`;
    expect((await preparer('GET', path)).status).toBe(200);
    const first = await stored();
    expect((await preparer('GET', path)).status).toBe(200);
    expect([first.length, await stored()]).toEqual([1, first]);
  });
  it('the copies of everybody are drawn once, behind the request that asked for them', async () => {
    const copies = async () =>
      (await preparer('GET', `/filings/${id}/w2-copies`)).body as unknown as {
        total: number;
        parts: { people: number; isMade: boolean }[];
      };
    const people = (await look(id)).w2s.rows.length;
    expect(await copies()).toMatchObject({ total: 1, parts: [{ people, isMade: false }] });
    await Promise.all([1, 2, 3].map(() => preparer('POST', `/filings/${id}/w2-copies`)));
    for (let tries = 0; tries < 100 && (await copies()).parts[0]?.isMade !== true; tries += 1)
      await new Promise((resolve) => setTimeout(resolve, 100));
    const pdf = await preparer('GET', `/filings/${id}/w2-copies/0`);
    expect(String(pdf.body).match(/\/Type \/Page\b/g)).toHaveLength(people);
    await preparer('POST', `/filings/${id}/w2-copies`);
    expect(
      await stack.dataSource.query(`SELECT count(*)::int AS count FROM document WHERE kind = 'w2-copies'`),
    ).toEqual([{ count: 1 }]);
  });
  it('a page of the statements has the totals of all', async () => {
    const page = (await preparer('GET', `/filings/${id}/w2?find=spragg&count=1`)).body as unknown as {
      rows: { name: string }[];
      total: number;
      totals: { box1: number };
    };
    const filing = await look(id);
    expect(page.rows).toHaveLength(1);
    expect(page.total).toBe(filing.w2s.rows.length);
    expect(page.totals.box1).toBe(filing.w2s.rows.reduce((total, { box1 }) => total + box1, 0));
  });
  it('no file is readable in the database', async () => {
    const rows = (await stack.dataSource.query(`SELECT encode(content, 'escape') AS content FROM document`)) as {
      content: string;
    }[];
    expect(rows.length).toBeGreaterThan(0);
    for (const { content } of rows) expect(content).not.toMatch(/SPRAGG|TXP\*4712|89912340/);
  });
});
