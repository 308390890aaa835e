import { yearOf } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { warning, type Issue } from '../issues/issue.js';
import { DEDUCTION_ITEMS, type DeductionItem, type LegalLimit } from '../items/registry.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { BENEFIT_LIMITS, ROTH_CATCH_UP, type BenefitLimits } from '../jurisdictions/us/benefit-limits.js';
import { ZERO, cents, showDollars, type Cents } from '../money/cents.js';
import { shownParameter, type ShownParameter } from '../working/tape.js';
import type { Deduction, PaycheckInput } from '../computation/input.js';
import type { DeductionLine } from '../computation/result.js';

/** Held because what goes above the ordinary limit may only be Roth (IRC § 414(v)(7)). */
export const ROTH_LIMIT = 'Roth catch-up';
/** The limit that held an amount; empty: none did. */
export type DeductionLimit = '' | 'check' | 'year' | 'balance' | 'legal yearly' | 'legal monthly' | typeof ROTH_LIMIT;

/** The limits of law as they hold for the person of a check. */
export interface Law {
  readonly row: Dated<BenefitLimits>;
  readonly roth: Dated<{ readonly priorWagesOver: Cents | null }>;
  /** Last year's wages above which the person's catch-up may only be Roth; null: no catch-up, or no such rule yet. */
  readonly rothOver: Cents | null;
  /** At the end of the year, which decides about catch-up amounts (IRC § 414(v)); null: not known. */
  readonly age: number | null;
  readonly periods: number;
}

/** At the end of the year (IRC § 414(v)(5)). */
const CATCH_UP_AGE = 50;

/** Null: no limits are known for the year of the check. */
export function lawFor(input: PaycheckInput): Law | null {
  const row = inForce(BENEFIT_LIMITS, input.checkDate, input.rules);
  const roth = inForce(ROTH_CATCH_UP, input.checkDate, input.rules);
  if (!row || !roth) return null;
  const age = input.birthDate === null ? null : yearOf(input.checkDate) - yearOf(input.birthDate);
  return {
    row,
    roth,
    rothOver: age !== null && age >= CATCH_UP_AGE ? roth.value.priorWagesOver : null,
    age,
    periods: PERIODS_PER_YEAR[input.payFrequency],
  };
}

/** The limit of law that holds for a person of this age; null: none known for the year. */
function legalLimit(
  limit: LegalLimit,
  limits: BenefitLimits,
  age: number | null,
  coverage: Deduction['coverage'],
  periods: number,
): Cents {
  const catchUp = (ordinary: Cents, special: Cents): Cents =>
    age === null || age < CATCH_UP_AGE ? ZERO : age >= 60 && age <= 63 ? special : ordinary;
  switch (limit) {
    case '402g':
      return (limits.deferral + catchUp(limits.catchUp, limits.catchUp60)) as Cents;
    case '457b':
      return (limits.deferral + catchUp(limits.catchUp, limits.catchUp60)) as Cents;
    case 'simple':
      return (limits.simple + catchUp(limits.simpleCatchUp, limits.simpleCatchUp60)) as Cents;
    case 'hsa':
      return cents(
        (coverage === 'self' ? limits.hsaSelf : limits.hsaFamily) + (age !== null && age >= 55 ? limits.hsaCatchUp : 0),
      );
    case 'fsa':
      return limits.fsa;
    case 'dependent-care':
      return limits.dependentCare;
    // Of a month (IRC § 132(f)(2)): a check of a longer period has the months of it.
    case 'transit':
    case 'parking':
      return cents(limits.transitPerMonth * Math.max(1, 12 / periods));
  }
}

/** Deferrals of one kind share one limit, whatever items they are taken by. */
const ITEMS_OF_LIMIT: ReadonlyMap<LegalLimit, readonly string[]> = new Map(
  DEDUCTION_ITEMS.flatMap((item) => (item.limit ? [item.limit] : [])).map((limit) => [
    limit,
    DEDUCTION_ITEMS.filter((item) => item.limit === limit).map((item) => item.code),
  ]),
);

/** Limits of a month; the others are of a year. */
const BY_MONTH: ReadonlySet<LegalLimit> = new Set(['transit', 'parking']);

/** Deferrals that lower income tax now: of those a catch-up may have to be Roth. A SIMPLE plan knows no such rule. */
const isPreTaxDeferral = ({ limit, outOf }: DeductionItem): boolean =>
  (limit === '402g' || limit === '457b') && outOf.includes('income');
const PRE_TAX_OF_LIMIT: ReadonlyMap<LegalLimit, readonly string[]> = new Map(
  (['402g', '457b'] as const).map((limit) => [
    limit,
    DEDUCTION_ITEMS.filter((item) => item.limit === limit && isPreTaxDeferral(item)).map((item) => item.code),
  ]),
);

function taken(
  codes: readonly string[],
  before: Readonly<Record<string, Cents>>,
  lines: readonly DeductionLine[],
): number {
  let used = 0;
  for (const code of codes) {
    used += before[code] ?? 0;
    for (const line of lines) if (line.item === code) used += line.amount;
  }
  return used;
}

/** What the law leaves for a line, and the name of the limit that leaves no more. */
export interface LegalRoom {
  readonly room: Cents;
  readonly by: DeductionLimit;
}

/** What the law leaves for an item, after earlier checks and the lines of this one; null: no limit. */
export function legalRoom(
  input: PaycheckInput,
  { item, coverage }: Deduction,
  law: Law,
  lines: readonly DeductionLine[],
): LegalRoom | null {
  const { limit } = item;
  if (!limit) return null;
  const isByMonth = BY_MONTH.has(limit);
  let used = taken(
    ITEMS_OF_LIMIT.get(limit) ?? [],
    isByMonth ? input.deductionsThisMonth : input.deductionsToDate,
    lines,
  );
  // What the employer puts into the account counts as well (IRC § 223(b)(4)).
  if (limit === 'hsa') used += input.employerPaidToDate['employer-hsa'] ?? 0;
  const left = cents(legalLimit(limit, law.row.value, law.age, coverage, law.periods) - used);
  const isOver = law.rothOver !== null && input.priorYearWages !== null && input.priorYearWages > law.rothOver;
  const ordinary = isOver ? preTaxLeft(input, item, law, lines) : null;
  if (ordinary !== null && ordinary < left) return { room: ordinary, by: ROTH_LIMIT };
  return { room: left, by: isByMonth ? 'legal monthly' : 'legal yearly' };
}

/** What the ordinary limit leaves for deferrals before tax; null for another item. */
function preTaxLeft(
  input: PaycheckInput,
  item: DeductionItem,
  law: Law,
  lines: readonly DeductionLine[],
): Cents | null {
  if (!item.limit || !isPreTaxDeferral(item)) return null;
  return cents(law.row.value.deferral - taken(PRE_TAX_OF_LIMIT.get(item.limit) ?? [], input.deductionsToDate, lines));
}

const marksOf = (rothOver: Cents, { row }: Law): Record<'mark' | 'limit', string> => ({
  mark: showDollars(rothOver),
  limit: showDollars(row.value.deferral),
});
/** Says that a line was held at the ordinary limit. */
export const mustBeRoth = (law: Law, field: string, words: Record<'item' | 'amount' | 'wanted', string>): Issue[] =>
  law.rothOver === null ? [] : [warning('deduction.must-be-roth', field, { ...words, ...marksOf(law.rothOver, law) })];

/** Asks for last year's wages where a line before tax reaches above the ordinary limit and nobody gave them. */
export function askForPriorWages(
  input: PaycheckInput,
  law: Law,
  { item }: Deduction,
  line: DeductionLine,
  before: readonly DeductionLine[],
  field: string,
): Issue[] {
  if (law.rothOver === null || input.priorYearWages !== null || line.amount <= 0) return [];
  const left = preTaxLeft(input, item, law, before);
  if (left === null || line.amount <= left) return [];
  return [warning('deduction.prior-wages-unknown', field, { item: line.label, ...marksOf(law.rothOver, law) })];
}

/** The parameter of the limit of law that held a line, for its working. */
export function shownLimit(
  law: Law,
  { item, coverage }: Deduction,
  by: DeductionLimit,
): { readonly parameter?: ShownParameter } {
  if (by === ROTH_LIMIT && law.rothOver !== null) {
    const name = 'Last year’s wages above which catch-up is Roth';
    return { parameter: shownParameter(name, showDollars(law.rothOver), law.roth) };
  }
  if (!item.limit || !by.startsWith('legal')) return {};
  const limit = legalLimit(item.limit, law.row.value, law.age, coverage, law.periods);
  return { parameter: shownParameter(`${item.label}: limit of law`, showDollars(limit), law.row) };
}
