import { describe, expect, it } from '@jest/globals';
import { payCalendar, scheduleOf } from './schedule.js';

const weekly = scheduleOf({ frequency: 'weekly', periodEnd: '2025-12-20', daysToCheck: '6', whenClosed: 'before' });

describe('the pay calendar of a year', () => {
  it('has every check date of the year, moved before the days on which banks are closed', () => {
    if (!weekly) throw new Error('no schedule');
    const year = payCalendar(weekly, 2026);
    // 52 Fridays from January 2 on. Juneteenth, Christmas and the next New Year are Fridays too (5 U.S.C. § 6103): the
    // last makes a fifty-third check of this year.
    expect(year).toHaveLength(53);
    expect([year[0]?.checkDate, year.at(-1)?.checkDate]).toEqual(['2026-01-02', '2026-12-31']);
    expect(year.filter((one) => one.movedFrom !== null).map((one) => [one.movedFrom, one.checkDate])).toEqual([
      ['2026-06-19', '2026-06-18'],
      ['2026-12-25', '2026-12-24'],
      ['2027-01-01', '2026-12-31'],
    ]);
    expect(year[0]).toMatchObject({ start: '2025-12-21', end: '2025-12-27' });
  });
  it.each([
    ['biweekly', '2025-12-20', 26],
    ['semimonthly', '2025-12-31', 24],
    ['monthly', '2025-12-31', 12],
  ])('%s from %s on: %d', (frequency, periodEnd, count) => {
    const schedule = scheduleOf({ frequency, periodEnd, daysToCheck: 5, whenClosed: 'after' });
    expect(schedule && payCalendar(schedule, 2026)).toHaveLength(count);
  });
  it('begins with the schedule, and is none without one', () => {
    const late = scheduleOf({ frequency: 'weekly', periodEnd: '2026-10-24', daysToCheck: 6, whenClosed: 'before' });
    expect(late && payCalendar(late, 2026)[0]?.checkDate).toBe('2026-10-30');
    expect(late && payCalendar(late, 2025)).toEqual([]);
    expect(scheduleOf(null)).toBeNull();
  });
});
