import { Inject, Injectable } from '@nestjs/common';
import type { CashNeed, PayrollEntry, ReviewRow, ReviewView } from '@zakat/contract/payrolls';
import { isObject } from '@zakat/core/casefile/reader';
import { date } from '@zakat/core/calendar/local-date';
import type { PostedLines } from '@zakat/core/ledger/opposite';
import { ZERO, add, cents, sum, type Cents } from '@zakat/core/money/cents';
import { compareChecks, type ReviewedCheck } from '@zakat/core/review/compare';
import { isTaxCode, taxOf, type TaxCode } from '@zakat/core/tax-registry/registry';
import type { EntityManager } from 'typeorm';
import { rawCents } from '../../database/cents-column.js';
import { FirmDatabase, type Actor } from '../../database/firm-database.js';
import { findClient } from '../clients/index.js';
import { Deposits } from '../remittances/index.js';
import type { Payroll } from './entities.js';
import { PayrollViews, findPayroll } from './payroll-view.js';
import { supplementalWays } from './supplemental-ways.js';

/** How many checks before make up what is usual. */
const LAST_CHECKS = 6;
type Json = Readonly<Record<string, unknown>>;

interface Before {
  readonly employee_id: string;
  readonly name: string;
  readonly check_date: string;
  readonly gross: string;
  readonly net: string;
  readonly lines: PostedLines;
  readonly base: Json | null;
  readonly typed: PayrollEntry['earnings'] | null;
  readonly usual: string[];
}

/** The review of a payroll: each check against the person's last one, ranked by the money at stake, and the cash it needs. */
@Injectable()
export class PayrollReviews {
  constructor(
    @Inject(FirmDatabase) private readonly database: FirmDatabase,
    @Inject(PayrollViews) private readonly views: PayrollViews,
    @Inject(Deposits) private readonly deposits: Deposits,
  ) {}

  of(actor: Actor, payrollId: string): Promise<ReviewView> {
    return this.database.run(actor, async (manager) => {
      const payroll = await findPayroll(manager, payrollId);
      const client = await findClient(manager, payroll.clientId);
      const view = await this.views.of(manager, payrollId);
      const before = new Map((await checksBefore(manager, payroll)).map((row) => [row.employee_id, row]));
      const rows: (ReviewRow & { stake: Cents })[] = [];
      for (const person of view.persons) {
        const last = before.get(person.employeeId) ?? null;
        const now = person.isPaid ? reviewedNow(person) : null;
        // Off the calendar nobody is missing.
        if (now === null && payroll.kind === 'extra') continue;
        const compared = compareChecks(now, last && reviewedBefore(last), (last?.usual ?? []).map(rawCents));
        if (!compared) continue;
        const { stake, causes, ...rest } = compared;
        const { employeeId, name, paycheck } = person;
        rows.push({
          ...rest,
          stake,
          causes: [...causes],
          employeeId,
          name,
          gross: now === null ? 0 : paycheck.gross,
          net: now === null ? 0 : paycheck.net,
        });
      }
      for (const last of before.values())
        if (payroll.kind !== 'extra' && !view.persons.some(({ employeeId }) => employeeId === last.employee_id)) {
          const compared = compareChecks(null, reviewedBefore(last), []);
          if (compared)
            rows.push({
              ...compared,
              causes: [...compared.causes],
              employeeId: last.employee_id,
              name: last.name,
              gross: 0,
              net: 0,
            });
        }
      const taxes = new Map<TaxCode, Cents>();
      const put = (code: string, amount: number): void => {
        if (isTaxCode(code)) taxes.set(code, add(taxes.get(code) ?? ZERO, cents(amount)));
      };
      const paid = view.persons.filter(({ isPaid }) => isPaid);
      for (const { paycheck } of paid)
        for (const { code, payer, amount } of paycheck.taxes) if (payer === 'employee') put(code, amount);
      for (const { tax, amount } of view.employerTaxes) put(tax, amount);
      const employerPaid = sum(
        paid.flatMap(({ paycheck }) => paycheck.employerPaid.map(({ amount }) => cents(amount))),
      );
      return {
        against: mostCommon([...before.values()].map((row) => row.check_date)),
        rows: rows
          .sort((a, b) => Number(a.kind === 'same') - Number(b.kind === 'same') || b.stake - a.stake)
          .map(({ stake: _stake, ...row }) => row),
        cash: await this.cash(manager, payroll, cents(view.net), taxes, client),
        supplemental: payroll.status === 'posted' ? [] : await supplementalWays(manager, payroll, view),
        cost: add(add(cents(view.gross), sum(view.employerTaxes.map(({ amount }) => cents(amount)))), employerPaid),
      };
    });
  }

  private async cash(
    manager: EntityManager,
    payroll: Payroll,
    net: Cents,
    taxes: ReadonlyMap<TaxCode, Cents>,
    client: Awaited<ReturnType<typeof findClient>>,
  ): Promise<CashNeed[]> {
    const needs = await this.deposits.needsOf(manager, client, date(payroll.checkDate), taxes);
    const isPaidHere = payroll.kind !== 'recorded' && payroll.kind !== 'void';
    return [
      ...(isPaidHere ? [{ what: 'Net pay', day: payroll.checkDate, amount: net }] : []),
      ...needs.filter(({ amount }) => amount !== 0),
    ];
  }
}

/** Each person's last check of the same sort before a payroll, with the gross pay of the last few. */
async function checksBefore(manager: EntityManager, payroll: Payroll): Promise<Before[]> {
  const kinds = payroll.kind === 'extra' ? ['extra'] : ['regular', 'recorded'];
  return (await manager.query(
    `WITH ranked AS (
       SELECT c.*, p.id AS of_payroll, row_number() OVER (PARTITION BY c.employee_id ORDER BY c.check_date DESC, p.posted_at DESC) AS place
       FROM standing_paycheck c JOIN payroll p ON p.id = c.payroll_id
       WHERE c.client_id = $1 AND c.payroll_id <> $2 AND p.kind = ANY($4) AND p.schedule = $5
         AND (c.check_date < $3 OR c.check_date = $3 AND p.posted_at < coalesce((SELECT posted_at FROM payroll WHERE id = $2), 'infinity')))
     SELECT r.employee_id, coalesce(r.facts -> 'person' ->> 'name', e.first_name || ' ' || e.last_name) AS name, r.check_date, r.gross, r.net, r.lines,
       r.facts -> 'case' AS base, r.facts -> 'entry' -> 'earnings' AS typed,
       ARRAY(SELECT u.gross::text FROM ranked u WHERE u.employee_id = r.employee_id AND u.place <= ${LAST_CHECKS} ORDER BY u.place) AS usual
     FROM ranked r JOIN employee e ON e.id = r.employee_id WHERE r.place = 1 AND r.check_date > $3::date - 400`,
    [payroll.clientId, payroll.id, payroll.checkDate, kinds, payroll.schedule],
  )) as Before[];
}

type NowPerson = Awaited<ReturnType<PayrollViews['of']>>['persons'][number];
const reviewedNow = ({ paycheck, earnings, base }: NowPerson): ReviewedCheck => ({
  gross: cents(paycheck.gross),
  net: cents(paycheck.net),
  earnings: withTyped(paycheck.earnings, earnings),
  deductions: deductionsOf(paycheck),
  taxes: taxesOf(paycheck.taxes),
  record: recordOf(base),
});
const reviewedBefore = ({ gross, net, lines, base, typed }: Before): ReviewedCheck => ({
  gross: rawCents(gross),
  net: rawCents(net),
  earnings: withTyped(lines.earnings, typed ?? []),
  deductions: deductionsOf(lines),
  taxes: taxesOf(lines.taxes),
  record: recordOf(base ?? {}),
});

function withTyped(
  lines: readonly { readonly label: string; readonly amount: number }[],
  typed: readonly { readonly hours?: string; readonly rate?: string }[],
): ReviewedCheck['earnings'] {
  return lines.map(({ label, amount }, index) => {
    const { hours, rate } = typed[index] ?? {};
    return {
      label,
      amount: cents(amount),
      ...(hours === undefined ? {} : { hours }),
      ...(rate === undefined ? {} : { rate }),
    };
  });
}
const deductionsOf = ({
  deductions,
  garnishments,
}: {
  readonly deductions: readonly { readonly label: string; readonly amount: number }[];
  readonly garnishments: readonly { readonly label: string; readonly amount: number; readonly fee: number }[];
}): ReviewedCheck['deductions'] => [
  ...deductions.map(({ label, amount }) => ({ label, amount: cents(amount) })),
  ...garnishments.map(({ label, amount, fee }) => ({ label, amount: cents(amount + fee) })),
];
const taxesOf = (
  taxes: readonly {
    readonly code: string;
    readonly payer: string;
    readonly subject: number;
    readonly wages: number;
    readonly amount: number;
  }[],
): ReviewedCheck['taxes'] =>
  taxes.flatMap(({ code, payer, subject, wages, amount }) =>
    payer === 'employee' && isTaxCode(code)
      ? [{ code, label: taxOf(code).label, subject: cents(subject), wages: cents(wages), amount: cents(amount) }]
      : [],
  );

/** What is compared of a person's record, whatever the order it is kept in. */
function recordOf(base: Json): Record<string, string> {
  const { employee } = base;
  const own = isObject(employee) ? employee : {};
  return {
    'W-4': canonical(own['federal']),
    'state certificate': canonical(own['certificates']),
    'place of work or residence': canonical([own['residence'], own['work']]),
  };
}
function canonical(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(canonical).join()}]`;
  if (!isObject(value)) return JSON.stringify(value ?? null);
  return `{${Object.keys(value)
    .sort()
    .map((key) => `${key}:${canonical(value[key])}`)
    .join()}}`;
}

function mostCommon(days: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const day of days) counts.set(day, (counts.get(day) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? 1 : -1))[0]?.[0] ?? null;
}
