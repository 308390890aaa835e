import type { CheckRow, CheckStatus, NextCheckNumber } from '@zakat/contract/checks';
import { addMonths, date } from '@zakat/core/calendar/local-date';
import { parseDollars, type Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';

export interface CheckFilter {
  readonly payrollId?: string;
  readonly clientId?: string;
  readonly id?: string;
  readonly runId?: string;
  /** A number, an amount in dollars, or a part of the payee's name. */
  readonly words?: string;
  readonly status?: string;
  readonly from?: string;
  readonly to?: string;
}
const MOST = 5000;
/** A bank is under no obligation to pay a check presented more than six months after its date (U.C.C. § 4-404, recalled). */
const MONTHS_TO_STALE = 6;

/** What is looked for as an amount of money: `1,204.50` or `$88.00`; a number without cents is a check number. */
function amountOf(words: string | undefined): Cents | null {
  const plain = (words ?? '').replace(/[$,\s]/g, '');
  return /^\d+\.\d\d$/.test(plain) ? parseDollars(plain) : null;
}

/** Checks on paper, by account and number. */
export async function checkRows(manager: EntityManager, filter: CheckFilter): Promise<CheckRow[]> {
  const rows = (await manager.query(
    `SELECT i.*, b.label, b.account_tail FROM issued_check i JOIN bank_account b ON b.id = i.bank_account_id
     WHERE ($1::uuid IS NULL OR i.payroll_id = $1) AND ($2::uuid IS NULL OR i.client_id = $2) AND ($3::uuid IS NULL OR i.id = $3) AND ($4::uuid IS NULL OR i.run_id = $4)
       AND ($5::text IS NULL OR i.number::text = $5 OR i.amount = $9 OR i.payee ILIKE '%' || replace(replace($5, '%', ''), '_', ' ') || '%') AND ($6::text IS NULL OR i.status = $6)
       AND ($7::date IS NULL OR i.check_date >= $7) AND ($8::date IS NULL OR i.check_date <= $8)
     ORDER BY b.label, i.number DESC LIMIT ${MOST}`,
    [
      filter.payrollId ?? null,
      filter.clientId ?? null,
      filter.id ?? null,
      filter.runId ?? null,
      filter.words ?? null,
      filter.status ?? null,
      filter.from ?? null,
      filter.to ?? null,
      amountOf(filter.words),
    ],
  )) as Record<string, string | number | boolean | null>[];
  const orNull = (value: unknown): string | null => (typeof value === 'string' ? value : null);
  return rows.map((row) => ({
    id: String(row['id']),
    clientId: String(row['client_id']),
    payrollId: orNull(row['payroll_id']),
    paycheckId: orNull(row['paycheck_id']),
    number: Number(row['number']),
    payee: String(row['payee']),
    amount: rawCents(row['amount'] as string),
    checkDate: String(row['check_date']),
    status: row['status'] as CheckStatus,
    isHandwritten: row['is_handwritten'] === true,
    hasImage: row['document_id'] !== null,
    version: Number(row['version']),
    reason: orNull(row['reason']),
    bankAccount: `${String(row['label'])}, ending ${String(row['account_tail'])}`,
    runId: orNull(row['run_id']),
    staleFrom: row['status'] === 'issued' ? addMonths(date(String(row['check_date'])), MONTHS_TO_STALE) : null,
  }));
}

/** The number after the last one of each account; the client's first where none was used. */
export async function nextNumbers(manager: EntityManager, clientId: string, first: number): Promise<NextCheckNumber[]> {
  const rows = (await manager.query(
    `SELECT b.id, b.label, b.account_tail, (SELECT max(i.number) FROM issued_check i WHERE i.bank_account_id = b.id)::bigint AS last
     FROM bank_account b WHERE b.client_id = $1 ORDER BY b.label`,
    [clientId],
  )) as { id: string; label: string; account_tail: string; last: string | null }[];
  return rows.map((row) => ({
    bankAccountId: row.id,
    label: `${row.label}, ending ${row.account_tail}`,
    next: row.last === null ? first : Math.max(Number(row.last) + 1, first),
  }));
}
