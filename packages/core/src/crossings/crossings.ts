import { composeCase, type OwnRows, type TypedEntry } from '../casefile/compose.js';
import { isObject, type JsonObject } from '../casefile/reader.js';
import { readCase } from '../casefile/read-case.js';
import { add, parseDollars, toDollars, ZERO, type Cents } from '../money/cents.js';
import { computePaycheck } from '../paycheck/compute.js';
import type { PaycheckResult } from '../computation/result.js';
import { taxOf } from '../tax-registry/registry.js';

/** The check on which a person meets a limit, and how that check splits. */
export interface Crossing {
  readonly checkDate: string;
  /** A tax code, or `deduction:401k`. */
  readonly figure: string;
  readonly label: string;
  /** Wages (or the amount wanted) of the check. */
  readonly subject: Cents;
  /** The part below the limit; what lies above is the rest. */
  readonly below: Cents;
  /** `stops` at a base or limit, `starts` at a mark. */
  readonly what: 'stops' | 'starts';
}

type Sums = Record<string, string>;
const sums = (value: unknown): Sums => (isObject(value) ? { ...(value as Sums) } : {});
const plus = (into: Sums, name: string, amount: Cents): void => {
  into[name] = toDollars(add(parseDollars(into[name] ?? '0.00') ?? ZERO, amount));
};

/** The year to date after one more check. */
function after(toDate: JsonObject, result: PaycheckResult): JsonObject {
  const [wages, taxes, deductions] = [sums(toDate['wages']), sums(toDate['taxes']), sums(toDate['deductions'])];
  const seen = new Set<string>();
  for (const line of result.taxes) {
    plus(taxes, line.code, line.amount);
    const { base } = taxOf(line.code);
    if (!seen.has(base)) plus(wages, base, line.subject);
    seen.add(base);
  }
  for (const line of result.deductions) plus(deductions, line.item, line.amount);
  return { ...toDate, wages, taxes, deductions };
}

/** The month to date after one more check; its wages are one amount. */
function monthAfter(month: JsonObject, result: PaycheckResult): JsonObject {
  const before = parseDollars(typeof month['wages'] === 'string' ? month['wages'] : '0.00') ?? ZERO;
  const { taxes, deductions } = after({ taxes: month['taxes'], deductions: month['deductions'] }, result);
  return { wages: toDollars(add(before, result.gross)), taxes, deductions };
}
const monthOf = (checkDate: string): string => checkDate.slice(0, 7);

/** Taxes that begin at a mark instead of ending at one. */
const STARTS: ReadonlySet<string> = new Set(['US-HI-ADD']);

/**
 * Looks ahead over the checks of a year, each as the usual one: on which a limit is met, and how the check splits there.
 * Stops at the first check that cannot be computed.
 */
export function crossingsAhead(
  base: JsonObject,
  entry: TypedEntry,
  checkDates: readonly string[],
  own: OwnRows | null = null,
): Crossing[] {
  const found = new Map<string, Crossing>();
  let toDate = isObject(base['yearToDate']) ? base['yearToDate'] : {};
  let month = isObject(base['monthToDate']) ? base['monthToDate'] : {};
  let lastDate = typeof base['checkDate'] === 'string' ? base['checkDate'] : '';
  for (const checkDate of checkDates) {
    if (monthOf(checkDate) !== monthOf(lastDate)) month = {};
    lastDate = checkDate;
    const read = readCase(composeCase({ ...base, checkDate, yearToDate: toDate, monthToDate: month }, entry, own));
    if (!read.input) break;
    const result = computePaycheck(read.input);
    if (result.problems.some((issue) => issue.severity === 'error')) break;
    for (const line of result.taxes) {
      const starts = STARTS.has(line.code);
      const isMet = line.wages > 0 && line.wages < line.subject;
      if (!isMet || found.has(line.code)) continue;
      found.set(line.code, {
        checkDate,
        figure: line.code,
        label: taxOf(line.code).label,
        subject: line.subject,
        below: starts ? ((line.subject - line.wages) as Cents) : line.wages,
        what: starts ? 'starts' : 'stops',
      });
    }
    for (const issue of result.problems) {
      const index = Number(/^deductions\[(\d+)\]$/.exec(issue.field)?.[1] ?? -1);
      const line =
        issue.code === 'deduction.limited' && !['check', 'legal monthly'].includes(issue.parameters['limit'] ?? '')
          ? result.deductions[index]
          : undefined;
      const wanted = parseDollars((issue.parameters['wanted'] ?? '').replace(/,/g, ''));
      if (!line || found.has(`deduction:${line.item}`) || wanted === null) continue;
      found.set(`deduction:${line.item}`, {
        checkDate,
        figure: `deduction:${line.item}`,
        label: line.label,
        subject: wanted,
        below: line.amount,
        what: 'stops',
      });
    }
    toDate = after(toDate, result);
    month = monthAfter(month, result);
  }
  return [...found.values()].sort((a, b) => (a.checkDate < b.checkDate ? -1 : a.checkDate > b.checkDate ? 1 : 0));
}
