import type { PaycheckView, PayrollEntry, PayrollPerson, PayrollView } from '@zakat/contract/payrolls';
import { isObject } from '@zakat/core/casefile/reader';
import type { OwnRows } from '@zakat/core/casefile/compose';
import { ACCOUNT_LABELS, type JournalAccount } from '@zakat/core/ledger/postings';
import { totalsByJob, type JobCost } from '@zakat/core/ledger/jobs';
import { sum, type Cents } from '@zakat/core/money/cents';
import { taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { findClient } from '../clients/index.js';
import type { Payroll } from './entities.js';
import { jobsOf } from './job-totals.js';
import { sheetColumns } from './sheet-columns.js';

/** Who a person was, and where the work was booked, when the payroll was posted. */
export interface PostedPerson {
  readonly number: string;
  readonly name: string;
  readonly workState: string;
  readonly department: string;
  readonly location: string;
  readonly costCentre: string;
}
type Lines = Omit<PaycheckView, 'id' | 'gross' | 'net' | 'problems'> & { readonly jobs?: readonly JobCost[] };
/** A line of the payroll with the check it became; without one where the person was not paid. */
interface PostedRow {
  readonly employee_id: string;
  readonly number: string;
  readonly name: string;
  readonly is_paid: boolean;
  readonly earnings: PayrollEntry['earnings'];
  readonly deductions: PayrollEntry['deductions'];
  readonly left_out: NonNullable<PayrollEntry['leftOut']>;
  readonly overridden: NonNullable<PayrollEntry['overridden']>;
  readonly withheld: NonNullable<PayrollEntry['withheld']>;
  readonly id: string | null;
  readonly gross: string | null;
  readonly net: string | null;
  readonly lines: Lines | null;
  readonly base: Record<string, unknown> | null;
  readonly own: OwnRows | null;
  readonly person: PostedPerson | null;
  readonly voided_by: string | null;
}

/** A posted payroll is evidence: it is read from its own checks, ledger entries and journal, whatever the records say now. */
export async function postedRows(manager: EntityManager, payrollId: string): Promise<PostedRow[]> {
  return (await manager.query(
    `SELECT e.id AS employee_id, e.number, concat_ws(' ', e.first_name, nullif(e.middle_name, ''), e.last_name, nullif(e.suffix, '')) AS name,
            coalesce(l.is_paid, true) AS is_paid, coalesce(l.earnings, '[]') AS earnings, coalesce(l.deductions, '[]') AS deductions,
            coalesce(l.left_out, '[]') AS left_out, coalesce(l.overridden, '[]') AS overridden, coalesce(l.withheld, '[]') AS withheld,
            c.id, c.gross, c.net, c.lines, c.facts -> 'case' AS base, c.facts -> 'own' AS own, c.facts -> 'person' AS person,
            (SELECT v.payroll_id FROM paycheck v WHERE v.reverses = c.id) AS voided_by
     FROM (SELECT employee_id FROM paycheck WHERE payroll_id = $1 UNION SELECT employee_id FROM payroll_line WHERE payroll_id = $1) w
     JOIN employee e ON e.id = w.employee_id
     LEFT JOIN payroll_line l ON l.payroll_id = $1 AND l.employee_id = e.id
     LEFT JOIN paycheck c ON c.payroll_id = $1 AND c.employee_id = e.id ORDER BY e.number`,
    [payrollId],
  )) as PostedRow[];
}

/** The entry of a posted line, as it was typed. */
export const entryOfRow = (row: PostedRow): PayrollEntry => ({
  employeeId: row.employee_id,
  isPaid: row.is_paid,
  earnings: row.earnings,
  deductions: row.deductions,
  ...(row.left_out.length > 0 ? { leftOut: row.left_out } : {}),
  ...(row.overridden.length > 0 ? { overridden: row.overridden } : {}),
  ...(row.withheld.length > 0 ? { withheld: row.withheld } : {}),
});

const NO_CHECK: PaycheckView = {
  id: null,
  gross: 0,
  net: 0,
  earnings: [],
  deductions: [],
  employerPaid: [],
  garnishments: [],
  taxes: [],
  problems: [],
};

const checkOf = ({ id, gross, net, lines, voided_by: voidedBy }: PostedRow): PaycheckView =>
  lines === null
    ? NO_CHECK
    : {
        id,
        ...(voidedBy === null ? {} : { voidedBy }),
        gross: rawCents(gross ?? 0),
        net: rawCents(net ?? 0),
        earnings: lines.earnings,
        deductions: lines.deductions,
        employerPaid: lines.employerPaid,
        garnishments: lines.garnishments,
        taxes: lines.taxes,
        ...(lines.variances ? { variances: lines.variances } : {}),
        problems: [],
      };

/** States of work of a case, for checks that were posted before their person was kept with them. */
function workStatesOf(base: Record<string, unknown> | null): string {
  const employee = base?.['employee'];
  const work = isObject(employee) && Array.isArray(employee['work']) ? employee['work'].filter(isObject) : [];
  return [...new Set(work.map((at) => String(at['state'])))].join(', ');
}

const personOf = (row: PostedRow): PostedPerson =>
  row.person ?? {
    number: row.number,
    name: row.name,
    workState: workStatesOf(row.base),
    department: '',
    location: '',
    costCentre: '',
  };

/** What each person was paid in the check before a payroll's. */
export async function grossBefore(
  manager: EntityManager,
  { id, clientId, checkDate }: Pick<Payroll, 'id' | 'clientId' | 'checkDate'>,
): Promise<ReadonlyMap<string, Cents>> {
  const rows = (await manager.query(
    `SELECT DISTINCT ON (employee_id) employee_id, gross FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id
     WHERE c.client_id = $1 AND c.payroll_id <> $2 AND c.check_date <= $3 AND p.kind <> 'brought-in' ORDER BY employee_id, c.check_date DESC, p.posted_at DESC`,
    [clientId, id, checkDate],
  )) as { employee_id: string; gross: string }[];
  return new Map(rows.map((row) => [row.employee_id, rawCents(row.gross)]));
}

export async function postedView(manager: EntityManager, payroll: Payroll): Promise<PayrollView> {
  const client = await findClient(manager, payroll.clientId);
  const rows = await postedRows(manager, payroll.id);
  const before =
    payroll.kind === 'brought-in' || payroll.kind === 'void'
      ? new Map<string, Cents>()
      : await grossBefore(manager, payroll);
  const employer = (await manager.query(
    `SELECT tax, wages, amount FROM ledger_entry WHERE payroll_id = $1 AND employee_id IS NULL AND cause IN ('payroll', 'reversal') ORDER BY id`,
    [payroll.id],
  )) as { tax: TaxCode; wages: string; amount: string }[];
  const journal = (await manager.query(
    'SELECT l.account, l.detail, l.amount FROM journal_entry j JOIN journal_line l ON l.journal_entry_id = j.id WHERE j.payroll_id = $1 ORDER BY j.id, l.position',
    [payroll.id],
  )) as { account: JournalAccount; detail: string; amount: string }[];
  const persons = rows.map((row): PayrollPerson => ({
    ...entryOfRow(row),
    ...personOf(row),
    base: row.base ?? {},
    paycheck: checkOf(row),
    previousGross: before.get(row.employee_id) ?? null,
    note: '',
  }));
  const paid = rows.filter((row) => row.lines !== null);
  return {
    id: payroll.id,
    clientId: client.id,
    clientName: client.legalName,
    einTail: client.ein.slice(-4),
    payFrequency: String(paid[0]?.base?.['payFrequency'] ?? client.payFrequency),
    periodStart: payroll.periodStart,
    periodEnd: payroll.periodEnd,
    checkDate: payroll.checkDate,
    kind: payroll.kind,
    status: payroll.status,
    version: payroll.version,
    isVoid: payroll.isVoid,
    schedule: payroll.schedule,
    part: payroll.part,
    voids: payroll.voids,
    people: paid.length,
    gross: sum(paid.map((row) => rawCents(row.gross ?? 0))),
    net: sum(paid.map((row) => rawCents(row.net ?? 0))),
    own: { ...(paid[0]?.own ?? {}) },
    persons,
    columns: await sheetColumns(manager, client.id),
    employerTaxes: employer.map((line) => ({
      tax: line.tax,
      label: taxOf(line.tax).label,
      wages: rawCents(line.wages),
      amount: rawCents(line.amount),
    })),
    jobs: jobsOf(totalsByJob(paid.flatMap((row) => row.lines?.jobs ?? []))),
    journal: journal.map((line) => ({
      account: line.account,
      label: ACCOUNT_LABELS[line.account],
      detail: line.detail,
      amount: rawCents(line.amount),
    })),
    closed: [],
    closedReason: payroll.closedReason,
  };
}
