import { makeDate, dayOf, monthOf, yearOf, addDays } from '../calendar/local-date.js';
import { ALL_STATES } from '../jurisdictions/states.js';
import { isLiability, type LedgerEntry } from '../ledger/entry.js';
import { showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { taxOf, type TaxCode } from '../tax-registry/registry.js';
import type { FilingKind } from './kind.js';
import { periodWith, type FilingPeriod } from './period.js';
import { lineOf, type ReturnLine } from './return-lines.js';

/**
 * Tick marks of a preparer or reviewer on a line. `traced`: followed to the entries it is made of. `footed`: added up again.
 * `agreed`: compared with another record. `queried`: asked about; it holds the return until it is cleared.
 */
export const TICK_MARKS = ['traced', 'footed', 'agreed', 'queried'] as const;
export type TickMark = (typeof TICK_MARKS)[number];

/** What lies under a line: when it is another than when a mark was made, the mark is cracked. */
export const underLine = ({ value, working }: Pick<ReturnLine, 'value' | 'working'>): string =>
  JSON.stringify([value, working.map(({ label, value: shown, how = '' }) => [label, shown, how])]);

/** The lines that a firm which asks for marks wants marked: what the return comes to, and every line that makes it from the ledger. */
export function linesToMark(kind: FilingKind, content: unknown): string[] {
  const lines = kind.lines(content).filter(({ kind: of, value }) => of === 'amount' && value !== 0);
  const amount = kind.amount(content);
  const total = lines.find(({ value, entries }) => entries === null && value === amount);
  return [...lines.filter(({ entries }) => entries !== null), ...(total ? [total] : [])].map(({ id }) => id);
}

export interface MarkOnLine {
  readonly line: string;
  readonly mark: TickMark;
  /** By somebody who may release; else by who prepared. */
  readonly isReviewer: boolean;
  readonly isCracked: boolean;
}
/**
 * What holds a release: a mark under which something has moved, a question that is open, and where the firm asks for marks, a
 * line without one of the preparer and one of a reviewer. As sentences.
 */
export function heldBy(marks: readonly MarkOnLine[], toMark: readonly string[]): string[] {
  const lines = (some: readonly MarkOnLine[]): string => [...new Set(some.map(({ line }) => line))].join(', ');
  const cracked = marks.filter(({ isCracked, mark }) => isCracked && mark !== 'queried');
  const queried = marks.filter(({ mark }) => mark === 'queried');
  const whole = marks.filter(({ isCracked, mark }) => !isCracked && mark !== 'queried');
  const without = (isReviewer: boolean): string[] =>
    toMark.filter((id) => !whole.some((one) => one.line === id && one.isReviewer === isReviewer));
  const [unprepared, unreviewed] = [without(false), without(true)];
  return [
    ...(queried.length > 0 ? [`A question is open at line ${lines(queried)}.`] : []),
    ...(cracked.length > 0 ? [`What lies under a mark has moved: line ${lines(cracked)}.`] : []),
    ...(unprepared.length > 0 ? [`No mark of a preparer at line ${unprepared.join(', ')}.`] : []),
    ...(unreviewed.length > 0 ? [`No mark of a reviewer at line ${unreviewed.join(', ')}.`] : []),
  ];
}

/** The period before, and the same one of the year before. */
export function periodsBefore({ kind, start }: FilingPeriod): {
  readonly before: FilingPeriod;
  readonly yearBefore: FilingPeriod;
} {
  return {
    before: periodWith(kind, addDays(start, -1)),
    yearBefore: periodWith(kind, makeDate(yearOf(start) - 1, monthOf(start), dayOf(start))),
  };
}

/** Wages that a return reports as a whole, by what they are wages of. */
export interface ReportedWages {
  readonly of: 'income-tax' | 'medicare' | 'unemployment';
  readonly line: string;
  readonly label: string;
  readonly wages: Cents;
}
const FEDERAL_WAGES: Readonly<Record<string, readonly Omit<ReportedWages, 'wages'>[]>> = {
  'us-941': [
    { of: 'income-tax', line: '2', label: 'Wages, tips and other compensation' },
    { of: 'medicare', line: '5c.1', label: 'Medicare wages and tips' },
  ],
};
/** The wages of a return that can be set against those of other returns of the period; none of a kind that reports no whole. */
export function wagesReported(kind: FilingKind, content: unknown): ReportedWages[] {
  const lines = kind.lines(content);
  const federal = FEDERAL_WAGES[kind.code];
  if (federal) return federal.map((one) => ({ ...one, wages: lineOf(lines, one.line) }));
  const spec = ALL_STATES.flatMap(({ returns }) => returns).find(({ code }) => code === kind.code);
  return (spec?.lines ?? []).flatMap(({ id, label, amount }): ReportedWages[] => {
    if (amount.is !== 'wages' || amount.part !== 'all') return [];
    const of = amount.tax === 'SUI' ? 'unemployment' : amount.tax === 'SIT' ? 'income-tax' : null;
    return of === null ? [] : [{ of, line: id, label, wages: lineOf(lines, id) }];
  });
}

/** Wages of all states together against those of the federal return that should be the same people's. */
export interface WagesTogether {
  readonly of: 'income-tax' | 'unemployment';
  readonly states: Cents;
  readonly federal: Cents;
  readonly difference: Cents;
}
/**
 * Unemployment wages of all states against Medicare wages, and wages for state income tax against those for federal. They
 * differ lawfully (exempt pay, states without a tax, deferrals that a state taxes): the difference is shown, not judged.
 */
export function wagesTogether(
  rows: readonly (Pick<ReportedWages, 'of' | 'wages'> & { readonly isFederal: boolean })[],
): WagesTogether[] {
  const total = (of: ReportedWages['of'], isFederal: boolean): Cents | null => {
    const own = rows.filter((row) => row.of === of && row.isFederal === isFederal);
    return own.length === 0 ? null : sum(own.map(({ wages }) => wages));
  };
  const pair = (of: WagesTogether['of'], federal: Cents | null): WagesTogether[] => {
    const states = total(of, false);
    return states === null || federal === null ? [] : [{ of, states, federal, difference: subtract(states, federal) }];
  };
  return [...pair('income-tax', total('income-tax', true)), ...pair('unemployment', total('medicare', true))];
}

/** A tax of the period with the rate that its amount is of its wages. */
export interface EffectiveRate {
  readonly tax: TaxCode;
  readonly wages: Cents;
  readonly amount: Cents;
  /** Percent with four decimals, half up; blank without wages. */
  readonly percent: string;
}
/** Rate times base, the other way round: what each tax of the return came to of its taxable wages. */
export function effectiveRates(kind: FilingKind, entries: readonly LedgerEntry[]): EffectiveRate[] {
  const own = entries.filter((entry) => isLiability(entry) && kind.owedFor.includes(taxOf(entry.tax).group));
  return [...new Set(own.map(({ tax }) => tax))].map((tax) => {
    const of = own.filter((entry) => entry.tax === tax);
    const [wages, amount] = [sum(of.map((entry) => entry.wages)), sum(of.map((entry) => entry.amount))];
    return { tax, wages, amount, percent: wages <= 0 ? '' : percentOf(amount, wages) };
  });
}
const percentOf = (amount: Cents, wages: Cents): string => {
  const tenThousandths = round(times(amount, { n: 1_000_000, d: wages }), 'half-up');
  const digits = String(Math.abs(tenThousandths)).padStart(5, '0');
  return `${tenThousandths < 0 ? '-' : ''}${digits.slice(0, -4)}.${digits.slice(-4)}`;
};

/** Somebody with wages over the base of a state: what the quarter says against the year to date. Cents. */
export interface ExcessRow {
  readonly employeeId: string;
  readonly name: string;
  readonly wages: Cents;
  readonly excess: Cents;
  readonly yearWages: Cents;
  readonly yearTaxable: Cents;
}
export interface ExcessFound extends ExcessRow {
  /** Blank: it agrees. */
  readonly says: string;
}
/**
 * Who has wages over the base of the year has exactly the base taxable in it; who differs is said. `base`: the wage base of
 * the rules in force, cents; null: none is known.
 */
export function excessAgainstYear(rows: readonly ExcessRow[], base: Cents | null): ExcessFound[] {
  const says = ({ yearTaxable }: ExcessRow): string => {
    if (base === null) return 'No wage base of the year is among the rules, so the excess cannot be compared.';
    return yearTaxable === base
      ? ''
      : `Taxable wages of the year are ${showDollars(yearTaxable)}; the wage base is ${showDollars(base)}.`;
  };
  return rows.filter(({ excess }) => excess > 0).map((row) => ({ ...row, says: says(row) }));
}
