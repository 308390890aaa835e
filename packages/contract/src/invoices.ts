import { Amount, Choice, Day, Flag, Id, List, Part, Text, Texts, Whole } from './field.js';

export const INVOICE_STATUSES = ['issued', 'paid', 'voided'] as const;
export type InvoiceStatus = (typeof INVOICE_STATUSES)[number];

export class FeeLineView {
  @Text() label!: string;
  @Whole() count!: number;
  @Amount() price!: number;
  @Amount() amount!: number;
}
export class InvoiceView {
  @Id() id!: string;
  @Text() number!: string;
  @Day() issuedOn!: string;
  @Day() due!: string;
  @Amount() total!: number;
  @Flag() isCollected!: boolean;
  @Choice(INVOICE_STATUSES) status!: InvoiceStatus;
  @Whole() version!: number;
  @Day({ nullable: true }) paidOn!: string | null;
  @Text(200, { nullable: true }) reference!: string | null;
}
/** A month of a client: what it comes to, and its invoice once it is issued. */
export class FeesOfMonth {
  @Id() clientId!: string;
  @Text() clientName!: string;
  @List(() => FeeLineView) lines!: FeeLineView[];
  @Amount() total!: number;
  @Part(() => InvoiceView, { nullable: true }) invoice!: InvoiceView | null;
}
export class InvoicesOfMonth {
  /** `2026-09`. */
  @Text(7) month!: string;
  @Flag() isOver!: boolean;
  @List(() => FeesOfMonth) rows!: FeesOfMonth[];
  /** Clients that have agreed to no fees. */
  @Whole() without!: number;
}
export class IssueInvoices {
  @Text(7) month!: string;
  @Texts() clientIds!: string[];
}
export class InvoicePaid {
  @Whole({ min: 1 }) version!: number;
  @Day() paidOn!: string;
  @Text(60, { min: 1 }) reference!: string;
}
export class InvoiceReason {
  @Whole({ min: 1 }) version!: number;
  @Text(200, { min: 3 }) reason!: string;
}
