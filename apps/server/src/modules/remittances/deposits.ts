import { Inject, Injectable } from '@nestjs/common';
import type { DepositView, LiabilityView } from '@zakat/contract/remittances';
import { addBusinessDays, onOrAfter } from '@zakat/core/calendar/business-days';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { lastDayOf, quarterOf } from '@zakat/core/calendar/quarter';
import { achSendBy, earliestSettlement, liabilityDue } from '@zakat/core/deposits/due';
import { familyOf } from '@zakat/core/deposits/family';
import { futaDueDates, lastDayOfMonthAfter } from '@zakat/core/deposits/federal-schedule';
import { sum, type Cents } from '@zakat/core/money/cents';
import { type TaxCode, agencyName, taxOf } from '@zakat/core/taxes/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { Firm, type Client } from '../clients/entities.js';
import { Clock } from '../clock/clock.js';
import { DepositSchedules } from './deposit-schedules.js';

export interface OwedLiability {
  readonly tax: TaxCode;
  readonly liabilityDate: LocalDate;
  readonly owed: Cents;
  readonly underWay: Cents;
  readonly due: LocalDate;
  readonly rule: string;
}

/** What is owed to whom and by when, derived from the ledger. */
@Injectable()
export class Deposits {
  constructor(
    @Inject(Clock) private readonly clock: Clock,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
  ) {}

  /** Every liability with something left to pay (or on its way), with its due date and the rule behind it. */
  async owed(manager: EntityManager, client: Client): Promise<OwedLiability[]> {
    const open = (await manager.query(
      `SELECT l.tax, l.liability_date, l.owed, coalesce(i.amount, 0) AS under_way FROM
         (SELECT tax, liability_date, sum(amount)::bigint AS owed FROM ledger_entry WHERE client_id = $1 GROUP BY tax, liability_date HAVING sum(amount) <> 0) l
       LEFT JOIN remittance_item i ON i.client_id = $1 AND i.tax = l.tax AND i.liability_date = l.liability_date AND i.is_live ORDER BY l.liability_date, l.tax`,
      [client.id],
    )) as { tax: TaxCode; liability_date: string; owed: string; under_way: string }[];
    const federal = await this.schedules.of(manager, client);
    const futa = futaDueDates(
      open
        .filter((row) => row.tax === 'US-FUTA')
        .map((row) => ({ date: date(row.liability_date), amount: rawCents(row.owed) })),
    );
    return open.map((row) => {
      const liabilityDate = date(row.liability_date);
      const { group } = taxOf(row.tax);
      const found =
        group === 'US-FUTA'
          ? futa.get(liabilityDate)
          : liabilityDue(row.tax, liabilityDate, {
              federal: federal.on(liabilityDate).schedule,
              newYorkDays: client.newYorkDays,
              reached: federal.nextDays.get(liabilityDate) ?? null,
            });
      if (!found) throw new Error('a federal unemployment liability without a due date');
      const { due, rule } = found;
      return { tax: row.tax, liabilityDate, owed: rawCents(row.owed), underWay: rawCents(row.under_way), due, rule };
    });
  }

  /** When taxes of a check date would be due, by deposit family; federal unemployment by the quarter. */
  async duesOf(
    manager: EntityManager,
    client: Client,
    checkDate: LocalDate,
    taxes: readonly TaxCode[],
  ): Promise<Map<string, LocalDate>> {
    const federal = await this.schedules.of(manager, client);
    return new Map(
      taxes.map((tax) => [
        familyOf(tax).code,
        taxOf(tax).group === 'US-FUTA'
          ? onOrAfter(lastDayOfMonthAfter(lastDayOf(quarterOf(checkDate))), 'legal')
          : liabilityDue(tax, checkDate, {
              federal: federal.on(checkDate).schedule,
              newYorkDays: client.newYorkDays,
              reached: federal.nextDays.get(checkDate) ?? null,
            }).due,
      ]),
    );
  }

  /** The same, gathered into the deposits that would pay them. */
  async deposits(manager: EntityManager, client: Client): Promise<DepositView[]> {
    const today = await this.clock.today(manager);
    const cushion = (await manager.find(Firm))[0]?.cushionDays ?? 0;
    const groups = new Map<string, OwedLiability[]>();
    for (const liability of await this.owed(manager, client)) {
      const key = `${familyOf(liability.tax).code} ${liability.due}`;
      groups.set(key, [...(groups.get(key) ?? []), liability]);
    }
    const deposits = [...groups.values()].flatMap((liabilities): DepositView[] => {
      const first = liabilities[0];
      if (!first) return [];
      const { settles, sendBy } = achSendBy(first.due, cushion);
      const family = familyOf(first.tax);
      const { agency } = taxOf(first.tax);
      const isLate = today > addBusinessDays(settles, -1, 'banking');
      return [
        {
          family: family.code,
          familyLabel: family.label,
          agency,
          agencyName: agencyName(agency),
          due: first.due,
          sendBy,
          settles: isLate ? earliestSettlement(today) : settles,
          rule: first.rule,
          owed: sum(liabilities.map((line) => line.owed)),
          underWay: sum(liabilities.map((line) => line.underWay)),
          isLate: isLate && liabilities.some((line) => line.owed !== line.underWay),
          liabilities: liabilities.map((line): LiabilityView => ({
            tax: line.tax,
            label: taxOf(line.tax).label,
            liabilityDate: line.liabilityDate,
            owed: line.owed,
            underWay: line.underWay,
          })),
        },
      ];
    });
    return deposits.sort((a, b) => (a.sendBy < b.sendBy ? -1 : a.sendBy > b.sendBy ? 1 : a.family < b.family ? -1 : 1));
  }
}
