import { Amount, Choice, Day, Flag, Id, List, Text, Whole } from './field.js';

/** How a mistake came to light. */
export const FOUND_BY = ['tie-out', 'notice', 'returned', 'client', 'employee', 'rate', 'review'] as const;
export type FoundBy = (typeof FOUND_BY)[number];
export const CASE_STATUSES = ['open', 'closed'] as const;
export type CaseStatus = (typeof CASE_STATUSES)[number];
/** What may follow from a mistake. The first three are worked out from the records, the others are put down by hand. */
export const CONSEQUENCE_KINDS = [
  'return',
  'deposit',
  'credit',
  'copy',
  'refund',
  'recovery',
  'letter',
  'interest',
  'own-return',
  'other',
] as const;
export type ConsequenceKind = (typeof CONSEQUENCE_KINDS)[number];
export const BY_HAND = ['refund', 'recovery', 'letter', 'interest', 'own-return', 'other'] as const;
export const CONSEQUENCE_STATUSES = ['open', 'done', 'refused'] as const;
export type ConsequenceStatus = (typeof CONSEQUENCE_STATUSES)[number];

export class OpenCase {
  /** What was wrong. */
  @Text(300, { min: 1 }) what!: string;
  @Day() since!: string;
  @Choice(FOUND_BY) foundBy!: FoundBy;
  /** By which evidence. */
  @Text(1000) evidence!: string;
}
export class AddConsequence {
  @Choice(BY_HAND) kind!: (typeof BY_HAND)[number];
  @Text(300, { min: 1 }) title!: string;
  @Amount({ nullable: true }) amount!: number | null;
  @Day({ nullable: true }) due!: string | null;
}
export class SettleConsequence {
  @Choice(CONSEQUENCE_STATUSES) status!: ConsequenceStatus;
  /** How it was done, or why it is not. */
  @Text(500) why!: string;
}
export class MoveCase {
  @Whole({ min: 1 }) version!: number;
  @Text(500) why!: string;
}
export class ConsequenceView {
  @Id() id!: string;
  @Choice(CONSEQUENCE_KINDS) kind!: ConsequenceKind;
  @Text(300) title!: string;
  @Amount({ nullable: true }) amount!: number | null;
  @Day({ nullable: true }) due!: string | null;
  /** Where it is done; blank: outside. */
  @Text(200) path!: string;
  @Choice(CONSEQUENCE_STATUSES) status!: ConsequenceStatus;
  @Text(500) why!: string;
  /** It follows from the records, and is done when they say so. */
  @Flag() isDerived!: boolean;
  @Text(200, { nullable: true }) settledBy!: string | null;
  @Text(40, { nullable: true }) settledAt!: string | null;
}
export class CorrectionCase extends OpenCase {
  @Id() id!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Day() foundOn!: string;
  @Choice(CASE_STATUSES) status!: CaseStatus;
  @Whole() version!: number;
  @Text(200) openedBy!: string;
  /** How it ended, or why it is open again. */
  @Text(500) ended!: string;
  @List(() => ConsequenceView) consequences!: ConsequenceView[];
}
export class CaseRow {
  @Id() id!: string;
  @Text(300) what!: string;
  @Day() since!: string;
  @Day() foundOn!: string;
  @Choice(CASE_STATUSES) status!: CaseStatus;
  /** Consequences that are not done. */
  @Whole() left!: number;
}
