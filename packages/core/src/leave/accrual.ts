import { makeDate, yearOf, type LocalDate } from '../calendar/local-date.js';
import type { Rate } from '../money/rate.js';

/** Hours as whole ten-thousandths: exact, and finer than any plan accrues. */
export type LeaveHours = number;
const FINE = 10_000;
export const leaveHours = (hours: Rate): LeaveHours => Math.round((hours.n * FINE) / hours.d);
/** `12.3077`, without idle zeros. */
export function showLeaveHours(hours: LeaveHours): string {
  const size = Math.abs(hours);
  const fraction = String(size % FINE)
    .padStart(4, '0')
    .replace(/0+$/, '');
  return `${hours < 0 ? '-' : ''}${Math.floor(size / FINE)}${fraction === '' ? '' : `.${fraction}`}`;
}

/** A move of a leave balance as it is shown: hours before it, what it added, used and lost, and hours after it. */
export function showLeaveMove(
  move: { readonly item: string } & LeaveMove,
): Readonly<Record<'item' | 'before' | 'accrued' | 'used' | 'lost' | 'balance', string>> {
  return {
    item: move.item,
    before: showLeaveHours(move.balance - move.accrued + move.used + move.lost),
    accrued: showLeaveHours(move.accrued),
    used: showLeaveHours(move.used),
    lost: showLeaveHours(move.lost),
    balance: showLeaveHours(move.balance),
  };
}

/** How a leave plan builds up. Plans are the employer's own; nothing here is law. */
export interface LeavePlan {
  /** The earning item whose hours use it. */
  readonly item: string;
  /** Each pay period, each hour worked, or once a year on the day of the reset (January 1 without one). */
  readonly per: 'period' | 'hour' | 'year';
  readonly hours: LeaveHours;
  /** The balance stops here. */
  readonly maximum: LeaveHours | null;
  /** Nothing builds up before this day. */
  readonly waitsUntil: LocalDate | null;
  /** Month and day on which the balance falls to what may be carried over. */
  readonly reset: { readonly month: number; readonly day: number; readonly carryOver: LeaveHours } | null;
}
export interface LeaveMove {
  readonly accrued: LeaveHours;
  readonly used: LeaveHours;
  /** Lost at the reset, or over the maximum. */
  readonly lost: LeaveHours;
  readonly balance: LeaveHours;
}

/** Whether the day of the year lies after `last` and not after `day`. */
function passes(month: number, dayOfMonth: number, last: LocalDate, day: LocalDate): boolean {
  for (let year = yearOf(last); year <= yearOf(day); year += 1) {
    const on = makeDate(year, month, dayOfMonth);
    if (on > last && on <= day) return true;
  }
  return false;
}

/**
 * One check's move of a leave balance: the reset first, then what builds up (never over the maximum), then what is used.
 * A balance may fall below zero; the caller warns.
 */
export function accrue(
  plan: LeavePlan,
  before: LeaveHours,
  check: {
    readonly lastCheck: LocalDate;
    readonly checkDate: LocalDate;
    readonly worked: LeaveHours;
    readonly used: LeaveHours;
  },
): LeaveMove {
  let balance = before;
  let lost = 0;
  const { reset } = plan;
  const isReset = passes(reset?.month ?? 1, reset?.day ?? 1, check.lastCheck, check.checkDate);
  if (reset && isReset && balance > reset.carryOver) {
    lost = balance - reset.carryOver;
    balance = reset.carryOver;
  }
  const isWaiting = plan.waitsUntil !== null && check.checkDate < plan.waitsUntil;
  let accrued = 0;
  if (!isWaiting) {
    if (plan.per === 'period') accrued = plan.hours;
    else if (plan.per === 'year') accrued = isReset ? plan.hours : 0;
    else accrued = Math.round((check.worked * plan.hours) / FINE);
  }
  if (plan.maximum !== null) {
    const room = Math.max(0, plan.maximum - balance);
    if (accrued > room) {
      lost += accrued - room;
      accrued = room;
    }
  }
  return { accrued, used: check.used, lost, balance: balance + accrued - check.used };
}
