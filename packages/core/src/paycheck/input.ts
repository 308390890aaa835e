import type { LocalDate } from '../calendar/local-date.js';
import type { PayFrequency } from '../calendar/pay-frequency.js';
import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { DeductionItem, EarningItem } from '../items/registry.js';
import type { TaxCode, WageBase } from '../taxes/registry.js';

export const FILING_STATUSES = ['single', 'married-jointly', 'married-separately', 'head-of-household'] as const;
export type FilingStatus = (typeof FILING_STATUSES)[number];
export const MARITAL_STATUSES = ['single', 'married', 'married-at-single-rate'] as const;
export type MaritalStatus = (typeof MARITAL_STATUSES)[number];

/** Form W-4 of 2020 and later; names follow its steps. Amounts are a year's, extra withholding a pay period's. */
export interface Certificate2020 {
  readonly form: '2020';
  readonly filingStatus: FilingStatus;
  readonly multipleJobs: boolean;
  readonly dependentCredit: Cents;
  readonly otherIncome: Cents;
  readonly deductions: Cents;
  readonly extraWithholding: Cents;
  readonly exempt: boolean;
  readonly nonresidentAlien: boolean;
}
export interface CertificatePre2020 {
  readonly form: 'pre-2020';
  readonly maritalStatus: MaritalStatus;
  readonly allowances: number;
  readonly extraWithholding: Cents;
  readonly exempt: boolean;
  readonly nonresidentAlien: boolean;
}
export type FederalCertificate = Certificate2020 | CertificatePre2020;

/** A state's certificate by its own field names (see the state's rules). */
export type StateCertificate = Readonly<Record<string, string | number | boolean>>;

export interface Earning {
  readonly item: EarningItem;
  readonly hours: Rate | null;
  /** Dollars an hour. */
  readonly rate: Rate | null;
  readonly amount: Cents | null;
}
export interface Deduction {
  readonly item: DeductionItem;
  readonly amount: Cents;
}

/** Everything one paycheck depends on. Made by `readCase`, which has checked every part of it. */
export interface PaycheckInput {
  readonly checkDate: LocalDate;
  readonly payFrequency: PayFrequency;
  readonly federal: FederalCertificate;
  readonly workState: string;
  readonly residenceState: string;
  readonly stateCertificates: Readonly<Record<string, StateCertificate>>;
  readonly exemptFrom: ReadonlySet<TaxCode>;
  /** Percentages by state, as rates. */
  readonly unemploymentRates: Readonly<Record<string, Rate>>;
  readonly earnings: readonly Earning[];
  readonly deductions: readonly Deduction[];
  readonly supplementalMethod: 'flat' | 'aggregate';
  readonly roundWithholdingToDollar: boolean;
  /** Taxable wages before this check; wages of a base that is missing here are zero because the year is new. */
  readonly wagesToDate: Readonly<Partial<Record<WageBase, Cents>>>;
  readonly supplementalToDate: Cents;
}
