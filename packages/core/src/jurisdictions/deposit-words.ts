import type { HolidayCalendar, HolidayRule } from '../calendar/holidays.js';
import { BANKING } from '../calendar/holidays.js';
import { dollars } from '../money/cents.js';
import { rate } from '../money/rate.js';
import { recalled, type Provenance } from './dated.js';
import type {
  DayOfMonth,
  DayRule,
  DepositCalendar,
  DepositClass,
  DepositRules,
  DueRule,
  LatePenalty,
  Lookback,
  LookbackPeriod,
} from './deposit-calendar.js';
import type { Source } from './sources/register.js';
import { again, beginning, publication, row } from './state-words.js';
import type { StateCode } from './state.js';

/** Words to write deposit calendars as the publications do. */
export const afterMonth = (
  day: DayOfMonth,
  more: { endsQuarter?: DayOfMonth; endsYear?: DayOfMonth } = {},
): DayRule => ({
  is: 'after-month',
  day,
  ...more,
});
export const afterQuarter = (day: DayOfMonth = 'last'): DayRule => ({ is: 'after-quarter', day });
export const afterYear = (month: number, day: DayOfMonth = 'last'): DayRule => ({ is: 'after-year', month, day });
export const afterCheck = (days: number, counted: 'business' | 'calendar' = 'business'): DayRule => ({
  is: 'after-check',
  days,
  counted,
});
export const afterWeek = (weekday: number): DayRule => ({ is: 'after-week', weekday });
/** Half-months: the first by a day of the same month, the second by a day of the next. */
export const byHalf = (first: DayOfMonth, second: DayOfMonth): DayRule => ({ is: 'by-half', first, second });
export const afterMonthEnd = (days: number): DayRule => ({ is: 'after-month-end', days });
const part =
  (ends: readonly DayOfMonth[]) =>
  (days: number, counted: 'business' | 'calendar' = 'business'): DayRule => ({
    is: 'after-part',
    ends,
    days,
    counted,
  });
export const afterHalfMonth = part([15, 'last']);
export const afterQuarterMonth = part([7, 15, 22, 'last']);
export const afterEighthMonth = part([3, 7, 11, 15, 19, 22, 25, 'last']);

export const depositClass = (code: string, label: string, due: DueRule): DepositClass => ({ code, label, due });
/** The classes that the federal rules have for deposits with a return, which many states follow. */
export const SEMIWEEKLY = depositClass('semiweekly', 'Semiweekly', { is: 'semiweekly' });
export const monthly = (
  day: DayOfMonth,
  more: { endsQuarter?: DayOfMonth; endsYear?: DayOfMonth } = {},
): DepositClass => depositClass('monthly', 'Monthly', afterMonth(day, more));
export const quarterly = (day: DayOfMonth = 'last'): DepositClass =>
  depositClass('quarterly', 'Quarterly', afterQuarter(day));
export const yearly = (month = 1, day: DayOfMonth = 'last'): DepositClass =>
  depositClass('yearly', 'Yearly', afterYear(month, day));

export const lookback = (
  period: LookbackPeriod,
  ...steps: readonly (readonly [over: string, code: string])[]
): Lookback => ({ period, steps: steps.map(([over, code]) => ({ over: dollars(over), class: code })) });
/** The same, where the class begins with the amount itself. */
export const lookbackFrom = (
  period: LookbackPeriod,
  ...steps: readonly (readonly [from: string, code: string])[]
): Lookback => ({
  ...lookback(period, ...steps),
  isReached: true,
});

/** A calendar that holds for the check dates of these years as it is. */
export const depositCalendar = (family: string, provenance: Provenance, rules: DepositRules): DepositCalendar => ({
  family,
  rules: beginning(row('2024-01-01', provenance, rules), again('2025-01-01'), again('2026-01-01')),
});

/** The holidays of the Federal Reserve with those a state has besides, and without those it does not keep. */
export const stateHolidays = (
  code: StateCode,
  name: string,
  more: readonly HolidayRule[] = [],
  without: readonly HolidayRule[] = [],
  saturday: HolidayCalendar['saturday'] = 'friday',
): HolidayCalendar => ({
  code,
  name: `Legal holidays in ${name}`,
  saturday,
  rules: [...BANKING.rules.filter((rule) => !without.includes(rule)), ...more],
});

export const NOT_COMPARED =
  'The due dates, and the days on which the agency is closed, have not been compared with its own calendar.';
/** Deposits of tax withheld, as a state's guide for employers says. */
export const withholding = (
  family: string,
  holidays: HolidayCalendar,
  source: Source,
  classes: readonly DepositClass[],
  more: Partial<Pick<DepositRules, 'lookback' | 'nextDay'>> & { readonly doubt?: string } = {},
): DepositCalendar => {
  const { doubt = NOT_COMPARED, ...rest } = more;
  return depositCalendar(family, recalled(source, 'when to deposit', doubt), { holidays, classes, ...rest });
};
/** What is paid with the quarterly report. */
export const withQuarterlyReport = (
  family: string,
  holidays: HolidayCalendar,
  agency: string,
  day: DayOfMonth = 'last',
): DepositCalendar =>
  depositCalendar(
    family,
    recalled(publication('Quarterly report of wages and contributions', agency, '2026'), 'due dates', NOT_COMPARED),
    {
      holidays,
      classes: [quarterly(day)],
    },
  );

/** A calendar with what its agency adds when a deposit is late; statutes as recalled, interest left out. */
export const penalized = (calendar: DepositCalendar, provenance: Provenance, late: LatePenalty): DepositCalendar => ({
  ...calendar,
  late: beginning(row('2024-01-01', provenance, late), again('2025-01-01'), again('2026-01-01')),
});
const least = (amount: string | undefined): Pick<LatePenalty, 'least'> =>
  amount === undefined ? {} : { least: dollars(amount) };
/** Shares by how late it is: each with the days that must have passed. */
export const lateTiers = (
  tiers: readonly (readonly [overDays: number, share: string])[],
  lowest?: string,
): LatePenalty => ({
  is: 'tiers',
  tiers: tiers.map(([overDays, share]) => ({ overDays, rate: rate(share) })),
  ...least(lowest),
});
export const lateMonthly = (
  each: string,
  most: string,
  more: {
    readonly first?: string;
    readonly firstMonths?: number;
    readonly counted?: 'months' | '30 days';
    readonly least?: string;
  } = {},
): LatePenalty => ({
  is: 'by-month',
  first: rate(more.first ?? each),
  firstMonths: more.firstMonths ?? 1,
  each: rate(each),
  most: rate(most),
  counted: more.counted ?? 'months',
  ...least(more.least),
});
