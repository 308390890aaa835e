import { PERIODS_PER_YEAR, type PayFrequency } from '../calendar/pay-frequency.js';
import { date, showDate } from '../calendar/local-date.js';
import { ask, type Issue } from '../issues/issue.js';
import { ZERO, cents, dollars, parseDollars, showDollars, type Cents } from '../money/cents.js';
import { dividedBy, exact, round, times } from '../money/exact.js';
import { parsePercent, parseRate, showPercent, type Rate } from '../money/rate.js';
import { EMPLOYEE_FACTS } from './employee-facts.js';
import { text, type FactValue } from './fact-kind.js';
import { inForceOn, type DatedFact } from './in-force.js';

type GivenFact = Pick<DatedFact, 'kind' | 'from' | 'value'>;
/** What else is known of a person when a fact is entered. */
export interface Known {
  /** Facts of the person, newest first, without the one that is entered. */
  readonly facts: readonly DatedFact[];
  readonly hiredOn: string | null;
}

/** From here on a change of pay is looked at twice: five times as much, or a fifth. */
const UNUSUAL_TIMES = 5;
const HIGH_HOURLY = dollars('250');
const HIGH_SALARY = dollars('1000000');
const LOW_SALARY = dollars('2000');
const MANY_HOURS = 200;
/** The credit for one other dependent (Form W-4, step 3): no smaller credit than this exists. */
const SMALLEST_CREDIT = dollars('500');

const yearly = (pay: FactValue): Cents | null => {
  const amount = parseDollars(text(pay, 'amount'));
  const periods = PERIODS_PER_YEAR[text(pay, 'frequency') as PayFrequency];
  return amount === null || periods === undefined ? null : round(times(amount, { n: periods, d: 1 }), 'half-up');
};
/** Cents an hour, or a year. */
function payOf(pay: FactValue): Cents | null {
  if (text(pay, 'basis') === 'salary') return yearly(pay);
  const hourly = text(pay, 'basis') === 'hourly' ? parseRate(text(pay, 'rate')) : null;
  return hourly && round(times(cents(100), hourly), 'half-up');
}

function payDoubts({ value, from }: GivenFact, { facts }: Known, path: string): Issue[] {
  const now = payOf(value);
  if (now === null || now === ZERO) return [];
  const isHourly = text(value, 'basis') === 'hourly';
  const field = `${path}.${isHourly ? 'rate' : 'amount'}`;
  const before = inForceOn(facts, from, EMPLOYEE_FACTS.slotOf).find((fact) => fact.kind === 'pay')?.value;
  const last = before && text(before, 'basis') === text(value, 'basis') ? payOf(before) : null;
  const issues: Issue[] = [];
  if (last !== null && last > ZERO) {
    const isMoved = now >= last * UNUSUAL_TIMES || last >= now * UNUSUAL_TIMES;
    if (isMoved)
      issues.push(
        ask('doubt.rate-moved', field, {
          before: showDollars(last),
          after: showDollars(now),
          times: ratio(now, last),
        }),
      );
  } else if (isHourly && now >= HIGH_HOURLY) issues.push(ask('doubt.rate-high', field, { after: showDollars(now) }));
  else if (!isHourly && (now >= HIGH_SALARY || now < LOW_SALARY))
    issues.push(ask('doubt.salary', field, { yearly: showDollars(now) }));
  const hours = parseRate(text(value, 'hours'));
  if (hours && hours.n > MANY_HOURS * hours.d)
    issues.push(ask('doubt.hours', `${path}.hours`, { hours: text(value, 'hours') }));
  return issues;
}

/** `5.2 times` */
function ratio(now: Cents, before: Cents): string {
  const tenths = round(dividedBy(times(exact(now), { n: 10, d: 1 }), before), 'half-up');
  return `${Math.floor(tenths / 10)}.${tenths % 10} times`;
}

function bankDoubts({ value, from }: GivenFact, { facts }: Known, path: string): Issue[] {
  const others = inForceOn(facts, from, EMPLOYEE_FACTS.slotOf).filter(
    (fact) => fact.kind === 'bank' && text(fact.value, 'label') !== text(value, 'label'),
  );
  if (text(value, 'share') === 'rest') {
    const other = others.find((fact) => text(fact.value, 'share') === 'rest');
    return other ? [ask('doubt.two-rests', `${path}.share`, { label: text(other.value, 'label') })] : [];
  }
  if (text(value, 'share') !== 'percent') return [];
  const shares = [value, ...others.map((fact) => fact.value)]
    .filter((one) => text(one, 'share') === 'percent')
    .map((one) => parsePercent(text(one, 'percent')) ?? { n: 0, d: 1 });
  const whole = shares.reduce<Rate>((total, { n, d }) => ({ n: total.n * d + n * total.d, d: total.d * d }), {
    n: 0,
    d: 1,
  });
  return whole.n > whole.d
    ? [ask('doubt.shares', `${path}.percent`, { percent: showPercent(whole).slice(0, -1) })]
    : [];
}

const DOUBTS: Readonly<Record<string, (fact: GivenFact, known: Known, path: string) => Issue[]>> = {
  pay: payDoubts,
  bank: bankDoubts,
  garnishment: ({ value }, _known, path) =>
    text(value, 'amount') === '' && ['creditor', 'child-support'].includes(text(value, 'kind'))
      ? [ask('doubt.order-without-amount', `${path}.amount`)]
      : [],
  'federal-certificate': ({ value }, _known, path) => {
    const credit = parseDollars(text(value, 'dependentCredit')) ?? ZERO;
    const year = text(value, 'exemptYear');
    return [
      ...(credit > ZERO && credit < SMALLEST_CREDIT
        ? [ask('doubt.step-3', `${path}.dependentCredit`, { amount: showDollars(credit) })]
        : []),
      ...(year !== '' && !/^20\d\d$/.test(year) ? [ask('doubt.exempt-year', `${path}.exemptYear`, { year })] : []),
    ];
  },
  standing: ({ value }, _known, path) => {
    const percent = parsePercent(text(value, 'percent'));
    return percent && percent.n > 0 && percent.n * 100 < percent.d
      ? [ask('doubt.percent-small', `${path}.percent`, { percent: text(value, 'percent') })]
      : [];
  },
  employment: ({ value, from }, { hiredOn }, path) =>
    text(value, 'standing') !== 'active' && hiredOn !== null && from < hiredOn
      ? [ask('doubt.left-before-hire', `${path}.standing`, { day: showDate(date(hiredOn)) })]
      : [],
};

/** What is legal in a fact about a person and costs money if it is a slip: to be looked at twice before it is stored. */
export const factDoubts = (fact: GivenFact, known: Known, path: string): Issue[] =>
  DOUBTS[fact.kind]?.(fact, known, path) ?? [];
