import type { VoidableCheck, VoidsOfPayroll } from '@zakat/contract/voids';
import { date, showDate } from '@zakat/core/calendar/local-date';
import type { PostedLines, PostedTax } from '@zakat/core/ledger/opposite';
import { showDollars, sum, type Cents } from '@zakat/core/money/cents';
import type { TaxCode } from '@zakat/core/tax-registry/registry';
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

/** How the net pay of the checks left: credits of files that stand, and checks on paper that are out. */
export async function paidParts(manager: EntityManager, payrollId: string): Promise<PaidPart[]> {
  const rows = (await manager.query(
    `SELECT e.paycheck_id, 'deposit' AS by, e.amount, d.status, d.settles, e.account_tail AS mark FROM direct_deposit_entry e
       JOIN direct_deposit d ON d.id = e.direct_deposit_id WHERE d.payroll_id = $1 AND d.status IN ('planned', 'released', 'settled') AND e.is_live
     UNION ALL
     SELECT paycheck_id, 'check', amount, status, NULL, number::text FROM issued_check
       WHERE payroll_id = $1 AND status IN ('printed', 'issued', 'cleared')`,
    [payrollId],
  )) as {
    paycheck_id: string;
    by: 'deposit' | 'check';
    amount: string;
    status: string;
    settles: string | null;
    mark: string;
  }[];
  return rows.map((row) => ({
    paycheckId: row.paycheck_id,
    by: row.by,
    amount: rawCents(row.amount),
    status: row.status,
    settles: row.settles,
    mark: row.mark,
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

/** What became of each check of a payroll. */
export async function voidsOf(manager: EntityManager, payroll: Payroll): Promise<VoidsOfPayroll> {
  const client = await findClient(manager, payroll.clientId);
  const checks = await postedChecks(manager, payroll.id);
  const parts = await paidParts(manager, payroll.id);
  const items = (await manager.query(
    `SELECT i.paycheck_id, v.id, v.status FROM check_void_item i JOIN check_void v ON v.id = i.check_void_id WHERE v.payroll_id = $1 AND i.is_live`,
    [payroll.id],
  )) as { paycheck_id: string; id: string; status: 'proposed' | 'posted' }[];
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
        standing: item === undefined ? 'stands' : item.status === 'posted' ? 'void' : 'proposed',
        voidId: item?.id ?? null,
        paid: payroll.kind === 'recorded' ? 'paid by another program' : paidWords(own),
        cashed: sum(own.filter(({ by, status }) => by === 'check' && status === 'cleared').map(({ amount }) => amount)),
      };
    }),
  };
}
