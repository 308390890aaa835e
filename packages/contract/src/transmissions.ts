import { Amount, Choice, Flag, Id, List, Text, Whole } from './field.js';

export const VERDICTS = ['waiting', 'received', 'accepted', 'rejected'] as const;
export type Verdict = (typeof VERDICTS)[number];

/** A return that left in a transmission. */
export class TransmittedReturn {
  @Id() filingId!: string;
  @Text() title!: string;
  @Text() clientName!: string;
  /** What became of this attempt. */
  @Choice(VERDICTS) verdict!: Verdict;
}
/** Several returns in one file to one receiver. */
export class TransmissionRow {
  @Id() id!: string;
  @Whole() number!: number;
  @Text() receiver!: string;
  @Text() madeAt!: string;
  @Text(40, { nullable: true }) sentAt!: string | null;
  /** Why it has not left yet. */
  @Text(200, { nullable: true }) delayed!: string | null;
  /** The receiver took none of it, and why: its returns went one by one. */
  @Text(200, { nullable: true }) refused!: string | null;
  /** The receiver's name of it. */
  @Text(100, { nullable: true }) reference!: string | null;
  /** The control totals: how many returns, and what they come to. */
  @Whole() count!: number;
  @Amount() amount!: number;
  @Whole() accepted!: number;
  @Whole() rejected!: number;
  @Flag() isAcknowledged!: boolean;
  @List(() => TransmittedReturn) returns!: TransmittedReturn[];
}
