import { Inject, Injectable } from '@nestjs/common';
import { date, makeDate, yearOf, type LocalDate } from '@zakat/core/calendar/local-date';
import { lastDayOf, quarterOf } from '@zakat/core/calendar/quarter';
import { amountTypeOf, familyOf, findFamily, type DepositFamily } from '@zakat/core/deposits/family';
import { withoutPins, writeDebits } from '@zakat/core/formats/agency-debit/debits';
import { writeTaxPayments, type TaxCredit, type TxpAmount } from '@zakat/core/formats/nacha/tax-payment';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { add, ZERO, type Cents } from '@zakat/core/money/cents';
import { type TaxCode, agencyName } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { Clock } from '../clock/index.js';
import { accountNumberOn, BankAccount, type Client, Firm, senderOf } from '../clients/index.js';
import type { PaymentMethod } from '@zakat/core/deposits/agency-payments';
import { agencyPaymentOf } from './agency-payments.service.js';
import { Enrollments } from './enrollments.service.js';
import type { Remittance, RemittanceItem } from './entities.js';

/** The tax period of a payment: that of the return that says it. */
const periodEndOf = ({ period }: Pick<DepositFamily, 'period'>, day: LocalDate): LocalDate =>
  period === 'year' ? makeDate(yearOf(day), 12, 31) : lastDayOf(quarterOf(day));

/** What a payment says to its agency: who pays, which tax, and the liabilities of each tax period. */
export interface PaymentDetails {
  /** The account with the agency as it stands there; blank where the EIN identifies the taxpayer. */
  readonly account: string;
  /** Letters and digits of the account, else the EIN. */
  readonly taxpayerId: string;
  readonly taxType: string;
  readonly periods: readonly { readonly end: LocalDate; readonly lines: readonly RemittanceItem[] }[];
}

/** The file that pays, with what may be shown of it. */
export interface MadeFile {
  readonly method: PaymentMethod;
  readonly content: string;
  /** The same without secrets. */
  readonly shown: string;
  readonly issues: Issue[];
  readonly total: Cents;
}

/** Makes the file of a remittance: one CCD+ credit, or one debit by the agency, for each quarter its liabilities fall in. */
@Injectable()
export class PaymentFile {
  constructor(
    @Inject(Clock) private readonly clock: Clock,
    @Inject(Enrollments) private readonly enrollments: Enrollments,
  ) {}

  /** An account that is enrolled is debited by the agency; any other pays as the firm said. */
  async methodOf(manager: EntityManager, { clientId, agency, bankAccountId }: Remittance): Promise<PaymentMethod> {
    if ((await this.enrollments.pinOf(manager, clientId, agency, bankAccountId)) !== null) return 'agency-debit';
    return (await agencyPaymentOf(manager, agency))?.method ?? 'elsewhere';
  }

  async make(
    manager: EntityManager,
    client: Client,
    remittance: Remittance,
    items: readonly RemittanceItem[],
  ): Promise<MadeFile> {
    const firm = (await manager.find(Firm))[0];
    const details = await this.details(manager, client, remittance, items);
    const bank = await manager.findOneByOrFail(BankAccount, { id: remittance.bankAccountId });
    const payee = await agencyPaymentOf(manager, remittance.agency);
    const method = await this.methodOf(manager, remittance);
    if (!firm || !payee || !details || method === 'elsewhere')
      return {
        method,
        content: '',
        shown: '',
        issues: [
          problem(payee ? 'payment.elsewhere' : 'payment.not-set-up', 'agency', {
            agency: agencyName(remittance.agency),
          }),
        ],
        total: ZERO,
      };
    const parts = details.periods.map(({ end, lines }) => ({
      taxpayerId: details.taxpayerId,
      taxType: details.taxType,
      periodEnd: end,
      amounts: [...amountsOf(lines)]
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .map(([type, amount]): TxpAmount => ({ type, amount }))
        .filter((line) => line.amount !== 0),
      reference: remittance.reference,
    }));
    if (method === 'agency-debit') {
      const pin = await this.enrollments.pinOf(manager, client.id, remittance.agency, bank.id);
      const file = writeDebits({
        filerNumber: payee.filerNumber,
        filerName: firm.name,
        created: await this.clock.today(manager),
        debits: parts.map((part) => ({
          ...part,
          pin: pin ?? '',
          settles: date(remittance.settles),
          accountTail: bank.accountTail,
        })),
      });
      const names = { agency: agencyName(remittance.agency), client: client.legalName };
      const issues = [
        ...(pin === null ? [problem('payment.not-enrolled', 'bankAccountId', names)] : file.issues),
        ...(payee.filerNumber === '' ? [problem('payment.filer', 'filerNumber', names)] : []),
      ];
      return { ...file, method, issues, shown: withoutPins(file.content) };
    }
    const credits = parts.map((part): TaxCredit => ({
      ...part,
      receiverName: payee.name,
      receiverRouting: payee.routing,
      receiverAccount: payee.account,
    }));
    const file = writeTaxPayments({
      bankRouting: bank.routing,
      bankName: bank.bankName,
      originName: firm.name,
      ...senderOf(bank, client, firm),
      created: await this.clock.today(manager),
      settles: date(remittance.settles),
      fileIdModifier: 'A',
      credits,
    });
    return { ...file, method, shown: file.content };
  }

  /** Null: nobody has said how this agency is paid. */
  async details(
    manager: EntityManager,
    client: Client,
    remittance: Remittance,
    items: readonly RemittanceItem[],
  ): Promise<PaymentDetails | null> {
    const payee = await agencyPaymentOf(manager, remittance.agency);
    if (!payee) return null;
    const account =
      payee.identification === 'ein'
        ? ''
        : await accountNumberOn(manager, client.id, remittance.agency, remittance.settles);
    // A locality that a firm added stands under the code of its agency: what its tax belongs to says the rest.
    const [first] = items;
    if (!first) throw new Error(`remittance ${remittance.id} pays nothing`);
    const family = findFamily(remittance.family) ?? familyOf(first.tax as TaxCode);
    const periods = new Map<LocalDate, RemittanceItem[]>();
    for (const item of items) {
      const end = periodEndOf(family, date(item.liabilityDate));
      periods.set(end, [...(periods.get(end) ?? []), item]);
    }
    return {
      account,
      taxpayerId: account.replace(/[^0-9A-Za-z]/g, '') || client.ein,
      taxType: payee.taxTypes[remittance.family] ?? family.taxType,
      periods: [...periods].map(([end, lines]) => ({ end, lines })),
    };
  }
}

/** Amounts by the type that a TXP record gives them. */
function amountsOf(lines: readonly RemittanceItem[]): Map<string, Cents> {
  const amounts = new Map<string, Cents>();
  for (const { tax, amount } of lines) {
    const type = amountTypeOf(tax as TaxCode);
    amounts.set(type, add(amounts.get(type) ?? ZERO, amount));
  }
  return amounts;
}
