import { PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import type { IssueCode } from '../issues/catalogue.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { ZERO, add, cents, type Cents } from '../money/cents.js';
import { allocate } from '../money/allocate.js';
import type { Rate } from '../money/rate.js';
import { taxOf, type TaxCode, type WageBase } from '../tax-registry/registry.js';
import type { Tape } from '../working/tape.js';
import type { PaycheckInput, WorkPlace } from './input.js';
import type { TaxLine } from './result.js';
import { Wages } from './wages.js';

const ONE_PLACE: readonly Cents[] = [cents(1)];
/** Shares are decimals, so the widest denominator makes whole numbers of all of them. */
function sharesOf(work: readonly WorkPlace[]): readonly Cents[] {
  const whole = work.reduce((widest, place) => Math.max(widest, place.share.d), 1);
  return work.map((place) => cents(Math.round((place.share.n * whole) / place.share.d)));
}

const sameWords = (a: Readonly<Record<string, string>>, b: Readonly<Record<string, string>>): boolean =>
  Object.keys(b).every((name) => a[name] === b[name]);

/** One paycheck being computed: what came in, the wages of each base, and the lines and issues so far. */
export class Check {
  readonly issues: Issue[] = [];
  readonly taxes: TaxLine[] = [];
  readonly periods: number;
  /** People the employer has; infinity when it is not known. */
  readonly employees: number;
  /** Federal income tax on regular and on supplemental wages, without extra withholding. */
  federalOnRegular: Cents = ZERO;
  federalOnSupplemental: Cents = ZERO;
  /** OASDI and HI of the employee in this check. */
  socialInsurance: Cents = ZERO;
  /** The same in the year before it. */
  socialInsuranceToDate: Cents = ZERO;
  /** Employee OASDI and HI on sick pay, which its payer withheld. */
  sickPay: { oasdi: Cents; hi: Cents } = { oasdi: ZERO, hi: ZERO };
  /** FUTA credit lost on the wages of this check. */
  futaCreditReduction: Cents = ZERO;
  /** Income taxes that localities have withheld from the employee so far; fees are not among them. */
  localIncomeTaxes: Cents = ZERO;
  /** States whose localities are done. */
  readonly localDone: string[] = [];
  private readonly weights: readonly Cents[];

  constructor(
    readonly input: PaycheckInput,
    readonly wages: Wages,
    readonly tape: Tape | undefined,
  ) {
    this.periods = PERIODS_PER_YEAR[input.payFrequency];
    this.employees = input.employees ?? Number.POSITIVE_INFINITY;
    this.weights = input.work.length === 1 ? ONE_PLACE : sharesOf(input.work);
  }

  problem(code: IssueCode, field: string, parameters: Record<string, string> = {}): void {
    this.issues.push(problem(code, field, parameters));
  }
  /** Said once: a state and its city ask for the same certificate. */
  warn(code: IssueCode, field: string, parameters: Record<string, string> = {}): void {
    const isSaid = (issue: Issue): boolean =>
      issue.code === code && issue.field === field && sameWords(issue.parameters, parameters);
    if (!this.issues.some(isSaid)) this.issues.push(warning(code, field, parameters));
  }

  /** The row in force on the check date, the firm's own rules first. */
  inForce<T>(rows: readonly Dated<T>[]): Dated<T> | null {
    return inForce(rows, this.input.checkDate, this.input.rules);
  }

  /** The row in force on the check date; without one there is an issue and null. */
  rule<T>(rows: readonly Dated<T>[], what: string, of?: string): Dated<T> | null {
    const row = this.inForce(rows);
    if (!row)
      this.problem('rule.none-in-force', 'checkDate', {
        what: of === undefined ? what : `${of} ${what}`,
        date: this.input.checkDate,
        from: rows[0]?.from ?? 'never',
      });
    return row;
  }

  toDate(base: WageBase, otherwise?: WageBase): Cents {
    // A base without an entry has no wages before this check: the year to date starts empty.
    return (
      this.input.wagesToDate[base] ?? (otherwise === undefined ? ZERO : (this.input.wagesToDate[otherwise] ?? ZERO))
    );
  }

  isExempt(code: TaxCode, other?: TaxCode): boolean {
    const { exemptFrom } = this.input;
    if (exemptFrom.size === 0) return false;
    return exemptFrom.has(code) || (other !== undefined && exemptFrom.has(other));
  }

  push(code: TaxCode, subject: Cents, wages: Cents, amount: Cents, rate: Rate | null = null): void {
    this.taxes.push({ code, payer: taxOf(code).payer, subject, wages, amount, rate });
  }
  /** As push, for a tax that work in several places may bring more than once: its parts are one line. */
  pushPart(code: TaxCode, subject: Cents, wages: Cents, amount: Cents, rate: Rate | null = null): void {
    const known = this.taxes.findIndex((line) => line.code === code);
    const before = this.taxes[known];
    if (!before) {
      this.push(code, subject, wages, amount, rate);
      return;
    }
    this.taxes[known] = {
      ...before,
      subject: add(before.subject, subject),
      wages: add(before.wages, wages),
      amount: add(before.amount, amount),
      // Parts at different rates have no one rate.
      rate: before.rate && rate && before.rate.n * rate.d === rate.n * before.rate.d ? before.rate : null,
    };
  }

  /** The part of an amount that belongs to each place of work; the parts add up to the whole. */
  byPlace(amount: Cents): readonly Cents[] {
    if (this.weights.length === 1) return [amount];
    return amount < 0 ? this.weights.map(() => ZERO) : allocate(amount, this.weights);
  }

  partAt(amount: Cents, index: number): Cents {
    return this.weights.length === 1 ? amount : (this.byPlace(amount)[index] ?? ZERO);
  }
}
