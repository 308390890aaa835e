import { BY_HAND_KINDS, TRUST_KIND_CODES, type TrustKindCode } from '@zakat/core/trust/kinds';
import { Amount, Choice, Day, Flag, Id, List, Part, Text, Texts, Whole } from './field.js';
import { ProblemDetail } from './problem.js';

export const COLLECTION_STATUSES = ['planned', 'released', 'settled', 'returned', 'withdrawn'] as const;
export type CollectionStatus = (typeof COLLECTION_STATUSES)[number];
export const COLLECTION_KINDS = ['debit', 'prenote'] as const;
export type CollectionKind = (typeof COLLECTION_KINDS)[number];

export class SaveTrustAccount {
  @Text(40, { min: 1 }) label!: string;
  @Text(60, { min: 1 }) bankName!: string;
  @Text(9) routing!: string;
  @Text(17) account!: string;
}
export class TrustAccountView {
  @Id() id!: string;
  @Text() label!: string;
  @Text() bankName!: string;
  @Text() tail!: string;
}
/** What the firm holds of one client's money. */
export class HeldOfClient {
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Amount() balance!: number;
  /** Of the balance, what may be paid out today. */
  @Amount() usable!: number;
  /** Collections that were released and have not settled. */
  @Amount() coming!: number;
  /** What the firm advanced and has not been paid back. */
  @Amount() advanced!: number;
}
export class TrustView {
  /** Null: the firm has not said which account holds its clients' money. */
  @Part(() => TrustAccountView, { nullable: true }) account!: TrustAccountView | null;
  @List(() => HeldOfClient) clients!: HeldOfClient[];
  @Amount() ofClients!: number;
  /** The firm's own part; below zero it owes the account. */
  @Amount() ofFirm!: number;
  @Amount() book!: number;
  /** The last day of which the bank's balance is known. */
  @Day({ nullable: true }) statementDay!: string | null;
  @Day({ nullable: true }) reconciledDay!: string | null;
  /** Lines of the bank that no entry explains. */
  @Whole() unexplained!: number;
}
export class TrustEntryView {
  @Id() id!: string;
  @Day() day!: string;
  @Choice(TRUST_KIND_CODES) kind!: TrustKindCode;
  @Text() label!: string;
  @Id({ nullable: true }) clientId!: string | null;
  /** The client, or the firm itself. */
  @Text() whose!: string;
  @Text() reference!: string;
  @Text(300) memo!: string;
  @Amount() amount!: number;
  /** After it, of the client; of the firm's lines the firm's own. */
  @Amount() balance!: number;
  /** The day on which the bank's statement shows it; null while it does not. */
  @Day({ nullable: true }) cleared!: string | null;
  @Flag() mayReverse!: boolean;
}
/** Money that moved outside: the bank's own reference is its number, and one number counts once. */
export class RecordTrustEntry {
  @Choice(BY_HAND_KINDS) kind!: TrustKindCode;
  @Id({ nullable: true }) clientId!: string | null;
  @Day() day!: string;
  @Amount() amount!: number;
  @Text(60, { min: 1 }) reference!: string;
  @Text(200) memo!: string;
}
export class AdvanceFunds {
  @Amount() amount!: number;
  @Text(200, { min: 3 }) reason!: string;
}
export class ReverseTrustEntry {
  @Text(200, { min: 3 }) reason!: string;
}

export class TermsView {
  @Choice(['taxes', 'taxes-and-net-pay']) what!: 'taxes' | 'taxes-and-net-pay';
  @Text() accountTail!: string;
  @Text() entryClass!: string;
  @Day() authorizedOn!: string;
  @Text() signedBy!: string;
  @Amount({ nullable: true }) most!: number | null;
  @Whole() daysBefore!: number;
  @Whole() holdDays!: number;
}
export class NeedView {
  @Id({ nullable: true }) payrollId!: string | null;
  @Id({ nullable: true }) invoiceId!: string | null;
  /** Of an invoice the day on which it is due. */
  @Day() checkDate!: string;
  @Choice(['taxes', 'net-pay', 'fees']) what!: 'taxes' | 'net-pay' | 'fees';
  @Amount() amount!: number;
}
/** What would be collected if it were planned now. */
export class CollectingView {
  @List(() => NeedView) lines!: NeedView[];
  @Amount() advance!: number;
  @Amount() amount!: number;
  @Day({ nullable: true }) wanted!: string | null;
  @Day() settles!: string;
  @Day() usable!: string;
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}
export class CollectionRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Choice(COLLECTION_KINDS) kind!: CollectionKind;
  @Text() reference!: string;
  @Amount() amount!: number;
  @Day() settles!: string;
  @Day() usable!: string;
  @Choice(COLLECTION_STATUSES) status!: CollectionStatus;
  @Whole() version!: number;
  @Whole() retries!: number;
  @Text(300, { nullable: true }) confirmation!: string | null;
  @Text(300, { nullable: true }) returnedReason!: string | null;
}
export class CollectionView extends CollectionRow {
  @List(() => NeedView) items!: NeedView[];
  @Amount() advance!: number;
  @Text(200) bankAccount!: string;
  @Text() preparedBy!: string;
  @Text(200, { nullable: true }) releasedBy!: string | null;
  @Text(200, { nullable: true }) delivery!: string | null;
  /** What follows from its return; null for one that did not come back. */
  @Text(300, { nullable: true }) then!: string | null;
  @Flag() mayRetry!: boolean;
}
export class FundsView {
  @Part(() => TermsView, { nullable: true }) terms!: TermsView | null;
  /** The client's account that the authorization names; null where the client has none with these digits. */
  @Text(200, { nullable: true }) debits!: string | null;
  @Part(() => TrustAccountView, { nullable: true }) trust!: TrustAccountView | null;
  @Amount() balance!: number;
  @Amount() usable!: number;
  @Amount() advanced!: number;
  @Part(() => CollectingView, { nullable: true }) next!: CollectingView | null;
  @List(() => CollectionRow) collections!: CollectionRow[];
  @List(() => TrustEntryView) entries!: TrustEntryView[];
}
export class PlanCollection {
  /** What the person saw: a payroll posted meanwhile is not collected unseen. */
  @Amount() amount!: number;
  @Day() settles!: string;
}
export class CollectionAct {
  @Whole({ min: 1 }) version!: number;
}

export class ReadTrustStatement {
  @Text(200) fileName!: string;
  /** Base64. */
  @Text(8_000_000) content!: string;
  @Flag() isTaken!: boolean;
}
export class TrustLineView {
  @Id({ nullable: true }) id!: string | null;
  @Day() day!: string;
  @Amount() amount!: number;
  @Text(200) reference!: string;
  @Text(300) description!: string;
  @Flag() isNew!: boolean;
}
export class TrustStatementView {
  @List(() => TrustLineView) lines!: TrustLineView[];
  @Whole() added!: number;
  @Whole() matched!: number;
  @Day({ nullable: true }) lastDay!: string | null;
  @Texts() unread!: string[];
  @Flag() isTaken!: boolean;
}
export class OutstandingView {
  @Id() id!: string;
  @Day() day!: string;
  @Text() whose!: string;
  @Text() label!: string;
  @Text() reference!: string;
  @Amount() amount!: number;
}
export class ReconciliationView {
  @Day() day!: string;
  @Amount() bank!: number;
  @List(() => OutstandingView) outstanding!: OutstandingView[];
  @List(() => TrustLineView) unexplained!: TrustLineView[];
  @Amount() adjusted!: number;
  @Amount() book!: number;
  @Amount() clients!: number;
  @Amount() firm!: number;
  @Amount() difference!: number;
  @Flag() isReconciled!: boolean;
  @List(() => HeldOfClient) balances!: HeldOfClient[];
  /** Who kept the report of this day; null while nobody has. */
  @Text(200, { nullable: true }) keptBy!: string | null;
}
export class KeepReconciliation {
  @Day() day!: string;
}
export class MatchLine {
  @Id() lineId!: string;
  @Texts() entryIds!: string[];
}
