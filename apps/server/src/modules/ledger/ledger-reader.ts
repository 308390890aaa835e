import { Injectable } from '@nestjs/common';
import type { LedgerEntryView } from '@zakat/contract/filings';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { LIABILITY_CAUSES, PAYMENT_CAUSES, type LedgerEntry } from '@zakat/core/ledger/entry';
import { isTaxCode, taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';

export interface LedgerFilter {
  readonly from: string;
  readonly to: string;
  readonly taxes: readonly TaxCode[] | null;
  readonly of: 'liabilities' | 'payments' | null;
}
interface Row {
  id: string;
  employee_id: string | null;
  tax: TaxCode;
  cause: LedgerEntry['cause'];
  liability_date: string;
  effective_date: string;
  subject: string;
  wages: string;
  amount: string;
  payroll_id: string | null;
  remittance_id: string | null;
  employee: string | null;
}

/** Reads the ledger of a client for returns, wage statements and the tie-out. */
@Injectable()
export class LedgerReader {
  /** Liabilities of a period added up by person and tax, each as one entry of its last day. */
  async sumsByPerson(manager: EntityManager, clientId: string, from: LocalDate, to: LocalDate): Promise<LedgerEntry[]> {
    const rows = (await manager.query(
      `SELECT employee_id, tax, sum(subject)::bigint AS subject, sum(wages)::bigint AS wages, sum(amount)::bigint AS amount FROM ledger_entry
       WHERE client_id = $1 AND liability_date BETWEEN $2 AND $3 AND cause = ANY($4) GROUP BY employee_id, tax ORDER BY min(id)`,
      [clientId, from, to, LIABILITY_CAUSES],
    )) as Pick<Row, 'employee_id' | 'tax' | 'subject' | 'wages' | 'amount'>[];
    return rows.map((row) => ({
      employeeId: row.employee_id,
      tax: row.tax,
      cause: 'payroll',
      liabilityDate: to,
      effectiveDate: to,
      subject: rawCents(row.subject),
      wages: rawCents(row.wages),
      amount: rawCents(row.amount),
    }));
  }

  /** Entries by liability date: a payment belongs to the day of the liability it pays. */
  async entries(manager: EntityManager, clientId: string, from: LocalDate, to: LocalDate): Promise<LedgerEntry[]> {
    const rows = (await manager.query(
      'SELECT employee_id, tax, cause, liability_date, effective_date, subject, wages, amount FROM ledger_entry WHERE client_id = $1 AND liability_date BETWEEN $2 AND $3 ORDER BY id',
      [clientId, from, to],
    )) as Row[];
    return rows.map((row) => ({
      employeeId: row.employee_id,
      tax: row.tax,
      cause: row.cause,
      liabilityDate: date(row.liability_date),
      effectiveDate: date(row.effective_date),
      subject: rawCents(row.subject),
      wages: rawCents(row.wages),
      amount: rawCents(row.amount),
    }));
  }

  async view(manager: EntityManager, clientId: string, filter: LedgerFilter): Promise<LedgerEntryView[]> {
    const causes =
      filter.of === 'payments'
        ? ['payment', 'payment-returned']
        : filter.of === 'liabilities'
          ? LIABILITY_CAUSES
          : [...LIABILITY_CAUSES, ...PAYMENT_CAUSES];
    const rows = (await manager.query(
      `SELECT l.*, CASE WHEN e.id IS NULL THEN NULL ELSE concat_ws(' ', e.first_name, e.last_name) END AS employee FROM ledger_entry l LEFT JOIN employee e ON e.id = l.employee_id
       WHERE l.client_id = $1 AND l.liability_date BETWEEN $2 AND $3 AND l.cause = ANY($4) AND ($5::text[] IS NULL OR l.tax = ANY($5)) ORDER BY l.liability_date, l.id LIMIT 5000`,
      [clientId, filter.from, filter.to, causes, filter.taxes],
    )) as Row[];
    return rows.map((row) => ({
      id: row.id,
      tax: row.tax,
      label: isTaxCode(row.tax) ? taxOf(row.tax).label : row.tax,
      cause: row.cause,
      liabilityDate: row.liability_date,
      effectiveDate: row.effective_date,
      employee: row.employee,
      subject: rawCents(row.subject),
      wages: rawCents(row.wages),
      amount: rawCents(row.amount),
      payrollId: row.payroll_id,
      remittanceId: row.remittance_id,
    }));
  }
}
