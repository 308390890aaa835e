import { Amount, Choice, Day, Flag, Id, Json, List, Part, Text, Texts, Whole } from './field.js';
import { TapeLineView } from './payrolls.js';
import { ProblemDetail } from './problem.js';

export const FILING_STATUSES = ['draft', 'checked', 'released', 'received', 'accepted', 'rejected'] as const;
export type FilingStatus = (typeof FILING_STATUSES)[number];
export class CreateFiling {
  /** Code of the kind, `us-941`. */
  @Text(60, { min: 1 }) kind!: string;
  /** `2026`, `2026-Q1` or `2026-03`, as the kind has periods. */
  @Text(10, { min: 4 }) period!: string;
}
/** A balance that is paid with the return. */
export class PayWithReturn {
  @Id() bankAccountId!: string;
  @Day() on!: string;
}
export class SignFiling {
  @Whole({ min: 1 }) version!: number;
  /** Blank: the firm signs as reporting agent. */
  @Text(5) pin!: string;
  @Part(() => PayWithReturn, { nullable: true }) payment!: PayWithReturn | null;
}
export class EnteredAmount {
  @Text(30) name!: string;
  @Amount() amount!: number;
}
/** Amounts on the return that no ledger knows. */
export class EnterAmounts {
  @Whole({ min: 1 }) version!: number;
  @List(() => EnteredAmount, { most: 50 }) amounts!: EnteredAmount[];
}
export class AnsweredQuestion {
  @Text(30, { min: 1 }) name!: string;
  @Text(2000) answer!: string;
}
export class AnswerQuestions {
  @Whole({ min: 1 }) version!: number;
  @List(() => AnsweredQuestion, { most: 30 }) answers!: AnsweredQuestion[];
}
export class QuestionChoice {
  @Text() value!: string;
  @Text(300) label!: string;
}
/** Something that a return asks in words. */
export class AskedQuestionView extends AnsweredQuestion {
  @Text(300) label!: string;
  @Text(300) help!: string;
  @Choice(['choice', 'day', 'text']) kind!: 'choice' | 'day' | 'text';
  @List(() => QuestionChoice) choices!: QuestionChoice[];
}
/** A line of an accepted return as it was filed and as the ledger has it now. */
export class FiledLine {
  @Text() id!: string;
  @Text(300) label!: string;
  @Choice(['count', 'amount']) kind!: 'count' | 'amount';
  @Whole() filed!: number;
  @Whole() now!: number;
}
export class CorrectionRef {
  @Id() id!: string;
  @Text() title!: string;
  @Choice(FILING_STATUSES) status!: FilingStatus;
}
/** Somebody who gets a copy of a corrected statement. */
export class StatementCopy {
  @Id() employeeId!: string;
  @Text() name!: string;
}
/** How an accepted filing is put right. */
export class CorrectionView {
  @Text(40) kind!: string;
  @Text() name!: string;
  /** Lines, or people, that differ from what was accepted. */
  @Whole() differs!: number;
  @List(() => FiledLine) lines!: FiledLine[];
  /** Corrections of it, the first one first. */
  @List(() => CorrectionRef) corrections!: CorrectionRef[];
}
export class ReturnLineView {
  @Text() id!: string;
  @Text(300) label!: string;
  @Whole() value!: number;
  @Choice(['count', 'amount']) kind!: 'count' | 'amount';
  @List(() => TapeLineView) working!: TapeLineView[];
  /** Codes of the taxes whose ledger entries make it, with commas between; null: none do. */
  /** The same line of the period before, where one was prepared here; null: there is none. */
  @Whole({ nullable: true }) before!: number | null;
  @Text(400, { nullable: true }) taxes!: string | null;
  @Choice(['liabilities', 'payments'], { nullable: true }) of!: 'liabilities' | 'payments' | null;
}
export class FilingColumn {
  @Text() label!: string;
  @Choice(['text', 'day', 'amount']) kind!: 'text' | 'day' | 'amount';
}
/** Rows that belong to a return beside its lines, such as a schedule. */
export class FilingTableView {
  @Text() title!: string;
  @List(() => FilingColumn) columns!: FilingColumn[];
  /** Cells in the order of the columns; days as text, amounts in cents. */
  @Json() rows!: (string | number)[][];
  /** Its rows are not added up. */
  @Flag() isList!: boolean;
}
export class AskedAmountView extends EnteredAmount {
  @Text() line!: string;
  @Text(300) label!: string;
  @Text(300) help!: string;
}
/** What is still owed with a return, and how it is paid with it. */
export class ReturnBalance {
  @Amount() amount!: number;
  @Text(200, { nullable: true }) from!: string | null;
  @Day({ nullable: true }) on!: string | null;
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
  /** Somebody here; not of a file that was filed elsewhere with people who never came here. */
  @Flag() isHere!: boolean;
}
/** A wage file that somebody else filed. */
export class TakeInWageFile {
  @Text(120, { min: 1 }) fileName!: string;
  /** Bytes in base64. */
  @Text(12_000_000, { min: 1 }) content!: string;
}
export class TakenInWageFile {
  @Id() id!: string;
  @Whole() year!: number;
  @Whole() statements!: number;
  /** People of the file who are nobody's employee here. */
  @Texts() strangers!: string[];
  /** Records of states that are in the file and were not read: boxes 15 to 17 stand as they stood. */
  @Whole() stateRecords!: number;
}
/** One box of a statement as it was filed, in cents: `1`, `12 D`, `16 NY`. */
export class FiledBox {
  @Text(60, { min: 1 }) box!: string;
  @Amount() amount!: number;
}
export class FiledStatement {
  @Id() employeeId!: string;
  @List(() => FiledBox, { most: 60 }) boxes!: FiledBox[];
}
/** Statements of a year that somebody else filed, typed from the paper: those that are to be corrected. */
export class TypeFiledStatements {
  @Whole({ min: 1990, max: 2100 }) year!: number;
  /** What they were typed from. */
  @Text(200, { min: 1 }) source!: string;
  @List(() => FiledStatement, { most: 200 }) statements!: FiledStatement[];
}
/** A box of a statement that was filed elsewhere, as it was filed and as it is typed. */
export class TypedBox {
  @Text(60) box!: string;
  @Amount() filed!: number;
  @Amount() correct!: number;
}
export class TypedBoxes {
  @Id() employeeId!: string;
  @Text() name!: string;
  @List(() => TypedBox) boxes!: TypedBox[];
}
export class TypeBox {
  @Text(60, { min: 1 }) box!: string;
  @Amount() correct!: number;
}
export class TypeBoxes {
  @Whole({ min: 1 }) version!: number;
  @List(() => TypeBox, { most: 60 }) boxes!: TypeBox[];
}
/** The totals of all forms: the Form W-3. */
export class W3Totals {
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
  @Amount() box16!: number;
  @Amount() box17!: number;
  @Amount() box18!: number;
  @Amount() box19!: number;
}
/** Some of the forms of a wage file, with the totals of all. */
export class W2Page {
  @List(() => W2Row) rows!: W2Row[];
  /** How many there are of what was looked for. */
  @Whole() found!: number;
  /** How many there are. */
  @Whole() total!: number;
  @Part(() => W3Totals) totals!: W3Totals;
  /** Somebody has local wages; something in box 14. */
  @Flag() hasLocals!: boolean;
  @Flag() hasOthers!: boolean;
}
/** The copies of some people, in one PDF. */
export class W2CopiesPart {
  @Whole() part!: number;
  /** Last names of the first and the last person in it. */
  @Text() from!: string;
  @Text() to!: string;
  @Whole() people!: number;
  @Flag() isMade!: boolean;
}
export class W2Copies {
  @Whole() total!: number;
  @List(() => W2CopiesPart) parts!: W2CopiesPart[];
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
  @Text(60) kind!: string;
  /** `Form 941, Q3 2026`. */
  @Text() title!: string;
  /** What one is called: `return`, `wage file`. */
  @Text() noun!: string;
  @Text(10) period!: string;
  @Choice(FILING_STATUSES) status!: FilingStatus;
  @Whole() attempt!: number;
  @Whole() version!: number;
  @Day() due!: string;
}
/** That a page of somebody else's return was filed there. */
export class HandedOver {
  @Whole({ min: 1 }) version!: number;
  @Day() on!: string;
}
export class FilingView extends FilingRow {
  @List(() => ReturnLineView) lines!: ReturnLineView[];
  /** The period before, as its lines are compared with; null: none was prepared here. */
  @Text(20, { nullable: true }) beforePeriod!: string | null;
  @List(() => FilingTableView) tables!: FilingTableView[];
  /** One for each person, of kinds that have them. */
  @Part(() => W2Page, { nullable: true }) w2s!: W2Page | null;
  @List(() => AskedAmountView) asks!: AskedAmountView[];
  @List(() => AskedQuestionView) questions!: AskedQuestionView[];
  /** Of an accepted filing that is corrected on another form: what differs today; null otherwise. */
  @Part(() => CorrectionView, { nullable: true }) correction!: CorrectionView | null;
  /** Of a correction of statements: who gets a copy. */
  @List(() => StatementCopy) copies!: StatementCopy[];
  /** Somebody else sent it. */
  @Flag() isElsewhere!: boolean;
  /** Of a correction whose year was run elsewhere: whose boxes can be typed; null: it follows from the records. */
  @List(() => StatementCopy, { nullable: true }) typed!: StatementCopy[] | null;
  /** Of a correction: what it corrects. */
  @Id({ nullable: true }) correctsId!: string | null;
  /** Null: nothing can be paid with it. */
  @Part(() => ReturnBalance, { nullable: true }) balance!: ReturnBalance | null;
  /** The authorization whose PIN signs it; null: it goes unsigned. */
  @Text(60, { nullable: true }) signedWith!: string | null;
  /** Who signs for the firm under a Form 8655; null: only the client's signer does. */
  @Text(400, { nullable: true }) agent!: string | null;
  /** Whose return it is a page of; null: it is sent from here. */
  @Text(80, { nullable: true }) handedTo!: string | null;
  /** A later day that holds because everything was deposited on time. */
  @Day({ nullable: true }) laterDue!: string | null;
  @Text(60) amendedBy!: string;
  @List(() => ProblemDetail) problems!: ProblemDetail[];
  @List(() => FilingEventView) events!: FilingEventView[];
  @Text(200) preparedBy!: string;
  @Text(200, { nullable: true }) signedBy!: string | null;
  @Text(200, { nullable: true }) submissionId!: string | null;
  /** It is accepted, and the agency may still return it until this day. */
  @Day({ nullable: true }) refusableUntil!: string | null;
  @Id({ nullable: true }) documentId!: string | null;
  @Text(300, { nullable: true }) delivery!: string | null;
  @Flag() isSnapshot!: boolean;
}
/** A form that a client files, or does not, for a period. */
export class FormOwed {
  @Text(30) kind!: string;
  @Text() title!: string;
  @Text() noun!: string;
  @Text(10) period!: string;
  @Day() periodEnd!: string;
  @Day() due!: string;
  @Flag() isOver!: boolean;
  /** Whether the client files it; if not, `why` says why not. */
  @Flag() files!: boolean;
  @Text(200) why!: string;
  /** A former provider filed it. */
  @Flag() isElsewhere!: boolean;
  @Id({ nullable: true }) filingId!: string | null;
  @Choice(FILING_STATUSES, { nullable: true }) status!: FilingStatus | null;
}
export class CountedReturn {
  @Text(30) code!: string;
  @Text(200) name!: string;
  @Whole() count!: number;
}
/** How many returns are expected to fall due in a calendar year, and whether they must be filed electronically. */
export class EfileDuty {
  @Whole() year!: number;
  @List(() => CountedReturn) returns!: CountedReturn[];
  @Whole() total!: number;
  @Whole() from!: number;
  @Flag() mustEfile!: boolean;
  /** What it rests on, and what is not counted. */
  @Text(500) rule!: string;
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
  @Choice(['rounding', 'void', 'to-fix']) cause!: 'rounding' | 'void' | 'to-fix';
  @Text() says!: string;
}
/** What is still to be deposited, and is not due yet or on its way. */
export class PendingView {
  @Amount() amount!: number;
  @Text() says!: string;
}
export class TieOutRowView {
  @Text() key!: string;
  /** A part of the row before it. */
  @Flag() isShare!: boolean;
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
  @Choice(['payroll', 'collection', 'deposit', 'garnishment', 'return', 'notice', 'enrollment', 'account']) kind!:
    'payroll' | 'collection' | 'deposit' | 'garnishment' | 'return' | 'notice' | 'enrollment' | 'account';
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() title!: string;
  /** Null with `due` while a question about the day is open; it stands among those of today. */
  @Day({ nullable: true }) sendBy!: string | null;
  @Day({ nullable: true }) due!: string | null;
  @Amount({ nullable: true }) amount!: number | null;
  @Text() standing!: string;
  @Text(300) move!: string;
  @Flag() isLate!: boolean;
  @Text() path!: string;
}
/** One day of the runway: what goes out, and how many returns and check dates fall on it. */
export class LadderDay {
  @Day() day!: string;
  @Amount() out!: number;
  @Whole() others!: number;
}
/** The first rungs of the days asked for; `count` and `out` are of all of them. */
export class LadderView {
  @List(() => Rung) rungs!: Rung[];
  @Whole() count!: number;
  @Amount() out!: number;
  /** The runway, whatever days are asked for. */
  @List(() => LadderDay) days!: LadderDay[];
  /** Clients that changed and are still being worked out. */
  @Whole() waiting!: number;
}
export class AuditRow {
  @Whole() seq!: number;
  @Text() at!: string;
  @Text() by!: string;
  @Text() action!: string;
  /** What was done, without who did it: `saved the pay of Ada Brine, from 10/22/2026: 21.50 an hour`. */
  @Text(4000) sentence!: string;
  @Id({ nullable: true }) clientId!: string | null;
  @Text() client!: string;
  @Json() detail!: Record<string, unknown>;
}
export class AuditUser {
  @Id() id!: string;
  @Text() name!: string;
}
export class AuditPage {
  @List(() => AuditRow) rows!: AuditRow[];
  @Flag() hasMore!: boolean;
  /** What entries can be about, and who can have made them: to choose from. */
  @Texts() about!: string[];
  @List(() => AuditUser) users!: AuditUser[];
}
export class AuditVerification {
  @Whole() entries!: number;
  /** The first entry that does not fit the chain; null when all do. */
  @Whole({ nullable: true }) brokenAt!: number | null;
}

/** An accepted filing that differs from what the records say today, or whose correction is under way. */
export class CorrectionDue {
  /** Null: a former provider filed it. */
  @Id({ nullable: true }) filingId!: string | null;
  /** What was accepted: `Form 941, Q3 2026`. */
  @Text() title!: string;
  /** Code and name of what corrects it. */
  @Text(60) kind!: string;
  @Text() name!: string;
  @Text(10) period!: string;
  /** Lines, or people, that differ. */
  @Whole() differs!: number;
  /** By how much the total of the return changes. */
  @Amount() change!: number;
  /** Without interest, or within the period of limitations; null: as soon as it is found. */
  @Day({ nullable: true }) due!: string | null;
  /** The correction that is under way; null: none is. */
  @Id({ nullable: true }) openId!: string | null;
  @Choice(FILING_STATUSES, { nullable: true }) openStatus!: FilingStatus | null;
}
