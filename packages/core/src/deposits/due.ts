import { addBusinessDays, onOrAfter, onOrBefore } from '../calendar/business-days.js';
import { makeDate, monthOf, yearOf, type LocalDate } from '../calendar/local-date.js';
import { lastDayOf, quarterOf } from '../calendar/quarter.js';
import type { TaxCode } from '../taxes/registry.js';
import { familyOf } from './family.js';
import { federalDepositDue, lastDayOfMonthAfter, type DepositSchedule, type Due } from './federal-schedule.js';

export interface DueFacts {
  readonly federal: DepositSchedule;
  /** New York: 3 business days after the payroll for those who withheld 15,000 or more in the calendar year before last, else 5. */
  readonly newYorkDays: 3 | 5;
  /** The day on which 100,000 were reached with these taxes among them; null where they were not. */
  readonly reached: LocalDate | null;
}

/** When a liability of this tax and check date is due, and by which rule. Federal unemployment: see futaDueDates. */
export function liabilityDue(tax: TaxCode, checkDate: LocalDate, facts: DueFacts): Due {
  const family = familyOf(tax);
  switch (family.calendar) {
    case 'withholding': {
      if (family.code === 'NY-SIT') {
        const due = addBusinessDays(checkDate, facts.newYorkDays, 'legal');
        return {
          due,
          rule: `New York Form NYS-1: ${facts.newYorkDays} business days after the payroll that brings the tax withheld to 700.00 or more.`,
        };
      }
      // No state's own deposit calendar but New York's is loaded yet; the day is a common one and says so.
      const [year, month] = [yearOf(checkDate), monthOf(checkDate)];
      const due = onOrAfter(month === 12 ? makeDate(year + 1, 1, 15) : makeDate(year, month + 1, 15), 'legal');
      return {
        due,
        rule: `${family.label}: taken as the fifteenth of the month after; the agency's own deposit calendar is not loaded. Not verified.`,
      };
    }
    case 'with-quarterly-report': {
      const due = onOrAfter(lastDayOfMonthAfter(lastDayOf(quarterOf(checkDate))), 'legal');
      return {
        due,
        rule: `${family.label}: with the quarterly report, the last day of the month after the quarter.`,
      };
    }
    case 'federal':
    case 'federal-unemployment':
      return federalDepositDue(checkDate, facts.federal, facts.reached);
  }
}

/** When Form 941 is due: the last day of the month after the quarter, moved to a business day. */
export function form941Due(year: number, quarter: 1 | 2 | 3 | 4): Due {
  const due = onOrAfter(lastDayOfMonthAfter(lastDayOf({ year, quarter })), 'legal');
  return { due, rule: 'Form 941: the last day of the month after the quarter, moved to a business day.' };
}

/** When Forms W-2 and W-3 are due: 31 January (IRC § 6071(c)), moved to a business day. */
export function formW2Due(year: number): Due {
  const due = onOrAfter(`${year + 1}-01-31` as LocalDate, 'legal');
  return { due, rule: 'Forms W-2 and W-3: 31 January, moved to a business day.' };
}

/** Banking hour, Eastern time, by which an ACH file must be with the bank to settle the next banking day. Common practice. */
export const ACH_CUTOFF = '17:00 ET';

/**
 * The last safe day to release an ACH credit that must settle by `due`: it settles on the last banking day not after the
 * due date, and is sent one banking day, and the firm's own cushion, before that.
 */
export function achSendBy(due: LocalDate, cushionDays: number): { settles: LocalDate; sendBy: LocalDate } {
  const settles = onOrBefore(due, 'banking');
  return { settles, sendBy: addBusinessDays(settles, -(1 + cushionDays), 'banking') };
}

/** The first day an ACH credit released on `today` can settle. */
export const earliestSettlement = (today: LocalDate): LocalDate => addBusinessDays(today, 1, 'banking');
