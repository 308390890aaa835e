import { Inject, Injectable } from '@nestjs/common';
import type { VoidEffects, VoidFigure, VoidLiability } from '@zakat/contract/voids';
import { date, showDate, yearOf } from '@zakat/core/calendar/local-date';
import { reversibleUntil } from '@zakat/core/direct-deposit/reversal';
import { ZERO, add, negate, showDollars, subtract, sum, type Cents } from '@zakat/core/money/cents';
import { taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import type { Client } from '../clients/index.js';
import { Clock } from '../clock/index.js';
import { ClosedPeriods, type Payroll } from '../payrolls/index.js';
import { DepositSchedules } from '../deposit-schedules/index.js';
import { paidParts, postedChecks, repaidPart, type PaidPart, type PostedCheckWhole } from './void-source.js';

type Follow = VoidEffects['follows'][number];

/** Which checks are taken back; `repaid`: of one alone, the gross pay that was given back in a later year. */
export interface Asked {
  readonly paycheckIds: readonly string[];
  readonly repaid: Cents | null;
  /** The payroll that took it back already: it is no part of the year's wages as they were. */
  readonly postedAs?: string | null;
}

/** What is taken back of each check: all of it, or the taxes on pay that was given back. */
export async function takenBack(
  manager: EntityManager,
  payroll: Payroll,
  { paycheckIds, repaid, postedAs = null }: Asked,
): Promise<PostedCheckWhole[]> {
  const checks = await postedChecks(manager, payroll.id, paycheckIds);
  if (repaid === null) return checks;
  return Promise.all(
    checks.map((check) => repaidPart(manager, check, { repaid, checkDate: payroll.checkDate, postedAs })),
  );
}

/** Pay of an earlier year that is given back (Publication 15, section 13, "Wage repayments"). */
function repaymentFollows(checks: readonly PostedCheckWhole[], repaid: Cents): Follow[] {
  const refunded = negate(sum(checks.map(({ net }) => net)));
  const owed = subtract(repaid, refunded);
  return [
    {
      what: `${showDollars(repaid)} of gross pay is given back; ${showDollars(refunded)} of it is the employee’s own social security and Medicare.`,
      follows: `${showDollars(owed)} is to be paid back in all. Before Form 941-X is signed, have the employee’s statement that the tax was not claimed as a refund.`,
    },
    {
      what: 'The pay stays in box 1 of Form W-2, and the income tax that was withheld stays withheld.',
      follows:
        'It was income of that year: the employee may deduct it, or take a credit, on their own return. Form W-2c corrects boxes 3 to 6.',
    },
    {
      what: 'Form 940 and the state’s reports stay as they were filed.',
      follows: 'Ask the state’s agencies whether they take such wages back.',
    },
  ];
}

/** What voiding posted checks would reverse, and what else follows from it: read only. */
@Injectable()
export class VoidEffectsOf {
  constructor(
    @Inject(ClosedPeriods) private readonly closed: ClosedPeriods,
    @Inject(DepositSchedules) private readonly schedules: DepositSchedules,
    @Inject(Clock) private readonly clock: Clock,
  ) {}

  async of(manager: EntityManager, client: Client, payroll: Payroll, asked: Asked): Promise<VoidEffects> {
    const { paycheckIds, repaid } = asked;
    const checks = await takenBack(manager, payroll, asked);
    const taxes = totalsByTax(checks);
    const others = (await manager.query(
      `SELECT count(*)::int AS count FROM standing_paycheck WHERE payroll_id = $1 AND NOT (id = ANY($2))`,
      [payroll.id, paycheckIds],
    )) as { count: number }[];
    const parts = (await paidParts(manager, payroll.id)).filter((part) => paycheckIds.includes(part.paycheckId));
    return {
      figures: figuresOf(checks, taxes),
      liabilities: await this.liabilities(manager, client, payroll, taxes),
      closed: await this.closed.of(manager, client, payroll.checkDate, [...taxes.keys()]),
      follows:
        repaid === null
          ? [
              ...(await this.bank(manager, checks, parts, payroll)),
              ...(await this.later(manager, checks, payroll)),
              ...ordersOf(checks),
            ]
          : repaymentFollows(checks, repaid),
      isWhole: repaid === null && others[0]?.count === 0,
    };
  }

  private async liabilities(
    manager: EntityManager,
    client: Client,
    payroll: Payroll,
    taxes: ReadonlyMap<TaxCode, Cents>,
  ): Promise<VoidLiability[]> {
    const open = (await manager.query(
      `SELECT tax, sum(amount)::bigint AS open FROM ledger_entry WHERE client_id = $1 AND liability_date = $2 GROUP BY tax`,
      [client.id, payroll.checkDate],
    )) as { tax: string; open: string }[];
    const byTax = new Map(open.map((row) => [row.tax, rawCents(row.open)]));
    const schedules = await this.schedules.of(manager, client);
    return [...taxes]
      .filter(([, amount]) => amount !== 0)
      .map(([tax, amount]) => {
        const openBefore = byTax.get(tax) ?? ZERO;
        const change = negate(amount);
        return {
          tax,
          label: taxOf(tax).label,
          familyLabel: schedules.family(tax).label,
          openBefore,
          change,
          openAfter: add(openBefore, change),
        };
      });
  }

  /** What the bank must be told, or the person asked for. */
  private async bank(
    manager: EntityManager,
    checks: readonly PostedCheckWhole[],
    parts: readonly PaidPart[],
    payroll: Payroll,
  ): Promise<Follow[]> {
    if (payroll.kind === 'recorded')
      return [
        {
          what: 'Another program paid these checks.',
          follows: 'What has left there is called back, or asked of the person, there.',
        },
      ];
    const today = await this.clock.today(manager);
    const nameOf = (part: PaidPart): string => checks.find((one) => one.paycheckId === part.paycheckId)?.name ?? '';
    return parts.map((part): Follow => {
      const amount = showDollars(part.amount);
      if (part.by === 'check')
        return part.status === 'cleared'
          ? {
              what: `Check ${part.mark} of ${amount} to ${nameOf(part)} was cashed.`,
              follows: 'The person owes the net pay back: agree how, in writing.',
            }
          : {
              what: `Check ${part.mark} of ${amount} to ${nameOf(part)} is ${part.status === 'printed' ? 'printed' : 'out'}.`,
              follows: 'Have it back and mark it void, or order a stop payment at the bank before it is cashed.',
            };
      if (part.status === 'planned')
        return {
          what: `The direct deposit of ${amount} to ${nameOf(part)} has not left yet.`,
          follows: 'Withdraw the file of this payroll and schedule it again: the voided pay is not in it then.',
        };
      const until = reversibleUntil(date(part.settles ?? payroll.checkDate));
      return {
        what: `The direct deposit of ${amount} to ${nameOf(part)} has left.`,
        follows:
          until >= today
            ? `Take it back with a reversal once this void is posted, until ${showDate(until)}; tell the person before it settles.`
            : `The five banking days for a reversing entry ended ${showDate(until)}: the person owes the net pay back.`,
      };
    });
  }

  /** Later checks of the year were worked out with the voided ones in their year to date. */
  private async later(
    manager: EntityManager,
    checks: readonly PostedCheckWhole[],
    payroll: Payroll,
  ): Promise<Follow[]> {
    const rows = (await manager.query(
      `SELECT count(*)::int AS count FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id
       WHERE c.employee_id = ANY($1) AND c.payroll_id <> $2 AND c.check_date >= $3 AND c.check_date <= $4 AND p.kind <> 'brought-in'`,
      [
        checks.map((check) => check.employeeId),
        payroll.id,
        payroll.checkDate,
        `${yearOf(date(payroll.checkDate))}-12-31`,
      ],
    )) as { count: number }[];
    const count = rows[0]?.count ?? 0;
    if (count === 0) return [];
    return [
      {
        what: `${count === 1 ? 'One later check' : `${count} later checks`} of the year had these wages in the year to date.`,
        follows:
          'They stand as they were paid. Where a wage base or a limit was reached early, the next check makes up for it.',
      },
    ];
  }
}

function totalsByTax(checks: readonly PostedCheckWhole[]): Map<TaxCode, Cents> {
  const totals = new Map<TaxCode, Cents>();
  for (const { taxes } of checks)
    for (const { tax, amount } of taxes) totals.set(tax, add(totals.get(tax) ?? ZERO, amount));
  return totals;
}

function figuresOf(checks: readonly PostedCheckWhole[], taxes: ReadonlyMap<TaxCode, Cents>): VoidFigure[] {
  const byLabel = (lines: readonly { readonly label: string; readonly amount: Cents }[]): Map<string, Cents> => {
    const totals = new Map<string, Cents>();
    for (const { label, amount } of lines) totals.set(label, add(totals.get(label) ?? ZERO, amount));
    return totals;
  };
  const deductions = byLabel(
    checks.flatMap(({ lines }) => [
      ...lines.deductions,
      ...lines.garnishments.map(({ label, amount, fee }) => ({ label, amount: add(amount, fee) })),
    ]),
  );
  const leave = new Map<string, number>();
  for (const { lines } of checks)
    for (const { item, accrued, used } of lines.leave ?? []) leave.set(item, (leave.get(item) ?? 0) + used - accrued);
  const opposite = (kind: VoidFigure['kind'], label: string, amount: Cents): VoidFigure => ({
    kind,
    label,
    amount: negate(amount),
  });
  const taxFigures = (payer: 'employee' | 'employer'): VoidFigure[] =>
    [...taxes]
      .filter(([tax, amount]) => taxOf(tax).payer === payer && amount !== 0)
      .map(([tax, amount]) => opposite(payer === 'employee' ? 'tax' : 'employer', taxOf(tax).label, amount));
  return [
    opposite('pay', 'Gross pay', sum(checks.map((check) => check.gross))),
    ...taxFigures('employee'),
    ...[...deductions].map(([label, amount]) => opposite('deduction', label, amount)),
    opposite('pay', 'Net pay', sum(checks.map((check) => check.net))),
    ...taxFigures('employer'),
    ...[...leave]
      .filter(([, hours]) => hours !== 0)
      .map(([label, amount]): VoidFigure => ({ kind: 'leave', label, amount })),
  ];
}

/** What was withheld for others has perhaps been sent on already. */
function ordersOf(checks: readonly PostedCheckWhole[]): Follow[] {
  return checks.flatMap((check) =>
    check.lines.garnishments
      .filter(({ amount }) => amount !== 0)
      .map((line): Follow => ({
        what: `${showDollars(line.amount)} was withheld from ${check.name} for ${line.label}.`,
        follows: 'If the payee has had it, ask for it back or take it off the next payment, and tell the person.',
      })),
  );
}
