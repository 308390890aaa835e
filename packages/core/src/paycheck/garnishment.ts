import type { LocalDate } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { inForce, type Dated, type OwnRules } from '../jurisdictions/dated.js';
import { sourceOf } from '../jurisdictions/sources/register.js';
import {
  EARNINGS_FREE_OF_GARNISHMENT,
  LEVY_EXEMPTION,
  STATE_GARNISHMENT,
  type StateGarnishment,
} from '../jurisdictions/us/garnishment.js';
import { allocate } from '../money/allocate.js';
import { ZERO, add, cents, notBelowZero, showDollars, smaller, subtract, sum, type Cents } from '../money/cents.js';
import { dividedBy, round, times } from '../money/exact.js';
import { rate, showPercent, type Rate } from '../money/rate.js';
import { shownParameter, type Tape } from '../working/tape.js';

export const GARNISHMENT_KINDS = [
  'bankruptcy',
  'child-support',
  'federal-levy',
  'state-levy',
  'student-loan',
  'creditor',
] as const;
export type GarnishmentKind = (typeof GARNISHMENT_KINDS)[number];

/** An order to withhold, in the order the employer must honour them unless `priority` says otherwise. */
export interface Garnishment {
  readonly kind: GarnishmentKind;
  readonly label: string;
  /** For each check, before the limits of law; null: as much as the law allows. */
  readonly amount: Cents | null;
  readonly priority: number | null;
  /** Child support: the person supports another spouse or child (15 U.S.C. § 1673(b)(2)). */
  readonly supportsOthers: boolean;
  /** Child support: arrears of more than twelve weeks. */
  readonly isInArrears: boolean;
  /** Federal levy: what the person's statement on Form 668-W says. */
  readonly levy: { readonly filingStatus: string; readonly dependents: number } | null;
  /** The employer's fee for each check, taken from the person. */
  readonly fee: Cents;
  /** What is still owed. */
  readonly balance: Cents | null;
}
export interface GarnishmentLine {
  readonly kind: GarnishmentKind;
  readonly label: string;
  readonly ordered: Cents;
  readonly amount: Cents;
  readonly fee: Cents;
}

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
  readonly tape?: Tape | undefined;
}
interface Rules {
  readonly free: Dated<Cents>;
  readonly levy: NonNullable<ReturnType<typeof levyInForce>>;
}
const levyInForce = (setting: Setting) => inForce(LEVY_EXEMPTION, setting.checkDate, setting.rules);

const shareOf = (amount: Cents, by: Rate): Cents => round(times(amount, by), 'down');
const over = (amount: Cents, free: Cents): Cents => notBelowZero(subtract(amount, free));

/** A limit of a state's own, with the minimum wage it follows. */
interface StateLimit {
  readonly words: string;
  readonly amount: Cents;
  readonly wage: Dated<Cents> | null;
}
/** What a state leaves a creditor at most; null: the minimum wage it follows is not known for the day. */
function stateLimits(own: StateGarnishment, setting: Setting): readonly StateLimit[] | null {
  if (own.isForbidden) return [{ words: 'no garnishment for a creditor', amount: ZERO, wage: null }];
  const { disposable, gross, frequency } = setting;
  const limits: StateLimit[] = [];
  if (own.ofDisposable)
    limits.push({
      words: `${showPercent(own.ofDisposable)} of disposable earnings`,
      amount: shareOf(disposable, own.ofDisposable),
      wage: null,
    });
  if (own.ofGross)
    limits.push({ words: `${showPercent(own.ofGross)} of gross pay`, amount: shareOf(gross, own.ofGross), wage: null });
  if (own.free) {
    const { hours, minimumWage, share } = own.free;
    const wage = inForce(minimumWage, setting.checkDate, setting.rules);
    if (!wage) return null;
    const excess = over(disposable, forPeriod(frequency, cents(wage.value * hours)));
    const words = `what is over ${hours} × the minimum wage a week`;
    limits.push(
      share
        ? { words: `${showPercent(share)} of ${words}`, amount: shareOf(excess, share), wage }
        : { words, amount: excess, wage },
    );
  }
  return limits;
}

/** What a creditor may take at most where the work is, before what other orders took; null as for `stateLimits`. */
function creditorLimit(setting: Setting, ordinary: Cents, figure: string): Cents | null {
  const own = STATE_GARNISHMENT[setting.state];
  if (!own) return ordinary;
  const limits = stateLimits(own, setting);
  if (!limits) return null;
  for (const { words, amount, wage } of limits)
    setting.tape?.write(figure, () => ({
      label: `Limit of ${setting.state}: ${words}`,
      value: showDollars(amount),
      how: `${sourceOf(own.source).title}${own.standing === 'verified' ? '' : ', not yet verified'}`,
      ...(wage ? { parameter: shownParameter('Minimum wage', showDollars(wage.value), wage) } : {}),
    }));
  return limits.reduce((least, limit) => smaller(least, limit.amount), ordinary);
}

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
      const { standardDeduction, eachDependent } = levy.value;
      // Without the person's statement a levy is figured as married filing separately with no dependents (Form 668-W).
      const standard = standardDeduction[order.levy?.filingStatus ?? 'married-separately'];
      if (standard === undefined) throw new RangeError('unchecked filing status of a levy');
      const dependents = order.levy?.dependents ?? 0;
      const year = add(standard, cents(eachDependent * dependents));
      const exempt = round(dividedBy(year, PERIODS_PER_YEAR[frequency]), 'half-up');
      tape?.write(figure, () => ({
        label: 'Exempt from levy',
        value: showDollars(exempt),
        how: `(${showDollars(standard)} + ${dependents} × ${showDollars(eachDependent)}) ÷ periods`,
        parameter: shownParameter('Publication 1494', showDollars(standard), levy),
      }));
      return over(left, exempt);
    }
    case 'state-levy':
      return over(ordinary, taken);
    case 'student-loan':
      return smaller(smaller(shareOf(disposable, rate('0.15')), ordinary), over(ordinary, taken));
    case 'creditor': {
      const limit = creditorLimit(setting, ordinary, figure);
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
      const what = { what: `minimum wage of ${setting.state}`, date: setting.checkDate, from: '2024-01-01' };
      return { lines: [], issues: [...issues, problem('rule.none-in-force', 'checkDate', what)] };
    }
    const wanted = smaller(order.amount ?? most, order.balance ?? (Number.MAX_SAFE_INTEGER as Cents));
    const amount = smaller(smaller(wanted, most), left);
    const fee = amount > 0 ? smaller(order.fee, subtract(left, amount)) : ZERO;
    taken = add(taken, amount);
    lines[index] = { kind: order.kind, label: order.label, ordered: wanted, amount, fee };
    if (amount < wanted)
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
      how: `ordered ${showDollars(wanted)}; the law allows ${showDollars(most)} of disposable earnings of ${showDollars(setting.disposable)}${order.kind === 'child-support' ? ` (${showPercent(supportShare(order))}${shared ? ', shared by the orders of support' : ''})` : ''}`,
      parameter: shownParameter('Free of garnishment a week', showDollars(free.value), free),
      isResult: true,
    }));
  }
  return { lines, issues };
}
