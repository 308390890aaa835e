import { Amount, Choice, Day, Flag, Id, List, Text, Whole } from './field.js';

export const GARNISHMENT_PAYMENT_STATUSES = ['planned', 'released', 'settled', 'returned', 'withdrawn'] as const;
export type GarnishmentPaymentStatus = (typeof GARNISHMENT_PAYMENT_STATUSES)[number];

export class SaveGarnishmentPayee {
  @Text(60, { min: 1 }) name!: string;
  @Text(9) routing!: string;
  @Text(17) account!: string;
}
export class GarnishmentPayeeView {
  @Text() name!: string;
  /** Blank: nothing is sent there by ACH, it is paid by check or on the payee's own site. */
  @Text() tail!: string;
  @Whole() clients!: number;
}
/** What one check withheld for one order. */
export class GarnishedView {
  @Id() paycheckId!: string;
  @Text() employee!: string;
  @Text() label!: string;
  @Text() caseId!: string;
  @Day() checkDate!: string;
  @Amount() amount!: number;
}
/** What is withheld for one payee and not paid. */
export class OwedToPayee {
  @Text() payee!: string;
  @Flag() isAch!: boolean;
  @Flag() isSupport!: boolean;
  /** By when support is sent: seven business days after the check date. */
  @Day() due!: string;
  @Day() settles!: string;
  @Amount() amount!: number;
  @List(() => GarnishedView) items!: GarnishedView[];
}
export class GarnishmentPaymentRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text() payee!: string;
  @Text() reference!: string;
  @Amount() amount!: number;
  @Day() due!: string;
  @Day() settles!: string;
  @Choice(GARNISHMENT_PAYMENT_STATUSES) status!: GarnishmentPaymentStatus;
  @Whole() version!: number;
  @Day({ nullable: true }) paidElsewhereOn!: string | null;
  @Text(300, { nullable: true }) confirmation!: string | null;
  @Text(300, { nullable: true }) returnedReason!: string | null;
}
export class GarnishmentPaymentView extends GarnishmentPaymentRow {
  @List(() => GarnishedView) items!: GarnishedView[];
  @Flag() isAch!: boolean;
  @Text(200) bankAccount!: string;
  @Text() preparedBy!: string;
  @Text(200, { nullable: true }) releasedBy!: string | null;
  @Text(200, { nullable: true }) delivery!: string | null;
}
export class GarnishmentsView {
  @List(() => OwedToPayee) owed!: OwedToPayee[];
  /** Orders that name no payee: nothing is paid for them until they do. */
  @List(() => GarnishedView) withoutPayee!: GarnishedView[];
  @List(() => GarnishmentPaymentRow) payments!: GarnishmentPaymentRow[];
}
export class PlanGarnishmentPayment {
  @Text(60, { min: 1 }) payee!: string;
  /** What was seen. */
  @Amount() amount!: number;
  @Id() bankAccountId!: string;
  @Day() settles!: string;
}
export class GarnishmentPaymentAct {
  @Whole({ min: 1 }) version!: number;
}
export class RecordGarnishmentPaid {
  @Whole({ min: 1 }) version!: number;
  @Day() paidOn!: string;
  @Text(60, { min: 1 }) confirmation!: string;
}
