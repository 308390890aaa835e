import { showDollars, sum, subtract, ZERO, type Cents } from '../money/cents.js';
import { plus, type Exact } from '../money/exact.js';
import { ZERO_RATE, parseRate, showRate } from '../money/rate.js';

interface Amounted {
  readonly label: string;
  readonly amount: Cents;
}
/** A check as the review reads it: what was typed of it, its lines, and what the person's record said. */
export interface ReviewedCheck {
  readonly gross: Cents;
  readonly net: Cents;
  readonly earnings: readonly (Amounted & { readonly hours?: string; readonly rate?: string })[];
  readonly deductions: readonly Amounted[];
  readonly taxes: readonly (Amounted & { readonly code: string; readonly subject: Cents; readonly wages: Cents })[];
  /** Certificates and places as one text each: only whether they differ is asked. */
  readonly record: Readonly<Record<string, string>>;
}
export type ReviewKind = 'first' | 'missing' | 'moved' | 'same';
export interface ReviewedPerson {
  readonly kind: ReviewKind;
  /** Of gross and of net pay, against the check before. */
  readonly grossChange: Cents;
  readonly netChange: Cents;
  /** Why it moved, each as a sentence without its end. */
  readonly causes: readonly string[];
  /** Where the gross pay is outside what the person's last checks were. */
  readonly unusual: string | null;
  /** What is ranked by: the money that moved. */
  readonly stake: Cents;
}

/** How many checks a range is made of, at least. */
const FEWEST = 3;
/** How far beyond the lowest and the highest of them still counts as usual: a quarter. */
const [MORE, OF] = [5, 4] as const;

const size = (amount: Cents): Cents => (amount < 0 ? subtract(ZERO, amount) : amount);
const totals = (lines: readonly Amounted[]): Map<string, Cents> => {
  const found = new Map<string, Cents>();
  for (const { label, amount } of lines) found.set(label, sum([found.get(label) ?? ZERO, amount]));
  return found;
};

function hoursByLabel({ earnings }: ReviewedCheck): Map<string, { hours: Exact; rates: string[] }> {
  const found = new Map<string, { hours: Exact; rates: string[] }>();
  for (const { label, hours, rate } of earnings) {
    const read = hours === undefined ? null : parseRate(hours);
    if (!read) continue;
    const before = found.get(label) ?? { hours: ZERO_RATE, rates: [] };
    found.set(label, {
      hours: plus(before.hours, read),
      rates: rate === undefined || before.rates.includes(rate) ? before.rates : [...before.rates, rate],
    });
  }
  return found;
}

function earningCauses(now: ReviewedCheck, before: ReviewedCheck): string[] {
  const [nowHours, oldHours] = [hoursByLabel(now), hoursByLabel(before)];
  const [nowTotals, oldTotals] = [totals(now.earnings), totals(before.earnings)];
  const causes: string[] = [];
  for (const label of new Set([...nowTotals.keys(), ...oldTotals.keys()])) {
    const [amount, was] = [nowTotals.get(label) ?? ZERO, oldTotals.get(label) ?? ZERO];
    if (amount === was) continue;
    if (was === 0) causes.push(`${label} ${showDollars(amount)}, none last time`);
    else if (amount === 0) causes.push(`no ${label.toLowerCase()}, ${showDollars(was)} last time`);
    else {
      const [own, old] = [nowHours.get(label), oldHours.get(label)];
      const isHours = own && old && showRate(own.hours) !== showRate(old.hours);
      const isRate = own && old && own.rates.join() !== old.rates.join();
      if (isHours) causes.push(`${label} hours ${showRate(old.hours)} to ${showRate(own.hours)}`);
      if (isRate) causes.push(`${label} rate ${old.rates.join(' and ')} to ${own.rates.join(' and ')}`);
      if (!isHours && !isRate) causes.push(`${label} ${showDollars(was)} to ${showDollars(amount)}`);
    }
  }
  return causes;
}

function deductionCauses(now: ReviewedCheck, before: ReviewedCheck): string[] {
  const [nowTotals, oldTotals] = [totals(now.deductions), totals(before.deductions)];
  return [...new Set([...nowTotals.keys(), ...oldTotals.keys()])].flatMap((label) => {
    const [amount, was] = [nowTotals.get(label) ?? ZERO, oldTotals.get(label) ?? ZERO];
    if (amount === was) return [];
    if (was === 0) return [`${label} ${showDollars(amount)}, none last time`];
    return [
      amount === 0
        ? `no ${label}, ${showDollars(was)} last time`
        : `${label} ${showDollars(was)} to ${showDollars(amount)}`,
    ];
  });
}

/** Taxes that moved although the pay they are on did not: a certificate, a wage base, a rule. */
function taxCauses(now: ReviewedCheck, before: ReviewedCheck): string[] {
  const causes = Object.keys(now.record)
    .filter((name) => now.record[name] !== before.record[name])
    .map((name) => `${name} changed`);
  const isRecordSame = causes.length === 0;
  for (const tax of now.taxes) {
    const old = before.taxes.find(({ code }) => code === tax.code);
    if (tax.wages < tax.subject && old && old.wages === old.subject && tax.subject > 0)
      causes.push(`${tax.label}: wage base reached`);
    else if (isRecordSame && old && old.wages === tax.wages && old.subject === tax.subject && old.amount !== tax.amount)
      causes.push(
        `${tax.label} ${showDollars(old.amount)} to ${showDollars(tax.amount)} on the same wages: the rules or the year to date`,
      );
  }
  return causes;
}

function unusualWords(now: ReviewedCheck, usual: readonly Cents[]): string | null {
  if (usual.length < FEWEST) return null;
  const [least, most] = [Math.min(...usual), Math.max(...usual)] as [number, number];
  const isOutside = now.gross * OF > most * MORE || now.gross * MORE < least * OF;
  return isOutside
    ? `outside the last ${usual.length} checks, ${showDollars(least as Cents)} to ${showDollars(most as Cents)}`
    : null;
}

/**
 * A check against the one before and against the person's last ones. `now` null: the person is not paid this time.
 * `usual`: gross pay of the last checks, the newest first.
 */
export function compareChecks(
  now: ReviewedCheck | null,
  before: ReviewedCheck | null,
  usual: readonly Cents[],
): ReviewedPerson | null {
  if (!now && !before) return null;
  if (!now) {
    const gone = before?.gross ?? ZERO;
    return {
      kind: 'missing',
      grossChange: subtract(ZERO, gone),
      netChange: subtract(ZERO, before?.net ?? ZERO),
      causes: [`not paid this time, ${showDollars(gone)} last time`],
      unusual: null,
      stake: gone,
    };
  }
  if (!before)
    return {
      kind: 'first',
      grossChange: now.gross,
      netChange: now.net,
      causes: ['first check'],
      unusual: null,
      stake: now.gross,
    };
  const grossChange = subtract(now.gross, before.gross);
  const netChange = subtract(now.net, before.net);
  const causes = [...earningCauses(now, before), ...deductionCauses(now, before), ...taxCauses(now, before)];
  const unusual = unusualWords(now, usual);
  const isSame = grossChange === 0 && netChange === 0 && causes.length === 0 && unusual === null;
  const stake = size(grossChange) > size(netChange) ? size(grossChange) : size(netChange);
  return { kind: isSame ? 'same' : 'moved', grossChange, netChange, causes, unusual, stake };
}
