import {
  IDENTIFICATIONS,
  PAYMENT_METHODS,
  type Identification,
  type PaymentMethod,
} from '@zakat/core/deposits/agency-payments';
import { Amount, Choice, Day, Flag, Id, List, Part, Text, Whole } from './field.js';
import { ProblemDetail } from './problem.js';

export const REMITTANCE_STATUSES = ['planned', 'approved', 'released', 'settled', 'returned', 'withdrawn'] as const;
export type RemittanceStatus = (typeof REMITTANCE_STATUSES)[number];

export class LiabilityView {
  @Text() tax!: string;
  @Text() label!: string;
  @Day() liabilityDate!: string;
  @Amount() owed!: number;
  @Amount() underWay!: number;
}
/** A way to make a deposit that ACH can no longer make in time. */
export class LateWayView {
  @Text() label!: string;
  @Day() settles!: string;
  @Whole() daysLate!: number;
  @Amount() penalty!: number;
  @Text(200) rule!: string;
  @Text(300) how!: string;
}
export class ReliefView {
  @Text() label!: string;
  @Text(400) needs!: string;
  @Text() source!: string;
}
/** What it costs that a deposit is late, and what is left to do. */
export class LateDeposit {
  /** The cheapest first. */
  @List(() => LateWayView) ways!: LateWayView[];
  /** Of it what was withheld from people: for that whoever is responsible answers in person. */
  @Amount() withheld!: number;
  @List(() => ReliefView) relief!: ReliefView[];
}
/** Liabilities that one deposit pays together: same agency, same family of taxes, same due date. */
export class DepositView {
  /** Nothing to pay: what was deposited beyond what is owed. */
  @Flag() isCredit!: boolean;
  @Text() family!: string;
  @Text() familyLabel!: string;
  @Text() agency!: string;
  @Text() agencyName!: string;
  /** Null: the day is not known until the question is answered. */
  @Day({ nullable: true }) due!: string | null;
  @Day({ nullable: true }) sendBy!: string | null;
  /** The last day on which the bank can still make it; null without a due date. */
  @Day({ nullable: true }) lastToSend!: string | null;
  @Day() settles!: string;
  @Text(400) rule!: string;
  @Part(() => ProblemDetail, { nullable: true }) question!: ProblemDetail | null;
  @Amount() owed!: number;
  @Amount() underWay!: number;
  @Flag() isLate!: boolean;
  /** Null where it is not late, or where no penalty of the agency is loaded. */
  @Part(() => LateDeposit, { nullable: true }) late!: LateDeposit | null;
  @List(() => LiabilityView) liabilities!: LiabilityView[];
}
export class PlanItem {
  @Text(20) tax!: string;
  @Day() liabilityDate!: string;
}
export class PlanRemittance {
  @List(() => PlanItem, { most: 2000 }) items!: PlanItem[];
  @Id() bankAccountId!: string;
  @Day() settles!: string;
}
export class TaxTypeView {
  @Text(20) family!: string;
  @Text(5) code!: string;
}
/** How the firm pays an agency. */
export class AgencyPaymentFields {
  @Choice(PAYMENT_METHODS) method!: PaymentMethod;
  @Text(22) name!: string;
  @Text(9) routing!: string;
  @Text(17) account!: string;
  @Choice(IDENTIFICATIONS) identification!: Identification;
  /** The number under which the agency takes debit instructions from the firm; blank where it takes none. */
  @Text(10) filerNumber!: string;
  /** Where checks are mailed, lines apart; blank where none is. */
  @Text(200) mailTo!: string;
  /** Where the agency wants another code than the usual one. */
  @List(() => TaxTypeView, { most: 20 }) taxTypes!: TaxTypeView[];
}
export class SaveAgencyPayment extends AgencyPaymentFields {
  /** 0 where nothing was said before. */
  @Whole({ min: 0 }) version!: number;
}
export class PaidFamilyView {
  @Text() family!: string;
  @Text() label!: string;
  /** The code that a payment has while nothing else is said. */
  @Text() usualTaxType!: string;
}
export class AgencyPaymentView extends SaveAgencyPayment {
  @Text() agency!: string;
  @Text() agencyName!: string;
  /** Blank for a federal agency. */
  @Text() state!: string;
  @List(() => PaidFamilyView) families!: PaidFamilyView[];
  /** Clients that owe it, or have an account with it. */
  @Whole() clients!: number;
}
/** That a planned payment was made on the agency's own site, by check or by somebody else. */
export class RecordPaid {
  @Whole({ min: 1 }) version!: number;
  @Day() paidOn!: string;
  @Text(60, { min: 1 }) confirmation!: string;
}
/** Takes back that a payment was made elsewhere. */
export class UnrecordPaid {
  @Whole({ min: 1 }) version!: number;
  @Text(200, { min: 3 }) reason!: string;
}
export class RemittanceItemView extends PlanItem {
  @Text() label!: string;
  @Amount() amount!: number;
}
export class RemittanceRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() einTail!: string;
  @Text() reference!: string;
  @Text() agencyName!: string;
  @Text() familyLabel!: string;
  @Amount() amount!: number;
  @Day() due!: string;
  @Day() settles!: string;
  @Choice(REMITTANCE_STATUSES) status!: RemittanceStatus;
  @Whole() version!: number;
  @Text(300, { nullable: true }) confirmation!: string | null;
  @Text(300, { nullable: true }) returnedReason!: string | null;
}
/** The release slip: what an irreversible act does, in words, with the checks it passed. */
export class SlipCheck {
  @Text(300) label!: string;
  @Flag() isPassed!: boolean;
  @Text(400) says!: string;
}
export class SlipFigure {
  @Text() label!: string;
  @Text(200) value!: string;
}
export class ReleaseSlip {
  @Text() title!: string;
  @Text() act!: string;
  @Amount({ nullable: true }) amount!: number | null;
  @List(() => SlipFigure) figures!: SlipFigure[];
  @Text(600) leaves!: string;
  @Text(600) becomesImpossible!: string;
  @Text(600) wayBack!: string;
  @List(() => SlipCheck) checks!: SlipCheck[];
  @Flag() mayRelease!: boolean;
  @Text(60000) file!: string;
}
/** A check on paper that pays an agency. */
export class CheckOfRemittance {
  @Id() id!: string;
  @Whole() number!: number;
  @Text(20) status!: string;
}
/** Prints the check of an approved payment, with its voucher. */
export class PrintAgencyCheck {
  @Id({ optional: true }) printerId?: string;
  @Whole({ min: 1, max: 999_999_999 }) number!: number;
  @Choice(['top', 'middle', 'bottom']) position!: 'top' | 'middle' | 'bottom';
}
export class RemittanceView extends RemittanceRow {
  @List(() => RemittanceItemView) items!: RemittanceItemView[];
  @Text() preparedBy!: string;
  @Text(200, { nullable: true }) approvedBy!: string | null;
  @Text(200, { nullable: true }) releasedBy!: string | null;
  @Text() bankAccount!: string;
  @Text(200, { nullable: true }) delivery!: string | null;
  @Choice(PAYMENT_METHODS) method!: PaymentMethod;
  @Day({ nullable: true }) paidElsewhereOn!: string | null;
  /** A check for it that is out. */
  @Id() bankAccountId!: string;
  @Part(() => CheckOfRemittance, { nullable: true }) check!: CheckOfRemittance | null;
}
