import { TAXES } from '@zakat/core/tax-registry/registry';
import { REPORT_GROUPS, type ReportGroup } from '@zakat/contract/reports';
import { MORE_SCOPE, type KindColumn, type ReportKind } from './report-kind.js';

const quoted = (codes: readonly string[]): string => codes.map((code) => `'${code}'`).join(', ');
const employeeTaxes = (keep: (tax: (typeof TAXES)[number]) => boolean): string =>
  quoted(TAXES.filter((tax) => tax.payer === 'employee' && keep(tax)).map((tax) => tax.code));
const FEDERAL = employeeTaxes((tax) => tax.jurisdiction === 'US' && tax.kind === 'income');
const OASDI = employeeTaxes((tax) => tax.kind === 'social-security');
const MEDICARE = employeeTaxes((tax) => tax.kind === 'medicare');
const STATE = employeeTaxes((tax) => tax.jurisdiction !== 'US' && tax.kind === 'income');
const LABELS = TAXES.map(({ code, label }) => `('${code}', '${label.replaceAll("'", "''")}')`).join(', ');

/** Posted checks of the scope with whose they are and where their work is booked, as they were posted. */
const POSTED = `
  SELECT c.id, c.payroll_id, c.employee_id, c.check_date, c.gross, c.net, c.lines, c.facts, c.reverses, p.period_start, p.period_end,
    CASE p.kind WHEN 'extra' THEN 'off-cycle' WHEN 'brought-in' THEN 'prior payroll' WHEN 'recorded' THEN 'paid elsewhere' ELSE p.kind END AS payroll_kind,
    coalesce(c.facts -> 'person' ->> 'name', concat_ws(' ', e.first_name, nullif(e.middle_name, ''), e.last_name, nullif(e.suffix, ''))) AS name,
    e.number, e.number || ' ' || coalesce(c.facts -> 'person' ->> 'name', concat_ws(' ', e.first_name, e.last_name)) AS employee, lpad(e.number, 12, '0') COLLATE "C" AS employee_order,
    coalesce(c.facts -> 'person' ->> 'department', '') AS department, coalesce(c.facts -> 'person' ->> 'location', '') AS location,
    coalesce(c.facts -> 'person' ->> 'costCentre', '') AS cost_center, '/payrolls/' || c.payroll_id AS path
  FROM paycheck c JOIN payroll p ON p.id = c.payroll_id JOIN employee e ON e.id = c.employee_id
  WHERE c.client_id = $1 AND c.check_date BETWEEN $2 AND $3 AND ($4::uuid IS NULL OR c.employee_id = $4) ${MORE_SCOPE}`;
const DIMENSIONS = 'employee, employee_order, department, location, cost_center, check_date, payroll_kind, path';

/** Hours as they were typed, in ten-thousandths; of a void taken back. */
const HOURS = `CASE WHEN p.reverses IS NULL THEN 1 ELSE -1 END * coalesce((SELECT round(sum((h ->> 'hours')::numeric * 10000)) FROM jsonb_array_elements(
    CASE WHEN jsonb_typeof(p.facts -> 'entry' -> 'earnings') = 'array' THEN p.facts -> 'entry' -> 'earnings' ELSE '[]' END) AS h WHERE h ->> 'hours' ~ '^\\d+(\\.\\d+)?$'), 0)`;

const text = (key: string, label: string): KindColumn => ({ key, label, cell: 'text' });
const day = (key: string, label: string): KindColumn => ({ key, label, cell: 'day' });
const amount = (key: string, label: string): KindColumn => ({ key, label, cell: 'amount', isSummed: true });
const hours = (key: string, label: string): KindColumn => ({ key, label, cell: 'hours', isSummed: true });
const CHECK: readonly KindColumn[] = [day('check_date', 'Check date'), text('employee', 'Employee')];
const ALL: readonly ReportGroup[] = REPORT_GROUPS;

const PAYROLL_REGISTER: ReportKind = {
  code: 'payroll-register',
  isByCheck: true,
  label: 'Payroll register',
  says: 'Every posted check: gross pay, what was withheld, net pay.',
  groups: ALL,
  columns: [
    ...CHECK,
    hours('hours', 'Hours'),
    amount('gross', 'Gross'),
    amount('federal', 'Federal'),
    amount('oasdi', 'OASDI'),
    amount('medicare', 'Medicare'),
    amount('state', 'State and local'),
    amount('other', 'Other taxes'),
    amount('deductions', 'Deductions'),
    amount('net', 'Net'),
  ],
  relation: `
    SELECT ${DIMENSIONS}, ${HOURS} AS hours, p.gross, t.federal, t.oasdi, t.medicare, t.state, t.withheld - t.federal - t.oasdi - t.medicare - t.state AS other,
      p.gross - p.net - t.withheld AS deductions, p.net, row_number() OVER (ORDER BY check_date, employee_order, p.id) AS ordering
    FROM (${POSTED}) p, LATERAL (SELECT coalesce(sum(amount), 0) AS withheld, coalesce(sum(amount) FILTER (WHERE tax IN (${FEDERAL})), 0) AS federal,
      coalesce(sum(amount) FILTER (WHERE tax IN (${OASDI})), 0) AS oasdi, coalesce(sum(amount) FILTER (WHERE tax IN (${MEDICARE})), 0) AS medicare,
      coalesce(sum(amount) FILTER (WHERE tax IN (${STATE})), 0) AS state FROM paycheck_tax x WHERE x.paycheck_id = p.id AND x.payer = 'employee') t`,
};

const LINE_LISTS = `(VALUES ('earnings', 'earning'), ('deductions', 'deduction'), ('employerPaid', 'employer-paid')) AS l(list, what)`;
const EARNINGS_AND_DEDUCTIONS: ReportKind = {
  code: 'earnings-and-deductions',
  label: 'Earnings, deductions and employer costs',
  says: 'Each line of the posted checks by its item: what was earned, deducted, and paid by the employer besides.',
  groups: ALL,
  columns: [...CHECK, text('what', 'Kind'), text('item', 'Item'), amount('amount', 'Amount')],
  relation: `
    SELECT ${DIMENSIONS}, what, item, amount, row_number() OVER (ORDER BY check_date, employee_order, what, item) AS ordering FROM (
      SELECT ${DIMENSIONS}, l.what, i.label AS item, i.amount FROM (${POSTED}) p, ${LINE_LISTS}, jsonb_to_recordset(coalesce(p.lines -> l.list, '[]')) AS i(label text, amount bigint)
      UNION ALL SELECT ${DIMENSIONS}, 'garnishment', g.label, g.amount + g.fee FROM (${POSTED}) p, jsonb_to_recordset(coalesce(p.lines -> 'garnishments', '[]')) AS g(label text, amount bigint, fee bigint)) x`,
};

const TAX_REPORT: ReportKind = {
  code: 'taxes',
  label: 'Taxes',
  says: 'Each tax of the posted checks: wages subject to it, taxable wages, amount; employer taxes by check too.',
  groups: ALL,
  columns: [
    ...CHECK,
    text('tax', 'Tax'),
    text('payer', 'Paid by'),
    amount('subject', 'Subject wages'),
    amount('wages', 'Taxable wages'),
    amount('amount', 'Tax'),
  ],
  relation: `
    SELECT p.employee, p.employee_order, p.department, p.location, p.cost_center, p.check_date, p.payroll_kind, p.path, coalesce(n.label, t.tax) AS tax, t.payer, t.subject, t.wages, t.amount, row_number() OVER (ORDER BY p.check_date, p.employee_order, t.tax) AS ordering
    FROM (${POSTED}) p JOIN paycheck_tax t ON t.paycheck_id = p.id LEFT JOIN (VALUES ${LABELS}) AS n(code, label) ON n.code = t.tax WHERE t.subject <> 0 OR t.amount <> 0`,
};

const LABOR: ReportKind = {
  code: 'labor-distribution',
  isByCheck: true,
  label: 'Labor distribution',
  says: 'What the checks cost the client: pay, employer taxes and what the employer pays besides, by where the work is booked.',
  groups: ALL,
  columns: [
    ...CHECK,
    text('department', 'Department'),
    hours('hours', 'Hours'),
    amount('gross', 'Gross'),
    amount('employer_taxes', 'Employer taxes'),
    amount('employer_paid', 'Employer paid'),
    amount('cost', 'Cost'),
  ],
  relation: `
    SELECT ${DIMENSIONS}, ${HOURS} AS hours, p.gross, t.employer_taxes, b.employer_paid, p.gross + t.employer_taxes + b.employer_paid AS cost, row_number() OVER (ORDER BY check_date, employee_order, p.id) AS ordering
    FROM (${POSTED}) p, LATERAL (SELECT coalesce(sum(amount), 0) AS employer_taxes FROM paycheck_tax x WHERE x.paycheck_id = p.id AND x.payer = 'employer') t,
      LATERAL (SELECT coalesce(sum(amount), 0) AS employer_paid FROM jsonb_to_recordset(coalesce(p.lines -> 'employerPaid', '[]')) AS e(amount bigint)) b`,
};

const WORKERS_COMPENSATION: ReportKind = {
  code: 'workers-compensation',
  label: 'Workers’ compensation',
  says: 'Pay and hours by class of work, with the premium at the rates of the policy.',
  groups: ALL,
  columns: [
    ...CHECK,
    text('class', 'Class'),
    hours('hours', 'Hours'),
    amount('pay', 'Pay'),
    amount('premium', 'Premium'),
  ],
  relation: `
    SELECT ${DIMENSIONS}, w.class, w.pay, w.hours, w.premium, row_number() OVER (ORDER BY check_date, employee_order) AS ordering FROM (${POSTED}) p,
      LATERAL (SELECT p.lines -> 'workersCompensation' ->> 'workClass' AS class, (p.lines -> 'workersCompensation' ->> 'pay')::bigint AS pay,
        round((p.lines -> 'workersCompensation' ->> 'hours')::numeric * 10000) AS hours, (p.lines -> 'workersCompensation' ->> 'amount')::bigint AS premium) w WHERE w.class IS NOT NULL`,
};

const LEAVE: ReportKind = {
  code: 'leave',
  label: 'Leave',
  says: 'Hours of leave earned, taken and lost, check by check or added up.',
  groups: ALL,
  columns: [
    ...CHECK,
    text('plan', 'Leave'),
    hours('accrued', 'Earned'),
    hours('used', 'Taken'),
    hours('lost', 'Lost'),
    { key: 'balance', label: 'Balance', cell: 'hours' },
  ],
  relation: `
    SELECT ${DIMENSIONS}, m.item AS plan, m.accrued, m.used, m.lost, CASE WHEN p.reverses IS NULL THEN m.balance END AS balance, row_number() OVER (ORDER BY check_date, employee_order, m.item) AS ordering
    FROM (${POSTED}) p, jsonb_to_recordset(CASE WHEN jsonb_typeof(p.lines -> 'leave') = 'array' THEN p.lines -> 'leave' ELSE '[]' END) AS m(item text, accrued bigint, used bigint, lost bigint, balance bigint)`,
};

const GARNISHMENTS: ReportKind = {
  code: 'garnishments',
  label: 'Garnishments',
  says: 'What was withheld by order, for the payee, and the fee of the employer.',
  groups: ALL,
  columns: [...CHECK, text('order', 'Order'), text('sort', 'Kind'), amount('amount', 'Withheld'), amount('fee', 'Fee')],
  relation: `
    SELECT ${DIMENSIONS}, g.label AS "order", replace(g.kind, '-', ' ') AS sort, g.amount, g.fee, row_number() OVER (ORDER BY check_date, employee_order, g.label) AS ordering
    FROM (${POSTED}) p, jsonb_to_recordset(coalesce(p.lines -> 'garnishments', '[]')) AS g(label text, kind text, amount bigint, fee bigint)`,
};

const CHECKS_ISSUED: ReportKind = {
  code: 'checks-issued',
  label: 'Checks issued',
  says: 'Every number of every account: to whom, how much, what became of it.',
  groups: [],
  columns: [
    text('account', 'Account'),
    { key: 'number', label: 'Number', cell: 'text' },
    day('check_date', 'Check date'),
    text('payee', 'Pay to'),
    text('status', 'Status'),
    amount('amount', 'Amount'),
  ],
  relation: `
    SELECT b.label || ', ending ' || b.account_tail AS account, i.number::text AS number, i.check_date, i.payee, i.status, i.amount,
      CASE WHEN i.payroll_id IS NULL THEN '' ELSE '/payrolls/' || i.payroll_id END AS path, row_number() OVER (ORDER BY b.label, i.number) AS ordering
    FROM issued_check i JOIN bank_account b ON b.id = i.bank_account_id LEFT JOIN paycheck c ON c.id = i.paycheck_id
    WHERE i.client_id = $1 AND i.check_date BETWEEN $2 AND $3 AND ($4::uuid IS NULL OR c.employee_id = $4)`,
};

/** Every report, in the order of the list. */
export const REPORT_KINDS: readonly ReportKind[] = [
  PAYROLL_REGISTER,
  EARNINGS_AND_DEDUCTIONS,
  TAX_REPORT,
  LABOR,
  LEAVE,
  GARNISHMENTS,
  WORKERS_COMPENSATION,
  CHECKS_ISSUED,
];
export const findReport = (code: string): ReportKind | undefined => REPORT_KINDS.find((kind) => kind.code === code);
