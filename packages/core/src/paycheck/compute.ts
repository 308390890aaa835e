import { problem, warning, type Issue } from '../issues/issue.js';
import {
  ADDITIONAL_HI,
  ELECTION_MARK,
  FARM_MARK,
  FUTA,
  HI_RATE,
  HOUSEHOLD_MARK,
  OASDI_BASE,
  OASDI_RATE,
} from '../jurisdictions/us/parameters.js';
import {
  ZERO,
  add,
  cents,
  dollars,
  notBelowZero,
  showDollars,
  smaller,
  subtract,
  sum,
  toDollars,
  type Cents,
} from '../money/cents.js';
import { dividedBy, round, times } from '../money/exact.js';
import { accrue, leaveHours, showLeaveHours } from '../leave/accrual.js';
import { cappedTax, overMark, underBase, writeCappedTax, type CappedTax } from '../taxes/capped-tax.js';
import { federalIncomeTax } from '../taxes/federal-income-tax.js';
import { localTaxes } from '../taxes/local-tax.js';
import { taxOf, unemploymentCode, type Tax, type TaxCode } from '../taxes/registry.js';
import type { Tape } from '../working/tape.js';
import { Check } from './check.js';
import { deductionLines } from './deductions.js';
import { earningAmounts } from './earnings.js';
import { garnishments, type GarnishmentLine } from './garnishment.js';
import type { PaycheckInput } from './input.js';
import { EMPLOYER_KINDS, workerIsWithout } from './kinds.js';
import { programTaxes } from './programs.js';
import type { DeductionLine, PaycheckResult, Tracked } from './result.js';
import { hoursWorked, stateIncomeTaxes, unemploymentState } from './state-taxes.js';
import { Wages } from './wages.js';
import { compensationLine } from './workers-compensation.js';

function federalIncome(check: Check): void {
  const { input } = check;
  const wages = check.wages.of('income');
  if (check.isExempt('US-FIT') || workerIsWithout(input.worker, 'income')) {
    // Wages without withholding are still reported in box 1.
    if (workerIsWithout(input.worker, 'income') && input.worker !== 'contractor')
      check.push('US-FIT', wages.total, wages.total, ZERO);
    return;
  }
  const result = federalIncomeTax(
    {
      checkDate: input.checkDate,
      payFrequency: input.payFrequency,
      daysInPeriod: input.daysInPeriod,
      certificate: input.federal,
      regularWages: wages.regular,
      supplementalWages: wages.supplemental,
      supplementalMethod: input.supplementalMethod,
      supplementalToDate: input.supplementalToDate,
      method: input.withholdingMethod,
      toDollar: input.roundWithholdingToDollar,
      lastRegular: input.lastRegular,
      rules: input.rules,
    },
    check.tape,
  );
  check.issues.push(...result.problems);
  check.federalOnRegular = result.onRegular;
  check.federalOnSupplemental = result.onSupplemental;
  check.push('US-FIT', wages.total, wages.total, result.tax);
}

/** rate × wages under a base (or over a mark), the same for each of the taxes. */
function capped(check: Check, taxes: readonly Tax[], given: CappedTax): void {
  const amount = cappedTax(given);
  for (const { code, label, payer } of taxes) {
    if (check.tape) writeCappedTax(code, label, given, amount, check.tape);
    check.taxes.push({ code, payer, subject: given.subject, wages: given.taxed, amount, rate: given.rate });
  }
}
const OASDI = [taxOf('US-OASDI-EE'), taxOf('US-OASDI-ER')];
const HI = [taxOf('US-HI-EE'), taxOf('US-HI-ER')];
const ADDITIONAL = [taxOf('US-HI-ADD')];
const FEDERAL_UNEMPLOYMENT = [taxOf('US-FUTA')];

/** Farm employers who pay 2,500 a year or more owe on all wages; only a payroll given as smaller keeps the 150 test. */
const isUnderFarmTest = (input: PaycheckInput): boolean =>
  input.quarterlyPayroll !== null && input.quarterlyPayroll < FARM_TEST;
const FARM_TEST = dollars('2500');

/**
 * Wages of a worker whose OASDI and HI begin only when the year's wages reach a mark: nothing below it, and all of them,
 * earlier checks included, on the check that reaches it.
 */
function overCoverageMark(check: Check, subject: Cents, toDate: Cents): Cents {
  const { input } = check;
  const rows =
    input.worker === 'election-worker'
      ? ELECTION_MARK
      : input.employerKind === 'household'
        ? HOUSEHOLD_MARK
        : input.employerKind === 'agricultural' && isUnderFarmTest(input)
          ? FARM_MARK
          : null;
  const mark = rows ? check.inForce(rows) : null;
  if (!mark) return subject;
  const after = add(toDate, subject);
  if (after < mark.value) return ZERO;
  return toDate < mark.value ? after : subject;
}

function socialInsurance(check: Check): void {
  const { input } = check;
  const without = workerIsWithout(input.worker, 'social');
  const base = check.rule(OASDI_BASE, 'OASDI wage base');
  const oasdi = check.rule(OASDI_RATE, 'OASDI rate');
  const hi = check.rule(HI_RATE, 'HI rate');
  const additional = check.rule(ADDITIONAL_HI, 'additional Medicare rate');
  if (without || !base || !oasdi || !hi || !additional) return;
  const subject = check.wages.of('social').total;
  if (!check.isExempt('US-OASDI-EE', 'US-OASDI-ER')) {
    const toDate = check.toDate('US-OASDI');
    const covered = overCoverageMark(check, subject, toDate);
    const taxed = covered > subject ? smaller(covered, base.value) : underBase(covered, toDate, base.value);
    capped(check, OASDI, {
      subject,
      taxed,
      toDate,
      rate: oasdi.value,
      rateRow: oasdi,
      limit: { label: 'Wage base', amount: base.value, row: base },
    });
  }
  if (!check.isExempt('US-HI-EE', 'US-HI-ER')) {
    const toDate = check.toDate('US-HI');
    const covered = overCoverageMark(check, subject, toDate);
    capped(check, HI, { subject, taxed: covered, toDate, rate: hi.value, rateRow: hi, limit: null });
    const taxed = overMark(covered, toDate, additional.value.over);
    capped(check, ADDITIONAL, {
      subject,
      taxed,
      toDate,
      rate: additional.value.rate,
      rateRow: additional,
      limit: { label: 'Withhold on wages over', amount: additional.value.over, row: additional },
    });
  }
  let withheld = 0;
  for (const line of check.taxes)
    if (line.payer === 'employee' && line.code.startsWith('US-') && line.code !== 'US-FIT') withheld += line.amount;
  check.socialInsurance = cents(withheld);
}

function federalUnemployment(check: Check): void {
  const { input } = check;
  if (
    check.isExempt('US-FUTA') ||
    workerIsWithout(input.worker, 'unemployment') ||
    !EMPLOYER_KINDS[input.employerKind].owesFederalUnemployment
  )
    return;
  const row = check.rule(FUTA, 'federal unemployment rate');
  if (!row) return;
  const subject = check.wages.of('unemployment').total;
  const toDate = check.toDate('US-FUTA');
  const taxed = underBase(subject, toDate, row.value.base);
  // Wages that no state taxes earn no credit (IRC § 3302(a)).
  const state = input.unemploymentState ?? input.work[0]?.state ?? '';
  const isWithoutCredit = input.exemptFrom.size > 0 && input.exemptFrom.has(`${state}-SUI` as TaxCode);
  capped(check, FEDERAL_UNEMPLOYMENT, {
    subject,
    taxed,
    toDate,
    rate: isWithoutCredit ? row.value.withoutCredit : row.value.rate,
    rateRow: row,
    limit: { label: 'Wage base', amount: row.value.base, row },
  });
}

function stateUnemployment(check: Check): void {
  const { input } = check;
  if (workerIsWithout(input.worker, 'unemployment')) return;
  const state = unemploymentState(check);
  if (!state) return;
  const code = unemploymentCode(state);
  const base = check.rule(state.unemployment.base, `${state.name} unemployment wage base`);
  const own = input.unemploymentRates[state.code];
  if (!check.isExempt(code) && base) {
    if (own === undefined)
      check.problem('employer.no-unemployment-rate', `employer.unemploymentRates.${state.code}`, { state: state.name });
    else {
      const subject = check.wages.of('state-unemployment', state.code).total;
      const toDate = check.toDate(code);
      const taxed = underBase(subject, toDate, base.value);
      const limit = { label: 'Wage base', amount: base.value, row: base };
      capped(check, [taxOf(code)], { subject, taxed, toDate, rate: own, rateRow: null, limit });
    }
  }
  programTaxes(check, state);
}

function withheldFrom(check: Check): Cents {
  let total = 0;
  for (const line of check.taxes) if (line.payer === 'employee') total += line.amount;
  return cents(total);
}

/** Takes back what the cash of the check cannot pay: income tax first, then OASDI and HI on tips (Publication 15, section 6). */
function leaveUncollected(check: Check, cash: Cents, tips: Cents): { oasdi: Cents; hi: Cents } {
  const nothing = { oasdi: ZERO, hi: ZERO };
  const withheld = (): Cents => sum(check.taxes.filter((line) => line.payer === 'employee').map((line) => line.amount));
  let short = subtract(withheld(), cash);
  if (tips <= 0 || short <= 0) return nothing;
  const lower = (code: TaxCode, most: Cents): Cents => {
    const index = check.taxes.findIndex((line) => line.code === code);
    const line = check.taxes[index];
    if (!line || short <= 0) return ZERO;
    const off = smaller(smaller(line.amount, most), short);
    check.taxes[index] = { ...line, amount: subtract(line.amount, off) };
    short = subtract(short, off);
    return off;
  };
  const everything = Number.MAX_SAFE_INTEGER as Cents;
  for (const line of [...check.taxes])
    if (line.payer === 'employee' && /-(SIT|LIT|EIT)$/.test(line.code)) lower(line.code, everything);
  lower('US-FIT', everything);
  const hi = lower('US-HI-EE', round(times(tips, { n: 145, d: 10_000 }), 'half-up'));
  const oasdi = lower('US-OASDI-EE', round(times(tips, { n: 62, d: 1000 }), 'half-up'));
  if (hi + oasdi > 0) check.warn('tips.uncollected', 'earnings', { amount: showDollars(add(hi, oasdi)) });
  return { oasdi, hi };
}

function trackedAmounts(check: Check, uncollected: { oasdi: Cents; hi: Cents }): Tracked {
  let overtime = ZERO;
  let tips = ZERO;
  for (const { item, amount } of check.wages.earnings) {
    if (item.overtimePremium)
      overtime = add(
        overtime,
        round(dividedBy(cents(amount * item.overtimePremium.part), item.overtimePremium.of), 'half-up'),
      );
    if (item.isTips) tips = add(tips, amount);
  }
  return {
    qualifiedOvertime: overtime,
    qualifiedTips: tips,
    uncollectedOasdi: uncollected.oasdi,
    uncollectedHi: uncollected.hi,
  };
}

const NO_LEAVE: PaycheckResult['leave'] = [];
function leaveMoves(check: Check): PaycheckResult['leave'] {
  const { input } = check;
  const worked = hoursWorked(check) * 10;
  return input.leave.map(({ plan, balance, lastCheck }, index) => {
    const used = input.earnings
      .filter((earning) => earning.item.code === plan.item)
      .reduce((total, earning) => total + (earning.hours ? leaveHours(earning.hours) : 0), 0);
    const move = accrue(plan, balance, { lastCheck, checkDate: input.checkDate, worked, used });
    if (move.balance < 0)
      check.warn('leave.exceeded', `leave[${index}]`, { item: plan.item, balance: showLeaveHours(move.balance) });
    return { item: plan.item, ...move };
  });
}

/** Local taxes and state programs of the employee are one column of the register: their workings one after the other. */
function writeOther(check: Check, tape: Tape): void {
  const others = check.taxes.filter((line) => line.payer === 'employee' && isOther(line.code));
  for (const line of others) for (const step of tape.figures.get(line.code) ?? []) tape.write(OTHER, step);
  tape.write(OTHER, {
    label: 'Local tax and state programs',
    value: showDollars(sum(others.map((line) => line.amount))),
    how: others.map((line) => showDollars(line.amount)).join(' + '),
    isResult: true,
  });
}
/** The figure that gathers them. */
export const OTHER = 'other';
export const isOther = (code: string): boolean => !code.startsWith('US-') && !code.endsWith('-SIT');

function writeNet(check: Check, result: PaycheckResult, withheld: Cents, deducted: Cents): void {
  const { tape } = check;
  if (!tape) return;
  writeOther(check, tape);
  for (const line of result.earnings) tape.write('gross', { label: line.label, value: showDollars(line.amount) });
  tape.write('gross', { label: 'Gross pay', value: showDollars(result.gross), isResult: true });
  tape.write('net', { label: 'Gross pay', value: showDollars(result.gross) });
  for (const tax of result.taxes)
    if (tax.payer === 'employee')
      tape.write('net', { label: taxOf(tax.code).label, value: showDollars(subtract(ZERO, tax.amount)) });
  for (const line of [...result.deductions, ...result.garnishments])
    tape.write('net', { label: line.label, value: showDollars(subtract(ZERO, line.amount)) });
  tape.write('net', {
    label: 'Net pay',
    value: showDollars(result.net),
    how: `${showDollars(result.gross)} − ${showDollars(withheld)} − ${showDollars(deducted)}`,
    isResult: true,
  });
}

function compute(input: PaycheckInput, tape: Tape | undefined): PaycheckResult {
  const amounts = earningAmounts(input.earnings);
  const earned = input.earnings.map(({ item }, index) => ({ item, amount: amounts[index] ?? ZERO }));
  let paid = 0;
  let tipped = 0;
  for (const { item, amount } of earned) {
    if (!item.isNoncash) paid += amount;
    if (item.isTips) tipped += amount;
  }
  const gross = cents(paid);
  const tips = cents(tipped);
  const deductions = deductionLines(input, gross);
  const check = new Check(input, new Wages(earned, deductions.lines), tape);
  check.issues.push(...deductions.issues);

  federalIncome(check);
  socialInsurance(check);
  federalUnemployment(check);
  localTaxes(check, stateIncomeTaxes(check));
  stateUnemployment(check);

  const voluntary = sum(deductions.lines.map((line) => line.amount));
  const uncollected = leaveUncollected(check, gross, tips);
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
      tape,
    });
    orders = answer.lines;
    check.issues.push(...answer.issues);
  }
  const ordered = sum(orders.map((line) => add(line.amount, line.fee)));
  const deducted = add(voluntary, ordered);
  const net = subtract(subtract(gross, withheld), deducted);
  if (net < 0) check.problem('deduction.over-net', 'deductions', { net: toDollars(net) });
  const employerPaid: DeductionLine[] = input.employerPaid.map((line) => ({
    item: line.item.code,
    label: line.item.label,
    amount: line.amount,
  }));
  const tracked = trackedAmounts(check, uncollected);
  const result = {
    gross,
    net,
    supplemental: check.wages.of('income').supplemental,
    earnings: earned.map(({ item, amount }) => ({ item: item.code, label: item.label, amount })),
    deductions: deductions.lines,
    employerPaid,
    garnishments: orders,
    taxes: check.taxes,
    leave: input.leave.length === 0 ? NO_LEAVE : leaveMoves(check),
    workersCompensation: input.workClass ? compensationLine(check, input.workClass, tracked.qualifiedOvertime) : null,
    tracked,
    problems: check.issues,
  };
  writeNet(check, result, withheld, deducted);
  return result;
}

const NO_ISSUES: Issue[] = [];

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
    const hours = String(earning.hours.n / earning.hours.d);
    return [warning('hours.overtime-suspected', `earnings[${index}].hours`, { hours, frequency: input.payFrequency })];
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
    // The guards of money/ refuse amounts beyond exact range; for a user that is a slipped decimal point.
    // A rule of the firm's own that is not made like the product's fails here; tryRules finds it before it counts.
    if (error instanceof TypeError && input.rules)
      return { ...NOTHING, problems: [problem('rules.not-computable', 'rules', { parameter: 'One of the rules' })] };
    if (!(error instanceof RangeError)) throw error;
    return { ...NOTHING, problems: [problem('input.too-large', 'earnings')] };
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
  leave: [],
  workersCompensation: null,
  tracked: { qualifiedOvertime: ZERO, qualifiedTips: ZERO, uncollectedOasdi: ZERO, uncollectedHi: ZERO },
  problems: [],
};

export const hasErrors = (result: PaycheckResult): boolean =>
  result.problems.some((issue) => issue.severity === 'error');
