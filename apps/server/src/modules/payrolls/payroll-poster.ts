import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import {
  costsOfChecks,
  journalDifference,
  payrollJournal,
  taxPostings,
  type EmployerTaxTotal,
} from '@zakat/core/ledger/postings';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Clock } from '../clock/index.js';
import { LedgerWriter } from '../ledger/index.js';
import type { Payroll } from './entities.js';
import { PaycheckWriter } from './paycheck-writer.js';
import { asChecked, postedPerson, variancesOf, type ComputedPerson } from './payroll-view.js';

/** Writes a posted payroll: set-based, a few statements however many people. */
@Injectable()
export class PayrollPoster {
  constructor(
    @Inject(Clock) private readonly clock: Clock,
    @Inject(PaycheckWriter) private readonly paychecks: PaycheckWriter,
    @Inject(LedgerWriter) private readonly ledger: LedgerWriter,
  ) {}

  async post(
    manager: EntityManager,
    actor: Actor,
    payroll: Payroll,
    everybody: readonly ComputedPerson[],
    employer: readonly EmployerTaxTotal[],
  ): Promise<void> {
    const people = everybody.filter((person) => person.entry.isPaid);
    const checks = people.map(asChecked);
    const costs = costsOfChecks(checks, employer);
    const checkDate = date(payroll.checkDate);
    // The register keeps each person's part of the employer's tax; the parts add up to the payroll's total.
    const shares = new Map(employer.map((total) => [total.tax, total.shares]));
    await this.paychecks.write(
      manager,
      actor,
      { id: payroll.id, clientId: payroll.clientId, checkDate },
      people.map(({ employee, facts, result, base, entry, own }, index) => ({
        employeeId: employee.id,
        gross: result.gross,
        net: result.net,
        supplemental: result.supplemental,
        lines: {
          earnings: result.earnings,
          deductions: result.deductions,
          garnishments: result.garnishments,
          leave: result.leave,
          employerPaid: result.employerPaid,
          tracked: result.tracked,
          ...(result.workersCompensation ? { workersCompensation: result.workersCompensation } : {}),
          taxes: result.taxes,
          ...(result.variances.length > 0 ? { variances: variancesOf(result) } : {}),
          ...(costs[index]?.some((cost) => cost.job !== '') ? { jobs: costs[index] } : {}),
        },
        facts: { case: base, entry, own, person: postedPerson({ employee, facts }) },
        taxes: result.taxes.map(({ code, payer, subject, wages, amount }) => ({
          tax: code,
          subject,
          wages,
          amount: payer === 'employer' ? (shares.get(code)?.[index] ?? amount) : amount,
        })),
      })),
    );
    const postings = taxPostings(checks, employer, checkDate);
    await this.ledger.writeEntries(
      manager,
      actor,
      payroll.clientId,
      postings.map((line) => ({
        ...line,
        payrollId: payroll.id,
        remittanceId: null,
        cause: 'payroll' as const,
        effectiveDate: checkDate,
      })),
      await this.clock.now(manager),
    );
    const journal = payrollJournal(checks, employer);
    if (journalDifference(journal) !== 0) throw new Error('the journal of a payroll does not balance');
    await this.ledger.writeJournal(manager, actor, {
      clientId: payroll.clientId,
      day: checkDate,
      memo: 'Payroll',
      payrollId: payroll.id,
      remittanceId: null,
      lines: journal,
    });
  }
}
