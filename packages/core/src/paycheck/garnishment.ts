import type { LocalDate } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { inForce, type OwnRules } from '../jurisdictions/dated.js';
import { EARNINGS_FREE_OF_GARNISHMENT, LEVY_EXEMPTION, STATE_GARNISHMENT } from '../jurisdictions/us/garnishment.js';
import { ZERO, add, cents, larger, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
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

/** 30 × the federal minimum wage for a week, as the Department of Labor multiplies it for longer periods (29 CFR § 870.10). */
function freeOfGarnishment(frequency: PayFrequency, weekly: Cents): Cents {
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

const SUPPORT_SHARE = (order: Garnishment): Rate =>
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

/**
 * What each order takes from one check. Source: Consumer Credit Protection Act, 15 U.S.C. §§ 1671-1677; IRC § 6334 and
 * Publication 1494 for a levy. Amounts in cents; an order the limits leave short is a warning, never an error.
 */
export function garnishments(
  orders: readonly Garnishment[],
  setting: Setting,
): { lines: GarnishmentLine[]; issues: Issue[] } {
  const issues: Issue[] = [];
  const free = inForce(EARNINGS_FREE_OF_GARNISHMENT, setting.checkDate, setting.rules);
  const levy = inForce(LEVY_EXEMPTION, setting.checkDate, setting.rules);
  const ordered = orders
    .map((order, index) => ({ order, index }))
    .sort(
      (a, b) =>
        (a.order.priority ?? GARNISHMENT_KINDS.indexOf(a.order.kind)) -
          (b.order.priority ?? GARNISHMENT_KINDS.indexOf(b.order.kind)) || a.index - b.index,
    );
  const lines: (GarnishmentLine & { index: number })[] = [];
  let taken = ZERO;
  for (const { order, index } of ordered) {
    if (!free || !levy) {
      issues.push(
        problem('rule.none-in-force', 'checkDate', {
          what: 'garnishment limit',
          date: setting.checkDate,
          from: '2024-01-01',
        }),
      );
      break;
    }
    const left = notBelowZero(subtract(setting.disposable, taken));
    const ordinary = smaller(
      round(times(setting.disposable, rate('0.25')), 'down'),
      notBelowZero(subtract(setting.disposable, freeOfGarnishment(setting.frequency, free.value))),
    );
    let most: Cents;
    switch (order.kind) {
      case 'bankruptcy':
        most = left;
        break;
      case 'child-support':
        most = notBelowZero(subtract(round(times(setting.disposable, SUPPORT_SHARE(order)), 'down'), taken));
        break;
      case 'federal-levy': {
        const year = levy.value;
        const standard =
          year.standardDeduction[order.levy?.filingStatus ?? 'married-separately'] ??
          year.standardDeduction['married-separately'] ??
          ZERO;
        const exempt = round(
          dividedBy(
            add(standard, cents(year.eachDependent * (order.levy?.dependents ?? 0))),
            PERIODS_PER_YEAR[setting.frequency],
          ),
          'half-up',
        );
        most = notBelowZero(subtract(left, exempt));
        setting.tape?.write(`garnishment ${index + 1}`, () => ({
          label: 'Exempt from levy',
          value: showDollars(exempt),
          how: `(${showDollars(standard)} + ${order.levy?.dependents ?? 0} × ${showDollars(year.eachDependent)}) ÷ periods`,
          parameter: shownParameter('Publication 1494', showDollars(standard), levy),
        }));
        break;
      }
      case 'state-levy':
        most = notBelowZero(subtract(ordinary, taken));
        break;
      case 'student-loan':
        most = notBelowZero(subtract(smaller(round(times(setting.disposable, rate('0.15')), 'down'), ordinary), ZERO));
        most = smaller(most, notBelowZero(subtract(ordinary, taken)));
        break;
      case 'creditor': {
        most = notBelowZero(subtract(ordinary, taken));
        const own = STATE_GARNISHMENT[setting.state];
        if (own?.isForbidden) most = ZERO;
        if (own?.ofDisposable)
          most = smaller(
            most,
            notBelowZero(subtract(round(times(setting.disposable, own.ofDisposable), 'down'), taken)),
          );
        if (own?.ofGross) most = smaller(most, round(times(setting.gross, own.ofGross), 'down'));
        break;
      }
    }
    const wanted = smaller(order.amount ?? most, order.balance ?? (Number.MAX_SAFE_INTEGER as Cents));
    const amount = smaller(smaller(wanted, larger(most, ZERO)), left);
    const fee = amount > 0 ? smaller(order.fee, subtract(left, amount)) : ZERO;
    taken = add(taken, amount);
    lines.push({ kind: order.kind, label: order.label, ordered: wanted, amount, fee, index });
    if (amount < wanted)
      issues.push(
        warning('garnishment.limited', `employee.garnishments[${index}]`, {
          order: order.label,
          ordered: showDollars(wanted),
          amount: showDollars(amount),
        }),
      );
    setting.tape?.write(`garnishment ${index + 1}`, () => ({
      label: order.label,
      value: showDollars(amount),
      how: `ordered ${showDollars(wanted)}; the law allows ${showDollars(larger(most, ZERO))} of disposable earnings of ${showDollars(setting.disposable)}${order.kind === 'child-support' ? ` (${showPercent(SUPPORT_SHARE(order))})` : ''}`,
      parameter: shownParameter('Free of garnishment a week', showDollars(free.value), free),
      isResult: true,
    }));
  }
  return { lines: lines.sort((a, b) => a.index - b.index).map(({ index: _, ...line }) => line), issues };
}
