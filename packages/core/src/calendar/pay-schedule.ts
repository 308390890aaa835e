import { onOrAfter, onOrBefore } from './business-days.js';
import { BANKING } from './holidays.js';
import { addDays, dayOf, endOfMonth, showDate, type LocalDate } from './local-date.js';
import { PERIODS_PER_YEAR, nextPeriod, type PayFrequency } from './pay-frequency.js';

/** How often a client pays, from a known end of a period on. */
export interface PaySchedule {
  readonly frequency: PayFrequency;
  /** The last day of some period. */
  readonly periodEnd: LocalDate;
  readonly daysToCheck: number;
  /** Where a check date on a weekend or bank holiday moves to. */
  readonly whenClosed: 'before' | 'after';
}
export interface ScheduledPayroll {
  readonly start: LocalDate;
  readonly end: LocalDate;
  readonly checkDate: LocalDate;
  /** The check date before it was moved, when it was. */
  readonly movedFrom: LocalDate | null;
}

/** The first day of the period that ends on the schedule's known day. */
function firstStart({ frequency, periodEnd }: PaySchedule): LocalDate {
  switch (frequency) {
    case 'weekly':
      return addDays(periodEnd, -6);
    case 'biweekly':
      return addDays(periodEnd, -13);
    case 'semimonthly':
      return (dayOf(periodEnd) <= 15 ? `${periodEnd.slice(0, 8)}01` : `${periodEnd.slice(0, 8)}16`) as LocalDate;
    case 'daily':
    case 'miscellaneous':
      return periodEnd;
    default: {
      const months = 12 / PERIODS_PER_YEAR[frequency];
      const month = Number(periodEnd.slice(0, 4)) * 12 + Number(periodEnd.slice(5, 7)) - months;
      return `${String(Math.floor(month / 12)).padStart(4, '0')}-${String((month % 12) + 1).padStart(2, '0')}-01` as LocalDate;
    }
  }
}

const isMonthly = (frequency: PayFrequency): boolean => PERIODS_PER_YEAR[frequency] <= 12;

/** Whether a day can be the end of a period of a frequency: half-months and months end where the calendar says. */
export const canEndPeriod = (frequency: PayFrequency, day: LocalDate): boolean =>
  frequency === 'semimonthly'
    ? dayOf(day) === 15 || day === endOfMonth(day)
    : !isMonthly(frequency) || day === endOfMonth(day);

function checkDateOf(schedule: PaySchedule, end: LocalDate): Pick<ScheduledPayroll, 'checkDate' | 'movedFrom'> {
  const nominal = addDays(end, schedule.daysToCheck);
  const checkDate = schedule.whenClosed === 'before' ? onOrBefore(nominal, BANKING) : onOrAfter(nominal, BANKING);
  return { checkDate, movedFrom: checkDate === nominal ? null : nominal };
}

/** The payroll after the period that ended on `end`. */
export function payrollAfter(schedule: PaySchedule, end: LocalDate): ScheduledPayroll {
  const period = nextPeriod(schedule.frequency, end);
  return { ...period, ...checkDateOf(schedule, period.end) };
}

/** The next `count` payrolls whose checks are on `from` or later, beginning with the schedule's known period. */
export function payrollsFrom(schedule: PaySchedule, from: LocalDate, count: number): ScheduledPayroll[] {
  const found: ScheduledPayroll[] = [];
  let next: ScheduledPayroll = {
    start: firstStart(schedule),
    end: schedule.periodEnd,
    ...checkDateOf(schedule, schedule.periodEnd),
  };
  // A schedule that began long ago is walked forward; two thousand periods are 38 years of weeks.
  for (let walked = 0; walked < 2000 + count && found.length < count; walked += 1) {
    if (next.checkDate >= from) found.push(next);
    next = payrollAfter(schedule, next.end);
  }
  return found;
}

/** Why a check date is where it is. */
export const movedWords = ({ movedFrom }: Pick<ScheduledPayroll, 'movedFrom'>): string =>
  movedFrom ? ` ${showDate(movedFrom)} is not a banking day.` : '';
