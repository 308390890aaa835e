import type { Cents } from '../../money/cents.js';
import type { Bracket } from '../brackets.js';

export type WithholdingStatus = 'married-jointly' | 'single' | 'head-of-household';

/** One year of the percentage method for automated payroll systems (Publication 15-T, section 1). */
export interface FederalWithholdingTable {
  /** Form W-4 from before 2020, or from 2020 on with the step 2 box not checked. */
  readonly standard: Readonly<Record<WithholdingStatus, readonly Bracket[]>>;
  readonly stepTwoChecked: Readonly<Record<WithholdingStatus, readonly Bracket[]>>;
  /** Worksheet 1A line 1g, when the step 2 box is not checked. */
  readonly lineOneG: { readonly 'married-jointly': Cents; readonly otherwise: Cents };
  /** Worksheet 1A line 1k: one allowance of a certificate from before 2020. */
  readonly allowance: Cents;
  /** Added to the wages of a nonresident alien for the computation only, a year. */
  readonly nonresidentAdditionPerYear: { readonly form2020: Cents; readonly pre2020: Cents };
}
