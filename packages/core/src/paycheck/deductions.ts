import { BENEFIT_LIMITS } from '../jurisdictions/us/benefit-limits.js';
import { problem, warning, type Issue } from '../issues/issue.js';
import { ZERO, add, notBelowZero, showDollars, smaller, subtract, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import { showPercent } from '../money/rate.js';
import type { Tape } from '../working/tape.js';
import type { Deduction, Override, PaycheckInput } from '../computation/input.js';
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
  const { arrears, override } = deduction;
  const figure = `deduction:${line.item}`;
  const { percent } = deduction;
  tape.write(figure, () => ({
    label: percent && deduction.amount === null ? 'Share of gross pay' : 'Amount',
    value: showDollars(subtract(wanted, arrears ?? ZERO)),
    ...(percent && deduction.amount === null
      ? { how: `${showDollars(gross)} × ${showPercent(percent)}`, rounding: 'half a cent up' }
      : {}),
  }));
  if (arrears !== null && arrears > 0)
    tape.write(figure, () => ({ label: 'Owed from earlier checks', value: showDollars(arrears) }));
  if (override)
    tape.write(figure, () => ({
      label: 'Comes to',
      value: showDollars(line.computed ?? line.amount),
      ...(by === '' ? {} : { how: `held at its ${by} limit` }),
    }));
  tape.write(figure, () => ({
    label: line.label,
    value: showDollars(line.amount),
    ...(override
      ? { how: `instead: ${override.reason}${line.owed ? `; ${showDollars(line.owed)} is owed` : ''}` }
      : by === ''
        ? {}
        : { how: `held at its ${by} limit` }),
    isResult: true,
    ...(law ? shownLimit(law, deduction, by) : {}),
  }));
}

/** The line with what of it was owed before, what is owed now, and what it comes to where another amount is taken. */
function withArrears(
  line: DeductionLine,
  { arrears, override }: Deduction,
  usual: Cents,
  computed: Cents,
): DeductionLine {
  if (override === null && (arrears === null || arrears === 0)) return line;
  const current = smaller(usual, computed);
  const owed = override?.isOwed ? notBelowZero(subtract(current, line.amount)) : ZERO;
  const taken = arrears === null ? ZERO : smaller(notBelowZero(subtract(line.amount, current)), arrears);
  return {
    ...line,
    ...(override ? { computed } : {}),
    ...(owed > 0 ? { owed } : {}),
    ...(taken > 0 ? { arrears: taken } : {}),
  };
}

function overrideIssues(
  { reason }: Override,
  line: DeductionLine,
  computed: Cents,
  legal: LegalRoom | null,
  field: string,
): Issue[] {
  const words = { line: line.label, amount: showDollars(line.amount) };
  if (legal !== null && line.amount > legal.room)
    return [problem('line.over-law', `${field}.override`, { ...words, most: showDollars(notBelowZero(legal.room)) })];
  const said = { ...words, computed: showDollars(computed), reason };
  return line.owed === undefined
    ? [warning('line.overridden', field, said)]
    : [warning('line.owed', field, { ...said, owed: showDollars(line.owed) })];
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
    const usual = deduction.amount ?? (deduction.percent ? round(times(gross, deduction.percent), 'half-up') : ZERO);
    const wanted = add(usual, deduction.arrears ?? ZERO);
    const legal = law ? legalRoom(input, deduction, law, lines) : null;
    const [computed, by] = limited(input, deduction, wanted, legal);
    const { override } = deduction;
    const amount = override?.amount ?? computed;
    const line = withArrears(namedLine(item, deduction.own, amount), deduction, usual, computed);
    if (override) issues.push(...overrideIssues(override, line, computed, legal, fieldOf(lines.length)));
    else if (amount < wanted) {
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
