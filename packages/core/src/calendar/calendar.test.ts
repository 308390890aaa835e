import { describe, expect, it } from '@jest/globals';
import Holidays from 'date-holidays';
import fc from 'fast-check';
import { addBusinessDays, isBusinessDay, onOrAfter, onOrBefore } from './business-days.js';
import { BANKING, LEGAL, holidayOn, holidaysOf } from './holidays.js';
import { addDays, addMonths, date, dayNumber, fromDayNumber, parseDate, showDate, weekday } from './local-date.js';
import { nextPeriod } from './pay-frequency.js';
import { lastDayOf, monthOfQuarter, quarterOf } from './quarter.js';

const anyDay = fc.integer({ min: dayNumber(date('1950-01-01')), max: dayNumber(date('2150-12-31')) });

describe('days', () => {
  it.each(['2026-02-29', '2026-13-01', '2026-1-1', '1899-12-31', '2026-04-31', 'today'])('%s is no day', (text) =>
    expect(parseDate(text)).toBeNull(),
  );
  it('agree with JavaScript’s own calendar', () => {
    fc.assert(
      fc.property(anyDay, (number) => {
        const day = fromDayNumber(number);
        const other = new Date(number * 86_400_000);
        return (
          day === other.toISOString().slice(0, 10) && weekday(day) === other.getUTCDay() && dayNumber(day) === number
        );
      }),
    );
  });
  it('months end where they end', () =>
    expect([addMonths(date('2026-01-31'), 1), addMonths(date('2024-03-31'), -1)]).toEqual([
      '2026-02-28',
      '2024-02-29',
    ]));
  it('are shown with the weekday', () => expect(showDate(date('2026-10-22'))).toBe('Thu, Oct 22, 2026'));
});

describe('holidays', () => {
  // Outside check: the date-holidays package, its United States and District of Columbia tables.
  const outside = new Holidays('US', 'DC', { types: ['public'] });
  const federal = new Holidays('US', { types: ['public'] });

  it.each([2024, 2025, 2026, 2027, 2028])('of %s: the legal holidays agree with an independent list', (year) => {
    const ours = holidaysOf(year, LEGAL).map((holiday) => holiday.day);
    const theirs = new Set(
      [...outside.getHolidays(year), ...federal.getHolidays(year)].map((holiday) => holiday.date.slice(0, 10)),
    );
    expect(ours.filter((day) => !theirs.has(day))).toEqual([]);
  });
  it('Independence Day 2026 is a Saturday: legal on Friday, while the banks are open', () => {
    expect(holidayOn(date('2026-07-03'), LEGAL)?.name).toBe('Independence Day');
    expect(holidayOn(date('2026-07-03'), BANKING)).toBeNull();
    expect(isBusinessDay(date('2026-07-03'), BANKING)).toBe(true);
  });
  it('New Year’s Day 2028 is a Saturday: the legal holiday is kept in 2027', () =>
    expect(holidayOn(date('2027-12-31'), LEGAL)?.name).toBe("New Year's Day"));
  it('a Sunday holiday is kept on Monday by both', () =>
    expect(
      [holidayOn(date('2027-07-05'), LEGAL), holidayOn(date('2027-07-05'), BANKING)].map((holiday) => holiday?.name),
    ).toEqual(['Independence Day', 'Independence Day']));
});

describe('business days', () => {
  it('15 November 2026 is a Sunday, so Monday', () => expect(onOrAfter(date('2026-11-15'), LEGAL)).toBe('2026-11-16'));
  it('step over weekends and holidays', () => {
    expect(addBusinessDays(date('2026-11-25'), 1, BANKING)).toBe('2026-11-27');
    expect(addBusinessDays(date('2026-11-27'), -1, BANKING)).toBe('2026-11-25');
    expect(onOrBefore(date('2026-12-27'), BANKING)).toBe('2026-12-24');
  });
  it('go there and back', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 20 }), (number, count) => {
        const start = onOrAfter(fromDayNumber(number), BANKING);
        return addBusinessDays(addBusinessDays(start, count, BANKING), -count, BANKING) === start;
      }),
    );
  });
});

describe('periods', () => {
  it('follow one another without a gap', () => {
    expect(nextPeriod('semimonthly', date('2026-02-15'))).toEqual({ start: '2026-02-16', end: '2026-02-28' });
    expect(nextPeriod('semimonthly', date('2026-02-28'))).toEqual({ start: '2026-03-01', end: '2026-03-15' });
    expect(nextPeriod('biweekly', date('2026-01-03'))).toEqual({ start: '2026-01-04', end: '2026-01-17' });
    expect(nextPeriod('monthly', date('2026-01-31'))).toEqual({ start: '2026-02-01', end: '2026-02-28' });
  });
  it('quarters know their months', () => {
    expect(quarterOf(date('2026-10-01'))).toEqual({ year: 2026, quarter: 4 });
    expect(lastDayOf({ year: 2024, quarter: 1 })).toBe('2024-03-31');
    expect(monthOfQuarter(addDays(date('2026-11-30'), 1))).toBe(3);
  });
});
