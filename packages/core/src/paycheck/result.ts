import type { Issue } from '../issues/issue.js';
import type { Cents } from '../money/cents.js';
import type { TaxCode } from '../taxes/registry.js';

export interface EarningLine {
  readonly item: string;
  readonly label: string;
  readonly amount: Cents;
}
export interface DeductionLine {
  readonly item: string;
  readonly label: string;
  readonly amount: Cents;
}
export interface TaxLine {
  readonly code: TaxCode;
  readonly payer: 'employee' | 'employer';
  /** Wages of the base in this check before its limit. */
  readonly subject: Cents;
  /** The part of them that is taxed. */
  readonly wages: Cents;
  readonly amount: Cents;
}

/** A computed paycheck. With an error among `problems` the amounts are not to be used. */
export interface PaycheckResult {
  readonly gross: Cents;
  readonly net: Cents;
  readonly supplemental: Cents;
  readonly earnings: readonly EarningLine[];
  readonly deductions: readonly DeductionLine[];
  readonly taxes: readonly TaxLine[];
  readonly problems: readonly Issue[];
}
