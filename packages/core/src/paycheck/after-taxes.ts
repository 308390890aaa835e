import { HI_RATE, OASDI_RATE } from '../jurisdictions/us/parameters.js';
import { accrue, leaveHours, showLeaveHours } from '../leave/accrual.js';
import { type Cents, ZERO, add, cents, notBelowZero, showDollars, smaller, subtract, sum } from '../money/cents.js';
import { round, showExact, times } from '../money/exact.js';
import { showRate, type Rate } from '../money/rate.js';
import { type TaxCode, isStateIncomeTax, taxOf } from '../tax-registry/registry.js';
import type { Tape } from '../working/tape.js';
import { Check } from '../computation/check.js';
import { qualifiedPremium, regularPay, regularRate } from './earnings.js';
import type { Earning } from '../computation/input.js';
import type { PaycheckResult, Tracked } from '../computation/result.js';
import { hoursWorked } from './state-taxes.js';

export function withheldFrom(check: Check): Cents {
  let total = 0;
  for (const line of check.taxes) if (line.payer === 'employee') total += line.amount;
  return cents(total);
}

/** Takes back what the cash of the check cannot pay: income tax first, then OASDI and HI on tips (Publication 15, section 6). */
export function leaveUncollected(check: Check, cash: Cents, tips: Cents): { oasdi: Cents; hi: Cents } {
  return tips > 0 ? leaveTips(check, cash, tips) : NOTHING_LEFT;
}
const NOTHING_LEFT = { oasdi: ZERO, hi: ZERO };

function leaveTips(check: Check, cash: Cents, tips: Cents): { oasdi: Cents; hi: Cents } {
  const rates = { oasdi: check.inForce(OASDI_RATE), hi: check.inForce(HI_RATE) };
  let short = subtract(withheldFrom(check), cash);
  if (!rates.oasdi || !rates.hi || short <= 0) return NOTHING_LEFT;
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
  const hi = lower('US-HI-EE', round(times(tips, rates.hi.value), 'half-up'));
  const oasdi = lower('US-OASDI-EE', round(times(tips, rates.oasdi.value), 'half-up'));
  if (hi + oasdi > 0) check.warn('tips.uncollected', 'earnings', { amount: showDollars(add(hi, oasdi)) });
  return { oasdi, hi };
}

export function trackedAmounts(check: Check, uncollected: { oasdi: Cents; hi: Cents }): Tracked {
  let overtime = ZERO;
  let tips = ZERO;
  const { earnings } = check.wages;
  for (let index = 0; index < earnings.length; index += 1) {
    const [line, earning] = [earnings[index], check.input.earnings[index]];
    if (!line || !earning) continue;
    if (line.item.overtimePremium) overtime = add(overtime, qualifiedPremium(earning, line.amount));
    if (line.item.isTips) tips = add(tips, line.amount);
  }
  return {
    qualifiedOvertime: overtime,
    qualifiedTips: tips,
    uncollectedOasdi: uncollected.oasdi,
    uncollectedHi: uncollected.hi,
    oasdiTips: oasdiTips(check, tips),
    sickPayOasdi: check.sickPay.oasdi,
    sickPayHi: check.sickPay.hi,
    futaCreditReduction: check.futaCreditReduction,
  };
}

/** Of the OASDI wages of the check the tips: other wages fill the base first. */
function oasdiTips(check: Check, tips: Cents): Cents {
  const line = tips > 0 ? check.taxes.find((tax) => tax.code === 'US-OASDI-EE') : undefined;
  return line ? smaller(tips, notBelowZero(subtract(line.wages, notBelowZero(subtract(line.subject, tips))))) : ZERO;
}

export const NO_LEAVE: PaycheckResult['leave'] = [];

export function leaveMoves(check: Check): PaycheckResult['leave'] {
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
  tape.gather(
    OTHER,
    others.map((line) => line.code),
  );
  tape.write(OTHER, () => ({
    label: 'Local tax and state programs',
    value: showDollars(sum(others.map((line) => line.amount))),
    how: others.map((line) => showDollars(line.amount)).join(' + '),
    isResult: true,
  }));
}

/** The figure that gathers them. */
export const OTHER = 'other';

/** Neither a federal tax nor the income tax of a state. */
export const isOther = (code: TaxCode): boolean => {
  const tax = taxOf(code);
  return tax.level !== 'federal' && !isStateIncomeTax(tax);
};

/** A rate of pay with its cents, and with more decimals where it has them. */
function inCents(rate: Rate): string {
  const [whole = '', fraction = ''] = showRate(rate).split('.');
  return `${whole}.${fraction.padEnd(2, '0')}`;
}

/** Hours × rate × factor of an earning that was entered by hours. */
function hoursOf(check: Check, index: number): { readonly how?: string; readonly rounding?: string } {
  const earning = check.input.earnings[index];
  if (!earning?.hours || !earning.rate || earning.amount !== null) return {};
  const { hours, rate, item } = earning;
  const parts = [`${showRate(hours)} hours`, inCents(rate), ...(item.factor === '1' ? [] : [item.factor])];
  return {
    how: `${parts.join(' × ')}${earning.isOnRegularRate ? ', the premium on the regular rate' : ''}`,
    rounding: 'half a cent up',
  };
}

/** The regular rate, where a premium is on it. */
function writeRegularRate(tape: Tape, earnings: readonly Earning[]): void {
  const rate = earnings.some((earning) => earning.isOnRegularRate) ? regularRate(earnings) : null;
  if (!rate) return;
  tape.write('gross', () => {
    const { pay, hours } = regularPay(earnings);
    return {
      label: 'Regular rate, an hour',
      value: showExact(rate),
      how: `${showExact(pay)} of pay for ${showRate(hours)} hours worked (29 CFR § 778.109)`,
    };
  });
}

export function writeNet(check: Check, result: PaycheckResult, withheld: Cents, deducted: Cents): void {
  const { tape } = check;
  if (!tape) return;
  writeOther(check, tape);
  writeRegularRate(tape, check.input.earnings);
  result.earnings.forEach((line, index) =>
    tape.write('gross', () => ({ label: line.label, value: showDollars(line.amount), ...hoursOf(check, index) })),
  );
  tape.write('gross', () => ({ label: 'Gross pay', value: showDollars(result.gross), isResult: true }));
  tape.write('net', () => ({ label: 'Gross pay', value: showDollars(result.gross) }));
  for (const tax of result.taxes)
    if (tax.payer === 'employee')
      tape.write('net', () => ({ label: taxOf(tax.code).label, value: showDollars(subtract(ZERO, tax.amount)) }));
  for (const line of [...result.deductions, ...result.garnishments])
    tape.write('net', () => ({ label: line.label, value: showDollars(subtract(ZERO, line.amount)) }));
  tape.write('net', () => ({
    label: 'Net pay',
    value: showDollars(result.net),
    how: `${showDollars(result.gross)} − ${showDollars(withheld)} − ${showDollars(deducted)}`,
    isResult: true,
  }));
}
