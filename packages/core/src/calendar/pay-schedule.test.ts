import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { isBusinessDay } from './business-days.js';
import { BANKING } from './holidays.js';
import { addDays, date, fromDayNumber, endOfMonth } from './local-date.js';
import { canEndPeriod, payrollsFrom, type PaySchedule } from './pay-schedule.js';

const schedule = (more: Partial<PaySchedule>): PaySchedule => ({
  frequency: 'biweekly',
  periodEnd: date('2026-01-03'),
  daysToCheck: 6,
  whenClosed: 'before',
  ...more,
});

describe('a pay schedule', () => {
  // Federal Reserve Banks' holiday schedule 2026: Thanksgiving 26 November, Christmas 25 December (a Friday).
  it('moves a check date off a bank holiday, before or after', () => {
    const christmas = schedule({ periodEnd: date('2026-12-19') });
    expect(payrollsFrom(christmas, date('2026-12-01'), 1)[0]).toMatchObject({
      start: '2026-12-06',
      checkDate: '2026-12-24',
      movedFrom: '2026-12-25',
    });
    expect(payrollsFrom({ ...christmas, whenClosed: 'after' }, date('2026-12-01'), 1)[0]?.checkDate).toBe('2026-12-28');
  });
  it.each([
    ['weekly', '2026-01-03', 52],
    ['biweekly', '2026-01-03', 26],
    ['semimonthly', '2025-12-31', 24],
    ['monthly', '2025-12-31', 12],
    ['quarterly', '2025-12-31', 4],
  ] as const)('%s from %s has %d check dates in the year', (frequency, periodEnd, count) => {
    const found = payrollsFrom(
      schedule({ frequency, periodEnd: date(periodEnd), daysToCheck: 5 }),
      date('2026-01-01'),
      60,
    );
    expect(found.filter((one) => one.checkDate.startsWith('2026'))).toHaveLength(count);
  });
  it('has no gap and no overlap, and pays on banking days only', () =>
    fc.assert(
      fc.property(
        fc.constantFrom('weekly' as const, 'biweekly' as const, 'semimonthly' as const, 'monthly' as const),
        fc.integer({ min: 19_000, max: 22_000 }),
        fc.integer({ min: 0, max: 12 }),
        (frequency, day, daysToCheck) => {
          const known = fromDayNumber(day);
          const periodEnd = canEndPeriod(frequency, known) ? known : endOfMonth(known);
          const found = payrollsFrom(schedule({ frequency, periodEnd, daysToCheck }), date('1990-01-01'), 40);
          return found.every((one, index) => {
            const before = found[index - 1];
            return (
              one.start <= one.end &&
              isBusinessDay(one.checkDate, BANKING) &&
              (!before || one.start === addDays(before.end, 1))
            );
          });
        },
      ),
    ));
  it('half-months and months end where the calendar says', () => {
    expect(canEndPeriod('semimonthly', date('2026-02-28'))).toBe(true);
    expect(canEndPeriod('semimonthly', date('2026-02-15'))).toBe(true);
    expect(canEndPeriod('semimonthly', date('2026-02-14'))).toBe(false);
    expect(canEndPeriod('monthly', date('2026-01-30'))).toBe(false);
    expect(canEndPeriod('weekly', date('2026-01-30'))).toBe(true);
  });
});
