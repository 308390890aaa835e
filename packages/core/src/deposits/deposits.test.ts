import { describe, expect, it } from '@jest/globals';
import { date } from '../calendar/local-date.js';
import { showQuarter } from '../calendar/quarter.js';
import { dollars } from '../money/cents.js';
import { achSendBy, form941Due, formW2Due, liabilityDue } from './due.js';
import { federalDepositDue, futaDueDates, scheduleFromLookback, semiweeklyPeriodEnd } from './federal-schedule.js';
import { federalDeposits, lookbackQuarters, scheduleOfYear, type LookbackFacts } from './schedules.js';

const semiweekly = (day: string) => federalDepositDue(date(day), 'semiweekly', null).due;
const monthly = (day: string) => federalDepositDue(date(day), 'monthly', null).due;

// Publication 15 (Employer's Tax Guide), section 11, "When To Deposit"; rules as stated there, dates worked out by hand.
describe('federal deposits, Publication 15 section 11', () => {
  it('the lookback decides: 50,000 or less is monthly, more is semiweekly', () => {
    expect(scheduleFromLookback(dollars('50000.00')).schedule).toBe('monthly');
    expect(scheduleFromLookback(dollars('50000.01')).schedule).toBe('semiweekly');
    expect(scheduleFromLookback(dollars('60000')).schedule).toBe('semiweekly');
    expect(scheduleFromLookback(dollars('40000')).schedule).toBe('monthly');
  });
  it('monthly: the 15th of the next month', () => expect(monthly('2026-09-18')).toBe('2026-10-15'));
  it('monthly: the 15th on a Saturday or Sunday moves to Monday', () => {
    expect(monthly('2026-07-10')).toBe('2026-08-17');
    expect(monthly('2026-10-16')).toBe('2026-11-16');
  });
  it('semiweekly: Wednesday, Thursday, Friday are due the following Wednesday', () => {
    expect(['2026-10-21', '2026-10-22', '2026-10-23'].map(semiweekly)).toEqual([
      '2026-10-28',
      '2026-10-28',
      '2026-10-28',
    ]);
  });
  it('semiweekly: Saturday to Tuesday are due the following Friday', () => {
    expect(['2026-10-24', '2026-10-25', '2026-10-26', '2026-10-27'].map(semiweekly)).toEqual([
      '2026-10-30',
      '2026-10-30',
      '2026-10-30',
      '2026-10-30',
    ]);
  });
  it('semiweekly: a legal holiday in the three days after the period gives one more day', () => {
    // Monday 12 October 2026 is Columbus Day.
    expect(semiweekly('2026-10-09')).toBe('2026-10-15');
    // Thanksgiving, Thursday 26 November 2026.
    expect(semiweekly('2026-11-24')).toBe('2026-11-30');
  });
  it('semiweekly: a period that spans two quarters ends with the first', () => {
    expect(semiweeklyPeriodEnd(date('2026-09-30'))).toBe('2026-09-30');
    expect(semiweeklyPeriodEnd(date('2026-10-01'))).toBe('2026-10-02');
  });
});

describe('the 100,000 next-day rule, Publication 15 section 11', () => {
  const starts = (schedule: 'monthly' | 'semiweekly') => () => ({ schedule, why: '' });
  const follow = (schedule: 'monthly' | 'semiweekly', ...lines: [string, string][]) =>
    federalDeposits(
      lines.map(([day, amount]) => ({ date: date(day), amount: dollars(amount) })),
      starts(schedule),
    );
  it('100,000 in a deposit period: the next business day', () => {
    const { nextDays } = follow(
      'semiweekly',
      ['2026-10-19', '60000'],
      ['2026-10-20', '40000'],
      ['2026-10-21', '99999.99'],
    );
    // All that accumulated is due the day after it came to 100,000, not the check that crossed alone.
    expect([...nextDays]).toEqual([
      ['2026-10-19', '2026-10-20'],
      ['2026-10-20', '2026-10-20'],
    ]);
    expect(federalDepositDue(date('2026-10-19'), 'semiweekly', date('2026-10-20')).due).toBe('2026-10-21');
    expect(federalDepositDue(date('2026-10-09'), 'monthly', date('2026-10-09')).due).toBe('2026-10-13');
  });
  it('a monthly depositor who reaches it is semiweekly for the rest of the year and the next', () => {
    const { nextDays, on } = follow(
      'monthly',
      ['2026-03-02', '100000'],
      ['2026-03-12', '50000'],
      ['2026-03-16', '60000'],
    );
    expect([...nextDays.keys()]).toEqual(['2026-03-02']);
    expect(
      ['2026-02-27', '2026-03-02', '2026-03-12', '2026-12-31', '2027-06-11', '2028-01-07'].map(
        (day) => on(date(day)).schedule,
      ),
    ).toEqual(['monthly', 'monthly', 'semiweekly', 'semiweekly', 'semiweekly', 'monthly']);
    expect(on(date('2026-03-12')).why).toMatch(/Mon 2 Mar 2026/);
  });
  // 26 CFR 31.6302-1(b)(2)(ii): it is the monthly depositor who is turned.
  it('leaves the next year of a semiweekly depositor to its lookback', () => {
    const lines = [
      { date: date('2026-03-02'), amount: dollars('100000') },
      { date: date('2027-03-01'), amount: dollars('100000') },
    ];
    const byYear = (year: number) => ({
      schedule: year === 2026 ? ('semiweekly' as const) : ('monthly' as const),
      why: '',
    });
    const { nextDays, on } = federalDeposits(lines, byYear);
    expect([...nextDays.keys()]).toEqual(['2026-03-02', '2027-03-01']);
    expect(
      ['2026-12-31', '2027-01-08', '2027-03-01', '2027-03-05', '2028-06-09', '2029-01-05'].map(
        (day) => on(date(day)).schedule,
      ),
    ).toEqual(['semiweekly', 'monthly', 'monthly', 'semiweekly', 'semiweekly', 'monthly']);
  });
  it('what gathers is counted within the period of the schedule that holds', () => {
    // A month: 99,999.99 and one cent. For a semiweekly depositor these are three periods.
    const lines: [string, string][] = [
      ['2026-05-01', '50000'],
      ['2026-05-15', '49999.99'],
      ['2026-05-29', '0.01'],
    ];
    expect([...follow('monthly', ...lines).nextDays.keys()]).toEqual(['2026-05-01', '2026-05-15', '2026-05-29']);
    expect([...follow('semiweekly', ...lines).nextDays]).toEqual([]);
  });
});

describe('the schedule of a year, Publication 15 section 11', () => {
  const facts = (more: Partial<LookbackFacts> = {}): LookbackFacts => ({
    entered: null,
    liabilities: [
      { date: date('2025-06-30'), amount: dollars('90000') },
      { date: date('2025-07-01'), amount: dollars('30000') },
      { date: date('2026-06-30'), amount: dollars('20000.01') },
      { date: date('2026-07-01'), amount: dollars('90000') },
    ],
    completeFrom: date('2025-01-10'),
    otherwise: dollars('1000'),
    ...more,
  });
  it('follows the four quarters that end on June 30 of the year before', () => {
    expect(lookbackQuarters(2027).map(showQuarter)).toEqual(['Q3 2025', 'Q4 2025', 'Q1 2026', 'Q2 2026']);
    expect(scheduleOfYear(2027, facts())).toEqual({
      schedule: 'semiweekly',
      why: 'Lookback taxes of 50,000.01 are more than 50,000.00. They are those of the ledger, Q3 2025 to Q2 2026.',
    });
  });
  it('goes by what was entered for the year before anything else', () =>
    expect(scheduleOfYear(2027, facts({ entered: dollars('50000') })).schedule).toBe('monthly'));
  it('does not take a ledger that begins later for the whole: it says what is missing', () => {
    const said = scheduleOfYear(2027, facts({ completeFrom: date('2026-01-01') }));
    expect(said.schedule).toBe('monthly');
    expect(said.why).toMatch(/does not have Q3 2025, Q4 2025/);
    expect(scheduleOfYear(2027, facts({ completeFrom: null })).why).toMatch(/Q3 2025, Q4 2025, Q1 2026, Q2 2026/);
  });
  it('takes a quarter in which the ledger begins for whole', () =>
    expect(scheduleOfYear(2027, facts({ completeFrom: date('2025-09-30') })).schedule).toBe('semiweekly'));
});

describe('federal unemployment deposits, Publication 15 section 14', () => {
  const unpaid = (...lines: [string, string][]) =>
    futaDueDates(lines.map(([day, amount]) => ({ date: date(day), amount: dollars(amount) })));
  it('499.99 is carried forward, 500.01 is due after the quarter', () => {
    expect(unpaid(['2026-02-13', '499.99']).get(date('2026-02-13'))?.due).toBe('2027-02-01');
    expect(unpaid(['2026-02-13', '500.01']).get(date('2026-02-13'))?.due).toBe('2026-04-30');
  });
  it('what was carried is due with the quarter that passes 500', () => {
    const due = unpaid(['2026-02-13', '300'], ['2026-05-15', '250'], ['2026-08-14', '100']);
    expect([
      due.get(date('2026-02-13'))?.due,
      due.get(date('2026-05-15'))?.due,
      due.get(date('2026-08-14'))?.due,
    ]).toEqual(['2026-07-31', '2026-07-31', '2027-02-01']);
  });
});

describe('other due dates', () => {
  const facts = { federal: 'monthly', newYorkDays: 5, reached: null } as const;
  it('New York withholding: business days after the payroll', () =>
    expect(liabilityDue('NY-SIT', date('2026-10-16'), facts).due).toBe('2026-10-23'));
  it('unemployment: the last day of the month after the quarter, a Saturday moves on', () =>
    expect(liabilityDue('TX-SUI', date('2026-09-30'), facts).due).toBe('2026-11-02'));
  it('Form 941 for the third quarter of 2026: 31 October is a Saturday', () =>
    expect(form941Due(2026, 3).due).toBe('2026-11-02'));
  it('Forms W-2 for 2026: 31 January 2027 is a Sunday', () => expect(formW2Due(2026).due).toBe('2027-02-01'));
  it('an ACH credit is sent a banking day before it settles, and settles before a due date on which banks are closed', () => {
    expect(achSendBy(date('2026-11-16'), 0)).toEqual({ settles: '2026-11-16', sendBy: '2026-11-13' });
    expect(achSendBy(date('2026-11-16'), 1).sendBy).toBe('2026-11-12');
    expect(achSendBy(date('2026-11-26'), 0)).toEqual({ settles: '2026-11-25', sendBy: '2026-11-24' });
  });
});
