import type { Issue } from '../issues/issue.js';
import type { LeaveMove } from '../leave/accrual.js';
import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { TaxCode } from '../tax-registry/registry.js';
import type { GarnishmentLine } from './orders.js';
import type { CompensationLine } from './work-class.js';

/** What another program withheld for a tax, beside what the rules here come to. */
export interface Variance {
  readonly code: TaxCode;
  readonly withheld: Cents;
  readonly computed: Cents;
}

export interface EarningLine {
  readonly item: string;
  /** The firm's own name of the item; `item` is the standard one it is treated as. */
  readonly name?: string;
  readonly label: string;
  readonly amount: Cents;
  /** The job or customer that the line is booked to, where it names one. */
  readonly job?: string;
}
export interface DeductionLine {
  readonly item: string;
  readonly name?: string;
  readonly label: string;
  readonly amount: Cents;
  /** What the line would come to, where another amount is taken instead. */
  readonly computed?: Cents;
  /** Not taken, and owed: later checks take it. */
  readonly owed?: Cents;
  /** The part of the amount that was owed from earlier checks. */
  readonly arrears?: Cents;
}
export interface TaxLine {
  readonly code: TaxCode;
  readonly payer: 'employee' | 'employer';
  /** Wages of the base in this check before its limit. */
  readonly subject: Cents;
  /** The part of them that is taxed. */
  readonly wages: Cents;
  readonly amount: Cents;
  /** The one rate that the amount is of the wages, where there is one: employer taxes are also computed on the total. */
  readonly rate: Rate | null;
}
/** Amounts of the check that year-end reporting needs and nothing is withheld by. */
export interface Tracked {
  /** Qualified overtime compensation: the premium part (Public Law 119-21, § 70202). */
  readonly qualifiedOvertime: Cents;
  /** Tips that may be qualified tips (§ 70201). */
  readonly qualifiedTips: Cents;
  /** Employee OASDI and HI on tips that the cash of the check did not cover (Form W-2 box 12, A and B). */
  readonly uncollectedOasdi: Cents;
  readonly uncollectedHi: Cents;
  /** Tips among the OASDI wages: those under the base, after the other wages of the check (Form 941 line 5b, W-2 box 7). */
  readonly oasdiTips: Cents;
  /** Employee OASDI and HI that the payer of third-party sick pay withheld (Form 941, line 8). */
  readonly sickPayOasdi: Cents;
  readonly sickPayHi: Cents;
  /** FUTA credit lost on the wages of this check, due with Form 940 (Schedule A), not before. */
  readonly futaCreditReduction: Cents;
}

/** A computed paycheck. With an error among `problems` the amounts are not to be used. */
export interface PaycheckResult {
  /** Pay in cash before deductions; benefits in kind and tips already had are not in it. */
  readonly gross: Cents;
  readonly net: Cents;
  readonly supplemental: Cents;
  readonly earnings: readonly EarningLine[];
  readonly deductions: readonly DeductionLine[];
  readonly employerPaid: readonly DeductionLine[];
  readonly garnishments: readonly GarnishmentLine[];
  readonly taxes: readonly TaxLine[];
  readonly leave: readonly ({ readonly item: string } & LeaveMove)[];
  readonly workersCompensation: CompensationLine | null;
  readonly tracked: Tracked;
  /** Where another program withheld something else than is computed here. */
  readonly variances: readonly Variance[];
  readonly problems: readonly Issue[];
}
