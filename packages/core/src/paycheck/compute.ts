import { MagnitudeError } from '../money/magnitude.js';
import { type Issue, problem, warning } from '../issues/issue.js';
import { ZERO, cents, notBelowZero, showDollars, subtract, toDollars } from '../money/cents.js';
import { minus, plus, round, times } from '../money/exact.js';
import { showRate, type Rate } from '../money/rate.js';
import { localTaxes } from '../taxes/local-tax.js';
import type { Tape } from '../working/tape.js';
import { NO_LEAVE, leaveMoves, leaveUncollected, trackedAmounts, withheldFrom, writeNet } from './after-taxes.js';
import { Check } from '../computation/check.js';
import { deductionLines } from './deductions.js';
import { employerPaidLines } from './employer-paid.js';
import { earningAmounts } from './earnings.js';
import { federalIncome, federalUnemployment, socialInsurance, stateUnemployment } from './federal-taxes.js';
import { garnishments } from './garnishment.js';
import type { GarnishmentLine } from '../computation/orders.js';
import type { Earning, PaycheckInput } from '../computation/input.js';
import { healthShareWarnings } from './health-share.js';
import { leftOutWarnings } from '../computation/left-out.js';
import { minimumWageWarnings } from './minimum-wage.js';
import { earningLine } from './named.js';
import type { PaycheckResult } from '../computation/result.js';
import { stateIncomeTaxes } from './state-taxes.js';
import { Wages } from '../computation/wages.js';
import { takeWithheld } from './withheld-elsewhere.js';
import { compensationLine } from './workers-compensation.js';

/** Thirteen digits of dollars are the most that an amount is read with, so that every figure can be read back. */
const MOST_GROSS = cents(999_999_999_999_999);

function compute(input: PaycheckInput, tape: Tape | undefined): PaycheckResult {
  const amounts = earningAmounts(input.earnings);
  const earned = input.earnings.map(({ item, own, job }, index) => ({
    item,
    own,
    job,
    amount: amounts[index] ?? ZERO,
  }));
  let paid = 0;
  let tipped = 0;
  for (const { item, amount } of earned) {
    if (!item.isNoncash) paid += amount;
    if (item.isTips) tipped += amount;
  }
  const gross = cents(paid);
  if (gross > MOST_GROSS) throw new MagnitudeError('gross pay beyond what can be written as an amount');
  const tips = cents(tipped);
  const deductions = deductionLines(input, gross, tape);
  const check = new Check(
    input,
    new Wages(earned, input.deductions, deductions.lines, input.checkDate, input.work[0]?.state ?? ''),
    tape,
  );
  check.issues.push(...deductions.issues, ...minimumWageWarnings(input, earned));
  check.issues.push(...healthShareWarnings(input, gross, deductions.lines));
  if (input.leftOut.length > 0) check.issues.push(...leftOutWarnings(input.leftOut));

  federalIncome(check);
  socialInsurance(check);
  federalUnemployment(check);
  localTaxes(check, stateIncomeTaxes(check));
  stateUnemployment(check);

  let taken = 0;
  for (const line of deductions.lines) taken += line.amount;
  const uncollected = leaveUncollected(check, gross, tips);
  const variances = takeWithheld(check);
  const withheld = withheldFrom(check);
  let orders: readonly GarnishmentLine[] = [];
  if (input.garnishments.length > 0) {
    const answer = garnishments(input.garnishments, {
      rules: input.rules,
      checkDate: input.checkDate,
      frequency: input.payFrequency,
      state: input.work[0]?.state ?? '',
      gross,
      disposable: notBelowZero(subtract(gross, withheld)),
      deducted: cents(taken),
      tape,
    });
    orders = answer.lines;
    check.issues.push(...answer.issues);
  }
  for (const line of orders) taken += line.amount + line.fee;
  const deducted = cents(taken);
  const net = subtract(subtract(gross, withheld), deducted);
  if (net < 0) check.problem('deduction.over-net', 'deductions', { net: toDollars(net) });
  const employerPaid = employerPaidLines(input, gross, deductions.lines, tape);
  const tracked = trackedAmounts(check, uncollected);
  const result = {
    gross,
    net,
    supplemental: check.wages.of('income').supplemental,
    earnings: earned.map(earningLine),
    deductions: deductions.lines,
    employerPaid,
    garnishments: orders,
    taxes: check.taxes,
    leave: input.leave.length === 0 ? NO_LEAVE : leaveMoves(check),
    workersCompensation: input.workClass ? compensationLine(check, input.workClass, tracked.qualifiedOvertime) : null,
    tracked,
    variances,
    problems: check.issues,
  };
  writeNet(check, result, withheld, deducted);
  return result;
}

const NO_ISSUES: Issue[] = [];

/** What these hours come to at least, with those over 40 a week at time and a half: `: 40 and 12 hours come to 1,305.00`. */
function payWithOvertime({ hours, rate }: Earning, weeks: number): string {
  if (!hours || !rate) return '';
  const full = { n: 40 * weeks, d: 1 };
  const over = minus(hours, full);
  const pay = plus(times(times(DOLLAR, rate), full), times(times(times(DOLLAR, rate), TIME_AND_A_HALF), over));
  return `: ${full.n} and ${showRate(over)} hours come to ${showDollars(round(pay, 'half-up'))}`;
}
const DOLLAR = cents(100);
const TIME_AND_A_HALF: Rate = { n: 3, d: 2 };

/** Warns of regular hours that look like unmarked overtime (29 U.S.C. § 207: over 40 in a workweek). */
function overtimeWarnings(input: PaycheckInput): Issue[] {
  const weeks = input.payFrequency === 'weekly' ? 1 : input.payFrequency === 'biweekly' ? 2 : null;
  if (weeks === null) return NO_ISSUES;
  const suspects = input.earnings.some(
    (earning) =>
      earning.item.code === 'regular' && earning.hours !== null && earning.hours.n > 40 * weeks * earning.hours.d,
  );
  if (!suspects) return NO_ISSUES;
  return input.earnings.flatMap((earning, index) => {
    if (earning.item.code !== 'regular' || earning.hours === null || earning.hours.n <= 40 * weeks * earning.hours.d)
      return [];
    return [
      warning('hours.overtime-suspected', `earnings[${index}].hours`, {
        hours: showRate(earning.hours),
        frequency: input.payFrequency,
        pay: payWithOvertime(earning, weeks),
      }),
    ];
  });
}

/**
 * One paycheck, gross to net, with every tax of both payers. Amounts in cents. The same pass serves with a tape
 * (every figure's working) and without. Nothing is thrown for what a user can get wrong: see `problems`.
 */
export function computePaycheck(input: PaycheckInput, tape?: Tape): PaycheckResult {
  try {
    const result = compute(input, tape);
    const warnings = overtimeWarnings(input);
    return warnings.length === 0 ? result : { ...result, problems: [...result.problems, ...warnings] };
  } catch (error) {
    // A rule of the firm's own that is not made like the product's fails here; tryRules finds it before it counts.
    if (error instanceof TypeError && input.rules)
      return { ...NOTHING, problems: [problem('rules.not-computable', 'rules', { parameter: 'One of the rules' })] };
    // The guards of money/ refuse amounts beyond exact range: for a user that is a slipped decimal point.
    if (error instanceof MagnitudeError) return { ...NOTHING, problems: [problem('input.too-large', 'earnings')] };
    const what = error instanceof Error ? error.message : 'unknown';
    return { ...NOTHING, problems: [problem('fault.ours', 'paycheck', { what })] };
  }
}

/** The result of a check that is not paid. */
export const NOTHING: PaycheckResult = {
  gross: ZERO,
  net: ZERO,
  supplemental: ZERO,
  earnings: [],
  deductions: [],
  employerPaid: [],
  garnishments: [],
  taxes: [],
  variances: [],
  leave: [],
  workersCompensation: null,
  tracked: {
    qualifiedOvertime: ZERO,
    qualifiedTips: ZERO,
    uncollectedOasdi: ZERO,
    uncollectedHi: ZERO,
    oasdiTips: ZERO,
    sickPayOasdi: ZERO,
    sickPayHi: ZERO,
    futaCreditReduction: ZERO,
  },
  problems: [],
};

export const hasErrors = (result: PaycheckResult): boolean =>
  result.problems.some((issue) => issue.severity === 'error');
