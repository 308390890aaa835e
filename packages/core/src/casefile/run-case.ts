import { sentence, fix, type Issue, type Severity } from '../issues/issue.js';
import { showLeaveHours } from '../leave/accrual.js';
import { toDollars, type Cents } from '../money/cents.js';
import { computePaycheck } from '../paycheck/compute.js';
import { grossUp } from '../paycheck/gross-up.js';
import type { PaycheckResult, TaxLine } from '../computation/result.js';
import { Tape, type TapeLine } from '../working/tape.js';
import { readCase } from './read-case.js';
import { taxOf } from '../tax-registry/registry.js';

export interface CaseProblem {
  readonly code: string;
  readonly field: string;
  readonly severity: Severity;
  readonly sentence: string;
  readonly fix: string;
}
export interface CaseAnswer {
  readonly id: string;
  readonly gross: string | null;
  readonly net: string | null;
  readonly taxes: readonly {
    readonly code: string;
    readonly payer: string;
    readonly wages: string;
    readonly amount: string;
  }[];
  /** One for each line of pay, also of those that hours by the week or by the day were split into. */
  readonly earnings?: readonly { readonly item: string; readonly amount: string; readonly job?: string }[];
  readonly deductions?: readonly { readonly item: string; readonly amount: string }[];
  /** On top of the pay, with the case's employerPaid lines. */
  readonly employerPaid?: readonly { readonly item: string; readonly amount: string }[];
  readonly garnishments?: readonly {
    readonly kind: string;
    readonly label: string;
    readonly amount: string;
    readonly fee: string;
  }[];
  /** What the policy takes for this check, when the case names a class of work. */
  readonly workersCompensation?: {
    readonly class: string;
    readonly pay: string;
    readonly hours: string;
    readonly amount: string;
  };
  /** Hours of each leave plan of the case. */
  readonly leave?: readonly {
    readonly item: string;
    readonly accrued: string;
    readonly used: string;
    readonly lost: string;
    readonly balance: string;
  }[];
  /** Where another program withheld something else than is computed here. */
  readonly variances?: readonly { readonly code: string; readonly withheld: string; readonly computed: string }[];
  /** Amounts that year-end reporting needs; left out when they are all zero. */
  readonly tracked?: Readonly<Record<string, string>>;
  readonly problems: readonly CaseProblem[];
  readonly grossUp?: { readonly amount: string };
  readonly unexpected?: readonly { readonly figure: string; readonly expected: string; readonly computed: string }[];
  readonly working?: Readonly<Record<string, readonly TapeLine[]>>;
}

/** An issue as an answer has it. */
export const shownProblem = (issue: Issue): CaseProblem => ({
  code: issue.code,
  field: issue.field,
  severity: issue.severity,
  sentence: sentence(issue),
  fix: fix(issue),
});

/** Figures of a result by the names that `expect` uses: a tax code, `gross` or `net`. */
function figuresOf(result: PaycheckResult): Map<string, Cents> {
  const figures = new Map<string, Cents>();
  for (const tax of result.taxes) figures.set(tax.code, ((figures.get(tax.code) ?? 0) + tax.amount) as Cents);
  for (const { item, amount } of result.earnings)
    figures.set(`earning:${item}`, ((figures.get(`earning:${item}`) ?? 0) + amount) as Cents);
  for (const line of result.deductions) figures.set(`deduction:${line.item}`, line.amount);
  for (const line of result.employerPaid) figures.set(`employer:${line.item}`, line.amount);
  result.garnishments.forEach((line, index) => figures.set(`garnishment:${index + 1}`, line.amount));
  return figures.set('gross', result.gross).set('net', result.net);
}

/** Errors that leave every other figure of the check right: what is missing concerns the employer's own tax alone. */
const LEAVES_THE_CHECK_WHOLE: ReadonlySet<string> = new Set([
  'gross-up.not-reached',
  'employer.no-unemployment-rate',
  'employer.own-rate-missing',
]);

/** A year whose rules a state does not have here leaves the federal lines right (2024, for corrections). */
const LEAVES_THE_FEDERAL_LINES: ReadonlySet<string> = new Set(['rule.none-in-force']);

const shownTax = (tax: TaxLine): CaseAnswer['taxes'][number] => ({
  code: tax.code,
  payer: tax.payer,
  wages: toDollars(tax.wages),
  amount: toDollars(tax.amount),
});

/** Figures that are not what the case expects. */
function unexpectedOf(figures: ReadonlyMap<string, Cents>, expect: Readonly<Record<string, string>>) {
  return Object.entries(expect).flatMap(([figure, expected]) => {
    const amount = figures.get(figure);
    const computed = amount === undefined ? 'none' : toDollars(amount);
    return computed === expected ? [] : [{ figure, expected, computed }];
  });
}

/** Computes one case of the case file. Errors are in `problems`; then the amounts are null, and only
 * the federal lines are there when it is a state or a place whose rule is missing. */
export function runCase(value: unknown, withWorking = false): CaseAnswer {
  const read = readCase(value);
  if (!read.input) return { id: read.id, gross: null, net: null, taxes: [], problems: read.issues.map(shownProblem) };
  const tape = withWorking ? new Tape() : undefined;
  const grossed = read.grossUp
    ? grossUp(read.input, { item: read.grossUp.item, own: null }, read.grossUp.net, tape)
    : null;
  const result = grossed ? grossed.result : computePaycheck(read.input, tape);
  const problems = result.problems.map(shownProblem);
  const errors = result.problems.filter(
    (issue) => issue.severity === 'error' && !LEAVES_THE_CHECK_WHOLE.has(issue.code),
  );
  if (errors.length > 0) {
    const keepsFederal = !grossed && errors.every((issue) => LEAVES_THE_FEDERAL_LINES.has(issue.code));
    const taxes = keepsFederal ? result.taxes.filter((tax) => taxOf(tax.code).level === 'federal').map(shownTax) : [];
    return { id: read.id, gross: null, net: null, taxes, problems };
  }
  const unexpected = unexpectedOf(figuresOf(result), read.expect);
  return {
    id: read.id,
    gross: toDollars(result.gross),
    net: toDollars(result.net),
    taxes: result.taxes.map(shownTax),
    ...(result.earnings.length > 0
      ? {
          earnings: result.earnings.map(({ item, amount, job }) => ({
            item,
            amount: toDollars(amount),
            ...(job === undefined ? {} : { job }),
          })),
        }
      : {}),
    ...(result.deductions.length > 0
      ? { deductions: result.deductions.map((line) => ({ item: line.item, amount: toDollars(line.amount) })) }
      : {}),
    ...(result.employerPaid.length > 0
      ? { employerPaid: result.employerPaid.map((line) => ({ item: line.item, amount: toDollars(line.amount) })) }
      : {}),
    ...(result.garnishments.length > 0
      ? {
          garnishments: result.garnishments.map(({ kind, label, amount, fee }) => ({
            kind,
            label,
            amount: toDollars(amount),
            fee: toDollars(fee),
          })),
        }
      : {}),
    ...(result.workersCompensation
      ? {
          workersCompensation: {
            class: result.workersCompensation.workClass,
            pay: toDollars(result.workersCompensation.pay),
            hours: result.workersCompensation.hours,
            amount: toDollars(result.workersCompensation.amount),
          },
        }
      : {}),
    ...(result.leave.length > 0
      ? {
          leave: result.leave.map(({ item, accrued, used, lost, balance }) => ({
            item,
            accrued: showLeaveHours(accrued),
            used: showLeaveHours(used),
            lost: showLeaveHours(lost),
            balance: showLeaveHours(balance),
          })),
        }
      : {}),
    ...(result.variances.length > 0
      ? {
          variances: result.variances.map(({ code, withheld, computed }) => ({
            code,
            withheld: toDollars(withheld),
            computed: toDollars(computed),
          })),
        }
      : {}),
    ...(Object.values(result.tracked).some((amount) => amount !== 0)
      ? {
          tracked: Object.fromEntries(
            Object.entries(result.tracked).map(([name, amount]) => [name, toDollars(amount as Cents)]),
          ),
        }
      : {}),
    problems,
    ...(grossed ? { grossUp: { amount: toDollars(grossed.amount) } } : {}),
    ...(unexpected.length > 0 ? { unexpected } : {}),
    ...(tape ? { working: tape.figures() } : {}),
  };
}
