import type { Cents } from '../money/cents.js';
import type { FilingStatus, Override } from './input.js';

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
  /** For each check, before the limits of law; null: the most the law allows. */
  readonly amount: Cents | null;
  readonly priority: number | null;
  /** Child support: the person supports another spouse or child (15 U.S.C. § 1673(b)(2)). */
  readonly supportsOthers: boolean;
  /** Child support: arrears of more than twelve weeks. */
  readonly isInArrears: boolean;
  /** Federal levy: what the person's statement on Form 668-W says. */
  readonly levy: {
    readonly filingStatus: FilingStatus;
    readonly dependents: number;
    /** How many of: 65 or older, blind, of the person and the spouse. */
    readonly ageOrBlind: number;
  } | null;
  /** Creditor, where the law of the state asks: the person is the head of a family, with so many dependents. */
  readonly isHeadOfFamily: boolean;
  readonly dependents: number;
  /** Creditor: the debt is from consumer credit. */
  readonly isConsumerCredit: boolean;
  /** What the order took from earlier checks of the calendar year. */
  readonly takenThisYear: Cents;
  /** The employer's fee for each check, taken from the person. */
  readonly fee: Cents;
  /** What is still owed. */
  readonly balance: Cents | null;
  readonly override: Override | null;
}
export interface GarnishmentLine {
  readonly kind: GarnishmentKind;
  readonly label: string;
  readonly ordered: Cents;
  readonly amount: Cents;
  readonly fee: Cents;
  /** What the order would take, where another amount is taken instead. */
  readonly computed?: Cents;
}
