import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { ZERO, negate, type Cents } from '@zakat/core/money/cents';
import {
  broughtInPayrolls,
  broughtInPostings,
  reversed,
  taxLinesOf,
  type BroughtInPayroll,
} from '@zakat/core/take-over/paychecks';
import type { Balance } from '@zakat/core/take-over/read-balances';
import { broughtInPayments, type ReportedFigure } from '@zakat/core/take-over/reported';
import { taxOf } from '@zakat/core/tax-registry/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Clock } from '../clock/index.js';
import { LedgerWriter } from '../ledger/index.js';
import { PaycheckWriter } from '../payrolls/index.js';
import type { StoredTakeOver } from './take-over-store.js';

const OTHER_DEDUCTIONS = 'Other deductions';

/** The lines of a paycheck that was paid elsewhere, in the form of the ones computed here. */
const linesOf = (balance: Balance) => ({
  earnings: [{ item: 'regular', label: 'Paid elsewhere', amount: balance.gross }],
  deductions: [
    ...balance.deductions.map(({ item, code, label, amount }) => ({
      item,
      label,
      amount,
      ...(code === item ? {} : { name: code }),
    })),
    ...(balance.otherDeductions === 0
      ? []
      : [{ item: 'after-tax', label: OTHER_DEDUCTIONS, amount: balance.otherDeductions }]),
  ],
  garnishments: [],
  leave: [],
  employerPaid: [],
  tracked: {
    qualifiedOvertime: balance.qualifiedOvertime,
    qualifiedTips: balance.qualifiedTips,
    uncollectedOasdi: ZERO,
    uncollectedHi: ZERO,
    oasdiTips: ZERO,
    sickPayOasdi: ZERO,
    sickPayHi: ZERO,
    futaCreditReduction: ZERO,
  },
  taxes: taxLinesOf(balance),
});

/** Writes brought-in balances as payrolls that were paid elsewhere, and takes them back by their opposites. */
@Injectable()
export class BringIn {
  constructor(
    @Inject(PaycheckWriter) private readonly paychecks: PaycheckWriter,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async write(
    manager: EntityManager,
    actor: Actor,
    stored: StoredTakeOver,
    balances: readonly Balance[],
    reported: readonly ReportedFigure[],
  ): Promise<void> {
    for (const payroll of broughtInPayrolls(balances))
      await this.writePayroll(manager, actor, stored, payroll, randomUUID(), null);
    await this.writePayments(manager, actor, stored, balances, reported, 'payment');
  }

  /** Every payroll once more with the opposite amounts, and every payment as given back. */
  async takeBack(
    manager: EntityManager,
    actor: Actor,
    stored: StoredTakeOver,
    balances: readonly Balance[],
  ): Promise<void> {
    const payrolls = (await manager.query(
      `SELECT id, period_start AS "from", check_date AS day FROM payroll WHERE take_over_id = $1 AND reverses IS NULL`,
      [stored.id],
    )) as { id: string; from: string; day: string }[];
    for (const payroll of broughtInPayrolls(balances)) {
      const original = payrolls.find((row) => row.day === payroll.day && row.from === payroll.from);
      if (!original) throw new Error('a brought-in payroll is not there to be taken back');
      const opposite = { ...payroll, balances: payroll.balances.map(reversed) };
      await this.writePayroll(manager, actor, stored, opposite, randomUUID(), original.id);
    }
    await this.writePayments(manager, actor, stored, balances, stored.reported, 'payment-returned');
  }

  private async writePayroll(
    manager: EntityManager,
    actor: Actor,
    stored: StoredTakeOver,
    payroll: BroughtInPayroll,
    id: string,
    reverses: string | null,
  ): Promise<void> {
    const now = await this.clock.now(manager);
    const { client_id: clientId } = stored;
    await manager.query(
      `INSERT INTO payroll (id, firm_id, client_id, period_start, period_end, check_date, kind, status, version, posted_by, posted_at, created_by, take_over_id, reverses)
       VALUES ($1, $2, $3, $4, $5, $5, 'brought-in', 'posted', 1, $6, $7, $6, $8, $9)`,
      [id, actor.firmId, clientId, payroll.from, payroll.day, actor.userId, now, stored.id, reverses],
    );
    await this.paychecks.write(
      manager,
      actor,
      { id, clientId, checkDate: payroll.day },
      payroll.balances.map((balance) => ({ ...balance, lines: linesOf(balance), facts: {} })),
    );
    await this.ledger.writeEntries(
      manager,
      actor,
      clientId,
      broughtInPostings(payroll).map((line) => ({
        ...line,
        payrollId: id,
        remittanceId: null,
        cause: reverses === null ? ('payroll' as const) : ('reversal' as const),
        effectiveDate: payroll.day,
      })),
      now,
    );
  }

  private async writePayments(
    manager: EntityManager,
    actor: Actor,
    stored: StoredTakeOver,
    balances: readonly Balance[],
    reported: readonly ReportedFigure[],
    cause: 'payment' | 'payment-returned',
  ): Promise<void> {
    const payments = broughtInPayments(balances, reported);
    if (payments.length === 0) return;
    const signed = (amount: Cents): Cents => (cause === 'payment' ? negate(amount) : amount);
    await this.ledger.writeEntries(
      manager,
      actor,
      stored.client_id,
      payments.map((payment) => ({
        employeeId: null,
        payrollId: null,
        remittanceId: null,
        takeOverId: stored.id,
        cause,
        tax: payment.tax,
        agency: taxOf(payment.tax).agency,
        subject: ZERO,
        wages: ZERO,
        amount: signed(payment.amount),
        liabilityDate: payment.day,
        effectiveDate: date(payment.paidOn),
      })),
      await this.clock.now(manager),
    );
  }
}
