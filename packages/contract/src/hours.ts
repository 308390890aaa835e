import { Amount, Choice, Day, Flag, Id, Json, List, Text, Texts, Whole } from './field.js';
import { ProblemDetail } from './problem.js';

/** A file of hours for an open payroll: looked at, or taken. */
export class ReadHoursFile {
  @Text(120, { min: 1 }) fileName!: string;
  /** Bytes in base64. */
  @Text(8_000_000, { min: 1 }) content!: string;
  /** The payroll as it was seen; another version is not written over. */
  @Whole({ min: 1 }) version!: number;
  /** Counted from 1; left out: found. */
  @Whole({ min: 1, optional: true }) headingRow?: number;
  /** A column name for each heading; left out: as remembered or proposed. */
  @Texts({ optional: true }) columns?: string[];
  /** An earning for each pay code of the file. */
  @Json({ optional: true }) codes?: Record<string, string>;
  /** Takes what can be taken; else it is only shown. */
  @Flag() isTaken!: boolean;
}
export class HoursChoice {
  @Text() name!: string;
  @Text() label!: string;
}
export class HoursRowView {
  @Whole() row!: number;
  @Text() who!: string;
  @Id({ nullable: true }) employeeId!: string | null;
  @Text() person!: string;
  @Text(600) says!: string;
  @List(() => ProblemDetail) problems!: ProblemDetail[];
}
export class HoursTotalView {
  @Text() label!: string;
  @Choice(['hours', 'amount']) measure!: 'hours' | 'amount';
  /** Of the whole file, and of what is taken of it: decimal text. */
  @Text() file!: string;
  @Text() taken!: string;
}
export class HoursFileView {
  @Whole() headingRow!: number;
  @Texts() headings!: string[];
  @Texts() columns!: string[];
  @List(() => HoursChoice) choices!: HoursChoice[];
  @List(() => HoursChoice) items!: HoursChoice[];
  @Json() codes!: Record<string, string>;
  @Texts() unknownCodes!: string[];
  /** Rows with something wrong first, and not more than a screen can hold. */
  @List(() => HoursRowView) rows!: HoursRowView[];
  @Whole() rowCount!: number;
  @Whole() wrong!: number;
  @Whole() people!: number;
  /** People of the payroll of whom the file says nothing. */
  @Texts() missing!: string[];
  @List(() => HoursTotalView) totals!: HoursTotalView[];
  @List(() => ProblemDetail) problems!: ProblemDetail[];
  @Flag() isTaken!: boolean;
}

/** What somebody of a client says of one person in an open payroll. */
export class SentHours {
  @Id() employeeId!: string;
  /** Hours by earning, as they were typed; blank: nothing said. */
  @Json() hours!: Record<string, string>;
  @Text(300) note!: string;
}
export class SendHours {
  @List(() => SentHours, { most: 5000 }) people!: SentHours[];
}
/** A person of an open or reviewed payroll as the client sees it. */
export class OwnPayrollPerson {
  @Id() employeeId!: string;
  @Text() number!: string;
  @Text() name!: string;
  /** Hours that would be paid as it stands, by earning. */
  @Json() standing!: Record<string, string>;
  /** What was sent last. */
  @Json() sent!: Record<string, string>;
  @Text(300) note!: string;
  @Amount() gross!: number;
  @Amount() net!: number;
}
export class OwnPayroll {
  @Id() id!: string;
  @Day() periodStart!: string;
  @Day() periodEnd!: string;
  @Day() checkDate!: string;
  @Text(30) schedule!: string;
  @Choice(['open', 'reviewed']) status!: 'open' | 'reviewed';
  @Whole() version!: number;
  /** Earnings that hours are sent for. */
  @List(() => HoursChoice) items!: HoursChoice[];
  @List(() => OwnPayrollPerson) people!: OwnPayrollPerson[];
  @Amount() gross!: number;
  @Amount() net!: number;
  @Text(60, { nullable: true }) sentAt!: string | null;
  @Flag() isTaken!: boolean;
  /** These figures were approved. */
  @Flag() isApproved!: boolean;
}
export class ClientHoursPerson {
  @Id() employeeId!: string;
  @Text() name!: string;
  @Text(600) says!: string;
  @Text(300) note!: string;
  @Flag() isTaken!: boolean;
}
/** What the client sent for a payroll, as the firm sees it. */
export class ClientHoursView {
  @List(() => ClientHoursPerson) people!: ClientHoursPerson[];
  @Text() by!: string;
  @Text(60, { nullable: true }) at!: string | null;
  @Text(200, { nullable: true }) approvedBy!: string | null;
  @Text(60, { nullable: true }) approvedAt!: string | null;
  /** The figures that were approved are the ones that stand. */
  @Flag() isApprovalCurrent!: boolean;
}
