import { Inject, Injectable } from '@nestjs/common';
import { isObject } from '@zakat/core/casefile/reader';
import { date } from '@zakat/core/calendar/local-date';
import { sharesOf } from '@zakat/core/facts/job-facts';
import {
  employerTotals,
  oppositeJournal,
  oppositeLines,
  oppositePostings,
  oppositeTax,
} from '@zakat/core/ledger/opposite';
import { journalDifference, payrollJournal, type PostedPaycheck } from '@zakat/core/ledger/postings';
import { negate } from '@zakat/core/money/cents';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Clock } from '../clock/index.js';
import { LedgerWriter } from '../ledger/index.js';
import { PaycheckWriter, type Payroll } from '../payrolls/index.js';
import type { PostedCheckWhole } from './void-source.js';

const asPosted = ({ employeeId, gross, net, supplemental, lines, facts }: PostedCheckWhole): PostedPaycheck => ({
  employeeId,
  result: {
    gross,
    net,
    supplemental,
    earnings: lines.earnings,
    deductions: lines.deductions,
    garnishments: lines.garnishments,
    leave: lines.leave ?? [],
    employerPaid: lines.employerPaid,
    tracked: lines.tracked,
    taxes: lines.taxes,
    workersCompensation: lines.workersCompensation ?? null,
    variances: [],
    problems: [],
  },
  jobs: isObject(facts['case']) ? sharesOf(facts['case']) : [],
});

/**
 * Writes the void of posted checks: a payroll of the same check date with the opposite of each check, of its ledger
 * lines and of its part of the journal. Nothing that was posted is touched. Of wages that were paid back it is the opposite
 * of the taxes on them alone, and the check stands.
 */
@Injectable()
export class VoidPoster {
  constructor(
    @Inject(Clock) private readonly clock: Clock,
    @Inject(PaycheckWriter) private readonly paychecks: PaycheckWriter,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
  ) {}

  async post(
    manager: EntityManager,
    actor: Actor,
    payroll: Payroll,
    checks: readonly PostedCheckWhole[],
    { reason, isRepayment }: { readonly reason: string; readonly isRepayment: boolean },
  ): Promise<string> {
    const id = randomUUID();
    const now = await this.clock.now(manager);
    const checkDate = date(payroll.checkDate);
    await manager.query(
      `INSERT INTO payroll (id, firm_id, client_id, period_start, period_end, check_date, kind, status, version, posted_by, posted_at, created_by, voids, closed_reason, schedule)
       VALUES ($1, $2, $3, $4, $5, $6, 'void', 'posted', 1, $7, $8, $7, $9, $10, $11)`,
      [
        id,
        actor.firmId,
        payroll.clientId,
        payroll.periodStart,
        payroll.periodEnd,
        payroll.checkDate,
        actor.userId,
        now,
        payroll.id,
        reason,
        payroll.schedule,
      ],
    );
    await this.paychecks.write(
      manager,
      actor,
      { id, clientId: payroll.clientId, checkDate },
      checks.map((check) => ({
        employeeId: check.employeeId,
        ...(isRepayment ? { isRepayment } : { reverses: check.paycheckId }),
        gross: negate(check.gross),
        net: negate(check.net),
        supplemental: negate(check.supplemental),
        lines: oppositeLines(check.lines),
        facts: check.facts,
        taxes: check.taxes.map(oppositeTax),
      })),
    );
    await this.ledger.writeEntries(
      manager,
      actor,
      payroll.clientId,
      oppositePostings(checks, checkDate).map((line) => ({
        ...line,
        payrollId: id,
        remittanceId: null,
        cause: 'reversal' as const,
        effectiveDate: checkDate,
      })),
      now,
    );
    const journal = oppositeJournal(payrollJournal(checks.map(asPosted), employerTotals(checks)));
    if (journalDifference(journal) !== 0) throw new Error('the journal of a void does not balance');
    await this.ledger.writeJournal(manager, actor, {
      clientId: payroll.clientId,
      day: checkDate,
      memo: isRepayment ? 'Wages paid back' : 'Void',
      payrollId: id,
      remittanceId: null,
      lines: journal,
    });
    // With no check left of it, the payroll makes room for another of its period.
    await manager.query(
      `UPDATE payroll SET is_void = true, version = version + 1 WHERE id = $1 AND NOT EXISTS (SELECT 1 FROM standing_paycheck WHERE payroll_id = $1)`,
      [payroll.id],
    );
    return id;
  }
}
