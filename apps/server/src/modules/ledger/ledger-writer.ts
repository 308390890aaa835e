import { Injectable } from '@nestjs/common';
import type { LocalDate } from '@zakat/core/calendar/local-date';
import type { LedgerCause } from '@zakat/core/ledger/entry';
import type { JournalLine } from '@zakat/core/ledger/postings';
import type { Cents } from '@zakat/core/money/cents';
import type { TaxCode } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';

export interface NewEntry {
  readonly employeeId: string | null;
  readonly payrollId: string | null;
  readonly remittanceId: string | null;
  /** The take-over that says this was paid elsewhere. */
  readonly takeOverId?: string;
  /** The return that owes it, or that paid it. */
  readonly filingId?: string;
  readonly cause: LedgerCause;
  readonly tax: TaxCode;
  readonly agency: string;
  readonly subject: Cents;
  readonly wages: Cents;
  readonly amount: Cents;
  readonly liabilityDate: LocalDate;
  readonly effectiveDate: LocalDate;
}
export interface NewJournal {
  readonly clientId: string;
  readonly day: LocalDate;
  readonly memo: string;
  readonly payrollId: string | null;
  readonly remittanceId: string | null;
  readonly filingId?: string;
  readonly lines: readonly JournalLine[];
}

/** The only writer of the ledger and the journal. It adds; nothing can change or remove (see the first migration). */
@Injectable()
export class LedgerWriter {
  async writeEntries(
    manager: EntityManager,
    actor: Actor,
    clientId: string,
    entries: readonly NewEntry[],
    postedAt: Date,
  ): Promise<void> {
    await manager.query(
      `INSERT INTO ledger_entry (firm_id, client_id, employee_id, payroll_id, remittance_id, take_over_id, filing_id, cause, tax, agency, subject, wages, amount, liability_date, effective_date, posted_by, posted_at)
       SELECT $1, $2, r."employeeId", r."payrollId", r."remittanceId", r."takeOverId", r."filingId", r.cause, r.tax, r.agency, r.subject, r.wages, r.amount, r."liabilityDate", r."effectiveDate", $3, $4
       FROM jsonb_to_recordset($5::jsonb) AS r("employeeId" uuid, "payrollId" uuid, "remittanceId" uuid, "takeOverId" uuid, "filingId" uuid, cause text, tax text, agency text, subject bigint, wages bigint, amount bigint, "liabilityDate" date, "effectiveDate" date)`,
      [actor.firmId, clientId, actor.userId, postedAt, JSON.stringify(entries)],
    );
  }

  async writeJournal(manager: EntityManager, actor: Actor, journal: NewJournal): Promise<void> {
    const id = randomUUID();
    await manager.query(
      'INSERT INTO journal_entry (id, firm_id, client_id, day, memo, payroll_id, remittance_id, filing_id) VALUES ($1,$2,$3,$4,$5,$6,$7,$8)',
      [
        id,
        actor.firmId,
        journal.clientId,
        journal.day,
        journal.memo,
        journal.payrollId,
        journal.remittanceId,
        journal.filingId ?? null,
      ],
    );
    await manager.query(
      `INSERT INTO journal_line (journal_entry_id, firm_id, position, account, detail, amount)
       SELECT $1, $2, r.position, r.account, r.detail, r.amount FROM jsonb_to_recordset($3::jsonb) AS r(position int, account text, detail text, amount bigint)`,
      [id, actor.firmId, JSON.stringify(journal.lines.map((line, position) => ({ ...line, position })))],
    );
  }
}
