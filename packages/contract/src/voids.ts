import { Amount, Choice, Day, Flag, Id, List, Part, Text, Texts, Whole } from './field.js';
import { ClosedPeriod } from './payrolls.js';
import { ReleaseSlip } from './remittances.js';

export const VOID_STATUSES = ['proposed', 'posted', 'withdrawn'] as const;
export type VoidStatus = (typeof VOID_STATUSES)[number];

export class AskVoid {
  @Texts() paycheckIds!: string[];
  /**
   * Gross pay of one check of an earlier year that the employee gives back this year: the check stands, and social security
   * and Medicare on it are taken back. Left out: the checks are void.
   */
  @Amount({ optional: true }) repaid?: number;
}
export class ProposeVoid extends AskVoid {
  @Text(300, { min: 1 }) reason!: string;
}
/** The people of a posted void are paid again, with the lines they had, less what they kept. */
export class PayAgain {
  @Day() checkDate!: string;
  /** Whose pay it was all along: of a void of one check, the earnings go to this person, and the rest as they usually have it. */
  @Id({ optional: true }) employeeId?: string;
}
/** A posted paycheck that may be voided, or that was. */
export class VoidableCheck {
  @Id() paycheckId!: string;
  @Id() employeeId!: string;
  @Text() number!: string;
  @Text() name!: string;
  @Amount() gross!: number;
  @Amount() net!: number;
  @Choice(['stands', 'proposed', 'void', 'repaid']) standing!: 'stands' | 'proposed' | 'void' | 'repaid';
  /** The void that is proposed or posted. */
  @Id({ nullable: true }) voidId!: string | null;
  /** How it was paid, in words. */
  @Text(300) paid!: string;
  /** What of it was cashed as a check on paper. */
  @Amount() cashed!: number;
  /** The pay that the person has: cashed, or in an account and not asked back. */
  @Amount() kept!: number;
}
export class VoidFigure {
  @Text() label!: string;
  @Choice(['pay', 'tax', 'employer', 'deduction', 'leave']) kind!: 'pay' | 'tax' | 'employer' | 'deduction' | 'leave';
  /** Cents; of leave ten-thousandths of an hour. */
  @Amount() amount!: number;
}
/** What a tax of the check date comes to: open before, open after; below zero it is a credit. */
export class VoidLiability {
  @Text() tax!: string;
  @Text() label!: string;
  @Text() familyLabel!: string;
  @Amount() openBefore!: number;
  @Amount() change!: number;
  @Amount() openAfter!: number;
}
/** What a void would do, before anybody does it. */
export class VoidEffects {
  @List(() => VoidFigure) figures!: VoidFigure[];
  @List(() => VoidLiability) liabilities!: VoidLiability[];
  /** Returns and deposits that have it already. */
  @List(() => ClosedPeriod) closed!: ClosedPeriod[];
  /** What is to be done besides: at the bank, with the person. */
  @List(() => ClosedPeriod) follows!: ClosedPeriod[];
  /** Every check of the payroll that stands is among them. */
  @Flag() isWhole!: boolean;
}
export class VoidsOfPayroll {
  @Id() payrollId!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() einTail!: string;
  @Day() checkDate!: string;
  @Text() kind!: string;
  @List(() => VoidableCheck) checks!: VoidableCheck[];
}
export class VoidView extends VoidsOfPayroll {
  @Id() id!: string;
  @Choice(VOID_STATUSES) status!: VoidStatus;
  @Whole() version!: number;
  @Text(300) reason!: string;
  @Text() preparedBy!: string;
  @Text(200, { nullable: true }) postedBy!: string | null;
  /** Gross pay that is given back; null: the checks are void. */
  @Amount({ nullable: true }) repaid!: number | null;
  /** The employee's part of the taxes taken back: it is theirs, and comes off what they give back. */
  @Amount() refunded!: number;
  /** The payroll with the opposite amounts, once it is posted. */
  @Id({ nullable: true }) voidPayrollId!: string | null;
  /** The payroll in which its people are paid again. */
  @Id({ nullable: true }) againPayrollId!: string | null;
  @Part(() => VoidEffects) effects!: VoidEffects;
  @Part(() => ReleaseSlip) slip!: ReleaseSlip;
}
