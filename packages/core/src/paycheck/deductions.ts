import { yearOf } from '../calendar/local-date.js';
import { PERIODS_PER_YEAR } from '../calendar/pay-frequency.js';
import { DEDUCTION_ITEMS, type LegalLimit } from '../items/registry.js';
import { inForce, type Dated } from '../jurisdictions/dated.js';
import { BENEFIT_LIMITS, type BenefitLimits } from '../jurisdictions/us/benefit-limits.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { ZERO, cents, notBelowZero, showDollars, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import { shownParameter, type Tape } from '../working/tape.js';
import type { Deduction, PaycheckInput } from './input.js';
import { namedLine } from './named.js';
import type { DeductionLine } from './result.js';

/** The limit of law that holds for a person of this age; null: none known for the year. */
function legalLimit(
  limit: LegalLimit,
  limits: BenefitLimits,
  age: number | null,
  coverage: Deduction['coverage'],
  periods: number,
): Cents {
  const catchUp = (ordinary: Cents, special: Cents): Cents =>
    age === null || age < 50 ? ZERO : age >= 60 && age <= 63 ? special : ordinary;
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

const NONE: { lines: DeductionLine[]; issues: Issue[] } = { lines: [], issues: [] };

/** What the law leaves for an item this year, after earlier checks and the lines of this one; null: no limit. */
function legalRoom(
  input: PaycheckInput,
  { item, coverage }: Deduction,
  limits: BenefitLimits,
  age: number | null,
  lines: readonly DeductionLine[],
): Cents | null {
  if (!item.limit) return null;
  const before = BY_MONTH.has(item.limit) ? input.deductionsThisMonth : input.deductionsToDate;
  let used = 0;
  for (const code of ITEMS_OF_LIMIT.get(item.limit) ?? []) {
    used += before[code] ?? 0;
    for (const line of lines) if (line.item === code) used += line.amount;
  }
  // What the employer puts into the account counts as well (IRC § 223(b)(4)).
  if (item.limit === 'hsa') used += input.employerPaidToDate['employer-hsa'] ?? 0;
  return cents(legalLimit(item.limit, limits, age, coverage, PERIODS_PER_YEAR[input.payFrequency]) - used);
}

/** The amount under every limit, and the name of the one that counted last. */
function limited(
  input: PaycheckInput,
  { item, own, limits }: Deduction,
  wanted: Cents,
  legal: Cents | null,
): readonly [Cents, string] {
  let amount = wanted;
  let by = '';
  if (limits.perCheck !== null && amount > limits.perCheck) [amount, by] = [limits.perCheck, 'check'];
  if (limits.perYear !== null) {
    const taken = own ? input.ownDeductionsToDate[own.name] : input.deductionsToDate[item.code];
    const left = notBelowZero(subtract(limits.perYear, taken ?? ZERO));
    if (amount > left) [amount, by] = [left, 'year'];
  }
  if (limits.balance !== null && amount > limits.balance) [amount, by] = [limits.balance, 'balance'];
  if (legal !== null && amount > legal)
    [amount, by] = [notBelowZero(legal), item.limit && BY_MONTH.has(item.limit) ? 'legal monthly' : 'legal yearly'];
  return [amount, by];
}

interface Deducted {
  readonly deduction: Deduction;
  readonly line: DeductionLine;
  readonly gross: Cents;
  readonly wanted: Cents;
  /** The limit that counted last, or nothing. */
  readonly by: string;
  readonly row: Dated<BenefitLimits> | null;
  readonly age: number | null;
  readonly periods: number;
}
function writeDeduction(tape: Tape, { deduction, line, gross, wanted, by, row, age, periods }: Deducted): void {
  const figure = `deduction:${line.item}`;
  const { item, percent } = deduction;
  tape.write(figure, () => ({
    label: percent && deduction.amount === null ? 'Share of gross pay' : 'Amount',
    value: showDollars(wanted),
    ...(percent && deduction.amount === null
      ? { how: `${showDollars(gross)} × ${showPercent(percent)}`, rounding: 'half a cent up' }
      : {}),
  }));
  tape.write(figure, () => ({
    label: line.label,
    value: showDollars(line.amount),
    ...(by === '' ? {} : { how: `held at its ${by} limit` }),
    isResult: true,
    ...(by.startsWith('legal') && row && item.limit
      ? {
          parameter: shownParameter(
            `${item.label}: limit of law`,
            showDollars(legalLimit(item.limit, row.value, age, deduction.coverage, periods)),
            row,
          ),
        }
      : {}),
  }));
}

/** What each deduction takes from a check of this gross, after its own limits and those of law (warnings say when). */
export function deductionLines(
  input: PaycheckInput,
  gross: Cents,
  tape?: Tape,
): { lines: DeductionLine[]; issues: Issue[] } {
  if (input.deductions.length === 0) return NONE;
  const issues: Issue[] = [];
  const row = inForce(BENEFIT_LIMITS, input.checkDate, input.rules);
  if (!row && input.deductions.some(({ item }) => item.limit !== null))
    issues.push(
      problem('rule.none-in-force', 'checkDate', {
        what: 'limit on deferrals and benefits',
        date: input.checkDate,
        from: BENEFIT_LIMITS[0]?.from ?? 'never',
      }),
    );
  // Age at the end of the year decides about catch-up amounts (IRC § 414(v)).
  const age = input.birthDate === null ? null : yearOf(input.checkDate) - yearOf(input.birthDate);
  const lines: DeductionLine[] = [];
  for (const deduction of input.deductions) {
    const { item } = deduction;
    const wanted = deduction.amount ?? (deduction.percent ? round(times(gross, deduction.percent), 'half-up') : ZERO);
    const [amount, by] = limited(
      input,
      deduction,
      wanted,
      row ? legalRoom(input, deduction, row.value, age, lines) : null,
    );
    if (amount < wanted)
      issues.push(
        warning('deduction.limited', `deductions[${lines.length}]`, {
          item: deduction.own?.label ?? item.label,
          amount: showDollars(amount),
          wanted: showDollars(wanted),
          limit: by,
        }),
      );
    const line = namedLine(item, deduction.own, amount);
    if (tape)
      writeDeduction(tape, {
        deduction,
        line,
        gross,
        wanted,
        by,
        row,
        age,
        periods: PERIODS_PER_YEAR[input.payFrequency],
      });
    lines.push(line);
  }
  return { lines, issues };
}
