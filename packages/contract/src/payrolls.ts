import { Amount, Choice, Day, Flag, Id, Json, List, Part, Text, Texts, Whole } from './field.js';
import { ProblemDetail } from './problem.js';

export const PAYROLL_STATUSES = ['open', 'reviewed', 'posted'] as const;
export type PayrollStatus = (typeof PAYROLL_STATUSES)[number];

/**
 * `recorded`: already paid by another program, recorded for the books with what that withheld. `brought-in`: paid
 * elsewhere before the client was taken over. `void`: the opposite of posted checks of another payroll.
 */
export const PAYROLL_KINDS = ['regular', 'extra', 'recorded', 'brought-in', 'void'] as const;
export type PayrollKind = (typeof PAYROLL_KINDS)[number];

export class CreatePayroll {
  @Day() periodStart!: string;
  @Day() periodEnd!: string;
  @Day() checkDate!: string;
  @Choice(['regular', 'extra', 'recorded']) kind!: 'regular' | 'extra' | 'recorded';
  /** The name of the pay schedule; blank for the main one. */
  @Text(30, { optional: true }) schedule?: string;
  /** A payroll of the client whose lines are typed again: whom it pays and what they get. */
  @Id({ optional: true }) copyOf?: string;
}
/** What the earnings of a posted check should have been. */
export class AskDifference {
  @Id() paycheckId!: string;
  @List(() => EntryEarning, { most: 40 }) earnings!: EntryEarning[];
}
/** Pays what a posted check should have had more, in a payroll of its own. */
export class PayDifference extends AskDifference {
  @Day() checkDate!: string;
}
/** Moves the people of a department, location or cost center into a payroll of their own, with what was typed for them. */
export class SplitPayroll {
  @Whole({ min: 1 }) version!: number;
  @Choice(['department', 'location', 'costCentre']) by!: 'department' | 'location' | 'costCentre';
  @Text(60, { min: 1 }) name!: string;
}
export class EntryEarning {
  @Text(40) item!: string;
  @Text(14, { optional: true }) hours?: string;
  @Text(14, { optional: true }) rate?: string;
  @Text(14, { optional: true }) amount?: string;
  /** Instead of an amount: what the line is to leave in net pay. The amount that does is found and kept. */
  @Text(14, { optional: true }) net?: string;
  /** The job or customer that the line is booked to; left out: as the pay of the person is. */
  @Text(30, { min: 1, optional: true }) job?: string;
}
export class MatchStep {
  @Text(14) percent!: string;
  /** Percent of gross up to which it holds. */
  @Text(14, { optional: true }) upTo?: string;
}
export class EntryDeduction {
  @Text(40) item!: string;
  @Text(14, { optional: true }) amount?: string;
  /** Of gross, instead of an amount. */
  @Text(14, { optional: true }) percent?: string;
  @Text(14, { optional: true }) perCheck?: string;
  @Text(14, { optional: true }) perYear?: string;
  @Text(14, { optional: true }) balance?: string;
  /** Of a health savings account: whom the health plan covers, `self` or `family`. */
  @Text(6, { optional: true }) coverage?: string;
  /** Owed from earlier checks, and taken besides. */
  @Text(14, { optional: true }) arrears?: string;
  /** Of what the employer pays: a match of what is deferred. */
  @List(() => MatchStep, { optional: true, most: 6 }) match?: MatchStep[];
}
/** A line of the person that is not in this check: `order:LABEL` or `item:CODE`. */
export class LeftOutLine {
  @Text(120, { min: 1 }) line!: string;
  @Text(120, { min: 1 }) reason!: string;
}
/** A line of which this check takes another amount: `order:LABEL` or `item:CODE`. */
export class OverriddenLine {
  @Text(120, { min: 1 }) line!: string;
  @Text(14, { min: 1 }) amount!: string;
  @Text(120, { min: 1 }) reason!: string;
  /** Of a deduction: what it leaves is owed, and taken from later checks. */
  @Flag({ optional: true }) isOwed?: boolean;
}
/** What another program withheld from a check that is only recorded here; or an income tax overridden for a reason. */
export class WithheldLine {
  @Text(40, { min: 1 }) tax!: string;
  @Text(14, { min: 1 }) amount!: string;
  /** Why a tax of a payroll that is paid here is another than is computed. */
  @Text(120, { optional: true }) reason?: string;
}
export class CheckDifferenceRow {
  @Text(200) label!: string;
  @Choice(['pay', 'withheld', 'employer', 'deduction']) kind!: 'pay' | 'withheld' | 'employer' | 'deduction';
  @Amount() posted!: number;
  @Amount() should!: number;
}
/** A posted check beside the same check as it should have been, with the records and the year to date of then. */
export class CheckDifference {
  @Text(200) name!: string;
  @Day() checkDate!: string;
  /** What was typed. */
  @List(() => EntryEarning) typed!: EntryEarning[];
  @List(() => CheckDifferenceRow) rows!: CheckDifferenceRow[];
  /** The lines that pay the difference; none where a line is less than was paid. */
  @List(() => EntryEarning) lines!: EntryEarning[];
  /** Less was owed than was paid, in a line or in all. */
  @Flag() isOverpaid!: boolean;
  @Texts() problems!: string[];
}
/** What was typed as a line and not understood. */
export class UnreadLine {
  @Choice(['line', 'also']) column!: 'line' | 'also';
  @Text(400, { min: 1 }) text!: string;
  @Text(600) why!: string;
}
export class PayrollEntry {
  @Id() employeeId!: string;
  @Flag() isPaid!: boolean;
  @List(() => EntryEarning, { most: 40 }) earnings!: EntryEarning[];
  @List(() => EntryDeduction, { most: 40 }) deductions!: EntryDeduction[];
  @List(() => LeftOutLine, { optional: true, most: 40 }) leftOut?: LeftOutLine[];
  @List(() => OverriddenLine, { optional: true, most: 40 }) overridden?: OverriddenLine[];
  @List(() => WithheldLine, { optional: true, most: 60 }) withheld?: WithheldLine[];
  /** It stays with the entry and holds the review until it is corrected or cleared. */
  @Part(() => UnreadLine, { optional: true }) unread?: UnreadLine;
}
/** What was typed, of those whose lines changed: the lines of the others stay. */
export class SavePayroll {
  @Whole({ min: 1 }) version!: number;
  @List(() => PayrollEntry) entries!: PayrollEntry[];
}
/** How far a payroll is: what somebody who has it open asks while another person may work on it too. */
export class LatestPayroll {
  @Whole({ min: 1 }) version!: number;
  @Choice(PAYROLL_STATUSES) status!: PayrollStatus;
  /** Who changed it last. */
  @Text(200) by!: string;
  @Flag() isOwn!: boolean;
}
export class AtVersion {
  @Whole({ min: 1 }) version!: number;
}
export class ReviewPayroll extends AtVersion {
  /** What was asked and looked at twice: it is not asked again. */
  @Texts({ optional: true }) confirmed?: string[];
}
export class PostPayroll extends AtVersion {
  /** Why it is posted although a return or a deposit of its days has left. */
  @Text(300, { optional: true }) closedReason?: string;
}
/** Something that has left already and does not have what is posted now. */
export class ClosedPeriod {
  @Text(300) what!: string;
  @Text(300) follows!: string;
}
export class TaxFigure {
  @Text() code!: string;
  @Text() payer!: string;
  @Amount() subject!: number;
  @Amount() wages!: number;
  @Amount() amount!: number;
}
export class ItemFigure {
  @Text() item!: string;
  @Text(200, { optional: true }) name?: string;
  @Text() label!: string;
  @Amount() amount!: number;
  @Text(30, { optional: true }) job?: string;
  /** Of a deduction: what it would come to, where another amount is taken instead. */
  @Amount({ optional: true }) computed?: number;
  /** Not taken, and owed. */
  @Amount({ optional: true }) owed?: number;
  /** The part that was owed from earlier checks. */
  @Amount({ optional: true }) arrears?: number;
}
export class OrderFigure {
  @Text() kind!: string;
  @Text() label!: string;
  @Amount() amount!: number;
  @Amount() fee!: number;
  @Amount({ optional: true }) computed?: number;
}
/** A tax of which another program withheld something else than is computed here. */
export class VarianceView {
  @Text() code!: string;
  @Text() label!: string;
  @Amount() withheld!: number;
  @Amount() computed!: number;
}
/** One check's move of a leave balance, in hours. */
export class LeaveView {
  @Text() item!: string;
  @Text() before!: string;
  @Text() accrued!: string;
  @Text() used!: string;
  /** Lost at the reset, or over the maximum. */
  @Text() lost!: string;
  @Text() balance!: string;
}
export class PaycheckView {
  @Id({ nullable: true }) id!: string | null;
  /** The payroll that voided it. */
  @Id({ optional: true }) voidedBy?: string;
  @Amount() gross!: number;
  @Amount() net!: number;
  @List(() => ItemFigure) earnings!: ItemFigure[];
  @List(() => ItemFigure) deductions!: ItemFigure[];
  @List(() => ItemFigure) employerPaid!: ItemFigure[];
  @List(() => OrderFigure) garnishments!: OrderFigure[];
  @List(() => TaxFigure) taxes!: TaxFigure[];
  @List(() => VarianceView, { optional: true }) variances?: VarianceView[];
  /** Of a check that is not posted. */
  @List(() => LeaveView, { optional: true }) leave?: LeaveView[];
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}
export class PayrollPerson extends PayrollEntry {
  @Text() number!: string;
  @Text() name!: string;
  @Text() workState!: string;
  /** Where the work is booked, as on the check date; blank where nothing is said. */
  @Text() department!: string;
  @Text() location!: string;
  @Text() costCentre!: string;
  /** The case of this person without earnings and deductions; the worker adds them and computes. */
  @Json() base!: Record<string, unknown>;
  @Part(() => PaycheckView) paycheck!: PaycheckView;
  @Amount({ nullable: true }) previousGross!: number | null;
  /** What there is to say of the person in this payroll; else blank. */
  @Text(300) note!: string;
}
export class EmployerTaxView {
  @Text() tax!: string;
  @Text() label!: string;
  @Amount() wages!: number;
  @Amount() amount!: number;
}
/** Pay and what the employer adds to it, booked to a job or customer; blank for what belongs to none. */
export class JobCostView {
  @Text() job!: string;
  @Amount() gross!: number;
  @Amount() employerTaxes!: number;
  @Amount() employerPaid!: number;
}
/** The same of the posted checks of a quarter or a year. */
export class JobCostOfPeriod extends JobCostView {
  @Whole() people!: number;
}
export class JournalLineView {
  @Text() account!: string;
  @Text() label!: string;
  @Text() detail!: string;
  @Amount() amount!: number;
}
export class PayrollRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Day() periodStart!: string;
  @Day() periodEnd!: string;
  @Day() checkDate!: string;
  @Choice(PAYROLL_KINDS) kind!: PayrollKind;
  @Choice(PAYROLL_STATUSES) status!: PayrollStatus;
  @Whole() people!: number;
  @Amount() gross!: number;
  @Amount() net!: number;
  @Whole() version!: number;
  /** The name of its pay schedule; blank for the main one. */
  @Text(30) schedule!: string;
  /** Which part of a split payroll it is, like `Kitchen`; blank: the whole, or what is left of it. */
  @Text(60) part!: string;
  /** Every check of it is void. */
  @Flag() isVoid!: boolean;
  /** The payroll that it takes back; of a void only. */
  @Id({ nullable: true }) voids!: string | null;
}
export class PayrollView extends PayrollRow {
  @Text() clientName!: string;
  @Text() einTail!: string;
  @Text() payFrequency!: string;
  @List(() => PayrollPerson) persons!: PayrollPerson[];
  /** Rows of the firm's rule packs that hold on the check date, `rules` and `places`; the worker computes with them. */
  @Json() own!: Record<string, unknown>;
  @List(() => EmployerTaxView) employerTaxes!: EmployerTaxView[];
  @List(() => JournalLineView) journal!: JournalLineView[];
  /** Empty where nothing is booked to a job. */
  @List(() => JobCostView) jobs!: JobCostView[];
  /** Returns released and deposits made that this payroll would come after. */
  @List(() => ClosedPeriod) closed!: ClosedPeriod[];
  @Text(300, { nullable: true }) closedReason!: string | null;
  /** Columns of the sheet that are always there for the client, by pay item; `rate` is one too. */
  @Texts() columns!: string[];
}
export class KeepSheetColumns {
  @Texts() columns!: string[];
}
export class PayrollSuggestion {
  /** The name of the pay schedule; blank for the main one. */
  @Text(30) schedule!: string;
  /** The names of all, where there are several. */
  @Texts() schedules!: string[];
  @Day() periodStart!: string;
  @Day() periodEnd!: string;
  @Day() checkDate!: string;
  @Text(300) why!: string;
}
export class TapeLineView {
  @Text() label!: string;
  @Text() value!: string;
  @Text(300, { optional: true }) how?: string;
  @Text(300, { optional: true }) rounding?: string;
  @Flag({ optional: true }) isResult?: boolean;
  @Json({ optional: true }) parameter?: Record<string, unknown>;
}
export class WorkingView {
  @Text() title!: string;
  @List(() => TapeLineView) lines!: TapeLineView[];
}
export const REVIEW_KINDS = ['first', 'missing', 'moved', 'same'] as const;
/** A person's check against the one before: what moved, why, and whether it is unlike the last ones. */
export class ReviewRow {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Choice(REVIEW_KINDS) kind!: (typeof REVIEW_KINDS)[number];
  @Amount() gross!: number;
  @Amount() net!: number;
  @Amount() grossChange!: number;
  @Amount() netChange!: number;
  @Texts() causes!: string[];
  @Text(200, { nullable: true }) unusual!: string | null;
}
/** Money that the payroll asks for, and when: pay on its check date, each deposit on its day. */
export class CashNeed {
  @Text() what!: string;
  @Day({ nullable: true }) day!: string | null;
  @Amount() amount!: number;
}
/** One way to withhold income tax from supplemental pay. Cents. */
export class SupplementalWay {
  @Choice(['flat', 'aggregate']) method!: 'flat' | 'aggregate';
  @Amount() amount!: number;
  /** Income taxes of the whole check. */
  @Amount() incomeTax!: number;
  @Amount() net!: number;
  /** Why it cannot be worked out; blank: it can. */
  @Text(300) problem!: string;
}
export class SupplementalView {
  @Id() employeeId!: string;
  @Text(200) name!: string;
  /** The way of the client. */
  @Choice(['flat', 'aggregate']) chosen!: 'flat' | 'aggregate';
  @List(() => SupplementalWay) ways!: SupplementalWay[];
}
export class ReviewView {
  /** The check date of the payroll that most people were last paid in; null where there is none. */
  @Day({ nullable: true }) against!: string | null;
  /** Who moved, by the money at stake; then who did not. */
  @List(() => ReviewRow) rows!: ReviewRow[];
  @List(() => CashNeed) cash!: CashNeed[];
  /** Checks with supplemental pay, both ways; none once the payroll is posted. */
  @List(() => SupplementalView) supplemental!: SupplementalView[];
  /** Gross pay, employer taxes and what the employer pays besides. */
  @Amount() cost!: number;
}

/** A tax of a posted check as it was posted, and as the records and rules of today work it out. Cents. */
export class RecomputedTax {
  @Text(40) tax!: string;
  @Text(200) label!: string;
  @Choice(['employee', 'employer']) payer!: 'employee' | 'employer';
  @Amount() posted!: number;
  @Amount() now!: number;
}
export class RecomputedCheck {
  @Id() payrollId!: string;
  @Id() employeeId!: string;
  @Text(200) name!: string;
  @Day() checkDate!: string;
  @List(() => RecomputedTax) taxes!: RecomputedTax[];
  /** What has changed in the records since: `Form W-4`, `unemployment rate`. */
  @Texts() causes!: string[];
  /** Why it cannot be worked out any more; blank: it can. */
  @Text(500) problem!: string;
}
export class RecomputedTotal extends RecomputedTax {
  /** Checks in which it moves. */
  @Whole() checks!: number;
}
/** The posted checks of a year worked out again. Nothing that was posted changes. */
export class RecomputedView {
  @Whole() year!: number;
  @Whole() looked!: number;
  @List(() => RecomputedTotal) totals!: RecomputedTotal[];
  @List(() => RecomputedCheck) checks!: RecomputedCheck[];
  /** A rate of the employer moves them, or something else: how a correction of it would say that it was found. */
  @Choice(['rate', 'review']) foundBy!: 'rate' | 'review';
  /** Checks that move and are not listed. */
  @Whole() more!: number;
  /** Returns that were filed with the posted figures. */
  @List(() => ClosedPeriod) closed!: ClosedPeriod[];
}
