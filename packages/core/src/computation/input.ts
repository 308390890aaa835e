import type { LocalDate } from '../calendar/local-date.js';
import type { PayFrequency } from '../calendar/pay-frequency.js';
import type { DeductionItem, EarningItem, EmployerItem } from '../items/registry.js';
import type { Treatment } from '../items/treatment.js';
import type { OwnRules } from '../jurisdictions/dated.js';
import type { OwnPlaces } from '../jurisdictions/locality.js';
import type { StateCertificate } from '../jurisdictions/state.js';
import type { LeaveHours, LeavePlan } from '../leave/accrual.js';
import type { Cents } from '../money/cents.js';
import type { Rate } from '../money/rate.js';
import type { TaxCode, WageBase } from '../tax-registry/registry.js';
import type { Garnishment } from './orders.js';
import type { EmployerKind, WorkerKind } from './kinds.js';
import type { LeftOut } from './left-out.js';
import type { WorkClass } from './work-class.js';

export const FILING_STATUSES = ['single', 'married-jointly', 'married-separately', 'head-of-household'] as const;
export type FilingStatus = (typeof FILING_STATUSES)[number];
export const MARITAL_STATUSES = ['single', 'married', 'married-at-single-rate'] as const;
export type MaritalStatus = (typeof MARITAL_STATUSES)[number];

interface CertificateBase {
  readonly extraWithholding: Cents;
  readonly exempt: boolean;
  /** The year an exemption was claimed for; it ends on February 15 of the next (Publication 15, section 9). */
  readonly exemptYear: number | null;
  readonly nonresidentAlien: boolean;
  /** A lock-in letter (Form 2800C): exemption is not honoured and less withholding is not allowed. */
  readonly isLockedIn: boolean;
}
/** Form W-4 of 2020 and later; names follow its steps. Amounts are a year's, extra withholding a pay period's. */
export interface Certificate2020 extends CertificateBase {
  readonly form: '2020';
  readonly filingStatus: FilingStatus;
  readonly multipleJobs: boolean;
  readonly dependentCredit: Cents;
  readonly otherIncome: Cents;
  readonly deductions: Cents;
}
export interface CertificatePre2020 extends CertificateBase {
  readonly form: 'pre-2020';
  readonly maritalStatus: MaritalStatus;
  readonly allowances: number;
}
export type FederalCertificate = Certificate2020 | CertificatePre2020;

/** What a firm calls an item of its own; the standard item it is treated as stands beside it. */
export interface OwnItemName {
  readonly name: string;
  readonly label: string;
  /** Null: as the standard item in every base. */
  readonly treatment: Treatment | null;
}
export interface Earning {
  readonly item: EarningItem;
  readonly own: OwnItemName | null;
  readonly hours: Rate | null;
  /** Dollars an hour. */
  readonly rate: Rate | null;
  readonly amount: Cents | null;
  /** The premium part is on the regular rate of the week: all pay for hours worked ÷ those hours (29 CFR § 778.109). */
  readonly isOnRegularRate: boolean;
  /** The job or customer that the line is booked to; null: as the pay of the person is. */
  readonly job: string | null;
}
/** Limits of a deduction besides those of law, and what was taken before. */
export interface DeductionLimits {
  readonly perCheck: Cents | null;
  readonly perYear: Cents | null;
  /** What is still owed on a loan, or missing to a goal. */
  readonly balance: Cents | null;
}
/** Another amount than a line comes to, in this check alone. */
export interface Override {
  readonly amount: Cents;
  readonly reason: string;
  /** Of a deduction: what it leaves of the amount computed is owed, and taken from later checks. */
  readonly isOwed: boolean;
}
export interface Deduction {
  readonly item: DeductionItem;
  readonly own: OwnItemName | null;
  readonly amount: Cents | null;
  /** A share of gross pay instead of an amount. */
  readonly percent: Rate | null;
  readonly limits: DeductionLimits;
  /** Of a health savings account: whose coverage decides about the limit of law; null: a family's. */
  readonly coverage: 'self' | 'family' | null;
  /** Owed from earlier checks: taken besides. */
  readonly arrears: Cents | null;
  readonly override: Override | null;
}
/** Of what is deferred up to a percentage of gross (null: of all of it), the employer adds this share. */
export interface MatchTier {
  readonly percent: Rate;
  readonly upTo: Rate | null;
}
export interface EmployerPaid {
  readonly item: EmployerItem;
  readonly own: OwnItemName | null;
  readonly measure:
    | { readonly is: 'amount'; readonly amount: Cents }
    /** A share of gross pay. */
    | { readonly is: 'percent'; readonly percent: Rate }
    | { readonly is: 'match'; readonly tiers: readonly MatchTier[] };
  readonly perCheck: Cents | null;
  readonly perYear: Cents | null;
  readonly override: Override | null;
}

/** A leave plan with its balance before this check and the date of the check before. */
export interface LeaveAccount {
  readonly plan: LeavePlan;
  readonly balance: LeaveHours;
  readonly lastCheck: LocalDate;
}

/** States by the tests of coverage for work in several states, in the order in which they decide (UIPL 20-04). */
export interface Localization {
  /** All work is here, but for what is incidental to it. */
  readonly localizedIn: string | null;
  readonly baseOfOperations: string | null;
  readonly directedFrom: string | null;
}

/** A place of work and the share of the check's wages earned there. */
export interface WorkPlace {
  readonly state: string;
  readonly localities: readonly string[];
  readonly share: Rate;
  /** The state of the office the person would otherwise come to, when working at home is their own convenience. */
  readonly convenienceOf: string | null;
  /** Whether the certificate of residence in a reciprocal state is on file; null: not said. */
  readonly reciprocityCertificate: boolean | null;
}

/** Everything one paycheck depends on. Made by `readCase`, which has checked every part of it. */
export interface PaycheckInput {
  readonly checkDate: LocalDate;
  readonly payFrequency: PayFrequency;
  /** Rules of the firm's own, in front of the product's. */
  readonly rules: OwnRules | null;
  /** Localities of the firm's own, by state. */
  readonly places: OwnPlaces | null;
  /** Days in a miscellaneous period; 1 for daily pay. Other frequencies do not look at it. */
  readonly daysInPeriod: number;
  readonly worker: WorkerKind;
  readonly birthDate: LocalDate | null;
  /** OASDI wages this employer paid in the year before; null: not known. */
  readonly priorYearWages: Cents | null;
  readonly federal: FederalCertificate;
  readonly work: readonly WorkPlace[];
  readonly residenceState: string;
  readonly residenceLocalities: readonly string[];
  /** The state of unemployment coverage when it is not the only work state. */
  readonly unemploymentState: string | null;
  /** What the localization tests ask, for work in several states. */
  readonly localization: Localization | null;
  readonly stateCertificates: Readonly<Record<string, StateCertificate>>;
  readonly exemptFrom: ReadonlySet<TaxCode>;
  readonly garnishments: readonly Garnishment[];
  readonly leave: readonly LeaveAccount[];
  /** The class of the work under the client's workers' compensation policy. */
  readonly workClass: WorkClass | null;
  readonly employerKind: EmployerKind;
  /** Number of employees, where a premium depends on it. */
  readonly employees: number | null;
  /** The employer's payroll of the quarter, where a rate depends on it. */
  readonly quarterlyPayroll: Cents | null;
  /** Percentages by state, as rates. */
  readonly unemploymentRates: Readonly<Record<string, Rate>>;
  /** The client's own rates of other taxes, by tax code. */
  readonly ownRates: Readonly<Partial<Record<TaxCode, Rate>>>;
  readonly earnings: readonly Earning[];
  readonly deductions: readonly Deduction[];
  readonly employerPaid: readonly EmployerPaid[];
  /** Lines that are not in this check, and are not among those above either. */
  readonly leftOut: readonly LeftOut[];
  readonly supplementalMethod: 'flat' | 'aggregate';
  readonly withholdingMethod: 'percentage' | 'wage-bracket';
  readonly roundWithholdingToDollar: boolean;
  /** The last regular wages and the income tax withheld on them, for supplemental wages paid apart by the aggregate method. */
  readonly lastRegular: { readonly wages: Cents; readonly withheld: Cents } | null;
  /** Taxable wages before this check; wages of a base that is missing here are zero because the year is new. */
  readonly wagesToDate: Readonly<Partial<Record<WageBase, Cents>>>;
  /** Tax before this check, where a tax has a yearly limit in money. */
  readonly taxesToDate: Readonly<Partial<Record<TaxCode, Cents>>>;
  readonly deductionsToDate: Readonly<Record<string, Cents>>;
  /** The same by the firm's own names, where a line has one. */
  readonly ownDeductionsToDate: Readonly<Record<string, Cents>>;
  /** What the employer paid on top before this check, by the firm's own name or the standard item. */
  readonly employerPaidToDate: Readonly<Record<string, Cents>>;
  readonly supplementalToDate: Cents;
  /** Wages, taxes and deductions of the calendar month before this check, for what is due or limited by the month. */
  readonly wagesThisMonth: Cents;
  readonly taxesThisMonth: Readonly<Partial<Record<TaxCode, Cents>>>;
  readonly deductionsThisMonth: Readonly<Record<string, Cents>>;
  /** Of a check that was paid by another program: what it withheld, by tax of the employee. */
  readonly withheld: ReadonlyMap<TaxCode, Cents> | null;
}
