import { Amount, Choice, Day, Id, List, Text, Whole } from './field.js';

export const NOTICE_KINDS = ['balance-due', 'penalty', 'return-missing', 'rate', 'information', 'other'] as const;
export type NoticeKind = (typeof NOTICE_KINDS)[number];
export const NOTICE_STATUSES = ['open', 'answered', 'closed'] as const;
export type NoticeStatus = (typeof NOTICE_STATUSES)[number];

/** A letter of an agency, as it was read from paper or from its site. */
export class RecordNotice {
  @Text(40) agency!: string;
  /** As the agency numbers it. */
  @Text(40) number!: string;
  @Choice(NOTICE_KINDS) kind!: NoticeKind;
  @Day() datedOn!: string;
  /** The last day to answer, as the notice says; null where it asks for nothing. */
  @Day({ nullable: true }) respondBy!: string | null;
  /** `2026-Q3`, `2026`, or blank. */
  @Text(7) period!: string;
  /** Cents that it asks for; null where it asks for none. */
  @Amount({ nullable: true }) amount!: number | null;
  @Text(1000) says!: string;
  /** Where it is to be answered: the lines of the address below the agency's name, or blank. */
  @Text(300) replyTo!: string;
  /** The return it is about. */
  @Id({ nullable: true }) filingId!: string | null;
}
export class AnswerNotice {
  @Whole({ min: 1 }) version!: number;
  @Text(4000, { min: 1 }) answer!: string;
}
export class MoveNotice {
  @Whole({ min: 1 }) version!: number;
  /** How it ended, or why it is open again. */
  @Text(500, { min: 1 }) why!: string;
}
/** A line of what the ledger has for the period of a notice. */
export class NoticeLine {
  @Text(200) label!: string;
  @Text(300) detail!: string;
  @Amount() amount!: number;
}
export class NoticeView extends RecordNotice {
  @Id() id!: string;
  @Choice(NOTICE_STATUSES) status!: NoticeStatus;
  @Whole() version!: number;
  @Text() agencyName!: string;
  @Text(200, { nullable: true }) filingTitle!: string | null;
  @Text(4000) answer!: string;
  @Day({ nullable: true }) answeredOn!: string | null;
  @Text(500) ended!: string;
  /** The agency's figure against the ledger's; empty without a period. */
  @List(() => NoticeLine) ledger!: NoticeLine[];
}
export class NoticeAgency {
  @Text(40) code!: string;
  @Text() name!: string;
}
export class NoticeReturn {
  @Id() id!: string;
  @Text() title!: string;
  @Text(40) agency!: string;
}
/** The notices of a client, with what one may be about. */
export class NoticesView {
  @List(() => NoticeView) notices!: NoticeView[];
  @List(() => NoticeAgency) agencies!: NoticeAgency[];
  @List(() => NoticeReturn) returns!: NoticeReturn[];
}
