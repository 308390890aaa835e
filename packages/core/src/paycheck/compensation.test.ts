import { describe, expect, it } from '@jest/globals';
import { runCase } from '../casefile/run-case.js';
import { amount, make, type Given } from '../testing/whole-checks.js';

/** A worker of New Mexico: the fee of the quarter (WC-1, NMSA 52-5-19, recalled) and nothing else is looked at. */
const feeOf = ({ employees = 12, ...more }: Given): string | undefined =>
  amount(
    runCase(
      make('NM', {
        checkDate: '2026-03-27',
        employer: { employees, unemploymentRates: { NM: '1.2' } },
        ...more,
      }),
    ),
    'NM-WCF-EE',
  );

describe('the fee of the quarter', () => {
  it.each([
    ['biweekly', '2026-03-13', undefined],
    ['biweekly', '2026-03-20', '2.00'],
    ['weekly', '2026-03-20', undefined],
    ['weekly', '2026-03-27', '2.00'],
    ['semimonthly', '2026-03-13', undefined],
    // The last day of the month is a Tuesday; a check moved to the day before is still the last one.
    ['semimonthly', '2026-03-30', '2.00'],
    ['monthly', '2026-03-01', '2.00'],
    ['monthly', '2026-02-27', undefined],
    ['daily', '2026-06-29', undefined],
    ['daily', '2026-06-30', '2.00'],
    ['quarterly', '2026-12-31', '2.00'],
  ])('paid %s, is taken on %s: %s', (payFrequency, checkDate, fee) => {
    expect(feeOf({ payFrequency, checkDate })).toBe(fee);
  });

  it('is taken once, whatever else is paid in the month', () =>
    expect(feeOf({ monthToDate: { wages: '2000.00', taxes: { 'NM-WCF-EE': '2.00' } } })).toBeUndefined());

  it('is not owed by employers of fewer than three', () => {
    expect(feeOf({ employees: 2 })).toBeUndefined();
    expect(feeOf({ employees: 3 })).toBe('2.00');
  });
});

/** A worker of Washington, with or without a class of work that is rated by the hour (RCW 51.16.140, recalled). */
function washington(workClass: string | null, classes: readonly object[]) {
  const result = runCase(
    make(
      'WA',
      {
        payFrequency: 'weekly',
        employer: { employees: 60, unemploymentRates: { WA: '1.2' }, workersCompensation: classes },
        earnings: [
          { item: 'regular', hours: '40', rate: '30.00' },
          { item: 'overtime', hours: '2.5', rate: '30.00' },
        ],
      },
      workClass === null ? {} : { workClass },
    ),
  );
  return {
    employee: amount(result, 'WA-WC-EE'),
    employer: amount(result, 'WA-WC-ER'),
    problems: result.problems,
    result,
  };
}

describe('premiums by the hour', () => {
  const carpentry = { class: '0510', per: 'hour', rate: '2.6040', employeeRate: '0.4112' };

  it('are shared by the rates of the notice, and the parts are the whole', () => {
    const { employee, employer, result } = washington('0510', [carpentry]);
    // 42.5 × 2.6040 = 110.67 and 42.5 × 0.4112 = 17.476.
    expect(result.workersCompensation?.amount).toBe('110.67');
    expect([employee, employer]).toEqual(['17.48', '93.19']);
  });

  it('are the employer’s where the notice gives the employee no part', () => {
    const { employee, employer } = washington('0510', [{ class: '0510', per: 'hour', rate: '2.6040' }]);
    expect([employee, employer]).toEqual([undefined, '110.67']);
  });

  it('are missed with a warning where no class is given', () => {
    const { employer, problems } = washington(null, [carpentry]);
    expect(employer).toBeUndefined();
    expect(problems).toContainEqual(
      expect.objectContaining({ code: 'compensation.no-class', field: 'employee.workClass', severity: 'warning' }),
    );
  });

  it.each([
    ['above the whole rate', { ...carpentry, employeeRate: '2.7' }],
    ['of a rate by pay', { ...carpentry, per: 'hundred' }],
  ])('refuse a part of the employee %s', (_, wrong) => {
    expect(washington('0510', [wrong]).problems).toContainEqual(
      expect.objectContaining({
        code: 'compensation.employee-rate',
        field: 'employer.workersCompensation[0].employeeRate',
      }),
    );
  });
});
