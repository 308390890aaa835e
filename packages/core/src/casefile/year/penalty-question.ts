import { onOrAfter } from '../../calendar/business-days.js';
import { LEGAL } from '../../calendar/holidays.js';
import { date, daysBetween, endOfMonth, showDate, type LocalDate } from '../../calendar/local-date.js';
import { lastDayOf, quarterOf } from '../../calendar/quarter.js';
import { depositDates, type Accrued } from '../../deposits/deposit-dates.js';
import { lastDayOfMonthAfter, semiweeklyPeriodEnd } from '../../deposits/due-rules.js';
import { findFamily, type DepositFamily } from '../../deposits/family.js';
import { parsePeriod } from '../../filings/period.js';
import { problem, type Issue } from '../../issues/issue.js';
import { ZERO, add, smaller, subtract, sum, toDollars, type Cents } from '../../money/cents.js';
import { showPercent } from '../../money/rate.js';
import {
  depositPenalty,
  type DepositMade,
  type DepositOwed,
  type DepositPart,
} from '../../penalties/deposit-penalty.js';
import { hasLateRule, lateEstimate } from '../../penalties/late-estimate.js';
import { interestOn, returnPenalty, type MonthlyPenalty } from '../../penalties/return-penalty.js';
import { Reader, type JsonObject } from '../reader.js';
import { shownProblem, type CaseProblem } from '../run-case.js';

interface ShownPart {
  readonly periodEnded: string;
  readonly due: string;
  readonly amount: string;
  readonly paid: string | null;
  readonly days: number;
  readonly rate: string;
  readonly penalty: string;
  readonly rule: string;
}
interface ShownMonths {
  readonly months: number;
  readonly penalty: string;
  readonly rule: string;
}
export interface PenaltyAnswer {
  readonly id: string;
  readonly deposit: { readonly penalty: string; readonly parts: readonly ShownPart[] } | null;
  readonly returnDue: string | null;
  readonly filing: ShownMonths | null;
  readonly payment: ShownMonths | null;
  /** Null where the rate of a quarter is not published here. */
  readonly interest: string | null;
  readonly total: string | null;
  readonly problems: readonly CaseProblem[];
}

const FEDERAL = ['us-941', 'us-943', 'us-944', 'us-945', 'us-940'];
const idOf = (value: JsonObject): string => (typeof value['id'] === 'string' ? value['id'] : '');
const nothing = (id: string, issues: readonly Issue[]): PenaltyAnswer => ({
  id,
  deposit: null,
  returnDue: null,
  filing: null,
  payment: null,
  interest: null,
  total: null,
  problems: issues.map(shownProblem),
});

/** The last day of the deposit period that a day is in. */
function periodEnd(day: LocalDate, depositClass: string, isNextDay: boolean): LocalDate {
  if (isNextDay) return day;
  if (depositClass === 'monthly') return endOfMonth(day);
  return depositClass === 'semiweekly' ? semiweeklyPeriodEnd(day) : lastDayOf(quarterOf(day));
}

/** What accrued by deposit period, each with its due date; a question where it has none. */
function owedBy(
  family: DepositFamily,
  said: string | null,
  accrued: readonly Accrued[],
): { owed: DepositOwed[]; question: Issue | null } {
  const { dues, nextDays } = depositDates(family, family.calendar, accrued, {
    said: () => (said === null ? null : { class: said, since: date('1990-01-01') }),
    entered: () => null,
    liabilities: [],
    completeFrom: null,
    firstWages: null,
    otherwise: null,
  });
  const groups = new Map<string, DepositOwed>();
  for (const { date: day, amount } of accrued) {
    const found = dues.get(day);
    if (!found) continue;
    if (found.due === null) return { owed: [], question: found.question };
    const before = groups.get(found.due);
    const ended = periodEnd(day, found.class, nextDays.has(day));
    groups.set(found.due, {
      due: found.due,
      ended: before && before.ended > ended ? before.ended : ended,
      amount: add(before?.amount ?? ZERO, amount),
      depositClass: found.class,
    });
  }
  return { owed: [...groups.values()], question: null };
}

const shownPart = ({ ended, due, amount, paid, daysLate, rate, penalty, rule }: DepositPart): ShownPart => ({
  periodEnded: ended,
  due,
  amount: toDollars(amount),
  paid,
  days: daysLate,
  rate: showPercent(rate),
  penalty: toDollars(penalty),
  rule,
});
const shownMonths = ({ months, penalty, rule }: MonthlyPenalty): ShownMonths => ({
  months,
  penalty: toDollars(penalty),
  rule,
});

/**
 * Late deposits of a state: payments go to the oldest due date first (common practice), each part with its own penalty. Its
 * interest and what it asks of a late return are not loaded.
 */
function ofState(
  id: string,
  family: DepositFamily,
  owed: readonly DepositOwed[],
  payments: readonly DepositMade[],
  asOf: LocalDate,
): PenaltyAnswer {
  const without = owed.find(({ due }) => !hasLateRule(family, due));
  if (without) return nothing(id, [problem('penalty.no-rule-of-agency', 'group', { deposit: family.label })]);
  const open = [...owed].sort((a, b) => (a.due < b.due ? -1 : 1)).map((one) => ({ one, left: one.amount }));
  const made = payments.filter(({ date: day }) => day <= asOf).sort((a, b) => (a.date < b.date ? -1 : 1));
  const parts: (ShownPart & { cents: Cents })[] = [];
  const keep = ({ due, ended }: DepositOwed, amount: Cents, paid: LocalDate | null): void => {
    const late = lateEstimate(family, amount, due, paid ?? asOf);
    const days = Math.max(0, daysBetween(due, paid ?? asOf));
    parts.push({
      periodEnded: ended,
      due,
      amount: toDollars(amount),
      paid,
      days,
      rate: '',
      penalty: toDollars(late?.penalty ?? ZERO),
      rule: late?.rule ?? (paid === null && days === 0 ? 'not due yet' : 'in time'),
      cents: late?.penalty ?? ZERO,
    });
  };
  for (const payment of made) {
    let rest = payment.amount;
    for (const line of open) {
      const part = smaller(rest, line.left);
      if (part <= 0) continue;
      line.left = subtract(line.left, part);
      rest = subtract(rest, part);
      keep(line.one, part, payment.date);
    }
  }
  for (const { one, left } of open) if (left > 0) keep(one, left, null);
  return {
    ...nothing(id, [problem('penalty.no-interest-of-agency', 'group', { deposit: family.label })]),
    deposit: {
      penalty: toDollars(sum(parts.map((part) => part.cents))),
      parts: parts.map(({ cents: _cents, ...part }) => part),
    },
  };
}

/**
 * `{"kind":"penalty","group":"us-941","period":"2026-Q1","liabilities":[{"date","amount"}],"payments":[...],"filedOn":...,
 * "asOf":...}`: what late deposits, a late return and late payment of it are fined, and the interest, as of a day.
 */
export function runPenalty(value: JsonObject): PenaltyAnswer {
  const issues: Issue[] = [];
  const reader = new Reader(value, '', issues);
  reader.only([
    'id',
    'kind',
    'group',
    'period',
    'class',
    'liabilities',
    'payments',
    'filedOn',
    'noticeOn',
    'asOf',
    'source',
  ]);
  const group = reader.text('group');
  const family = group === null ? null : findFamily(group);
  if (group !== null && (!family || (family.agency === 'IRS' && !FEDERAL.includes(group.toLowerCase()))))
    issues.push(
      problem('input.not-one-of', 'group', {
        value: group,
        choices: `${FEDERAL.join(', ')}, or a deposit of a state like CA-SIT`,
      }),
    );
  const isFederal = family?.agency === 'IRS';
  const period = parsePeriod(isFederal || reader.has('period') ? (reader.text('period') ?? '') : '');
  const asOf = reader.date('asOf');
  const amounts = (field: string): DepositMade[] =>
    reader.list(field, field === 'liabilities').flatMap((one) => {
      one.only(field === 'payments' && isFederal ? ['date', 'amount', 'for'] : ['date', 'amount']);
      const day = one.date('date');
      const amount = one.amount('amount');
      const designated = one.has('for') ? one.date('for') : null;
      return day ? [{ date: day, amount, ...(designated ? { designated } : {}) }] : [];
    });
  const liabilities = amounts('liabilities');
  const payments = amounts('payments');
  const filedOn = reader.has('filedOn') ? reader.date('filedOn') : null;
  const noticeOn = reader.has('noticeOn') ? reader.date('noticeOn') : null;
  const classes = family?.calendar?.rules.at(-1)?.value.classes.map(({ code }) => code) ?? [];
  const said = reader.has('class') ? reader.oneOf('class', classes) : null;
  if (family && isFederal && period?.kind !== family.period)
    issues.push(
      problem('input.not-one-of', 'period', {
        value: reader.text('period') ?? '',
        choices: family.period === 'quarter' ? 'quarters like 2026-Q1' : 'years like 2026',
      }),
    );
  for (const [index, { date: day }] of liabilities.entries())
    if (period && (day < period.start || day > period.end))
      issues.push(
        problem('input.not-one-of', `liabilities[${index}].date`, {
          value: day,
          choices: `days of ${showDate(period.start)} to ${showDate(period.end)}`,
        }),
      );
  if (!isFederal)
    for (const field of ['filedOn', 'noticeOn'])
      if (reader.has(field) && value[field] !== null)
        issues.push(problem('input.unknown-field', field, { name: field }));
  if (!family || !asOf || (isFederal && !period) || issues.length > 0) return nothing(idOf(value), issues);
  const { owed, question } = owedBy(family, said, liabilities);
  if (question) return nothing(idOf(value), [{ ...question, field: 'class' }]);
  const isUndated = payments.findIndex(
    ({ designated }) => designated !== undefined && !owed.some(({ ended }) => ended === designated),
  );
  if (isUndated >= 0)
    return nothing(idOf(value), [
      problem('input.not-one-of', `payments[${isUndated}].for`, {
        value: payments[isUndated]?.designated ?? '',
        choices: owed.map(({ ended }) => ended).join(', '),
      }),
    ]);
  if (!isFederal || !period) return ofState(idOf(value), family, owed, payments, asOf);
  const returnDue = onOrAfter(lastDayOfMonthAfter(period.end), LEGAL);
  const deposits = depositPenalty(owed, payments, { asOf, noticeOn });
  const late = {
    due: returnDue,
    tax: sum(liabilities.map(({ amount }) => amount)),
    paid: payments.filter(({ date: day }) => day <= asOf),
    filedOn,
    asOf,
  };
  const onReturn = returnPenalty(late);
  if (!deposits || !onReturn) return nothing(idOf(value), [problem('penalty.no-rule', 'asOf', { day: asOf })]);
  const { interest, missing } = interestOn(late);
  const parts = [deposits.penalty, onReturn.filing.penalty, onReturn.payment.penalty, interest];
  return {
    id: idOf(value),
    deposit: { penalty: toDollars(deposits.penalty), parts: deposits.parts.map(shownPart) },
    returnDue,
    filing: shownMonths(onReturn.filing),
    payment: shownMonths(onReturn.payment),
    interest: missing === null ? toDollars(interest) : null,
    total: missing === null ? toDollars(sum(parts)) : null,
    problems:
      missing === null ? [] : [shownProblem(problem('penalty.no-interest-rate', 'asOf', { day: showDate(missing) }))],
  };
}
