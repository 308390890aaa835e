import { Amount, Choice, Day, Flag, Id, List, Text, Texts, Whole } from './field.js';
import { AtVersion } from './payrolls.js';

/**
 * `printed`: on paper, and nobody has said yet how it came out. `issued`: it came out well. `spoiled`: the sheet is
 * waste. `voided`: it came back and is not cashed. `stopped`: the bank was told not to pay it. `cleared`: it was cashed.
 */
export const CHECK_STATUSES = ['printed', 'issued', 'spoiled', 'voided', 'stopped', 'cleared'] as const;
export type CheckStatus = (typeof CHECK_STATUSES)[number];
export const CHECK_POSITIONS = ['top', 'middle', 'bottom'] as const;
export type CheckPosition = (typeof CHECK_POSITIONS)[number];

export class CheckRow {
  @Id() id!: string;
  @Id() clientId!: string;
  @Id({ nullable: true }) payrollId!: string | null;
  @Id({ nullable: true }) paycheckId!: string | null;
  @Whole() number!: number;
  @Text() payee!: string;
  @Amount() amount!: number;
  @Day() checkDate!: string;
  @Choice(CHECK_STATUSES) status!: CheckStatus;
  @Flag() isHandwritten!: boolean;
  @Flag() hasImage!: boolean;
  @Whole() version!: number;
  @Text(300, { nullable: true }) reason!: string | null;
  @Text() bankAccount!: string;
  @Id({ nullable: true }) runId!: string | null;
  /** From this day on a bank need not pay it any more; null where it is not out. */
  @Day({ nullable: true }) staleFrom!: string | null;
}
/** Pay of a posted payroll that a check is still to be made out for. */
export class CheckToMake {
  @Id() paycheckId!: string;
  @Id() employeeId!: string;
  @Text() number!: string;
  @Text() name!: string;
  @Amount() amount!: number;
}
export class NextCheckNumber {
  @Id() bankAccountId!: string;
  @Text() label!: string;
  @Whole() next!: number;
}
export class PayrollChecks {
  @List(() => CheckToMake) toMake!: CheckToMake[];
  @List(() => CheckRow) checks!: CheckRow[];
  @List(() => NextCheckNumber) accounts!: NextCheckNumber[];
  /** Where the check stands on the client's stock. */
  @Choice(CHECK_POSITIONS) position!: CheckPosition;
}
/** A printer of the firm, and how many inches it prints off its place: text like `0.06` or `-0.1`, blank for none. */
export class SaveCheckPrinter {
  @Text(40, { min: 1 }) name!: string;
  @Text(6) right!: string;
  @Text(6) down!: string;
}
export class CheckPrinter extends SaveCheckPrinter {
  @Id() id!: string;
}
export class PrintChecks {
  @Id() bankAccountId!: string;
  /** The printer whose offset counts beside that of the stock. */
  @Id({ optional: true }) printerId?: string;
  @Whole({ min: 1, max: 999_999_999 }) firstNumber!: number;
  @Texts() paycheckIds!: string[];
  @Choice(CHECK_POSITIONS) position!: CheckPosition;
}
/** The image of a signature, as PNG or JPEG in base64, and the largest check that it signs. */
export class SaveSignature {
  @Text(400_000, { min: 1 }) content!: string;
  @Amount({ nullable: true }) most!: number | null;
}
/** The firm's typeface for the line of magnetic ink: TrueType or OpenType in base64. */
export class SaveMicrTypeface {
  @Text(120, { min: 1 }) name!: string;
  @Text(2_000_000, { min: 1 }) content!: string;
}
export class MicrTypefaceView {
  /** Null: the firm has none. */
  @Text(120, { nullable: true }) name!: string | null;
  /** Points at which it is E-13B. */
  @Text(20, { nullable: true }) size!: string | null;
}
/** The bank has read a sample on this day; null: not any more. */
export class MicrTest {
  @Day({ nullable: true }) testedOn!: string | null;
}
/** Which checks of a run did not come out well; all others of it are then issued. */
export class RunOutcome {
  @Texts() spoiled!: string[];
}
/** A check that was written by hand. */
export class RecordCheck {
  @Id() bankAccountId!: string;
  @Whole({ min: 1, max: 999_999_999 }) number!: number;
  @Id() paycheckId!: string;
}
/** Sheets of stock that are waste, with their numbers. */
export class SpoilStock {
  @Id() bankAccountId!: string;
  @Whole({ min: 1, max: 999_999_999 }) from!: number;
  @Whole({ min: 1, max: 999_999_999 }) to!: number;
  @Text(300, { min: 1 }) reason!: string;
}
export class EndCheck extends AtVersion {
  @Choice(['void', 'stop']) act!: 'void' | 'stop';
  @Text(300, { min: 1 }) reason!: string;
}
/** A bank's statement of a client's account: looked at, or taken. */
export class ReadBankStatement {
  @Id() bankAccountId!: string;
  @Text(120, { min: 1 }) fileName!: string;
  /** Bytes in base64: CSV, XLSX or BAI2. */
  @Text(8_000_000, { min: 1 }) content!: string;
  @Flag() isTaken!: boolean;
}
/** `clears`: it is out, and the amounts agree. Everything else is to be looked at, and changes nothing. */
export const STATEMENT_OUTCOMES = [
  'clears',
  'cleared before',
  'another amount',
  'not ours',
  'stopped',
  'voided',
  'spoiled',
  'not said to be out',
] as const;
export class StatementRow {
  @Whole() row!: number;
  @Whole() number!: number;
  @Amount() amount!: number;
  @Day() day!: string;
  @Text() payee!: string;
  @Amount({ nullable: true }) ours!: number | null;
  @Choice(STATEMENT_OUTCOMES) outcome!: (typeof STATEMENT_OUTCOMES)[number];
}
export class StatementView {
  /** What is to be looked at first. */
  @List(() => StatementRow) rows!: StatementRow[];
  @Whole() clears!: number;
  @Amount() amount!: number;
  @Texts() unread!: string[];
  @Flag() isTaken!: boolean;
}
