import type { LocalDate } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import type { CreditorLimits, Follows, FreeAmounts } from '../jurisdictions/creditor-limits.js';
import { inForce, type Dated, type OwnRules } from '../jurisdictions/dated.js';
import { sourceOf } from '../jurisdictions/sources/register.js';
import { findState } from '../jurisdictions/states.js';
import { EARNINGS_FREE_OF_GARNISHMENT, FEDERAL_WAGE, LEVY_EXEMPTION } from '../jurisdictions/us/garnishment.js';
import { allocate } from '../money/allocate.js';
import { ZERO, add, cents, notBelowZero, showDollars, smaller, subtract, sum, type Cents } from '../money/cents.js';
import { dividedBy, exact, isBelowZero, minus, plus, round, times } from '../money/exact.js';
import { rate, showPercent, type Rate } from '../money/rate.js';
import { shownParameter, type Tape } from '../working/tape.js';
import type { Override } from '../computation/input.js';
import {
  GARNISHMENT_KINDS,
  type Garnishment,
  type GarnishmentKind,
  type GarnishmentLine,
} from '../computation/orders.js';

/** An amount for each week of the period, as the Department of Labor multiplies it for longer periods (29 CFR § 870.10). */
function forPeriod(frequency: PayFrequency, weekly: Cents): Cents {
  const weeks: Readonly<Record<PayFrequency, Rate>> = {
    weekly: rate('1'),
    biweekly: rate('2'),
    semimonthly: { n: 13, d: 6 },
    monthly: { n: 13, d: 3 },
    quarterly: rate('13'),
    semiannually: rate('26'),
    annually: rate('52'),
    daily: { n: 1, d: 5 },
    miscellaneous: { n: 1, d: 5 },
  };
  return round(times(weekly, weeks[frequency]), 'half-up');
}

type ShareOf = Pick<Garnishment, 'supportsOthers' | 'isInArrears'>;
const supportShare = (order: ShareOf): Rate =>
  rate(order.supportsOthers ? (order.isInArrears ? '0.55' : '0.50') : order.isInArrears ? '0.65' : '0.60');

interface Setting {
  readonly rules: OwnRules | null;
  readonly checkDate: LocalDate;
  readonly frequency: PayFrequency;
  readonly state: string;
  readonly gross: Cents;
  /** Gross less what law requires to be withheld (15 U.S.C. § 1672(b)). */
  readonly disposable: Cents;
  /** Deductions of the check that no law requires. */
  readonly deducted: Cents;
  readonly tape?: Tape | undefined;
}
interface Rules {
  readonly free: Dated<Cents>;
  readonly levy: NonNullable<ReturnType<typeof levyInForce>>;
}
const levyInForce = (setting: Setting) => inForce(LEVY_EXEMPTION, setting.checkDate, setting.rules);

const shareOf = (amount: Cents, by: Rate): Cents => round(times(amount, by), 'down');
const over = (amount: Cents, free: Cents): Cents => notBelowZero(subtract(amount, free));

const freeOf = (amounts: FreeAmounts, frequency: PayFrequency): Cents =>
  amounts[frequency] ?? forPeriod(frequency, amounts.weekly);

/** A limit of a state's own, with the minimum wage it follows. */
interface StateLimit {
  readonly words: string;
  readonly amount: Cents;
  readonly wage?: Dated<Cents>;
}
const byShare = (amount: Cents, by: Rate, of: string): StateLimit => ({
  words: `${showPercent(by)} of ${of}`,
  amount: shareOf(amount, by),
});

/** The minimum wage of the day that a limit follows. */
function wageOf(follows: Follows, { state, checkDate, rules }: Setting): Dated<Cents> | null {
  const rows = follows === 'federal' ? FEDERAL_WAGE : findState(state)?.minimumWage;
  return rows ? inForce(rows, checkDate, rules) : null;
}

/** Limits that follow a minimum wage; null: the wage of the day is not known. */
function limitsByWage(own: CreditorLimits, setting: Setting): readonly StateLimit[] | null {
  const { disposable, frequency } = setting;
  const limits: StateLimit[] = [];
  if (own.free) {
    const { hours, share } = own.free;
    const wage = wageOf(own.free.wage, setting);
    if (!wage) return null;
    const excess = over(disposable, forPeriod(frequency, cents(wage.value * hours)));
    const words = `what is over ${hours} × the minimum wage a week`;
    limits.push(share ? { ...byShare(excess, share, words), wage } : { words, amount: excess, wage });
  }
  if (own.byHours) {
    const wage = wageOf(own.byHours.wage, setting);
    if (!wage) return null;
    const isOver = (hours: number): boolean => disposable > forPeriod(frequency, cents(wage.value * hours));
    const row = own.byHours.shares.filter(({ hours }) => isOver(hours)).at(-1);
    if (row) limits.push({ ...byShare(disposable, row.rate, `earnings over ${row.hours} × the minimum wage`), wage });
  }
  return limits;
}

/** A share of each part of a month's earnings, for one pay period. */
function limitByMonth(parts: NonNullable<CreditorLimits['byMonth']>, { disposable, frequency }: Setting): StateLimit {
  const periods = PERIODS_PER_YEAR[frequency];
  let amount = exact(ZERO);
  parts.forEach((part, index) => {
    const from = dividedBy(cents(part.over * 12), periods);
    const next = parts[index + 1];
    const until = next ? dividedBy(cents(next.over * 12), periods) : exact(disposable);
    const top = isBelowZero(minus(exact(disposable), until)) ? exact(disposable) : until;
    const width = minus(top, from);
    if (!isBelowZero(width)) amount = plus(amount, times(width, part.rate));
  });
  const words = parts.map(({ over: from, rate: by }) => `${showPercent(by)} over ${showDollars(from)}`).join(', ');
  return { words: `of a month’s disposable earnings ${words}`, amount: round(amount, 'down') };
}

/** What is left of the year's most for one creditor, by what a year of checks like this one would bring. */
function limitByYear(
  years: NonNullable<CreditorLimits['byYear']>,
  { gross, frequency }: Setting,
  order: Garnishment,
): StateLimit[] {
  const expected = cents(gross * PERIODS_PER_YEAR[frequency]);
  const row = years.filter(({ expecting }) => expected >= expecting).at(-1);
  if (!row) return [];
  const most = typeof row.most === 'number' ? row.most : shareOf(expected, row.most.ofExpected);
  const left = over(most, order.takenThisYear);
  const words = `${showDollars(most)} a year for one creditor, as ${showDollars(expected)} is expected in it, less ${showDollars(order.takenThisYear)} taken`;
  return [{ words, amount: left }];
}

/** What a state leaves a creditor at most; null: the minimum wage it follows is not known for the day. */
function stateLimits(own: CreditorLimits, setting: Setting, order: Garnishment): readonly StateLimit[] | null {
  const isForbidden = own.isForbidden ?? (order.isHeadOfFamily && own.ofHead?.isForbidden);
  if (isForbidden) return [{ words: 'no garnishment for a creditor', amount: ZERO }];
  const { disposable, gross, frequency } = setting;
  const byDebt = order.isConsumerCredit ? own.ofConsumerCredit : undefined;
  const byWage = limitsByWage({ ...own, ...byDebt }, setting);
  if (!byWage) return null;
  const byFamily = order.isHeadOfFamily ? own.ofHead : undefined;
  const share = byFamily?.ofDisposable ?? byDebt?.ofDisposable ?? own.ofDisposable;
  const free = byFamily?.freeAmounts ?? own.freeAmounts;
  const limits: StateLimit[] = [...byWage];
  if (share) limits.push(byShare(disposable, share, 'disposable earnings'));
  if (own.ofGross) limits.push(byShare(gross, own.ofGross, 'gross pay'));
  if (own.lowPay && gross <= forPeriod(frequency, own.lowPay.weekly))
    limits.push(
      byShare(disposable, own.lowPay.ofDisposable, `earnings up to ${showDollars(own.lowPay.weekly)} a week`),
    );
  if (own.byMonth) limits.push(limitByMonth(own.byMonth, setting));
  if (free) {
    const kept = freeOf(free, frequency);
    limits.push({ words: `what is over ${showDollars(kept)}`, amount: over(disposable, kept) });
  }
  if (own.byYear) limits.push(...limitByYear(own.byYear, setting, order));
  return limits;
}

/** What a creditor may take at most where the work is, before what other orders took; null as for `stateLimits`. */
function creditorLimit(order: Garnishment, setting: Setting, ordinary: Cents, figure: string): Cents | null {
  const rows = findState(setting.state)?.creditors;
  if (rows === undefined) return ordinary;
  const row = inForce(rows, setting.checkDate, setting.rules);
  const limits = row ? stateLimits(row.value, setting, order) : null;
  if (!row || !limits) return null;
  for (const { words, amount, wage } of limits)
    setting.tape?.write(figure, () => ({
      label: `Limit of ${setting.state}: ${words}`,
      value: showDollars(amount),
      how: `${sourceOf(row.source).title}${row.standing === 'verified' ? '' : ', not yet verified'}`,
      ...(wage ? { parameter: shownParameter('Minimum wage', showDollars(wage.value), wage) } : {}),
    }));
  const most = limits.reduce((least, limit) => smaller(least, limit.amount), ordinary);
  const { eachDependent } = row.value;
  if (!eachDependent || order.dependents === 0) return most;
  const kept = forPeriod(setting.frequency, cents(eachDependent * order.dependents));
  setting.tape?.write(figure, () => ({
    label: `Free in ${setting.state} for ${order.dependents} dependents`,
    value: showDollars(kept),
    how: `${showDollars(eachDependent)} each a week`,
    parameter: shownParameter('Free for each dependent', showDollars(eachDependent), row),
  }));
  return over(most, kept);
}

/** What of take-home pay is exempt from a federal levy, in cents a pay period. */
function exemptFromLevy(order: Garnishment, figure: string, setting: Setting, row: Rules['levy']): Cents {
  const { standardDeduction, eachDependent, eachAgeOrBlind } = row.value;
  // Without the person's statement a levy is figured as married filing separately with no dependents (Form 668-W).
  const { filingStatus, dependents, ageOrBlind } = order.levy ?? NO_STATEMENT;
  const standard = standardDeduction[filingStatus];
  const more = cents(eachAgeOrBlind[filingStatus] * ageOrBlind);
  const year = add(add(standard, cents(eachDependent * dependents)), more);
  const exempt = round(dividedBy(year, PERIODS_PER_YEAR[setting.frequency]), 'half-up');
  const aged = ageOrBlind === 0 ? '' : ` + ${showDollars(more)} for age and blindness`;
  setting.tape?.write(figure, () => ({
    label: 'Exempt from levy',
    value: showDollars(exempt),
    how: `(${showDollars(standard)} + ${dependents} × ${showDollars(eachDependent)}${aged}) ÷ periods`,
    parameter: shownParameter('Publication 1494', showDollars(standard), row),
  }));
  return exempt;
}
const NO_STATEMENT = { filingStatus: 'married-separately', dependents: 0, ageOrBlind: 0 } as const;

/** Orders under the federal limit of 25%, or of what is over the free part of a week. */
const FOLLOW_THE_FREE_PART: ReadonlySet<GarnishmentKind> = new Set(['state-levy', 'student-loan', 'creditor']);

/** What an order may take at most after `taken` went to the orders before it. */
function limitOf(
  order: Garnishment,
  figure: string,
  setting: Setting,
  { free, levy }: Rules,
  taken: Cents,
): Cents | null {
  const { disposable, frequency, tape } = setting;
  const left = over(disposable, taken);
  const ordinary = smaller(shareOf(disposable, rate('0.25')), over(disposable, forPeriod(frequency, free.value)));
  switch (order.kind) {
    case 'bankruptcy':
      return left;
    case 'child-support':
      return over(shareOf(disposable, supportShare(order)), taken);
    case 'federal-levy': {
      const exempt = exemptFromLevy(order, figure, setting, levy);
      // Take-home pay is after deductions that were in effect before the levy (Publication 1494, Form 668-W).
      const takeHome = over(left, setting.deducted);
      if (setting.deducted > 0)
        tape?.write(figure, () => ({
          label: 'Take-home pay',
          value: showDollars(takeHome),
          how: `after deductions of ${showDollars(setting.deducted)}, taken to have been in effect before the levy`,
        }));
      return over(takeHome, exempt);
    }
    case 'state-levy':
      return over(ordinary, taken);
    case 'student-loan':
      return smaller(smaller(shareOf(disposable, rate('0.15')), ordinary), over(ordinary, taken));
    case 'creditor': {
      const limit = creditorLimit(order, setting, ordinary, figure);
      return limit === null ? null : over(limit, taken);
    }
  }
}

/**
 * Orders of child support share one limit: where it does not suffice for all of them, each gets its part by the amounts
 * ordered (45 CFR § 303.100(a)(5) asks the states for an allocation; by amount is the common practice).
 */
function sharedSupport(
  orders: readonly Garnishment[],
  setting: Setting,
  taken: Cents,
): ReadonlyMap<Garnishment, Cents> | null {
  const support = orders.filter((order) => order.kind === 'child-support');
  if (support.length < 2 || support.some((order) => order.amount === null || order.priority !== null)) return null;
  const wanted = support.map((order) => smaller(order.amount ?? ZERO, order.balance ?? order.amount ?? ZERO));
  const share = supportShare({
    supportsOthers: support.some((order) => order.supportsOthers),
    isInArrears: support.some((order) => order.isInArrears),
  });
  const most = over(shareOf(setting.disposable, share), taken);
  const total = sum(wanted);
  const parts = total <= most ? wanted : allocate(most, wanted);
  return new Map(support.map((order, index) => [order, parts[index] ?? ZERO]));
}

/** Another amount than an order comes to is warned about; more than the law allows is refused. */
function overrideIssue(line: string, { amount, reason }: Override, computed: Cents, most: Cents, index: number): Issue {
  const words = { line, amount: showDollars(amount) };
  return amount > most
    ? problem('line.over-law', `employee.garnishments[${index}].override`, { ...words, most: showDollars(most) })
    : warning('line.order-overridden', `employee.garnishments[${index}]`, {
        ...words,
        computed: showDollars(computed),
        reason,
      });
}

/**
 * What each order takes from one check. Source: Consumer Credit Protection Act, 15 U.S.C. §§ 1671-1677; IRC § 6334 and
 * Publication 1494 for a levy. Amounts in cents; an order the limits leave short is a warning, never an error.
 */
export function garnishments(
  orders: readonly Garnishment[],
  setting: Setting,
): { lines: GarnishmentLine[]; issues: Issue[] } {
  const free = inForce(EARNINGS_FREE_OF_GARNISHMENT, setting.checkDate, setting.rules);
  const levy = levyInForce(setting);
  if (!free || !levy) {
    const what = { what: 'garnishment limit', date: setting.checkDate, from: '2024-01-01' };
    return { lines: [], issues: [problem('rule.none-in-force', 'checkDate', what)] };
  }
  const issues: Issue[] = [];
  const ordered = orders
    .map((order, index) => ({ order, index }))
    .sort(
      (a, b) =>
        (a.order.priority ?? GARNISHMENT_KINDS.indexOf(a.order.kind)) -
          (b.order.priority ?? GARNISHMENT_KINDS.indexOf(b.order.kind)) || a.index - b.index,
    );
  let shared: ReadonlyMap<Garnishment, Cents> | null = null;
  const lines: GarnishmentLine[] = [];
  let taken = ZERO;
  for (const { order, index } of ordered) {
    const figure = `garnishment ${index + 1}`;
    const left = over(setting.disposable, taken);
    if (order.kind === 'child-support') shared ??= sharedSupport(orders, setting, taken);
    const most = shared?.get(order) ?? limitOf(order, figure, setting, { free, levy }, taken);
    if (most === null) {
      const what = { what: `limit on garnishment of ${setting.state}`, date: setting.checkDate, from: '2024-01-01' };
      return { lines: [], issues: [...issues, problem('rule.none-in-force', 'checkDate', what)] };
    }
    const wanted = smaller(order.amount ?? most, order.balance ?? (Number.MAX_SAFE_INTEGER as Cents));
    const computed = smaller(smaller(wanted, most), left);
    const { override } = order;
    const amount = override?.amount ?? computed;
    const fee = amount > 0 ? smaller(order.fee, subtract(left, amount)) : ZERO;
    taken = add(taken, amount);
    lines[index] = { kind: order.kind, label: order.label, ordered: wanted, amount, fee };
    if (override) {
      lines[index] = { ...lines[index], computed };
      issues.push(overrideIssue(order.label, override, computed, smaller(most, left), index));
    } else if (amount < wanted)
      issues.push(
        warning('garnishment.limited', `employee.garnishments[${index}]`, {
          order: order.label,
          ordered: showDollars(wanted),
          amount: showDollars(amount),
        }),
      );
    setting.tape?.write(figure, () => ({
      label: order.label,
      value: showDollars(amount),
      how: `${override ? `instead of ${showDollars(computed)}: ${override.reason}; ` : ''}ordered ${showDollars(wanted)}; the law allows ${showDollars(most)} of disposable earnings of ${showDollars(setting.disposable)}${order.kind === 'child-support' ? ` (${showPercent(supportShare(order))}${shared ? ', shared by the orders of support' : ''})` : ''}`,
      ...(FOLLOW_THE_FREE_PART.has(order.kind)
        ? { parameter: shownParameter('Free of garnishment a week', showDollars(free.value), free) }
        : {}),
      isResult: true,
    }));
  }
  return { lines, issues };
}
