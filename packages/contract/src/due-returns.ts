import { Amount, Choice, Day, Flag, Id, List, Text, Whole } from './field.js';
import { FILING_STATUSES } from './filings.js';

/** `differs`: the ledger has moved since it was checked. */
export const DUE_RETURN_STATUSES = ['not begun', 'differs', 'filed elsewhere', ...FILING_STATUSES] as const;
export type DueReturnStatus = (typeof DUE_RETURN_STATUSES)[number];

/** A return of any client for a quarter, or for what ends with it. */
export class DueReturn {
  @Text() key!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text(60) kind!: string;
  @Text() title!: string;
  @Text() agency!: string;
  @Text(10) period!: string;
  @Day() due!: string;
  /** Its period has ended: it may be checked. */
  @Flag() isOver!: boolean;
  @Flag() isLate!: boolean;
  @Choice(DUE_RETURN_STATUSES) status!: DueReturnStatus;
  @Text() move!: string;
  /** Checked, and signed where it must be: the next person may release it. */
  @Flag() isReady!: boolean;
  @Id({ nullable: true }) filingId!: string | null;
  @Whole({ nullable: true }) version!: number | null;
  /** What it comes to, of one that was checked. */
  @Amount({ nullable: true }) amount!: number | null;
}
export class DueReturnView {
  @Text(7) quarter!: string;
  @List(() => DueReturn) rows!: DueReturn[];
  /** Returns that are due later than those that are shown. */
  @Whole() more!: number;
  /** Clients whose agent files an aggregate Form 941: Schedule R has their parts. */
  @Whole() aggregated!: number;
}
export class BeginReturn {
  @Id() clientId!: string;
  @Text(60, { min: 1 }) kind!: string;
  @Text(10, { min: 4 }) period!: string;
}
export class BeginReturns {
  @List(() => BeginReturn, { most: 500 }) returns!: BeginReturn[];
}
export class ReturnAtVersion {
  @Id() id!: string;
  @Whole({ min: 1 }) version!: number;
}
export class ReturnsAtVersion {
  @List(() => ReturnAtVersion, { most: 500 }) returns!: ReturnAtVersion[];
}
