import { NOTHING } from '@zakat/core/paycheck/compute';
import type { VoidableCheck, VoidsOfPayroll } from '@zakat/contract/voids';
import { date, showDate } from '@zakat/core/calendar/local-date';
import type { PostedLines, PostedTax } from '@zakat/core/ledger/opposite';
import { repaidTaxes } from '@zakat/core/ledger/repayment';
import { ZERO, negate, showDollars, sum, type Cents } from '@zakat/core/money/cents';
import { taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { findClient } from '../clients/index.js';
import type { Payroll } from '../payrolls/index.js';

/** A posted paycheck with all that is kept of it. */
export interface PostedCheckWhole {
  readonly paycheckId: string;
  readonly employeeId: string;
  readonly number: string;
  readonly name: string;
  readonly gross: Cents;
  readonly net: Cents;
  readonly supplemental: Cents;
  readonly lines: PostedLines;
  readonly facts: Readonly<Record<string, unknown>>;
  readonly taxes: readonly PostedTax[];
}
/** A piece of a net pay on its way: a credit to an account, or a check on paper. */
export interface PaidPart {
  readonly paycheckId: string;
  readonly by: 'deposit' | 'check';
  readonly amount: Cents;
  readonly status: string;
  readonly settles: string | null;
  /** Of a check its number, of a deposit the account's last digits. */
  readonly mark: string;
  /** A reversal takes it back, or did: nobody has said that it failed. */
  readonly isAskedBack: boolean;
}

/** The posted checks of a payroll, in the order of their people. */
export async function postedChecks(
  manager: EntityManager,
  payrollId: string,
  only: readonly string[] | null = null,
): Promise<PostedCheckWhole[]> {
  const rows = (await manager.query(
    `SELECT c.id, c.employee_id, c.gross, c.net, c.supplemental, c.lines, c.facts, e.number,
       coalesce(c.facts -> 'person' ->> 'name', concat_ws(' ', e.first_name, nullif(e.middle_name, ''), e.last_name, nullif(e.suffix, ''))) AS name,
       coalesce((SELECT jsonb_agg(jsonb_build_object('tax', t.tax, 'subject', t.subject, 'wages', t.wages, 'amount', t.amount) ORDER BY t.tax) FROM paycheck_tax t WHERE t.paycheck_id = c.id), '[]') AS taxes
     FROM paycheck c JOIN employee e ON e.id = c.employee_id WHERE c.payroll_id = $1 AND ($2::uuid[] IS NULL OR c.id = ANY($2)) ORDER BY length(e.number), e.number`,
    [payrollId, only],
  )) as {
    id: string;
    employee_id: string;
    gross: string;
    net: string;
    supplemental: string;
    lines: PostedLines;
    facts: Record<string, unknown>;
    number: string;
    name: string;
    taxes: { tax: TaxCode; subject: number; wages: number; amount: number }[];
  }[];
  return rows.map((row) => ({
    paycheckId: row.id,
    employeeId: row.employee_id,
    number: row.number,
    name: row.name,
    gross: rawCents(row.gross),
    net: rawCents(row.net),
    supplemental: rawCents(row.supplemental),
    lines: row.lines,
    facts: row.facts,
    taxes: row.taxes.map(({ tax, subject, wages, amount }) => ({
      tax,
      subject: rawCents(subject),
      wages: rawCents(wages),
      amount: rawCents(amount),
    })),
  }));
}

/** Of a check whose gross pay was given back in a later year, what is taken back: social security and Medicare on it. */
export async function repaidPart(
  manager: EntityManager,
  check: PostedCheckWhole,
  {
    repaid,
    checkDate,
    postedAs,
  }: { readonly repaid: Cents; readonly checkDate: string; readonly postedAs: string | null },
): Promise<PostedCheckWhole> {
  const year = checkDate.slice(0, 4);
  const rows = (await manager.query(
    `SELECT t.tax, sum(t.subject)::bigint AS subject, sum(t.wages)::bigint AS wages FROM paycheck_tax t JOIN paycheck c ON c.id = t.paycheck_id
     WHERE t.employee_id = $1 AND t.check_date BETWEEN $2 AND $3 AND ($4::uuid IS NULL OR c.payroll_id <> $4) GROUP BY t.tax`,
    [check.employeeId, `${year}-01-01`, `${year}-12-31`, postedAs],
  )) as { tax: TaxCode; subject: string; wages: string }[];
  const taxes = repaidTaxes(check.taxes, repaid, (tax) => {
    const own = rows.find((row) => row.tax === tax);
    return { subject: rawCents(own?.subject ?? 0), wages: rawCents(own?.wages ?? 0) };
  });
  const refunded = sum(taxes.filter(({ tax }) => taxOf(tax).payer === 'employee').map(({ amount }) => amount));
  const lines = check.lines.taxes.flatMap((line) => {
    const own = taxes.find(({ tax }) => tax === line.code);
    return own ? [{ ...line, subject: own.subject, wages: own.wages, amount: own.amount }] : [];
  });
  return {
    ...check,
    gross: ZERO,
    net: negate(refunded),
    supplemental: ZERO,
    lines: {
      earnings: [],
      deductions: [],
      garnishments: [],
      leave: [],
      employerPaid: [],
      tracked: NOTHING.tracked,
      taxes: lines,
    },
    taxes,
  };
}

/** How the net pay of the checks left: credits of files that stand, and checks on paper that are out. */
export async function paidParts(manager: EntityManager, payrollId: string): Promise<PaidPart[]> {
  const rows = (await manager.query(
    `SELECT e.paycheck_id, 'deposit' AS by, e.amount, d.status, d.settles, e.account_tail AS mark,
       EXISTS (SELECT 1 FROM check_void_item i JOIN direct_deposit r ON r.void_id = i.check_void_id AND r.status IN ('planned', 'released', 'settled')
         JOIN direct_deposit_entry x ON x.direct_deposit_id = r.id AND x.employee_id = e.employee_id AND x.amount = e.amount AND x.return_code IS NULL
         WHERE i.paycheck_id = e.paycheck_id AND i.is_live) AS is_asked_back
     FROM direct_deposit_entry e
       JOIN direct_deposit d ON d.id = e.direct_deposit_id WHERE d.payroll_id = $1 AND d.status IN ('planned', 'released', 'settled') AND e.is_live
     UNION ALL
     SELECT paycheck_id, 'check', amount, status, NULL, number::text, false FROM issued_check
       WHERE payroll_id = $1 AND status IN ('printed', 'issued', 'cleared')`,
    [payrollId],
  )) as {
    paycheck_id: string;
    by: 'deposit' | 'check';
    amount: string;
    status: string;
    settles: string | null;
    mark: string;
    is_asked_back: boolean;
  }[];
  return rows.map((row) => ({
    paycheckId: row.paycheck_id,
    by: row.by,
    amount: rawCents(row.amount),
    status: row.status,
    settles: row.settles,
    mark: row.mark,
    isAskedBack: row.is_asked_back,
  }));
}

const DEPOSIT_WORDS: Readonly<Record<string, string>> = {
  planned: 'scheduled',
  released: 'on its way',
  settled: 'settled',
};
const CHECK_WORDS: Readonly<Record<string, string>> = {
  printed: 'printed',
  issued: 'handed out',
  cleared: 'cashed',
};
const partWords = ({ by, amount, status, settles, mark }: PaidPart): string =>
  by === 'deposit'
    ? `direct deposit of ${showDollars(amount)} to the account ending ${mark}, ${DEPOSIT_WORDS[status] ?? status}${settles === null ? '' : ` ${showDate(date(settles))}`}`
    : `check ${mark} of ${showDollars(amount)}, ${CHECK_WORDS[status] ?? status}`;

export const paidWords = (parts: readonly PaidPart[]): string =>
  parts.length === 0 ? 'nothing has left yet' : parts.map(partWords).join('; ');

/** The person has it: cashed, or in an account from which no reversal takes it back. */
const isKept = ({ by, status, isAskedBack }: PaidPart): boolean =>
  by === 'check' ? status === 'cleared' : status !== 'planned' && !isAskedBack;
const standingOf = (
  item: { readonly status: 'proposed' | 'posted'; readonly repaid: string | null } | undefined,
): VoidableCheck['standing'] => {
  if (item === undefined) return 'stands';
  if (item.status === 'proposed') return 'proposed';
  return item.repaid === null ? 'void' : 'repaid';
};
const amountOf = (parts: readonly PaidPart[]): Cents => sum(parts.map(({ amount }) => amount));

/** What became of each check of a payroll. */
export async function voidsOf(manager: EntityManager, payroll: Payroll): Promise<VoidsOfPayroll> {
  const client = await findClient(manager, payroll.clientId);
  const checks = await postedChecks(manager, payroll.id);
  const parts = await paidParts(manager, payroll.id);
  const items = (await manager.query(
    `SELECT i.paycheck_id, v.id, v.status, v.repaid FROM check_void_item i JOIN check_void v ON v.id = i.check_void_id WHERE v.payroll_id = $1 AND i.is_live`,
    [payroll.id],
  )) as { paycheck_id: string; id: string; status: 'proposed' | 'posted'; repaid: string | null }[];
  const live = new Map(items.map((item) => [item.paycheck_id, item]));
  return {
    payrollId: payroll.id,
    clientId: client.id,
    clientName: client.legalName,
    einTail: client.ein.slice(-4),
    checkDate: payroll.checkDate,
    kind: payroll.kind,
    checks: checks.map((check): VoidableCheck => {
      const item = live.get(check.paycheckId);
      const { paycheckId, employeeId, number, name, gross, net } = check;
      const own = parts.filter((part) => part.paycheckId === paycheckId);
      return {
        paycheckId,
        employeeId,
        number,
        name,
        gross,
        net,
        standing: standingOf(item),
        voidId: item?.id ?? null,
        paid: payroll.kind === 'recorded' ? 'paid by another program' : paidWords(own),
        cashed: amountOf(own.filter(({ by, status }) => by === 'check' && status === 'cleared')),
        kept: amountOf(own.filter(isKept)),
      };
    }),
  };
}
