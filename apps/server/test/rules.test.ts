import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { Stack, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let administrator: Caller;
let reviewer: Caller;
let other: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Cedar');
  await stack.addFirm('Dogwood');
  preparer = await stack.signIn('Cedar', 'preparer');
  reviewer = await stack.signIn('Cedar', 'reviewer');
  administrator = await stack.signIn('Cedar', 'administrator');
  other = await stack.signIn('Dogwood', 'administrator');
  client = await takeOn(preparer, 'PIER', 2);
}, 60_000);
afterAll(() => stack.stop(), 30_000);

const pack = (more: Record<string, unknown> = {}) => ({
  content: {
    format: 'zakat-rules/1',
    name: 'A new rate for paid family leave',
    rows: [
      {
        parameter: 'NY.PFL',
        from: '2026-11-01',
        until: '2027-01-01',
        value: [{ rate: { rate: '0.01' }, mostPerYear: { dollars: '411.91' } }],
        publication: {
          title: 'Notice',
          publisher: 'New York State Department of Financial Services',
          edition: 'November 2026',
        },
        place: 'employee rate',
        standing: 'verified',
      },
    ],
    ...more,
  },
});
interface View {
  id: string;
  version: number;
  status: string;
  changes: { parameter: string; path: string; before: string; after: string }[];
  effects: {
    clientId: string;
    people: number;
    moved: number;
    netBefore: number;
    netAfter: number;
    checkDate: string;
  }[];
}
const leaveOf = async (payrollId: string): Promise<number | undefined> => {
  const view = (await preparer('GET', `/payrolls/${payrollId}`)).body as {
    persons: { paycheck: { taxes: { code: string; amount: number }[] } }[];
  };
  return view.persons[0]?.paycheck.taxes.find((tax) => tax.code === 'NY-PFL')?.amount;
};
const payRegular = async (checkDate: string, periodStart = '2026-11-01', periodEnd = '2026-11-14') => {
  const { id } = (
    await preparer('POST', `/clients/${client.id}/payrolls`, {
      periodStart,
      periodEnd,
      checkDate,
      kind: 'regular',
    })
  ).body as { id: string };
  return id;
};

describe('what is loaded', () => {
  it('is shown by jurisdiction, each value with its publication and standing', async () => {
    const all = (await preparer('GET', '/rules')).body as { code: string; parameters: number; verified: number }[];
    expect(all.map((row) => row.code)).toContain('WY');
    expect(all).toHaveLength(52);
    const rows = (await preparer('GET', '/rules/rows?jurisdiction=US')).body as {
      parameter: string;
      value: string;
      standing: string;
    }[];
    expect(rows.filter((row) => row.parameter === 'US.oasdi.base').map((row) => row.value)).toEqual([
      '168,600.00',
      '176,100.00',
      '184,500.00',
    ]);
  });
  it('is exported as a rule pack, and carried into a year without rules', async () => {
    expect((await preparer('GET', '/rules/export?prefix=US.oasdi')).body.rows).toHaveLength(4);
    const carried = (await preparer('GET', '/rules/carry/2027')).body as { rows: { doubt: string }[] };
    expect(carried.rows.every((row) => row.doubt.startsWith('Carried forward'))).toBe(true);
  });
});

describe('a rule pack', () => {
  it('with something wrong in it is refused whole, and the field is named', async () => {
    const answer = await preparer('POST', '/rules/packs', pack({ rows: [{ parameter: 'NY.moon' }] }));
    expect([answer.status, answer.body.problems[0].field]).toEqual([422, 'rows[0].parameter']);
    expect((await preparer('GET', '/rules/packs')).body).toEqual([]);
  });
  it('shows what it moves in the next payroll before it counts, and counts only when an administrator accepts it', async () => {
    const payroll = await payRegular('2026-11-20');
    const before = await leaveOf(payroll);
    const { id } = (await preparer('POST', '/rules/packs', pack())).body as { id: string };
    const view = (await preparer('GET', `/rules/packs/${id}`)).body as View;
    expect(view.changes).toMatchObject([{ parameter: 'NY.PFL', path: '0.rate', before: '0.00432', after: '0.01' }]);
    expect(view.effects).toMatchObject([{ clientId: client.id, people: 2, moved: 2, checkDate: '2026-11-01' }]);
    expect(view.effects[0]?.netAfter).toBeLessThan(view.effects[0]?.netBefore ?? 0);
    expect(await leaveOf(payroll)).toBe(before);
    expect((await reviewer('POST', `/rules/packs/${id}/accept`, { version: view.version })).status).toBe(403);
    expect((await administrator('POST', `/rules/packs/${id}/accept`, { version: view.version + 1 })).status).toBe(409);
    const accepted = await administrator('POST', `/rules/packs/${id}/accept`, { version: view.version });
    expect([accepted.status, accepted.body.status]).toEqual([200, 'in-force']);
    // 2,512.00 at 1%.
    expect(await leaveOf(payroll)).toBe(2512);
    expect(
      ((await preparer('GET', `/payrolls/${payroll}`)).body as { own: { rules: unknown[] } }).own.rules,
    ).toHaveLength(1);
  });
  it('for a year without rules shows what it makes possible, and no figure where none can be computed', async () => {
    const content = (await preparer('GET', '/rules/carry/2027')).body as Record<string, unknown>;
    const { id } = (await preparer('POST', '/rules/packs', { content })).body as { id: string };
    const view = (await preparer('GET', `/rules/packs/${id}`)).body as View & { effects: { note: string }[] };
    expect(view.effects[0]).toMatchObject({ netBefore: null, checkDate: '2027-01-01' });
    expect(view.effects[0]?.netAfter).toBeGreaterThan(0);
    expect(view.effects[0]?.note).toMatch(/Without the pack: There is no federal withholding table for 2027/);
    await administrator('POST', `/rules/packs/${id}/withdraw`, { version: 1 });
  });
  it('accepted ten times at once counts once', async () => {
    const { id } = (await preparer('POST', '/rules/packs', pack({ name: 'Again' }))).body as { id: string };
    const answers = await Promise.all(
      Array.from({ length: 10 }, () => administrator('POST', `/rules/packs/${id}/accept`, { version: 1 })),
    );
    expect(answers.filter((answer) => answer.status === 200)).toHaveLength(1);
    await administrator('POST', `/rules/packs/${id}/withdraw`, { version: 2 });
  });
  it('does not hold before its first day', async () => {
    const earlier = await payRegular('2026-10-30', '2026-10-11', '2026-10-24');
    // 2,512.00 at 0.432%.
    expect(await leaveOf(earlier)).toBe(1085);
  });
  it('belongs to its firm', async () => {
    expect((await other('GET', '/rules/packs')).body).toEqual([]);
    const [mine] = (await preparer('GET', '/rules/packs')).body as { id: string }[];
    expect((await other('GET', `/rules/packs/${mine?.id ?? ''}`)).status).toBe(404);
    expect((await other('POST', `/rules/packs/${mine?.id ?? ''}/withdraw`, { version: 1 })).status).toBe(404);
  });
  it('what was posted with it keeps its figures after it is withdrawn', async () => {
    const [payroll] = (
      (await preparer('GET', `/clients/${client.id}/payrolls`)).body as {
        id: string;
        checkDate: string;
        kind: string;
        version: number;
      }[]
    ).filter((row) => row.kind === 'regular' && row.checkDate === '2026-11-20');
    const id = payroll?.id ?? '';
    const reviewed = await preparer('POST', `/payrolls/${id}/review`, { version: payroll?.version });
    expect((await preparer('POST', `/payrolls/${id}/post`, { version: reviewed.body.version })).status).toBe(200);
    const packs = (await preparer('GET', '/rules/packs')).body as View[];
    const held = packs.find((row) => row.status === 'in-force');
    expect(
      (await administrator('POST', `/rules/packs/${held?.id ?? ''}/withdraw`, { version: held?.version })).status,
    ).toBe(200);
    expect(await leaveOf(id)).toBe(2512);
    const working = (await preparer('GET', `/payrolls/${id}/working/${client.employeeIds[0] ?? ''}?figure=NY-PFL`))
      .body as {
      lines: { value: string; isResult?: boolean }[];
    };
    expect(working.lines.at(-1)?.value).toBe('25.12');
  });
  it('is never changed in the database', async () => {
    const runner = stack.dataSource.createQueryRunner();
    await runner.connect();
    await runner.startTransaction();
    await runner.query('SET LOCAL ROLE zakat_app');
    await expect(runner.query(`UPDATE rule_pack SET content = '{}'`)).rejects.toThrow(/permission denied/);
    await runner.rollbackTransaction();
    await runner.release();
  });
});
