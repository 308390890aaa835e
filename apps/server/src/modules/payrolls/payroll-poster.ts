import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { journalDifference, payrollJournal, taxPostings, type EmployerTaxTotal } from '@zakat/core/ledger/postings';
import { taxOf } from '@zakat/core/taxes/registry';
import { randomUUID } from 'node:crypto';
import type { EntityManager } from 'typeorm';
import type { Actor } from '../../database/firm-database.js';
import { Clock } from '../clock/clock.js';
import { LedgerWriter } from '../ledger/ledger-writer.js';
import type { Payroll } from './entities.js';
import type { ComputedPerson } from './payroll-view.js';

/** Writes a posted payroll: set-based, a few statements however many people. */
@Injectable()
export class PayrollPoster {
  constructor(
    @Inject(Clock) private readonly clock: Clock,
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
    const checks = people.map((person) => ({ employeeId: person.employee.id, result: person.result }));
    const checkDate = date(payroll.checkDate);
    const ids = people.map(() => randomUUID());
    const paychecks = people.map((person, index) => ({
      id: ids[index],
      employee_id: person.employee.id,
      gross: person.result.gross,
      net: person.result.net,
      supplemental: person.result.supplemental,
      lines: {
        earnings: person.result.earnings,
        deductions: person.result.deductions,
        garnishments: person.result.garnishments,
        leave: person.result.leave,
        employerPaid: person.result.employerPaid,
        tracked: person.result.tracked,
        taxes: person.result.taxes,
      },
      facts: { case: person.base, entry: person.entry, own: person.own },
    }));
    await manager.query(
      `INSERT INTO paycheck (id, firm_id, client_id, payroll_id, employee_id, check_date, gross, net, supplemental, lines, facts)
       SELECT r.id, $1, $2, $3, r.employee_id, $4, r.gross, r.net, r.supplemental, r.lines, r.facts
       FROM jsonb_to_recordset($5::jsonb) AS r(id uuid, employee_id uuid, gross bigint, net bigint, supplemental bigint, lines jsonb, facts jsonb)`,
      [actor.firmId, payroll.clientId, payroll.id, checkDate, JSON.stringify(paychecks)],
    );
    // The register keeps each person's part of the employer's tax; the parts add up to the payroll's total.
    const shares = new Map(employer.map((total) => [total.tax, total.shares]));
    const taxes = people.flatMap((person, index) =>
      person.result.taxes.map((line) => ({
        paycheck_id: ids[index],
        employee_id: person.employee.id,
        tax: line.code,
        payer: line.payer,
        base: taxOf(line.code).base,
        subject: line.subject,
        wages: line.wages,
        amount: line.payer === 'employer' ? (shares.get(line.code)?.[index] ?? line.amount) : line.amount,
      })),
    );
    await manager.query(
      `INSERT INTO paycheck_tax (paycheck_id, firm_id, client_id, employee_id, check_date, tax, payer, base, subject, wages, amount)
       SELECT r.paycheck_id, $1, $2, r.employee_id, $3, r.tax, r.payer, r.base, r.subject, r.wages, r.amount
       FROM jsonb_to_recordset($4::jsonb) AS r(paycheck_id uuid, employee_id uuid, tax text, payer text, base text, subject bigint, wages bigint, amount bigint)`,
      [actor.firmId, payroll.clientId, checkDate, JSON.stringify(taxes)],
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
