import { add, cents, parseDollars, toDollars, type Cents } from '../money/cents.js';
import { plus, round, times } from '../money/exact.js';
import { parsePercent, parseRate, showRate, type Rate } from '../money/rate.js';
import { EMPLOYEE_FACTS } from './employee-facts.js';
import { text, type FactValue } from './fact-kind.js';
import type { PersonOnDay } from './on-day.js';

/** One change of the records of many people, from a day on. Values are as they are typed. */
export type ChangeForMany =
  /** The hourly rate or the salary: to an amount, by an amount, or by a percentage. */
  | { readonly is: 'pay'; readonly by: 'to' | 'amount' | 'percent'; readonly value: string }
  /** Where the work is booked, or the schedule by which it is paid; blank takes it away. */
  | {
      readonly is: 'work';
      readonly field: 'department' | 'location' | 'costCentre' | 'schedule';
      readonly value: string;
    }
  /** A recurring earning or deduction, for those who have none of it, and in place of it for those who have. */
  | { readonly is: 'standing'; readonly item: string; readonly amount?: string; readonly percent?: string };

/** What would be recorded for one person, with how it stands and how it would stand in words; or why nothing is. */
export type ChangedFact =
  | { readonly fact: { readonly kind: string; readonly value: FactValue }; readonly was: string; readonly will: string }
  | { readonly was: string; readonly why: string };

const says = (kind: string, value: FactValue | null): string =>
  value === null ? '' : EMPLOYEE_FACTS.says(kind, value);

/** Dollars of an hourly rate with its decimals kept: a rate of 17.125 stays one. */
function raisedRate(now: Rate, { by, value }: Extract<ChangeForMany, { is: 'pay' }>): string | null {
  if (by === 'to') return parseRate(value) ? value : null;
  if (by === 'amount') {
    const more = parseRate(value);
    return more ? atLeastCents(showRate(plus(now, more))) : null;
  }
  const percent = parsePercent(value);
  return percent ? toDollars(round(times(ONE_DOLLAR, raised(now, percent)), 'half-up')) : null;
}
const ONE_DOLLAR = cents(100);
const raised = (now: Rate, { n, d }: Rate): Rate => ({ n: now.n * (d + n), d: now.d * d });
/** `18.5` as `18.50`; more decimals stay. */
const atLeastCents = (rate: string): string => {
  const [whole = '', decimals = ''] = rate.split('.');
  return `${whole}.${decimals.padEnd(2, '0')}`;
};

function raisedSalary(now: Cents, { by, value }: Extract<ChangeForMany, { is: 'pay' }>): string | null {
  if (by === 'percent') {
    const percent = parsePercent(value);
    return percent ? toDollars(add(now, round(times(now, percent), 'half-up'))) : null;
  }
  const amount = parseDollars(value);
  if (amount === null) return null;
  return toDollars(by === 'to' ? amount : add(now, amount));
}

function changedPay(pay: FactValue | null, change: Extract<ChangeForMany, { is: 'pay' }>): ChangedFact {
  const was = says('pay', pay);
  const basis = pay ? text(pay, 'basis') : '';
  if (!pay || (basis !== 'hourly' && basis !== 'salary')) return { was, why: 'has neither a rate nor a salary' };
  const field = basis === 'hourly' ? 'rate' : 'amount';
  const now = text(pay, field);
  const known = basis === 'salary' ? parseDollars(now) : parseRate(now);
  if (known === null) return { was, why: `its ${field} is not known` };
  const next = typeof known === 'number' ? raisedSalary(known, change) : raisedRate(known, change);
  if (next === null) return { was, why: `${change.value} is not a number` };
  if (next.startsWith('-') || !/[1-9]/.test(next)) return { was, why: 'would be paid nothing' };
  const value = { ...pay, [field]: next };
  return says('pay', value) === was
    ? { was, why: 'is paid so already' }
    : { fact: { kind: 'pay', value }, was, will: says('pay', value) };
}

function changedWork(
  worker: FactValue | null,
  { field, value: wanted }: Extract<ChangeForMany, { is: 'work' }>,
): ChangedFact {
  const before = worker ?? {};
  const was = text(before, field);
  if (was === wanted.trim()) return { was, why: was === '' ? 'has none' : `has ${was} already` };
  return { fact: { kind: 'worker', value: { ...before, [field]: wanted.trim() } }, was, will: wanted.trim() || 'none' };
}

function changedStanding(
  person: PersonOnDay,
  { item, amount, percent }: Extract<ChangeForMany, { is: 'standing' }>,
): ChangedFact {
  const known = person.standing.find((fact) => text(fact.value, 'item') === item)?.value ?? null;
  const was = says('standing', known);
  // What is counted down stays counted from where it began.
  const { amount: _amount, percent: _percent, hours: _hours, match: _match, rate: _rate, ...kept } = known ?? {};
  const value: FactValue = {
    ...kept,
    item,
    ...(amount === undefined || amount === '' ? {} : { amount }),
    ...(percent === undefined || percent === '' ? {} : { percent }),
  };
  const will = says('standing', value);
  return will === was ? { was, why: 'has it so already' } : { fact: { kind: 'standing', value }, was, will };
}

/**
 * What a change for many would record for one person. Percentages of a rate or a salary are rounded half a cent up; a rate
 * that is raised by an amount keeps its decimals.
 */
export function changedFact(person: PersonOnDay, change: ChangeForMany): ChangedFact {
  switch (change.is) {
    case 'pay':
      return changedPay(person.pay, change);
    case 'work':
      return changedWork(person.worker, change);
    case 'standing':
      return changedStanding(person, change);
  }
}
