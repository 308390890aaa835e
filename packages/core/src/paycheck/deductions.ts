import { yearOf } from '../calendar/local-date.js';
import { DEDUCTION_ITEMS, type LegalLimit } from '../items/registry.js';
import { inForce } from '../jurisdictions/dated.js';
import { BENEFIT_LIMITS, type BenefitLimits } from '../jurisdictions/us/benefit-limits.js';
import { warning, type Issue } from '../issues/issue.js';
import { ZERO, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import type { PaycheckInput } from './input.js';
import type { DeductionLine } from './result.js';

/** The yearly limit of law that holds for a person of this age; null: none known for the year. */
function legalLimit(limit: LegalLimit, limits: BenefitLimits, age: number | null): Cents {
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
      return limits.hsaFamily;
    case 'fsa':
      return limits.fsa;
    case 'dependent-care':
      return limits.dependentCare;
    case 'transit':
      return (limits.transitPerMonth * 12) as Cents;
  }
}

/** Deferrals of one kind share one limit, whatever items they are taken by. */
const ITEMS_OF_LIMIT: ReadonlyMap<LegalLimit, readonly string[]> = new Map(
  DEDUCTION_ITEMS.flatMap((item) => (item.limit ? [item.limit] : [])).map((limit) => [
    limit,
    DEDUCTION_ITEMS.filter((item) => item.limit === limit).map((item) => item.code),
  ]),
);

/** What each deduction takes from a check of this gross, after its own limits and those of law (warnings say when). */
export function deductionLines(input: PaycheckInput, gross: Cents): { lines: DeductionLine[]; issues: Issue[] } {
  const issues: Issue[] = [];
  const row = inForce(BENEFIT_LIMITS, input.checkDate, input.rules);
  // Age at the end of the year decides about catch-up amounts (IRC § 414(v)).
  const age = input.birthDate === null ? null : yearOf(input.checkDate) - yearOf(input.birthDate);
  const usedOfLaw = new Map<LegalLimit, number>();
  const lines = input.deductions.map((deduction, index): DeductionLine => {
    const { item, limits } = deduction;
    const wanted = deduction.amount ?? (deduction.percent ? round(times(gross, deduction.percent), 'half-up') : ZERO);
    let amount = wanted;
    let by = '';
    const lower = (most: Cents, name: string): void => {
      if (amount <= most) return;
      amount = notBelowZero(most);
      by = name;
    };
    const before = input.deductionsToDate[item.code] ?? ZERO;
    if (limits.perCheck !== null) lower(limits.perCheck, 'check');
    if (limits.perYear !== null) lower(subtract(limits.perYear, before), 'year');
    if (limits.balance !== null) lower(limits.balance, 'balance');
    if (item.limit && row) {
      let toDate = 0;
      for (const code of ITEMS_OF_LIMIT.get(item.limit) ?? []) toDate += input.deductionsToDate[code] ?? 0;
      const used = usedOfLaw.get(item.limit) ?? 0;
      lower((legalLimit(item.limit, row.value, age) - toDate - used) as Cents, 'legal yearly');
      usedOfLaw.set(item.limit, used + amount);
    }
    if (amount < wanted)
      issues.push(
        warning('deduction.limited', `deductions[${index}]`, {
          item: item.label,
          amount: showDollars(amount),
          wanted: showDollars(wanted),
          limit: by,
        }),
      );
    return { item: item.code, label: item.label, amount: smaller(amount, wanted) };
  });
  return { lines, issues };
}
