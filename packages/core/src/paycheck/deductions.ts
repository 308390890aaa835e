import { BENEFIT_LIMITS } from '../jurisdictions/us/benefit-limits.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { ZERO, notBelowZero, showDollars, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { Tape } from '../working/tape.js';
import type { Deduction, PaycheckInput } from '../computation/input.js';
import {
  ROTH_LIMIT,
  askForPriorWages,
  lawFor,
  legalRoom,
  mustBeRoth,
  shownLimit,
  type DeductionLimit,
  type Law,
  type LegalRoom,
} from './legal-limits.js';
import { namedLine } from './named.js';
import type { DeductionLine } from '../computation/result.js';

const NONE: { lines: DeductionLine[]; issues: Issue[] } = { lines: [], issues: [] };

/** The amount under every limit, and the name of the one that counted last. */
function limited(
  input: PaycheckInput,
  { item, own, limits }: Deduction,
  wanted: Cents,
  legal: LegalRoom | null,
): readonly [Cents, DeductionLimit] {
  let amount = wanted;
  let by: DeductionLimit = '';
  if (limits.perCheck !== null && amount > limits.perCheck) [amount, by] = [limits.perCheck, 'check'];
  if (limits.perYear !== null) {
    const taken = own ? input.ownDeductionsToDate[own.name] : input.deductionsToDate[item.code];
    const left = notBelowZero(subtract(limits.perYear, taken ?? ZERO));
    if (amount > left) [amount, by] = [left, 'year'];
  }
  if (limits.balance !== null && amount > limits.balance) [amount, by] = [limits.balance, 'balance'];
  if (legal !== null && amount > legal.room) [amount, by] = [notBelowZero(legal.room), legal.by];
  return [amount, by];
}

interface Deducted {
  readonly deduction: Deduction;
  readonly line: DeductionLine;
  readonly gross: Cents;
  readonly wanted: Cents;
  /** The limit that counted last, or nothing. */
  readonly by: DeductionLimit;
  readonly law: Law | null;
}
function writeDeduction(tape: Tape, { deduction, line, gross, wanted, by, law }: Deducted): void {
  const figure = `deduction:${line.item}`;
  const { percent } = deduction;
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
    ...(law ? shownLimit(law, deduction, by) : {}),
  }));
}

const fieldOf = (index: number): string => `deductions[${index}]`;

/** What each deduction takes from a check of this gross, after its own limits and those of law (warnings say when). */
export function deductionLines(
  input: PaycheckInput,
  gross: Cents,
  tape?: Tape,
): { lines: DeductionLine[]; issues: Issue[] } {
  if (input.deductions.length === 0) return NONE;
  const issues: Issue[] = [];
  const law = lawFor(input);
  if (!law && input.deductions.some(({ item }) => item.limit !== null))
    issues.push(
      problem('rule.none-in-force', 'checkDate', {
        what: 'limit on deferrals and benefits',
        date: input.checkDate,
        from: BENEFIT_LIMITS[0]?.from ?? 'never',
      }),
    );
  const lines: DeductionLine[] = [];
  for (const deduction of input.deductions) {
    const { item } = deduction;
    const wanted = deduction.amount ?? (deduction.percent ? round(times(gross, deduction.percent), 'half-up') : ZERO);
    const [amount, by] = limited(input, deduction, wanted, law ? legalRoom(input, deduction, law, lines) : null);
    const line = namedLine(item, deduction.own, amount);
    if (amount < wanted) {
      const words = { item: line.label, amount: showDollars(amount), wanted: showDollars(wanted) };
      if (law && by === ROTH_LIMIT) issues.push(...mustBeRoth(law, fieldOf(lines.length), words));
      else issues.push(warning('deduction.limited', fieldOf(lines.length), { ...words, limit: by }));
    }
    if (law?.rothOver != null)
      issues.push(...askForPriorWages(input, law, deduction, line, lines, fieldOf(lines.length)));
    if (tape) writeDeduction(tape, { deduction, line, gross, wanted, by, law });
    lines.push(line);
  }
  return { lines, issues };
}
