import { Amount, Choice, Day, Flag, Id, List, Part, Text, Whole } from './field.js';

export const DIRECT_DEPOSIT_STATUSES = ['planned', 'released', 'settled', 'returned', 'withdrawn'] as const;
export type DirectDepositStatus = (typeof DIRECT_DEPOSIT_STATUSES)[number];
export const DIRECT_DEPOSIT_KINDS = ['pay', 'prenotes', 'reversal'] as const;
export type DirectDepositKind = (typeof DIRECT_DEPOSIT_KINDS)[number];
const STANDINGS = ['wanted', 'sent', 'confirmed', 'waived', 'returned'] as const;

export class PlanDirectDeposit {
  @Id() bankAccountId!: string;
}
/** A file of credits to people's accounts, of prenotes, or of debits that take the pay of voided checks back. */
export class DirectDepositRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Choice(DIRECT_DEPOSIT_KINDS) kind!: DirectDepositKind;
  @Id({ nullable: true }) payrollId!: string | null;
  @Text() reference!: string;
  @Whole() entries!: number;
  @Amount() amount!: number;
  @Day() settles!: string;
  @Choice(DIRECT_DEPOSIT_STATUSES) status!: DirectDepositStatus;
  @Whole() version!: number;
  @Text(200) bankAccount!: string;
  @Text() preparedBy!: string;
  @Text(200, { nullable: true }) releasedBy!: string | null;
  @Text(300, { nullable: true }) confirmation!: string | null;
  @Text(300, { nullable: true }) returnedReason!: string | null;
  @Text(200, { nullable: true }) delivery!: string | null;
}
/** An account of a person: what it receives, and whether it may. */
export class AccountPart {
  @Text() label!: string;
  @Text() tail!: string;
  @Amount() amount!: number;
  @Flag() isReady!: boolean;
  @Choice(STANDINGS) standing!: (typeof STANDINGS)[number];
  /** What the bank said when the entry came back. */
  @Text(300, { nullable: true }) cameBack!: string | null;
}
export class PersonPay {
  @Id() employeeId!: string;
  @Text() number!: string;
  @Text() name!: string;
  @Amount() net!: number;
  @List(() => AccountPart) deposits!: AccountPart[];
  /** Paid by check. */
  @Amount() check!: number;
}
/** Pay that came back from an account and reached nobody yet: a check is made out for it, or it is sent again. */
export class CameBack {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Amount() amount!: number;
  /** The accounts that would receive it now; none where no account of the person may. */
  @Text(300) to!: string;
  /** What of it would go there. */
  @Amount() ready!: number;
}
/** How the net pay of a posted payroll reaches its people. */
export class PayrollPay {
  @List(() => PersonPay) people!: PersonPay[];
  @Amount() deposits!: number;
  @Amount() checks!: number;
  @Part(() => DirectDepositRow, { nullable: true }) file!: DirectDepositRow | null;
  /** The account that its pay schedule names; null: it names none. */
  @Id({ nullable: true }) payFrom!: string | null;
  @List(() => CameBack) cameBack!: CameBack[];
  /** Files that send again what came back, the newest first. */
  @List(() => DirectDepositRow) again!: DirectDepositRow[];
}
export class PrenoteAccount {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Text() label!: string;
  @Text() tail!: string;
  @Choice(STANDINGS) standing!: (typeof STANDINGS)[number];
  /** The day from which the account counts as confirmed, while its prenote is out. */
  @Day({ nullable: true }) confirmedOn!: string | null;
  @Text(300, { nullable: true }) cameBack!: string | null;
}
export class PrenoteView {
  @List(() => PrenoteAccount) accounts!: PrenoteAccount[];
  @List(() => DirectDepositRow) files!: DirectDepositRow[];
}
/** What a bank says of an account that an entry named not quite right. */
export class AccountChangeView {
  @Id() id!: string;
  @Id() employeeId!: string;
  @Text() name!: string;
  @Text() account!: string;
  @Text(200) says!: string;
  /** In words; null where what the bank says is not understood here. */
  @Text(200, { nullable: true }) correction!: string | null;
  @Day() receivedOn!: string;
  @Day() correctBy!: string;
  @Choice(['open', 'applied', 'declined']) status!: 'open' | 'applied' | 'declined';
  @Text(200, { nullable: true }) reason!: string | null;
  @Whole() version!: number;
}
export class DecideAccountChange {
  @Choice(['apply', 'decline']) act!: 'apply' | 'decline';
  @Whole({ min: 1 }) version!: number;
  /** Why it is declined. */
  @Text(200) reason!: string;
}
/** A credit that a void takes back from an account. */
export class ReversalEntry {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Text() label!: string;
  @Text() tail!: string;
  @Amount() amount!: number;
  /** What the person's bank said when it did not give the money back. */
  @Text(300, { nullable: true }) cameBack!: string | null;
}
/** What of a void was paid into accounts, and the file that takes it back. */
export class VoidReversal {
  @List(() => ReversalEntry) entries!: ReversalEntry[];
  @Amount() amount!: number;
  /** The last day on which the bank takes the file; null where nothing went to an account. */
  @Day({ nullable: true }) until!: string | null;
  @Flag() mayPlan!: boolean;
  @Part(() => DirectDepositRow, { nullable: true }) file!: DirectDepositRow | null;
}
