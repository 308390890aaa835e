import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { date } from '../calendar/local-date.js';
import { rate } from '../money/rate.js';
import { accrue, leaveHours, showLeaveHours, type LeavePlan } from './accrual.js';

const h = (text: string): number => leaveHours(rate(text));
const plan = (more: Partial<LeavePlan> = {}): LeavePlan => ({
  item: 'vacation',
  per: 'period',
  hours: h('3.0769'),
  maximum: null,
  waitsUntil: null,
  reset: null,
  ...more,
});
const check = (more: Record<string, unknown> = {}) => ({
  lastCheck: date('2026-05-29'),
  checkDate: date('2026-06-12'),
  worked: h('80'),
  used: 0,
  ...more,
});

// Plans are the employer's own; the arithmetic is common practice.
describe('leave', () => {
  it('builds up each period, each hour worked, or once a year', () => {
    expect(accrue(plan(), h('10'), check()).balance).toBe(h('13.0769'));
    expect(accrue(plan({ per: 'hour', hours: h('0.0333') }), 0, check({ worked: h('76.5') })).accrued).toBe(
      h('2.5475'),
    );
    const yearly = plan({ per: 'year', hours: h('80') });
    expect(accrue(yearly, 0, check()).accrued).toBe(0);
    expect(accrue(yearly, 0, check({ lastCheck: date('2025-12-26'), checkDate: date('2026-01-09') })).accrued).toBe(
      h('80'),
    );
  });
  it('stops at the maximum to the last fraction, and says what is lost', () =>
    expect(accrue(plan({ maximum: h('120') }), h('118.5'), check())).toMatchObject({
      accrued: h('1.5'),
      lost: h('1.5769'),
      balance: h('120'),
    }));
  it('waits as long as the plan says', () => {
    expect(accrue(plan({ waitsUntil: date('2026-06-13') }), 0, check()).accrued).toBe(0);
    expect(accrue(plan({ waitsUntil: date('2026-06-12') }), 0, check()).accrued).toBe(h('3.0769'));
  });
  it('falls to the carry-over on the day of the reset, once', () => {
    const ends = plan({ reset: { month: 6, day: 1, carryOver: h('40') } });
    expect(accrue(ends, h('70'), check())).toMatchObject({ lost: h('30'), balance: h('43.0769') });
    expect(
      accrue(ends, h('43.0769'), check({ lastCheck: date('2026-06-12'), checkDate: date('2026-06-26') })).lost,
    ).toBe(0);
  });
  it('what is used comes off, also below zero', () =>
    expect(showLeaveHours(accrue(plan(), 0, check({ used: h('8') })).balance)).toBe('-4.9231'));
  it('nothing is made or lost without a word: before + accrued − used − lost over the reset is the balance', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 2_000_000 }), fc.integer({ min: 0, max: 400_000 }), (before, used) => {
        const own = plan({ maximum: h('160'), reset: { month: 6, day: 1, carryOver: h('40') } });
        const move = accrue(own, before, check({ used }));
        const kept = Math.min(before, h('40'));
        return move.balance === kept + move.accrued - used && kept + move.accrued <= h('160');
      }),
    );
  });
});
