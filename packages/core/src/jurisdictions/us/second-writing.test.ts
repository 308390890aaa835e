import { describe, expect, it } from '@jest/globals';
import type Big from 'big.js';
import { runCase } from '../../casefile/run-case.js';
import { big, nearest, positive } from '../../testing/second-writing.js';

/**
 * Federal income tax a second time: not from the tables of Publication 15-T but from what they are made of, the brackets
 * and standard deductions of Rev. Proc. 2023-34, 2024-40 and 2025-32 (recalled).
 */
const RATES = ['0.10', '0.12', '0.22', '0.24', '0.32', '0.35', '0.37'];
const LAW: Readonly<Record<string, Readonly<Record<string, readonly number[]>>>> = {
  '2024': {
    single: [14600, 11600, 47150, 100525, 191950, 243725, 609350],
    'married-jointly': [29200, 23200, 94300, 201050, 383900, 487450, 731200],
    'head-of-household': [21900, 16550, 63100, 100500, 191950, 243700, 609350],
  },
  '2025': {
    single: [15000, 11925, 48475, 103350, 197300, 250525, 626350],
    'married-jointly': [30000, 23850, 96950, 206700, 394600, 501050, 751600],
    'head-of-household': [22500, 17000, 64850, 103350, 197300, 250500, 626350],
  },
  '2026': {
    single: [16100, 12400, 50400, 105700, 201775, 256225, 640600],
    'married-jointly': [32200, 24800, 100800, 211400, 403550, 512450, 768700],
    'head-of-household': [24150, 17700, 67450, 105700, 201750, 256200, 640600],
  },
};
const PERIODS = {
  daily: 260,
  weekly: 52,
  biweekly: 26,
  semimonthly: 24,
  monthly: 12,
  quarterly: 4,
  annually: 1,
} as const;
const YEARLY = [
  5000, 14600, 15001, 23000, 31200, 47650, 58100, 76400, 99000, 121000, 168000, 215000, 262000, 390000, 640000, 820000,
];

/** Tax of the year on wages over a deduction, the brackets halved for the step 2 box; thresholds are whole dollars in print. */
function yearTax(annual: Big, standard: Big, brackets: readonly number[], isHalf: boolean): Big {
  let total = big(0);
  let printed = big(0);
  const by = isHalf ? 2 : 1;
  const marks = [0, ...brackets];
  for (const [index, mark] of marks.entries()) {
    const from = nearest(standard.plus(mark).div(by));
    const next = marks[index + 1];
    if (annual.gt(from)) total = nearest(printed, 2).plus(annual.minus(from).times(RATES[index] ?? '0'));
    // The tax at a threshold is that of the exact bracket, to the cent.
    if (next !== undefined)
      printed = printed.plus(
        nearest(
          big(next - mark)
            .div(by)
            .times(RATES[index] ?? '0'),
          4,
        ),
      );
    printed = nearest(printed, 4);
  }
  return total;
}

describe('Publication 15-T, Worksheet 1A, from the brackets of the law', () => {
  const certificates = ['single', 'married-jointly', 'head-of-household', 'married-separately'].flatMap(
    (filingStatus) =>
      [false, true].map((multipleJobs) => ({
        form: '2020',
        filingStatus,
        multipleJobs,
        dependentCredit: multipleJobs ? '0.00' : '2000.00',
        otherIncome: multipleJobs ? '1200.00' : '0.00',
        deductions: multipleJobs ? '0.00' : '700.00',
        extraWithholding: '11.00',
      })),
  );
  it.each(
    Object.keys(LAW).flatMap((year) =>
      certificates.map((own) => [year, `${own.filingStatus}${own.multipleJobs ? ', step 2' : ''}`, own] as const),
    ),
  )('%s %s', (year, _, own) => {
    const status = own.filingStatus === 'married-separately' ? 'single' : own.filingStatus;
    const [standard = 0, ...brackets] = LAW[year]?.[status] ?? [];
    const differences: string[] = [];
    for (const [payFrequency, periods] of Object.entries(PERIODS))
      for (const yearly of YEARLY) {
        const pay = big(yearly).div(periods).plus('0.37').round(2);
        const annual = pay.times(periods).plus(own.otherIncome).minus(own.deductions);
        // Worksheet 1A takes line 1g off, and the tables of section 1 put it back.
        const full = yearTax(annual, big(standard), brackets, own.multipleJobs);
        const expected = nearest(positive(full.div(periods).minus(big(own.dependentCredit).div(periods))), 2).plus(
          own.extraWithholding,
        );
        const answer = runCase({
          id: 'federal',
          checkDate: `${year}-03-14`,
          payFrequency,
          employee: { federal: own, residence: { state: 'TX' }, work: [{ state: 'TX' }] },
          employer: { unemploymentRates: { TX: '2.7' } },
          earnings: [{ item: 'salary', amount: String(pay) }],
        });
        const computed = big(answer.taxes.find((line) => line.code === 'US-FIT')?.amount ?? NaN);
        if (!computed.eq(expected))
          differences.push(`${payFrequency} ${String(pay)}: ${String(computed)}, written ${String(expected)}`);
      }
    expect(differences).toEqual([]);
  });
});
