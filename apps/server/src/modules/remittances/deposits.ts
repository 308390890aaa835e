import { Inject, Injectable } from '@nestjs/common';
import type { DepositView, LiabilityView } from '@zakat/contract/remittances';
import { addBusinessDays } from '@zakat/core/calendar/business-days';
import { BANKING } from '@zakat/core/calendar/holidays';
import { date, type LocalDate } from '@zakat/core/calendar/local-date';
import { firstDayOf, quarterOf } from '@zakat/core/calendar/quarter';
import { achSendBy, earliestSettlement } from '@zakat/core/deposits/ach-days';
import type { DepositFamily } from '@zakat/core/deposits/family';
import { problem, type Issue } from '@zakat/core/issues/issue';
import { subtract, sum, type Cents } from '@zakat/core/money/cents';
import { hasLateRule } from '@zakat/core/penalties/late-estimate';
import { DEPOSIT_RELIEF, lateWays } from '@zakat/core/penalties/late-ways';
import { isTaxCode, agencyName, taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { detailOf } from '../../http/refusal.js';
import { type Client, Firm } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';

export interface OwedLiability {
  readonly tax: TaxCode;
  readonly family: DepositFamily;
  readonly liabilityDate: LocalDate;
  readonly owed: Cents;
  readonly underWay: Cents;
  /** Null: nobody knows yet, and the question says what has to be answered. */
  readonly due: LocalDate | null;
  readonly rule: string;
  readonly question: Issue | null;
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
    )) as { tax: string; liability_date: string; owed: string; under_way: string }[];
    if (open.length === 0) return [];
    const deposits = await this.schedules.of(manager, client);
    return open.flatMap((row): OwedLiability[] => {
      if (!isTaxCode(row.tax)) return [];
      const liabilityDate = date(row.liability_date);
      const family = deposits.family(row.tax);
      const found = deposits.of(family).dues.get(liabilityDate);
      return [
        {
          tax: row.tax,
          family,
          liabilityDate,
          owed: rawCents(row.owed),
          underWay: rawCents(row.under_way),
          due: found?.due ?? null,
          rule: found?.rule ?? '',
          question:
            found === undefined
              ? problem('deposit.no-calendar', `frequency.${family.code}`, { what: family.label })
              : found.question,
        },
      ];
    });
  }

  /** When taxes of a check date would be due, by deposit family; those whose day is not known are not in it. */
  async duesOf(
    manager: EntityManager,
    client: Client,
    checkDate: LocalDate,
    taxes: readonly TaxCode[],
  ): Promise<Map<string, LocalDate>> {
    const deposits = await this.schedules.of(manager, client);
    return new Map(
      taxes.flatMap((tax): [string, LocalDate][] => {
        const family = deposits.family(tax);
        const due = deposits.dueOn(family, checkDate)?.due;
        return due ? [[family.code, due]] : [];
      }),
    );
  }

  /** What taxes of a check date would come to by deposit, and when each is due; null where the day is not known. */
  async needsOf(
    manager: EntityManager,
    client: Client,
    checkDate: LocalDate,
    taxes: ReadonlyMap<TaxCode, Cents>,
  ): Promise<{ what: string; day: LocalDate | null; amount: Cents }[]> {
    const deposits = await this.schedules.of(manager, client);
    const needs = new Map<string, { what: string; day: LocalDate | null; amount: Cents }>();
    for (const [tax, amount] of taxes) {
      const family = deposits.family(tax);
      const before = needs.get(family.code);
      needs.set(family.code, {
        what: family.label,
        day: before ? before.day : (deposits.dueOn(family, checkDate)?.due ?? null),
        amount: sum([before?.amount ?? sum([]), amount]),
      });
    }
    return [...needs.values()].sort((a, b) => ((a.day ?? '9') < (b.day ?? '9') ? -1 : 1));
  }

  /** The same as `owed`, gathered into the deposits that would pay it; what has no date comes first. */
  async deposits(manager: EntityManager, client: Client): Promise<DepositView[]> {
    const today = await this.clock.today(manager);
    const cushion = (await manager.find(Firm))[0]?.cushionDays ?? 0;
    const groups = new Map<string, OwedLiability[]>();
    const lines = await this.owed(manager, client);
    for (const liability of lines.filter((line) => !isCredit(line))) {
      const key = `${liability.family.code} ${liability.due ?? ''}`;
      groups.set(key, [...(groups.get(key) ?? []), liability]);
    }
    for (const credit of lines.filter(isCredit)) {
      const taken = [...groups.values()].find((group) => mayTake(group, credit));
      const key = `${credit.family.code} credit ${quarterStart(credit.liabilityDate)}`;
      if (taken) taken.push(credit);
      else groups.set(key, [...(groups.get(key) ?? []), credit]);
    }
    const deposits = [...groups.values()].flatMap((liabilities) => depositOf(liabilities, today, cushion));
    const orderOf = (deposit: DepositView): string => `${deposit.sendBy ?? ''} ${deposit.family}`;
    return deposits.sort((a, b) => (orderOf(a) < orderOf(b) ? -1 : 1));
  }
}

const quarterStart = (day: LocalDate): LocalDate => firstDayOf(quarterOf(day));
/** Paid more than is owed: a check was voided after the deposit. */
const isCredit = ({ owed, underWay }: OwedLiability): boolean => owed < 0 && underWay === 0;
/**
 * A credit is taken off a later deposit of the same kind and calendar quarter while something is left to pay; beyond the
 * quarter it is claimed with the amended return (Form 941 instructions, line 13; common practice with the states).
 */
export const mayBeTakenOff = (credit: OwedLiability, line: OwedLiability): boolean =>
  line.family.code === credit.family.code && quarterStart(line.liabilityDate) === quarterStart(credit.liabilityDate);
const mayTake = (group: readonly OwedLiability[], credit: OwedLiability): boolean =>
  group.some((line) => mayBeTakenOff(credit, line)) &&
  group.every((line) => line.underWay === 0 && line.due !== null) &&
  sum(group.map((line) => line.owed)) + credit.owed > 0;

const CREDIT_RULE =
  'More was deposited than is owed since a check was voided: it comes off the next deposit of the quarter, or is claimed with the amended return.';

/** What is left to do about a deposit that is late, and what of it is held in trust. */
function lateOf(
  family: DepositFamily,
  open: readonly OwedLiability[],
  due: LocalDate,
  today: LocalDate,
): DepositView['late'] {
  const left = (lines: readonly OwedLiability[]): Cents =>
    sum(lines.map(({ owed, underWay }) => subtract(owed, underWay)));
  return {
    ways: lateWays(family, left(open), due, today),
    withheld: left(open.filter(({ tax }) => taxOf(tax).payer === 'employee')),
    relief: family.agency === 'IRS' ? [...DEPOSIT_RELIEF] : [],
  };
}

function depositOf(liabilities: readonly OwedLiability[], today: LocalDate, cushion: number): DepositView[] {
  const [first] = liabilities;
  if (!first) return [];
  const { family, due, question } = first;
  const days = due === null ? null : achSendBy(due, cushion);
  const lastToSend = days === null ? null : addBusinessDays(days.settles, -1, BANKING);
  const isAllCredit = liabilities.every(isCredit);
  const isLate = !isAllCredit && lastToSend !== null && today > lastToSend;
  const { agency } = taxOf(first.tax);
  const open = liabilities.filter((line) => line.owed !== line.underWay);
  const isOpen = isLate && open.length > 0;
  return [
    {
      family: family.code,
      familyLabel: family.label,
      agency,
      agencyName: agencyName(agency),
      due: isAllCredit ? null : due,
      sendBy: isAllCredit ? null : (days?.sendBy ?? null),
      lastToSend: isAllCredit ? null : lastToSend,
      isCredit: isAllCredit,
      settles: isLate || days === null ? earliestSettlement(today) : days.settles,
      rule: isAllCredit ? CREDIT_RULE : first.rule,
      question: isAllCredit ? null : question && detailOf(question),
      owed: sum(liabilities.map((line) => line.owed)),
      underWay: sum(liabilities.map((line) => line.underWay)),
      isLate: isOpen,
      late: isOpen && due !== null && hasLateRule(family, due) ? lateOf(family, open, due, today) : null,
      liabilities: liabilities.map((line): LiabilityView => ({
        tax: line.tax,
        label: taxOf(line.tax).label,
        liabilityDate: line.liabilityDate,
        owed: line.owed,
        underWay: line.underWay,
      })),
    },
  ];
}
