import { Amount, Choice, Day, Flag, Id, List, Part, Text, Whole } from './field.js';
import { PAYROLL_KINDS, type PayrollKind } from './payrolls.js';

/** `due`: nobody has started it yet. */
export const PAYDAY_STATUSES = ['due', 'open', 'reviewed', 'posted'] as const;
export type PaydayStatus = (typeof PAYDAY_STATUSES)[number];

/** A payroll of any client that is due, under way, or just posted. */
export class Payday {
  @Text() key!: string;
  @Id() clientId!: string;
  @Text() clientName!: string;
  @Text(30) schedule!: string;
  /** Which part of a split payroll; blank: the whole. */
  @Text(60) part!: string;
  @Choice(PAYROLL_KINDS) kind!: PayrollKind;
  @Choice(PAYDAY_STATUSES) status!: PaydayStatus;
  @Id({ nullable: true }) payrollId!: string | null;
  @Day() periodEnd!: string;
  @Day() checkDate!: string;
  /** The last banking day on which it can be posted and still be paid on its check date. */
  @Day({ nullable: true }) sendBy!: string | null;
  @Flag() isLate!: boolean;
  /** People who are paid in it, and of them those whose pay nobody has entered. */
  @Whole() people!: number;
  @Whole() waiting!: number;
  @Amount({ nullable: true }) net!: number | null;
  @Text() move!: string;
  /** What the client did: sent hours that wait to be taken, or approved the figures that stand. */
  @Choice(['', 'hours', 'approved']) fromClient!: '' | 'hours' | 'approved';
}
export class PaydayView {
  @List(() => Payday) rows!: Payday[];
  /** Clients whose days are still being worked out. */
  @Whole() waiting!: number;
}
export class StartPayroll {
  @Id() clientId!: string;
  @Text(30) schedule!: string;
  /** The period that was seen as due: another is not started instead. */
  @Day() periodEnd!: string;
}
export class StartPayrolls {
  @List(() => StartPayroll, { most: 500 }) payrolls!: StartPayroll[];
}
/** What became of one that was to be started: the payroll, or why not. */
export class StartedPayroll {
  @Part(() => StartPayroll) asked!: StartPayroll;
  @Id({ nullable: true }) payrollId!: string | null;
  @Text(600, { nullable: true }) refused!: string | null;
}
