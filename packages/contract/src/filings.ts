import { Amount, Choice, Day, Flag, Id, Json, List, Part, Text, Whole } from './field.js';
import { TapeLineView } from './payrolls.js';
import { ProblemDetail } from './problem.js';

export const FILING_STATUSES = ['draft', 'checked', 'released', 'received', 'accepted', 'rejected'] as const;
export type FilingStatus = (typeof FILING_STATUSES)[number];
export const FORMS = ['941', 'W-2'] as const;
export type FormName = (typeof FORMS)[number];

export class CreateFiling {
  @Choice(FORMS) form!: FormName;
  @Whole({ min: 2025, max: 2199 }) year!: number;
  @Whole({ nullable: true, min: 1 }) quarter!: number | null;
}
export class SignFiling {
  @Whole({ min: 1 }) version!: number;
  @Text(5, { min: 5 }) pin!: string;
}
export class ReturnLineView {
  @Text() id!: string;
  @Text(300) label!: string;
  @Whole() value!: number;
  @Choice(['count', 'amount']) kind!: 'count' | 'amount';
  @List(() => TapeLineView) working!: TapeLineView[];
  @Flag() hasEntries!: boolean;
}
export class DayAmount {
  @Day() date!: string;
  @Amount() amount!: number;
}
export class W2Row {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Text() ssnTail!: string;
  @Amount() box1!: number;
  @Amount() box2!: number;
  @Amount() box3!: number;
  @Amount() box4!: number;
  @Amount() box5!: number;
  @Amount() box6!: number;
  @Amount() box7!: number;
  @Amount() box8!: number;
  @Amount() box10!: number;
  @Amount() box11!: number;
  @Text(400) box12!: string;
  @Text(400) box14!: string;
  @Text(200) state!: string;
  @Amount() box16!: number;
  @Amount() box17!: number;
  @Amount() box18!: number;
  @Amount() box19!: number;
  @Text(400) box20!: string;
}
export class FilingEventView {
  @Text() at!: string;
  @Text() stage!: string;
  @Text(40, { nullable: true }) code!: string | null;
  @Text(600) message!: string;
  @Text(200, { nullable: true }) field!: string | null;
  @Whole() attempt!: number;
}
export class FilingRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() einTail!: string;
  @Choice(FORMS) form!: FormName;
  @Whole() year!: number;
  @Whole({ nullable: true }) quarter!: number | null;
  @Choice(FILING_STATUSES) status!: FilingStatus;
  @Whole() attempt!: number;
  @Whole() version!: number;
  @Day() due!: string;
}
export class FilingView extends FilingRow {
  @List(() => ReturnLineView) lines!: ReturnLineView[];
  @List(() => DayAmount, { nullable: true }) scheduleB!: DayAmount[] | null;
  @List(() => W2Row) w2s!: W2Row[];
  @List(() => ProblemDetail) problems!: ProblemDetail[];
  @List(() => FilingEventView) events!: FilingEventView[];
  @Text(200) preparedBy!: string;
  @Text(200, { nullable: true }) signedBy!: string | null;
  @Text(200, { nullable: true }) submissionId!: string | null;
  @Id({ nullable: true }) documentId!: string | null;
  @Text(300, { nullable: true }) delivery!: string | null;
  @Flag() isSnapshot!: boolean;
}
export class LedgerEntryView {
  @Text() id!: string;
  @Text() tax!: string;
  @Text() label!: string;
  @Text() cause!: string;
  @Day() liabilityDate!: string;
  @Day() effectiveDate!: string;
  @Text(200, { nullable: true }) employee!: string | null;
  @Amount() subject!: number;
  @Amount() wages!: number;
  @Amount() amount!: number;
  @Id({ nullable: true }) payrollId!: string | null;
  @Id({ nullable: true }) remittanceId!: string | null;
}
export class TieOutDifferenceView {
  @Text() from!: string;
  @Text() to!: string;
  @Amount() amount!: number;
  @Choice(['rounding', 'to-fix']) cause!: 'rounding' | 'to-fix';
  @Text() says!: string;
}
/** What is still to be deposited, and is not due yet or on its way. */
export class PendingView {
  @Amount() amount!: number;
  @Text() says!: string;
}
export class TieOutRowView {
  @Text() key!: string;
  @Text() label!: string;
  @Text() group!: string;
  @Json() stations!: Record<string, number | null>;
  @List(() => TieOutDifferenceView) differences!: TieOutDifferenceView[];
  @Part(() => PendingView, { nullable: true }) pending!: PendingView | null;
}
export class TieOutView {
  @Whole() year!: number;
  @Whole({ nullable: true }) quarter!: number | null;
  @List(() => TieOutRowView) rows!: TieOutRowView[];
}
export class Rung {
  @Text() key!: string;
  @Choice(['payroll', 'deposit', 'return', 'wage-statements']) kind!:
    'payroll' | 'deposit' | 'return' | 'wage-statements';
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() title!: string;
  @Day() sendBy!: string;
  @Day() due!: string;
  @Amount({ nullable: true }) amount!: number | null;
  @Text() standing!: string;
  @Text(300) move!: string;
  @Flag() isLate!: boolean;
  @Text() path!: string;
}
export class AuditRow {
  @Whole() seq!: number;
  @Text() at!: string;
  @Text() by!: string;
  @Text() action!: string;
  @Text() subject!: string;
  @Json() detail!: Record<string, unknown>;
}
export class AuditVerification {
  @Whole() entries!: number;
  /** The first entry that does not fit the chain; null when all do. */
  @Whole({ nullable: true }) brokenAt!: number | null;
}
