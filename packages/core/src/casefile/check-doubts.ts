import { isObject, type JsonObject } from './reader.js';
import { ask, problem, type Issue } from '../issues/issue.js';
import { findItem } from '../items/registry.js';
import { ZERO, cents, showDollars, type Cents } from '../money/cents.js';
import { minus, plus, round, times } from '../money/exact.js';
import { ZERO_RATE, parseRate, showRate, type Rate } from '../money/rate.js';

interface TypedEarning {
  readonly item: string;
  readonly hours?: string | undefined;
  readonly rate?: string | undefined;
}

/** Nobody works more than a day has. */
const HOURS_OF_A_DAY = 24;
/** More than this on every day of the period is looked at twice. */
const MANY_HOURS_A_DAY = 14;
const UNUSUAL_TIMES = 5;

const hourly = (rate: Rate): Cents => round(times(cents(100), rate), 'half-up');
const isMore = (a: Rate, b: Rate): boolean => minus(a, b).n > 0;

/** Whether the item's hours are hours of the period; the client's own items by the standard item they are like. */
function fillsPeriod(code: string, base: JsonObject): boolean {
  const own = Array.isArray(base['items'])
    ? base['items'].filter(isObject).find((item) => item['code'] === code)
    : null;
  const item = findItem(typeof own?.['like'] === 'string' ? own['like'] : code);
  return item?.list === 'earning' && !item.isOnOtherHours && !item.isLeave;
}

/**
 * What is wrong or doubtful in the typed lines of a check besides what the computation finds: hours beyond the period, a
 * rate far from the usual one. `days`: calendar days of the pay period.
 */
export function checkDoubts(
  typed: readonly TypedEarning[],
  usual: readonly TypedEarning[],
  base: JsonObject,
  days: number,
): Issue[] {
  const worked = typed
    .filter((line) => fillsPeriod(line.item, base))
    .reduce<Rate>((total, line) => plus(total, parseRate(line.hours ?? '') ?? ZERO_RATE), ZERO_RATE);
  const issues: Issue[] = [];
  const said = { hours: showRate(worked), days: String(days) };
  if (isMore(worked, { n: HOURS_OF_A_DAY * days, d: 1 })) issues.push(problem('hours.over-period', 'hours', said));
  else if (isMore(worked, { n: MANY_HOURS_A_DAY * days, d: 1 }))
    issues.push(ask('doubt.hours-of-check', 'hours', said));
  const usualRate = parseRate(usual.find((line) => line.rate !== undefined)?.rate ?? '');
  const before = usualRate ? hourly(usualRate) : ZERO;
  if (before === ZERO) return issues;
  const odd = typed.find((line) => {
    const rate = parseRate(line.rate ?? '');
    return rate !== null && rate.n > 0 && hourly(rate) >= before * UNUSUAL_TIMES;
  });
  const rate = parseRate(odd?.rate ?? '');
  if (odd && rate)
    issues.push(
      ask('doubt.rate-of-check', 'rate', {
        item: findItem(odd.item)?.label ?? odd.item,
        after: showDollars(hourly(rate)),
        before: showDollars(before),
      }),
    );
  return issues;
}
