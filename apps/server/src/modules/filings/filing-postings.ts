import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { findFamily } from '@zakat/core/deposits/family';
import { ZERO, add, negate, smaller, subtract, sum, type Cents } from '@zakat/core/money/cents';
import { taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Actor } from '../../database/firm-database.js';
import { Clock } from '../clock/index.js';
import { LedgerWriter, type NewEntry } from '../ledger/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';
import { FilingContent, type Loaded } from './filing-content.js';
import { titleOf } from '../filing-records/index.js';

interface Open {
  readonly tax: TaxCode;
  readonly day: LocalDate;
  readonly owed: Cents;
}

/** What an accepted return does to the ledger: it owes what only it knew, and its balance is paid if it went along. */
@Injectable()
export class FilingPostings {
  constructor(
    @Inject(FilingContent) private readonly contents: FilingContent,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async accept(manager: EntityManager, actor: Actor, loaded: Loaded): Promise<void> {
    const { filing, kind, period, client } = loaded;
    const content = await this.contents.shown(manager, loaded);
    const common = {
      employeeId: null,
      payrollId: null,
      remittanceId: null,
      filingId: filing.id,
      subject: ZERO,
      wages: ZERO,
    } as const;
    const owed = (kind.adds?.(content) ?? []).map((line): NewEntry => ({
      ...common,
      cause: 'return',
      tax: line.tax,
      agency: taxOf(line.tax).agency,
      amount: line.amount,
      liabilityDate: period.end,
      effectiveDate: period.end,
    }));
    const now = await this.clock.now(manager);
    const title = titleOf(kind, period);
    if (owed.length > 0) {
      await this.ledger.writeEntries(manager, actor, client.id, owed, now);
      const amount = sum(owed.map((entry) => entry.amount));
      await this.ledger.writeJournal(manager, actor, {
        clientId: client.id,
        day: period.end,
        memo: `${title}: owed by the return`,
        payrollId: null,
        remittanceId: null,
        filingId: filing.id,
        lines: [
          { account: 'employer-tax-expense', detail: kind.name, amount },
          { account: 'taxes-payable', detail: kind.name, amount: negate(amount) },
        ],
      });
    }
    if (!filing.paymentOn || !kind.pays) return;
    const paid = await this.paidWith(manager, loaded, kind.pays.balance(content));
    if (paid.length === 0) return;
    const on = date(filing.paymentOn);
    await this.ledger.writeEntries(
      manager,
      actor,
      client.id,
      paid.map((line): NewEntry => ({
        ...common,
        cause: 'payment',
        tax: line.tax,
        agency: taxOf(line.tax).agency,
        amount: negate(line.owed),
        liabilityDate: line.day,
        effectiveDate: on,
      })),
      now,
    );
    const amount = sum(paid.map((line) => line.owed));
    await this.ledger.writeJournal(manager, actor, {
      clientId: client.id,
      day: on,
      memo: `${title}: balance paid with the return`,
      payrollId: null,
      remittanceId: null,
      filingId: filing.id,
      lines: [
        { account: 'taxes-payable', detail: kind.name, amount },
        { account: 'cash', detail: kind.name, amount: negate(amount) },
      ],
    });
  }

  /** What the acceptance did, undone by entries of the opposite amounts: the agency returned it after all. */
  async takeBack(manager: EntityManager, actor: Actor, { filing, kind, period, client }: Loaded): Promise<void> {
    const rows = (await manager.query(
      `SELECT tax, agency, liability_date, CASE cause WHEN 'return' THEN 'return' ELSE 'payment-returned' END AS cause, sum(amount)::bigint AS amount
       FROM ledger_entry WHERE filing_id = $1 GROUP BY 1, 2, 3, 4 HAVING sum(amount) <> 0 ORDER BY 1, 3`,
      [filing.id],
    )) as {
      tax: TaxCode;
      agency: NewEntry['agency'];
      liability_date: string;
      cause: 'return' | 'payment-returned';
      amount: string;
    }[];
    if (rows.length === 0) return;
    const today = await this.clock.today(manager);
    const entries = rows.map((row): NewEntry => ({
      employeeId: null,
      payrollId: null,
      remittanceId: null,
      filingId: filing.id,
      subject: ZERO,
      wages: ZERO,
      cause: row.cause,
      tax: row.tax,
      agency: row.agency,
      amount: negate(rawCents(row.amount)),
      liabilityDate: date(row.liability_date),
      effectiveDate: row.cause === 'return' ? period.end : today,
    }));
    await this.ledger.writeEntries(manager, actor, client.id, entries, await this.clock.now(manager));
    for (const [cause, account, day] of [
      ['return', 'employer-tax-expense', period.end],
      ['payment-returned', 'cash', today],
    ] as const) {
      const amount = sum(entries.filter((entry) => entry.cause === cause).map((entry) => entry.amount));
      if (amount === 0) continue;
      await this.ledger.writeJournal(manager, actor, {
        clientId: client.id,
        day,
        memo: `${titleOf(kind, period)}: returned by the agency after it was accepted`,
        payrollId: null,
        remittanceId: null,
        filingId: filing.id,
        lines: [
          { account, detail: kind.name, amount },
          { account: 'taxes-payable', detail: kind.name, amount: negate(amount) },
        ],
      });
    }
  }

  /** The liabilities that a balance pays: the oldest of the period first; what no liability owes is put to the period's end. */
  private async paidWith(manager: EntityManager, { kind, client, period }: Loaded, balance: Cents): Promise<Open[]> {
    const family = kind.pays ? findFamily(kind.pays.family) : null;
    if (!family || !kind.pays || balance <= 0) return [];
    const deposits = await this.schedules.of(manager, client);
    const rows = (await manager.query(
      `SELECT tax, liability_date, sum(amount)::bigint AS owed FROM ledger_entry WHERE client_id = $1 AND liability_date BETWEEN $2 AND $3
       GROUP BY 1, 2 HAVING sum(amount) > 0 ORDER BY 2, 1`,
      [client.id, period.start, period.end],
    )) as { tax: TaxCode; liability_date: string; owed: string }[];
    let left = balance;
    const paid: Open[] = [];
    for (const row of rows) {
      if (left <= 0 || deposits.family(row.tax).code !== family.code) continue;
      const part = smaller(left, rawCents(row.owed));
      paid.push({ tax: row.tax, day: date(row.liability_date), owed: part });
      left = subtract(left, part);
    }
    if (left === 0) return paid;
    const { tax } = kind.pays;
    const last = paid.find((line) => line.tax === tax && line.day === period.end);
    const others = paid.filter((line) => line !== last);
    return [...others, { tax, day: period.end, owed: add(last?.owed ?? ZERO, left) }];
  }
}
