import { Inject, Injectable } from '@nestjs/common';
import { date } from '@zakat/core/calendar/local-date';
import { lastDayOf, quarterOf } from '@zakat/core/calendar/quarter';
import { amountTypeOf, familyOf } from '@zakat/core/deposits/family';
import { writeTaxPayments, type TaxCredit, type TxpAmount } from '@zakat/core/formats/nacha/tax-payment';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { add, ZERO, type Cents } from '@zakat/core/money/cents';
import { type TaxCode, agencyName } from '@zakat/core/taxes/registry';
import type { EntityManager } from 'typeorm';
import { Clock } from '../clock/clock.js';
import { accountNumberOn } from '../clients/clients.service.js';
import { BankAccount, Firm, type Client } from '../clients/entities.js';
import type { Remittance, RemittanceItem } from './entities.js';

interface Payee {
  readonly name: string;
  readonly routing: string;
  readonly account: string;
}

/** Makes the ACH file of a remittance: one CCD+ credit for each quarter its liabilities fall in. */
@Injectable()
export class PaymentFile {
  constructor(@Inject(Clock) private readonly clock: Clock) {}

  async make(
    manager: EntityManager,
    client: Client,
    remittance: Remittance,
    items: readonly RemittanceItem[],
  ): Promise<{ content: string; issues: Issue[]; total: Cents }> {
    const firm = (await manager.find(Firm))[0];
    const bank = await manager.findOneByOrFail(BankAccount, { id: remittance.bankAccountId });
    const payees = (await manager.query('SELECT name, routing, account FROM agency_payee WHERE agency = $1', [
      remittance.agency,
    ])) as Payee[];
    const payee = payees[0];
    if (!firm || !payee)
      return {
        content: '',
        issues: [
          problem('input.missing', 'agency', {
            what: `the bank account of ${agencyName(remittance.agency)}`,
          }),
        ],
        total: ZERO,
      };
    const account =
      remittance.agency === 'IRS'
        ? ''
        : await accountNumberOn(manager, client.id, remittance.agency, remittance.settles);
    const taxpayerId = account.replace(/[^0-9A-Za-z]/g, '') || client.ein;
    const first = items[0];
    if (!first) throw new Error('a remittance without liabilities');
    const { taxType } = familyOf(first.tax as TaxCode);
    const quarters = new Map<string, Map<string, Cents>>();
    for (const item of items) {
      const end = lastDayOf(quarterOf(date(item.liabilityDate)));
      const amounts = quarters.get(end) ?? new Map<string, Cents>();
      const type = amountTypeOf(item.tax as TaxCode);
      amounts.set(type, add(amounts.get(type) ?? ZERO, item.amount));
      quarters.set(end, amounts);
    }
    const credits = [...quarters].map(([end, amounts]): TaxCredit => ({
      taxpayerId,
      taxType,
      periodEnd: date(end),
      amounts: [...amounts]
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([type, amount]): TxpAmount => ({ type, amount }))
        .filter((line) => line.amount !== 0),
      receiverName: payee.name,
      receiverRouting: payee.routing,
      receiverAccount: payee.account,
      reference: remittance.reference,
    }));
    return writeTaxPayments({
      bankRouting: bank.routing,
      bankName: bank.bankName,
      originName: firm.name,
      companyId: `1${client.ein}`,
      companyName: client.legalName,
      created: await this.clock.today(manager),
      settles: date(remittance.settles),
      fileIdModifier: 'A',
      credits,
    });
  }
}
