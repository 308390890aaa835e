import { HOLIDAYS } from '../../calendar/holidays.js';
import { dollars } from '../../money/cents.js';
import { recalled } from '../dated.js';
import type { DepositCalendar, DepositClass } from '../deposit-calendar.js';
import {
  afterCheck,
  afterQuarter,
  depositCalendar,
  depositClass,
  lateMonthly,
  lookbackFrom,
  penalized,
  quarterly,
  stateHolidays,
  withQuarterlyReport,
  yearly,
} from '../deposit-words.js';
import { publication } from '../state-words.js';

/** General Construction Law § 24: Lincoln's Birthday and every Election Day besides the federal ones. */
const CALENDAR = stateHolidays('NY', 'New York', [HOLIDAYS.lincoln, HOLIDAYS.election], [], 'not-moved');

/** Form NYS-1 after the payroll that brings what is withheld and not paid of the quarter to 700; the rest with Form NYS-45. */
const after = (days: 3 | 5): DepositClass =>
  depositClass(`${days}-day`, `Within ${days} business days`, {
    is: 'accumulated',
    mark: dollars('700'),
    reached: afterCheck(days),
    otherwise: afterQuarter(),
  });

export const NEW_YORK_DEPOSITS: readonly DepositCalendar[] = [
  penalized(
    depositCalendar(
      'NY-SIT',
      recalled(
        publication(
          'Publication NYS-50, Employer’s Guide to Unemployment Insurance, Wage Reporting, and Withholding Tax',
          'New York State Department of Taxation and Finance',
          '2025',
        ),
        'part 4, Form NYS-1: 15,000 or more withheld in the calendar year before last gives three business days',
        'Educational organizations and health care providers have five business days whatever they withheld; say so by the deposit frequency.',
      ),
      {
        holidays: CALENDAR,
        classes: [after(3), after(5)],
        lookback: lookbackFrom('second-year-before', ['0', '5-day'], ['15000', '3-day']),
      },
    ),
    recalled(publication('Tax Law', 'New York State Legislature', 'as amended'), '§ 685(a)(2)'),
    lateMonthly('0.005', '0.25'),
  ),
  withQuarterlyReport('NY-SUI', CALENDAR, 'New York State Department of Labor'),
  depositCalendar(
    'NY-WCB',
    recalled(
      publication('Disability and paid family leave benefits', 'New York State Workers’ Compensation Board', '2026'),
      'the premium of the policy, when the carrier asks for it',
      'No law gives a day; the policy does.',
    ),
    { holidays: CALENDAR, classes: [quarterly(), yearly()] },
  ),
];
