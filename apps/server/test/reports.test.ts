import { afterAll, beforeAll, describe, expect, it } from '@jest/globals';
import { parse } from 'csv-parse/sync';
import { Stack, postPayroll, takeOn, type Caller } from './stack.js';

let stack: Stack;
let preparer: Caller;
let reviewer: Caller;
let client: Awaited<ReturnType<typeof takeOn>>;
let payrollIds: string[];

const FIRST = { periodStart: '2026-10-11', periodEnd: '2026-10-24', checkDate: '2026-10-30' };
const SECOND = { periodStart: '2026-10-25', periodEnd: '2026-11-07', checkDate: '2026-11-13' };
const YEAR = 'from=2026-01-01&to=2026-12-31';

interface Report {
  readonly columns: { key: string; label: string; cell: string }[];
  readonly rows: { cells: Record<string, string | number | null>; path: string }[];
  readonly totals: Record<string, number>;
  readonly count: number;
}
interface View {
  readonly gross: number;
  readonly net: number;
  readonly persons: { paycheck: { taxes: { payer: string; amount: number }[] } }[];
  readonly employerTaxes: { amount: number }[];
}
const report = async (code: string, query = YEAR): Promise<Report> =>
  (await preparer('GET', `/clients/${client.id}/reports/${code}?${query}`)).body as Report;
const payroll = async (id: string): Promise<View> => (await preparer('GET', `/payrolls/${id}`)).body as View;
const sum = (amounts: readonly number[]): number => amounts.reduce((total, amount) => total + amount, 0);

beforeAll(async () => {
  stack = await Stack.start();
  await stack.addFirm('Alder');
  preparer = await stack.signIn('Alder', 'preparer');
  reviewer = await stack.signIn('Alder', 'reviewer');
  client = await takeOn(preparer, 'YARD', 3);
  await preparer('POST', `/employees/${client.employeeIds[0] ?? ''}/facts`, {
    kind: 'worker',
    from: '2024-01-02',
    value: { department: 'Loft' },
  });
  payrollIds = [await postPayroll(preparer, client.id, FIRST), await postPayroll(preparer, client.id, SECOND)];
}, 60_000);
afterAll(() => stack.stop(), 30_000);

describe('the payroll register', () => {
  it('has a row a check that opens its payroll, and adds up to the payrolls to the cent', async () => {
    const register = await report('payroll-register');
    const views = await Promise.all(payrollIds.map(payroll));
    expect([register.count, register.rows.length]).toEqual([6, 6]);
    expect(register.rows[0]?.path).toBe(`/payrolls/${payrollIds[0] ?? ''}`);
    expect(register.totals['gross']).toBe(sum(views.map(({ gross }) => gross)));
    expect(register.totals['net']).toBe(sum(views.map(({ net }) => net)));
    const withheld = sum(
      views.flatMap(({ persons }) =>
        persons.flatMap(({ paycheck }) =>
          paycheck.taxes.filter(({ payer }) => payer === 'employee').map(({ amount }) => amount),
        ),
      ),
    );
    const columns = ['federal', 'oasdi', 'medicare', 'state', 'other'].map((key) => register.totals[key] ?? 0);
    expect(sum(columns)).toBe(withheld);
    // Gross, less what was withheld and deducted, is net: in every row.
    for (const { cells } of register.rows) {
      const of = (key: string): number => Number(cells[key]);
      const taxes = sum(['federal', 'oasdi', 'medicare', 'state', 'other'].map(of));
      expect(of('gross') - taxes - of('deductions')).toBe(of('net'));
      expect(of('hours')).toBe(800_000);
    }
  });
  it('gives a page without waiting for its totals, and those beside it', async () => {
    for (const code of ['payroll-register', 'labor-distribution', 'taxes', 'leave']) {
      const of = async (path: string) =>
        (await preparer('GET', `/clients/${client.id}/${path}?${YEAR}`)).body as Report;
      const whole = await of(`reports/${code}`);
      const alone = (await preparer('GET', `/clients/${client.id}/reports/${code}?${YEAR}&totals=no`)).body as Report;
      expect([alone.rows, alone.totals, alone.count]).toEqual([whole.rows, null, null]);
      const { totals, count } = await of(`report-totals/${code}`);
      expect([totals, count]).toEqual([whole.totals, whole.count]);
    }
  });
  it('added up by anything comes to the same totals', async () => {
    const whole = await report('payroll-register');
    for (const by of ['employee', 'department', 'location', 'payroll', 'month', 'quarter']) {
      const grouped = await report('payroll-register', `${YEAR}&by=${by}`);
      expect([by, grouped.totals]).toEqual([by, whole.totals]);
      expect(sum(grouped.rows.map(({ cells }) => Number(cells['net'])))).toBe(whole.totals['net']);
    }
    const departments = await report('payroll-register', `${YEAR}&by=department`);
    expect(departments.rows.map(({ cells }) => cells['group'])).toEqual(['Loft', 'no department']);
    const one = await report('payroll-register', `${YEAR}&employee=${client.employeeIds[1] ?? ''}`);
    expect(one.count).toBe(2);
    const month = await report('payroll-register', 'from=2026-11-01&to=2026-11-30');
    expect(month.count).toBe(3);
  });
  it('is the same as a file', async () => {
    const whole = await report('payroll-register');
    const { body } = await preparer('GET', `/clients/${client.id}/report-files/payroll-register.csv?${YEAR}`);
    const table = parse(body as unknown as string, { bom: true }) as unknown as string[][];
    expect(table.length).toBe(1 + whole.count + 1);
    expect(table.at(-1)?.at(-1)?.replace('.', '')).toBe(String(whole.totals['net']));
    expect(table[1]?.slice(0, 2)).toEqual(['10/30/2026', '1 Wil SpragueA']);
    const pdf = await preparer('GET', `/clients/${client.id}/report-files/payroll-register.pdf?${YEAR}`);
    expect(pdf.body as unknown as string).toMatch(/^%PDF/);
  });
});

describe('the other reports', () => {
  it('taxes agree with the ledger, employer taxes with the payrolls', async () => {
    const taxes = await report('taxes');
    const [ledger] = (await stack.dataSource.query(
      'SELECT sum(amount)::int AS amount FROM ledger_entry WHERE client_id = $1',
      [client.id],
    )) as { amount: number }[];
    expect(taxes.totals['amount']).toBe(ledger?.amount);
    const labor = await report('labor-distribution');
    const views = await Promise.all(payrollIds.map(payroll));
    expect(labor.totals['employer_taxes']).toBe(
      sum(views.flatMap(({ employerTaxes }) => employerTaxes.map(({ amount }) => amount))),
    );
    expect(labor.totals['cost']).toBe(
      sum(['gross', 'employer_taxes', 'employer_paid'].map((key) => labor.totals[key] ?? 0)),
    );
  });
  it('earnings and deductions keep their item when they are added up', async () => {
    const items = await report('earnings-and-deductions', `${YEAR}&by=department`);
    const regular = items.rows.filter(({ cells }) => cells['what'] === 'earning');
    expect(regular.map(({ cells }) => [cells['group'], cells['amount']])).toEqual([
      ['Loft', 2 * 251_200],
      ['no department', 4 * 251_200],
    ]);
  });
  it('every one can be asked for, grouped by all it knows, and as each kind of file', async () => {
    const kinds = (await preparer('GET', '/reports')).body as { code: string; groups: string[] }[];
    expect(kinds.length).toBeGreaterThan(6);
    for (const { code, groups } of kinds)
      for (const by of ['', ...groups]) {
        const answer = await preparer('GET', `/clients/${client.id}/reports/${code}?${YEAR}&by=${by}`);
        expect([code, by, answer.status, answer.body.detail]).toEqual([code, by, 200, undefined]);
      }
    for (const format of ['csv', 'xlsx', 'pdf'])
      expect((await preparer('GET', `/clients/${client.id}/report-files/checks-issued.${format}?${YEAR}`)).status).toBe(
        200,
      );
  });
  it('every row that adds up opens what it is made of, to the cent', async () => {
    const kinds = (await preparer('GET', '/reports')).body as { code: string; groups: string[] }[];
    let opened = 0;
    for (const { code, groups } of kinds)
      for (const by of groups) {
        const whole = await report(code, `${YEAR}&by=${by}`);
        for (const group of new Set(whole.rows.map(({ cells }) => String(cells['group'])))) {
          const inside = await report(code, `${YEAR}&in=${by}&of=${encodeURIComponent(group)}`);
          const own = whole.rows.filter(({ cells }) => cells['group'] === group);
          for (const key of Object.keys(inside.totals))
            expect([code, by, group, key, inside.totals[key]]).toEqual([
              code,
              by,
              group,
              key,
              sum(own.map(({ cells }) => Number(cells[key] ?? 0))),
            ]);
          expect(inside.rows.length).toBeGreaterThanOrEqual(1);
          opened += 1;
        }
      }
    expect(opened).toBeGreaterThan(20);
    const file = (
      await preparer('GET', `/clients/${client.id}/report-files/payroll-register.csv?${YEAR}&in=department&of=Loft`)
    ).body as string;
    expect(file.trim().split('\n').length).toBe(2 + 2);
  });
  it('what is asked wrongly is refused by name', async () => {
    const of = async (path: string) => {
      const { status, body } = await preparer('GET', `/clients/${client.id}/${path}`);
      return [status, body.problems?.[0]?.field];
    };
    expect(await of('reports/payroll-register?from=2026-02-30&to=2026-12-31')).toEqual([422, 'from']);
    expect(await of('reports/payroll-register?from=2026-03-01&to=2026-02-01')).toEqual([422, 'to']);
    expect(await of(`reports/payroll-register?${YEAR}&by=moon`)).toEqual([422, 'by']);
    expect(await of(`reports/checks-issued?${YEAR}&by=month`)).toEqual([422, 'by']);
    expect(await of(`reports/payroll-register?${YEAR}&in=moon&of=x`)).toEqual([422, 'in']);
    expect(await of(`reports/checks-issued?${YEAR}&in=month&of=x`)).toEqual([422, 'in']);
    expect(await of(`reports/payroll-register?${YEAR}&employee=1`)).toEqual([422, 'employee']);
    expect(await of(`reports/payroll-register?${YEAR}&page=-1`)).toEqual([422, 'page']);
    expect((await of(`reports/anything?${YEAR}`))[0]).toBe(404);
    expect(await of(`report-files/payroll-register.exe?${YEAR}`)).toEqual([422, 'file']);
  });
  it('a void stands in every report as the opposite, and takes the totals back', async () => {
    const before = await report('payroll-register');
    const id = payrollIds[1] ?? '';
    const { checks } = (await preparer('GET', `/payrolls/${id}/voids`)).body as { checks: { paycheckId: string }[] };
    const proposed = await preparer('POST', `/payrolls/${id}/voids`, {
      paycheckIds: checks.map(({ paycheckId }) => paycheckId),
      reason: 'Wrong date',
    });
    await reviewer('POST', `/voids/${String(proposed.body.id)}/post`, { version: 1 });
    const after = await report('payroll-register');
    expect([after.count, after.totals['net'], after.totals['hours']]).toEqual([
      9,
      (before.totals['net'] ?? 0) / 2,
      (before.totals['hours'] ?? 0) / 2,
    ]);
  });
  it('finds its pages by the sizes of payrolls, which are those of their checks, on their check dates', async () => {
    const wrong: unknown[] = await stack.dataSource.query(
      `SELECT p.id FROM payroll p WHERE p.paychecks <> (SELECT count(*) FROM paycheck c WHERE c.payroll_id = p.id)
         OR EXISTS (SELECT 1 FROM paycheck c WHERE c.payroll_id = p.id AND c.check_date <> p.check_date)`,
    );
    const sizes: { paychecks: number }[] = await stack.dataSource.query(
      'SELECT paychecks FROM payroll WHERE paychecks > 0',
    );
    expect([wrong, sizes.length > 0]).toEqual([[], true]);
  });
});
