import { ZERO, cents, notBelowZero, showDollars, subtract, sum, type Cents } from '../money/cents.js';
import { round, times } from '../money/exact.js';
import type { CompensationLine, WorkClass } from '../computation/work-class.js';
import type { Rate } from '../money/rate.js';
import type { Check } from '../computation/check.js';
import { hoursWorked } from './state-taxes.js';

/** Dollars an hour on thousandths of an hour, in cents, half a cent up. */
const premiumByHours = (rate: Rate, thousandths: number): Cents =>
  round(times(times(cents(100), rate), { n: thousandths, d: 1000 }), 'half-up');

/** A payer's part of a premium by the hour, in cents: the employee's at its own rate, the rest the employer's. */
export function partOfPremium(workClass: WorkClass, payer: 'employee' | 'employer', thousandths: number): Cents {
  const ofEmployee = workClass.employeeRate ? premiumByHours(workClass.employeeRate, thousandths) : ZERO;
  return payer === 'employee' ? ofEmployee : subtract(premiumByHours(workClass.rate, thousandths), ofEmployee);
}

/** Workers' compensation premium of one check, in cents, half a cent up. The policy's audit has the last word. */
export function compensationLine(check: Check, workClass: WorkClass, overtimePremium: Cents): CompensationLine {
  const cash = sum(
    check.wages.earnings
      .filter((line) => !line.item.isNoncash && !line.item.outOf.includes('income'))
      .map((line) => line.amount),
  );
  const pay = notBelowZero(subtract(cash, overtimePremium));
  const thousandths = workClass.per === 'hour' ? hoursWorked(check) : 0;
  const amount =
    workClass.per === 'hundred'
      ? round(times(times(pay, workClass.rate), { n: 1, d: 100 }), 'half-up')
      : premiumByHours(workClass.rate, thousandths);
  check.tape?.write('workers-compensation', () => ({
    label: `Workers’ compensation, class ${workClass.code}`,
    value: showDollars(amount),
    how: workClass.per === 'hundred' ? 'pay without overtime premium ÷ 100 × rate' : 'hours × rate',
  }));
  return {
    workClass: workClass.code,
    pay: workClass.per === 'hundred' ? pay : ZERO,
    hours: String(thousandths / 1000),
    amount,
  };
}
