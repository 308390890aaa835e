import { Amount, Choice, Day, Flag, Id, List, Text, Whole } from './field.js';

export const DUE_DEPOSIT_STATUSES = ['open', 'no date', 'planned', 'approved'] as const;
export type DueDepositStatus = (typeof DUE_DEPOSIT_STATUSES)[number];

/** A deposit of any client that has not left yet. */
export class DueDeposit {
  @Text() key!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() family!: string;
  @Text() title!: string;
  @Day({ nullable: true }) due!: string | null;
  @Day({ nullable: true }) sendBy!: string | null;
  @Amount() amount!: number;
  @Choice(DUE_DEPOSIT_STATUSES) status!: DueDepositStatus;
  @Flag() isLate!: boolean;
  @Text() move!: string;
  /** The payment that is scheduled of it, with its version. */
  @Id({ nullable: true }) remittanceId!: string | null;
  @Whole({ nullable: true }) version!: number | null;
  @Day({ nullable: true }) settles!: string | null;
  @Text(200, { nullable: true }) bankAccount!: string | null;
  /** The penalty if it is sent today, of a federal deposit that is late; with its rate. */
  @Amount({ nullable: true }) penalty!: number | null;
}
/** What leaves one account on one day, of the payments that are scheduled. */
export class AccountCash {
  @Text() clientName!: string;
  @Text() bankAccount!: string;
  @Day() settles!: string;
  @Amount() amount!: number;
}
export class DueDepositView {
  @List(() => DueDeposit) rows!: DueDeposit[];
  @List(() => AccountCash) cash!: AccountCash[];
  @Whole() waiting!: number;
}
export class ScheduleDeposit {
  @Id() clientId!: string;
  @Text(40) family!: string;
  @Day() due!: string;
  /** As it was seen: another amount is not scheduled instead. */
  @Amount() amount!: number;
}
export class ScheduleDeposits {
  @List(() => ScheduleDeposit, { most: 500 }) deposits!: ScheduleDeposit[];
}
export class PaymentAtVersion {
  @Id() id!: string;
  @Whole({ min: 1 }) version!: number;
}
export class PaymentsAtVersion {
  @List(() => PaymentAtVersion, { most: 500 }) payments!: PaymentAtVersion[];
}
/** What became of one of many: done, or why not. */
export class DoneOfMany {
  @Text() key!: string;
  @Text() what!: string;
  @Text(600, { nullable: true }) refused!: string | null;
}
