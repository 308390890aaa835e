import { Inject, Injectable } from '@nestjs/common';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { LEGAL } from '@zakat/core/calendar/holidays';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { EMPLOYEE_FACTS } from '@zakat/core/facts/employee-facts';
import { text, type FactValue } from '@zakat/core/facts/fact-kind';
import { inForceOn } from '@zakat/core/facts/in-force';
import type { Cents } from '@zakat/core/money/cents';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FactStore } from '../facts/index.js';

/** What one check withheld for one order, with what the order says on the check date. */
export interface Garnished {
  readonly paycheckId: string;
  readonly employeeId: string;
  readonly firstName: string;
  readonly lastName: string;
  readonly label: string;
  readonly kind: string;
  readonly caseId: string;
  readonly payee: string;
  readonly fips: string;
  readonly isMedical: boolean;
  readonly hasEnded: boolean;
  readonly checkDate: LocalDate;
  readonly amount: Cents;
}

interface Row {
  readonly paycheck_id: string;
  readonly employee_id: string;
  readonly first_name: string;
  readonly last_name: string;
  readonly check_date: LocalDate;
  readonly label: string;
  readonly kind: string;
  readonly amount: string;
}
const NOTHING: FactValue = {};

/** Support is sent within seven business days of the pay date (42 U.S.C. § 666(b)(6)(A)(i); recalled). */
const DAYS_TO_SEND = 7;
export const supportDue = (checkDate: LocalDate): LocalDate => addBusinessDays(checkDate, DAYS_TO_SEND, LEGAL);

/** What checks that stand withheld by order. Recorded and brought-in payrolls were paid, and passed on, elsewhere. */
@Injectable()
export class GarnishedPay {
  constructor(@Inject(FactStore) private readonly facts: FactStore) {}

  /** Not on its way and not paid, of one client; with `paymentId`, what one payment has. */
  async of(manager: EntityManager, clientId: string, paymentId: string | null = null): Promise<Garnished[]> {
    const rows = (await manager.query(
      `SELECT c.id AS paycheck_id, c.employee_id, e.first_name, e.last_name, p.check_date, g.label, g.kind, g.amount
       FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id JOIN employee e ON e.id = c.employee_id,
         jsonb_to_recordset(coalesce(c.lines -> 'garnishments', '[]')) AS g(label text, kind text, amount bigint)
       WHERE p.client_id = $1 AND p.status = 'posted' AND p.kind NOT IN ('brought-in', 'recorded', 'void') AND g.amount > 0
         AND EXISTS (SELECT 1 FROM employee_fact f WHERE f.employee_id = c.employee_id AND f.kind = 'garnishment')
         AND CASE WHEN $2::uuid IS NULL THEN NOT EXISTS (SELECT 1 FROM garnishment_payment_item i WHERE i.paycheck_id = c.id AND i.label = g.label AND i.is_live)
             ELSE EXISTS (SELECT 1 FROM garnishment_payment_item i WHERE i.payment_id = $2 AND i.paycheck_id = c.id AND i.label = g.label) END
       ORDER BY p.check_date, length(e.number), e.number, g.label`,
      [clientId, paymentId],
    )) as Row[];
    const facts = await this.facts.ofPeople(manager, [...new Set(rows.map((row) => row.employee_id))]);
    return rows.map((row): Garnished => {
      const own = inForceOn(facts.get(row.employee_id) ?? [], row.check_date, EMPLOYEE_FACTS.slotOf);
      const order =
        own.find(({ kind, value }) => kind === 'garnishment' && text(value, 'label') === row.label)?.value ?? NOTHING;
      const employment = own.find(({ kind }) => kind === 'employment');
      return {
        paycheckId: row.paycheck_id,
        employeeId: row.employee_id,
        firstName: row.first_name,
        lastName: row.last_name,
        label: row.label,
        kind: row.kind,
        caseId: text(order, 'caseId') || row.label,
        payee: text(order, 'payee').trim(),
        fips: text(order, 'fips'),
        isMedical: order['medical'] === true,
        hasEnded: employment !== undefined && text(employment.value, 'standing') === 'ended',
        checkDate: date(row.check_date),
        amount: rawCents(row.amount),
      };
    });
  }
}
