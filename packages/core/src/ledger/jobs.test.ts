import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { readCase } from '../casefile/read-case.js';
import { ZERO, cents, dollars, sum, toDollars, type Cents } from '../money/cents.js';
import { rate } from '../money/rate.js';
import { computePaycheck } from '../paycheck/compute.js';
import type { PaycheckResult } from '../computation/result.js';
import { make, type Given } from '../testing/whole-checks.js';
import { jobCosts, totalsByJob, type JobShare } from './jobs.js';
import { costsOfChecks, employerTaxes, journalDifference, payrollJournal } from './postings.js';

const check = (earnings: Given[], more: Given = {}): PaycheckResult => {
  const { input, issues } = readCase(make('TN', { payFrequency: 'biweekly', earnings, ...more }));
  if (!input) throw new Error(JSON.stringify(issues));
  return computePaycheck(input);
};
const shares = (...lines: [string, string][]): JobShare[] => lines.map(([job, share]) => ({ job, share: rate(share) }));
const SIXTY_FORTY = shares(['Pier 4', '0.6'], ['Ferry house', '0.4']);
const shown = (costs: readonly { job: string; gross: Cents }[]) =>
  costs.map(({ job, gross }) => [job, toDollars(gross)]);

describe('pay by job', () => {
  it('a salary of 60 and 40 percent, and every cost of it in the same parts', () => {
    const result = check([{ item: 'salary', amount: '2000.01' }], {
      employerPaid: [{ item: 'employer-health', amount: '100.01' }],
    });
    expect(jobCosts(result, SIXTY_FORTY, dollars('153.01'))).toEqual([
      { job: 'Pier 4', gross: dollars('1200.01'), employerTaxes: dollars('91.81'), employerPaid: dollars('60.01') },
      { job: 'Ferry house', gross: dollars('800.00'), employerTaxes: dollars('61.20'), employerPaid: dollars('40.00') },
    ]);
  });
  it('a line that names its job goes there, the rest by the shares', () => {
    const result = check([
      { item: 'regular', hours: '60', rate: '20.00' },
      { item: 'regular', hours: '20', rate: '20.00', job: 'Dry dock' },
    ]);
    expect(shown(jobCosts(result, SIXTY_FORTY, ZERO))).toEqual([
      ['Dry dock', '400.00'],
      ['Pier 4', '720.00'],
      ['Ferry house', '480.00'],
    ]);
    expect(shown(jobCosts(result, [], ZERO))).toEqual([
      ['Dry dock', '400.00'],
      ['', '1200.00'],
    ]);
  });
  it('hours by the week go to the job of their line, overtime with them', () => {
    const result = check([{ item: 'regular', weeks: ['45', '40'], rate: '20.00', job: 'Dry dock' }]);
    expect(shown(jobCosts(result, [], ZERO))).toEqual([['Dry dock', '1750.00']]);
  });
  it('benefits in kind are no pay of a job', () =>
    expect(
      shown(
        jobCosts(
          check([
            { item: 'salary', amount: '500.00' },
            { item: 'group-term-life', amount: '30.00' },
          ]),
          SIXTY_FORTY,
          ZERO,
        ),
      ),
    ).toEqual([
      ['Pier 4', '300.00'],
      ['Ferry house', '200.00'],
    ]));
  it('a check without pay has its costs where the pay would go', () =>
    expect(jobCosts(check([{ item: 'tips-reported', amount: '80.00' }]), SIXTY_FORTY, dollars('6.12'))).toEqual([
      { job: 'Pier 4', gross: ZERO, employerTaxes: dollars('6.12'), employerPaid: ZERO },
    ]));

  it('no cent is made or lost, whatever the shares, and the journal balances by job', () => {
    const jobs = ['Pier 4', 'Ferry house', 'Dry dock'];
    const split = fc
      .array(fc.integer({ min: 1, max: 9999 }), { minLength: 1, maxLength: 3 })
      .map((parts): JobShare[] => {
        const whole = parts.reduce((total, part) => total + part, 0);
        return parts.map((part, index) => ({ job: jobs[index] ?? '', share: { n: part, d: whole } }));
      });
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 1, max: 900_000 }), split), { minLength: 1, maxLength: 5 }),
        (people) => {
          const checks = people.map(([amount, own], index) => ({
            employeeId: String(index),
            jobs: own,
            result: check([{ item: 'salary', amount: toDollars(cents(amount)) }], {
              employerPaid: [{ item: 'match-401k', percent: '3.33' }],
            }),
          }));
          const employer = employerTaxes(checks);
          const costs = totalsByJob(costsOfChecks(checks, employer).flat());
          const journal = payrollJournal(checks, employer);
          const booked = (account: string) =>
            sum(journal.filter((line) => line.account === account).map((line) => line.amount));
          expect(sum(costs.map((cost) => cost.gross))).toBe(sum(checks.map(({ result }) => result.gross)));
          expect(sum(costs.map((cost) => cost.employerTaxes))).toBe(sum(employer.map((total) => total.amount)));
          expect(sum(costs.map((cost) => cost.employerPaid))).toBe(booked('employer-benefit-expense'));
          expect(journalDifference(journal)).toBe(0);
        },
      ),
      { numRuns: 60 },
    );
  });
  it('the totals of a payroll stand by name, what belongs to no job last', () => {
    const cost = (job: string, amount: string) => ({
      job,
      gross: dollars(amount),
      employerTaxes: ZERO,
      employerPaid: ZERO,
    });
    expect(
      shown(totalsByJob([cost('', '1.00'), cost('Pier 10', '2.00'), cost('Pier 9', '3.00'), cost('Pier 10', '4.00')])),
    ).toEqual([
      ['Pier 9', '3.00'],
      ['Pier 10', '6.00'],
      ['', '1.00'],
    ]);
  });
});
