import { Inject, Injectable } from '@nestjs/common';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { sum, type Cents } from '@zakat/core/money/cents';
import type { FundingTerms, FundsNeed } from '@zakat/core/trust/collecting';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { BankAccount } from '../clients/index.js';
import { PayrollPays } from '../direct-deposits/index.js';
import { Payroll } from '../payrolls/index.js';
import { Funding } from '../trust/index.js';

interface OpenPayroll {
  readonly id: string;
  readonly kind: string;
  readonly check_date: LocalDate;
  readonly taxes: string;
  readonly has_taxes: boolean;
  readonly has_pay: boolean;
  readonly is_void: boolean;
  readonly pay_amount: string | null;
  readonly pay_account: string | null;
}

/**
 * What posted payrolls need that nobody has collected, by the terms of their check dates. A void gives back its taxes. Pay
 * counts as far as it goes to accounts, and not where it leaves from the client's own account.
 */
@Injectable()
export class Needs {
  constructor(
    @Inject(Funding) private readonly funding: Funding,
    @Inject(PayrollPays) private readonly pays: PayrollPays,
  ) {}

  async of(
    manager: EntityManager,
    clientId: string,
  ): Promise<{ terms: (day: LocalDate) => FundingTerms | null; needs: FundsNeed[] }> {
    const terms = await this.funding.terms(manager, clientId);
    const rows = (await manager.query(
      `SELECT p.id, p.kind, p.check_date, p.is_void, coalesce((SELECT sum(l.amount) FROM ledger_entry l WHERE l.payroll_id = p.id), 0) AS taxes,
         EXISTS (SELECT 1 FROM collection_item i WHERE i.payroll_id = p.id AND i.what = 'taxes' AND i.is_live) AS has_taxes,
         EXISTS (SELECT 1 FROM collection_item i WHERE i.payroll_id = p.id AND i.what = 'net-pay' AND i.is_live) AS has_pay,
         d.amount AS pay_amount, d.bank_account_id AS pay_account
       FROM payroll p LEFT JOIN direct_deposit d ON d.payroll_id = p.id AND d.status IN ('planned', 'released', 'settled') AND d.again_of IS NULL
       WHERE p.client_id = $1 AND p.status = 'posted' AND p.kind <> 'brought-in' AND p.check_date >= coalesce((SELECT min(effective_from) FROM client_fact WHERE client_id = $1 AND kind = 'funding'), 'infinity'::date)
       ORDER BY p.check_date, p.id`,
      [clientId],
    )) as OpenPayroll[];
    const needs: FundsNeed[] = [];
    for (const row of rows) {
      const agreed = terms(row.check_date);
      if (!agreed) continue;
      const line = { payrollId: row.id, invoiceId: null, checkDate: date(row.check_date) };
      if (!row.has_taxes) needs.push({ ...line, what: 'taxes', amount: rawCents(row.taxes) });
      if (agreed.what === 'taxes-and-net-pay' && !row.has_pay) {
        const amount = await this.pay(manager, row);
        if (amount !== 0) needs.push({ ...line, what: 'net-pay', amount });
      }
    }
    const invoices = (await manager.query(
      `SELECT v.id, v.due, v.total FROM invoice v WHERE v.client_id = $1 AND v.status = 'issued' AND v.is_collected AND NOT EXISTS (SELECT 1 FROM collection_item i WHERE i.invoice_id = v.id AND i.is_live) ORDER BY v.number`,
      [clientId],
    )) as { id: string; due: LocalDate; total: string }[];
    for (const { id, due, total } of invoices)
      needs.push({ payrollId: null, invoiceId: id, checkDate: due, what: 'fees', amount: rawCents(total) });
    return { terms, needs: needs.filter(({ amount }) => amount !== 0) };
  }

  private async pay(manager: EntityManager, row: OpenPayroll): Promise<Cents> {
    if (row.kind === 'recorded' || row.kind === 'void' || row.is_void) return sum([]);
    if (row.pay_amount !== null && row.pay_account !== null)
      return (await manager.existsBy(BankAccount, { id: row.pay_account, isTrust: true }))
        ? rawCents(row.pay_amount)
        : sum([]);
    const payroll = await manager.findOneByOrFail(Payroll, { id: row.id });
    return sum((await this.pays.planned(manager, payroll)).credits.map(({ amount }) => amount));
  }
}
