import { problem, sentence, fix, type Issue } from '../issues/issue.js';
import { toDollars, type Cents } from '../money/cents.js';
import { computePaycheck } from '../paycheck/compute.js';
import { grossUp } from '../paycheck/gross-up.js';
import type { PaycheckResult } from '../paycheck/result.js';
import { Tape, type TapeLine } from '../working/tape.js';
import { readCase } from './read-case.js';

export interface CaseProblem {
  readonly code: string;
  readonly field: string;
  readonly severity: 'error' | 'warning';
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
  readonly problems: readonly CaseProblem[];
  readonly grossUp?: { readonly amount: string };
  readonly unexpected?: readonly { readonly figure: string; readonly expected: string; readonly computed: string }[];
  readonly working?: Readonly<Record<string, readonly TapeLine[]>>;
}

const shown = (issue: Issue): CaseProblem => ({
  code: issue.code,
  field: issue.field,
  severity: issue.severity,
  sentence: sentence(issue),
  fix: fix(issue),
});

/** Figures of a result by the names that `expect` uses: a tax code, `gross` or `net`. */
function figuresOf(result: PaycheckResult): Map<string, Cents> {
  const figures = new Map<string, Cents>(result.taxes.map((tax) => [tax.code, tax.amount]));
  return figures.set('gross', result.gross).set('net', result.net);
}

/** Computes one case of the case file. Errors are in `problems`; then the amounts are null and there are no taxes. */
export function runCase(value: unknown, withWorking = false): CaseAnswer {
  const read = readCase(value);
  if (!read.input) return { id: read.id, gross: null, net: null, taxes: [], problems: read.issues.map(shown) };
  const tape = withWorking ? new Tape() : undefined;
  const grossed = read.grossUp ? grossUp(read.input, read.grossUp.item, read.grossUp.net, tape) : null;
  const result = grossed ? grossed.result : computePaycheck(read.input, tape);
  const problems = result.problems.map(shown);
  if (result.problems.some((issue) => issue.severity === 'error' && issue.code !== 'gross-up.not-reached')) {
    return { id: read.id, gross: null, net: null, taxes: [], problems };
  }
  const figures = figuresOf(result);
  const unexpected = Object.entries(read.expect).flatMap(([figure, expected]) => {
    const amount = figures.get(figure);
    const computed = amount === undefined ? 'none' : toDollars(amount);
    return computed === expected ? [] : [{ figure, expected, computed }];
  });
  return {
    id: read.id,
    gross: toDollars(result.gross),
    net: toDollars(result.net),
    taxes: result.taxes.map((tax) => ({
      code: tax.code,
      payer: tax.payer,
      wages: toDollars(tax.wages),
      amount: toDollars(tax.amount),
    })),
    problems,
    ...(grossed ? { grossUp: { amount: toDollars(grossed.amount) } } : {}),
    ...(unexpected.length > 0 ? { unexpected } : {}),
    ...(tape ? { working: Object.fromEntries(tape.figures) } : {}),
  };
}

/** One line of a case file, which may not even be JSON. */
export function runLine(line: string, withWorking = false): CaseAnswer {
  let value: unknown;
  try {
    value = JSON.parse(line);
  } catch {
    return { id: '', gross: null, net: null, taxes: [], problems: [shown(problem('input.not-json', ''))] };
  }
  return runCase(value, withWorking);
}
